import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { useSearchParams } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { trialsQuery, useSession } from "../../api/queries";
import { Button, Choice, Field, fieldClass, Loading, Sideways, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { capital, dayWords } from "../../words/text";

const OF: Record<Schemas["TrialOf"], string> = { tinder: "tinder", fire: "fire", cord: "cord", ink: "ink", bending: "bending" };
const KINDS = Object.keys(OF) as Schemas["TrialOf"][];
const DAMP: Record<Schemas["Damp"], string> = { dry: "dry", damp: "damp", wet: "wet" };
const DAMPS = Object.keys(DAMP) as Schemas["Damp"][];

const secondsWords = (s: number): string =>
  s < 90 ? `${Math.round(s)} seconds` : s < 5400 ? `${Math.round(s / 60)} minutes` : `${(s / 3600).toFixed(1)} hours`;

/** What was tried, and which way is the surest. */
export default function Trials() {
  const [params, setParams] = useSearchParams();
  const asked = params.get("of") as Schemas["TrialOf"];
  const of = KINDS.includes(asked) ? asked : "tinder";
  const trials = useQuery(trialsQuery(of));
  const role = useSession().data?.user?.role;
  const queries = useQueryClient();
  const kept = (view: Schemas["TrialsView"]) => queries.setQueryData(trialsQuery(view.what).queryKey, view);
  const takeBack = useMutation({
    mutationFn: (id: string) => unwrap(client.DELETE("/api/trials/{id}", { params: { path: { id } } })),
    onSuccess: kept,
  });
  if (trials.isPending) return <Loading what="the trials" />;
  if (trials.isError) return <Trouble error={trials.error} retry={() => void trials.refetch()} />;
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6">
      <PageHead
        title="Trials"
        lead="What was tried, how damp it was, and whether it worked. The surest way stands first: the one that works oftenest even at the worst."
      />
      <div className="mt-3 print:hidden">
        <Choice
          label="Of"
          value={of}
          options={KINDS.map((value) => ({ value, label: OF[value] }))}
          onChange={(value) => setParams({ of: value }, { replace: true })}
        />
      </div>
      {role !== "guest" && <NewTrial key={of} of={of} onKept={kept} />}
      {trials.data.ways.length === 0 ? (
        <p className="py-4 text-faded">Nothing was tried yet.</p>
      ) : (
        <Sideways label="Ways">
          <table className="mt-3 w-full min-w-[36rem] text-left [&_td]:py-1.5 [&_td]:pr-3">
            <thead>
              <tr className="border-b border-ink text-sm">
                <th className="py-1 pr-3">Of what, and how</th>
                <th className="pr-3">It was</th>
                <th className="pr-3">Worked</th>
                <th className="pr-3">Likely works</th>
                <th>In the middle after</th>
              </tr>
            </thead>
            <tbody>
              {trials.data.ways.map((w) => (
                <tr key={w.of + w.way + w.damp} className="rule-b align-top">
                  <th className="py-1.5 pr-3 font-normal">
                    <strong>{capital(w.of)}</strong>, {w.way}
                  </th>
                  <td>{DAMP[w.damp]}</td>
                  <td className="figures">
                    {w.worked} of {w.tried}
                  </td>
                  <td className="figures">
                    <span className="inline-block h-2 w-24 border border-ink align-middle" aria-hidden="true">
                      <span className="block h-full bg-ink" style={{ marginLeft: `${w.least}%`, width: `${Math.max(2, w.most - w.least)}%` }} />
                    </span>{" "}
                    {w.least} to {w.most} %
                  </td>
                  <td className="figures">{w.seconds == null ? <span className="text-faded">not timed</span> : secondsWords(w.seconds)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </Sideways>
      )}
      {takeBack.error && <Trouble error={takeBack.error} />}
      {trials.data.trials.length > 0 && (
        <>
          <h2 className="mt-5 border-b border-ink pb-1 text-lg">One by one</h2>
          <ul>
            {trials.data.trials.map((t) => (
              <li key={t.id} className="rule-b flex flex-wrap items-center justify-between gap-x-3 py-1">
                <span>
                  {dayWords(t.on)}: {t.of}
                  {t.tag && ` of ${t.tag}`}, {t.way}, {DAMP[t.damp]}. <strong>{t.worked ? "It worked" : "It did not work"}</strong>
                  {t.seconds != null && `, ${secondsWords(t.seconds)}`}. {t.note} <span className="text-sm text-faded">({t.by})</span>
                </span>
                {t.mayTakeBack && (
                  <Button aria-label={`Take back: ${t.of}, ${dayWords(t.on)}`} disabled={takeBack.isPending} onClick={() => takeBack.mutate(t.id)}>
                    Take back
                  </Button>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

function NewTrial({ of, onKept }: { of: Schemas["TrialOf"]; onKept: (view: Schemas["TrialsView"]) => void }) {
  const [stuff, setStuff] = useState("");
  const [way, setWay] = useState("");
  const [damp, setDamp] = useState<Schemas["Damp"]>("dry");
  const [seconds, setSeconds] = useState("");
  const [note, setNote] = useState("");
  const record = useMutation({
    mutationFn: (worked: boolean) =>
      unwrap(
        client.POST("/api/trials", {
          body: { id: newId(), what: of, of: stuff, way, damp, worked, seconds: seconds === "" ? null : Number(seconds), tree: null, note },
        }),
      ),
    onSuccess: (view) => {
      onKept(view);
      setSeconds("");
      setNote("");
    },
  });
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const pressed = (event.nativeEvent as SubmitEvent).submitter as HTMLButtonElement | null;
    record.mutate(pressed?.value === "yes");
  };
  return (
    <form onSubmit={submit} className="mt-3 flex flex-wrap items-end gap-2 border border-ink bg-sheet p-3 print:hidden" aria-label="A trial">
      <div className="w-52">
        <Field label="Of what">
          <input className={fieldClass} name="trial-of" required maxLength={120} value={stuff} onChange={(e) => setStuff(e.target.value)} />
        </Field>
      </div>
      <div className="w-52">
        <Field label="How: spark, twist, mordant">
          <input className={fieldClass} name="trial-way" required maxLength={120} value={way} onChange={(e) => setWay(e.target.value)} />
        </Field>
      </div>
      <Choice label="It was" value={damp} options={DAMPS.map((value) => ({ value, label: DAMP[value] }))} onChange={setDamp} />
      <div className="w-28">
        <Field label="Seconds">
          <input className={fieldClass} name="trial-seconds" type="number" min="1" value={seconds} onChange={(e) => setSeconds(e.target.value)} />
        </Field>
      </div>
      <div className="w-60">
        <Field label="Note">
          <input className={fieldClass} name="trial-note" maxLength={500} value={note} onChange={(e) => setNote(e.target.value)} />
        </Field>
      </div>
      <Button type="submit" tone="ink" name="worked" value="yes" disabled={record.isPending}>
        It worked
      </Button>
      <Button type="submit" name="worked" value="no" disabled={record.isPending}>
        It did not
      </Button>
      {record.error && <Trouble error={record.error} />}
    </form>
  );
}
