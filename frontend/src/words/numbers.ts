const ABOUT = /^\s*(about|around|ca\.?|~|≈)\s*/i;

/** Whether somebody wrote "about 16": the number is taken, and no more than likely. */
export const isAbout = (text: string): boolean => ABOUT.test(text);

/** One number with a decimal comma or point; null where it is none. */
export const parseDecimal = (text: string): number | null => {
  const plain = text.trim().replace("−", "-").replace(",", ".");
  return /^-?\d+(\.\d+)?$/.test(plain) ? Number(plain) : null;
};

/**
 * Numbers as people type them: `5, 7 7`, `16.5; 19`, `5–9` (both ends), `about 16`. Between digits a comma is a decimal comma where
 * something is measured, and parts two counts where something is counted. Null where something in it is no number.
 */
export function parseNumbers(text: string, counted = true): number[] | null {
  const plain = text.replace(ABOUT, "").replace(/\s*[–—-]\s*/g, " ");
  const pieces = (counted ? plain.replace(/,/g, " ") : plain.replace(/(\d),(?=\d)/g, "$1.").replace(/,/g, " "))
    .split(/[;\s]+/)
    .filter((p) => p !== "");
  const numbers = /^\s*[–—-]/.test(text) ? [Number.NaN] : pieces.map((piece) => (/^\d+(\.\d+)?$/.test(piece) ? Number(piece) : Number.NaN));
  return numbers.length > 0 && numbers.every((n) => Number.isFinite(n)) ? numbers : null;
}
