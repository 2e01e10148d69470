import Supercluster from "supercluster";
import type { Schemas } from "../../api/client";
import { DANGERS } from "../../words/trees";

export type Dot = Schemas["TreeDotView"];
/** One tree, or several that stand too close together to be drawn apart; the worst of them gives the mark. */
export type Drawn = {
  key: string;
  longitude: number;
  latitude: number;
  trees: Dot[] | null;
  count: number;
  danger: Dot["danger"];
  id: number | null;
};

/** What may be anything weighs as much as what harms: a crowd is never told to be milder than it is. */
const WEIGHT: Record<Dot["danger"], number> = { deadly: 5, serious: 4, unknown: 3, doubted: 3, mild: 2, harmless: 1 };
const worse = (a: Dot["danger"], b: Dot["danger"]) => (WEIGHT[b] > WEIGHT[a] ? b : a);

export function clustersOf(trees: Dot[]) {
  const index = new Supercluster<{ tree: Dot; danger: Dot["danger"] }, { danger: Dot["danger"] }>({
    radius: 46,
    maxZoom: 20,
    map: (p) => ({ danger: p.danger }),
    reduce: (sum, p) => {
      sum.danger = worse(sum.danger, p.danger);
    },
  });
  index.load(
    trees.map((tree) => ({
      type: "Feature",
      geometry: { type: "Point", coordinates: [tree.longitude, tree.latitude] },
      properties: { tree, danger: tree.danger },
    })),
  );
  return {
    /** What is drawn of the ground west, south, east, north at a zoom. */
    at: (box: [number, number, number, number], zoom: number): Drawn[] =>
      index.getClusters(box, Math.max(0, Math.min(20, Math.floor(zoom)))).map((f) => {
        const [longitude = 0, latitude = 0] = f.geometry.coordinates;
        const p = f.properties;
        return "cluster" in p
          ? { key: `c${p.cluster_id}`, longitude, latitude, trees: null, count: p.point_count, danger: p.danger, id: p.cluster_id }
          : { key: p.tree.id, longitude, latitude, trees: [p.tree], count: 1, danger: p.danger, id: null };
      }),
    /** The zoom at which a crowd falls apart. */
    apart: (id: number): number => index.getClusterExpansionZoom(id),
  };
}
export const LEGEND = DANGERS;
