import { between, type Point, pts } from "./ink";

/** Blades: the true edge, and the veins that go with it, from the words and figures of a description. Foot at 0, 0; upward is negative. */

export type BladeShape = "lance" | "egg" | "round" | "wedge" | "strap" | "diamond";
export type Margin = "smooth" | "saw-teeth" | "double-teeth" | "bristle-teeth" | "spiny" | "round-teeth";
export type Lobes = {
  kind: "none" | "finger" | "feather" | "odd";
  tips: "rounded" | "pointed" | "bristle";
  depth: "shallow" | "half" | "deep";
  count: number;
};
export type BladeOf = {
  shape: BladeShape;
  /** Long and wide in the same unit; the drawing has it too. */
  length: number;
  width: number;
  margin: Margin;
  teeth: "fine" | "middling" | "coarse";
  teethWhere: "all" | "upper" | "few";
  base: "equal" | "lopsided" | "heart";
  tip: "rounded" | "notched" | "pointed" | "drawn-out";
  lobes: Lobes;
  veins: "straight" | "arching" | "netted";
  pairs: number;
};
export type BladeDrawn = { edge: Point[]; midrib: Point[]; veins: Point[][]; bristles: Point[][] };

/** How wide at t from foot to tip, as a share of the widest: a power of each end. */
const PROFILE: Record<BladeShape, [number, number]> = {
  lance: [0.75, 1.05],
  egg: [0.55, 1.05],
  round: [0.48, 0.52],
  wedge: [1.15, 0.5],
  strap: [0.22, 0.25],
  diamond: [0.9, 1.1],
};
const CUT: Record<Lobes["depth"], number> = { shallow: 0.3, half: 0.52, deep: 0.78 };
const TEETH = { fine: 0.028, middling: 0.05, coarse: 0.1 } as const;

function profile(of: BladeOf, t: number): number {
  const [a, b] = PROFILE[of.shape];
  const tail = of.tip === "drawn-out" ? 0.14 : 0;
  const u = Math.min(1, t / (1 - tail));
  if (tail > 0 && t > 1 - tail * 1.6) {
    const start = 1 - tail * 1.6;
    const from = profile({ ...of, tip: "pointed" }, start / (1 - tail));
    return from * (1 - (t - start) / (1 - start)) ** 1.5;
  }
  if (of.shape === "diamond") return u < 0.4 ? (u / 0.4) ** 0.95 : ((1 - u) / 0.6) ** 1.02;
  const top = a / (a + b);
  const most = top ** a * (1 - top) ** b;
  const blunt = of.tip === "rounded" || of.tip === "notched" ? b * 0.55 : b;
  const value = (u ** a * (1 - u) ** blunt) / most;
  return Math.min(value, blunt === b ? value : (1.02 * (top ** a * (1 - top) ** blunt)) / most);
}

/** One side from the foot to the tip, without teeth. */
function side(of: BladeOf, sign: 1 | -1): Point[] {
  const half = of.width / 2;
  const points: Point[] = [];
  const steps = 60;
  for (let i = 0; i <= steps; i++) {
    const t = i / steps;
    const heart = of.base === "heart" ? 0.16 * Math.sin(Math.PI * Math.min(1, t / 0.22)) : 0;
    const lop = of.base === "lopsided" && sign === 1 ? 0.15 * Math.sin(Math.PI * Math.min(1, t / 0.3)) : 0;
    const notch = of.tip === "notched" && t > 0.94 ? 0.05 * ((t - 0.94) / 0.06) ** 2 : 0;
    const full = of.base === "heart" ? Math.max(profile(of, t), t < 0.2 ? profile(of, 0.2) * (t / 0.2) ** 0.4 : 0) : profile(of, t);
    points.push([sign * half * full, -(t - heart - lop - notch) * of.length]);
  }
  return points;
}

