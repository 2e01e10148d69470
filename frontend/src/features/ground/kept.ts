import type { Schemas } from "../../api/client";

export type Found = { finding: Schemas["StormFinding"]; thickness: number | null; note: string };
export type Tick = Found & { stop: string; at: number };

/** A stop is ticked once; what was found there last is what is sent. */
export const withTick = (ticks: Tick[], tick: Tick): Tick[] => [...ticks.filter((t) => t.stop !== tick.stop), tick];
