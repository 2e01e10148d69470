import { type BladeOf, type BladeShape, blade, type Lobes, type Margin } from "./blade";
import { going, type Point, pts, spread, TINT } from "./ink";
import { hair, type Mark, patch, placed, stroke } from "./scene";
import type { Traits } from "./traits";

const CM = 10;

function bladeOf(t: Traits, length: number, width: number): BladeOf {
  const kind = t.usual<Lobes["kind"]>("leaf.lobes") ?? "none";
  return {
    shape: t.usual<BladeShape>("leaf.outline") ?? "egg",
    length,
    width,
    margin: t.usual<Margin>("leaf.margin") ?? "smooth",
    teeth: t.usual<"fine" | "middling" | "coarse">("leaf.teeth") ?? "middling",
    teethWhere: t.usual<"all" | "upper" | "few">("leaf.teeth-where") ?? "all",
    base: t.usual<"equal" | "lopsided" | "heart">("leaf.base") ?? "equal",
    tip: t.usual<BladeOf["tip"]>("leaf.tip") ?? "pointed",
    lobes: {
      kind,
      tips: t.usual<Lobes["tips"]>("leaf.lobe-tips") ?? "rounded",
      depth: t.usual<Lobes["depth"]>("leaf.lobe-depth") ?? "half",
      count: t.count("leaf.lobe-count") ?? (kind === "finger" ? 5 : 7),
    },
    veins: t.usual<BladeOf["veins"]>("leaf.veins") ?? "netted",
    pairs: t.count("leaf.vein-pairs") ?? 7,
  };
}

/** A blade with its veins, its gloss or roughness, and hairs where it has them. */
function drawnBlade(of: BladeOf, t: Traits, small = false): Mark[] {
  const drawn = blade(of);
  const soft = of.lobes.kind === "feather" && of.lobes.tips === "rounded";
  const marks: Mark[] = [patch(drawn.edge, TINT.leaf ?? "#bca", soft, 1), stroke(drawn.midrib, 0.9, false)];
  if (!small) marks.push(...drawn.veins.map((v) => ({ ...hair(v, v.length > 2), w: 0.6 })));
  else marks.push(...drawn.veins.filter((_, i) => i % 2 === 0).map((v) => hair(v, v.length > 2)));
  marks.push(...drawn.bristles.map((b) => stroke(b, 0.7, false)));
  if (small) return marks;
  const upper = t.usual<string>("leaf.upper");
  if (upper === "glossy")
    for (const y of [0.34, 0.5, 0.62])
      marks.push({ p: pts`${of.width * 0.12} ${-of.length * y}, ${of.width * 0.2} ${-of.length * (y + 0.09)}`, w: 1.6, soft: true });
  const hairs = t.usual<string>("leaf.hairs");
  if (hairs === "vein-angles")
    for (const v of drawn.veins.slice(0, 10)) {
      const [x, y] = v[0] as Point;
      const side = Math.sign((v[v.length - 1] as Point)[0]) || 1;
      for (const a of [35, 55, 75]) marks.push({ ...stroke([[x, y], going([x, y], side * a, of.length * 0.028)], 0.8, false) });
    }
  if (hairs === "all-over")
    for (let i = 0; i < drawn.edge.length; i += Math.max(1, Math.floor(drawn.edge.length / 40))) {
      const [x, y] = drawn.edge[i] as Point;
      marks.push(hair(pts`${x} ${y}, ${x * 1.05 + Math.sign(x) * of.length * 0.012} ${y - of.length * 0.012}`));
    }
  return marks;
}

const stalkOf = (t: Traits, otherwise: number): number => (t.middle("leaf.stalk") ?? otherwise) * CM;

function simple(t: Traits): Mark[] {
  const length = (t.middle("leaf.length") ?? 8) * CM;
  const width = (t.middle("leaf.width") ?? (length / CM) * 0.5) * CM;
  const stalk = Math.min(length * 0.7, stalkOf(t, length / CM / 6));
  const marks = [...placed(drawnBlade(bladeOf(t, length, width), t), [0, 0])];
  marks.unshift(stroke(pts`${length * 0.03} ${stalk}, 0 ${stalk * 0.4}, 0 0`, 1.4));
  if (t.usual("leaf.stalk-glands") === "two")
    for (const side of [-1, 1])
      marks.push(
        patch(
          pts`0 ${length * 0.02}, ${side * length * 0.025} ${length * 0.012}, ${side * length * 0.025} ${length * 0.035}, 0 ${length * 0.04}`,
          "#b4535f",
        ),
      );
  return marks;
}

