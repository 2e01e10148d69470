import { type Base, type Blade, blade, type Lobes, type Margin, spread } from "./geometry";

export type LeafKind = "needle" | "scale" | "simple" | "trifoliate" | "palmate" | "pinnate" | "twice-pinnate";

type Props = {
  kind: LeafKind;
  leaflets?: number;
  shape?: Blade;
  margin?: Margin;
  lobes?: Lobes;
  base?: Base;
  x?: number;
  y?: number;
  size?: number;
};

function Leaflet(p: { x: number; y: number; angle: number; length: number; shape: Blade; margin: Margin; lobes?: Lobes | undefined; base?: Base }) {
  return (
    <g transform={`rotate(${p.angle} ${p.x} ${p.y})`}>
      <path d={blade(p.x, p.y, p.length, p.shape, p.margin, p.lobes, p.base)} fill="var(--plate-fill)" />
      <path d={`M${p.x} ${p.y}V${p.y - p.length * 0.9}`} strokeWidth="0.6" />
    </g>
  );
}

/** A whole leaf, its stalk at the foot (x, y), about `size` high. */
export function Leaf({ kind, leaflets = 7, shape = "egg", margin = "smooth", lobes, base = "equal", x = 32, y = 60, size = 54 }: Props) {
  if (kind === "scale") {
    return (
      <g>
        <path d={`M${x - 5} ${y}V${y - size * 0.9}M${x + 5} ${y}V${y - size * 0.9}`} />
        {spread(y - size * 0.8, y - 4, 7).map((at) => (
          <path key={at} d={`M${x - 5} ${at - 4}L${x} ${at + 2}L${x + 5} ${at - 4}`} />
        ))}
      </g>
    );
  }
  if (kind === "needle") {
    return (
      <g strokeWidth="2.2">
        {spread(-38, 38, 5).map((angle) => (
          <path key={angle} d={`M${x} ${y}V${y - size * 0.9}`} transform={`rotate(${angle} ${x} ${y})`} />
        ))}
      </g>
    );
  }
  if (kind === "simple") {
    return (
      <g>
        <path d={`M${x} ${y}V${y - size * 0.16}`} />
        <Leaflet x={x} y={y - size * 0.15} angle={0} length={size * 0.85} shape={shape} margin={margin} lobes={lobes} base={base} />
      </g>
    );
  }
  if (kind === "trifoliate" || kind === "palmate") {
    const top = y - size * 0.42;
    const count = kind === "trifoliate" ? 3 : Math.max(5, leaflets);
    const fan = kind === "trifoliate" ? 62 : 108;
    return (
      <g>
        <path d={`M${x} ${y}V${top}`} />
        {spread(-fan, fan, count).map((angle) => (
          <Leaflet key={angle} x={x} y={top} angle={angle} length={size * (0.56 - Math.abs(angle) / 700)} shape={shape} margin={margin} />
        ))}
      </g>
    );
  }
  const pairs = Math.max(1, Math.round((leaflets - 1) / 2));
  const length = Math.min(size * 0.36, (size * 1.25) / pairs);
  const rows = spread(y - size * 0.26, y - size * 0.68, pairs);
  return (
    <g>
      <path d={`M${x} ${y}V${y - size * 0.72}`} />
      {rows.map((row) =>
        [-1, 1].map((side) =>
          kind === "pinnate" ? (
            <Leaflet key={`${row}${side}`} x={x} y={row} angle={side * 66} length={length} shape={shape} margin={margin} />
          ) : (
            <g key={`${row}${side}`} transform={`rotate(${side * 58} ${x} ${row})`}>
              <path d={`M${x} ${row}V${row - size * 0.34}`} />
              {spread(row - size * 0.08, row - size * 0.3, 4).map((at) =>
                [-1, 1].map((s) => <path key={`${at}${s}`} d={`M${x} ${at}l${s * 5} -4`} strokeWidth="2.4" />),
              )}
            </g>
          ),
        ),
      )}
      <Leaflet x={x} y={y - size * 0.7} angle={0} length={length} shape={shape} margin={margin} />
    </g>
  );
}
