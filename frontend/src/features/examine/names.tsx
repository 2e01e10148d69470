import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import type { Schemas } from "../../api/client";
import { contrastQuery } from "../../api/queries";
import { Button, fieldClass, Name, Trouble } from "../../ui/controls";
import { FiguresSwitch, useFigures } from "../../ui/figures";
import { capital, percent, standing, timesAsLikely } from "../../words/text";
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
  const figures = useFigures();
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
      <div className="flex items-end justify-between border-b border-ink">
        <h2 className="text-base">What it may be</h2>
        <FiguresSwitch />
      </div>
      <p className={`mt-1 text-sm ${none ? "font-bold text-berry" : "text-faded"}`}>
        {assessment.conclusion && CONCLUSION[assessment.conclusion]}
        {!assessment.goodFit && !none && " Even the best fits badly."}
      </p>
      <ul className={none ? "opacity-60" : ""}>
        {assessment.ranking.slice(0, table.pane === "names" ? undefined : FEW).map((c) => (
          <Candidate key={c.taxon} candidate={c} rival={c === first ? second : first} />
        ))}
        <li className="grid min-h-9 grid-cols-[1fr_5.2rem] items-center gap-2 text-faded">
          <span>something this flora does not hold</span>
          <span className="figures text-right text-sm">{figures ? percent(assessment.unlisted ?? 0) : standing(assessment.unlisted ?? 0)}</span>
        </li>
      </ul>
    </section>
  );
}

type CandidateView = Schemas["CandidateView"];

function Candidate({ candidate: c, rival }: { candidate: CandidateView; rival: CandidateView | undefined }) {
  const figures = useFigures();
  const [open, setOpen] = useState(false);
  return (
    <li className="rule-b" data-candidate={c.taxon}>
      <details onToggle={(event) => setOpen(event.currentTarget.open)}>
        <summary className="grid min-h-9 grid-cols-[1fr_3.2rem_5.2rem] items-center gap-2 max-wide:min-h-11">
          <span className="min-w-0 truncate">
            {capital(c.commonName)}{" "}
            <span className="text-sm">
              <Name>{c.name}</Name>
            </span>
          </span>
          <span className="h-2 border border-ink" aria-hidden="true">
            <span className="block h-full bg-ink" style={{ width: `${c.posterior * 100}%` }} />
          </span>
          <span className="text-right text-sm">{figures ? <span className="figures">{percent(c.posterior)}</span> : standing(c.posterior)}</span>
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

/** Looks that hardly move anything are told in one line. */
const HARDLY = 1;

/** What speaks for it and what against it, as times likelier, the heaviest first. */
function Weights({ evidence }: { evidence: Schemas["EvidenceView"][] }) {
  const figures = useFigures();
  if (evidence.length === 0) return <p className="py-1 text-faded">Nothing scored yet speaks for or against it.</p>;
  const total = evidence.reduce((sum, e) => sum + e.decibans, 0);
  const heavy = evidence.filter((e) => Math.abs(e.decibans) >= HARDLY).sort((a, b) => Math.abs(b.decibans) - Math.abs(a.decibans));
  const light = evidence.filter((e) => Math.abs(e.decibans) < HARDLY);
  const sides = [
    { title: "Speaks for it", lines: heavy.filter((e) => e.decibans > 0), look: "border-leaf" },
    { title: "Speaks against it", lines: heavy.filter((e) => e.decibans < 0), look: "border-ochre" },
  ];
  return (
    <div className="mt-1">
      {sides
        .filter((side) => side.lines.length > 0)
        .map((side) => (
          <section key={side.title} aria-label={side.title}>
            <h3 className="font-semibold">{side.title}</h3>
            <ul>
              {side.lines.map((e) => (
                <li key={e.character} className={`my-0.5 flex justify-between gap-2 border-l-4 pl-2 ${side.look}`}>
                  <span>
                    {e.label}: {e.seen}
                  </span>
                  <span className="shrink-0 text-right">
                    {timesAsLikely(e.decibans)}
                    {figures && <span className="figures block text-faded">{signed(e.decibans)} decibans</span>}
                  </span>
                </li>
              ))}
            </ul>
          </section>
        ))}
      {light.length > 0 && <p className="text-faded">Hardly anything: {light.map((e) => e.label).join(", ")}.</p>}
      <p className="border-t border-ink font-bold">
        Together {timesAsLikely(total)}
        {figures && <span className="figures"> {signed(total)} decibans</span>}
      </p>
    </div>
  );
}
