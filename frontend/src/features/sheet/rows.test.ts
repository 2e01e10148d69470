import { describe, expect, it } from "vitest";
import { character, flora, LENGTH, MARGIN, PITH } from "../examine/a-bench";
import { byLook, readStates, rowsOfPart, rowsOfSurvey, stationsOf } from "./rows";

const KIND = character("leaf.kind", ["needle", "simple", "feathered"]);

describe("a line of a filled-in sheet", () => {
  it.each([
    ["2", { states: ["simple"], either: false, certainty: "sure", unseen: false }],
    [" 2 or 3 ", { states: ["simple", "feathered"], either: true, certainty: "sure", unseen: false }],
    ["2/3?", { states: ["simple", "feathered"], either: true, certainty: "likely", unseen: false }],
    ["1 3", { states: ["needle", "feathered"], either: false, certainty: "sure", unseen: false }],
    ["1, 1 ??", { states: ["needle"], either: false, certainty: "unsure", unseen: false }],
    ["X", { states: [], either: false, certainty: "sure", unseen: true }],
  ])("“%s” is read", (typed, read) => expect(readStates(typed, KIND)).toEqual(read));
  it.each(["", "4", "0", "two", "2 of 3", "?", "-1", "1 x", "2???"])("“%s” is not guessed at", (typed) => expect(readStates(typed, KIND)).toBeNull());
});

const part = { required: [PITH, MARGIN].map((c) => ({ character: c.id, samples: 2, states: [{ state: "white" }], range: null })) } as never;
const danger = (taxon: string, look: string | null) => ({ taxon, look, named: false });
const sheet = {
  asked: [LENGTH.id, PITH.id],
  dangers: [danger("a", LENGTH.id), danger("b", MARGIN.id), danger("c", LENGTH.id), danger("d", null)],
} as never;

describe("the lines of a sheet", () => {
  it("are what is required, then what excludes, each along the route and once", () => {
    expect(rowsOfPart(flora, part, sheet, "leaf-first").map((r) => [r.character.id, r.required])).toEqual([
      [MARGIN.id, true],
      [PITH.id, true],
      [LENGTH.id, false],
    ]);
    expect(rowsOfPart(flora, part, sheet, "branch-first")[0]?.character).toBe(PITH);
  });
  it("are all that can be asked on that day where nobody knows the tree", () => {
    const rows = rowsOfSurvey(flora, sheet, "branch-first");
    expect(rows.map((r) => r.character)).toEqual([PITH, LENGTH]);
    expect(stationsOf(rows).map((s) => s.organ)).toEqual(["twig", "leaf"]);
  });
  it("put dangers together that one look excludes, and leave none out", () => {
    const groups = byLook((sheet as { dangers: never[] }).dangers);
    expect(groups.map((g) => [g.look, g.dangers.map((d) => d.taxon).join()])).toEqual([
      [LENGTH.id, "a,c"],
      [MARGIN.id, "b"],
      [null, "d"],
    ]);
  });
});
