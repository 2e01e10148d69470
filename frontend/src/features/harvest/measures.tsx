import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { client, type Schemas, unwrap } from "../../api/client";
import { measuresQuery } from "../../api/queries";
import { Button, Field, fieldClass, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { parseDecimal } from "../../words/numbers";

/** "My basket of haws is 1.4 kg": weighed once, counted ever after, by everybody at the school. */
export function OwnMeasures(p: { amount: string; unit: Schemas["AmountUnit"]; onTake: (amount: string, unit: Schemas["AmountUnit"]) => void }) {
  const queries = useQueryClient();
  const measures = useQuery(measuresQuery);
  const [times, setTimes] = useState("1");
  const [name, setName] = useState("");
  const kept = (next: Schemas["MeasureView"][]) => {
    queries.setQueryData(measuresQuery.queryKey, next);
    setName("");
  };
  const count = parseDecimal(times);
  const weighed = parseDecimal(p.amount);
  const keep = useMutation({
    mutationFn: () => unwrap(client.POST("/api/measures", { body: { name, amount: weighed ?? 0, unit: p.unit } })),
    onSuccess: kept,
  });
  const forget = useMutation({
    mutationFn: (id: string) => unwrap(client.DELETE("/api/measures/{id}", { params: { path: { id } } })),
    onSuccess: kept,
  });
  const error = keep.error ?? forget.error ?? measures.error;
  return (
    <details>
      <summary className="min-h-11 content-center text-sm">By a basket or bucket that was weighed before</summary>
      <div className="space-y-2 border-l-2 border-rule pl-3">
        {measures.data && measures.data.length > 0 && (
          <div className="flex flex-wrap items-end gap-2">
            <div className="w-24">
              <Field label="How many">
                <NumberInput value={times} onChange={(e) => setTimes(e.target.value)} />
              </Field>
            </div>
            {measures.data.map((m) => (
              <span key={m.id} className="flex">
                <Button
                  disabled={count === null || count <= 0}
                  onClick={() => p.onTake(String(Number(((count ?? 1) * m.amount).toPrecision(4))), m.unit)}
                >
                  {m.name}: {m.amount} {m.unit}
                </Button>
                <Button aria-label={`Forget ${m.name}`} disabled={forget.isPending} onClick={() => forget.mutate(m.id)}>
                  ✕
                </Button>
              </span>
            ))}
          </div>
        )}
        <div className="flex flex-wrap items-end gap-2">
          <div className="w-56">
            <Field label="Keep the amount above as">
              <input className={fieldClass} placeholder="my basket of haws" maxLength={60} value={name} onChange={(e) => setName(e.target.value)} />
            </Field>
          </div>
          <Button disabled={name.trim() === "" || weighed === null || weighed <= 0 || keep.isPending} onClick={() => keep.mutate()}>
            Keep it
          </Button>
        </div>
        {error && <Trouble error={error} />}
      </div>
    </details>
  );
}
