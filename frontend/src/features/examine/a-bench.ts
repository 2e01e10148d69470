/** For tests: an examination of an invented tree. */
import type { Character, Examination, Flora, Score } from "../../api/client";

export const character = (id: string, states: string[], change: Partial<Character> = {}): Character => ({
  id,
  organ: id.split(".")[0] as Character["organ"],
  kind: states.length > 0 ? "states" : "number",
  label: id,
  question: `What of ${id}?`,
  hint: "",
  states: states.map((state) => ({ id: state, label: state, definition: "", drawing: "", absence: false })),
  unit: states.length > 0 ? "" : "cm",
  phenophases: [],
  reach: "hand",
  instrument: "none",
  effort: 1,
  appliesTo: null,
  appliesStates: [],
  changesWithAge: false,
  changesWithPosition: false,
  varies: false,
  groups: [],
  ...change,
});

export const MARGIN = character("leaf.margin", ["smooth", "saw-teeth"]);
export const LENGTH = character("leaf.length", []);
export const LOBES = character("leaf.lobes", ["none", "deep"], { appliesTo: "leaf.margin", appliesStates: ["smooth"] });
export const PITH = character("twig.pith", ["white", "brown"]);
export const ALL = [PITH, MARGIN, LENGTH, LOBES];

export const flora = {
  characters: ALL,
  taxa: [
    { id: "arbor-ficta", name: "Arbor ficta", commonName: "made-up tree", parts: [], severity: "harmless" },
    { id: "arbor-mala", name: "Arbor mala", commonName: "bad tree", parts: [], severity: "deadly" },
  ],
} as unknown as Flora;

export const score = (id: string, of: string, states: string[], change: Partial<Score> = {}): Score => ({
  id,
  character: of,
  states,
  numbers: [],
  certainty: "sure",
  samples: 1,
  where: "tree",
  answer: "seen",
  takenBack: false,
  position: null,
  either: false,
  further: false,
  ...change,
});

type Change = Partial<Omit<Examination, "assessment">> & { assessment?: Partial<Examination["assessment"]> };

export const examination = ({ assessment, ...change }: Change = {}): Examination =>
  ({
    id: "one",
    specimen: { id: "tree", tag: "T-01", whereabouts: "", site: { name: "the site" } },
    examiner: { name: "Somebody" },
    mine: true,
    date: "2027-06-14",
    stage: "mature",
    flora: "made-up",
    route: "leaf-first",
    reach: ["hand"],
    kit: ["none"],
    signed: false,
    namesCovered: false,
    hopeCovered: false,
    claim: null,
    conditions: {},
    secondOf: null,
    scores: [],
    harvests: [],
    handedOver: [],
    decisions: [],
    dateReason: "",
    inSight: ALL.map((c) => c.id),
    asleep: [],
    ...change,
    assessment: {
      ranking: [],
      unlisted: 0.1,
      goodFit: true,
      conclusion: "undecided",
      dangers: [],
      excluded: [],
      clearance: null,
      next: [],
      ...assessment,
    },
  }) as unknown as Examination;
