import type { ReactNode } from "react";
import { Bark, type BarkSurface } from "./bark";
import { fromCatalogue } from "./catalogue";
import { type Blade, blade, edge, type Margin, spread } from "./geometry";
import { Leaf, type LeafKind } from "./leaf";
import { type Crown, Outline, type Stems } from "./outline";
import { type Arrangement, Bud, type BudShape, Twig } from "./twig";

/** Line drawings of the states, 64 × 64, by the drawing key the flora gives them. */

const P = ({ d, w, fill }: { d: string; w?: number; fill?: boolean }) => (
  <path d={d} {...(w ? { strokeWidth: w } : {})} {...(fill ? { fill: "var(--plate-fill)" } : {})} />
);
const Dot = ({ x, y, r = 2, solid }: { x: number; y: number; r?: number; solid?: boolean }) => (
  <circle cx={x} cy={y} r={r} fill={solid ? "var(--plate-berry, currentColor)" : "var(--plate-fill)"} />
);
/** "Looked for, not there": the thing it would be on, and an empty ring. */
const Absent = ({ children }: { children: ReactNode }) => (
  <g>
    {children}
    <circle cx="46" cy="18" r="9" strokeDasharray="3 2.4" />
    <P d="M40 24L52 12" />
  </g>
);
const stick = <P d="M20 62L30 4M28 62L38 4" />;
const ring = (x: number, y: number, n: number, r: number, draw: (px: number, py: number, angle: number) => ReactNode) =>
  Array.from({ length: n }, (_, i) => {
    const a = (i / n) * 2 * Math.PI - Math.PI / 2;
    return <g key={a}>{draw(x + r * Math.cos(a), y + r * Math.sin(a), (a * 180) / Math.PI + 90)}</g>;
  });

const COLOURS: Record<string, [string, number]> = {
  // a tint, and the angle of the hatching that stands for it in grey
  grey: ["#9aa3a1", 90],
  "grey-brown": ["#93836f", 60],
  "red-brown": ["#96543a", 30],
  olive: ["#7b7f3c", 0],
  green: ["#6f9a4d", 0],
  red: ["#b3202f", 30],
  brown: ["#7f5a38", 60],
  purple: ["#5a3a5e", 120],
  cream: ["#efe6bd", 150],
  white: ["#fdfdf8", -1],
  yellow: ["#e6c229", 90],
  greenish: ["#c5d27e", 0],
  reddish: ["#b5485a", 30],
  black: ["#22202a", 45],
  blue: ["#4f6590", 150],
  pink: ["#d987a0", 60],
  silver: ["#c9d2d2", 120],
  yellowish: ["#c4a660", 90],
  straw: ["#cbb079", 75],
  tan: ["#b5763f", 15],
  orange: ["#d9622b", 90],
};
/** Where the same word means another tint. */
const NAMED: Record<string, string> = {
  "flower-green": "greenish",
  "flower-red": "reddish",
  "twig-grey": "grey-brown",
  "twig-red": "red-brown",
  "twig-redder": "red",
  "twig-orange": "tan",
  "bark-yellow": "yellowish",
  "inner-green": "greenish",
  "inner-brown": "grey-brown",
  "under-blue": "grey",
  "bud-grey": "grey",
};
const SWATCH: Record<string, string> = {
  inner: "M10 10H54V54H10Z",
  under: "M32 60C12 46 14 18 32 4C50 18 52 46 32 60Z",
  bark: "M14 6H50V58H14Z",
  twig: "M24 60L29 4H37L42 60Z",
  bud: "M32 60C12 50 16 18 32 4C48 18 52 50 32 60Z",
  flower:
    "M32 32C20 26 22 6 32 6C42 6 44 26 32 32C38 20 58 22 58 32C58 42 38 44 32 32C44 38 42 58 32 58C22 58 20 38 32 32C26 44 6 42 6 32C6 22 26 20 32 32Z",
  fruit: "M32 12C14 8 8 28 12 40C16 56 28 58 32 56C36 58 48 56 52 40C56 28 50 8 32 12ZM32 12Q33 6 38 4",
};
const swatch = (organ: string, colour: string): ReactNode => {
  const [tint, angle] = COLOURS[NAMED[`${organ}-${colour}`] ?? colour] ?? ["#888", 45];
  const id = `sw-${organ}-${colour}`;
  const d = SWATCH[organ] ?? SWATCH.fruit ?? "";
  return (
    <g>
      <clipPath id={id}>
        <path d={d} />
      </clipPath>
      <path d={d} fill={tint} />
      {angle >= 0 && (
        <g clipPath={`url(#${id})`} strokeWidth="0.7" opacity="0.55" transform="">
          <g transform={`rotate(${angle} 32 32)`}>
            {Array.from({ length: 20 }, (_, i) => -14 + i * 5).map((y) => (
              <path key={y} d={`M-20 ${y}H84`} />
            ))}
          </g>
        </g>
      )}
    </g>
  );
};

