import type { Schemas } from "../api/client";

/** A day without its year where that is this one. */
const short = (day: string, today: string): string =>
  new Date(`${day}T12:00:00Z`).toLocaleDateString("en-GB", {
    day: "numeric",
    month: "long",
    ...(day.slice(0, 4) === today.slice(0, 4) ? {} : { year: "numeric" as const }),
    timeZone: "UTC",
  });

/** When it is likely open, and how sure that is. */
export function windowWords(window: Schemas["WindowView"] | null, today: string): string {
  if (!window) return "Not at this place.";
  if (window.fixed && window.from.likely.endsWith("-01-01") && window.to.likely.endsWith("-12-31")) return "All year.";
  const sure = window.fixed ? "" : ` Begins between ${short(window.from.from80, today)} and ${short(window.from.to80, today)} in eight years of ten.`;
  return `${window.from.likely <= today ? "Open" : "Likely"} ${short(window.from.likely, today)} to ${short(window.to.likely, today)}.${sure}`;
}

/** When to look at the tree, for the window that is open or comes next. */
export function lookWords(row: Schemas["YearRowView"], today: string): string {
  if (!row.next) return "";
  if (!row.lookFrom || !row.lookBy)
    return row.onTheSpot
      ? "All that is required could be seen earlier in this window; no more now."
      : "It cannot be told by all that is required, neither in this window nor early enough before it.";
  if (row.lookBy < row.next.from.likely) return `Examine it from ${short(row.lookFrom, today)} to ${short(row.lookBy, today)}, to take it then.`;
  if (row.lookFrom <= today && row.next.from.likely <= today) return `It can be told now, until ${short(row.lookBy, today)}.`;
  return `It can be told from ${short(row.lookFrom, today)} to ${short(row.lookBy, today)}.`;
}

/** Whether the spring is late, and how that is known. */
export function lateWords(year: Pick<Schemas["YearView"], "late" | "lateSpread" | "seen" | "place" | "station">): string {
  const from =
    year.station === "stand-in"
      ? " Temperatures come from a stand-in, which plays a station: worth nothing in a real wood."
      : year.station === "records"
        ? " Temperatures of the place are reckoned with."
        : "";
  if (year.seen === 0) return `Nobody has dated anything at ${year.place} this year: the flora’s dates, moved by height and latitude.${from}`;
  const days = Math.abs(Math.round(year.late));
  const words =
    days < 2
      ? "is much as usual"
      : `is some ${days} days ${year.late > 0 ? "late" : "early"} (give or take ${Math.max(1, Math.round(year.lateSpread))})`;
  return `By ${year.seen === 1 ? "one date" : `${year.seen} dates`} seen at ${year.place}, this year’s spring ${words}.${from}`;
}

/** Days by which something comes later in ten years. What may as well be nothing is told as that. */
export function trendWords(trend: number | null, error: number | null): string {
  if (trend === null || error === null) return "too few years";
  const sure = Math.abs(trend) > 2 * error;
  return `${Math.abs(trend).toFixed(1)} days ${trend < 0 ? "earlier" : "later"} in ten years, give or take ${(2 * error).toFixed(1)}${sure ? "" : ": no trend that can be told"}`;
}

/** When something of the year came, or is expected. */
export function eventWords(event: Schemas["ExpectedEventView"], today: string): string {
  if (event.seen) return `seen on ${short(event.seen, today)}`;
  if (!event.day) return "no kind is held, or it is covered: nothing is expected";
  return `${event.day.to80 < today ? "was expected" : "expected"} about ${short(event.day.likely, today)}, between ${short(event.day.from80, today)} and ${short(event.day.to80, today)} in eight years of ten`;
}

/** Weather that matters to somebody going out. */
export function weatherWords(note: Schemas["WeatherNoteView"], imperial = false): string {
  const degrees = imperial ? `${Math.round(note.figure * 1.8 + 32)} °F` : `${note.figure.toFixed(0)} °C`;
  const gust = imperial ? `${Math.round(note.figure * 2.237)} mph` : `${note.figure.toFixed(0)} m/s`;
  const what = {
    storm: `gusts of ${gust}. Branches may hang in the crowns: look up before you go under.`,
    frost: `frost, ${degrees}. Flowers and young shoots may be lost.`,
    heat: `${degrees}. Go early, and take water.`,
  }[note.matter];
  return `${short(note.day, note.day)}, ${note.site}: ${what}${note.standIn ? " (A stand-in says so, which plays a station.)" : ""}`;
}
