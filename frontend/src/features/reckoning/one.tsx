import { useMutation } from "@tanstack/react-query";
import { type FormEvent, type ReactNode, useState } from "react";
import { type Schemas, unwrap } from "../../api/client";
import { Button, Field, fieldClass, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { parseDecimal, parseNumbers } from "../../words/numbers";
import { figureWords } from "../../words/reckoning";
import { FromGauge } from "../devices/from-gauge";

type Found = Promise<{ data?: Schemas["FiguresFoundView"]; error?: unknown; response: Response }>;
/** A quantity: its name in the API, what people call it, its unit here and there, and how many of the API's unit one is. */
export type Asked = {
  key: string;
  label: string;
  metric: string;
  imperial?: [string, number];
  one?: number;
  usual?: string;
  list?: boolean;
  gauge?: [string, string];
};
export type Kind = {
  drawing?: ReactNode;
  id: string;
  title: string;
  about: string;
  asks: Asked[];
  flag?: [string, string];
  pick?: [string, string, [string, string][]];
  ask: (query: never) => Found;
};

/** What is asked for, and what comes of it. */
export function One({
  kind,
  imperial,
  filled = {},
  after,
}: {
  kind: Kind;
  imperial: boolean;
  filled?: Record<string, string>;
  after?: (found: Schemas["FiguresFoundView"]) => ReactNode;
}) {
  const usual = (a: Asked): string => {
    if (!a.usual || !imperial || !a.imperial?.[1]) return a.usual ?? "";
    return String(Number(((Number(a.usual) * (a.one ?? 1)) / a.imperial[1]).toPrecision(3)));
  };
  const unitOf = (a: Asked): string | undefined => (imperial && a.imperial ? a.imperial[0] : a.metric);
  const [typed, setTyped] = useState<Record<string, string>>(Object.fromEntries(kind.asks.map((a) => [a.key, filled[a.key] ?? usual(a)])));
  const [flag, setFlag] = useState(false);
  const [picked, setPicked] = useState("");
  const [said, setSaid] = useState("");
  const found = useMutation({ mutationFn: (query: Record<string, number | boolean | string>) => unwrap(kind.ask(query as never)) });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const query: Record<string, number | boolean | string> = kind.flag ? { [kind.flag[0]]: flag } : kind.pick ? { [kind.pick[0]]: picked } : {};
    for (const a of kind.asks) {
      if (a.list) {
        const numbers = parseNumbers(typed[a.key] ?? "", false, unitOf(a));
        if (numbers === null) return setSaid(`${a.label}: numbers with spaces between, such as 120 85.`);
        query[a.key] = numbers.map((n) => Number((n * (imperial ? (a.imperial?.[1] ?? 1) : (a.one ?? 1))).toFixed(3))).join(" ");
        continue;
      }
      const value = parseDecimal(typed[a.key] || "0", unitOf(a));
      if (value === null) return setSaid(`${a.label}: one number, such as 1,4 or 1.4.`);
      query[a.key] = !imperial || !a.imperial ? value * (a.one ?? 1) : a.imperial[0] === "°F" ? (value - 32) / 1.8 : value * a.imperial[1];
    }
    setSaid("");
    found.mutate(query);
  };
  return (
    <section data-reckon={kind.id}>
      <h2 className="border-b border-ink pb-1 text-lg">{kind.title}</h2>
      <p className="py-1 text-sm text-faded">{kind.about}</p>
      {kind.drawing}
      <form onSubmit={submit} className="flex flex-wrap items-end gap-2">
        {kind.asks.map((a) => {
          const unit = unitOf(a);
          return (
            <div key={a.key} className={a.list ? "w-64" : "w-36"}>
              <Field label={unit ? `${a.label}, ${unit}` : a.label}>
                <NumberInput
                  unit={unit}
                  several={a.list === true}
                  name={`${kind.id}-${a.key}`}
                  value={typed[a.key] ?? ""}
                  onChange={(e) => setTyped({ ...typed, [a.key]: e.target.value })}
                />
              </Field>
              {a.gauge && (
                <FromGauge
                  unit={imperial ? a.gauge[1] : a.gauge[0]}
                  onRead={(read) => setTyped((t) => ({ ...t, [a.key]: a.list ? `${t[a.key] ?? ""} ${read}`.trim() : read }))}
                />
              )}
            </div>
          );
        })}
        {kind.pick && (
          <div className="w-60">
            <Field label={kind.pick[1]}>
              <select className={fieldClass} name={`${kind.id}-${kind.pick[0]}`} value={picked} onChange={(e) => setPicked(e.target.value)}>
                {kind.pick[2].map(([value, label]) => (
                  <option key={value} value={value}>
                    {label}
                  </option>
                ))}
              </select>
            </Field>
          </div>
        )}
        {kind.flag && (
          <label className="flex min-h-11 items-center gap-2">
            <input type="checkbox" className="size-5 accent-(--ink)" checked={flag} onChange={(e) => setFlag(e.target.checked)} />
            {kind.flag[1]}
          </label>
        )}
        <Button type="submit" disabled={found.isPending}>
          Reckon
        </Button>
      </form>
      {said && <p role="alert">{said}</p>}
      {found.error && <Trouble error={found.error} />}
      {found.data && (
        <div role="status">
          <ul className="mt-2 border-l-4 border-ink pl-3">
            {found.data.figures.map((f, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a figure is where it is told
              <li key={i}>{figureWords(f, imperial)}</li>
            ))}
          </ul>
          {after?.(found.data)}
        </div>
      )}
    </section>
  );
}
