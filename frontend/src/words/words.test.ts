import { describe, expect, it } from "vitest";
import type { Character } from "../api/client";
import { parseDecimal, parseNumbers } from "./numbers";
import { ORGANS, ROUTES } from "./stations";
import { percent, timesAsLikely } from "./text";
import { shownNumber, shownUnit } from "./units";

const length = { unit: "cm" } as Character;

describe("numbers and units", () => {
  it("reads numbers as people type them", () => {
    expect(parseNumbers("5 7  7")).toEqual([5, 7, 7]);
    expect(parseNumbers("5, 7; 7.5")).toEqual([5, 7, 7.5]);
    for (const wrong of ["", "five", "5 x", "-3", "1e3"]) expect(parseNumbers(wrong)).toBeNull();
    expect(parseNumbers("5,7")).toEqual([5, 7]);
    expect(parseNumbers("16,5; 19", false)).toEqual([16.5, 19]);
    expect(parseNumbers("5–9")).toEqual([5, 9]);
    expect(parseNumbers("about 16", false)).toEqual([16]);
    expect(parseNumbers("5 1/2, 6½; 3/4", false)).toEqual([5.5, 6.5, 0.75]);
    expect(parseNumbers("5 6 1/4", false)).toEqual([5, 6.25]);
    for (const wrong of ["1/0", "3/2/1", "1/2.5", "5 3/2"]) expect(parseNumbers(wrong, false)).toBeNull();
  });
  it("reads one number with comma, point or fraction", () => {
    const asked = ["16,5", "16.5", "−2", "-0,5", "½", "2 1/4", "3¾"];
    expect(asked.map(parseDecimal)).toEqual([16.5, 16.5, -2, -0.5, 0.5, 2.25, 3.75]);
    for (const wrong of ["", "1.5.2", "1,000.5", "a", "1/", "5 6"]) expect(parseDecimal(wrong)).toBeNull();
  });
  it("shows stored numbers in the reader's unit", () => {
    expect(shownUnit(length, "imperial")).toBe("in");
    expect(shownNumber(7.62, length, "imperial")).toBe("3");
    expect(shownNumber(7.62, length, "metric")).toBe("7.62");
    expect(shownNumber(30.48, { ...length, unit: "m" }, "imperial")).toBe("100");
  });
  it("tells shares and odds in words", () => {
    expect([percent(0.99999), percent(0.0001), percent(0.1234)]).toEqual(["> 99.9 %", "< 0.1 %", "12.3 %"]);
    expect([timesAsLikely(0.1), timesAsLikely(20), timesAsLikely(-10), timesAsLikely(80)]).toEqual([
      "as likely",
      "100 times as likely",
      "10 times less likely",
      "over a million times as likely",
    ]);
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
