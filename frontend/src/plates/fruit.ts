import { chance, going, type Point, pts, spread, TINT, tint } from "./ink";
import { disc, hair, type Mark, patch, placed, stroke } from "./scene";
import type { Traits } from "./traits";

/** Each hangs by its stalk from 0, 0; downward is positive. */

const SIZE: Record<string, number> = {
  "small-drupes": 7,
  pome: 12,
  "stone-fruit": 12,
  "pair-berries": 8,
  cup: 10,
  pod: 90,
  nut: 22,
  cone: 60,
  berry: 9,
  capsule: 14,
  acorn: 24,
  winged: 35,
  nutlet: 7,
  cotton: 8,
  compound: 22,
  "berry-cone": 8,
  "catkin-cone": 30,
};
const BROWN = TINT.brown ?? "#853";

/** A shine on what is round, or the bloom that takes it away. */
function light(t: Traits, [x, y]: Point, r: number): Mark[] {
  const surface = t.usual<string>("fruit.surface");
  if (surface === "bloom")
    return [
      hair(pts`${x - r * 0.6} ${y - r * 0.1}, ${x - r * 0.2} ${y + r * 0.5}`),
      hair(pts`${x - r * 0.3} ${y - r * 0.3}, ${x + r * 0.2} ${y + r * 0.5}`),
      hair(pts`${x} ${y - r * 0.45}, ${x + r * 0.55} ${y + r * 0.3}`),
    ];
  if (surface === "hairy") return spread(0, 330, 12).map((a) => hair([going([x, y], a, r * 0.95), going([x, y], a + 12, r * 1.14)]));
  return [
    { p: pts`${x - r * 0.45} ${y - r * 0.35}, ${x - r * 0.28} ${y - r * 0.52}, ${x - r * 0.05} ${y - r * 0.58}`, bent: true, w: 0.9, soft: true },
  ];
}

function ball(t: Traits, r: number, fill: string, tall = 1): Mark[] {
  const marks: Mark[] = [disc([0, r * tall], r, fill, r * tall), ...light(t, [0, r * tall], r)];
  if (t.usual("fruit.crown") === "star")
    for (const a of spread(-60, 60, 5))
      marks.push(stroke(pts`0 ${r * 1.92 * tall}, ${going([0, r * 1.92 * tall], 180 + a, r * 0.34)[0]} ${r * 1.92 * tall + r * 0.22}`, 0.9, false));
  else marks.push(disc([0, r * 1.94 * tall], r * 0.09, "currentColor"));
  return marks;
}

/** Many of one kind on their stalks: flat heads, spikes, bunches, pairs. */
function together(t: Traits, one: () => Mark[], size: number, seed: string): Mark[] {
  const set = t.usual<string>("fruit.set") ?? "single";
  const stalk = Math.min(size * 6, Math.max(size * 0.5, (t.middle("fruit.stalk") ?? size / 20) * 10));
  const up = t.usual("fruit.stance") === "upright";
  const head = t.usual<string>("flower.head");
  const random = chance(seed);
  const hung: { at: Point; from: Point }[] = [];
  const axis: Mark[] = [];
  if ((set === "cluster" || set === "bunch" || set === "spike") && (head === "candle" || head === "panicle")) {
    // a cone of fruit where the flowers stood in one; loose where it hangs
    const length = size * (up ? 9 : 11);
    axis.push(stroke(pts`0 0, ${up ? 0 : size * 0.5} ${length * 0.5}, 0 ${length}`, 1.3));
    for (const f of spread(0.14, 0.97, up ? 11 : 8)) {
      const wide = length * (up ? 0.27 : 0.22) * (1 - f) ** 0.6 + size * 0.4;
      for (const x of spread(-1, 1, f > 0.84 ? 2 : up ? 5 : 3))
        hung.push({ from: [0, length * f], at: [x * wide * (up ? 1 : 0.85 + 0.3 * random()), length * f + (up ? 0 : size * 0.6 * Math.abs(x))] });
    }
  } else if (set === "spike" || head === "hanging") {
    const length = size * 8.5;
    axis.push(stroke(pts`0 0, ${size * 0.3} ${length * 0.5}, 0 ${length}`, 1.2));
    for (const [i, y] of spread(length * 0.1, length * 0.98, 15).entries())
      hung.push({ from: [0, y], at: [(i % 2 ? 1 : -1) * size * (0.75 + 0.25 * random()), y + size * 0.15] });
  } else if (set === "cluster" || set === "bunch") {
    const rays = set === "bunch" ? 7 : 11;
    const long = set === "bunch" ? size * 2.5 : size * 4;
    const fork: Point = [0, size * 1.1];
    axis.push(stroke([[0, 0], fork], 1.4, false));
    for (const [i, a] of spread(-74, 74, rays).entries()) {
      const far = long * (0.72 + 0.28 * Math.cos((a * Math.PI) / 180)) * (i % 2 ? 0.78 : 1);
      hung.push({ from: fork, at: going(fork, 180 + a, far) });
    }
    for (const a of spread(-40, 40, 5)) hung.push({ from: fork, at: going(fork, 180 + a, long * 0.45) });
  } else if (set === "pair") {
    axis.push(stroke(pts`0 0, 0 ${stalk * 0.3}`, 1.2, false));
    for (const side of [-1, 1]) hung.push({ from: [0, stalk * 0.3], at: [side * size * 0.62, stalk] });
  } else if (set === "stalkless") {
    axis.push(stroke(pts`${-size * 0.2} ${-size * 0.4}, 0 ${size * 4}`, 2.6, false));
    for (const [i, y] of spread(size * 0.2, size * 3.4, 6).entries()) hung.push({ from: [0, y], at: [(i % 2 ? 1 : -1) * size * 0.5, y] });
  } else hung.push({ from: [0, 0], at: [0, stalk] });
  const marks = [
    ...axis,
    ...hung.flatMap(({ at, from }) => [stroke([from, at], 0.9, false)]),
    ...hung.flatMap(({ at }) => placed(one(), at, up && set !== "spike" ? 180 : 0)),
  ];
  return up ? placed(marks, [0, 0], 180) : marks;
}

