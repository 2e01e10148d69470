/** How the pages ask once something was taken along: the server while it can be reached, else this device. */

import type { Examination } from "../api/client";
import { newId } from "../api/id";
import { type Asking, desk, schoolTime } from "./desk";
import { anew, follow } from "./follow";
import { now, set } from "./state";
import { along, db, isTaken, type Taken, waitingEntries } from "./store";

/** So long an answer may take before this device goes on by itself. */
const PATIENCE = 8_000;

export async function fieldFetch(request: Request): Promise<Response> {
  const url = new URL(request.url);
  if (!isTaken() || url.pathname.startsWith("/api/field/")) return fetch(request);
  const read = request.method === "GET";
  const asking: Asking = {
    method: request.method,
    url,
    body: read ? null : await body(request),
    type: request.headers.get("Content-Type") ?? "application/json",
    key: newId(),
  };
  if (!now().away && navigator.onLine) {
    // what waits goes first, so that the server hears everything in order
    const outcome = now().waiting > 0 ? await follow() : "all";
    if (outcome === "all" || outcome === "somebody-else" || /^\/api\/(session|login|logout)$/.test(url.pathname)) {
      try {
        return await serve(request, asking);
      } catch (error) {
        if (!(error instanceof TypeError) && !(error instanceof DOMException)) throw error;
        set({ away: true });
      }
    }
  } else set({ away: true });
  return desk(asking);
}

async function body(request: Request): Promise<string | Blob | null> {
  const type = request.headers.get("Content-Type") ?? "";
  const copy = request.clone();
  if (type.startsWith("application/json")) return copy.text();
  const blob = await copy.blob();
  return blob.size > 0 ? blob : null;
}

async function serve(request: Request, asking: Asking): Promise<Response> {
  const signal = AbortSignal.timeout(PATIENCE);
  const sent = new Request(request, { signal });
  if (request.method !== "GET") sent.headers.set("Idempotency-Key", asking.key);
  const response = await fetch(sent);
  set({ away: false });
  if (response.ok && asking.url.pathname === "/api/login") void follow();
  await keepUp(asking, response.clone()).catch(() => undefined);
  return response;
}

/** An examination that is gone on with in reach goes on being taken along: what the server answered now, the rest in a moment. */
async function keepUp(asking: Asking, response: Response) {
  const id = /^\/api\/examinations\/([0-9a-f-]{36})/.exec(asking.url.pathname)?.[1];
  const begun = asking.method === "POST" && asking.url.pathname === "/api/examinations";
  const shown = asking.url.pathname === `/api/examinations/${id}`;
  if (!response.ok || (!begun && (!id || (asking.method === "GET" && !shown)))) return;
  const view = (await response.json()) as Examination;
  if (typeof view.id !== "string" || !view.mine) return;
  const [store, taken] = [await db(), await along()];
  const on = await store.get("examinations", view.id);
  if (on && taken) await store.put("examinations", goneOn(on, view, schoolTime(taken)), view.id);
  later(view.id);
}

/** What was taken along of an examination, gone on to what the server has just answered. */
export function goneOn(on: Taken, view: Examination, at: string): Taken {
  const scored = view.scores.filter((s) => !(s.id in on.recorded)).map((s) => [s.id, at]);
  const answered = Object.keys(view.conditions).filter((c) => view.conditions[c] !== on.view.conditions[c]);
  return {
    ...on,
    view,
    told: { ...on.told, stage: view.stage, reach: view.reach, kit: view.kit },
    recorded: { ...on.recorded, ...Object.fromEntries(scored) },
    conditionsOn: { ...on.conditionsOn, ...Object.fromEntries(answered.map((c) => [c, at.slice(0, 10)])) },
    entries: [],
  };
}

const due = new Map<string, ReturnType<typeof setTimeout>>();
/** Once after a run of entries, not after each. */
function later(id: string) {
  clearTimeout(due.get(id));
  due.set(
    id,
    setTimeout(() => void anew(id), 400),
  );
}

let watching = false;
/** From the first page on: what waits is handed in as soon as the server can be reached, also after a restart. */
export function watch() {
  if (watching || !isTaken()) return;
  watching = true;
  const look = async () => {
    if (!isTaken()) return;
    const all = await waitingEntries();
    set({ waiting: all.filter((w) => !w.refused).length, refused: all.filter((w) => w.refused).length });
    if (now().away || now().waiting > 0) await follow();
  };
  window.addEventListener("online", () => void look());
  document.addEventListener("visibilitychange", () => document.visibilityState === "visible" && void look());
  setInterval(() => void look(), 15_000);
  void db().then(look);
}
