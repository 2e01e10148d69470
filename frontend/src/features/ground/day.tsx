import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { dayHazardsQuery, sitesQuery, useSession } from "../../api/queries";
import { Button, Choices, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { DangerMark } from "../../ui/danger-mark";
import { PageHead } from "../../ui/page-head";
import { Swallowed } from "../../ui/swallowed";
import { ALLERGY, ARBORIST, CAUTION, SEEN } from "../../words/ground";
import { capital, dayWords } from "../../words/text";
import { GroundNav } from "./ground-nav";

/** The hazards of a place for a group on one day, made to be printed and read out. */
export default function Day() {
  const sites = useQuery(sitesQuery);
  const today = useSession().data?.today ?? "";
  const [params, setParams] = useSearchParams();
  const site = params.get("site") ?? sites.data?.[0]?.id ?? "";
  const day = params.get("day") ?? today;
  // who is allergic to what is nobody’s business but theirs: it is kept nowhere, and bears no names
  const [allergies, setAllergies] = useState<string[]>([]);
  const sheet = useQuery(dayHazardsQuery(site, day, allergies));
  const set = (next: Record<string, string>) => setParams({ site, day, ...next }, { replace: true });
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6">
      <div className="print:hidden">
        <PageHead title="A day’s hazards" lead="For one place, one day and one group: what is read out at the start, and what may be touched." />
        <GroundNav />
        <div className="mt-4 grid items-end gap-3 wide:grid-cols-[1fr_12rem_auto]">
          <Field label="Place">
            <select className={fieldClass} name="day-site" value={site} onChange={(e) => set({ site: e.target.value })}>
              {(sites.data ?? []).map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
            </select>
          </Field>
          <Field label="Day">
            <input className={fieldClass} type="date" name="day" value={day} onChange={(e) => e.target.value && set({ day: e.target.value })} />
          </Field>
          <Button tone="ink" onClick={() => print()}>
            Print
          </Button>
        </div>
        <div className="mt-3">
          <Choices
            label="Allergies told of, without names; kept nowhere"
            value={allergies}
            options={(Object.keys(ALLERGY) as Schemas["Allergy"][]).map((value) => ({ value, label: ALLERGY[value] }))}
            onChange={setAllergies}
          />
        </div>
      </div>
      {site === "" && sites.data && <p className="mt-5">No place is entered yet.</p>}
      {sheet.isError && <Trouble error={sheet.error} retry={() => void sheet.refetch()} />}
      {sheet.isPending && site !== "" && <Loading what="the sheet" />}
      {sheet.data && <Sheet sheet={sheet.data} />}
    </div>
  );
}

function Sheet({ sheet }: { sheet: Schemas["DaySheetView"] }) {
  const touch = sheet.trees.filter((t) => t.mayTouch && t.allergies.length === 0);
  const unsettled = sheet.trees.filter((t) => !t.kind && t.marks.length === 0);
  const hands = sheet.trees.filter((t) => !touch.includes(t) && !unsettled.includes(t));
  return (
    <article className="mt-6" data-day-sheet>
      <h2 className="double-rule flex flex-wrap justify-between gap-x-4 pb-1 text-xl">
        <span>
          {sheet.site}, {dayWords(sheet.day)}
        </span>
        <span className="text-base font-normal">poison centre: {sheet.poisonCentre || "not entered"}</span>
      </h2>
      {sheet.rules && <p className="py-2">The owner asks: {sheet.rules}</p>}
      <section aria-labelledby="read-out" className="mt-2">
        <h3 id="read-out" className="text-lg">
          To be read out
        </h3>
        <ul className="ml-5 list-disc">
          <li>Nothing goes into the mouth that the instructor has not cleared, not to taste either.</li>
          {sheet.allergies.map((a) => (
            <li key={a} className="font-bold">
              Somebody here reacts to {ALLERGY[a]}
              {at(sheet, a)}.
            </li>
          ))}
          {sheet.cautions.map((c) => (
            <li key={c}>{CAUTION[c]}</li>
          ))}
        </ul>
      </section>
      <div className="mt-4 grid gap-x-8 gap-y-4 wide:grid-cols-[1fr_16rem]">
        <section aria-labelledby="hands-off">
          <h3 id="hands-off" className="border-b border-ink text-lg text-berry">
            Hands off, or only with the instructor
          </h3>
          {unsettled.length > 0 && (
            <p className="rule-b py-1.5">
              <DangerMark danger="unknown" withWord /> Not settled, may be any tree, a deadly one too:{" "}
              <strong>{unsettled.map((t) => t.label).join(", ")}</strong>. Not for anyone.
            </p>
          )}
          <ul>
            {hands.map((t) => (
              <li key={t.id} className="rule-b break-inside-avoid py-1.5">
                <span className="flex flex-wrap items-center gap-x-3">
                  <DangerMark danger={t.danger} withWord />
                  <strong>{t.label}</strong> {t.kind || <span className="text-ochre">not settled: may be any tree</span>}
                </span>
                {t.whereabouts && <span className="block text-sm text-faded">{t.whereabouts}</span>}
                {t.hazards.map((h) => (
                  <span key={h.part + h.way} className="block text-sm">
                    {capital(h.part)}, {h.way}: {h.note}
                  </span>
                ))}
                {t.marks.length > 0 && (
                  <span className="block text-sm font-semibold text-ochre">
                    {capital(t.marks.map((m) => SEEN[m]).join(", "))}. {ARBORIST}
                  </span>
                )}
                {t.kind && t.allergies.length > 0 && (
                  <span className="block text-sm font-semibold">Not for whoever reacts to {t.allergies.map((a) => ALLERGY[a]).join(", ")}.</span>
                )}
              </li>
            ))}
          </ul>
        </section>
        <section aria-labelledby="may-touch">
          <h3 id="may-touch" className="border-b border-ink text-lg">
            May be touched
          </h3>
          {touch.length === 0 && <p className="py-1 text-faded">None: no tree here is settled as harmless to hands.</p>}
          <ul>
            {touch.map((t) => (
              <li key={t.id} className="rule-b py-1.5">
                <strong>{t.label}</strong> {t.kind}
              </li>
            ))}
          </ul>
          <p className="py-1 text-sm">Touched, not tasted. What stands beside it is another tree.</p>
        </section>
      </div>
      <div className="mt-3 border-l-4 border-berry pl-3">
        <Swallowed />
      </div>
      <p className="mt-2 text-sm text-faded">
        {sheet.walkedOn ? `The place was last walked ${dayWords(sheet.walkedOn)}.` : "Nobody has walked this place for its hazards yet."} What bears
        no tag is not on this sheet.
      </p>
    </article>
  );
}

const at = (sheet: Schemas["DaySheetView"], allergy: Schemas["Allergy"]): string => {
  const trees = sheet.trees.filter((t) => t.kind && t.allergies.includes(allergy)).map((t) => t.label);
  return trees.length > 0 ? `: keep away from ${trees.join(", ")}` : "";
};
