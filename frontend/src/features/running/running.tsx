import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type ReactNode, useState } from "react";
import { client, type Schemas, unwrap } from "../../api/client";
import { copiesQuery, runningQuery } from "../../api/queries";
import { Button, Choice, Loading, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { dayWords, momentWords } from "../../words/text";
import { PeopleNav } from "../people/people-nav";

type Figures = Schemas["FiguresView"];

/** For whoever looks after the machine: what was asked of it, how it answered, what it holds. Nothing here is of anybody in particular. */
export default function RunningPage() {
  const [days, setDays] = useState("7");
  const running = useQuery(runningQuery(Number(days)));
  if (running.isPending) return <Loading what="the figures" />;
  if (running.isError)
    return (
      <div className="p-5">
        <Trouble error={running.error} retry={() => void running.refetch()} />
      </div>
    );
  const r = running.data;
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6">
      <PageHead
        title="How the server runs"
        lead="Requests are counted by address and time, never by person. Nothing waits in a queue here: what is asked is done when it is answered."
      >
        <Choice
          label="Requests of the last"
          value={days}
          options={["1", "7", "31"].map((value) => ({ value, label: value === "1" ? "day" : `${value} days` }))}
          onChange={setDays}
        />
      </PageHead>

      <PeopleNav />
      <div role="status" className={`mt-4 border-l-8 bg-sheet p-3 ${r.troubles.length > 0 ? "border-berry" : "border-leaf"}`}>
        {r.troubles.length === 0 ? <p>It can do all its work.</p> : r.troubles.map((trouble) => <p key={trouble}>{trouble}</p>)}
      </div>

      <Copies />
      <Part title="Days">
        <Counts rows={r.days} first="Day" name={dayWords} />
      </Part>
      <Part title="Addresses">
        <Counts rows={r.addresses} first="Address" name={addressWords} />
      </Part>
      <Part title="Failures on our side">
        {r.faults.length === 0 && <p className="py-2 text-faded">None was noted.</p>}
        <ul>
          {r.faults.map((fault) => (
            <li key={fault.number} className="rule-b py-2">
              <span className="font-semibold">{new Date(fault.at).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "medium" })}</span>
              {" · "}
              {addressWords(fault.route)} · number {fault.number}
              <span className="block break-words text-sm text-faded">{fault.what}</span>
            </li>
          ))}
        </ul>
      </Part>

      <div className="grid grid-cols-1 gap-x-10 wide:grid-cols-2">
        <Part title="Database">
          <Facts
            facts={[
              [r.database.kind, size(r.database.bytes)],
              ...(typeof r.database.freeBytes === "number" ? [["Free where it lies", size(r.database.freeBytes)] as const] : []),
              ...r.holds.map((held) => [held.table.replaceAll("_", " "), `${held.rows.toLocaleString("en-GB")} rows`] as const),
            ]}
          />
        </Part>
        <div>
          <Part title="Kept ready">
            <Facts
              facts={[
                ...(r.opcodes
                  ? [
                      [
                        "Compiled PHP",
                        `${size(r.opcodes.usedBytes)} of ${size(r.opcodes.usedBytes + r.opcodes.freeBytes + r.opcodes.wastedBytes)} in ${r.opcodes.files} files`,
                      ] as const,
                      ["of it given up", `${size(r.opcodes.wastedBytes)}; started afresh ${r.opcodes.restarts} times`] as const,
                    ]
                  : [["Compiled PHP", "not kept: every request reads the code anew"] as const]),
                ...r.stores.map((store) => [STORES[store.name] ?? store.name, `${size(store.bytes)} in ${store.files} files`] as const),
              ]}
            />
            {r.opcodes?.full && (
              <p className="mt-2 border-l-8 border-berry bg-sheet p-3">The store of compiled PHP is full: raise opcache.memory_consumption.</p>
            )}
          </Part>
          <Part title="Floras in use">
            <Facts facts={r.floras.map((flora) => [flora.title, `edition ${flora.edition} · ${flora.hash}`] as const)} />
          </Part>
        </div>
      </div>
    </div>
  );
}

const STORES: Record<string, string> = { app: "Examinations summed up", system: "Floras made ready" };

const NAMED: Record<string, string> = {
  app_running_running_running: "this page",
  app_running_health_health: "whether all is well",
  shell: "the page itself",
  api_login: "signing in",
  api_logout: "signing out",
  openapi: "the description of the API",
};

