import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { batchesOfKindQuery, harvestsQuery } from "../../api/queries";
import { Loading, Trouble } from "../../ui/controls";
import { capital, dayWords } from "../../words/text";
import { BatchLine } from "../batches/index";

const n = (value: number) => Number(value.toPrecision(value >= 100 ? 3 : 2)).toLocaleString("en-GB");

/** What the school itself knows of a kind: what its trees brought, the best of them, what was learnt, what was made. */
export function OwnKnowledge({ taxon }: { taxon: string }) {
  const trees = useQuery(harvestsQuery("tree", taxon));
  const batches = useQuery(batchesOfKindQuery(taxon));
  if (trees.isPending || batches.isPending) return <Loading what="what the school knows" />;
  if (trees.isError || batches.isError) return <Trouble error={(trees.error ?? batches.error) as Error} />;
  const { groups, harvests } = trees.data;
  if (groups.length === 0 && batches.data.length === 0) return null;
  const best = [...groups].sort((a, b) => (b.perHour ?? b.median) - (a.perHour ?? a.median));
  const told = harvests.filter((h) => h.note !== "").slice(0, 3);
  return (
    <section className="mt-5">
      <h2 className="border-b border-ink text-lg">What the school knows of it</h2>
      <ul>
        {best.map((g, i) => (
          <li key={g.key} className="rule-b py-1.5">
            <strong>{capital(g.label)}</strong>
            {i === 0 && best.length > 1 && " (the best of them)"}: {g.times === 1 ? "once" : `${g.times} times`}, {n(g.median)} {g.unit}
            {g.lower !== g.upper && ` (${n(g.lower)} to ${n(g.upper)})`}
            {g.perHour != null && `, ${n(g.perHour)} ${g.unit} an hour`}
            {g.sound != null && `; ${g.sound} % of ${g.opened} sound (${g.soundLeast} to ${g.soundMost} % of all)`}.
          </li>
        ))}
        {told.map((h) => (
          <li key={h.id} className="rule-b py-1.5 text-sm">
            “{h.note}”{" "}
            <span className="text-faded">
              {h.takenBy}, {dayWords(h.takenOn)}
            </span>
          </li>
        ))}
        {batches.data.slice(0, 4).map((b) => (
          <BatchLine key={b.id} b={b} />
        ))}
      </ul>
      <Link to="/harvests?by=kind-year" className="inline-flex min-h-11 items-center underline">
        Year by year
      </Link>
    </section>
  );
}
