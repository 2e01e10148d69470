import { describe, expect, it } from "vitest";
import { withTick } from "../features/ground/kept";
import { gapWords, gustFrom, gustWords, MARKS_OF, mayFall, reasonWords, SEEN, sinceWords, wayWords } from "./ground";
import { branchWords } from "./stock";

describe("words of the ground", () => {
  it("tells gusts as people speak of them, and takes them back", () => {
    expect(gustWords(26.4, false)).toBe("95 km/h");
    expect(gustWords(26.4, true)).toBe("59 mph");
    expect(gustFrom(95, false)).toBeCloseTo(26.39, 2);
    expect(gustFrom(60, true)).toBeCloseTo(26.82, 2);
  });
  it("tells how long leaves have lain", () => {
    expect([0, 0.2, 1, 30, 49, 240].map(sinceWords)).toEqual(["1 min", "12 min", "1 h", "30 h", "2 days", "10 days"]);
    expect([45, 89, 95, 5700].map(wayWords)).toEqual(["45 s", "89 s", "2 min", "95 min"]);
  });
  it("says gaps plainly", () => {
    expect(gapWords("bark-only", "January")).toBe("bark only, January: not settled");
  });
  it("puts every mark on one sheet", () => {
    expect(Object.values(MARKS_OF).flat().sort()).toEqual(Object.keys(SEEN).sort());
    expect(mayFall(["nest", "hollow"])).toBe(true);
    expect(mayFall(["nest", "old", "thorny"])).toBe(false);
  });
  it("never calls what is not settled harmless, and never a part a leave to take", () => {
    const reason = { sheet: "dangers", what: "unknown", detail: "", whom: [], severity: null } as const;
    expect(reasonWords(reason as never)).toContain("deadly");
    expect(reasonWords({ ...reason, sheet: "materials", what: "part", detail: "nuts" } as never)).toBe("nuts, after its examination");
    expect(reasonWords({ ...reason, what: "toxic", detail: "needles", whom: ["horses", "cattle"], severity: "deadly" } as never)).toBe(
      "deadly to horses, cattle: needles",
    );
  });
  it("reckons in branches as thick as a thumb", () => {
    expect(branchWords(0, false)).toBe("");
    expect(branchWords(0.3, false)).toContain("one branch as thick as a thumb (2.5 cm) carries as much or more");
    expect(branchWords(6.66, true)).toBe("; 6.7 branches as thick as a thumb (1 in) carry as much");
  });
});

describe("findings kept on the phone", () => {
  it("sends of each stop what was found there last", () => {
    const tick = (stop: string, finding: "sound" | "limb-down", at: number) => ({ stop, finding, thickness: null, note: "", at });
    const kept = withTick(withTick(withTick([], tick("a", "sound", 1)), tick("b", "sound", 2)), tick("a", "limb-down", 3));
    expect(kept.map((t) => [t.stop, t.finding])).toEqual([
      ["b", "sound"],
      ["a", "limb-down"],
    ]);
  });
});