/** Lobes like a feather's: sinus, shoulder and tip, pointing forward. */
function feathered(of: BladeOf, sign: 1 | -1): { points: Point[]; tips: { at: Point; from: number }[]; bristles: Point[][] } {
  const pairs = Math.max(2, Math.round((of.lobes.count - 1) / 2));
  const cut = CUT[of.lobes.depth];
  const points: Point[] = [[0, 0]];
  const tips: { at: Point; from: number }[] = [];
  const bristles: Point[][] = [];
  const half = of.width / 2;
  const blunt = of.lobes.tips === "rounded";
  const w = (t: number) =>
    half *
    (blunt ? profile({ ...of, shape: of.shape === "lance" ? "egg" : of.shape, tip: "rounded" }, t) : Math.sin(Math.PI * (0.16 + 0.66 * t)) ** 0.7);
  for (let i = 0; i < pairs; i++) {
    const from = 0.1 + (0.74 * i) / pairs;
    const to = 0.1 + (0.74 * (i + 1)) / pairs;
    const tip = Math.min(0.97, from + (to - from) * (blunt ? 0.72 : 0.85));
    const out = w((from + to) / 2) * 1.02;
    const y = (t: number) => -t * of.length;
    points.push([sign * Math.max(of.width * 0.05, w(from) * (1 - cut) * (i === 0 ? 0.5 : 1)), y(from)]);
    if (blunt) {
      points.push([sign * out * 0.86, y(from + (tip - from) * 0.42)], [sign * out, y(tip)], [sign * out * 0.82, y(tip + (to - from) * 0.16)]);
    } else {
      const up = to + (to - from) * 0.12;
      points.push(
        [sign * out * 0.5, y(from + (up - from) * 0.34)],
        [sign * out * 0.86, y(from + (up - from) * 0.72)],
        [sign * out * 1.04, y(up)],
        [sign * out * 0.7, y(up - (to - from) * 0.06)],
        [sign * w(to) * (1 - cut) * 1.5, y(to + (to - from) * 0.06)],
      );
    }
    const end: Point = blunt ? [sign * out, y(tip)] : [sign * out * 1.04, y(to + (to - from) * 0.12)];
    tips.push({ at: end, from: from * 0.85 });
    if (of.lobes.tips === "bristle") bristles.push([end, [end[0] * 1.12, end[1] - of.length * 0.025]]);
  }
  points.push([sign * w(0.84) * (1 - cut * 0.6) * 0.6, -0.86 * of.length]);
  if (blunt) points.push([sign * half * 0.34, -0.95 * of.length]);
  else points.push([sign * half * 0.3, -0.92 * of.length], [sign * half * 0.08, -0.95 * of.length]);
  points.push([0, -of.length]);
  return { points, tips, bristles };
}

/** Lobes like a hand's: fingers from a point near the foot. */
function handed(of: BladeOf): { points: Point[]; veins: Point[][] } {
  const fingers = of.lobes.count <= 3 ? 3 : of.lobes.count >= 7 ? 7 : 5;
  const palm: Point = [0, -of.length * 0.24];
  const reach = of.length * 0.76;
  const wide = of.width / 2 / reach;
  const angles = fingers === 3 ? [-62, 0, 62] : fingers === 7 ? [-122, -80, -40, 0, 40, 80, 122] : [-108, -56, 0, 56, 108];
  const long = angles.map((a) => (Math.abs(a) > 100 ? 0.55 : Math.abs(a) > 50 ? Math.min(1, wide / Math.sin((Math.abs(a) * Math.PI) / 180)) : 1));
  const cut = CUT[of.lobes.depth];
  const spot = (degrees: number, share: number): Point => [
    palm[0] + Math.sin((degrees * Math.PI) / 180) * reach * share,
    palm[1] - Math.cos((degrees * Math.PI) / 180) * reach * share,
  ];
  const points: Point[] = [[0, 0]];
  const blunt = of.lobes.tips === "rounded";
  angles.forEach((angle, i) => {
    const l = long[i] ?? 1;
    const gap = ((angles[i + 1] ?? angle + 50) - angle) / 2;
    const before = i === 0 ? 24 : (angle - (angles[i - 1] ?? angle)) / 2;
    if (blunt) points.push(spot(angle - before * 0.5, l * 0.86), spot(angle, l), spot(angle + gap * 0.5, l * 0.86));
    else {
      const shoulder = l * (of.margin === "smooth" ? 0.62 : 0.7);
      points.push(
        spot(angle - before * 0.42, shoulder),
        spot(angle - before * 0.22, l * 0.8),
        spot(angle, l),
        spot(angle + gap * 0.22, l * 0.8),
        spot(angle + gap * 0.42, shoulder),
      );
    }
    if (i < angles.length - 1) points.push(spot(angle + gap, (1 - cut) * Math.min(l, long[i + 1] ?? 1)));
  });
  return { points, veins: angles.map((a, i) => [[0, 0], palm, spot(a, (long[i] ?? 1) * 0.92)] as Point[]) };
}

