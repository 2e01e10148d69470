import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link, useNavigate } from "react-router";
import { client, Problem, type Schemas, unwrap } from "../../api/client";
import { openGatesQuery, useSession } from "../../api/queries";
import { Button, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { PageHead } from "../../ui/page-head";
import { quotaWords } from "../../words/harvest";
import { parseDecimal } from "../../words/numbers";
import { capital, dayWords } from "../../words/text";
import { COUNT_BY, SaidAgain, UNITS } from "./fields";

type Line = { amount: string; opened: string; sound: string };
const NOTHING: Line = { amount: "", opened: "", sound: "" };

/** What several trees gave, written down once: each under its own decision, all of them or none. */
export default function SeveralTrees() {
  const open = useQuery(openGatesQuery);
  const system = useSession().data?.user?.units ?? "metric";
  const queries = useQueryClient();
  const go = useNavigate();
  const [what, setWhat] = useState("");
  const [lines, setLines] = useState<Record<string, Line>>({});
  const [common, setCommon] = useState({
    unit: (UNITS[system][1]?.value ?? "kg") as Schemas["AmountUnit"],
    ripeness: "",
    left: 70,
    minutes: "",
    note: "",
    countBy: "" as Schemas["CountBy"],
    sure: false,
  });
  const [said, setSaid] = useState("");
  const log = useMutation({
    mutationFn: (trees: Schemas["TreeTaken"][]) =>
      unwrap(
        client.POST("/api/harvests", {
          body: {
            trees,
            unit: common.unit,
            ripeness: common.ripeness,
            shareLeft: common.left,
            note: common.note,
            minutes: common.minutes === "" ? null : Number(common.minutes),
            countBy: common.countBy,
            sure: common.sure,
          },
        }),
      ),
    onSuccess: () => {
      for (const key of ["harvests", "open-gates", "free-harvests", "taxon", "today"]) void queries.invalidateQueries({ queryKey: [key] });
      go("/harvests?by=tree");
    },
  });
  if (open.isPending) return <Loading what="the open gates" />;
  if (open.isError) return <Trouble error={open.error} retry={() => void open.refetch()} />;
  const kinds = [...new Map(open.data.map((g) => [g.what, `${g.name}, ${g.label}`])).entries()];
  const chosen = what || (kinds[0]?.[0] ?? "");
  const gates = open.data.filter((g) => g.what === chosen);
  const doubt = log.error instanceof Problem ? log.error.fields.sure : undefined;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const trees: Schemas["TreeTaken"][] = [];
    for (const gate of gates) {
      const line = lines[gate.examination] ?? NOTHING;
      if (line.amount.trim() === "") continue;
      const amount = parseDecimal(line.amount);
      if (amount === null || amount <= 0) return setSaid(`${gate.tag}: the amount is one number, such as 1,4 or 1.4.`);
      trees.push({ examination: gate.examination, amount, opened: Number(line.opened || 0), sound: Number(line.sound || 0) });
    }
    if (trees.length === 0) return setSaid("Say what at least one of them gave.");
    setSaid("");
    log.mutate(trees);
  };
  const set = (id: string, change: Partial<Line>) => {
    setLines({ ...lines, [id]: { ...(lines[id] ?? NOTHING), ...change } });
    setCommon({ ...common, sure: false });
  };
  return (
    <div className="mx-auto max-w-4xl px-4 py-5 wide:px-6">
      <PageHead
        title="From several trees"
        lead="Of one kind and part, in one go. The gate of each is asked again; where one is shut, nothing is stored."
      />
      {gates.length === 0 ? (
        <p className="py-4 text-faded">
          No gate is open now. One opens when an examination is signed and all nine points are met.{" "}
          <Link to="/examine" className="underline">
            To the examinations
          </Link>
        </p>
      ) : (
        <form onSubmit={submit} className="mt-4 space-y-4">
          <Field label="What was taken">
            <select className={fieldClass} name="what" value={chosen} onChange={(e) => setWhat(e.target.value)}>
              {kinds.map(([value, label]) => (
                <option key={value} value={value}>
                  {capital(label)}
                </option>
              ))}
            </select>
          </Field>
          {gates[0]?.leave && <p>{capital(gates[0].leave)}</p>}
          <div className="grid grid-cols-2 gap-3 wide:grid-cols-4">
            <Field label="Unit">
              <select
                className={fieldClass}
                name="unit"
                value={common.unit}
                onChange={(e) => setCommon({ ...common, unit: e.target.value as Schemas["AmountUnit"] })}
              >
                {UNITS[system].map((u) => (
                  <option key={u.value} value={u.value}>
                    {u.label}
                  </option>
                ))}
              </select>
            </Field>
            <Field label="Sound ones">
              <select
                className={fieldClass}
                name="count-by"
                value={common.countBy}
                onChange={(e) => setCommon({ ...common, countBy: e.target.value as Schemas["CountBy"] })}
              >
                {Object.entries(COUNT_BY).map(([value, label]) => (
                  <option key={value} value={value}>
                    {label}
                  </option>
                ))}
              </select>
            </Field>
            <Field label="All took, minutes">
              <input
                className={fieldClass}
                type="number"
                min="1"
                name="minutes"
                value={common.minutes}
                onChange={(e) => setCommon({ ...common, minutes: e.target.value })}
              />
            </Field>
            <Field label="Ripeness">
              <input
                className={fieldClass}
                name="ripeness"
                maxLength={200}
                value={common.ripeness}
                onChange={(e) => setCommon({ ...common, ripeness: e.target.value })}
              />
            </Field>
          </div>
          <ul>
            {gates.map((g) => {
              const line = lines[g.examination] ?? NOTHING;
              return (
                <li
                  key={g.examination}
                  className="rule-b grid grid-cols-2 items-end gap-3 py-2 wide:grid-cols-[1fr_8rem_8rem_8rem]"
                  data-gate={g.tag}
                >
                  <span className="col-span-2 self-center wide:col-span-1">
                    <strong>{g.tag}</strong>, {g.site}
                    <span className="block text-sm text-faded">
                      Cleared by the{" "}
                      <Link to={`/examine/${g.examination}`} className="underline">
                        examination of {dayWords(g.examinedOn)}
                      </Link>
                      . {quotaWords(g.allowed, g.used)}
                    </span>
                  </span>
                  <Field label="Amount">
                    <NumberInput
                      aria-label={`Amount of ${g.tag}`}
                      value={line.amount}
                      onChange={(e) => set(g.examination, { amount: e.target.value })}
                    />
                  </Field>
                  {common.countBy !== "" &&
                    (["opened", "sound"] as const).map((key) => (
                      <Field key={key} label={key === "opened" ? "How many" : "Of them sound"}>
                        <input
                          className={fieldClass}
                          type="number"
                          min="0"
                          aria-label={`${key === "opened" ? "Looked at" : "Sound"} of ${g.tag}`}
                          value={line[key]}
                          onChange={(e) => set(g.examination, { [key]: e.target.value })}
                        />
                      </Field>
                    ))}
                </li>
              );
            })}
          </ul>
          <Field label={`Left on each: ${common.left} %`}>
            <input
              type="range"
              min={0}
              max={100}
              step={5}
              className="h-11 w-full accent-(--ink)"
              value={common.left}
              onChange={(e) => setCommon({ ...common, left: Number(e.target.value), sure: false })}
            />
          </Field>
          <Field label="What the next person should know">
            <textarea
              className={`${fieldClass} py-2`}
              name="note"
              rows={2}
              maxLength={1000}
              value={common.note}
              onChange={(e) => setCommon({ ...common, note: e.target.value })}
            />
          </Field>
          {said && <p role="alert">{said}</p>}
          <SaidAgain doubt={doubt} sure={common.sure} onChange={(sure) => setCommon({ ...common, sure })} />
          {log.error && !doubt && <Trouble error={log.error} />}
          <Button type="submit" tone="leaf" disabled={log.isPending}>
            Put them in the log
          </Button>
        </form>
      )}
    </div>
  );
}
