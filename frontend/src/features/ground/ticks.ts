import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { client, Problem, type Schemas, unwrap } from "../../api/client";
import { type Found, type Tick, withTick } from "./kept";

type Walk = Schemas["StormWalkView"];
const KEPT = "storm-ticks";

const waiting = (): Tick[] => {
  try {
    const kept = JSON.parse(localStorage.getItem(KEPT) ?? "[]") as unknown;
    return Array.isArray(kept) ? (kept as Tick[]) : [];
  } catch {
    return [];
  }
};
const keep = (ticks: Tick[]) => localStorage.setItem(KEPT, JSON.stringify(ticks));
/** Findings, kept on the phone until they have arrived: where trees fall there is seldom a connection. */
export function useTicks() {
  const queries = useQueryClient();
  const [ticks, setTicks] = useState<Tick[]>(waiting);
  const [error, setError] = useState<Error | null>(null);
  const put = (walk: Walk) =>
    queries.setQueryData<Schemas["StormsView"]>(["storms"], (all) => all && { ...all, walks: all.walks.map((w) => (w.id === walk.id ? walk : w)) });
  const send = async () => {
    for (const tick of waiting()) {
      try {
        const { stop, at, ...found } = tick;
        const secondsAgo = Math.max(0, Math.round((Date.now() - at) / 1000));
        put(await unwrap(client.PUT("/api/storms/stops/{id}", { params: { path: { id: stop } }, body: { ...found, secondsAgo } })));
        setError(null);
      } catch (e) {
        // no connection, a server in trouble, nobody signed in: it waits. Refused for good: it is said, and the stop stays as it was
        if (!(e instanceof Problem) || ![404, 409, 422].includes(e.status)) return setTicks(waiting());
        setError(e);
      }
      keep(waiting().filter((t) => t.stop !== tick.stop || t.at !== tick.at));
      setTicks(waiting());
    }
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: it is set up once
  useEffect(() => {
    const again = () => void send();
    again();
    addEventListener("online", again);
    const timer = setInterval(() => waiting().length > 0 && again(), 15_000);
    return () => {
      removeEventListener("online", again);
      clearInterval(timer);
    };
  }, []);
  return {
    waiting: ticks,
    error,
    tick: (stop: string, found: Found) => {
      keep(withTick(waiting(), { ...found, stop, at: Date.now() }));
      setTicks(waiting());
      void send();
    },
    put,
  };
}
