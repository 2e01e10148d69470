import type { Schemas } from "../../api/client";
import { everyWords, heatWords, ingredientWords, leftWords, spanWords } from "../../words/recipe";
import { capital } from "../../words/text";

/** A step, as it is read beside the pot. */
export function StepOf({
  step,
  number,
  imperial,
  isWeighed = false,
}: {
  step: Schemas["RecipeStepView"];
  number: number;
  imperial: boolean;
  /** What came out is known: nothing is guessed. */
  isWeighed?: boolean;
}) {
  const figures = [
    step.takes && `${capital(spanWords(step.takes))} of work`,
    step.waits && `wait ${spanWords(step.waits)}`,
    step.again && `look after it ${everyWords(step.again)}`,
    step.heatLeast != null && step.heatMost != null && heatWords(step.heatLeast, step.heatMost, imperial),
    step.vessel && `in ${step.vessel}`,
  ].filter(Boolean);
  const inside = step.with.filter((i) => !i.beside);
  const beside = step.with.filter((i) => i.beside);
  return (
    <div className="grid grid-cols-[2rem_1fr] gap-x-2" data-step={step.name}>
      <span className="figures text-lg font-bold">{number}</span>
      <div>
        <h3 className="font-bold">{step.name}</h3>
        <p className="text-sm text-faded">{capital(figures.join(" · "))}</p>
        {inside.length > 0 && <p className="font-semibold">With {inside.map((i) => ingredientWords(i, imperial)).join("; ")}.</p>}
        {beside.length > 0 && <p className="text-sm">Besides: {beside.map((i) => ingredientWords(i, imperial)).join("; ")}.</p>}
        <p>{step.do}</p>
        <p>
          <strong>Until</strong> {step.until}. <span className="text-faded">{isWeighed ? "" : leftWords(step, imperial)}</span>
        </p>
        {step.wrong && <p className="text-sm">Goes wrong: {step.wrong}</p>}
        {step.never && (
          <p className="mt-1 border-l-4 border-berry pl-2 font-semibold">
            <span className="text-berry">Never.</span> {step.never}
          </p>
        )}
      </div>
    </div>
  );
}
