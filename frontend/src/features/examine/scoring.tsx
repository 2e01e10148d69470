import { Link } from "react-router";
import type { Character } from "../../api/client";
import { Button, Choice, fieldClass } from "../../ui/controls";
import { numberHint } from "../../ui/number-input";
import { isAbout } from "../../words/numbers";
import { shownUnit } from "../../words/units";
import { FromGauge } from "../devices/from-gauge";
import { useBench } from "./bench";
import { type Draft, isNumeric, numbersOf } from "./draft";
import { FromPicture } from "./evidence-pictures";
import { RecordButtons } from "./record-buttons";
import { StateTile } from "./state-tile";
import { draftOf } from "./table";
import { unseenWords } from "./unseen";

const POSITIONS = [
  { value: "" as const, label: "not said" },
  { value: "low" as const, label: "low" },
  { value: "middle" as const, label: "middle" },
  { value: "high" as const, label: "high" },
];

/** What the tree shows, chosen from drawn tiles or typed, with how sure, on how many and where. */
/** @param bare what records, and what cannot be seen, stands elsewhere */
export function Scoring({ character, bare = false }: { character: Character; bare?: boolean }) {
  const { table, units, busy, required, move, cannotBeSeen, doesNotApply } = useBench();
  const draft = draftOf(table, character.id);
  const set = (change: Partial<Draft>) => move({ do: "draft", character: character.id, change });
  const wants = required.get(character.id)?.samples ?? 1;
  const read = numbersOf(character, draft, units);
  const bad = draft.numbers.trim() !== "" && read === null;
  return (
    <>
      {isNumeric(character) ? (
        <div className="mt-2 flex flex-wrap items-start gap-x-3 gap-y-2">
          <label className="block max-w-sm min-w-60 flex-1">
            <span className="text-sm text-faded">
              {character.kind === "count"
                ? "One count for each, with spaces between"
                : `In ${shownUnit(character, units)}, one for each, with spaces between`}
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
                Read as {read.join(" · ")} {shownUnit(character, units)}
                {isAbout(draft.numbers) && ", likely"}
              </span>
            )}
            {bad && <span className="text-sm font-semibold text-berry">{numberHint(shownUnit(character, units), true)}</span>}
          </label>
          {character.kind !== "count" && (
            <div className="mt-5 flex flex-wrap gap-2">
              <FromGauge unit={shownUnit(character, units)} onRead={(number) => set({ numbers: `${draft.numbers} ${number}`.trim() })} />
              <Link to="/measure" className="inline-flex min-h-11 items-center text-sm underline">
                How trees are measured
              </Link>
              <FromPicture
                character={character}
                unit={shownUnit(character, units)}
                onRead={(number) => set({ numbers: `${draft.numbers} ${number}`.trim() })}
              />
            </div>
          )}
        </div>
      ) : (
        <fieldset className="mt-2">
          <legend className="sr-only">{character.label}: choose what the tree shows</legend>
          <Coarser character={character} draft={draft} set={set} />
          <div className="grid grid-cols-2 gap-2 wide:grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))]">
            {character.states.map((state, i) => (
              <StateTile key={state.id} character={character} state={state} number={i + 1} draft={draft} set={set} />
            ))}
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
        {!bare && (
          <div className="flex flex-1 flex-wrap justify-end gap-2">
            {character.appliesTo && (
              <Button disabled={busy} onClick={() => doesNotApply(character)}>
                Makes no sense here
              </Button>
            )}
            <Button disabled={busy} onClick={() => cannotBeSeen(character)}>
              {unseenWords(character)}
            </Button>
            <RecordButtons character={character} />
          </div>
        )}
      </div>
    </>
  );
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
