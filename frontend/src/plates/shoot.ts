import { chance, going, type Point, pts, spread, TINT, tint } from "./ink";
import { disc, hair, type Mark, patch, placed, stroke } from "./scene";
import type { Traits } from "./traits";

/** A bud of that length, its foot at 0, 0, upward. */
function bud(t: Traits, length: number): Mark[] {
  const shape = t.usual<string>("bud.shape") ?? "egg";
  const fill = tint(t.usual<string>("bud.colour"), "brown");
  const half = length * ({ pointed: 0.22, egg: 0.34, round: 0.46, lopsided: 0.36, hidden: 0.3, "half-hidden": 0.36 }[shape] ?? 0.34);
  const stalk = t.usual("bud.stalk") === "stalked" ? length * 0.4 : 0;
  const lean = shape === "lopsided" ? half * 0.35 : 0;
  const tip: Point = [lean, -length - stalk];
  const body: Point[] =
    shape === "pointed"
      ? [
          [half * 0.7, -stalk],
          [half, -stalk - length * 0.3],
          [half * 0.4, -stalk - length * 0.75],
          tip,
          [-half * 0.4, -stalk - length * 0.75],
          [-half, -stalk - length * 0.3],
          [-half * 0.7, -stalk],
        ]
      : [
          [half * 0.8, -stalk],
          [half * (1 + (lean ? 0.3 : 0)), -stalk - length * 0.4],
          [half * 0.62 + lean, -stalk - length * 0.8],
          tip,
          [-half * 0.62 + lean, -stalk - length * 0.8],
          [-half, -stalk - length * 0.4],
          [-half * 0.8, -stalk],
        ];
  const marks: Mark[] = [];
  if (stalk > 0) marks.push(stroke(pts`0 0, 0 ${-stalk}`, 2, false));
  marks.push(patch(body, fill));
  const scales = t.usual<string>("bud.scales");
  if (scales === "few" || scales === "loose")
    marks.push(
      stroke([[0, -stalk], [half * 0.15, -stalk - length * 0.5], tip], 0.8),
      stroke(pts`${-half * 0.9} ${-stalk - length * 0.32}, ${-half * 0.1} ${-stalk - length * 0.5}, ${half * 0.1} ${-stalk - length * 0.62}`, 0.7),
    );
  if (scales === "many")
    for (const f of spread(0.2, 0.8, 5))
      for (const side of [-1, 1])
        marks.push(
          stroke(
            pts`${side * half * 0.9 * Math.sin(Math.PI * (0.28 + f * 0.5))} ${-stalk - length * f}, ${side * half * 0.2} ${-stalk - length * (f + 0.08)}, 0 ${-stalk - length * (f - 0.03)}`,
            0.6,
          ),
        );
  if (scales === "naked")
    for (const x of [-0.4, 0, 0.4]) marks.push(hair(pts`${x * half} ${-stalk - length * 0.1}, ${x * half * 0.5} ${-stalk - length * 0.85}`));
  if (t.usual("bud.surface") === "furry")
    for (const a of spread(-70, 70, 7))
      marks.push(
        hair([
          [half * 0.7 * Math.sin((a * Math.PI) / 180), -stalk - length * (0.5 + 0.4 * Math.cos((a * Math.PI) / 180))],
          going([half * 0.7 * Math.sin((a * Math.PI) / 180), -stalk - length * (0.5 + 0.4 * Math.cos((a * Math.PI) / 180))], a, length * 0.14),
        ]),
      );
  if (t.usual("bud.surface") === "sticky")
    marks.push({ p: pts`${-half * 0.4} ${-stalk - length * 0.6}, ${-half * 0.2} ${-stalk - length * 0.35}`, w: 1.5, soft: true });
  return marks;
}

/** A bud by itself. */
export const oneBud = (t: Traits): Mark[] =>
  t.usual("bud.shape") === "hidden"
    ? [
        patch(pts`-3.2 7, 3.2 7, 2.8 -9, -2.8 -9`, TINT["grey-brown"] ?? "#987", false),
        patch(pts`2.9 2, 7 0, 7.5 -3, 3 -3`, "#cdd6ae"),
        stroke(pts`3 -3.4, 3.6 -4.2, 3 -5`, 1.1),
        { p: pts`7.2 -1.5, 14 -6`, w: 2.2 },
      ]
    : [patch(pts`-3.2 7, 3.2 7, 2.6 0, -2.6 0`, TINT["grey-brown"] ?? "#987", false), ...bud(t, 12)];

