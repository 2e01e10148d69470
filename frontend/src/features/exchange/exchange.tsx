import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Problem, type Schemas } from "../../api/client";
import { sitesQuery, useSession } from "../../api/queries";
import { Button, Choice, Field, fieldClass, Sideways, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { ChooseTree } from "../trees/choose-tree";
import { TreesNav } from "../trees/trees-nav";

type Import = Schemas["ImportView"];
type What = "trees" | "examination" | "examinations" | "scores" | "harvests" | "base";

const OUT: { file: string; name: string; what: string; instructors?: true }[] = [
  { file: "trees.gpx", name: "GPX", what: "places and trees that have a position" },
  { file: "trees.geojson", name: "GeoJSON", what: "the same, with boundaries and what is known of each tree" },
  { file: "trees.csv", name: "CSV of trees", what: "all trees, those that are gone too" },
  { file: "examinations.csv", name: "CSV of examinations", what: "who looked when, and what for" },
  { file: "scores.csv", name: "CSV of scores", what: "what was seen", instructors: true },
  { file: "harvests.csv", name: "CSV of harvests", what: "what was taken" },
  { file: "events.csv", name: "CSV of dates", what: "what of the year came when, on which tree" },
  { file: "crops.csv", name: "CSV of crops", what: "how much hung on which tree in which year, and how much was sound" },
  { file: "pictures.zip", name: "Pictures", what: "all pictures and papers, with a table that says what each is of", instructors: true },
  {
    file: "rare.zip",
    name: "Rare kinds, Darwin Core Archive",
    what: "trees of kinds that have become rare, for those who want to know of them",
    instructors: true,
  },
  { file: "occurrences.zip", name: "Darwin Core Archive", what: "occurrences, with what was seen as measurements or facts", instructors: true },
];
const IN: { value: What; label: string; hint: string }[] = [
  {
    value: "trees",
    label: "Places and trees",
    hint: "GPX, GeoJSON, CSV, or a Darwin Core Archive. A tree is known by its tag, a place by its name. What the file calls a tree’s kind is somebody’s say-so and is not taken.",
  },
  {
    value: "examination",
    label: "One examination",
    hint: "An examination document (JSON), of a tree that stands here. It is read, and never opens a gate here.",
  },
  { value: "examinations", label: "Examinations", hint: "CSV. What was examined elsewhere is read, and never opens a gate here." },
  { value: "scores", label: "Scores", hint: "CSV, after the examinations they belong to." },
  { value: "harvests", label: "Harvests", hint: "CSV. Each rests on a cleared decision that stands here." },
  { value: "base", label: "Ground of the map", hint: "GeoJSON or GPX: contours, water, ways, woods. It takes the place of what is drawn now." },
];

async function send(path: string, file: Blob): Promise<unknown> {
  const response = await fetch(path, {
    method: "POST",
    body: file,
    headers: { "X-CSRF-Token": "csrf-token", Accept: "application/json", "Content-Type": "application/octet-stream" },
  });
  const answer = (await response.json().catch(() => ({}))) as unknown;
  if (response.ok) return answer;
  throw new Problem(response.status, (answer as Partial<Schemas["Problem"]>).detail ?? `The server answered ${response.status}.`, {});
}

/** A school's data in open formats. */
export default function Exchange() {
  const role = useSession().data?.user?.role;
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <PageHead title="Files out and in" lead="Open formats: what is yours can leave, and what you have can come." />
      <TreesNav />
      <div className="mt-4 grid grid-cols-1 gap-x-10 gap-y-6 wide:grid-cols-[22rem_minmax(0,1fr)]">
        <section>
          <h2 className="border-b border-ink pb-1 text-lg">Out</h2>
          <ul>
            {OUT.filter((o) => !o.instructors || role === "instructor").map((o) => (
              <li key={o.file} className="rule-b py-1">
                <a href={`/api/export/${o.file}`} download={o.file} className="flex min-h-11 flex-col justify-center hover:bg-sheet">
                  <strong className="underline">{o.name}</strong>
                  <span className="text-sm text-faded">
                    {o.what}
                    {o.instructors && ". Whoever takes it out has seen the scores, and is no second person for them any more"}
                  </span>
                </a>
              </li>
            ))}
          </ul>
          <p className="mt-2 text-sm text-faded">What is covered for you is left out. Everything at once is a copy: under People.</p>
        </section>
        {role === "instructor" && <In />}
      </div>
    </div>
  );
}

