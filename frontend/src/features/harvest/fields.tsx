import { Link } from "react-router";
import type { Schemas } from "../../api/client";
import { Field, fieldClass } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { parseDecimal } from "../../words/numbers";
import { SEX } from "../../words/trees";
import { OwnMeasures } from "./measures";

export const UNITS: Record<Schemas["Units"], { value: Schemas["AmountUnit"]; label: string }[]> = {
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
export const COUNT_BY: Record<Schemas["CountBy"], string> = { "": "not counted", float: "floated in water", cut: "cut open", look: "looked at" };

export type Typed = {
  amount: string;
  unit: Schemas["AmountUnit"];
  ripeness: string;
  left: number;
  note: string;
  minutes: string;
  countBy: Schemas["CountBy"];
  opened: string;
  sound: string;
  sex: Schemas["Sex"];
  lone: "" | "alone" | "others";
  /** So much, or so little left, was asked about and said once more. */
  sure: boolean;
};

/** @param measuredIn how a tree's crop is told, where the school knows */
export const nothingTyped = (system: Schemas["Units"], measuredIn?: Schemas["AmountUnit"] | null): Typed => ({
  amount: "",
  unit: measuredIn ?? UNITS[system][0]?.value ?? "g",
  ripeness: "",
  left: 70,
  note: "",
  minutes: "",
  countBy: "",
  opened: "",
  sound: "",
  sex: "",
  lone: "",
  sure: false,
});

/** In the words of the API. */
export const asSent = (t: Typed): Schemas["Taken"] => ({
  amount: parseDecimal(t.amount) ?? Number.NaN,
  unit: t.unit,
  ripeness: t.ripeness,
  shareLeft: t.left,
  note: t.note,
  minutes: t.minutes === "" ? null : Number(t.minutes),
  opened: t.countBy === "" ? 0 : Number(t.opened || 0),
  sound: t.countBy === "" ? 0 : Number(t.sound || 0),
  countBy: t.countBy,
  sex: t.sex,
  lone: t.lone === "" ? null : t.lone === "alone",
  sure: t.sure,
});

/** What is doubted is asked about before it is kept: a number mistyped, a tree emptied. */
export function SaidAgain({ doubt, sure, onChange }: { doubt: string | undefined; sure: boolean; onChange: (sure: boolean) => void }) {
  if (!doubt) return null;
  return (
    <div role="alert" className="border-2 border-ochre bg-sheet p-3">
      <p className="font-semibold">{doubt}</p>
      <label className="flex min-h-11 items-center gap-2">
        <input type="checkbox" name="sure" className="size-5 accent-(--ink)" checked={sure} onChange={(e) => onChange(e.target.checked)} />
        It is so
      </label>
    </div>
  );
}

/** What is told of a harvest. */
export function HarvestFields(p: { system: Schemas["Units"]; typed: Typed; onChange: (typed: Typed) => void; fields: Record<string, string> }) {
  const { typed: t, fields } = p;
  // what is changed may be doubted anew
  const set = (change: Partial<Typed>) => p.onChange({ ...t, sure: false, ...change });
  const units = UNITS[p.system].some((u) => u.value === t.unit) ? UNITS[p.system] : [...UNITS.metric, ...UNITS.imperial];
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <Field label="Amount" error={fields.amount ?? fields["taken.amount"]}>
          <NumberInput
            unit={units.find((u) => u.value === t.unit)?.label}
            required
            name="amount"
            value={t.amount}
            onChange={(e) => set({ amount: e.target.value })}
          />
        </Field>
        <Field label="Unit">
          <select className={fieldClass} name="unit" value={t.unit} onChange={(e) => set({ unit: e.target.value as Schemas["AmountUnit"] })}>
            {units.map((u) => (
              <option key={u.value} value={u.value}>
                {u.label}
              </option>
            ))}
          </select>
        </Field>
      </div>
      <OwnMeasures amount={t.amount} unit={t.unit} onTake={(amount, unit) => set({ amount, unit })} />
      <div className="grid grid-cols-2 gap-3">
        <Field label="Ripeness" error={fields.ripeness ?? fields["taken.ripeness"]}>
          <input className={fieldClass} name="ripeness" maxLength={200} value={t.ripeness} onChange={(e) => set({ ripeness: e.target.value })} />
        </Field>
        <Field label="It took, minutes" error={fields.minutes ?? fields["taken.minutes"]}>
          <input className={fieldClass} type="number" min="1" name="minutes" value={t.minutes} onChange={(e) => set({ minutes: e.target.value })} />
        </Field>
      </div>
      <Field label={`Left on the tree: ${t.left} %`} error={fields.shareLeft ?? fields["taken.shareLeft"]}>
        <input
          type="range"
          min={0}
          max={100}
          step={5}
          className="h-11 w-full accent-(--ink)"
          value={t.left}
          onChange={(e) => set({ left: Number(e.target.value) })}
        />
      </Field>
      <div className="grid grid-cols-3 gap-3">
        <Field label="Sound ones">
          <select className={fieldClass} name="count-by" value={t.countBy} onChange={(e) => set({ countBy: e.target.value as Schemas["CountBy"] })}>
            {Object.entries(COUNT_BY).map(([value, label]) => (
              <option key={value} value={value}>
                {label}
              </option>
            ))}
          </select>
        </Field>
        {t.countBy !== "" && (
          <>
            <Field label="How many" error={fields.opened ?? fields["taken.opened"]}>
              <input
                className={fieldClass}
                type="number"
                min="1"
                required
                name="opened"
                value={t.opened}
                onChange={(e) => set({ opened: e.target.value })}
              />
            </Field>
            <Field label="Of them sound" error={fields.sound ?? fields["taken.sound"]}>
              <input
                className={fieldClass}
                type="number"
                min="0"
                required
                name="sound"
                value={t.sound}
                onChange={(e) => set({ sound: e.target.value })}
              />
            </Field>
          </>
        )}
      </div>
      <Link to="/measure" className="inline-flex min-h-11 items-center text-sm underline">
        Measure wood, height or girth
      </Link>
      <div className="grid grid-cols-2 gap-3">
        <Field label="Others of its kind in sight">
          <select className={fieldClass} name="lone" value={t.lone} onChange={(e) => set({ lone: e.target.value as Typed["lone"] })}>
            <option value="">nobody looked about</option>
            <option value="alone">none: it stands alone</option>
            <option value="others">there are others</option>
          </select>
        </Field>
        <Field label="Its flowers">
          <select className={fieldClass} name="sex" value={t.sex} onChange={(e) => set({ sex: e.target.value as Schemas["Sex"] })}>
            {Object.entries(SEX).map(([value, label]) => (
              <option key={value} value={value}>
                {label}
              </option>
            ))}
          </select>
        </Field>
      </div>
      <SaidAgain doubt={fields.sure ?? fields["taken.sure"]} sure={t.sure} onChange={(sure) => set({ sure })} />
      <Field label="What the next person should know" error={fields.note ?? fields["taken.note"]}>
        <textarea
          className={`${fieldClass} py-2`}
          name="note"
          rows={2}
          maxLength={1000}
          value={t.note}
          onChange={(e) => set({ note: e.target.value })}
        />
      </Field>
    </>
  );
}
