import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { Link, useSearchParams } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { pasturesQuery, sitesQuery, useSession } from "../../api/queries";
import { Button, Dialog, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { CHOICE, COUNT, mayFall, PERIL, SEEN, ZONE } from "../../words/ground";
import { amountWords, OF_THEM } from "../../words/stock";
import { capital, dayWords, MONTHS } from "../../words/text";
import { distanceWords, treeLength } from "../../words/trees";
import { ChoiceForm } from "./choice-form";
import { GroundNav } from "./ground-nav";
import { PastureForm } from "./pasture-form";
import { PastureMap } from "./pasture-map";

type Pasture = Schemas["PastureView"];
type Tree = Schemas["PastureTreeView"];

/** Pastures, and the trees that could harm what grazes there. */
export default function Pastures() {
  const [params, setParams] = useSearchParams();
  const session = useSession().data;
  const units = session?.user?.units ?? "metric";
  const today = session?.today ?? "";
  const month = params.get("month") ?? "";
  const all = useQuery(pasturesQuery(month && month !== today.slice(5, 7) ? `${today.slice(0, 4)}-${month}-15` : ""));
  const queries = useQueryClient();
  const kept = () => void queries.invalidateQueries({ queryKey: ["pastures"] });
  const [editing, setEditing] = useState<Pasture | "new" | null>(null);
  if (all.isPending) return <Loading what="the pastures" />;
  if (all.isError) return <Trouble error={all.error} retry={() => void all.refetch()} />;
  const { pastures, mayChange, day } = all.data;
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <PageHead title="Pastures" lead="Which trees stand in them or reach over the fence, and what of them animals get at this month." />
      <GroundNav />
      <div className="mt-4 flex flex-wrap items-end gap-3 print:hidden">
        <div className="w-44">
          <Field label="What matters in">
            <select
              className={fieldClass}
              name="month"
              value={day.slice(5, 7)}
              onChange={(e) => setParams(e.target.value === today.slice(5, 7) ? {} : { month: e.target.value }, { replace: true })}
            >
              {MONTHS.map((name, i) => (
                <option key={name} value={String(i + 1).padStart(2, "0")}>
                  {name}
                </option>
              ))}
            </select>
          </Field>
        </div>
        {mayChange && <Button onClick={() => setEditing("new")}>Enter a pasture</Button>}
        {mayChange && <Import onKept={kept} />}
        <a className="inline-flex min-h-11 items-center rounded-sm border border-ink px-3" href="/api/pastures.geojson" download>
          GeoJSON
        </a>
        <Button onClick={() => print()}>Print the list</Button>
      </div>
      {pastures.length === 0 && (
        <p className="mt-6">
          No pasture is entered.{" "}
          {mayChange ? "Draw its fence or walk it corner by corner, or bring in a GeoJSON file." : "An instructor enters them."} Until then no tree is
          held against animals.
        </p>
      )}
      {pastures.map((p) => (
        <One
          key={p.id}
          pasture={p}
          units={units}
          month={MONTHS[Number(day.slice(5, 7)) - 1] ?? ""}
          mayChange={mayChange}
          onEdit={() => setEditing(p)}
          onKept={kept}
        />
      ))}
      <Dialog
        open={editing !== null}
        onOpenChange={(open) => !open && setEditing(null)}
        title={editing === "new" ? "A pasture" : "Change the pasture"}
        wide
      >
        {editing && (
          <PastureForm
            pasture={editing === "new" ? null : editing}
            onKept={() => {
              setEditing(null);
              kept();
            }}
          />
        )}
      </Dialog>
    </div>
  );
}

