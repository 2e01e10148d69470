import type { Character, Flora, Schemas } from "../../api/client";
import { type Organ, ROUTES, type RouteId } from "../../words/stations";

/** One line of a sheet: what is looked at, on how many, and which states are wanted. Printed and entered in the same order. */
export type Row = { character: Character; samples: number; wanted: string[]; range: string | null; required: boolean };

const inOrder = (route: RouteId) => {
  const order = ROUTES[route].order;
  return (a: Row, b: Row) => order.indexOf(a.character.organ) - order.indexOf(b.character.organ);
};

/** What a part requires, and then the looks that exclude what else it could be. */
export function rowsOfPart(flora: Flora, part: Schemas["PartView"], sheet: Schemas["FieldSheetView"], route: RouteId): Row[] {
  const of = new Map(flora.characters.map((c) => [c.id, c]));
  const required: Row[] = part.required.flatMap((r) => {
    const character = of.get(r.character);
    return character ? [{ character, samples: r.samples, wanted: r.states.map((s) => s.state), range: r.range ?? null, required: true }] : [];
  });
  const known = new Set(required.map((r) => r.character.id));
  const looks = [...new Set(sheet.dangers.map((d) => d.look).filter((id): id is string => Boolean(id)))].filter((id) => !known.has(id));
  const excluding: Row[] = looks.flatMap((id) => {
    const character = of.get(id);
    return character ? [{ character, samples: 2, wanted: [], range: null, required: false }] : [];
  });
  return [...required.sort(inOrder(route)), ...excluding.sort(inOrder(route))];
}

/** All that can be asked of a tree nobody knows on that day, along the route; what hangs on a needle comes after the needle. */
export function rowsOfSurvey(flora: Flora, sheet: Schemas["FieldSheetView"], route: RouteId): Row[] {
  const asked = new Set(sheet.asked);
  return flora.characters
    .filter((c) => asked.has(c.id))
    .map((character) => ({ character, samples: 3, wanted: [], range: null, required: false }))
    .sort(inOrder(route));
}

export const stationsOf = (rows: Row[]): { organ: Organ; rows: Row[] }[] => {
  const organs = [...new Set(rows.map((r) => r.character.organ))];
  return organs.map((organ) => ({ organ, rows: rows.filter((r) => r.character.organ === organ) }));
};

/** Dangers that the same look excludes stand together on paper. */
export function byLook(dangers: Schemas["SheetDangerView"][]): { look: string | null; dangers: Schemas["SheetDangerView"][] }[] {
  const looks = [...new Set(dangers.map((d) => d.look ?? null))];
  return looks.map((look) => ({ look, dangers: dangers.filter((d) => (d.look ?? null) === look) }));
}

/** What stands on a line of a filled-in sheet: "1", "2 or 3" (either), "1 3" (both), with a mark for how sure. */
export type Entered = { states: string[]; either: boolean; certainty: Schemas["Certainty"]; unseen: boolean };

/**
 * Reads what was typed of a line with states: their numbers as printed, "or" between what could not be told apart, "?" for
 * likely, "??" for unsure, "x" for what could not be seen. Null where it is none of that.
 */
export function readStates(typed: string, character: Character): Entered | null {
  const text = typed.trim().toLowerCase();
  if (text === "x") return { states: [], either: false, certainty: "sure", unseen: true };
  const sure = /^(.*?)\s*(\?{0,2})$/.exec(text);
  const either = /\bor\b|\//.test(sure?.[1] ?? "");
  const numbers = (sure?.[1] ?? "").split(/\s*(?:\bor\b|\band\b|[/,+\s])\s*/).filter(Boolean);
  if (numbers.length === 0 || !numbers.every((n) => /^\d{1,2}$/.test(n) && character.states[Number(n) - 1])) return null;
  const states = [...new Set(numbers.map((n) => character.states[Number(n) - 1]?.id as string))];
  const marks = sure?.[2]?.length ?? 0;
  return { states, either: either && states.length > 1, certainty: marks === 0 ? "sure" : marks === 1 ? "likely" : "unsure", unseen: false };
}
