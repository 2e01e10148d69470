import type { Schemas } from "../api/client";
import { weightsWords } from "./recipe";

type Figure = Schemas["FigureFoundView"];

/** To so many figures as anybody can use. */
const short = (n: number): string => Number(n.toPrecision(n >= 100 ? 3 : 2)).toLocaleString("en-GB", { maximumFractionDigits: 3 });
const from = (f: Figure, times = 1): string => (f.least === f.most ? short(f.most * times) : `${short(f.least * times)} to ${short(f.most * times)}`);

/** A figure as a sentence of its own, in the reader's units. */
export function figureWords(f: Figure, imperial: boolean): string {
  switch (f.name) {
    case "grams":
      return f.least === f.most
        ? `It weighs ${weightsWords(f.least, f.most, imperial)}.`
        : `Nineteen times of twenty it is ${weightsWords(f.least, f.most, imperial)}, as far as the count goes.`;
    case "lost-grams":
      return f.most >= 0
        ? `Water that has to go: ${weightsWords(f.least, f.most, imperial)}.`
        : `Water that it takes up: ${weightsWords(-f.most, -f.least, imperial)}.`;
    case "dry-percent":
      return `Wood comes to ${from(f)} % of what is dry in it: as a moisture meter tells it.`;
    case "wet-percent":
      return `That is ${from(f)} % of all of it.`;
    case "changes":
      return `At the best ${from(f)} ${f.most === 1 ? "change" : "changes"} of water.`;
    case "left-percent":
      return `Then ${from(f)} % of what dissolves is left. What has not dissolved yet stays: the tongue decides.`;
    case "sugar-grams":
      return `With ${weightsWords(f.least, f.most, imperial)} of sugar nothing has to boil off.`;
    case "boil-off-grams":
      return f.most === 0 ? "Nothing has to boil off: it is thick enough." : `Water to boil off: ${weightsWords(f.least, f.most, imperial)}.`;
    case "metres":
      return imperial ? `Cord: ${from(f, 1 / 0.3048)} ft, laid hard or loose.` : `Cord: ${from(f)} m, laid hard or loose.`;
    case "grams-for-a-metre":
      return imperial ? `A foot of it takes ${from(f, 0.3048)} g.` : `A metre of it takes ${from(f)} g.`;
    case "solid-cubic-metres":
      return imperial ? `Solid wood: ${from(f, 35.3147)} cubic feet.` : `Solid wood: ${from(f)} m³.`;
    case "cords":
      return `That is ${from(f)} cords.`;
    case "kilowatt-hours":
      return imperial ? `Heat in all of it: ${from(f, 0.00341214)} million Btu.` : `Heat in all of it: ${from(f)} kWh.`;
    case "kilowatt-hours-of-a-kilogram":
      return imperial ? `A pound of it gives ${from(f, 3412.14 * 0.45359237)} Btu.` : `A kilogram of it gives ${from(f)} kWh.`;
    case "days":
      return `It heats for ${from(f)} days.`;
    case "litres-of-oil":
      return imperial ? `As much as ${from(f, 0.264172)} gallons of heating oil.` : `As much as ${from(f)} litres of heating oil.`;
    case "cubic-metres":
      return imperial ? `By its ends (Smalian): ${from(f, 35.3147)} cubic feet.` : `By its ends (Smalian): ${from(f)} m³.`;
    case "doyle-feet":
      return `Board feet by Doyle: ${from(f)}.`;
    case "international-feet":
      return `Board feet by the international rule for a quarter inch: ${from(f)}.`;
    case "posts":
      return f.most === 0 ? "It gives no post of that size." : `Posts: ${from(f)}.`;
    case "years":
      return `In the ground they stand some ${f.least} to ${f.most} years: thin ones less, thick ones more.`;
    case "cold-hours":
      return `Below 10 °C it takes some ${from(f, 1 / 24)} days in all.`;
    case "hot-hours":
      return `Boiled, some ${from(f)} hours.`;
    case "price-of-a-kilowatt-hour":
      return imperial ? `A million Btu costs ${short(f.most * 293.071)}, in your money.` : `A kilowatt-hour costs ${short(f.most)}, in your money.`;
    case "board-cubic-metres":
      return imperial ? `Boards: ${from(f, 35.3147)} cubic feet.` : `Boards: ${from(f)} m³.`;
    case "slabs-stacked-cubic-metres":
      return imperial ? `Slabs and edgings: ${from(f, 1 / 3.624556)} cords of firewood.` : `Slabs and edgings: ${from(f)} stacked m³ of firewood.`;
    case "worth":
      return `At your prices it is worth ${short(f.most)}.`;
    case "worth-of-slabs":
      return `Of that the slabs: ${short(f.most)}.`;
    case "stem-likely-cubic-metres":
      return imperial ? `Wood in the stem: some ${from(f, 35.3147)} cubic feet.` : `Wood in the stem: some ${from(f)} m³.`;
    case "stem-cubic-metres":
      return imperial ? `As it tapers, ${from(f, 35.3147)} cubic feet.` : `As it tapers, ${from(f)} m³.`;
    case "stem-stacked-cubic-metres":
      return imperial
        ? `Stacked as firewood ${from(f, 1 / 3.624556)} cords, without the branches.`
        : `Stacked as firewood ${from(f)} m³, without the branches.`;
    case "millimetres":
      return imperial ? `It will be ${from(f, 1 / 25.4)} in wide.` : `It will be ${from(f)} mm wide.`;
  }
}
