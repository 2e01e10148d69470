import { useMutation, useQuery } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { useSearchParams } from "react-router";
import { client, unwrap } from "../../api/client";
import { sitesQuery, useSession, woodQuery } from "../../api/queries";
import { Button, Field, fieldClass, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { parseDecimal } from "../../words/numbers";
import { capital, dayWords } from "../../words/text";

const heat = (n: number) => Number(n.toPrecision(2)).toLocaleString("en-GB");

/** How a stack dries in the weather of its place: from the day it was stacked, with all that nobody can know. */
export function Stack({ imperial }: { imperial: boolean }) {
  const [params] = useSearchParams();
  const sites = useQuery(sitesQuery).data ?? [];
  const woods = (useQuery(woodQuery).data ?? []).filter((w) => w.densityLeast != null);
  const today = useSession().data?.today ?? "";
  const [form, setForm] = useState({
    site: params.get("site") ?? "",
    since: params.get("since") ?? today,
    taxon: params.get("taxon") ?? "",
    density: params.get("density") ?? "",
    thick: imperial ? "4" : "10",
    long: imperial ? "1.1" : "0.33",
    wet: "45",
    dry: "20",
  });
  const [said, setSaid] = useState("");
  const ask = useMutation({
    mutationFn: (query: { site: string; since: string; thick: number; long: number; density: number; wet: number; dry: number }) =>
      unwrap(client.GET("/api/reckoning/stack", { params: { query } })),
  });
  const site = form.site || (sites[0]?.id ?? "");
  const wood = woods.find((w) => w.taxon === form.taxon);
  const density =
    form.density || (wood?.densityLeast != null ? String(Math.round((wood.densityLeast + (wood.densityMost ?? wood.densityLeast)) / 2)) : "");
  const [thickIn, longIn] = imperial ? ["in", "ft"] : ["cm", "m"];
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const [thick, long] = [parseDecimal(form.thick, thickIn), parseDecimal(form.long, longIn)];
    const [kg, wet, dry] = [density, form.wet, form.dry].map((t) => parseDecimal(t));
    if (thick == null || long == null || kg == null || wet == null || dry == null)
      return setSaid("All of them are one number each, such as 1,4 or 1.4.");
    setSaid("");
    ask.mutate({ site, since: form.since, thick: thick * (imperial ? 25.4 : 10), long: long * (imperial ? 0.3048 : 1), density: kg, wet, dry });
  };
  const field = (key: "thick" | "long" | "wet" | "dry", label: string) => (
    <div className="w-36">
      <Field label={label}>
        <NumberInput name={`stack-${key}`} value={form[key]} onChange={(e) => setForm({ ...form, [key]: e.target.value })} />
      </Field>
    </div>
  );
  const found = ask.data;
  return (
    <section data-reckon="stack" className="wide:col-span-2">
      <h2 className="border-b border-ink pb-1 text-lg">A stack dries</h2>
      <p className="py-1 text-sm text-faded">
        By what the station of the place has told, and by its last years. Under a roof, off the ground, with wind between: else it takes longer.
      </p>
      <form onSubmit={submit} className="flex flex-wrap items-end gap-2">
        <div className="w-52">
          <Field label="Where it stands">
            <select className={fieldClass} name="stack-site" value={site} onChange={(e) => setForm({ ...form, site: e.target.value })}>
              {sites.map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
            </select>
          </Field>
        </div>
        <div className="w-44">
          <Field label="Stacked on">
            <input
              className={fieldClass}
              type="date"
              name="stack-since"
              required
              max={today}
              value={form.since}
              onChange={(e) => setForm({ ...form, since: e.target.value })}
            />
          </Field>
        </div>
        <div className="w-52">
          <Field label="Of what">
            <select
              className={fieldClass}
              name="stack-wood"
              value={form.taxon}
              onChange={(e) => setForm({ ...form, taxon: e.target.value, density: "" })}
            >
              <option value="">by its density</option>
              {woods.map((w) => (
                <option key={w.taxon} value={w.taxon}>
                  {capital(w.name)}
                </option>
              ))}
            </select>
          </Field>
        </div>
        <div className="w-36">
          <Field label="Air dry, kg/m³">
            <NumberInput name="stack-density" required value={density} onChange={(e) => setForm({ ...form, density: e.target.value })} />
          </Field>
        </div>
        {field("thick", `Pieces thick, ${imperial ? "in" : "cm"}`)}
        {field("long", `and long, ${imperial ? "ft" : "m"}`)}
        {field("wet", "Water then, of all, %")}
        {field("dry", "Dry is, %")}
        <Button type="submit" disabled={ask.isPending || site === ""}>
          Reckon
        </Button>
      </form>
      {said && <p role="alert">{said}</p>}
      {ask.error && <Trouble error={ask.error} />}
      {found && (
        <ul role="status" className="mt-2 border-l-4 border-ink pl-3">
          <li>
            {found.days === 0 ? "It begins today: " : `After ${found.days} days of weather it holds `}
            {found.driest === found.dampest ? found.driest : `${found.driest} to ${found.dampest}`} % of water.
          </li>
          <li>
            {found.soonest == null
              ? "It does not get so dry in the open: the air there is too damp for it."
              : found.likely == null
                ? `Dry on ${dayWords(found.soonest)} at the soonest; in most years not within four.`
                : `Dry most likely by ${dayWords(found.likely)}; at the soonest ${dayWords(found.soonest)}, at the latest ${found.latest == null ? "not within four years" : dayWords(found.latest)}.`}
          </li>
          <li>
            {imperial
              ? `A cord gives ${heat(found.heatNow * 3.624556 * 0.00341214)} million Btu as it is, and ${heat(found.heatDry * 3.624556 * 0.00341214)} when it is dry.`
              : `A stacked cubic metre gives ${heat(found.heatNow)} kWh as it is, and ${heat(found.heatDry)} when it is dry.`}
          </li>
          <li className="text-sm text-faded">
            From {found.years} {found.years === 1 ? "year" : "years"} of its weather{found.standIn && ", played by the station that ships"}. Before it
            goes into a stove, measure one that was split anew.
          </li>
        </ul>
      )}
    </section>
  );
}
