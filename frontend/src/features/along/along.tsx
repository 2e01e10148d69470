import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { client, type Schemas, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { floraQuery, plannedDaysQuery, sitesQuery, useSession } from "../../api/queries";
import { follow } from "../../field/follow";
import { type Along, along, db, putDown, type Waiting, waitingEntries } from "../../field/store";
import { canBeTaken, takeAlong } from "../../field/take";
import { Button, Choices, Dialog, Loading, Trouble } from "../../ui/controls";
import { dayWords } from "../../words/text";
import { useStanding } from "./strip";
import { entryWords, hour, megabytes } from "./words";

const alongQuery = { queryKey: ["along"], queryFn: async () => ({ along: (await along()) ?? null, waiting: await waitingEntries() }) };

/** What goes into the wood: all that a decision needs, on this device; and what was entered there and waits. */
export default function AlongPage() {
  const standing = useStanding();
  const here = useQuery({
    ...alongQuery,
    queryKey: ["along", standing.waiting, standing.refused, standing.handedIn],
    gcTime: 0,
    staleTime: 0,
    placeholderData: keepPreviousData, // the list does not vanish while it is read again
  });
  if (here.isPending) return <Loading what="what is here" />;
  if (here.isError) return <Trouble error={here.error} retry={() => void here.refetch()} />;
  const { along: taken, waiting } = here.data;
  const refused = waiting.filter((w) => w.refused);
  const ready = waiting.filter((w) => !w.refused);
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <h1 className="double-rule pb-2 text-2xl">Taken along</h1>
      <div className="mt-4 grid grid-cols-1 gap-8 wide:grid-cols-2">
        <section>
          <h2 className="border-b border-ink pb-1 text-lg">On this device</h2>
          {taken ? <Here taken={taken} /> : <p className="py-2">Nothing yet. Without a network this device can only say that it has none.</p>}
          <Take taken={taken} waits={ready.length > 0} changed={() => void here.refetch()} />
        </section>
        <div className="space-y-8">
          {refused.length > 0 && <NotTaken entries={refused} changed={() => void here.refetch()} />}
          <section>
            <h2 className="border-b border-ink pb-1 text-lg">Waits to be handed in</h2>
            {ready.length === 0 ? (
              <p className="py-2 text-faded">Nothing waits: the server knows all that was entered here.</p>
            ) : (
              <>
                <Entries entries={ready} />
                <HandIn changed={() => void here.refetch()} />
              </>
            )}
          </section>
        </div>
      </div>
    </div>
  );
}

function Here({ taken }: { taken: Along }) {
  const today = useSession().data?.today ?? "";
  const old = today > taken.until;
  return (
    <div className="py-2">
      <p>
        Last heard from the server on <strong>{dayWords(taken.at.slice(0, 10))}</strong>, {hour(taken.at)}. Good until{" "}
        <strong className={old ? "text-berry" : ""}>{dayWords(taken.until)}</strong>
        {old && ": that is over, and no gate opens by it any more"}. It takes {megabytes(taken.bytes)} here.
      </p>
      <ul className="mt-2 text-sm">
        {taken.floras.map((f) => (
          <li key={f.hash} className="rule-b py-1">
            <strong>{f.title}</strong>, edition {f.edition} <span className="figures text-faded">{f.hash.slice(0, 12)}</span>
          </li>
        ))}
        {taken.places.map((p) => (
          <li key={p.site.id} className="rule-b py-1">
            {p.site.name}:{" "}
            {p.site.permission === true
              ? `permission${p.site.permissionUntil ? ` until ${dayWords(p.site.permissionUntil)}` : ""}`
              : p.site.permission === false
                ? "no permission"
                : "permission not asked"}
          </li>
        ))}
        <li className="py-1 text-faded">Rules {taken.engine}: the server’s own, run on this device.</li>
      </ul>
    </div>
  );
}

