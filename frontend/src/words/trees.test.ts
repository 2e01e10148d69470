import { describe, expect, it } from "vitest";
import { directionWords, distanceWords, girthWords, treeLength, way } from "./trees";

const at = (latitude: number, longitude: number) => ({ latitude, longitude });

describe("the way to a tree", () => {
  // Against a geodesic on the ellipsoid (Vincenty 1975, Flinders Peak to Buninyong: 54,972 m, 306° 52'): a sphere is off by less than 0.6 %.
  it("is that of the published example, as near as a sphere can be", () => {
    const { metres, bearing } = way(at(-37.95103342, 144.42486789), at(-37.65282114, 143.92649553));
    expect(Math.abs(metres / 54_972.271 - 1)).toBeLessThan(0.006);
    expect(Math.abs(bearing - 306.868)).toBeLessThan(0.3);
  });
  it("goes over the date line and past the pole the short way", () => {
    const over = way(at(0, 179.999), at(0, -179.999));
    expect(over.metres).toBeCloseTo(222.4, 0);
    expect(directionWords(over.bearing)).toBe("east");
    expect(directionWords(way(at(89.9, 0), at(89.9, 180)).bearing)).toBe("north");
  });
  it("is nought where one stands", () => expect(way(at(47, 15), at(47, 15)).metres).toBe(0));
  it("is said as far as it matters, in the reader's units", () => {
    expect([3.4, 96, 143, 1040, 15_300].map((m) => distanceWords(m, "metric"))).toEqual(["3 m", "96 m", "145 m", "1.0 km", "15 km"]);
    expect([3.4, 143, 1040].map((m) => distanceWords(m, "imperial"))).toEqual(["11 ft", "470 ft", "0.6 mi"]);
    expect([0, 44, 181, 359, -90].map(directionWords)).toEqual(["north", "north-east", "south", "north", "west"]);
    expect([treeLength(12.34, "metric"), treeLength(3.048, "imperial")]).toEqual(["12.3 m", "10.0 ft"]);
    expect([girthWords(127, "metric"), girthWords(127, "imperial")]).toEqual(["127.0 cm", "50.0 in"]);
  });
});
