import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { batchesOfKindQuery, harvestsQuery } from "../../api/queries";
import { capital, dayWords } from "../../words/text";

/** What the school learnt of it before: where it is needed, at the next harvest. */
export function LastTime({ taxon, part }: { taxon: string; part: string }) {
  const harvests = useQuery(harvestsQuery("kind", taxon)).data?.harvests.filter((h) => h.part === part) ?? [];
  const made = (useQuery(batchesOfKindQuery(taxon)).data ?? []).filter((b) => b.note !== "");
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
