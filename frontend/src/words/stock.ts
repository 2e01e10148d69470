import type { Schemas } from "../api/client";

type Animal = Schemas["Animal"];
export const ANIMALS: Animal[] = ["cattle", "horses", "sheep", "goats", "pigs", "dogs", "birds"];
/** What one of them weighs, kilograms, until somebody says it better. */
const USUAL: Record<Animal, number> = { cattle: 600, horses: 500, sheep: 70, goats: 60, pigs: 150, dogs: 25, birds: 2 };
const POUND = 0.45359237;
/** In what animals are weighed, and how many grams that is. */
export const massUnit = (imperial: boolean): { unit: string; grams: number } => ({
  unit: imperial ? "lb" : "kg",
  grams: 1000 * (imperial ? POUND : 1),
});
export const usualMass = (animal: Animal, imperial: boolean): string => String(Math.round(USUAL[animal] / (imperial ? POUND : 1)));

export const OF_THEM: Record<Animal, string> = {
  cattle: "cattle",
  horses: "horses",
  sheep: "sheep",
  goats: "goats",
  pigs: "pigs",
  dogs: "dogs",
  birds: "birds",
};
export const ONE_OF: Record<Animal, string> = {
  cattle: "one head of cattle",
  horses: "a horse",
  sheep: "a sheep",
  goats: "a goat",
  pigs: "a pig",
  dogs: "a dog",
  birds: "a bird",
};

const figures = (value: number): string => Number(value.toPrecision(2)).toLocaleString("en-GB");

/** A mass, in what people weigh with. */
export function amountWords(grams: number, imperial: boolean): string {
  if (imperial) return grams < 453.59237 ? `${figures(grams / 28.349523125)} oz` : `${figures(grams / 453.59237)} lb`;
  return grams < 1000 ? `${figures(grams)} g` : `${figures(grams / 1000)} kg`;
}

/** How much room the least of it takes; nothing where it is no leaf. */
export function bucketWords(buckets: number, imperial: boolean): string {
  if (buckets <= 0) return "";
  const bucket = imperial ? "bucket of 2½ US gallons" : "bucket of ten litres";
  if (buckets < 0.15) return ", from a handful or two";
  if (buckets < 1.5) return `, from ${buckets < 0.75 ? "half a" : "one"} ${bucket} of loose leaves`;
  return `, from ${figures(buckets)} ${bucket.replace("bucket", "buckets")} of loose leaves`;
}

/** "; 3 branches as thick as a thumb carry as much" */
export function branchWords(branches: number, imperial: boolean): string {
  if (branches <= 0) return "";
  const thick = `as thick as a thumb (${imperial ? "1 in" : "2.5 cm"})`;
  if (branches <= 1) return `; one branch ${thick} carries as much or more`;
  return `; ${figures(branches)} branches ${thick} carry as much`;
}

/** How many of a herd it could reach: what is less than was ever seen to harm is never said to be harmless. */
export function herdWords(few: number, many: number, number: number, animal: Animal): string {
  const all = (n: number) => (n >= number ? `all ${number}` : `${n}`);
  if (many === 0) return `It is less than was seen to harm ${ONE_OF[animal]}. That is no proof that it does not.`;
  if (few === many) return `It could harm ${all(many)} of your ${OF_THEM[animal]}.`;
  return `It could harm ${few === 0 ? "one" : all(few)}${many === 1 ? "" : ` to ${all(many)}`} of your ${OF_THEM[animal]}.`;
}
