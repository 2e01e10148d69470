import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { useSearchParams } from "react-router";
import { type Character, client, type Schemas, unwrap } from "../../api/client";
import { floraQuery } from "../../api/queries";
import { organs } from "../../plates/plate";
import { Scene } from "../../plates/scene";
import { Tile } from "../../plates/tile";
import { Button, Choice, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { PageHead } from "../../ui/page-head";
import { DRILL } from "../../words/learning";
import { capital } from "../../words/text";
import { LearnNav } from "./learn-nav";

const DECKS = { pairs: "look-alike pairs", characters: "characters", twigs: "winter twigs", quiz: "a quiz" } as const;
type Deck = keyof typeof DECKS;
type Side = { front: ReactNode; back: ReactNode; key: string };

/** Decks of A6 cards and quizzes, for the printer. */
export default function Cards() {
  const [params, setParams] = useSearchParams();
  const deck = (params.get("deck") ?? "pairs") as Deck;
  const seed = Math.max(0, Math.min(999_999, Number.parseInt(params.get("seed") ?? "1", 10) || 0));
  const taxon = params.get("taxon") ?? "";
  const kind = params.get("kind") ?? "";
  const organ = params.get("organ") ?? "";
  const set = (change: Record<string, string>) => {
    const next = new URLSearchParams(params);
    for (const [key, value] of Object.entries(change)) value ? next.set(key, value) : next.delete(key);
    setParams(next, { replace: true });
  };
  const flora = useQuery(floraQuery());
  const cards = useQuery({
    queryKey: ["cards", deck, taxon, seed],
    queryFn: () => unwrap(client.GET("/api/cards", { params: { query: { deck, seed, ...(deck === "pairs" && taxon && { taxon }) } } })),
    enabled: deck === "pairs" || deck === "twigs",
  });
  const quiz = useQuery({
    queryKey: ["quiz", kind, seed],
    queryFn: () => unwrap(client.GET("/api/quiz", { params: { query: { seed, ...(kind && { kind }) } } })),
    enabled: deck === "quiz",
  });
  const asked = flora.data?.characters.filter((c) => c.states.length > 1 && (organ === "" || c.organ === organ)) ?? [];
  const sides: Side[] = deck === "characters" ? asked.map(characterCard) : (cards.data ?? []).map((c, i) => drawnCard(c, `${i}`));
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6 print:max-w-none print:p-0">
      <style>{`@page { size: A4 portrait; margin: ${deck === "quiz" ? "14mm" : "0"} }`}</style>
      <div className="print:hidden">
        <PageHead
          title="Cards and sheets"
          lead="A6, four on a sheet, with marks to cut along. Print on both sides, turned over the long edge: the answers come to lie behind the questions."
        />
        <LearnNav />
        <div className="mt-4 flex flex-wrap items-end gap-3">
          <Choice
            label="Deck"
            value={deck}
            options={(Object.keys(DECKS) as Deck[]).map((value) => ({ value, label: DECKS[value] }))}
            onChange={(value) => set({ deck: value })}
          />
          {deck === "pairs" && (
            <div className="min-w-52">
              <Field label="Of the kind">
                <select className={fieldClass} name="card-taxon" value={taxon} onChange={(e) => set({ taxon: e.target.value })}>
                  <option value="">all with a dangerous one</option>
                  {flora.data?.taxa.map((t) => (
                    <option key={t.id} value={t.id}>
                      {t.commonName}
                    </option>
                  ))}
                </select>
              </Field>
            </div>
          )}
          {deck === "characters" && (
            <div className="min-w-40">
              <Field label="Of the">
                <select className={fieldClass} name="card-organ" value={organ} onChange={(e) => set({ organ: e.target.value })}>
                  <option value="">whole tree</option>
                  {[...new Set(flora.data?.characters.map((c) => c.organ))].map((o) => (
                    <option key={o}>{o}</option>
                  ))}
                </select>
              </Field>
            </div>
          )}
          {deck === "quiz" && (
            <div className="min-w-40">
              <Field label="About">
                <select className={fieldClass} name="quiz-kind" value={kind} onChange={(e) => set({ kind: e.target.value })}>
                  <option value="">everything</option>
                  {Object.entries(DRILL).map(([value, label]) => (
                    <option key={value} value={value}>
                      {label}
                    </option>
                  ))}
                </select>
              </Field>
            </div>
          )}
          {deck !== "characters" && (
            <div className="w-36">
              <Field label="Seed">
                <NumberInput name="seed" value={String(seed)} onChange={(e) => set({ seed: e.target.value })} />
              </Field>
            </div>
          )}
          <Button tone="ink" onClick={() => print()}>
            Print
          </Button>
        </div>
        {[flora, cards, quiz].map((q, i) => (q.isError ? <Trouble key={String(i)} error={q.error} retry={() => void q.refetch()} /> : null))}
        {(deck === "quiz" ? quiz : deck === "characters" ? flora : cards).isPending && <Loading what="the cards" />}
        {deck !== "quiz" && sides.length > 0 && (
          <p className="mt-3" role="status">
            {sides.length === 1 ? "One card" : `${sides.length} cards`}, {Math.ceil(sides.length / 4) * 2} printed pages.
          </p>
        )}
        {deck !== "quiz" && cards.data?.length === 0 && <p className="mt-3">Nothing of that sort can be drawn of this kind.</p>}
      </div>
      {deck === "quiz" ? quiz.data && <Quiz questions={quiz.data} seed={seed} flora={flora.data?.title ?? ""} /> : <Deal sides={sides} />}
    </div>
  );
}

