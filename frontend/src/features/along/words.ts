import type { Character, Schemas } from "../../api/client";
import type { Waiting } from "../../field/store";

/** In the order of the day: what was entered, in a few words. */
export function entryWords(w: Waiting, characters: Map<string, Character>): string {
  const body = typeof w.body === "string" ? (JSON.parse(w.body || "{}") as Record<string, unknown>) : {};
  switch (w.what) {
    case "begin":
      return "examination begun";
    case "score": {
      const score = body as Partial<Schemas["NewScore"]>;
      const character = characters.get(score.character ?? "");
      const states = (score.states ?? []).map((id) => character?.states.find((s) => s.id === id)?.label ?? id);
      const seen = [...states, ...(score.numbers ?? []).map(String)].join(", ");
      return `${character?.label ?? score.character}: ${seen || "looked, and could not be seen or does not apply"}`;
    }
    case "take-back":
      return "a score taken back";
    case "restore":
      return "a score counted again";
    case "change":
      return "claimTaxon" in body
        ? `hoped for: ${String(body.claimTaxon).replaceAll("-", " ")}, ${String(body.claimPart).replaceAll("-", " ")}`
        : "conditions" in body
          ? "a condition answered"
          : "how it is gone about";
    case "sign":
      return "signed";
    case "harvest":
      return `harvest: ${body.amount} ${body.unit}`;
    case "tag":
      return "tree tagged";
    case "event":
      return `seen: ${String(body.event ?? "").replaceAll("-", " ")}`;
    case "crop":
      return "the crop, as it looks";
    case "picture":
      return "a picture";
    default:
      return w.what;
  }
}

/** Bytes as people say them. */
export const megabytes = (bytes: number): string => (bytes < 950_000 ? `${Math.round(bytes / 1000)} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`);

/** A moment in the school's own time, as written by it. */
export const hour = (moment: string): string => moment.slice(11, 16);
