import type { Schemas } from "../api/client";

/** What somebody sees at a tree on a walk, in the order of the sheets. */
export const SEEN: Record<Schemas["SeenMark"], string> = {
  "dead-crown": "dead crown",
  "brittle-limbs": "dead or brittle limbs",
  "limb-hanging": "limb hanging",
  leans: "leans",
  "lifted-roots": "roots lift",
  fungi: "fungi on it",
  thorny: "thorny",
  "loose-bark": "bark peels well",
  "straight-stem": "straight stem",
  "clean-stem": "no knots below",
  poles: "poles",
  "bears-well": "bears well",
  old: "old",
  hollow: "hollow",
  nest: "nest",
  young: "young, guard it",
  browsed: "browsed",
  "coppice-due": "due for coppice",
  spreads: "spreads",
};
export const MARKS_OF: Record<Schemas["Sheet"], Schemas["SeenMark"][]> = {
  dangers: ["dead-crown", "brittle-limbs", "limb-hanging", "leans", "lifted-roots", "fungi", "thorny"],
  materials: ["loose-bark", "straight-stem", "clean-stem", "poles", "bears-well"],
  keep: ["old", "hollow", "nest", "young", "browsed", "coppice-due", "spreads"],
};
export const SHEET: Record<Schemas["Sheet"], string> = { dangers: "Dangers", materials: "Materials", keep: "Keep and care" };

export const COUNT: Record<Schemas["CountClass"], string> = {
  one: "one",
  few: "2 to 5",
  some: "6 to 20",
  many: "21 to 100",
  crowd: "more than 100",
};
export const GAP: Record<Schemas["Gap"], string> = {
  "bark-only": "bark only",
  "out-of-reach": "out of reach",
  "not-entered": "not entered",
  "no-time": "no time",
  "not-known": "not known",
};
/** "bark only, January: not settled" */
export const gapWords = (gap: Schemas["Gap"], month: string): string => `${GAP[gap]}, ${month}: not settled`;

export const SETTLED: Record<Schemas["Settled"], string> = {
  examined: "examined",
  looked: "by a short look; nothing is taken on it",
  group: "group only",
  open: "not settled",
};

export const FINDING: Record<Schemas["StormFinding"], string> = {
  sound: "sound",
  "limb-hanging": "limb hanging",
  "limb-down": "limb down",
  "top-out": "top out",
  uprooted: "uprooted",
  "leaves-in-reach": "leaves within reach",
};
export const FINDINGS = Object.keys(FINDING) as Schemas["StormFinding"][];
export const HAS_THICKNESS: Schemas["StormFinding"][] = ["limb-down", "top-out", "uprooted"];

export const WILTING: Record<Schemas["Wilting"], string> = {
  fresh: "fresh",
  wilting: "wilting",
  wilted: "wilted",
  dry: "dry, and no less harmful",
};
export const ENDED: Record<Schemas["Ended"], string> = { "cleared-away": "cleared away", "animals-moved": "animals moved" };

/** What a tree can do to the animals there. */
export const PERIL: Record<Schemas["Peril"], string> = {
  deadly: "deadly",
  serious: "serious harm",
  unknown: "kind not settled: may be any",
  mild: "mild harm",
  "no-record": "no record, no proof",
  harmless: "eaten without harm on record",
};

export const ZONE: Record<Schemas["Zone"], string> = { inside: "inside", "within-reach": "reaches over the fence", beyond: "out of reach" };
export const CHOICE: Record<Schemas["Choice"], string> = { keep: "keep", watch: "watch", fence: "fence off", fell: "fell" };

/** Metres per second, as people speak of gusts. */
export const gustWords = (metresPerSecond: number, imperial: boolean): string =>
  imperial ? `${Math.round(metresPerSecond / 0.44704)} mph` : `${Math.round(metresPerSecond * 3.6)} km/h`;
export const gustFrom = (typed: number, imperial: boolean): number => (imperial ? typed * 0.44704 : typed / 3.6);

/** "40 min", "3 h", "2 days" since. */
export function sinceWords(hours: number): string {
  if (hours < 1) return `${Math.max(1, Math.round(hours * 60))} min`;
  if (hours < 48) return `${Math.round(hours)} h`;
  return `${Math.round(hours / 24)} days`;
}

/** Seconds of a way. */
export const wayWords = (seconds: number): string => (seconds < 90 ? `${seconds} s` : `${Math.round(seconds / 60)} min`);

/** One reason to stand on a sheet. */
export function reasonWords(r: Schemas["SheetReasonView"]): string {
  const whom = r.whom.join(", ");
  switch (r.what) {
    case "unknown":
      return "not settled: may be any tree, a deadly one too";
    case "toxic":
      return `${r.severity === "deadly" ? "deadly" : r.severity === "serious" ? "poisonous" : "mildly poisonous"} to ${whom}: ${r.detail}`;
    case "irritant":
      return `harms skin (${whom}): ${r.detail}`;
    case "breathing":
      return `dust, hair or smoke (${whom}): ${r.detail}`;
    case "wound":
      return `wounds: ${r.detail}`;
    case "part":
      return `${r.detail}, after its examination`;
    case "splits":
      return "splits";
    case "bends":
      return "bends";
    case "carves":
      return "carves";
    case "burns":
      return "good firewood";
    case "coppices":
      return "coppices well";
    case "fibre":
      return `fibre: ${r.detail}`;
    case "protected":
      return `protected; local law says how${r.detail ? `. ${r.detail}` : ""}`;
    case "protected-here":
      return "protected at this place";
    case "rare":
      return `rare: ${r.detail} wants to know`;
    case "invasive":
      return `spreads: ${r.detail}`;
    default:
      return SEEN[r.detail as Schemas["SeenMark"]] ?? r.detail;
  }
}

const FALLS: string[] = ["dead-crown", "brittle-limbs", "limb-hanging", "leans", "lifted-roots", "fungi", "hollow"];
/** What may fall or break: no score, no opinion, only who is asked. */
export const ARBORIST = "Have it looked at by a licensed arborist. Nobody stays under it until then.";
export const mayFall = (marks: readonly string[]): boolean => marks.some((m) => FALLS.includes(m));

export const ALLERGY: Record<Schemas["Allergy"], string> = {
  "birch-pollen": "birch pollen and its kin",
  "ash-pollen": "ash pollen, privet",
  nuts: "nuts",
  "stone-fruit": "stone and pome fruit",
  "sumac-kin": "sumac and poison ivy",
  latex: "latex",
  "wood-dust": "wood dust",
  stings: "bee and wasp stings",
  "moth-hairs": "hairs of caterpillars and leaves",
};
export const CAUTION: Record<Schemas["DayCaution"], string> = {
  ticks: "Ticks: long trousers, look each other over at the end of the day, and again the next morning.",
  wind: "Wind: no group under trees from Beaufort 6 on (whole trees move), nor on the day after a storm before somebody has gone round.",
  heat: "Heat: old oaks, beeches and chestnuts drop limbs in still summer weather. Water, shade, hats.",
  ice: "Ice and wet snow: limbs break without warning. Slippery ground.",
  stings: "Bees and wasps: under lindens in flower and at windfalls. Ask who reacts to stings.",
  "falling-nuts": "Nuts and cones fall: not below a bearing tree while it blows or somebody shakes it.",
  heights: "Heights: nobody climbs without somebody licensed on the spot.",
  limbs: "Limbs: look up before you sit down. Fungi, dead tops and hanging limbs are marked below.",
  smoke: "Smoke and dust: nothing burnt and nothing sanded whose kind is not settled.",
};
