import type { ReactNode } from "react";
import type { Schemas } from "../api/client";
import { DANGER } from "../words/trees";

type Danger = Schemas["TreeDanger"];

/** The shape of each danger, drawn about 0,0 in a circle of radius 8: an outline and a hatching, never colour alone. */
export const DANGER_SHAPE: Record<Danger, ReactNode> = {
  deadly: (
    <>
      <path d="M0 -8.5L8.5 0L0 8.5L-8.5 0Z" fill="var(--sheet)" stroke="currentColor" strokeWidth="2" />
      <path d="M-5.5 -3L3 5.5M-3 -5.5L5.5 3M5.5 -3L-3 5.5M3 -5.5L-5.5 3" stroke="currentColor" strokeWidth="1.5" />
    </>
  ),
  serious: (
    <>
      <path d="M0 -8L8 6.5H-8Z" fill="var(--sheet)" stroke="currentColor" strokeWidth="1.8" />
      <path d="M-5 6L1 -5.5M-1 6L3.2 -2M3 6L5.4 1.6" stroke="currentColor" strokeWidth="1.4" />
    </>
  ),
  mild: (
    <>
      <rect x="-6.5" y="-6.5" width="13" height="13" fill="var(--sheet)" stroke="currentColor" strokeWidth="1.6" />
      <path d="M-6 0H6M-6 -3.3H6M-6 3.3H6" stroke="currentColor" strokeWidth="1" />
    </>
  ),
  harmless: <circle r="6.5" fill="var(--sheet)" stroke="currentColor" strokeWidth="1.6" />,
  doubted: (
    <>
      <circle r="7" fill="var(--sheet)" stroke="currentColor" strokeWidth="1.6" strokeDasharray="3.5 2" />
      <path d="M-2.4 -2.2C-2.2 -5.4 2.8 -5 2.4 -1.9C2.1 -0.2 0 0 0 1.9M0 4.1V4.9" stroke="currentColor" strokeWidth="1.6" fill="none" />
    </>
  ),
  unknown: (
    <>
      <circle r="7" fill="var(--sheet)" stroke="currentColor" strokeWidth="1.6" strokeDasharray="1.5 2.2" />
      <path d="M-2.5 0H2.5" stroke="currentColor" strokeWidth="1.6" />
    </>
  ),
};
export const DANGER_TONE: Record<Danger, string> = {
  deadly: "text-berry",
  serious: "text-berry",
  mild: "text-berry",
  harmless: "text-ink",
  doubted: "text-ochre",
  unknown: "text-ochre",
};

/** What a tree could do: the shape, and the word beside it or for those who hear it. */
export function DangerMark({ danger, withWord = false }: { danger: Danger; withWord?: boolean }) {
  return (
    <span className={`inline-flex shrink-0 items-center gap-1.5 ${DANGER_TONE[danger]}`}>
      <svg viewBox="-10 -10 20 20" width="20" height="20" aria-hidden="true" focusable="false">
        {DANGER_SHAPE[danger]}
      </svg>
      <span className={withWord ? "text-sm font-semibold" : "sr-only"}>{DANGER[danger].word}</span>
    </span>
  );
}
