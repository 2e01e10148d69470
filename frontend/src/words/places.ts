import type { Schemas } from "../api/client";
import { dayWords } from "./text";

/** The ground of a place in words. */
export const SOIL: Record<Schemas["Soil"], string> = { "": "not said", acid: "acid", neutral: "neutral", lime: "lime" };
export const LIGHT: Record<Schemas["Light"], string> = { "": "not said", open: "open", half: "half shade", shade: "shade" };
export const MOISTURE: Record<Schemas["Moisture"], string> = { "": "not said", dry: "dry", fresh: "fresh", wet: "wet" };
export const EXPOSURE: Record<Schemas["Exposure"], string> = {
  "": "not said",
  flat: "flat",
  n: "north",
  ne: "north-east",
  e: "east",
  se: "south-east",
  s: "south",
  sw: "south-west",
  w: "west",
  nw: "north-west",
};

export const options = <T extends string>(of: Record<T, string>): { value: T; label: string }[] =>
  (Object.keys(of) as T[]).map((value) => ({ value, label: of[value] }));

/** How a permission stands today: the word, and whether the gate can open by it. */
export function permissionWords(
  site: { permission?: boolean | null; permissionUntil?: string | null },
  today: string,
): { words: string; holds: boolean } {
  if (site.permission === false) return { words: "the owner said no", holds: false };
  if (!site.permission) return { words: "nobody has asked the owner", holds: false };
  if (!site.permissionUntil) return { words: "permitted, no end named", holds: true };
  return site.permissionUntil < today
    ? { words: `the permission ended on ${dayWords(site.permissionUntil)}`, holds: false }
    : { words: `permitted until ${dayWords(site.permissionUntil)}`, holds: true };
}
