import { spread } from "./geometry";

export type Arrangement = "opposite" | "alternate" | "spiral" | "whorled";
export type BudShape = "pointed" | "egg" | "round" | "hidden" | "lopsided" | "half-hidden";

const BUD: Record<BudShape, string> = {
  pointed: "M0 0C-4 -4 -3 -12 0 -17C3 -12 4 -4 0 0Z",
  egg: "M0 0C-6 -3 -5 -11 0 -12C5 -11 6 -3 0 0Z",
  round: "M0 0C-7 -1 -7 -10 0 -10C7 -10 7 -1 0 0Z",
  lopsided: "M0 0C-8 -3 -6 -10 -1 -13C4 -11 4 -3 0 0Z",
  "half-hidden": "M-3 0C-3 -5 3 -5 3 0Z",
  hidden: "M-3 -1C-1 -4 1 -4 3 -1",
};

export function Bud({ shape, x, y, angle, scale = 1 }: { shape: BudShape; x: number; y: number; angle: number; scale?: number }) {
  return <path d={BUD[shape]} fill="var(--plate-fill)" transform={`translate(${x} ${y}) rotate(${angle}) scale(${scale})`} />;
}

type Props = { arrangement: Arrangement; bud?: BudShape; spines?: "paired" | "single" | "branched" | "none"; height?: number };

/** A shoot 64 wide, standing, with buds where the leaves were. */
export function Twig({ arrangement, bud = "egg", spines = "none", height = 64 }: Props) {
  const foot = height - 2;
  const rows = spread(foot - 10, 22, arrangement === "alternate" || arrangement === "spiral" ? 4 : 3);
  return (
    <g>
      <path d={`M29.5 ${foot}L31 10M34.5 ${foot}L33 10`} />
      <Bud shape={bud === "hidden" ? "round" : bud} x={32} y={12} angle={0} scale={bud === "hidden" ? 0.5 : 0.8} />
      {rows.map((y, i) => {
        const sides =
          arrangement === "opposite"
            ? [-1, 1]
            : arrangement === "whorled"
              ? [-1, 0, 1]
              : arrangement === "spiral"
                ? [[-1, 0, 1, 0][i % 4] as number]
                : [i % 2 ? 1 : -1];
        return sides.map((side) => (
          <g key={`${y}${side}`}>
            <Bud shape={bud} x={32 + side * 3} y={y} angle={side * 48} />
            <path d={`M${30 + side * 3} ${y + 1.5}h4`} strokeWidth="0.8" />
            {spines !== "none" && (
              <path d={`M${32 + side * 2} ${y}l-9 -2${spines === "paired" ? `M${32 + side * 2} ${y}l9 -2` : ""}`} strokeWidth="1.6" />
            )}
          </g>
        ));
      })}
    </g>
  );
}