function fan(t: Traits, count: number): Mark[] {
  const length = (t.middle("leaf.length") ?? 8) * CM;
  const width = (t.middle("leaf.width") ?? (length / CM) * 0.42) * CM;
  const stalk = Math.min(length, stalkOf(t, (length / CM) * 0.7));
  const wide = count === 3 ? 66 : 112;
  const leaflets = spread(-wide, wide, count).map((angle) => {
    const size = 1 - (Math.abs(angle) / wide) * (count === 3 ? 0.12 : 0.42);
    return placed(drawnBlade(bladeOf(t, length * size, width * size), t, count > 5), going([0, 0], angle, length * 0.02), angle);
  });
  return [stroke(pts`${length * 0.04} ${stalk}, 0 ${stalk * 0.5}, 0 0`, 1.4), ...leaflets.sort((a, b) => a.length - b.length).flat()];
}

function pinnate(t: Traits): Mark[] {
  const length = (t.middle("leaf.length") ?? 5) * CM;
  const width = (t.middle("leaf.width") ?? (length / CM) * 0.42) * CM;
  const end = t.usual("leaf.end-leaflet") !== "none";
  const count = t.count("leaf.leaflet-count") ?? 9;
  const pairs = Math.max(1, Math.floor((end ? count - 1 : count) / 2));
  const step = Math.max(width * 1.12, length * 0.24);
  const foot = stalkOf(t, length / CM / 2) * 0.8;
  const of = bladeOf(t, length, width);
  const marks: Mark[] = [stroke(pts`${length * 0.05} ${foot}, 0 0, 0 ${-step * pairs}`, 1.4)];
  const winged = t.usual("leaf.stalk-section") === "winged";
  if (winged) marks.push(patch(pts`0 0, ${width * 0.12} ${-step * 0.5}, 0 ${-step}, ${-width * 0.12} ${-step * 0.5}`, TINT.leaf ?? "#bca"));
  for (let i = pairs - 1; i >= 0; i--) {
    const y = -step * (i + 0.5);
    const size = 1 - 0.22 * Math.abs(i / Math.max(1, pairs - 1) - 0.5);
    for (const side of [-1, 1]) {
      const sized = { ...of, length: of.length * size, width: of.width * size };
      marks.push(...placed(drawnBlade(sized, t, pairs > 4), [side * length * 0.05, y], side * 68, 1, side < 0));
      marks.push(stroke(pts`0 ${y}, ${side * length * 0.05} ${y}`, 0.9, false));
    }
  }
  if (end)
    marks.push(
      ...placed(drawnBlade(of, t, pairs > 4), [0, -step * pairs - length * 0.08]),
      stroke(pts`0 ${-step * pairs}, 0 ${-step * pairs - length * 0.08}`, 0.9, false),
    );
  if (t.usual("leaf.stipules") === "thorns")
    for (const side of [-1, 1])
      marks.push(patch(pts`0 ${foot}, ${side * length * 0.2} ${foot - length * 0.03}, 0 ${foot - length * 0.08}`, TINT.brown ?? "#853", false));
  return marks;
}

