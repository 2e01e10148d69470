import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { blade, tooth } from "./geometry";
import { drawing } from "./glyphs";
import { mark, markKeys } from "./marks";

describe("drawings", () => {
  it("there is one for every state of the flora", () => {
    const text = readFileSync(`${import.meta.dirname}/../../../flora/characters.yaml`, "utf8");
    const keys = [...text.matchAll(/drawing: ([a-z-]+)/g)].map((match) => match[1] as string);
    expect(keys.length).toBeGreaterThan(150);
    expect(keys.filter((key) => drawing(key) === null)).toEqual([]);
  });
  it("every file is a drawing of the flora or the glossary, and closes what it opens", () => {
    const flora = ["characters", "glossary"].map((name) => readFileSync(`${import.meta.dirname}/../../../flora/${name}.yaml`, "utf8")).join("");
    const used = new Set([...flora.matchAll(/drawing: "?([a-z-]+)/g)].map((match) => match[1]));
    expect(markKeys().length).toBeGreaterThan(300);
    expect(markKeys().filter((key) => !used.has(key))).toEqual([]);
    for (const key of markKeys()) {
      const lines = mark(key) ?? "";
      expect(lines, key).toMatch(/^<(path|circle|rect|g|text)[ >]/);
      expect((lines.match(/<g[ >]/g) ?? []).length, key).toBe((lines.match(/<\/g>/g) ?? []).length);
      expect(lines, "nothing that could act, or that is fetched").not.toMatch(/script|href|on[a-z]+=|style=|<image/);
    }
  });
  it("a smooth margin has no teeth and a bristle margin has points", () => {
    expect(tooth("smooth", 0.5)).toBe(0);
    expect(Math.max(...Array.from({ length: 100 }, (_, i) => tooth("bristle-teeth", i / 100)))).toBeGreaterThan(0.05);
  });
  it("a blade is closed and stands on its foot", () => {
    expect(blade(32, 60, 50, "egg")).toMatch(/^M32\.0 60\.0L.*Z$/);
  });
  const points = (path: string): [number, number][] => [...path.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map((m) => [Number(m[1]), Number(m[2])]);
  it("a heart-shaped base reaches below the foot on both sides, a lopsided one on one", () => {
    const below = (path: string) => points(path).filter(([, y]) => y > 60.5);
    expect(below(blade(32, 60, 50, "egg"))).toEqual([]);
    expect(new Set(below(blade(32, 60, 50, "round", "smooth", undefined, "heart")).map(([x]) => x > 32)).size).toBe(2);
    expect(new Set(below(blade(32, 60, 50, "round", "smooth", undefined, "lopsided")).map(([x]) => x > 32)).size).toBe(1);
  });
  it("an oak has as many gaps on each side as lobes, a mitten one gap", () => {
    const gaps = (path: string) => {
      const right = points(path)
        .filter(([x, y]) => x >= 32 && y < 58 && y > 14)
        .map(([x]) => x);
      return right.filter((x, i) => i > 0 && i < right.length - 1 && x < (right[i - 1] ?? 0) && x <= (right[i + 1] ?? 0)).length;
    };
    expect(gaps(blade(32, 60, 50, "egg", "smooth", { kind: "feather", tips: "rounded", depth: "half" }))).toBe(3);
    expect(gaps(blade(32, 60, 50, "egg", "smooth", { kind: "odd", tips: "rounded", depth: "half" }))).toBe(1);
    expect(gaps(blade(32, 60, 50, "egg"))).toBe(0);
  });
  it("deep gaps of a hand come nearer to its middle than shallow ones", () => {
    const nearest = (depth: "shallow" | "deep") =>
      Math.min(
        ...points(blade(32, 60, 50, "round", "smooth", { kind: "finger", tips: "pointed", depth }))
          .filter(([, y]) => y < 43)
          .map(([x, y]) => Math.hypot(x - 32, y - 43)),
      );
    expect(nearest("deep")).toBeLessThan(nearest("shallow"));
  });
});
