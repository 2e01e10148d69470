import type { Schemas } from "../api/client";

export type Hazard = Schemas["HazardView"];
export type NoRecord = Schemas["NoRecordView"];

/** The same harm to several animals is said once. */
export function together(hazards: Hazard[]): (Hazard & { whom: string[] })[] {
  const groups = new Map<string, Hazard & { whom: string[] }>();
  for (const h of hazards) {
    const key = [h.part, h.way, h.severity, h.note].join("|");
    groups.set(key, { ...h, whom: [...(groups.get(key)?.whom ?? []), h.who] });
  }
  return [...groups.values()];
}

/** "cattle, sheep and goats" */
export function whom(who: string[]): string {
  return who.length > 1 ? `${who.slice(0, -1).join(", ")} and ${who.at(-1)}` : (who[0] ?? "");
}
