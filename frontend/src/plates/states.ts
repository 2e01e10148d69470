import type { Schemas } from "../api/client";
import { flower } from "./flower";
import { foliage } from "./foliage";
import { fruit } from "./fruit";
import type { Mark } from "./scene";
import { oneBud, shoot } from "./shoot";
import { Traits } from "./traits";
import { barkPiece, crown } from "./wood";

type Said = Record<string, string>;
type Drawn = [(t: Traits) => Mark[] | null, Said];

const BLADE: Said = { "leaf.kind": "simple", "leaf.outline": "egg" };
const NEEDLE: Said = { "leaf.kind": "needle", "leaf.needle-set": "all-round" };
const NUT: Said = { "fruit.kind": "nut" };

/** What is drawn of a state: the organ by the engine of the plates, and what else must be said so that the state shows. */
const DRAWN: Record<string, Drawn> = {
  "outline.crown": [crown, { "outline.habit": "tree" }],
  "outline.habit": [crown, {}],
  "outline.stems": [crown, { "outline.habit": "tree" }],
  "bud.shape": [oneBud, { "bud.scales": "few" }],
  "bud.scales": [oneBud, { "bud.shape": "egg" }],
  "bark.surface": [(t) => barkPiece(t, t.usual("bark.surface") ?? "smooth", false), {}],
  "leaf.arrangement": [shoot, { "bud.shape": "egg", "bud.end": "one" }],
  "leaf.ranks": [shoot, { "leaf.arrangement": "alternate", "bud.shape": "egg", "bud.end": "one" }],
  "twig.spines": [shoot, { "bud.shape": "egg", "bud.end": "one" }],
  "bud.end": [shoot, { "bud.shape": "egg" }],
  "leaf.kind": [foliage, { "leaf.needle-set": "all-round" }],
  "leaf.divided": [foliage, { "leaf.kind": "twice-pinnate" }],
  "leaf.outline": [foliage, { "leaf.kind": "simple" }],
  "leaf.margin": [foliage, BLADE],
  "leaf.teeth": [foliage, { ...BLADE, "leaf.margin": "saw-teeth" }],
  "leaf.base": [foliage, BLADE],
  "leaf.tip": [foliage, BLADE],
  "leaf.veins": [foliage, { ...BLADE, "leaf.margin": "saw-teeth" }],
  "leaf.lobes": [foliage, { ...BLADE, "leaf.lobe-tips": "pointed" }],
  "leaf.lobe-tips": [foliage, { ...BLADE, "leaf.lobes": "feather" }],
  "leaf.lobe-depth": [foliage, { ...BLADE, "leaf.lobes": "feather", "leaf.lobe-tips": "rounded" }],
  "leaf.needle-set": [foliage, { "leaf.kind": "needle", "leaf.bundle": "two" }],
  "leaf.bundle": [foliage, { ...NEEDLE, "leaf.needle-set": "bundles" }],
  "leaf.scale-spray": [foliage, { "leaf.kind": "scale" }],
  "flower.head": [flower, { "flower.kind": "wheel", "flower.colour": "white" }],
  "flower.kind": [flower, { "flower.head": "solitary", "flower.colour": "cream" }],
  "fruit.kind": [fruit, { "fruit.set": "single" }],
  "fruit.husk": [fruit, NUT],
  "fruit.nut": [fruit, NUT],
  "fruit.cap": [fruit, { "fruit.kind": "acorn" }],
  "fruit.wings": [fruit, { "fruit.kind": "winged" }],
  "fruit.cone": [fruit, { "fruit.kind": "cone" }],
  "fruit.set": [fruit, { "fruit.kind": "small-drupes", "fruit.colour": "red" }],
};
/** States that need more said, or that the organ does not show: a drawing of their own is kept for those. */
const ALSO: Record<string, Said> = {
  "fruit.kind small-drupes": { "fruit.set": "cluster", "fruit.colour": "black", "flower.head": "flat" },
  "fruit.kind stone-fruit": { "fruit.colour": "red", "fruit.set": "pair" },
  "fruit.kind berry": { "fruit.colour": "red", "fruit.set": "cluster" },
  "fruit.kind pome": { "fruit.colour": "red", "fruit.crown": "star" },
  "fruit.kind pair-berries": { "fruit.colour": "red" },
  "fruit.kind compound": { "fruit.colour": "purple" },
  "fruit.kind berry-cone": { "fruit.colour": "blue" },
  "fruit.kind capsule": { "fruit.colour": "pink" },
  "fruit.kind nut": { "fruit.husk": "smooth" },
  "fruit.kind nutlet": { "flower.bract": "strap" },
  "fruit.husk smooth": { "fruit.nut": "grooved", "fruit.husk-colour": "green" },
  "fruit.nut tassel": { "fruit.husk": "fine-spines" },
  "fruit.nut plain": { "fruit.husk": "leafy" },
  "fruit.nut grooved": { "fruit.husk": "smooth", "fruit.husk-colour": "green" },
  "flower.head pair": { "flower.kind": "two-lipped" },
  "flower.head hanging": { "flower.kind": "pea" },
};
const KEPT = new Set([
  "outline.habit pole",
  "bud.shape half-hidden",
  "leaf.lobes none",
  "twig.spines none",
  "leaf.bundle one",
  "leaf.needle-set bundles",
]);

const said = (values: Said): Schemas["DescribedView"][] =>
  Object.entries(values).map(([character, state]) => ({
    character,
    organ: "leaf",
    label: "",
    range: null,
    states: [{ state, label: "", definition: "", drawing: "", share: 1 }],
  }));

const made = new Map<string, Mark[] | null>();

/** The drawing of a state by the engine of the plates; null where it has a drawing of its own. */
export function stateMarks(character: string, state: string): Mark[] | null {
  const key = `${character} ${state}`;
  const known = made.get(key);
  if (known !== undefined) return known;
  const drawn = KEPT.has(key) ? undefined : DRAWN[character];
  const marks = drawn ? drawn[0](new Traits(said({ ...drawn[1], ...ALSO[key], [character]: state }))) : null;
  made.set(key, marks);
  return marks;
}
