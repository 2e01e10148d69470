/** Answers requests out of the server's reach: from what was taken along, and by the rules on this device. */
import type { Schemas } from "../api/client";
import { newId } from "../api/id";
import { answer } from "./rules";
import { set } from "./state";
import { type Along, along, db, type Entry, enter, type Taken, together, type Waiting, waitingEntries } from "./store";

export type Asking = { method: string; url: URL; body: string | Blob | null; type: string; key: string };
const HERE = "can be done only where the server can be reached. Nothing was entered.";

const say = (status: number, body: unknown): Response =>
  new Response(JSON.stringify(body), { status, headers: { "Content-Type": status < 400 ? "application/json" : "application/problem+json" } });
const refuse = (status: number, detail: string, field = ""): Response =>
  say(status, { status, title: "", type: "about:blank", detail, violations: field ? [{ propertyPath: field, title: detail }] : [] });

/** What the school's clock says: it went on from the moment of the last word, as this device's clock did; it never goes back. */
export function schoolTime(taken: Pick<Along, "at" | "clock">, device = Date.now()): string {
  const offset = /([+-])(\d\d):(\d\d)$/.exec(taken.at);
  const minutes = offset ? (offset[1] === "-" ? -1 : 1) * (Number(offset[2]) * 60 + Number(offset[3])) : 0;
  const moment = new Date(taken.at).getTime() + Math.max(0, device - taken.clock);
  return `${new Date(moment + minutes * 60_000).toISOString().slice(0, 19)}${offset?.[0] ?? "+00:00"}`;
}

export async function desk(asking: Asking): Promise<Response> {
  const taken = await along();
  if (!taken) throw new TypeError("Nothing was taken along.");
  // nobody goes on under the name of another, who took it along on this device
  if (localStorage.getItem("was-in") !== taken.person) throw new TypeError("It was taken along by somebody else.");
  const { method, url } = asking;
  const path = url.pathname;
  const ofExamination = /^\/api\/examinations\/([0-9a-f-]{36})(\/.*)?$/.exec(path);
  if (ofExamination) return examination(taken, asking, ofExamination[1] as string, ofExamination[2] ?? "");
  if (method === "GET") return kept(taken, url);
  if (method === "POST" && path === "/api/examinations") return begin(taken, asking);
  if (method === "POST" && path === "/api/specimens") return tag(taken, asking);
  const ofTree = /^\/api\/specimens\/([0-9a-f-]{36})\/(events|crops)$/.exec(path);
  if (method === "POST" && ofTree) return noted(taken, asking, ofTree[1] as string, ofTree[2] === "events" ? "season" : "crops");
  if (method === "POST" && path === "/api/pictures") return picture(taken, asking);
  return refuse(409, `This ${HERE}`);
}

/** An answer as it was when it was taken along. */
async function kept(taken: Along, url: URL): Promise<Response> {
  const store = await db();
  if (url.pathname === "/api/specimens") return say(200, await trees(url));
  if (url.pathname === "/api/find") return say(200, await named(url));
  const tree = /^\/api\/specimens\/([0-9a-f-]{36})$/.exec(url.pathname);
  const found = tree ? JSON.stringify(await store.get("trees", tree[1] as string)) : await store.get("answers", keyOf(url));
  if (!found) throw new TypeError("It was not taken along.");
  if (url.pathname === "/api/session") return say(200, { ...JSON.parse(found), today: schoolTime(taken).slice(0, 10) });
  return new Response(found, { headers: { "Content-Type": "application/json" } });
}

export function keyOf(url: URL): string {
  const sorted = new URLSearchParams([...url.searchParams].filter(([, value]) => value !== "").sort());
  return sorted.size > 0 ? `${url.pathname}?${sorted}` : url.pathname;
}

async function trees(url: URL): Promise<Schemas["TreesView"]> {
  const words = (url.searchParams.get("q") ?? "").toLocaleLowerCase().split(/\s+/).filter(Boolean);
  const site = url.searchParams.get("site");
  const found = (await (await db()).getAll("trees"))
    .filter((tree) => !site || tree.site.id === site)
    .filter((tree) => {
      const text = [tree.tag, tree.whereabouts, tree.kind, tree.kindName, tree.site.name].join(" ").toLocaleLowerCase();
      return words.every((word) => text.includes(word));
    })
    .sort((a, b) => a.tag.localeCompare(b.tag, "en", { numeric: true }));
  return { trees: found, total: found.length, next: null };
}

/** By names only: the whole search is the server's. */
async function named(url: URL): Promise<Schemas["FindView"]> {
  const words = (url.searchParams.get("q") ?? "")
    .toLocaleLowerCase()
    .split(/[\s,;]+/)
    .filter(Boolean);
  const answers = (text: string) => words.length > 0 && words.every((word) => text.toLocaleLowerCase().includes(word));
  const flora = JSON.parse((await (await db()).get("answers", "/api/flora")) ?? '{"taxa":[]}') as Schemas["FloraView"];
  const rank = { deadly: 0, serious: 1, mild: 2, harmless: 3 };
  const kinds = flora.taxa
    .filter((t) => answers([t.name, t.commonName, t.family, ...t.otherNames].join(" ")))
    .sort((a, b) => rank[a.severity] - rank[b.severity])
    .slice(0, 12)
    .map((t) => ({ taxon: t.id, commonName: t.commonName, name: t.name, severity: t.severity, harms: t.harms, why: [] }));
  return { kinds, trees: (await trees(url)).trees.slice(0, 6), places: [], examinations: [] };
}

