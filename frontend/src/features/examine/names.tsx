import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import type { Schemas } from "../../api/client";
import { contrastQuery } from "../../api/queries";
import { Button, fieldClass, Name, Trouble } from "../../ui/controls";
import { capital, percent, timesAsLikely } from "../../words/text";
import { useBench } from "./bench";

const CONCLUSION: Record<Schemas["Conclusion"], string> = {
  "too-early": "Too little has been scored to say anything.",
  between: "Between two kinds: it may be a cross of them, and is cleared as neither.",
  named: "One name explains what was seen.",
  undecided: "Several are still possible.",
  "none-of-these": "None of these: nothing this flora holds explains what was seen.",
};
/** Names in sight on a large screen, where the dangers stand above them. */
const FEW = 4;

/** The names, behind the looking. */
export function Names() {
  const { e, table, busy, act } = useBench();
  const { assessment } = e;
  if (e.namesCovered || e.hopeCovered)
    return (
      <section aria-label="Names" data-panel="names">
        <h2 className="border-b border-ink text-base">Names are covered</h2>
        {e.hopeCovered ? (
          <p className="my-2 text-sm text-faded">They stay covered until you sign: you look as the second person.</p>
        ) : (
          <>
            <p className="my-2 text-sm text-faded">Look first. Uncovering is recorded with the examination.</p>
            <Button disabled={busy} onClick={() => act.change.mutate({ uncoverNames: true })}>
              Uncover the names
            </Button>
          </>
        )}
      </section>
    );
  const none = assessment.conclusion === "none-of-these";
  if (assessment.conclusion === "too-early")
    return (
      <section aria-label="Names" data-panel="names">
        <h2 className="border-b border-ink text-base">What it may be</h2>
        <p className="mt-1 text-sm text-faded">{CONCLUSION["too-early"]} Every kind is still in question.</p>
      </section>
    );
  const [first, second] = assessment.ranking;
  return (
    <section aria-label="Names" data-panel="names">
      <h2 className="border-b border-ink text-base">What it may be</h2>
      <p className={`mt-1 text-sm ${none ? "font-bold text-berry" : "text-faded"}`}>
        {assessment.conclusion && CONCLUSION[assessment.conclusion]}
        {!assessment.goodFit && !none && " Even the best fits badly."}
      </p>
      <ul className={none ? "opacity-60" : ""}>
        {assessment.ranking.slice(0, table.pane === "names" ? undefined : FEW).map((c) => (
          <Candidate key={c.taxon} candidate={c} rival={c === first ? second : first} />
        ))}
        <li className="grid min-h-9 grid-cols-[1fr_4.2rem] items-center gap-2 text-faded">
          <span>something this flora does not hold</span>
          <span className="figures text-right text-sm">{percent(assessment.unlisted ?? 0)}</span>
        </li>
      </ul>
    </section>
  );
}

type CandidateView = Schemas["CandidateView"];

function Candidate({ candidate: c, rival }: { candidate: CandidateView; rival: CandidateView | undefined }) {
  const [open, setOpen] = useState(false);
  return (
    <li className="rule-b" data-candidate={c.taxon}>
      <details onToggle={(event) => setOpen(event.currentTarget.open)}>
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
        {open && rival && <Evidence candidate={c} usual={rival} />}
      </details>
    </li>
  );
}

/** What was seen, weighed for a candidate against any other; the weights add up to the odds. */
function Evidence({ candidate, usual }: { candidate: CandidateView; usual: CandidateView }) {
  const { e, flora } = useBench();
  const [against, setAgainst] = useState("");
  const asked = useQuery(contrastQuery(e.id, candidate.taxon, against || usual.taxon));
  return (
    <div className="pb-2 text-sm">
      <label className="flex items-center gap-2">
        <span className="text-faded">against</span>
        <select className={`${fieldClass} min-w-0 flex-1 py-1`} value={against} onChange={(event) => setAgainst(event.target.value)}>
          <option value="">{usual.commonName}</option>
          {flora.taxa
            .filter((t) => t.id !== candidate.taxon && t.id !== usual.taxon)
            .map((t) => (
              <option key={t.id} value={t.id}>
                {t.commonName}
              </option>
            ))}
        </select>
        <Link className="underline" to={`/species/${candidate.taxon}?flora=${e.flora}`}>
          Its page
        </Link>
        <Link className="underline" to={`/compare?taxa=${against || usual.taxon},${candidate.taxon}&flora=${e.flora}`}>
          Side by side
        </Link>
      </label>
      {asked.isError && <Trouble error={asked.error} retry={() => void asked.refetch()} />}
      {asked.isPending && <p className="py-1 text-faded">Weighing …</p>}
      {asked.data && <Weights evidence={asked.data.evidence} />}
    </div>
  );
}

const signed = (decibans: number): string => `${decibans > 0 ? "+" : ""}${decibans.toFixed(1)}`;

function Weights({ evidence }: { evidence: Schemas["EvidenceView"][] }) {
  if (evidence.length === 0) return <p className="py-1 text-faded">Nothing scored yet speaks for or against it.</p>;
  const total = evidence.reduce((sum, e) => sum + e.decibans, 0);
  const most = Math.max(1, ...evidence.map((e) => Math.abs(e.decibans)));
  return (
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
            <td className="w-12 text-right">{signed(e.decibans)}</td>
          </tr>
        ))}
        <tr className="border-t border-ink font-bold">
          <td>together {timesAsLikely(total)}</td>
          <td />
          <td className="text-right">{signed(total)}</td>
        </tr>
      </tbody>
    </table>
  );
}
