import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { client, type Schemas, unwrap } from "../../api/client";
import { woodQuery } from "../../api/queries";
import { Button, Choice, Field, fieldClass, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { parseDecimal } from "../../words/numbers";
import { capital } from "../../words/text";

const WORKS: { value: Schemas["WoodWork"]; label: string }[] = [
  { value: "split", label: "split" },
  { value: "bend", label: "bent" },
  { value: "carve", label: "carved" },
  { value: "weigh", label: "weighed" },
];
const EASES: { value: Schemas["Ease"]; label: string }[] = [
  { value: "easy", label: "easily" },
  { value: "fair", label: "fairly" },
  { value: "hard", label: "badly" },
];

/** What one found oneself: how a piece worked, or what it weighed. */
export function OwnWood({ woods, imperial }: { woods: Schemas["WoodView"][]; imperial: boolean }) {
  const queries = useQueryClient();
  const empty = { taxon: "", work: "split" as Schemas["WoodWork"], ease: "easy" as Schemas["Ease"], weight: "", size: "", note: "" };
  const [form, setForm] = useState(empty);
  const [said, setSaid] = useState("");
  const weighed = form.work === "weigh";
  const note = useMutation({
    mutationFn: (piece: { grams: number | null; cubicCentimetres: number | null }) =>
      unwrap(
        client.POST("/api/woods/notes", {
          body: { id: crypto.randomUUID(), taxon: form.taxon, work: form.work, ease: weighed ? null : form.ease, note: form.note, ...piece },
        }),
      ),
    onSuccess: (next) => {
      queries.setQueryData(woodQuery.queryKey, next);
      setForm(empty);
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (!weighed) {
      setSaid("");
      return note.mutate({ grams: null, cubicCentimetres: null });
    }
    const [weight, size] = [parseDecimal(form.weight), parseDecimal(form.size)];
    if (weight === null || size === null || weight <= 0 || size <= 0) return setSaid("Weight and size are one number each, such as 1,4 or 1.4.");
    setSaid("");
    note.mutate({ grams: weight * (imperial ? 28.349523125 : 1), cubicCentimetres: size * (imperial ? 16.387064 : 1) });
  };
  return (
    <details className="mt-3 print:hidden">
      <summary className="min-h-11 content-center font-semibold">Add what you found of a wood</summary>
      <form onSubmit={submit} className="space-y-3 border-l-2 border-rule pl-3">
        <div className="flex flex-wrap items-end gap-3">
          <div className="w-64">
            <Field label="Kind">
              <select
                className={fieldClass}
                name="own-wood"
                required
                value={form.taxon}
                onChange={(e) => setForm({ ...form, taxon: e.target.value })}
              >
                <option value="">choose one</option>
                {woods.map((w) => (
                  <option key={w.taxon} value={w.taxon}>
                    {capital(w.name)}
                  </option>
                ))}
              </select>
            </Field>
          </div>
          <Choice label="It was" value={form.work} options={WORKS} onChange={(work) => setForm({ ...form, work })} />
          {!weighed && <Choice label="It went" value={form.ease} options={EASES} onChange={(ease) => setForm({ ...form, ease })} />}
          {weighed &&
            (["weight", "size"] as const).map((key) => (
              <div key={key} className="w-44">
                <Field label={key === "weight" ? `Air dry it weighs, ${imperial ? "oz" : "g"}` : `and measures, ${imperial ? "in³" : "cm³"}`}>
                  <NumberInput name={`own-${key}`} value={form[key]} onChange={(e) => setForm({ ...form, [key]: e.target.value })} />
                </Field>
              </div>
            ))}
        </div>
        <Field label="What one should know">
          <input
            className={fieldClass}
            name="own-note"
            maxLength={300}
            value={form.note}
            onChange={(e) => setForm({ ...form, note: e.target.value })}
          />
        </Field>
        {said && <p role="alert">{said}</p>}
        {note.error && <Trouble error={note.error} />}
        <Button type="submit" tone="ink" disabled={note.isPending}>
          Put it in the book
        </Button>
      </form>
    </details>
  );
}
