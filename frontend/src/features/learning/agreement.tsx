import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { Loading, Sideways, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { capital } from "../../words/text";
import { LearnNav } from "./learn-nav";

/** On so few trees all may agree by luck. */
const FEW = 3;

/** How far several people who scored the same trees agree, and how trees of one kind vary. */
export default function Agreement() {
  const all = useQuery({ queryKey: ["learning", "agreement"], queryFn: () => unwrap(client.GET("/api/learning/agreement")), retry: false });
  if (all.isPending) return <Loading what="what was scored" />;
  if (all.isError) return <Trouble error={all.error} retry={() => void all.refetch()} />;
  const { characters, variation } = all.data;
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6">
      <PageHead
        title="Do we agree?"
        lead="Signed examinations of the same trees by different people, character by character; the least agreed first."
      />
      <LearnNav />
      {characters.length === 0 && (
        <p className="mt-5">No tree was examined by two people yet. Have one tree scored blind by several; what they differ in is worth an hour.</p>
      )}
      {characters.length > 0 && (
        <div className="mt-5">
          <Sideways label="Agreement by character">
            <table className="w-full text-left">
              <caption className="sr-only">Agreement by character</caption>
              <thead className="text-sm text-faded">
                <tr>
                  <th scope="col" className="py-1 pr-3 font-normal">
                    Character
                  </th>
                  <th scope="col" className="py-1 pr-3 text-right font-normal">
                    Trees
                  </th>
                  <th scope="col" className="py-1 pr-3 text-right font-normal">
                    AC1, 19 of 20
                  </th>
                  <th scope="col" className="py-1 text-right font-normal">
                    Kappa, 19 of 20
                  </th>
                </tr>
              </thead>
              <tbody>
                {[...characters]
                  .sort((a, b) => b.differ.length - a.differ.length || (b.trees >= FEW ? 1 : 0) - (a.trees >= FEW ? 1 : 0))
                  .map((c) => (
                    <Row key={c.character} c={c} />
                  ))}
              </tbody>
            </table>
          </Sideways>
        </div>
      )}
      {characters.length > 0 && (
        <p className="mt-2 text-sm text-faded">
          1: all of one mind; 0: no better than chance. Where nearly all trees show the same, kappa falls though all agree; AC1 does not. Kappa is
          Cohen’s where the same two scored each tree, Fleiss’s where as many did. Of fewer than three trees no figure is given.
        </p>
      )}
      {variation.length > 0 && (
        <section aria-labelledby="variation" className="mt-8">
          <h2 id="variation" className="border-b border-ink pb-1 text-lg">
            How trees of one kind vary here
          </h2>
          <ul>
            {variation.map((v) => (
              <li key={v.kind + v.label} className="rule-b py-1.5">
                <strong>{capital(v.kind)}</strong>, {v.label}: {v.values.join(", ")}
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}

function Row({ c }: { c: Schemas["AgreementView"] }) {
  return (
    <>
      <tr className="border-t border-rule align-top">
        <th scope="row" className="py-1.5 pr-3 font-semibold">
          {capital(c.label)}
        </th>
        <td className="figures py-1.5 pr-3 text-right">{c.trees}</td>
        <td className="figures py-1.5 pr-3 text-right wide:whitespace-nowrap">
          {c.trees < FEW ? <span className="text-faded">too few trees</span> : c.ac1.toFixed(2)}
          {c.low != null && c.high != null && ` (${c.low.toFixed(2)} to ${c.high.toFixed(2)})`}
        </td>
        <td className="figures py-1.5 text-right wide:whitespace-nowrap">
          {c.kappa != null && c.trees >= FEW && c.kappa.toFixed(2)}
          {c.kappa != null && c.kappaLow != null && c.kappaHigh != null && ` (${c.kappaLow.toFixed(2)} to ${c.kappaHigh.toFixed(2)})`}
          {c.kappa != null && c.trees >= FEW && <span className="block text-xs text-faded">{c.isCohens ? "Cohen" : "Fleiss"}</span>}
        </td>
      </tr>
      {c.differ.map((d) => (
        <tr key={d.tree} className="text-sm">
          <td colSpan={4} className="pb-1.5 pl-4">
            <Link to={`/trees/${d.tree}`} className="font-semibold underline underline-offset-4">
              {d.tag}
            </Link>{" "}
            {d.read.join("; ")}
            {d.settled && <span className="text-faded">. Its kind usually: {d.settled}</span>}
          </td>
        </tr>
      ))}
    </>
  );
}
