import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link, useNavigate } from "react-router";
import { client, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { sitesQuery, stormsQuery, useSession } from "../../api/queries";
import { Button, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { PageHead } from "../../ui/page-head";
import { gustFrom, gustWords, wayWords } from "../../words/ground";
import { parseDecimal } from "../../words/numbers";
import { dayWords, momentWords } from "../../words/text";
import { GroundNav } from "./ground-nav";

/** Where it blew, and the rounds after it. */
export default function Storms() {
  const all = useQuery(stormsQuery);
  const session = useSession().data;
  const imperial = session?.user?.units === "imperial";
  const raise = useRaise();
  if (all.isPending) return <Loading what="the storms" />;
  if (all.isError) return <Trouble error={all.error} retry={() => void all.refetch()} />;
  const { waiting, walks, from } = all.data;
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6">
      <PageHead title="After a storm" lead="What can poison animals is gone to first, then whatever else stands over a pasture or may break." />
      <GroundNav />
      {raise.error && <Trouble error={raise.error} />}
      {waiting.map((gale) => (
        <section key={gale.siteId} aria-label={`Gale at ${gale.site}`} className="mt-5 border-2 border-berry bg-sheet p-4" data-gale>
          <h2 className="text-xl">
            {gustWords(gale.gust, imperial)} at {gale.site}, {dayWords(gale.day)}
          </h2>
          <p className="py-1">
            {gale.trees} {gale.trees === 1 ? "tree" : "trees"} to go to, {wayWords(gale.seconds)} on foot. Nobody has gone round yet.
          </p>
          <Button
            tone="ink"
            disabled={raise.isPending}
            onClick={() => raise.mutate({ id: newId(), siteId: gale.siteId, blewAt: gale.day, gust: gale.gust })}
          >
            Go round now
          </Button>
        </section>
      ))}
      {waiting.length === 0 && (
        <p className="mt-5 text-faded">
          No gust of {gustWords(from, imperial)} or more in the last ten days where animals graze, or somebody went round.
        </p>
      )}
      <Raised imperial={imperial} pending={raise.isPending} onRaise={(walk) => raise.mutate(walk)} />
      <section aria-labelledby="rounds" className="mt-8">
        <h2 id="rounds" className="border-b border-ink pb-1 text-lg">
          Rounds
        </h2>
        {walks.length === 0 && <p className="py-3 text-faded">None yet. The first one is kept here with all that was found.</p>}
        <ul>
          {walks.map((w) => (
            <li key={w.id} className="rule-b">
              <Link to={`/storms/${w.id}`} className="flex min-h-11 flex-wrap items-baseline gap-x-4 py-2 hover:bg-pressed">
                <strong>{w.site}</strong>
                <span>
                  {momentWords(w.blewAt)}
                  {w.gust != null && `, ${gustWords(w.gust, imperial)}`}
                </span>
                <span className="ml-auto flex gap-x-4">
                  {w.alarms > 0 && (
                    <strong className="text-berry">
                      {w.alarms} {w.alarms === 1 ? "alarm" : "alarms"} open
                    </strong>
                  )}
                  {w.left > 0 ? <span className="text-ochre">{w.left} not looked at</span> : <span className="text-faded">all looked at</span>}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}

type NewWalk = { id: string; siteId: string; blewAt: string; gust: number | null };

function useRaise() {
  const queries = useQueryClient();
  const go = useNavigate();
  return useMutation({
    mutationFn: (body: NewWalk) => unwrap(client.POST("/api/storms", { body })),
    onSuccess: (walk) => {
      void queries.invalidateQueries({ queryKey: ["storms"] });
      void go(`/storms/${walk.id}`);
    },
  });
}

/** What no station told: one press, with the gust if somebody knows it. */
function Raised({ imperial, pending, onRaise }: { imperial: boolean; pending: boolean; onRaise: (walk: NewWalk) => void }) {
  const sites = useQuery(sitesQuery);
  const [site, setSite] = useState("");
  const [gust, setGust] = useState("");
  const [when, setWhen] = useState("");
  const unit = imperial ? "mph" : "km/h";
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const typed = parseDecimal(gust);
    onRaise({
      id: newId(),
      siteId: site || (sites.data?.[0]?.id ?? ""),
      blewAt: when ? new Date(when).toISOString() : "",
      gust: typed === null ? null : gustFrom(typed, imperial),
    });
  };
  return (
    <form onSubmit={submit} aria-label="It blew" className="mt-6 grid items-end gap-3 border border-ink p-4 wide:grid-cols-[1fr_10rem_14rem_auto]">
      <Field label="It blew at">
        <select className={fieldClass} name="storm-site" value={site} onChange={(e) => setSite(e.target.value)}>
          {(sites.data ?? []).map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
        </select>
      </Field>
      <Field label={`Gust, ${unit}, if known`}>
        <NumberInput name="gust" value={gust} onChange={(e) => setGust(e.target.value)} />
      </Field>
      <Field label="When; empty: just now">
        <input className={fieldClass} type="datetime-local" name="blew-at" value={when} onChange={(e) => setWhen(e.target.value)} />
      </Field>
      <Button type="submit" disabled={pending || !sites.data?.length}>
        Lay a round
      </Button>
    </form>
  );
}
