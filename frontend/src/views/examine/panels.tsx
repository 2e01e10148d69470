import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import type { Assessment, Character, Examination, Schemas } from "../../api/client";
import { contrastQuery } from "../../api/queries";
import { Button, capital, fieldClass, Name, percent, Trouble } from "../../ui/controls";
import { SeverityMark } from "../../ui/marks";

/** The look that is worth most now. */
export function NextLook(p: { next: Schemas["SuggestionView"][]; covered: boolean; onLook: (character: string) => void }) {
  const [first, ...others] = p.next;
  return (
    <section aria-label="Next look" data-panel="next">
      <h2 className="border-b border-ink text-base">Look next at</h2>
      {first ? (
        <>
          <button
            type="button"
            onClick={() => p.onLook(first.character)}
            className="mt-1.5 flex w-full items-center justify-between gap-2 rounded-sm border border-ink bg-sheet p-2 text-left hover:bg-pressed"
          >
            <span>
              <strong>{capital(first.label)}</strong>
              {!p.covered && <span className="block text-sm text-faded">{first.because}</span>}
            </span>
            <span aria-hidden="true">→</span>
          </button>
          {others.length > 0 && (
            <p className="mt-1 text-sm text-faded">
              then{" "}
              {others.slice(0, 3).map((s, i) => (
                <span key={s.character}>
                  {i > 0 && ", "}
                  <button type="button" className="py-1 underline underline-offset-4" onClick={() => p.onLook(s.character)}>
                    {s.label}
                  </button>
                </span>
              ))}
            </p>
          )}
        </>
      ) : (
        <p className="mt-1 text-sm text-faded">Nothing in reach today would tell more.</p>
      )}
    </section>
  );
}

/** So many dangers are in sight at once; the rest stand behind one press. */
const MOST_SHOWN = 5;

