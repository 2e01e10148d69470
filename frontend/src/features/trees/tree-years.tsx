import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { treeYearsQuery } from "../../api/queries";
import { Loading, Sideways, Trouble } from "../../ui/controls";
import { dayWords } from "../../words/text";

type Mark = Schemas["MarkView"];

const KIND: Record<Schemas["MarkKind"], { word: string; shape: ReactNode }> = {
  tagged: { word: "tagged", shape: <path d="M0 -6V6M0 -6L6 -3.5L0 -1" fill="none" stroke="currentColor" strokeWidth="1.5" /> },
  look: {
    word: "look",
    shape: (
      <path
        d="M-6 0Q0 -6 6 0Q0 6 -6 0ZM-1.6 0a1.6 1.6 0 1 0 3.2 0a1.6 1.6 0 1 0 -3.2 0"
        fill="var(--sheet)"
        stroke="currentColor"
        strokeWidth="1.4"
      />
    ),
  },
  leafing: { word: "leafing seen", shape: <path d="M0 6Q-6 0 0 -6Q6 0 0 6Z" fill="none" stroke="currentColor" strokeWidth="1.5" /> },
  flowering: {
    word: "flowers seen",
    shape: (
      <path d="M0 0m-2 0a2 2 0 1 0 4 0a2 2 0 1 0 -4 0M0 -2.5V-6M0 2.5V6M-2.5 0H-6M2.5 0H6" fill="none" stroke="currentColor" strokeWidth="1.5" />
    ),
  },
  fruiting: {
    word: "fruit seen",
    shape: <path d="M0 -2V-6M-3 3a2.8 2.8 0 1 0 .1 0M3 3a2.8 2.8 0 1 0 .1 0" fill="currentColor" stroke="currentColor" strokeWidth="1.2" />,
  },
  harvest: { word: "taken", shape: <path d="M-6 -2H6L4 6H-4ZM-4 -2Q0 -9 4 -2" fill="var(--sheet)" stroke="currentColor" strokeWidth="1.5" /> },
  measure: { word: "measured", shape: <path d="M-6 3V-3H6V3M-3 3V0M0 3V-1M3 3V0" fill="none" stroke="currentColor" strokeWidth="1.4" /> },
  picture: {
    word: "picture",
    shape: <path d="M-6 -4.5H6V4.5H-6ZM-6 3L-1.5 -1.5L2 2L4 0.5L6 2" fill="none" stroke="currentColor" strokeWidth="1.3" />,
  },
  gone: { word: "gone", shape: <path d="M-5 -5L5 5M5 -5L-5 5" stroke="currentColor" strokeWidth="2" /> },
};
const KINDS = Object.keys(KIND) as Schemas["MarkKind"][];
const MONTHS = ["J", "F", "M", "A", "M", "J", "J", "A", "S", "O", "N", "D"];
const STARTS = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334];
const [WIDE, LEFT, ROW, HEAD] = [760, 44, 46, 46];
const BAND: Record<string, { hatch: string; word: string; y: number }> = {
  leafing: { hatch: "url(#leafing)", word: "leafing", y: 0 },
  flowering: { hatch: "url(#flowering)", word: "flowering", y: 8 },
  fruiting: { hatch: "url(#fruiting)", word: "fruiting", y: 16 },
};

const dayOfYear = (day: string) => Math.round((Date.parse(`${day}T12:00:00Z`) - Date.parse(`${day.slice(0, 4)}-01-01T12:00:00Z`)) / 86_400_000);
const x = (n: number) => LEFT + ((WIDE - LEFT - 8) * n) / 365;

