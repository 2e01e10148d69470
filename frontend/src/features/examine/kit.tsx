import type { Schemas } from "../../api/client";
import { Choices } from "../../ui/controls";

/** How old a tree can be said to be. */
export const STAGES = (["sapling", "young", "mature", "old"] satisfies Schemas["LifeStage"][]).map((value) => ({ value, label: value }));

const REACH = [
  { value: "ground", label: "from the ground" },
  { value: "hand", label: "with the hand" },
  { value: "binoculars", label: "binoculars" },
  { value: "cut", label: "a small cut" },
];
const KIT = [
  { value: "rule", label: "rule" },
  { value: "hand-lens", label: "hand lens" },
  { value: "knife", label: "knife" },
  { value: "ultraviolet-torch", label: "ultraviolet torch" },
];

/** How far one gets today, and what is in the bag. */
export function Kit(p: { reach: string[]; kit: string[]; onReach: (reach: string[]) => void; onKit: (kit: string[]) => void }) {
  return (
    <>
      <Choices label="What can be reached" value={p.reach} options={REACH} onChange={p.onReach} />
      <Choices label="What is in the bag" value={p.kit} options={KIT} onChange={(kit) => p.onKit(["none", ...kit.filter((k) => k !== "none")])} />
    </>
  );
}
