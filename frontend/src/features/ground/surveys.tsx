import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { client, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { sitesQuery, surveysQuery } from "../../api/queries";
import { Button, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { dayWords } from "../../words/text";
import { GroundNav } from "./ground-nav";

/** Walks through places: begun here, and kept here with their sheets. */
export default function Surveys() {
  const all = useQuery(surveysQuery);
  const sites = useQuery(sitesQuery);
  const queries = useQueryClient();
  const go = useNavigate();
  const [site, setSite] = useState("");
  const begin = useMutation({
    mutationFn: (siteId: string) => unwrap(client.POST("/api/surveys", { body: { id: newId(), siteId } })),
    onSuccess: (survey) => {
      void queries.invalidateQueries({ queryKey: ["surveys"] });
      queries.setQueryData(["survey", survey.id], survey);
      void go(`/surveys/${survey.id}`);
    },
  });
  if (all.isPending) return <Loading what="the walks" />;
  if (all.isError) return <Trouble error={all.error} retry={() => void all.refetch()} />;
  const due = all.data.filter((s) => s.isDue);
  const open = all.data.filter((s) => !s.isClosed);
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6">
      <PageHead title="Walk a place" lead="One walk, tree by tree or stand by stand, gives three sheets: dangers, materials, keep and care." />
      <GroundNav />
      <form
        aria-label="Begin a walk"
        className="mt-5 flex flex-wrap items-end gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          begin.mutate(site || (sites.data?.[0]?.id ?? ""));
        }}
      >
        <div className="min-w-52 flex-1">
          <Field label="Place">
            <select className={fieldClass} name="survey-site" value={site} onChange={(e) => setSite(e.target.value)}>
              {(sites.data ?? []).map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
            </select>
          </Field>
        </div>
        <Button type="submit" tone="ink" disabled={begin.isPending || !sites.data?.length}>
          Begin a walk
        </Button>
      </form>
      {begin.error && <Trouble error={begin.error} />}
      {due.length > 0 && (
        <p className="mt-4 border-l-4 border-ochre pl-3">
          Due again: {due.map((s) => `${s.site} (since ${dayWords(s.dueOn)})`).join(", ")}. Limbs die and hedges grow: last year’s sheets are old.
        </p>
      )}
      {open.length > 0 && (
        <p className="mt-2 border-l-4 border-ink pl-3">{open.length === 1 ? "One walk is" : `${open.length} walks are`} not closed yet.</p>
      )}
      <ul className="mt-6">
        {all.data.length === 0 && <li className="py-3 text-faded">No place has been walked yet.</li>}
        {all.data.map((s) => (
          <li key={s.id} className="rule-b">
            <Link to={`/surveys/${s.id}`} className="flex min-h-11 flex-wrap items-baseline gap-x-4 py-2 hover:bg-pressed">
              <strong>{s.site}</strong>
              <span>{dayWords(s.on)}</span>
              <span className="text-sm text-faded">
                {s.by}, {s.looks} {s.looks === 1 ? "look" : "looks"}
              </span>
              <span className="ml-auto text-sm">
                {!s.isClosed ? (
                  <strong>still walked</strong>
                ) : s.isDue ? (
                  <span className="text-ochre">due since {dayWords(s.dueOn)}</span>
                ) : (
                  `due again ${dayWords(s.dueOn)}`
                )}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </div>
  );
}
