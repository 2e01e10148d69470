import { useQuery } from "@tanstack/react-query";
import { useId, useState } from "react";
import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { comparisonQuery, floraQuery, sitesQuery, taxonQuery, useSession } from "../../api/queries";
import { organs } from "../../plates/plate";
import { type Mark, Scene, scaleOf } from "../../plates/scene";
import { Tile } from "../../plates/tile";
import { Button, Choice, Field, fieldClass, Loading, Name, Trouble } from "../../ui/controls";
import { HarmMark, SeverityMark } from "../../ui/marks";
import { ORGANS, type Organ, STATION } from "../../words/stations";
import { capital, MONTHS, often } from "../../words/text";
import { STAGES } from "../examine/kit";
import { NeverLine } from "../review/never";

type Comparison = Schemas["ComparisonView"];
type Row = Schemas["PartingView"];
type Side = Schemas["SideView"];

const MOST = 4;
/** So many looks stand on a printed sheet. */
const ON_PAPER = 12;
const HEIGHT: Record<Schemas["Position"], string> = { low: ", low on the tree", middle: "", high: ", up in the crown" };
/** What of a plate belongs to a station. */
const DRAWN: Partial<Record<Organ, string>> = { leaf: "leaf", fruit: "fruit", flower: "flower", twig: "twig", bark: "bark", outline: "outline" };
const WIDE = 190;
const HIGH = 150;

/** Two to four kinds side by side: only what parts them. */
export default function Compare() {
  const [query, setQuery] = useSearchParams();
  const named = (query.get("taxa") ?? "").split(",").filter(Boolean);
  const flora = query.get("flora") ?? "";
  const stage = STAGES.find((s) => s.value === query.get("stage"))?.value ?? "mature";
  const all = query.get("months") === "all";
  const site = query.get("site") ?? "";
  const sites = useQuery(sitesQuery);
  const known = useQuery(floraQuery(flora || undefined));
  const enough = named.length >= 2;
  const asked = useQuery({ ...comparisonQuery(named, flora, stage, site), enabled: enough });
  const today = useSession().data?.today;
  const month = Number((today ?? "").slice(5, 7)) || new Date().getMonth() + 1;
  const set = (changes: Record<string, string>) =>
    setQuery(
      (before) => {
        for (const [key, value] of Object.entries(changes)) before.set(key, value);
        return before;
      },
      { replace: true },
    );
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <header className="double-rule pb-3">
        <h1 className="text-2xl">Side by side</h1>
        <p className="hidden text-sm print:block">
          The {ON_PAPER} most telling looks{all ? "" : ` of ${MONTHS[month - 1]}`}; there are more on the screen.
        </p>
        <p className="max-w-prose text-sm text-faded print:hidden">
          Only what parts them, the most telling look first. This tells kinds apart; whether a tree may be taken from, the gate alone says.
        </p>
      </header>
      <div className="grid items-end gap-3 py-3 wide:grid-cols-[1fr_auto_13rem_auto] print:hidden">
        <AddKind taxa={known.data?.taxa ?? []} named={named} onAdd={(id) => set({ taxa: [...named, id].join() })} />
        <Choice
          label="What can be seen"
          value={all ? "all" : "now"}
          options={[
            { value: "now", label: `in ${MONTHS[month - 1]}` },
            { value: "all", label: "all year" },
          ]}
          onChange={(months) => set({ months })}
        />
        <Field label="Months at">
          <select className={fieldClass} value={site} onChange={(e) => set({ site: e.target.value })}>
            <option value="">the reference place</option>
            {sites.data?.map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </select>
        </Field>
        <Choice label="The trees are" value={stage} options={STAGES} onChange={(s) => set({ stage: s })} />
      </div>
      {known.isError && <Trouble error={known.error} retry={() => void known.refetch()} />}
      {named.length === 0 && <p className="py-4">Choose two to four kinds: the one you hope for, and what it is taken for.</p>}
      {named.length === 1 && <TakenFor id={named[0] ?? ""} flora={flora} onAdd={(id) => set({ taxa: [...named, id].join() })} />}
      {enough && asked.isPending && <Loading what="what parts them" />}
      {asked.isError && <Trouble error={asked.error} retry={() => void asked.refetch()} />}
      {enough && asked.data && (
        <SideBySide
          c={asked.data}
          flora={flora}
          month={all ? null : month}
          onDrop={(id) => set({ taxa: named.filter((n) => n !== id).join() })}
          onAllYear={() => set({ months: "all" })}
        />
      )}
    </div>
  );
}

