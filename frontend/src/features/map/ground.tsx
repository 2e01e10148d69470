import { type GeoPath, type GeoProjection, geoArea, geoPath } from "d3-geo";
import { memo, useMemo } from "react";

type Feature = GeoJSON.Feature;
/** RFC 7946 winds the outer ring one way, the projection wants it the other: what is larger than half the Earth is meant the other way round. */
const wound = (f: Feature): Feature =>
  geoArea(f) > 2 * Math.PI
    ? f.geometry.type === "Polygon"
      ? { ...f, geometry: { ...f.geometry, coordinates: f.geometry.coordinates.map((ring) => [...ring].reverse()) } }
      : f.geometry.type === "MultiPolygon"
        ? { ...f, geometry: { ...f.geometry, coordinates: f.geometry.coordinates.map((p) => p.map((ring) => [...ring].reverse())) } }
        : f
    : f;
const is = (f: Feature) => String(f.properties?.is ?? f.properties?.type ?? "");

/** The ground under the trees, engraved: contours, water, ways, woods. What a file does not name is a thin line. */
export const Ground = memo(function Ground({
  features: drawn,
  projection,
  scale,
}: {
  features: Feature[];
  projection: GeoProjection;
  scale: number;
}) {
  const path = geoPath(projection);
  const features = useMemo(() => drawn.map(wound), [drawn]);
  const of = (name: string) => features.filter((f) => is(f) === name);
  const contours = of("contour");
  const others = features.filter((f) => !["contour", "water", "way", "wood"].includes(is(f)));
  return (
    <g fill="none" strokeLinejoin="round" strokeLinecap="round" aria-hidden="true">
      <defs>
        <pattern id="wood" width={18 / scale} height={18 / scale} patternUnits="userSpaceOnUse">
          <g transform={`scale(${1 / scale})`} stroke="var(--faded)" strokeWidth="0.8" fill="none">
            <path d="M4 8c-2-3 1-6 3-3c2-3 5 0 3 3M7 8v3" />
            <path d="M12 16c-1.5-2.4.8-4.6 2.3-2.3c1.5-2.3 3.8 0 2.3 2.3M14.3 16v2" />
          </g>
        </pattern>
        <pattern id="water" width={9 / scale} height={5 / scale} patternUnits="userSpaceOnUse">
          <path
            d={`M0 ${2.5 / scale}q${2.25 / scale} ${-2 / scale} ${4.5 / scale} 0t${4.5 / scale} 0`}
            stroke="var(--faded)"
            strokeWidth={0.7 / scale}
            fill="none"
          />
        </pattern>
      </defs>
      <Areas features={of("wood")} path={path} fill="url(#wood)" />
      {contours.map((f, i) => {
        const height = Number(f.properties?.height_m ?? 0);
        return (
          <path
            // biome-ignore lint/suspicious/noArrayIndexKey: the file is drawn as it stands
            key={i}
            d={path(f) ?? ""}
            stroke="var(--rule)"
            strokeWidth={height % 200 === 0 ? 1.6 : 0.8}
            vectorEffect="non-scaling-stroke"
          />
        );
      })}
      <Areas features={of("water").filter((f) => f.geometry.type.includes("Polygon"))} path={path} fill="url(#water)" edge />
      {of("water")
        .filter((f) => f.geometry.type.includes("Line"))
        .map((f, i) => {
          const d = path(f) ?? "";
          const wide = Number(f.properties?.width ?? 1) > 1;
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: the file is drawn as it stands
            <g key={i}>
              <path d={d} stroke="var(--faded)" strokeWidth={wide ? 6 : 2} vectorEffect="non-scaling-stroke" />
              {wide && <path d={d} stroke="var(--ground)" strokeWidth="3.6" vectorEffect="non-scaling-stroke" />}
              {wide && <path d={d} stroke="var(--faded)" strokeWidth="0.9" strokeDasharray="10 7" vectorEffect="non-scaling-stroke" />}
            </g>
          );
        })}
      {of("way").map((f, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the file is drawn as it stands
        <path key={i} d={path(f) ?? ""} stroke="var(--ink)" strokeWidth="1.2" strokeDasharray="7 3" vectorEffect="non-scaling-stroke" />
      ))}
      {others.map((f, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the file is drawn as it stands
        <path key={i} d={path.pointRadius(2 / scale)(f) ?? ""} stroke="var(--faded)" strokeWidth="0.9" vectorEffect="non-scaling-stroke" />
      ))}
    </g>
  );
});

const Areas = ({ features, path, fill, edge = false }: { features: Feature[]; path: GeoPath; fill: string; edge?: boolean }) => (
  <>
    {features.map((f, i) => (
      <path
        // biome-ignore lint/suspicious/noArrayIndexKey: the file is drawn as it stands
        key={i}
        d={path(f) ?? ""}
        fill={fill}
        stroke={edge ? "var(--faded)" : "none"}
        strokeWidth="1"
        vectorEffect="non-scaling-stroke"
      />
    ))}
  </>
);
