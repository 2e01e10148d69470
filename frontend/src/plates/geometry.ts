/** Outlines of leaf blades and lines of their edges, as SVG path data, from the words of a description. */

export type Blade = "lance" | "egg" | "round" | "wedge" | "strap" | "diamond";
export type Margin = "smooth" | "fine-teeth" | "middling-teeth" | "coarse-teeth" | "double-teeth" | "bristle-teeth" | "spiny" | "round-teeth";

/** Half the width of a blade, as a share of its length, at t from its foot (0) to its tip (1). */
const HALF_WIDTH: Record<Blade, (t: number) => number> = {
  lance: (t) => 0.15 * Math.sin(Math.PI * t ** 0.85) ** 0.9,
  egg: (t) => 0.26 * Math.sin(Math.PI * t ** 0.75) ** 0.85,
  round: (t) => 0.46 * Math.sin(Math.PI * t ** 0.72) ** 0.6,
  strap: (t) => 0.07 * Math.sin(Math.PI * t) ** 0.5,
  diamond: (t) => 0.34 * (t < 0.32 ? t / 0.32 : (1 - t) / 0.68) ** 0.9,
  wedge: (t) => 0.24 * Math.sin(Math.PI * t ** 1.9) ** 0.9,
};

const TEETH: Record<Margin, { count: number; depth: number }> = {
  smooth: { count: 0, depth: 0 },
  "fine-teeth": { count: 15, depth: 0.035 },
  "middling-teeth": { count: 11, depth: 0.05 },
  "coarse-teeth": { count: 7, depth: 0.075 },
  "double-teeth": { count: 7, depth: 0.065 },
  spiny: { count: 6, depth: 0.12 },
  "round-teeth": { count: 8, depth: 0.05 },
  "bristle-teeth": { count: 9, depth: 0.1 },
};

/** How far the edge stands out at t, as a share of the length. */
export function tooth(margin: Margin, t: number): number {
  const { count, depth } = TEETH[margin];
  if (count === 0) return 0;
  const phase = (t * count) % 1;
  if (margin === "round-teeth") return depth * Math.sin(Math.PI * phase);
  if (margin === "spiny") return depth * Math.max(0, phase - 0.5) * 2;
  if (margin === "bristle-teeth") return depth * Math.max(0, phase - 0.72) * 3.2;
  if (margin === "double-teeth") return depth * phase * 0.8 + depth * 0.45 * ((t * count * 3) % 1);
  return depth * phase;
}

const round = (n: number): string => n.toFixed(1);

export type Base = "equal" | "lopsided" | "heart";
export type Lobes = { kind: "none" | "finger" | "feather" | "odd"; tips: "rounded" | "pointed" | "bristle"; depth: "shallow" | "half" | "deep" };

const CUT: Record<Lobes["depth"], number> = { shallow: 0.3, half: 0.52, deep: 0.74 };
const FEATHER_LOBES = 4;
/** Fingers of a hand-shaped blade: direction in degrees from straight up, share of the longest. */
const FINGERS: [number, number][] = [
  [-118, 0.58],
  [-60, 0.88],
  [0, 1],
  [60, 0.88],
  [118, 0.58],
];

/** What is left of the half width at t between the lobes of a feather-lobed or mitten-shaped blade, 0 to 1. */
function left(lobes: Lobes, t: number, sign: 1 | -1): number {
  const cut = CUT[lobes.depth];
  if (lobes.kind === "odd") return sign === 1 && t > 0.42 ? 1 - cut * Math.exp(-(((t - 0.56) / 0.07) ** 2)) : 1;
  if (lobes.kind !== "feather" || t > 0.94) return 1;
  const wave = 0.5 + 0.5 * Math.cos(2 * Math.PI * t * FEATHER_LOBES);
  return 1 - cut * (lobes.tips === "rounded" ? wave ** 2 : wave);
}

/** A closed blade with its foot at (x, y), of that length, pointing up. */
export function blade(x: number, y: number, length: number, shape: Blade, margin: Margin = "smooth", lobes?: Lobes, base: Base = "equal"): string {
  if (lobes?.kind === "finger") return hand(x, y, length, lobes);
  const steps = margin === "smooth" && !lobes ? 24 : 90;
  const wide = lobes?.kind === "feather" ? 1.45 : lobes?.kind === "odd" ? 1.2 : 1;
  const side = (sign: 1 | -1): [number, number][] =>
    Array.from({ length: steps + 1 }, (_, i) => {
      const t = i / steps;
      const fade = Math.sin(Math.PI * Math.min(1, Math.max(0, t))) ** 0.4;
      const half = HALF_WIDTH[shape](t) * wide * (lobes ? left(lobes, t, sign) : 1);
      const drop = base === "heart" || (base === "lopsided" && sign === 1) ? 0.17 * Math.sin(Math.PI * Math.min(1, t / 0.24)) : 0;
      return [x + sign * length * (half + tooth(margin, t) * fade), y - (t - drop) * length];
    });
  const points = [...side(1), ...side(-1).reverse()];
  return `M${points.map(([px, py]) => `${round(px)} ${round(py)}`).join("L")}Z`;
}

/** A blade lobed like a hand, round a point a third up from its foot. */
function hand(x: number, y: number, length: number, lobes: Lobes): string {
  const middle = y - length * 0.34;
  const reach = length * 0.66;
  const at = (degrees: number, share: number): string => {
    const angle = (degrees * Math.PI) / 180;
    return `${round(x + Math.sin(angle) * reach * share)} ${round(middle - Math.cos(angle) * reach * share)}`;
  };
  const gap = 1 - CUT[lobes.depth];
  const parts = FINGERS.map(([angle, share], i) => {
    const next = FINGERS[i + 1];
    const tip =
      lobes.tips === "rounded"
        ? `Q${at(angle - 20, share)} ${at(angle, share)}Q${at(angle + 20, share)} `
        : `Q${at(angle - 15, share * 0.78)} ${at(angle, share)}Q${at(angle + 15, share * 0.78)} `;
    return tip + (next ? at((angle + next[0]) / 2, gap * Math.min(share, next[1])) : `${round(x)} ${round(y)}`);
  });
  return `M${round(x)} ${round(y)}${parts.join("")}Z`;
}

/** A piece of edge, seen from close by, from (x, y) to the right. */
export function edge(x: number, y: number, width: number, margin: Margin): string {
  const steps = 160;
  const zoom = margin === "fine-teeth" ? 3.2 : 2;
  const points = Array.from({ length: steps + 1 }, (_, i) => {
    const t = (i / steps) * 0.55;
    return `${round(x + (i / steps) * width)} ${round(y - tooth(margin, t) * width * zoom)}`;
  });
  return `M${points.join("L")}`;
}

/** Evenly spaced numbers from a to b. */
export function spread(a: number, b: number, count: number): number[] {
  return Array.from({ length: count }, (_, i) => (count === 1 ? (a + b) / 2 : a + ((b - a) * i) / (count - 1)));
}
