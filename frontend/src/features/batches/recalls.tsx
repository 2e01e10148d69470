import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { recallsQuery } from "../../api/queries";
import { Button, Loading, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { RECALL_OF } from "../../words/batches";
import { momentWords } from "../../words/text";
import { BatchLine } from "./index";

/** What was called back: labels to pull, who has what. To print, and to go through. */
export default function Recalls() {
  const recalls = useQuery(recallsQuery);
  if (recalls.isPending) return <Loading what="what was called back" />;
  if (recalls.isError) return <Trouble error={recalls.error} retry={() => void recalls.refetch()} />;
  return (
    <div className="mx-auto max-w-4xl px-4 py-5 wide:px-6">
      <PageHead title="Called back" lead="What is doubted, and every jar it touched. Nobody undoes this: pull the label, and tell whoever has it." />
      {recalls.data.length === 0 && <p className="py-4 text-faded">Nothing was ever called back.</p>}
      {recalls.data.map((r) => (
        <section key={r.id} className="mt-4" data-recall={r.about}>
          <h2 className="border-b border-berry pb-1 text-lg text-berry">
            {RECALL_OF[r.what]} {r.about}
          </h2>
          <p className="py-1">
            {r.because}{" "}
            <span className="text-sm text-faded">
              {momentWords(r.at)}, {r.by}
            </span>
          </p>
          {r.units.length === 0 ? (
            <p className="text-faded">No jar was labelled of it.</p>
          ) : (
            <ul>
              {r.units.map((u) => (
                <li key={u.unit} className="rule-b flex min-h-11 flex-wrap items-center justify-between gap-x-3 py-1">
                  <span>
                    ☐{" "}
                    <Link to={`/batches/${u.batch}`} className="underline">
                      {u.name}
                    </Link>
                    , jar {u.number}: {u.contents}
                  </span>
                  <strong>{u.givenTo || "in the school"}</strong>
                </li>
              ))}
            </ul>
          )}
          {r.batches.length > 0 && (
            <>
              <h3 className="mt-2 text-sm text-faded">Not labelled any more</h3>
              <ul>
                {r.batches.map((b) => (
                  <BatchLine key={b.id} b={b} />
                ))}
              </ul>
            </>
          )}
        </section>
      ))}
      {recalls.data.length > 0 && (
        <Button className="mt-4 print:hidden" onClick={() => window.print()}>
          Print the list
        </Button>
      )}
    </div>
  );
}