/** What it could still be that harms. Stays until it is excluded. */
export function Dangers(p: {
  dangers: Schemas["DangerView"][];
  covered: boolean;
  hopeCovered: boolean;
  flora: string;
  onLook: (character: string) => void;
  all?: boolean;
}) {
  const open = p.dangers.filter((d) => !d.excluded);
  const [allOpen, setAllOpen] = useState(false);
  const shown = p.all || allOpen ? open : open.slice(0, MOST_SHOWN);
  const excluded = p.dangers.filter((d) => d.excluded);
  return (
    <section aria-label="Dangers" data-panel="dangers">
      <h2 className="flex items-baseline justify-between border-b border-berry text-base text-berry">
        <span>Could still be, and harms</span>
        <span className="figures text-sm font-normal">
          {p.hopeCovered ? "covered" : `${open.length} open${open.length > 0 && !p.covered ? " · look at" : ""}`}
        </span>
      </h2>
      {p.hopeCovered ? (
        <p className="mt-1 text-sm">Which kinds are still open stays covered until you sign. Look at everything you can.</p>
      ) : p.covered ? (
        <p className="mt-1 text-sm">{open.length} dangerous kinds are not yet excluded. Their names are covered with the others.</p>
      ) : (
        <ul>
          {shown.map((d) => (
            <li key={d.taxon} className="rule-b flex items-center gap-2 py-0.5 max-wide:py-1" data-danger={d.taxon}>
              <span className="min-w-0 flex-1 leading-tight">
                <span className="flex flex-wrap items-center gap-x-2">
                  <strong>{capital(d.commonName)}</strong> <SeverityMark severity={d.severity} />
                </span>
                {d.contradictions.length > 0 && <span className="block text-xs text-faded">against it: {d.contradictions.join(", ")}</span>}
              </span>
              {d.would && d.wouldLabel ? (
                <button
                  type="button"
                  onClick={() => p.onLook(d.would as string)}
                  className="min-h-8 shrink-0 rounded-sm border border-ink bg-sheet px-2 text-sm hover:bg-pressed max-wide:min-h-11"
                >
                  {d.wouldLabel}
                </button>
              ) : (
                <span className="shrink-0 text-right text-xs text-faded">not told apart today</span>
              )}
            </li>
          ))}
        </ul>
      )}
      {!p.covered && shown.length < open.length && (
        <button type="button" className="min-h-11 text-sm underline underline-offset-4" onClick={() => setAllOpen(true)}>
          and {open.length - shown.length} more, worst and likeliest first
        </button>
      )}
      {open.length === 0 && !p.hopeCovered && (
        <p className="mt-1 text-sm font-semibold text-leaf">All {excluded.length} dangerous kinds of this flora are excluded.</p>
      )}
      {!p.covered && excluded.length > 0 && open.length > 0 && (
        <p className="mt-1 text-xs text-faded">Excluded: {excluded.map((d) => d.commonName).join(", ")}.</p>
      )}
      {p.all && !p.covered && excluded.length > 0 && (
        <ul className="mt-2 text-sm text-faded">
          {excluded.map((d) => (
            <li key={d.taxon} className="rule-b py-1">
              <s>{capital(d.commonName)}</s> by {d.contradictions.join(", ")}
              <Lines lines={d.lines} />
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** On which lines an exclusion leans, and how many people have read them. */
function Lines({ lines }: { lines: Schemas["LineView"][] }) {
  return (
    <ul className="ml-3 text-xs">
      {lines.map((line) => (
        <li key={line.id}>
          {line.reason}{" "}
          <span className={line.readBy > 0 ? "" : "text-ochre"}>({line.readBy > 0 ? `read by ${line.readBy}` : "read by its author only"})</span>
        </li>
      ))}
    </ul>
  );
}

const CONCLUSION: Record<Schemas["Conclusion"], string> = {
  "too-early": "Too little has been scored to say anything.",
  between: "Between two kinds: it may be a cross of them, and is cleared as neither.",
  named: "One name explains what was seen.",
  undecided: "Several are still possible.",
  "none-of-these": "None of these: nothing this flora holds explains what was seen.",
};

/** The names, behind the looking. */
export function Names(p: {
  assessment: Assessment;
  examination: Examination;
  characters: Map<string, Character>;
  onUncover: () => void;
  busy: boolean;
  many?: boolean;
}) {
  const { assessment } = p;
  if (p.examination.namesCovered || p.examination.hopeCovered) {
    return (
      <section aria-label="Names" data-panel="names">
        <h2 className="border-b border-ink text-base">Names are covered</h2>
        {p.examination.hopeCovered ? (
          <p className="my-2 text-sm text-faded">They stay covered until you sign: you look as the second person.</p>
        ) : (
          <>
            <p className="my-2 text-sm text-faded">Look first. Uncovering is recorded with the examination.</p>
            <Button disabled={p.busy} onClick={p.onUncover}>
              Uncover the names
            </Button>
          </>
        )}
      </section>
    );
  }
  const none = assessment.conclusion === "none-of-these";
  return (
    <section aria-label="Names" data-panel="names">
      <h2 className="border-b border-ink text-base">What it may be</h2>
      <p className={`mt-1 text-sm ${none ? "font-bold text-berry" : "text-faded"}`}>
        {assessment.conclusion && CONCLUSION[assessment.conclusion]}
        {!assessment.goodFit && !none && " Even the best fits badly."}
      </p>
      <ul className={none ? "opacity-60" : ""}>
        {assessment.ranking.slice(0, p.many ? 8 : 4).map((c) => (
          <li key={c.taxon} className="rule-b" data-candidate={c.taxon}>
            <details>
              <summary className="grid min-h-9 grid-cols-[1fr_4rem_4.2rem] items-center gap-2 max-wide:min-h-11">
                <span className="min-w-0 truncate">
                  {capital(c.commonName)}{" "}
                  <span className="text-sm">
                    <Name>{c.name}</Name>
                  </span>
                </span>
                <span className="h-2 border border-ink" aria-hidden="true">
                  <span className="block h-full bg-ink" style={{ width: `${c.posterior * 100}%` }} />
                </span>
                <span className="figures text-right text-sm">{percent(c.posterior)}</span>
              </summary>
              <Evidence candidate={c} ranking={assessment.ranking} examination={p.examination} />
            </details>
          </li>
        ))}
        <li className="grid min-h-9 grid-cols-[1fr_4.2rem] items-center gap-2 text-faded">
          <span>something this flora does not hold</span>
          <span className="figures text-right text-sm">{percent(assessment.unlisted ?? 0)}</span>
        </li>
      </ul>
    </section>
  );
}

/** What was seen, weighed for a candidate against any other; the weights add up to the odds. */
function Evidence({
  candidate,
  ranking,
  examination,
}: {
  candidate: Schemas["CandidateView"];
  ranking: Schemas["CandidateView"][];
  examination: Examination;
}) {
  const [rival, setRival] = useState("");
  const asked = useQuery({ ...contrastQuery(examination.id, candidate.taxon, rival), enabled: rival !== "" });
  const evidence = rival === "" ? candidate.evidence : (asked.data?.evidence ?? []);
  const total = evidence.reduce((sum, e) => sum + e.decibans, 0);
  const most = Math.max(1, ...evidence.map((e) => Math.abs(e.decibans)));
  if (candidate.evidence.length === 0) return <p className="pb-2 text-sm text-faded">Nothing scored yet speaks for or against it.</p>;
  return (
    <div className="pb-2 text-sm">
      <label className="flex items-center gap-2">
        <span className="text-faded">against</span>
        <select className={`${fieldClass} min-w-0 flex-1 py-1`} value={rival} onChange={(e) => setRival(e.target.value)}>
          <option value="">{candidate.rival}</option>
          {ranking
            .filter((c) => c.taxon !== candidate.taxon && c.commonName !== candidate.rival)
            .map((c) => (
              <option key={c.taxon} value={c.taxon}>
                {c.commonName}
              </option>
            ))}
        </select>
        <Link className="underline" to={`/species/${candidate.taxon}?flora=${examination.flora}`}>
          Its page
        </Link>
      </label>
      {asked.isError && <Trouble error={asked.error} retry={() => void asked.refetch()} />}
      {asked.isLoading && <p className="text-faded">Weighing …</p>}
      <table className="mt-1 w-full">
        <caption className="pb-1 text-left text-xs text-faded">In decibans: 10 is ten times as likely, 20 a hundred times.</caption>
        <tbody className="figures">
          {evidence.map((e) => (
            <tr key={e.character}>
              <td className="py-0.5 pr-2">
                {e.label}: {e.seen}
              </td>
              <td className="w-20">
                <span className="flex h-2" aria-hidden="true">
                  <span className="flex w-1/2 justify-end">
                    {e.decibans < 0 && <span className="h-full bg-ochre" style={{ width: `${(-e.decibans / most) * 100}%` }} />}
                  </span>
                  <span className="w-1/2 border-l border-ink">
                    {e.decibans > 0 && <span className="block h-full bg-leaf" style={{ width: `${(e.decibans / most) * 100}%` }} />}
                  </span>
                </span>
              </td>
              <td className="w-12 text-right">
                {e.decibans > 0 ? "+" : ""}
                {e.decibans.toFixed(1)}
              </td>
            </tr>
          ))}
          <tr className="border-t border-ink font-bold">
            <td>together {timesAsLikely(total)}</td>
            <td />
            <td className="text-right">
              {total > 0 ? "+" : ""}
              {total.toFixed(1)}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  );
}

/** Decibans as people say it: "200 times as likely". */
export function timesAsLikely(decibans: number): string {
  const times = 10 ** (Math.abs(decibans) / 10);
  if (times < 1.05) return "(as likely)";
  const words = times > 1e6 ? "over a million" : Number(times.toPrecision(2)).toLocaleString("en-GB");
  return decibans > 0 ? `(${words} times as likely)` : `(${words} times less likely)`;
}
