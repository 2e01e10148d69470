import type { Character, Schemas } from "../../api/client";

/** What is chosen for a character before it is recorded. */
export type Draft = {
  states: string[];
  numbers: string;
  certainty: Schemas["Certainty"];
  samples: number;
  where: Schemas["Whereabouts"];
  position: Schemas["Position"] | null;
};

export const EMPTY: Draft = { states: [], numbers: "", certainty: "sure", samples: 1, where: "tree", position: null };

export const isNumeric = (character: Character): boolean => character.states.length === 0;

/** The unit people of that system read this character in. */
export function shownUnit(character: Character, units: string): "" | "mm" | "cm" | "m" | "in" | "ft" {
  const own = character.unit as "" | "mm" | "cm" | "m";
  if (units !== "imperial" || own === "") return own;
  return own === "m" ? "ft" : "in";
}

/** Numbers as people type them: `5, 7 7` or `16.5; 19`. Null where something in it is no number. */
export function parseNumbers(text: string): number[] | null {
  const pieces = text.split(/[;,\s]+/).filter((piece) => piece !== "");
  const numbers = pieces.map((piece) => (/^\d+(\.\d+)?$/.test(piece) ? Number(piece) : Number.NaN));
  return numbers.length > 0 && numbers.every((n) => Number.isFinite(n)) ? numbers : null;
}

export function isComplete(character: Character, draft: Draft): boolean {
  return isNumeric(character) ? parseNumbers(draft.numbers) !== null : draft.states.length > 0;
}

/** The draft as the server takes it. */
export function toScore(character: Character, draft: Draft, units: string): Schemas["NewScore"] {
  const unit = shownUnit(character, units);
  return {
    character: character.id,
    states: isNumeric(character) ? [] : draft.states,
    numbers: isNumeric(character) ? (parseNumbers(draft.numbers) ?? []) : [],
    unit: unit === "" ? null : unit,
    certainty: draft.certainty,
    samples: draft.samples,
    where: draft.where,
    position: character.changesWithPosition ? draft.position : null,
    looked: true,
  };
}

/** A stored number in the unit people read it in, to three figures. */
export function shownNumber(value: number, character: Character, units: string): string {
  const to = shownUnit(character, units);
  const factor = to === character.unit ? 1 : to === "ft" ? 1 / 0.3048 : character.unit === "mm" ? 1 / 25.4 : 1 / 2.54;
  return String(Number((value * factor).toPrecision(4)));
}
