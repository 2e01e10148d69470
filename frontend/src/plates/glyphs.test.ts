import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { blade, tooth } from "./geometry";
import { drawing } from "./glyphs";

describe("drawings", () => {
  it("there is one for every state of the flora", () => {
    const text = readFileSync(`${import.meta.dirname}/../../../flora/characters.yaml`, "utf8");
    const keys = [...text.matchAll(/drawing: ([a-z-]+)/g)].map((match) => match[1] as string);
    expect(keys.length).toBeGreaterThan(150);
    expect(keys.filter((key) => drawing(key) === null)).toEqual([]);
  });
  it("a smooth margin has no teeth and a bristle margin has points", () => {
    expect(tooth("smooth", 0.5)).toBe(0);
    expect(Math.max(...Array.from({ length: 100 }, (_, i) => tooth("bristle-teeth", i / 100)))).toBeGreaterThan(0.05);
  });
  it("a blade is closed and stands on its foot", () => {
    expect(blade(32, 60, 50, "egg")).toMatch(/^M32\.0 60\.0L.*Z$/);
  });
});
