import { geoMercator, geoPath } from "d3-geo";
import { useMemo } from "react";
import type { Schemas } from "../../api/client";
import { DANGER_SHAPE, DANGER_TONE } from "../../ui/danger-mark";
import { PERIL } from "../../words/ground";
import { distanceWords } from "../../words/trees";

type Pasture = Schemas["PastureView"];
const [WIDE, HIGH] = [352, 260];
/** The marks are those of people’s dangers, read for the animals there. */
const MARK: Record<Schemas["Peril"], Schemas["TreeDanger"]> = {
  deadly: "deadly",
  serious: "serious",
  unknown: "unknown",
  mild: "mild",
  "no-record": "doubted",
  harmless: "harmless",
};

/** A pasture as it lies, north upward, with its gate and the trees that reach it. The list tells the same. */
export function PastureMap({ pasture, units }: { pasture: Pasture; units: string }) {
  const drawn = useMemo(() => {
    const corners = pasture.corners as [number, number][];
    const edge = { type: "LineString" as const, coordinates: [...corners, corners[0] as [number, number]] };
    const all = { type: "MultiPoint" as const, coordinates: [...corners, ...pasture.trees.map((t) => [t.longitude, t.latitude])] };
    const projection = geoMercator().fitExtent(
      [
        [26, 22],
        [WIDE - 60, HIGH - 34],
      ],
      all,
    );
    const metresPerPoint = (6_371_008.8 * Math.cos(((corners[0]?.[1] ?? 47) * Math.PI) / 180)) / projection.scale();
    return { projection, path: geoPath(projection)(edge) ?? "", metresPerPoint };
  }, [pasture]);
  const at = (longitude: number, latitude: number) => drawn.projection([longitude, latitude]) ?? [0, 0];
  const [gateX = 0, gateY = 0] = pasture.gate.length === 2 ? at(pasture.gate[0] as number, pasture.gate[1] as number) : [];
  const metres = [500, 200, 100, 50, 20, 10, 5].find((m) => m / drawn.metresPerPoint < 90) ?? 5;
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      className="w-full max-w-md border border-ink bg-ground"
      role="img"
      aria-label={`${pasture.name}, drawn north upward`}
    >
      <path d={drawn.path} fill="none" stroke="var(--ink)" strokeWidth="1.4" />
      <path d={drawn.path} fill="none" stroke="var(--ink)" strokeWidth="5" strokeDasharray="1 12" />
      {pasture.gate.length === 2 && (
        <g transform={`translate(${gateX.toFixed(1)} ${gateY.toFixed(1)})`}>
          <rect x="-6" y="-6" width="12" height="12" fill="var(--ground)" />
          <path d="M-7 -6V6M7 -6V6M-7 -2L7 4M-7 4L7 -2" stroke="var(--ink)" strokeWidth="1.6" fill="none" />
          <text x="0" y="20" textAnchor="middle" className="fill-ink text-xs" style={HALO}>
            gate
          </text>
        </g>
      )}
      {pasture.trees.map((t) => {
        const [x = 0, y = 0] = at(t.longitude, t.latitude);
        const reach = t.reach / drawn.metresPerPoint;
        return (
          <g key={t.id} transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})`} className={DANGER_TONE[MARK[t.peril]]}>
            <title>{`${t.label}: ${PERIL[t.peril]}`}</title>
            {t.zone === "within-reach" && <circle r={reach} fill="none" stroke="currentColor" strokeWidth="0.8" strokeDasharray="2 3" />}
            <g transform="scale(0.8)">{DANGER_SHAPE[MARK[t.peril]]}</g>
            <text x="10" y="4" className="fill-ink text-xs font-semibold" style={HALO}>
              {t.label.length > 14 ? `${t.label.slice(0, 13)}…` : t.label}
            </text>
          </g>
        );
      })}
      <g transform={`translate(12 ${HIGH - 10})`}>
        <path d={`M0 -5V0H${metres / drawn.metresPerPoint}V-5`} fill="none" stroke="var(--ink)" strokeWidth="1.4" />
        <text x={metres / drawn.metresPerPoint + 6} y="0" className="fill-ink text-xs">
          {distanceWords(metres, units)}
        </text>
      </g>
    </svg>
  );
}

const HALO = { paintOrder: "stroke", stroke: "var(--ground)", strokeWidth: 3 } as const;
