import type { Schemas } from "../../api/client";
import { Button } from "../../ui/controls";
import { StandingMark } from "../../ui/marks";
import { GATE_TONE, GATE_WORD, gateState } from "../../words/gate";
import { dayWords } from "../../words/text";
import { GateFigure } from "./figure";

type Clearance = Schemas["ClearanceView"];

/** The answer in one glance: figure, word, the nearest reason. */
export function GateHead({
  gate,
  asked,
  id,
  small = false,
  covered = false,
}: {
  gate: Schemas["GateView"] | null | undefined;
  asked: string | null;
  id: string;
  small?: boolean;
  covered?: boolean;
}) {
  const state = gateState(gate);
  return (
    <div className="flex items-center gap-3" role="status" aria-live="polite" data-gate={state}>
      <div className="shrink-0">
        <GateFigure state={state} width={small ? 74 : 132} id={id} />
      </div>
      <div className="min-w-0">
        <div className="flex flex-wrap items-baseline gap-x-2">
          <strong className={`${small ? "text-lg" : "text-2xl"} leading-none ${GATE_TONE[state]}`}>{GATE_WORD[state]}</strong>
          {gate && <span className="figures text-sm text-faded">{gate.met} of 9 points</span>}
        </div>
        {asked && !small && <div className="text-sm text-faded">{asked}</div>}
        <p className={`mt-1 ${small ? "line-clamp-2 text-sm" : "text-sm"}`}>
          {gate
            ? gate.because
            : covered
              ? "You look as the second person. Scores, hope and answer of the first stay covered until you sign."
              : "Say which part of which tree you hope for, and the gate will tell what it takes."}
          {gate?.until ? ` Until ${dayWords(gate.until)}.` : ""}
        </p>
      </div>
    </div>
  );
}

/** All nine points with their reasons, and the questions one can answer on the spot. */
export function NinePoints(p: {
  clearance: Clearance;
  conditions: Record<string, boolean>;
  /** Conditions of the part are answered with the part in view, also after signing. */
  canAnswer: boolean;
  canLook: boolean;
  onAnswer: (condition: string, answer: boolean | null) => void;
  onLook: (character: string) => void;
}) {
  return (
    <ol className="space-y-1">
      {p.clearance.points.map((point, i) => (
        <li key={point.point} className="rule-b py-2" data-point={point.point} data-status={point.status}>
          <div className="flex items-start gap-2">
            <StandingMark standing={point.status} />
            <div className="min-w-0 flex-1">
              <h3 className="flex flex-wrap justify-between gap-x-2">
                <span>
                  <span className="figures text-faded">{i + 1}</span> {point.title}
                </span>
                <span className="text-sm font-normal text-faded">{point.status}</span>
              </h3>
              <p className="text-sm">
                {point.because} {point.change && <span className="text-faded">{point.change}</span>}
                {point.when && <strong className="ml-1 font-semibold text-ochre">Come back from about {point.when}.</strong>}
              </p>
            </div>
          </div>
          {point.items.length > 0 && (
            <ul className="mt-1 ml-7 space-y-1">
              {point.items.map((item) => {
                const question = item.about === "condition";
                const look = item.about === "character" && (item.status !== "met" || item.code === "unusual");
                return (
                  <li key={`${item.subject}-${item.code}`} className="flex flex-wrap items-center gap-x-2 gap-y-1 text-sm">
                    <StandingMark standing={item.status} />
                    <span className="min-w-0 flex-1">
                      <strong className="font-semibold">{item.label}</strong> {!question && item.detail}
                      {question && item.status === "broken" && <span className="text-berry"> {item.detail}</span>}
                      {question && item.code === "answered-too-early" && <span className="text-ochre"> {item.detail}</span>}
                    </span>
                    {question && (
                      <fieldset className="flex">
                        <legend className="sr-only">{item.label}</legend>
                        {[true, false].map((answer) => (
                          <button
                            key={String(answer)}
                            type="button"
                            disabled={!p.canAnswer}
                            aria-pressed={p.conditions[item.subject] === answer}
                            onClick={() => p.onAnswer(item.subject, p.conditions[item.subject] === answer ? null : answer)}
                            className="-ml-px min-h-11 min-w-12 border border-ink px-2 aria-pressed:bg-ink aria-pressed:text-ground disabled:opacity-60"
                          >
                            {answer ? "Yes" : "No"}
                          </button>
                        ))}
                      </fieldset>
                    )}
                    {look && p.canLook && (
                      <Button tone="quiet" onClick={() => p.onLook(item.subject)} aria-label={`Look at ${item.label}`}>
                        Look
                      </Button>
                    )}
                  </li>
                );
              })}
            </ul>
          )}
        </li>
      ))}
    </ol>
  );
}
