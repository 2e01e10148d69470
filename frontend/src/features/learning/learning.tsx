import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { useSession } from "../../api/queries";
import { Button, Dialog, Loading, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { share } from "../../words/learning";
import { capital, MONTHS } from "../../words/text";
import { LearnNav } from "./learn-nav";

/** What somebody confuses, how sure, and how it goes: his own, or, for an instructor, a learner's. */
export default function Learning() {
  const { id } = useParams();
  const own = id === undefined;
  const role = useSession().data?.user?.role;
  const progress = useQuery({
    queryKey: ["learning", id ?? "own"],
    queryFn: () => unwrap(id ? client.GET("/api/learning/{id}", { params: { path: { id } } }) : client.GET("/api/learning")),
    retry: false,
  });
  if (progress.isPending) return <Loading what="what was read" />;
  if (progress.isError) return <Trouble error={progress.error} retry={() => void progress.refetch()} />;
  const p = progress.data;
  const nothing = p.characters.length === 0 && p.months.length === 0;
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6">
      <PageHead
        title={own ? "What I confuse" : `What ${p.person} confuses`}
        lead={own ? "Seen by you and by instructors, by nobody else." : "Seen by the learner and by instructors, by nobody else."}
      />
      <LearnNav />
      {nothing && (
        <p className="mt-5">
          Nothing was practised yet.{" "}
          <Link to="/practice" className="underline underline-offset-4">
            A tree
          </Link>{" "}
          or{" "}
          <Link to="/drills" className="underline underline-offset-4">
            two minutes
          </Link>{" "}
          are a beginning.
        </p>
      )}
      {p.due > 0 && own && (
        <p className="mt-4 border-l-4 border-ink pl-3">
          {p.due} {p.due === 1 ? "question is" : "questions are"} due again.{" "}
          <Link to="/drills" className="underline underline-offset-4">
            Two minutes
          </Link>
        </p>
      )}
      <div className="mt-5 grid gap-x-10 gap-y-6 wide:grid-cols-[minmax(0,1fr)_20rem]">
        <section aria-labelledby="by-character">
          <h2 id="by-character" className="border-b border-ink pb-1 text-lg">
            By character
          </h2>
          <ul>
            {p.characters.map((c) => (
              <One key={c.character} c={c} />
            ))}
          </ul>
        </section>
        <div className="space-y-6">
          {p.calibration.length > 0 && <Sure calibration={p.calibration} brier={p.brier ?? null} />}
          {p.pairs.length > 0 && (
            <section aria-labelledby="pairs">
              <h2 id="pairs" className="border-b border-ink pb-1 text-lg">
                Taken for each other
              </h2>
              <ul>
                {p.pairs.map((x) => (
                  <li key={x.was + x.said} className="rule-b py-1.5">
                    {capital(x.was)}, taken for <strong>{x.said}</strong> {x.times > 1 && `${x.times} times`}
                  </li>
                ))}
              </ul>
            </section>
          )}
          {p.months.length > 0 && <Months months={p.months} />}
          {own && !nothing && <Mine />}
          {role === "instructor" && own && <School />}
          {role === "instructor" && own && (
            <p className="text-sm">
              Learners’ pages are reached from{" "}
              <Link to="/people" className="underline underline-offset-4">
                People
              </Link>
              .
            </p>
          )}
        </div>
      </div>
    </div>
  );
}

