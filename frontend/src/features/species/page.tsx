import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { recipesQuery, taxonQuery, useSession } from "../../api/queries";
import { Plate } from "../../plates/plate";
import { Tile } from "../../plates/tile";
import { Loading, Name, Trouble } from "../../ui/controls";
import { FiguresSwitch, useFigures } from "../../ui/figures";
import { HarmMark, SeverityMark } from "../../ui/marks";
import { Swallowed } from "../../ui/swallowed";
import { type Hazard, type NoRecord, together, whom } from "../../words/hazards";
import { ORGANS, STATION } from "../../words/stations";
import { capital, dayWords, MONTHS, often, percent } from "../../words/text";
import { NeverLine } from "../review/never";
import { Care } from "./care";
import { OwnKnowledge } from "./own";
import { OwnWindows } from "./own-windows";

export default function SpeciesPage() {
  const { id = "" } = useParams();
  const flora = useSearchParams()[0].get("flora") ?? undefined;
  const taxon = useQuery(taxonQuery(id, flora));
  const recipes = useQuery(recipesQuery(id));
  if (taxon.isPending) return <Loading what="the page" />;
  if (taxon.isError)
    return (
      <div className="p-5">
        <Trouble error={taxon.error} />
        <Link to="/species" className="mt-3 inline-block underline">
          To all species
        </Link>
      </div>
    );
  const t = taxon.data;
  const taken = t.parts.filter((p) => !p.harmful);
  return (
    <article className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <div className="grid gap-x-6 gap-y-4 wide:grid-cols-[25rem_1fr] wide:grid-rows-[auto_1fr]">
        <header className="double-rule pb-3">
          <h1 className="text-3xl">{capital(t.commonNames[0] ?? t.name)}</h1>
          <p className="text-xl">
            <Name>{t.name}</Name>{" "}
            <span className="text-base text-faded">
              {t.author}, {t.family}
            </span>
          </p>
          {t.commonNames.length > 1 && <p className="text-sm text-faded">also: {t.commonNames.slice(1).join(", ")}</p>}
          {t.synonyms.length > 0 && (
            <p className="text-sm text-faded">
              older names: <Name>{t.synonyms.join(", ")}</Name>
            </p>
          )}
          {t.meaning !== "" && <p className="text-sm text-faded">{t.meaning}</p>}
          {t.misleading.map((text) => (
            <p key={text} className="text-sm">
              {text}
            </p>
          ))}
          <p className="mt-2 max-w-prose">{t.summary}</p>
          <p className="mt-2 flex flex-wrap items-center gap-x-3 text-sm">
            <HarmMark severity={t.severity} harms={t.harms} />
            <span>
              {t.origin}
              {t.protected ? ", protected" : ""}. {t.statusNote}
            </span>
          </p>
        </header>
        <div className="space-y-4 wide:col-start-1 wide:row-span-2 wide:row-start-1">
          <Plate description={t.description} name={t.name} />
          <Year months={t.months} />
          {t.figures.length > 0 && <Figures figures={t.figures} sources={t.figureSources} />}
          {t.fruitSet !== "" && <p className="text-sm">{t.fruitSet}</p>}
        </div>
        <div className="min-w-0">
          <Hazards hazards={t.hazards} noRecords={t.noRecords} taxon={t.id} />
          {t.parts.map((p) => (
            <PartSection
              key={p.id}
              part={p}
              taxon={t.id}
              flora={flora}
              recipes={recipes.data?.filter((r) => r.of.includes(`${t.id}/${p.id}`)) ?? []}
            />
          ))}
          {taken.length > 0 && <OwnWindows taxon={t.id} />}
          {taken.length > 0 && <OwnKnowledge taxon={t.id} />}
          {taken.length > 0 && <Harvests harvests={t.harvests} />}
        </div>
      </div>
      <Care taxon={t.id} />
      <Described t={t} />
      <Nevers t={t} flora={flora} />
    </article>
  );
}

function HazardLine({ h }: { h: Hazard & { whom: string[] } }) {
  return (
    <li className="py-0.5">
      <strong>{capital(h.part)}</strong>, {whom(h.whom)} by {h.way}: {h.note} {h.severity !== "harmless" && <SeverityMark severity={h.severity} />}
    </li>
  );
}

