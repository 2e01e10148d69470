import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { careQuery } from "../../api/queries";
import { capital } from "../../words/text";

const WAYS: Record<Schemas["SpreadWay"], string> = {
  birds: "birds",
  wind: "wind",
  water: "water",
  roots: "suckers from the roots",
  stumps: "shoots from the stump",
  garden: "clippings and earth from gardens",
  boots: "seed on boots and tyres",
};
const LIVING: Record<string, string> = {
  roots: "roots near paving and pipes",
  fruit: "fruit",
  litter: "what else falls",
  pollen: "pollen",
  limbs: "limbs",
  pruning: "cut with least harm",
  fibre: "bark and bast",
};

/** Spreading and keeping, living with it, and of what it falls ill. */
export function Care({ taxon }: { taxon: string }) {
  const care = useQuery(careQuery(taxon));
  const c = care.data;
  if (!c) return null;
  const spreads = c.ways.length > 0 || c.rareWhy || c.native;
  if (!spreads && c.living.length === 0 && c.signs.length === 0) return null;
  return (
    <div className="mt-6 space-y-5">
      {spreads && (
        <Part title="Spreading and keeping">
          {c.ways.length > 0 && (
            <>
              <p>
                <strong>Spreads</strong> by {c.ways.map((w) => WAYS[w]).join(", ")}. {c.harvest}
              </p>
              <p>{c.cleanup}</p>
            </>
          )}
          {c.rareWhy && (
            <p>
              <strong>Rare.</strong> {c.rareWhy} Who wants to know: {c.rareWho}
            </p>
          )}
          {c.native && (
            <p>
              Native in {c.native}.{c.outside.length > 0 && <strong> At {c.outside.join(", ")} it stands outside that: planted or escaped.</strong>}
            </p>
          )}
          <p className="text-sm text-faded">What may be cut, moved, sown or must be removed, local law says.</p>
        </Part>
      )}
      {c.living.length > 0 && (
        <Part title="Living with it">
          <dl className="grid grid-cols-[9rem_1fr] gap-x-4">
            {c.living.map((f) => (
              <div key={f.what} className="contents">
                <dt className="text-faded">{LIVING[f.what] ?? f.what}</dt>
                <dd>{capital(f.text)}</dd>
              </div>
            ))}
          </dl>
        </Part>
      )}
      {c.signs.length > 0 && (
        <details className="border-t border-rule">
          <summary className="min-h-11 cursor-pointer py-2 text-lg">Of what it falls ill ({c.signs.length})</summary>
          <ul>
            {c.signs.map((s) => (
              <li key={s.id} className="rule-b py-1.5">
                <strong>{capital(s.name)}</strong>
                {s.notifiable && <span className="text-sm font-semibold text-berry"> · to be reported {s.notifiable}</span>}
                <span className="block">{s.see}</span>
                <span className="block text-sm text-faded">
                  {s.hygiene} {s.source}.
                </span>
              </li>
            ))}
          </ul>
        </details>
      )}
      {c.sources.length > 0 && <p className="text-sm text-faded">{c.sources.join("; ")}.</p>}
    </div>
  );
}

const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <section>
    <h2 className="border-b border-ink pb-1 text-lg">{title}</h2>
    <div className="space-y-1 py-2">{children}</div>
  </section>
);
