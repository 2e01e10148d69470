import type { ReactNode } from "react";

export type Crown = "cone" | "round" | "arching" | "ragged" | "narrow" | "broad" | "flat" | "oval" | "vase" | "windswept";
export type Stems = "single" | "several" | "herb" | "climber";

const CROWN: Record<Crown, string> = {
  cone: "M32 4C27 18 20 34 14 50H50C44 34 37 18 32 4Z",
  round: "M32 6C15 5 8 20 11 32C13 44 24 48 32 47C40 48 51 44 53 32C56 20 49 5 32 6Z",
  arching:
    "M32 10C20 6 10 14 7 30C5 38 6 44 9 46C13 36 16 44 20 46C24 34 28 44 32 46C36 44 40 34 44 46C48 44 51 36 55 46C58 44 59 38 57 30C54 14 44 6 32 10Z",
  narrow: "M32 4C25 12 24 40 27 50H37C40 40 39 12 32 4Z",
  broad: "M32 16C8 14 2 26 5 36C10 48 24 42 32 44C40 42 54 48 59 36C62 26 56 14 32 16Z",
  flat: "M4 26C6 14 18 14 32 14C46 14 58 14 60 26C50 32 40 36 32 44C24 36 14 32 4 26Z",
  oval: "M32 4C18 8 11 26 15 40C21 50 43 50 49 40C53 26 46 8 32 4Z",
  vase: "M28 48C22 36 10 26 7 13C18 4 46 4 57 13C54 26 42 36 36 48Z",
  windswept: "M28 46C16 40 14 22 26 12C40 6 60 10 60 18C54 22 52 22 50 28C46 38 38 42 28 46Z",
  ragged: "M30 6L40 10L46 8L44 18L54 20L46 28L52 38L40 34L36 44L28 38L18 46L20 34L8 34L16 26L10 16L22 18L22 8L28 13Z",
};

const STEMS: Record<Stems, ReactNode> = {
  single: <path d="M30 60L31 40M34 60L33 40" />,
  several: <path d="M22 60L27 38M28 60L31 36M36 60L33 36M42 60L37 38" />,
  climber: <path d="M28 60C38 52 26 46 34 38M36 60C30 54 40 48 33 40" />,
  herb: <path d="M20 60V24M28 60V16M36 60V18M44 60V26" strokeWidth="1" />,
};

/** The tree from a distance, hatched on its shaded side. */
export function Outline({ crown, stems }: { crown: Crown; stems: Stems }) {
  const id = `shade-${crown}-${stems}`;
  if (stems === "herb") {
    return (
      <g>
        {STEMS.herb}
        <path d="M20 24l-7 -4M20 30l7 -5M28 16q-8 -5 -12 0M28 16q8 -5 12 0M36 18q-8 -5 -9 0M36 18q8 -5 12 0M44 32l8 -4M20 40l-8 -3M28 34l8 -4M36 42l8 -4M6 60H58" />
      </g>
    );
  }
  return (
    <g>
      <clipPath id={id}>
        <path d={CROWN[crown]} />
      </clipPath>
      {STEMS[stems]}
      <path d={CROWN[crown]} fill="var(--plate-fill)" />
      <g clipPath={`url(#${id})`} strokeWidth="0.6">
        {Array.from({ length: 14 }, (_, i) => i * 4).map((d) => (
          <path key={d} d={`M${34 + d} 2L${14 + d} 58`} />
        ))}
      </g>
      <path d="M6 60H58" strokeWidth="0.8" />
    </g>
  );
}
