import { describe, expect, it, vi } from "vitest";
import { character, examination, flora, LENGTH, LOBES, MARGIN } from "./a-bench";
import type { Bench } from "./bench";
import { EMPTY } from "./draft";
import { KEYS, press } from "./keys";
import { laid } from "./table";

/** A bench with three questions, the first of them open. */
function bench(change: Partial<Bench> = {}, lies: Partial<Bench["table"]> = {}) {
  const active = change.active ?? MARGIN;
  return {
    locked: false,
    active,
    list: [MARGIN, LENGTH, LOBES],
    route: ["leaf", "twig", "site"],
    table: { ...laid(examination(), flora), active: active.id, ...lies },
    suggested: { character: LOBES.id },
    move: vi.fn(),
    go: vi.fn(),
    lookAt: vi.fn(),
    record: vi.fn(),
    cannotBeSeen: vi.fn(),
    doesNotApply: vi.fn(),
    takeBack: vi.fn(),
    ...change,
  } as unknown as Bench;
}
const said = (change: object) => ({ do: "draft", character: MARGIN.id, change });

describe("the keys at the table", () => {
  it("stand on the sheet once each", () => {
    const all = KEYS.flatMap((k) => k.keys);
    expect(new Set(all).size).toBe(all.length);
  });
  it("a number takes a tile and the same number lays it back", () => {
    const b = bench();
    expect(press(b, "2")).toBe(true);
    expect(b.move).toHaveBeenCalledWith(said({ states: ["saw-teeth"] }));
    const again = bench({}, { drafts: { [MARGIN.id]: { ...EMPTY, states: ["saw-teeth"] } } });
    press(again, "2");
    expect(again.move).toHaveBeenCalledWith(said({ states: [] }));
  });
  it("a number beyond the tiles, or where something is measured, does nothing", () => {
    expect(press(bench(), "3")).toBe(false);
    expect(press(bench({ active: LENGTH }), "1")).toBe(false);
  });
  it.each([
    ["-", EMPTY.samples, 1],
    ["+", 200, 200],
    ["+", 4, 5],
  ])("samples stay between 1 and 200: %s on %i", (key, samples, then) => {
    const b = bench({}, { drafts: { [MARGIN.id]: { ...EMPTY, samples } } });
    press(b, key);
    expect(b.move).toHaveBeenCalledWith(said({ samples: then }));
  });
  it.each([
    ["s", { certainty: "sure" }],
    ["l", { certainty: "likely" }],
    ["u", { certainty: "unsure" }],
    ["g", { where: "ground" }],
    ["e", { either: true }],
  ])("%s says %o", (key, change) => {
    const b = bench();
    expect(press(b, key)).toBe(true);
    expect(b.move).toHaveBeenCalledWith(said(change));
  });
  it("a signed examination takes no score by key, and can still be read by key", () => {
    const b = bench({ locked: true });
    for (const key of KEYS.filter((k) => k.scores).flatMap((k) => k.keys)) expect(press(b, key)).toBe(false);
    expect(b.move).not.toHaveBeenCalled();
    expect(press(b, "j")).toBe(true);
    expect(b.move).toHaveBeenCalledWith({ do: "open", character: LENGTH.id });
  });
  it("goes round the questions and round the stations", () => {
    const last = bench({ active: LOBES });
    press(last, "j");
    expect(last.move).toHaveBeenCalledWith({ do: "open", character: MARGIN.id });
    const first = bench();
    press(first, "k");
    expect(first.move).toHaveBeenCalledWith({ do: "open", character: LOBES.id });
    press(first, "[");
    expect(first.go).toHaveBeenCalledWith("site");
    const end = bench({}, { organ: "site" });
    press(end, "]");
    expect(end.go).toHaveBeenCalledWith("leaf");
  });
  it("answers, asks, undoes and explains", () => {
    const b = bench({ active: LOBES }, { notice: { text: "", takeBack: "score" } });
    for (const key of ["Enter", "x", "0", "n", "z", "p", "?"]) expect(press(b, key)).toBe(true);
    expect(b.record).toHaveBeenCalledWith(LOBES);
    expect(b.cannotBeSeen).toHaveBeenCalledWith(LOBES);
    expect(b.doesNotApply).toHaveBeenCalledWith(LOBES);
    expect(b.lookAt).toHaveBeenCalledWith(LOBES.id);
    expect(b.takeBack).toHaveBeenCalledWith("score");
    expect(b.move).toHaveBeenNthCalledWith(1, { do: "ask", dialog: "points" });
    expect(b.move).toHaveBeenNthCalledWith(2, { do: "ask", dialog: "keys" });
    expect(press(bench({ active: character("bark.colour", ["grey"]) }), "0"), "it hangs on nothing").toBe(false);
    expect(press(b, "q")).toBe(false);
  });
});
