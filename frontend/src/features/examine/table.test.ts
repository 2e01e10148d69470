import { describe, expect, it } from "vitest";
import { ALL, examination, flora, LENGTH, LOBES, MARGIN, PITH, score } from "./a-bench";
import { EMPTY } from "./draft";
import { draftOf, firstOpen, inSight, laid, nextAfter, roundOf, table } from "./table";

const seen = (...of: { id: string }[]) => of.map((c, i) => score(String(i), c.id, ["x"]));

describe("the table", () => {
  it("is laid at the first station of the route, and at the next look where somebody has begun", () => {
    const next = [{ character: PITH.id }] as never;
    expect(laid(examination({ assessment: { next } }), flora)).toMatchObject({ organ: "leaf", active: MARGIN.id });
    expect(laid(examination({ assessment: { next }, scores: seen(MARGIN) }), flora)).toMatchObject({ organ: "twig", active: PITH.id });
  });
  it("shows what the server says is in sight, in the order of the catalogue", () => {
    expect(inSight(examination({ inSight: [LOBES.id, MARGIN.id, PITH.id] }), flora, "leaf")).toEqual([MARGIN, LOBES]);
  });
  it("keeps a draft for each question, and clears it when it is recorded", () => {
    let t = laid(examination(), flora);
    t = table(t, { do: "draft", character: MARGIN.id, change: { samples: 3 } });
    t = table(t, { do: "draft", character: PITH.id, change: { certainty: "likely" } });
    expect(draftOf(t, MARGIN.id)).toEqual({ ...EMPTY, samples: 3 });
    t = table(t, { do: "recorded", character: MARGIN.id, next: PITH, notice: { text: "Recorded" } });
    expect([draftOf(t, MARGIN.id), draftOf(t, PITH.id).certainty, t.organ, t.active]).toEqual([EMPTY, "likely", "twig", PITH.id]);
  });
  it("leaves whoever has opened something else meanwhile where they are", () => {
    const t = table(laid(examination(), flora), { do: "open", character: LOBES.id });
    expect(table(t, { do: "recorded", character: MARGIN.id, next: PITH, notice: { text: "Recorded" } })).toMatchObject({
      organ: "leaf",
      active: LOBES.id,
    });
  });
  it("goes from a score to what is required, then to what is open, then to the next look", () => {
    const claim = { required: [{ character: LOBES.id, samples: 2, status: "open" }] } as never;
    expect(nextAfter(examination({ claim, scores: seen(MARGIN) }), flora, MARGIN)).toBe(LOBES);
    expect(nextAfter(examination({ scores: seen(MARGIN) }), flora, MARGIN)).toBe(LENGTH);
    expect(nextAfter(examination({ scores: seen(LOBES) }), flora, LOBES), "round the station").toBe(MARGIN);
    const done = seen(MARGIN, LENGTH, LOBES);
    expect(nextAfter(examination({ scores: done, assessment: { next: [{ character: PITH.id }] as never } }), flora, LOBES)).toBe(PITH);
    expect(nextAfter(examination({ scores: done }), flora, LOBES)).toBeNull();
  });
  it("asks on the round in the order of the route, what is required first, and what was left for later no more", () => {
    const walked = { skipped: [], all: true };
    expect(roundOf(examination(), flora, walked)).toEqual([MARGIN, LENGTH, LOBES, PITH]);
    expect(roundOf(examination({ route: "branch-first", scores: seen(LENGTH) }), flora, walked)).toEqual([PITH, MARGIN, LOBES]);
    const claim = { required: [LOBES, PITH].map((c) => ({ character: c.id, samples: 2, status: "open" })) } as never;
    expect(roundOf(examination({ claim }), flora, walked)).toEqual([LOBES, MARGIN, LENGTH, PITH]);
    expect(roundOf(examination({ claim }), flora, { ...walked, all: false }), "only what tells most").toEqual([LOBES, PITH]);
    expect(roundOf(examination({ claim }), flora, { skipped: [LOBES.id], all: false })).toEqual([PITH]);
  });
  it("does not count what was taken back", () => {
    const scores = ALL.map((c) => score(c.id, c.id, ["x"], { takenBack: c === LENGTH }));
    expect(firstOpen(examination({ scores }), flora, "leaf")).toBe(LENGTH.id);
  });
});
