import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { client, Problem, type Schemas, unwrap } from "../../api/client";
import { floraQuery, useSession } from "../../api/queries";
import { Button, Choice, Field, fieldClass, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { parseDecimal } from "../../words/numbers";
import { EXPOSURE, LIGHT, MOISTURE, options, SOIL } from "../../words/places";
import { HereButton, type Spot } from "../devices/where";

const FOOT = 0.3048;

/** Where a place lies and what the ground is like; new, or changed. */
export function PlaceForm({
  page,
  onKept,
  onLeave,
}: {
  page?: Schemas["SitePageView"];
  onKept: (page: Schemas["SitePageView"]) => void;
  onLeave: () => void;
}) {
  const imperial = useSession().data?.user?.units === "imperial";
  const flora = useQuery(floraQuery());
  const queries = useQueryClient();
  const site = page?.site;
  const [text, setText] = useState({
    name: site?.name ?? "",
    latitude: site ? String(site.latitude) : "",
    longitude: site ? String(site.longitude) : "",
    altitude: site ? String(Math.round(site.altitude / (imperial ? FOOT : 1))) : "",
    rules: page?.rules ?? "",
  });
  const [ground, setGround] = useState({
    soil: page?.soil ?? ("" as Schemas["Soil"]),
    light: page?.light ?? ("" as Schemas["Light"]),
    moisture: page?.moisture ?? ("" as Schemas["Moisture"]),
    exposure: page?.exposure ?? ("" as Schemas["Exposure"]),
  });
  const [guarded, setGuarded] = useState(page?.protectedTaxa ?? []);
  const keep = useMutation({
    mutationFn: (body: Schemas["SiteInput"]) =>
      site ? unwrap(client.PUT("/api/sites/{id}", { params: { path: { id: site.id } }, body })) : unwrap(client.POST("/api/sites", { body })),
    onSuccess: (kept) => {
      void queries.invalidateQueries({ queryKey: ["sites"] });
      onKept(kept);
    },
  });
  const fields = keep.error instanceof Problem ? keep.error.fields : {};
  const here = (spot: Spot) =>
    setText((t) => ({
      ...t,
      latitude: spot.latitude.toFixed(5),
      longitude: spot.longitude.toFixed(5),
      altitude: spot.altitude === null ? t.altitude : String(Math.round(spot.altitude / (imperial ? FOOT : 1))),
    }));
  const submit = (event: FormEvent) => {
    event.preventDefault();
    keep.mutate({
      name: text.name,
      latitude: parseDecimal(text.latitude) ?? Number.NaN,
      longitude: parseDecimal(text.longitude) ?? Number.NaN,
      altitude: (parseDecimal(text.altitude, imperial ? "ft" : "m") ?? Number.NaN) * (imperial ? FOOT : 1),
      rules: text.rules,
      protectedTaxa: guarded,
      ...ground,
    });
  };
  const field = (key: "latitude" | "longitude" | "altitude", label: string) => (
    <Field label={label} error={fields[key]}>
      <NumberInput
        unit={key !== "altitude" ? "°" : imperial ? "ft" : "m"}
        name={key}
        required
        value={text[key]}
        onChange={(e) => setText({ ...text, [key]: e.target.value })}
      />
    </Field>
  );
  return (
    <form onSubmit={submit} className="space-y-4" aria-label="The place">
      <Field label="Name" error={fields.name}>
        <input
          className={fieldClass}
          name="name"
          required
          maxLength={120}
          value={text.name}
          onChange={(e) => setText({ ...text, name: e.target.value })}
        />
      </Field>
      <div className="grid grid-cols-3 gap-2">
        {field("latitude", "Latitude °")}
        {field("longitude", "Longitude °")}
        {field("altitude", imperial ? "Height, feet" : "Height, metres")}
      </div>
      <HereButton onFound={here} />
      <Choice label="Soil" value={ground.soil} options={options(SOIL)} onChange={(soil) => setGround({ ...ground, soil })} />
      <Choice label="Light" value={ground.light} options={options(LIGHT)} onChange={(light) => setGround({ ...ground, light })} />
      <Choice label="Moisture" value={ground.moisture} options={options(MOISTURE)} onChange={(moisture) => setGround({ ...ground, moisture })} />
      <Field label="The slope looks">
        <select
          className={fieldClass}
          value={ground.exposure}
          onChange={(e) => setGround({ ...ground, exposure: e.target.value as Schemas["Exposure"] })}
        >
          {options(EXPOSURE).map((o) => (
            <option key={o.value} value={o.value}>
              {o.label}
            </option>
          ))}
        </select>
      </Field>
      <Field label="Rules of the place" error={fields.rules} hint="What the owner asks of whoever comes; what is protected, and where not to go.">
        <textarea
          className={`${fieldClass} py-2`}
          rows={3}
          maxLength={1000}
          value={text.rules}
          onChange={(e) => setText({ ...text, rules: e.target.value })}
        />
      </Field>
      <div>
        <Field label="Kinds protected here" error={fields.protectedTaxa} hint="The gate stays shut for them at this place.">
          <select className={fieldClass} value="" onChange={(e) => e.target.value && setGuarded([...guarded, e.target.value])}>
            <option value="">add a kind</option>
            {flora.data?.taxa
              .filter((t) => !guarded.includes(t.id))
              .map((t) => (
                <option key={t.id} value={t.id}>
                  {t.commonName}
                </option>
              ))}
          </select>
        </Field>
        <ul className="mt-1 flex flex-wrap gap-1.5">
          {guarded.map((id) => (
            <li key={id}>
              <Button onClick={() => setGuarded(guarded.filter((g) => g !== id))} aria-label={`No longer protected: ${id}`}>
                {flora.data?.taxa.find((t) => t.id === id)?.commonName ?? id} ✕
              </Button>
            </li>
          ))}
        </ul>
      </div>
      {keep.error && Object.keys(fields).length === 0 && <Trouble error={keep.error} />}
      <div className="flex gap-2">
        <Button type="submit" tone="ink" disabled={keep.isPending}>
          {site ? "Keep the changes" : "Enter the place"}
        </Button>
        <Button onClick={onLeave}>Leave it</Button>
      </div>
    </form>
  );
}