/** One is chosen: what it is taken for is near at hand. */
function TakenFor({ id, flora, onAdd }: { id: string; flora: string; onAdd: (id: string) => void }) {
  const taxon = useQuery(taxonQuery(id, flora || undefined));
  if (taxon.isPending) return <Loading what="what it is taken for" />;
  if (taxon.isError) return <Trouble error={taxon.error} />;
  const others = new Map(taxon.data.parts.flatMap((part) => part.lookAlikes).map((l) => [l.taxon, l]));
  return (
    <div className="py-4">
      <p>
        {capital(taxon.data.commonNames[0] ?? taxon.data.name)} is chosen. Add what it is taken for{others.size > 0 ? ", such as:" : "."}
      </p>
      <div className="flex flex-wrap gap-2 pt-2">
        {[...others.values()].map((l) => (
          <Button key={l.taxon} onClick={() => onAdd(l.taxon)}>
            {l.commonName} <SeverityMark severity={l.severity} />
          </Button>
        ))}
      </div>
    </div>
  );
}

function AddKind(p: { taxa: Schemas["TaxonSummaryView"][]; named: string[]; onAdd: (id: string) => void }) {
  const list = useId();
  const [words, setWords] = useState("");
  const [unknown, setUnknown] = useState(false);
  const full = p.named.length >= MOST;
  const found = (text: string) => {
    const sought = text.trim().toLowerCase();
    return p.taxa.find((t) => [t.commonName, t.name, t.id].some((n) => n.toLowerCase() === sought));
  };
  const add = (text: string) => {
    const taxon = found(text);
    setUnknown(!taxon);
    if (!taxon) return;
    if (!p.named.includes(taxon.id)) p.onAdd(taxon.id);
    setWords("");
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        add(words);
      }}
      className="flex items-end gap-2"
    >
      <div className="flex-1">
        <Field
          label={full ? "Four kinds are enough; drop one first" : "Add a kind"}
          error={unknown ? "No kind of this flora goes by that." : undefined}
        >
          <input
            className={fieldClass}
            list={list}
            value={words}
            disabled={full}
            onChange={(event) => {
              setUnknown(false);
              setWords(event.target.value);
            }}
          />
        </Field>
      </div>
      <datalist id={list}>
        {p.taxa
          .filter((t) => !p.named.includes(t.id))
          .map((t) => (
            <option key={t.id} value={t.commonName}>
              {t.name}
            </option>
          ))}
      </datalist>
      <Button type="submit" disabled={full || words.trim() === ""}>
        Add
      </Button>
    </form>
  );
}

const onSide = (side: Side, month: number | null) => month === null || side.months.includes(month);
const described = (row: Row) => row.sides.filter((s) => s.times !== null && s.times !== undefined);
/** What a look is worth this month: what is still asleep on one of them is not found on it. */
const worth = (row: Row, month: number | null) => (row.bits * described(row).filter((s) => onSide(s, month)).length) / described(row).length;
const showsIn = (row: Row, month: number | null) => described(row).some((s) => onSide(s, month));

