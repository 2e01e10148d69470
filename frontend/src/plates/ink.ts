/** What every drawing is made of: points, curves, and chance that is always the same. */

export type Point = readonly [number, number];

/** The same seed, the same drawing. */
export function chance(seed: string): () => number {
  let state = 2166136261;
  for (const c of seed) state = Math.imul(state ^ c.charCodeAt(0), 16777619);
  return () => {
    state = Math.imul(state ^ (state >>> 15), state | 1);
    state ^= state + Math.imul(state ^ (state >>> 7), state | 61);
    return ((state ^ (state >>> 14)) >>> 0) / 4294967296;
  };
}

/** Points as one writes them down: at`0 0, 3 ${-high}`. */
export const pts = (words: TemplateStringsArray, ...values: number[]): Point[] => {
  const text = words.map((word, i) => `${word}${values[i] ?? ""}`).join("");
  return text.split(",").map((pair) => {
    const [x = 0, y = 0] = pair.trim().split(/\s+/).map(Number);
    return [x, y] as Point;
  });
};

const n = (value: number): string => (Math.round(value * 100) / 100).toString();
const spot = ([x, y]: Point): string => `${n(x)} ${n(y)}`;

/** Straight from point to point. */
export const line = (points: readonly Point[], closed = false): string =>
  points.length === 0 ? "" : `M${points.map(spot).join("L")}${closed ? "Z" : ""}`;

/** A curve through all points (Catmull and Rom). */
export function curve(points: readonly Point[], closed = false): string {
  const count = points.length;
  if (count < 3) return line(points, closed);
  const p = (i: number): Point => (closed ? points[(i + count) % count] : points[Math.min(count - 1, Math.max(0, i))]) as Point;
  let path = `M${spot(p(0))}`;
  for (let i = 0; i < (closed ? count : count - 1); i++) {
    const [a, b, c, d] = [p(i - 1), p(i), p(i + 1), p(i + 2)];
    path += `C${spot([b[0] + (c[0] - a[0]) / 6, b[1] + (c[1] - a[1]) / 6])} ${spot([c[0] - (d[0] - b[0]) / 6, c[1] - (d[1] - b[1]) / 6])} ${spot(c)}`;
  }
  return closed ? `${path}Z` : path;
}

/** So far from a point, in degrees clockwise from straight up. */
export const going = ([x, y]: Point, degrees: number, far: number): Point => {
  const angle = (degrees * Math.PI) / 180;
  return [x + Math.sin(angle) * far, y - Math.cos(angle) * far];
};

export const between = (a: Point, b: Point, t: number): Point => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];

/** An ellipse as a path. */
export const round = ([x, y]: Point, rx: number, ry = rx): string =>
  `M${n(x - rx)} ${n(y)}a${n(rx)} ${n(ry)} 0 1 0 ${n(2 * rx)} 0a${n(rx)} ${n(ry)} 0 1 0 ${n(-2 * rx)} 0Z`;

/** Evenly spaced numbers from a to b. */
export function spread(a: number, b: number, count: number): number[] {
  return Array.from({ length: count }, (_, i) => (count === 1 ? (a + b) / 2 : a + ((b - a) * i) / (count - 1)));
}

/** Colours as the floras name them; the ink of the line is the page's own. */
export const TINT: Record<string, string> = {
  black: "#2e2a34",
  red: "#b8262c",
  orange: "#d9702a",
  green: "#86a356",
  brown: "#8d5c36",
  blue: "#4c6294",
  yellow: "#e3bd3c",
  purple: "#5d3766",
  pink: "#dc8ba8",
  white: "#fcfbf5",
  cream: "#f4edca",
  greenish: "#ccd88e",
  reddish: "#b4535f",
  violet: "#8763ab",
  grey: "#a3a9a5",
  "grey-brown": "#9c8d79",
  "red-brown": "#9a5a40",
  olive: "#82864a",
  "plain-brown": "#85684c",
  yellowish: "#c9ab6b",
  "orange-brown": "#b4723f",
  "yellow-brown": "#b39452",
  leaf: "#b9caa0",
  needle: "#8fa97e",
  wood: "#d9c4a0",
  husk: "#a9b45f",
};
export const tint = (name: string | undefined, otherwise = "leaf"): string => TINT[name ?? ""] ?? TINT[otherwise] ?? "#bbb";
