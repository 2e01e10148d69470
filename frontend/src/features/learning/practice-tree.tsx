import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { type Character, client, type Flora, type Schemas, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { floraQuery } from "../../api/queries";
import { organs } from "../../plates/plate";
import { Scene } from "../../plates/scene";
import { Tile } from "../../plates/tile";
import { Button, Choice, Field, fieldClass, Loading, Name, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { DECISION, MARK, PLACE, SURE, share } from "../../words/learning";
import { parseDecimal } from "../../words/numbers";
import { capital, MONTHS } from "../../words/text";
import { LearnNav } from "./learn-nav";
import { Mnemonics } from "./mnemonics";

type Certainty = Schemas["Certainty"];
type Score = { states: string[]; number: string; certainty: Certainty; places: number[] };
const ORGANS: [string, string[]][] = [
  ["Outline", ["outline"]],
  ["Bark", ["bark"]],
  ["Twig and buds", ["twig", "bud"]],
  ["Leaf", ["leaf", "scent"]],
  ["Flower", ["flower"]],
  ["Fruit", ["fruit"]],
  ["Site", ["site"]],
];
/** What the drawing of the whole shows is read there; a closer look at it would give it away. */
const IN_THE_DRAWING = new Set(
  "leaf.kind leaf.outline leaf.margin leaf.teeth leaf.lobes leaf.lobe-depth leaf.base leaf.tip leaf.leaflet-count fruit.kind fruit.colour fruit.cluster flower.colour flower.cluster outline.habit outline.crown outline.stems bark.surface bark.colour twig.colour bud.stance bud.shape bud.colour leaf.arrangement".split(
    " ",
  ),
);
const DRAWN: Record<string, string> = { Outline: "outline", Bark: "bark", "Twig and buds": "twig", Leaf: "leaf", Flower: "flower", Fruit: "fruit" };

const TOOLS = { eye: "bare eye", lens: "hand lens", knife: "knife", glass: "binoculars" } as const;
type Tool = keyof typeof TOOLS;
/** With what a character is looked at: a rule is always at hand. */
const toolFor = (c: Character): Tool =>
  c.instrument === "hand-lens" ? "lens" : c.instrument === "knife" || c.reach === "cut" ? "knife" : c.reach === "binoculars" ? "glass" : "eye";

/** One practice tree: walked round, looked at, scored, named, decided; then shown again with its name. */
export default function PracticeTree() {
  const { code = "" } = useParams();
  return <Tree key={code} code={code} />;
}

function Tree({ code }: { code: string }) {
  const tree = useQuery({
    queryKey: ["practice", code],
    queryFn: () => unwrap(client.GET("/api/practice/{code}", { params: { path: { code } } })),
    retry: false,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const flora = useQuery(floraQuery(tree.data?.flora));
  const [scores, setScores] = useState<Record<string, Score>>({});
  const [place, setPlace] = useState(0);
  const [tool, setTool] = useState<Tool>("eye");
  const queries = useQueryClient();
  const answer = useMutation({
    mutationFn: (body: Schemas["PracticeInput"]) => unwrap(client.POST("/api/practice/{code}", { params: { path: { code } }, body })),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ["practice-answers"] });
      void queries.invalidateQueries({ queryKey: ["learning"] });
      scrollTo(0, 0);
    },
  });
  if (tree.isError) return <Trouble error={tree.error} retry={() => void tree.refetch()} />;
  if (tree.isPending || flora.isPending) return <Loading what="the tree" />;
  if (flora.isError) return <Trouble error={flora.error} />;
  const shown = tree.data.places[place]?.shows ?? [];
  const all = new Map(flora.data.characters.map((c) => [c.id, c]));
  const toolOf = (id: string): Tool => toolFor(all.get(id) as Character);
  const seen = shown.filter((s) => all.has(s.character) && (toolOf(s.character) === "eye" || toolOf(s.character) === tool));
  // of a tree of the school only what was read is shown: nothing is drawn round it
  const plates = code.startsWith("tree.") ? [] : organs(seen);
  const characters = tree.data.characters.flatMap((id) => flora.data.characters.find((c) => c.id === id) ?? []);
  const scored = Object.values(scores).filter((s) => s.states.length > 0 || s.number !== "").length;
  return (
    <div className="mx-auto max-w-5xl px-3 py-4 wide:px-6 print:max-w-none print:p-0">
      <h1 className="text-2xl print:hidden">A tree in {MONTHS[tree.data.month - 1]}</h1>
      <div className="hidden wide:block">
        <LearnNav />
      </div>
      {answer.data ? (
        <Result result={answer.data} code={code} flora={flora.data} plates={code.startsWith("tree.") ? [] : organs(shown)} />
      ) : (
        <>
          {tree.data.hope && (
            <p className="mt-2 border-l-4 border-ink pl-3 print:hidden">
              Hoped for: <strong>{capital(tree.data.hope)}</strong>. It may be that, or what is taken for it, or quite another.
            </p>
          )}
          <div className="sticky top-0 z-10 mt-3 flex flex-wrap gap-x-6 gap-y-1 border-b border-ink bg-ground py-2 print:hidden">
            <Choice
              label="Where on it"
              value={String(place)}
              options={tree.data.places.map((p, i) => ({ value: String(i), label: PLACE[p.place] ?? p.place }))}
              onChange={(v) => setPlace(Number(v))}
            />
            <Choice
              label="Looked at with"
              value={tool}
              options={(Object.keys(TOOLS) as Tool[]).map((value) => ({ value, label: TOOLS[value] }))}
              onChange={setTool}
            />
          </div>
          {ORGANS.map(([title, of]) => {
            const asked = characters.filter((c) => of.includes(c.organ));
            const plate = plates.find((p) => p.organ === DRAWN[title]);
            if (asked.length === 0) return null;
            return (
              <section key={title} aria-label={title} className="mt-5 print:hidden" data-organ={title}>
                <h2 className="border-b border-ink text-lg">{title}</h2>
                <div className={plates.length > 0 ? "grid gap-x-6 gap-y-3 wide:grid-cols-[16rem_minmax(0,1fr)]" : ""}>
                  <div>
                    {plate && (
                      <svg
                        viewBox="0 0 132 132"
                        className="w-full max-w-64 border border-rule bg-sheet"
                        role="img"
                        aria-label={`${title}, as it is at this place`}
                      >
                        <Scene marks={plate.marks} wide={132} high={132} least={26} />
                      </svg>
                    )}
                  </div>
                  <ul>
                    {asked.map((c) => (
                      <Question
                        key={c.id}
                        character={c}
                        isDrawn={plate !== undefined && IN_THE_DRAWING.has(c.id)}
                        shows={shown.find((s) => s.character === c.id)}
                        needs={toolFor(c) === "eye" || toolFor(c) === tool ? null : toolFor(c)}
                        onTake={setTool}
                        score={scores[c.id]}
                        onScore={(next) =>
                          setScores((all) => {
                            const places = [...new Set([...(all[c.id]?.places ?? []), place])];
                            return { ...all, [c.id]: { ...next, places } };
                          })
                        }
                      />
                    ))}
                  </ul>
                </div>
              </section>
            );
          })}
          <div className="print:hidden">
            <Decide
              flora={flora.data}
              hope={tree.data.hope}
              scored={scored}
              pending={answer.isPending}
              error={answer.error}
              onDecide={(decision, said, couldBe) =>
                answer.mutate({
                  id: newId(),
                  decision,
                  said,
                  couldBe,
                  scores: Object.entries(scores)
                    .filter(([, s]) => s.states.length > 0 || parseDecimal(s.number) !== null)
                    .map(([character, s]) => ({
                      character,
                      states: s.states,
                      numbers: s.states.length > 0 ? [] : [parseDecimal(s.number) ?? 0],
                      certainty: s.certainty,
                      samples: Math.min(3, Math.max(1, s.places.length)),
                    })),
                })
              }
            />
          </div>
          <p className="mt-6 flex flex-wrap items-center gap-x-4 text-sm text-faded print:hidden">
            <span>
              The same tree for others: <span className="figures select-all">{code}</span>
            </span>
            <Button onClick={() => print()}>Print it</Button>
          </p>
          <OnPaper tree={tree.data} flora={flora.data} code={code} />
        </>
      )}
    </div>
  );
}

/** The tree on paper: each of its places with what it shows, drawn and not told, and a line to write on. */
function OnPaper({ tree, flora, code }: { tree: Schemas["PracticeView"]; flora: Flora; code: string }) {
  return (
    <article className="hidden text-black print:block" data-on-paper="">
      <style>{"@page { size: A4 portrait; margin: 12mm }"}</style>
      <h2 className="text-xl font-bold">A tree in {MONTHS[tree.month - 1]}</h2>
      {tree.hope && <p>Hoped for: {tree.hope}.</p>}
      {tree.places.map((p) => (
        <section key={p.place} className="mt-3 break-inside-avoid">
          <h3 className="border-b border-black font-bold">{capital(PLACE[p.place] ?? p.place)}</h3>
          <ul className="grid grid-cols-6 gap-2 pt-1">
            {p.shows
              .filter((s) => s.states[0])
              .map((s) => (
                <li key={s.character} className="flex flex-col items-center text-center text-[7.5pt]">
                  <Tile character={s.character} state={s.states[0]?.state ?? ""} drawing={s.states[0]?.drawing ?? ""} size={56} />
                  <span>{flora.characters.find((c) => c.id === s.character)?.label}</span>
                  <span>..................</span>
                </li>
              ))}
          </ul>
        </section>
      ))}
      <p className="mt-4">It is ........................................ It could still be ........................................</p>
      <p className="mt-2">take / not yet / never</p>
      <p className="mt-2 text-[8pt]">
        {flora.title}. The answer: {window.location.origin}/practice/{code}
      </p>
    </article>
  );
}

const NOTHING: Score = { states: [], number: "", certainty: "sure", places: [] };

/** One character: looked at closer where the drawing of the whole does not show it, and read. */
function Question(p: {
  character: Character;
  isDrawn: boolean;
  shows: Schemas["DescribedView"] | undefined;
  needs: Tool | null;
  onTake: (tool: Tool) => void;
  score: Score | undefined;
  onScore: (score: Score) => void;
}) {
  const { character, shows } = p;
  const [open, setOpen] = useState(false);
  const score = p.score ?? NOTHING;
  const state = shows?.states[0];
  const read = score.states.map((id) => character.states.find((s) => s.id === id)?.label).join(", ") || score.number;
  return (
    <li className="rule-b py-1" data-asked={character.id}>
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className="flex min-h-11 w-full flex-wrap items-center gap-x-3 text-left hover:bg-pressed"
      >
        <span>{character.question}</span>
        {p.needs && <span className="text-sm text-faded">needs the {TOOLS[p.needs]}</span>}
        {read && <strong className="ml-auto">{read}</strong>}
      </button>
      {open && p.needs && (
        <div className="py-2">
          <Button onClick={() => p.needs && p.onTake(p.needs)}>Take the {TOOLS[p.needs]}</Button>
        </div>
      )}
      {open && !p.needs && (
        <div className="space-y-2 py-2">
          <div className="flex flex-wrap items-center gap-4">
            {state && p.isDrawn && <p className="text-sm text-faded">The drawing shows it.</p>}
            {state && !p.isDrawn && (
              <figure className="border border-rule bg-sheet p-1">
                <Tile character={character.id} state={state.state} drawing={state.drawing} size={96} />
                <figcaption className="text-center text-xs text-faded">closer</figcaption>
              </figure>
            )}
            {!state && shows?.range && <p className="text-sm text-faded">Measure it by the rule beside the drawing.</p>}
            {!shows && <p className="text-sm text-faded">It cannot be seen at this place.</p>}
          </div>
          {character.states.length > 0 ? (
            <fieldset className="flex flex-wrap gap-1.5">
              <legend className="sr-only">{character.question}</legend>
              {character.states.map((s) => (
                <button
                  key={s.id}
                  type="button"
                  aria-pressed={score.states.includes(s.id)}
                  title={s.definition}
                  onClick={() =>
                    p.onScore({ ...score, states: score.states.includes(s.id) ? score.states.filter((x) => x !== s.id) : [...score.states, s.id] })
                  }
                  className="min-h-11 rounded-sm border border-ink bg-sheet px-2.5 aria-pressed:bg-ink aria-pressed:text-ground"
                >
                  {s.label}
                </button>
              ))}
            </fieldset>
          ) : (
            <div className="w-40">
              <Field label={`How much${character.unit ? `, ${character.unit}` : ""}`}>
                <NumberInput
                  unit={character.unit}
                  name={character.id}
                  value={score.number}
                  onChange={(e) => p.onScore({ ...score, number: e.target.value })}
                />
              </Field>
            </div>
          )}
          <Choice
            label="How sure"
            value={score.certainty}
            options={(Object.keys(SURE) as Certainty[]).map((value) => ({ value, label: SURE[value] }))}
            onChange={(certainty) => p.onScore({ ...score, certainty })}
          />
        </div>
      )}
    </li>
  );
}

function Decide(p: {
  flora: Flora;
  hope: string;
  scored: number;
  pending: boolean;
  error: Error | null;
  onDecide: (decision: Schemas["LearnersDecision"], said: string, couldBe: string[]) => void;
}) {
  const [said, setSaid] = useState("");
  const [could, setCould] = useState<string[]>([]);
  const name = (id: string) => capital(p.flora.taxa.find((t) => t.id === id)?.commonName ?? id);
  return (
    <section aria-labelledby="decide" className="mt-8 border-2 border-ink bg-sheet p-4">
      <h2 id="decide" className="text-lg">
        What is it, and what would you do?
      </h2>
      <p className="text-sm text-faded">{p.scored} looks read. “Not yet” is a full mark wherever it is right.</p>
      <div className="mt-3 max-w-md">
        <Field label="It is" hint="Left open is an answer too, and right for a tree this flora does not know.">
          <select className={fieldClass} name="practice-said" value={said} onChange={(e) => setSaid(e.target.value)}>
            <option value="">left open</option>
            {p.flora.taxa.map((t) => (
              <option key={t.id} value={t.id}>
                {capital(t.commonName)}
              </option>
            ))}
          </select>
        </Field>
        <Field label="It could still be" hint="What your looks have not kept out, dangerous ones above all.">
          <select
            className={fieldClass}
            name="practice-could-be"
            value=""
            onChange={(e) => e.target.value && setCould([...could, e.target.value].slice(0, 12))}
          >
            <option value="">name a kind</option>
            {p.flora.taxa
              .filter((t) => t.id !== said && !could.includes(t.id))
              .map((t) => (
                <option key={t.id} value={t.id}>
                  {capital(t.commonName)}
                </option>
              ))}
          </select>
        </Field>
        {could.length > 0 && (
          <ul className="mt-1 flex flex-wrap gap-1.5">
            {could.map((id) => (
              <li key={id}>
                <Button aria-label={`Not: ${name(id)}`} onClick={() => setCould(could.filter((x) => x !== id))}>
                  {name(id)} ✕
                </Button>
              </li>
            ))}
          </ul>
        )}
      </div>
      {p.error && <Trouble error={p.error} />}
      <div className="mt-3 flex flex-wrap gap-2">
        {(Object.keys(DECISION) as Schemas["LearnersDecision"][]).map((d) => (
          <Button key={d} tone="ink" disabled={p.pending} onClick={() => p.onDecide(d, said, could)}>
            {capital(DECISION[d])}
          </Button>
        ))}
      </div>
    </section>
  );
}

function Result({
  result: r,
  code,
  flora,
  plates,
}: {
  result: Schemas["PracticeResultView"];
  code: string;
  flora: Flora;
  plates: ReturnType<typeof organs>;
}) {
  const wrong = r.readings.filter((x) => !x.isRight);
  const drawing = (character: string, state: string) =>
    flora.characters.find((c) => c.id === character)?.states.find((s) => s.id === state)?.drawing ?? "";
  return (
    <div className="mt-3" role="status" data-practice-result={r.mark}>
      <p className={`border-l-4 pl-3 text-lg ${r.share >= 0.8 ? "border-ink" : "border-berry"}`}>
        <strong>{MARK[r.mark]}</strong> {share(r.share)} of the mark.
      </p>
      <p className="mt-2 text-xl">
        It was{" "}
        {r.isOutsider ? (
          r.commonName
        ) : (
          <Link to={`/species/${r.taxon}`} className="underline underline-offset-4">
            {r.commonName}
          </Link>
        )}
        , <Name>{r.name}</Name>.
      </p>
      <p>
        {r.isOutsider && "Your flora does not know it. "}
        {r.saidRight ? "You named it right." : r.wasAmong ? "You had it among what it could be." : "You took it for something else, or left it open."}
      </p>
      {!r.isOutsider && <Mnemonics about={`kind/${r.taxon}`} />}
      <p className="mt-2">
        {r.isOpen ? "On what you scored the gate would have been open." : "On what you scored the gate would have stayed shut."}
        {r.missing.length > 0 && ` Still required: ${r.missing.join(", ")}.`}
        {r.dangers.length > 0 && <span className="text-berry"> It could still have been {r.dangers.slice(0, 6).join(", ")}.</span>}
        {r.foreseen.length > 0 && ` Of these you named ${r.foreseen.join(", ")}.`}
        {r.leader && r.readings.length > 0 && ` Your scores spoke for ${r.leader}.`}
      </p>
      <ul className="mt-3 flex flex-wrap gap-2" aria-label="The tree again">
        {plates.map((o) => (
          <li key={o.organ}>
            <svg viewBox="0 0 132 132" className="w-36 border border-rule bg-sheet" role="img" aria-label={o.label}>
              <Scene marks={o.marks} wide={132} high={132} least={26} />
            </svg>
          </li>
        ))}
      </ul>
      <h2 className="mt-4 border-b border-ink text-lg">
        {r.readings.length === 0 ? "Nothing was looked at" : `${r.readings.length - wrong.length} of ${r.readings.length} looks right`}
      </h2>
      <ul>
        {wrong.map((x) => (
          <li key={x.character} className="rule-b flex flex-wrap items-center gap-x-6 gap-y-2 py-2">
            <strong className="w-44">{capital(x.label)}</strong>
            <span className="flex items-center gap-2">
              {x.trueIds[0] && <Tile character={x.character} state={x.trueIds[0]} drawing={drawing(x.character, x.trueIds[0])} size={56} />}
              there: {x.true.join(" or ")}
            </span>
            <span className="flex items-center gap-2 text-berry">
              {x.readIds[0] && <Tile character={x.character} state={x.readIds[0]} drawing={drawing(x.character, x.readIds[0])} size={56} />}
              read: {x.read.join(", ")}
            </span>
            <Mnemonics about={`character/${x.character}`} />
          </li>
        ))}
      </ul>
      <div className="mt-5 flex flex-wrap gap-3">
        <Link to="/practice" className="inline-flex min-h-11 items-center rounded-sm border border-ink bg-ink px-4 font-semibold text-ground">
          Another tree
        </Link>
        <Link to="/drills" className="inline-flex min-h-11 items-center underline underline-offset-4">
          Two minutes on what went wrong
        </Link>
        <span className="self-center text-sm text-faded">
          The same tree for others: <span className="figures select-all">{code}</span>
        </span>
      </div>
    </div>
  );
}
