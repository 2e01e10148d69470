import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "react-router";
import type { Schemas } from "../../api/client";
import { decisionQuery } from "../../api/queries";
import { Button, Loading, Trouble } from "../../ui/controls";
import { StandingMark } from "../../ui/marks";
import { capital, dayWords, percent } from "../../words/text";

type Item = Schemas["PointItemView"];
const MANY = 12;
const inFull = (items: Item[]) =>
  items.map((i) => `${i.label.replace(/:$/, "")}${i.label.endsWith("?") ? "" : ":"} ${i.detail.replace(/\.$/, "")}`).join("; ");

/** In full what was not met, and what few there are; of a long list that was met the names, so that the page stays one. */
function Items({ items }: { items: Item[] }) {
  const met = items.length > MANY ? items.filter((i) => i.status === "met") : [];
  const rest = items.filter((i) => !met.includes(i));
  return (
    <div className="text-sm text-faded print:text-[8pt]">
      {rest.length > 0 && <p>{inFull(rest)}</p>}
      {met.length > 0 && (
        <>
          <p>
            {rest.length > 0 && "Met: "}
            {met.map((i) => i.label).join(", ")}
          </p>
          <details className="print:hidden">
            <summary className="min-h-11 content-center">How each of these {met.length} was met</summary>
            <ul>
              {met.map((i) => (
                <li key={i.label} className="rule-b py-0.5">
                  <strong className="font-semibold">{i.label}</strong>: {i.detail}
                </li>
              ))}
            </ul>
          </details>
        </>
      )}
    </div>
  );
}

/** A decision as it was taken, on one page to print: what was asked, seen and answered, and by which rules. */
export default function Decision() {
  const { id = "" } = useParams();
  const decision = useQuery(decisionQuery(id));
  if (decision.isPending) return <Loading what="the decision" />;
  if (decision.isError)
    return (
      <div className="p-5">
        <Trouble error={decision.error} />
      </div>
    );
  const d = decision.data;
  return (
    <article className="mx-auto max-w-4xl px-4 py-5 wide:px-6 print:max-w-none print:p-0 print:text-[9pt] print:leading-tight">
      <div className="double-rule flex flex-wrap items-end justify-between gap-3 pb-3">
        <div>
          <p className="text-sm text-faded">
            Decision {d.number ?? "from before they were chained"}, {dayWords(d.decidedOn)}
          </p>
          <h1 className="text-2xl">
            {capital(d.answer)}: {d.commonName}, {d.part}
          </h1>
          <p>
            <em>{d.name}</em>, tree {d.tree}, {d.place}. Looked at by {d.examiner}, decided by {d.decidedBy}.
          </p>
        </div>
        <Button className="print:hidden" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      {d.fault && <p className="mt-3 border-2 border-berry p-2 font-semibold text-berry">It cannot be relied on: {d.fault}</p>}
      <p className="py-2 text-lg print:text-[10pt]">{d.because}</p>
      <p>
        {d.answer === "cleared" && d.validUntil && `It held until ${dayWords(d.validUntil)}. `}
        Of what was seen, {percent(d.posterior)} spoke for {d.commonName} among all kinds of that flora.
      </p>
      <h2 className="mt-4 border-b border-ink pb-1 text-lg print:mt-2 print:text-[10pt]">The nine points as they stood</h2>
      <ol>
        {d.points.map((p) => (
          <li key={p.point} className="rule-b grid grid-cols-[1.5rem_1fr] items-start gap-2 py-1">
            <span className="pt-1">
              <StandingMark standing={p.status} />
            </span>
            <div className="min-w-0">
              <strong>{p.title}.</strong> {p.because}
              <Items items={p.items} />
            </div>
          </li>
        ))}
      </ol>
      <h2 className="mt-4 border-b border-ink pb-1 text-lg print:mt-2 print:text-[10pt]">What was seen</h2>
      <ul className="columns-1 gap-8 wide:columns-2 print:columns-2">
        {d.scores.map((s) => (
          <li key={s.by + s.label} className="rule-b py-0.5">
            <span className="text-faded">{s.label}:</span> {s.seen}
            {s.by && <span className="text-faded"> ({s.by})</span>}
          </li>
        ))}
      </ul>
      {d.scores.length === 0 && <p className="py-2 text-faded">What was told to the engine was not kept with it.</p>}
      <h2 className="mt-4 border-b border-ink pb-1 text-lg print:mt-2 print:text-[10pt]">By which rules</h2>
      <p className="py-1">
        Flora: {d.flora}, edition {d.edition}
        {d.editionKept ? ", kept whole" : ", which is not kept"}. Engine: {d.engine || "not recorded"}.{" "}
        {d.again == null
          ? "It cannot be reckoned again."
          : d.again === d.answer
            ? "Reckoned again by today’s engine: the same."
            : `Reckoned again by today’s engine: ${d.again}.`}
      </p>
      <dl className="grid grid-cols-[7rem_1fr] text-sm print:text-[7pt]">
        <dt className="text-faded">Its hash</dt>
        <dd className="break-all font-mono">{d.hash || "none"}</dd>
        <dt className="text-faded">The one before</dt>
        <dd className="break-all font-mono">{d.previous || "none"}</dd>
        <dt className="text-faded">Of the flora</dt>
        <dd className="break-all font-mono">{d.floraHash}</dd>
      </dl>
      <p className="mt-3 print:hidden">
        <Link to={`/examine/${d.examination}`} className="inline-flex min-h-11 items-center underline">
          To the examination
        </Link>{" "}
        <a href={`/api/examinations/${d.examination}/document`} download className="ml-4 inline-flex min-h-11 items-center underline">
          The examination as a document
        </a>
      </p>
    </article>
  );
}
