import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { batchesQuery, batchQuery } from "../../api/queries";
import { Button, Field, fieldClass, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { parseDecimal } from "../../words/numbers";

type Batch = Schemas["BatchView"];

/** Something is done that the recipe does not have. */
export function OwnStep({ b, onKept }: { b: Batch; onKept: (next: Batch) => void }) {
  const [form, setForm] = useState({ name: "", do: "", until: "", hours: "" });
  const hours = form.hours.trim() === "" ? null : parseDecimal(form.hours);
  const put = useMutation({
    mutationFn: () =>
      unwrap(
        client.POST("/api/batches/{id}/steps", {
          params: { path: { id: b.id } },
          body: { name: form.name, do: form.do, until: form.until, waitsHours: hours },
        }),
      ),
    onSuccess: (next) => {
      setForm({ name: "", do: "", until: "", hours: "" });
      onKept(next);
    },
  });
  const field = (key: keyof typeof form, label: string, required = true) => (
    <Field label={label}>
      <input
        className={fieldClass}
        name={`own-${key}`}
        required={required}
        maxLength={300}
        value={form[key]}
        onChange={(e) => setForm({ ...form, [key]: e.target.value })}
      />
    </Field>
  );
  return (
    <details className="print:hidden">
      <summary className="min-h-11 content-center">Put in a step of one’s own</summary>
      <form
        className="space-y-2 border-l-2 border-rule pl-3"
        onSubmit={(e: FormEvent) => {
          e.preventDefault();
          put.mutate();
        }}
      >
        <p className="text-sm text-faded">It comes before the first step nobody has begun.</p>
        <div className="grid gap-2 wide:grid-cols-2">
          {field("name", "What it is called")}
          {field("hours", "It goes on by itself, hours", false)}
          {field("do", "What is done")}
          {field("until", "Until")}
        </div>
        {put.error && <Trouble error={put.error} />}
        <Button type="submit" disabled={put.isPending || (form.hours.trim() !== "" && hours === null)}>
          Put it in
        </Button>
      </form>
    </details>
  );
}

/** A part goes on by itself, or another is put to it. */
export function Pots({ b, imperial, onKept }: { b: Batch; imperial: boolean; onKept: (next: Batch) => void }) {
  const go = useNavigate();
  const queries = useQueryClient();
  const one = imperial ? 453.59237 : 1000;
  const unit = imperial ? "lb" : "kg";
  const id = useRef(crypto.randomUUID());
  const [form, setForm] = useState({ name: "", out: "", stay: "" });
  const [said, setSaid] = useState("");
  const others = (useQuery(batchesQuery).data ?? []).filter((o) => o.id !== b.id && o.state === "running" && o.recipeName === b.recipeName);
  const [other, setOther] = useState("");
  const split = useMutation({
    mutationFn: (weights: { grams: number; stay: number }) =>
      unwrap(client.POST("/api/batches/{id}/split", { params: { path: { id: b.id } }, body: { id: id.current, name: form.name, ...weights } })),
    onSuccess: (part) => {
      for (const key of [batchesQuery.queryKey, batchQuery(b.id).queryKey]) void queries.invalidateQueries({ queryKey: key });
      go(`/batches/${part.id}`);
    },
  });
  const join = useMutation({
    mutationFn: () => unwrap(client.POST("/api/batches/{id}/join", { params: { path: { id: b.id } }, body: { other } })),
    onSuccess: (next) => {
      void queries.invalidateQueries({ queryKey: batchQuery(other).queryKey });
      onKept(next);
    },
  });
  const error = split.error ?? join.error;
  return (
    <details className="print:hidden">
      <summary className="min-h-11 content-center">Part the pot, or put another to it</summary>
      <div className="space-y-3 border-l-2 border-rule pl-3">
        <form
          className="flex flex-wrap items-end gap-2"
          onSubmit={(e) => {
            e.preventDefault();
            const [grams, stay] = [parseDecimal(form.out), parseDecimal(form.stay)];
            if (grams === null || stay === null || grams <= 0 || stay <= 0) return setSaid("Weigh both parts: one number each, such as 1,4 or 1.4.");
            setSaid("");
            split.mutate({ grams: grams * one, stay: stay * one });
          }}
        >
          <div className="w-40">
            <Field label={`Taken out, ${unit}`}>
              <NumberInput name="split-out" value={form.out} onChange={(e) => setForm({ ...form, out: e.target.value })} />
            </Field>
          </div>
          <div className="w-40">
            <Field label={`Stays, ${unit}`}>
              <NumberInput name="split-stay" value={form.stay} onChange={(e) => setForm({ ...form, stay: e.target.value })} />
            </Field>
          </div>
          <div className="w-64">
            <Field label="The part is called">
              <input
                className={fieldClass}
                name="split-name"
                required
                maxLength={120}
                value={form.name}
                onChange={(e) => setForm({ ...form, name: e.target.value })}
              />
            </Field>
          </div>
          <Button type="submit" disabled={split.isPending}>
            It goes on by itself
          </Button>
        </form>
        {said && <p role="alert">{said}</p>}
        {others.length > 0 && (
          <form
            className="flex flex-wrap items-end gap-2"
            onSubmit={(e) => {
              e.preventDefault();
              join.mutate();
            }}
          >
            <div className="w-72">
              <Field label="Put to this">
                <select className={fieldClass} name="join-other" required value={other} onChange={(e) => setOther(e.target.value)}>
                  <option value="">choose one</option>
                  {others.map((o) => (
                    <option key={o.id} value={o.id}>
                      {o.name}
                    </option>
                  ))}
                </select>
              </Field>
            </div>
            <Button type="submit" disabled={join.isPending || other === ""}>
              Put them together
            </Button>
          </form>
        )}
        {error && <Trouble error={error} />}
      </div>
    </details>
  );
}
