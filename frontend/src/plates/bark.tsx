import type { ReactNode } from "react";
import { spread } from "./geometry";

export type BarkSurface = "smooth" | "ridged" | "ropy" | "scaly" | "peeling" | "corky";

const SURFACE: Record<BarkSurface, ReactNode> = {
  smooth: (
    <g strokeWidth="0.8">
      {spread(14, 54, 5).map((y, i) => (
        <path key={y} d={`M${18 + (i % 3) * 9} ${y}h6M${38 - (i % 2) * 6} ${y + 4}h4`} />
      ))}
    </g>
  ),
  ridged: (
    <g>
      {spread(15, 49, 6).map((x, i) => (
        <path key={x} d={`M${x} 6c${i % 2 ? 3 : -3} 16 ${i % 2 ? -3 : 3} 34 0 52`} />
      ))}
    </g>
  ),
  ropy: (
    <g strokeWidth="1.8">
      {spread(14, 50, 4).map((x) => (
        <path key={x} d={`M${x} 6c9 9 9 9 0 17s-9 9 0 17 9 9 0 18M${x} 6c-9 9 -9 9 0 17s9 9 0 17 -9 9 0 18`} />
      ))}
    </g>
  ),
  scaly: (
    <g>
      {spread(12, 52, 5).map((y, i) =>
        spread(i % 2 ? 14 : 20, i % 2 ? 50 : 44, i % 2 ? 4 : 3).map((x) => (
          <path key={`${x}${y}`} d={`M${x - 5} ${y - 4}q5 -3 10 0q1 5 -1 8q-4 3 -8 0q-2 -4 -1 -8`} fill="var(--plate-fill)" />
        )),
      )}
    </g>
  ),
  peeling: (
    <g>
      {spread(15, 47, 5).map((x, i) => (
        <path key={x} d={`M${x} 6V${40 + (i % 3) * 6}q1 9 8 10q-3 -6 -3 -12V6`} fill={i % 2 ? "var(--plate-fill)" : "none"} />
      ))}
    </g>
  ),
  corky: (
    <g strokeWidth="2.4">
      <path d="M14 6q5 8 0 16t2 18t-2 18M25 6q-4 10 2 18t-3 16t3 18M37 6q5 8 0 17t3 17t-2 18M49 6q-4 9 1 18t-3 16t2 18" />
      <path d="M15 22l10 4M38 24l11 2M26 40l12 -2M15 46l9 -4M39 44l9 4" strokeWidth="1.2" />
    </g>
  ),
};

/** A piece of trunk, 64 × 64. */
export function Bark({ surface }: { surface: BarkSurface }) {
  return (
    <g>
      <path d="M10 4V60M54 4V60" strokeWidth="2" />
      {SURFACE[surface]}
    </g>
  );
}
