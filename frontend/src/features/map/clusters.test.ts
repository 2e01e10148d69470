import { describe, expect, it } from "vitest";
import { clustersOf, type Dot } from "./clusters";

const dot = (tag: string, danger: Dot["danger"], longitude: number): Dot => ({ id: tag, tag, danger, kind: "", latitude: 47.12, longitude });
const EARTH: [number, number, number, number] = [-180, -85, 180, 85];

describe("trees that stand close together", () => {
  it("are one mark with the worst of them, and fall apart when drawn larger", () => {
    const crowd = clustersOf([dot("A", "harmless", 15.31), dot("B", "deadly", 15.3101), dot("C", "mild", 15.3102), dot("far", "mild", 15.6)]);
    const far = crowd.at(EARTH, 10);
    expect(far.map((d) => [d.count, d.danger]).sort()).toEqual([
      [1, "mild"],
      [3, "deadly"],
    ]);
    const id = far.find((d) => d.id !== null)?.id ?? -1;
    expect(crowd.at(EARTH, crowd.apart(id)).length).toBeGreaterThan(2);
    expect(crowd.at(EARTH, 20).every((d) => d.trees?.length === 1)).toBe(true);
  });
  it("never tell a crowd with an unknown tree in it as mild or harmless", () => {
    for (const unknown of ["unknown", "doubted"] as const)
      expect(clustersOf([dot("A", "harmless", 15.31), dot("B", unknown, 15.31), dot("C", "mild", 15.31)]).at(EARTH, 5)[0]?.danger).toBe(unknown);
  });
  it("lose none", () => {
    const many = Array.from({ length: 3000 }, (_, i) => dot(`T${i}`, "mild", 15 + (i % 97) / 500));
    for (const zoom of [0, 8, 14, 19])
      expect(
        clustersOf(many)
          .at(EARTH, zoom)
          .reduce((n, d) => n + d.count, 0),
      ).toBe(3000);
  });
});
