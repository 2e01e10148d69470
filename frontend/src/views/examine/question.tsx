import { useId, useState } from "react";
import type { Character, Schemas, Score } from "../../api/client";
import { Glyph } from "../../plates/glyphs";
import { Button, Choice, capital, Dialog, fieldClass } from "../../ui/controls";
import { States } from "../terms/character";
import { type Draft, isAbout, isComplete, isNumeric, numbersOf, shownNumber, shownUnit } from "./draft";

type Props = {
  character: Character;
  active: boolean;
  draft: Draft;
  scores: Score[];
  required: Schemas["RequiredFeatureView"] | undefined;
  requiredStanding: string | undefined;
  suggested: boolean;
  units: string;
  locked: boolean;
  busy: boolean;
  onOpen: () => void;
  onDraft: (draft: Draft) => void;
  onRecord: () => void;
  onCannotBeSeen: () => void;
  onDoesNotApply: () => void;
  onTakeBack: (score: string) => void;
};

const INSTRUMENT: Partial<Record<Schemas["Instrument"], string>> = {
  rule: "rule",
  "hand-lens": "hand lens",
  knife: "knife",
  "ultraviolet-torch": "ultraviolet torch",
};
const BADGE: Record<string, { word: string; look: string }> = {
  met: { word: "required, met", look: "border-leaf text-leaf" },
  open: { word: "required", look: "border-ochre text-ochre" },
  broken: { word: "required, seen otherwise", look: "border-dashed border-berry text-berry" },
};
const HEIGHT: Record<Schemas["Position"], string> = { low: "low down", middle: "chest high", high: "up in the crown" };
const POSITIONS = [
  { value: "" as const, label: "not said" },
  { value: "low" as const, label: "low" },
  { value: "middle" as const, label: "middle" },
  { value: "high" as const, label: "high" },
];
const REACH: Partial<Record<Schemas["Reach"], string>> = { binoculars: "with binoculars", cut: "needs a cut" };

/** One character: asked, scored by drawn tiles or numbers, and what has been scored already. */
export function Question(p: Props) {
  const { character } = p;
  const heading = useId();
  const standing = p.scores.filter((s) => !s.takenBack);
  const needs = [REACH[character.reach], INSTRUMENT[character.instrument]].filter(Boolean).join(", ");
  return (
    <section aria-labelledby={heading} data-character={character.id} className={`rule-b ${p.active ? "bg-sheet" : ""}`}>
      <h3 id={heading}>
        <button
          type="button"
          onClick={p.onOpen}
          aria-expanded={p.active}
          className="flex min-h-11 w-full items-center gap-2 px-3 py-1.5 text-left font-normal hover:bg-pressed"
        >
          <span aria-hidden="true" className="w-3 text-faded">
            {p.active ? "–" : "+"}
          </span>
          <span className="min-w-0 flex-1">
            <strong className="font-bold">{character.label}</strong>
            {p.required && (
              <span className={`ml-2 border px-1 text-xs font-semibold ${BADGE[p.requiredStanding ?? "open"]?.look}`}>
                {BADGE[p.requiredStanding ?? "open"]?.word}
              </span>
            )}
            {p.suggested && <span className="ml-2 border border-ink px-1 text-xs font-semibold">look next</span>}
          </span>
          <span className="flex items-center gap-2 text-sm">
            {standing.map((s) => (
              <Seen key={s.id} score={s} character={character} units={p.units} />
            ))}
          </span>
        </button>
      </h3>
      {p.active && (
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
                    Recorded: <strong>{words(s, character, p.units)}</strong>
                    {s.answer === "seen" &&
                      `, ${s.certainty}, on ${s.samples}, ${s.where === "tree" ? "on the tree" : "on the ground"}${s.position ? `, ${HEIGHT[s.position]}` : ""}`}
                  </span>
                  {!p.locked && (
                    <Button tone="quiet" disabled={p.busy} onClick={() => p.onTakeBack(s.id)}>
                      Take back
                    </Button>
                  )}
                </li>
              ))}
            </ul>
          )}
          {!p.locked && <Scoring {...p} />}
        </div>
      )}
    </section>
  );
}

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

