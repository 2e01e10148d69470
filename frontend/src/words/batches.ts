import type { Schemas } from "../api/client";

export const STATE: Record<Schemas["BatchState"], string> = { running: "being made", done: "done", joined: "put to another", "given-up": "given up" };

export const CHECK: Record<Schemas["CheckAnswer"], string> = { done: "It is", "not-yet": "Not yet", "cannot-tell": "Cannot tell" };

export const DOUBT: Record<Schemas["BatchDoubt"], string> = {
  "tree-doubted": "Somebody doubts what kind the tree is.",
  "another-kind": "The tree is held to be another kind now.",
  recalled: "It was called back.",
};

export const RECALL_OF: Record<Schemas["RecallOf"], string> = {
  tree: "tree",
  decision: "decision",
  examiner: "who examined",
  "flora-line": "what the flora says of",
  batch: "batch",
};

/** How far away a moment is, from another: "in 3 hours", "2 days ago". */
export function awayWords(at: string, now: Date): string {
  const minutes = Math.round((Date.parse(at) - now.getTime()) / 60_000);
  const size = Math.abs(minutes);
  const [n, unit] = size < 90 ? [size, "minute"] : size < 48 * 60 ? [Math.round(size / 60), "hour"] : [Math.round(size / 1440), "day"];
  const words = `${n} ${unit}${n === 1 ? "" : "s"}`;
  return n === 0 ? "now" : minutes > 0 ? `in ${words}` : `${words} ago`;
}
