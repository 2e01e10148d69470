import { useQuery } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import { planQuery, useSession } from "../../api/queries";
import { Button, Loading, Trouble } from "../../ui/controls";
import { endWords, learntWords, reasonWords, walkWords } from "../../words/plan";
import { directionWords, distanceWords, way } from "../../words/trees";
import { useWhere, WhereLine } from "../devices/where";
import { NoteThere } from "./note-there";
import { type PlanAsked, planOf, planSearch } from "./plan-search";

/** The round on the phone: the next tree, why, and which way. Done or skipped, the rest is ordered anew from there. */
export default function Walk() {
  const [params, setParams] = useSearchParams();
  const session = useSession().data;
  const units = session?.user?.units ?? "metric";
  const mayNote = session?.user?.role !== "guest";
  const where = useWhere();
  const asked = planOf(params);
  const plan = useQuery(planQuery(asked));
  const go = (change: Partial<PlanAsked>) => setParams(new URLSearchParams(planSearch({ ...asked, ...change })), { replace: true });
  if (plan.isPending) return <Loading what="the round" />;
  if (plan.isError)
    return (
      <div className="p-4">
        <Trouble error={plan.error} retry={() => void plan.refetch()} />
      </div>
    );
  const [next, ...rest] = plan.data.stops;
  const far =
    next && where.spot && next.latitude != null && next.longitude != null
      ? way(where.spot, { latitude: next.latitude, longitude: next.longitude })
      : null;
  return (
    <div className="mx-auto max-w-xl px-4 py-4">
      <p className="flex flex-wrap items-center justify-between gap-2 text-sm text-faded">
        <span role="status">
          {asked.done.length} done, {plan.data.stops.length} to go{plan.data.stops.length > 0 && `, ${walkWords(plan.data.seconds)} on foot`}
        </span>
        <Link to={`/plan?${planSearch({ ...asked, done: [], at: null })}`} className="inline-flex min-h-11 items-center underline">
          The whole sheet
        </Link>
      </p>
      {!next ? (
        <div className="py-6">
          <h1 className="text-2xl">That was the round.</h1>
          <p className="mt-2">
            Back {endWords(plan.data.ends[0])} is {walkWords(Math.max(60, plan.data.home))} on foot.
          </p>
        </div>
      ) : (
        <article data-next={next.tag}>
          <h1 className="double-rule pb-2 text-3xl">{next.tag}</h1>
          <p className="mt-2 text-lg">
            {next.site}
            {next.whereabouts && `: ${next.whereabouts}`}
          </p>
          <p className="figures text-faded">
            {next.seconds == null
              ? "Nobody has taken its position: look for it by the words."
              : `${walkWords(next.seconds)}, ${distanceWords(next.metres ?? 0, units)} from the last`}
          </p>
          <div className="my-2">
            <WhereLine where={where} />
            {far && (
              <p className="text-xl font-bold" aria-live="polite">
                {distanceWords(far.metres, units)} {directionWords(far.bearing)}
              </p>
            )}
          </div>
          <ul className="space-y-2 border-l-4 border-ink pl-3">
            {next.reasons.map((r) => (
              <li key={r.kind + r.taxon + r.id}>
                {reasonWords(r)}
                {r.learnt && <span className="block text-faded">{learntWords(r)}</span>}
                {mayNote && <NoteThere reason={r} tree={next.tree} today={session?.today ?? ""} />}
              </li>
            ))}
          </ul>
          <div className="mt-4 grid grid-cols-2 gap-3">
            <Button
              tone="ink"
              onClick={() =>
                go({
                  done: [...asked.done, next.tree],
                  ...(next.latitude != null && next.longitude != null ? { at: [next.latitude, next.longitude] as [number, number] } : {}),
                })
              }
            >
              Done, next
            </Button>
            <Button onClick={() => go({ skip: [...asked.skip, next.tree] })}>Skip it</Button>
            <Link
              to={`/examine?tree=${next.tree}`}
              className="inline-flex min-h-11 items-center justify-center rounded-sm border border-ink bg-sheet px-3 font-semibold"
            >
              Examine it
            </Link>
            <Link
              to={`/trees/${next.tree}`}
              className="inline-flex min-h-11 items-center justify-center rounded-sm border border-ink bg-sheet px-3 font-semibold"
            >
              Its page
            </Link>
          </div>
          {rest.length > 0 && <p className="mt-4 text-sm text-faded">Then {rest.map((s) => s.tag).join(", ")}.</p>}
        </article>
      )}
    </div>
  );
}
