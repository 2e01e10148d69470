import type { InputHTMLAttributes } from "react";
import { isLength, parseDecimal, parseNumbers, readAs } from "../words/numbers";
import { fieldClass } from "./controls";

/** What to type, said where something else was typed. */
export const numberHint = (unit: string | undefined, several: boolean): string => {
  const own = isLength(unit) ? " or 5 ft 3 in" : "";
  return several ? `Numbers only, such as 5 7 7, 5–9, about 16${own}.` : `A number, such as 16.5, 16,5, 2 1/4${own}.`;
};

/**
 * Where a number is typed: with a decimal comma or point, as a fraction, a length in any unit. It says what it understood where that is not
 * plainly what stands there, and a form is not sent while it understands nothing.
 */
export function NumberInput({
  unit,
  several = false,
  value,
  ...rest
}: Omit<InputHTMLAttributes<HTMLInputElement>, "value"> & { value: string; unit?: string | undefined; several?: boolean }) {
  const typed = value.trim() !== "";
  const numbers = several ? parseNumbers(value, false, unit) : null;
  const bad = typed && (several ? numbers : parseDecimal(value, unit)) === null;
  const understood = several ? numbers && `Read as ${numbers.join(" · ")}${unit ? ` ${unit}` : ""}` : readAs(value, unit);
  return (
    <>
      <input
        className={fieldClass}
        inputMode="decimal"
        autoComplete="off"
        value={value}
        aria-invalid={bad || undefined}
        ref={(input) => input?.setCustomValidity(bad ? numberHint(unit, several) : "")}
        {...rest}
      />
      {understood && typed && <span className="figures mt-1 block text-sm text-faded">{understood}</span>}
      {bad && <span className="mt-1 block text-sm font-semibold text-berry">{numberHint(unit, several)}</span>}
    </>
  );
}
