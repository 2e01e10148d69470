import type { Character } from "../api/client";

/** The unit people of that system read this character in. */
export function shownUnit(character: Character, units: string): "" | "mm" | "cm" | "m" | "in" | "ft" {
  const own = character.unit as "" | "mm" | "cm" | "m";
  if (units !== "imperial" || own === "") return own;
  return own === "m" ? "ft" : "in";
}

/** A stored number in the unit people read it in, to three figures. */
export function shownNumber(value: number, character: Character, units: string): string {
  const to = shownUnit(character, units);
  const factor = to === character.unit ? 1 : to === "ft" ? 1 / 0.3048 : character.unit === "mm" ? 1 / 25.4 : 1 / 2.54;
  return String(Number((value * factor).toPrecision(4)));
}
