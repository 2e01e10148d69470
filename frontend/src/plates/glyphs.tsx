import type { ReactNode } from "react";
import { Bark, type BarkSurface } from "./bark";
import { type Blade, blade, edge, type Margin } from "./geometry";
import { Leaf, type LeafKind } from "./leaf";
import { mark } from "./marks";
import { type Crown, Outline, type Stems } from "./outline";
import { swatch } from "./swatch";
import { type Arrangement, Bud, type BudShape, Twig } from "./twig";

/** Drawings that are made of what the key says: shapes of blades, margins, buds and crowns, barks, colours. */

const bladeGlyph = (shape: Blade) => (
  <g>
    <path d={blade(32, 58, 54, shape)} fill="var(--plate-fill)" />
    <path d="M32 63V10" strokeWidth="0.8" />
  </g>
);
const marginGlyph = (margin: Margin) => (
  <g>
    <path d={`${edge(4, 34, 56, margin)}V60H4Z`} fill="var(--plate-fill)" />
    <path d="M8 60Q18 48 22 40M28 60Q36 50 40 40M46 60Q52 52 56 44" strokeWidth="0.7" />
  </g>
);

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
        <path d="M26 62V40M38 62V40" />
        <Bud shape={s as BudShape} x={32} y={s === "hidden" ? 34 : 44} angle={0} scale={s === "hidden" ? 3 : 2.4} />
        {s === "hidden" && <path d="M22 40Q32 30 42 40Q32 52 22 40" fill="var(--plate-fill)" />}
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
  const lines = mark(key);
  // biome-ignore lint/security/noDangerouslySetInnerHtml: a drawing that ships with the application
  if (lines) return <g dangerouslySetInnerHTML={{ __html: lines }} />;
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
