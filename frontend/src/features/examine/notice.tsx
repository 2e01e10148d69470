import { useEffect, useState } from "react";
import { useBench } from "./bench";
import type { Table } from "./table";

/** So long it stays, in milliseconds; longer while somebody is on it. What it undoes can be undone in the list of scores too. */
const STAYS = 9_000;

/** What was just done, with the way back. */
/** @param inBar in the bar for the thumb, where it covers nothing; else over the page */
export function NoticeBar({ inBar = false }: { inBar?: boolean }) {
  const { notice } = useBench().table;
  return notice && <Notice key={notice.takeBack ?? notice.text} notice={notice} inBar={inBar} />;
}

function Notice({ notice, inBar }: { notice: NonNullable<Table["notice"]>; inBar: boolean }) {
  const { locked, move, takeBack, countAgain } = useBench();
  const [held, setHeld] = useState(false);
  useEffect(() => {
    if (held || notice.countAgain) return;
    const timer = setTimeout(() => move({ do: "say", notice: null }), STAYS);
    return () => clearTimeout(timer);
  }, [notice, held, move]);
  const button = "min-h-11 font-semibold underline";
  return (
    <div
      role="status"
      onPointerEnter={() => setHeld(true)}
      onPointerLeave={() => setHeld(false)}
      onFocus={() => setHeld(true)}
      onBlur={() => setHeld(false)}
      className={`flex items-center gap-3 bg-ink px-4 text-ground ${inBar ? "justify-between" : "fixed bottom-4 left-1/2 z-30 -translate-x-1/2 py-1 max-wide:hidden"}`}
    >
      <span>{notice.text}</span>
      {notice.takeBack && !locked && (
        <button type="button" className={button} onClick={() => takeBack(notice.takeBack as string)}>
          Take back
        </button>
      )}
      {notice.countAgain && !locked && (
        <button type="button" className={button} onClick={() => countAgain(notice.countAgain as string)}>
          Count it again
        </button>
      )}
      <button type="button" className="min-h-11 min-w-9" aria-label="Dismiss" onClick={() => move({ do: "say", notice: null })}>
        ✕
      </button>
    </div>
  );
}
