import type { Character } from "../../api/client";

/** What hangs on them is asleep with them, so it is said as people see it. */
const UNSEEN: Record<string, string> = {
  "leaf.kind": "It is bare now",
  "flower.kind": "No flowers on it now",
  "fruit.kind": "No fruit on it now",
};

export const unseenWords = (character: Character): string => UNSEEN[character.id] ?? "Cannot be seen now";
