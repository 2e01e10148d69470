import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { floraQuery } from "../../api/queries";
import { Loading, Name, Trouble } from "../../ui/controls";
import { SeverityMark } from "../../ui/marks";
import { PageHead } from "../../ui/page-head";
import { capital } from "../../words/text";
import { FloraChoice } from "../floras/flora-choice";

export default function SpeciesIndex() {
  const flora = useQuery(floraQuery());
  const [sought, setSought] = useState("");
  if (flora.isPending) return <Loading what="the flora" />;
  if (flora.isError) return <Trouble error={flora.error} retry={() => void flora.refetch()} />;
  const words = sought.trim().toLowerCase();
  const taxa = flora.data.taxa.filter((t) => `${t.name} ${t.commonName} ${t.family} ${t.otherNames.join(" ")}`.toLowerCase().includes(words));
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
        <Link to="/woods" className="ml-5 inline-flex min-h-11 items-center underline underline-offset-4">
          Woods
        </Link>
      </p>
      <ul>
        {taxa.map((t) => (
          <li key={t.id} className="rule-b">
            <Link to={`/species/${t.id}`} className="grid items-center gap-x-4 px-2 py-2.5 hover:bg-sheet wide:grid-cols-[13rem_16rem_13rem_1fr]">
              <strong>{capital(t.commonName)}</strong>
              <span>
                <Name>{t.name}</Name> <span className="text-sm text-faded">{t.author}</span>
              </span>
              <SeverityMark severity={t.severity} />
              <span className="text-sm text-faded">
                {t.parts
                  .filter((p) => !p.harmful)
                  .map((p) => `${p.label}, ${p.window}`)
                  .join("; ") || "nothing is taken of it"}
              </span>
            </Link>
          </li>
        ))}
        {taxa.length === 0 && <li className="py-4 text-faded">Nothing in this flora goes by that.</li>}
      </ul>
    </div>
  );
}
