import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import type { Schemas } from "../../api/client";
import { batchesQuery, useSession } from "../../api/queries";
import { Loading, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { DOUBT, STATE } from "../../words/batches";
import { capital, dayWords, momentWords } from "../../words/text";

/** What is being made, and what was. */
export default function Batches() {
  const batches = useQuery(batchesQuery);
  const role = useSession().data?.user?.role;
  if (batches.isPending) return <Loading what="what is made" />;
  if (batches.isError) return <Trouble error={batches.error} retry={() => void batches.refetch()} />;
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6">
      <PageHead title="In the making" lead="What is made of what was taken: by which recipe, how far it has come, in which jars." />
      <p className="flex flex-wrap gap-x-5 pt-2 print:hidden">
        {role !== "guest" && (
          <Link to="/batches/new" className="inline-flex min-h-11 items-center rounded-sm border border-ink bg-ink px-4 font-semibold text-ground">
            Begin a batch
          </Link>
        )}
        <Link to="/harvests" className="inline-flex min-h-11 items-center underline underline-offset-4">
          What was taken
        </Link>
        <Link to="/recipes" className="inline-flex min-h-11 items-center underline underline-offset-4">
          Recipes
        </Link>
        <Link to="/reckon" className="inline-flex min-h-11 items-center underline underline-offset-4">
          Reckon
        </Link>
        <Link to="/measure" className="inline-flex min-h-11 items-center underline underline-offset-4">
          Measure
        </Link>
        <Link to="/trials" className="inline-flex min-h-11 items-center underline underline-offset-4">
          Trials
        </Link>
        <Link to="/recalls" className="inline-flex min-h-11 items-center underline underline-offset-4">
          Called back
        </Link>
      </p>
      <ul className="mt-2">
        {batches.data.map((b) => (
          <BatchLine key={b.id} b={b} />
        ))}
        {batches.data.length === 0 && (
          <li className="py-4 text-faded">Nothing yet. A batch begins with a harvest that was logged, and a recipe to follow.</li>
        )}
      </ul>
    </div>
  );
}

/** One of them, in a line. */
export function BatchLine({ b }: { b: Schemas["BatchSummaryView"] }) {
  return (
    <li className="rule-b" data-batch={b.name}>
      <Link to={`/batches/${b.id}`} className="block min-h-11 px-1 py-2 hover:bg-sheet">
        <span>
          <strong>{b.name}</strong> · {b.recipeName}
        </span>
        <span className={`block text-sm ${b.isDue ? "font-semibold" : "text-faded"}`}>
          {b.state === "running"
            ? b.next === ""
              ? "All steps are done: label it, or end it."
              : `${b.isDue ? "Look after it now: " : "At: "}${b.next}${b.dueAt && !b.isDue ? `, to be looked after on ${momentWords(b.dueAt)}` : ""}`
            : `${capital(STATE[b.state])}, begun ${dayWords(b.begunOn)}`}
          {b.units > 0 && ` · ${b.units === 1 ? "one jar" : `${b.units} jars`}`}
          {b.recalled > 0 && `, ${b.recalled} called back`}
        </span>
        {b.doubt && <span className="block text-sm font-semibold text-berry">{DOUBT[b.doubt]} Nobody eats of it.</span>}
      </Link>
    </li>
  );
}