/** One press; how large and until when stands on it. */
function Take({ taken, waits, changed }: { taken: Along | null; waits: boolean; changed: () => void }) {
  const sites = useQuery(sitesQuery);
  const days = useQuery(plannedDaysQuery);
  const size = useQuery({ queryKey: ["field-size"], queryFn: () => unwrap(client.GET("/api/field/size")), retry: false });
  const [chosen, setChosen] = useState<string[] | null>(null);
  const [share, setShare] = useState({ share: 0, what: "" });
  const [asking, setAsking] = useState(false);
  const queries = useQueryClient();
  const next = days.data?.[0];
  const all = (sites.data ?? []).map((s) => s.id);
  const where = chosen ?? (taken ? taken.places.map((p) => p.site.id) : next && next.sites.length > 0 ? next.sites : all);
  const take = useMutation({
    mutationFn: () => takeAlong(where, (at, what) => setShare({ share: at, what })),
    onSuccess: async () => {
      const [{ watch }] = await Promise.all([import("../../field/fetch")]);
      watch();
      void queries.invalidateQueries();
      changed();
    },
  });
  const leave = useMutation({
    mutationFn: putDown,
    onSuccess: () => {
      setAsking(false);
      changed();
    },
  });
  if (!canBeTaken())
    return (
      <p className="border-l-4 border-ink py-2 pl-3">
        This browser cannot keep pages and rules. It needs a secure address (https) and a newer browser.
      </p>
    );
  return (
    <div className="space-y-3 py-3">
      <Choices
        label={`Where you go${next && !chosen && !taken ? `: as kept for ${dayWords(next.day)}` : ""}`}
        value={where}
        options={(sites.data ?? []).map((s) => ({ value: s.id, label: s.name }))}
        onChange={setChosen}
      />
      <p className="text-sm text-faded">
        With it go your own open and cleared examinations, your flora with its species pages, the rules, and what owners allow at these places.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button
          tone="ink"
          className="whitespace-normal!"
          disabled={take.isPending || waits || where.length === 0}
          onClick={() => take.mutate()}
          data-take
        >
          {take.isPending
            ? `${Math.round(share.share * 100)} %: ${share.what}`
            : `${taken ? "Take along anew" : "Take along"}${size.data ? ` (about ${megabytes(size.data.bytes)}, good until ${dayWords(size.data.until)})` : ""}`}
        </Button>
        {taken && (
          <Button disabled={leave.isPending} onClick={() => setAsking(true)}>
            Put it down
          </Button>
        )}
      </div>
      {waits && <p className="text-sm">What waits goes first: hand it in, then take along anew.</p>}
      {take.isPending && (
        <progress className="h-2 w-full accent-(--ink)" value={share.share} max={1} aria-label="How far it is">
          {Math.round(share.share * 100)} %
        </progress>
      )}
      {take.error && <Trouble error={take.error} retry={() => take.mutate()} />}
      <Dialog
        open={asking}
        onOpenChange={setAsking}
        title="Put down what was taken along?"
        description="Trees, rules and flora leave this device. What the server has stays there; what waits here and was not handed in is lost."
      >
        <div className="flex justify-end gap-2">
          <Button onClick={() => setAsking(false)}>Keep it</Button>
          <Button tone="ink" disabled={leave.isPending} onClick={() => leave.mutate()}>
            Put it down
          </Button>
        </div>
      </Dialog>
    </div>
  );
}

function Entries({ entries }: { entries: Waiting[] }) {
  const flora = useQuery(floraQuery());
  const characters = new Map((flora.data?.characters ?? []).map((c) => [c.id, c]));
  return (
    <ol>
      {entries.map((w) => (
        <li key={w.seq} className="rule-b flex justify-between gap-3 py-1.5" data-waiting={w.what}>
          <span className="min-w-0 break-words">
            {w.tag && <strong>{w.tag} </strong>}
            {entryWords(w, characters)}
            {w.refused && <span className="block text-sm text-berry">{w.refused}</span>}
          </span>
          <span className="figures text-sm text-faded">
            {dayWords(w.at.slice(0, 10))}, {hour(w.at)}
          </span>
        </li>
      ))}
    </ol>
  );
}

function HandIn({ changed }: { changed: () => void }) {
  const hand = useMutation({ mutationFn: follow, onSettled: changed });
  return (
    <div className="space-y-2 py-3">
      <Button disabled={hand.isPending} onClick={() => hand.mutate()}>
        {hand.isPending ? "Handing in …" : "Hand in now"}
      </Button>
      {hand.data === "away" && <p role="status">The server still cannot be reached. All of it stays here, and goes by itself when it can.</p>}
      {hand.data === "signed-out" && <p role="status">Sign in again; then it goes.</p>}
      {hand.data === "somebody-else" && <p role="status">It was entered by somebody else, and goes when that person is signed in on this device.</p>}
    </div>
  );
}

