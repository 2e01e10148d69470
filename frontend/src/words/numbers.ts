const ABOUT = /^\s*(about|around|ca\.?|~|≈)\s*/i;

/** Whether somebody wrote "about 16": the number is taken, and no more than likely. */
export const isAbout = (text: string): boolean => ABOUT.test(text);

const SIGNS: Record<string, string> = { "½": "1/2", "¼": "1/4", "¾": "3/4", "⅓": "1/3", "⅔": "2/3", "⅛": "1/8", "⅜": "3/8", "⅝": "5/8", "⅞": "7/8" };
/** `5½`, `5 1/2` and `1/2` as one piece each, the whole and the fraction joined by a plus. */
const joined = (text: string): string =>
  text
    .replace(/(\d?)\s*([½¼¾⅓⅔⅛⅜⅝⅞])/g, (_, before: string, sign: string) => `${before}${before && "+"}${before ? "" : " "}${SIGNS[sign]}`)
    .replace(/(\d)\s+(?=\d+\s*\/\s*\d)/g, "$1+")
    .replace(/\s*\/\s*/g, "/");

/** A piece with a point, or with a fraction as rules in inches have them; not a number where it is none. */
function numberIn(piece: string): number {
  if (/^\d+(\.\d+)?$/.test(piece)) return Number(piece);
  const [, whole = "0", over = "", under = "0"] = /^(?:(\d+)\+)?(\d+)\/(\d+)$/.exec(piece) ?? [];
  return over !== "" && Number(under) > Number(over) ? Number(whole) + Number(over) / Number(under) : Number.NaN;
}

/** Millimetres in one of each: what a length may be written in, whatever the field asks for. */
const MM = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8 } as const;
export type LengthUnit = keyof typeof MM;

export const isLength = (unit: string | undefined): unit is LengthUnit => unit !== undefined && unit in MM;
const NUMBER = "(?:\\d+(?:\\.\\d+)?(?:\\+\\d+/\\d+)?|\\d+/\\d+)";
const FEET = new RegExp(`(${NUMBER})\\s*(?:(?:feet|foot|ft)\\b\\.?|')(?:\\s*(${NUMBER})\\s*(?:(?:inches|inch|in)\\b\\.?|"))?`, "gi");
const OTHER = new RegExp(`(${NUMBER})\\s*(?:(inches|inch|in|mm|cm|m)\\b\\.?|")`, "gi");

/** `5 ft 3 in`, `5'3"`, `16 mm` or `2 1/4"` as one number in the unit that is asked for. Decimals have their point already. */
function inUnit(text: string, unit: LengthUnit): string {
  const asked = (mm: number): string => ` ${Number((mm / MM[unit]).toPrecision(7))} `;
  return text
    .replace(/[′’]/g, "'")
    .replace(/[″”]|''/g, '"')
    .replace(FEET, (_, feet: string, inches = "0") => asked(numberIn(feet) * MM.ft + numberIn(inches) * MM.in))
    .replace(OTHER, (_, number: string, own = "in") => {
      const of = own.toLowerCase();
      return asked(numberIn(number) * (isLength(of) ? MM[of] : MM.in));
    });
}

/** `1.000,5`, `1,000.5` and `1.000.000` mean the same to everybody; a single comma or point parts the decimals. */
function grouped(text: string): string {
  const [, groups = "", end = ""] = /^(\d{1,3}(?:([.,])\d{3})(?:\2\d{3})*)((?!\2)[.,]\d+)?$/.exec(text)?.filter((_, i) => i !== 2) ?? [];
  const certain = groups !== "" && (end !== "" || groups.split(/[.,]/).length > 2);
  return certain ? groups.replace(/[.,]/g, "") + end.replace(",", ".") : text.replace(",", ".");
}

/**
 * One number with a decimal comma or point, or a fraction; null where it is none.
 *
 * @param unit where a length is asked for: the unit of what comes back, while others may be written beside the number
 */
export const parseDecimal = (text: string, unit?: string): number | null => {
  const plain = joined(
    text
      .trim()
      .replace("−", "-")
      .replace(/[\d.,]+/g, grouped),
  ).trim();
  const value = numberIn((isLength(unit) ? inUnit(plain.replace(/^-/, ""), unit) : plain.replace(/^-/, "")).trim());
  return Number.isFinite(value) ? (plain.startsWith("-") ? -value : value) : null;
};

/** What is understood, where it is not plainly what stands there; to be said before anything is kept. */
export function readAs(text: string, unit?: string): string | null {
  const value = parseDecimal(text, unit);
  const thousand = unit !== "°" && /^[1-9]\d{0,2}[.,]\d{3}$/.test(text.trim()) ? `, not ${text.trim().replace(/[.,]/, "")}` : "";
  if (value === null || (String(value) === text.trim() && thousand === "")) return null;
  return `Read as ${Number(value.toPrecision(7))}${unit ? ` ${unit}` : ""}${thousand}`;
}

/**
 * Numbers as people type them: `5, 7 7`, `16.5; 19`, `5 1/2`, `5–9` (both ends), `about 16`, and lengths with a unit of their own. Between digits
 * a comma is a decimal comma where something is measured, and parts two counts where something is counted. Null where something in it is no number.
 */
export function parseNumbers(text: string, counted = true, unit?: string): number[] | null {
  const plain = text.replace(ABOUT, "").replace(/\s*[–—-]\s*/g, " ");
  const measured = () => joined(plain.replace(/(\d),(?=\d)/g, "$1.").replace(/,/g, " "));
  const pieces = (counted ? plain.replace(/,/g, " ") : isLength(unit) ? inUnit(measured(), unit) : measured())
    .split(/[;\s]+/)
    .filter((p) => p !== "");
  const numbers = /^\s*[–—-]/.test(text) ? [Number.NaN] : pieces.map(numberIn);
  return numbers.length > 0 && numbers.every((n) => Number.isFinite(n)) ? numbers : null;
}
