import { useState } from "react";
import type { Schemas } from "../../api/client";
import { Button, Field, fieldClass } from "../../ui/controls";
import { parseDecimal } from "../../words/numbers";

type Measure = { name: string; amount: number; unit: Schemas["AmountUnit"] };
const KEY = "own-measures";

const kept = (): Measure[] => {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(KEY) ?? "[]");
    return Array.isArray(found) ? found.filter((m): m is Measure => typeof m?.name === "string" && m.amount > 0 && typeof m.unit === "string") : [];
  } catch {
    return [];
  }
};

/** "My basket of haws is 1.4 kg": weighed once, counted ever after. Kept on this device. */
export function OwnMeasures(p: { amount: string; unit: Schemas["AmountUnit"]; onTake: (amount: string, unit: Schemas["AmountUnit"]) => void }) {
  const [measures, setMeasures] = useState(kept);
  const [times, setTimes] = useState("1");
  const [name, setName] = useState("");
  const store = (next: Measure[]) => {
    localStorage.setItem(KEY, JSON.stringify(next));
    setMeasures(next);
  };
  const count = parseDecimal(times);
  const weighed = parseDecimal(p.amount);
  return (
    <details>
      <summary className="min-h-11 content-center text-sm">By a measure of one’s own</summary>
      <div className="space-y-2 border-l-2 border-rule pl-3">
        {measures.length > 0 && (
          <div className="flex flex-wrap items-end gap-2">
            <div className="w-24">
              <Field label="How many">
                <input className={fieldClass} inputMode="decimal" value={times} onChange={(e) => setTimes(e.target.value)} />
              </Field>
            </div>
            {measures.map((m) => (
              <span key={m.name} className="flex">
                <Button
                  disabled={count === null || count <= 0}
                  onClick={() => p.onTake(String(Number(((count ?? 1) * m.amount).toPrecision(4))), m.unit)}
                >
                  {m.name}: {m.amount} {m.unit}
                </Button>
                <Button aria-label={`Forget ${m.name}`} onClick={() => store(measures.filter((x) => x !== m))}>
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
          <Button
            disabled={name.trim() === "" || weighed === null || weighed <= 0}
            onClick={() => {
              store([...measures.filter((m) => m.name !== name.trim()), { name: name.trim(), amount: weighed ?? 1, unit: p.unit }]);
              setName("");
            }}
          >
            Keep it
          </Button>
        </div>
      </div>
    </details>
  );
}
