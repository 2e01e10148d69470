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

type PointsProps = {
  clearance: Clearance;
  conditions: Record<string, boolean>;
  /** Conditions of the part are answered with the part in view, also after signing. */
  canAnswer: boolean;
  canLook: boolean;
  onAnswer: (condition: string, answer: boolean | null) => void;
  onLook: (character: string) => void;
};
type Point = Clearance["points"][number];

/** All nine points: what is not met stands open and first, what is met is one line each. */
export function NinePoints(p: PointsProps) {
  const numbered = p.clearance.points.map((point, i) => ({ point, number: i + 1 }));
  const met = numbered.filter((x) => x.point.status === "met");
  const open = numbered.filter((x) => x.point.status !== "met");
  return (
    <>
      {open.length === 0 && <p className="font-semibold text-leaf">All nine are met.</p>}
      <ol className="space-y-1">
        {open.map(({ point, number }) => (
          <li key={point.point} className="rule-b py-2" data-point={point.point} data-status={point.status}>
            <div className="flex items-start gap-2">
              <StandingMark standing={point.status} />
              <div className="min-w-0 flex-1">
                <h3 className="flex flex-wrap justify-between gap-x-2">
                  <span>
                    <span className="figures text-faded">{number}</span> {point.title}
                  </span>
                  <span className="text-sm font-normal text-faded">{point.status}</span>
                </h3>
                <Because point={point} />
              </div>
            </div>
            <Items point={point} {...p} />
          </li>
        ))}
      </ol>
      {met.length > 0 && open.length > 0 && <h3 className="mt-4 border-b border-ink">Met: {met.length} of 9</h3>}
      <ol>
        {met.map(({ point, number }) => (
          <li key={point.point} className="rule-b" data-point={point.point} data-status={point.status}>
            <details>
              <summary className="flex min-h-11 items-center gap-2">
                <StandingMark standing={point.status} />
                <span>
                  <span className="figures text-faded">{number}</span> {point.title}
                </span>
              </summary>
              <div className="ml-7 pb-2">
                <Because point={point} />
              </div>
              <Items point={point} {...p} />
            </details>
          </li>
        ))}
      </ol>
    </>
  );
}

function Because({ point }: { point: Point }) {
  return (
    <p className="text-sm">
      {point.because} {point.change && <span className="text-faded">{point.change}</span>}
      {point.when && <strong className="ml-1 font-semibold text-ochre">Come back from about {point.when}.</strong>}
    </p>
  );
}

/** What a point leans on, line by line; the open ones first. */
function Items({ point, ...p }: { point: Point } & PointsProps) {
  if (point.items.length === 0) return null;
  const items = [...point.items.filter((i) => i.status !== "met"), ...point.items.filter((i) => i.status === "met")];
  return (
    <ul className="mt-1 ml-7 space-y-1">
      {items.map((item) => {
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
  );
}
