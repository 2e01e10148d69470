import type { Schemas } from "../api/client";

const EMPTY: Record<Schemas["EmptyBecause"], string> = {
  "stands-alone": "Most are empty, and it stands alone: a lone tree of this kind bears empty fruit, whatever the year.",
  "perhaps-alone": "Most are empty. This kind wants another near: look whether one stands within a hundred metres, and note it.",
  "not-for-want-of-another": "Most are empty, and not for want of another tree: grubs, drought, or they were gathered too early.",
};

/** Why most are empty, where they are. */
export const emptyWords = (h: Schemas["HarvestView"]): string => (h.emptyBecause ? EMPTY[h.emptyBecause] : "");

/** What the station says of that day. */
export function weatherWords(w: Schemas["HarvestWeatherView"], imperial: boolean): string {
  const degrees = (c: number) => (imperial ? `${Math.round(c * 1.8 + 32)} °F` : `${Math.round(c)} °C`);
  const rain = (mm: number) =>
    mm < 0.1 ? "no rain" : imperial ? `${(mm / 25.4).toFixed(2)} in of rain` : `${mm < 1 ? mm : Math.round(mm)} mm of rain`;
  return [
    `${degrees(w.least)} to ${degrees(w.greatest)}`,
    ...(w.rain == null ? [] : [rain(w.rain)]),
    ...(w.rainBefore == null ? [] : [w.rainBefore < 0.1 ? "dry the three days before" : `${rain(w.rainBefore)} the three days before`]),
  ].join(", ");
}

/** How much of a year's number is left. */
export const quotaWords = (allowed: number | null | undefined, used: number): string =>
  allowed == null
    ? ""
    : used >= allowed
      ? `It was taken here ${used} times this year: that is all there may be.`
      : `It may be taken here ${allowed - used} times more this year, of ${allowed}.`;
