import { describe, expect, it } from "vitest";
import type { Character } from "../../api/client";
import { newId } from "../../api/id";
import { EMPTY, isComplete, toScore } from "./draft";

const length: Character = {
  id: "leaf.length",
  organ: "leaf",
  kind: "number",
  label: "length",
  question: "",
  hint: "",
  states: [],
  unit: "cm",
  phenophases: [],
  reach: "hand",
  instrument: "rule",
  effort: 2,
  appliesTo: null,
  appliesStates: [],
  changesWithAge: false,
  changesWithPosition: false,
  varies: false,
  groups: [],
};
const kind: Character = {
  ...length,
  id: "leaf.kind",
  kind: "states",
  unit: "",
  states: [{ id: "simple", label: "simple", definition: "", drawing: "", absence: false }],
};

describe("a draft", () => {
  it("can be recorded only when something was chosen", () => {
    expect(isComplete(kind, EMPTY, "metric")).toBe(false);
    expect(isComplete(kind, { ...EMPTY, states: ["simple"] }, "metric")).toBe(true);
    expect(isComplete(length, { ...EMPTY, numbers: "abc" }, "metric")).toBe(false);
    expect(isComplete(length, { ...EMPTY, numbers: "5 ft 3 in" }, "imperial")).toBe(true);
  });
  it("goes to the server in the unit it was read in", () => {
    expect(toScore(length, { ...EMPTY, numbers: "3 4" }, "imperial", "one", false)).toMatchObject({
      id: "one",
      numbers: [3, 4],
      unit: "in",
      states: [],
      further: false,
    });
    expect(toScore(length, { ...EMPTY, numbers: "about 3" }, "metric", "one", false).certainty).toBe("likely");
    expect(toScore(kind, { ...EMPTY, states: ["simple"], samples: 3, either: true }, "metric", "two", true)).toMatchObject({
      states: ["simple"],
      samples: 3,
      unit: null,
      either: false,
      further: true,
    });
    expect(newId()).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    expect(newId()).not.toBe(newId());
  });
});
