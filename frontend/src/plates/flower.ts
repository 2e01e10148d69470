import { between, going, type Point, pts, spread, TINT, tint } from "./ink";
import { disc, hair, type Mark, patch, placed, stroke } from "./scene";
import type { Traits } from "./traits";

const GREEN = TINT.green ?? "#8a5";

/** One flower looked into, its middle at 0, 0. */
function faced(t: Traits, size: number): Mark[] {
  const kind = t.usual<string>("flower.kind") ?? "wheel";
  const fill = tint(t.usual<string>("flower.colour"), "white");
  const petals = Math.max(3, Math.min(9, t.count("flower.petals") ?? 5));
  const r = size / 2;
  const anther = tint(t.usual<string>("flower.anthers"), "yellow");
  const marks: Mark[] = [];
  if (kind === "pea") {
    return [
      patch(pts`0 ${r * 0.2}, ${-r * 0.95} ${-r * 0.5}, ${-r * 0.6} ${-r}, 0 ${-r * 0.84}, ${r * 0.6} ${-r}, ${r * 0.95} ${-r * 0.5}`, fill),
      patch(pts`0 ${r * 0.1}, ${-r * 0.55} ${r * 0.1}, ${-r * 0.62} ${r * 0.66}, ${-r * 0.1} ${r * 0.8}`, fill),
      patch(pts`0 ${r * 0.1}, ${r * 0.55} ${r * 0.1}, ${r * 0.62} ${r * 0.66}, ${r * 0.1} ${r * 0.8}`, fill),
      patch(pts`${-r * 0.16} ${r * 0.15}, ${r * 0.16} ${r * 0.15}, ${r * 0.1} ${r}, ${-r * 0.1} ${r}`, fill),
      hair(pts`${-r * 0.3} ${-r * 0.7}, ${-r * 0.1} ${-r * 0.1}`),
      hair(pts`${r * 0.3} ${-r * 0.7}, ${r * 0.1} ${-r * 0.1}`),
    ];
  }
  if (kind === "bell" || kind === "funnel") {
    const flare = kind === "bell" ? 0.62 : 1;
    return [
      stroke(pts`0 ${-r * 1.3}, 0 ${-r * 0.9}`, 1, false),
      patch(
        pts`0 ${-r * 0.95}, ${r * (kind === "bell" ? 0.6 : 0.3)} ${-r * 0.7}, ${r * flare * 0.9} ${r * 0.7}, ${r * flare * 1.08} ${r}, ${r * 0.4} ${r * 0.82}, 0 ${r * 1.05}, ${-r * 0.4} ${r * 0.82}, ${-r * flare * 1.08} ${r}, ${-r * flare * 0.9} ${r * 0.7}, ${-r * (kind === "bell" ? 0.6 : 0.3)} ${-r * 0.7}`,
        fill,
      ),
    ];
  }
  if (kind === "two-lipped" || kind === "spotted") {
    marks.push(
      patch(
        pts`${-r * 0.3} ${r * 0.1}, ${-r * 0.8} ${-r * 0.4}, ${-r * 0.5} ${-r}, 0 ${-r * 0.7}, ${r * 0.5} ${-r}, ${r * 0.8} ${-r * 0.4}, ${r * 0.3} ${r * 0.1}`,
        fill,
      ),
      patch(pts`${-r * 0.4} 0, ${-r} ${r * 0.4}, ${-r * 0.7} ${r * 0.9}, 0 ${r * 0.7}, ${r * 0.7} ${r * 0.9}, ${r} ${r * 0.4}, ${r * 0.4} 0`, fill),
      disc([0, -r * 0.02], r * 0.3, "#e8dca0"),
    );
    if (kind === "spotted")
      for (const [x, y] of pts`-0.4 0.45, 0 0.4, 0.4 0.45, -0.2 0.6, 0.25 0.62`) marks.push(disc([x * r, y * r], r * 0.06, TINT.purple ?? "#536"));
    return marks;
  }
  if (kind === "no-petals") {
    for (const a of spread(0, 300, 6))
      marks.push(stroke([[0, 0], going([0, 0], a, r * 0.8)], 0.8, false), disc(going([0, 0], a, r * 0.85), r * 0.16, anther));
    marks.push(disc([0, 0], r * 0.26, GREEN));
    return marks;
  }
  const broad = kind === "rose" ? 1.1 : kind === "star" ? 0.5 : 0.9;
  for (const i of Array.from({ length: petals }, (_, k) => k)) {
    const a = (360 / petals) * i;
    const side = ((180 / petals) * broad * Math.PI) / 180;
    const wide = r * Math.tan(Math.min(1, side)) * 0.9;
    const petal: Point[] =
      kind === "star"
        ? pts`0 0, ${wide * 0.8} ${-r * 0.5}, 0 ${-r}, ${-wide * 0.8} ${-r * 0.5}`
        : pts`0 0, ${wide * 0.7} ${-r * 0.45}, ${wide * 0.9} ${-r * 0.8}, ${wide * 0.3} ${-r}, 0 ${-r * (kind === "rose" ? 0.93 : 0.98)}, ${-wide * 0.3} ${-r}, ${-wide * 0.9} ${-r * 0.8}, ${-wide * 0.7} ${-r * 0.45}`;
    marks.push(...placed([patch(petal, fill, true, 0.9)], [0, 0], a));
  }
  const stamens = Math.min(20, t.count("flower.stamens") ?? petals);
  for (let i = 0; i < stamens; i++) {
    const tip = going([0, 0], (360 / stamens) * i + 180 / petals, r * (kind === "star" ? 0.6 : 0.42));
    marks.push(stroke([[0, 0], tip], 0.5, false), disc(tip, r * 0.06, anther));
  }
  marks.push(disc([0, 0], r * 0.1, GREEN));
  return marks;
}

