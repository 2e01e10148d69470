import { useQuery } from "@tanstack/react-query";
import { useDeferredValue, useState } from "react";
import { Link } from "react-router";
import { findQuery, floraQuery } from "../../api/queries";
import { Loading, Name, Trouble } from "../../ui/controls";
import { HarmMark } from "../../ui/marks";
import { PageHead } from "../../ui/page-head";
import { capital } from "../../words/text";
import { FloraChoice } from "../floras/flora-choice";

export default function SpeciesIndex() {
  const flora = useQuery(floraQuery());
  const [sought, setSought] = useState("");
  const [beside, setBeside] = useState<string[]>([]);
  const words = useDeferredValue(sought.trim());
  const answer = useQuery({ ...findQuery(words, 200), enabled: words !== "" });
  if (flora.isPending) return <Loading what="the flora" />;
  if (flora.isError) return <Trouble error={flora.error} retry={() => void flora.refetch()} />;
  const found = words && answer.data ? answer.data.kinds : null;
  const why = new Map(found?.map((k) => [k.taxon, k.why.join(" · ")]));
  const byName = flora.data.taxa.toSorted((a, b) => a.commonName.localeCompare(b.commonName, "en"));
  const taxa = found ? found.flatMap((k) => flora.data.taxa.find((t) => t.id === k.taxon) ?? []) : byName;
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6">
      <PageHead
        title={flora.data.title}
        lead={`Edition ${flora.data.edition}, ${flora.data.characters.length} characters. A tree it does not hold must end as “none of these”.`}
        sought={sought}
        onSeek={setSought}
      >
        <FloraChoice label="Flora" />
      </PageHead>
      <p className="pt-2 text-sm">
        <Link to={`/review/${flora.data.name}`} className="inline-flex min-h-11 items-center underline underline-offset-4">
          What the dangerous kinds never show
        </Link>
        <Link to="/recipes" className="ml-5 inline-flex min-h-11 items-center underline underline-offset-4">
          Recipes
        </Link>
        <Link to="/compare" className="ml-5 inline-flex min-h-11 items-center underline underline-offset-4">
          Side by side
        </Link>
        <Link to="/woods" className="ml-5 inline-flex min-h-11 items-center underline underline-offset-4">
          Woods
        </Link>
      </p>
      <p className="text-right text-sm text-faded print:hidden">Tick two to four to lay them side by side.</p>
      <ul>
        {taxa.map((t) => (
          <li key={t.id} className="rule-b flex items-center">
            <Link
              to={`/species/${t.id}`}
              className="grid flex-1 items-center gap-x-4 px-2 py-2.5 hover:bg-sheet wide:grid-cols-[13rem_16rem_13rem_1fr]"
            >
              <strong>{capital(t.commonName)}</strong>
              <span>
                <Name>{t.name}</Name> <span className="text-sm text-faded">{t.author}</span>
              </span>
              <HarmMark severity={t.severity} harms={t.harms} />
              <span className="text-sm text-faded">
                {t.parts
                  .filter((p) => !p.harmful)
                  .map((p) => `${p.label}, ${p.window}`)
                  .join("; ") || "nothing is taken of it"}
                {why.get(t.id) && <span className="block text-ink">{why.get(t.id)}</span>}
              </span>
            </Link>
            <label className="flex min-h-11 min-w-11 shrink-0 items-center justify-center print:hidden">
              <input
                type="checkbox"
                className="size-5 accent-ink"
                aria-label={`Lay ${t.commonName} side by side`}
                checked={beside.includes(t.id)}
                disabled={beside.length >= 4 && !beside.includes(t.id)}
                onChange={(event) => setBeside(event.target.checked ? [...beside, t.id] : beside.filter((id) => id !== t.id))}
              />
            </label>
          </li>
        ))}
        {taxa.length === 0 && <li className="py-4 text-faded">Nothing in this flora goes by that.</li>}
      </ul>
      {beside.length > 0 && (
        <div className="sticky bottom-0 flex flex-wrap items-center justify-between gap-3 border-t-2 border-ink bg-ground py-2" role="status">
          <span>{beside.map((id) => flora.data.taxa.find((t) => t.id === id)?.commonName).join(", ")}</span>
          <Link
            to={`/compare?taxa=${beside.join()}`}
            className="inline-flex min-h-11 items-center rounded-sm border border-ink bg-ink px-3 font-semibold text-ground"
          >
            {beside.length === 1 ? "Choose what it lies beside" : `Lay the ${beside.length} side by side`}
          </Link>
        </div>
      )}
    </div>
  );
}
