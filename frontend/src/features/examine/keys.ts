import { useEffect, useRef } from "react";
import type { Bench } from "./bench";
import { type Draft, isNumeric } from "./draft";
import { draftOf } from "./table";

/** A key, what it does as the sheet of keys says it, and doing it. What is not done leaves the key to the browser. */
export type Key = { keys: readonly string[]; shown: string; what: string; scores?: true; press: (bench: Bench, key: string) => boolean };

const done = (work: unknown): true => {
  void work;
  return true;
};
/** Something said of the open question. */
const draft = (say: (draft: Draft) => Partial<Draft>) => (b: Bench) =>
  b.active !== undefined && done(b.move({ do: "draft", character: b.active.id, change: say(draftOf(b.table, b.active.id)) }));

/** Every key, once: the sheet lists them and the handler asks them. */
export const KEYS: readonly Key[] = [
  { keys: ["1", "2", "3", "4", "5", "6", "7", "8", "9"], shown: "1 … 9", what: "choose what the tree shows", scores: true, press: chooseState },
  {
    keys: ["s", "l", "u"],
    shown: "s  l  u",
    what: "sure, likely, unsure",
    scores: true,
    press: (b, key) => draft(() => ({ certainty: key === "s" ? "sure" : key === "l" ? "likely" : "unsure" }))(b),
  },
  {
    keys: ["+", "-"],
    shown: "+  −",
    what: "seen on one more, one fewer",
    scores: true,
    press: (b, key) => draft((d) => ({ samples: Math.max(1, Math.min(200, d.samples + (key === "+" ? 1 : -1))) }))(b),
  },
  {
    keys: ["g"],
    shown: "g",
    what: "on the ground instead of on the tree",
    scores: true,
    press: draft((d) => ({ where: d.where === "tree" ? "ground" : "tree" })),
  },
  { keys: ["Enter"], shown: "Enter", what: "record", scores: true, press: (b) => b.active !== undefined && done(b.record(b.active)) },
  { keys: ["e"], shown: "e", what: "one of the chosen, cannot say which", scores: true, press: draft((d) => ({ either: !d.either })) },
  { keys: ["x"], shown: "x", what: "cannot be seen now", scores: true, press: (b) => b.active !== undefined && done(b.cannotBeSeen(b.active)) },
  {
    keys: ["0"],
    shown: "0",
    what: "makes no sense on this tree",
    scores: true,
    press: (b) => Boolean(b.active?.appliesTo) && b.active !== undefined && done(b.doesNotApply(b.active)),
  },
  {
    keys: ["z"],
    shown: "z",
    what: "take the last score back",
    press: (b) => done(b.table.notice?.takeBack && b.takeBack(b.table.notice.takeBack)),
  },
  { keys: ["j", "k"], shown: "j  k", what: "next, previous question", press: (b, key) => nextQuestion(b, key === "j" ? 1 : -1) },
  { keys: ["]", "["], shown: "]  [", what: "next, previous station", press: (b, key) => nextStation(b, key === "]" ? 1 : -1) },
  { keys: ["n"], shown: "n", what: "go to the next look", press: (b) => done(b.suggested && b.lookAt(b.suggested.character)) },
  { keys: ["p"], shown: "p", what: "the nine points of the gate", press: (b) => done(b.move({ do: "ask", dialog: "points" })) },
  { keys: ["r"], shown: "r", what: "round the tree, one question at a time", scores: true, press: (b) => done(b.move({ do: "round", all: false })) },
  {
    keys: ["c"],
    shown: "c",
    what: "ask for a part, or for another",
    scores: true,
    press: (b) => !b.e.hopeCovered && done(b.move({ do: "ask", dialog: "claim" })),
  },
  { keys: ["S"], shown: "Shift s", what: "sign", scores: true, press: (b) => b.standing.length > 0 && done(b.move({ do: "ask", dialog: "sign" })) },
  { keys: ["H"], shown: "Shift h", what: "log a harvest", press: (b) => b.e.signed && b.cleared && done(b.move({ do: "ask", dialog: "harvest" })) },
  { keys: ["?"], shown: "?", what: "this sheet", press: (b) => done(b.move({ do: "ask", dialog: "keys" })) },
];

/** Presses a key. A signed examination takes no score by key. */
export function press(bench: Bench, key: string): boolean {
  const found = KEYS.find((k) => k.keys.includes(key));
  return found !== undefined && !(found.scores && bench.locked) && found.press(bench, key);
}

function chooseState(b: Bench, key: string): boolean {
  const state = b.active && !isNumeric(b.active) ? b.active.states[Number(key) - 1] : undefined;
  if (!state) return false;
  return draft((d) => ({ states: d.states.includes(state.id) ? d.states.filter((id) => id !== state.id) : [...d.states, state.id] }))(b);
}

function nextQuestion(b: Bench, by: number): boolean {
  const at = b.list.findIndex((c) => c.id === b.table.active);
  const next = b.list[(at + by + b.list.length) % b.list.length];
  return done(next && b.move({ do: "open", character: next.id }));
}

function nextStation(b: Bench, by: number): boolean {
  const next = b.route[(b.route.indexOf(b.table.organ) + by + b.route.length) % b.route.length];
  return done(next && b.go(next));
}

/** The keyboard at the table. Keys are left alone while somebody types, and while a dialog is open. */
export function useKeys(bench: Bench) {
  const latest = useRef(bench);
  latest.current = bench;
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const b = latest.current;
      if (b.table.dialog !== null || event.ctrlKey || event.metaKey || event.altKey) return;
      const at = event.target as HTMLElement;
      if (!isMeant(at, event.key) || !press(b, event.key)) return;
      event.preventDefault();
      if (isTyping(at)) at.blur(); // what was typed is recorded: the keys are keys again
    };
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  }, []);
}

const isTyping = (at: HTMLElement): boolean => at.closest("input, textarea, select") !== null;

/** Enter records from a field and from a drawn tile too; every other button keeps its own Enter. */
function isMeant(at: HTMLElement, key: string): boolean {
  const typing = isTyping(at);
  if (key !== "Enter") return !typing;
  const button = at.closest("button");
  const kept = button !== null && !button.dataset.stateId && button.getAttribute("aria-expanded") !== "true";
  return !kept && (typing || at.tagName === "BODY" || at.closest("[data-character]") !== null);
}
