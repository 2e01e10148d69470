import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { floraQuery, groupsQuery, peopleQuery } from "../../api/queries";
import { Button, Choices, Dialog, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { DangerMark } from "../../ui/danger-mark";
import { NumberInput } from "../../ui/number-input";
import { PageHead } from "../../ui/page-head";
import { capital, dayWords } from "../../words/text";
import { LearnNav } from "../learning/learn-nav";
import { groupDay, marked, useMarks } from "./marks";

type Day = Schemas["GroupDayView"];
type Station = Schemas["StationView"];

/** One day with a group: its stations at the trees, what came of them, and what to ask next time. */
export default function Group() {
  const { id = "" } = useParams();
  const asked = useQuery({ queryKey: ["group", id], queryFn: () => groupDay(id), retry: false });
  const queries = useQueryClient();
  const marks = useMarks(id);
  const kept = (next: Day) => {
    queries.setQueryData(["group", id], next);
    void queries.invalidateQueries({ queryKey: ["groups"] });
  };
  const plan = useMutation({
    mutationFn: (body: Schemas["GroupDayInput"]) => unwrap(client.PUT("/api/groups/{id}", { params: { path: { id } }, body })),
    onSuccess: kept,
  });
  const [adding, setAdding] = useState(false);
  const [asWho, setAsWho] = useState(false);
  if (asked.isPending) return <Loading what="the day" />;
  if (asked.isError) return <Trouble error={asked.error} retry={() => void asked.refetch()} />;
  const day = marked(asked.data, marks.marks);
  const change = (part: Partial<Schemas["GroupDayInput"]>) => plan.mutate({ ...asInput(day), ...part });
  const without = (station: string) => change({ stations: asInput(day).stations?.filter((s) => s.id !== station) ?? [] });
  const up = (i: number) => {
    const stations = [...(asInput(day).stations ?? [])];
    const [moved] = stations.splice(i, 1);
    if (moved) stations.splice(i - 1, 0, moved);
    change({ stations });
  };
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6 print:max-w-none print:p-0">
      <style>{"@page { size: A4 portrait; margin: 12mm }"}</style>
      <div className="print:hidden">
        <PageHead title={day.name} lead={`${dayWords(day.day)}, ${day.site}. Planned by ${day.by}.`} />
        <LearnNav />
      </div>
      {(plan.error ?? marks.error) && <Trouble error={(plan.error ?? marks.error) as Error} />}
      {marks.marks.length > 0 && (
        <p role="status" className="mt-2 text-ochre" data-waits={marks.marks.length}>
          {marks.marks.length === 1 ? "One mark is" : `${marks.marks.length} marks are`} kept on this phone until there is a connection.
        </p>
      )}
      <section aria-label="Who comes along" className="mt-4 print:hidden">
        <p className="flex flex-wrap items-center gap-x-4 gap-y-1">
          <strong>{day.people.length === 0 ? "Nobody is entered yet." : day.people.map((p) => p.name).join(", ")}</strong>
          {day.mayChange && <Button onClick={() => setAsWho(true)}>Who comes along</Button>}
          <Button onClick={() => print()}>Print the cards</Button>
        </p>
        {day.handsOff.length > 0 && (
          <p className="mt-2 border-l-4 border-berry pl-3" data-hands-off="">
            <strong>Hands off:</strong> {day.handsOff.join(", ")}. Whatever bears no tag is hands off too. Nothing is tasted.
          </p>
        )}
      </section>
      <section aria-labelledby="stations" className="mt-6">
        <h2 id="stations" className="double-rule flex items-end justify-between pb-1 text-xl print:hidden">
          Stations
          {day.mayChange && (
            <Button className="text-base" onClick={() => setAdding(true)}>
              Another station
            </Button>
          )}
        </h2>
        {day.stations.length === 0 && (
          <p className="py-3 text-faded">None yet. {day.mayChange && "Choose a tree and what to look at, or something to do."}</p>
        )}
        <ol className="print:grid print:grid-cols-2 print:gap-[6mm]">
          {day.stations.map((s, i) => (
            <li
              key={s.id}
              className="rule-b py-3 print:break-inside-avoid print:border print:border-black print:p-[5mm]"
              data-station={s.activity?.id ?? s.character}
            >
              <div className="flex flex-wrap items-baseline gap-x-3">
                <strong className="text-lg">
                  {i + 1}. {s.activity ? s.activity.name : capital(s.label)}
                </strong>
                {s.tag && (
                  <span>
                    {s.tag}
                    {s.whereabouts && <span className="text-faded">, {s.whereabouts}</span>}
                  </span>
                )}
                {s.activity && <span className="text-sm text-faded">{s.activity.minutes} minutes</span>}
                {day.mayChange && (
                  <span className="ml-auto flex gap-1.5 print:hidden">
                    {i > 0 && (
                      <Button aria-label={`Earlier: station ${i + 1}`} className="w-11" onClick={() => up(i)}>
                        ↑
                      </Button>
                    )}
                    <Button aria-label={`Not station ${i + 1}`} className="w-11" onClick={() => without(s.id)}>
                      ✕
                    </Button>
                  </span>
                )}
              </div>
              {!s.mayTouch && <p className="font-semibold text-berry">By eye and glass only: hands off this one.</p>}
              <Card station={s} />
              {(!s.activity || s.activity.hasResults) && day.people.length > 0 && (
                <Results station={s} people={day.people} onMark={(who, found) => marks.mark({ station: s.id, who, found })} />
              )}
            </li>
          ))}
        </ol>
      </section>
      {day.mayChange ? (
        <After key={day.id} day={day} onKept={kept} />
      ) : (
        day.learnt && (
          <section aria-label="What was learnt" className="mt-6 print:hidden">
            <h2 className="double-rule pb-1 text-xl">What was learnt</h2>
            <p className="py-2">{day.learnt}</p>
          </section>
        )
      )}
      <Dialog
        open={adding}
        onOpenChange={setAdding}
        title="Another station"
        description="Trees that may be touched come first; what the group confuses is marked."
        wide
      >
        <Offer
          day={day}
          onChosen={(station) => {
            setAdding(false);
            change({ stations: [...(asInput(day).stations ?? []), station] });
          }}
        />
      </Dialog>
      <Dialog open={asWho} onOpenChange={setAsWho} title="Who comes along" description="Of guests nothing is kept but how many they are.">
        <Who
          day={day}
          onChosen={(people, guests) => {
            setAsWho(false);
            change({ people, guests });
          }}
        />
      </Dialog>
    </div>
  );
}