/** One of many, small: a spot of its colour, with its outline. */
const small = (t: Traits, r: number): Mark[] => [
  disc([0, 0], r, tint(t.usual<string>("flower.colour"), "white")),
  disc([0, 0], r * 0.26, tint(t.usual<string>("flower.anthers"), "yellow")),
];

/**
 * Tassels without petals. Those that waited closed through the winter are firm and scaly; on trees of one sex they come
 * furry before the leaves; those that come with the leaves or after them are loose strings of small knots.
 */
function catkins(t: Traits, long: number): Mark[] {
  const fill = tint(t.usual<string>("flower.colour"), "greenish");
  const anther = tint(t.usual<string>("flower.anthers"), "yellow");
  const closed = t.share("flower.winter-catkins", "catkins") >= 0.5;
  const furry = !closed && t.usual("flower.time") === "before" && t.usual("flower.sexes") === "two-trees";
  const twig = stroke(pts`${-long * 0.5} ${-long * 0.14}, 0 ${-long * 0.2}, ${long * 0.5} ${-long * 0.2}`, 2.4, false);
  if (furry && t.usual("flower.anthers") === "yellow") {
    const half = long * 0.2;
    const one: Mark[] = [
      patch(
        pts`0 0, ${half * 0.8} ${-long * 0.1}, ${half} ${-long * 0.5}, ${half * 0.6} ${-long * 0.9}, 0 ${-long}, ${-half * 0.6} ${-long * 0.9}, ${-half} ${-long * 0.5}, ${-half * 0.8} ${-long * 0.1}`,
        "#dfe2d6",
      ),
    ];
    for (const f of spread(0.12, 0.94, 8))
      for (const side of [-1, 1]) {
        const wide = half * Math.sin(Math.PI * (0.15 + 0.72 * f)) ** 0.5;
        const tip = going([side * wide * 0.8, -long * f], side * 58, long * 0.13);
        one.push(stroke([[side * wide * 0.5, -long * f], tip], 0.5, false), disc(tip, long * 0.026, anther));
      }
    const stem = stroke(pts`0 ${long * 0.9}, 0 ${-long * 0.9}`, 2.6, false);
    return [stem, ...placed(one, [long * 0.03, 0], 42), ...placed(one, [-long * 0.03, long * 0.55], -42), ...placed(one, [0, -long * 0.85], 6)];
  }
  if (furry) {
    const half = long * 0.11;
    const one: Mark[] = [
      patch(pts`0 0, ${half} ${long * 0.06}, ${half} ${long * 0.86}, 0 ${long}, ${-half} ${long * 0.86}, ${-half} ${long * 0.06}`, "#cfc9bd"),
    ];
    for (const [i, f] of spread(0.06, 0.96, 15).entries())
      for (const side of [-1, 1])
        one.push(
          hair(pts`${side * half * 0.8} ${long * f}, ${side * half * 1.7} ${long * (f + 0.045)}`),
          disc([side * half * (i % 2 ? 0.35 : 0.7), long * f], long * 0.02, anther),
        );
    return [twig, ...[-0.2, 0.16].flatMap((x) => placed([stroke(pts`0 ${-long * 0.14}, 0 0`, 1, false), ...one], [x * long, -long * 0.04], x * -12))];
  }
  if (closed) {
    const half = long * 0.075;
    const one: Mark[] = [
      stroke(pts`0 ${-half * 2}, 0 0`, 1, false),
      patch(pts`${-half} 0, ${half} 0, ${half * 0.9} ${long * 0.85}, 0 ${long}, ${-half * 0.9} ${long * 0.85}`, fill),
      ...spread(0.06, 0.92, 12).map((f) => stroke(pts`${-half} ${long * f}, 0 ${long * (f + 0.04)}, ${half} ${long * f}`, 0.5)),
    ];
    return [twig, ...[-0.16, 0.16].flatMap((x) => placed(one, [x * long, 0]))];
  }
  const one = (bend: number): Mark[] => [
    stroke(pts`0 0, ${bend * 0.5} ${long * 0.5}, ${bend} ${long}`, 0.9),
    ...spread(0.12, 1, 9).flatMap((f, i) =>
      [-1, 1].map((side) => disc([bend * f + side * long * (0.022 + (i % 2) * 0.012), long * f + side * long * 0.012], long * 0.034, fill)),
    ),
  ];
  return [twig, ...[-0.24, 0, 0.22].flatMap((x) => placed(one(x * long * 0.35), [x * long, -long * 0.17]))];
}

