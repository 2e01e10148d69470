import type { Schemas } from "../api/client";
import { capital, dayWords } from "./text";

type Reason = Schemas["ReasonView"];

/** Why one goes to a tree, as a sentence. */
export function reasonWords(reason: Reason): string {
  const looks = reason.features.length > 0 ? ` Still to be looked at, and to be seen that day: ${reason.features.join(", ")}.` : "";
  switch (reason.kind) {
    case "take":
      return `${capital(reason.name)}, ${reason.part}: likely open until ${dayWords(reason.until ?? "")}.${looks || " All that is required was looked at lately; the gate decides."}`;
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