function bur(r: number, fine: boolean, open: boolean): Mark[] {
  const marks: Mark[] = [];
  const spines = fine ? 54 : 17;
  for (const a of spread(0, 360 - 360 / spines, spines)) {
    if (open && a > 132 && a < 228) continue;
    const tip = going([0, r], a, r * (fine ? 1.34 : 1.2));
    if (fine)
      marks.push(
        stroke([going([0, r], a, r * 0.92), tip], 0.6, false),
        stroke([going([0, r], a + 3, r * 0.9), going([0, r], a + 9, r * 1.22)], 0.45, false),
      );
    else marks.push(patch([going([0, r], a - 5, r * 0.97), tip, going([0, r], a + 5, r * 0.97)], TINT.husk ?? "#ab5", false, 0.9));
  }
  marks.push(disc([0, r], r, TINT.husk ?? "#ab5"));
  return marks;
}

function nut(t: Traits, size: number): Mark[] {
  const husk = t.usual<string>("fruit.husk");
  const inside = t.usual<string>("fruit.nut");
  const r = size / 2;
  if (husk === "fine-spines") {
    const R = r * 2.1;
    const marks = bur(R, true, true);
    marks.push(patch(pts`${-R * 0.72} ${R * 1.2}, 0 ${R * 0.5}, ${R * 0.72} ${R * 1.2}, ${R * 0.5} ${R * 1.86}, ${-R * 0.5} ${R * 1.86}`, "#efe2bd"));
    for (const [x, turn] of [
      [-r * 0.95, -14],
      [r * 0.95, 14],
      [0, 0],
    ] as [number, number][]) {
      // broad at the foot, drawn up to a tassel
      const one: Mark[] = [
        patch(
          pts`${-r * 0.62} ${-r * 0.1}, ${-r * 0.9} ${-r * 0.8}, ${-r * 0.3} ${-r * 1.6}, 0 ${-r * 1.8}, ${r * 0.3} ${-r * 1.6}, ${r * 0.9} ${-r * 0.8}, ${r * 0.62} ${-r * 0.1}`,
          "#6e3a20",
        ),
        patch(pts`${-r * 0.6} ${-r * 0.08}, 0 ${r * 0.1}, ${r * 0.6} ${-r * 0.08}, 0 ${-r * 0.34}`, "#c9a273"),
      ];
      for (const a of [-26, -9, 9, 26]) one.push(stroke([[0, -r * 1.78], going([0, -r * 1.78], a, r * 0.42)], 0.7, false));
      marks.push(...placed(one, [x, R * 1.84], turn));
    }
    return marks;
  }
  if (husk === "coarse-spines" || inside === "round-scar") {
    const R = r * 1.5;
    const marks = husk === "smooth" ? [disc([0, R], R, "#b08d5a")] : bur(R, false, false);
    marks.push(
      ...placed(
        [
          disc([0, 0], r * 1.05, "#6a3218"),
          disc([r * 0.1, r * 0.34], r * 0.6, "#d8c39a", r * 0.45),
          { p: pts`${-r * 0.6} ${-r * 0.5}, ${-r * 0.2} ${-r * 0.75}`, w: 1.4, soft: true },
        ],
        [R * 2.1, R * 1.3],
      ),
    );
    return marks;
  }
  if (husk === "soft-bristles" || inside === "three-edged") {
    const R = r * 1.25;
    const marks: Mark[] = [];
    for (const side of [-1, 1]) {
      const lobe: Point[] = pts`0 0, ${side * R * 0.9} ${R * 0.5}, ${side * R * 1.35} ${R * 1.7}, ${side * R * 0.62} ${R * 1.15}`;
      marks.push(patch(lobe, "#a98a5b"));
      for (const [i, y] of [0.35, 0.7, 1.05, 1.4].entries())
        marks.push(
          stroke(pts`${side * R * (0.55 + i * 0.2)} ${R * y}, ${side * R * (0.95 + i * 0.22)} ${R * (y - 0.08)}`, 0.7, false),
          stroke(pts`${side * R * (0.5 + i * 0.2)} ${R * (y + 0.16)}, ${side * R * (0.86 + i * 0.2)} ${R * (y + 0.3)}`, 0.7, false),
        );
    }
    for (const x of [-0.34, 0.34])
      marks.push(
        patch(pts`${x * R} ${R * 0.35}, ${(x - 0.34) * R} ${R * 1.55}, ${x * R} ${R * 1.8}, ${(x + 0.34) * R} ${R * 1.55}`, "#7a4a28", false),
        stroke(pts`${x * R} ${R * 0.35}, ${(x + 0.06) * R} ${R * 1.74}`, 0.8, false),
      );
    return marks;
  }
  if (husk === "leafy") {
    const marks: Mark[] = [
      disc([0, r * 1.25], r, "#a8713d", r * 1.12),
      hair(pts`${-r * 0.3} ${r * 0.7}, ${-r * 0.4} ${r * 1.9}`),
      hair(pts`${r * 0.3} ${r * 0.7}, ${r * 0.4} ${r * 1.9}`),
    ];
    for (const side of [-1, 1]) {
      const torn: Point[] = pts`0 ${-r * 0.1}, ${side * r * 0.9} ${r * 0.2}`;
      for (const [i, y] of [0.7, 1.05, 1.4].entries()) torn.push([side * r * (1.65 - i * 0.1), r * (y + 0.1)], [side * r * 1.12, r * (y + 0.14)]);
      torn.push([side * r * 0.5, r * 1.35], [0, r * 0.5]);
      marks.push(patch(torn, TINT.husk ?? "#ab5", false));
    }
    return marks;
  }
  const green = tint(t.usual<string>("fruit.husk-colour"), "husk");
  if (inside === "grooved") {
    const R = r * 1.3;
    const marks: Mark[] = [disc([0, R], R, green, R * 1.06), ...light(t, [0, R], R)];
    // the husk split beside it, and the nut in its furrows
    const seed: Mark[] = [disc([0, 0], r * 0.98, "#a47b4a", r * 1.06), stroke(pts`0 ${-r * 1.05}, 0 ${r * 1.05}`, 1, false)];
    for (const x of [-0.7, -0.4, 0.4, 0.7])
      seed.push(stroke(pts`${x * r * 0.5} ${-r * 0.8}, ${x * r} ${-r * 0.2}, ${x * r * 0.85} ${r * 0.3}, ${x * r * 0.5} ${r * 0.85}`, 0.8));
    marks.push(...placed(seed, [R * 2.1, R * 1.1]));
    return marks;
  }
  // hickories and what else splits into four
  const R = r * 1.22;
  return [
    disc([0, R], R, green, R * 1.1),
    stroke(pts`0 ${-R * 0.1}, 0 ${R * 2.1}`, 1, false),
    stroke(pts`${-R * 0.55} ${R * 0.1}, ${-R * 0.72} ${R}, ${-R * 0.5} ${R * 1.9}`, 0.8),
    stroke(pts`${R * 0.55} ${R * 0.1}, ${R * 0.72} ${R}, ${R * 0.5} ${R * 1.9}`, 0.8),
    ...placed(
      [disc([0, 0], r * 0.9, "#d9c39a", r), stroke(pts`0 ${-r}, ${r * 0.16} 0, 0 ${r}`, 0.8), stroke(pts`0 ${-r}, 0 ${-r * 1.16}`, 1, false)],
      [R * 2, R * 1.15],
    ),
  ];
}