const asInput = (day: Day): Schemas["GroupDayInput"] => ({
  day: day.day,
  siteId: day.siteId,
  name: day.name,
  people: day.people.filter((p) => !p.who.startsWith("guest-")).map((p) => p.who),
  guests: day.guests,
  stations: day.stations.map((s) => ({
    id: s.id,
    tree: s.tree ?? null,
    character: s.character,
    activity: s.activity?.id ?? "",
    note: s.note,
  })),
});

/** What stands on the card of a station. */
function Card({ station: s }: { station: Station }) {
  return (
    <div className="mt-1">
      {s.activity ? (
        <>
          <p>{s.activity.aim}</p>
          <details className="print:hidden">
            <summary className="inline-flex min-h-11 cursor-pointer items-center underline underline-offset-4">How it goes</summary>
            <Steps of={s.activity} />
          </details>
          <div className="hidden print:block">
            <Steps of={s.activity} />
          </div>
        </>
      ) : (
        <>
          <p className="text-lg">{s.question}</p>
          {s.hint && <p className="text-sm text-faded">{s.hint}</p>}
        </>
      )}
      {s.note && <p className="text-sm italic print:hidden">{s.note}</p>}
    </div>
  );
}

const Steps = ({ of }: { of: Schemas["ActivityView"] }) => (
  <>
    <p className="text-sm">Needed: {of.material}.</p>
    <ol className="ml-5 list-decimal">
      {of.how.map((step) => (
        <li key={step}>{step}</li>
      ))}
    </ol>
    <p className="mt-1 border-l-4 border-ochre pl-3 text-sm">{of.caution}</p>
  </>
);

