import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { adoptedQuery } from "../../api/queries";
import { Button, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { capital, dayWords, MONTHS } from "../../words/text";
import { LearnNav } from "../learning/learn-nav";
import { AddPicture } from "../pictures/pictures";
import { TreeByTag } from "../sheet/enter";

type Adopted = Schemas["AdoptedTreeView"];

/** One tree, a whole year: what this month can show, and an album at the end. */
export default function MyTree() {
  const trees = useQuery(adoptedQuery);
  const queries = useQueryClient();
  const kept = (next: Schemas["AdoptedTreesView"]) => queries.setQueryData(adoptedQuery.queryKey, next);
  const [printing, setPrinting] = useState("");
  const [tree, setTree] = useState("");
  const adopt = useMutation({
    mutationFn: () => unwrap(client.POST("/api/adopted", { body: { id: newId(), tree } })),
    onSuccess: (next) => {
      setTree("");
      kept(next);
    },
  });
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6 print:max-w-none print:p-0">
      <style>{"@page { size: A5 portrait; margin: 12mm }"}</style>
      <div className="print:hidden">
        <PageHead
          title="One tree, a whole year"
          lead="Once a month ten minutes at the same tree: what can be seen now that nobody has looked at yet."
        />
        <LearnNav />
      </div>
      {trees.isPending && <Loading what="the trees" />}
      {trees.isError && <Trouble error={trees.error} retry={() => void trees.refetch()} />}
      {trees.data?.trees.map((t) => (
        <div key={t.id} className={printing && printing !== t.id ? "print:hidden" : ""}>
          <One
            adopted={t}
            onKept={kept}
            onPrint={() => {
              setPrinting(t.id);
              setTimeout(() => print(), 50);
            }}
          />
        </div>
      ))}
      {trees.data && !trees.data.trees.some((t) => t.isOwn && !t.endedOn) && (
        <form
          className="mt-6 flex flex-wrap items-end gap-3 print:hidden"
          aria-label="Adopt a tree"
          onSubmit={(e) => {
            e.preventDefault();
            adopt.mutate();
          }}
        >
          <div className="min-w-60 flex-1">
            <TreeByTag onFound={setTree} />
          </div>
          <Button type="submit" tone="ink" disabled={tree === "" || adopt.isPending}>
            Look at it for a year
          </Button>
          {adopt.error && <Trouble error={adopt.error} />}
        </form>
      )}
    </div>
  );
}

function One({ adopted: t, onKept, onPrint }: { adopted: Adopted; onKept: (next: Schemas["AdoptedTreesView"]) => void; onPrint: () => void }) {
  const queries = useQueryClient();
  const [text, setText] = useState(t.today);
  const params = { path: { id: t.id } };
  const note = useMutation({
    mutationFn: () => unwrap(client.PUT("/api/adopted/{id}/note", { params, body: { text } })),
    onSuccess: onKept,
  });
  const end = useMutation({ mutationFn: () => unwrap(client.DELETE("/api/adopted/{id}", { params })), onSuccess: onKept });
  return (
    <section aria-label={`${t.tag}, ${t.by}`} className="mt-6" data-adopted={t.tag}>
      <h2 className="double-rule flex flex-wrap items-baseline gap-x-4 pb-1 text-xl">
        <Link to={`/trees/${t.tree}`} className="underline underline-offset-4 print:no-underline">
          {t.tag}
        </Link>
        <span>{t.kind}</span>
        <span className="text-base font-normal text-faded">
          {t.site}
          {t.whereabouts && `, ${t.whereabouts}`}; {t.by}, since {dayWords(t.since)}
          {t.endedOn && ` until ${dayWords(t.endedOn)}`}
        </span>
        <Button className="ml-auto text-base print:hidden" onClick={onPrint}>
          Print the album
        </Button>
      </h2>
      {t.isOwn && !t.endedOn && (
        <div className="mt-3 grid gap-x-8 gap-y-4 wide:grid-cols-2 print:hidden">
          <div>
            <h3 className="font-bold">To be seen this month, and nobody has looked</h3>
            {t.wanted.length === 0 && <p className="py-1 text-faded">All that this month shows has been looked at. Look whether it is still so.</p>}
            <ul>
              {t.wanted.map((w) => (
                <li key={w.character} className="rule-b py-1.5">
                  <strong>{capital(w.label)}</strong>{" "}
                  <span className="text-sm text-faded">
                    {w.organ}
                    {w.isSeason && "; not all the year"}
                  </span>
                  <span className="block text-sm">{w.question}</span>
                </li>
              ))}
            </ul>
            <Link to={`/examine?tree=${t.tree}`} className="mt-1 inline-flex min-h-11 items-center underline underline-offset-4">
              Look, and put it in
            </Link>
          </div>
          <div className="space-y-3">
            <Field label="What you see today">
              <textarea
                className={`${fieldClass} h-28`}
                name="adopted-note"
                maxLength={1000}
                value={text}
                onChange={(e) => setText(e.target.value)}
              />
            </Field>
            <div className="flex flex-wrap items-center gap-3">
              <Button tone="ink" disabled={note.isPending} onClick={() => note.mutate()}>
                Keep it
              </Button>
              {note.isSuccess && <span role="status">Kept.</span>}
              <AddPicture
                of={{ tree: t.tree }}
                label="Add a picture"
                onAdded={() => void queries.invalidateQueries({ queryKey: adoptedQuery.queryKey })}
              />
              <Button disabled={end.isPending} onClick={() => end.mutate()}>
                The year is over
              </Button>
            </div>
            {(note.error ?? end.error) && <Trouble error={(note.error ?? end.error) as Error} />}
          </div>
        </div>
      )}
      <div className="mt-4 space-y-4">
        {t.months.length === 0 && <p className="text-faded">Nothing in the album yet.</p>}
        {t.months.map((m) => (
          <section key={m.month} aria-label={m.month} className="break-inside-avoid">
            <h3 className="border-b border-ink font-bold">
              {MONTHS[Number(m.month.slice(5)) - 1]} {m.month.slice(0, 4)}
            </h3>
            {m.pictures.length > 0 && (
              <div className="flex flex-wrap gap-2 py-1">
                {m.pictures.map((p) => (
                  <img
                    key={p.id}
                    src={`/api/pictures/${p.id}/thumb`}
                    alt={p.caption || `Picture of ${dayWords(p.on)}`}
                    className="h-28 border border-ink print:h-[45mm]"
                  />
                ))}
              </div>
            )}
            <ul>
              {m.notes.map((n) => (
                <li key={n} className="py-0.5 font-book">
                  {said(n)}
                </li>
              ))}
              {m.events.map((n) => (
                <li key={n} className="py-0.5 text-sm">
                  {said(n)}
                </li>
              ))}
            </ul>
            {m.looked.length > 0 && <p className="text-sm text-faded">Looked at: {m.looked.join(", ")}.</p>}
          </section>
        ))}
      </div>
    </section>
  );
}

/** "2027-03-20: text" as it is read. */
const said = (line: string) => `${dayWords(line.slice(0, 10))}: ${line.slice(12)}`;
