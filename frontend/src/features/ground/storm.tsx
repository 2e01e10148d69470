import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { stormsQuery, useSession } from "../../api/queries";
import { Button, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { Swallowed } from "../../ui/swallowed";
import { ARBORIST, ENDED, FINDING, FINDINGS, gustWords, HAS_THICKNESS, PERIL, sinceWords, WILTING, wayWords, ZONE } from "../../words/ground";
import { parseDecimal } from "../../words/numbers";
import { amountWords, herdWords, OF_THEM, ONE_OF } from "../../words/stock";
import { momentWords } from "../../words/text";
import { GroundNav } from "./ground-nav";
import type { Found } from "./kept";
import { useTicks } from "./ticks";

type Stop = Schemas["StormStopView"];
type Walk = Schemas["StormWalkView"];

/** The round after a storm, made to be walked with a phone in one hand. */
export default function Storm() {
  const { id = "" } = useParams();
  const all = useQuery(stormsQuery);
  const session = useSession().data;
  const imperial = session?.user?.units === "imperial";
  const ticks = useTicks();
  if (all.isPending) return <Loading what="the round" />;
  if (all.isError) return <Trouble error={all.error} retry={() => void all.refetch()} />;
  const walk = all.data.walks.find((w) => w.id === id);
  if (!walk)
    return (
      <p role="alert" className="mx-auto max-w-prose px-4 py-8">
        There is no such round.{" "}
        <Link to="/storms" className="underline underline-offset-4">
          To the storms
        </Link>
      </p>
    );
  const held = new Map(ticks.waiting.map((t) => [t.stop, t.finding]));
  const left = walk.stops.filter((s) => !s.finding && !held.has(s.id)).length;
  const next = walk.stops.find((s) => !s.finding && !held.has(s.id));
  const alarms = walk.stops.filter((s) => s.alarm);
  return (
    <div className="mx-auto max-w-3xl px-3 py-4 wide:px-6">
      <h1 className="text-2xl">{walk.site} after the storm</h1>
      <p className="text-sm text-faded">
        {momentWords(walk.blewAt)}
        {walk.gust != null && `, gusts of ${gustWords(walk.gust, imperial)}`}. {walk.stops.length} stops, {wayWords(walk.seconds)} on foot, fences
        crossed at their gates.
      </p>
      <div className="hidden wide:block">
        <GroundNav />
      </div>
      <p className="my-3 border-l-4 border-ochre pl-3 font-semibold">
        Nobody goes under a tree that is broken or hangs. No saw on the round. While it still blows, nobody goes.
      </p>
      <p role="status" className="sticky top-0 z-10 border-b border-ink bg-ground py-2 font-bold" data-left={left}>
        {left === 0 ? "All looked at." : `${left} of ${walk.stops.length} to look at; next: ${next?.label}.`}
        {ticks.waiting.length > 0 && <span className="block text-ochre">{ticks.waiting.length} kept on this phone until there is a connection.</span>}
      </p>
      {ticks.error && <Trouble error={ticks.error} />}
      {alarms.map((stop) => (
        <Alarm key={stop.id} walk={walk} stop={stop} imperial={imperial} onKept={ticks.put} />
      ))}
      {alarms.length > 0 && (
        <div className="border-l-4 border-berry pl-3">
          <Swallowed />
        </div>
      )}
      <ol className="mt-2">
        {walk.stops.map((stop) => (
          <StopCard
            key={stop.id}
            stop={stop}
            imperial={imperial}
            held={held.get(stop.id) ?? null}
            isNext={stop.id === next?.id}
            onTick={(found) => ticks.tick(stop.id, found)}
          />
        ))}
      </ol>
    </div>
  );
}

function Alarm({ walk, stop, imperial, onKept }: { walk: Walk; stop: Stop; imperial: boolean; onKept: (walk: Walk) => void }) {
  const alarm = stop.alarm;
  const end = useMutation({
    mutationFn: (how: Schemas["Ended"]) => unwrap(client.PUT("/api/storms/stops/{id}/end", { params: { path: { id: stop.id } }, body: { how } })),
    onSuccess: onKept,
  });
  if (!alarm) return null;
  return (
    <section aria-label={`Alarm: ${stop.label}`} className="my-3 border-2 border-berry bg-sheet p-3" data-alarm={stop.label}>
      <h2 className="text-lg text-berry">
        {stop.label}
        {stop.kind && `, ${stop.kind}`}: {stop.finding && FINDING[stop.finding]} at {stop.pasture || walk.site}
      </h2>
      <p>
        <strong>{PERIL[alarm.peril]}</strong> to {alarm.number} {OF_THEM[alarm.animal]}
        {alarm.isGrazed ? "" : " that should not be there now; look"}. Down for {sinceWords(alarm.hours)}:{" "}
        {alarm.isBare ? "bare at this time of year" : WILTING[alarm.wilting]}.
      </p>
      {alarm.leafLeast != null && alarm.leafMost != null && (
        <p className="mt-1">
          It carries {amountWords(alarm.leafLeast, imperial)} to {amountWords(alarm.leafMost, imperial)} of fresh leaf, nine times of ten.
        </p>
      )}
      {alarm.reach.map((r) => (
        <div key={r.seen.part + r.seen.state} className="mt-1">
          <p>
            {amountWords(r.from, imperial)} to {amountWords(r.to, imperial)} of {r.seen.state} {r.seen.part} harmed {ONE_OF[alarm.animal]} of that
            mass where it was seen.
          </p>
          {r.few != null && r.many != null && <p className="font-bold text-berry">{herdWords(r.few, r.many, alarm.number, alarm.animal)}</p>}
          <p className="text-sm text-faded">{r.seen.signs}</p>
        </div>
      ))}
      {alarm.reach.length === 0 && <p className="mt-1">With how much it harms is not on record. Any of it is too much.</p>}
      <p className="mt-2">Move the animals, call the vet before there are signs, keep a sample.</p>
      {end.error && <Trouble error={end.error} />}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button tone="ink" disabled={end.isPending} onClick={() => end.mutate("cleared-away")}>
          Cleared away
        </Button>
        <Button tone="ink" disabled={end.isPending} onClick={() => end.mutate("animals-moved")}>
          Animals moved
        </Button>
      </div>
    </section>
  );
}

function StopCard({
  stop,
  imperial,
  held,
  isNext,
  onTick,
}: {
  stop: Stop;
  imperial: boolean;
  held: Schemas["StormFinding"] | null;
  isNext: boolean;
  onTick: (found: Found) => void;
}) {
  const [opened, setOpened] = useState<boolean | null>(null);
  const finding = held ?? stop.finding ?? null;
  const open = opened ?? (isNext || (finding != null && HAS_THICKNESS.includes(finding) && stop.thickness == null && !stop.ended));
  const perAnimal = stop.peril && stop.peril !== "harmless";
  return (
    <li className={`rule-b py-2 ${isNext ? "border-l-4 border-l-ink pl-2" : ""}`} data-stop={stop.label}>
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpened(!open)}
        className="flex min-h-11 w-full flex-wrap items-baseline gap-x-3 text-left hover:bg-pressed"
      >
        <span className="figures w-6 shrink-0 text-faded">{stop.number}</span>
        <strong>{stop.label}</strong>
        <span>{stop.kind || <span className="text-ochre">kind not settled</span>}</span>
        <span className={`ml-auto ${finding ? "font-bold" : "text-faded"}`}>
          {finding ? FINDING[finding] : "not looked at"}
          {held && " (kept)"}
        </span>
        <span className="basis-full pl-9 text-sm text-faded">
          {stop.pasture ? `${stop.pasture}, ${stop.zone ? ZONE[stop.zone] : "place not known"}` : "no pasture in reach"}
          {perAnimal && <span className="text-berry"> · {stop.peril && PERIL[stop.peril]}</span>}
          {stop.seconds != null && ` · ${wayWords(stop.seconds)}`}
        </span>
      </button>
      {open && (
        <div className="pl-2 pt-2 wide:pl-9">
          {stop.whereabouts && <p className="pb-2 text-sm">{stop.whereabouts}</p>}
          <Findings stop={stop} finding={finding} imperial={imperial} onTick={onTick} onDone={() => setOpened(null)} />
        </div>
      )}
      {stop.wantsArborist && <p className="pl-2 pt-1 text-sm font-semibold text-ochre wide:pl-9">{ARBORIST}</p>}
      {stop.ended && (
        <p className="pl-2 pt-1 text-sm wide:pl-9">
          {ENDED[stop.ended]} {stop.endedAt && momentWords(stop.endedAt)}, {stop.endedBy}.
          {stop.ended === "animals-moved" && <strong> It still lies there: none comes back before it is cleared away.</strong>}
        </p>
      )}
      {stop.note && <p className="pl-2 pt-1 text-sm wide:pl-9">“{stop.note}”</p>}
    </li>
  );
}

