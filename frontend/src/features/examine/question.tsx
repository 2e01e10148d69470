import { memo, useId, useState } from "react";
import type { Character, Schemas, Score } from "../../api/client";
import { Tile } from "../../plates/tile";
import { Button, Dialog } from "../../ui/controls";
import { capital } from "../../words/text";
import { shownNumber, shownUnit } from "../../words/units";
import { States } from "../terms/character";
import { type Bench, useBench } from "./bench";
import { ScorePictures } from "./evidence-pictures";
import { Scoring } from "./scoring";

const INSTRUMENT: Partial<Record<Schemas["Instrument"], string>> = {
  rule: "rule",
  "hand-lens": "hand lens",
  knife: "knife",
  "ultraviolet-torch": "ultraviolet torch",
};
const BADGE: Record<Schemas["PointStatus"], { word: string; look: string }> = {
  met: { word: "required, met", look: "border-leaf text-leaf" },
  open: { word: "required", look: "border-ochre text-ochre" },
  broken: { word: "required, seen otherwise", look: "border-dashed border-berry text-berry" },
};
const HEIGHT: Record<Schemas["Position"], string> = { low: "low down", middle: "chest high", high: "up in the crown" };
const REACH: Partial<Record<Schemas["Reach"], string>> = { binoculars: "with binoculars", cut: "needs a cut" };

/** One character: asked, scored by drawn tiles or numbers, and what has been scored already. */
export function Question({ character }: { character: Character }) {
  const { e, table, units, locked, busy, required, suggested, move, takeBack } = useBench();
  const heading = useId();
  const active = table.active === character.id;
  const wanted = required.get(character.id);
  const standing = e.scores.filter((s) => s.character === character.id && !s.takenBack);
  const needs = [REACH[character.reach], INSTRUMENT[character.instrument]].filter(Boolean).join(", ");
  return (
    <section aria-labelledby={heading} data-character={character.id} className={`rule-b scroll-mt-24 ${active ? "bg-sheet" : ""}`}>
      <Head
        id={heading}
        character={character}
        active={active}
        status={wanted?.status}
        next={suggested?.character === character.id}
        standing={standing}
        units={units}
        move={move}
      />
      {active && (
        <div className="px-3 pb-3 wide:pl-8">
          <p>
            {character.question} {character.hint && <span className="text-faded">{character.hint}</span>}{" "}
            {needs && <span className="text-sm text-faded">({needs})</span>} <Defined character={character} />
          </p>
          {character.varies && <p className="text-sm text-faded">A hint only: light, vigour or planting change it. It excludes nothing.</p>}
          {standing.length > 0 && (
            <ul className="my-2 space-y-1">
              {standing.map((s) => (
                <li key={s.id} className="flex flex-wrap items-center gap-2 border-l-4 border-ink pl-2 text-sm">
                  <span>
                    Recorded: <strong>{words(s, character, units)}</strong>
                    {s.answer === "seen" &&
                      `, ${s.certainty}, on ${s.samples}, ${s.where === "tree" ? "on the tree" : "on the ground"}${s.position ? `, ${HEIGHT[s.position]}` : ""}`}
                  </span>
                  {!locked && (
                    <Button tone="quiet" disabled={busy} onClick={() => takeBack(s.id)}>
                      Take back
                    </Button>
                  )}
                  <ScorePictures score={s} />
                </li>
              ))}
            </ul>
          )}
          {!locked && <Scoring character={character} />}
        </div>
      )}
    </section>
  );
}

type HeadProps = {
  id: string;
  character: Character;
  active: boolean;
  status: Schemas["PointStatus"] | undefined;
  next: boolean;
  standing: Score[];
  units: string;
  move: Bench["move"];
};

/** The line of a question; of the many that are closed only those are drawn anew of which something has changed. */
const Head = memo(
  ({ id, character, active, status, next, standing, units, move }: HeadProps) => {
    const badge = status && BADGE[status];
    return (
      <h3 id={id}>
        <button
          type="button"
          onClick={() => move({ do: "open", character: active ? null : character.id })}
          aria-expanded={active}
          className="flex min-h-11 w-full items-center gap-2 px-3 py-1.5 text-left font-normal hover:bg-pressed"
        >
          <span aria-hidden="true" className="w-3 text-faded">
            {active ? "–" : "+"}
          </span>
          <span className="min-w-0 flex-1">
            <strong className="font-bold">{character.label}</strong>
            {badge && <span className={`ml-2 border px-1 text-xs font-semibold ${badge.look}`}>{badge.word}</span>}
            {next && <span className="ml-2 border border-ink px-1 text-xs font-semibold">look next</span>}
          </span>
          <span className="flex items-center gap-2 text-sm">
            {standing.map((s) => (
              <Seen key={s.id} score={s} character={character} units={units} />
            ))}
          </span>
        </button>
      </h3>
    );
  },
  (a, b) =>
    a.character === b.character &&
    a.active === b.active &&
    a.status === b.status &&
    a.next === b.next &&
    a.units === b.units &&
    a.standing.length === b.standing.length &&
    a.standing.every((s, i) => s.id === b.standing[i]?.id),
);

/** What the words mean, over the examination: nothing drafted is lost. */
function Defined({ character }: { character: Character }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" onClick={() => setOpen(true)} className="min-h-11 text-sm text-faded underline underline-offset-4 wide:min-h-0">
        What the words mean
      </button>
      <Dialog open={open} onOpenChange={setOpen} title={capital(character.label)} description={character.question} wide>
        <States character={character} />
      </Dialog>
    </>
  );
}

function words(score: Score, character: Character, units: string): string {
  if (score.answer === "cannot-be-seen") return "cannot be seen now";
  if (score.answer === "does-not-apply") return "makes no sense here";
  if (score.answer === "nothing-there") return "looked: nothing there";
  if (score.numbers.length > 0)
    return `${score.numbers.map((n) => shownNumber(n, character, units)).join(", ")} ${shownUnit(character, units)}`.trim();
  const group = character.groups.find((g) => score.states.includes(g.id));
  if (group) return `${group.label}, cannot say which`;
  return score.states.map((id) => character.states.find((s) => s.id === id)?.label ?? id).join(score.either ? " or " : " and ");
}

function Seen({ score, character, units }: { score: Score; character: Character; units: string }) {
  const drawing = character.states.find((s) => s.id === score.states[0])?.drawing;
  return (
    <span className="flex items-center gap-1">
      {drawing && <Tile character={character.id} state={score.states[0] ?? ""} drawing={drawing} size={28} />}
      <span className="text-faded">
        {words(score, character, units)}
        {score.answer === "seen" && score.certainty !== "sure" ? ` (${score.certainty})` : ""}
      </span>
    </span>
  );
}
