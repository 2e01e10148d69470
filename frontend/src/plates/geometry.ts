/** Outlines of leaf blades and lines of their edges, as SVG path data, from the words of a description. */

export type Blade = "lance" | "egg" | "round" | "wedge" | "strap" | "diamond";
export type Margin = "smooth" | "fine-teeth" | "coarse-teeth" | "double-teeth" | "bristle-teeth" | "spiny" | "round-teeth";

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

/** A closed blade with its foot at (x, y), of that length, pointing up. */
export function blade(x: number, y: number, length: number, shape: Blade, margin: Margin = "smooth"): string {
  const steps = margin === "smooth" ? 24 : 90;
  const side = (sign: 1 | -1): [number, number][] =>
    Array.from({ length: steps + 1 }, (_, i) => {
      const t = i / steps;
      const fade = Math.sin(Math.PI * Math.min(1, Math.max(0, t))) ** 0.4;
      return [x + sign * length * (HALF_WIDTH[shape](t) + tooth(margin, t) * fade), y - t * length];
    });
  const points = [...side(1), ...side(-1).reverse()];
  return `M${points.map(([px, py]) => `${round(px)} ${round(py)}`).join("L")}Z`;
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
