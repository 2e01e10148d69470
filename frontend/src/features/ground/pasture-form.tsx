import { useMutation, useQuery } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { client, type Schemas, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { pasturesQuery, sitesQuery, useSession } from "../../api/queries";
import { Button, Choice, Field, fieldClass, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { parseDecimal } from "../../words/numbers";
import { ANIMALS, massUnit, usualMass } from "../../words/stock";
import { HereButton } from "../devices/where";
import { useEdge } from "../map/edge";
import { EdgeDrawing } from "../map/edge-drawing";
import { CornerList } from "../trees/boundary";

type Pasture = Schemas["PastureView"];

/** Where a pasture lies, what grazes there and when. */
export function PastureForm({ pasture, onKept }: { pasture: Pasture | null; onKept: () => void }) {
  const sites = useQuery(sitesQuery);
  const imperial = useSession().data?.user?.units === "imperial";
  const { unit, grams } = massUnit(imperial);
  const [id] = useState(() => pasture?.id ?? newId());
  const [name, setName] = useState(pasture?.name ?? "");
  const [site, setSite] = useState(pasture?.siteId ?? "");
  const [animal, setAnimal] = useState<Schemas["Animal"]>(pasture?.animal ?? "cattle");
  const [number, setNumber] = useState(String(pasture?.number ?? ""));
  const [each, setEach] = useState(pasture ? String(Number((pasture.grams / grams).toPrecision(4))) : usualMass("cattle", imperial));
  const [from, setFrom] = useState(pasture?.grazed[0]?.from ?? "");
  const [to, setTo] = useState(pasture?.grazed[0]?.to ?? "");
  const edge = useEdge(pasture?.corners ?? [], pasture?.gate);
  const { corners, gate } = edge;
  const others = useQuery(pasturesQuery("")).data?.pastures.filter((other) => other.id !== id);
  const [said, setSaid] = useState("");
  const keep = useMutation({
    mutationFn: (body: Schemas["PastureInput"]) => unwrap(client.PUT("/api/pastures/{id}", { params: { path: { id } }, body })),
    onSuccess: onKept,
  });
  const giveUp = useMutation({
    mutationFn: () => unwrap(client.DELETE("/api/pastures/{id}", { params: { path: { id } } })),
    onSuccess: onKept,
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const [heads, mass] = [parseDecimal(number), parseDecimal(each)];
    if (heads === null || mass === null) return setSaid("How many there are, and what one weighs, are numbers.");
    if ((from === "") !== (to === "")) return setSaid("Grazed from a day to a day, or neither.");
    if (corners.length < 3) return setSaid("A pasture has at least three corners.");
    setSaid("");
    // other stretches of the year that a file brought stay as they are
    const grazed = from && to ? [{ from, to }, ...(pasture?.grazed.slice(1) ?? [])] : [];
    keep.mutate({
      name,
      siteId: site || (sites.data?.[0]?.id ?? ""),
      corners,
      animal,
      number: Math.round(heads),
      grams: mass * grams,
      gate: gate ?? [],
      grazed,
    });
  };
  return (
    <form onSubmit={submit} className="space-y-3" aria-label="A pasture">
      <div className="grid gap-3 wide:grid-cols-2">
        <Field label="Name">
          <input className={fieldClass} name="pasture-name" required maxLength={120} value={name} onChange={(e) => setName(e.target.value)} />
        </Field>
        <Field label="Belongs to" hint="Whose weather and season hold there.">
          <select className={fieldClass} name="pasture-site" value={site} onChange={(e) => setSite(e.target.value)}>
            {(sites.data ?? []).map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </select>
        </Field>
      </div>
      <Choice
        label="What grazes there"
        value={animal}
        options={ANIMALS.map((value) => ({ value, label: value }))}
        onChange={(next) => {
          setAnimal(next);
          setEach(usualMass(next, imperial));
        }}
      />
      <div className="grid grid-cols-2 gap-3 wide:grid-cols-4">
        <Field label="How many">
          <NumberInput name="heads" required value={number} onChange={(e) => setNumber(e.target.value)} />
        </Field>
        <Field label={`One weighs, ${unit}`}>
          <NumberInput name="one-weighs" required value={each} onChange={(e) => setEach(e.target.value)} />
        </Field>
        <Field label="Grazed from" hint="MM-DD">
          <input
            className={fieldClass}
            name="grazed-from"
            pattern="\d\d-\d\d"
            placeholder="05-01"
            value={from}
            onChange={(e) => setFrom(e.target.value)}
          />
        </Field>
        <Field label="to" hint="empty: any time">
          <input className={fieldClass} name="grazed-to" pattern="\d\d-\d\d" placeholder="10-15" value={to} onChange={(e) => setTo(e.target.value)} />
        </Field>
      </div>
      <h3 className="font-bold">The fence</h3>
      <EdgeDrawing edge={edge} site={site || (sites.data?.[0]?.id ?? "")} others={others} gated units={imperial ? "imperial" : "metric"} />
      <details>
        <summary className="flex min-h-11 cursor-pointer items-center underline underline-offset-4">Walk the corners, or enter their numbers</summary>
        <CornerList corners={corners} onChange={(next) => edge.draw({ corners: next })} />
        <HereButton label="The gate is where I stand" onFound={(spot) => edge.draw({ gate: [spot.longitude, spot.latitude] })} />
        {gate && (
          <p className="text-sm text-faded">
            Gate at {gate[1].toFixed(5)}°, {gate[0].toFixed(5)}°
          </p>
        )}
      </details>
      {said && (
        <p role="alert" className="text-berry">
          {said}
        </p>
      )}
      {(keep.error ?? giveUp.error) && <Trouble error={(keep.error ?? giveUp.error) as Error} />}
      <div className="flex flex-wrap gap-3">
        <Button type="submit" tone="ink" disabled={keep.isPending}>
          Keep the pasture
        </Button>
        {pasture && (
          <Button disabled={giveUp.isPending} onClick={() => giveUp.mutate()}>
            Not grazed any more
          </Button>
        )}
      </div>
    </form>
  );
}
