import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { sitesQuery, useSession, yearQuery } from "../../api/queries";
import { Button, Choice, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { capital, dayWords } from "../../words/text";
import { lateWords, lookWords, windowWords } from "../../words/year";
import { CalendarFeed } from "./calendar-feed";
import { Furrow, Legend, Months } from "./furrow";

type Row = Schemas["YearRowView"];
const KIT: Record<string, string> = {
  none: "bare eyes",
  rule: "rule",
  "hand-lens": "hand lens",
  knife: "knife",
  "ultraviolet-torch": "ultraviolet torch",
};

/** The year at a place: when what may be taken, when its tree can be told, and when it must be looked at beforehand. */
export default function Year() {
  const [params, setParams] = useSearchParams();
  const session = useSession().data;
  const sites = useQuery(sitesQuery);
  const today = session?.today ?? "";
  const site = params.get("site") ?? sites.data?.[0]?.id ?? "";
  const of = Number(params.get("of")) || Number(today.slice(0, 4));
  const all = params.has("all");
  const [use, setUse] = useState("");
  const [effort, setEffort] = useState(5);
  const [kit, setKit] = useState<string[]>(Object.keys(KIT));
  const year = useQuery({ ...yearQuery(site, of, all), enabled: site !== "" });
  const set = (changes: Record<string, string>) =>
    setParams(
      (now) => {
        for (const [key, value] of Object.entries(changes)) value ? now.set(key, value) : now.delete(key);
        return now;
      },
      { replace: true },
    );
  const rows = year.data?.rows ?? [];
  const uses = [...new Set(rows.flatMap((r) => r.uses))].sort();
  const shown = rows.filter(
    (r) => (use === "" || r.uses.includes(use)) && (r.effort ?? 1) <= effort && r.kit.every((k) => !(k in KIT) || kit.includes(k)),
  );
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <PageHead title={`The year ${of}`} lead="When what may be taken here, when its tree can be told, and when to look beforehand." />
      <nav aria-label="The year" className="mt-2 flex flex-wrap gap-3 print:hidden">
        <Link to="/plan" className="inline-flex min-h-11 items-center underline">
          Plan a day out
        </Link>
        <Link to="/phenology" className="inline-flex min-h-11 items-center underline">
          What came when, over the years
        </Link>
      </nav>
      <div className="mt-2 flex flex-wrap items-end gap-3 print:hidden">
        <div className="w-56">
          <Field label="Place">
            <select className={fieldClass} value={site} onChange={(e) => set({ site: e.target.value })}>
              {sites.data?.map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
            </select>
          </Field>
        </div>
        <div className="flex gap-1">
          <Button aria-label={`The year ${of - 1}`} onClick={() => set({ of: String(of - 1) })}>
            ←
          </Button>
          <Button aria-label={`The year ${of + 1}`} onClick={() => set({ of: String(of + 1) })}>
            →
          </Button>
        </div>
        <Choice
          label="Kinds"
          value={all ? "all" : "own"}
          options={[
            { value: "own", label: "of our trees" },
            { value: "all", label: "all of the flora" },
          ]}
          onChange={(v) => set({ all: v === "all" ? "1" : "" })}
        />
        <div className="w-40">
          <Field label="What for">
            <select className={fieldClass} value={use} onChange={(e) => setUse(e.target.value)}>
              <option value="">anything</option>
              {uses.map((u) => (
                <option key={u} value={u}>
                  {u}
                </option>
              ))}
            </select>
          </Field>
        </div>
        <div className="w-40">
          <Field label="Effort, at most">
            <select className={fieldClass} value={effort} onChange={(e) => setEffort(Number(e.target.value))}>
              {["by the way", "an hour", "some hours", "half a day", "a day’s work"].map((word, i) => (
                <option key={word} value={i + 1}>
                  {word}
                </option>
              ))}
            </select>
          </Field>
        </div>
      </div>
      <fieldset className="mt-2 flex flex-wrap gap-x-4 print:hidden">
        <legend className="text-sm text-faded">Told with what is at hand</legend>
        {Object.entries(KIT).map(([id, word]) => (
          <label key={id} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-(--ink)"
              checked={kit.includes(id)}
              onChange={(e) => setKit(e.target.checked ? [...kit, id] : kit.filter((k) => k !== id))}
            />
            {word}
          </label>
        ))}
      </fieldset>
      {sites.data?.length === 0 && (
        <p className="py-4">
          The year is told for a place, and none is entered yet.{" "}
          <Link to="/places/new" className="underline">
            Enter the first
          </Link>
        </p>
      )}
      {site !== "" && year.isPending && <Loading what="the year" />}
      {year.isError && <Trouble error={year.error} retry={() => void year.refetch()} />}
      {year.data && (
        <>
          <p className="mt-3">{lateWords(year.data)}</p>
          {!year.data.holds && (
            <p className="py-3 font-semibold">The dates of this flora cannot be moved to {year.data.place}: it lies too far away.</p>
          )}
          <p role="status" className="text-sm text-faded">
            {shown.length === 1 ? "One part" : `${shown.length} parts`} of {rows.length}
          </p>
          {rows.length === 0 && year.data.holds && (
            <p className="py-3 text-faded">No tree here is held to be a kind yet. Show all kinds of the flora, or examine a tree first.</p>
          )}
          {shown.length > 0 && (
            <>
              <Legend />
              <Months year={of} today={today} />
              <ol>
                {shown.map((row) => (
                  <YearRow key={`${row.taxon}/${row.part}`} row={row} year={of} today={today} />
                ))}
              </ol>
            </>
          )}
        </>
      )}
      <CalendarFeed />
    </div>
  );
}

function YearRow({ row, year, today }: { row: Row; year: number; today: string }) {
  return (
    <li
      className="rule-b grid break-inside-avoid grid-cols-1 items-center gap-x-4 py-1.5 wide:grid-cols-[17rem_minmax(0,1fr)]"
      data-row={`${row.taxon}/${row.part}`}
    >
      <div className="min-w-0">
        <Link to={`/species/${row.taxon}`} className="hover:underline">
          <strong>{capital(row.commonName)}</strong>, {row.label}
        </Link>
        <span className="block text-sm">{windowWords(row.next ?? null, today)}</span>
        <span className="block text-sm text-faded">{lookWords(row, today)}</span>
        {row.trees.length > 0 && (
          <span className="block text-sm text-faded">
            {row.trees.slice(0, 6).join(", ")}
            {row.trees.length > 6 && ` and ${row.trees.length - 6} more`}
          </span>
        )}
      </div>
      <Furrow row={row} year={year} today={today} title={`${row.commonName}, ${row.label}: ${dayWords(`${year}-01-01`).slice(-4)}`} />
    </li>
  );
}