/** Nothing of it is lost: it is tried again, recorded anew, saved as a file, or laid aside by hand. */
function NotTaken({ entries, changed }: { entries: Waiting[]; changed: () => void }) {
  const queries = useQueryClient();
  const [aside, setAside] = useState(false);
  const again = useMutation({
    mutationFn: async () => {
      const store = await db();
      for (const { refused: _, ...entry } of entries) await store.put("waiting", entry);
      await follow();
    },
    onSettled: changed,
  });
  const recorded = useMutation({
    mutationFn: () => recordAnew(entries),
    onSettled: () => {
      void queries.invalidateQueries();
      changed();
    },
  });
  const lay = useMutation({
    mutationFn: async () => {
      const store = await db();
      for (const { seq } of entries) await store.delete("waiting", seq as number);
    },
    onSuccess: () => {
      setAside(false);
      changed();
    },
  });
  const scores = entries.filter((w) => w.what === "score");
  return (
    <section>
      <h2 className="border-b-2 border-berry pb-1 text-lg text-berry">Could not be taken</h2>
      <p className="py-2 text-sm">
        The server has not stored these. They stay here until you decide. What was taken from a tree on a gate that did not hold is not eaten, worked
        or given away before an instructor has looked at it.
      </p>
      <Entries entries={entries} />
      <div className="flex flex-wrap gap-2 py-3">
        <Button disabled={again.isPending} onClick={() => again.mutate()}>
          Try again
        </Button>
        {scores.length > 0 && (
          <Button disabled={recorded.isPending} onClick={() => recorded.mutate()}>
            Record the scores in a new examination
          </Button>
        )}
        <Button onClick={() => save(entries)}>Save as a file</Button>
        <Button onClick={() => setAside(true)}>Lay aside</Button>
      </div>
      {again.error && <Trouble error={again.error} />}
      {recorded.error && <Trouble error={recorded.error} />}
      <Dialog
        open={aside}
        onOpenChange={setAside}
        title="Lay these entries aside?"
        description="They leave this device and are nowhere else. Save them as a file first if anybody may still want them."
      >
        <div className="flex justify-end gap-2">
          <Button onClick={() => setAside(false)}>Keep them</Button>
          <Button tone="ink" disabled={lay.isPending} onClick={() => lay.mutate()}>
            Lay aside
          </Button>
        </div>
      </Dialog>
    </section>
  );
}

/** The scores of each examination that did not take them, in one of their own. Each leaves this device when it is stored. */
async function recordAnew(entries: Waiting[]) {
  const store = await db();
  for (const id of new Set(entries.filter((w) => w.what === "score").map((w) => w.examination))) {
    const old = await unwrap(client.GET("/api/examinations/{id}", { params: { path: { id } } }));
    const { specimen, stage, route, reach, kit } = old;
    const scores = entries.filter((w) => w.what === "score" && w.examination === id);
    const begun = await unwrap(
      client.POST("/api/examinations", {
        body: {
          id: newId(),
          specimenId: specimen.id,
          date: scores[0]?.at.slice(0, 10) ?? old.date,
          stage,
          route: route as NonNullable<Schemas["NewExamination"]["route"]>,
          reach,
          kit,
          blind: false,
          claimTaxon: old.claim?.taxon ?? null,
          claimPart: old.claim?.part ?? null,
          secondOf: null,
        },
      }),
    );
    for (const w of scores) {
      const body = JSON.parse(w.body as string) as Schemas["NewScore"];
      await unwrap(client.POST("/api/examinations/{id}/scores", { params: { path: { id: begun.id } }, body: { ...body, id: newId() } }));
      await store.delete("waiting", w.seq as number);
    }
  }
}

function save(entries: Waiting[]) {
  const plain = entries.map(({ body, ...w }) => ({ ...w, body: typeof body === "string" ? JSON.parse(body || "null") : body && "a picture" }));
  const link = document.createElement("a");
  link.href = URL.createObjectURL(new Blob([JSON.stringify(plain, null, 2)], { type: "application/json" }));
  link.download = "not-taken.json";
  link.click();
  URL.revokeObjectURL(link.href);
}
