/** Hands in what was entered out of the server's reach: in order, each once. Nothing is dropped that was not taken. */
import type { Schemas } from "../api/client";
import { now, set } from "./state";
import { db, isTaken, type Taken, type Waiting, waitingEntries } from "./store";

export type Outcome = "all" | "away" | "signed-out" | "somebody-else";
/** What rests on all that was entered before it: not sent where one of those was refused. */
const RESTS_ON_ALL = new Set(["sign", "harvest"]);
const HELD = "It is held back: an entry before it, of the same examination, was not taken.";

/** Milliseconds after which a request that nothing answers counts as out of reach: a picture over a thin line takes long. */
const LONGEST = 90_000;

let under: Promise<Outcome> | null = null;
const handed = new Set<() => void>();
/** Told whenever something has been handed in, or nobody is signed in to hand it in. */
export function onHandedIn(tell: () => void): () => void {
  handed.add(tell);
  return () => handed.delete(tell);
}

/** Hands in all that waits. Asked twice at once, it is done once; two windows take turns. */
export function follow(): Promise<Outcome> {
  under ??= locked(handIn).finally(() => {
    under = null;
  });
  return under;
}

async function locked(work: () => Promise<Outcome>): Promise<Outcome> {
  return "locks" in navigator ? await navigator.locks.request("hand-in", work) : work();
}

async function handIn(): Promise<Outcome> {
  const store = await db();
  const all = await waitingEntries();
  const stopped = new Set(all.filter((w) => w.refused && w.examination).map((w) => w.examination));
  const touched = new Set<string>();
  let person: string | null = null;
  let outcome: Outcome = "all";
  let done = 0;
  for (const entry of all.filter((w) => !w.refused)) {
    const seq = entry.seq as number;
    if (person === null) {
      const who = await whoIsSignedIn();
      if (who === "away" || who === "signed-out") {
        outcome = who;
        break;
      }
      person = who;
    }
    if (person !== entry.person) {
      outcome = "somebody-else";
      break;
    }
    let refused: string | null;
    if (RESTS_ON_ALL.has(entry.what) && stopped.has(entry.examination)) refused = HELD;
    else {
      const answer = await send(entry);
      if (answer === "away" || answer === "signed-out") {
        outcome = answer;
        break;
      }
      refused = answer;
    }
    if (entry.examination) touched.add(entry.examination);
    if (refused === null) {
      await store.delete("waiting", seq);
      done += 1;
    } else {
      await store.put("waiting", { ...entry, refused });
      if (entry.examination) stopped.add(entry.examination);
    }
    await count();
  }
  const still = new Set((await waitingEntries()).filter((w) => !w.refused).map((w) => w.examination));
  for (const id of touched) if (!still.has(id)) await anew(id);
  const thrownOut = outcome === "signed-out" && !now().signedOut;
  set({ away: outcome === "away", signedOut: outcome === "signed-out", handedIn: now().handedIn + done });
  if (touched.size > 0 || done > 0 || thrownOut) for (const tell of handed) tell();
  return outcome;
}

async function count() {
  const all = await waitingEntries();
  set({ waiting: all.filter((w) => !w.refused).length, refused: all.filter((w) => w.refused).length });
}

async function whoIsSignedIn(): Promise<string | "away" | "signed-out"> {
  try {
    const response = await fetch("/api/session", { headers: { Accept: "application/json" }, signal: AbortSignal.timeout(10_000) });
    if (!response.ok) return "away";
    const session = (await response.json()) as Schemas["SessionView"];
    return session.user?.id ?? "signed-out";
  } catch {
    return "away";
  }
}

/** Null where it was taken; else why not. A server that fails is out of reach, and refuses nothing. */
async function send(entry: Waiting): Promise<string | null | "away" | "signed-out"> {
  let response: Response;
  try {
    response = await fetch(entry.url, {
      method: entry.method,
      body: entry.body,
      signal: AbortSignal.timeout(LONGEST),
      headers: {
        "X-CSRF-Token": "csrf-token",
        Accept: "application/json",
        "Idempotency-Key": entry.key,
        ...(entry.body !== null && { "Content-Type": entry.type }),
      },
    });
  } catch {
    return "away";
  }
  if (response.ok) return null;
  if (response.status === 401) return "signed-out";
  if (response.status >= 500 || response.status === 429) return "away";
  const problem = (await response.json().catch(() => ({}))) as Partial<Schemas["Problem"]>;
  return problem.detail || `The server answered ${response.status}.`;
}

/** What was taken along of an examination, as the server has it now. */
export async function anew(id: string): Promise<void> {
  if (!isTaken()) return;
  try {
    const response = await fetch(`/api/field/taken/${id}`, { headers: { Accept: "application/json" }, signal: AbortSignal.timeout(LONGEST) });
    if (!response.ok) return;
    const taken = (await response.json()) as Schemas["TakenExaminationView"];
    const store = await db();
    const floras = (await store.get("along", "along"))?.floras ?? [];
    const flora = floras.find((f) => f.name === taken.view.flora)?.hash;
    if (!flora) return;
    if ((await waitingEntries()).some((w) => !w.refused && w.examination === id)) return; // entered meanwhile
    const next: Taken = { ...taken, flora, lastWord: { at: taken.at, until: taken.until }, entries: [] };
    await store.put("examinations", next, id);
  } catch {
    // out of reach again: what is there stays
  }
}
