import { useQuery } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { planQuery, sitesQuery, useSession } from "../../api/queries";
import { Button, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { KIT_WORDS, learntWords, reasonWords, startWords, walkWords } from "../../words/plan";
import { dayWords } from "../../words/text";
import { distanceWords } from "../../words/trees";
import { HereButton } from "../devices/where";
import { KeptDays } from "./kept-days";
import { NoteThere } from "./note-there";
import { apiSearch, planOf, planSearch } from "./plan-search";

type Plan = Schemas["PlanView"];

/** A day out: which trees, why, with what, in which order; to print, to take along as a route, to walk with the phone. */
export default function PlanPage() {
  const [params, setParams] = useSearchParams();
  const sites = useQuery(sitesQuery);
  const session = useSession().data;
  const asked = planOf(params);
  const plan = useQuery(planQuery(asked));
  const set = (change: (now: URLSearchParams) => void) =>
    setParams(
      (now) => {
        change(now);
        return now;
      },
      { replace: true },
    );
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6">
      <PageHead
        title={plan.data ? `A day out: ${dayWords(plan.data.day)}` : "A day out"}
        lead="Which trees to go to, why, with what, and in which order. The gate decides at the tree."
      />
      <div className="mt-3 flex flex-wrap items-end gap-3 print:hidden">
        <div className="w-72">
          <Field label="Day">
            <select
              className={fieldClass}
              value={asked.day}
              onChange={(e) => set((now) => (e.target.value ? now.set("day", e.target.value) : now.delete("day")))}
            >
              <option value="">the best of the next ten</option>
              {plan.data?.days.map((d) => (
                <option key={d.day} value={d.day}>
                  {dayWords(d.day)}: {d.take} to take, {d.look} to look at
                </option>
              ))}
            </select>
          </Field>
        </div>
        {plan.data && (
          <Hopes
            choices={plan.data.choices}
            chosen={asked.hopes}
            onChange={(hopes) =>
              set((now) => {
                now.delete("hope");
                for (const hope of hopes) now.append("hope", hope);
              })
            }
          />
        )}
        <HereButton
          label="Start where I am"
          onFound={(spot) =>
            set((now) => {
              now.set("lat", spot.latitude.toFixed(5));
              now.set("lon", spot.longitude.toFixed(5));
            })
          }
        />
      </div>
      <fieldset className="mt-2 flex flex-wrap gap-x-4 print:hidden">
        <legend className="text-sm text-faded">Places</legend>
        {sites.data?.map((s) => (
          <label key={s.id} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-(--ink)"
              checked={asked.sites.length === 0 || asked.sites.includes(s.id)}
              onChange={(e) =>
                set((now) => {
                  const chosen = asked.sites.length === 0 ? (sites.data ?? []).map((x) => x.id) : asked.sites;
                  now.delete("site");
                  for (const id of e.target.checked ? [...chosen, s.id] : chosen.filter((c) => c !== s.id)) now.append("site", id);
                })
              }
            />
            {s.name}
          </label>
        ))}
      </fieldset>
      <KeptDays asked={asked} day={plan.data?.day ?? ""} mayKeep={session?.user?.role !== "guest"} />
      {plan.isPending && <Loading what="the plan" />}
      {plan.isError && <Trouble error={plan.error} retry={() => void plan.refetch()} />}
      {plan.data && <Sheet plan={plan.data} units={session?.user?.units ?? "metric"} onSkip={(tree) => set((now) => now.append("skip", tree))} />}
      {plan.data && asked.skip.length > 0 && (
        <Button className="mt-3 print:hidden" onClick={() => set((now) => now.delete("skip"))}>
          Take the {asked.skip.length === 1 ? "one" : asked.skip.length} left out in again
        </Button>
      )}
    </div>
  );
}

