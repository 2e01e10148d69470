import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import type { Schemas } from "../../api/client";
import { dangerQuery } from "../../api/queries";
import { Trouble } from "../../ui/controls";
import { SeverityMark } from "../../ui/marks";
import { capital } from "../../words/text";
import { useBench } from "./bench";

/** So many dangers are in sight at once; the rest stand behind one press. */
const MOST_SHOWN = 5;

/** What it could still be that harms. Stays until it is excluded. */
export function Dangers() {
  const { e, table } = useBench();
  const [allOpen, setAllOpen] = useState(false);
  const [excludedOpen, setExcludedOpen] = useState(false);
  const { dangers: open, excluded } = e.assessment;
  const shown = allOpen || table.pane === "dangers" ? open : open.slice(0, MOST_SHOWN);
  return (
    <section aria-label="Dangers" data-panel="dangers">
      <h2 className="flex items-baseline justify-between border-b border-berry text-base text-berry">
        <span>Could still be, and harms</span>
        <span className="figures text-sm font-normal">
          {e.hopeCovered ? "covered" : `${open.length} open${open.length > 0 && !e.namesCovered ? " · look at" : ""}`}
        </span>
      </h2>
      {e.hopeCovered ? (
        <p className="mt-1 text-sm">Which kinds are still open stays covered until you sign. Look at everything you can.</p>
      ) : e.namesCovered ? (
        <p className="mt-1 text-sm">{open.length} dangerous kinds are not yet excluded. Their names are covered with the others.</p>
      ) : (
        <ul>
          {shown.map((d) => (
            <Danger key={d.taxon} danger={d} />
          ))}
        </ul>
      )}
      {!e.namesCovered && shown.length < open.length && (
        <button type="button" className="min-h-11 text-sm underline underline-offset-4" onClick={() => setAllOpen(true)}>
          and {open.length - shown.length} more, worst and likeliest first
        </button>
      )}
      {open.length === 0 && !e.hopeCovered && (
        <p className="mt-1 text-sm font-semibold text-leaf">All {excluded.length} dangerous kinds of this flora are excluded.</p>
      )}
      {!e.namesCovered && excluded.length > 0 && (
        <details className="mt-1 text-sm text-faded" onToggle={(event) => setExcludedOpen(event.currentTarget.open)}>
          <summary className="min-h-8 py-1 max-wide:min-h-11 max-wide:py-2.5">Excluded: {excluded.length}, and by what</summary>
          {excludedOpen && (
            <ul>
              {excluded.map((d) => (
                <Excluded key={d.taxon} excluded={d} />
              ))}
            </ul>
          )}
        </details>
      )}
    </section>
  );
}

function Danger({ danger: d }: { danger: Schemas["DangerView"] }) {
  const { e, lookAt } = useBench();
  const hope = e.claim?.taxon;
  return (
    <li className="rule-b flex items-center gap-2 py-0.5 max-wide:py-1" data-danger={d.taxon}>
      <span className="min-w-0 flex-1 leading-tight">
        <span className="flex flex-wrap items-center gap-x-2">
          {hope && hope !== d.taxon ? (
            <Link
              to={`/compare?taxa=${hope},${d.taxon}&flora=${e.flora}&stage=${e.stage}`}
              className="inline-flex items-center font-bold underline decoration-1 underline-offset-4 max-wide:min-h-11"
              title="Lay it beside what is hoped for"
            >
              {capital(d.commonName)}
            </Link>
          ) : (
            <strong>{capital(d.commonName)}</strong>
          )}{" "}
          <SeverityMark severity={d.severity} />
        </span>
        {d.contradictions.length > 0 && <span className="block text-xs text-faded">against it: {d.contradictions.join(", ")}</span>}
      </span>
      {d.would && d.wouldLabel ? (
        <button
          type="button"
          onClick={() => lookAt(d.would as string)}
          className="min-h-8 shrink-0 rounded-sm border border-ink bg-sheet px-2 text-sm hover:bg-pressed max-wide:min-h-11"
        >
          {d.wouldLabel}
        </button>
      ) : (
        <span className="shrink-0 text-right text-xs text-faded">not told apart today</span>
      )}
    </li>
  );
}

/** An excluded kind; on which lines that leans, and how many people have read them, is fetched when somebody asks. */
function Excluded({ excluded: d }: { excluded: Schemas["ExcludedView"] }) {
  const { e } = useBench();
  const [open, setOpen] = useState(false);
  const account = useQuery({ ...dangerQuery(e.id, d.taxon), enabled: open });
  return (
    <li className="rule-b" data-excluded={d.taxon}>
      <details onToggle={(event) => setOpen(event.currentTarget.open)}>
        <summary className="min-h-8 py-1 max-wide:min-h-11 max-wide:py-2.5">
          <s>{capital(d.commonName)}</s>
        </summary>
        {account.isLoading && <p className="pb-1">Fetching what excludes it …</p>}
        {account.isError && <Trouble error={account.error} retry={() => void account.refetch()} />}
        {account.data && (
          <>
            <p>by {account.data.contradictions.join(", ")}</p>
            <ul className="mb-1 ml-3 text-xs">
              {account.data.lines.map((line) => (
                <li key={line.id}>
                  {line.reason}{" "}
                  <span className={line.readBy > 0 ? "" : "text-ochre"}>
                    ({line.readBy > 0 ? `read by ${line.readBy}` : "read by its author only"})
                  </span>
                </li>
              ))}
            </ul>
          </>
        )}
      </details>
    </li>
  );
}