/** Teeth along an edge, each out from it and forward. */
function toothed(of: BladeOf, edge: Point[], sign: 1 | -1): { points: Point[]; tips: Point[]; bristles: Point[][] } {
  if (of.margin === "smooth") return { points: edge, tips: [], bristles: [] };
  const reach = [0];
  for (let i = 1; i < edge.length; i++) {
    const [a, b] = [edge[i - 1] as Point, edge[i] as Point];
    reach.push((reach[i - 1] ?? 0) + Math.hypot(b[0] - a[0], b[1] - a[1]));
  }
  const total = reach[reach.length - 1] ?? 1;
  const spot = (s: number): Point => {
    let i = 1;
    while (i < reach.length - 1 && (reach[i] ?? 0) < s) i++;
    const [from, to] = [reach[i - 1] ?? 0, reach[i] ?? 1];
    return between(edge[i - 1] as Point, edge[i] as Point, to > from ? (s - from) / (to - from) : 0);
  };
  const coarse =
    of.margin === "bristle-teeth" || of.margin === "double-teeth"
      ? Math.max(TEETH.middling * 1.25, TEETH[of.teeth])
      : of.margin === "spiny"
        ? 0.15
        : TEETH[of.teeth];
  const pitch = of.length * coarse;
  const begin = of.teethWhere === "upper" ? 0.5 : of.teethWhere === "few" ? 0.55 : of.margin === "spiny" ? 0.08 : 0.12;
  const count = Math.max(3, Math.round((total * (0.98 - begin)) / pitch));
  const points: Point[] = [];
  const tips: Point[] = [];
  const bristles: Point[][] = [];
  for (let s = 0; s < begin; s += 0.02) points.push(spot(s * total));
  for (let k = 0; k < count; k++) {
    const s0 = total * (begin + ((0.98 - begin) * k) / count);
    const s1 = total * (begin + ((0.98 - begin) * (k + 1)) / count);
    const [a, b] = [spot(s0), spot(s1)];
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
    const size = Math.hypot(dx, dy) || 1;
    const out: Point = [(-dy / size) * sign, (dx / size) * sign];
    const deep =
      size *
      (of.margin === "round-teeth" ? 0.42 : of.margin === "spiny" ? 0.7 : of.margin === "bristle-teeth" ? 0.5 : 0.55) *
      (of.teeth === "fine" ? 0.75 : 1);
    const tip: Point = [
      a[0] + dx * (of.margin === "round-teeth" ? 0.5 : 0.8) + out[0] * deep,
      a[1] + dy * (of.margin === "round-teeth" ? 0.5 : 0.8) + out[1] * deep,
    ];
    points.push(a);
    if (of.margin === "round-teeth") {
      points.push([a[0] + dx * 0.12 + out[0] * deep * 0.7, a[1] + dy * 0.12 + out[1] * deep * 0.7], tip, [
        a[0] + dx * 0.88 + out[0] * deep * 0.7,
        a[1] + dy * 0.88 + out[1] * deep * 0.7,
      ]);
    } else if (of.margin === "double-teeth") {
      points.push(
        [a[0] + dx * 0.34 + out[0] * deep * 0.62, a[1] + dy * 0.34 + out[1] * deep * 0.62],
        [a[0] + dx * 0.36 + out[0] * deep * 0.3, a[1] + dy * 0.36 + out[1] * deep * 0.3],
        tip,
      );
    } else points.push(tip);
    tips.push(tip);
    if (of.margin === "bristle-teeth" || of.margin === "spiny")
      bristles.push([tip, [tip[0] + (dx * 0.3 + out[0] * deep * 0.35), tip[1] + (dy * 0.3 + out[1] * deep * 0.35)]]);
  }
  points.push(edge[edge.length - 1] as Point);
  return { points, tips, bristles };
}

