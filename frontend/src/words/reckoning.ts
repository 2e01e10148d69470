import type { Schemas } from "../api/client";
import { weightsWords } from "./recipe";

type Figure = Schemas["FigureFoundView"];

/** To so many figures as anybody can use. */
const short = (n: number): string => Number(n.toPrecision(n >= 100 ? 3 : 2)).toLocaleString("en-GB", { maximumFractionDigits: 3 });
const tenths = (n: number): string => n.toFixed(1);
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
    case "diameter-centimetres":
      return imperial ? `As one trunk it is ${from(f, 1 / 2.54)} in across.` : `As one trunk it is ${from(f)} cm across.`;
    case "girth-centimetres":
      return imperial ? `And ${from(f, 1 / 2.54)} in round.` : `And ${from(f)} cm round.`;
    case "height-metres":
      return imperial ? `It is ${tenths(f.most / 0.3048)} ft high.` : `It is ${tenths(f.most)} m high.`;
    case "height-between-metres":
      return imperial
        ? `Nineteen times of twenty ${tenths(f.least / 0.3048)} to ${tenths(f.most / 0.3048)} ft.`
        : `Nineteen times of twenty ${tenths(f.least)} to ${tenths(f.most)} m.`;
    case "spread-metres":
      return imperial ? `The crown is ${from(f, 1 / 0.3048)} ft wide in the mean.` : `The crown is ${from(f)} m wide in the mean.`;
    case "lean-degrees":
      return `It leans by ${from(f)} degrees.`;
    case "points":
      return `Points: ${Math.round(f.most * 100) / 100}.`;
    case "points-between":
      return `Nineteen times of twenty ${Math.round(f.least)} to ${Math.round(f.most)}: the tape, the height and the spread are off by something.`;
    case "other-points":
      return `The other has ${Math.round(f.most * 100) / 100}.`;
    case "lead":
      return `${f.most > 0 ? "It leads" : "The other leads"} by ${short(Math.abs(f.most))}, more than both may be off.`;
    case "no-lead":
      return f.most === 0 ? "They have the same." : `That is no lead: ${short(Math.abs(f.most))} points are less than both may be off.`;
    case "age-years":
      return `Some ${Math.round(f.least)} to ${Math.round(f.most)} years, by a rule of thumb: on poor ground it is older.`;
    case "ring-years":
      return `Some ${f.least} to ${f.most} years at that height. Add what it took to grow so high.`;
    case "twig-years":
      return `${f.most} seasons are on it.`;
    case "year-growth-millimetres":
      return imperial ? `The middle season grew ${from(f, 1 / 25.4)} in.` : `The middle season grew ${from(f)} mm.`;
    case "last-year-times":
      return f.most < 0.67
        ? `The last whole season was ${short(f.most)} times that: something held it back.`
        : f.most > 1.5
          ? `The last whole season was ${short(f.most)} times that: it has got light or room.`
          : `The last whole season was ${short(f.most)} times that.`;
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
