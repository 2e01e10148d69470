import { useBench } from "./bench";

/** What was just done, with the way back. */
export function NoticeBar() {
  const { locked, table, move, takeBack, countAgain } = useBench();
  const { notice } = table;
  if (!notice) return null;
  const button = "min-h-11 font-semibold underline";
  return (
    <div
      role="status"
      className="fixed bottom-28 left-1/2 z-30 flex -translate-x-1/2 items-center gap-3 bg-ink px-4 py-1 text-ground wide:bottom-4 max-wide:w-[94%]"
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
