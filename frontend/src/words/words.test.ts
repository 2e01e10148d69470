import { describe, expect, it } from "vitest";
import type { Character } from "../api/client";
import { parseDecimal, parseNumbers, readAs } from "./numbers";
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
    expect(asked.map((t) => parseDecimal(t))).toEqual([16.5, 16.5, -2, -0.5, 0.5, 2.25, 3.75]);
    for (const wrong of ["", "1.5.2", "1,00.5", "1.000,5,2", "a", "1/", "5 6"]) expect(parseDecimal(wrong)).toBeNull();
  });
  it("reads what is written in thousands only where nobody could mean anything else", () => {
    expect(["1.000,5", "1,000.5", "1.000.000", "12,500.25"].map((t) => parseDecimal(t))).toEqual([1000.5, 1000.5, 1_000_000, 12_500.25]);
    expect([readAs("1.000"), readAs("2,500", "g"), readAs("0,125"), readAs("16")]).toEqual([
      "Read as 1, not 1000",
      "Read as 2.5 g, not 2500",
      "Read as 0.125",
      null,
    ]);
  });
  it("reads lengths with a unit of their own, feet and inches as one", () => {
    const feet = ["5 ft 3 in", "5'3\"", "5′ 3″", "5 feet 3 inches", "63 in", '63"', "5.25 ft", "5 1/4 ft"];
    for (const written of feet) expect([written, parseDecimal(written, "in")]).toEqual([written, 63]);
    expect([parseDecimal('2 1/4"', "mm"), parseDecimal("1,6 cm", "mm"), parseDecimal("6 ft", "m"), parseDecimal("160mm", "cm")]).toEqual([
      57.15, 16, 1.8288, 16,
    ]);
    expect(parseNumbers("5 ft 3 in; 4' 10\"", false, "in")).toEqual([63, 58]);
    expect(parseNumbers("16,5 mm 1.8 cm 2", false, "cm")).toEqual([1.65, 1.8, 2]);
    expect(readAs("5 ft 3 in", "in")).toBe("Read as 63 in");
    for (const wrong of ["5 kg", "5 ft 3 ft 2", "5 in in", "mm"]) expect(parseDecimal(wrong, "in")).toBeNull();
    expect(parseDecimal("5 ft")).toBeNull();
    expect(parseNumbers("5 ft 3 in")).toBeNull();
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
