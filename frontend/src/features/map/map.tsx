import { useQuery } from "@tanstack/react-query";
import { geoMercator, geoPath } from "d3-geo";
import { select } from "d3-selection";
import { type ZoomTransform, zoom, zoomIdentity } from "d3-zoom";
import { useEffect, useMemo, useRef, useState } from "react";
import { baseMapQuery } from "../../api/queries";
import { Button, Trouble } from "../../ui/controls";
import { DANGER_SHAPE, DANGER_TONE, DangerMark } from "../../ui/danger-mark";
import { DANGER, distanceWords } from "../../words/trees";
import { clustersOf, type Dot, type Drawn, LEGEND } from "./clusters";
import { Ground } from "./ground";

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
  const frame = useRef<HTMLDivElement>(null);
  const drawing = useRef<SVGSVGElement>(null);
  const [width, setWidth] = useState(800);
  const height = p.height ?? Math.max(340, Math.min(640, window.innerHeight - (width < 600 ? 330 : 360)));
  const [view, setView] = useState<ZoomTransform>(zoomIdentity);
  useEffect(() => {
    const watch = new ResizeObserver(([entry]) => entry && setWidth(Math.max(240, Math.round(entry.contentRect.width))));
    if (frame.current) watch.observe(frame.current);
    return () => watch.disconnect();
  }, []);
  const features = base.data?.features ?? NONE;
  const projection = useMemo(() => {
    const points: GeoJSON.Position[] = [
      ...p.trees.map((t) => [t.longitude, t.latitude]),
      ...p.places.flatMap((place) => (place.boundary.length > 2 ? place.boundary : [[place.longitude, place.latitude]])),
    ];
    const held: GeoJSON.GeoJSON =
      points.length > 1
        ? { type: "MultiPoint", coordinates: points }
        : { type: "MultiPoint", coordinates: [[15.2, 47], [15.4, 47.2], ...points].slice(points.length ? 2 : 0) };
    const fitted = geoMercator().fitExtent(
      [
        [48, 48],
        [width - 48, height - 48],
      ],
      held,
    );
    // one tree, or all in one spot, would be drawn at the size of a leaf
    const closest = 40_000_000;
    return fitted.scale() > closest || !Number.isFinite(fitted.scale())
      ? geoMercator()
          .center([points[0]?.[0] ?? 15.3, points[0]?.[1] ?? 47.1])
          .scale(2_000_000)
          .translate([width / 2, height / 2])
      : fitted;
  }, [p.trees, p.places, width, height]);
  const behaviour = useMemo(
    () =>
      zoom<SVGSVGElement, unknown>()
        .scaleExtent([0.4, 400])
        .on("zoom", (e) => setView(e.transform)),
    [],
  );
  useEffect(() => {
    if (!drawing.current) return;
    const svg = select(drawing.current);
    svg.call(behaviour).on("dblclick.zoom", null);
    return () => void svg.on(".zoom", null);
  }, [behaviour]);
  // another selection is seen whole first
  // biome-ignore lint/correctness/useExhaustiveDependencies: the projection stands for the selection
  useEffect(() => {
    if (drawing.current) behaviour.transform(select(drawing.current), zoomIdentity);
  }, [projection, behaviour]);
  const steer = (by: number) => drawing.current && behaviour.scaleBy(select(drawing.current), by);
  const move = (x: number, y: number) => drawing.current && behaviour.translateBy(select(drawing.current), x / view.k, y / view.k);
  const whole = () => drawing.current && behaviour.transform(select(drawing.current), zoomIdentity);

  const clusters = useMemo(() => clustersOf(p.trees), [p.trees]);
  const at = (lon: number, lat: number): [number, number] => view.apply(projection([lon, lat]) ?? [0, 0]);
  const depth = Math.log2((2 * Math.PI * projection.scale() * view.k) / 256);
  const [west = -180, north = 85] = projection.invert?.(view.invert([-30, -30])) ?? [];
  const [east = 180, south = -85] = projection.invert?.(view.invert([width + 30, height + 30])) ?? [];
  const drawn = clusters.at([west, south, east, north], depth);
  const into = (d: Drawn) => {
    if (d.id === null || !drawing.current) return;
    const k = (256 * 2 ** Math.min(20, clusters.apart(d.id) + 0.3)) / (2 * Math.PI * projection.scale());
    const [x, y] = projection([d.longitude, d.latitude]) ?? [0, 0];
    behaviour.transform(select(drawing.current), zoomIdentity.translate(width / 2 - x * k, height / 2 - y * k).scale(k));
  };
  const [metres, bar] = scaleBar(projection, view, width, height);
  const labels = drawn.length <= 60;
  return (
    <div>
      {base.isError && <Trouble error={base.error} retry={() => void base.refetch()} />}
      <div ref={frame} className="relative border border-ink bg-ground">
        <svg
          ref={drawing}
          width={width}
          height={height}
          className="block touch-none"
          // biome-ignore lint/a11y/noNoninteractiveTabindex: it is moved by the arrow keys
          tabIndex={0}
          role="group"
          aria-label={`Map of ${p.trees.length} trees. Arrow keys move it, plus and minus draw it larger and smaller. The list tells the same.`}
          onKeyDown={(e) => {
            const step: Record<string, [number, number]> = { ArrowLeft: [80, 0], ArrowRight: [-80, 0], ArrowUp: [0, 80], ArrowDown: [0, -80] };
            const by = step[e.key];
            if (by) move(...by);
            else if (e.key === "+" || e.key === "=") steer(1.6);
            else if (e.key === "-") steer(1 / 1.6);
            else if (e.key === "0") whole();
            else return;
            e.preventDefault();
          }}
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
          {p.here && <Here at={at(p.here.longitude, p.here.latitude)} radius={((p.here.uncertainty ?? 0) / metres) * bar} />}
          <g transform={`translate(12 ${height - 14})`} aria-hidden="true">
            <path d={`M0 -5V0H${bar}V-5`} fill="none" stroke="var(--ink)" strokeWidth="1.6" />
            <text x={bar / 2} y="-7" textAnchor="middle" className="fill-ink text-xs" style={HALO}>
              {distanceWords(metres, p.units)}
            </text>
          </g>
          <g transform={`translate(${width - 22} ${height - 40})`} aria-hidden="true" className="text-ink">
            <path d="M0 22V-6M0 -14L-5 0L0 -3L5 0Z" fill="currentColor" stroke="currentColor" />
            <text y="-18" textAnchor="middle" className="fill-ink text-xs font-bold" style={HALO}>
              N
            </text>
          </g>
        </svg>
        <div className="absolute top-2 right-2 flex flex-col gap-1">
          <Button aria-label="Draw larger" className="w-11 text-lg" onClick={() => steer(1.6)}>
            +
          </Button>
          <Button aria-label="Draw smaller" className="w-11 text-lg" onClick={() => steer(1 / 1.6)}>
            −
          </Button>
          <Button aria-label="Show all" className="w-11 px-0! text-sm" onClick={whole}>
            all
          </Button>
        </div>
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
const HALO = { paintOrder: "stroke", stroke: "var(--ground)", strokeWidth: 3 } as const;

/** Patterns are cut anew at each doubling, not at each step of the wheel. */
const quantised = (k: number) => 2 ** Math.round(Math.log2(k));

/** A round length that takes about a hundred points. */
function scaleBar(projection: ReturnType<typeof geoMercator>, view: ZoomTransform, width: number, height: number): [number, number] {
  const [, lat = 47] = projection.invert?.(view.invert([width / 2, height / 2])) ?? [];
  const metresPerPoint = (6_371_008.8 * Math.cos((lat * Math.PI) / 180)) / (projection.scale() * view.k);
  const rough = metresPerPoint * 100;
  const ten = 10 ** Math.floor(Math.log10(rough));
  const metres = [5, 2, 1].map((n) => n * ten).find((m) => m <= rough) ?? ten;
  return [metres, metres / metresPerPoint];
}

const Here = ({ at: [x, y], radius }: { at: [number, number]; radius: number }) => (
  <g transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})`} aria-hidden="true">
    {radius > 10 && <circle r={radius} fill="none" stroke="var(--ink)" strokeDasharray="4 3" />}
    <path d="M-11 0H-4M4 0H11M0 -11V-4M0 4V11" stroke="var(--ink)" strokeWidth="2.4" />
    <text y="26" textAnchor="middle" className="fill-ink text-xs font-bold" style={HALO}>
      you
    </text>
  </g>
);
