import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, type KeyboardEvent, useEffect, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { EVERY_TREE, fieldSheetQuery, floraQuery, taxonQuery, treesQuery, useSession } from "../../api/queries";
import { Button, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { parseNumbers } from "../../words/numbers";
import type { RouteId } from "../../words/stations";
import { capital } from "../../words/text";
import { shownUnit } from "../../words/units";
import { type Row, readStates, rowsOfPart, rowsOfSurvey } from "./rows";

type Typed = { seen: string; samples: string };

/** A filled-in sheet, entered in one pass by keyboard, in the order it was printed in. */
export default function EnterSheet() {
  const [params] = useSearchParams();
  const session = useSession().data;
  const [taxon, part, site] = ["taxon", "part", "site"].map((name) => params.get(name) ?? "") as [string, string, string];
  const name = params.get("flora") ?? session?.user?.flora ?? "";
  const route = (params.get("route") ?? "branch-first") as RouteId;
  const flora = useQuery(floraQuery(name));
  const species = useQuery({ ...taxonQuery(taxon, name), enabled: taxon !== "" });
  const sheet = useQuery(fieldSheetQuery(taxon, part, site, name));
  const failed = [flora, sheet, ...(taxon ? [species] : [])].find((q) => q.isError);
  if (failed?.error) return <Trouble error={failed.error} retry={() => void failed.refetch()} />;
  if (!flora.data || !sheet.data || (taxon && !species.data)) return <Loading what="the sheet" />;
  const wanted = species.data?.parts.find((p) => p.id === part);
  const rows = wanted ? rowsOfPart(flora.data, wanted, sheet.data, route) : rowsOfSurvey(flora.data, sheet.data, route);
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <PageHead
        title={wanted && species.data ? `The sheet of ${species.data.commonNames[0]}, ${wanted.label}` : "The sheet of a tree nobody knows"}
        lead="In the order of the paper. Type the number that was ringed, then Tab and how many boxes were ticked, Enter for the next line. “2 or 3” where it could not be told, “1 3” where both were seen, ? for likely, ?? for unsure, x for what could not be seen; a line left empty was not looked at."
      />
      {session?.user?.flora !== name && (
        <p className="mt-2 border-l-4 border-ochre pl-3">This sheet is of another flora than the one you work with. Choose that flora first.</p>
      )}
      <Lines
        rows={rows}
        conditions={wanted?.conditions ?? []}
        wanted={wanted ? { taxon, part } : null}
        route={route}
        today={session?.today ?? ""}
        units={session?.user?.units ?? "metric"}
        blocked={session?.user?.flora !== name}
      />
    </div>
  );
}

type LinesProps = {
  rows: Row[];
  conditions: Schemas["ConditionView"][];
  wanted: { taxon: string; part: string } | null;
  route: RouteId;
  today: string;
  units: string;
  blocked: boolean;
};

