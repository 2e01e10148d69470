import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { client, Problem, type Schemas, unwrap } from "../../api/client";
import { weatherQuery } from "../../api/queries";
import { Button, Choice, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { dayWords } from "../../words/text";

const STATIONS: { value: Schemas["StationKind"]; label: string }[] = [
  { value: "", label: "nowhere" },
  { value: "records", label: "records" },
  { value: "stand-in", label: "the stand-in" },
];

/** The weather of a place: where it comes from, and records of a station out of a file. */
export function Weather({ site, mayChange, imperial }: { site: string; mayChange: boolean; imperial: boolean }) {
  const weather = useQuery(weatherQuery(site));
  const queries = useQueryClient();
  const anew = () => {
    for (const key of ["year", "plan", "today"]) void queries.invalidateQueries({ queryKey: [key] });
  };
  const set = useMutation({
    mutationFn: (station: Schemas["StationKind"]) =>
      unwrap(client.PUT("/api/sites/{id}/station", { params: { path: { id: site } }, body: { station } })),
    onSuccess: (view) => {
      queries.setQueryData(weatherQuery(site).queryKey, view);
      anew();
    },
  });
  if (weather.isPending) return <Loading what="the weather" />;
  if (weather.isError) return <Trouble error={weather.error} retry={() => void weather.refetch()} />;
  const w = weather.data;
  const last = w.days.at(-1);
  const degrees = (celsius: number) => (imperial ? `${Math.round(celsius * 1.8 + 32)} °F` : `${celsius.toFixed(0)} °C`);
  return (
    <div className="space-y-2 py-2">
      {mayChange && <Choice label="It comes from" value={w.station} options={STATIONS} onChange={(station) => set.mutate(station)} />}
      {w.station === "stand-in" && <p className="border-l-4 border-ochre pl-2">A stand-in, which plays a station: worth nothing in a real wood.</p>}
      <p className="text-sm">
        {w.station === ""
          ? "No temperatures are known here: the year is reckoned by height and latitude."
          : w.tells
            ? "Enough is known to place what waits for warmth by degree days."
            : "Less than a year is known: the year is reckoned by height and latitude still."}
        {last && ` Last: ${dayWords(last.day)}, ${degrees(last.least)} to ${degrees(last.greatest)}.`}
        {w.warmth != null &&
          ` ${imperial ? `${Math.round(w.warmth * 1.8)} degree days above 41 °F` : `${Math.round(w.warmth)} degree days above 5 °C`} since January.`}
      </p>
      {set.error && <Trouble error={set.error} />}
      {mayChange && w.station === "records" && <Bring site={site} known={w.known} onBrought={anew} />}
    </div>
  );
}

function Bring({ site, known, onBrought }: { site: string; known: number; onBrought: () => void }) {
  const queries = useQueryClient();
  const [units, setUnits] = useState({ temperature: "c", rain: "mm", wind: "ms", dates: "day" });
  const [file, setFile] = useState<File | null>(null);
  const send = async (run: boolean): Promise<Schemas["RecordsView"]> => {
    const response = await fetch(`/api/sites/${site}/weather?${new URLSearchParams({ ...units, ...(run && { run: "1" }) })}`, {
      method: "POST",
      body: file,
      headers: { "X-CSRF-Token": "csrf-token", Accept: "application/json", "Content-Type": "application/octet-stream" },
    });
    const answer = (await response.json().catch(() => ({}))) as unknown;
    if (response.ok) return answer as Schemas["RecordsView"];
    throw new Problem(response.status, (answer as Partial<Schemas["Problem"]>).detail ?? `The server answered ${response.status}.`, {});
  };
  const look = useMutation({ mutationFn: () => send(false) });
  const run = useMutation({
    mutationFn: () => send(true),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ["weather", site] });
      onBrought();
    },
  });
  const found = run.data ?? look.data;
  const error = look.error ?? run.error;
  const select = (key: keyof typeof units, label: string, options: [string, string][]) => (
    <div className="w-36">
      <Field label={label}>
        <select
          className={fieldClass}
          value={units[key]}
          onChange={(e) => {
            look.reset();
            run.reset();
            setUnits({ ...units, [key]: e.target.value });
          }}
        >
          {options.map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      </Field>
    </div>
  );
  return (
    <div className="space-y-2 border border-rule p-2">
      <p className="text-sm text-faded">
        {known} days are known. A file has a line a day, headed date, tmin, tmax, and perhaps rain, wind, gust, humidity, in any order and as services
        name them.
      </p>
      <div className="flex flex-wrap gap-2">
        {select("temperature", "Temperature", [
          ["c", "°C"],
          ["f", "°F"],
        ])}
        {select("rain", "Rain", [
          ["mm", "mm"],
          ["in", "inches"],
        ])}
        {select("wind", "Wind", [
          ["ms", "m/s"],
          ["kmh", "km/h"],
          ["mph", "miles an hour"],
          ["kn", "knots"],
        ])}
        {select("dates", "03/04/2026 is", [
          ["day", "3 April"],
          ["month", "4 March"],
        ])}
      </div>
      <div className="flex flex-wrap items-center gap-2">
        <input
          type="file"
          aria-label="The file of the station"
          className="min-h-11 max-w-full"
          onChange={(e) => {
            look.reset();
            run.reset();
            setFile(e.target.files?.[0] ?? null);
          }}
        />
        <Button disabled={!file || look.isPending} onClick={() => look.mutate()}>
          Look at it
        </Button>
      </div>
      {error && <Trouble error={error as Error} />}
      {found && found.faults.length > 0 && (
        <div role="alert">
          <p className="font-semibold text-berry">Nothing can be brought in:</p>
          <ul className="text-sm">
            {found.faults.slice(0, 20).map((f) => (
              <li key={f}>{f}</li>
            ))}
          </ul>
        </div>
      )}
      {found && found.faults.length === 0 && (
        <div role="status">
          <p>
            {found.done ? "Brought in: " : ""}
            {found.days} days from {dayWords(found.first)} to {dayWords(found.last)}; {found.new} new, {found.other} change.
          </p>
          {found.gaps.length > 0 && (
            <p className="text-sm text-faded">
              Missing:{" "}
              {found.gaps
                .slice(0, 8)
                .map((g) => g.split(" ").map(dayWords).join(" to "))
                .join("; ")}
              {found.gaps.length > 8 && ` and ${found.gaps.length - 8} more stretches`}.
            </p>
          )}
          {!found.done && (
            <Button tone="ink" disabled={run.isPending || found.new + found.other === 0} onClick={() => run.mutate()}>
              {found.new + found.other === 0 ? "Nothing is new in it" : "Bring it in"}
            </Button>
          )}
        </div>
      )}
    </div>
  );
}