const bladeGlyph = (shape: Blade, extra?: ReactNode, margin: Margin = "smooth") => (
  <g>
    <P d={blade(32, 58, 54, shape, margin)} fill />
    <P d="M32 63V10" w={0.8} />
    {extra}
  </g>
);
const marginGlyph = (margin: Margin) => (
  <g>
    <path d={`${edge(4, 34, 56, margin)}V60H4Z`} fill="var(--plate-fill)" />
    <P d="M8 60Q18 48 22 40M28 60Q36 50 40 40M46 60Q52 52 56 44" w={0.7} />
  </g>
);
const needleSection = (bands: ReactNode) => (
  <g>
    <P d="M20 60C18 40 20 14 32 4C44 14 46 40 44 60Z" fill />
    <P d="M32 60V8" />
    {bands}
  </g>
);
const needleTip = (d: string) => <P d={`M22 62V26${d}42 26V62`} fill w={1.6} />;
const cluster = (points: [number, number][], r: number, solid = false) =>
  points.map(([x, y]) => <Dot key={`${x}-${y}`} x={x} y={y} r={r} solid={solid} />);
const under = (extra: ReactNode) => (
  <g>
    <P d={blade(32, 60, 56, "egg")} fill />
    <P d="M32 63V8M32 46L20 38M32 46L44 38M32 32L21 24M32 32L43 24" w={0.8} />
    {extra}
  </g>
);
const budOn = (extra: ReactNode) => (
  <g>
    <P d="M32 60C14 52 16 22 32 6C48 22 50 52 32 60Z" fill />
    {extra}
  </g>
);
const scentLines = (d: string, label?: string) => (
  <g>
    <P d={blade(20, 60, 40, "egg")} fill />
    <P d={d} />
    {label && (
      <text x="46" y="60" textAnchor="middle" fontSize="9" fill="currentColor" stroke="none">
        {label}
      </text>
    )}
  </g>
);
const ground = <P d="M4 58H60" />;
const smallTree = (x: number, y: number, s = 1) => (
  <g key={`${x}${y}`} transform={`translate(${x} ${y}) scale(${s})`}>
    <P d="M0 0V-8M0 -8C-9 -8 -9 -24 0 -26C9 -24 9 -8 0 -8Z" fill />
  </g>
);

