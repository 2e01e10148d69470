import type { Schemas } from "../api/client";
import { dayWords } from "./text";

type Crop = Schemas["CropView"];
type Point = Schemas["CropPointView"];

export const GRADE: Record<Schemas["CropGrade"], string> = { none: "none", poor: "poor", fair: "fair", good: "good" };
export const GRADES = Object.keys(GRADE) as Schemas["CropGrade"][];

const SMALLER: Record<string, [string, number]> = { kg: ["g", 1000], lb: ["oz", 16], l: ["ml", 1000], pt: ["fl oz", 16] };

/** The unit in which an amount is no small fraction, and how many of it one of the other is. */
const scale = (unit: string, amount: number): [string, number] => (amount < 0.2 && SMALLER[unit]) || [unit, 1];

/** To two figures at the most: no more is known. */
function rounded(n: number): string {
  const figures = n === 0 ? 0 : Number(n.toPrecision(n >= 1 ? 2 : 1));
  return figures.toLocaleString("en-GB", { maximumFractionDigits: 2 });
}

/** How much one person may bring home. */
export function cropAmountWords(crop: Crop): string {
  if (crop.least == null || crop.likely == null || crop.most == null) return "";
  if (crop.chances.none === 100) return "There is nothing to bring home.";
  const [unit, times] = scale(crop.unit, crop.likely || crop.most);
  const [least, likely, most] = [crop.least, crop.likely, crop.most].map((n) => rounded(n * times));
  return crop.likely === 0
    ? `As likely as not there is nothing to bring home; one time in ten it is more than ${most} ${unit}.`
    : `One person may bring home some ${likely} ${unit}: ${crop.least === 0 ? "nothing" : least} to ${most} ${unit} in eight years of ten.`;
}

/** Short, for a line among others. */
export function cropShortWords(crop: Crop): string {
  const [grade = "fair"] = [...GRADES].sort((a, b) => (crop.chances[b] ?? 0) - (crop.chances[a] ?? 0));
  const what = crop.seen ? `Seen hanging: ${GRADE[crop.seen]}.` : `Most likely ${grade === "none" ? "no crop" : `a ${GRADE[grade]} crop`}.`;
  return `${what} ${cropAmountWords(crop)}`;
}

const years = (from: unknown, to: unknown) => (from === to ? `${from}` : `${from} to ${to}`);

/** What speaks for a crop, or against it, or is not known. */
export function pointWords(point: Point, imperial: boolean): string {
  const w = point.with as Record<string, number | string>;
  const degrees = (c: number) => (imperial ? `${Math.round(c * 1.8 + 32)} °F` : `${c.toFixed(1)} °C`);
  switch (point.kind) {
    case "seen-hanging":
      return `Somebody looked: the crop is ${GRADE[w.grade as Schemas["CropGrade"]]}.`;
    case "seen-bare":
      return "Somebody looked: nothing hangs on it.";
    case "others-hanging":
      return `On others of its kind here the crop is ${GRADE[w.grade as Schemas["CropGrade"]]}.`;
    case "others-bare":
      return `On others of its kind here the crop is ${w.grade === "none" ? "missing" : "poor"}.`;
    case "flowers-seen":
      return "It was seen in flower.";
    case "male":
      return "It is male, and bears no fruit.";
    case "sex-unknown":
      return "Its kind has two sexes, and nobody has said which this one is.";
    case "partner-near":
      return "A second tree that serves it stands within reach.";
    case "no-partner-known":
      return "No second tree that serves it is on record within reach. Others may stand there.";
    case "partner-unknown":
      return "It wants a second tree near; without a position none can be looked for.";
    case "too-young":
      return w.most == null
        ? "It is a sapling."
        : `It is too young: some ${years(w.least, w.most)} years by its girth, and its kind bears from ${w.from}.`;
    case "begins-to-bear":
      return w.most == null
        ? "It is young, and begins to bear."
        : `It begins to bear: some ${years(w.least, w.most)} years by its girth, and its kind first bears at ${years(w.from, w.to)}.`;
    case "best-years":
      return `It is in its best years: some ${years(w.least, w.most)} by its girth.`;
    case "past-best":
      return `It is past its best: some ${years(w.least, w.most)} years by its girth.`;
    case "age-unknown":
      return "Its age is not known: measure its girth, or say its life stage.";
    case "good-year-due":
      return `The last good year here was ${w.since === 1 ? "last year" : `${w.since} years before`}; its kind has one every ${years(w.from, w.to)} years.`;
    case "after-good-year":
      return `A good year was ${w.since === 1 ? "only last year" : `only ${w.since} years before`}; its kind has one every ${years(w.from, w.to)} years.`;
    case "no-good-year-known":
      return `Its kind has a good year every ${years(w.from, w.to)} years; none is on record here.`;
    case "frost-took":
      return `Frost at flowering: ${degrees(w.celsius as number)} on ${dayWords(String(w.night))}. Some ${Math.round(100 * (w.loss as number))} of a hundred flowers may be lost.`;
    case "no-frost":
      return `No harmful frost at flowering: ${degrees(w.celsius as number)} at the coldest.`;
    case "frost-unknown":
      return "Whether frost hurt its flowers is not known: the place has no station.";
    case "own-takes":
      return w.years === 1 ? "It was taken from in one year." : `It was taken from in ${w.years} years.`;
  }
}

/** How long the crop really lasts. */
export function rivalWords(crop: Crop): string {
  if (crop.lastsFrom == null || crop.lastsTo == null) return "";
  const who = crop.rivals.length > 1 ? `${crop.rivals.slice(0, -1).join(", ")} and ${crop.rivals.at(-1)}` : (crop.rivals[0] ?? "");
  return `Once ripe the bulk of it is there for ${crop.lastsFrom} to ${crop.lastsTo} days${who && `: ${who} live on it too`}.`;
}

/** The last count of sound ones. */
export const soundWords = (crop: Crop): string =>
  crop.soundYear == null
    ? ""
    : `In ${crop.soundYear} ${crop.sound} of ${crop.opened} cut open were sound: of all of them likely ${crop.soundLeast} to ${crop.soundMost} %.`;
