import type { Schemas } from "../api/client";

export type Organ = Schemas["Organ"];
export const ORGANS: readonly Organ[] = ["outline", "bark", "twig", "bud", "leaf", "flower", "fruit", "scent", "wood", "site"];

export const STATION: Record<Organ, { name: string; short: string }> = {
  outline: { name: "Stand back: outline", short: "Outline" },
  bark: { name: "Bark", short: "Bark" },
  twig: { name: "Branch and twig", short: "Branch" },
  bud: { name: "Buds", short: "Buds" },
  leaf: { name: "Leaves", short: "Leaves" },
  flower: { name: "Flowers", short: "Flowers" },
  fruit: { name: "Fruit and seed", short: "Fruit" },
  scent: { name: "Smell and sap", short: "Smell" },
  wood: { name: "Wood", short: "Wood" },
  site: { name: "Ground", short: "Ground" },
};

/** In which order the stations are walked. */
export type RouteId = "branch-first" | "bark-first" | "leaf-first" | "outline-inward";
export const ROUTES: Record<RouteId, { label: string; order: Organ[] }> = {
  "branch-first": { label: "branch first", order: ["twig", "bud", "leaf", "flower", "fruit", "scent", "bark", "outline", "wood", "site"] },
  "bark-first": { label: "bark first", order: ["bark", "outline", "twig", "bud", "leaf", "flower", "fruit", "scent", "wood", "site"] },
  "leaf-first": { label: "leaf first", order: ["leaf", "twig", "bud", "flower", "fruit", "scent", "bark", "outline", "wood", "site"] },
  "outline-inward": { label: "outline inward", order: ["outline", "bark", "twig", "bud", "leaf", "flower", "fruit", "scent", "wood", "site"] },
};