/** Found or not, a press each; pressed again it is taken back. */
function Results(p: { station: Station; people: Schemas["ParticipantView"][]; onMark: (who: string, found: boolean | null) => void }) {
  const results = p.station.results as Record<string, boolean>;
  return (
    <ul className="mt-2 grid gap-x-6 wide:grid-cols-2 print:hidden" aria-label="What came of it">
      {p.people.map((person) => {
        const found = results[person.who];
        return (
          <li key={person.who} className="flex items-center justify-between gap-2 py-1">
            <span>{person.name}</span>
            <span className="flex gap-1.5">
              {([true, false] as const).map((is) => (
                <button
                  key={String(is)}
                  type="button"
                  aria-pressed={found === is}
                  aria-label={`${person.name}: ${is ? "found" : "not found"}`}
                  className="min-h-11 rounded-sm border border-ink px-3 aria-pressed:bg-ink aria-pressed:text-ground"
                  onClick={() => p.onMark(person.who, found === is ? null : is)}
                >
                  {is ? "found" : "not"}
                </button>
              ))}
            </span>
          </li>
        );
      })}
    </ul>
  );
}

function Offer({ day, onChosen }: { day: Day; onChosen: (station: Schemas["StationInput"]) => void }) {
  const people = asInput(day).people?.join(",") ?? "";
  const groups = useQuery(groupsQuery);
  const offer = useQuery({
    queryKey: ["group-offer", day.siteId, day.day, people],
    queryFn: () => unwrap(client.GET("/api/groups/offer", { params: { query: { site: day.siteId, day: day.day, people } } })),
  });
  const [note, setNote] = useState("");
  const station = (of: Partial<Schemas["StationInput"]>) => onChosen({ id: newId(), tree: null, character: "", activity: "", note, ...of });
  return (
    <div className="space-y-4">
      <Field label="Note for whoever leads">
        <input className={fieldClass} name="station-note" maxLength={300} value={note} onChange={(e) => setNote(e.target.value)} />
      </Field>
      <section aria-label="Something to do">
        <h3 className="font-bold">Something to do</h3>
        <div className="flex flex-wrap gap-1.5 py-1">
          {groups.data?.activities.map((a) => (
            <Button key={a.id} onClick={() => station({ activity: a.id })}>
              {a.name}
            </Button>
          ))}
        </div>
      </section>
      <section aria-label="A look at a tree">
        <h3 className="font-bold">A look at a tree, as it stands on {dayWords(day.day)}</h3>
        {offer.isPending && <Loading what="the trees" />}
        {offer.isError && <Trouble error={offer.error} retry={() => void offer.refetch()} />}
        {offer.data?.trees.length === 0 && <p className="py-2 text-faded">No tree of that place is tagged.</p>}
        <ul>
          {offer.data?.trees.map((t) => (
            <li key={t.id} className="rule-b py-2" data-offer={t.tag}>
              <span className="flex flex-wrap items-center gap-x-3">
                {!t.mayTouch && <DangerMark danger={t.danger} withWord />}
                <strong>{t.tag}</strong>
                <span>{t.kind || "not settled: may be any tree"}</span>
                <span className="text-sm text-faded">{t.mayTouch ? "may be touched" : "hands off"}</span>
              </span>
              {t.looks.length > 0 && (
                <span className="mt-1 flex flex-wrap gap-1.5">
                  {t.looks.map((l) => (
                    <Button key={l.character} onClick={() => station({ tree: t.id, character: l.character })}>
                      {capital(l.label)}
                      {l.isConfused && <span className="ml-1 text-ochre">· they misread it</span>}
                    </Button>
                  ))}
                </span>
              )}
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}

function Who({ day, onChosen }: { day: Day; onChosen: (people: string[], guests: number) => void }) {
  const all = useQuery(peopleQuery);
  const [people, setPeople] = useState(asInput(day).people ?? []);
  const [guests, setGuests] = useState(String(day.guests));
  const here = all.data?.members.filter((p) => !p.left && p.role !== "guest") ?? [];
  return (
    <div className="space-y-3">
      <Choices label="Of the school" value={people} options={here.map((p) => ({ value: p.id, label: p.name }))} onChange={setPeople} />
      <div className="w-40">
        <Field label="Guests">
          <NumberInput name="guests" value={guests} onChange={(e) => setGuests(e.target.value)} />
        </Field>
      </div>
      <Button tone="ink" onClick={() => onChosen(people, Math.max(0, Math.min(60, Number.parseInt(guests, 10) || 0)))}>
        That is everybody
      </Button>
    </div>
  );
}

/** What was learnt, and whom to ask what next time: proposed from what each confuses and did not find. */
function After({ day, onKept }: { day: Day; onKept: (next: Day) => void }) {
  const flora = useQuery(floraQuery());
  const [learnt, setLearnt] = useState(day.learnt);
  const [next, setNext] = useState(day.next.map((n) => ({ who: n.who, character: n.character })));
  const keep = useMutation({
    mutationFn: () => unwrap(client.PUT("/api/groups/{id}/after", { params: { path: { id: day.id } }, body: { learnt, next } })),
    onSuccess: onKept,
  });
  const label = (id: string) => flora.data?.characters.find((c) => c.id === id)?.label ?? id;
  const has = (who: string, character: string) => next.some((n) => n.who === who && n.character === character);
  const people = day.people.filter((p) => !p.who.startsWith("guest-"));
  return (
    <section aria-labelledby="after" className="mt-8 print:hidden">
      <h2 id="after" className="double-rule pb-1 text-xl">
        Afterwards
      </h2>
      <Field label="What was learnt">
        <textarea className={`${fieldClass} h-24`} name="learnt" maxLength={2000} value={learnt} onChange={(e) => setLearnt(e.target.value)} />
      </Field>
      {people.length > 0 && <h3 className="mt-3 font-bold">Whom to ask what next time</h3>}
      <ul>
        {people.map((p) => {
          const missed = day.stations.filter((s) => s.character && (s.results as Record<string, boolean>)[p.who] === false).map((s) => s.character);
          const proposed = [...new Set([...next.filter((n) => n.who === p.who).map((n) => n.character), ...missed, ...p.confuses])];
          return (
            <li key={p.who} className="rule-b flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
              <span className="min-w-32">{p.name}</span>
              {proposed.length === 0 && <span className="text-sm text-faded">nothing misread on record</span>}
              {proposed.map((c) => (
                <button
                  key={c}
                  type="button"
                  aria-pressed={has(p.who, c)}
                  aria-label={`Ask ${p.name}: ${label(c)}`}
                  className="min-h-11 rounded-sm border border-ink px-3 aria-pressed:bg-ink aria-pressed:text-ground"
                  onClick={() =>
                    setNext(has(p.who, c) ? next.filter((n) => n.who !== p.who || n.character !== c) : [...next, { who: p.who, character: c }])
                  }
                >
                  {label(c)}
                </button>
              ))}
            </li>
          );
        })}
      </ul>
      {keep.error && <Trouble error={keep.error} />}
      <Button tone="ink" className="mt-3" disabled={keep.isPending} onClick={() => keep.mutate()}>
        Keep it
      </Button>
      {keep.isSuccess && (
        <span role="status" className="ml-3">
          Kept.
        </span>
      )}
    </section>
  );
}
