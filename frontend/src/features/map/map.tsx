import { useQuery } from "@tanstack/react-query";
import { geoPath } from "d3-geo";
import { zoomIdentity } from "d3-zoom";
import { useMemo } from "react";
import { baseMapQuery } from "../../api/queries";
import { Trouble } from "../../ui/controls";
import { DANGER_SHAPE, DANGER_TONE, DangerMark } from "../../ui/danger-mark";
import { DANGER } from "../../words/trees";
import { clustersOf, type Dot, type Drawn, LEGEND } from "./clusters";
import { Ground } from "./ground";
import { HALO, pointsPerMetre, quantised, ScaleAndNorth, useGroundView, ViewButtons } from "./view";

type Spot = { latitude: number; longitude: number; uncertainty: number | null };
type Place = { id: string; name: string; latitude: number; longitude: number; boundary: number[][] };

/** Trees on the ground, by danger in shape and hatching. What is drawn here stands in the list too. */
export function TreeMap(p: {
  trees: Dot[];
  places: Place[];
  chosen: string;
  onChoose: (id: string) => void;
  here: Spot | null;
  units: string;
  height?: number;
}) {
  const base = useQuery(baseMapQuery);
  const points = useMemo(
    () => [
      ...p.trees.map((t) => [t.longitude, t.latitude]),
      ...p.places.flatMap((place) => (place.boundary.length > 2 ? place.boundary : [[place.longitude, place.latitude]])),
    ],
    [p.trees, p.places],
  );
  const ground = useGroundView(points, (width) => p.height ?? Math.max(340, Math.min(640, window.innerHeight - (width < 600 ? 330 : 360))));
  const { width, height, projection, view, at, under } = ground;
  const features = base.data?.features ?? NONE;

  const clusters = useMemo(() => clustersOf(p.trees), [p.trees]);
  const depth = Math.log2((2 * Math.PI * projection.scale() * view.k) / 256);
  const [west, north] = under(-30, -30);
  const [east, south] = under(width + 30, height + 30);
  const drawn = clusters.at([west, south, east, north], depth);
  const into = (d: Drawn) => {
    if (d.id === null) return;
    const k = (256 * 2 ** Math.min(20, clusters.apart(d.id) + 0.3)) / (2 * Math.PI * projection.scale());
    const [x, y] = projection([d.longitude, d.latitude]) ?? [0, 0];
    ground.to(zoomIdentity.translate(width / 2 - x * k, height / 2 - y * k).scale(k));
  };
  const labels = drawn.length <= 60;
  return (
    <div>
      {base.isError && <Trouble error={base.error} retry={() => void base.refetch()} />}
      <div ref={ground.frame} className="relative border border-ink bg-ground">
        <svg
          ref={ground.drawing}
          width={width}
          height={height}
          className="block touch-none"
          // biome-ignore lint/a11y/noNoninteractiveTabindex: it is moved by the arrow keys
          tabIndex={0}
          role="group"
          aria-label={`Map of ${p.trees.length} trees. Arrow keys move it, plus and minus draw it larger and smaller. The list tells the same.`}
          onKeyDown={ground.onKey}
        >
          <g transform={view.toString()}>
            <Ground features={features} projection={projection} scale={quantised(view.k)} />
            {p.places
              .filter((place) => place.boundary.length > 2)
              .map((place) => (
                <path
                  key={place.id}
                  d={geoPath(projection)({ type: "LineString", coordinates: [...place.boundary, place.boundary[0] as number[]] }) ?? ""}
                  fill="none"
                  stroke="var(--ink)"
                  strokeWidth="1.4"
                  strokeDasharray="2 4"
                  vectorEffect="non-scaling-stroke"
                />
              ))}
          </g>
          {p.places.map((place) => {
            const [x, y] = at(place.longitude, place.latitude);
            return (
              <text key={place.id} x={x} y={y - 20} textAnchor="middle" className="fill-ink text-sm font-bold" style={HALO} aria-hidden="true">
                {place.name}
              </text>
            );
          })}
          {drawn.map((d) => {
            const [x, y] = at(d.longitude, d.latitude);
            const tree = d.trees?.[0];
            const chosen = tree?.id === p.chosen;
            const act = () => (tree ? p.onChoose(tree.id) : into(d));
            return (
              <g
                key={d.key}
                transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})`}
                role="button"
                tabIndex={0}
                aria-pressed={tree ? chosen : undefined}
                aria-label={
                  tree
                    ? `${tree.tag}${tree.kind ? `, ${tree.kind}` : ""}: ${DANGER[tree.danger].long}`
                    : `${d.count} trees close together, the worst: ${DANGER[d.danger].word}. Draw larger.`
                }
                className={`cursor-pointer outline-offset-4 ${DANGER_TONE[d.danger]}`}
                onClick={act}
                onKeyDown={(e) => {
                  if (e.key !== "Enter" && e.key !== " ") return;
                  e.preventDefault();
                  act();
                }}
              >
                <circle r="22" fill="transparent" />
                {chosen && <circle r="14" fill="none" stroke="var(--ink)" strokeWidth="2.4" />}
                {tree ? (
                  DANGER_SHAPE[d.danger]
                ) : (
                  <>
                    <circle r="15" fill="var(--sheet)" stroke="currentColor" strokeWidth="1.6" />
                    <circle r="12" fill="none" stroke="currentColor" strokeWidth="0.8" />
                    <text textAnchor="middle" dy="4.5" className="fill-ink text-sm font-bold">
                      {d.count}
                    </text>
                    <g transform="translate(13 -12) scale(0.8)">{DANGER_SHAPE[d.danger]}</g>
                  </>
                )}
                {tree && (labels || chosen) && (
                  <text x="12" y="4.5" className="fill-ink text-sm font-semibold" style={HALO}>
                    {tree.tag}
                  </text>
                )}
              </g>
            );
          })}
          {p.here && <Here at={at(p.here.longitude, p.here.latitude)} radius={(p.here.uncertainty ?? 0) * pointsPerMetre(ground)} />}
          <ScaleAndNorth on={ground} units={p.units} />
        </svg>
        <ViewButtons on={ground} />
      </div>
      <ul className="mt-2 flex flex-wrap gap-x-4 gap-y-1" aria-label="What the marks mean">
        {LEGEND.map((danger) => (
          <li key={danger}>
            <DangerMark danger={danger} withWord />
          </li>
        ))}
      </ul>
    </div>
  );
}

const NONE: GeoJSON.Feature[] = [];

const Here = ({ at: [x, y], radius }: { at: [number, number]; radius: number }) => (
  <g transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})`} aria-hidden="true">
    {radius > 10 && <circle r={radius} fill="none" stroke="var(--ink)" strokeDasharray="4 3" />}
    <path d="M-11 0H-4M4 0H11M0 -11V-4M0 4V11" stroke="var(--ink)" strokeWidth="2.4" />
    <text y="26" textAnchor="middle" className="fill-ink text-xs font-bold" style={HALO}>
      you
    </text>
  </g>
);
