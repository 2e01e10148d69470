import { useMutation } from "@tanstack/react-query";
import { geoMercator, geoPath } from "d3-geo";
import { useMemo, useState } from "react";
import { client, type Schemas, unwrap } from "../../api/client";
import { useSession } from "../../api/queries";
import { Button, Dialog, Field, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { parseDecimal } from "../../words/numbers";
import { HereButton, type Spot } from "../devices/where";
import { useEdge } from "../map/edge";
import { EdgeDrawing } from "../map/edge-drawing";

type Page = Schemas["SitePageView"];
type Corner = [number, number];

/** The edge of a place: drawn small, and walked corner by corner. */
export function Boundary({ page, onKept }: { page: Page; onKept: (page: Page) => void }) {
  const [drawing, setDrawing] = useState(false);
  const corners = page.boundary as Corner[];
  return (
    <>
      {corners.length === 0 ? (
        <p className="py-2 text-faded">Nobody has said where it ends. Ask the owner before you take anything near an edge.</p>
      ) : (
        <div className="flex items-end gap-4 py-2">
          <Shape corners={corners} />
          <p className="text-sm text-faded">{corners.length} corners</p>
        </div>
      )}
      {page.mayChange && <Button onClick={() => setDrawing(true)}>{corners.length === 0 ? "Enter the boundary" : "Change the boundary"}</Button>}
      <Dialog
        open={drawing}
        onOpenChange={setDrawing}
        title={`The boundary of ${page.site.name}`}
        description="Draw it on the ground corner by corner; or walk along it, or enter it from the land register."
        wide
      >
        <Corners
          page={page}
          onKept={(kept) => {
            setDrawing(false);
            onKept(kept);
          }}
        />
      </Dialog>
    </>
  );
}

function Corners({ page, onKept }: { page: Page; onKept: (page: Page) => void }) {
  const edge = useEdge(page.boundary);
  const { corners } = edge;
  const units = useSession().data?.user?.units ?? "metric";
  const keep = useMutation({
    mutationFn: () => unwrap(client.PUT("/api/sites/{id}/boundary", { params: { path: { id: page.site.id } }, body: { corners } })),
    onSuccess: onKept,
  });
  const few = corners.length > 0 && corners.length < 3;
  return (
    <div className="space-y-3">
      <EdgeDrawing edge={edge} site={page.site.id} units={units} />
      <details>
        <summary className="flex min-h-11 cursor-pointer items-center underline underline-offset-4">Walk the corners, or enter their numbers</summary>
        <CornerList corners={corners} onChange={(next) => edge.draw({ corners: next })} />
      </details>
      {few && <p className="text-sm text-faded">At least three corners make a boundary.</p>}
      {keep.error && <Trouble error={keep.error} />}
      <Button tone="ink" disabled={few || keep.isPending} onClick={() => keep.mutate()}>
        {corners.length === 0 ? "Keep it without a boundary" : "Keep the boundary"}
      </Button>
    </div>
  );
}

/** Corners in the order one comes to them: walked, or typed. */
export function CornerList({ corners, onChange }: { corners: Corner[]; onChange: (corners: Corner[]) => void }) {
  const [typed, setTyped] = useState({ latitude: "", longitude: "" });
  const [said, setSaid] = useState("");
  const add = (spot: Pick<Spot, "latitude" | "longitude">) => onChange([...corners, [round(spot.longitude), round(spot.latitude)]]);
  const submit = () => {
    const [latitude, longitude] = [parseDecimal(typed.latitude), parseDecimal(typed.longitude)];
    if (latitude === null || longitude === null || Math.abs(latitude) > 90 || Math.abs(longitude) > 180)
      return setSaid("A corner is two numbers in degrees, such as 47,1203 and 15,3091.");
    setSaid("");
    add({ latitude, longitude });
    setTyped({ latitude: "", longitude: "" });
  };
  return (
    <>
      <ol className="text-sm" aria-label="Corners">
        {corners.map(([longitude, latitude], i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a corner is where it stands in the row
          <li key={i} className="rule-b figures flex items-center justify-between gap-2">
            <span>
              {i + 1}. {latitude.toFixed(5)}°, {longitude.toFixed(5)}°
            </span>
            <Button aria-label={`Take out corner ${i + 1}`} onClick={() => onChange(corners.filter((_, j) => j !== i))}>
              ✕
            </Button>
          </li>
        ))}
      </ol>
      <HereButton label="Mark a corner where I stand" onFound={add} />
      {/* no form of its own: it stands in others */}
      <fieldset
        className="flex flex-wrap items-end gap-2"
        onKeyDown={(e) => {
          if (e.key !== "Enter" || !(e.target instanceof HTMLInputElement)) return;
          e.preventDefault();
          submit();
        }}
      >
        <legend className="sr-only">A corner by its numbers</legend>
        {(["latitude", "longitude"] as const).map((key) => (
          <div key={key} className="w-32">
            <Field label={key === "latitude" ? "Latitude °" : "Longitude °"}>
              <NumberInput unit="°" name={`corner-${key}`} value={typed[key]} onChange={(e) => setTyped({ ...typed, [key]: e.target.value })} />
            </Field>
          </div>
        ))}
        <Button onClick={submit}>Add this corner</Button>
      </fieldset>
      {said && <p role="alert">{said}</p>}
    </>
  );
}

const round = (degrees: number) => Math.round(degrees * 1e6) / 1e6;
const [WIDE, HIGH] = [220, 140];

/** As it lies, north upward. Lines and not an area: walked the other way round it would be the rest of the Earth. */
function Shape({ corners }: { corners: Corner[] }) {
  const line = useMemo(() => {
    const edge = { type: "LineString" as const, coordinates: [...corners, corners[0] as Corner] };
    const projection = geoMercator().fitExtent(
      [
        [8, 8],
        [WIDE - 8, HIGH - 8],
      ],
      edge,
    );
    return { path: geoPath(projection)(edge) ?? "", at: corners.map((c) => projection(c) ?? [0, 0]) };
  }, [corners]);
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      className="h-36 border border-rule bg-sheet"
      role="img"
      aria-label={`An edge with ${corners.length} corners`}
    >
      <path d={line.path} fill="none" stroke="var(--ink)" strokeDasharray="5 3 1 3" strokeWidth="1.2" />
      {line.at.map(([x = 0, y = 0], i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a corner is where it stands in the row
        <circle key={i} cx={x} cy={y} r="2.2" fill="var(--ink)" />
      ))}
    </svg>
  );
}