function acorn(t: Traits, size: number): Mark[] {
  const half = (t.middle("fruit.width") ?? size * 0.6) / 2;
  const cap = t.usual<string>("fruit.cap") ?? "flat";
  const deep = size * (cap === "flat" ? 0.3 : 0.38);
  const marks: Mark[] = [
    patch(
      pts`${-half * 0.96} ${deep * 0.6}, ${-half} ${size * 0.55}, ${-half * 0.6} ${size * 0.9}, 0 ${size}, ${half * 0.6} ${size * 0.9}, ${half} ${size * 0.55}, ${half * 0.96} ${deep * 0.6}`,
      "#a98345",
    ),
    stroke(pts`0 ${size}, 0 ${size * 1.07}`, 1.2, false),
  ];
  marks.push({ p: pts`${-half * 0.5} ${size * 0.45}, ${-half * 0.55} ${size * 0.75}`, w: 1, soft: true });
  marks.push(
    patch(
      pts`${-half * 1.16} ${deep}, ${-half * 1.02} ${deep * 0.3}, 0 ${-deep * 0.12}, ${half * 1.02} ${deep * 0.3}, ${half * 1.16} ${deep}, 0 ${deep * 1.18}`,
      "#8b7248",
    ),
  );
  for (const [row, y] of [0.22, 0.5, 0.8].entries())
    for (const x of spread(-0.8 + row * 0.04, 0.8 - row * 0.04, 5 + row)) {
      const spot: Point = [x * half * (0.75 + row * 0.17), deep * y];
      if (cap === "bristly") marks.push(stroke([spot, [spot[0] + x * half * 0.34, spot[1] - deep * 0.24 + row * deep * 0.2]], 0.9));
      else if (cap === "knobbly") marks.push(disc(spot, half * 0.11, "#a08a5c"));
      else marks.push(stroke(pts`${spot[0] - half * 0.1} ${spot[1]}, ${spot[0]} ${spot[1] + deep * 0.12}, ${spot[0] + half * 0.1} ${spot[1]}`, 0.6));
    }
  return marks;
}