/** The side branches branch once more: those lowest on each have the most, and every end has its own leaflet. */
function thricePinnate(t: Traits): Mark[] {
  const length = (t.middle("leaf.length") ?? 4) * CM;
  const width = Math.min((t.middle("leaf.width") ?? (length / CM) * 0.45) * CM, length * 0.5);
  const of = bladeOf(t, length, width);
  const leaflet = drawnBlade(of, t, true).slice(0, 2);
  const twig = (pairs: number): Mark[] => {
    const step = width * 1.25;
    const marks: Mark[] = [stroke(pts`0 0, 0 ${-step * (pairs + 0.4)}`, 0.8, false)];
    for (let i = 0; i < pairs; i++) for (const side of [-1, 1]) marks.push(...placed(leaflet, [0, -step * (i + 0.7)], side * 58, 1, side < 0));
    marks.push(...placed(leaflet, [0, -step * (pairs + 0.4)]));
    return marks;
  };
  const branch = (pairs: number): Mark[] => {
    const step = length * 1.35;
    const marks: Mark[] = [stroke(pts`0 0, 0 ${-step * pairs}`, 1, false)];
    for (let i = 0; i < pairs; i++)
      for (const side of [-1, 1]) marks.push(...placed(twig(i === 0 && pairs > 1 ? 2 : 1), [0, -step * (i + 0.55)], side * 56, 1, side < 0));
    marks.push(...placed(twig(2), [0, -step * pairs]));
    return marks;
  };
  const reach = length * 5.2;
  const marks: Mark[] = [stroke(pts`${reach * 0.05} ${reach * 0.5}, 0 0, 0 ${-reach * 1.5}`, 1.6)];
  for (const [y, pairs] of [
    [0, 3],
    [-0.72, 2],
    [-1.3, 1],
  ] as const)
    for (const side of [-1, 1]) marks.push(...placed(branch(pairs), [0, reach * y], side * 60, 1, side < 0));
  marks.push(...placed(branch(1), [0, -reach * 1.5]));
  return marks;
}

function twicePinnate(t: Traits): Mark[] {
  if (t.usual("leaf.divided") === "thrice") return thricePinnate(t);
  const length = (t.middle("leaf.length") ?? 1) * CM;
  const width = (t.middle("leaf.width") ?? (length / CM) * 0.4) * CM;
  const branches = Math.max(1, Math.min(8, t.count("leaf.branch-pairs") ?? 4));
  const counted = t.count("leaf.leaflet-count");
  const leafletPairs = Math.max(3, Math.min(12, counted ? Math.round(counted / branches / 4) : branches < 4 ? 10 : 4));
  // where nobody has measured the whole leaf, its leaflets say how long it is
  const measured = t.middle("leaf.whole-length");
  const few = branches < 4 && measured === undefined;
  const row = Math.max(width * 1.6, length * 0.34) * leafletPairs;
  const whole = measured !== undefined ? measured * CM : few ? row * (0.5 + 0.75 * (branches - 1)) : Math.max(25 * CM, row * 2);
  const arm = few ? row : Math.max(width * 1.25 * leafletPairs, whole * 0.3);
  const of = bladeOf(t, Math.max(length, arm * 0.12), Math.max(width, arm * 0.05));
  const part = (): Mark[] => {
    const marks: Mark[] = [stroke(pts`0 0, 0 ${-arm}`, 1, false)];
    for (let i = 0; i < leafletPairs; i++)
      for (const side of [-1, 1])
        marks.push(...placed(drawnBlade(of, t, true).slice(0, 2), [0, -arm * ((i + 0.6) / leafletPairs)], side * 62, 1, side < 0));
    marks.push(...placed(drawnBlade(of, t, true).slice(0, 2), [0, -arm]));
    return marks;
  };
  const marks: Mark[] = [stroke(pts`${whole * 0.03} ${whole * 0.2}, 0 0, 0 ${-whole * 0.62}`, 1.5)];
  for (const y of branches === 1 ? [0] : spread(-whole * 0.04, -whole * 0.6, branches))
    for (const side of [-1, 1]) marks.push(...placed(part(), [0, y], side * (branches === 1 ? 32 : 62)));
  if (branches > 2) marks.push(...placed(part(), [0, -whole * 0.62]));
  return marks;
}

