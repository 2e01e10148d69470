import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { client, Problem, type Schemas, unwrap } from "../../api/client";

type Day = Schemas["GroupDayView"];
export type Mark = { station: string; who: string; found: boolean | null };
const keyOf = (id: string) => `group-marks-${id}`;
const dayOf = (id: string) => `group-day-${id}`;

/** What was marked last for somebody at a station is what is sent. */
export const withMark = (marks: Mark[], mark: Mark): Mark[] => [...marks.filter((m) => m.station !== mark.station || m.who !== mark.who), mark];

/** As the day stands with what still waits here. */
export const marked = (day: Day, marks: Mark[]): Day => ({
  ...day,
  stations: day.stations.map((s) => {
    const results = { ...s.results };
    for (const m of marks.filter((x) => x.station === s.id)) {
      if (m.found === null) delete results[m.who];
      else results[m.who] = m.found;
    }
    return { ...s, results };
  }),
});

function kept<T>(key: string, none: T): T {
  try {
    return (JSON.parse(localStorage.getItem(key) ?? "null") as T | null) ?? none;
  } catch {
    return none;
  }
}

/** The day from the server; where that cannot be reached, as this device saw it last. */
export async function groupDay(id: string): Promise<Day> {
  try {
    const day = await unwrap(client.GET("/api/groups/{id}", { params: { path: { id } } }));
    localStorage.setItem(dayOf(id), JSON.stringify(day));
    return day;
  } catch (error) {
    const last = kept<Day | null>(dayOf(id), null);
    if (last && (!(error instanceof Problem) || error.status === 0 || error.status >= 500)) return last;
    throw error;
  }
}

/** Marks, kept on the phone until they have arrived: at the trees there is seldom a connection. */
export function useMarks(id: string) {
  const queries = useQueryClient();
  const waiting = () => kept<Mark[]>(keyOf(id), []);
  const [marks, setMarks] = useState<Mark[]>(waiting);
  const [error, setError] = useState<Error | null>(null);
  const keep = (next: Mark[]) => {
    localStorage.setItem(keyOf(id), JSON.stringify(next));
    setMarks(next);
  };
  const send = async () => {
    for (const mark of waiting()) {
      try {
        const day = await unwrap(client.PUT("/api/groups/{id}/results", { params: { path: { id } }, body: mark }));
        queries.setQueryData(["group", id], day);
        localStorage.setItem(dayOf(id), JSON.stringify(day));
        setError(null);
      } catch (e) {
        // no connection, a server in trouble: it waits. Refused for good: it is said
        if (!(e instanceof Problem) || ![403, 404, 422].includes(e.status)) return;
        setError(e);
      }
      keep(waiting().filter((m) => m.station !== mark.station || m.who !== mark.who || m.found !== mark.found));
    }
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: it is set up once for a day
  useEffect(() => {
    const again = () => void send();
    again();
    addEventListener("online", again);
    const timer = setInterval(() => waiting().length > 0 && again(), 15_000);
    return () => {
      removeEventListener("online", again);
      clearInterval(timer);
    };
  }, [id]);
  return {
    marks,
    error,
    mark: (mark: Mark) => {
      keep(withMark(waiting(), mark));
      void send();
    },
  };
}
