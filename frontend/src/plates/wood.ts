import { chance, going, type Point, pts, spread, tint } from "./ink";
import { disc, hair, type Mark, patch, placed, stroke } from "./scene";
import type { Traits } from "./traits";

const WIDE = 56;
const HIGH = 78;

/** A piece of a trunk, from its colour, its surface, its lenticels and what peels. */
export function barkPiece(t: Traits, surface: string, young: boolean): Mark[] {
  const random = chance(surface + (young ? "young" : "old"));
  const marks: Mark[] = [
    patch(
      pts`0 0, ${WIDE} 0, ${WIDE} ${HIGH}, 0 ${HIGH}`,
      t.usual("bark.colour") === "black" ? "#6b645c" : tint(t.usual<string>("bark.colour"), "grey-brown"),
      false,
    ),
  ];
  const line = (p: Point[], w = 1, bent = true) => marks.push(stroke(p, w, bent));
  switch (surface) {
    case "ridged":
      for (const [i, x] of spread(6, WIDE - 6, 6).entries()) {
        line(pts`${x} 0, ${x + (i % 2 ? 4 : -4)} ${HIGH * 0.27}, ${x} ${HIGH * 0.5}, ${x + (i % 2 ? -4 : 4)} ${HIGH * 0.76}, ${x} ${HIGH}`, 2.2);
        line(pts`${x + 4} 4, ${x + (i % 2 ? 7 : 1)} ${HIGH * 0.3}, ${x + 4} ${HIGH * 0.52}`, 0.7);
      }
      break;
    case "ropy":
      for (const x of spread(7, WIDE - 7, 4))
        for (const s of [-1, 1])
          line(
            spread(0, HIGH, 9).map((y, i) => [x + s * (i % 2 ? 7 : -7) * 0.9, y] as Point),
            2,
          );
      break;
    case "scaly":
      for (const [row, y] of spread(4, HIGH - 8, 7).entries())
        for (const x of spread(row % 2 ? 7 : 13, WIDE - (row % 2 ? 7 : 13), row % 2 ? 4 : 3))
          line(pts`${x - 6} ${y}, ${x - 3} ${y - 3}, ${x + 5} ${y - 2}, ${x + 6} ${y + 5}, ${x + 1} ${y + 8}, ${x - 5} ${y + 6}`, 1.1);
      break;
    case "blocks":
      for (const y of spread(0, HIGH, 7)) line(pts`0 ${y}, ${WIDE} ${y + (random() - 0.5) * 6}`, 1.6, false);
      for (const [i, y] of spread(0, HIGH, 7).slice(0, -1).entries())
        for (const x of spread(i % 2 ? 9 : 16, WIDE - 9, 4)) line(pts`${x} ${y}, ${x + (random() - 0.5) * 3} ${y + HIGH / 6}`, 1.6, false);
      break;
    case "peeling":
      for (const [i, x] of spread(8, WIDE - 8, 5).entries()) {
        const y = HIGH * (0.3 + 0.12 * (i % 3));
        marks.push(
          patch(
            pts`${x - 4} 0, ${x + 4} 0, ${x + 4} ${y}, ${x + 9} ${y + 9}, ${x + 1} ${y + 5}, ${x - 4} ${y - 2}`,
            i % 2 ? "#efe5d2" : "#cdbb9b",
            false,
          ),
        );
      }
      break;
    case "corky":
      for (const x of spread(7, WIDE - 7, 5))
        line(
          spread(0, HIGH, 7).map((y, i) => [x + (i % 2 ? 3.5 : -3.5), y] as Point),
          3.2,
        );
      for (let i = 0; i < 8; i++) {
        const [x, y] = [random() * (WIDE - 9), random() * HIGH];
        line(pts`${x} ${y}, ${x + 8} ${y + 3}`, 0.9, false);
      }
      break;
    case "warty":
      for (let i = 0; i < 26; i++) marks.push(disc([4 + random() * (WIDE - 8), 4 + random() * (HIGH - 8)], 1.2 + random() * 1.6, "#6d6152"));
      break;
    case "striped":
      for (const x of spread(5, WIDE - 5, 6)) {
        line(pts`${x} 0, ${x + 2} ${HIGH * 0.4}, ${x - 1} ${HIGH}`, 2);
        line(pts`${x + 3} ${HIGH * 0.1}, ${x + 3} ${HIGH * 0.7}`, 0.6);
      }
      break;
    default:
      for (let i = 0; i < 7; i++) {
        const [x, y] = [6 + random() * 30, 6 + random() * (HIGH - 12)];
        marks.push(hair(pts`${x} ${y}, ${x + 9} ${y}`));
      }
  }
  const lenticels = t.usual<string>("bark.lenticels");
  if (lenticels === "bands")
    for (let i = 0; i < (young || surface === "smooth" ? 12 : 4); i++) {
      const [x, y] = [4 + random() * (WIDE - 22), 5 + random() * (HIGH - 10)];
      marks.push({ p: pts`${x} ${y}, ${x + 8 + random() * 9} ${y}`, w: 2.4 });
    }
  if (lenticels === "diamonds")
    for (let i = 0; i < 9; i++)
      marks.push(...placed([patch(pts`0 -3, 2.6 0, 0 3, -2.6 0`, "#4a4238", false)], [6 + random() * (WIDE - 12), 6 + random() * (HIGH - 12)]));
  if (lenticels === "dots" && (young || surface === "smooth"))
    for (let i = 0; i < 22; i++) marks.push(disc([3 + random() * (WIDE - 6), 4 + random() * (HIGH - 8)], 0.8, "currentColor"));
  if (t.usual("bark.blisters") === "blisters" && young)
    for (let i = 0; i < 8; i++) marks.push(disc([6 + random() * (WIDE - 12), 6 + random() * (HIGH - 12)], 2.2, "#d9cfae"));
  const peel = t.usual<string>("bark.peel");
  if (peel === "papery-sheets" && surface !== "peeling")
    for (const y of [0.2, 0.55])
      marks.push(
        patch(
          pts`${WIDE} ${HIGH * y}, ${WIDE * 0.6} ${HIGH * (y + 0.02)}, ${WIDE * 0.56} ${HIGH * (y + 0.16)}, ${WIDE * 0.7} ${HIGH * (y + 0.12)}, ${WIDE} ${HIGH * (y + 0.13)}`,
          "#f3e3c6",
          false,
        ),
      );
  if (peel === "strips" && surface !== "peeling")
    for (const x of [0.25, 0.7])
      marks.push(
        patch(
          pts`${WIDE * x} ${HIGH * 0.1}, ${WIDE * (x + 0.09)} ${HIGH * 0.1}, ${WIDE * (x + 0.1)} ${HIGH * 0.6}, ${WIDE * (x + 0.18)} ${HIGH * 0.7}, ${WIDE * (x + 0.03)} ${HIGH * 0.64}`,
          "#d7c6a6",
          false,
        ),
      );
  // the trunk is round: its edges lie in shade
  for (const side of [0, 1])
    for (const f of [0.02, 0.05, 0.09]) marks.push(hair(pts`${WIDE * (side ? 1 - f : f)} 1, ${WIDE * (side ? 1 - f : f)} ${HIGH - 1}`));
  marks.push({ p: pts`0 0, ${WIDE} 0, ${WIDE} ${HIGH}, 0 ${HIGH}`, closed: true, w: 1.4 });
  return marks;
}

