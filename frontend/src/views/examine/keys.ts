import { useEffect, useRef } from "react";
import type { Character } from "../../api/client";
import { type Draft, EMPTY, isNumeric } from "./draft";
import type { Organ } from "./stations";

export type Table = {
  locked: boolean;
  dialog: boolean;
  active: string | null;
  organ: Organ;
  list: Character[];
  route: Organ[];
  drafts: Record<string, Draft>;
  setDrafts: (drafts: Record<string, Draft>) => void;
  setActive: (id: string | null) => void;
  go: (organ: Organ) => void;
  record: (character: Character) => void;
  cannotBeSeen: (character: Character) => void;
  doesNotApply: (character: Character) => void;
  lookNext: () => void;
  undo: () => void;
  open: (dialog: "points" | "keys") => void;
};

/** The keyboard at the table. Keys are left alone while somebody types, and while a dialog is open. */
export function useKeys(table: Table) {
  const latest = useRef(table);
  latest.current = table;
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const t = latest.current;
      const at = event.target as HTMLElement;
      const typing = at.closest("input, textarea, select") !== null;
      if (t.dialog || event.ctrlKey || event.metaKey || event.altKey) return;
      const character = t.list.find((c) => c.id === t.active);
      if (event.key === "Enter" && character && (typing || at.tagName === "BODY" || at.closest("[data-character]") !== null)) {
        const button = at.closest("button");
        // a focused button keeps its own Enter, but for the drawn tiles, where Enter records
        if (button && !button.dataset.stateId && button.getAttribute("aria-expanded") !== "true") return;
        event.preventDefault();
        t.record(character);
        return;
      }
      if (typing) return;
      if (handle(t, character, event.key)) event.preventDefault();
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  }, []);
}

export function handle(t: Table, character: Character | undefined, key: string): boolean {
  const step = (list: { id: string }[], by: number) => {
    const at = list.findIndex((c) => c.id === t.active);
    const next = list[(at + by + list.length) % list.length];
    if (next) t.setActive(next.id);
  };
  const station = (by: number) => {
    const next = t.route[(t.route.indexOf(t.organ) + by + t.route.length) % t.route.length];
    if (next) t.go(next);
  };
  switch (key) {
    case "j":
      step(t.list, 1);
      return true;
    case "k":
      step(t.list, -1);
      return true;
    case "]":
      station(1);
      return true;
    case "[":
      station(-1);
      return true;
    case "n":
      t.lookNext();
      return true;
    case "p":
      t.open("points");
      return true;
    case "?":
      t.open("keys");
      return true;
    case "z":
      t.undo();
      return true;
  }
  if (!character || t.locked) return false;
  const draft = t.drafts[character.id] ?? EMPTY;
  const set = (change: Partial<Draft>) => t.setDrafts({ ...t.drafts, [character.id]: { ...draft, ...change } });
  switch (key) {
    case "s":
      set({ certainty: "sure" });
      return true;
    case "l":
      set({ certainty: "likely" });
      return true;
    case "u":
      set({ certainty: "unsure" });
      return true;
    case "+":
      set({ samples: Math.min(200, draft.samples + 1) });
      return true;
    case "-":
      set({ samples: Math.max(1, draft.samples - 1) });
      return true;
    case "g":
      set({ where: draft.where === "tree" ? "ground" : "tree" });
      return true;
    case "e":
      set({ either: !draft.either });
      return true;
    case "x":
      t.cannotBeSeen(character);
      return true;
    case "0":
      if (!character.appliesTo) return false;
      t.doesNotApply(character);
      return true;
  }
  const state = /^[1-9]$/.test(key) && !isNumeric(character) ? character.states[Number(key) - 1] : undefined;
  if (!state) return false;
  set({ states: draft.states.includes(state.id) ? draft.states.filter((id) => id !== state.id) : [...draft.states, state.id] });
  return true;
}
