import type { Character, Schemas } from "../../api/client";

/** What is chosen for a character before it is recorded. */
export type Draft = {
  states: string[];
  numbers: string;
  certainty: Schemas["Certainty"];
  samples: number;
  where: Schemas["Whereabouts"];
  position: Schemas["Position"] | null;
  /** One of the chosen states was seen, and which cannot be told. */
  either: boolean;
};

export const EMPTY: Draft = { states: [], numbers: "", certainty: "sure", samples: 1, where: "tree", position: null, either: false };

export const isNumeric = (character: Character): boolean => character.states.length === 0;

/** The unit people of that system read this character in. */
export function shownUnit(character: Character, units: string): "" | "mm" | "cm" | "m" | "in" | "ft" {
  const own = character.unit as "" | "mm" | "cm" | "m";
  if (units !== "imperial" || own === "") return own;
  return own === "m" ? "ft" : "in";
}

const ABOUT = /^\s*(about|around|ca\.?|~|≈)\s*/i;

/** Whether somebody wrote "about 16": the number is taken, and no more than likely. */
export const isAbout = (text: string): boolean => ABOUT.test(text);

/**
 * Numbers as people type them: `5, 7 7`, `16.5; 19`, `5–9` (both ends), `about 16`. Between digits a comma is a decimal comma where
 * something is measured, and parts two counts where something is counted. Null where something in it is no number.
 */
export function parseNumbers(text: string, counted = true): number[] | null {
  const plain = text.replace(ABOUT, "").replace(/\s*[–—-]\s*/g, " ");
  const pieces = (counted ? plain.replace(/,/g, " ") : plain.replace(/(\d),(?=\d)/g, "$1.").replace(/,/g, " "))
    .split(/[;\s]+/)
    .filter((p) => p !== "");
  const numbers = /^\s*[–—-]/.test(text) ? [Number.NaN] : pieces.map((piece) => (/^\d+(\.\d+)?$/.test(piece) ? Number(piece) : Number.NaN));
  return numbers.length > 0 && numbers.every((n) => Number.isFinite(n)) ? numbers : null;
}

const isCounted = (character: Character): boolean => character.kind === "count";
export const numbersOf = (character: Character, draft: Draft): number[] | null => parseNumbers(draft.numbers, isCounted(character));

/** A fresh id for a score, made here so that a request sent twice is one score. Works outside secure contexts too. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = [...bytes].map((b) => b.toString(16).padStart(2, "0")).join("");
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}

export function isComplete(character: Character, draft: Draft): boolean {
  return isNumeric(character) ? numbersOf(character, draft) !== null : draft.states.length > 0;
}

/**
 * The draft as the server takes it.
 *
 * @param id      the same however often it is sent
 * @param further the character has been scored before: this is a further look
 */
export function toScore(character: Character, draft: Draft, units: string, id: string, further: boolean): Schemas["NewScore"] {
  const unit = shownUnit(character, units);
  return {
    id,
    character: character.id,
    states: isNumeric(character) ? [] : draft.states,
    numbers: isNumeric(character) ? (numbersOf(character, draft) ?? []) : [],
    unit: unit === "" ? null : unit,
    certainty: isNumeric(character) && isAbout(draft.numbers) && draft.certainty === "sure" ? "likely" : draft.certainty,
    samples: draft.samples,
    where: draft.where,
    position: character.changesWithPosition ? draft.position : null,
    either: draft.either && draft.states.length > 1,
    further,
    answer: "seen",
  };
}

/** A stored number in the unit people read it in, to three figures. */
export function shownNumber(value: number, character: Character, units: string): string {
  const to = shownUnit(character, units);
  const factor = to === character.unit ? 1 : to === "ft" ? 1 / 0.3048 : character.unit === "mm" ? 1 / 25.4 : 1 / 2.54;
  return String(Number((value * factor).toPrecision(4)));
}