function Sheet({ plan, units, onSkip }: { plan: Plan; units: string; onSkip: (tree: string) => void }) {
  const [params] = useSearchParams();
  const session = useSession().data;
  const today = session?.today ?? "";
  const mayNote = session?.user?.role !== "guest";
  const search = planSearch({ ...planOf(params), day: plan.day });
  return (
    <>
      <p className="mt-3">
        {plan.sunrise && plan.sunset
          ? `Light from ${plan.dawn ?? "–"} (sunrise ${plan.sunrise}) to ${plan.dusk ?? "–"} (sunset ${plan.sunset}).`
          : "The sun does not rise and set that day."}{" "}
        {plan.stops.length > 0 && (
          <>
            On foot {walkWords(plan.seconds)}, {plan.heights ? "slopes reckoned with" : "as if it were level: no heights are known"}
            {plan.exact ? ", in the shortest order" : ", in a good order"}. {startWords(plan.ends, plan.approach)}
          </>
        )}{" "}
        {plan.kit.length > 0 && <strong>Bring {plan.kit.map((k) => KIT_WORDS[k] ?? k).join(", ")}.</strong>}
      </p>
      {plan.permissions.length > 0 && (
        <ul className="mt-2 border-l-4 border-ochre pl-3">
          {plan.permissions.map((p) => (
            <li key={p.site}>
              <Link to={`/places/${p.site}`} className="underline">
                {p.name}
              </Link>
              : the permission {p.ended ? "ended" : "ends"} on {dayWords(p.until)}. Ask {p.owner || "the owner"} again.
            </li>
          ))}
        </ul>
      )}
      {plan.stops.length === 0 ? (
        <p className="py-4 text-faded">
          Nothing calls you out that day. The{" "}
          <Link to="/year" className="underline">
            year
          </Link>{" "}
          shows what comes.
        </p>
      ) : (
        <>
          <p className="mt-3 flex flex-wrap gap-3 print:hidden">
            <Link
              to={`/plan/walk?${search}`}
              className="inline-flex min-h-11 items-center rounded-sm border border-ink bg-ink px-4 font-semibold text-ground"
            >
              Walk it
            </Link>
            <Button onClick={() => window.print()}>Print the sheet</Button>
            <a
              href={`/api/plan.gpx?${apiSearch({ ...planOf(params), day: plan.day })}`}
              download
              className="inline-flex min-h-11 items-center rounded-sm border border-ink bg-sheet px-3 font-semibold"
            >
              As a GPX route
            </a>
          </p>
          <ol className="mt-3">
            {plan.stops.map((stop, i) => (
              <li key={stop.tree} className="rule-b grid break-inside-avoid grid-cols-[2.2rem_1fr_auto] gap-x-2 py-2" data-stop={stop.tag}>
                <span className="figures text-lg font-bold">{stop.seconds == null ? "–" : i + 1}</span>
                <div className="min-w-0">
                  <Link to={`/trees/${stop.tree}`} className="font-bold underline-offset-4 hover:underline">
                    {stop.tag}
                  </Link>
                  , {stop.site}
                  {stop.whereabouts && <span className="text-faded">: {stop.whereabouts}</span>}
                  <ul className="text-sm">
                    {stop.reasons.map((r) => (
                      <li key={r.kind + r.taxon + r.id}>
                        {reasonWords(r)}
                        {r.learnt && <span className="block text-faded">{learntWords(r)}</span>}
                        {r.kind === "date" && plan.day === today && mayNote && (
                          <span className="print:hidden">
                            <NoteThere reason={r} tree={stop.tree} today={today} />
                          </span>
                        )}
                      </li>
                    ))}
                  </ul>
                </div>
                <span className="figures text-right text-sm text-faded">
                  {stop.seconds == null ? (
                    "no position"
                  ) : (
                    <>
                      {walkWords(stop.seconds)}
                      <span className="block">
                        {distanceWords(stop.metres ?? 0, units)}
                        {Math.abs(stop.climb ?? 0) >= 5 &&
                          `, ${(stop.climb ?? 0) > 0 ? "up" : "down"} ${distanceWords(Math.abs(stop.climb ?? 0), units)}`}
                      </span>
                    </>
                  )}
                  <Button className="mt-1 print:hidden" onClick={() => onSkip(stop.tree)} aria-label={`Leave ${stop.tag} out`}>
                    ✕
                  </Button>
                </span>
              </li>
            ))}
          </ol>
          {plan.left > 0 && <p className="text-faded">{plan.left} more trees have something to do and did not go in: sixty are enough for a day.</p>}
          <p className="mt-3 text-sm text-faded">
            Straight lines from tree to tree, off the path, over the heights of the drawn contours. Local law and the landowner come first.
          </p>
        </>
      )}
    </>
  );
}

/** What one goes out for; without any, everything that is due. */
function Hopes({ choices, chosen, onChange }: { choices: Schemas["HopeView"][]; chosen: string[]; onChange: (hopes: string[]) => void }) {
  const open = choices.filter((c) => !chosen.includes(c.id));
  const words = (id: string) => {
    const choice = choices.find((c) => c.id === id);
    return choice ? `${choice.name}, ${choice.part}` : id;
  };
  if (choices.length === 0) return null;
  return (
    <div className="flex flex-wrap items-end gap-2">
      <div className="w-72">
        <Field label={chosen.length === 0 ? "Hope for: anything that is due" : "Hope for, besides"}>
          <select className={fieldClass} value="" onChange={(e) => e.target.value && onChange([...chosen, e.target.value])}>
            <option value="">choose …</option>
            {open.map((c) => (
              <option key={c.id} value={c.id}>
                {c.name}, {c.part}
              </option>
            ))}
          </select>
        </Field>
      </div>
      {chosen.map((id) => (
        <Button key={id} onClick={() => onChange(chosen.filter((c) => c !== id))}>
          {words(id)} <span aria-hidden="true">✕</span>
          <span className="sr-only">: no more</span>
        </Button>
      ))}
    </div>
  );
}
