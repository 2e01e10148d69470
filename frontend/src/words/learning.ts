import type { Schemas } from "../api/client";

export const PLACE: Record<string, string> = { low: "low branch", crown: "crown", foot: "foot" };
export const DECISION: Record<Schemas["LearnersDecision"], string> = { take: "take", "not-yet": "not yet", never: "never" };
export const SURE: Record<Schemas["Certainty"], string> = { sure: "sure", likely: "likely", unsure: "unsure" };

/** What the mark says, with what was behind it. */
export const MARK: Record<Schemas["PracticeMark"], string> = {
  "rightly-taken": "Right: it was the tree, and enough was seen.",
  hasty: "Too soon. It was the tree, but not enough was seen: the next one looks as good and is another.",
  wrong: "Wrong. It was another tree.",
  "rightly-waited": "Right: not yet. That is the full mark.",
  "waited-though-enough": "Enough was seen; waiting was careful, and a little slow.",
  "rightly-left": "Right: this one is left alone.",
  "left-the-right-one": "It was what was hoped for. Leaving it hurts nobody.",
};

export const DRILL: Record<Schemas["DrillKind"], string> = {
  pair: "this one or that",
  states: "a character in its states",
  twigs: "winter twigs",
  bark: "bark",
  outlines: "silhouettes",
  next: "which look next",
  enough: "is it enough",
  ear: "by ear",
  number: "with the rule",
};

export const share = (part: number): string => `${Math.round(part * 100)} %`;

export const LOOKED: Record<Schemas["TrustOutcome"], string> = {
  agreed: "named right",
  "look-alike-known": "a look-alike or dangerous kind, named as what it is",
  "trap-seen": "was something else, and not taken",
  "cleared-wrongly": "was something else, and taken for it",
  nothing: "left open",
};

/** A small share, as one of so many. */
export const oftenWords = (part: number): string =>
  part <= 0 ? "never" : part >= 0.2 ? share(part) : `1 in ${new Intl.NumberFormat("en").format(Number((1 / part).toPrecision(2)))}`;
