/** Marks that say how a thing stands: a shape and a hatching for each, so that colour is never alone. */
import type { ReactNode } from "react";
import type { Schemas } from "../api/client";

export type Standing = Schemas["PointStatus"];

const TONE: Record<Standing, string> = { met: "text-leaf", open: "text-ochre", broken: "text-berry" };
const SHAPE: Record<Standing, ReactNode> = {
  met: (
    <>
      <circle cx="9" cy="9" r="7.5" fill="currentColor" />
      <path d="M5 9.5L8 12.5L13 6" stroke="var(--sheet)" strokeWidth="2" fill="none" />
    </>
  ),
  open: (
    <>
      <circle cx="9" cy="9" r="7.5" fill="none" stroke="currentColor" strokeWidth="1.6" />
      <path d="M4 14L14 4M2.5 10.5L10.5 2.5M7.5 15.5L15.5 7.5" stroke="currentColor" strokeWidth="1" />
    </>
  ),
  broken: (
    <>
      <path d="M9 1L17 9L9 17L1 9Z" fill="none" stroke="currentColor" strokeWidth="1.6" />
      <path d="M5.5 5.5L12.5 12.5M12.5 5.5L5.5 12.5" stroke="currentColor" strokeWidth="2" />
    </>
  ),
};

export function StandingMark({ standing, withWord = false }: { standing: Standing; withWord?: boolean }) {
  return (
    <span className={`relative inline-flex shrink-0 items-center gap-1 ${TONE[standing]}`}>
      <svg viewBox="0 0 18 18" width="18" height="18" aria-hidden="true" focusable="false">
        {SHAPE[standing]}
      </svg>
      <span className={withWord ? "text-sm font-semibold" : "sr-only"}>{standing}</span>
    </span>
  );
}

/** Where the thorns stand, by their number. */
const THORNS = [[], [9], [5.5, 12.5], [2, 9, 16]];
const TICKS: Record<Schemas["Severity"], number> = { deadly: 3, serious: 2, mild: 1, harmless: 0 };

type Harm = Schemas["HarmView"];

/** Whom a kind harms, and how badly: people, and then every animal, by whatever part. */
export function HarmMark({ severity, harms }: { severity: Schemas["Severity"]; harms: readonly Harm[] }) {
  const people = harms.find((h) => h.who === "people");
  const others = harms.filter((h) => h.who !== "people");
  const by = new Map<Schemas["Severity"], string[]>();
  for (const h of others) by.set(h.severity, [...(by.get(h.severity) ?? []), h.who]);
  if (harms.length === 0) return <span className="text-sm text-faded">no harm on record</span>;
  return (
    <span className="flex flex-wrap items-baseline gap-x-2">
      {severity !== "harmless" && <SeverityMark severity={severity} />}
      {severity === "harmless" && people && <span className="text-sm">{people.severity} to whoever handles it</span>}
      {(Object.keys(TICKS) as Schemas["Severity"][])
        .filter((s) => by.has(s))
        .map((s) => (
          <span key={s} className={`text-sm ${s === "mild" ? "" : "text-berry"}`}>
            {s} to {by.get(s)?.join(", ")}
          </span>
        ))}
    </span>
  );
}

/** How bad it can be: the word, and as many thorns as it deserves. */
export function SeverityMark({ severity }: { severity: Schemas["Severity"] }) {
  const ticks = TICKS[severity];
  if (ticks === 0) return <span className="text-sm text-faded">not counted as dangerous</span>;
  return (
    <span className="inline-flex items-baseline gap-1 text-sm font-bold text-berry">
      <svg viewBox="0 0 24 16" width="24" height="16" aria-hidden="true" focusable="false">
        <path d="M1 15H23" stroke="currentColor" strokeWidth="1.4" />
        {THORNS[ticks]?.map((x) => (
          <path key={x} d={`M${x} 15L${x + 3} 2L${x + 6} 15Z`} fill="currentColor" />
        ))}
      </svg>
      {severity}
    </span>
  );
}
