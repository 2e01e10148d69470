import { useBench } from "./bench";
import { Dangers } from "./dangers";
import { Names } from "./names";
import { NextLook } from "./next-look";

/** Beside the questions: the next look, the dangers, and last the names. */
export function SidePanes() {
  const { locked, table } = useBench();
  const shown = (pane: "dangers" | "names") => (table.pane === pane ? "" : "max-wide:hidden");
  return (
    <div className={`flex flex-col gap-4 ${table.pane === "look" || table.pane === "gate" ? "max-wide:hidden" : ""}`}>
      {!locked && (
        <div className="max-wide:hidden">
          <NextLook />
        </div>
      )}
      <div className={shown("dangers")}>
        <Dangers />
      </div>
      <div className={shown("names")}>
        <Names />
      </div>
    </div>
  );
}
