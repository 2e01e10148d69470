// @vitest-environment jsdom
import "fake-indexeddb/auto";
import { beforeEach, expect, test, vi } from "vitest";
import { desk, keyOf, schoolTime } from "./desk";
import { goneOn } from "./fetch";
import { follow } from "./follow";
import { now } from "./state";
import { db, enter, isTaken, keep, putDown, putDownUnlessWaiting, type Taken, type Waiting, waitingEntries } from "./store";

const AT = "2027-06-14T23:30:00+02:00";
const taken = { view: { id: "e", specimen: { tag: "M-01" }, scores: [], conditions: {} }, recorded: {}, conditionsOn: {}, told: {}, entries: [] };
const along = { at: AT, until: "2027-06-20", person: "marta", as: "instructor", engine: "1", floras: [], places: [], clock: 0, bytes: 0 } as const;
const waiting = (what: string, change: Partial<Waiting> = {}): Waiting => ({
  key: `key-${what}-${change.body ?? ""}`,
  person: "marta",
  method: "POST",
  url: `/api/examinations/e/${what}`,
  body: "{}",
  type: "application/json",
  at: AT,
  what,
  tag: "M-01",
  examination: "e",
  ...change,
});

let asked: { url: string; key: string }[] = [];
let answers: Record<string, () => Response> = {};
const json = (body: unknown, status = 200) => new Response(JSON.stringify(body), { status });

beforeEach(async () => {
  asked = [];
  answers = { "/api/session": () => json({ user: { id: "marta" } }) };
  vi.stubGlobal("fetch", async (url: string, init?: { headers?: Record<string, string> }) => {
    const key = init?.headers?.["Idempotency-Key"] ?? "";
    if (key) asked.push({ url, key });
    const answer = answers[url];
    if (!answer && !key) return json({}, 404);
    return answer ? answer() : json({});
  });
  await putDown();
  await keep({
    along: { ...along, floras: [], places: [] },
    files: new Map(),
    answers: new Map(),
    trees: [],
    examinations: new Map([["e", taken as unknown as Taken]]),
  });
  for (const what of ["scores", "sign", "harvest"]) await enter("e", taken as unknown as Taken, waiting(what));
});

test("what waits goes in order, with a key of its own, and is gone from the device", async () => {
  expect(await follow()).toBe("all");
  expect(asked.map((a) => a.url)).toEqual(["/api/examinations/e/scores", "/api/examinations/e/sign", "/api/examinations/e/harvest"]);
  expect(new Set(asked.map((a) => a.key)).size).toBe(3);
  expect(await waitingEntries()).toEqual([]);
});

test("asked twice at once it is sent once", async () => {
  await Promise.all([follow(), follow()]);
  expect(asked).toHaveLength(3);
});

test("what the server refuses stays, with its reason, and nothing rests on it", async () => {
  answers["/api/examinations/e/scores"] = () => json({ detail: "This examination is signed." }, 409);
  expect(await follow()).toBe("all");
  expect(asked.map((a) => a.url)).toEqual(["/api/examinations/e/scores"]);
  const left = await waitingEntries();
  expect(left.map((w) => w.refused)).toEqual([
    "This examination is signed.",
    "It is held back: an entry before it, of the same examination, was not taken.",
    "It is held back: an entry before it, of the same examination, was not taken.",
  ]);
  expect(now()).toMatchObject({ waiting: 0, refused: 3 });
});

test.each([
  ["fails", () => json({}, 503), "away"],
  ["is gone", () => Promise.reject(new TypeError("Failed to fetch")) as never, "away"],
  ["knows nobody", () => json({}, 401), "signed-out"],
])("where the server %s, all stays as it is and goes the next time with the same keys", async (_, trouble, outcome) => {
  answers["/api/examinations/e/sign"] = trouble;
  expect(await follow()).toBe(outcome);
  expect((await waitingEntries()).map((w) => [w.what, w.refused])).toEqual([
    ["sign", undefined],
    ["harvest", undefined],
  ]);
  const first = asked.at(-1)?.key;
  delete answers["/api/examinations/e/sign"];
  expect(await follow()).toBe("all");
  expect(asked.filter((a) => a.url.endsWith("/sign")).map((a) => a.key)).toEqual([first, first]);
  expect(await waitingEntries()).toEqual([]);
});

test("somebody else does not hand in what another has entered", async () => {
  answers["/api/session"] = () => json({ user: { id: "jonas" } });
  expect(await follow()).toBe("somebody-else");
  expect(asked).toEqual([]);
  expect(await waitingEntries()).toHaveLength(3);
});

test("an entry and what carries it are kept together or not at all", async () => {
  const unkept = { ...waiting("scores"), body: (() => undefined) as unknown as string };
  await expect(enter("e", { ...taken, flora: "changed" } as unknown as Taken, unkept)).rejects.toThrow();
  expect(await (await db()).get("examinations", "e")).not.toHaveProperty("flora");
  expect(await waitingEntries()).toHaveLength(3);
});

test("at sign-out it is put down, but not over what waits to be handed in", async () => {
  expect(await putDownUnlessWaiting()).toBe(false);
  expect(await waitingEntries()).toHaveLength(3);
  await follow();
  expect(await putDownUnlessWaiting()).toBe(true);
  expect([isTaken(), await (await db()).count("examinations"), await (await db()).count("along")]).toEqual([false, 0, 0]);
});

test("the school's time goes on from its last word, in its own offset, and never back", () => {
  const at = { at: AT, clock: 1_000_000 };
  expect(schoolTime(at, 1_000_000)).toBe(AT);
  expect(schoolTime(at, 1_000_000 + 45 * 60_000)).toBe("2027-06-15T00:15:00+02:00");
  expect(schoolTime(at, 0)).toBe(AT);
  expect(schoolTime({ at: "2027-01-05T08:00:00-05:30", clock: 0 }, 60_000)).toBe("2027-01-05T08:01:00-05:30");
});

test("nobody goes on under the name of another", async () => {
  const asking = { method: "GET", url: new URL("/api/session", "http://localhost"), body: null, type: "", key: "k" };
  for (const who of ["jonas", null]) {
    if (who) localStorage.setItem("was-in", who);
    else localStorage.removeItem("was-in");
    await expect(desk(asking)).rejects.toThrow("somebody else");
  }
  localStorage.setItem("was-in", "marta");
  await expect(desk(asking)).rejects.toThrow("not taken along");
});

test("an answer is found again however its address was put together", () => {
  const of = (path: string) => keyOf(new URL(path, "http://localhost"));
  expect(of("/api/flora?flora=x&all=")).toBe(of("/api/flora?flora=x"));
  expect(of("/api/plan?b=2&a=1")).toBe(of("/api/plan?a=1&b=2"));
});

test("what the server has just answered is what is gone on with out of its reach", () => {
  const view = { scores: [{ id: "old" }, { id: "new" }], conditions: { bloom: true }, stage: "old", reach: ["hand"], kit: ["none"] };
  const on = { ...taken, recorded: { old: "then" }, entries: [{ do: "sign", at: AT }] };
  expect(goneOn(on as unknown as Taken, view as never, AT)).toMatchObject({
    recorded: { old: "then", new: AT },
    conditionsOn: { bloom: "2027-06-14" },
    told: { stage: "old", reach: ["hand"], kit: ["none"] },
    entries: [],
  });
});