function In() {
  const queries = useQueryClient();
  const sites = useQuery(sitesQuery);
  const [what, setWhat] = useState<What>("trees");
  const [site, setSite] = useState("");
  const [tree, setTree] = useState("");
  const [file, setFile] = useState<File | null>(null);
  const path = (run: boolean) =>
    `/api/import/${what}?${new URLSearchParams({ ...(run && { run: "true" }), ...(site && what === "trees" && { site }), ...(what === "examination" && { tree }) })}`;
  const look = useMutation({ mutationFn: async (f: File) => (await send(path(false), f)) as Import });
  const run = useMutation({
    mutationFn: async (f: File) => (await send(path(true), f)) as Import,
    onSuccess: () => void queries.invalidateQueries(),
  });
  const base = useMutation({
    mutationFn: async (f: Blob) => (await send("/api/map/base", f)) as Schemas["BaseMapView"],
    onSuccess: () => void queries.invalidateQueries({ queryKey: ["map-base"] }),
  });
  const choose = (f: File | undefined) => {
    run.reset();
    look.reset();
    base.reset();
    setFile(f ?? null);
    if (f && what !== "base") look.mutate(f);
    if (f && what === "base") base.mutate(f);
  };
  const plan = run.data ?? look.data;
  const error = look.error ?? run.error ?? base.error;
  return (
    <section>
      <h2 className="border-b border-ink pb-1 text-lg">In</h2>
      <div className="space-y-3 py-2">
        <Choice
          label="What is in the file"
          value={what}
          options={IN.map(({ value, label }) => ({ value, label }))}
          onChange={(next) => {
            setWhat(next);
            choose(undefined);
          }}
        />
        <p className="text-sm text-faded">{IN.find((i) => i.value === what)?.hint}</p>
        {what === "trees" && (
          <Field label="Trees of which the file names no place stand at">
            <select className={fieldClass} value={site} onChange={(e) => setSite(e.target.value)}>
              <option value="">the nearest within 3 km</option>
              {sites.data?.map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
            </select>
          </Field>
        )}
        {what === "examination" && (
          <div className="max-h-80 overflow-y-auto border border-rule p-2">
            <ChooseTree
              chosen={tree}
              only={false}
              onChoose={(id) => {
                setTree(id);
                choose(undefined);
              }}
            />
          </div>
        )}
        <div className="flex flex-wrap items-center gap-3">
          <label className="inline-flex min-h-11 cursor-pointer items-center rounded-sm border border-ink bg-ink px-3 has-disabled:opacity-50 font-semibold text-ground focus-within:outline-3 focus-within:outline-ink">
            {what === "examination" && tree === "" ? "Choose the tree first" : "Choose the file"}
            <input
              type="file"
              className="sr-only"
              disabled={what === "examination" && tree === ""}
              onChange={(e) => {
                choose(e.target.files?.[0]);
                e.target.value = "";
              }}
            />
          </label>
          {file && <span className="break-all">{file.name}</span>}
          {what === "base" && (
            <Button disabled={base.isPending} onClick={() => base.mutate(new Blob([]))}>
              Take the own ground away
            </Button>
          )}
        </div>
        {(look.isPending || run.isPending || base.isPending) && <p role="status">Reading …</p>}
        {error && <Trouble error={error} />}
        {base.data && (
          <p role="status" className="font-semibold">
            On the map now: {base.data.lines} lines, {base.data.areas} areas, {base.data.points} points.
          </p>
        )}
        {plan && <Plan plan={plan} pending={run.isPending} onRun={() => file && run.mutate(file)} />}
      </div>
    </section>
  );
}

function Plan({ plan, pending, onRun }: { plan: Import; pending: boolean; onRun: () => void }) {
  const nothing = plan.made + plan.changed === 0;
  return (
    <div data-plan={plan.done ? "done" : "look"}>
      <p role="status" className="border border-ink bg-sheet p-3">
        <strong>{plan.done ? "Brought in" : plan.refused > 0 ? "Nothing can be brought in" : "This would be done"}</strong> ({plan.format}):{" "}
        {plan.made} made, {plan.changed} changed, {plan.same} as known
        {plan.refused > 0 && (
          <>
            , <strong className="text-berry">{plan.refused} refused</strong>. Put the file right and choose it again: it is brought in whole or not at
            all
          </>
        )}
        .
      </p>
      {!plan.done && plan.refused === 0 && (
        <Button tone="ink" className="mt-2" disabled={pending || nothing} onClick={onRun}>
          {nothing ? "Nothing is new in it" : "Bring it in"}
        </Button>
      )}
      {plan.faults.length > 0 && (
        <Sideways label="What is refused">
          <table className="w-full text-left">
            <thead>
              <tr className="border-b border-ink">
                <th className="py-1 pr-3">Line</th>
                <th className="pr-3">Column</th>
                <th>Why</th>
              </tr>
            </thead>
            <tbody>
              {plan.faults.map((f, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: they stand as in the file
                <tr key={i} className="rule-b align-top">
                  <td className="figures py-1 pr-3">{f.line || "–"}</td>
                  <td className="pr-3">{f.column || "–"}</td>
                  <td>{f.reason}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {plan.refused > plan.faults.length && <p className="text-faded">and {plan.refused - plan.faults.length} more</p>}
        </Sideways>
      )}
      {plan.refused === 0 &&
        (
          [
            ["Made", plan.makes, plan.made],
            ["Changed", plan.changes, plan.changed],
          ] as const
        ).map(
          ([title, rows, count]) =>
            rows.length > 0 && (
              <details key={title} className="mt-2" open={count <= 20}>
                <summary className="min-h-11 content-center font-semibold">
                  {title}: {count}
                </summary>
                <ul>
                  {rows.map((r) => (
                    <li key={r.line + r.name} className="rule-b flex flex-wrap gap-x-3 py-1">
                      <span className="figures w-14 text-faded">line {r.line}</span>
                      <span>
                        {r.what} <strong>{r.name}</strong>
                        {r.changes.length > 0 && `: ${r.changes.join("; ")}`}
                      </span>
                    </li>
                  ))}
                </ul>
                {count > rows.length && <p className="text-faded">and {count - rows.length} more</p>}
              </details>
            ),
        )}
    </div>
  );
}
