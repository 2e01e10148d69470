import type { Schemas } from "../api/client";

type Span = Schemas["SpanView"];
type Step = Schemas["RecipeStepView"];

const UNITS: Record<Schemas["TimeUnit"], [string, string]> = {
  min: ["minute", "minutes"],
  h: ["hour", "hours"],
  d: ["day", "days"],
  weeks: ["week", "weeks"],
  months: ["month", "months"],
};

/** How long: "20 to 30 minutes". */
export const spanWords = (span: Span): string =>
  `${span.least === span.most ? span.most : `${span.least} to ${span.most}`} ${UNITS[span.unit][span.most === 1 ? 0 : 1]}`;

/** How often: "every day", "every 12 hours". */
export const everyWords = (span: Span): string => (span.least === 1 && span.most === 1 ? `every ${UNITS[span.unit][0]}` : `every ${spanWords(span)}`);

/** How hot, in the reader's degrees. */
export function heatWords(least: number, most: number, imperial: boolean): string {
  const in_ = (c: number) => String(Math.round(imperial ? c * 1.8 + 32 : c)).replace("-", "−");
  return `${least === most ? in_(most) : `${in_(least)} to ${in_(most)}`} ${imperial ? "°F" : "°C"}`;
}

/** Grams as people weigh them, to two figures: no recipe is finer. What was weighed is told to three. */
export function weightWords(grams: number, imperial: boolean, figures = 2): string {
  const [value, unit] = imperial
    ? grams >= 453.6
      ? [grams / 453.59237, "lb"]
      : [grams / 28.349523125, "oz"]
    : grams >= 1000
      ? [grams / 1000, "kg"]
      : [grams, "g"];
  return `${Number(value.toPrecision(figures)).toLocaleString("en-GB")} ${unit}`;
}

/** A weight that is not known to the gram. */
export function weightsWords(least: number, most: number, imperial: boolean): string {
  const [from, to] = [weightWords(least, imperial), weightWords(most, imperial)];
  if (from === to) return from;
  const unit = to.split(" ")[1];
  return from.endsWith(` ${unit}`) ? `${from.split(" ")[0]} to ${to}` : `${from} to ${to}`;
}

/** What a step wants, by weight if one is there, else in proportion. */
export function ingredientWords(i: Schemas["IngredientView"], imperial: boolean): string {
  if (i.least != null && i.most != null) return `${i.name} ${weightsWords(i.least, i.most, imperial)}`;
  if (i.times < 0.1) return `${i.name}, ${Number((i.times * 1000).toPrecision(2))} g to a kilogram of what goes in`;
  return i.times === 1 ? `as much ${i.name}, by weight` : `${i.name}, ${i.times} times what goes in, by weight`;
}

/** What is left of the weight. */
export function leftWords(step: Step, imperial: boolean): string {
  if (step.leftLeast == null || step.leftMost == null) return "";
  const [least, most] = [step.leftLeast, step.leftMost].map((s) => Number((100 * s).toPrecision(s < 0.1 ? 1 : 2)));
  const share = least === most ? `${most} %` : `${least} to ${most} %`;
  if (step.outLeast == null || step.outMost == null) return step.leftMost === 1 && step.leftLeast === 1 ? "" : `Of the weight ${share} is left.`;
  return `Some ${weightsWords(step.outLeast, step.outMost, imperial)} comes out.`;
}

export const USE: Record<string, string> = {
  food: "To eat and drink",
  cordage: "Fibre and cord",
  fire: "Fire",
  fuel: "Firewood",
  posts: "Posts",
  carving: "Carving",
  craft: "Craft and building",
  smoke: "Smoke",
  dye: "Dye",
  ink: "Ink",
  tanning: "Tanning",
  bees: "Bees",
};
