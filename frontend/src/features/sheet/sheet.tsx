import { useQuery } from "@tanstack/react-query";
import { QRCodeSVG } from "qrcode.react";
import type { ReactNode } from "react";
import { Link, useSearchParams } from "react-router";
import type { Flora, Schemas } from "../../api/client";
import { fieldSheetQuery, floraQuery, sitesQuery, taxonQuery, useSession } from "../../api/queries";
import { Tile } from "../../plates/tile";
import { Button, Choice, Field, fieldClass, Loading, Name, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { ROUTES, type RouteId, STATION } from "../../words/stations";
import { capital, dayWords } from "../../words/text";
import { shownUnit } from "../../words/units";
import { byLook, type Row, rowsOfPart, rowsOfSurvey, stationsOf } from "./rows";

type Format = "a5" | "a6";
/** What a page is to the printer; an A5 sheet folded once gives four pages of A6. */
const PAGE: Record<Format, string> = { a5: "size: A5 portrait; margin: 8mm", a6: "size: A5 landscape; margin: 7mm" };

/** A sheet for the wood when the battery is dead: for a wanted part, or by route for a tree nobody knows. */
export default function SheetPage() {
  const [params, setParams] = useSearchParams();
  const session = useSession().data;
  const user = session?.user;
  const poisonCentre = session?.school?.poisonCentre ?? "";
  const units = user?.units ?? "metric";
  const [taxon, part, site] = ["taxon", "part", "site"].map((name) => params.get(name) ?? "") as [string, string, string];
  const name = params.get("flora") ?? user?.flora ?? "";
  const route = (params.get("route") ?? "branch-first") as RouteId;
  const format = (params.get("format") ?? "a5") as Format;
  const flora = useQuery(floraQuery(name));
  const sites = useQuery(sitesQuery);
  const species = useQuery({ ...taxonQuery(taxon, name), enabled: taxon !== "" });
  const sheet = useQuery(fieldSheetQuery(taxon, part, site, name));
  const set = (change: Record<string, string>) => {
    const next = new URLSearchParams(params);
    for (const [key, value] of Object.entries(change)) value ? next.set(key, value) : next.delete(key);
    setParams(next, { replace: true });
  };
  const failed = [flora, sheet, ...(taxon ? [species] : [])].find((q) => q.isError);
  if (failed?.error) return <Trouble error={failed.error} retry={() => void failed.refetch()} />;
  if (!flora.data || !sheet.data || (taxon && !species.data)) return <Loading what="the sheet" />;
  const wanted = species.data?.parts.find((p) => p.id === part);
  const rows = wanted ? rowsOfPart(flora.data, wanted, sheet.data, route) : rowsOfSurvey(flora.data, sheet.data, route);
  const enter = `/sheet/enter?${new URLSearchParams({ ...(wanted && { taxon, part }), flora: name, route, ...(site && { site }) })}`;
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6 print:max-w-none print:p-0">
      <style>{`@page { ${PAGE[format]} }`}</style>
      <div className="print:hidden">
        <PageHead
          title="A sheet of paper"
          lead="Printed in black. Filled in with a pencil, it is entered afterwards in the same order; the gate decides then, not before."
        />
        <div className="mt-3 flex flex-wrap items-end gap-3">
          <Field label="For">
            <select
              className={fieldClass}
              name="wanted"
              value={taxon ? `${taxon}/${part}` : ""}
              onChange={(e) => {
                const [t = "", p = ""] = e.target.value.split("/");
                set({ taxon: t, part: p });
              }}
            >
              <option value="">a tree nobody knows: a survey</option>
              {flora.data.taxa.flatMap((t) =>
                t.parts
                  .filter((p) => !p.harmful)
                  .map((p) => (
                    <option key={t.id + p.id} value={`${t.id}/${p.id}`}>
                      {t.commonName}, {p.label}
                    </option>
                  )),
              )}
            </select>
          </Field>
          <Field label="Place">
            <select className={fieldClass} value={site} onChange={(e) => set({ site: e.target.value })}>
              <option value="">reference place of the flora</option>
              {sites.data?.map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
            </select>
          </Field>
          <Choice
            label="Route"
            value={route}
            options={(Object.keys(ROUTES) as RouteId[]).map((value) => ({ value, label: ROUTES[value].label }))}
            onChange={(value) => set({ route: value })}
          />
          <Choice
            label="Paper"
            value={format}
            options={[
              { value: "a5", label: "A5" },
              { value: "a6", label: "A5 folded to A6" },
            ]}
            onChange={(value) => set({ format: value })}
          />
          <Button tone="ink" onClick={() => window.print()}>
            Print
          </Button>
          <Link to={enter} className="inline-flex min-h-11 items-center underline underline-offset-4">
            Enter one that is filled in
          </Link>
        </div>
      </div>
      <article
        className={`mt-4 bg-white text-[9pt] leading-snug text-black print:mt-0 ${wanted ? "print:text-[8.4pt]" : "print:text-[7.4pt]"} ${format === "a6" ? "columns-2 gap-[8mm] wide:max-w-[210mm]" : wanted ? "wide:max-w-[148mm]" : "columns-2 gap-[4mm] wide:max-w-[148mm]"} border border-rule p-[6mm] print:max-w-none print:border-0 print:p-0`}
        data-sheet
      >
        {wanted && species.data ? (
          <Wanted flora={flora.data} taxon={species.data} part={wanted} sheet={sheet.data} rows={rows} units={units} />
        ) : (
          <Survey sheet={sheet.data} rows={rows} route={route} units={units} />
        )}
        <footer className="mt-[3mm] flex break-inside-avoid items-end justify-between gap-[3mm] border-t border-black pt-[2mm]">
          <span className="text-[7pt]">
            {sheet.data.title}, edition {sheet.data.edition}, {sheet.data.hash.slice(0, 12)}. Drawn up for {dayWords(sheet.data.day)}. Local law and
            the owner come first. A ticked sheet opens nothing: the gate does, when it is entered. If something was swallowed: keep a sample, note
            time and amount, call the poison centre{poisonCentre && `, ${poisonCentre},`} or the emergency number.
          </span>
          <QRCodeSVG
            value={`${window.location.origin}${enter}`}
            level="M"
            style={{ width: "16mm", height: "16mm", flexShrink: 0 }}
            title="Enter this sheet"
          />
        </footer>
      </article>
    </div>
  );
}

const Line = ({ label, children }: { label: string; children?: ReactNode }) => (
  <span className="flex min-w-[34mm] flex-1 items-end gap-[1mm]">
    {label} <span className="h-[5mm] flex-1 border-b border-black">{children}</span>
  </span>
);

function Head() {
  return (
    <div className="mt-[1mm] flex flex-wrap gap-x-[4mm] gap-y-[1mm]">
      <Line label="Tree" />
      <Line label="Place" />
      <Line label="Day" />
      <Line label="First" />
      <Line label="Second" />
    </div>
  );
}

function Wanted(p: {
  flora: Flora;
  taxon: Schemas["TaxonView"];
  part: Schemas["PartView"];
  sheet: Schemas["FieldSheetView"];
  rows: Row[];
  units: string;
}) {
  const { taxon, part, sheet, rows, units } = p;
  const label = new Map(p.flora.characters.map((c) => [c.id, c.label]));
  const named = sheet.dangers.filter((d) => d.named);
  const others = byLook(sheet.dangers.filter((d) => !d.named));
  const stops = part.conditions.filter((c) => !c.wanted);
  return (
    <>
      <h2 className="text-[14pt] leading-tight">
        {capital(taxon.commonNames[0] ?? taxon.name)}, {part.label}
      </h2>
      <p>
        <Name>{taxon.name}</Name>. Taken {sheet.window || "at no stated time"}
        {sheet.place && ` at ${sheet.place}`}
        {sheet.window && !sheet.inWindow && ": not on the day this was drawn up"}. {part.leave}
      </p>
      <Head />
      <h3 className="mt-[3mm] border-b-2 border-black text-[10pt]">Required, each sure and on the tree. One box a sample: first ○, second □</h3>
      {rows
        .filter((r) => r.required)
        .map((r) => (
          <RowLine key={r.character.id} row={r} units={units} />
        ))}
      <h3 className="mt-[3mm] border-b-2 border-black text-[10pt]">Stop: take nothing if</h3>
      <ul className="ml-[4mm] list-disc">
        <li>one required look is missing, unsure, or otherwise;</li>
        {stops.map((c) => (
          <li key={c.id}>
            {c.question.replace(/\?$/, "")}: yes. {c.note}
          </li>
        ))}
        <li>two looks disagree, and a further one has not settled it;</li>
        <li>permission, quota or the second person is not known.</li>
      </ul>
      <h3 className="mt-[3mm] border-b-2 border-black text-[10pt]">Asked with the part in the hand</h3>
      {part.conditions.map((c) => (
        <p key={c.id} className="flex justify-between gap-[2mm] border-b border-black/40 py-[0.6mm]">
          <span>{c.question}</span>
          <span className="shrink-0">□ yes □ no</span>
        </p>
      ))}
      <h3 className="mt-[3mm] border-b-2 border-black text-[10pt]">Taken for it, and harms</h3>
      {named.map((d) => (
        <p key={d.taxon} className="break-inside-avoid border-b border-black/40 py-[0.6mm]">
          <strong>{capital(d.commonName)}</strong> (<Name>{d.name}</Name>), {d.severity}. {d.note}{" "}
          {d.look && (
            <>
              □ <strong>{label.get(d.look)}</strong>: wanted {d.wanted || "otherwise"}; this one {d.shows || "otherwise"}.
            </>
          )}
        </p>
      ))}
      {rows.some((r) => !r.required) && <h3 className="mt-[3mm] border-b-2 border-black text-[10pt]">Looks that exclude what else harms</h3>}
      {rows
        .filter((r) => !r.required)
        .map((r) => (
          <RowLine key={r.character.id} row={r} units={units} />
        ))}
      <ul className="mt-[1mm]">
        {others.map(({ look, dangers }) => (
          <li key={look ?? "none"} className="break-inside-avoid py-[0.4mm]">
            <strong>{look ? label.get(look) : "No look parts these today"}:</strong>{" "}
            {dangers.map((d) => `${d.commonName} (${d.severity})`).join(", ")}.
          </li>
        ))}
      </ul>
    </>
  );
}

function Survey({ sheet, rows, route, units }: { sheet: Schemas["FieldSheetView"]; rows: Row[]; route: RouteId; units: string }) {
  return (
    <>
      <h2 className="text-[14pt] leading-tight">A tree nobody knows</h2>
      <p>
        {ROUTES[route].label}
        {sheet.place && `, ${sheet.place}`}. Ring the number of what it shows; “or” between two that cannot be told apart; x for what cannot be seen.
        Take nothing.
      </p>
      <Head />
      {stationsOf(rows).map(({ organ, rows: here }) => (
        <section key={organ}>
          <h3 className="mt-[3mm] border-b-2 border-black text-[10pt]">{STATION[organ].name}</h3>
          {here.map((r) => (
            <RowLine key={r.character.id} row={r} units={units} />
          ))}
        </section>
      ))}
    </>
  );
}

/** The numbers are those that are typed when the sheet is entered; what is wanted is drawn. */
function RowLine({ row, units }: { row: Row; units: string }) {
  const { character: c, samples, wanted, range, required } = row;
  const few = required ? c.states.filter((s) => wanted.includes(s.id)) : [];
  return (
    <div className="break-inside-avoid border-b border-black/40 py-[1mm]" data-row={c.id}>
      <div className="flex justify-between gap-[2mm]">
        <span>
          <strong>{capital(c.label)}.</strong> {c.question}
        </span>
        <span className="shrink-0 font-semibold tracking-widest" role="img" aria-label={`${samples} samples to tick`}>
          {"○".repeat(samples)} {"□".repeat(samples)}
        </span>
      </div>
      {c.states.length === 0 ? (
        <p>
          {range ? `Wanted: ${range}. ` : ""}
          {Array.from({ length: Math.max(3, samples) }, () => "______").join("  ")} {shownUnit(c, units)}
        </p>
      ) : (
        <p className="flex flex-wrap items-center gap-x-[3mm]">
          {few.map((s) => (
            <span key={s.id} className="inline-flex items-center gap-[1mm] border-2 border-black pr-[1mm]">
              <Tile character={c.id} state={s.id} drawing={s.drawing} size={38} />
              <span>
                <strong>
                  {c.states.indexOf(s) + 1} {s.label}
                </strong>
              </span>
            </span>
          ))}
          {c.states
            .filter((s) => !few.includes(s))
            .map((s) => (
              <span key={s.id}>
                {c.states.indexOf(s) + 1} {s.label}
              </span>
            ))}
        </p>
      )}
    </div>
  );
}
