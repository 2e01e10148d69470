import { useState } from "react";
import type { Schemas } from "../../api/client";
import { useSession } from "../../api/queries";
import { Button, Field } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { parseDecimal } from "../../words/numbers";

type Spot = { x: number; y: number };
const length = ([a, b]: Spot[]) => (a && b ? Math.hypot(a.x - b.x, a.y - b.y) : 0);
const STEP = 4;

/** Two points on a known length, two on what is to be measured; by pointer, or by arrow keys and Enter. */
export function MeasureOn({
  picture,
  onScale,
  onLength,
}: {
  picture: Schemas["PictureView"];
  onScale: ((pixelsPerMillimetre: number) => void) | null;
  onLength: ((millimetres: number) => void) | null;
}) {
  const imperial = useSession().data?.user?.units === "imperial";
  const [scale, setScale] = useState(picture.pixelsPerMillimetre ?? null);
  const [doing, setDoing] = useState<"look" | "scale" | "length">("look");
  const [spots, setSpots] = useState<Spot[]>([]);
  const [cursor, setCursor] = useState<Spot | null>(null);
  const [known, setKnown] = useState(imperial ? "1" : "50");
  const put = (spot: Spot) => doing !== "look" && setSpots((s) => (s.length >= 2 ? [spot] : [...s, spot]));
  const pixels = length(spots);
  const knownMm = (parseDecimal(known, imperial ? "in" : "mm") ?? 0) * (imperial ? 25.4 : 1);
  const millimetres = scale && pixels ? pixels / scale : null;
  const begin = (what: "scale" | "length") => {
    setDoing(what);
    setSpots([]);
    setCursor({ x: picture.width / 2, y: picture.height / 2 });
  };
  return (
    <div>
      <div
        role="application"
        className={`relative ${doing === "look" ? "" : "cursor-crosshair outline-2 outline-ink"}`}
        tabIndex={doing === "look" ? -1 : 0}
        aria-label={doing === "look" ? "The picture" : "Arrow keys move the cross, Enter sets a point"}
        data-measuring={doing}
        onClick={(e) => {
          const box = e.currentTarget.getBoundingClientRect();
          put({ x: ((e.clientX - box.left) / box.width) * picture.width, y: ((e.clientY - box.top) / box.height) * picture.height });
        }}
        onKeyDown={(e) => {
          if (doing === "look" || !cursor) return;
          const by = e.shiftKey ? STEP * 10 : STEP;
          const to: Record<string, Spot> = {
            ArrowLeft: { x: cursor.x - by, y: cursor.y },
            ArrowRight: { x: cursor.x + by, y: cursor.y },
            ArrowUp: { x: cursor.x, y: cursor.y - by },
            ArrowDown: { x: cursor.x, y: cursor.y + by },
          };
          const next = to[e.key];
          if (next) setCursor(next);
          else if (e.key === "Enter") put(cursor);
          else return;
          e.preventDefault();
        }}
      >
        <img src={`/api/pictures/${picture.id}/full`} alt={picture.caption || "The picture"} className="block w-full border border-ink" />
        <svg viewBox={`0 0 ${picture.width} ${picture.height}`} className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true">
          {spots.length === 2 && spots[0] && spots[1] && (
            <>
              <path d={`M${spots[0].x} ${spots[0].y}L${spots[1].x} ${spots[1].y}`} stroke="#fff" strokeWidth={picture.width / 160} />
              <path
                d={`M${spots[0].x} ${spots[0].y}L${spots[1].x} ${spots[1].y}`}
                stroke="#000"
                strokeWidth={picture.width / 400}
                strokeDasharray={`${picture.width / 60}`}
              />
            </>
          )}
          {[...spots, ...(doing !== "look" && cursor ? [cursor] : [])].map((s, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: first, second, and the cross
            <g key={i} transform={`translate(${s.x} ${s.y}) scale(${picture.width / 800})`}>
              <path d="M-14 0H14M0 -14V14" stroke="#fff" strokeWidth="5" />
              <path d="M-14 0H14M0 -14V14" stroke="#000" strokeWidth="2" />
            </g>
          ))}
        </svg>
      </div>
      <div className="mt-2 flex flex-wrap items-end gap-2">
        {onScale && (
          <Button aria-pressed={doing === "scale"} onClick={() => begin("scale")}>
            {scale ? "Lay the known length anew" : "Lay a known length in"}
          </Button>
        )}
        {scale !== null && (
          <Button aria-pressed={doing === "length"} onClick={() => begin("length")}>
            Measure on it
          </Button>
        )}
        {doing === "scale" && (
          <>
            <div className="w-36">
              <Field label={`That is, ${imperial ? "inches" : "mm"}`}>
                <NumberInput unit={imperial ? "in" : "mm"} name="known" value={known} onChange={(e) => setKnown(e.target.value)} />
              </Field>
            </div>
            <Button
              tone="ink"
              disabled={pixels < 8 || !(knownMm > 0)}
              onClick={() => {
                const next = pixels / knownMm;
                setScale(next);
                onScale?.(next);
                begin("length");
              }}
            >
              That is it
            </Button>
          </>
        )}
        <p role="status" className="pb-2">
          {doing === "scale" && (spots.length < 2 ? "Set a point at each end of what you know: a rule, a coin, the squares." : "")}
          {doing === "length" &&
            (millimetres === null
              ? "Set a point at each end of what you measure."
              : `${imperial ? `${(millimetres / 25.4).toFixed(2)} in` : `${millimetres.toFixed(1)} mm`}`)}
        </p>
        {doing === "length" && millimetres !== null && onLength && (
          <Button tone="ink" onClick={() => onLength(millimetres)}>
            Into the field
          </Button>
        )}
      </div>
      {doing !== "look" && <p className="text-sm text-faded">True only where both lie flat and at the same distance from the camera.</p>}
    </div>
  );
}
