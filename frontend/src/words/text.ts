/** Words and figures as people read them. */

let dates: "day" | "month" | "iso" = "day";
/** How days are written from now on, as the school has chosen. */
export const writeDaysAs = (form: typeof dates): void => {
  dates = form;
};
/** A day, YYYY-MM-DD, as it is written out. */
export const dayWords = (day: string): string =>
  dates === "iso"
    ? day
    : new Date(`${day}T12:00:00Z`).toLocaleDateString(dates === "month" ? "en-US" : "en-GB", {
        day: "numeric",
        month: "long",
        year: "numeric",
        timeZone: "UTC",
      });
/** A moment, ISO 8601, as the clock on the wall here shows it. */
export const momentWords = (at: string): string => {
  const moment = new Date(at);
  const two = (n: number) => String(n).padStart(2, "0");
  const day = `${moment.getFullYear()}-${two(moment.getMonth() + 1)}-${two(moment.getDate())}`;
  return `${dayWords(day)}, ${two(moment.getHours())}:${two(moment.getMinutes())}`;
};
/** A share, 0 to 1; what is nearly all or nearly nothing is not told to a tenth. */
export const percent = (share: number): string => (share > 0.9995 ? "> 99.9 %" : share < 0.0005 ? "< 0.1 %" : `${(share * 100).toFixed(1)} %`);
/** By number less one. */
export const MONTHS = ["January", "February", "March", "April", "May", "June", "July", "August", "September", "October", "November", "December"];
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** How often something shows, in a word; nothing where it nearly always does. */
export const often = (share: number): string =>
  share >= 0.85 ? "" : share >= 0.55 ? "usually " : share >= 0.25 ? "often " : share >= 0.1 ? "sometimes " : "rarely ";

/** How a name stands among all, in a word nobody takes for safety: the gate asks for more than being ahead. */
export const standing = (share: number): string =>
  share >= 0.99
    ? "far ahead"
    : share >= 0.8
      ? "well ahead"
      : share >= 0.5
        ? "ahead"
        : share >= 0.1
          ? "possible"
          : share >= 0.01
            ? "behind"
            : "far behind";

/** Decibans as people say it: "200 times as likely". */
export function timesAsLikely(decibans: number): string {
  const times = 10 ** (Math.abs(decibans) / 10);
  if (times < 1.05) return "as likely";
  const words = times > 1e6 ? "over a million" : Number(times.toPrecision(2)).toLocaleString("en-GB");
  return decibans > 0 ? `${words} times as likely` : `${words} times less likely`;
}
