import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { useLocation } from "react-router";
import { floraQuery, termsQuery } from "../../api/queries";
import { Glyph } from "../../plates/glyphs";
import { Loading, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { ORGANS, STATION } from "../../words/stations";
import { capital } from "../../words/text";
import { States } from "./character";

/** Every term and every feature one can score, drawn and defined in one line. */
export default function Terms() {
  const flora = useQuery(floraQuery());
  const terms = useQuery(termsQuery);
  const [sought, setSought] = useState("");
  const { hash } = useLocation();
  const ready = flora.isSuccess && terms.isSuccess;
  useEffect(() => {
    if (ready && hash) document.getElementById(decodeURIComponent(hash.slice(1)))?.scrollIntoView({ block: "start" });
  }, [ready, hash]);
  if (flora.isError) return <Trouble error={flora.error} retry={() => void flora.refetch()} />;
  if (terms.isError) return <Trouble error={terms.error} retry={() => void terms.refetch()} />;
  if (!flora.isSuccess || !terms.isSuccess) return <Loading what="the glossary" />;
  const words = sought.trim().toLowerCase();
  const fits = (...texts: string[]) => texts.join(" ").toLowerCase().includes(words);
  const found = terms.data.filter((t) => fits(t.term, t.definition));
  const characters = flora.data.characters.filter((c) => fits(c.label, c.question, ...c.states.map((s) => `${s.label} ${s.definition}`)));
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6">
      <PageHead
        title="Glossary"
        lead="Terms first, then everything one can score on a tree, organ by organ, each state drawn and defined."
        sought={sought}
        onSeek={setSought}
      />
      {found.length > 0 && (
        <ul className="mt-3 grid gap-x-6 wide:grid-cols-2">
          {found.map((t) => (
            <li key={t.term} id={t.term} className="rule-b flex items-center gap-3 py-1.5">
              {t.drawing && <Glyph name={t.drawing} size={44} className="shrink-0" />}
              <span>
                <strong className="block">{capital(t.term)}</strong>
                <span className="text-sm">{t.definition}</span>
              </span>
            </li>
          ))}
        </ul>
      )}
      {ORGANS.map((organ) => {
        const here = characters.filter((c) => c.organ === organ);
        if (here.length === 0) return null;
        return (
          <section key={organ} className="mt-6">
            <h2 className="double-rule text-xl">{STATION[organ].name}</h2>
            {here.map((c) => (
              <section key={c.id} id={c.id} className="rule-b py-2 scroll-mt-4">
                <h3 className="text-base">
                  {capital(c.label)}{" "}
                  <span className="text-sm font-normal text-faded">
                    {c.question}
                    {c.varies && " A hint only."}
                  </span>
                </h3>
                <States character={c} />
              </section>
            ))}
          </section>
        );
      })}
      {found.length === 0 && characters.length === 0 && <p className="py-4 text-faded">No term goes by that.</p>}
    </div>
  );
}
