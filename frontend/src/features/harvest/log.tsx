import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link, useSearchParams } from "react-router";
import { client, Problem, type Schemas, unwrap } from "../../api/client";
import { harvestsQuery, useSession } from "../../api/queries";
import { Button, Choice, Dialog, Field, fieldClass, Loading, Sideways, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { emptyWords, weatherWords } from "../../words/harvest";
import { capital, dayWords } from "../../words/text";
import { Pictures } from "../pictures/pictures";
import { asSent, COUNT_BY, HarvestFields, type Typed } from "./fields";

const BY: Record<Schemas["GroupBy"], string> = {
  kind: "kind",
  "kind-year": "kind and year",
  tree: "tree",
  site: "place",
  person: "person",
  year: "year",
};
const GROUPS = Object.keys(BY) as Schemas["GroupBy"][];

const n = (value: number) => Number(value.toPrecision(value >= 100 ? 3 : 2)).toLocaleString("en-GB");
const spread = (middle: number, lower: number, upper: number, unit: string) =>
  lower === upper ? `${n(middle)} ${unit}` : `${n(middle)} ${unit} (${n(lower)} to ${n(upper)})`;

/** What was taken, told together by what one asks, and one by one. */
export default function HarvestLog() {
  const [params, setParams] = useSearchParams();
  const asked = params.get("by") as Schemas["GroupBy"];
  const by = GROUPS.includes(asked) ? asked : "kind";
  const log = useQuery(harvestsQuery(by));
  const session = useSession().data;
  const [showing, setShowing] = useState<Schemas["HarvestView"] | null>(null);
  const [correcting, setCorrecting] = useState<Schemas["HarvestView"] | null>(null);
  const imperial = session?.user?.units === "imperial";
  if (log.isPending) return <Loading what="the log" />;
  if (log.isError) return <Trouble error={log.error} retry={() => void log.refetch()} />;
  const { groups, harvests } = log.data;
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <PageHead title="What was taken" lead="Each under a decision of the gate. In brackets, between which figures half of them lie." />
      {session?.user?.role === "instructor" && (
        <p className="pt-2 print:hidden">
          <Link
            to="/harvests/several"
            className="inline-flex min-h-11 items-center rounded-sm border border-ink bg-ink px-4 font-semibold text-ground"
          >
            Log several trees in one go
          </Link>
        </p>
      )}
      <div className="mt-3 print:hidden">
        <Choice
          label="Told by"
          value={by}
          options={GROUPS.map((value) => ({ value, label: BY[value] }))}
          onChange={(value) => setParams({ by: value }, { replace: true })}
        />
      </div>
      {groups.length === 0 ? (
        <p className="py-4 text-faded">Nothing has been taken yet. What is taken is logged where the gate is open.</p>
      ) : (
        <Sideways label="What was taken, in groups">
          <table className="mt-3 w-full min-w-[44rem] text-left [&_td]:py-1.5">
            <thead>
              <tr className="border-b border-ink text-sm">
                <th className="py-1 pr-3">{capital(BY[by])}</th>
                <th className="pr-3">Times</th>
                <th className="pr-3">In all</th>
                <th className="pr-3">Each time</th>
                <th className="pr-3">In an hour</th>
                <th>Sound</th>
              </tr>
            </thead>
            <tbody>
              {groups.map((g) => (
                <tr key={g.key} className="rule-b align-top">
                  <th className="py-1.5 pr-3 font-semibold">{capital(g.label)}</th>
                  <td className="figures pr-3">{g.times}</td>
                  <td className="figures pr-3 whitespace-nowrap">
                    {n(g.total)} {g.unit}
                  </td>
                  <td className="figures pr-3">{spread(g.median, g.lower, g.upper, g.unit)}</td>
                  <td className="figures pr-3">
                    {g.perHour == null ? (
                      <span className="text-faded">no time was noted</span>
                    ) : (
                      spread(g.perHour, g.hourLower ?? 0, g.hourUpper ?? 0, g.unit)
                    )}
                    {by === "kind-year" && g.perHour != null && (
                      <span className="block text-sm text-faded">
                        {g.otherYears == null
                          ? "no other year to compare"
                          : `other years ${n(g.otherYears)} ${g.unit} (${g.otherTimed} ${g.otherTimed === 1 ? "time" : "times"})`}
                      </span>
                    )}
                  </td>
                  <td className="figures">
                    {g.sound == null ? (
                      <span className="text-faded">not counted</span>
                    ) : (
                      `${g.sound} % of ${g.opened} (${g.soundLeast} to ${g.soundMost} %)`
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </Sideways>
      )}
      <h2 className="mt-6 border-b border-ink pb-1 text-lg">One by one</h2>
      <ul>
        {harvests.map((h) => (
          <li key={h.id} className="rule-b flex flex-wrap items-start justify-between gap-x-3 py-2" data-taken={h.specimen}>
            <span className="min-w-0 flex-1">
              <strong>{capital(h.commonName)}</strong>, {h.part}: <strong>{h.amount}</strong> ·{" "}
              <Link to={`/examine/${h.examination}`} className="whitespace-nowrap underline">
                {h.specimen}
              </Link>
              , {h.site}
              <span className="block text-sm text-faded">
                {dayWords(h.takenOn)}, {h.takenBy}
                {h.minutes != null && `, ${h.minutes} minutes`}, {h.shareLeft} % left
                {h.ripeness && `; ${h.ripeness}`}
              </span>
              {h.opened > 0 && (
                <span className="block text-sm">
                  {h.sound} of {h.opened} sound ({COUNT_BY[h.countBy]}): of all of them likely {h.soundLeast} to {h.soundMost} %.
                </span>
              )}
              {h.weather && <span className="block text-sm text-faded">{weatherWords(h.weather, imperial)}</span>}
              {h.emptyBecause && <span className="block border-l-4 border-ochre pl-2 text-sm font-semibold">{emptyWords(h)}</span>}
              {h.lone != null && !h.emptyBecause && (
                <span className="block text-sm">{h.lone ? "It stands alone." : "There are others of its kind in sight."}</span>
              )}
              {h.note && <span className="block text-sm">{h.note}</span>}
              {h.corrections.map((c) => (
                <span key={c.at + c.because} className="block text-sm text-faded">
                  Before: <s>{c.amount}</s>. Corrected {dayWords(c.at)} by {c.by}: {c.because}
                </span>
              ))}
            </span>
            <span className="flex gap-2 print:hidden">
              <Button aria-label={`Pictures: ${h.commonName}, ${h.part}, ${dayWords(h.takenOn)}`} onClick={() => setShowing(h)}>
                Pictures
              </Button>
            </span>
            {session?.user?.role !== "guest" && (session?.user?.role === "instructor" || session?.user?.name === h.takenBy) && (
              <Button
                className="print:hidden"
                aria-label={`Correct: ${h.commonName}, ${h.part}, ${dayWords(h.takenOn)}`}
                onClick={() => setCorrecting(h)}
              >
                Correct
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Dialog
        open={showing !== null}
        onOpenChange={(open) => !open && setShowing(null)}
        title={showing ? `${capital(showing.commonName)}, ${showing.part}, ${dayWords(showing.takenOn)}` : ""}
      >
        {showing && <Pictures of={{ harvest: showing.id }} mayAdd={session?.user?.role !== "guest"} title="Pictures" />}
      </Dialog>
      <Dialog
        open={correcting !== null}
        onOpenChange={(open) => !open && setCorrecting(null)}
        title="Correct what was logged"
        description="What stands there now stays on record, with your name and your reason."
      >
        {correcting && <Correct h={correcting} system={session?.user?.units ?? "metric"} onDone={() => setCorrecting(null)} />}
      </Dialog>
    </div>
  );
}

function Correct({ h, system, onDone }: { h: Schemas["HarvestView"]; system: Schemas["Units"]; onDone: () => void }) {
  const queries = useQueryClient();
  const [typed, setTyped] = useState<Typed>({
    amount: String(h.number),
    unit: h.unit,
    ripeness: h.ripeness,
    left: h.shareLeft,
    note: h.note,
    sex: h.sex,
    sure: false,
    lone: h.lone == null ? "" : h.lone ? "alone" : "others",
    minutes: h.minutes == null ? "" : String(h.minutes),
    countBy: h.countBy,
    opened: h.opened > 0 ? String(h.opened) : "",
    sound: h.opened > 0 ? String(h.sound) : "",
  });
  const [because, setBecause] = useState("");
  const correct = useMutation({
    mutationFn: () => unwrap(client.PUT("/api/harvests/{id}", { params: { path: { id: h.id } }, body: { taken: asSent(typed), because } })),
    onSuccess: () => {
      for (const key of ["harvests", "today", "free-harvests"]) void queries.invalidateQueries({ queryKey: [key] });
      onDone();
    },
  });
  const fields = correct.error instanceof Problem ? correct.error.fields : {};
  const submit = (event: FormEvent) => {
    event.preventDefault();
    correct.mutate();
  };
  return (
    <form onSubmit={submit} className="space-y-3">
      <HarvestFields system={system} typed={typed} onChange={setTyped} fields={fields} />
      <Field label="Why">
        <input className={fieldClass} name="because" required maxLength={300} value={because} onChange={(e) => setBecause(e.target.value)} />
      </Field>
      {correct.error && !fields["taken.sure"] && !fields.sure && <Trouble error={correct.error} />}
      <Button type="submit" tone="ink" className="w-full" disabled={correct.isPending}>
        Correct it
      </Button>
    </form>
  );
}