const GLYPHS: Record<string, () => ReactNode> = {
  "branches-whorls": () => <P d="M32 62V4M32 18L14 20M32 18L50 20M32 34L10 37M32 34L54 37M32 50L6 54M32 50L58 54" w={1.6} />,
  "branches-rising": () => <P d="M32 62V14M32 46L12 22M32 46L52 22M32 34L18 12M32 34L46 12" w={1.6} />,
  "branches-arching": () => (
    <P
      d="M32 62V14M32 30C20 22 10 32 8 46C7 52 10 52 12 48M32 30C44 22 54 32 56 46C57 52 54 52 52 48M32 16C24 8 16 16 14 24M32 16C40 8 48 16 50 24"
      w={1.6}
    />
  ),
  "bark-blisters": () => (
    <g>
      <Bark surface="smooth" />
      {cluster(
        [
          [22, 20],
          [40, 30],
          [26, 44],
          [44, 50],
        ],
        5,
      )}
    </g>
  ),
  "bark-no-blisters": () => (
    <Absent>
      <Bark surface="smooth" />
    </Absent>
  ),
  "shoot-woody": () => <P d="M18 62L26 30M46 62L38 30M22 62L29 30M42 62L35 30M30 62V30M26 30L30 4M38 30L34 4M18 56l4 -4M40 54l4 4M28 48l3 4" />,
  "shoot-herb": () => <P d="M26 62V8M38 62V8M26 20C32 18 32 18 38 20M26 40C32 38 32 38 38 40M6 62H58M10 62l4 -6M50 62l4 -6" />,
  "pith-white": () => (
    <g>
      <circle cx="32" cy="32" r="26" />
      <circle cx="32" cy="32" r="17" fill="#fffef8" />
      <circle cx="32" cy="32" r="22" strokeWidth="0.6" />
    </g>
  ),
  "pith-brown": () => (
    <g>
      <circle cx="32" cy="32" r="26" />
      <circle cx="32" cy="32" r="17" fill="#a8683c" />
      <P d="M20 24L40 44M18 32L32 46M26 19L45 38" w={0.8} />
    </g>
  ),
  "pith-narrow": () => (
    <g>
      {[26, 20, 13].map((r) => (
        <circle key={r} cx="32" cy="32" r={r} strokeWidth={r === 26 ? 1.4 : 0.6} />
      ))}
      <Dot x={32} y={32} r={4} solid />
    </g>
  ),
  "pith-hollow": () => (
    <g>
      <circle cx="32" cy="32" r="26" />
      <circle cx="32" cy="32" r="12" fill="currentColor" />
    </g>
  ),
  "spines-none": () => <Absent>{stick}</Absent>,
  "spines-paired": () => (
    <g>
      {stick}
      <P d="M26 44L8 36M30 42L46 32M30 22L14 14M34 20L50 10" w={2.2} />
    </g>
  ),
  "spines-single": () => (
    <g>
      {stick}
      <P d="M26 42L6 32M34 20L52 8" w={2.2} />
    </g>
  ),
  "lenticels-warts": () => (
    <g>
      {stick}
      {cluster(
        [
          [25, 52],
          [30, 46],
          [27, 38],
          [31, 30],
          [29, 22],
          [33, 14],
        ],
        2.4,
        true,
      )}
    </g>
  ),
  "lenticels-fine": () => (
    <g>
      {stick}
      <P d="M24 50h2M28 44h2M27 36h2M31 30h2M29 22h2M33 16h2" />
    </g>
  ),
  "lenticels-none": () => <Absent>{stick}</Absent>,
  "hairs-none": () => <Absent>{stick}</Absent>,
  "hairs-fine": () => (
    <g>
      {stick}
      <P
        d={spread(10, 58, 9)
          .map((y) => `M${37 - (y - 4) / 6} ${y}l6 -2M${29.5 - (y - 4) / 6} ${y}l-6 -2`)
          .join("")}
        w={0.8}
      />
    </g>
  ),
  "hairs-glands": () => (
    <g>
      {stick}
      {spread(12, 56, 6).map((y) => (
        <g key={y}>
          <P d={`M${37 - (y - 4) / 6} ${y}l9 -3M${29.5 - (y - 4) / 6} ${y}l-9 -3`} w={0.8} />
          <Dot x={46 - (y - 4) / 6} y={y - 3} r={1.8} solid />
          <Dot x={20 - (y - 4) / 6} y={y - 3} r={1.8} solid />
        </g>
      ))}
    </g>
  ),
  "short-shoots": () => (
    <g>
      {stick}
      <P d="M34 26L52 20L50 14L35 19Z M38 19v6M42 17v6M46 16v6" fill />
      <Bud shape="egg" x={52} y={17} angle={80} scale={0.7} />
    </g>
  ),
  "short-shoots-none": () => <Absent>{stick}</Absent>,
  "scar-round": () => (
    <g>
      {stick}
      {cluster(
        [
          [30, 20],
          [27, 36],
          [29, 50],
        ],
        3.4,
      )}
      <P d="M31 20L54 12M54 12q4 -1 3 2" w={2} />
    </g>
  ),
  "scar-peg": () => (
    <g>
      {stick}
      <P d="M34 20l7 -4v4l-7 3M32 34l7 -4v4l-7 3M29 48l7 -4v4l-7 3M27 26l-6 -4v4l6 3M24 42l-6 -4v4l6 3" fill />
    </g>
  ),
  "scar-strip": () => (
    <g>
      {stick}
      <P d="M37 12L30 50M34 14L28 48" w={2.4} />
      <P d="M37 12L56 4" w={2.4} />
    </g>
  ),
  "bud-loose": () => budOn(<P d="M22 54C16 34 22 20 26 8M42 54C48 34 42 20 38 8M28 20L24 2M36 20L42 2M32 18V0" />),
  "bud-few": () => budOn(<P d="M32 60C24 48 26 26 36 12" />),
  "bud-many": () => budOn(<P d="M18 46Q32 36 46 46M19 36Q32 26 45 36M22 26Q32 18 42 26M26 17Q32 12 38 17M24 54Q32 46 40 54" />),
  "bud-bare": () => budOn(<P d="M24 46Q32 40 40 46" />),
  "bud-furry": () =>
    budOn(
      <P
        d={spread(16, 54, 7)
          .map((y) =>
            spread(22, 42, 5)
              .map((x) => `M${x} ${y}l2 -5`)
              .join(""),
          )
          .join("")}
        w={0.7}
      />,
    ),
  "bud-sticky": () => budOn(<P d="M24 24q-4 10 -2 20M28 18q2 -4 4 -6M40 56q2 6 0 8M46 50q3 4 2 8" w={2} />),
  "bud-pressed": () => (
    <g>
      {stick}
      <Bud shape="pointed" x={30} y={48} angle={7} scale={1.3} />
      <Bud shape="pointed" x={28} y={30} angle={5} scale={1.2} />
    </g>
  ),
  "bud-off": () => (
    <g>
      {stick}
      <Bud shape="pointed" x={31} y={48} angle={58} scale={1.3} />
      <Bud shape="pointed" x={29} y={28} angle={-52} scale={1.3} />
    </g>
  ),
  "stipules-none": () => (
    <Absent>
      <P d="M28 62V4M36 62V4M36 36L58 20M36 42L58 25" />
    </Absent>
  ),
  "stipules-small": () => <P d="M28 62V4M36 62V4M36 36L58 20M36 42L58 25M36 42q6 3 8 10M28 40q-6 2 -8 9M24 52l-3 5M42 54l3 5" />,
  "stipules-leafy": () => (
    <g>
      <P d="M28 62V4M36 62V4M36 30L58 14M36 36L58 19" />
      <g transform="rotate(120 37 40)">
        <P d={blade(37, 40, 26, "egg", "fine-teeth")} fill />
      </g>
      <g transform="rotate(-120 27 40)">
        <P d={blade(27, 40, 26, "egg", "fine-teeth")} fill />
      </g>
    </g>
  ),
  "stipules-knobs": () => (
    <g>
      <P d="M28 62V4M36 62V4M36 34L58 18M36 40L58 23M36 44l6 3M28 44l-6 3" />
      <Dot x={44} y={49} r={4} solid />
      <Dot x={20} y={49} r={4} solid />
    </g>
  ),
  "stipules-thorns": () => <P d="M28 62V4M36 62V4M36 30L58 14M36 36L58 19M36 38L54 46L36 44M28 38L10 46L28 44" fill />,
  "under-none": () => <Absent>{under(null)}</Absent>,
  "under-tufts": () => under(<P d={[46, 32].map((y) => `M28 ${y - 5}l-3 -4M29 ${y - 6}l0 -5M36 ${y - 5}l3 -4M35 ${y - 6}l0 -5`).join("")} w={1.6} />),
  "under-veins": () =>
    under(
      <P
        d={spread(14, 58, 9)
          .map((y) => `M32 ${y}l-3 -2M32 ${y}l3 -2`)
          .join("")}
      />,
    ),
  "under-all": () =>
    under(
      <P
        d={spread(16, 54, 8)
          .map((y) =>
            spread(22, 42, 5)
              .map((x) => `M${x} ${y}l1.5 -3.5`)
              .join(""),
          )
          .join("")}
        w={0.7}
      />,
    ),
  "veins-straight": () =>
    bladeGlyph(
      "egg",
      <P
        d={spread(20, 52, 6)
          .map((y) => `M32 ${y}L${32 - (12 - Math.abs(y - 38) / 4)} ${y - 9}M32 ${y}L${32 + (12 - Math.abs(y - 38) / 4)} ${y - 9}`)
          .join("")}
      />,
      "coarse-teeth",
    ),
  "veins-arching": () =>
    bladeGlyph(
      "egg",
      <P d="M32 54C20 46 20 24 31 10M32 54C44 46 44 24 33 10M32 44C24 38 25 24 31 14M32 44C40 38 39 24 33 14M32 32C28 28 29 20 31 16M32 32C36 28 35 20 33 16" />,
    ),
  "veins-netted": () =>
    bladeGlyph(
      "egg",
      <P
        d="M32 48L22 42L24 34M32 48L42 42L40 34M32 36L22 30L25 22M32 36L42 30L39 22M22 42L20 36M42 42L44 36M22 30L27 26M42 30L37 26M32 26L27 20M32 26L37 20"
        w={0.9}
      />,
    ),
  "base-equal": () => <P d="M32 62V44M32 44C16 44 8 24 8 4M32 44C48 44 56 24 56 4M32 44V6" />,
  "base-lopsided": () => <P d="M32 62V36M32 48C16 48 8 26 8 4M32 36C48 36 56 22 56 4M32 48V6" />,
  "base-heart": () => <P d="M32 62V36M32 36C28 52 8 48 8 26C8 16 10 8 12 4M32 36C36 52 56 48 56 26C56 16 54 8 52 4M32 36V6" />,
  "bands-white": () =>
    needleSection(
      <g fill="#fffef8" strokeWidth="0.6">
        <rect x="24.5" y="22" width="5" height="36" />
        <rect x="34.5" y="22" width="5" height="36" />
        <P d="M27 24V57M37 24V57" w={0.5} />
      </g>,
    ),
  "bands-pale": () =>
    needleSection(
      <P
        d={`${spread(16, 56, 11)
          .map((y) => `M24 ${y}h5M35 ${y}h5`)
          .join("")}`}
        w={0.9}
      />,
    ),
  "bands-lines": () => (
    <g>
      <P d="M32 8L54 32L32 56L10 32Z" fill />
      <P d="M22 20L43 43M25 17L46 40" w={0} />
      <P d="M28 16L14 32M36 16L50 32M14 36L28 50M50 36L36 50" w={1} />
      {cluster(
        [
          [22, 26],
          [42, 26],
          [22, 40],
          [42, 40],
        ],
        1.2,
        true,
      )}
    </g>
  ),
  "tip-notched": () => needleTip("C22 12 28 8 32 14C36 8 42 12 "),
  "tip-blunt": () => needleTip("C22 8 42 8 "),
  "tip-soft": () => needleTip("C24 18 29 10 32 6C35 10 40 18 "),
  "tip-sharp": () => (
    <g>
      {needleTip("L31 6L33 6L")}
      <P d="M32 6V0" w={2.4} />
    </g>
  ),
  "needles-rows": () => (
    <P
      d={`M32 62V4${spread(12, 58, 9)
        .map((y) => `M32 ${y}L10 ${y - 6}M32 ${y}L54 ${y - 6}`)
        .join("")}`}
      w={1.6}
    />
  ),
  "needles-round": () => (
    <P
      d={`M32 62V4${spread(12, 60, 9)
        .map((y) => `M32 ${y}L14 ${y - 13}M32 ${y}L50 ${y - 13}M32 ${y}L24 ${y - 15}M32 ${y}L40 ${y - 15}`)
        .join("")}`}
      w={1.4}
    />
  ),
  "head-flat": () => (
    <g>
      <P d="M32 62V40M32 44L12 22M32 44L22 20M32 44V18M32 44L42 20M32 44L52 22" />
      {cluster(
        [
          [10, 18],
          [18, 15],
          [26, 16],
          [34, 14],
          [42, 16],
          [48, 15],
          [55, 19],
        ],
        4,
      )}
    </g>
  ),
  "head-dome": () => (
    <g>
      <P d="M32 62V8" />
      {cluster(
        [
          [32, 8],
          [25, 15],
          [39, 15],
          [20, 24],
          [32, 22],
          [44, 24],
          [17, 34],
          [28, 34],
          [38, 34],
          [47, 34],
          [22, 43],
          [42, 43],
        ],
        4,
      )}
    </g>
  ),
  "head-candle": () => (
    <g>
      <P d="M32 62V6" />
      {spread(10, 50, 7).map((y, i) => (
        <g key={y}>
          <P d={`M32 ${y}l${-5 - i * 1.6} -3M32 ${y}l${5 + i * 1.6} -3`} />
          <Dot x={26 - i * 1.7} y={y - 4} r={3.2} />
          <Dot x={38 + i * 1.7} y={y - 4} r={3.2} />
        </g>
      ))}
    </g>
  ),
  "head-hanging": () => (
    <g>
      <P d="M10 4Q32 2 34 14V60" />
      {spread(16, 56, 7).map((y, i) => (
        <g key={y}>
          <Dot x={34 - (8 - i)} y={y} r={4 - i * 0.3} />
          <Dot x={34 + (8 - i)} y={y} r={4 - i * 0.3} />
        </g>
      ))}
    </g>
  ),
  "head-catkin": () => (
    <g>
      <P d="M12 6H52M24 6V10M42 6V10" />
      {[24, 42].map((x) => (
        <g key={x}>
          <P d={`M${x - 5} 10h10v46q-5 6 -10 0z`} fill />
          {spread(14, 52, 8).map((y) => (
            <P key={y} d={`M${x - 5} ${y}q5 5 10 0`} />
          ))}
        </g>
      ))}
    </g>
  ),
  "head-pair": () => (
    <g>
      <P d="M32 62V34M32 34L22 24M32 34L42 24M14 6q2 12 8 18q0 -12 4 -20M50 6q-2 12 -8 18q0 -12 -4 -20" />
    </g>
  ),
  "head-tuft": () => (
    <g>
      <P d="M6 50L58 42M6 54L58 46" />
      {ring(32, 28, 9, 14, (x, y) => (
        <Dot x={x} y={y} r={3.6} />
      ))}
      <P d="M32 46V34M32 46L22 34M32 46L42 34" />
    </g>
  ),
  "head-solitary": () => (
    <g>
      <P d="M8 56L56 40M8 60L56 44M22 52V40M42 46V34" />
      <Dot x={22} y={34} r={6} />
      <Dot x={42} y={28} r={6} />
    </g>
  ),
  "flower-wheel": () => (
    <g>
      {ring(32, 32, 5, 15, (x, y) => (
        <Dot x={x} y={y} r={9} />
      ))}
      <Dot x={32} y={32} r={4} />
    </g>
  ),
  "flower-star": () => (
    <g>
      {ring(32, 32, 4, 8, (x, y, a) => (
        <g transform={`rotate(${a} ${x} ${y})`}>
          <P d={blade(x, y, 20, "egg")} fill />
        </g>
      ))}
      <Dot x={32} y={32} r={4} />
    </g>
  ),
  "flower-pea": () => (
    <g>
      <P d="M32 30C16 34 10 14 20 8C26 4 30 8 32 12C34 8 38 4 44 8C54 14 48 34 32 30Z" fill />
      <P d="M24 30C16 38 20 52 30 54C28 46 28 38 30 30M40 30C48 38 44 52 34 54C36 46 36 38 34 30M30 54Q32 58 34 54" fill />
    </g>
  ),
  "flower-lipped": () => (
    <P d="M28 60V36C20 30 18 16 22 8C28 4 36 4 42 8C46 16 44 20 40 22C50 24 54 34 50 40C44 40 38 40 36 38V60M36 30L46 14M34 30L44 10" fill />
  ),
  "flower-spotted": () => (
    <g>
      {ring(32, 30, 5, 14, (x, y, a) => (
        <g transform={`rotate(${a} ${x} ${y})`}>
          <P d={blade(x, y + 6, 18, "wedge")} fill />
        </g>
      ))}
      {cluster(
        [
          [26, 20],
          [38, 20],
        ],
        3,
        true,
      )}
      <P d="M32 32Q38 50 46 56M32 32Q32 50 34 60M32 32Q26 50 22 58" />
    </g>
  ),
  "flower-none": () => (
    <g>
      <P d="M18 10h28v44h-28z" fill />
      {spread(16, 48, 5).map((y) => (
        <P key={y} d={`M18 ${y}q7 7 14 0q7 7 14 0`} />
      ))}
    </g>
  ),
  "anthers-yellow": () => (
    <g>
      {ring(32, 32, 5, 18, (x, y) => (
        <g>
          <P d={`M32 32L${x} ${y}`} />
          <circle cx={x} cy={y} r="6" fill="#e6c229" />
        </g>
      ))}
    </g>
  ),
  "anthers-purple": () => (
    <g>
      {ring(32, 32, 5, 18, (x, y) => (
        <g>
          <P d={`M32 32L${x} ${y}`} />
          <circle cx={x} cy={y} r="6" fill="#6b2450" />
          <P d={`M${x - 4} ${y}h8`} w={0.8} />
        </g>
      ))}
    </g>
  ),
  "time-before": () => (
    <g>
      <P d="M20 62L28 6M26 62L34 6" />
      {cluster(
        [
          [38, 20],
          [16, 30],
          [38, 38],
          [14, 48],
          [36, 52],
        ],
        5,
      )}
    </g>
  ),
  "time-after": () => (
    <g>
      <P d="M20 62L28 6M26 62L34 6" />
      <g transform="rotate(60 33 24)">
        <P d={blade(33, 24, 24, "egg")} fill />
      </g>
      <g transform="rotate(-60 22 36)">
        <P d={blade(22, 36, 22, "egg")} fill />
      </g>
      {cluster(
        [
          [40, 42],
          [14, 54],
        ],
        5,
      )}
    </g>
  ),
  "catkins-closed": () => (
    <g>
      <P d="M8 10L56 4M24 8V16M34 7V16M44 6V14" />
      {[24, 34, 44].map((x) => (
        <P key={x} d={`M${x - 3} 16h6v22q-3 4 -6 0z M${x - 3} 22h6M${x - 3} 28h6M${x - 3} 34h6`} fill />
      ))}
    </g>
  ),
  "catkins-none": () => (
    <Absent>
      <P d="M8 60L50 6M14 60L54 10M26 38L12 26M38 26L50 30" />
    </Absent>
  ),
  "fruit-drupes": () => (
    <g>
      <P d="M32 4V24M32 24L14 34M32 24V40M32 24L50 34" />
      {cluster(
        [
          [12, 38],
          [20, 44],
          [28, 42],
          [36, 46],
          [44, 42],
          [52, 38],
          [16, 52],
          [32, 54],
          [46, 52],
        ],
        4.4,
        true,
      )}
    </g>
  ),
  "fruit-pome": () => (
    <g>
      <P d="M20 4L32 18M44 4L32 18" />
      <circle cx="32" cy="38" r="18" fill="var(--plate-fill)" />
      <P d="M26 54l2 -6l4 4l4 -4l2 6M32 52v6" w={1.6} />
    </g>
  ),
  "fruit-stone": () => (
    <g>
      <P d="M32 4V12" />
      <ellipse cx="32" cy="36" rx="15" ry="22" fill="var(--plate-fill)" />
      <ellipse cx="32" cy="38" rx="7" ry="14" strokeDasharray="3 2" />
    </g>
  ),
  "fruit-pair": () => (
    <g>
      <P d="M32 62V36M32 36L22 30M32 36L42 30" />
      <Dot x={20} y={22} r={12} />
      <Dot x={44} y={22} r={12} />
    </g>
  ),
  "fruit-cup": () => (
    <g>
      <P d="M14 24C12 46 20 56 32 56C44 56 52 46 50 24C44 30 20 30 14 24Z" fill />
      <ellipse cx="32" cy="26" rx="10" ry="9" fill="currentColor" />
      <P d="M32 56V63" />
    </g>
  ),
  "fruit-pod": () => (
    <g>
      <P d="M10 8C16 6 20 10 26 14C44 24 56 40 54 58C40 56 20 40 14 22C12 16 12 12 10 8Z" fill />
      {cluster(
        [
          [22, 22],
          [30, 31],
          [38, 40],
          [46, 49],
        ],
        3.4,
      )}
    </g>
  ),
  "fruit-nut": () => (
    <g>
      <P d="M14 30C10 50 22 60 32 60C42 60 54 50 50 30" fill />
      <P d="M14 30L18 18L24 28L32 14L40 28L46 18L50 30" />
      <circle cx="32" cy="42" r="12" fill="var(--plate-fill)" />
    </g>
  ),
  "fruit-cone": () => (
    <g>
      <P d="M32 4C18 10 16 44 26 60H38C48 44 46 10 32 4Z" fill />
      <P d="M21 22Q32 32 43 22M19 32Q32 42 45 32M20 42Q32 52 44 42M25 12Q32 20 39 12M24 52Q32 60 40 52" />
    </g>
  ),
  "fruit-hanging": () => (
    <g>
      <P d="M8 6H56M32 6V26M32 26L20 36M32 26V42M32 26L44 36" />
      {cluster(
        [
          [18, 42],
          [28, 48],
          [36, 48],
          [46, 42],
          [32, 56],
        ],
        4,
        true,
      )}
    </g>
  ),
  "fruit-upright": () => (
    <g>
      <P d="M8 60H56M32 60V38M32 40L20 28M32 40V22M32 40L44 28" />
      {cluster(
        [
          [18, 22],
          [28, 16],
          [36, 16],
          [46, 22],
          [32, 8],
        ],
        4,
        true,
      )}
    </g>
  ),
  "husk-fine": () => (
    <g>
      <circle cx="32" cy="32" r="15" fill="var(--plate-fill)" />
      {ring(32, 32, 44, 15, (x, y) => (
        <P d={`M${x} ${y}L${x + (x - 32) * 0.9} ${y + (y - 32) * 0.9}`} w={0.7} />
      ))}
    </g>
  ),
  "husk-coarse": () => (
    <g>
      <circle cx="32" cy="32" r="20" fill="var(--plate-fill)" />
      {ring(32, 32, 11, 20, (x, y) => (
        <P d={`M${x} ${y}L${x + (x - 32) * 0.35} ${y + (y - 32) * 0.35}`} w={3} />
      ))}
      <P d="M24 30l2 -4M38 36l3 -3M30 42l2 -4" w={2} />
    </g>
  ),
  "husk-leafy": () => (
    <g>
      <circle cx="32" cy="36" r="13" fill="var(--plate-fill)" />
      <P d="M12 40C10 26 14 16 18 6L24 20L30 4L36 20L44 6C50 16 54 26 52 40C48 54 38 60 32 60C26 60 16 54 12 40Z" />
    </g>
  ),
  "husk-smooth": () => <circle cx="32" cy="32" r="22" fill="var(--plate-fill)" />,
  "nut-tassel": () => (
    <g>
      <P d="M32 18C16 22 10 44 18 56H46C54 44 48 22 32 18Z" fill />
      <P d="M32 18V8M32 10L26 2M32 10L38 2M32 10V0" />
      <P d="M19 52Q32 46 45 52" w={0.8} />
    </g>
  ),
  "nut-scar": () => (
    <g>
      <circle cx="32" cy="34" r="24" fill="var(--plate-fill)" />
      <ellipse cx="32" cy="44" rx="15" ry="10" fill="#e8dcc4" />
      <P d="M22 44h20" w={0.6} />
    </g>
  ),
  "nut-plain": () => (
    <g>
      <P d="M32 6C14 18 12 40 18 52H46C52 40 50 18 32 6Z" fill />
      <P d="M18 52Q32 62 46 52Q32 44 18 52" />
    </g>
  ),
  "crown-star": () => (
    <g>
      <circle cx="32" cy="32" r="26" fill="var(--plate-fill)" />
      {ring(32, 32, 5, 4, (x, y, a) => (
        <P
          d={`M32 32L${32 + Math.cos(((a - 120) * Math.PI) / 180) * 6} ${32 + Math.sin(((a - 120) * Math.PI) / 180) * 6}L${32 + (x - 32) * 4} ${32 + (y - 32) * 4}L${32 + Math.cos(((a - 60) * Math.PI) / 180) * 6} ${32 + Math.sin(((a - 60) * Math.PI) / 180) * 6}Z`}
          w={1.6}
        />
      ))}
      <Dot x={32} y={32} r={3} solid />
    </g>
  ),
  "crown-none": () => (
    <Absent>
      <circle cx="30" cy="36" r="22" fill="var(--plate-fill)" />
      <Dot x={30} y={36} r={2} solid />
    </Absent>
  ),
  "remains-stalks": () => (
    <P d="M8 6H56M32 6V22M32 22L16 42M32 22L24 46M32 22V48M32 22L40 46M32 22L48 42M16 42l-4 6M16 42l3 7M24 46l-2 7M24 46l4 6M32 48v8M40 46l-3 7M40 46l4 6M48 42l-2 7M48 42l5 5" />
  ),
  "remains-pods": () => (
    <P
      d="M8 6H56M20 6V14C12 24 14 46 20 56C26 46 28 24 20 14M34 6V12C26 22 28 44 34 52C40 44 42 22 34 12M48 6V16C42 26 44 46 48 54C54 46 56 26 48 16"
      fill
    />
  ),
  "remains-husks": () => (
    <g>
      <P d="M8 6H56M20 6V20M44 6V16" />
      <P d="M20 20C8 24 8 44 16 48L20 36L24 48C32 44 32 24 20 20Z" fill />
      <P d="M44 16C36 22 36 44 41 52H47C52 44 52 22 44 16ZM39 28q5 5 10 0M38 38q6 5 12 0" fill />
    </g>
  ),
  "remains-none": () => (
    <Absent>
      <P d="M8 6H34M20 6L26 40M26 6L12 34" />
    </Absent>
  ),
  "scent-resin": () => scentLines("M42 44C38 36 46 32 42 24C38 16 46 12 42 4M52 44C48 36 56 32 52 24C48 16 56 12 52 4"),
  "scent-rank": () => scentLines("M40 46L46 36L38 28L46 18L40 8M52 46L58 36L50 28L58 18L52 8"),
  "scent-almond": () => <g>{scentLines("M40 22C46 6 58 8 58 22C58 36 46 42 40 22ZM44 22C48 16 54 16 56 22")}</g>,
  "scent-faint": () => scentLines("M44 44C42 40 46 36 44 32", undefined),
  "scent-sweet": () => (
    <g>
      <g transform="translate(0 14) scale(.7)">
        {ring(26, 40, 5, 13, (x, y) => (
          <Dot x={x} y={y} r={8} />
        ))}
      </g>
      <P d="M42 46C38 38 48 34 42 26C38 18 48 14 42 6M54 46C50 38 60 34 54 26C50 18 60 14 54 6" />
    </g>
  ),
  "scent-heavy": () => (
    <g>
      <g transform="translate(0 14) scale(.7)">
        {ring(26, 40, 5, 13, (x, y) => (
          <Dot x={x} y={y} r={8} />
        ))}
      </g>
      <P d="M40 46L46 36L38 28L46 18L40 8M52 46L58 36L50 28L58 18L52 8" />
    </g>
  ),
  "pores-ring": () => (
    <g>
      {[24, 42].map((y) => (
        <g key={y}>
          <P d={`M4 ${y + 8}H60`} />
          {spread(8, 56, 9).map((x) => (
            <Dot key={x} x={x} y={y + 3} r={2.4} />
          ))}
          {spread(10, 54, 8).map((x) => (
            <Dot key={x} x={x} y={y - 4} r={0.8} solid />
          ))}
        </g>
      ))}
    </g>
  ),
  "pores-scattered": () => (
    <g>
      <P d="M4 20H60M4 42H60" />
      {spread(8, 58, 7).map((y, i) => spread(i % 2 ? 8 : 12, i % 2 ? 56 : 52, 7).map((x) => <Dot key={`${x}${y}`} x={x} y={y} r={1.3} />))}
    </g>
  ),
  "pores-none": () => (
    <P
      d={`M4 14H60M4 16H60M4 34H60M4 37H60M4 54H60${spread(8, 56, 9)
        .map((x) => `M${x} 16V54`)
        .join("")}`}
      w={0.8}
    />
  ),
  "glow-yes": () => (
    <g>
      <circle cx="32" cy="36" r="16" fill="#d7e84a" />
      {ring(32, 36, 12, 20, (x, y) => (
        <P d={`M${x} ${y}L${x + (x - 32) * 0.35} ${y + (y - 36) * 0.35}`} />
      ))}
    </g>
  ),
  "glow-none": () => (
    <Absent>
      <circle cx="28" cy="38" r="18" />
      <circle cx="28" cy="38" r="10" strokeWidth="0.7" />
    </Absent>
  ),
  "site-wood": () => (
    <g>
      {ground}
      {[12, 24, 38, 52].map((x, i) => smallTree(x, 58, i % 2 ? 1.7 : 1.3))}
    </g>
  ),
  "site-edge": () => (
    <g>
      {ground}
      {smallTree(12, 58, 1.8)}
      {smallTree(26, 58, 1.3)}
      <P d="M34 58C34 48 46 48 46 58M50 56l2 -3M56 56l2 -3" fill />
    </g>
  ),
  "site-open": () => (
    <g>
      {ground}
      {smallTree(32, 58, 1.5)}
      <P d="M8 58l2 -5M16 58l2 -5M46 58l2 -5M56 58l2 -5" />
    </g>
  ),
  "site-planted": () => (
    <g>
      {ground}
      {[14, 32, 50].map((x) => smallTree(x, 58, 1.4))}
      <P d="M4 62H60M8 58V48M56 58V48" />
    </g>
  ),
  "site-water": () => (
    <g>
      {smallTree(20, 46, 1.6)}
      <P d="M4 46H34Q40 46 42 52M40 54q4 -3 8 0t8 0M36 60q5 -3 10 0t10 0" />
    </g>
  ),
  "soil-acid": () => (
    <g>
      <P d="M4 24H60M8 24l-3 -8M8 24l3 -8M24 24l-3 -9M24 24l3 -9M42 24l-3 -8M42 24l3 -8M54 24l2 -8" />
      <P d="M6 30h52M10 34h44" w={3} />
      <P d="M6 44h6M20 46h8M38 44h8M14 54h8M34 56h10" />
    </g>
  ),
  "soil-lime": () => (
    <g>
      <P d="M4 22H60" />
      <P d="M10 30l10 -2l4 8l-10 3zM32 28l12 2l-2 8l-11 -1zM16 44l12 -2l3 9l-13 2zM40 46l10 -4l5 8l-9 5z" fill />
    </g>
  ),
  "soil-rich": () => (
    <g>
      <P d="M4 28H60M14 28V14M14 20l-5 -4M14 20l5 -4M34 28V10M34 18l-6 -4M34 18l6 -4M52 28V16M52 22l-4 -4" />
      {spread(36, 58, 5).map((y, i) => (
        <P key={y} d={`M${6 + (i % 2) * 4} ${y}h${48 - (i % 2) * 8}`} w={2.4} />
      ))}
    </g>
  ),
};

