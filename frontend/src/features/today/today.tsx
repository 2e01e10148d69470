import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import type { Schemas } from "../../api/client";
import { todayQuery, useSession } from "../../api/queries";
import { Loading, Name, Trouble } from "../../ui/controls";
import { GATE_TONE, GATE_WORD, type GateState } from "../../words/gate";
import { capital, dayWords } from "../../words/text";
import { weatherWords } from "../../words/year";
import { BatchLine } from "../batches/index";
import { GateFigure } from "../gate/figure";
import { StormNews } from "../ground/storm-news";

export default function Today() {
  const today = useQuery(todayQuery);
  const user = useSession().data?.user;
  if (today.isPending) return <Loading what="today" />;
  if (today.isError) return <Trouble error={today.error} retry={() => void today.refetch()} />;
  const t = today.data;
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <div className="double-rule flex flex-wrap items-end justify-between gap-3 pb-2">
        <h1 className="text-2xl">{dayWords(t.today)}</h1>
        {user?.role !== "guest" && (
          <span className="flex flex-wrap items-center gap-x-4">
            <Link to="/along" className="inline-flex min-h-11 items-center underline underline-offset-4">
              Take along
            </Link>
            <Link to="/examine" className="inline-flex min-h-11 items-center rounded-sm border border-ink bg-ink px-4 font-semibold text-ground">
              Examine a tree
            </Link>
          </span>
        )}
      </div>
      <div className="mt-4 grid grid-cols-1 gap-x-10 gap-y-6 wide:grid-cols-[minmax(0,1fr)_22rem]">
        <div className="space-y-6">
          <StormNews />
          {t.waiting.length > 0 && (
            <Section title="Waits for a second look" note="A deadly look-alike calls for two. Do not read the first scores; look for yourself.">
              {t.waiting.map((e) => (
                <li key={e.id} className="rule-b flex flex-wrap items-center justify-between gap-2 py-2">
                  <span>
                    <strong>{e.tag}</strong> {capital(e.claim ?? "")} · {e.site}
                    <span className="block text-sm text-faded">
                      signed by {e.examiner}, {dayWords(e.date)}
                    </span>
                  </span>
                  <Link
                    to={`/examine?second=${e.id}&tree=${e.specimen}`}
                    className="inline-flex min-h-11 items-center rounded-sm border border-ink bg-sheet px-3 font-semibold"
                  >
                    Take the second look
                  </Link>
                </li>
              ))}
            </Section>
          )}
          {t.askAgain.length > 0 && (
            <Section title="Ask the owner again">
              {t.askAgain.map((a) => (
                <li key={a.site} className="rule-b">
                  <Link to={`/places/${a.site}`} className="flex min-h-11 flex-col justify-center py-1 underline-offset-4 hover:underline">
                    <span>
                      <strong>{a.name}</strong>: the permission {a.ended ? "ended" : "ends"} on {dayWords(a.until)}
                    </span>
                    <span className="text-sm text-faded">{a.owner}</span>
                  </Link>
                </li>
              ))}
            </Section>
          )}
          {t.weather.length > 0 && (
            <Section title="The weather that was">
              {t.weather.map((w) => (
                <li key={w.site + w.day + w.matter} className="rule-b py-2">
                  {weatherWords(w)}
                </li>
              ))}
            </Section>
          )}
          {t.due.length > 0 && (
            <Section title="Due at our trees">
              {t.due.map((d) => (
                <li key={d.site + d.taxon + d.part} className="rule-b py-1.5">
                  <Link to={`/species/${d.taxon}`} className="underline-offset-4 hover:underline">
                    <strong>{capital(d.commonName)}</strong>, {d.part}
                  </Link>{" "}
                  · {d.site}
                  {d.spent && <span className="block text-sm font-semibold">the year’s quota is taken there</span>}
                  <span className="block text-sm">
                    {d.look
                      ? `look at it by ${dayWords(d.until)}, to take it later`
                      : `likely open until ${dayWords(d.until)}${d.daysLeft <= 7 ? `: ${d.daysLeft === 0 ? "the last day" : d.daysLeft === 1 ? "one day left" : `${d.daysLeft} days left`}` : ""}`}
                    <span className="text-faded">
                      {" "}
                      ({d.trees.slice(0, 5).join(", ")}
                      {d.trees.length > 5 && " and others"})
                    </span>
                  </span>
                </li>
              ))}
              <li>
                <Link to="/plan" className="inline-flex min-h-11 items-center underline">
                  Plan a day out
                </Link>{" "}
                <Link to="/year" className="ml-4 inline-flex min-h-11 items-center underline">
                  The year
                </Link>
              </li>
            </Section>
          )}
          {t.making.length > 0 && (
            <Section title="In the making">
              {t.making.map((b) => (
                <BatchLine key={b.id} b={b} />
              ))}
            </Section>
          )}
          {t.lesson && (
            <section>
              <h2 className="border-b border-ink pb-1 text-lg">To learn today</h2>
              <p className="py-2">
                <Link to={`/species/${t.lesson.taxon}`} className="font-bold underline-offset-4 hover:underline">
                  {capital(t.lesson.name)}
                </Link>{" "}
                ({t.lesson.part}) and what {t.lesson.severity === "deadly" ? "kills" : "harms"} in its place,{" "}
                <Link to={`/species/${t.lesson.other}`} className="font-bold underline-offset-4 hover:underline">
                  {t.lesson.otherName}
                </Link>
                : {t.lesson.note}
              </p>
              <p className="text-sm text-faded">
                <Link
                  to={`/compare?taxa=${t.lesson.taxon},${t.lesson.other}`}
                  className="mr-2 inline-flex min-h-11 items-center font-semibold text-ink underline underline-offset-4"
                >
                  Lay them side by side
                </Link>
                Find both, and say it aloud before you read it again. Tomorrow comes another pair.
              </p>
            </section>
          )}
          <Section title="Begun and not signed" empty="Nothing is lying about unfinished." count={t.open.length}>
            {t.open.map((e) => (
              <Line key={e.id} e={e} />
            ))}
          </Section>
          <Section title="Signed lately" empty="No examination has been signed yet." count={t.recent.length}>
            {t.recent.map((e) => (
              <Line key={e.id} e={e} />
            ))}
          </Section>
        </div>
        <div className="space-y-6">
          <Section
            title="In its window"
            note={`At ${t.place}. In season is not cleared: each tree is examined first.`}
            empty="Nothing this flora knows is in its window today."
            count={t.inWindow.length}
          >
            {t.inWindow.map((w) => (
              <li key={`${w.taxon}${w.part}`} className="rule-b flex justify-between gap-3 py-1.5">
                <Link to={`/species/${w.taxon}`} className="flex min-h-11 flex-col justify-center underline-offset-4 hover:underline">
                  <span>
                    <strong>{capital(w.commonName)}</strong>, {w.partLabel}
                  </span>
                  <Name>{w.name}</Name>
                  <span className="text-sm text-faded">{w.trees.length > 0 ? w.trees.join(", ") : "no tree of ours"}</span>
                  {w.spent.length > 0 && <span className="text-sm font-semibold">the year’s quota is taken: {w.spent.join(", ")}</span>}
                </Link>
                <span className="figures self-center text-right text-sm text-faded">
                  {w.daysLeft === 0 ? "last day" : w.daysLeft === 1 ? "one day left" : `${w.daysLeft} days left`}
                  <span className="block">{w.window}</span>
                </span>
              </li>
            ))}
          </Section>
          <p>
            <Link to="/harvests" className="mr-4 inline-flex min-h-11 items-center underline">
              What was taken
            </Link>
            <Link to="/batches" className="inline-flex min-h-11 items-center underline">
              In the making
            </Link>
            <Link to="/recipes" className="ml-4 inline-flex min-h-11 items-center underline">
              Recipes
            </Link>
          </p>
          <Section title="Last harvests" empty="Nothing has been taken yet." count={t.harvests.length}>
            {t.harvests.map((h) => (
              <li key={h.id} className="rule-b py-1.5">
                <Link to={`/species/${h.taxon}?flora=${h.flora}`} className="flex min-h-11 items-center justify-between gap-3 hover:underline">
                  <span>
                    {capital(h.commonName)}, {h.part} <span className="text-sm text-faded">{h.specimen}</span>
                  </span>
                  <span className="figures text-right">
                    <strong>{h.amount}</strong>
                    <span className="block text-sm text-faded">{dayWords(h.takenOn)}</span>
                  </span>
                </Link>
              </li>
            ))}
          </Section>
        </div>
      </div>
      {user?.role === "learner" && (
        <p className="mt-6 text-sm text-faded">
          You examine as a learner: the gate shows you all its points, but only an instructor’s examination can open it.
        </p>
      )}
    </div>
  );
}

