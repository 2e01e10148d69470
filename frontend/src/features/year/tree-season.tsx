import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { client, type Schemas, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { treeSeasonQuery, useSession } from "../../api/queries";
import { Button, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { capital, dayWords } from "../../words/text";
import { eventWords } from "../../words/year";

/** What of its year has come: two presses, what and when; then what is still expected. */
export function TreeSeason({ id, mayAdd }: { id: string; mayAdd: boolean }) {
  const season = useQuery(treeSeasonQuery(id));
  const today = useSession().data?.today ?? "";
  const queries = useQueryClient();
  const [event, setEvent] = useState<Schemas["SeasonalEvent"] | null>(null);
  const [on, setOn] = useState("");
  const kept = (view: Schemas["TreeSeasonView"]) => {
    queries.setQueryData(treeSeasonQuery(id).queryKey, view);
    for (const key of ["year", "phenology"]) void queries.invalidateQueries({ queryKey: [key] });
    setEvent(null);
    setOn("");
  };
  const record = useMutation({
    mutationFn: (body: Schemas["NewEvent"]) => unwrap(client.POST("/api/specimens/{id}/events", { params: { path: { id } }, body })),
    onSuccess: kept,
  });
  const takeBack = useMutation({
    mutationFn: (of: string) => unwrap(client.DELETE("/api/events/{id}", { params: { path: { id: of } } })),
    onSuccess: kept,
  });
  if (season.isPending) return <Loading what="its year" />;
  if (season.isError) return <Trouble error={season.error} retry={() => void season.refetch()} />;
  const { events, expected } = season.data;
  const chosen = expected.find((e) => e.event === event);
  return (
    <div className="py-2">
      <ul>
        {expected.map((e) => (
          <li key={e.event} className="rule-b flex min-h-11 flex-wrap items-center justify-between gap-x-3 py-1" data-event={e.event}>
            <span className="min-w-0 flex-1">
              {capital(e.words)} <span className="block text-sm text-faded">{eventWords(e, today)}</span>
            </span>
            {mayAdd && !e.seen && (
              <Button aria-pressed={event === e.event} onClick={() => setEvent(event === e.event ? null : e.event)}>
                It has come
              </Button>
            )}
          </li>
        ))}
      </ul>
      {chosen && (
        <div className="mt-2 space-y-2 border border-ink bg-sheet p-3">
          <p className="font-semibold">{capital(chosen.words)}: when was that?</p>
          <div className="flex flex-wrap items-end gap-2">
            <Button tone="ink" disabled={record.isPending} onClick={() => record.mutate({ id: newId(), event: chosen.event, on: today })}>
              Today
            </Button>
            <form
              className="flex items-end gap-2"
              onSubmit={(e) => {
                e.preventDefault();
                if (on) record.mutate({ id: newId(), event: chosen.event, on });
              }}
            >
              <Field label="or on">
                <input className={fieldClass} type="date" name="event-on" max={today} value={on} onChange={(e) => setOn(e.target.value)} />
              </Field>
              <Button type="submit" disabled={record.isPending || on === ""}>
                Keep it
              </Button>
            </form>
          </div>
        </div>
      )}
      {(record.error ?? takeBack.error) && <Trouble error={(record.error ?? takeBack.error) as Error} />}
      {events.length > 0 && (
        <details className="mt-2">
          <summary className="min-h-11 content-center">Seen: {events.length === 1 ? "one date" : `${events.length} dates`}</summary>
          <ul>
            {events.map((e) => (
              <li key={e.id} className="rule-b flex flex-wrap items-center justify-between gap-x-3 py-1">
                <span>
                  {dayWords(e.on)}: {e.words} <span className="text-sm text-faded">({e.by})</span>
                </span>
                {e.mayTakeBack && (
                  <Button aria-label={`Take back: ${e.words}, ${dayWords(e.on)}`} disabled={takeBack.isPending} onClick={() => takeBack.mutate(e.id)}>
                    Take back
                  </Button>
                )}
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}