function One({ c }: { c: Schemas["CharacterConfusionsView"] }) {
  const [open, setOpen] = useState(false);
  const others = c.cells.filter((x) => x.read !== x.true);
  return (
    <li className="rule-b">
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className="flex min-h-11 w-full flex-wrap items-center gap-x-4 py-1 text-left hover:bg-pressed"
      >
        <strong>{capital(c.label)}</strong>
        <span className="text-sm">
          {others[0] ? (
            <span className="text-berry">
              {others[0].true}, read as {others[0].read}
            </span>
          ) : c.wrong > 0 ? (
            <span className="text-berry">{c.wrong} misread</span>
          ) : (
            <span className="text-faded">none misread</span>
          )}
        </span>
        <span className="figures ml-auto text-sm text-faded">
          {c.wrong} of {c.read} wrong
        </span>
      </button>
      {open && (
        <div className="pb-3">
          <p className="text-sm">
            Misread in {share(c.misread)}, the flora’s rates and your own looks together; of anybody the flora expects {share(c.expected)}.
          </p>
          {c.cells.length > 0 && (
            <table className="mt-1 w-full text-left text-sm">
              <caption className="sr-only">What was there and what was read</caption>
              <thead className="text-faded">
                <tr>
                  <th scope="col" className="font-normal">
                    There
                  </th>
                  <th scope="col" className="font-normal">
                    Read
                  </th>
                  <th scope="col" className="text-right font-normal">
                    Looks
                  </th>
                  <th scope="col" className="text-right font-normal">
                    Share, 19 of 20
                  </th>
                </tr>
              </thead>
              <tbody className="figures">
                {c.cells.map((x) => (
                  <tr key={x.true + x.read} className={x.true === x.read ? "" : "text-berry"}>
                    <td className="pr-2">{x.true}</td>
                    <td className="pr-2">{x.read}</td>
                    <td className="text-right">
                      {x.times} of {x.looks}
                    </td>
                    <td className="text-right whitespace-nowrap">
                      {share(x.share)} ({share(x.low)} to {share(x.high)})
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </div>
      )}
    </li>
  );
}

/** What all together misread, without names: badly taught, or badly drawn. */
function School() {
  const school = useQuery({ queryKey: ["learning", "school"], queryFn: () => unwrap(client.GET("/api/learning/school")) });
  const worst = school.data?.filter((c) => c.wrong > 0).slice(0, 10) ?? [];
  if (worst.length === 0) return null;
  return (
    <section aria-labelledby="school">
      <h2 id="school" className="border-b border-ink pb-1 text-lg">
        What the school misreads
      </h2>
      <ol className="text-sm">
        {worst.map((c) => (
          <li key={c.character} className="rule-b flex justify-between gap-3 py-1.5">
            <span>{capital(c.label)}</span>
            <span className={`figures whitespace-nowrap ${c.wrong / c.read >= 0.5 ? "font-bold text-berry" : ""}`}>
              {c.wrong} of {c.read}; {share(c.misread)}, not {share(c.expected)}
            </span>
          </li>
        ))}
      </ol>
      <p className="mt-1 text-sm text-faded">
        All together, without names.{" "}
        <Link to="/rates" className="inline-flex min-h-11 items-center underline underline-offset-4">
          All of it, and for the next edition
        </Link>
      </p>
    </section>
  );
}

function Sure({ calibration, brier }: { calibration: Schemas["CalibrationView"][]; brier: number | null }) {
  return (
    <section aria-labelledby="how-sure">
      <h2 id="how-sure" className="border-b border-ink pb-1 text-lg">
        How sure, how right
      </h2>
      <table className="w-full text-left text-sm">
        <caption className="sr-only">How often right when so sure</caption>
        <thead className="text-faded">
          <tr>
            <th scope="col" className="font-normal">
              Said
            </th>
            <th scope="col" className="text-right font-normal">
              Right
            </th>
            <th scope="col" className="text-right font-normal">
              Should be
            </th>
          </tr>
        </thead>
        <tbody>
          {calibration.map((c) => (
            <tr key={c.certainty} className="rule-b">
              <th scope="row" className="py-1.5 font-semibold">
                {c.certainty}
              </th>
              <td className={`figures text-right ${c.high < c.stated ? "text-berry" : ""}`}>
                {share(c.right / c.all)} of {c.all}
              </td>
              <td className="figures text-right text-faded">{share(c.stated)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {brier !== null && <p className="mt-1 text-sm text-faded">Brier score {brier.toFixed(3)}: 0 is always right and sure, 0.25 a coin.</p>}
    </section>
  );
}

const Months = ({ months }: { months: Schemas["LearningMonthView"][] }) => (
  <section aria-labelledby="months">
    <h2 id="months" className="border-b border-ink pb-1 text-lg">
      Over the months
    </h2>
    <ul className="text-sm">
      {months.map((m) => (
        <li key={m.month} className="rule-b flex justify-between gap-4 py-1.5">
          <span>
            {MONTHS[Number(m.month.slice(5)) - 1]} {m.month.slice(0, 4)}
          </span>
          <span className="figures">
            {[
              ...(m.read > 0 ? [`${share(m.right / m.read)} of ${m.read} looks`] : []),
              ...(m.trees > 0 ? [`${m.trees} ${m.trees === 1 ? "tree" : "trees"}, ${share(m.marks)}`] : []),
            ].join("; ")}
          </span>
        </li>
      ))}
    </ul>
  </section>
);

/** One's own: to be taken along, or thrown away. */
function Mine() {
  const queries = useQueryClient();
  const [asking, setAsking] = useState(false);
  const forget = useMutation({
    mutationFn: () => unwrap(client.DELETE("/api/learning")),
    onSuccess: (p) => {
      setAsking(false);
      queries.setQueryData(["learning", "own"], p);
      void queries.invalidateQueries({ queryKey: ["practice-answers"] });
    },
  });
  return (
    <p className="flex flex-wrap gap-3">
      <a className="inline-flex min-h-11 items-center rounded-sm border border-ink px-3" href="/api/learning.csv" download>
        My readings (CSV)
      </a>
      <Button onClick={() => setAsking(true)}>Throw all away</Button>
      <Dialog
        open={asking}
        onOpenChange={setAsking}
        title="Throw all away"
        description="What you practised, read and were asked. It does not come back."
      >
        {forget.error && <Trouble error={forget.error} />}
        <Button tone="ink" disabled={forget.isPending} onClick={() => forget.mutate()}>
          Throw it away
        </Button>
      </Dialog>
    </p>
  );
}