function Section(p: { title: string; note?: string; empty?: string; count?: number; children: React.ReactNode }) {
  return (
    <section>
      <h2 className="border-b border-ink pb-1 text-lg">{p.title}</h2>
      {p.note && <p className="mt-1 text-sm text-faded">{p.note}</p>}
      {p.count === 0 ? <p className="py-3 text-faded">{p.empty}</p> : <ul>{p.children}</ul>}
    </section>
  );
}

function Line({ e }: { e: Schemas["ExaminationSummaryView"] }) {
  const state: GateState = e.answer ?? "unasked";
  const was = e.signedAs && e.signedAs !== e.answer ? e.signedAs : null;
  return (
    <li className="rule-b">
      <Link to={`/examine/${e.id}`} className="flex items-center gap-3 py-2 hover:bg-sheet">
        <GateFigure state={state} width={66} id={`t-${e.id}`} />
        <span className="min-w-0 flex-1">
          <span className="block">
            <strong>{e.tag}</strong> {e.covered ? "hope and answer covered" : e.claim ? capital(e.claim) : "nothing asked yet"}{" "}
            {!e.covered && <span className={`font-bold ${GATE_TONE[state]}`}>{GATE_WORD[state]}</span>}
          </span>
          <span className="block text-sm wide:truncate text-faded">
            {was && `Signed as ${was}; as things stand now: `}
            {e.covered && !e.mine ? "Whoever opens it is no second person any more." : e.because || `${e.scored} scored`}
          </span>
          <span className="block text-sm text-faded">
            {e.mine ? "you" : e.examiner}, {dayWords(e.date)} · {e.site}
          </span>
        </span>
      </Link>
    </li>
  );
}
