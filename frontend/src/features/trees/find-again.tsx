import { useQuery } from "@tanstack/react-query";
import { picturesQuery } from "../../api/queries";
import { directionWords, distanceWords, way } from "../../words/trees";
import { useWhere, WhereLine } from "../devices/where";
import { Part, type TreePage } from "./tree";

/** Distance, bearing, the way to find it, the last picture. */
export function FindAgain({ page, units }: { page: TreePage; units: string }) {
  const where = useWhere();
  const pictures = useQuery(picturesQuery({ tree: page.tree.id })).data ?? [];
  const last = pictures.find((p) => p.width > 0);
  const to = page.latitude == null || page.longitude == null ? null : { latitude: page.latitude, longitude: page.longitude };
  const far = where.spot && to ? way(where.spot, to) : null;
  const unsure = (where.spot?.uncertainty ?? 0) + (page.uncertainty ?? 0);
  return (
    <Part title="Find it again">
      <div className="space-y-2 py-2">
        {page.tree.whereabouts && <p>{page.tree.whereabouts}</p>}
        {to ? <WhereLine where={where} /> : <p className="text-faded">Nobody has taken its position. Take it beneath the tree, under Change.</p>}
        {far && (
          <p className="flex items-center gap-3" aria-live="polite">
            <svg viewBox="-24 -24 48 48" width="56" height="56" aria-hidden="true">
              <circle r="22" fill="none" stroke="currentColor" strokeWidth="1.4" />
              {[0, 45, 90, 135, 180, 225, 270, 315].map((a) => (
                <path key={a} d="M0 -22V-18" stroke="currentColor" strokeWidth={a % 90 ? 0.8 : 1.6} transform={`rotate(${a})`} />
              ))}
              <path d="M0 -17L5 6L0 3L-5 6Z" fill="currentColor" transform={`rotate(${far.bearing.toFixed(0)})`} />
            </svg>
            <span>
              <strong className="text-lg">
                {far.metres < Math.max(5, unsure) ? "here, or a few steps off" : `${distanceWords(far.metres, units)} ${directionWords(far.bearing)}`}
              </strong>
              <span className="figures block text-sm text-faded">
                {far.bearing.toFixed(0)}° from north; sure to {distanceWords(Math.max(1, unsure), units)}
              </span>
            </span>
          </p>
        )}
        {last && (
          <figure>
            <img
              src={`/api/pictures/${last.id}/thumb`}
              alt={last.caption || `${page.tree.tag}, the last picture`}
              className="max-h-56 border border-ink"
              loading="lazy"
            />
            {last.caption && <figcaption className="text-sm text-faded">{last.caption}</figcaption>}
          </figure>
        )}
      </div>
    </Part>
  );
}