/** Young and old bark, where they differ; else the one there is. */
export function barkAges(t: Traits): string[] {
  const old = t.usual<string>("bark.surface");
  if (old === undefined) return [];
  const other = old !== "smooth" && t.share("bark.surface", "smooth") >= 0.1 ? "smooth" : t.often("bark.surface")[1]?.state;
  if (other === undefined || other === old) return [old];
  return old === "smooth" || other !== "smooth" ? [old === "smooth" ? old : other, old === "smooth" ? other : old] : [other, old];
}

export function bark(t: Traits): Mark[] | null {
  const [first, second] = barkAges(t);
  if (first === undefined) return null;
  return second === undefined ? barkPiece(t, first, false) : [...barkPiece(t, first, true), ...placed(barkPiece(t, second, false), [WIDE + 7, 0])];
}

const METRE = 1000;

function person(): Mark[] {
  return [
    disc([0, -1600], 130, "currentColor"),
    stroke(pts`0 -1450, 0 -800, -160 0`, 1, false),
    stroke(pts`0 -800, 160 0`, 1, false),
    stroke(pts`-220 -900, 0 -1300, 220 -900`, 1, false),
  ];
}

/** The tree from a distance, as high as it gets, with somebody beside it. */
export function crown(t: Traits): Mark[] | null {
  const habit = t.usual<string>("outline.habit") ?? "tree";
  const height = Math.max(0.3, t.middle("outline.height") ?? (habit === "tree" ? 18 : 3)) * METRE;
  const needles = t.usual("leaf.kind") === "needle" || t.usual("leaf.kind") === "scale";
  const green = needles ? "#7f9a74" : "#b3c79a";
  const shape = t.usual<string>("outline.crown") ?? "round";
  const random = chance(`${shape}${habit}`);
  const marks: Mark[] = [];
  const beside = person();
  const standing = (wide: number) => placed(beside, [wide, 0]);
  if (habit === "climber" || habit === "herb" || habit === "mat") {
    const h = habit === "mat" ? Math.min(height, 400) : Math.min(height, habit === "herb" ? 2500 : 6000);
    if (habit === "climber") {
      marks.push(patch(pts`${-h * 0.05} 0, ${h * 0.05} 0, ${h * 0.04} ${-h}, ${-h * 0.04} ${-h}`, "#9c8d79", false));
      marks.push(
        stroke(pts`${h * 0.1} 0, ${-h * 0.06} ${-h * 0.2}, ${h * 0.06} ${-h * 0.42}, ${-h * 0.05} ${-h * 0.64}, ${h * 0.06} ${-h * 0.86}`, 2),
      );
      for (const f of spread(0.1, 0.9, 11)) marks.push(disc([(random() - 0.5) * h * 0.26, -h * f], h * 0.04, green));
    } else
      for (const x of spread(-0.3, 0.3, 6)) {
        marks.push(stroke(pts`${x * h * 0.6} 0, ${x * h * 1.4} ${-h * (0.8 + 0.2 * random())}`, 1.2));
        for (const f of [0.4, 0.6, 0.8]) marks.push(disc([x * h * (0.6 + f * 0.8), -h * f], h * 0.06, green));
      }
    return [...marks, ...standing(Math.max(h * 0.7, 1200))];
  }
  const trunk = (from: number, x = 0) => {
    const w = Math.max(60, height * 0.018);
    const lean = t.usual("outline.trunk") === "leaning" ? height * 0.12 : 0;
    marks.push(
      patch(pts`${x - w} 0, ${x + w} 0, ${x + w * 0.6 + lean} ${-height * from}, ${x - w * 0.6 + lean} ${-height * from}`, "#9c8d79", false),
    );
  };
  if (needles && (shape === "cone" || shape === "narrow")) {
    const wide = height * (shape === "narrow" ? 0.11 : 0.21);
    const drooping = t.usual("outline.branches") === "arching";
    trunk(0.96);
    const tiers = 12;
    for (let i = 0; i < tiers; i++) {
      const f = i / tiers;
      const y = -height * (0.07 + 0.87 * f);
      const reach = wide * (1 - f) ** 0.85 + height * 0.012;
      for (const side of [-1, 1]) {
        const tip: Point = [side * reach, y + reach * (drooping ? 0.42 : 0.08)];
        marks.push(
          patch(
            [
              [0, y - height * 0.07],
              [side * reach * 0.6, y - height * 0.015],
              tip,
              [side * reach * 0.62, y + height * 0.035],
              [side * reach * 0.3, y + height * 0.01],
              [0, y + height * 0.03],
            ],
            green,
            false,
            0.9,
          ),
        );
      }
    }
    marks.push(patch(pts`${-height * 0.02} ${-height * 0.93}, 0 ${-height}, ${height * 0.02} ${-height * 0.93}`, green, false));
    return [...marks, ...standing(wide + Math.max(1400, height * 0.1))];
  }
  const several = t.usual("outline.stems") === "several" || habit === "shrub";
  const spreadOf: Record<string, number> = {
    narrow: 0.16,
    oval: 0.27,
    round: 0.36,
    broad: 0.5,
    flat: 0.5,
    vase: 0.38,
    arching: 0.44,
    ragged: 0.34,
    windswept: 0.38,
    cone: 0.26,
  };
  const wide = height * (spreadOf[shape] ?? 0.36) * (several ? 1.15 : 1);
  const foot = several ? 0.06 : shape === "flat" || shape === "vase" ? 0.42 : t.usual("outline.lower-branches") === "shed" ? 0.4 : 0.2;
  if (several)
    for (const x of spread(-0.3, 0.3, 5))
      marks.push(stroke(pts`${x * wide * 0.35} 0, ${x * wide * 0.9} ${-height * 0.35}, ${x * wide * 1.8} ${-height * 0.7}`, 2));
  else {
    trunk(0.66);
    for (const [i, f] of spread(foot + 0.04, 0.7, 5).entries())
      for (const side of [-1, 1])
        marks.push(
          stroke(
            pts`0 ${-height * f}, ${side * wide * 0.34} ${-height * (f + 0.07)}, ${side * wide * (0.8 - i * 0.1)} ${-height * (f + (t.usual("outline.branches") === "arching" ? 0.04 : 0.17))}`,
            1.4,
          ),
        );
  }
  const at = (u: number): number => {
    // half the width at u from the foot of the crown to its top
    switch (shape) {
      case "cone":
        return (1 - u) ** 0.8;
      case "flat":
        return u < 0.55 ? 0.4 + u * 1.1 : 1 - (u - 0.55) * 1.2;
      case "vase":
        return 0.25 + 0.75 * Math.sin(Math.PI * Math.min(0.62, u * 0.7));
      case "broad":
        return Math.sin(Math.PI * (0.18 + 0.82 * u)) ** 0.5;
      case "narrow":
      case "oval":
        return Math.sin(Math.PI * (0.06 + 0.94 * u)) ** 0.7;
      default:
        return Math.sin(Math.PI * (0.1 + 0.9 * u)) ** 0.6;
    }
  };
  const rough = shape === "ragged" ? 0.3 : 0.13;
  const edge: Point[] = [];
  const shift = shape === "windswept" ? wide * 0.5 : t.usual("outline.trunk") === "leaning" ? height * 0.08 : 0;
  for (const side of [1, -1])
    for (let k = 0; k <= 9; k++) {
      const u = side === 1 ? k / 9 : 1 - k / 9;
      const x = side * wide * Math.max(0.02, at(u)) * (1 + (random() - 0.5) * rough * 2) + shift * u;
      const droop = shape === "arching" && (k === 0 || k === 9) ? height * 0.1 : 0;
      edge.push([x, -height * (foot + (1 - foot) * u) + droop]);
    }
  const leaves = patch(edge, green, shape !== "ragged");
  marks.splice(several ? 0 : marks.length, 0, leaves);
  // foliage in its masses, and shade on one side
  for (let i = 0; i < 16; i++) {
    const u = 0.12 + 0.76 * random();
    const x = (random() * 1.7 - 0.85) * wide * at(u) + shift * u;
    const y = -height * (foot + (1 - foot) * u);
    marks.push({
      p: [going([x, y], -80, height * 0.035), going([x, y], 0, height * 0.022), going([x, y], 80, height * 0.035)],
      bent: true,
      w: 0.7,
      soft: true,
    });
  }
  for (const f of spread(0.2, 0.85, 9))
    marks.push(
      hair(
        pts`${wide * at(f) * 0.55 + shift * f} ${-height * (foot + (1 - foot) * f)}, ${wide * at(f) * 0.86 + shift * f} ${-height * (foot + (1 - foot) * (f - 0.06))}`,
      ),
    );
  return [...marks, ...standing(wide + Math.max(1300, height * 0.12))];
}
