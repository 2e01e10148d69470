import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link, useParams } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { batchesQuery, batchQuery, useSession } from "../../api/queries";
import { Button, Dialog, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { DOUBT, STATE } from "../../words/batches";
import { weightWords } from "../../words/recipe";
import { capital, dayWords } from "../../words/text";
import { Pictures } from "../pictures/pictures";
import { OwnStep, Pots } from "./pots";
import { StepLine } from "./step-line";

type Batch = Schemas["BatchView"];

/** A batch: what it is of, step by step, and its jars. */
export default function BatchPage({ unit = false }: { unit?: boolean }) {
  const { id = "" } = useParams();
  const batch = useQuery(unit ? unitQuery(id) : batchQuery(id));
  if (batch.isPending) return <Loading what="the batch" />;
  if (batch.isError)
    return (
      <div className="p-5">
        <Trouble error={batch.error} />
        <Link to="/batches" className="mt-3 inline-block underline">
          To all that is made
        </Link>
      </div>
    );
  return <Page b={batch.data} jar={unit ? id : ""} />;
}

const unitQuery = (id: string) => ({
  queryKey: ["unit", id],
  queryFn: () => unwrap(client.GET("/api/units/{id}", { params: { path: { id } } })),
});

function Page({ b, jar }: { b: Batch; jar: string }) {
  const queries = useQueryClient();
  const session = useSession().data;
  const imperial = session?.user?.units === "imperial";
  const [calling, setCalling] = useState(false);
  const kept = (next: Batch) => {
    queries.setQueryData(batchQuery(b.id).queryKey, next);
    for (const key of [batchesQuery.queryKey, ["today"], ["unit"]]) void queries.invalidateQueries({ queryKey: key });
  };
  const found = b.units.find((u) => u.id === jar);
  const next = b.steps.find((s) => !s.doneAt);
  return (
    <article className="mx-auto max-w-4xl px-4 py-5 wide:px-6">
      <header className="double-rule flex flex-wrap items-end justify-between gap-3 pb-3">
        <div>
          <h1 className="text-2xl">{b.name}</h1>
          <p className="text-faded">
            <Link to={`/recipes/${b.recipe}`} className="underline">
              {b.recipeName}
            </Link>
            , {STATE[b.state]}
            {b.joinedInto && (
              <>
                :{" "}
                <Link to={`/batches/${b.joinedInto.id}`} className="underline">
                  {b.joinedInto.name}
                </Link>
              </>
            )}
            . Begun {dayWords(b.begunOn)} by {b.by}, with {weightWords(b.grams, imperial)} of {b.per}.
          </p>
          {(b.splitFrom ?? b.parts[0] ?? b.poured[0]) && (
            <p className="text-sm">
              {b.splitFrom && (
                <>
                  {b.splitFrom.percent} % of <Kin of={b.splitFrom} />, taken out of it.{" "}
                </>
              )}
              {b.parts.map((k) => (
                <span key={k.id}>
                  {k.percent} % went on by itself as <Kin of={k} />.{" "}
                </span>
              ))}
              {b.poured.map((k) => (
                <span key={k.id}>
                  <Kin of={k} /> was put to it.{" "}
                </span>
              ))}
            </p>
          )}
        </div>
        {b.mayRecall && (
          <Button className="print:hidden" onClick={() => setCalling(true)}>
            Call it back
          </Button>
        )}
      </header>
      {found && (
        <p className={`mt-3 border-2 p-3 font-semibold ${found.recalledAt ? "border-berry text-berry" : "border-ink bg-sheet"}`}>
          Jar {found.number}: {found.contents}.{" "}
          {found.recalledAt ? `Called back: ${found.recalledBecause}` : `Best before ${dayWords(found.bestBefore)}.`}
        </p>
      )}
      {b.doubt && (
        <p role="alert" className="mt-3 border-l-4 border-berry pl-3 font-semibold text-berry">
          {DOUBT[b.doubt]} Nothing of this is labelled, and nobody eats of it.
        </p>
      )}
      {b.changed && <p className="mt-2 text-sm text-faded">The recipe has another edition by now; this follows the one it was begun with.</p>}
      <section className="mt-4">
        <h2 className="border-b border-ink pb-1 text-lg">What it is made of</h2>
        <ul>
          {b.sources.map((s) => (
            <li key={s.harvest} className="rule-b py-1.5" data-source={s.tag}>
              <strong>{capital(s.name)}</strong> <em className="font-book">{s.latin}</em>, {s.label}: {s.share < 100 && `${s.share} % of `}
              {s.amount}, from{" "}
              <Link to={`/trees/${s.tree}`} className="underline">
                {s.tag}
              </Link>{" "}
              ({s.site}), taken {dayWords(s.takenOn)} by {s.takenBy};{" "}
              <Link to={`/decisions/${s.decision}`} className="underline">
                cleared {dayWords(s.decidedOn)}
              </Link>
              , examined by {s.examiner}.{s.doubt && <span className="block text-sm font-semibold text-berry">{DOUBT[s.doubt]}</span>}
            </li>
          ))}
        </ul>
      </section>
      <section className="mt-4">
        <h2 className="border-b border-ink pb-1 text-lg">Step by step</h2>
        <ol>
          {b.steps.map((s) => (
            <StepLine key={`${s.place} ${s.step.name}`} batch={b} s={s} open={s === next && b.mayWork} imperial={imperial} onKept={kept} />
          ))}
        </ol>
        {b.recipe === "firewood" && b.state === "running" && b.sources[0] && (
          <Link to={`/reckon?taxon=${b.sources[0].taxon}&since=${b.begunOn}`} className="inline-flex min-h-11 items-center underline print:hidden">
            How far it has dried, by a station’s weather
          </Link>
        )}
        {b.mayWork && <OwnStep b={b} onKept={kept} />}
      </section>
      {b.mayWork && b.units.length === 0 && <Pots b={b} imperial={imperial} onKept={kept} />}
      <Jars b={b} onKept={kept} />
      {b.note && (
        <p className="mt-4">
          <strong>Next time:</strong> {b.note}
        </p>
      )}
      <div className="mt-4 print:hidden">
        <Pictures of={{ batch: b.id }} mayAdd={session?.user?.role !== "guest"} title="Pictures" />
      </div>
      {b.mayWork && <End b={b} onKept={kept} />}
      <Dialog
        open={calling}
        onOpenChange={setCalling}
        title={`Call back ${b.name}`}
        description="All its jars are marked, and none is labelled any more. Nobody undoes this."
      >
        <CallBack what="batch" about={b.id} onDone={() => void queries.invalidateQueries()} />
      </Dialog>
    </article>
  );
}

const Kin = ({ of }: { of: Schemas["BatchKinView"] }) => (
  <Link to={`/batches/${of.id}`} className="underline">
    {of.name}
  </Link>
);

/** Jars with labels, and who has them. */
function Jars({ b, onKept }: { b: Batch; onKept: (next: Batch) => void }) {
  const today = useSession().data?.today ?? "";
  const [form, setForm] = useState({ count: "", contents: b.name, bestBefore: "" });
  const label = useMutation({
    mutationFn: () =>
      unwrap(
        client.POST("/api/batches/{id}/units", {
          params: { path: { id: b.id } },
          body: { count: Number(form.count), contents: form.contents, bestBefore: form.bestBefore },
        }),
      ),
    onSuccess: onKept,
  });
  const give = useMutation({
    mutationFn: ({ unit, to }: { unit: string; to: string }) =>
      unwrap(client.PUT("/api/units/{id}/given-to", { params: { path: { id: unit } }, body: { givenTo: to } })),
    onSuccess: onKept,
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    label.mutate();
  };
  const error = label.error ?? give.error;
  return (
    <section className="mt-4">
      <h2 className="border-b border-ink pb-1 text-lg">Jars</h2>
      {b.units.length === 0 && <p className="py-2 text-faded">None is labelled yet.</p>}
      <ul>
        {b.units.map((u) => (
          <li key={u.id} className="rule-b flex flex-wrap items-center justify-between gap-x-3 py-1" data-jar={u.number}>
            <span>
              <strong>{u.number}</strong> {u.contents}, best before {dayWords(u.bestBefore)}
              {u.recalledAt && <strong className="block text-berry">Called back: {u.recalledBecause}</strong>}
            </span>
            <span className="w-56 print:hidden">
              <input
                className={fieldClass}
                aria-label={`Who has jar ${u.number}`}
                placeholder="who has it"
                maxLength={200}
                defaultValue={u.givenTo}
                disabled={u.recalledAt != null}
                onBlur={(e) => e.target.value !== u.givenTo && give.mutate({ unit: u.id, to: e.target.value })}
              />
            </span>
          </li>
        ))}
      </ul>
      {b.units.some((u) => !u.recalledAt) && !b.doubt && (
        <Link to={`/batches/${b.id}/labels`} className="inline-flex min-h-11 items-center underline print:hidden">
          Print the labels
        </Link>
      )}
      {b.mayWork && !b.doubt && !b.isThrough && <p className="text-sm text-faded">Labels come when all its steps are done.</p>}
      {b.mayWork && !b.doubt && b.isThrough && (
        <form onSubmit={submit} className="mt-2 flex flex-wrap items-end gap-2 print:hidden">
          <div className="w-24">
            <Field label="How many">
              <input
                className={fieldClass}
                name="jars"
                type="number"
                min="1"
                max="200"
                required
                value={form.count}
                onChange={(e) => setForm({ ...form, count: e.target.value })}
              />
            </Field>
          </div>
          <div className="w-72">
            <Field label="What is in each, and how much">
              <input
                className={fieldClass}
                name="contents"
                required
                maxLength={120}
                value={form.contents}
                onChange={(e) => setForm({ ...form, contents: e.target.value })}
              />
            </Field>
          </div>
          <div className="w-44">
            <Field label="Best before" hint={`At the longest ${dayWords(b.keepsUntil)}`}>
              <input
                className={fieldClass}
                name="best-before"
                type="date"
                required
                min={today}
                max={b.keepsUntil}
                value={form.bestBefore}
                onChange={(e) => setForm({ ...form, bestBefore: e.target.value })}
              />
            </Field>
          </div>
          <Button type="submit" disabled={label.isPending}>
            Label them
          </Button>
        </form>
      )}
      {b.keeping.length > 0 && b.units.length === 0 && (
        <p className="text-sm text-faded">
          It keeps:{" "}
          {b.keeping
            .map((k) => `${k.as} ${k.for.least === k.for.most ? k.for.most : `${k.for.least} to ${k.for.most}`} ${k.for.unit}, ${k.where}`)
            .join("; ")}
          .
        </p>
      )}
      {error && <Trouble error={error} />}
    </section>
  );
}

function End({ b, onKept }: { b: Batch; onKept: (next: Batch) => void }) {
  const [note, setNote] = useState("");
  const end = useMutation({
    mutationFn: (givenUp: boolean) => unwrap(client.POST("/api/batches/{id}/end", { params: { path: { id: b.id } }, body: { givenUp, note } })),
    onSuccess: onKept,
  });
  return (
    <section className="mt-5 space-y-2 border-t border-rule pt-3 print:hidden">
      <Field label="What to do otherwise next time">
        <textarea className={`${fieldClass} min-h-20`} name="next-time" maxLength={1000} value={note} onChange={(e) => setNote(e.target.value)} />
      </Field>
      {end.error && <Trouble error={end.error} />}
      <div className="flex flex-wrap gap-2">
        <Button tone="ink" disabled={end.isPending} onClick={() => end.mutate(false)}>
          It is finished
        </Button>
        {b.units.length === 0 && (
          <Button disabled={end.isPending} onClick={() => end.mutate(true)}>
            It came to nothing
          </Button>
        )}
      </div>
    </section>
  );
}

/** One press, and all it touched is called back. */
export function CallBack({ what, about, onDone }: { what: Schemas["RecallOf"]; about: string; onDone: () => void }) {
  const [because, setBecause] = useState("");
  const recall = useMutation({
    mutationFn: () => unwrap(client.POST("/api/recalls", { body: { what, about, because } })),
    onSuccess: onDone,
  });
  if (recall.isSuccess)
    return (
      <p role="status">
        Called back: {recall.data[0]?.units.length ?? 0} jars.{" "}
        <Link to="/recalls" className="underline">
          The list
        </Link>
      </p>
    );
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        recall.mutate();
      }}
      className="space-y-3"
    >
      <Field label="Why">
        <input className={fieldClass} name="recall-because" required maxLength={500} value={because} onChange={(e) => setBecause(e.target.value)} />
      </Field>
      {recall.error && <Trouble error={recall.error} />}
      <Button type="submit" tone="ink" disabled={recall.isPending}>
        Call all of it back
      </Button>
    </form>
  );
}