function Lines({ rows, conditions, wanted, route, today, units, blocked }: LinesProps) {
  const [tree, setTree] = useState("");
  const [date, setDate] = useState(today);
  const [typed, setTyped] = useState<Record<string, Typed>>({});
  const [answers, setAnswers] = useState<Record<string, boolean>>({});
  // kept until it is stored: sent again after a break in the net, it is the same examination and the same scores
  const [ids] = useState(() => ({ examination: newId(), score: Object.fromEntries(rows.map((r) => [r.character.id, newId()])) }));
  const navigate = useNavigate();
  const queries = useQueryClient();
  const of = (row: Row): Typed => typed[row.character.id] ?? { seen: "", samples: "1" }; // never what is needed: that is for the ticks on the paper to say
  const set = (row: Row, change: Partial<Typed>) => setTyped({ ...typed, [row.character.id]: { ...of(row), ...change } });
  const scores = rows.map((row) => ({ row, score: scored(row, of(row), ids.score[row.character.id] as string, units) }));
  const wrong = scores.filter((s) => s.score === "wrong");
  const filled = scores.filter((s) => s.score !== null && s.score !== "wrong");
  const store = useMutation({
    mutationFn: async () => {
      const begun = await unwrap(
        client.POST("/api/examinations", {
          body: {
            id: ids.examination,
            specimenId: tree,
            date,
            route,
            stage: "mature",
            reach: null,
            kit: null,
            blind: false,
            claimTaxon: wanted?.taxon ?? null,
            claimPart: wanted?.part ?? null,
            secondOf: null,
          },
        }),
      );
      const params = { path: { id: begun.id } };
      for (const { score } of filled) await unwrap(client.POST("/api/examinations/{id}/scores", { params, body: score as Schemas["NewScore"] }));
      if (Object.keys(answers).length > 0)
        await unwrap(client.PATCH("/api/examinations/{id}", { params, body: { conditions: answers } as Schemas["ExaminationChange"] }));
      return begun.id;
    },
    onSuccess: (id) => {
      void queries.invalidateQueries({ queryKey: ["today"] });
      navigate(`/examine/${id}`);
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    store.mutate();
  };
  return (
    <form onSubmit={submit} onKeyDown={onwards} className="mt-4 space-y-4">
      <div className="grid gap-4 wide:grid-cols-2">
        <TreeByTag onFound={setTree} />
        <Field label="Day on the sheet">
          <input type="date" className={fieldClass} required max={today} value={date} onChange={(e) => setDate(e.target.value)} />
        </Field>
      </div>
      <div aria-hidden="true" className="grid grid-cols-[1fr_7rem_4.5rem] gap-2 border-b border-ink pb-1 text-sm text-faded">
        <span>As it stands on the paper</span>
        <span>What was seen</span>
        <span>On how many</span>
      </div>
      <ol>
        {rows.map((row) => {
          const { seen, samples } = of(row);
          const bad = scored(row, of(row), "", units) === "wrong";
          return (
            <li key={row.character.id} className="rule-b grid grid-cols-[1fr_7rem_4.5rem] items-center gap-2 py-1.5" data-row={row.character.id}>
              <span className="min-w-0">
                <strong>{capital(row.character.label)}</strong>
                {row.required && <span className="ml-2 border border-ochre px-1 text-xs text-ochre">required</span>}
                <span className="block text-sm text-faded">
                  {row.character.states.length > 0
                    ? row.character.states.map((s, i) => `${i + 1} ${s.label}`).join(" · ")
                    : `numbers${shownUnit(row.character, units) ? ` in ${shownUnit(row.character, units)}` : ""}, with spaces between`}
                </span>
                {bad && (
                  <span className="block text-sm font-semibold text-berry">
                    {row.character.states.length > 0
                      ? `Numbers from 1 to ${row.character.states.length}, as printed.`
                      : "Numbers only, such as 5 7 7."}
                  </span>
                )}
              </span>
              <input
                className={fieldClass}
                aria-label={row.character.label}
                aria-invalid={bad}
                value={seen}
                onChange={(e) => set(row, { seen: e.target.value })}
                data-next
              />
              {row.character.states.length > 0 ? (
                <input
                  className={fieldClass}
                  aria-label={`${row.character.label}: seen on how many`}
                  inputMode="numeric"
                  value={samples}
                  onChange={(e) => set(row, { samples: e.target.value })}
                />
              ) : (
                <span />
              )}
            </li>
          );
        })}
        {conditions.map((c) => (
          <li key={c.id} className="rule-b flex flex-wrap items-center justify-between gap-2 py-1.5">
            <span>{c.question}</span>
            <select
              className={`${fieldClass} max-w-28`}
              aria-label={c.question}
              value={c.id in answers ? String(answers[c.id]) : ""}
              onChange={(e) => {
                const { [c.id]: _, ...rest } = answers;
                setAnswers(e.target.value === "" ? rest : { ...rest, [c.id]: e.target.value === "true" });
              }}
              data-next
            >
              <option value="">not ticked</option>
              <option value="true">yes</option>
              <option value="false">no</option>
            </select>
          </li>
        ))}
      </ol>
      {store.error && <Trouble error={store.error} />}
      <div className="flex flex-wrap items-center gap-3">
        <Button type="submit" tone="ink" disabled={store.isPending || blocked || tree === "" || wrong.length > 0 || filled.length === 0} data-next>
          {tree === "" ? "Choose the tree first" : `Enter ${filled.length} ${filled.length === 1 ? "line" : "lines"}`}
        </Button>
        <Link to={`/sheet?${new URLSearchParams(wanted ?? {})}`} className="inline-flex min-h-11 items-center underline underline-offset-4">
          The sheet itself
        </Link>
      </div>
    </form>
  );
}

/** The tag as it stands on the paper. */
export function TreeByTag({ onFound }: { onFound: (id: string) => void }) {
  const [tag, setTag] = useState("");
  const words = tag.trim();
  const found = useInfiniteQuery({ ...treesQuery({ ...EVERY_TREE, q: words }), enabled: words !== "" });
  const same = (found.data?.pages ?? []).flatMap((p) => p.trees).find((t) => t.tag.toLowerCase() === words.toLowerCase());
  const id = words !== "" && same ? same.id : "";
  useEffect(() => onFound(id), [id, onFound]);
  const hint = same
    ? `${same.site.name}${same.whereabouts ? `: ${same.whereabouts}` : ""}`
    : words && !found.isFetching
      ? "No tree has this tag."
      : undefined;
  return (
    <Field label="Tree, by its tag" hint={hint}>
      <input className={fieldClass} name="tag" autoComplete="off" required value={tag} onChange={(e) => setTag(e.target.value)} data-next />
    </Field>
  );
}

/** Enter goes to the next line; on the last it stores. */
function onwards(event: KeyboardEvent<HTMLFormElement>) {
  const at = event.target as HTMLElement;
  if (event.key !== "Enter" || at.tagName !== "INPUT") return;
  event.preventDefault();
  const stops = [...event.currentTarget.querySelectorAll<HTMLElement>("[data-next]")];
  const line = at.closest("[data-row]")?.querySelector<HTMLElement>("[data-next]") ?? at;
  stops[stops.indexOf(line as HTMLElement) + 1]?.focus();
}

/** The line as it is sent; null where it is empty. */
function scored(row: Row, { seen, samples }: Typed, id: string, units: string): Schemas["NewScore"] | null | "wrong" {
  const { character } = row;
  if (seen.trim() === "") return null;
  const plain = {
    id,
    character: character.id,
    states: [],
    numbers: [],
    unit: null,
    certainty: "sure" as const,
    samples: 1,
    where: "tree" as const,
    position: null,
    either: false,
    further: false,
  };
  if (character.states.length === 0) {
    if (seen.trim().toLowerCase() === "x") return { ...plain, answer: "cannot-be-seen" };
    const numbers = parseNumbers(seen, character.kind === "count", shownUnit(character, units));
    return numbers === null ? "wrong" : { ...plain, numbers, unit: shownUnit(character, units) || null, answer: "seen" };
  }
  const read = readStates(seen, character);
  const many = /^\d{1,3}$/.test(samples.trim()) ? Number(samples) : 0;
  if (read === null || many < 1 || many > 200) return "wrong";
  const { unseen, ...said } = read;
  return unseen ? { ...plain, answer: "cannot-be-seen" } : { ...plain, ...said, samples: many, answer: "seen" };
}
