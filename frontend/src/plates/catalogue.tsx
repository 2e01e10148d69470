import type { ReactNode } from "react";
import { blade } from "./geometry";

/**
 * Drawings as strokes of path data, 64 × 64. Each stroke begins with how it is drawn: `-` a line, `=` a thick line,
 * `~` a thin line, `o` an outline filled with the ground of the plate, `*` solid, `#` with a tint behind it.
 */
type Strokes = string[];

const dot = (x: number, y: number, r: number): string => `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
const dots = (r: number, ...points: [number, number][]): string => points.map(([x, y]) => dot(x, y, r)).join("");
const around = (n: number, r: number, draw: (x: number, y: number, a: number) => string, cx = 32, cy = 32): string =>
  Array.from({ length: n }, (_, i) => {
    const a = (i / n) * 2 * Math.PI - Math.PI / 2;
    return draw(cx + r * Math.cos(a), cy + r * Math.sin(a), a);
  }).join("");
const rays = (n: number, from: number, to: number, cx = 32, cy = 32): string =>
  around(
    n,
    from,
    (x, y, a) => `M${x.toFixed(1)} ${y.toFixed(1)}L${(cx + to * Math.cos(a)).toFixed(1)} ${(cy + to * Math.sin(a)).toFixed(1)}`,
    cx,
    cy,
  );

const trunk = "M10 4V60M54 4V60";
const shoot = "M20 62L30 4M28 62L38 4";
const tree = "M32 60V34M32 34C14 34 12 8 32 6C52 8 50 34 32 34Z";
const bud = (x: number, y: number, s = 1): string =>
  `M${x} ${y}C${x - 6 * s} ${y - 3 * s} ${x - 5 * s} ${y - 12 * s} ${x} ${y - 15 * s}C${x + 5 * s} ${y - 12 * s} ${x + 6 * s} ${y - 3 * s} ${x} ${y}Z`;
const leaf = (x: number, y: number, length: number): string => blade(x, y, length, "egg");
const hand = (depth: number, tip: (x: number, y: number, a: number) => string = () => ""): Strokes => {
  const at = (k: number, r: number): [number, number] => {
    const a = (-200 + k * 36.7) * (Math.PI / 180);
    return [32 + r * Math.cos(a), 38 + r * 1.05 * Math.sin(a)];
  };
  const points: [number, number][] = [[30, 50]];
  let tips = "";
  for (let k = 0; k < 5; k++) {
    const [x, y] = at(k * 1.5, 28);
    points.push([x, y]);
    tips += tip(x, y, (-200 + k * 55) * (Math.PI / 180));
    if (k < 4) points.push(at(k * 1.5 + 0.75, 28 - depth));
  }
  points.push([34, 50]);
  return [`oM${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join("L")}Z`, "-M32 62V20", ...(tips ? [`*${tips}`] : [])];
};
const feather =
  "M32 58C28 52 22 54 20 48C18 42 26 42 26 38C18 38 12 34 14 28C16 24 24 28 26 26C20 22 18 16 22 12C26 10 28 16 32 6C36 16 38 10 42 12C46 16 44 22 38 26C40 28 48 24 50 28C52 34 46 38 38 38C38 42 46 42 44 48C42 54 36 52 32 58Z";
const tipOf = (top: string): Strokes => [`oM12 62${top} 52 62`, "~M32 62V26"];
const berry = "oM32 4V14";
const acornCap = "M14 30C14 16 50 16 50 30Z";
const acorn = `oM17 30C16 46 26 58 32 61C38 58 48 46 47 30`;
const keyLine = (d: string): Strokes => [`o${d}`];

export const CATALOGUE: Record<string, Strokes> = {
  "crown-narrow": ["oM32 4C24 12 23 40 27 52H37C41 40 40 12 32 4Z", "-M31 60V52M33 60V52M12 60H52"],
  "trunk-straight": ["-M26 62V4M38 62V4M8 62H56"],
  "trunk-leaning": ["-M18 62L38 4M32 62L50 4M6 62H56"],
  "trunk-fluted": ["-M20 62C26 40 18 24 22 4M44 62C38 40 46 24 42 4", "~M28 62C32 40 26 24 29 4M36 62C33 40 38 24 35 4M32 62C30 44 34 26 32 4"],
  "trunk-crooked": ["-M24 62C34 46 14 36 26 22C32 14 26 8 28 4M36 62C46 46 28 36 38 24C44 16 38 8 40 4"],
  "lower-kept": ["-M32 62V20", "oM32 4C20 6 18 20 32 22C46 20 44 6 32 4Z", "-M32 34L14 38M32 36L50 40M32 46L16 50M32 48L48 52"],
  "lower-shed": ["-M30 62V24M34 62V24", "oM32 4C14 6 12 24 32 26C52 24 50 6 32 4Z"],
  "suckers-many": ["-M32 60V30M6 60H58M12 60V44M18 60V38M46 60V40M52 60V46M24 60V48M40 60V50", "oM32 6C18 8 16 28 32 30C48 28 46 8 32 6Z"],
  "suckers-none": [`-${tree}M8 60H56`, "!"],
  "barkmarks-bands": [`=${trunk}`, "=M16 14H34M30 24H48M14 36H30M34 44H50M18 54H40"],
  "barkmarks-diamonds": [`=${trunk}`, "oM24 12l5 6l-5 6l-5 -6ZM42 22l5 6l-5 6l-5 -6ZM26 38l5 6l-5 6l-5 -6ZM44 46l4 5l-4 5l-4 -5Z"],
  "barkmarks-dots": [`=${trunk}`, `*${dots(2, [20, 14], [34, 10], [44, 20], [26, 26], [40, 34], [20, 40], [32, 46], [46, 50], [22, 54])}`],
  "barkmarks-none": [`=${trunk}`, "!"],
  "peel-sheets": [`=${trunk}`, "oM14 14H40Q48 14 48 20Q44 24 40 20H14Z", "oM22 34H50V42H22Q16 42 16 38Q18 34 22 34Z", "~M18 52H44"],
  "peel-strips": [`=${trunk}`, "oM18 6V48Q19 56 25 57V6Z", "oM32 6V36Q33 44 39 46V6Z", "oM45 6V54Q46 60 51 60V6Z"],
  "peel-plates": [`=${trunk}`, "oM14 8H30V22H14ZM34 12H50V28H34ZM14 28H28V44H14ZM32 34H50V48H32ZM16 48H30V58H16Z"],
  "peel-tight": [`=${trunk}`, "-M22 30C28 24 40 24 44 30M22 30C20 36 22 42 26 44M44 30L40 40"],
  "pith-chambered": ["-M14 4V60M50 4V60M26 4V60M38 4V60", "=M26 12H38M26 22H38M26 32H38M26 42H38M26 52H38"],
  "pith-star": [
    `o${dot(32, 32, 26)}`,
    `*M${Array.from({ length: 10 }, (_, i) => {
      const a = (i / 10) * 2 * Math.PI - Math.PI / 2;
      const r = i % 2 ? 4 : 12;
      return `${(32 + r * Math.cos(a)).toFixed(1)} ${(32 + r * Math.sin(a)).toFixed(1)}`;
    }).join("L")}Z`,
  ],
  "spines-branched": [`-${shoot}`, "=M26 40L4 22M14 30L10 16M18 34L4 38M32 28L58 14M46 21L52 8M42 23L58 28"],
  "spineplace-tip": ["-M24 62V4M32 62V4", "=M32 34L58 20", `o${leaf(40, 30, 12)}${leaf(44, 28, 10)}`],
  "spineplace-leaf": [`-${shoot}`, "=M28 34L12 26M32 32L48 24", "-M30 32L54 40"],
  "spineplace-axil": [`-${shoot}`, "=M32 28L54 16", `o${bud(36, 32, 0.7)}`, "~M30 34h10"],
  "spineplace-scattered": [`-${shoot}`, "-M25 52l-6 -3M30 48l6 -2M26 40l-7 -1M32 36l7 -2M28 26l-6 -4M34 22l7 0M30 14l-5 -4"],
  "section-round": [`o${dot(32, 32, 24)}`, `*${dot(32, 32, 4)}`],
  "section-angled": ["oM12 20L20 12H44L52 20V44L44 52H20L12 44Z", `*${dot(32, 32, 4)}`],
  "section-winged": ["oM28 6H36V22H58V30H40V58H32V42H6V34H28Z", `*${dot(32, 32, 4)}`],
  "leafscar-narrow": ["-M22 62V4M42 62V4", "=M24 38Q32 44 40 38", `o${bud(32, 34, 1.1)}`],
  "leafscar-half": ["-M20 62V4M44 62V4", "oM22 36H42Q42 50 32 50Q22 50 22 36Z", `*${dots(1.6, [27, 41], [32, 43], [37, 41])}`, `o${bud(32, 34, 1)}`],
  "leafscar-shield": [
    "-M14 62V4M50 62V4",
    "oM18 28Q32 36 46 28C48 46 40 58 32 60C24 58 16 46 18 28Z",
    `*${dots(1.8, [24, 38], [28, 46], [32, 50], [36, 46], [40, 38])}`,
    `o${bud(32, 26, 1)}`,
  ],
  "leafscar-ring": ["-M18 62V4M46 62V4", "=M20 24C18 44 26 54 32 54C38 54 46 44 44 24", `o${bud(32, 44, 1.2)}`],
  "thick-thin": ["-M30 62V4M34 62V4"],
  "thick-middling": ["-M26 62V4M38 62V4"],
  "thick-stout": ["-M16 62V4M48 62V4"],
  "zigzag-straight": ["-M30 62V6M34 62V6", `o${bud(26, 46, 0.8)}${bud(38, 34, 0.8)}${bud(26, 22, 0.8)}`],
  "zigzag-bent": ["=M26 62L40 46L24 30L40 16L32 4", `o${bud(44, 46, 0.8)}${bud(20, 30, 0.8)}${bud(44, 16, 0.8)}`],
  "hang-standing": ["-M32 62V20M32 40L14 20M32 34L50 14M32 24L24 6M32 20L38 4"],
  "hang-hanging": ["-M4 14C20 6 44 6 60 14", "~M12 11V58M20 9V52M28 8V60M36 8V54M44 9V60M52 11V56"],
  "bud-one": ["oM32 60C16 50 18 20 32 4C46 20 48 50 32 60Z"],
  "budend-one": ["-M28 62V34M36 62V34", `o${bud(32, 36, 1.9)}`],
  "budend-cluster": ["-M28 62V34M36 62V34", `o${bud(20, 34, 1.2)}${bud(44, 34, 1.2)}${bud(26, 30, 1.3)}${bud(38, 30, 1.3)}${bud(32, 34, 1.7)}`],
  "budend-pair": ["-M28 62V32M36 62V32", `o${bud(22, 34, 1.6)}${bud(42, 34, 1.6)}`, "*M30 32h4v-6h-4Z"],
  "budend-none": ["-M28 62V10L36 4M36 62V8", `o${bud(42, 26, 1.4)}`],
  "budstalk-yes": ["-M20 62V4M28 62V4", "=M28 44L40 32", `o${bud(42, 34, 1.5)}`],
  "budstalk-no": ["-M20 62V4M28 62V4", `o${bud(33, 42, 1.6)}`],
  "leaf-scale": ["oM26 6H38V58H26Z", "-M26 14L32 20L38 14M26 24L32 30L38 24M26 34L32 40L38 34M26 44L32 50L38 44"],
  "margin-spiny": ["oM4 34L10 18L16 32Q22 38 26 34L32 18L38 32Q44 38 48 34L54 18L60 32V60H4Z"],
  "margin-round": ["oM4 36Q10 24 16 36Q22 24 28 36Q34 24 40 36Q46 24 52 36Q56 28 60 34V60H4Z"],
  "bands-one": ["oM20 60C18 40 20 14 32 4C44 14 46 40 44 60Z", "#fffef8 M27 56V18H37V56Z", "~M30 54V20M34 54V20"],
  "bands-none": ["oM20 60C18 40 20 14 32 4C44 14 46 40 44 60Z", "-M32 60V8", "!"],
  "needles-bundles": ["-M24 62L32 4M30 62L38 4", "=M31 44L58 30M31 44L56 20M33 26L60 14M33 26L54 4M27 50L4 36M27 50L8 24"],
  "bundle-one": ["-M8 58L56 50", "=M32 54L36 8"],
  "bundle-two": ["-M8 58L56 50", "=M32 48L22 6M32 48L44 6", "oM29 54V44H35V53Z"],
  "bundle-three": ["-M8 58L56 50", "=M32 50L12 16M32 50V6M32 50L52 16"],
  "bundle-five": ["-M8 58L56 50", "=M32 46L10 14M32 46L20 6M32 46V4M32 46L44 6M32 46L54 14", "oM29 54V42H35V53Z"],
  "bundle-tuft": ["-M8 60L56 54", "oM26 56L27 44H37L38 55Z", `-${rays(14, 6, 34, 32, 42)}`],
  "spray-flat": ["=M32 62V10M32 46L14 34M32 46L50 34M32 32L16 20M32 32L48 20M32 20L22 10M32 20L42 10", "~M4 62H60"],
  "spray-cord": ["-M29 62C27 40 30 20 28 4M35 62C37 40 34 20 36 4", "~M28 12h8M28 20h8M28 28h8M28 36h8M29 44h7M29 52h6"],
  "lobes-none": [`o${leaf(32, 58, 54)}`, "~M32 62V10"],
  "lobes-finger": hand(13),
  "lobes-feather": [`o${feather}`, "~M32 62V10"],
  "lobes-odd": [
    `o${blade(17, 60, 40, "egg")}`,
    "oM46 60C34 56 34 40 38 36C32 34 32 22 36 18C40 22 42 26 44 26C44 18 46 12 50 8C58 18 60 50 46 60Z",
    "~M17 62V26M46 62V20",
  ],
  "lobetip-round": ["oM8 62C8 40 16 40 16 28C16 12 30 12 30 28C30 36 34 36 34 28C34 6 52 6 52 28C52 42 58 44 58 62"],
  "lobetip-point": ["oM8 62L14 40L22 12L30 38L34 38L44 6L52 40L58 62"],
  "lobetip-bristle": ["oM8 62L14 40L22 18L30 38L34 38L44 14L52 40L58 62", "=M22 18V8M44 14V2"],
  "lobedepth-third": hand(6),
  "lobedepth-half": hand(13),
  "lobedepth-deep": hand(20),
  "glands-two": ["-M30 62V34M34 62V34M32 34C18 30 12 14 14 4M32 34C46 30 52 14 50 4M32 34V6", `*${dots(3.4, [27, 36], [37, 38])}`],
  "glands-none": ["-M30 62V34M34 62V34M32 34C18 30 12 14 14 4M32 34C46 30 52 14 50 4", "!"],
  "stalk-round": [`o${dot(32, 32, 16)}`, "-M26 20Q32 26 38 20"],
  "stalk-flat": ["oM28 6C34 10 36 50 34 58C30 62 26 58 26 54C24 40 24 14 28 6Z", "~M4 32H20M44 32H60"],
  "stalk-winged": ["oM30 62V4H34V62Z", "oM30 54C20 50 20 16 30 10Z", "oM34 54C44 50 44 16 34 10Z"],
  "leaftip-round": tipOf("C12 30 14 8 32 8C50 8 52 30"),
  "leaftip-notch": tipOf("C12 30 14 8 26 8L32 18L38 8C50 8 52 30"),
  "leaftip-point": tipOf("C12 36 26 24 32 6C38 24 52 36"),
  "leaftip-long": tipOf("C12 42 29 30 31 2H33C35 30 52 42"),
  "upper-dull": [`o${leaf(32, 60, 56)}`, "~M32 62V8"],
  "upper-glossy": [`o${leaf(32, 60, 56)}`, "=M26 44C22 34 24 24 30 16", "~M32 62V8M38 48L42 34"],
  "upper-rough": [
    `o${leaf(32, 60, 56)}`,
    `*${dots(1.1, [28, 50], [36, 50], [24, 44], [32, 44], [40, 44], [22, 36], [28, 36], [36, 36], [42, 36], [24, 28], [32, 28], [40, 28], [28, 20], [36, 20])}`,
  ],
  "upper-wrinkled": [
    `o${leaf(32, 60, 56)}`,
    "-M32 62V8M32 50Q26 48 22 40M32 50Q38 48 42 40M32 40Q26 38 20 30M32 40Q38 38 44 30M32 30Q28 28 24 20M32 30Q36 28 40 20",
  ],
  "tufts-rusty": [
    `o${leaf(32, 60, 56)}`,
    "~M32 62V8M32 46L20 38M32 46L44 38M32 32L21 24M32 32L43 24",
    "#a8683c M32 46l-6 -5l4 -3ZM32 46l6 -5l-4 -3ZM32 32l-6 -5l4 -3ZM32 32l6 -5l-4 -3Z",
  ],
  "tufts-white": [
    `o${leaf(32, 60, 56)}`,
    "~M32 62V8M32 46L20 38M32 46L44 38M32 32L21 24M32 32L43 24",
    "#fffef8 M32 46l-6 -5l4 -3ZM32 46l6 -5l-4 -3ZM32 32l-6 -5l4 -3ZM32 32l6 -5l-4 -3Z",
  ],
  "ever-yes": ["=M28 62V36", "-M32 62V8", `o${leaf(34, 56, 20)}${leaf(26, 50, 18)}${leaf(34, 30, 20)}${leaf(28, 26, 18)}`],
  "ever-no": ["=M30 62V34", "-M32 34V8", `o${leaf(35, 30, 22)}${leaf(28, 24, 20)}`, "~M24 52h6M34 46h6"],
  "kept-yes": ["-M20 62L30 4M26 62L34 4", "oM32 20C44 18 52 26 50 36C44 34 36 30 32 20Z", "oM26 38C14 36 6 44 8 54C16 52 24 48 26 38Z"],
  "kept-no": [`-${shoot}`, "!"],
  "endleaflet-yes": [
    "-M32 62V20",
    `o${leaf(32, 24, 22)}`,
    "oM32 34C22 36 14 30 10 22C20 20 28 26 32 34ZM32 34C42 36 50 30 54 22C44 20 36 26 32 34Z",
    "oM32 52C22 54 14 48 10 40C20 38 28 44 32 52ZM32 52C42 54 50 48 54 40C44 38 36 44 32 52Z",
  ],
  "endleaflet-no": [
    "-M32 62V24",
    "oM32 26C22 26 14 18 12 8C22 8 30 16 32 26ZM32 26C42 26 50 18 52 8C42 8 34 16 32 26Z",
    "oM32 50C22 52 14 46 10 38C20 36 28 42 32 50ZM32 50C42 52 50 46 54 38C44 36 36 42 32 50Z",
  ],
  "baseteeth-yes": [
    "oM12 32C14 22 18 20 20 24L26 16C44 10 56 20 60 30C50 44 34 50 26 46L20 40C18 44 14 42 12 32Z",
    "-M2 32H12",
    `*${dots(2.4, [20, 26], [20, 38])}`,
  ],
  "baseteeth-no": ["oM12 32C18 14 46 10 60 30C46 50 20 50 12 32Z", "-M2 32H12", "!"],
  "leafletstalk-yes": ["-M12 62V4M12 34H28", "oM28 34C32 22 50 20 60 32C50 46 32 46 28 34Z"],
  "leafletstalk-no": ["-M12 62V4", "oM12 34C18 20 48 18 60 32C48 46 18 48 12 34Z"],
  "shapes-one": [`o${leaf(16, 58, 44)}${leaf(46, 58, 50)}`],
  "shapes-several": [
    `o${leaf(16, 58, 40)}`,
    "oM46 60C34 54 30 44 34 40C28 34 28 26 34 26C36 18 42 8 46 6C50 8 56 18 58 26C64 26 64 34 58 40C62 44 58 54 46 60Z",
  ],
  "head-umbel": ["-M32 62V40M32 40L12 18M32 40L24 12M32 40L40 12M32 40L52 18", `o${dots(6, [12, 16], [24, 10], [40, 10], [52, 16])}`],
  "head-spike": ["-M32 62V6", `o${dots(4.2, [24, 48], [40, 44], [24, 38], [40, 34], [25, 28], [39, 24], [27, 18], [37, 14], [32, 8])}`],
  "head-axils": [`-${shoot}`, "-M32 30L58 16M30 42L6 28", `o${dots(3.6, [38, 32], [44, 36], [36, 40], [22, 42], [16, 48], [24, 50])}`],
  "head-ball": [
    "-M32 62V44",
    `o${dot(32, 26, 20)}`,
    `~${around(11, 14, (x, y) => dot(x, y, 3), 32, 26)}${around(5, 6, (x, y) => dot(x, y, 3), 32, 26)}`,
  ],
  "flower-rose": [`o${around(5, 16, (x, y) => dot(x, y, 11))}`, `-${rays(12, 3, 12)}`, `*${dot(32, 32, 2.4)}`],
  "flower-bell": ["oM32 6C20 10 20 30 16 46L24 42L32 50L40 42L48 46C44 30 44 10 32 6Z", "-M32 6V0"],
  "flower-funnel": ["oM28 62C29 40 26 30 14 16L26 18L32 6L38 18L50 16C38 30 35 40 36 62Z"],
  "anthers-red": [`-${rays(5, 0, 18)}`, `#c2475c ${around(5, 20, (x, y) => dot(x, y, 6))}`],
  "time-with": [
    "-M20 62L28 6M26 62L34 6",
    `o${dots(5, [40, 20], [14, 34], [38, 46])}`,
    `o${blade(36, 34, 14, "lance")}${blade(18, 50, 14, "lance")}${blade(24, 22, 14, "lance")}`,
  ],
  "sexes-both": [`o${around(5, 18, (x, y) => dot(x, y, 10))}`, `-${rays(8, 4, 13)}`, `*${dot(32, 32, 4)}${around(8, 13, (x, y) => dot(x, y, 1.8))}`],
  "sexes-one": [`-${tree}`, `*${dots(3, [24, 20], [30, 12])}`, `o${dots(4, [40, 20], [36, 28])}`],
  "sexes-two": [
    "-M16 60V36M48 60V36",
    `o${dot(16, 22, 13)}${dot(48, 22, 13)}`,
    `*${dots(2.6, [12, 20], [19, 26], [18, 15])}`,
    `-${dots(3.4, [44, 20], [51, 26], [50, 15])}`,
  ],
  "place-tip": ["-M30 62V24M34 62V24", `o${dots(5, [32, 14], [24, 18], [40, 18], [28, 8], [36, 8])}`, `o${leaf(38, 50, 18)}`],
  "place-side": ["-M24 62V4M28 62V4M28 34L40 24", `o${dots(4.4, [42, 20], [48, 24], [44, 12], [36, 16])}`],
  "place-old": ["=M24 62V4M36 62V4", `o${dots(4.4, [42, 20], [18, 30], [43, 38], [17, 48], [44, 54])}`],
  "bract-yes": ["oM26 58C16 44 18 14 30 4C40 14 38 44 26 58Z", "-M28 34L44 44M44 44L40 56M44 44L50 56", `*${dots(3, [40, 57], [51, 57])}`],
  "bract-no": ["-M32 4V34M32 34L20 52M32 34L44 52", `*${dots(3, [19, 54], [45, 54])}`, "!"],
  "fruit-berry": [berry, `o${dot(32, 36, 22)}`, `~${around(5, 9, (x, y) => dot(x, y, 3), 32, 36)}`],
  "fruit-capsule": [
    "-M32 4V14",
    "oM32 14C14 14 8 34 18 44C24 50 30 44 32 40C34 44 40 50 46 44C56 34 50 14 32 14Z",
    "-M32 14V40",
    `*${dots(4, [26, 54], [40, 52])}`,
  ],
  "fruit-acorn": [acorn, `o${acornCap}`, "-M32 19V10"],
  "fruit-winged": ["oM8 40C14 30 24 30 28 38C40 24 56 14 60 18C58 34 40 50 26 48C18 52 8 48 8 40Z", `*${dot(18, 41, 5)}`],
  "fruit-nutlet": ["oM32 6C28 18 20 22 10 24C18 30 24 34 26 44H38C40 34 46 30 54 24C44 22 36 18 32 6Z", `*${dot(32, 50, 7)}`],
  "fruit-cotton": ["-M20 62L28 34M26 62L32 34", `~${rays(22, 4, 26, 32, 26)}`, `*${dot(32, 26, 3)}`],
  "fruit-compound": [
    "-M32 4V12",
    `o${dots(5, [26, 16], [38, 16], [20, 25], [32, 24], [44, 25], [20, 35], [32, 34], [44, 35], [25, 44], [39, 44], [32, 52])}`,
  ],
  "fruit-berrycone": [`o${dot(32, 34, 22)}`, "-M32 34L32 22M32 34L22 40M32 34L42 40", "~M16 22Q20 16 26 14"],
  "husk-bristles": [
    "oM12 18C10 40 20 58 32 60C44 58 54 40 52 18L42 30L32 16L22 30Z",
    "-M14 30l-6 2M15 38l-6 3M18 46l-5 4M50 30l6 2M49 38l6 3M46 46l5 4M26 40v6M38 40v6",
  ],
  "nut-edged": ["oM32 4C20 20 12 40 10 54H54C52 40 44 20 32 4Z", "-M32 4C30 24 26 44 24 54"],
  "nut-grooved": [`o${dot(32, 34, 24)}`, "-M32 10C26 26 38 42 32 58M20 16C18 28 24 40 18 50M44 16C46 28 40 40 46 50"],
  "remains-keys": [
    "-M8 8H56M32 8V22",
    "oM32 22C26 26 24 44 26 54C32 50 34 34 32 22Z",
    "oM32 22C38 26 44 40 46 50C38 48 32 36 32 22Z",
    "oM32 22C24 24 14 34 12 44C20 44 28 34 32 22Z",
  ],
  "remains-berries": ["-M8 8H56M32 8V24M32 24L20 34M32 24L44 34M32 24V38", `*${dots(4.4, [19, 38], [26, 44], [32, 42], [39, 45], [46, 38])}`],
  "skin-bloom": [`o${dot(32, 34, 24)}`, "~M14 28H50M11 34H53M13 40H51M18 46H46M20 22H44", "-M22 22Q28 14 38 16"],
  "skin-shiny": [`*${dot(32, 34, 24)}`, "#fffef8 M20 28Q24 18 34 16Q26 22 24 32Z"],
  "skin-dull": [`o${dot(32, 34, 24)}`],
  "skin-hairy": [`o${dot(32, 34, 20)}`, `-${rays(26, 20, 27, 32, 34)}`],
  "fset-single": ["-M8 8H56M32 8V28", `o${dot(32, 40, 13)}`],
  "fset-pair": ["-M8 8H56M32 8V22M32 22L20 32M32 22L44 32", `o${dots(11, [19, 42], [45, 42])}`],
  "fset-cluster": ["-M8 8H56M32 8L16 34M32 8L26 40M32 8L38 40M32 8L48 34", `o${dots(6, [14, 40], [25, 47], [39, 47], [50, 40])}`],
  "fset-spike": ["-M12 8H44M32 8V58", `o${dots(4.6, [25, 18], [39, 22], [25, 28], [39, 32], [25, 38], [39, 42], [26, 48], [38, 52])}`],
  "fset-bunch": [
    "-M8 8H56M32 8V22M32 22L12 34M32 22L22 36M32 22V36M32 22L42 36M32 22L52 34",
    `o${dots(4.4, [10, 38], [18, 44], [26, 40], [34, 45], [41, 40], [48, 45], [55, 38], [26, 52], [41, 53])}`,
  ],
  "core-stone": [`o${dot(32, 34, 25)}`, "*M32 16C22 22 22 46 32 52C42 46 42 22 32 16Z"],
  "core-stones": [
    `o${dot(32, 34, 25)}`,
    "*M32 14C27 18 27 27 32 30C37 27 37 18 32 14ZM18 38C17 45 22 51 28 50C30 44 25 38 18 38ZM46 38C47 45 42 51 36 50C34 44 39 38 46 38Z",
  ],
  "core-pips": [`o${dot(32, 34, 25)}`, `-${around(5, 8, (x, y) => dot(x, y, 6), 32, 34)}`, `*${around(5, 9, (x, y) => dot(x, y, 2.4), 32, 34)}`],
  "core-seeds": [`o${dot(32, 34, 25)}`, `*${around(9, 15, (x, y) => dot(x, y, 2.2), 32, 34)}${around(4, 6, (x, y) => dot(x, y, 2.2), 32, 34)}`],
  "cap-flat": [acorn, "oM12 30C12 14 52 14 52 30Z", "~M18 22h8M28 19h8M38 22h8M16 27h9M28 26h9M40 27h8"],
  "cap-knobbly": [
    acorn,
    "oM10 30C10 12 54 12 54 30Z",
    `*${dots(2.6, [18, 24], [26, 20], [34, 19], [42, 21], [48, 26], [22, 28], [31, 26], [40, 28])}`,
  ],
  "cap-bristly": [
    acorn,
    "oM12 30C12 14 52 14 52 30Z",
    "-M14 26q-8 -2 -8 -10M18 20q-6 -6 -2 -12M26 17q-4 -8 2 -12M36 17q-2 -8 6 -11M44 20q2 -8 10 -8M50 26q6 -2 10 -8",
  ],
  "wings-wide": ["oM32 34C24 26 8 26 4 32C8 42 24 42 32 36C40 42 56 42 60 32C56 26 40 26 32 34Z", `*${dots(4, [26, 34], [38, 34])}`, "-M32 34V12"],
  "wings-sharp": [
    "oM30 22C22 24 10 44 12 56C22 54 32 38 31 26ZM34 22C42 24 54 44 52 56C42 54 32 38 33 26Z",
    `*${dots(4, [28, 26], [36, 26])}`,
    "-M32 22V4",
  ],
  "wings-single": keyLine("M32 8C24 16 22 44 32 60C42 44 40 16 32 8ZM32 8V30"),
  "wings-round": [`o${dot(32, 32, 24)}`, `*${dot(32, 32, 5)}`, "-M32 8V4"],
  "wings-twisted": ["oM6 18C18 8 26 28 32 32C38 36 50 22 58 46C46 56 38 36 32 32C26 28 14 42 6 18Z", `*${dot(32, 32, 4.4)}`],
  "cone-hanging": ["-M8 6H56M32 6V14", "oM32 14C22 18 22 44 28 58H36C42 44 42 18 32 14Z", "~M25 24Q32 30 39 24M24 34Q32 40 40 34M25 44Q32 50 39 44"],
  "cone-upright": [
    "-M8 58H56M32 58V6",
    "oM24 50C20 40 22 30 26 26H38C42 30 44 40 40 50Z",
    "~M24 34H40M23 42H41",
    `*${dots(1.6, [18, 18], [44, 14], [48, 24], [14, 28])}`,
  ],
  "cone-tongues": [
    "-M8 6H56M32 6V14",
    "oM32 14C22 18 20 44 28 58H36C44 44 42 18 32 14Z",
    "=M24 28l-8 4M24 28l-7 8M24 28l-3 10M40 28l8 4M40 28l7 8M40 28l3 10M26 44l-7 5M38 44l7 5M32 36v9",
  ],
  "cone-small": [
    "-M10 8L54 14M24 10V20M42 12V24",
    "oM24 20C16 22 15 36 24 40C33 36 32 22 24 20ZM42 24C34 26 33 40 42 44C51 40 50 26 42 24Z",
    "~M18 28Q24 33 30 28M18 34Q24 38 30 34M36 32Q42 37 48 32M36 38Q42 42 48 38",
  ],
  "cone-knobbed": [
    "oM32 6C18 14 10 34 14 56H50C54 34 46 14 32 6Z",
    `o${dots(4, [32, 18], [24, 28], [40, 28], [20, 40], [32, 38], [44, 40], [24, 50], [40, 50])}`,
  ],
  "scent-spicy": [`o${blade(20, 60, 40, "egg")}`, "-M42 44q-6 -6 0 -12t0 -12M52 44q-6 -6 0 -12t0 -12", `*${dots(1.6, [44, 12], [52, 12], [48, 6])}`],
  "scent-wintergreen": [
    "-M14 62L26 10M20 62L32 10",
    "-M42 40q-5 -5 0 -10t0 -10M50 40q-5 -5 0 -10t0 -10",
    "oM46 60C40 54 42 46 46 44C50 46 52 54 46 60Z",
  ],
  "sap-clear": ["-M24 62V34M40 62V34M24 34Q32 28 40 34", "oM32 8C26 18 26 26 32 26C38 26 38 18 32 8Z"],
  "sap-milky": ["-M24 62V34M40 62V34M24 34Q32 28 40 34", "#fffef8 M32 4C24 16 24 28 32 28C40 28 40 16 32 4Z", "~M27 18H37M26 22H38"],
  "sap-resin": ["-M24 62V34M40 62V34M24 34Q32 28 40 34", "#d9a62b M28 32C26 20 38 20 36 32C40 44 36 52 34 58C30 52 24 44 28 32Z"],
  "sap-yellow": ["-M24 62V34M40 62V34M24 34Q32 28 40 34", "#e0a02b M32 4C24 16 24 28 32 28C40 28 40 16 32 4Z", "~M28 14L36 26M27 20L34 28"],
  "heart-pale": [`o${dot(32, 32, 27)}`, `~${dot(32, 32, 20)}${dot(32, 32, 13)}${dot(32, 32, 6)}`],
  "heart-brown": [`o${dot(32, 32, 27)}`, `#8a6340 ${dot(32, 32, 18)}`, `~${dot(32, 32, 12)}${dot(32, 32, 6)}`],
  "heart-yellow": [`o${dot(32, 32, 27)}`, `#d8b64a ${dot(32, 32, 18)}`, `~${dot(32, 32, 12)}${dot(32, 32, 6)}M20 24h24M18 32h28M20 40h24`],
  "heart-red": [`o${dot(32, 32, 27)}`, `#b06a58 ${dot(32, 32, 18)}`, `~${dot(32, 32, 12)}${dot(32, 32, 6)}M22 22L42 42M18 32L32 46M32 18L46 32`],
  "rays-broad": [`o${dot(32, 32, 27)}`, `=${rays(16, 4, 27)}`],
  "rays-fine": [`o${dot(32, 32, 27)}`, `~${rays(40, 6, 27)}`],
  "light-sun": [`o${dot(32, 26, 11)}`, `-${rays(12, 15, 22, 32, 26)}M8 60H56`],
  "light-half": [`o${dot(24, 22, 10)}`, `-${rays(8, 13, 18, 24, 22)}M8 60H56M46 60V44`, "oM46 44C34 42 34 24 46 22C58 24 58 42 46 44Z"],
  "light-shade": [
    "-M8 60H56M20 60V34M44 60V34",
    "oM2 34C2 12 30 6 32 18C34 6 62 12 62 34Z",
    "~M10 32L22 14M20 32L32 14M30 32L42 12M40 32L50 16M50 32L56 22",
  ],
  "moist-dry": ["-M4 30H60M20 30L14 44L20 58M40 30L46 42L40 58M20 44L40 44"],
  "moist-fresh": ["-M4 26H60", "oM32 32C25 44 26 54 32 54C38 54 39 44 32 32Z"],
  "moist-wet": ["-M4 22H60", "-M6 36q6 -5 12 0t12 0t12 0t12 0M6 46q6 -5 12 0t12 0t12 0t12 0M6 56q6 -5 12 0t12 0t12 0t12 0"],
};

/** A drawing of the catalogue; null where it holds none. */
export function fromCatalogue(key: string): ReactNode | null {
  const strokes = CATALOGUE[key];
  if (!strokes) return null;
  return (
    <g>
      {strokes.map((stroke) => {
        if (stroke === "!") return <path key="!" d={`${dot(48, 16, 9)}M42 22L54 10`} strokeDasharray="3 2.4" />;
        const how = stroke[0];
        const [tint, d] = how === "#" ? [stroke.slice(0, 7), stroke.slice(8)] : ["", stroke.slice(1)];
        const fill = how === "o" ? "var(--plate-fill)" : how === "*" ? "currentColor" : tint || "none";
        const width = how === "=" ? 2.4 : how === "~" ? 0.8 : undefined;
        return <path key={stroke} d={d} fill={fill} {...(width ? { strokeWidth: width } : {})} />;
      })}
    </g>
  );
}