function Findings({
  stop,
  finding,
  imperial,
  onTick,
  onDone,
}: {
  stop: Stop;
  finding: Schemas["StormFinding"] | null;
  imperial: boolean;
  onTick: (found: Found) => void;
  onDone: () => void;
}) {
  const unit = imperial ? "in" : "cm";
  const perMm = imperial ? 25.4 : 10;
  const [thick, setThick] = useState(stop.thickness == null ? "" : String(Number((stop.thickness / perMm).toPrecision(3))));
  const [note, setNote] = useState(stop.note);
  const [said, setSaid] = useState("");
  const tick = (f: Schemas["StormFinding"]) => {
    onTick({ finding: f, thickness: null, note });
    setSaid("");
    if (!HAS_THICKNESS.includes(f)) onDone();
  };
  const keep = () => {
    const typed = thick.trim() === "" ? null : parseDecimal(thick, unit);
    if (thick.trim() !== "" && (typed === null || typed <= 0)) return setSaid(`How thick is a number of ${unit}, such as 30.`);
    if (finding) onTick({ finding, thickness: typed === null ? null : typed * perMm, note });
    onDone();
  };
  return (
    <>
      <fieldset>
        <legend className="sr-only">What is with {stop.label}?</legend>
        <div className="grid grid-cols-2 gap-1.5 wide:grid-cols-3">
          {FINDINGS.map((f) => (
            <button
              key={f}
              type="button"
              aria-pressed={finding === f}
              onClick={() => tick(f)}
              className="min-h-12 rounded-sm border border-ink bg-sheet px-2 aria-pressed:bg-ink aria-pressed:text-ground"
            >
              {FINDING[f]}
            </button>
          ))}
        </div>
      </fieldset>
      {finding && (
        <div className="mt-2 grid items-end gap-2 wide:grid-cols-[9rem_1fr_auto]">
          {HAS_THICKNESS.includes(finding) && (
            <Field label={`How thick, ${unit}`} hint="at the break or foot">
              <NumberInput unit={unit} name="thick" value={thick} onChange={(e) => setThick(e.target.value)} />
            </Field>
          )}
          <Field label="Note">
            <input className={fieldClass} name="storm-note" maxLength={300} value={note} onChange={(e) => setNote(e.target.value)} />
          </Field>
          <Button onClick={keep}>Keep</Button>
          {said && (
            <p role="alert" className="text-berry">
              {said}
            </p>
          )}
        </div>
      )}
    </>
  );
}