/** The years of a tree as one strip: above what its kind shows when, below a line for each year with what happened. */
export function TreeYears({ id }: { id: string }) {
  const years = useQuery(treeYearsQuery(id));
  if (years.isPending) return <Loading what="its years" />;
  if (years.isError) return <Trouble error={years.error} />;
  const { expected, marks, covered } = years.data;
  if (covered) return <p className="py-2">Covered until you have looked yourself.</p>;
  const first = Number(marks[0]?.on.slice(0, 4));
  const last = Number(marks.at(-1)?.on.slice(0, 4));
  const listed = Array.from({ length: last - first + 1 }, (_, i) => last - i);
  const height = HEAD + listed.length * ROW + 6;
  const used = KINDS.filter((k) => marks.some((m) => m.kind === k));
  return (
    <div className="py-2">
      <Sideways label="The strip of its years">
        <svg
          viewBox={`0 0 ${WIDE} ${height}`}
          width={WIDE}
          height={height}
          role="img"
          aria-label={`${marks.length} marks from ${first} to ${last}; the list below tells them.`}
          className="max-w-none text-ink wide:w-full wide:h-auto"
        >
          <defs>
            <pattern id="leafing" width="5" height="5" patternUnits="userSpaceOnUse">
              <path d="M0 5L5 0" stroke="var(--leaf)" strokeWidth="1" />
            </pattern>
            <pattern id="flowering" width="4" height="4" patternUnits="userSpaceOnUse">
              <circle cx="2" cy="2" r="1" fill="var(--ink)" />
            </pattern>
            <pattern id="fruiting" width="4" height="4" patternUnits="userSpaceOnUse">
              <path d="M0 2H4M2 0V4" stroke="var(--ink)" strokeWidth="0.8" />
            </pattern>
          </defs>
          {STARTS.map((s, m) => (
            <g key={s}>
              <path d={`M${x(s)} 14V${height - 4}`} stroke="var(--rule)" strokeWidth="0.8" />
              <text x={x(s + 15)} y="11" textAnchor="middle" className="fill-faded text-xs">
                {MONTHS[m]}
              </text>
            </g>
          ))}
          {expected.map((e) =>
            spans(e.from, e.to).map(([a, b]) => (
              <rect
                key={e.phase + a}
                x={x(a)}
                y={18 + (BAND[e.phase]?.y ?? 0)}
                width={x(b) - x(a)}
                height="7"
                fill={BAND[e.phase]?.hatch ?? "none"}
                stroke="var(--ink)"
                strokeWidth="0.6"
              />
            )),
          )}
          {listed.map((year, row) => {
            const y = HEAD + row * ROW + ROW / 2;
            return (
              <g key={year}>
                <text x="2" y={y + 4} className="figures fill-ink text-sm font-semibold">
                  {year}
                </text>
                <path d={`M${LEFT} ${y}H${WIDE - 8}`} stroke="var(--ink)" strokeWidth="0.8" />
                {spread(marks.filter((m) => m.on.startsWith(String(year)))).map(([m, at, up]) => (
                  <g key={m.on + m.kind + m.what} transform={`translate(${at} ${y + up})`}>
                    <title>{`${dayWords(m.on)}: ${m.what}`}</title>
                    {KIND[m.kind].shape}
                  </g>
                ))}
              </g>
            );
          })}
        </svg>
      </Sideways>
      <p className="flex flex-wrap gap-x-4 text-sm text-faded">
        {used.map((k) => (
          <span key={k} className="inline-flex items-center gap-1">
            <svg viewBox="-8 -9 16 18" width="18" height="20" aria-hidden="true">
              {KIND[k].shape}
            </svg>
            {KIND[k].word}
          </span>
        ))}
        {expected.length > 0 && <span>Above: when its kind leafs (slanted), flowers (dotted), fruits (crossed) at this place.</span>}
      </p>
      <details className="mt-1">
        <summary className="min-h-11 content-center">All {marks.length} in words</summary>
        <ul>
          {[...marks].reverse().map((m, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: they stand as they happened
            <li key={i} className="rule-b flex justify-between gap-3 py-1">
              <span>
                {m.kind === "harvest" ? "taken: " : ""}
                {m.what}
                {m.by && <span className="text-faded">, {m.by}</span>}
              </span>
              <span className="figures text-sm text-faded">{dayWords(m.on)}</span>
            </li>
          ))}
        </ul>
      </details>
    </div>
  );
}

/** Around the turn of the year in two pieces. */
const spans = (from: number, to: number): [number, number][] =>
  to >= from
    ? [[from, to]]
    : [
        [from, 365],
        [0, to],
      ];

/** Marks of one year side by side: what falls together is set above and below the line, then to the right. */
function spread(marks: Mark[]): [Mark, number, number][] {
  const set: [number, number][] = [];
  return marks.map((m) => {
    let at = x(dayOfYear(m.on));
    for (;;) {
      for (const up of [0, -14, 14]) {
        if (!set.some(([a, u]) => u === up && Math.abs(a - at) < 15)) {
          set.push([at, up]);
          return [m, at, up];
        }
      }
      at += 8;
    }
  });
}