const parsed = (asking: Asking): Record<string, unknown> => (typeof asking.body === "string" ? JSON.parse(asking.body) : {});

function waiting(taken: Along, asking: Asking, what: string, tagged: string, id = ""): Waiting {
  const { key, method, url, body, type } = asking;
  return { key, person: taken.person, method, url: url.pathname + url.search, body, type, at: schoolTime(taken), what, tag: tagged, examination: id };
}

async function told(): Promise<void> {
  const all = await waitingEntries();
  set({ waiting: all.filter((w) => !w.refused).length, refused: all.filter((w) => w.refused).length });
}

async function units(): Promise<string> {
  const session = await (await db()).get("answers", "/api/session");
  return session ? ((JSON.parse(session) as Schemas["SessionView"]).user?.units ?? "metric") : "metric";
}

/** What an entry is laid on the desk as; null where it can be done only at the server. */
function entryOf(asking: Asking, rest: string, at: string): Entry | null {
  const score = /^\/scores\/([0-9a-f-]{36})(\/restore)?$/.exec(rest);
  if (asking.method === "PATCH" && rest === "") return { do: "change", body: parsed(asking), at };
  if (asking.method === "DELETE" && score) return { do: "take-back", score: score[1] as string, at };
  if (asking.method !== "POST") return null;
  if (rest === "/scores") return { do: "score", body: parsed(asking), at };
  if (score?.[2]) return { do: "restore", score: score[1] as string, at };
  if (rest === "/sign") return { do: "sign", at };
  if (rest === "/harvests") return { do: "harvest", body: parsed(asking), at };
  return null;
}

async function examination(taken: Along, asking: Asking, id: string, rest: string): Promise<Response> {
  const on = await (await db()).get("examinations", id);
  if (!on) throw new TypeError("This examination was not taken along.");
  const at = schoolTime(taken);
  const request = { flora: on.flora, units: await units(), today: at.slice(0, 10) };
  if (asking.method === "GET") {
    const danger = /^\/dangers\/([a-z0-9-]+)$/.exec(rest);
    const evidence = /^\/evidence\/([a-z0-9-]+)\/([a-z0-9-]+)$/.exec(rest);
    const ask = rest === "" ? "view" : rest === "/points" ? "points" : danger ? "danger" : evidence ? "evidence" : null;
    if (!ask) throw new TypeError("It was not taken along.");
    const said = await answer({
      ...request,
      taken: on,
      ask,
      with: { taxon: danger?.[1] ?? "", for: evidence?.[1] ?? "", against: evidence?.[2] ?? "" },
    });
    return say(said.status, ask === "view" && said.status === 200 ? worded(said.body, taken, on) : said.body);
  }
  const entry = entryOf(asking, rest, at);
  if (!entry) return refuse(409, `This ${HERE}`);
  const said = await answer({ ...request, taken: on, entry, ask: "view" });
  if (said.status !== 200) return say(said.status, said.body);
  const next = { ...on, entries: [...on.entries, entry] };
  await enter(id, next, waiting(taken, sent(asking, entry), entry.do, on.view.specimen.tag, id));
  await told();
  return say(200, worded(said.body, taken, next));
}

/**
 * A score is sent with the moment it was recorded at: another request than the one that may have been under way, so with another
 * key. Its own id sees to it that it is one score.
 */
function sent(asking: Asking, entry: Entry): Asking {
  return entry.do === "score" ? { ...asking, body: JSON.stringify({ ...(entry.body as object), at: entry.at }), key: newId() } : asking;
}

/** On what an answer of this device rests. */
export type FieldWord = { at: string; until: string; engine: string; edition: string; hash: string; entries: number };

function worded(view: unknown, taken: Along, on: Taken): unknown {
  const flora = taken.floras.find((f) => f.hash === on.flora);
  const field: FieldWord = {
    at: on.lastWord.at,
    until: on.lastWord.until,
    engine: taken.engine,
    edition: flora?.edition ?? "",
    hash: on.flora,
    entries: on.entries.length,
  };
  return { ...(view as object), field };
}