/** Sheet by sheet: four fronts, then their backs mirrored, so that each lies behind its own. */
function Deal({ sides }: { sides: Side[] }) {
  const sheets = Array.from({ length: Math.ceil(sides.length / 4) }, (_, i) => sides.slice(4 * i, 4 * i + 4));
  return sheets.map((four) => (
    <div key={four[0]?.key}>
      <Sheet label="fronts">
        {four.map((s) => (
          <div key={s.key} className="relative h-full overflow-hidden p-[7mm]">
            {s.front}
          </div>
        ))}
      </Sheet>
      <Sheet label="backs">
        {[1, 0, 3, 2].map((i) => (
          <div key={i} className="relative h-full overflow-hidden p-[7mm]">
            {four[i]?.back}
          </div>
        ))}
      </Sheet>
    </div>
  ));
}

/** An A4 page of four A6, with marks where it is cut. */
function Sheet({ label, children }: { label: string; children: ReactNode }) {
  return (
    <section
      aria-label={label}
      data-sheet-of={label}
      className="relative mx-auto mt-4 grid h-[297mm] w-[210mm] origin-top-left break-after-page grid-cols-2 grid-rows-2 border border-rule bg-white text-[9.5pt] leading-snug text-black max-wide:h-auto max-wide:w-full max-wide:grid-cols-1 max-wide:grid-rows-none print:mt-0 print:h-[296.8mm]! print:w-[210mm]! print:grid-cols-2! print:grid-rows-2! print:border-0"
    >
      {children}
      <svg viewBox="0 0 210 297" className="pointer-events-none absolute inset-0 h-full w-full max-wide:hidden print:block!" aria-hidden="true">
        <path d="M105 0v6m0 285v6M0 148.5h6m198 0h6M102 148.5h6m-3 -3v6" stroke="black" strokeWidth="0.25" />
      </svg>
    </section>
  );
}

function drawnCard(card: Schemas["CardView"], key: string): Side {
  const size = card.plates.length > 1 ? "h-[54mm]" : "h-[96mm]";
  return {
    key,
    front: (
      <>
        <h2 className="text-[13pt] font-bold">{card.ask}</h2>
        <div className="mt-[2mm] flex flex-col items-center gap-[2mm]">
          {card.plates.map((p) => {
            const plate = organs(p.shows).find((o) => o.organ === card.organ);
            return (
              <figure key={p.letter} className="flex items-center gap-[4mm]">
                {p.letter && <figcaption className="text-[14pt] font-bold">{p.letter}</figcaption>}
                {plate && (
                  <svg viewBox="0 0 132 132" className={size} role="img" aria-label={`${card.organ} ${p.letter}`}>
                    <Scene marks={plate.marks} wide={132} high={132} least={26} />
                  </svg>
                )}
              </figure>
            );
          })}
        </div>
        <p className="absolute right-[7mm] bottom-[6mm] text-[7.5pt]">{card.organ}; each to the scale of its rule</p>
      </>
    ),
    back: <Back title={card.answer} lines={card.lines.map(capital)} />,
  };
}

