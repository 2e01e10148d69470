import { useSyncExternalStore } from "react";

const KEY = "in-figures";
const listeners = new Set<() => void>();

/** Whether somebody wants figures where words would do. Kept on this device. */
export const useFigures = (): boolean =>
  useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => localStorage.getItem(KEY) !== null,
  );

export function FiguresSwitch() {
  const on = useFigures();
  return (
    <button
      type="button"
      aria-pressed={on}
      className="min-h-11 text-sm text-faded underline underline-offset-4"
      onClick={() => {
        if (on) localStorage.removeItem(KEY);
        else localStorage.setItem(KEY, "yes");
        for (const tell of listeners) tell();
      }}
    >
      {on ? "In words" : "In figures"}
    </button>
  );
}