/** A needle by itself, its underside up: what lies on it, and how it ends. */
function oneNeedle(t: Traits, length: number, width: number): Mark[] {
  const half = width / 2;
  const tip = t.usual<string>("leaf.needle-tip") ?? "pricking";
  const end: Point[] =
    tip === "notched"
      ? pts`${half * 0.8} ${-length * 0.97}, ${half * 0.3} ${-length}, 0 ${-length * 0.975}, ${-half * 0.3} ${-length}, ${-half * 0.8} ${-length * 0.97}`
      : tip === "blunt"
        ? pts`${half * 0.7} ${-length * 0.97}, 0 ${-length}, ${-half * 0.7} ${-length * 0.97}`
        : pts`${half * 0.8} ${-length * (tip === "pricking" ? 0.86 : 0.92)}, 0 ${-length}, ${-half * 0.8} ${-length * (tip === "pricking" ? 0.86 : 0.92)}`;
  const marks: Mark[] = [
    patch(
      [
        [0, 0],
        [half * 0.5, -length * 0.02],
        [half, -length * 0.06],
        [half, -length * 0.5],
        ...end,
        [-half, -length * 0.5],
        [-half, -length * 0.06],
        [-half * 0.5, -length * 0.02],
      ],
      TINT.needle ?? "#8a7",
      false,
    ),
  ];
  const band = (x: number, wide: number, fill: string): Mark => ({
    p: pts`${x - wide} ${-length * 0.08}, ${x + wide} ${-length * 0.08}, ${x + wide} ${-length * 0.9}, ${x - wide} ${-length * 0.9}`,
    closed: true,
    fill,
    w: 0,
  });
  const bands = t.usual<string>("leaf.bands");
  if (bands === "two-white") marks.push(band(-half * 0.48, half * 0.26, "#fff"), band(half * 0.48, half * 0.26, "#fff"));
  if (bands === "pale-green") marks.push(band(-half * 0.48, half * 0.3, "#b9cb8a"), band(half * 0.48, half * 0.3, "#b9cb8a"));
  if (bands === "one-white") marks.push(band(0, half * 0.5, "#fff"));
  if (bands === "four-lines") for (const x of [-0.66, -0.25, 0.25, 0.66]) marks.push(band(half * x, half * 0.07, "#fff"));
  if (bands !== "one-white") marks.push({ p: pts`0 0, 0 ${-length * 0.93}`, w: 0.7 });
  return marks;
}

function needles(t: Traits): Mark[] {
  const length = Math.max(6, (t.middle("leaf.length") ?? 2) * CM);
  const width = Math.max(0.8, (t.middle("leaf.width") ?? 0.15) * CM);
  const set = t.usual<string>("leaf.needle-set") ?? "all-round";
  const bundle = t.usual<string>("leaf.bundle");
  const thin = (l: number): Mark[] => [
    patch(
      pts`0 0, ${width * 0.5} ${-l * 0.1}, ${width * 0.42} ${-l * 0.85}, 0 ${-l}, ${-width * 0.42} ${-l * 0.85}, ${-width * 0.5} ${-l * 0.1}`,
      TINT.needle ?? "#8a7",
      false,
      0.8,
    ),
  ];
  const marks: Mark[] = [];
  const twig = (from: number, to: number) => marks.push(stroke(pts`0 ${from}, 0 ${to}`, 2.6, false));
  if (bundle === "tuft") {
    const step = length * 0.55;
    twig(step * 1.2, -step * 2.6);
    for (let i = 0; i < 3; i++)
      for (const side of [-1, 1]) {
        const spur: Point = [side * length * 0.14, -step * (i + side * 0.2)];
        marks.push(stroke([[0, spur[1]], spur], 3.4, false));
        for (const a of spread(-70, 70, 13)) marks.push(...placed(thin(length * (0.8 + 0.2 * Math.cos((a * Math.PI) / 140))), spur, side * 90 + a));
      }
  } else if (set === "bundles" && bundle !== undefined && bundle !== "one") {
    const count = { two: 2, three: 3, five: 5 }[bundle] ?? 2;
    twig(length * 0.32, -length * 0.2);
    for (const [i, a] of spread(-62, 62, 5).entries()) {
      const foot: Point = [0, length * (0.24 - 0.11 * (i % 3))];
      for (const s of spread(-3.5 * count, 3.5 * count, count)) marks.push(...placed(thin(length), foot, a + s));
      if (t.usual("leaf.sheath") === "stays")
        marks.push(
          ...placed(
            [
              patch(
                pts`${-width} 0, ${width} 0, ${width * 0.8} ${-length * 0.12}, ${-width * 0.8} ${-length * 0.12}`,
                TINT.brown ?? "#853",
                false,
                0.8,
              ),
            ],
            foot,
            a,
          ),
        );
    }
    // one bundle by itself: it is counted
    for (const s of spread(-5 * count, 5 * count, count)) marks.push(...placed(thin(length), [length * 1.25, length * 0.3], s));
    marks.push(
      patch(
        pts`${length * 1.25 - width * 1.2} ${length * 0.32}, ${length * 1.25 + width * 1.2} ${length * 0.32}, ${length * 1.25 + width} ${length * 0.2}, ${length * 1.25 - width} ${length * 0.2}`,
        TINT.brown ?? "#853",
        false,
        0.8,
      ),
    );
    return marks;
  } else {
    const step = Math.max(width * 1.5, length * 0.1);
    const rows = Math.max(9, Math.min(16, Math.round((length * 2.6) / step)));
    twig(step * 1.5, -step * rows);
    for (let i = 0; i < rows; i++) {
      const y = -step * i;
      const last = i > rows - 3 ? 0.7 : 1;
      if (set === "two-rows")
        for (const side of [-1, 1]) marks.push(...placed(oneNeedle(t, length * last, width), [side * 0.4, y], side * (72 - (i > rows - 3 ? 30 : 0))));
      else
        for (const a of i % 2 ? [-58, 12, 66] : [-66, -14, 58]) marks.push(...placed(thin(length * last * (Math.abs(a) < 20 ? 0.5 : 1)), [0, y], a));
    }
    marks.push(...placed(thin(length * 0.6), [0, -step * rows]));
  }
  // one needle by itself, broader than it is: what lies on its underside is to be seen
  return [...marks, ...placed(oneNeedle(t, length * 1.9, length * 0.26), [length * 1.6, length * 0.3])];
}

