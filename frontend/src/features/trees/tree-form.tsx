import { useMutation } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { client, Problem, type Schemas, unwrap } from "../../api/client";
import { useSession } from "../../api/queries";
import { Button, Choice, Field, fieldClass, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { parseDecimal } from "../../words/numbers";
import { GONE, SEX, STAGE } from "../../words/trees";
import { useWhere } from "../devices/where";
import type { TreePage } from "./tree";

export type Placed = { latitude: string; longitude: string; uncertainty: string; from: Schemas["PositionFrom"] };
export const UNPLACED: Placed = { latitude: "", longitude: "", uncertainty: "", from: "" };
/** As the server takes it; both numbers or none. */
export const asPosition = (p: Placed) => {
  const [latitude, longitude, uncertainty] = [p.latitude, p.longitude, p.uncertainty].map((t, i) =>
    t.trim() === "" ? null : (parseDecimal(t, i === 2 ? "m" : "°") ?? Number.NaN),
  );
  return {
    latitude: latitude ?? null,
    longitude: longitude ?? null,
    uncertainty: uncertainty ?? null,
    positionFrom: latitude == null ? ("" as const) : p.from || ("hand" as const),
  };
};

/** A position: taken beneath the tree, or read off a map. */
export function PositionFields({ placed, onChange, fields }: { placed: Placed; onChange: (placed: Placed) => void; fields: Record<string, string> }) {
  const where = useWhere();
  const take = async () => {
    const spot = await where.once();
    if (spot)
      onChange({
        latitude: spot.latitude.toFixed(6),
        longitude: spot.longitude.toFixed(6),
        uncertainty: spot.uncertainty == null ? "" : String(Math.max(1, Math.round(spot.uncertainty))),
        from: spot.from,
      });
  };
  const field = (key: "latitude" | "longitude" | "uncertainty", label: string) => (
    <Field label={label} error={fields[key]}>
      <NumberInput
        unit={key === "uncertainty" ? "m" : "°"}
        name={key}
        value={placed[key]}
        onChange={(e) => onChange({ ...placed, [key]: e.target.value, from: key === "uncertainty" ? placed.from : "hand" })}
      />
    </Field>
  );
  return (
    <div className="space-y-2">
      <div className="grid grid-cols-3 gap-2">
        {field("latitude", "Latitude °")}
        {field("longitude", "Longitude °")}
        {field("uncertainty", "Within, metres")}
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <Button disabled={where.asking} onClick={() => void take()}>
          {where.source === "stand-in" ? "Where the stand-in is now" : "Where I am now"}
        </Button>
        <span role="status" className="text-sm text-faded">
          {where.said}
        </span>
      </div>
    </div>
  );
}

/** What is known of a tree beside what is scored. */
export function TreeForm({ page, onKept, onLeave }: { page: TreePage; onKept: (page: TreePage) => void; onLeave: () => void }) {
  const today = useSession().data?.today ?? "";
  const [whereabouts, setWhereabouts] = useState(page.tree.whereabouts);
  const [placed, setPlaced] = useState<Placed>({
    latitude: page.latitude == null ? "" : String(page.latitude),
    longitude: page.longitude == null ? "" : String(page.longitude),
    uncertainty: page.uncertainty == null ? "" : String(page.uncertainty),
    from: page.positionFrom,
  });
  const [stage, setStage] = useState(page.stage ?? null);
  const [sex, setSex] = useState(page.sex);
  const [health, setHealth] = useState(page.health);
  const [gone, setGone] = useState(page.gone);
  const [goneOn, setGoneOn] = useState(page.goneOn ?? today);
  const change = useMutation({
    mutationFn: () =>
      unwrap(
        client.PUT("/api/specimens/{id}", {
          params: { path: { id: page.tree.id } },
          body: { whereabouts, ...asPosition(placed), stage, sex, health, gone, goneOn: gone === "" ? null : goneOn },
        }),
      ),
    onSuccess: onKept,
  });
  const fields = change.error instanceof Problem ? change.error.fields : {};
  const submit = (event: FormEvent) => {
    event.preventDefault();
    change.mutate();
  };
  return (
    <form onSubmit={submit} className="space-y-4" aria-label="The tree">
      <Field label="How to find it again" error={fields.whereabouts}>
        <input className={fieldClass} name="whereabouts" maxLength={300} value={whereabouts} onChange={(e) => setWhereabouts(e.target.value)} />
      </Field>
      <PositionFields placed={placed} onChange={setPlaced} fields={fields} />
      <Choice
        label="Life stage"
        value={stage ?? ("" as Schemas["LifeStage"])}
        options={(Object.keys(STAGE) as Schemas["LifeStage"][]).map((value) => ({ value, label: STAGE[value] }))}
        onChange={setStage}
      />
      <Choice
        label="Flowers it bears"
        value={sex}
        options={(Object.keys(SEX) as Schemas["Sex"][]).map((value) => ({ value, label: SEX[value] }))}
        onChange={setSex}
      />
      <Field label="How it does" error={fields.health}>
        <textarea className={fieldClass} name="health" rows={2} maxLength={500} value={health} onChange={(e) => setHealth(e.target.value)} />
      </Field>
      <Choice
        label="What became of it"
        value={gone}
        options={(["", "felled", "fallen", "dead", "lost"] as const).map((value) => ({ value, label: GONE[value] }))}
        onChange={setGone}
      />
      {gone !== "" && (
        <Field label="On which day" error={fields.goneOn}>
          <input type="date" className={fieldClass} value={goneOn} max={today} onChange={(e) => setGoneOn(e.target.value)} />
        </Field>
      )}
      {change.error && (Object.keys(fields).length === 0 || fields.gone) && <Trouble error={change.error} />}
      <div className="flex gap-2">
        <Button type="submit" tone="ink" disabled={change.isPending}>
          Keep it
        </Button>
        <Button onClick={onLeave}>Leave it</Button>
      </div>
    </form>
  );
}
