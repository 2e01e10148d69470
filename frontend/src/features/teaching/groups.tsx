import { useMutation, useQuery } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link, useNavigate } from "react-router";
import { client, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { groupsQuery, sitesQuery, useSession } from "../../api/queries";
import { Button, Dialog, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { dayWords } from "../../words/text";
import { LearnNav } from "../learning/learn-nav";

/** Days with groups, and what can be done at trees. */
export default function Groups() {
  const groups = useQuery(groupsQuery);
  const [planning, setPlanning] = useState(false);
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <PageHead title="Groups" lead="A day with others at the trees: stations with a card each, games with an aim, and whom to ask what next time." />
      <LearnNav />
      {groups.isPending && <Loading what="the days" />}
      {groups.isError && <Trouble error={groups.error} retry={() => void groups.refetch()} />}
      {groups.data && (
        <div className="mt-5 grid gap-x-10 gap-y-8 wide:grid-cols-2">
          <section aria-labelledby="days">
            <h2 id="days" className="double-rule flex items-end justify-between pb-1 text-xl">
              Days
              {groups.data.mayPlan && (
                <Button className="text-base" onClick={() => setPlanning(true)}>
                  Plan a day
                </Button>
              )}
            </h2>
            {groups.data.days.length === 0 && <p className="py-3 text-faded">None yet.{!groups.data.mayPlan && " An instructor plans them."}</p>}
            <ul>
              {groups.data.days.map((d) => (
                <li key={d.id} className="rule-b">
                  <Link to={`/groups/${d.id}`} className="flex min-h-11 flex-wrap items-baseline gap-x-4 py-2 hover:bg-pressed" data-group={d.name}>
                    <strong>{dayWords(d.day)}</strong>
                    <span>{d.name}</span>
                    <span className="ml-auto text-sm text-faded">
                      {d.site}; {d.people} people, {d.stations} stations
                    </span>
                  </Link>
                </li>
              ))}
            </ul>
          </section>
          <section aria-labelledby="activities">
            <h2 id="activities" className="double-rule pb-1 text-xl">
              What can be done at trees
            </h2>
            <ul>
              {groups.data.activities.map((a) => (
                <li key={a.id} className="rule-b py-1">
                  <details>
                    <summary className="flex min-h-11 cursor-pointer flex-wrap items-center gap-x-4">
                      <strong>{a.name}</strong>
                      <span className="text-sm text-faded">{a.minutes} minutes</span>
                    </summary>
                    <p>{a.aim}</p>
                    <p className="text-sm">Needed: {a.material}.</p>
                    <ol className="ml-5 list-decimal py-1">
                      {a.how.map((step) => (
                        <li key={step}>{step}</li>
                      ))}
                    </ol>
                    <p className="border-l-4 border-ochre pl-3 text-sm">{a.caution}</p>
                  </details>
                </li>
              ))}
            </ul>
          </section>
        </div>
      )}
      <Dialog open={planning} onOpenChange={setPlanning} title="A day with a group" description="Which trees it can use is laid out next.">
        <New />
      </Dialog>
    </div>
  );
}

function New() {
  const sites = useQuery(sitesQuery);
  const today = useSession().data?.today ?? "";
  const [name, setName] = useState("");
  const [day, setDay] = useState(today);
  const [site, setSite] = useState("");
  const go = useNavigate();
  const plan = useMutation({
    mutationFn: () =>
      unwrap(
        client.PUT("/api/groups/{id}", {
          params: { path: { id: newId() } },
          body: { day, siteId: site || (sites.data?.[0]?.id ?? ""), name, people: [], guests: 0, stations: [] },
        }),
      ),
    onSuccess: (made) => void go(`/groups/${made.id}`),
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    plan.mutate();
  };
  return (
    <form onSubmit={submit} className="space-y-3">
      <Field label="Which group">
        <input className={fieldClass} name="group-name" required maxLength={120} value={name} onChange={(e) => setName(e.target.value)} />
      </Field>
      <div className="grid gap-3 wide:grid-cols-2">
        <Field label="Place">
          <select className={fieldClass} name="group-site" value={site} onChange={(e) => setSite(e.target.value)}>
            {(sites.data ?? []).map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Day">
          <input className={fieldClass} type="date" name="group-day" required value={day} onChange={(e) => setDay(e.target.value)} />
        </Field>
      </div>
      {plan.error && <Trouble error={plan.error} />}
      <Button type="submit" tone="ink" disabled={plan.isPending}>
        Plan it
      </Button>
    </form>
  );
}
