import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { plannedDaysQuery } from "../../api/queries";
import { Button, Field, fieldClass, Trouble } from "../../ui/controls";
import { dayWords } from "../../words/text";
import { type PlanAsked, planSearch } from "./plan-search";

type Day = Schemas["PlannedDayView"];

/** Days out that are kept, for everybody of the school and in their calendars; and the one on the page, to be kept. */
export function KeptDays({ asked, day, mayKeep }: { asked: PlanAsked; day: string; mayKeep: boolean }) {
  const days = useQuery(plannedDaysQuery);
  const queries = useQueryClient();
  const [name, setName] = useState("");
  const kept = (view: Day[]) => {
    queries.setQueryData(plannedDaysQuery.queryKey, view);
    setName("");
  };
  const keep = useMutation({
    mutationFn: () =>
      unwrap(
        client.POST("/api/plan/days", {
          body: {
            id: newId(),
            day,
            name,
            sites: asked.sites,
            hopes: asked.hopes,
            skip: asked.skip,
            latitude: asked.latitude,
            longitude: asked.longitude,
          },
        }),
      ),
    onSuccess: kept,
  });
  const giveUp = useMutation({
    mutationFn: (id: string) => unwrap(client.DELETE("/api/plan/days/{id}", { params: { path: { id } } })),
    onSuccess: kept,
  });
  const error = days.error ?? keep.error ?? giveUp.error;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    keep.mutate();
  };
  return (
    <details className="mt-2 border-y border-rule print:hidden">
      <summary className="min-h-11 content-center">Days that are kept{days.data && days.data.length > 0 ? `: ${days.data.length}` : ""}</summary>
      <ul>
        {days.data?.map((d) => (
          <li key={d.id} className="rule-b flex flex-wrap items-center justify-between gap-x-3 py-1" data-kept={d.day}>
            <Link to={`/plan?${planSearch(askedOf(d))}`} className="min-h-11 content-center underline">
              {dayWords(d.day)}
              {d.name && `: ${d.name}`}
            </Link>
            <span className="text-sm text-faded">
              {d.trees.length === 1 ? "one tree" : `${d.trees.length} trees`} when {d.by} kept it
            </span>
            {d.mayGiveUp && (
              <Button aria-label={`Give it up: ${dayWords(d.day)}`} disabled={giveUp.isPending} onClick={() => giveUp.mutate(d.id)}>
                Give it up
              </Button>
            )}
          </li>
        ))}
        {days.data?.length === 0 && <li className="py-1 text-faded">None yet. A day that is kept stands in the calendars of the school.</li>}
      </ul>
      {mayKeep && day && (
        <form onSubmit={submit} className="flex flex-wrap items-end gap-2 py-2">
          <div className="w-72">
            <Field label="What for (may stay empty)">
              <input className={fieldClass} name="plan-name" maxLength={120} value={name} onChange={(e) => setName(e.target.value)} />
            </Field>
          </div>
          <Button type="submit" disabled={keep.isPending}>
            Keep {dayWords(day)}
          </Button>
        </form>
      )}
      {error && <Trouble error={error} />}
    </details>
  );
}

const askedOf = (day: Day): PlanAsked => ({
  day: day.day,
  sites: day.sites,
  hopes: day.hopes,
  skip: day.skip,
  done: [],
  latitude: day.latitude ?? null,
  longitude: day.longitude ?? null,
  at: null,
  zone: "",
});
