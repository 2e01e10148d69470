import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { batchesOfKindQuery, harvestsQuery } from "../../api/queries";
import { capital, dayWords } from "../../words/text";

/** Fetched before it is shown, so that nothing moves under the thumb when it comes. */
export function useLastTime(taxon: string, part: string) {
  const enabled = taxon !== "";
  const harvests = useQuery({ ...harvestsQuery("kind", taxon), enabled }).data?.harvests.filter((h) => h.part === part) ?? [];
  const made = (useQuery({ ...batchesOfKindQuery(taxon), enabled }).data ?? []).filter((b) => b.note !== "");
  return { harvests, made };
}

/** What the school learnt of it before: where it is needed, at the next harvest. */
export function LastTime({ harvests, made }: ReturnType<typeof useLastTime>) {
  const [last] = harvests;
  const notes = harvests.filter((h) => h.note !== "").slice(0, 3);
  if (!last && made.length === 0) return null;
  return (
    <aside className="mb-4 border-l-4 border-rule pl-3 text-sm" aria-label="What was learnt before">
      {last && (
        <p>
          <strong>Last time:</strong> {last.amount} from {last.specimen}, {dayWords(last.takenOn)}
          {last.minutes != null && `, in ${last.minutes} minutes`}
          {last.opened > 0 && `; ${last.sound} of ${last.opened} sound`}.
        </p>
      )}
      {notes.map((h) => (
        <p key={h.id}>
          {capital(h.note)} <span className="text-faded">{h.takenBy}</span>
        </p>
      ))}
      {made.slice(0, 2).map((b) => (
        <p key={b.id}>
          <Link to={`/batches/${b.id}`} className="underline">
            {b.name}
          </Link>
          : {b.note}
        </p>
      ))}
    </aside>
  );
}
