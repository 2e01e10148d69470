import type { Schemas } from "../api/client";

/** What a tree could do to whoever takes it, in words. */
export const DANGER: Record<Schemas["TreeDanger"], { word: string; long: string }> = {
  deadly: { word: "deadly", long: "its kind can kill" },
  serious: { word: "serious", long: "its kind does serious harm" },
  mild: { word: "mild", long: "its kind does mild harm" },
  harmless: { word: "not counted as dangerous", long: "its kind is not counted as dangerous" },
  doubted: { word: "doubted", long: "a kind was held, and somebody doubts it: it may be anything" },
  unknown: { word: "not known", long: "no kind is held: it may be anything" },
};
export const DANGERS = Object.keys(DANGER) as Schemas["TreeDanger"][];

export const STAGE: Record<Schemas["LifeStage"], string> = { sapling: "sapling", young: "young", mature: "mature", old: "old" };
export const SEX: Record<Schemas["Sex"], string> = { "": "not said", male: "male flowers", female: "female flowers", both: "both" };
export const GONE: Record<Schemas["Gone"], string> = {
  "": "still there",
  felled: "felled",
  fallen: "fallen",
  dead: "dead",
  lost: "tag lost, tree not known again",
  merged: "another tag of the same tree",
};
export const POSITION_FROM: Record<Schemas["PositionFrom"], string> = {
  "": "not said how",
  receiver: "by receiver",
  "stand-in": "by the stand-in receiver, which plays one",
  hand: "read off a map",
  file: "from a file",
};

const POINTS = ["north", "north-east", "east", "south-east", "south", "south-west", "west", "north-west"];
/** A direction, degrees from true north, as one says it. */
export const directionWords = (degrees: number): string => POINTS[Math.round((((degrees % 360) + 360) % 360) / 45) % 8] as string;

/** A distance in metres, as far as it matters to somebody on foot. */
export function distanceWords(metres: number, units: string): string {
  if (units === "imperial") {
    const feet = metres / 0.3048;
    return feet < 1000
      ? `${Math.round(feet < 100 ? feet : Math.round(feet / 5) * 5)} ft`
      : `${(metres / 1609.344).toFixed(metres < 16093 ? 1 : 0)} mi`;
  }
  return metres < 1000
    ? `${Math.round(metres < 100 ? metres : Math.round(metres / 5) * 5)} m`
    : `${(metres / 1000).toFixed(metres < 10_000 ? 1 : 0)} km`;
}
/** A piece of ground, from square metres. */
export function groundWords(squareMetres: number, units: string): string {
  const [small, large, factor, few] = units === "imperial" ? ["sq ft", "acres", 4046.8564224, 0.25] : ["m²", "ha", 10_000, 0.5];
  const many = squareMetres / (factor as number);
  if (many < (few as number)) return `${Math.round((units === "imperial" ? squareMetres / 0.09290304 : squareMetres) / 10) * 10} ${small}`;
  return `${many.toFixed(many < 10 ? 2 : many < 100 ? 1 : 0)} ${large}`;
}
/** A length of a tree, from metres. */
export const treeLength = (metres: number, units: string): string =>
  units === "imperial" ? `${(metres / 0.3048).toFixed(1)} ft` : `${metres.toFixed(1)} m`;
/** A girth, from centimetres. */
export const girthWords = (centimetres: number, units: string): string =>
  units === "imperial" ? `${(centimetres / 2.54).toFixed(1)} in` : `${centimetres.toFixed(1)} cm`;

const RADIUS = 6_371_008.8;
const rad = (d: number) => (d * Math.PI) / 180;
/** How far, and in which direction, on a sphere: less than 0.6 % off. */
export function way(from: { latitude: number; longitude: number }, to: { latitude: number; longitude: number }): { metres: number; bearing: number } {
  const [a, b, east] = [rad(from.latitude), rad(to.latitude), rad(to.longitude - from.longitude)];
  const half = Math.sin((b - a) / 2) ** 2 + Math.cos(a) * Math.cos(b) * Math.sin(east / 2) ** 2;
  const bearing = Math.atan2(Math.sin(east) * Math.cos(b), Math.cos(a) * Math.sin(b) - Math.sin(a) * Math.cos(b) * Math.cos(east));
  return { metres: 2 * RADIUS * Math.asin(Math.min(1, Math.sqrt(half))), bearing: ((bearing * 180) / Math.PI + 360) % 360 };
}
