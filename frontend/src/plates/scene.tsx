import { curve, line, type Point } from "./ink";

/** One line or patch of a drawing, in millimetres of the thing itself; upward is negative. */
export type Mark = { p: readonly Point[]; closed?: boolean; bent?: boolean; fill?: string; w?: number; soft?: boolean };

export const patch = (p: readonly Point[], fill: string, bent = true, w = 1): Mark => ({ p, closed: true, bent, fill, w });
export const stroke = (p: readonly Point[], w = 1, bent = true): Mark => ({ p, bent, w });
/** Engraver’s marks: thin and faint. */
export const hair = (p: readonly Point[], bent = false): Mark => ({ p, bent, w: 0.5, soft: true });
export const disc = ([x, y]: Point, rx: number, fill: string, ry = rx): Mark =>
  patch(
    Array.from({ length: 12 }, (_, i) => [x + rx * Math.cos((i * Math.PI) / 6), y + ry * Math.sin((i * Math.PI) / 6)] as Point),
    fill,
  );

/** Turned clockwise round 0, 0, made larger, and moved. */
export const placed = (marks: readonly Mark[], [x, y]: Point, degrees = 0, times = 1, mirrored = false): Mark[] => {
  const [sin, cos] = [Math.sin((degrees * Math.PI) / 180), Math.cos((degrees * Math.PI) / 180)];
  const flip = mirrored ? -1 : 1;
  return marks.map((m) => ({
    ...m,
    p: m.p.map(([px, py]) => [x + times * (flip * px * cos - py * sin), y + times * (flip * px * sin + py * cos)] as Point),
  }));
};

const RULES = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10_000, 20_000];
const ruleWords = (mm: number): string => (mm < 10 ? `${mm} mm` : mm < 1000 ? `${mm / 10} cm` : `${mm / 1000} m`);

export type Box = { left: number; top: number; right: number; bottom: number };
export function bounds(marks: readonly Mark[]): Box {
  const box = { left: Number.POSITIVE_INFINITY, top: Number.POSITIVE_INFINITY, right: Number.NEGATIVE_INFINITY, bottom: Number.NEGATIVE_INFINITY };
  for (const m of marks)
    for (const [x, y] of m.p) {
      box.left = Math.min(box.left, x);
      box.right = Math.max(box.right, x);
      box.top = Math.min(box.top, y);
      box.bottom = Math.max(box.bottom, y);
    }
  return Number.isFinite(box.left) ? box : { left: 0, top: 0, right: 1, bottom: 1 };
}

/** So large may a millimetre be that all of it goes in. */
export const scaleOf = (marks: readonly Mark[], wide: number, high: number): number => {
  const b = bounds(marks);
  return Math.min(wide / Math.max(0.1, b.right - b.left), high / Math.max(0.1, b.bottom - b.top));
};

/** Lines of one kind that follow each other are one path: a page holds many drawings. Patches lie over each other, and stay apart. */
function inked(marks: readonly Mark[]): { like: Mark; all: Mark[] }[] {
  const runs: { like: Mark; all: Mark[] }[] = [];
  for (const m of marks) {
    const last = runs[runs.length - 1];
    if (last && !m.fill && !last.like.fill && last.like.w === m.w && last.like.soft === m.soft) last.all.push(m);
    else runs.push({ like: m, all: [m] });
  }
  return runs;
}

/** A drawing fitted into a field, with a rule beside it; of several drawn to one scale, that scale is given. */
export function Scene({
  marks,
  wide,
  high,
  rule = true,
  scale,
  least = 0,
  ink = 1,
}: {
  marks: readonly Mark[];
  wide: number;
  high: number;
  rule?: boolean;
  scale?: number;
  /** What is smaller than so many millimetres is drawn smaller than the field. */
  least?: number;
  ink?: number;
}) {
  const room = rule ? high - 9 : high;
  const k = scale ?? Math.min(scaleOf(marks, wide - 4, room - 4), least > 0 ? (wide - 4) / least : Number.POSITIVE_INFINITY);
  const b = bounds(marks);
  const [dx, dy] = [wide / 2 - (k * (b.left + b.right)) / 2, room / 2 - (k * (b.top + b.bottom)) / 2];
  const to = (p: readonly Point[]): Point[] => p.map(([x, y]) => [x * k + dx, y * k + dy] as Point);
  const length = RULES.filter((mm) => mm * k <= wide * 0.42).pop();
  return (
    <g fill="none" stroke="currentColor" strokeLinecap="round" strokeLinejoin="round">
      {inked(marks).map(({ like: m, all }, i) => (
        <path
          // biome-ignore lint/suspicious/noArrayIndexKey: a line is where it is drawn
          key={i}
          d={all.map((one) => (one.bent ? curve(to(one.p), one.closed) : line(to(one.p), one.closed))).join("")}
          {...(m.fill && { fill: m.fill })}
          {...(m.w === 0 ? { stroke: "none" } : { strokeWidth: (m.w ?? 1) * 0.85 * ink })}
          {...(m.soft && { opacity: 0.65 })}
        />
      ))}
      {rule && length !== undefined && (
        <g>
          <path d={`M4 ${high - 4}h${length * k}m0 -2v4m${-length * k} 0v-4`} strokeWidth="0.8" />
          <text x={7 + length * k} y={high - 2} fontSize="6.5" fill="currentColor" stroke="none">
            {ruleWords(length)}
          </text>
        </g>
      )}
    </g>
  );
}
