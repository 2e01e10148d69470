import type { Character, Schemas } from "../../api/client";
import { isAbout, parseNumbers } from "../../words/numbers";
import { shownUnit } from "../../words/units";

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

const isCounted = (character: Character): boolean => character.kind === "count";
/** @param units the system lengths are typed in, where none stands beside them */
export const numbersOf = (character: Character, draft: Draft, units: string): number[] | null =>
  parseNumbers(draft.numbers, isCounted(character), shownUnit(character, units));

export function isComplete(character: Character, draft: Draft, units: string): boolean {
  return isNumeric(character) ? numbersOf(character, draft, units) !== null : draft.states.length > 0;
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
    numbers: isNumeric(character) ? (numbersOf(character, draft, units) ?? []) : [],
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
