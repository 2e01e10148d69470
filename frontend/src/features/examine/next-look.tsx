import { capital } from "../../words/text";
import { useBench } from "./bench";

/** The look that is worth most now. */
export function NextLook() {
  const { e, lookAt } = useBench();
  const [first, ...others] = e.assessment.next;
  return (
    <section aria-label="Next look" data-panel="next">
      <h2 className="border-b border-ink text-base">Look next at</h2>
      {first ? (
        <>
          <button
            type="button"
            onClick={() => lookAt(first.character)}
            className="mt-1.5 flex w-full items-center justify-between gap-2 rounded-sm border border-ink bg-sheet p-2 text-left hover:bg-pressed"
          >
            <span>
              <strong>{capital(first.label)}</strong>
              {!e.namesCovered && <span className="block text-sm text-faded">{first.because}</span>}
            </span>
            <span aria-hidden="true">→</span>
          </button>
          {others.length > 0 && (
            <p className="mt-1 text-sm text-faded">
              then{" "}
              {others.slice(0, 3).map((s, i) => (
                <span key={s.character}>
                  {i > 0 && ", "}
                  <button type="button" className="py-1 underline underline-offset-4" onClick={() => lookAt(s.character)}>
                    {s.label}
                  </button>
                </span>
              ))}
            </p>
          )}
        </>
      ) : (
        <p className="mt-1 text-sm text-faded">Nothing in reach today would tell more.</p>
      )}
    </section>
  );
}