function cone(t: Traits, size: number): Mark[] {
  const kind = t.usual<string>("fruit.cone") ?? "hanging";
  const half = (t.middle("fruit.width") ?? size * 0.38) / 2;
  const woody = kind === "woody-small";
  const rows = woody ? 6 : 10;
  const body: Mark[] = [
    patch(
      pts`0 0, ${half * 0.8} ${size * 0.12}, ${half} ${size * 0.45}, ${half * 0.62} ${size * 0.86}, 0 ${size}, ${-half * 0.62} ${size * 0.86}, ${-half} ${size * 0.45}, ${-half * 0.8} ${size * 0.12}`,
      kind === "upright-falls-apart" ? "#9aa77a" : "#9a6d43",
    ),
  ];
  for (const [i, f] of spread(0.06, 0.92, rows).entries()) {
    const wide = half * Math.sin(Math.PI * Math.min(0.92, 0.22 + f * 0.7)) * 1.02;
    for (const x of spread(-0.84, 0.84, i % 2 ? 4 : 3)) {
      const s: Point = [x * wide, size * f];
      const w = wide * 0.34;
      body.push(
        patch(
          pts`${s[0] - w} ${s[1]}, ${s[0] - w * 0.7} ${s[1] + size * 0.075}, ${s[0]} ${s[1] + size * 0.1}, ${s[0] + w * 0.7} ${s[1] + size * 0.075}, ${s[0] + w} ${s[1]}`,
          kind === "upright-falls-apart" ? "#a9b58a" : woody ? "#6b4a30" : "#ad8053",
          true,
          0.7,
        ),
      );
      if (kind === "knobbed") body.push(disc([s[0], s[1] + size * 0.055], w * 0.24, "#6b4a30"));
      if (kind === "tongues")
        body.push(
          stroke(pts`${s[0] - w * 0.4} ${s[1] + size * 0.07}, ${s[0] - w * 0.45} ${s[1] + size * 0.16}`, 0.7, false),
          stroke(pts`${s[0] + w * 0.4} ${s[1] + size * 0.07}, ${s[0] + w * 0.45} ${s[1] + size * 0.16}`, 0.7, false),
          stroke(pts`${s[0]} ${s[1] + size * 0.08}, ${s[0]} ${s[1] + size * 0.2}`, 0.9, false),
        );
    }
  }
  if (woody) {
    const marks: Mark[] = [stroke(pts`0 0, 0 ${size * 0.5}`, 1.4, false)];
    for (const [x, y] of [
      [-1, 0.2],
      [0.9, 0.35],
      [0, 0.55],
    ] as [number, number][])
      marks.push(stroke(pts`0 ${size * y * 0.5}, ${x * half * 2} ${size * y}`, 1, false), ...placed(body, [x * half * 2, size * y], x * -16));
    return marks;
  }
  if (kind === "upright-falls-apart") return [stroke(pts`${-size * 0.7} 0, ${size * 0.7} 0`, 3, false), ...placed(body, [0, 0], 180)];
  return [stroke(pts`${-size * 0.4} ${-size * 0.02}, ${size * 0.4} ${-size * 0.06}`, 2.6, false), ...body];
}