/** An examination begun here, of a tree that was taken along or tagged here. */
async function begin(taken: Along, asking: Asking): Promise<Response> {
  const body = parsed(asking) as Schemas["NewExamination"];
  if (body.secondOf) return refuse(409, `A second look ${HERE}`);
  const store = await db();
  const tree = await store.get("trees", body.specimenId);
  const place = taken.places.find((p) => p.site.id === tree?.site.id);
  const session = JSON.parse((await store.get("answers", "/api/session")) ?? "{}") as Schemas["SessionView"];
  const flora = taken.floras.find((f) => f.name === session.user?.flora);
  if (!tree || !place || !session.user || !flora) return refuse(422, "This tree, or your flora, was not taken along.", "specimenId");
  const id = body.id ?? asking.key;
  const { date, stage, route, reach, kit, blind } = body;
  const view = {
    id,
    specimen: tree,
    examiner: session.user,
    mine: true,
    date,
    stage,
    flora: flora.name,
    route,
    reach,
    kit,
    signed: false,
    namesCovered: blind,
    hopeCovered: false,
    claim: null,
    conditions: {},
    secondOf: null,
    unprejudiced: true,
    dateReason: "",
    reconsideredBecause: null,
    handedOver: [],
    scores: [],
    harvests: [],
    decisions: [],
    inSight: [],
    asleep: [],
  };
  const { latitude, longitude, altitude } = place.site;
  const on = {
    view,
    told: {
      flora: flora.name,
      date,
      place: { latitude, longitude, altitude_m: altitude },
      stage,
      examiner: taken.as,
      by: taken.person,
      reach,
      kit,
      seconds: [],
    },
    recorded: {},
    conditionsOn: {},
    rules: place.rules,
    at: taken.at,
    until: taken.until,
    flora: flora.hash,
    lastWord: { at: taken.at, until: taken.until },
    entries: body.claimTaxon ? [{ do: "change", body: { claimTaxon: body.claimTaxon, claimPart: body.claimPart }, at: schoolTime(taken) }] : [],
  } as unknown as Taken;
  const said = await answer({ flora: flora.hash, units: await units(), today: schoolTime(taken).slice(0, 10), taken: on, ask: "view" });
  if (said.status !== 200) return say(said.status, said.body);
  await enter(id, on, waiting(taken, { ...asking, body: JSON.stringify({ ...body, id }) }, "begin", tree.tag, id));
  await told();
  return say(200, worded(said.body, taken, on));
}

async function tag(taken: Along, asking: Asking): Promise<Response> {
  const body = parsed(asking) as Schemas["NewSpecimen"];
  const place = taken.places.find((p) => p.site.id === body.siteId);
  const tagged = body.tag.trim();
  if (!place) return refuse(422, "This place was not taken along.", "siteId");
  if (!/[\p{L}\p{N}]/u.test(tagged)) return refuse(422, "Give the tree a tag, such as K-07.", "tag");
  const store = await db();
  const same = (tree: Schemas["SpecimenView"]) => tree.tag.toLocaleLowerCase() === tagged.toLocaleLowerCase();
  if ((await store.getAll("trees")).some(same)) return refuse(422, "There is a tree with this tag already.", "tag");
  const tree = {
    id: body.id ?? asking.key,
    tag: tagged,
    whereabouts: body.whereabouts?.trim() ?? "",
    site: place.site,
    kind: "",
    kindName: "",
    danger: "unknown",
    gone: "",
    latitude: body.latitude ?? null,
    longitude: body.longitude ?? null,
  } as Schemas["SpecimenView"];
  const tx = store.transaction(["trees", "waiting"], "readwrite");
  await together(tx, [
    () => tx.objectStore("trees").put(tree),
    () => tx.objectStore("waiting").add(waiting(taken, { ...asking, body: JSON.stringify({ ...body, id: tree.id }) }, "tag", tagged)),
  ]);
  await told();
  return say(200, tree);
}

/** Something seen on a tree: it waits, and what is shown is as it was taken along. */
async function noted(taken: Along, asking: Asking, id: string, shows: "season" | "crops"): Promise<Response> {
  const store = await db();
  const [tree, view] = await Promise.all([store.get("trees", id), store.get("answers", `/api/specimens/${id}/${shows}`)]);
  if (!tree || !view) throw new TypeError("This tree was not taken along.");
  await store.add("waiting", waiting(taken, asking, shows === "season" ? "event" : "crop", tree.tag));
  await told();
  return new Response(view, { headers: { "Content-Type": "application/json" } });
}

async function picture(taken: Along, asking: Asking): Promise<Response> {
  const store = await db();
  const of = [...asking.url.searchParams].find(([name]) => ["tree", "score", "examination", "harvest", "batch"].includes(name));
  const on = of?.[0] === "examination" ? await store.get("examinations", of[1]) : undefined;
  const tree = of?.[0] === "tree" ? await store.get("trees", of[1]) : undefined;
  await store.add("waiting", waiting(taken, asking, "picture", on?.view.specimen.tag ?? tree?.tag ?? ""));
  await told();
  const size = { width: 0, height: 0, pixelsPerMillimetre: null };
  const session = JSON.parse((await store.get("answers", "/api/session")) ?? "{}") as Schemas["SessionView"];
  return say(200, {
    id: asking.key,
    type: asking.type,
    ...size,
    caption: asking.url.searchParams.get("caption") ?? "",
    takenOn: schoolTime(taken).slice(0, 10),
    by: session.user?.name ?? "",
    score: null,
    examination: of?.[0] === "examination" ? of[1] : null,
    harvest: null,
    permission: null,
    removed: false,
  });
}
