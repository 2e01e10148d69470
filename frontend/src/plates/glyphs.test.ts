import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { type BladeOf, blade } from "./blade";
import { drawing } from "./glyphs";
import type { Point } from "./ink";
import { mark, markKeys } from "./marks";
import { stateMarks } from "./states";

describe("drawings", () => {
  it("there is one for every state of the flora", () => {
    const text = readFileSync(`${import.meta.dirname}/../../../flora/characters.yaml`, "utf8");
    const keys = [...text.matchAll(/drawing: ([a-z-]+)/g)].map((match) => match[1] as string);
    expect(keys.length).toBeGreaterThan(150);
    expect(keys.filter((key) => drawing(key) === null)).toEqual([]);
  });
  it("every file is a drawing of the flora, the glossary or a sign of illness, and closes what it opens", () => {
    const flora = ["characters", "glossary"].map((name) => readFileSync(`${import.meta.dirname}/../../../flora/${name}.yaml`, "utf8")).join("");
    const signs = [...readFileSync(`${import.meta.dirname}/../../../flora/health.yaml`, "utf8").matchAll(/\{id: ([a-z-]+), of: /g)];
    expect(signs.filter(([, id]) => drawing(`ill-${id}`) === null)).toEqual([]);
    const used = new Set([...[...flora.matchAll(/drawing: "?([a-z-]+)/g)].map((match) => match[1]), ...signs.map(([, id]) => `ill-${id}`)]);
    expect(markKeys().length).toBeGreaterThan(300);
    expect(markKeys().filter((key) => !used.has(key))).toEqual([]);
    for (const key of markKeys()) {
      const lines = mark(key) ?? "";
      expect(lines, key).toMatch(/^<(path|circle|rect|g|text)[ >]/);
      expect((lines.match(/<g[ >]/g) ?? []).length, key).toBe((lines.match(/<\/g>/g) ?? []).length);
      expect(lines, "nothing that could act, or that is fetched").not.toMatch(/script|href|on[a-z]+=|style=|<image/);
    }
  });
  const of = (change: Partial<BladeOf>): BladeOf => ({
    shape: "egg",
    length: 100,
    width: 50,
    margin: "smooth",
    teeth: "middling",
    teethWhere: "all",
    base: "equal",
    tip: "pointed",
    lobes: { kind: "none", tips: "rounded", depth: "half", count: 7 },
    veins: "netted",
    pairs: 7,
    ...change,
  });
  it("a blade is as long and as wide as it is said to be, and stands on its foot", () => {
    const { edge } = blade(of({}));
    const [xs, ys] = [edge.map(([x]) => x), edge.map(([, y]) => y)];
    expect(edge[0]).toEqual([0, -0]);
    expect(Math.min(...ys)).toBeCloseTo(-100, 6);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(50, 0);
  });
  it("teeth follow the edge: finer ones are more, none on a smooth one, and a bristle stands out of each", () => {
    const points = (change: Partial<BladeOf>) => blade(of(change)).edge.length;
    expect(points({ margin: "saw-teeth", teeth: "fine" })).toBeGreaterThan(points({ margin: "saw-teeth", teeth: "coarse" }));
    expect(blade(of({})).bristles).toEqual([]);
    expect(blade(of({ margin: "bristle-teeth" })).bristles.length).toBeGreaterThan(10);
    const wide = (change: Partial<BladeOf>) => Math.max(...blade(of(change)).edge.map(([x]) => x));
    expect(wide({ margin: "saw-teeth" })).toBeGreaterThan(wide({}));
  });
  it("straight veins end in the teeth, netted ones before the edge", () => {
    const nearest = (change: Partial<BladeOf>) => {
      const { veins, edge } = blade(of(change));
      return Math.max(...veins.map((v) => Math.min(...edge.map(([x, y]) => Math.hypot(x - (v.at(-1)?.[0] ?? 0), y - (v.at(-1)?.[1] ?? 0))))));
    };
    expect(nearest({ margin: "saw-teeth", veins: "straight" })).toBeLessThan(3);
    expect(nearest({ margin: "saw-teeth", veins: "netted" })).toBeGreaterThan(3);
  });
  it("a heart-shaped base reaches below the foot on both sides, a lopsided one on one", () => {
    const below = (change: Partial<BladeOf>) =>
      blade(of(change))
        .edge.filter(([, y]) => y > 1)
        .map(([x]) => Math.sign(x));
    expect(below({})).toEqual([]);
    expect(new Set(below({ base: "heart", shape: "round" })).size).toBe(2);
    expect(new Set(below({ base: "lopsided", shape: "round" })).size).toBe(1);
  });
  it("a feather has as many lobes on each side as are said, and deep gaps come nearer to the middle", () => {
    const lobed = (depth: "shallow" | "deep", count: number) =>
      blade(of({ lobes: { kind: "feather", tips: "rounded", depth, count } })).edge.filter(([x]) => x > 0);
    const gaps = (edge: readonly Point[]) =>
      edge.filter(([x], i) => i > 0 && i < edge.length - 1 && x < (edge[i - 1]?.[0] ?? 0) && x <= (edge[i + 1]?.[0] ?? 0));
    expect(gaps(lobed("deep", 9)).length).toBe(gaps(lobed("deep", 7)).length + 1);
    expect(Math.min(...gaps(lobed("deep", 7)).map(([x]) => x))).toBeLessThan(Math.min(...gaps(lobed("shallow", 7)).map(([x]) => x)));
  });
  it("the same state is the same drawing on a tile and everywhere else", () => {
    expect(stateMarks("fruit.nut", "tassel")).toBe(stateMarks("fruit.nut", "tassel"));
    const drawn = (state: string) => JSON.stringify(stateMarks("fruit.husk", state));
    expect(new Set(["fine-spines", "coarse-spines", "leafy", "smooth", "soft-bristles"].map(drawn)).size).toBe(5);
  });
});
