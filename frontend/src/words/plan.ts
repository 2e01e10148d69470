import type { Schemas } from "../api/client";
import { cropShortWords } from "./crop";
import { capital, dayWords } from "./text";

type Reason = Schemas["ReasonView"];

/** What somebody learnt the last time something was taken of it; empty where nobody did. */
export const learntWords = (reason: Reason): string =>
  reason.learnt
    ? `Last time ${reason.learnt.amount}${reason.learnt.minutes == null ? "" : ` in ${reason.learnt.minutes} minutes`}, ${dayWords(reason.learnt.on)}.${reason.learnt.note ? ` “${reason.learnt.note}” ${reason.learnt.by}` : ""}`
    : "";

/** Why one goes to a tree, as a sentence. */
export function reasonWords(reason: Reason): string {
  const looks = reason.features.length > 0 ? ` Still to be looked at, and to be seen that day: ${reason.features.join(", ")}.` : "";
  switch (reason.kind) {
    case "take":
      return `${capital(reason.name)}, ${reason.part}: likely open until ${dayWords(reason.until ?? "")}.${reason.crop ? ` ${cropShortWords(reason.crop)}` : ""}${looks || " All that is required was looked at lately; the gate decides."}`;
    case "look":
      return `${capital(reason.name)}: look now, by ${dayWords(reason.until ?? "")}, to take ${reason.part} later.${looks}`;
    case "second":
      return "Somebody else’s examination waits for a second person. What it is hoped to be is covered.";
    case "date":
      return `${capital(reason.name)}: ${reason.part} is expected about ${dayWords(reason.until ?? "")}. Date it.`;
  }
}

/** Time on foot. */
export function walkWords(seconds: number): string {
  const minutes = Math.max(1, Math.round(seconds / 60));
  if (minutes < 60) return minutes === 1 ? "a minute" : `${minutes} minutes`;
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  return `${hours} h${rest ? ` ${rest} min` : ""}`;
}

export const KIT_WORDS: Record<string, string> = {
  rule: "a rule",
  "hand-lens": "a hand lens",
  knife: "a knife",
  "ultraviolet-torch": "an ultraviolet torch",
  binoculars: "binoculars",
};

/** Back to where the round began. */
export function endWords(end: Schemas["EndView"] | undefined): string {
  switch (end?.kind) {
    case "entrance":
      return `to the entrance of ${end.site}`;
    case "car":
      return "to the car";
    case "here":
      return "to where you began";
    default:
      return "to the start";
  }
}

/** Where the round begins and ends. */
export function startWords(ends: Schemas["EndView"][], approach: number): string {
  const [first, car] = ends;
  switch (first?.kind) {
    case "entrance":
      return `It begins and ends at the entrance of ${first.site}${car ? `, ${walkWords(approach)} on foot from the car, each way besides` : ""}.`;
    case "car":
      return `It begins and ends at the car, ${first.site}.`;
    case "here":
      return "It begins and ends where you were.";
    default:
      return first?.site ? `It begins and ends in the middle of ${first.site}: nobody has said where one goes in.` : "";
  }
}