/** The blade with its foot at 0, 0. */
export function blade(of: BladeOf): BladeDrawn {
  const midrib: Point[] = pts`0 0, 0 ${-of.length * 0.97}`;
  if (of.lobes.kind === "finger") {
    const hand = handed(of);
    return { edge: hand.points, midrib, veins: hand.veins, bristles: [] };
  }
  if (of.lobes.kind === "feather") {
    const [right, leftSide] = [feathered(of, 1), feathered(of, -1)];
    const veins = [...right.tips, ...leftSide.tips].map(
      ({ at, from }) => [[0, -from * of.length], between([0, -from * of.length], at, 0.9)] as Point[],
    );
    return { edge: [...right.points, ...leftSide.points.slice(1, -1).reverse()], midrib, veins, bristles: [...right.bristles, ...leftSide.bristles] };
  }
  const one = (sign: 1 | -1) => {
    let smooth = side(of, sign);
    if (of.lobes.kind === "odd" && sign === 1) {
      smooth = smooth.map(([x, y], i) => {
        const t = i / (smooth.length - 1);
        return [x * (1 - 0.62 * Math.exp(-(((t - 0.6) / 0.06) ** 2))) * (t < 0.56 ? 1.18 : 0.92), y] as Point;
      });
    }
    return { smooth, ...toothed(of, smooth, sign) };
  };
  const [right, leftSide] = [one(1), one(-1)];
  const veins: Point[][] = [];
  for (const { smooth, tips, sign } of [
    { ...right, sign: 1 },
    { ...leftSide, sign: -1 },
  ]) {
    const pairs = Math.max(3, Math.min(14, of.pairs));
    for (let k = 0; k < pairs; k++) {
      const from = 0.06 + (0.78 * k) / pairs;
      const start: Point = [0, -from * of.length];
      const i = Math.min(smooth.length - 2, Math.round((from + (of.veins === "arching" ? 0.3 : 0.16)) * smooth.length));
      const goal = smooth[i] as Point;
      if (of.veins === "straight") {
        const near = tips.reduce<Point>(
          (best, tip) => (Math.hypot(tip[0] - goal[0], tip[1] - goal[1]) < Math.hypot(best[0] - goal[0], best[1] - goal[1]) ? tip : best),
          goal,
        );
        veins.push([start, between(start, tips.length > 0 ? near : goal, 0.97)]);
      } else if (of.veins === "arching") {
        const inside = (t: number): Point => {
          const e = smooth[Math.min(smooth.length - 1, Math.round(t * smooth.length))] as Point;
          return [e[0] * 0.84, e[1]];
        };
        veins.push([start, [sign * of.width * 0.16, start[1] - of.length * 0.05], inside(from + 0.22), inside(Math.min(0.96, from + 0.42))]);
      } else {
        const bent = between(start, goal, 0.6);
        veins.push([start, [bent[0], bent[1] + of.length * 0.012], [goal[0] * 0.86, goal[1] - of.length * 0.02]]);
      }
    }
  }
  return { edge: [...right.points, ...leftSide.points.slice(0, -1).reverse()], midrib, veins, bristles: [...right.bristles, ...leftSide.bristles] };
}
