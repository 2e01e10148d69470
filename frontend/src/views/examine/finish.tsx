import type { UseMutationResult } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { type Examination, Problem, type Schemas } from "../../api/client";
import { GateHead, gateState } from "../../gate/panel";
import { Button, capital, Dialog, Field, fieldClass, Trouble } from "../../ui/controls";

type Shown = { open: boolean; onOpenChange: (open: boolean) => void; examination: Examination };

/** Signing closes the scores for good and puts the decision on record. */
export function SignDialog(p: Shown & { asked: string | null; sign: UseMutationResult<Examination, Error, void> }) {
  return (
    <Dialog
      open={p.open}
      onOpenChange={p.onOpenChange}
      title="Sign this examination"
      description="Signing closes the scores for good. The decision goes on record as it stands; “not yet” is a good result."
    >
      <GateHead clearance={p.examination.assessment.clearance} asked={p.asked} id="sign" />
      {p.sign.error && <Trouble error={p.sign.error} />}
      <div className="mt-4 flex justify-end gap-2">
        <Button onClick={() => p.onOpenChange(false)}>Keep looking</Button>
        <Button tone="ink" disabled={p.sign.isPending} onClick={() => p.sign.mutate(undefined, { onSuccess: () => p.onOpenChange(false) })}>
          Sign as it stands
        </Button>
      </div>
    </Dialog>
  );
}

/** A second examiner takes the conclusion back; only whoever reached it can. */
export function ReconsiderDialog(p: Shown & { reconsider: UseMutationResult<Examination, Error, string> }) {
  const [because, setBecause] = useState("");
  return (
    <Dialog
      open={p.open}
      onOpenChange={p.onOpenChange}
      title="Take this conclusion back"
      description="Your scores stay on record. The conclusion then counts neither for nor against the first one, and a further person is needed."
    >
      <form
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          p.reconsider.mutate(because, { onSuccess: () => p.onOpenChange(false) });
        }}
      >
        <Field label="Why it does not hold">
          <textarea
            className={`${fieldClass} py-2`}
            name="because"
            rows={3}
            required
            minLength={10}
            maxLength={1000}
            value={because}
            onChange={(e) => setBecause(e.target.value)}
          />
        </Field>
        {p.reconsider.error && <Trouble error={p.reconsider.error} />}
        <Button type="submit" tone="ink" disabled={p.reconsider.isPending}>
          Take it back, on record
        </Button>
      </form>
    </Dialog>
  );
}

const UNITS: Record<string, { value: Schemas["AmountUnit"]; label: string }[]> = {
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

/** Only a cleared gate brings one here; the server asks the gate again before it stores anything. */
export function HarvestDialog(
  p: Shown & { part: Schemas["PartView"] | undefined; units: string; harvest: UseMutationResult<Examination, Error, Schemas["NewHarvest"]> },
) {
  const units = UNITS[p.units] ?? UNITS.metric ?? [];
  const [amount, setAmount] = useState("");
  const [unit, setUnit] = useState<Schemas["AmountUnit"]>(units[0]?.value ?? "g");
  const [ripeness, setRipeness] = useState("");
  const [left, setLeft] = useState(70);
  const [note, setNote] = useState("");
  const fields = p.harvest.error instanceof Problem ? p.harvest.error.fields : {};
  const submit = (event: FormEvent) => {
    event.preventDefault();
    p.harvest.mutate(
      { amount: Number(amount.replace(",", ".")), unit, ripeness, shareLeft: left, note },
      {
        onSuccess: () => {
          setAmount("");
          setNote("");
          p.onOpenChange(false);
        },
      },
    );
  };
  return (
    <Dialog
      open={p.open && gateState(p.examination.assessment.clearance) === "cleared"}
      onOpenChange={p.onOpenChange}
      title={`Log what was taken: ${p.part?.label ?? ""}`}
      {...(p.part?.leave ? { description: p.part.leave } : {})}
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
        {p.part && p.part.preparation.length > 0 && (
          <details className="text-sm">
            <summary className="min-h-11 py-2 font-semibold">How it is prepared</summary>
            <ol className="ml-5 list-decimal">
              {p.part.preparation.map((step) => (
                <li key={step}>{capital(step)}</li>
              ))}
            </ol>
          </details>
        )}
        {p.harvest.error && <Trouble error={p.harvest.error} />}
        <Button type="submit" tone="leaf" className="w-full" disabled={p.harvest.isPending}>
          Put it in the log
        </Button>
      </form>
    </Dialog>
  );
}
