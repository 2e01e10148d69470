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

/** One number with a decimal comma or point, or a fraction; null where it is none. */
export const parseDecimal = (text: string): number | null => {
  const plain = joined(text.trim().replace("−", "-").replace(",", ".")).trim();
  const value = numberIn(plain.replace(/^-/, ""));
  return Number.isFinite(value) ? (plain.startsWith("-") ? -value : value) : null;
};

/**
 * Numbers as people type them: `5, 7 7`, `16.5; 19`, `5 1/2`, `5–9` (both ends), `about 16`. Between digits a comma is a decimal comma where
 * something is measured, and parts two counts where something is counted. Null where something in it is no number.
 */
export function parseNumbers(text: string, counted = true): number[] | null {
  const plain = text.replace(ABOUT, "").replace(/\s*[–—-]\s*/g, " ");
  const pieces = (counted ? plain.replace(/,/g, " ") : joined(plain.replace(/(\d),(?=\d)/g, "$1.").replace(/,/g, " ")))
    .split(/[;\s]+/)
    .filter((p) => p !== "");
  const numbers = /^\s*[–—-]/.test(text) ? [Number.NaN] : pieces.map(numberIn);
  return numbers.length > 0 && numbers.every((n) => Number.isFinite(n)) ? numbers : null;
}