function Scoring(p: Props) {
  const { character, draft } = p;
  const set = (change: Partial<Draft>) => p.onDraft({ ...draft, ...change });
  const wants = p.required?.samples ?? 1;
  const read = numbersOf(character, draft);
  const bad = draft.numbers.trim() !== "" && read === null;
  return (
    <>
      {isNumeric(character) ? (
        <label className="mt-2 block max-w-sm">
          <span className="text-sm text-faded">
            {character.kind === "count"
              ? "One count for each, with spaces between"
              : `In ${shownUnit(character, p.units)}, one for each, with spaces between`}
            {wants > 1 ? `; ${wants} or more` : ""}
          </span>
          <input
            className={fieldClass}
            inputMode="decimal"
            value={draft.numbers}
            placeholder={character.kind === "count" ? "5 7 7" : ""}
            onChange={(e) => set({ numbers: e.target.value })}
            aria-invalid={bad}
          />
          {read && (
            <span className="figures text-sm text-faded">
              Read as {read.join(" · ")}
              {isAbout(draft.numbers) && ", likely"}
            </span>
          )}
          {bad && <span className="text-sm font-semibold text-berry">Numbers only, such as 5 7 7, 5–9 or about 16.</span>}
        </label>
      ) : (
        <fieldset className="mt-2">
          <legend className="sr-only">{character.label}: choose what the tree shows</legend>
          <Coarser character={character} draft={draft} set={set} />
          <div className="grid grid-cols-2 gap-2 wide:grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))]">
            {character.states.map((state, i) => {
              const on = draft.states.includes(state.id);
              return (
                <button
                  key={state.id}
                  type="button"
                  aria-pressed={on}
                  data-state-id={state.id}
                  onClick={() => set({ states: chosen(character, draft, state.id) })}
                  className={`flex flex-col rounded-sm border p-2 text-left ${on ? "border-ink bg-pressed outline-2 outline-ink" : "border-rule bg-ground hover:border-ink"} ${state.absence ? "border-dashed" : ""}`}
                >
                  <span className="flex items-start justify-between">
                    <Glyph name={state.drawing} size={60} />
                    <span aria-hidden="true" className="figures hidden text-xs text-faded wide:block">
                      {on ? "✓" : i + 1}
                    </span>
                  </span>
                  <strong className="mt-1 leading-tight">{state.absence ? `looked: ${state.label}` : state.label}</strong>
                  <span className="text-xs leading-snug text-faded">{state.definition}</span>
                </button>
              );
            })}
          </div>
        </fieldset>
      )}
      <div className="mt-3 flex flex-wrap items-end gap-x-4 gap-y-2">
        <Choice
          label="How sure"
          value={draft.certainty}
          options={[
            { value: "sure", label: "sure" },
            { value: "likely", label: "likely" },
            { value: "unsure", label: "unsure" },
          ]}
          onChange={(certainty) => set({ certainty })}
        />
        {!isNumeric(character) && (
          <div>
            <div className="mb-1 text-sm text-faded">Seen on how many{wants > 1 ? ` (${wants} needed)` : ""}</div>
            <div className="inline-flex">
              <button
                type="button"
                className="min-h-11 min-w-11 rounded-l-sm border border-ink bg-sheet"
                aria-label="one fewer"
                disabled={draft.samples <= 1}
                onClick={() => set({ samples: draft.samples - 1 })}
              >
                −
              </button>
              <output className="figures flex min-h-11 min-w-11 items-center justify-center border-y border-ink font-bold" aria-label="samples">
                {draft.samples}
              </output>
              <button
                type="button"
                className="min-h-11 min-w-11 rounded-r-sm border border-ink bg-sheet"
                aria-label="one more"
                disabled={draft.samples >= 200}
                onClick={() => set({ samples: draft.samples + 1 })}
              >
                +
              </button>
            </div>
          </div>
        )}
        <Choice
          label="Where"
          value={draft.where}
          options={[
            { value: "tree", label: "on the tree" },
            { value: "ground", label: "on the ground" },
          ]}
          onChange={(where) => set({ where })}
        />
        {character.changesWithPosition && (
          <Choice
            label="How high on the tree"
            value={draft.position ?? ""}
            options={POSITIONS}
            onChange={(position) => set({ position: position === "" ? null : position })}
          />
        )}
        <div className="flex flex-1 flex-wrap justify-end gap-2">
          {character.appliesTo && (
            <Button disabled={p.busy} onClick={p.onDoesNotApply}>
              Makes no sense here
            </Button>
          )}
          <Button disabled={p.busy} onClick={p.onCannotBeSeen}>
            Cannot be seen now
          </Button>
          <Button tone="ink" className="min-w-28" disabled={p.busy || !isComplete(character, draft)} onClick={p.onRecord}>
            Record
          </Button>
        </div>
      </div>
    </>
  );
}

/** A tile pressed: taken or laid back; a coarser word gives way to it. */
function chosen(character: Character, draft: Draft, state: string): string[] {
  const plain = draft.states.filter((id) => !character.groups.some((g) => g.id === id));
  return plain.includes(state) ? plain.filter((id) => id !== state) : [...plain, state];
}

/** Words for several states at once, and "one of these, I cannot say which". */
function Coarser({ character, draft, set }: { character: Character; draft: Draft; set: (change: Partial<Draft>) => void }) {
  const several = draft.states.length > 1;
  if (character.groups.length === 0 && !several) return null;
  const chip =
    "min-h-11 rounded-sm border border-ink px-3 text-sm aria-pressed:bg-ink aria-pressed:text-ground bg-sheet hover:bg-pressed hover:text-ink";
  return (
    <div className="mb-2 flex flex-wrap items-center gap-1.5">
      {character.groups.map((group) => {
        const on = draft.states.length === 1 && draft.states[0] === group.id;
        return (
          <button
            key={group.id}
            type="button"
            aria-pressed={on}
            data-group={group.id}
            title={group.definition}
            className={chip}
            onClick={() => set({ states: on ? [] : [group.id], either: false })}
          >
            {group.label}, cannot say which
          </button>
        );
      })}
      {several && (
        <button type="button" aria-pressed={draft.either} data-either className={chip} onClick={() => set({ either: !draft.either })}>
          One of these, cannot say which
        </button>
      )}
    </div>
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
      {drawing && <Glyph name={drawing} size={28} />}
      <span className="text-faded">
        {words(score, character, units)}
        {score.answer === "seen" && score.certainty !== "sure" ? ` (${score.certainty})` : ""}
      </span>
    </span>
  );
}
