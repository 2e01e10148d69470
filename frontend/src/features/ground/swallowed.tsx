import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { client, type Schemas, unwrap } from "../../api/client";
import { sitesQuery, useSession } from "../../api/queries";
import { Button, Field, fieldClass, Trouble } from "../../ui/controls";
import { DangerMark } from "../../ui/danger-mark";
import { capital, dayWords, momentWords } from "../../words/text";
import { distanceWords } from "../../words/trees";
import { HereButton, type Spot } from "../devices/where";
import { GroundNav } from "./ground-nav";

type Asked = { site?: string; latitude?: number; longitude?: number };

/** Something was swallowed: whom to call first, what to keep and say, and which trees stood near. Printed, it goes with the ambulance. */
export default function SwallowedPage() {
  const session = useSession().data;
  const number = session?.school?.poisonCentre ?? "";
  const units = session?.user?.units ?? "metric";
  const sites = useQuery(sitesQuery);
  const [asked, setAsked] = useState<Asked | null>(null);
  const near = useQuery({
    queryKey: ["swallowed", asked],
    queryFn: () => unwrap(client.GET("/api/hazards/swallowed", { params: { query: asked ?? {} } })),
    enabled: asked !== null,
  });
  const all = useMutation({
    mutationFn: () => unwrap(client.POST("/api/hazards/swallowed/all", { params: { query: asked ?? {} } })),
    onSuccess: () => void near.refetch(),
  });
  const here = (spot: Spot) => setAsked({ latitude: spot.latitude, longitude: spot.longitude });
  const page = near.data;
  return (
    <div className="mx-auto max-w-4xl px-4 py-5 wide:px-6">
      <h1 className="double-rule pb-1 text-2xl text-berry">Something was swallowed</h1>
      <div className="hidden wide:block">
        <GroundNav />
      </div>
      <section aria-label="Call first" className="mt-3 border-2 border-berry bg-sheet p-3 text-lg">
        <p>
          <strong>Call first.</strong> Whoever is unconscious, cramps, or cannot breathe: the emergency number. Else the poison centre
          {number ? (
            <>
              :{" "}
              <a href={`tel:${number.replace(/[^0-9+]/g, "")}`} className="inline-flex min-h-11 items-center font-bold underline underline-offset-4">
                {number}
              </a>
            </>
          ) : (
            "; its number is not entered here, the emergency number knows it"
          )}
          . Do what they say, nothing else.
        </p>
      </section>
      <div className="mt-4 grid gap-x-8 gap-y-4 wide:grid-cols-3">
        <List
          title="Keep"
          items={[
            "What is left of it: leaf, fruit, pod, mushroom, in paper.",
            "What came up, if something did.",
            "A picture of the tree it came from, with a twig.",
          ]}
        />
        <List
          title="Note"
          items={["What was eaten, how much, when.", "Who: age, about what mass.", "What is to be seen since, and when it began."]}
        />
        <List
          title="Say"
          items={[
            "Where you are, and how you are reached.",
            "The name of the tree only where this page says it was examined.",
            "“I do not know which” is an answer that helps.",
          ]}
        />
      </div>
      <section aria-label="Which trees stood near" className="mt-5">
        <h2 className="border-b border-ink text-lg">Which trees stood near</h2>
        <div className="mt-2 flex flex-wrap items-end gap-3 print:hidden">
          <HereButton label="It happened where I stand" onFound={here} />
          <div className="min-w-52">
            <Field label="or at">
              <select
                className={fieldClass}
                name="swallowed-site"
                value={asked?.site ?? ""}
                onChange={(e) => e.target.value && setAsked({ site: e.target.value })}
              >
                <option value="">name a place</option>
                {(sites.data ?? []).map((s) => (
                  <option key={s.id} value={s.id}>
                    {s.name}
                  </option>
                ))}
              </select>
            </Field>
          </div>
          {page && (
            <Button tone="ink" onClick={() => print()}>
              Print for the ambulance
            </Button>
          )}
        </div>
        {near.isError && <Trouble error={near.error} retry={() => void near.refetch()} />}
        {page && <Near page={page} units={units} onAll={() => all.mutate()} />}
      </section>
      <Blank />
    </div>
  );
}

function Near({ page, units, onAll }: { page: Schemas["SwallowedView"]; units: string; onAll: () => void }) {
  return (
    <div className="mt-3">
      <p className="text-sm">
        {page.school}, {momentWords(page.now)}
        {page.site && `, ${page.site}`}
        {page.latitude != null && page.longitude != null && `, ${page.latitude.toFixed(5)}°, ${page.longitude.toFixed(5)}°`}. Trees on record
        {page.latitude != null ? ` within ${distanceWords(200, units)}` : ""}; others stand there too.
      </p>
      {page.trees.length + page.unsettled.length === 0 && <p className="py-2">No tree on record stood near. That says nothing of what was eaten.</p>}
      <ul>
        {page.trees.map((t) => (
          <li key={t.id} className="rule-b break-inside-avoid py-1.5">
            <span className="flex flex-wrap items-center gap-x-3">
              <DangerMark danger={t.danger} />
              <strong>{t.tag}</strong>
              <span>
                {t.kind} (<em className="font-book">{t.name}</em>), held on examination since {dayWords(t.since)}
              </span>
              {t.metres != null && <span className="ml-auto figures">{distanceWords(t.metres, units)}</span>}
            </span>
            {t.whereabouts && <span className="block text-sm text-faded">{t.whereabouts}</span>}
            {t.hazards.map((h) => (
              <span key={h.part + h.way} className="block text-sm">
                {capital(h.part)}, by {h.way}, {h.severity}: {h.note}
              </span>
            ))}
          </li>
        ))}
      </ul>
      {page.more > 0 && <p className="py-1 text-sm">{page.more} more stand there; harmless or farther off.</p>}
      {page.unsettled.length > 0 && (
        <p className="mt-2">
          <strong>Not settled, may be any tree, a deadly one too:</strong>{" "}
          {page.unsettled
            .map((t) => `${t.tag}${t.whereabouts ? ` (${t.whereabouts})` : ""}${t.metres == null ? "" : `, ${distanceWords(t.metres, units)}`}`)
            .join("; ")}
          .
        </p>
      )}
      {page.unsettled.length > 0 && (
        <p className="mt-2 flex flex-wrap items-center gap-3 text-sm print:hidden">
          A tree you are to look at unbiased is shown without its kind.
          <Button onClick={onAll}>It happened: show all kinds</Button>
          <span className="text-faded">You are then no second person for what was looked at until now.</span>
        </p>
      )}
    </div>
  );
}

const List = ({ title, items }: { title: string; items: string[] }) => (
  <section aria-label={title}>
    <h2 className="border-b border-ink text-lg">{title}</h2>
    <ul className="ml-5 list-disc">
      {items.map((item) => (
        <li key={item} className="py-0.5">
          {item}
        </li>
      ))}
    </ul>
  </section>
);

/** Lines to be filled in by hand, on paper only. */
const Blank = () => (
  <table className="mt-5 hidden w-full print:table">
    <caption className="text-left font-bold">To be filled in</caption>
    <tbody>
      {[
        "Who, age, about what mass",
        "What, which part, how much",
        "When",
        "What is to be seen, since when",
        "Called, when, what they said",
        "Name and telephone of whoever fills this in",
      ].map((line) => (
        <tr key={line} className="border-b border-ink">
          <th scope="row" className="w-64 py-3 pr-3 text-left font-normal">
            {line}
          </th>
          <td />
        </tr>
      ))}
    </tbody>
  </table>
);
