import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { client, type Schemas, unwrap } from "../../api/client";
import { Button, Field, fieldClass, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { awayWords, CHECK } from "../../words/batches";
import { parseDecimal } from "../../words/numbers";
import { weightWords } from "../../words/recipe";
import { capital, momentWords } from "../../words/text";
import { StepOf } from "../recipes/step";

type Batch = Schemas["BatchView"];

/** A step, and what became of it. */
export function StepLine({
  batch,
  s,
  open,
  imperial,
  onKept,
}: {
  batch: Batch;
  s: Schemas["BatchStepView"];
  open: boolean;
  imperial: boolean;
  onKept: (next: Batch) => void;
}) {
  const one = imperial ? 453.59237 : 1000;
  const [figures, setFigures] = useState({ in: "", out: "", note: s.note, hours: "" });
  const [said, setSaid] = useState("");
  const [found, setFound] = useState("");
  const write = useMutation({
    mutationFn: (body: Schemas["StepDone"]) =>
      unwrap(client.PUT("/api/batches/{id}/steps/{place}", { params: { path: { id: batch.id, place: String(s.place) } }, body })),
    onSuccess: onKept,
  });
  const grams = (text: string): number | null | undefined => {
    if (text.trim() === "") return null;
    const value = parseDecimal(text);
    return value === null || value < 0 ? undefined : Math.round(value * one * 10) / 10;
  };
  const send = (started: boolean, done: boolean, leftOut = false) => {
    const [gramsIn, gramsOut] = [grams(figures.in), grams(figures.out)];
    const hours = figures.hours.trim() === "" ? null : parseDecimal(figures.hours);
    if (gramsIn === undefined || gramsOut === undefined || (figures.hours.trim() !== "" && (hours === null || hours <= 0)))
      return setSaid("Weights and hours are one number each, such as 1,4 or 1.4.");
    setSaid("");
    write.mutate({ started, done, leftOut, gramsIn, gramsOut, note: figures.note, minutes: hours === null ? null : Math.round(hours * 60) });
  };
  const check = useMutation({
    mutationFn: (answer: Schemas["CheckAnswer"]) =>
      unwrap(
        client.POST("/api/batches/{id}/steps/{place}/checks", {
          params: { path: { id: batch.id, place: String(s.place) } },
          body: { answer, note: found },
        }),
      ),
    onSuccess: (next) => {
      setFound("");
      onKept(next);
    },
  });
  const last = s.checks.at(-1);
  const loss = s.gramsIn && s.gramsOut != null ? Math.round(100 * (1 - s.gramsOut / s.gramsIn)) : null;
  return (
    <li className="rule-b py-3" data-place={s.place}>
      <StepOf step={s.step} number={s.place + 1} imperial={imperial} isWeighed={s.gramsOut != null} />
      <div className="ml-10 mt-1 text-sm">
        {s.doneAt && <p className="font-semibold">Done {momentWords(s.doneAt)}.</p>}
        {s.startedAt && !s.doneAt && (
          <p className="font-semibold" role="status">
            Begun {momentWords(s.startedAt)}
            {s.dueAt && `; look after it ${awayWords(s.dueAt, new Date(s.startedAt)).replace("in ", "after ")}, on ${momentWords(s.dueAt)}`}.
          </p>
        )}
        {(s.gramsIn != null || s.gramsOut != null) && (
          <p>
            {s.gramsIn != null && `In: ${weightWords(s.gramsIn, imperial, 3)}. `}
            {s.gramsOut != null && `Out: ${weightWords(s.gramsOut, imperial, 3)}. `}
            {loss !== null && loss > 0 && `${loss} % were lost.`}
          </p>
        )}
        {s.leftOut && <p className="font-semibold">Left out.</p>}
        {s.own && <p className="text-faded">A step of one’s own; the recipe does not have it.</p>}
        {s.checks.length > 0 && (
          <ul>
            {s.checks.map((c) => (
              <li key={c.at + c.by}>
                <strong>{CHECK[c.answer]}</strong>
                {c.note && `: ${c.note}`} <span className="text-faded">{`${momentWords(c.at)}, ${c.by}`}</span>
              </li>
            ))}
          </ul>
        )}
        {s.note && !open && <p>{s.note}</p>}
        {s.by && <p className="text-faded">{s.by}</p>}
      </div>
      {open && (
        <div className="ml-10 mt-2 space-y-2 border border-ink bg-sheet p-3 print:hidden">
          <div className="grid grid-cols-2 items-end gap-2 wide:grid-cols-3">
            {(
              [
                ["in", `Weighed before, ${imperial ? "lb" : "kg"}`],
                ["out", `Weighed after, ${imperial ? "lb" : "kg"}`],
                ["hours", "Remind me after, hours"],
              ] as const
            ).map(([key, label]) => (
              <div key={key}>
                <Field label={label}>
                  <NumberInput name={`step-${key}`} value={figures[key]} onChange={(e) => setFigures({ ...figures, [key]: e.target.value })} />
                </Field>
              </div>
            ))}
          </div>
          <fieldset className="border-t border-rule pt-2">
            <legend className="sr-only">Is it done?</legend>
            <p className="mb-1">
              Is it done? <strong>{capital(s.step.until)}</strong>
            </p>
            <div className="flex flex-wrap items-end gap-2">
              <div className="min-w-52 flex-1">
                <Field label="How it tastes, feels or looks">
                  <input className={fieldClass} name="check-note" maxLength={300} value={found} onChange={(e) => setFound(e.target.value)} />
                </Field>
              </div>
              {(Object.keys(CHECK) as Schemas["CheckAnswer"][]).map((answer) => (
                <Button key={answer} disabled={check.isPending} onClick={() => check.mutate(answer)}>
                  {CHECK[answer]}
                </Button>
              ))}
            </div>
          </fieldset>
          <Field label="What was done otherwise, what was thrown away">
            <input
              className={fieldClass}
              name="step-note"
              maxLength={1000}
              value={figures.note}
              onChange={(e) => setFigures({ ...figures, note: e.target.value })}
            />
          </Field>
          {said && <p role="alert">{said}</p>}
          {(write.error ?? check.error) && <Trouble error={(write.error ?? check.error) as Error} />}
          <div className="flex flex-wrap gap-2">
            <Button disabled={write.isPending} onClick={() => send(true, false)}>
              {s.startedAt ? "Looked after it" : "It has begun"}
            </Button>
            <Button tone="ink" disabled={write.isPending || (last !== undefined && last.answer !== "done")} onClick={() => send(true, true)}>
              Done, next
            </Button>
            {s.mayBeLeftOut && (
              <Button tone="quiet" disabled={write.isPending} onClick={() => send(true, true, true)}>
                Leave it out
              </Button>
            )}
          </div>
        </div>
      )}
    </li>
  );
}
