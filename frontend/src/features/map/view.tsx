import { type GeoProjection, geoMercator } from "d3-geo";
import { select } from "d3-selection";
import { type ZoomTransform, zoom, zoomIdentity } from "d3-zoom";
import { type KeyboardEvent, type RefObject, useEffect, useMemo, useRef, useState } from "react";
import { Button } from "../../ui/controls";
import { distanceWords } from "../../words/trees";

export type Point = [number, number];
export type GroundView = {
  frame: RefObject<HTMLDivElement | null>;
  drawing: RefObject<SVGSVGElement | null>;
  width: number;
  height: number;
  projection: GeoProjection;
  view: ZoomTransform;
  /** Where on the screen a longitude and latitude lie. */
  at: (longitude: number, latitude: number) => Point;
  /** Which longitude and latitude lie there on the screen. */
  under: (x: number, y: number) => Point;
  steer: (by: number) => void;
  move: (x: number, y: number) => void;
  whole: () => void;
  to: (transform: ZoomTransform) => void;
  /** Arrow keys move it, plus and minus draw it larger and smaller, 0 shows all. Whether the key was one of them. */
  onKey: (event: KeyboardEvent) => boolean;
};

/** A piece of ground that is moved and drawn larger; another selection of points is seen whole first. */
export function useGroundView(points: GeoJSON.Position[], heightOf: (width: number) => number, margin = 48): GroundView {
  const frame = useRef<HTMLDivElement>(null);
  const drawing = useRef<SVGSVGElement>(null);
  const [width, setWidth] = useState(800);
  const height = heightOf(width);
  const [view, setView] = useState<ZoomTransform>(zoomIdentity);
  useEffect(() => {
    const watch = new ResizeObserver(([entry]) => entry && setWidth(Math.max(240, Math.round(entry.contentRect.width))));
    if (frame.current) watch.observe(frame.current);
    return () => watch.disconnect();
  }, []);
  const projection = useMemo(() => fitted(points, width, height, margin), [points, width, height, margin]);
  const behaviour = useMemo(
    () =>
      zoom<SVGSVGElement, unknown>()
        .scaleExtent([0.4, 400])
        // what is pulled by itself does not pull the ground along
        .filter((e) => !(e.target as Element).closest("[data-pulled]") && (!e.ctrlKey || e.type === "wheel") && !e.button)
        .on("zoom", (e) => setView(e.transform)),
    [],
  );
  useEffect(() => {
    if (!drawing.current) return;
    const svg = select(drawing.current);
    svg.call(behaviour).on("dblclick.zoom", null);
    return () => void svg.on(".zoom", null);
  }, [behaviour]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the projection stands for the selection
  useEffect(() => {
    if (drawing.current) behaviour.transform(select(drawing.current), zoomIdentity);
  }, [projection, behaviour]);
  const to = (transform: ZoomTransform) => void (drawing.current && behaviour.transform(select(drawing.current), transform));
  const steer = (by: number) => void (drawing.current && behaviour.scaleBy(select(drawing.current), by));
  const move = (x: number, y: number) => void (drawing.current && behaviour.translateBy(select(drawing.current), x / view.k, y / view.k));
  const whole = () => to(zoomIdentity);
  const onKey = (e: KeyboardEvent) => {
    const step: Record<string, Point> = { ArrowLeft: [80, 0], ArrowRight: [-80, 0], ArrowUp: [0, 80], ArrowDown: [0, -80] };
    const by = step[e.key];
    if (by) move(...by);
    else if (e.key === "+" || e.key === "=") steer(1.6);
    else if (e.key === "-") steer(1 / 1.6);
    else if (e.key === "0") whole();
    else return false;
    e.preventDefault();
    return true;
  };
  const at = (lon: number, lat: number): Point => view.apply(projection([lon, lat]) ?? [0, 0]);
  const under = (x: number, y: number): Point => (projection.invert?.(view.invert([x, y])) ?? [0, 0]) as Point;
  return { frame, drawing, width, height, projection, view, at, under, steer, move, whole, to, onKey };
}

function fitted(points: GeoJSON.Position[], width: number, height: number, margin: number): GeoProjection {
  const held: GeoJSON.GeoJSON =
    points.length > 1
      ? { type: "MultiPoint", coordinates: points }
      : { type: "MultiPoint", coordinates: [[15.2, 47], [15.4, 47.2], ...points].slice(points.length ? 2 : 0) };
  const whole = geoMercator().fitExtent(
    [
      [margin, margin],
      [width - margin, height - margin],
    ],
    held,
  );
  // one tree, or all in one spot, would be drawn at the size of a leaf
  const closest = 40_000_000;
  return whole.scale() > closest || !Number.isFinite(whole.scale())
    ? geoMercator()
        .center([points[0]?.[0] ?? 15.3, points[0]?.[1] ?? 47.1])
        .scale(2_000_000)
        .translate([width / 2, height / 2])
    : whole;
}

export function ViewButtons({ on }: { on: GroundView }) {
  return (
    <div className="absolute top-2 right-2 flex flex-col gap-1">
      <Button aria-label="Draw larger" className="w-11 text-lg" onClick={() => on.steer(1.6)}>
        +
      </Button>
      <Button aria-label="Draw smaller" className="w-11 text-lg" onClick={() => on.steer(1 / 1.6)}>
        −
      </Button>
      <Button aria-label="Show all" className="w-11 px-0! text-sm" onClick={on.whole}>
        all
      </Button>
    </div>
  );
}

/** A length on the ground, and where north is. */
export function ScaleAndNorth({ on, units }: { on: GroundView; units: string }) {
  const [metres, bar] = scaleBar(on);
  return (
    <>
      <g transform={`translate(12 ${on.height - 14})`} aria-hidden="true">
        <path d={`M0 -5V0H${bar}V-5`} fill="none" stroke="var(--ink)" strokeWidth="1.6" />
        <text x={bar / 2} y="-7" textAnchor="middle" className="fill-ink text-xs" style={HALO}>
          {distanceWords(metres, units)}
        </text>
      </g>
      <g transform={`translate(${on.width - 22} ${on.height - 40})`} aria-hidden="true" className="text-ink">
        <path d="M0 22V-6M0 -14L-5 0L0 -3L5 0Z" fill="currentColor" stroke="currentColor" />
        <text y="-18" textAnchor="middle" className="fill-ink text-xs font-bold" style={HALO}>
          N
        </text>
      </g>
    </>
  );
}

/** A crossing of lines in the middle: where keys and a thumb aim. */
export const Cross = ({ on }: { on: GroundView }) => (
  <path
    d={`M${on.width / 2 - 14} ${on.height / 2}h10m8 0h10M${on.width / 2} ${on.height / 2 - 14}v10m0 8v10`}
    stroke="var(--ink)"
    strokeWidth="1.4"
    fill="none"
    pointerEvents="none"
    aria-hidden="true"
  />
);

/** How many points on the screen a metre takes. */
export function pointsPerMetre({ projection, view, under, width, height }: GroundView): number {
  const [, lat = 47] = under(width / 2, height / 2);
  return (projection.scale() * view.k) / (6_371_008.8 * Math.cos((lat * Math.PI) / 180));
}

/** A round length that takes about a hundred points. */
function scaleBar(on: GroundView): [number, number] {
  const rough = 100 / pointsPerMetre(on);
  const ten = 10 ** Math.floor(Math.log10(rough));
  const metres = [5, 2, 1].map((n) => n * ten).find((m) => m <= rough) ?? ten;
  return [metres, metres * pointsPerMetre(on)];
}

export const HALO = { paintOrder: "stroke", stroke: "var(--ground)", strokeWidth: 3 } as const;
/** Patterns are cut anew at each doubling, not at each step of the wheel. */
export const quantised = (k: number) => 2 ** Math.round(Math.log2(k));
