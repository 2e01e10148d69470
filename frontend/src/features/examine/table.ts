import type { Character, Examination, Flora } from "../../api/client";
import { type Organ, ROUTES, type RouteId } from "../../words/stations";
import { type Draft, EMPTY } from "./draft";

/** What lies on the table while a tree is examined: all that is not stored yet. */
export type Table = {
  organ: Organ;
  /** The question that is open. */
  active: string | null;
  drafts: Record<string, Draft>;
  pane: Pane;
  dialog: DialogName | null;
  notice: Notice | null;
  /** Round the tree: one question at a time. Those left for later, and whether everything is asked or only what tells most. */
  round: Walked | null;
};

export type Walked = { skipped: string[]; all: boolean };

/** On a small screen one of these is seen at a time. */
export type Pane = "look" | "dangers" | "names" | "gate";
export type DialogName = "claim" | "points" | "sign" | "harvest" | "keys" | "settings" | "reconsider";
/** What was just done, and how it is undone. */
export type Notice = { text: string; takeBack?: string; countAgain?: string };

export type Move =
  | { do: "go"; organ: Organ; active: string | null }
  | { do: "look"; character: Character }
  | { do: "open"; character: string | null }
  | { do: "draft"; character: string; change: Partial<Draft> }
  | { do: "recorded"; character: string; next: Character | null; notice: Notice }
  | { do: "show"; pane: Pane }
  | { do: "ask"; dialog: DialogName | null }
  | { do: "say"; notice: Notice | null }
  | { do: "round"; all: boolean }
  | { do: "skip"; character: string }
  | { do: "leave-round" };

export function table(t: Table, move: Move): Table {
  switch (move.do) {
    case "go":
      return { ...t, organ: move.organ, active: move.active, pane: "look" };
    case "look":
      return { ...t, organ: move.character.organ, active: move.character.id, pane: "look", dialog: null };
    case "open":
      return { ...t, active: move.character };
    case "draft":
      return { ...t, drafts: { ...t.drafts, [move.character]: { ...draftOf(t, move.character), ...move.change } } };
    case "recorded": {
      const { [move.character]: _, ...drafts } = t.drafts;
      // whoever has opened something else meanwhile is not taken away from it
      if (t.active !== null && t.active !== move.character) return { ...t, drafts, notice: move.notice };
      return { ...t, drafts, notice: move.notice, organ: move.next?.organ ?? t.organ, active: move.next?.id ?? null };
    }
    case "show":
      return { ...t, pane: move.pane };
    case "ask":
      return { ...t, dialog: move.dialog };
    case "say":
      return { ...t, notice: move.notice };
    case "round":
      return { ...t, round: { skipped: [], all: move.all }, pane: "look", dialog: null };
    case "skip":
      return { ...t, round: t.round && { ...t.round, skipped: [...t.round.skipped, move.character] }, active: null };
    case "leave-round":
      return { ...t, round: null };
  }
}

export const draftOf = (t: Table, character: string): Draft => t.drafts[character] ?? EMPTY;

/** The table as it is laid: at the next look where somebody has begun, else at the first station of the route. */
export function laid(e: Examination, flora: Flora): Table {
  const suggested = begun(e) ? flora.characters.find((c) => c.id === e.assessment.next[0]?.character) : undefined;
  const organ = suggested?.organ ?? (ROUTES[e.route as RouteId].order[0] as Organ);
  return {
    organ,
    active: suggested?.id ?? inSight(e, flora, organ)[0]?.id ?? null,
    drafts: {},
    pane: "look",
    dialog: null,
    notice: null,
    round: null,
  };
}

const begun = (e: Examination): boolean => e.scores.some((s) => !s.takenBack);
const scored = (e: Examination): Set<string> => new Set(e.scores.filter((s) => !s.takenBack).map((s) => s.character));

/** The questions of a station. Which are in sight is for the server to say. */
export function inSight(e: Examination, flora: Flora, organ: Organ): Character[] {
  const ids = new Set(e.inSight);
  return flora.characters.filter((c) => c.organ === organ && ids.has(c.id));
}

/** The first question of a station that is not answered yet. */
export function firstOpen(e: Examination, flora: Flora, organ: Organ): string | null {
  const [done, list] = [scored(e), inSight(e, flora, organ)];
  return (list.find((c) => !done.has(c.id)) ?? list[0])?.id ?? null;
}

/** After a score: the next open question of the station, what is required first; else the look that is worth most. */
export function nextAfter(e: Examination, flora: Flora, from: Character): Character | null {
  const list = inSight(e, flora, from.organ); // what was just scored can take others out of sight
  const at = list.findIndex((c) => c.id === from.id);
  const rest = [...list.slice(at + 1), ...list.slice(0, Math.max(at, 0))];
  const done = scored(e);
  const required = new Set((e.claim?.required ?? []).map((r) => r.character));
  return (
    rest.find((c) => !done.has(c.id) && required.has(c.id)) ??
    rest.find((c) => !done.has(c.id)) ??
    flora.characters.find((c) => c.id === e.assessment.next[0]?.character) ??
    null
  );
}

/**
 * What is still asked on the round, in the order of the route: at each station first what is required. With a hope, only that
 * and what tells most now, unless everything is wanted.
 */
export function roundOf(e: Examination, flora: Flora, round: Walked): Character[] {
  const [done, later] = [scored(e), new Set(round.skipped)];
  const required = new Set((e.claim?.required ?? []).filter((r) => r.status !== "met").map((r) => r.character));
  const telling = new Set(e.assessment.next.map((s) => s.character));
  const asked = (c: Character) => round.all || !e.claim || required.has(c.id) || telling.has(c.id);
  return ROUTES[e.route as RouteId].order.flatMap((organ) => {
    const list = inSight(e, flora, organ).filter((c) => !later.has(c.id) && (!done.has(c.id) || stillWanted(e, c)) && asked(c));
    return [...list.filter((c) => required.has(c.id)), ...list.filter((c) => !required.has(c.id))];
  });
}

/** Scored, and the next look all the same: the scores disagree, or too few were seen. */
const stillWanted = (e: Examination, c: Character): boolean => e.assessment.next.some((s) => s.character === c.id);
