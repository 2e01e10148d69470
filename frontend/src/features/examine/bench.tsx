import { createContext, type Dispatch, type ReactNode, useContext, useMemo, useReducer, useRef } from "react";
import type { Character, Examination, Flora, Schemas } from "../../api/client";
import { newId } from "../../api/id";
import { useExamination, useSession } from "../../api/queries";
import { tap } from "../../ui/senses";
import { gateState } from "../../words/gate";
import { type Organ, ROUTES, type RouteId } from "../../words/stations";
import { capital } from "../../words/text";
import { isComplete, toScore } from "./draft";
import { draftOf, firstOpen, inSight, laid, type Move, nextAfter, type Table, table } from "./table";

/** Everything the panes of an examination share: what is stored, what lies on the table, and what can be done. */
export type Bench = {
  e: Examination;
  flora: Flora;
  characters: Map<string, Character>;
  units: Schemas["Units"];
  /** Signed, or somebody else's: it can be read only. */
  locked: boolean;
  busy: boolean;
  error: Error | null;
  table: Table;
  move: Dispatch<Move>;
  act: ReturnType<typeof useExamination>;
  /** The questions of the open station, and the one of them that is open. */
  list: Character[];
  active: Character | undefined;
  route: Organ[];
  required: Map<string, Schemas["RequiredView"]>;
  /** Scores that count. */
  standing: Schemas["ScoreView"][];
  suggested: Schemas["SuggestionView"] | undefined;
  /** What is hoped for, in words. */
  asked: string | null;
  cleared: boolean;
  go: (organ: Organ) => void;
  lookAt: (character: string) => void;
  /** @param samples on how many; else as many as were drafted */
  record: (character: Character, samples?: number) => void;
  cannotBeSeen: (character: Character) => void;
  doesNotApply: (character: Character) => void;
  takeBack: (score: string) => void;
  countAgain: (score: string) => void;
};

export const BenchContext = createContext<Bench | null>(null);

export function useBench(): Bench {
  const bench = useContext(BenchContext);
  if (!bench) throw new Error("There is no examination on the bench here.");
  return bench;
}

export function BenchProvider({ examination: e, flora, children }: { examination: Examination; flora: Flora; children: ReactNode }) {
  const act = useExamination(e.id);
  const units = useSession().data?.user?.units ?? "metric";
  const [state, move] = useReducer(table, null, () => laid(e, flora));
  const characters = useMemo(() => new Map(flora.characters.map((c) => [c.id, c])), [flora]);
  // One id to a score, kept until it is stored: pressed twice, or sent again after a break in the net, it is one score.
  const ids = useRef<Record<string, string>>({});
  const working = [act.score, act.takeBack, act.change, act.restore];
  const busy = working.some((w) => w.isPending);
  const locked = e.signed || !e.mine;

  const send = (character: Character, score: (id: string) => Schemas["NewScore"], said: string) => {
    ids.current[character.id] ??= newId();
    act.score.mutate(score(ids.current[character.id] as string), {
      onSuccess: (stored) => {
        delete ids.current[character.id];
        const last = stored.scores.at(-1);
        const next = state.round ? null : nextAfter(stored, flora, character);
        tap("stored");
        move({
          do: "recorded",
          character: character.id,
          next,
          notice: { text: `${said}: ${character.label}.`, ...(last ? { takeBack: last.id } : {}) },
        });
        if (next) bringIntoView(next.id);
      },
    });
  };
  const list = inSight(e, flora, state.organ);
  const bench: Bench = {
    e,
    flora,
    characters,
    units,
    locked,
    busy,
    error: working.find((w) => w.error)?.error ?? null,
    table: state,
    move,
    act,
    list,
    active: list.find((c) => c.id === state.active),
    route: ROUTES[e.route as RouteId].order,
    required: new Map((e.claim?.required ?? []).map((r) => [r.character, r])),
    standing: e.scores.filter((s) => !s.takenBack),
    suggested: e.assessment.next[0],
    asked: e.claim ? `${capital(e.claim.commonName)}, ${e.claim.label}` : null,
    cleared: gateState(e.assessment.clearance) === "cleared",
    go: (organ) => move({ do: "go", organ, active: firstOpen(e, flora, organ) }),
    lookAt: (id) => {
      const character = characters.get(id);
      if (!character) return;
      move({ do: "look", character });
      bringIntoView(id);
    },
    record: (character, samples) => {
      const drafted = draftOf(state, character.id);
      const draft = samples ? { ...drafted, samples } : drafted;
      if (!isComplete(character, draft, units) || busy || locked) return;
      const further = e.scores.some((s) => s.character === character.id && s.answer !== "cannot-be-seen");
      send(character, (id) => toScore(character, draft, units, id, further), "Recorded");
    },
    cannotBeSeen: (character) => send(character, (id) => ({ id, character: character.id, answer: "cannot-be-seen" }), "Cannot be seen now"),
    doesNotApply: (character) => send(character, (id) => ({ id, character: character.id, answer: "does-not-apply" }), "Makes no sense here"),
    takeBack: (score) =>
      act.takeBack.mutate(score, {
        onSuccess: () =>
          move({
            do: "say",
            notice: { text: "Taken back; it stays on record. If it spoke against the hope, a further look has to settle it.", countAgain: score },
          }),
      }),
    countAgain: (score) => act.restore.mutate(score, { onSuccess: () => move({ do: "say", notice: null }) }),
  };
  return <BenchContext value={bench}>{children}</BenchContext>;
}

/** The question is shown and takes the focus, once it is there. */
function bringIntoView(character: string) {
  requestAnimationFrame(() => {
    const section = document.querySelector<HTMLElement>(`[data-character="${character}"]`);
    if (!section) return;
    // on a small screen the gate sticks to the top: a question longer than the screen begins below it
    section.scrollIntoView({ block: window.matchMedia?.("(min-width: 64rem)").matches ? "nearest" : "start" });
    section.querySelector<HTMLElement>("button")?.focus({ preventScroll: true });
  });
}