const SCAR: Record<string, (w: number) => Point[]> = {
  narrow: (w) => pts`${-w} 0, 0 ${w * 0.22}, ${w} 0, 0 ${w * 0.42}`,
  "half-moon": (w) => pts`${-w} ${-w * 0.2}, 0 ${w * 0.3}, ${w} ${-w * 0.2}, ${w * 0.6} ${w * 0.5}, 0 ${w * 0.78}, ${-w * 0.6} ${w * 0.5}`,
  shield: (w) => pts`${-w * 0.8} ${-w * 0.4}, ${w * 0.8} ${-w * 0.4}, ${w * 0.6} ${w * 0.5}, 0 ${w}, ${-w * 0.6} ${w * 0.5}`,
  round: (w) =>
    Array.from({ length: 10 }, (_, i) => [w * 0.8 * Math.cos((i * Math.PI) / 5), w * 0.2 + w * 0.8 * Math.sin((i * Math.PI) / 5)] as Point),
  ring: (w) => Array.from({ length: 10 }, (_, i) => [w * Math.cos((i * Math.PI) / 5), w * Math.sin((i * Math.PI) / 5)] as Point),
  "three-lobed": (w) =>
    pts`${-w} ${-w * 0.4}, ${-w * 0.3} ${-w * 0.2}, 0 ${-w * 0.3}, ${w * 0.3} ${-w * 0.2}, ${w} ${-w * 0.4}, ${w * 0.6} ${w * 0.4}, 0 ${w}, ${-w * 0.6} ${w * 0.4}`,
  horseshoe: (w) =>
    pts`${-w} ${-w * 0.6}, ${-w * 0.5} ${-w * 0.5}, ${-w * 0.4} ${w * 0.2}, 0 ${w * 0.4}, ${w * 0.4} ${w * 0.2}, ${w * 0.5} ${-w * 0.5}, ${w} ${-w * 0.6}, ${w * 0.8} ${w * 0.5}, 0 ${w}, ${-w * 0.8} ${w * 0.5}`,
};