function One(p: { pasture: Pasture; units: string; month: string; mayChange: boolean; onEdit: () => void; onKept: () => void }) {
  const { pasture, units } = p;
  const [chosen, setChosen] = useState<Tree | null>(null);
  const matters = pasture.trees.filter((t) => t.now.length > 0 || t.anyOfIt);
  return (
    <section aria-label={pasture.name} className="mt-8 break-inside-avoid" data-pasture={pasture.name}>
      <h2 className="double-rule flex flex-wrap items-baseline gap-x-4 pb-1 text-xl">
        {pasture.name}
        <span className="text-base font-normal">
          {pasture.number} {OF_THEM[pasture.animal]}, {amountWords(pasture.grams, units === "imperial")} each; {grazedWords(pasture)}
        </span>
        {p.mayChange && (
          <Button className="ml-auto text-base print:hidden" onClick={p.onEdit}>
            Change
          </Button>
        )}
      </h2>
      <div className="mt-3 grid gap-x-8 gap-y-4 wide:grid-cols-[22rem_minmax(0,1fr)]">
        <div>
          <PastureMap pasture={pasture} units={units} />
        </div>
        <div>
          <h3 className="font-bold">In {p.month}</h3>
          {matters.length === 0 ? (
            <p className="text-faded">Nothing is known that matters this month. Look after wind all the same.</p>
          ) : (
            <ul className="border-l-4 border-berry pl-3">
              {matters.map((t) => (
                <li key={t.id} className="py-0.5">
                  <strong>{t.label}</strong>
                  {t.kind && `, ${t.kind}`}: {t.now.length > 0 ? t.now.join("; ") : "anything of it"}
                  {t.anyOfIt && t.now.length > 0 && "; and anything of what is not settled"} <span className="text-berry">({PERIL[t.peril]})</span>
                </li>
              ))}
            </ul>
          )}
          {pasture.unplaced.length > 0 && (
            <p className="mt-2 border-l-4 border-ochre pl-3 text-sm">
              Nobody has taken where these stand, and they may reach it too: {pasture.unplaced.join(", ")}.
            </p>
          )}
        </div>
      </div>
      <h3 className="mt-4 font-bold">Trees</h3>
      {pasture.trees.length === 0 && <p className="text-faded">No tree on record stands in it or reaches it. What bears no tag is not on record.</p>}
      <ul>
        {pasture.trees.map((t) => (
          <li key={t.id} className="rule-b grid gap-x-4 py-2 wide:grid-cols-[minmax(0,1fr)_13rem]" data-reaching={t.label}>
            <div>
              <span className="flex flex-wrap items-baseline gap-x-3">
                {t.isStand ? (
                  <strong>{t.label}</strong>
                ) : (
                  <Link to={`/trees/${t.id}`} className="font-bold underline-offset-4 hover:underline">
                    {t.label}
                  </Link>
                )}
                <span>{t.kind || <span className="text-ochre">not settled</span>}</span>
                {t.isStand && <span className="text-sm text-faded">{COUNT[t.count]}</span>}
                <span className={t.peril === "harmless" ? "text-sm text-faded" : "text-sm font-semibold text-berry"}>{PERIL[t.peril]}</span>
              </span>
              <span className="block text-sm text-faded">
                {capital(ZONE[t.zone])}, {distanceWords(t.metres, units)} from the fence; {treeLength(t.height, units)} tall
                {t.heightFrom === "kind" ? " at most, by its kind" : t.heightFrom === "unknown" ? ", for nobody knows" : ""}, reaches{" "}
                {treeLength(t.reach, units)}
                {t.leafGrams != null && `; carries about ${amountWords(t.leafGrams, units === "imperial")} of leaf`}
              </span>
              {(t.marks.length > 0 || t.health) && (
                <span className={`block text-sm ${mayFall(t.marks) ? "text-ochre" : ""}`}>
                  {[...t.marks.map((m) => SEEN[m]), t.health].filter(Boolean).join(", ")}
                  {mayFall(t.marks) && ": have it looked at by a licensed arborist"}
                </span>
              )}
              {t.choice && (
                <span className="block text-sm">
                  <strong>{capital(CHOICE[t.choice.choice])}</strong>
                  {t.choice.why && `: ${t.choice.why}`}{" "}
                  <span className="text-faded">
                    ({t.choice.by}, {dayWords(t.choice.at.slice(0, 10))})
                  </span>
                </span>
              )}
            </div>
            {p.mayChange && (
              <span className="self-center justify-self-start wide:justify-self-end print:hidden">
                <Button aria-label={`${t.label}: keep, watch, fence off or fell`} onClick={() => setChosen(t)}>
                  keep, watch, fence off or fell
                </Button>
              </span>
            )}
          </li>
        ))}
      </ul>
      <Dialog
        open={chosen !== null}
        onOpenChange={(open) => !open && setChosen(null)}
        title={chosen ? `${chosen.label} at ${pasture.name}` : ""}
        wide
      >
        {chosen && (
          <ChoiceForm
            pasture={pasture}
            tree={chosen}
            units={units}
            onKept={() => {
              setChosen(null);
              p.onKept();
            }}
          />
        )}
      </Dialog>
    </section>
  );
}

const dayMonth = (text: string) => `${Number(text.slice(3))} ${MONTHS[Number(text.slice(0, 2)) - 1] ?? ""}`;
function grazedWords(pasture: Pasture): string {
  if (pasture.grazed.length === 0) return "grazed at any time, for nobody has said when";
  return `grazed ${pasture.grazed.map((g) => `${dayMonth(g.from ?? "")} to ${dayMonth(g.to ?? "")}`).join(", ")}${pasture.isGrazed ? "; there now" : "; not there now"}`;
}

/** A GeoJSON file: each of its polygons becomes a pasture, or none does. */
function Import({ onKept }: { onKept: () => void }) {
  const sites = useQuery(sitesQuery);
  const file = useRef<HTMLInputElement>(null);
  const bring = useMutation({
    mutationFn: async (chosen: File) =>
      unwrap(
        client.POST("/api/pastures/import", {
          params: { query: { site: sites.data?.[0]?.id ?? "" } },
          body: await chosen.text(),
          bodySerializer: (text: unknown) => text as string,
          headers: { "Content-Type": "application/geo+json" },
        } as never),
      ),
    onSuccess: onKept,
  });
  return (
    <>
      <Button disabled={!sites.data?.length || bring.isPending} onClick={() => file.current?.click()}>
        Bring in GeoJSON
      </Button>
      <input
        ref={file}
        type="file"
        accept=".geojson,.json,application/geo+json"
        aria-label="GeoJSON file of pastures"
        className="sr-only"
        tabIndex={-1}
        onChange={(e) => {
          const chosen = e.target.files?.[0];
          e.target.value = "";
          if (chosen) bring.mutate(chosen);
        }}
      />
      {bring.error && (
        <div className="basis-full">
          <Trouble error={bring.error} />
        </div>
      )}
    </>
  );
}