/** A head of flowers: upright from 0, 0, or hanging from it. */
function head(t: Traits, size: number, flower: number): Mark[] {
  const kind = t.usual<string>("flower.head") ?? "tuft";
  const r = Math.max(size * 0.028, Math.min(flower / 2, size * 0.09));
  const one = (at: Point) => placed(small(t, r), at);
  const marks: Mark[] = [];
  const up = (y: number): Point => [0, -y];
  switch (kind) {
    case "flat":
    case "dome": {
      const fork = up(size * 0.3);
      marks.push(stroke([[0, 0], fork], 1.6, false));
      for (const row of [0, 1, 2])
        for (const x of spread(-1, 1, 11 - row * 2)) {
          const at: Point = [(x * size) / 2, -size * 0.62 - (kind === "dome" ? size * 0.22 * (1 - x * x) : size * 0.02 * row) - row * r * 0.9];
          if (row === 0) marks.push(stroke([fork, between(fork, at, 0.7), at], 0.7));
          marks.push(...one(at));
        }
      return marks;
    }
    case "candle":
    case "panicle": {
      marks.push(stroke([[0, 0], up(size)], 1.4, false));
      const narrow = kind === "candle" ? 0.26 : 0.4;
      for (const f of spread(0.12, 0.98, 13)) {
        const wide = size * narrow * (1 - f) ** 0.7 + r;
        for (const x of spread(-1, 1, f > 0.85 ? 2 : 5))
          marks.push(stroke([up(size * f), [x * wide, -size * f - size * 0.02]], 0.5, false), ...one([x * wide, -size * f - size * 0.02]));
      }
      return marks;
    }
    case "hanging":
    case "spike": {
      const down = kind === "hanging" ? 1 : -1;
      marks.push(stroke(pts`0 0, ${size * 0.03 * down} ${down * size * 0.5}, 0 ${down * size}`, 1.2));
      const each = Math.max(r, size * 0.045);
      const pea = t.usual("flower.kind") === "pea";
      for (const [i, f] of spread(0.1, 0.97, 16).entries()) {
        const side = i % 2 ? 1 : -1;
        const at: Point = [side * (size * 0.07 * (1.15 - f) + each * (i % 4 < 2 ? 0.9 : 0.35)), down * size * f + each * 0.4];
        marks.push(stroke([[0, down * size * f], at], 0.6, false));
        marks.push(...(pea ? placed(faced(t, each * 3.4), at, side * 16) : placed(small(t, each), at)));
      }
      return marks;
    }
    case "catkin":
      return catkins(t, size);
    case "umbel":
    case "ball": {
      const ball = kind === "ball";
      const fork = up(size * (ball ? 0.5 : 0.35));
      const bract = t.usual("flower.bract") === "strap";
      if (bract)
        marks.push(
          patch(
            pts`0 ${size * 0.5}, ${size * 0.22} ${size * 0.2}, ${size * 0.2} ${-size * 0.9}, 0 ${-size * 1.1}, ${-size * 0.18} ${-size * 0.9}, ${-size * 0.14} ${size * 0.2}`,
            "#d5d59c",
          ),
        );
      marks.push(stroke([[0, size * 0.1], fork], 1.2, false));
      for (const a of ball ? spread(0, 330, 14) : spread(-70, 70, 8)) {
        const at = going(fork, a, size * (ball ? 0.4 : 0.48));
        marks.push(stroke([fork, at], 0.7, false), ...(flower > size * 0.16 ? placed(faced(t, Math.min(flower, size * 0.36)), at, a) : one(at)));
      }
      return marks;
    }
    case "solitary":
      return [stroke(pts`0 ${flower * 1.2}, 0 0`, 1.4, false), ...faced(t, flower)];
    case "pair":
      return [
        stroke(pts`0 ${flower * 1.1}, 0 ${flower * 0.5}`, 1.2, false),
        ...[-1, 1].flatMap((s) => [
          stroke(pts`0 ${flower * 0.6}, ${s * flower * 0.6} 0`, 0.9, false),
          ...placed(faced(t, flower), [s * flower * 0.62, -flower * 0.1], s * 18),
        ]),
      ];
    default: {
      // tufts, and along the twig in the axils
      const twig = size * 1.1;
      marks.push(stroke(pts`0 ${twig * 0.5}, 0 ${-twig * 0.6}`, 2.4, false));
      for (const y of [0.3, -0.1, -0.48])
        for (const side of [-1, 1])
          for (const a of kind === "axils" ? [70] : [48, 82]) {
            const at = going([0, y * twig], side * a, flower * 0.95);
            marks.push(stroke([[0, y * twig], at], 0.7, false), ...placed(faced(t, flower), at, side * a));
          }
      return marks;
    }
  }
}

/** The head as it is set, and one flower larger beside it, where there are many. */
export function flower(t: Traits): Mark[] | null {
  if (t.usual<string>("flower.head") === undefined && t.usual<string>("flower.kind") === undefined) return null;
  const one = t.middle("flower.size") ?? 8;
  const size = (t.middle("flower.head-size") ?? (one / 10) * 4) * 10;
  const marks = head(t, size, one);
  const kind = t.usual<string>("flower.head");
  if (kind === "solitary" || kind === "pair" || kind === "tuft" || kind === "axils" || kind === "catkin" || one > size * 0.3) return marks;
  return [
    ...marks,
    ...placed(faced(t, size * 0.34), [size * 0.72, -size * (kind === "hanging" ? -0.8 : 0.12)]),
    hair(pts`${size * 0.5} ${-size * (kind === "hanging" ? -0.62 : 0.3)}, ${size * 0.6} ${-size * (kind === "hanging" ? -0.7 : 0.22)}`),
  ];
}