const FAMILIES: [RegExp, (rest: string) => ReactNode][] = [
  [/^outline-(.+)$/, (s) => <Outline crown={s === "several" ? "arching" : "round"} stems={s as Stems} />],
  [/^crown-(cone|round|arching|ragged)$/, (s) => <Outline crown={s as Crown} stems="single" />],
  [/^bark-(smooth|ridged|ropy|scaly|peeling|corky)$/, (s) => <Bark surface={s as BarkSurface} />],
  [/^swatch-(.+)$/, (s) => swatch(s.slice(0, s.indexOf("-")), s.slice(s.indexOf("-") + 1))],
  [/^set-(.+)$/, (s) => <Twig arrangement={s as Arrangement} />],
  [
    /^bud-(pointed|egg|round|hidden)$/,
    (s) => (
      <g>
        <P d="M26 62V40M38 62V40" />
        <Bud shape={s as BudShape} x={32} y={s === "hidden" ? 34 : 44} angle={0} scale={s === "hidden" ? 3 : 2.4} />
        {s === "hidden" && <P d="M22 40Q32 30 42 40Q32 52 22 40" fill />}
      </g>
    ),
  ],
  [/^leaf-(needle|simple|trifoliate|palmate|pinnate)$/, (s) => <Leaf kind={s as LeafKind} />],
  [/^leaf-bipinnate$/, () => <Leaf kind="twice-pinnate" leaflets={7} />],
  [/^margin-(smooth|fine|middling|coarse|double|bristle)$/, (s) => marginGlyph((s === "smooth" ? s : `${s}-teeth`) as Margin)],
  [/^blade-(.+)$/, (s) => bladeGlyph(s as Blade)],
];

/** The drawing for a key; null where there is none. */
export function drawing(key: string): ReactNode | null {
  const glyph = GLYPHS[key];
  if (glyph) return glyph();
  const strokes = fromCatalogue(key);
  if (strokes) return strokes;
  for (const [pattern, draw] of FAMILIES) {
    const match = pattern.exec(key);
    if (match) return draw(match[1] ?? "");
  }
  return null;
}

export function Glyph({ name, size = 64, className = "" }: { name: string; size?: number; className?: string }) {
  return (
    <svg
      viewBox="0 0 64 64"
      width={size}
      height={size}
      className={className}
      fill="none"
      stroke="currentColor"
      strokeWidth="1.3"
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden="true"
      focusable="false"
    >
      {drawing(name) ?? <circle cx="32" cy="32" r="20" strokeDasharray="2 3" />}
    </svg>
  );
}
