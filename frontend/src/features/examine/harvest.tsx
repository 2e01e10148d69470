import { type FormEvent, useState } from "react";
import { Problem, type Schemas } from "../../api/client";
import { Button, Dialog, Field, fieldClass, Trouble } from "../../ui/controls";
import { capital } from "../../words/text";
import { useBench } from "./bench";

const UNITS: Record<Schemas["Units"], { value: Schemas["AmountUnit"]; label: string }[]> = {
  metric: [
    { value: "g", label: "grams" },
    { value: "kg", label: "kilograms" },
    { value: "l", label: "litres" },
    { value: "heads", label: "heads" },
    { value: "pieces", label: "pieces" },
  ],
  imperial: [
    { value: "oz", label: "ounces" },
    { value: "lb", label: "pounds" },
    { value: "pt", label: "US pints" },
    { value: "heads", label: "heads" },
    { value: "pieces", label: "pieces" },
  ],
};

/** Only a cleared gate brings one here; the server asks the gate again before it stores anything. What was typed stays while it is closed. */
export function HarvestDialog({ open, close }: { open: boolean; close: () => void }) {
  const { e, units: system, act } = useBench();
  const { harvest } = act;
  const { claim } = e;
  const units = UNITS[system];
  const [amount, setAmount] = useState("");
  const [unit, setUnit] = useState<Schemas["AmountUnit"]>(units[0]?.value ?? "g");
  const [ripeness, setRipeness] = useState("");
  const [left, setLeft] = useState(70);
  const [note, setNote] = useState("");
  const fields = harvest.error instanceof Problem ? harvest.error.fields : {};
  const submit = (event: FormEvent) => {
    event.preventDefault();
    harvest.mutate(
      { amount: Number(amount.replace(",", ".")), unit, ripeness, shareLeft: left, note },
      {
        onSuccess: () => {
          setAmount("");
          setNote("");
          close();
        },
      },
    );
  };
  return (
    <Dialog
      open={open}
      onOpenChange={(still) => !still && close()}
      title={`Log what was taken: ${claim?.label ?? ""}`}
      {...(claim?.leave ? { description: claim.leave } : {})}
    >
      <form onSubmit={submit} className="space-y-3">
        <div className="grid grid-cols-2 gap-3">
          <Field label="Amount" error={fields.amount}>
            <input
              className={fieldClass}
              inputMode="decimal"
              required
              pattern="[0-9]+([.,][0-9]+)?"
              name="amount"
              value={amount}
              onChange={(e) => setAmount(e.target.value)}
            />
          </Field>
          <Field label="Unit">
            <select className={fieldClass} name="unit" value={unit} onChange={(e) => setUnit(e.target.value as Schemas["AmountUnit"])}>
              {units.map((u) => (
                <option key={u.value} value={u.value}>
                  {u.label}
                </option>
              ))}
            </select>
          </Field>
        </div>
        <Field label="Ripeness" error={fields.ripeness}>
          <input className={fieldClass} name="ripeness" maxLength={200} value={ripeness} onChange={(e) => setRipeness(e.target.value)} />
        </Field>
        <Field label={`Left on the tree: ${left} %`} error={fields.shareLeft}>
          <input
            type="range"
            min={0}
            max={100}
            step={5}
            className="h-11 w-full accent-(--ink)"
            value={left}
            onChange={(e) => setLeft(Number(e.target.value))}
          />
        </Field>
        <Field label="Note" error={fields.note}>
          <textarea className={`${fieldClass} py-2`} name="note" rows={3} maxLength={1000} value={note} onChange={(e) => setNote(e.target.value)} />
        </Field>
        {claim && claim.preparation.length > 0 && (
          <details className="text-sm">
            <summary className="min-h-11 py-2 font-semibold">How it is prepared</summary>
            <ol className="ml-5 list-decimal">
              {claim.preparation.map((step) => (
                <li key={step}>{capital(step)}</li>
              ))}
            </ol>
          </details>
        )}
        {harvest.error && <Trouble error={harvest.error} />}
        <Button type="submit" tone="leaf" className="w-full" disabled={harvest.isPending}>
          Put it in the log
        </Button>
      </form>
    </Dialog>
  );
}
