import { useBench } from "./bench";
import { isComplete } from "./draft";
import { NoticeBar } from "./notice";
import { RecordButtons } from "./record-buttons";
import { draftOf, type Pane } from "./table";

const PANES: { value: Pane; label: string }[] = [
  { value: "look", label: "Look" },
  { value: "dangers", label: "Dangers" },
  { value: "names", label: "Names" },
  { value: "gate", label: "Gate" },
];

/** On a small screen, within reach of a thumb: the next look, and the four panes. */
export function ThumbBar() {
  const { e, locked, table, units, suggested, active, lookAt, move } = useBench();
  const drafted = active && !locked && table.pane === "look" && isComplete(active, draftOf(table, active.id), units) ? active : null;
  return (
    <div className="fixed inset-x-0 bottom-0 z-30 border-t-2 border-ink bg-ground wide:hidden">
      <NoticeBar inBar />
      {drafted && (
        <div className="rule-b flex gap-2 px-3 py-1.5">
          <RecordButtons character={drafted} thumb />
        </div>
      )}
      {!drafted && table.pane === "look" && suggested && !locked && table.active !== suggested.character && (
        <button
          type="button"
          className="flex min-h-11 w-full items-center justify-between px-3 text-left text-sm rule-b"
          onClick={() => lookAt(suggested.character)}
        >
          <span>
            Look next at <strong>{suggested.label}</strong>
          </span>
          <span aria-hidden="true">→</span>
        </button>
      )}
      <nav aria-label="Parts of the examination" className="grid grid-cols-4">
        {PANES.map((x) => (
          <button
            key={x.value}
            type="button"
            aria-current={table.pane === x.value ? "page" : undefined}
            onClick={() => move({ do: "show", pane: x.value })}
            className="min-h-13 font-semibold aria-[current]:bg-ink aria-[current]:text-ground"
          >
            {x.label}
            {x.value === "dangers" && !e.hopeCovered && <span className="figures"> {e.assessment.dangers.length}</span>}
          </button>
        ))}
      </nav>
    </div>
  );
}