/** "app_trees_tree_specimens" → "trees: specimens". */
const addressWords = (route: string): string => {
  const named = NAMED[route];
  if (named) return named;
  const [app, room, ...rest] = route.split("_");
  return app === "app" && room ? `${room}: ${rest.slice(1).filter(Boolean).join(" ") || "page"}` : route;
};

const size = (bytes: number): string =>
  bytes < 1e6 ? `${Math.ceil(bytes / 1e3)} kB` : bytes < 1e9 ? `${(bytes / 1e6).toFixed(1)} MB` : `${(bytes / 1e9).toFixed(1)} GB`;

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="mt-7">
      <h2 className="border-b border-ink text-lg">{title}</h2>
      {children}
    </section>
  );
}

function Facts({ facts }: { facts: readonly (readonly [string, string])[] }) {
  return (
    <dl>
      {facts.map(([name, value]) => (
        <div key={name} className="rule-b flex flex-wrap justify-between gap-x-4 py-1.5">
          <dt className="text-faded">{name}</dt>
          <dd>{value}</dd>
        </div>
      ))}
    </dl>
  );
}

function Counts({ rows, first, name }: { rows: Figures[]; first: string; name: (of: string) => string }) {
  const most = Math.max(1, ...rows.map((row) => row.p95Milliseconds));
  if (rows.length === 0) return <p className="py-2 text-faded">Nothing was counted yet.</p>;
  const narrow = "py-1.5 pl-3 text-right";
  const broad = `hidden wide:table-cell ${narrow}`;
  return (
    <table className="w-full">
      <thead className="text-sm text-faded">
        <tr>
          <th className="py-1.5 text-left font-normal">{first}</th>
          <th className={`font-normal ${narrow}`}>requests</th>
          <th className={`font-normal ${broad}`}>refused</th>
          <th className={`font-normal ${narrow}`}>failed</th>
          <th className={`font-normal ${broad}`}>half within</th>
          <th className={`font-normal ${narrow}`}>95 % within</th>
          <th className={`font-normal ${broad}`}>longest</th>
        </tr>
      </thead>
      <tbody className="tabular-nums">
        {rows.map((row) => (
          <tr key={row.of} className="rule-b">
            <th className="py-1.5 text-left font-normal">{name(row.of)}</th>
            <td className={narrow}>{row.requests.toLocaleString("en-GB")}</td>
            <td className={broad}>{row.refused}</td>
            <td className={`${narrow} ${row.failed > 0 ? "font-bold text-berry" : ""}`}>{row.failed}</td>
            <td className={broad}>{row.medianMilliseconds} ms</td>
            <td className={narrow}>
              {row.p95Milliseconds} ms
              <span
                aria-hidden="true"
                className="mt-0.5 ml-auto block h-1 bg-ink"
                style={{ width: `${Math.max(2, (100 * row.p95Milliseconds) / most)}%` }}
              />
            </td>
            <td className={broad}>{row.longestMilliseconds} ms</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Copies of everything: made by hand, and by the clock. */
function Copies() {
  const copies = useQuery(copiesQuery);
  const queries = useQueryClient();
  const make = useMutation({
    mutationFn: () => unwrap(client.POST("/api/copies")),
    onSuccess: () => void queries.invalidateQueries({ queryKey: copiesQuery.queryKey }),
  });
  return (
    <Part title="Copies of everything">
      <div className="flex flex-wrap items-center gap-3 py-2">
        <Button tone="ink" disabled={make.isPending} onClick={() => make.mutate()}>
          {make.isPending ? "Copying …" : "Make a copy now"}
        </Button>
        <p className="flex-1 text-sm text-faded">
          One archive with people, places, trees, scores, decisions and pictures. It holds what is nobody else’s business: keep it where only you get
          at it, and not only on this machine.
        </p>
      </div>
      {make.error && <Trouble error={make.error} />}
      {copies.isError && <Trouble error={copies.error} />}
      {copies.data?.length === 0 && <p className="py-2 text-faded">There is none yet.</p>}
      <ul>
        {copies.data?.map((c) => (
          <li key={c.name} className="rule-b flex items-center justify-between gap-3" data-copy={c.name}>
            <a href={`/api/copies/${c.name}`} className="flex min-h-11 items-center underline">
              {momentWords(c.madeAt)}
            </a>
            <span className="figures text-sm text-faded">{(c.bytes / 1e6).toFixed(1)} MB</span>
          </li>
        ))}
      </ul>
    </Part>
  );
}
