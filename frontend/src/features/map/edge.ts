import { geoArea, geoLength } from "d3-geo";
import { useState } from "react";

export type Corner = [number, number];
/** An edge as it is drawn; the gate only where there can be one. */
export type Edge = { corners: Corner[]; gate: Corner | null };
export type EdgeBook = Edge & { draw: (next: Partial<Edge>) => void; takeBack: (() => void) | null };

const RADIUS = 6_371_008.8;
export const rounded = ([longitude, latitude]: Corner): Corner => [Math.round(longitude * 1e6) / 1e6, Math.round(latitude * 1e6) / 1e6];

/** An edge being drawn, with what it was before, so that a slip of the finger is taken back. */
export function useEdge(corners: number[][], gate: number[] = []): EdgeBook {
  const [steps, setSteps] = useState<Edge[]>([{ corners: corners as Corner[], gate: gate.length === 2 ? (gate as Corner) : null }]);
  const now = steps[steps.length - 1] as Edge;
  return {
    ...now,
    draw: (next) => setSteps((all) => [...all.slice(-99), { ...(all[all.length - 1] as Edge), ...next }]),
    takeBack: steps.length > 1 ? () => setSteps((all) => all.slice(0, -1)) : null,
  };
}

/** How much ground it takes in, in square metres, and how long it is, in metres, on a sphere. */
export function sizeOf(corners: Corner[]): { area: number; round: number } {
  const ring = [...corners, corners[0] as Corner];
  const area = geoArea({ type: "Polygon", coordinates: [ring] });
  return {
    // walked the other way round it is the rest of the Earth
    area: Math.min(area, 4 * Math.PI - area) * RADIUS ** 2,
    round: geoLength({ type: "LineString", coordinates: ring }) * RADIUS,
  };
}

/** So many metres east and north of it. */
export function shifted([longitude, latitude]: Corner, east: number, north: number): Corner {
  const degree = (RADIUS * Math.PI) / 180;
  return rounded([longitude + east / (degree * Math.cos((latitude * Math.PI) / 180)), latitude + north / degree]);
}
