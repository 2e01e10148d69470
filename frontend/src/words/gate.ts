import type { Schemas } from "../api/client";

/** How the gate stands, as it is drawn and named. */
export type GateState = "withheld" | "barred" | "cleared" | "unasked";

export const GATE_WORD: Record<GateState, string> = { withheld: "Withheld", barred: "Barred", cleared: "Cleared", unasked: "Nothing asked" };
export const GATE_TONE: Record<GateState, string> = { withheld: "text-ochre", barred: "text-berry", cleared: "text-leaf", unasked: "text-ink" };

export const gateState = (gate: { answer: Schemas["Answer"] } | null | undefined): GateState => gate?.answer ?? "unasked";
