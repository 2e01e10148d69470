import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { client, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { floraQuery } from "../../api/queries";
import { Button, Loading, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { oftenWords, share } from "../../words/learning";
import { capital, dayWords, MONTHS } from "../../words/text";
import { PartField } from "../trees/part-picker";
import { LearnNav } from "./learn-nav";

const QUERY = ["learning", "rates"];

/** What the school misreads, counted: proposed for the next edition, and played against a part. */
export default function Rates() {
  const queries = useQueryClient();
  const rates = useQuery({ queryKey: QUERY, queryFn: () => unwrap(client.GET("/api/learning/rates")) });
  const propose = useMutation({
    mutationFn: () => unwrap(client.POST("/api/learning/rates", { body: { id: newId() } })),
    onSuccess: (next) => queries.setQueryData(QUERY, next),
  });
  const founded = rates.data?.rates.filter((r) => r.isWellFounded).length ?? 0;
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <PageHead
        title="What the school misreads"
        lead="All readings together, without names, over the rates of the flora. What half the school misreads is badly taught or badly drawn; it comes first."
      />
      <LearnNav />
      {rates.isPending && <Loading what="the counts" />}
      {rates.isError && <Trouble error={rates.error} retry={() => void rates.refetch()} />}
      {rates.data && (
        <div className="mt-5 grid gap-x-10 gap-y-8 wide:grid-cols-[minmax(0,1fr)_24rem]">
          <section aria-labelledby="counted">
            <h2 id="counted" className="double-rule pb-1 text-xl">
              Counted, of {rates.data.people} people
            </h2>
            {rates.data.rates.length === 0 && <p className="py-3 text-faded">Nobody has practised yet.</p>}
            <ul>
              {rates.data.rates.map((r) => (
                <li key={r.character} className="rule-b grid grid-cols-[minmax(0,1fr)_auto] gap-x-4 py-1.5" data-rate={r.character}>
                  <span className={r.wrong * 2 >= r.looks ? "font-bold text-berry" : ""}>{capital(r.label)}</span>
                  <span className="figures whitespace-nowrap">
                    {r.wrong} of {r.looks}
                  </span>
                  <span className="col-span-2 text-sm text-faded">
                    {share(r.rate)} ({share(r.low)} to {share(r.high)}), the flora says {share(r.was)}
                    {!r.isWellFounded && `; ${rates.data.leastLooks - r.looks} looks short of a proposal`}
                    {r.confusions.length > 0 && `. Not named there yet: ${r.confusions.join("; ")}`}
                  </span>
                </li>
              ))}
            </ul>
          </section>
          <div className="space-y-8">
            <section aria-labelledby="next-edition">
              <h2 id="next-edition" className="double-rule pb-1 text-xl">
                For the next edition
              </h2>
              <p className="py-2">
                {founded === 0
                  ? `No character was looked at ${rates.data.leastLooks} times yet; fewer looks say too little.`
                  : `${founded === 1 ? "One character is" : `${founded} characters are`} counted well enough. What is proposed changes no gate until an edition has it.`}
              </p>
              {propose.error && <Trouble error={propose.error} />}
              <Button tone="ink" disabled={founded === 0 || propose.isPending} onClick={() => propose.mutate()}>
                Propose {founded === 1 ? "it" : "them"} with the counts
              </Button>
              <ul className="mt-3">
                {rates.data.proposals.map((p) => (
                  <li key={p.id} className="rule-b flex flex-wrap items-center justify-between gap-x-3 py-1">
                    <span>
                      {dayWords(p.at.slice(0, 10))}, {p.by}: {p.rates === 1 ? "one rate" : `${p.rates} rates`}, of {p.people} people
                    </span>
                    <a className="inline-flex min-h-11 items-center underline underline-offset-4" href={`/api/learning/rates/${p.id}.yaml`} download>
                      YAML
                    </a>
                  </li>
                ))}
              </ul>
            </section>
            <Rehearsed />
          </div>
        </div>
      )}
    </div>
  );
}

/** The gate as it is, read with the eyes of this school. */
function Rehearsed() {
  const flora = useQuery(floraQuery());
  const [part, setPart] = useState("");
  const played = useQuery({
    queryKey: ["learning", "rehearsal", part],
    queryFn: () => unwrap(client.GET("/api/learning/rehearsal", { params: { query: { part } } })),
    enabled: part !== "",
    retry: false,
  });
  const r = played.data;
  return (
    <section aria-labelledby="rehearsed">
      <h2 id="rehearsed" className="double-rule pb-1 text-xl">
        How we would fare with a part
      </h2>
      <div className="py-2">
        <PartField label="Part" flora={flora.data} value={part} onChange={setPart} />
      </div>
      {played.isFetching && <Loading what="the rehearsal; it takes some seconds" />}
      {played.isError && <Trouble error={played.error} />}
      {r && !played.isFetching && (
        <div data-rehearsed="">
          <p>
            Of right trees in {MONTHS[r.month - 1]}, looked at by one person, {share(r.right)} would clear; {share(r.rightAverage)} with the flora’s
            average examiner ({r.played} played for each).
          </p>
          <p className="mt-2">At most so often a dangerous one would pass, before anybody else looks:</p>
          <ul className="mt-1">
            {r.passing.map((p) => (
              <li key={p.name} className="rule-b flex flex-wrap justify-between gap-x-3 py-1.5">
                <span>
                  {p.name} <span className="text-sm text-faded">({p.severity})</span>
                </span>
                <span className="figures">
                  {oftenWords(p.school)} <span className="text-sm text-faded">average {oftenWords(p.average)}</span>
                </span>
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}