function SideBySide(p: { c: Comparison; flora: string; month: number | null; onDrop: (id: string) => void; onAllYear: () => void }) {
  const { c, month } = p;
  const awake = c.rows.filter((r) => showsIn(r, month)).sort((a, b) => worth(b, month) - worth(a, month));
  const asleep = c.rows.filter((r) => !showsIn(r, month));
  const told = new Map<Organ, Row[]>();
  for (const r of awake) told.set(r.organ, [...(told.get(r.organ) ?? []), r]); // the rows come by what they tell: so do the organs
  const drawings = c.taxa.map((t) => organs(t.description));
  const alike = ORGANS.filter(
    (o) => DRAWN[o] && !c.rows.some((r) => r.organ === o) && drawings.every((d) => d.some((cell) => cell.organ === DRAWN[o])),
  );
  const first = awake[0];
  const printed = new Set(awake.slice(0, ON_PAPER));
  return (
    <>
      <ul className={`grid gap-x-4 gap-y-2 ${COLUMNS[c.taxa.length]}`} aria-label="Kinds">
        {c.taxa.map((t) => (
          <li key={t.taxon} className="border-t-4 border-ink pt-1" data-compared={t.taxon}>
            <Link to={`/species/${t.taxon}${p.flora ? `?flora=${p.flora}` : ""}`} className="text-lg font-bold underline-offset-4 hover:underline">
              {capital(t.commonName)}
            </Link>
            <span className="block">
              <Name>{t.name}</Name>
            </span>
            <span className="flex flex-wrap items-center justify-between gap-x-3">
              <HarmMark severity={t.severity} harms={t.harms} />
              {c.taxa.length > 2 && (
                <button
                  type="button"
                  className="min-h-11 text-sm underline underline-offset-4 print:hidden"
                  onClick={() => p.onDrop(t.taxon)}
                  aria-label={`Drop ${t.commonName}`}
                >
                  Drop
                </button>
              )}
            </span>
          </li>
        ))}
      </ul>
      {first ? (
        <p className="mt-3 border-l-4 border-ink pl-3">
          Look first at the <strong>{first.label}</strong>
          {HEIGHT[first.position]}: {first.question}
        </p>
      ) : (
        <p className="mt-3 border-l-4 border-ochre pl-3">
          {month === null
            ? "The flora knows nothing that parts them at this age. Then neither may stand for the other: take it for the worse one."
            : `Nothing that parts them can be seen in ${MONTHS[month - 1]}. Take it for the worse one, and come back.`}
        </p>
      )}
      {[...told].map(([organ, rows]) => (
        <Station
          key={organ}
          organ={organ}
          rows={rows}
          c={c}
          month={month}
          printed={printed}
          drawn={drawings.map((d) => d.find((cell) => cell.organ === DRAWN[organ])?.marks ?? null)}
        />
      ))}
      {alike.length > 0 && (
        <p className="mt-4 text-sm text-faded">Told apart by none of these: {alike.map((o) => STATION[o].short.toLowerCase()).join(", ")}.</p>
      )}
      {asleep.length > 0 && month !== null && (
        <section className="mt-5 print:hidden">
          <h2 className="border-b border-rule text-lg text-faded">Asleep in {MONTHS[month - 1]}</h2>
          <ul className="columns-1 gap-6 text-sm text-faded wide:columns-3">
            {asleep.map((r) => (
              <li key={r.character + r.position} className="py-0.5">
                {r.label}
                {HEIGHT[r.position]}: {wakes(r.sides, month)}
              </li>
            ))}
          </ul>
          <Button tone="quiet" className="print:hidden" onClick={p.onAllYear}>
            Show the whole year
          </Button>
        </section>
      )}
      <Nevers taxa={c.taxa} />
      <section className="mt-5 break-inside-avoid">
        <h2 className="border-b border-ink text-lg">If it fits neither</h2>
        <p className="max-w-prose py-2">
          Do not choose the nearer one. It may be a third kind, a hybrid, or a twig that is shaded, young or sick. Look at another branch, take the
          next look down this page, and{" "}
          <Link to="/examine" className="underline underline-offset-4 print:no-underline">
            examine the tree
          </Link>{" "}
          against the whole flora. As long as one of them harms and is not excluded, the tree counts as that one.
        </p>
        <Button className="print:hidden" onClick={() => window.print()}>
          Print this sheet
        </Button>
      </section>
    </>
  );
}

const COLUMNS: Record<number, string> = { 2: "grid-cols-2", 3: "grid-cols-2 wide:grid-cols-3", 4: "grid-cols-2 wide:grid-cols-4" };

/** The month in which it can be seen again on one of them. */
function wakes(sides: Side[], month: number): string {
  for (let i = 1; i < 12; i++) {
    const next = ((month - 1 + i) % 12) + 1;
    if (sides.some((s) => onSide(s, next))) return `from ${MONTHS[next - 1]}`;
  }
  return "not in the middle of any month";
}

