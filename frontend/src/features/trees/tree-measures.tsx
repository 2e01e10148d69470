import { useMutation } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link } from "react-router";
import { client, Problem, unwrap } from "../../api/client";
import { Button, Field, fieldClass, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { parseDecimal } from "../../words/numbers";
import { FromGauge } from "../devices/from-gauge";
import type { TreePage } from "./tree";

const INCH = 2.54;
const FOOT = 0.3048;

/** Girth, height, and how high the lowest twigs hang. */
export function MeasureForm(p: { id: string; tag: string; today: string; imperial: boolean; onKept: (page: TreePage) => void }) {
  const [on, setOn] = useState(p.today);
  const [text, setText] = useState({ girth: "", height: "", lowest: "", note: "" });
  const [short, long] = p.imperial ? ["in", "ft"] : ["cm", "m"];
  const number = (given: string, unit: string | undefined, factor: number): number | null =>
    given.trim() === "" ? null : (parseDecimal(given, unit) ?? Number.NaN) * factor;
  const add = useMutation({
    mutationFn: () =>
      unwrap(
        client.POST("/api/specimens/{id}/measures", {
          params: { path: { id: p.id } },
          body: {
            on,
            girth: number(text.girth, short, p.imperial ? INCH : 1),
            height: number(text.height, long, p.imperial ? FOOT : 1),
            lowest: number(text.lowest, long, p.imperial ? FOOT : 1),
            note: text.note,
          },
        }),
      ),
    onSuccess: p.onKept,
  });
  const fields = add.error instanceof Problem ? add.error.fields : {};
  const submit = (event: FormEvent) => {
    event.preventDefault();
    add.mutate();
  };
  const field = (key: "girth" | "height" | "lowest", label: string, hint?: string) => (
    <Field label={label} error={fields[key]} hint={hint}>
      <NumberInput unit={key === "girth" ? short : long} name={key} value={text[key]} onChange={(e) => setText({ ...text, [key]: e.target.value })} />
    </Field>
  );
  return (
    <form onSubmit={submit} className="space-y-3" aria-label="Measures">
      <Field label="Day" error={fields.on}>
        <input type="date" className={fieldClass} value={on} max={p.today} onChange={(e) => setOn(e.target.value)} />
      </Field>
      <div className="flex items-end gap-2">
        <div className="flex-1">{field("girth", `Girth, ${p.imperial ? "inches" : "centimetres"}`)}</div>
        <FromGauge unit={p.imperial ? "in" : "cm"} onRead={(girth) => setText((t) => ({ ...t, girth }))} />
      </div>
      <Link to={`/measure?tree=${p.id}&tag=${encodeURIComponent(p.tag)}`} className="inline-flex min-h-11 items-center underline">
        Measure it by angles, a stick or shadows
      </Link>
      <p className="text-sm text-faded">Round the trunk, 1.3 m above the ground on the upper side of the slope.</p>
      {field("height", `Height, ${p.imperial ? "feet" : "metres"}`)}
      {field("lowest", `Lowest living twigs above ground, ${p.imperial ? "feet" : "metres"}`)}
      <Field label="How it was measured" error={fields.note}>
        <input className={fieldClass} name="note" maxLength={300} value={text.note} onChange={(e) => setText({ ...text, note: e.target.value })} />
      </Field>
      {add.error && Object.keys(fields).length === 0 && <Trouble error={add.error} />}
      <Button type="submit" tone="ink" disabled={add.isPending}>
        Keep it
      </Button>
    </form>
  );
}