function Hazards({ hazards, noRecords, taxon }: { hazards: Hazard[]; noRecords: NoRecord[]; taxon: string }) {
  const all = together(hazards);
  const harm = all.filter((h) => h.severity !== "harmless");
  const none = all.filter((h) => h.severity === "harmless");
  return (
    <>
      {harm.length > 0 && (
        <section className="mt-4 border-l-4 border-berry pl-3">
          <h2 className="text-lg text-berry">What harms</h2>
          <ul>
            {harm.map((h) => (
              <HazardLine key={`${h.part}${h.way}${h.whom}`} h={h} />
            ))}
          </ul>
          <Swallowed />
          {hazards.some((h) => h.who !== "people" && h.severity !== "harmless") && (
            <Link to={`/stock?taxon=${taxon}`} className="inline-flex min-h-11 items-center underline underline-offset-4 print:hidden">
              With how much it harmed animals
            </Link>
          )}
        </section>
      )}
      {none.length > 0 && (
        <section className="mt-4 border-l-4 border-rule pl-3">
          <h2 className="text-lg">Eaten without harm on record</h2>
          <ul>
            {none.map((h) => (
              <HazardLine key={`${h.part}${h.way}${h.whom}`} h={h} />
            ))}
          </ul>
        </section>
      )}
      {noRecords.length > 0 && (
        <section className="mt-4 border-l-4 border-rule pl-3">
          <h2 className="text-lg">Nobody knows</h2>
          <p>Looked for and no record found, which is no proof: treat it as harmful.</p>
          <ul>
            {noRecords.map((n) => (
              <li key={n.who.join()} className="py-0.5">
                <strong>{capital(whom(n.who))}</strong>
                {n.note && `: ${n.note}`}
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

function PartSection(p: { part: Schemas["PartView"]; taxon: string; flora: string | undefined; recipes: Schemas["RecipeSummaryView"][] }) {
  const { part, taxon, flora, recipes } = p;
  if (part.harmful)
    return (
      <section className="mt-4">
        <h2 className="border-b border-berry text-lg text-berry">{capital(part.label)}: never</h2>
        <p className="mt-1">{part.harmful}</p>
      </section>
    );
  return (
    <section className="mt-5" data-part={part.id}>
      <h2 className="flex flex-wrap items-baseline justify-between border-b border-ink text-lg">
        <span>{capital(part.label)}</span>
        <span className="text-sm font-normal text-faded">
          {part.identified && `examined ${part.identified}, taken `}
          {part.window} at the reference place · {part.uses.join(", ")}
        </span>
      </h2>
      <div className="flex flex-wrap items-baseline justify-between">
        <h3 className="mt-2 text-sm text-faded">Required before anything is taken</h3>
        <Link
          to={`/sheet?taxon=${taxon}&part=${part.id}${flora ? `&flora=${flora}` : ""}`}
          className="inline-flex min-h-11 items-center text-sm underline underline-offset-4"
        >
          As a sheet of paper
        </Link>
      </div>
      <ul className="mt-1 grid grid-cols-2 gap-x-4 wide:grid-cols-4">
        {part.required.map((r) => (
          <li key={r.character} className="flex items-center gap-2 py-1">
            {r.states[0] && <Tile character={r.character} state={r.states[0].state} drawing={r.states[0].drawing} size={40} className="shrink-0" />}
            <span className="text-sm leading-tight">
              {r.label}: <strong>{r.range ?? r.states.map((s) => s.label).join(" or ")}</strong>
              {r.samples > 1 && <span className="text-faded"> on {r.samples}</span>}
              {r.beside.length > 0 && <span className="block text-faded">beside it also {r.beside.map((s) => s.label).join(", ")}</span>}
            </span>
          </li>
        ))}
      </ul>
      {part.conditions.length > 0 && (
        <ul className="mt-2 text-sm">
          {part.conditions.map((c) => (
            <li key={c.id}>
              {c.question} <strong>Must be {c.wanted ? "yes" : "no"}.</strong>
            </li>
          ))}
        </ul>
      )}
      {part.lookAlikes.length > 0 && (
        <>
          <h3 className="mt-2 text-sm text-faded">Taken for it</h3>
          <ul>
            {part.lookAlikes.map((l) => (
              <li key={l.taxon} className="py-0.5">
                <Link to={`/species/${l.taxon}${flora ? `?flora=${flora}` : ""}`} className="font-semibold underline underline-offset-4">
                  {capital(l.commonName)}
                </Link>{" "}
                <Name>{l.name}</Name> <SeverityMark severity={l.severity} /> <span className="text-sm">{l.note}</span>{" "}
                <Link
                  to={`/compare?taxa=${taxon},${l.taxon}${flora ? `&flora=${flora}` : ""}`}
                  className="inline-flex min-h-11 items-center text-sm underline underline-offset-4 print:hidden"
                  aria-label={`Side by side with ${l.commonName}`}
                >
                  Side by side
                </Link>
              </li>
            ))}
          </ul>
        </>
      )}
      {recipes.length > 0 && (
        <p className="mt-2">
          <span className="text-sm text-faded">Recipes</span>
          {recipes.map((r) => (
            <Link key={r.id} to={`/recipes/${r.id}`} className="ml-3 inline-flex min-h-11 items-center font-semibold underline underline-offset-4">
              {r.name}
            </Link>
          ))}
        </p>
      )}
      {part.preparation.length > 0 && (
        <>
          <h3 className="mt-2 text-sm text-faded">Preparation</h3>
          <ol className="ml-5 list-decimal">
            {part.preparation.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
        </>
      )}
      {part.yield && (
        <p className="mt-2 text-sm">
          Usual yield: {part.yield}
          {part.effort ? ` Effort ${part.effort} of 5.` : ""}
        </p>
      )}
      {part.leave && <p className="mt-1 text-sm">{part.leave}</p>}
      {part.rehearsed && <Rehearsed r={part.rehearsed} />}
      <p className="mt-1 text-xs text-faded">
        Source: {part.sources.join("; ")}. An examination holds {part.freshnessDays} days for this part.
      </p>
    </section>
  );
}

/** What a tree of this kind gives, in figures; what nobody has written down is said to be so. */
function Figures({ figures, sources }: { figures: Schemas["FigureView"][]; sources: string[] }) {
  const unknown = figures.filter((f) => f.range === null);
  return (
    <section>
      <table className="w-full text-sm">
        <caption className="pb-1 text-left font-bold">In figures</caption>
        <tbody>
          {figures
            .filter((f) => f.range !== null)
            .map((f) => (
              <tr key={f.kind} className="rule-b">
                <th scope="row" className="py-1 pr-2 text-left font-normal">
                  {f.label}
                </th>
                <td className="figures text-right">
                  <span className="whitespace-nowrap">
                    {f.range} {f.unit}
                  </span>
                  {f.note && <span className="block text-xs text-faded">{f.note}</span>}
                </td>
              </tr>
            ))}
        </tbody>
      </table>
      {unknown.length > 0 && <p className="mt-1 text-xs text-faded">Not known here: {unknown.map((f) => f.label).join("; ")}.</p>}
      {sources.length > 0 && <p className="mt-1 text-xs text-faded">Source: {sources.join("; ")}.</p>}
    </section>
  );
}

/** How far a cleared gate can be trusted, in figures. */
function Rehearsed({ r }: { r: NonNullable<Schemas["PartView"]["rehearsed"]> }) {
  const odds = r.worstBound ? Math.floor(1 / r.worstBound) : 0;
  return (
    <div className="mt-3 border-l-4 border-ink pl-3 text-sm" data-rehearsed>
      <h3 className="text-sm text-faded">Rehearsed with one careful examiner, {dayWords(r.madeOn)}</h3>
      <p>
        Of right trees the gate opened for <strong className="figures">{Math.round(r.rightShare * 100)} %</strong> within 12 looks in{" "}
        {MONTHS[r.bestMonth - 1]}
        {r.looks !== null && r.looks !== undefined && `, mostly after ${r.looks}`}.{" "}
        {r.worstDanger && (
          <>
            The danger that passes most easily is {r.worstDanger}:{" "}
            <strong className="figures">{odds > 1e8 ? "less than once in 100 million" : `at most once in ${roundDown(odds)}`}</strong>, if looks are
            misread independently of each other. Somebody who wants it to be the right tree does not misread so: it bears {wanting(r.tolerates)}{" "}
            before one wrong tree in 10,000 would pass.
          </>
        )}
      </p>
      {!r.meetsAims && <p className="font-semibold text-berry">That misses our aim of once in 100,000: have a second person examine the tree.</p>}
      <p className="text-xs text-faded">Simulated trees and examiners, from this flora’s own descriptions. It proves nothing about a real tree.</p>
    </div>
  );
}

/** How often one cause may bend all looks toward the hope. */
function wanting(c: number | null | undefined): string {
  return c === null || c === undefined || c <= 0 ? "no such wish at all" : c >= 1 ? "any wish" : `such a wish in ${percent(c)} of cases`;
}

/** To two figures, downward: never more reassuring than the figure itself. */
function roundDown(n: number): string {
  const step = 10 ** Math.max(0, Math.floor(Math.log10(Math.max(1, n))) - 1);
  return (Math.floor(n / step) * step).toLocaleString("en-GB");
}

function Harvests({ harvests }: { harvests: Schemas["HarvestView"][] }) {
  return (
    <section className="mt-5" aria-label="Harvests">
      <h2 className="border-b border-ink text-lg">Harvests so far</h2>
      {harvests.length === 0 && (
        <p className="py-2 text-faded">Nothing logged yet. Harvests appear here once a gate has opened and something was taken.</p>
      )}
      <ul>
        {harvests.map((h) => (
          <li key={h.id} className="rule-b py-1.5" data-harvest={h.id}>
            <span className="flex flex-wrap justify-between gap-x-3">
              <span>
                <strong className="figures">{h.amount}</strong> {h.part} from{" "}
                <Link to={`/examine/${h.examination}`} className="underline underline-offset-4">
                  {h.specimen}
                </Link>
                , {h.site}
              </span>
              <span className="text-sm text-faded">
                {dayWords(h.takenOn)}, {h.takenBy}
              </span>
            </span>
            <span className="block text-sm">
              {h.ripeness && `${capital(h.ripeness)}. `}
              {h.shareLeft} % left. {h.note}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

const PHASES: [string, string][] = [
  ["leafing", "leafing"],
  ["in-leaf", "in leaf"],
  ["flowering", "in flower"],
  ["fruiting", "in fruit"],
  ["leafless", "bare"],
];
const LETTERS = ["J", "F", "M", "A", "M", "J", "J", "A", "S", "O", "N", "D"];

/** The year as rows of hatching: what it shows in the middle of each month. */
function Year({ months }: { months: Schemas["MonthView"][] }) {
  return (
    <table className="w-full border-collapse text-sm">
      <caption className="pb-1 text-left font-bold">The year at the reference place</caption>
      <thead>
        <tr>
          <td />
          {LETTERS.map((m, i) => (
            <th key={MONTHS[i]} scope="col" className="w-[6.5%] font-normal text-faded">
              <abbr title={MONTHS[i]} className="no-underline">
                {m}
              </abbr>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {PHASES.map(([phase, label]) => (
          <tr key={phase} className="rule-t">
            <th scope="row" className="pr-2 text-left font-normal">
              {label}
            </th>
            {months.map((m) => {
              const on = m.phases.includes(phase);
              return (
                <td key={m.month} className="p-0.5">
                  <span
                    className={`block h-4 ${on ? "bg-[repeating-linear-gradient(45deg,var(--ink)_0_1.5px,transparent_1.5px_4px)] outline-1 outline-ink" : ""}`}
                  >
                    <span className="sr-only">{on ? "yes" : "no"}</span>
                  </span>
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Described({ t }: { t: Schemas["TaxonView"] }) {
  const figures = useFigures();
  const block = (organ: (typeof ORGANS)[number]): ReactNode => {
    const rows = t.description.filter((d) => d.organ === organ);
    if (rows.length === 0) return null;
    return (
      <div key={organ} className="mb-4 break-inside-avoid">
        <h3 className="border-b border-ink">{STATION[organ].name}</h3>
        <dl className="text-sm">
          {rows.map((d) => (
            <div key={d.character} className="rule-b grid grid-cols-[8rem_1fr] gap-2 py-0.5">
              <dt className="text-faded">{d.label}</dt>
              <dd>
                {d.reading ??
                  d.states.map((s) => (figures && d.states.length > 1 ? `${s.label} ${percent(s.share)}` : `${often(s.share)}${s.label}`)).join(", ")}
              </dd>
            </div>
          ))}
        </dl>
      </div>
    );
  };
  return (
    <section className="mt-8">
      <div className="double-rule mb-3 flex items-end justify-between pb-1">
        <h2 className="text-xl">Description</h2>
        <FiguresSwitch />
      </div>
      <div className="gap-8 wide:columns-3">{ORGANS.map(block)}</div>
      <p className="text-xs text-faded">Source: {t.sources.join("; ")}. What is not named is unknown, not absent.</p>
    </section>
  );
}

/** What it never shows, which is all that can exclude it, and who has read that. */
function Nevers({ t, flora }: { t: Schemas["TaxonView"]; flora: string | undefined }) {
  const own = useSession().data?.user?.flora;
  if (t.nevers.length === 0)
    return t.severity === "harmless" ? null : (
      <p className="mt-4 max-w-prose font-semibold text-berry">
        Nobody has written down what it never shows. As long as that is so, no look excludes it.
      </p>
    );
  const read = t.nevers.filter((line) => line.readBy > 0).length;
  return (
    <section className="mt-8" data-nevers>
      <h2 className="double-rule mb-3 flex flex-wrap items-baseline justify-between gap-x-4 pb-1 text-xl">
        What it never shows
        <Link to={`/review/${flora ?? own}`} className="text-sm font-normal underline underline-offset-4">
          {read} of {t.nevers.length} lines read by others; to the sheet
        </Link>
      </h2>
      <ul className="gap-8 wide:columns-2">
        {t.nevers.map((line) => (
          <li key={line.id} className="rule-b break-inside-avoid py-1.5">
            <NeverLine line={line} />
          </li>
        ))}
      </ul>
    </section>
  );
}