/** A shoot in winter: buds where the leaves were, scars with their traces, spines, lenticels; and cut across, its pith. */
export function shoot(t: Traits): Mark[] | null {
  if (t.usual("twig.woodiness") === "herbaceous") return null;
  const thick = { thin: 2, middling: 3.6, stout: 7 }[t.usual<string>("twig.thickness") ?? "middling"] ?? 3.6;
  const hidden = ["hidden", "half-hidden"].includes(t.usual<string>("bud.shape") ?? "");
  const long = Math.max(1.4, Math.min(26, t.middle("bud.length") ?? 6));
  const step = Math.max(long * 1.5, thick * 3.4, 13);
  const arrangement = t.usual<string>("leaf.arrangement") ?? "alternate";
  const nodes = arrangement === "alternate" ? 4 : 3;
  const height = step * (nodes + 0.6);
  const zig = t.usual("twig.zigzag") === "zigzag" ? thick * 0.8 : 0;
  const skin = tint(t.usual<string>("twig.colour"), "grey-brown");
  const axis = (f: number): Point => [zig * (Math.round(f * nodes) % 2 ? 1 : -1) * (f > 0 && f < 1 ? 1 : 0), -height * f];
  const spots = Array.from({ length: nodes + 1 }, (_, i) => axis(i / nodes));
  const half = thick / 2;
  const marks: Mark[] = [
    patch(
      [
        ...spots.map(([x, y], i) => [x - half * (1 - (i / nodes) * 0.3), y] as Point),
        ...spots.map(([x, y], i) => [x + half * (1 - (i / nodes) * 0.3), y] as Point).reverse(),
      ],
      skin,
      false,
    ),
  ];
  const random = chance("lenticels");
  const lenticels = t.usual<string>("twig.lenticels");
  if (lenticels === "warts" || lenticels === "fine")
    for (let i = 0; i < (lenticels === "warts" ? 16 : 22); i++) {
      const [x, y] = [(random() - 0.5) * thick * 0.6, -height * random()];
      marks.push({ p: pts`${x} ${y}, ${x} ${y - (lenticels === "warts" ? 1.4 : 0.7)}`, w: lenticels === "warts" ? 1.8 : 0.8, soft: true });
    }
  if (t.usual("twig.hairs") === "hairy" || t.usual("twig.hairs") === "gland-bristles")
    for (const f of spread(0.04, 0.96, 16))
      for (const side of [-1, 1])
        marks.push(
          hair(pts`${axis(f)[0] + side * half * 0.85} ${-height * f}, ${axis(f)[0] + side * (half + thick * 0.22)} ${-height * f - thick * 0.12}`),
          ...(t.usual("twig.hairs") === "gland-bristles"
            ? [disc([axis(f)[0] + side * (half + thick * 0.24), -height * f - thick * 0.14], thick * 0.04, "currentColor")]
            : []),
        );
  const stance = t.usual("bud.stance") === "pressed" ? 12 : 40;
  const scar = SCAR[t.usual<string>("twig.leaf-scar") ?? "half-moon"] ?? SCAR["half-moon"];
  const spines = t.usual<string>("twig.spines") ?? "none";
  const spineLength = Math.min(step * 1.4, t.middle("twig.spine-length") ?? 12);
  const traces = Math.min(9, t.count("twig.traces") ?? 3);
  for (let i = 1; i < nodes; i++) {
    const round = t.usual("leaf.ranks") === "all-round";
    const sides = arrangement === "opposite" ? [-1, 1] : arrangement === "whorled" ? [-1, 0, 1] : round ? [[-1, 0, 1][i % 3] ?? 0] : [i % 2 ? 1 : -1];
    for (const side of sides) {
      const [x, y] = axis(i / nodes);
      const foot: Point = [x + side * half * 0.85, y];
      const w = Math.max(thick * 0.36, 1.1);
      if (scar)
        marks.push(
          ...placed(
            [
              patch(scar(w), "#e6d9bb", true, 0.8),
              ...spread(-0.55, 0.55, traces).map((f) => disc([f * w, w * 0.34 - Math.abs(f) * w * 0.3], w * 0.09, "currentColor")),
            ],
            [foot[0] - side * half * 0.3, y + w * 0.5],
            side * -16,
          ),
        );
      if (spines === "paired" || spines === "branched")
        for (const s of [-1, 1])
          marks.push(
            ...placed(
              [patch(pts`0 ${thick * 0.3}, ${s * spineLength} ${-spineLength * 0.12}, 0 ${-thick * 0.3}`, "#7d4f33", false, 0.9)],
              [x + s * half * 0.8, y + thick * 0.15],
            ),
          );
      if (spines === "single")
        marks.push(
          patch(
            pts`${x + side * half} ${y + thick * 0.3}, ${x + side * (half + spineLength)} ${y - spineLength * 0.5}, ${x + side * half} ${y - thick * 0.3}`,
            "#7d4f33",
            false,
            0.9,
          ),
        );
      if (spines === "branched")
        marks.push(
          patch(
            pts`${x + spineLength * 0.5} ${y}, ${x + spineLength * 0.7} ${y - spineLength * 0.5}, ${x + spineLength * 0.62} ${y}`,
            "#7d4f33",
            false,
            0.9,
          ),
        );
      if (hidden) marks.push(stroke(pts`${foot[0]} ${y - thick * 0.2}, ${foot[0] + side * thick * 0.12} ${y - thick * 0.05}`, 1, false));
      else {
        marks.push(...placed(bud(t, long), [foot[0], y - thick * 0.1], side * stance));
        if (t.usual("bud.above") === "several") marks.push(...placed(bud(t, long * 0.62), [foot[0], y - long * 0.9], side * stance));
      }
      if (t.usual("twig.short-shoots") === "wrinkled" && i === 1) {
        const spur: Mark[] = [
          patch(pts`${-thick * 0.45} 0, ${thick * 0.45} 0, ${thick * 0.5} ${-step * 0.5}, ${-thick * 0.5} ${-step * 0.5}`, skin, false),
          ...spread(0.1, 0.45, 6).map((f) =>
            stroke(pts`${-thick * 0.5} ${-step * f}, 0 ${-step * f - thick * 0.1}, ${thick * 0.5} ${-step * f}`, 0.7),
          ),
          ...placed(bud(t, long * 0.9), [0, -step * 0.5]),
        ];
        marks.push(...placed(spur, [x - side * half, y], -side * 62));
      }
    }
  }
  const [tx, ty] = axis(1);
  const end = t.usual<string>("bud.end") ?? "one";
  if (end === "cluster") for (const a of [-34, 34, 0]) marks.push(...placed(bud(t, long * (a === 0 ? 1.1 : 0.86)), [tx, ty], a));
  else if (end === "pair") for (const a of [-18, 18]) marks.push(...placed(bud(t, long), [tx, ty], a));
  else if (end === "one") marks.push(...placed(bud(t, hidden ? long * 0.6 : long * 1.15), [tx, ty]));
  else
    marks.push(
      stroke(pts`${tx} ${ty}, ${tx + thick * 0.5} ${ty - thick * 0.5}`, 1.4, false),
      ...(hidden ? [] : placed(bud(t, long), [tx - half * 0.6, ty + 1], -24)),
    );
  // cut across
  const R = Math.max(step * 0.42, thick * 1.4);
  const middle: Point = [step * 1.15, -R * 1.1];
  const pith = t.usual<string>("twig.pith");
  // nobody has cut it: what is inside is not known
  if (pith === undefined) return marks;
  const inside = pith === "wide" ? 0.66 : pith === "narrow" ? 0.2 : pith === "star" ? 0.42 : 0.36;
  marks.push(disc(middle, R, skin), disc(middle, R * 0.86, TINT.wood ?? "#dcb"));
  const soft = { white: "#fffdf4", brown: "#b98a58", green: "#cfd9a6", pink: "#e6b7a0" }[t.usual<string>("twig.pith-colour") ?? "white"] ?? "#fffdf4";
  if (pith === "star")
    marks.push(
      patch(
        spread(0, 324, 10).map((a, i) => going(middle, a, R * (i % 2 ? 0.16 : inside))),
        soft,
        false,
        0.8,
      ),
    );
  else if (pith === "hollow") marks.push(disc(middle, R * inside, "#3a342c"));
  else marks.push(disc(middle, R * inside, soft));
  if (pith === "chambered")
    for (const y of spread(-0.24, 0.24, 4))
      marks.push(stroke(pts`${middle[0] - R * 0.3} ${middle[1] + R * y}, ${middle[0] + R * 0.3} ${middle[1] + R * y}`, 0.9, false));
  return marks;
}
