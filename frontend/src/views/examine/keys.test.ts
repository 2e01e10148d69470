import { describe, expect, it, vi } from "vitest";
import type { Character } from "../../api/client";
import { EMPTY } from "./draft";
import { handle, type Table } from "./keys";
import { ORGANS, ROUTES } from "./stations";

const character = (id: string, states: string[]): Character => ({
  id,
  organ: "leaf",
  kind: states.length > 0 ? "states" : "number",
  label: id,
  question: "",
  hint: "",
  states: states.map((state) => ({ id: state, label: state, definition: "", drawing: "", absence: false })),
  unit: states.length > 0 ? "" : "cm",
  phenophases: [],
  reach: "hand",
  instrument: "none",
  effort: 1,
  appliesTo: null,
  appliesStates: [],
  changesWithAge: false,
  changesWithPosition: false,
  varies: false,
  groups: [],
});
const margin = character("leaf.margin", ["smooth", "saw-teeth"]);
const length = character("leaf.length", []);

/** A table with two questions, the first of them open. */
function table(change: Partial<Table> = {}): Table {
  return {
    locked: false,
    dialog: false,
    active: margin.id,
    organ: "leaf",
    list: [margin, length],
    route: ROUTES["branch-first"].order,
    drafts: {},
    setDrafts: vi.fn(),
    setActive: vi.fn(),
    go: vi.fn(),
    record: vi.fn(),
    cannotBeSeen: vi.fn(),
    doesNotApply: vi.fn(),
    lookNext: vi.fn(),
    undo: vi.fn(),
    open: vi.fn(),
    ...change,
  };
}

describe("the keys at the table", () => {
  it("a number takes a tile and the same number lays it back", () => {
    const t = table();
    expect(handle(t, margin, "2")).toBe(true);
    expect(t.setDrafts).toHaveBeenCalledWith({ "leaf.margin": { ...EMPTY, states: ["saw-teeth"] } });
    const again = table({ drafts: { "leaf.margin": { ...EMPTY, states: ["saw-teeth"] } } });
    handle(again, margin, "2");
    expect(again.setDrafts).toHaveBeenCalledWith({ "leaf.margin": EMPTY });
  });
  it("a number beyond the tiles, or where something is measured, does nothing", () => {
    const t = table();
    expect(handle(t, margin, "3")).toBe(false);
    expect(handle(t, length, "1")).toBe(false);
    expect(t.setDrafts).not.toHaveBeenCalled();
  });
  it("samples stay between 1 and 200", () => {
    const few = table();
    handle(few, margin, "-");
    expect(few.setDrafts).toHaveBeenCalledWith({ "leaf.margin": { ...EMPTY, samples: 1 } });
    const many = table({ drafts: { "leaf.margin": { ...EMPTY, samples: 200 } } });
    handle(many, margin, "+");
    expect(many.setDrafts).toHaveBeenCalledWith({ "leaf.margin": { ...EMPTY, samples: 200 } });
  });
  it.each([
    ["s", { certainty: "sure" }],
    ["l", { certainty: "likely" }],
    ["u", { certainty: "unsure" }],
    ["g", { where: "ground" }],
    ["e", { either: true }],
  ])("%s says %o", (key, said) => {
    const t = table();
    expect(handle(t, margin, key)).toBe(true);
    expect(t.setDrafts).toHaveBeenCalledWith({ "leaf.margin": { ...EMPTY, ...said } });
  });
  it("a signed examination takes no score by key, and can still be read by key", () => {
    const t = table({ locked: true });
    for (const key of ["1", "s", "l", "u", "+", "-", "g", "e", "x", "0"]) expect(handle(t, margin, key)).toBe(false);
    expect(t.setDrafts).not.toHaveBeenCalled();
    expect(t.cannotBeSeen).not.toHaveBeenCalled();
    expect(handle(t, margin, "j")).toBe(true);
    expect(t.setActive).toHaveBeenCalledWith("leaf.length");
  });
  it("goes round the questions and round the stations", () => {
    const last = table({ active: "leaf.length" });
    handle(last, length, "j");
    expect(last.setActive).toHaveBeenCalledWith("leaf.margin");
    const first = table();
    handle(first, margin, "k");
    expect(first.setActive).toHaveBeenCalledWith("leaf.length");
    const end = table({ organ: "site" });
    handle(end, margin, "]");
    expect(end.go).toHaveBeenCalledWith("twig");
    const start = table({ organ: "twig" });
    handle(start, margin, "[");
    expect(start.go).toHaveBeenCalledWith("site");
  });
  it("asks, undoes and explains", () => {
    const t = table({ active: null });
    for (const key of ["n", "z", "p", "?"]) expect(handle(t, undefined, key)).toBe(true);
    expect(t.lookNext).toHaveBeenCalledOnce();
    expect(t.undo).toHaveBeenCalledOnce();
    expect(t.open).toHaveBeenNthCalledWith(1, "points");
    expect(t.open).toHaveBeenNthCalledWith(2, "keys");
    expect(handle(t, undefined, "1")).toBe(false);
  });
});

describe("the routes", () => {
  it("pass every station once, and bark or outline may lead", () => {
    for (const { order } of Object.values(ROUTES)) expect([...order].sort()).toEqual([...ORGANS].sort());
    expect(ROUTES["branch-first"].order[0]).toBe("twig");
    expect(ROUTES["bark-first"].order[0]).toBe("bark");
    expect(ROUTES["leaf-first"].order[0]).toBe("leaf");
    expect(ROUTES["outline-inward"].order[0]).toBe("outline");
  });
});