function Station(p: { organ: Organ; rows: Row[]; c: Comparison; month: number | null; printed: Set<Row>; drawn: (Mark[] | null)[] }) {
  const { organ, rows, c, month, printed, drawn } = p;
  // of one scale, so that what is larger looks larger; how long a cluster of flowers is, the drawing does not know
  const scale = Math.min(...drawn.flatMap((m) => (m ? [scaleOf(m, WIDE - 6, HIGH - 14)] : [])));
  return (
    <section className={`mt-5 print:mt-2 ${rows.some((r) => printed.has(r)) ? "" : "print:hidden"}`} data-station={organ}>
      <h2 className="border-b border-ink text-lg break-after-avoid">{STATION[organ].name}</h2>
      {drawn.some(Boolean) && (
        <div className={`grid gap-x-4 ${COLUMNS[c.taxa.length]}`}>
          {c.taxa.map((t, i) => {
            const marks = drawn[i];
            return (
              <div key={t.taxon} className="py-1">
                {marks ? (
                  <svg
                    viewBox={`0 0 ${WIDE} ${HIGH}`}
                    className="max-h-44 w-full print:max-h-24"
                    role="img"
                    aria-label={`${STATION[organ].short} of ${t.commonName}, drawn`}
                    focusable="false"
                  >
                    <Scene marks={marks} wide={WIDE} high={HIGH} {...(organ !== "flower" && { scale })} />
                  </svg>
                ) : (
                  <p className="text-sm text-faded">Not drawn: nobody has described enough of it.</p>
                )}
              </div>
            );
          })}
        </div>
      )}
      {rows.map((r) => (
        <div
          key={r.character + r.position}
          className={`rule-t break-inside-avoid py-1.5 print:py-0.5 ${printed.has(r) ? "" : "print:hidden"}`}
          data-parting={r.character}
        >
          <h3 className="text-sm text-faded">
            {capital(r.label)}
            {HEIGHT[r.position]}
          </h3>
          <div className={`grid gap-x-4 gap-y-1 ${COLUMNS[c.taxa.length]}`}>
            {r.sides.map((s, i) => (
              <SideCell
                key={c.taxa[i]?.taxon}
                row={r}
                side={s}
                month={month}
                others={r.sides.filter((o) => o !== s)}
                name={c.taxa[i]?.commonName ?? ""}
              />
            ))}
          </div>
        </div>
      ))}
    </section>
  );
}

function SideCell(p: { row: Row; side: Side; month: number | null; others: Side[]; name: string }) {
  const { row, side: s, month, others, name } = p;
  if (s.times === null || s.times === undefined)
    return (
      <p className="text-sm text-faded">
        <span className="sr-only">{name}: </span>not described, which tells nothing
      </p>
    );
  const own = (state: string) => others.every((o) => !o.states.some((x) => x.state === state));
  return (
    <div className="min-w-0">
      <span className="sr-only">{name}: </span>
      {s.range && <strong className="figures">{s.range}</strong>}
      <ul className="flex flex-wrap gap-x-3 gap-y-1">
        {s.states.map((x) => (
          <li key={x.state} className="flex items-center gap-1.5">
            <Tile
              character={row.character}
              state={x.state}
              drawing={x.drawing}
              size={36}
              className={`shrink-0 ${own(x.state) ? "" : "opacity-50"}`}
            />
            <span className={own(x.state) ? "border-b-2 border-ink font-semibold" : "text-faded"}>
              {often(x.share)}
              {x.label}
            </span>
          </li>
        ))}
      </ul>
      <p className="text-xs text-faded">{month !== null && !onSide(s, month) ? `asleep now, seen on it ${wakes([s], month)}` : telling(s.times)}</p>
    </div>
  );
}

/** What a usual look is worth, in words nobody takes for safety. */
function telling(times: number): string {
  if (times < 1.5) return "such a look tells next to nothing for it";
  const words = times > 1000 ? "more than 1,000" : times < 9.5 ? times.toFixed(0) : Number(times.toPrecision(1)).toLocaleString("en-GB");
  return `such a look makes it about ${words} times likelier`.replace("about more", "more");
}

function Nevers({ taxa }: { taxa: Comparison["taxa"] }) {
  if (taxa.every((t) => t.nevers.length === 0)) return null;
  return (
    <section className="mt-5">
      <h2 className="border-b border-ink text-lg">What one never shows and the other often does</h2>
      <div className={`grid gap-x-4 ${COLUMNS[taxa.length]} max-wide:grid-cols-1`}>
        {taxa.map((t) => (
          <div key={t.taxon}>
            <h3 className="pt-2 font-bold">{capital(t.commonName)} never shows</h3>
            {t.nevers.length === 0 && <p className="text-sm text-faded">Nobody has stated anything here.</p>}
            <ul>
              {t.nevers.map((line) => (
                <li key={line.id} className="rule-b break-inside-avoid py-1 text-sm print:py-0">
                  <NeverLine line={line} />
                </li>
              ))}
            </ul>
          </div>
        ))}
      </div>
    </section>
  );
}
