/** Takes along what is needed to decide out of the server's reach, by one press. */
import type { Schemas } from "../api/client";
import { keyOf } from "./desk";
import { install } from "./install";
import { putAway, ready } from "./rules";
import { type Along, db, isTaken, keep, type Taken, waitingEntries } from "./store";

export const canBeTaken = (): boolean => "serviceWorker" in navigator && "indexedDB" in window && "DecompressionStream" in window;

async function get(path: string): Promise<Response> {
  const response = await fetch(path, { headers: { Accept: "application/json" } });
  if (!response.ok) throw new Error(`${path} could not be taken along: the server answered ${response.status}.`);
  return response;
}

/** Runs the work for each, four at a time. */
async function each<T>(list: T[], work: (one: T) => Promise<void>) {
  const left = [...list];
  const go = async (): Promise<void> => {
    const next = left.shift();
    if (next === undefined) return;
    await work(next);
    await go();
  };
  await Promise.all([go(), go(), go(), go()]);
}

/**
 * @param sites ids of the places one goes to; none: all of them
 * @param tell  how far it is, 0 to 1
 */
export async function takeAlong(sites: string[], tell: (share: number, what: string) => void): Promise<Along> {
  if (isTaken() && (await waitingEntries()).some((w) => !w.refused)) throw new Error("Some entries still wait to be handed in. They go first.");
  await install();
  tell(0.02, "trees and examinations");
  const clock = Date.now();
  const query = new URLSearchParams(sites.map((id) => ["sites[]", id]));
  const along = (await (await get(`/api/field/taken?${query}`)).json()) as Schemas["TakenAlongView"];
  const files = new Map<string, { stamp: string; content: Blob }>();
  tell(0.1, "the rules");
  const rules = await get("/api/field/rules");
  files.set("rules", { stamp: rules.headers.get("ETag") ?? "", content: await rules.blob() });
  for (const flora of along.floras) {
    tell(0.15, flora.title);
    files.set(`flora:${flora.hash}`, { stamp: flora.stamp, content: await (await get(`/api/field/floras/${flora.name}`)).blob() });
  }
  const answers = await pages(along, tell);
  const examinations = new Map<string, Taken>();
  for (const taken of along.examinations) {
    const flora = along.floras.find((f) => f.name === taken.view.flora)?.hash;
    if (flora) examinations.set(taken.view.id, { ...taken, flora, lastWord: { at: taken.at, until: taken.until }, entries: [] });
  }
  const { at, until, person, as, engine, floras, places, trees } = along;
  const size = [...files.values()].reduce((sum, f) => sum + f.content.size, 0) + [...answers.values()].reduce((sum, text) => sum + text.length, 0);
  const kept: Along = { at, until, person, as, engine, floras, places, clock, bytes: size };
  await keep({ along: kept, files, answers, trees, examinations });
  tell(0.9, "trying the rules");
  putAway();
  // started once in reach, all it is made of is kept; and it is known to run here
  for (const flora of floras) await ready(flora.hash);
  await navigator.storage?.persist?.();
  const used = (await navigator.storage?.estimate?.())?.usage;
  const whole = { ...kept, bytes: used ?? size };
  await (await db()).put("along", whole, "along");
  tell(1, "");
  return whole;
}

/** What is read in the wood, as the server answers it now. */
async function pages(along: Schemas["TakenAlongView"], tell: (share: number, what: string) => void): Promise<Map<string, string>> {
  const answers = new Map<string, string>();
  const take = async (path: string) => {
    answers.set(keyOf(new URL(path, window.location.origin)), await (await get(path)).text());
  };
  const always = ["/api/session", "/api/floras", "/api/flora", "/api/terms", "/api/sites", "/api/today", "/api/plan/days"];
  const list = [...always, ...along.floras.map((f) => `/api/flora?flora=${f.name}`)];
  await each(list, take);
  const flora = JSON.parse(answers.get("/api/flora") ?? "{}") as Schemas["FloraView"];
  const ofTrees = along.trees.slice(0, 200).flatMap((tree) => ["page", "season", "crops"].map((what) => `/api/specimens/${tree.id}/${what}`));
  const species = flora.taxa.map((taxon) => `/api/flora/taxa/${taxon.id}`);
  const all = [...ofTrees, ...species];
  let done = 0;
  await each(all, async (path) => {
    await take(path);
    done += 1;
    if (done % 8 === 0) tell(0.2 + (0.68 * done) / all.length, "trees and species");
  });
  return answers;
}
