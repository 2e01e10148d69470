import type { Schemas } from "../../api/client";

type Row = Schemas["YearRowView"];
const [WIDE, HIGH, GROUND, TOP] = [728, 44, 32, 4];
const WEEK = WIDE / 52;
const STARTS = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334];
const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];

const x = (day: string, year: number) =>
  Math.max(0, Math.min(WIDE, ((Date.parse(`${day}T12:00:00Z`) - Date.parse(`${year}-01-01T12:00:00Z`)) / 86_400_000 / 365) * WIDE));
const y = (percent: number) => GROUND - ((GROUND - TOP) * percent) / 100;

/** The silhouette of some weeks: as high as the window is likely to be open. */
function hill(open: number[], from: number, to: number): string {
  const at = (w: number) => y(open[w] ?? 0);
  const tops = Array.from({ length: to - from }, (_, i) => `L${((from + i + 0.5) * WEEK).toFixed(1)} ${at(from + i).toFixed(1)}`);
  const left = from === 0 ? at(0) : (at(from - 1) + at(from)) / 2;
  const right = to === 52 ? at(51) : (at(to - 1) + at(to)) / 2;
  return `M${(from * WEEK).toFixed(1)} ${GROUND}L${(from * WEEK).toFixed(1)} ${left.toFixed(1)}${tops.join("")}L${(to * WEEK).toFixed(1)} ${right.toFixed(1)}L${(to * WEEK).toFixed(1)} ${GROUND}Z`;
}

/** Stretches of weeks of one letter. */
function stretches(sight: string): { letter: string; from: number; to: number }[] {
  const found: { letter: string; from: number; to: number }[] = [];
  for (let w = 0; w < sight.length; w++) {
    const last = found.at(-1);
    if (last && last.letter === sight[w]) last.to = w + 1;
    else found.push({ letter: sight[w] ?? "-", from: w, to: w + 1 });
  }
  return found;
}

const FILL: Record<string, string> = { t: "var(--ink)", f: "url(#furrow-fresh)", "-": "var(--sheet)" };

const Patterns = () => (
  <defs>
    <pattern id="furrow-fresh" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <rect width="5" height="5" fill="var(--sheet)" />
      <path d="M0 0V5" stroke="var(--ink)" strokeWidth="2.4" />
    </pattern>
  </defs>
);

/** A part's year as a furrow with its hill; in words it stands beside it. */
export function Furrow({ row, year, today, title }: { row: Row; year: number; today: string; title: string }) {
  const parts = stretches(row.sight);
  const now = today.startsWith(String(year)) ? x(today, year) : null;
  const looks = row.lookFrom && row.lookBy ? { from: x(row.lookFrom, year), to: x(row.lookBy, year) } : null;
  const inYear = row.lookFrom?.startsWith(String(year)) || row.lookBy?.startsWith(String(year));
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} className="block w-full" preserveAspectRatio="none" aria-hidden="true" data-title={title}>
      <Patterns />
      {STARTS.map((start) => (
        <path key={start} d={`M${(start / 365) * WIDE} ${TOP}V${GROUND}`} stroke="var(--rule)" strokeWidth="0.6" vectorEffect="non-scaling-stroke" />
      ))}
      {parts.map((p) => (
        <path key={p.from} d={hill(row.open, p.from, p.to)} fill={FILL[p.letter]} />
      ))}
      <path d={hill(row.open, 0, 52)} fill="none" stroke="var(--ink)" strokeWidth="1" vectorEffect="non-scaling-stroke" />
      <path d={`M0 ${GROUND}H${WIDE}`} stroke="var(--ink)" strokeWidth="1" vectorEffect="non-scaling-stroke" />
      {looks && inYear && (
        <path
          d={`M${looks.from.toFixed(1)} ${GROUND + 3}V${GROUND + 8}H${Math.max(looks.from + 2, looks.to).toFixed(1)}V${GROUND + 3}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="2"
          vectorEffect="non-scaling-stroke"
        />
      )}
      {now !== null && (
        <path d={`M${now.toFixed(1)} 0V${HIGH}`} stroke="var(--berry)" strokeWidth="1.2" strokeDasharray="3 2" vectorEffect="non-scaling-stroke" />
      )}
    </svg>
  );
}

export function Months({ year, today }: { year: number; today: string }) {
  const now = today.startsWith(String(year)) ? x(today, year) / WIDE : null;
  return (
    <div
      className="sticky top-0 z-10 mt-3 grid grid-cols-1 gap-x-4 border-b border-ink bg-ground wide:grid-cols-[17rem_minmax(0,1fr)]"
      aria-hidden="true"
    >
      <span className="max-wide:hidden" />
      <div className="relative h-8 text-xs text-faded">
        {STARTS.map((start, i) => (
          <span key={start} className="absolute" style={{ left: `${(start / 365) * 100}%` }}>
            <span className="max-wide:hidden">{MONTHS[i]}</span>
            <span className="wide:hidden">{MONTHS[i]?.charAt(0)}</span>
          </span>
        ))}
        {now !== null && (
          <span className="absolute bottom-0 -translate-x-1/2 bg-ground font-bold text-berry" style={{ left: `${now * 100}%` }}>
            today
          </span>
        )}
      </div>
    </div>
  );
}

const SAMPLES = [
  { letter: "t", words: "open, and all that is required can be seen" },
  { letter: "f", words: "open, if the tree was looked at beforehand" },
  { letter: "-", words: "open, but the tree cannot be told" },
] as const;

export function Legend() {
  return (
    <ul className="mt-3 flex flex-wrap gap-x-5 gap-y-1 text-sm" aria-label="What the furrows mean">
      {SAMPLES.map((s) => (
        <li key={s.letter} className="flex items-center gap-2">
          <svg width="34" height="20" viewBox="0 0 34 20" aria-hidden="true">
            <Patterns />
            <path d="M2 18Q10 18 12 8T22 3Q28 4 32 18Z" fill={FILL[s.letter]} stroke="var(--ink)" strokeWidth="1" />
          </svg>
          {s.words}
        </li>
      ))}
      <li className="flex items-center gap-2">
        <svg width="34" height="20" viewBox="0 0 34 20" aria-hidden="true">
          <path d="M2 8V14H32V8" fill="none" stroke="var(--ink)" strokeWidth="2" />
        </svg>
        look then, for the window that comes next
      </li>
      <li className="text-faded">
        The higher, the likelier. The gate keeps to the dates of the flora, and alone can say whether every danger is excluded then.
      </li>
    </ul>
  );
}