function winged(t: Traits, size: number): Mark[] {
  const kind = t.usual<string>("fruit.wings") ?? "single";
  const fill = "#cbb98a";
  const veins = (l: number, w: number): Mark[] => spread(-0.6, 0.6, 5).map((x) => hair(pts`${x * w * 0.3} ${l * 0.35}, ${x * w} ${l * 0.94}`));
  if (kind === "pair-wide" || kind === "pair-sharp") {
    const angle = kind === "pair-wide" ? 78 : 38;
    const wing = [
      patch(
        pts`0 0, ${size * 0.13} ${size * 0.24}, ${size * 0.2} ${size * 0.7}, ${size * 0.06} ${size}, ${-size * 0.12} ${size * 0.9}, ${-size * 0.06} ${size * 0.3}`,
        fill,
      ),
      ...veins(size, size * 0.2),
      disc([0, size * 0.12], size * 0.11, BROWN),
    ];
    return [stroke(pts`0 ${-size * 0.6}, 0 0`, 0.9, false), ...placed(wing, [0, 0], -angle), ...placed(wing, [0, 0], angle, 1, true)];
  }
  if (kind === "all-round") {
    const r = size / 2;
    const one = [disc([0, r], r, fill, r * 1.1), disc([0, r], r * 0.32, BROWN), stroke(pts`0 ${r * 2.02}, 0 ${r * 1.6}`, 1, false)];
    return [...placed(one, [-r * 0.9, 0], 20), ...placed(one, [r * 0.9, r * 0.2], -18), ...placed(one, [0, r * 0.8])];
  }
  const twist = kind === "twisted" ? size * 0.1 : 0;
  const key: Mark[] =
    kind === "twisted"
      ? [
          patch(
            pts`0 0, ${size * 0.12} ${size * 0.2}, ${twist} ${size * 0.5}, ${size * 0.13} ${size * 0.8}, 0 ${size}, ${-size * 0.1} ${size * 0.82}, ${-size * 0.12} ${size * 0.5}, ${-size * 0.04} ${size * 0.2}`,
            fill,
          ),
          disc([0, size * 0.48], size * 0.08, BROWN),
          stroke(pts`${-size * 0.04} ${size * 0.06}, ${size * 0.06} ${size * 0.2}`, 0.7),
        ]
      : [
          patch(
            pts`0 0, ${size * 0.06} ${size * 0.2}, ${size * 0.1} ${size * 0.7}, 0 ${size}, ${-size * 0.1} ${size * 0.7}, ${-size * 0.06} ${size * 0.2}`,
            fill,
          ),
          disc([0, size * 0.22], size * 0.05, BROWN, size * 0.18),
          hair(pts`0 ${size * 0.4}, 0 ${size * 0.95}`),
        ];
  const marks: Mark[] = [];
  for (const [i, a] of spread(-78, 78, 7).entries()) {
    const foot = going([0, 0], 180 + a, size * (i % 2 ? 0.75 : 0.5));
    marks.push(stroke([[0, -size * 0.1], foot], 0.8, false), ...placed(key, foot, -a * 0.55));
  }
  return marks;
}

function pod(t: Traits, size: number): Mark[] {
  const fill = tint(t.ripe(), "brown");
  const half = Math.max(size * 0.03, (t.middle("fruit.width") ?? size * 0.13) / 2);
  const seeds = Math.max(3, Math.min(14, t.count("fruit.seeds") ?? 7));
  const long = half < size * 0.045;
  const one = (bent: number): Mark[] => {
    const b = bent * size * 0.08;
    const marks: Mark[] = [
      patch(
        pts`0 0, ${half} ${size * 0.08}, ${half + b} ${size * 0.5}, ${half * 0.8} ${size * 0.93}, 0 ${size}, ${-half * 0.8} ${size * 0.93}, ${-half + b} ${size * 0.5}, ${-half} ${size * 0.08}`,
        fill,
      ),
    ];
    if (!long)
      for (const f of spread(0.13, 0.88, seeds))
        marks.push({
          p: pts`${b * Math.sin(Math.PI * f) - half * 0.45} ${size * f}, ${b * Math.sin(Math.PI * f)} ${size * f - half * 0.35}, ${b * Math.sin(Math.PI * f) + half * 0.45} ${size * f}, ${b * Math.sin(Math.PI * f)} ${size * f + half * 0.35}`,
          closed: true,
          bent: true,
          w: 0.7,
        });
    return marks;
  };
  const marks: Mark[] = [stroke(pts`0 ${-size * 0.16}, 0 0`, 1.2, false)];
  for (const [i, a] of (long ? [-9, -2, 6] : [-20, 0, 20]).entries()) marks.push(...placed(one(i - 1), [0, 0], a));
  return marks;
}

