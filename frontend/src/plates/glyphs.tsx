import type { ReactNode } from "react";
import { mark } from "./marks";
import { Scene } from "./scene";
import { stateMarks } from "./states";
import { swatch } from "./swatch";

/** Keys that say a state of the catalogue: they are drawn by the engine of the plates. */
const FAMILIES: [RegExp, string][] = [
  [/^outline-(herb|climber)$/, "outline.habit"],
  [/^outline-(single|several)$/, "outline.stems"],
  [/^crown-(.+)$/, "outline.crown"],
  [/^bark-(smooth|ridged|ropy|scaly|peeling|corky|blocks|warty|striped)$/, "bark.surface"],
  [/^set-(.+)$/, "leaf.arrangement"],
  [/^bud-(pointed|egg|round|hidden)$/, "bud.shape"],
  [/^leaf-(needle|simple|trifoliate|palmate|pinnate|scale)$/, "leaf.kind"],
  [/^blade-(.+)$/, "leaf.outline"],
];
const NAMED: Record<string, [string, string]> = {
  "leaf-bipinnate": ["leaf.kind", "twice-pinnate"],
  "leaf-tripinnate": ["leaf.divided", "thrice"],
  "set-spiral": ["leaf.ranks", "all-round"],
  "margin-smooth": ["leaf.margin", "smooth"],
  "margin-saw": ["leaf.margin", "saw-teeth"],
  "margin-double": ["leaf.margin", "double-teeth"],
  "margin-bristle": ["leaf.margin", "bristle-teeth"],
  "margin-fine": ["leaf.teeth", "fine"],
  "margin-middling": ["leaf.teeth", "middling"],
  "margin-coarse": ["leaf.teeth", "coarse"],
};

/** The drawing for a key, 64 × 64; null where there is none. */
export function drawing(key: string): ReactNode | null {
  const lines = mark(key);
  // biome-ignore lint/security/noDangerouslySetInnerHtml: a drawing that ships with the application
  if (lines) return <g dangerouslySetInnerHTML={{ __html: lines }} />;
  const family = FAMILIES.find(([pattern]) => pattern.test(key));
  const [character, state] = NAMED[key] ?? (family ? [family[1], family[0].exec(key)?.[1] ?? ""] : ["", ""]);
  const marks = character === "" ? null : stateMarks(character, state);
  if (marks) return <Scene marks={marks} wide={64} high={64} rule={false} ink={0.85} />;
  const colour = /^swatch-([^-]+)-(.+)$/.exec(key);
  return colour ? swatch(colour[1] ?? "", colour[2] ?? "") : null;
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