function characterCard(c: Character): Side {
  const few = c.states.length <= 4;
  return {
    key: c.id,
    front: (
      <>
        <h2 className="text-[12pt] font-bold">{c.question}</h2>
        <ol className={`mt-[3mm] grid gap-[2mm] ${few ? "grid-cols-2" : "grid-cols-3"}`}>
          {c.states.slice(0, 9).map((s, i) => (
            <li key={s.id} className="flex flex-col items-center">
              <Tile character={c.id} state={s.id} drawing={s.drawing} size={few ? 150 : 96} />
              <strong>{String.fromCharCode(97 + i)}</strong>
            </li>
          ))}
        </ol>
      </>
    ),
    back: (
      <Back
        title={capital(c.label)}
        lines={c.states.slice(0, 9).map((s, i) => `${String.fromCharCode(97 + i)}  ${s.label}: ${s.definition}`)}
        small={c.states.length > 5}
      />
    ),
  };
}

const Back = ({ title, lines, small = false }: { title: string; lines: string[]; small?: boolean }) => (
  <>
    <h2 className="text-[14pt] font-bold">{capital(title)}</h2>
    <ul className={`mt-[3mm] space-y-[1.5mm] ${small ? "text-[9.5pt]" : "text-[11pt]"}`}>
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
    <p className="absolute right-[7mm] bottom-[6mm] left-[7mm] text-[7pt]">
      A card names no tree in the wood: what is taken is examined first, with all that is required.
    </p>
  </>
);

function Quiz({ questions, seed, flora }: { questions: Schemas["QuizQuestionView"][]; seed: number; flora: string }) {
  return (
    <article className="mt-4 bg-white p-4 text-black print:mt-0 print:p-0" data-quiz>
      <h2 className="text-xl font-bold">
        Quiz {seed}, {flora}
      </h2>
      <p className="mb-3">Name ............................................................ Day .......................</p>
      <ol className="grid grid-cols-1 gap-x-8 gap-y-4 wide:grid-cols-2 print:grid-cols-2">
        {questions.map(({ item }, i) => {
          const plate = item.organ ? organs(item.shows).find((o) => o.organ === item.organ) : undefined;
          return (
            <li key={item.card} className="break-inside-avoid border-t border-black pt-1 text-[10pt]">
              <strong>
                {i + 1}. {item.ask}
              </strong>
              <div className="flex gap-3">
                {plate && (
                  <svg viewBox="0 0 132 132" className="w-36 shrink-0" role="img" aria-label="What is asked, drawn">
                    <Scene marks={plate.marks} wide={132} high={132} least={26} />
                  </svg>
                )}
                {item.state && <Tile character={item.trait} state={item.state} drawing={item.drawing} size={96} className="shrink-0" />}
                <div>
                  {item.told.length > 0 && (
                    <ul className="text-[9pt]">
                      {item.told.map((line) => (
                        <li key={line}>{line}</li>
                      ))}
                    </ul>
                  )}
                  {item.choices.length > 0 ? (
                    <ol className="list-[lower-alpha] pl-5">
                      {item.choices.map((c) => (
                        <li key={c.id}>{c.label}</li>
                      ))}
                    </ol>
                  ) : (
                    <p>........................ {item.unit}</p>
                  )}
                </div>
              </div>
            </li>
          );
        })}
      </ol>
      <section className="mt-8 break-before-page" data-key="">
        <h2 className="text-xl font-bold">Quiz {seed}: the answers</h2>
        <ol className="mt-2">
          {questions.map((q, i) => (
            <li key={q.item.card} className="py-0.5">
              <strong>
                {i + 1}. {q.answer}
              </strong>
              {q.why && <span className="block text-[9pt]">{q.why}</span>}
            </li>
          ))}
        </ol>
      </section>
    </article>
  );
}