function capsule(t: Traits, size: number): Mark[] {
  const colour = t.ripe();
  const r = size / 2;
  if ((colour === "pink" || colour === "red") && t.share("fruit.remains", "berries") > 0) {
    // its seeds hang out in fleshy coats: four lobes, and what the open ones show
    const shut: Mark[] = [];
    for (const a of [45, 135, 225, 315]) shut.push(disc(going([0, r], a, r * 0.45), r * 0.52, tint(colour)));
    shut.push(stroke(pts`0 ${r * 0.2}, 0 ${r * 1.8}`, 0.8, false), stroke(pts`${-r * 0.8} ${r}, ${r * 0.8} ${r}`, 0.8, false));
    const open: Mark[] = [];
    for (const a of [30, 100, 260, 330])
      open.push(
        patch([[0, 0], going([0, 0], 180 - a + 14, r * 1.3), going([0, 0], 180 - a, r * 1.5), going([0, 0], 180 - a - 14, r * 1.3)], tint(colour)),
      );
    for (const x of [-0.5, 0.1, 0.62])
      open.push(stroke(pts`0 ${r * 0.1}, ${x * r} ${r * 1.2}`, 0.6, false), disc([x * r, r * 1.5], r * 0.4, TINT.orange ?? "#d72", r * 0.52));
    return [
      stroke(pts`0 ${-size}, ${-size * 0.8} 0`, 0.9),
      stroke(pts`0 ${-size}, ${size * 0.8} ${size * 0.1}`, 0.9),
      ...placed(shut, [-size * 0.8, 0]),
      ...placed(open, [size * 0.8, size * 0.1]),
    ];
  }
  if (t.share("fruit.colour", "white") >= 0.2 && t.share("fruit.colour", "brown") >= 0.2) {
    // its shell falls off in three pieces and leaves white seeds hanging on the stalk
    const shut: Mark[] = [120, 240, 0].map((a) => disc(going([0, r], a, r * 0.42), r * 0.62, tint("brown")));
    const open: Mark[] = [90, 210, 330].map((a) => disc(going([0, r], a, r * 0.56), r * 0.5, tint("white")));
    return [
      stroke(pts`0 ${-size}, ${-size * 0.75} 0`, 0.9),
      stroke(pts`0 ${-size}, ${size * 0.75} ${size * 0.15}`, 0.9),
      ...placed(shut, [-size * 0.75, 0]),
      stroke(pts`${size * 0.75} ${size * 0.15}, ${size * 0.75} ${size * 1.05}`, 0.8, false),
      ...placed(open, [size * 0.75, size * 0.15]),
    ];
  }
  // a dry one: what is red in it dries brown
  const fill = colour === "red" ? BROWN : tint(colour, "brown");
  const one: Mark[] = [
    patch(pts`0 0, ${r * 0.8} ${r * 0.5}, ${r * 0.75} ${r * 1.5}, 0 ${r * 2}, ${-r * 0.75} ${r * 1.5}, ${-r * 0.8} ${r * 0.5}`, fill),
    stroke(pts`0 0, 0 ${r * 1.96}`, 0.8, false),
    stroke(pts`${-r * 0.1} ${r * 0.05}, ${-r * 0.5} ${r}, ${-r * 0.1} ${r * 1.9}`, 0.6),
    stroke(pts`${r * 0.1} ${r * 0.05}, ${r * 0.5} ${r}, ${r * 0.1} ${r * 1.9}`, 0.6),
  ];
  const few = (t.count("fruit.seeds") ?? 99) <= 6;
  if (few && t.share("fruit.surface", "hairy") >= 0.25)
    for (const a of spread(20, 340, 17)) one.push(stroke([going([0, r], a, r * 0.8), going([0, r], a, r * 1.18)], 0.8, false));
  return together(t, () => one, size, "capsule");
}

