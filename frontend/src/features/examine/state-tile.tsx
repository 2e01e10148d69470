import { type PointerEvent, useRef, useState } from "react";
import type { Character } from "../../api/client";
import { Tile } from "../../plates/tile";
import { tap } from "../../ui/senses";
import type { Draft } from "./draft";

/** So long a press counts as a long one, in milliseconds. */
const LONG = 450;
const HOW_SURE = ["sure", "likely", "unsure"] as const;

/**
 * A state, drawn. The first press takes it, each further one counts one more of the same; a long one asks how sure. The cross
 * lays it back.
 */
export function StateTile(p: {
  character: Character;
  state: Character["states"][number];
  number: number;
  draft: Draft;
  set: (change: Partial<Draft>) => void;
}) {
  const { character, state, draft, set } = p;
  const on = draft.states.includes(state.id);
  const [asking, setAsking] = useState(false);
  const held = useRef<ReturnType<typeof setTimeout> | null>(null);
  const long = useRef(false);
  const take = () => {
    if (long.current) {
      long.current = false;
      return;
    }
    tap("taken");
    if (!on) set({ states: [...plain(character, draft), state.id] });
    else if (draft.samples < 200) set({ samples: draft.samples + 1 });
  };
  const down = (event: PointerEvent) => {
    if (event.button !== 0) return;
    held.current = setTimeout(() => {
      long.current = true;
      tap("taken");
      if (!on) set({ states: [...plain(character, draft), state.id] });
      setAsking(true);
    }, LONG);
  };
  const up = () => {
    if (held.current) clearTimeout(held.current);
  };
  const name = state.absence ? `looked: ${state.label}` : state.label;
  return (
    <div
      className={`relative flex flex-col rounded-sm border ${on ? "border-ink bg-pressed outline-2 outline-ink" : "border-rule bg-ground hover:border-ink"} ${state.absence ? "border-dashed" : ""}`}
    >
      <button
        type="button"
        aria-pressed={on}
        data-state-id={state.id}
        onClick={take}
        onPointerDown={down}
        onPointerUp={up}
        onPointerLeave={up}
        onPointerCancel={up}
        onContextMenu={(event) => event.preventDefault()}
        className="flex flex-1 touch-manipulation flex-col p-2 text-left select-none"
      >
        <span className="flex items-start justify-between">
          <Tile character={character.id} state={state.id} drawing={state.drawing} size={60} />
          <span aria-hidden="true" className="figures hidden text-xs text-faded wide:block">
            {on ? "" : p.number}
          </span>
        </span>
        <strong className="mt-1 leading-tight">{name}</strong>
        <span className="text-xs leading-snug text-faded">{state.definition}</span>
        {on && (
          <span className="figures mt-1 text-sm font-semibold">
            ✓ on {draft.samples}
            {draft.certainty === "sure" ? "" : `, ${draft.certainty}`}
          </span>
        )}
      </button>
      {on && (
        <button
          type="button"
          className="absolute top-0 right-0 flex size-11 items-center justify-center"
          aria-label={`Lay ${state.label} back`}
          onClick={() => {
            setAsking(false);
            const left = draft.states.filter((id) => id !== state.id);
            set(left.length === 0 ? { states: [], samples: 1, either: false } : { states: left });
          }}
        >
          <span aria-hidden="true">✕</span>
        </button>
      )}
      {on && asking && (
        <fieldset className="flex border-t border-ink" aria-label="How sure">
          {HOW_SURE.map((certainty) => (
            <button
              key={certainty}
              type="button"
              aria-pressed={draft.certainty === certainty}
              className="min-h-11 flex-1 text-sm aria-pressed:bg-ink aria-pressed:text-ground"
              onClick={() => {
                set({ certainty });
                setAsking(false);
              }}
            >
              {certainty}
            </button>
          ))}
        </fieldset>
      )}
    </div>
  );
}

/** A coarser word gives way to a state. */
const plain = (character: Character, draft: Draft): string[] => draft.states.filter((id) => !character.groups.some((g) => g.id === id));
