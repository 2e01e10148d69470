import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { surveyQuery } from "../../api/queries";
import { Button, Choice, Choices, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { COUNT, GAP, gapWords, MARKS_OF, SEEN, SETTLED, SHEET } from "../../words/ground";
import { dayWords, MONTHS } from "../../words/text";
import { GroundNav } from "./ground-nav";
import { KindField } from "./kind-field";
import { NewStand } from "./new-stand";
import { Sheets } from "./sheets";

type Survey = Schemas["SurveyView"];
type Walked = Schemas["WalkedTreeView"];
type Mark = Schemas["SeenMark"];

/** One walk: each tree in a press or a few, and its three sheets below. */
export default function SurveyPage() {
  const { id = "" } = useParams();
  const survey = useQuery(surveyQuery(id));
  const queries = useQueryClient();
  const put = (next: Survey) => {
    queries.setQueryData(["survey", id], next);
    void queries.invalidateQueries({ queryKey: ["surveys"] });
  };
  const close = useMutation({
    mutationFn: () => unwrap(client.POST("/api/surveys/{id}/close", { params: { path: { id } } })),
    onSuccess: put,
  });
  const [shown, setShown] = useState<"walk" | "sheets" | null>(null);
  if (survey.isPending) return <Loading what="the walk" />;
  if (survey.isError) return <Trouble error={survey.error} retry={() => void survey.refetch()} />;
  const walk = survey.data;
  const view = shown ?? (walk.isClosed ? "sheets" : "walk");
  const month = MONTHS[Number(walk.on.slice(5, 7)) - 1] ?? "";
  return (
    <div className="mx-auto max-w-5xl px-3 py-4 wide:px-6">
      <h1 className="text-2xl">{walk.site}</h1>
      <p className="text-sm text-faded">
        Walked {dayWords(walk.on)} by {walk.by}, due again {dayWords(walk.dueOn)}.
      </p>
      <div className="hidden wide:block">
        <GroundNav />
      </div>
      <div className="mt-3 flex flex-wrap items-end justify-between gap-2 print:hidden">
        <Choice
          label="What is shown"
          hideLabel
          value={view}
          options={[
            { value: "walk", label: "The walk" },
            { value: "sheets", label: "Three sheets" },
          ]}
          onChange={setShown}
        />
        <div className="flex flex-wrap gap-2">
          <Button
            onClick={() => {
              setShown("sheets");
              setTimeout(() => print(), 50);
            }}
          >
            Print
          </Button>
          <a className="inline-flex min-h-11 items-center rounded-sm border border-ink px-3" href={`/api/surveys/${id}.geojson`} download>
            GeoJSON
          </a>
          <a className="inline-flex min-h-11 items-center rounded-sm border border-ink px-3" href={`/api/surveys/${id}.csv`} download>
            CSV
          </a>
        </div>
      </div>
      <p role="status" className="my-3 border-b border-ink pb-2 font-bold print:hidden" data-left={walk.left}>
        {walk.left === 0 ? "All looked at" : `${walk.left} of ${walk.trees.length} to come by`}
        {walk.open > 0 && <span className="text-ochre">; {walk.open} looked at and not settled</span>}.
      </p>
      {view === "sheets" ? (
        <Sheets walk={walk} month={month} />
      ) : (
        <>
          {walk.trees.length === 0 && (
            <p className="py-3">
              No tree of this place bears a tag yet. Note stands, or{" "}
              <Link to="/trees" className="underline underline-offset-4">
                tag trees
              </Link>
              .
            </p>
          )}
          <ul>
            {walk.trees.map((tree) => (
              <Tree key={tree.tree} walk={walk} tree={tree} month={month} onKept={put} />
            ))}
          </ul>
          {!walk.isClosed && (
            <>
              <NewStand walk={walk} onKept={put} />
              {close.error && <Trouble error={close.error} />}
              <Button
                tone="ink"
                className="mt-6 w-full"
                disabled={close.isPending}
                onClick={() => close.mutate(undefined, { onSuccess: () => setShown("sheets") })}
              >
                {walk.left === 0 ? "Close the walk" : `Close the walk; ${walk.left} stay open on its sheets`}
              </Button>
            </>
          )}
        </>
      )}
    </div>
  );
}

function Tree({ walk, tree, month, onKept }: { walk: Survey; tree: Walked; month: string; onKept: (next: Survey) => void }) {
  const [open, setOpen] = useState(false);
  const path = { params: { path: { id: walk.id } } };
  const keep = useMutation({
    mutationFn: (body: { of: string; gap: Schemas["Gap"] | null; marks: Mark[]; note: string }) =>
      unwrap(client.PUT("/api/surveys/{id}/looks", { ...path, body: { tree: tree.tree, ...body } })),
    onSuccess: onKept,
  });
  const undo = useMutation({
    mutationFn: () => unwrap(client.DELETE("/api/surveys/{id}/looks/{tree}", { params: { path: { id: walk.id, tree: tree.tree } } })),
    onSuccess: onKept,
  });
  const now = { of: tree.of, gap: tree.gap ?? null, marks: tree.marks, note: tree.note };
  const worst = tree.reasons.find((r) => r.sheet === "dangers" && (r.severity === "deadly" || r.severity === "serious"));
  return (
    <li className="rule-b py-1.5" data-walked={tree.label}>
      <div className="flex flex-wrap items-center gap-x-3">
        <button
          type="button"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          className="flex min-h-11 flex-1 flex-wrap items-center gap-x-3 text-left hover:bg-pressed"
        >
          <strong>{tree.label}</strong>
          {tree.isStand && <span className="text-sm text-faded">{COUNT[tree.count]}</span>}
          {tree.kind ? (
            <span>
              {tree.kind}
              {tree.settled !== "examined" && <span className="text-sm text-faded"> ({SETTLED[tree.settled].split(";")[0]})</span>}
            </span>
          ) : (
            <span className="text-ochre">{tree.gap ? gapWords(tree.gap, month) : "not settled"}</span>
          )}
          {worst && <span className="text-sm text-berry">{worst.severity}</span>}
          {tree.marks.length > 0 && <span className="text-sm">{tree.marks.map((m) => SEEN[m]).join(", ")}</span>}
        </button>
        {tree.look == null && !walk.isClosed ? (
          <Button aria-label={`${tree.label}: nothing new`} disabled={keep.isPending} onClick={() => keep.mutate(now)}>
            nothing new
          </Button>
        ) : tree.look == null ? (
          <span className="text-ochre">not come by</span>
        ) : (
          <span aria-hidden="true" className="px-2 text-lg">
            ✓
          </span>
        )}
      </div>
      {keep.error && <Trouble error={keep.error} />}
      {open && (
        <div className="space-y-3 py-2 pl-3">
          {tree.whereabouts && <p className="text-sm text-faded">{tree.whereabouts}</p>}
          {walk.isClosed ? (
            tree.note && <p>“{tree.note}”</p>
          ) : (
            <>
              {Object.entries(MARKS_OF).map(([sheet, marks]) => (
                <Choices
                  key={sheet}
                  label={SHEET[sheet as Schemas["Sheet"]]}
                  value={tree.marks}
                  options={marks.map((value) => ({ value, label: SEEN[value] }))}
                  onChange={(chosen) =>
                    keep.mutate({
                      ...now,
                      marks: [...tree.marks.filter((m) => !marks.includes(m)), ...(chosen.filter((m) => marks.includes(m as Mark)) as Mark[])],
                    })
                  }
                />
              ))}
              {tree.settled !== "examined" && (
                <div className="grid gap-3 wide:grid-cols-2">
                  {!tree.isStand && (
                    <KindField
                      label="By a short look"
                      hint="For this list only: nothing is taken on it."
                      groups={walk.groups}
                      value={tree.of}
                      onChange={(of) => keep.mutate({ ...now, of, gap: of ? null : now.gap })}
                    />
                  )}
                  {!tree.kind && (
                    <Choice
                      label="Why it stays open"
                      value={tree.gap ?? "not-known"}
                      options={(Object.keys(GAP) as Schemas["Gap"][]).map((value) => ({ value, label: GAP[value] }))}
                      onChange={(gap) => keep.mutate({ ...now, gap })}
                    />
                  )}
                </div>
              )}
              <Note key={tree.note} note={tree.note} onKeep={(note) => keep.mutate({ ...now, note })} />
              <div className="flex flex-wrap gap-2">
                {!tree.isStand && (
                  <Link to={`/examine?tree=${tree.tree}`} className="inline-flex min-h-11 items-center underline underline-offset-4">
                    Examine it
                  </Link>
                )}
                {tree.look != null && (
                  <Button disabled={undo.isPending} onClick={() => undo.mutate()}>
                    Not looked at after all
                  </Button>
                )}
              </div>
            </>
          )}
        </div>
      )}
    </li>
  );
}

function Note({ note, onKeep }: { note: string; onKeep: (note: string) => void }) {
  const [typed, setTyped] = useState(note);
  return (
    <Field label="Note">
      <input
        className={fieldClass}
        name="look-note"
        maxLength={300}
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={() => typed !== note && onKeep(typed)}
      />
    </Field>
  );
}