/** The fruit, as it hangs or stands when it is ripe. */
export function fruit(t: Traits): Mark[] | null {
  // what hangs whole and what flies out of it are one fruit: the whole is drawn
  const kind = t.share("fruit.kind", "catkin-cone") >= 0.25 ? "catkin-cone" : t.usual<string>("fruit.kind");
  if (kind === undefined) return null;
  const size = t.middle("fruit.size") ?? SIZE[kind] ?? 10;
  const fill = tint(t.ripe(), "green");
  const r = size / 2;
  const tall = Math.min(1.7, Math.max(0.75, size / (t.middle("fruit.width") ?? size)));
  const round = () => ball(t, r / Math.max(1, tall), fill, tall);
  switch (kind) {
    case "small-drupes":
    case "berry":
    case "stone-fruit":
    case "pome":
      return together(t, round, size, kind);
    case "pair-berries":
      return [
        stroke(pts`0 0, 0 ${size * 1.4}`, 0.9, false),
        ...placed(ball(t, r, fill), [-r * 0.85, size * 1.3]),
        ...placed(ball(t, r, fill), [r * 0.85, size * 1.3]),
      ];
    case "cup":
      return [
        stroke(pts`${-size * 1.5} ${-size * 0.1}, ${size * 1.5} ${-size * 0.3}`, 2.4, false),
        ...[-0.9, 0.8].flatMap((x) =>
          placed(
            [
              patch(
                pts`0 0, ${r * 0.9} ${r * 0.4}, ${r} ${r * 1.2}, ${r * 0.66} ${r * 1.9}, ${-r * 0.66} ${r * 1.9}, ${-r} ${r * 1.2}, ${-r * 0.9} ${r * 0.4}`,
                TINT.red ?? "#b22",
              ),
              disc([0, r * 1.75], r * 0.52, "#4a3a2a", r * 0.36),
              disc([0, r * 1.8], r * 0.26, "#8a8f6a", r * 0.2),
              ...light(t, [0, r], r),
            ],
            [x * size, -size * 0.18],
          ),
        ),
      ];
    case "capsule":
      return capsule(t, size);
    case "pod":
      return pod(t, size);
    case "nut":
      return [stroke(pts`0 ${-size * 0.5}, 0 0`, 1.4, false), ...nut(t, size)];
    case "acorn": {
      const stalk = Math.min(size * 2.4, (t.middle("fruit.stalk") ?? 0.3) * 10);
      return [
        stroke(pts`${-size * 0.5} ${-stalk - size * 0.1}, ${size * 0.5} ${-stalk - size * 0.16}`, 2.4, false),
        stroke(pts`0 ${-stalk - size * 0.1}, ${-size * 0.35} 0`, 1.1),
        stroke(pts`0 ${-stalk - size * 0.1}, ${size * 0.45} ${size * 0.05}`, 1.1),
        ...placed(acorn(t, size), [-size * 0.42, 0], 6),
        ...placed(acorn(t, size), [size * 0.5, size * 0.05], -8),
      ];
    }
    case "cone":
      return cone(t, size);
    case "winged":
      return winged(t, size);
    case "nutlet": {
      const bract = t.usual("flower.bract") === "strap";
      const marks: Mark[] = [];
      if (bract)
        marks.push(
          patch(
            pts`0 ${-size * 2}, ${size * 1.1} ${-size}, ${size * 1.3} ${size * 4}, 0 ${size * 7.4}, ${-size * 0.9} ${size * 4}, ${-size * 0.8} ${-size}`,
            "#c9c890",
          ),
          hair(pts`0 ${-size * 1.6}, ${size * 0.2} ${size * 7}`),
        );
      const fork: Point = bract ? [size * 1.2, size * 5.4] : [0, size * 2];
      marks.push(stroke([[0, size * 1.8], [size * 0.4, size * 3.4], fork], 0.9));
      for (const a of bract ? [-62, -24, 12, 44] : spread(-60, 60, 6)) {
        const at = going(fork, 180 - a, size * 1.7);
        marks.push(
          stroke([fork, at], 0.8, false),
          ...placed(
            [
              disc([0, r], r, "#b3a06c"),
              hair(pts`${-r * 0.5} ${r * 0.4}, ${-r * 0.5} ${r * 1.6}`),
              hair(pts`${r * 0.5} ${r * 0.4}, ${r * 0.5} ${r * 1.6}`),
            ],
            at,
          ),
        );
      }
      return marks;
    }
    case "cotton": {
      const long = t.middle("fruit.stalk");
      if (long !== undefined && long >= 3) {
        // balls of hairy nutlets on a long stalk: one, or several down a string
        const stalk = Math.max(size * 2, long * 10);
        const string = t.usual("fruit.set") === "single" ? [1] : [0.45, 1];
        const one: Mark[] = [
          disc([0, r], r, "#a98c5c"),
          ...spread(0, 352.8, 50).map((a) => hair([going([0, r], a, r * 0.9), going([0, r], a, r * 1.14)])),
          ...spread(0, 330, 12).map((a) => disc(going([0, r], a, r * 0.55), r * 0.08, "#6b4a30")),
          disc([0, r], r * 0.09, "#6b4a30"),
        ];
        return [
          stroke(pts`0 0, ${size * 0.2} ${stalk * string.length * 0.75}`, 1),
          ...string.flatMap((f) => placed(one, [size * 0.2 * f, stalk * f * string.length * 0.75])),
        ];
      }
      const marks: Mark[] = [stroke(pts`0 0, ${size * 0.3} ${size * 5}, 0 ${size * 9}`, 1)];
      const random = chance("cotton");
      for (const [i, y] of spread(size * 0.6, size * 8.6, 14).entries()) {
        const side = i % 2 ? 1 : -1;
        marks.push(
          patch(
            pts`${side * size * 0.1} ${y}, ${side * size * 0.5} ${y + size * 0.1}, ${side * size * 0.7} ${y + size * 0.7}`,
            TINT.green ?? "#8a5",
            false,
            0.7,
          ),
        );
        if (i > 5)
          for (let k = 0; k < 7; k++)
            marks.push({
              p: pts`${side * size * 0.5} ${y}, ${side * size * (0.8 + random())} ${y + size * (random() * 2 - 1)}, ${side * size * (1 + 1.4 * random())} ${y + size * (random() * 2 - 0.8)}`,
              bent: true,
              w: 0.5,
              soft: true,
            });
      }
      return marks;
    }
    case "compound": {
      const one: Mark[] = [];
      for (const [row, y] of spread(0.1, 0.9, 6).entries())
        for (const x of spread(-0.8, 0.8, row % 2 ? 4 : 3))
          one.push(
            disc([x * r * 0.62 * Math.sin(Math.PI * (0.15 + y * 0.72)), size * y], r * 0.24, fill),
            hair(pts`${x * r * 0.6} ${size * y}, ${x * r * 0.6 + r * 0.05} ${size * y - r * 0.1}`),
          );
      return together(t, () => [disc([0, r], r * 0.6, fill, r), ...one], size, "compound");
    }
    case "berry-cone":
      return [
        stroke(pts`0 ${-size * 3}, 0 ${size * 4}`, 2, false),
        ...[-1, 1].flatMap((side) =>
          [-1.6, 0.2, 2].flatMap((y) => [
            stroke(pts`0 ${size * y}, ${side * size * 0.5} ${size * y}`, 0.9, false),
            disc([side * size * 0.95, size * y], r, fill),
            ...light(t, [side * size * 0.95, size * y], r),
            stroke(
              pts`${side * size * 0.8} ${size * y + r * 0.3}, ${side * size * 0.95} ${size * y}, ${side * size * 1.1} ${size * y + r * 0.3}`,
              0.7,
              false,
            ),
            stroke(pts`${side * size * 0.95} ${size * y}, ${side * size * 0.95} ${size * y - r * 0.5}`, 0.7, false),
          ]),
        ),
      ];
    case "catkin-cone": {
      if (t.usual("fruit.kind") === "nutlet") {
        // nutlets, each in its bract of three lobes, in a hanging tail
        const long = size * 8;
        const marks: Mark[] = [stroke(pts`0 ${-size}, 0 ${long}`, 1.1, false)];
        for (const [i, y] of spread(size * 0.4, long * 0.9, 11).entries()) {
          const side = i % 2 ? 1 : -1;
          marks.push(
            patch(
              pts`0 ${y}, ${side * size * 0.9} ${y + size * 0.1}, ${side * size * 0.75} ${y + size * 0.7}, ${side * size * 0.95} ${y + size * 2.4}, ${side * size * 0.5} ${y + size * 0.9}, ${side * size * 0.1} ${y + size * 1.1}`,
              "#c2c58a",
            ),
            disc([side * size * 0.36, y + size * 0.36], size * 0.26, BROWN),
          );
        }
        return marks;
      }
      const half = (t.middle("fruit.width") ?? size * 0.26) / 2;
      const marks: Mark[] = [
        stroke(pts`0 ${-size * 0.3}, 0 0`, 1.1, false),
        patch(
          pts`0 0, ${half} ${size * 0.12}, ${half * 1.05} ${size * 0.6}, ${half * 0.5} ${size * 0.96}, 0 ${size}, ${-half * 0.5} ${size * 0.96}, ${-half * 1.05} ${size * 0.6}, ${-half} ${size * 0.12}`,
          "#b9ac74",
        ),
      ];
      for (const y of spread(0.08, 0.9, 9))
        for (const x of [-0.6, 0, 0.6])
          marks.push(
            stroke(pts`${x * half - half * 0.24} ${size * y}, ${x * half} ${size * (y + 0.06)}, ${x * half + half * 0.24} ${size * y}`, 0.6),
          );
      if (t.usual("fruit.stance") === "upright") return placed(marks, [0, 0], 180);
      return marks;
    }
    default:
      return null;
  }
}