function scales(t: Traits): Mark[] {
  const flat = t.usual("leaf.scale-spray") !== "cord";
  const marks: Mark[] = [];
  const cord = (length: number, wide: number): Mark[] => {
    const m: Mark[] = [
      patch(pts`${-wide} 0, ${wide} 0, ${wide * 0.8} ${-length}, 0 ${-length - wide}, ${-wide * 0.8} ${-length}`, TINT.needle ?? "#8a7"),
    ];
    for (const [i, y] of spread(-wide, -length, Math.max(4, Math.round(length / (wide * 1.6)))).entries())
      m.push(
        stroke(
          i % 2 ? pts`${-wide} ${y}, 0 ${y - wide * 1.1}, ${wide} ${y}` : pts`${-wide} ${y}, ${-wide * 0.1} ${y + wide * 0.5}, ${wide} ${y}`,
          0.6,
        ),
      );
    return m;
  };
  const arms: [Point, number, number][] = [];
  for (let i = 0; i < 5; i++) for (const side of [-1, 1]) arms.push([[0, -8 - i * 9 - (side > 0 ? 4 : 0)], side * (flat ? 48 : 38), 24 - i * 3.4]);
  for (const [foot, angle, long] of arms) {
    marks.push(...placed(cord(long, 1.3), foot, angle));
    if (flat)
      for (const s of [0.35, 0.6, 0.82])
        for (const side of [-1, 1]) marks.push(...placed(cord(long * 0.34, 1.1), going(foot, angle, long * s), angle + side * 42));
    else marks.push(...placed(cord(long * 0.45, 1.1), going(foot, angle, long * 0.45), angle * 0.2));
  }
  marks.push(...cord(60, 1.6));
  return marks;
}

/** The leaf, or a piece of a shoot where leaves are needles. */
export function foliage(t: Traits): Mark[] | null {
  switch (t.usual<string>("leaf.kind")) {
    case "simple":
      return simple(t);
    case "trifoliate":
      return fan(t, 3);
    case "palmate":
      return fan(t, Math.max(5, t.count("leaf.leaflet-count") ?? 7));
    case "pinnate":
      return pinnate(t);
    case "twice-pinnate":
      return twicePinnate(t);
    case "needle":
      return needles(t);
    case "scale":
      return scales(t);
    default:
      return null;
  }
}
