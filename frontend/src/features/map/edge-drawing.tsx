import { useQuery } from "@tanstack/react-query";
import { type KeyboardEvent, type PointerEvent, useMemo, useState } from "react";
import { baseMapQuery, EVERY_TREE, mapTreesQuery } from "../../api/queries";
import { Button, Choice } from "../../ui/controls";
import { DANGER_SHAPE, DANGER_TONE } from "../../ui/danger-mark";
import { distanceWords, groundWords } from "../../words/trees";
import { type Corner, type EdgeBook, rounded, shifted, sizeOf } from "./edge";
import { Ground } from "./ground";
import { Cross, type GroundView, HALO, quantised, ScaleAndNorth, useGroundView, ViewButtons } from "./view";

type Other = { name: string; corners: number[][] };
type Held = { which: number | "gate"; at: Corner };

/**
 * An edge drawn on the ground with the pointer: a press on open ground sets the next corner, a corner is pulled to
 * where it belongs, a point between two is pulled out into a new one. By keys and by thumb the cross in the middle does the same.
 */
export function EdgeDrawing(p: { edge: EdgeBook; site: string; others?: Other[] | undefined; gated?: boolean; units: string }) {
  const { corners, gate, draw } = p.edge;
  const base = useQuery(baseMapQuery);
  const there = useQuery(mapTreesQuery({ ...EVERY_TREE, site: p.site }));
  const [sets, setSets] = useState<"corner" | "gate">("corner");
  const [held, setHeld] = useState<Held | null>(null);
  const [first] = useState(corners);
  const trees = there.data?.trees ?? NONE;
  const place = there.data?.places.find((s) => s.id === p.site);
  // what is seen at the beginning stays while corners are set
  const points = useMemo(() => {
    if (first.length > 1) return first;
    const around = [...(place?.boundary ?? []), ...trees.map((t) => [t.longitude, t.latitude])];
    const middle: Corner = place ? [place.longitude, place.latitude] : [15.3, 47.1];
    return around.length > 1 ? around : [shifted(middle, -150, -150), shifted(middle, 150, 150)];
  }, [first, place, trees]);
  const ground = useGroundView(points, (width) => (width < 500 ? 340 : 400), 56);
  const { width, height, at, under } = ground;
  const drawn = corners.map((c, i) => (held?.which === i ? held.at : c));
  const gateAt = held?.which === "gate" ? held.at : gate;
  const set = (spot: Corner) => (sets === "gate" ? draw({ gate: spot }) : draw({ corners: [...corners, spot] }));
  const placed = (h: Held) => (h.which === "gate" ? draw({ gate: h.at }) : draw({ corners: corners.map((c, i) => (i === h.which ? h.at : c)) }));
  const spotOf = (e: { clientX: number; clientY: number }): Corner => {
    const box = ground.drawing.current?.getBoundingClientRect();
    return rounded(under(e.clientX - (box?.left ?? 0), e.clientY - (box?.top ?? 0)));
  };
  const handle = (which: Held["which"], where: Corner, label: string, out: () => void) => ({
    "data-pulled": which,
    role: "button",
    tabIndex: 0,
    "aria-label": `${label}, ${where[1].toFixed(5)}°, ${where[0].toFixed(5)}°. Arrow keys move it 2 metres, with Shift 20; Delete takes it out.`,
    className: "cursor-move touch-none",
    onPointerDown: (e: PointerEvent) =>
      pull(
        e,
        (at, done) => (done ? placed({ which, at }) : setHeld({ which, at })),
        spotOf,
        () => setHeld(null),
      ),
    onClick: (e: { stopPropagation: () => void }) => e.stopPropagation(),
    onKeyDown: (e: KeyboardEvent) => {
      const step = e.shiftKey ? 20 : 2;
      const by: Record<string, [number, number]> = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] };
      const go = by[e.key];
      if (go) placed({ which, at: shifted(where, ...go) });
      else if (e.key === "Delete" || e.key === "Backspace") out();
      else return;
      e.preventDefault();
      e.stopPropagation();
    },
  });
  const line = (points: Corner[]) =>
    points
      .map((c) =>
        at(...c)
          .map((n) => n.toFixed(1))
          .join(" "),
      )
      .join("L");
  const middles = drawn.length > 1 ? drawn.map((c, i) => middleOf(c, drawn[(i + 1) % drawn.length] as Corner)) : [];
  const { area, round } = drawn.length > 2 ? sizeOf(drawn) : { area: 0, round: 0 };
  return (
    <div className="space-y-2">
      <div ref={ground.frame} className="relative border border-ink bg-ground">
        <svg
          ref={ground.drawing}
          width={width}
          height={height}
          className="block cursor-crosshair touch-none"
          // biome-ignore lint/a11y/noNoninteractiveTabindex: it is moved by the arrow keys
          tabIndex={0}
          role="group"
          data-edge-drawing=""
          aria-label={`The edge on the ground, ${corners.length} corners. Arrow keys move the ground under the cross, Enter sets a ${sets} at the cross, Control and Z takes the last back.`}
          onClick={(e) => set(spotOf(e))}
          onKeyDown={(e) => {
            if (ground.onKey(e)) return;
            if (e.key === "Enter" && e.target === e.currentTarget) set(rounded(under(width / 2, height / 2)));
            else if (e.key === "z" && (e.ctrlKey || e.metaKey)) p.edge.takeBack?.();
            else return;
            e.preventDefault();
          }}
        >
          <g transform={ground.view.toString()} pointerEvents="none">
            <Ground features={base.data?.features ?? NO_FEATURES} projection={ground.projection} scale={quantised(ground.view.k)} />
          </g>
          <g pointerEvents="none" aria-hidden="true">
            {(p.others ?? []).map((o) => (
              <Outline key={o.name} on={ground} name={o.name} corners={o.corners as Corner[]} />
            ))}
            {place && place.boundary.length > 2 && <Outline on={ground} name={place.name} corners={place.boundary as Corner[]} />}
            {trees.slice(0, 300).map((t) => {
              const [x, y] = at(t.longitude, t.latitude);
              return (
                <g key={t.id} transform={`translate(${x.toFixed(1)} ${y.toFixed(1)}) scale(0.8)`} className={DANGER_TONE[t.danger]}>
                  {DANGER_SHAPE[t.danger]}
                  {trees.length <= 40 && (
                    <text x="12" y="5" className="fill-ink text-sm font-semibold" style={HALO}>
                      {t.tag}
                    </text>
                  )}
                </g>
              );
            })}
            {drawn.length > 1 && (
              <>
                <path d={`M${line(drawn)}`} fill="none" stroke="var(--ink)" strokeWidth="2" />
                <path
                  d={`M${line([drawn[drawn.length - 1] as Corner, drawn[0] as Corner])}`}
                  stroke="var(--ink)"
                  strokeWidth="2"
                  strokeDasharray={drawn.length > 2 ? undefined : "4 4"}
                />
              </>
            )}
          </g>
          {middles.map((m, i) => {
            const [x, y] = at(...m);
            const insert = () => draw({ corners: [...corners.slice(0, i + 1), m, ...corners.slice(i + 1)] });
            return (
              <g
                // biome-ignore lint/suspicious/noArrayIndexKey: a corner is where it stands in the row
                key={`m${i}`}
                transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})`}
                role="button"
                tabIndex={0}
                aria-label={`A new corner between ${i + 1} and ${((i + 1) % drawn.length) + 1}`}
                data-between={i + 1}
                className="cursor-copy"
                onClick={(e) => {
                  e.stopPropagation();
                  insert();
                }}
                onKeyDown={(e) => {
                  if (e.key !== "Enter" && e.key !== " ") return;
                  e.preventDefault();
                  e.stopPropagation();
                  insert();
                }}
              >
                <circle r="14" fill="transparent" />
                <circle r="3.5" fill="var(--ground)" stroke="var(--ink)" />
              </g>
            );
          })}
          {drawn.map((c, i) => {
            const [x, y] = at(...c);
            const out = () => draw({ corners: corners.filter((_, j) => j !== i) });
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: a corner is where it stands in the row
              <g key={i} transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})`} {...handle(i, c, `Corner ${i + 1}`, out)}>
                <circle r="20" fill="transparent" />
                <rect
                  x="-5"
                  y="-5"
                  width="10"
                  height="10"
                  fill={held?.which === i ? "var(--ink)" : "var(--sheet)"}
                  stroke="var(--ink)"
                  strokeWidth="2"
                />
                <text x="9" y="-8" className="fill-ink text-sm font-bold" style={HALO}>
                  {i + 1}
                </text>
              </g>
            );
          })}
          {gateAt && (
            <g
              transform={`translate(${at(...gateAt)
                .map((n) => n.toFixed(1))
                .join(" ")})`}
              {...handle("gate", gateAt, "The gate", () => draw({ gate: null }))}
            >
              <circle r="20" fill="transparent" />
              <path d="M-9 -8V8M9 -8V8M-9 -4L9 5M-9 5L9 -4" stroke="var(--ink)" strokeWidth="2" fill="none" />
              <text y="23" textAnchor="middle" className="fill-ink text-sm font-bold" style={HALO}>
                gate
              </text>
            </g>
          )}
          <Cross on={ground} />
          <ScaleAndNorth on={ground} units={p.units} />
        </svg>
        <ViewButtons on={ground} />
      </div>
      <p className="text-sm" aria-live="polite" data-edge-size="">
        {corners.length < 3
          ? `${corners.length} of at least 3 corners`
          : `${corners.length} corners, ${groundWords(area, p.units)}, ${distanceWords(round, p.units)} round`}
        {p.gated && (gate ? ", with a gate" : ", no gate: on a round the fence is climbed")}
      </p>
      <div className="flex flex-wrap items-end gap-3">
        {p.gated && (
          <Choice
            label="A press sets"
            value={sets}
            options={[
              { value: "corner", label: "a corner" },
              { value: "gate", label: "the gate" },
            ]}
            onChange={setSets}
          />
        )}
        <Button onClick={() => set(rounded(under(width / 2, height / 2)))}>
          {sets === "gate" ? "The gate at the cross" : "A corner at the cross"}
        </Button>
        <Button disabled={!p.edge.takeBack} onClick={() => p.edge.takeBack?.()}>
          Take the last back
        </Button>
        {gate && <Button onClick={() => draw({ gate: null })}>No gate</Button>}
      </div>
    </div>
  );
}

/** Follows a pointer until it is lifted; a press that hardly moved pulls nothing. */
function pull(
  from: { clientX: number; clientY: number },
  to: (at: Corner, done: boolean) => void,
  spotOf: (e: { clientX: number; clientY: number }) => Corner,
  ended: () => void,
) {
  let pulled = false;
  const move = (e: globalThis.PointerEvent) => {
    pulled ||= Math.hypot(e.clientX - from.clientX, e.clientY - from.clientY) > 3;
    if (pulled) to(spotOf(e), false);
  };
  const lift = (e: globalThis.PointerEvent) => {
    window.removeEventListener("pointermove", move);
    window.removeEventListener("pointerup", lift);
    window.removeEventListener("pointercancel", lift);
    ended();
    if (!pulled || e.type === "pointercancel") return;
    to(spotOf(e), true);
    // the click that ends a pull is none
    const none = (click: MouseEvent) => click.stopPropagation();
    window.addEventListener("click", none, { capture: true, once: true });
    setTimeout(() => window.removeEventListener("click", none, { capture: true }), 50);
  };
  window.addEventListener("pointermove", move);
  window.addEventListener("pointerup", lift);
  window.addEventListener("pointercancel", lift);
}

/** What is fenced or bounded there already. */
function Outline({ on, name, corners }: { on: GroundView; name: string; corners: Corner[] }) {
  const drawn = corners.map((c) => on.at(...c));
  if (drawn.length < 3) return null;
  const [x, y] = drawn.reduce((top, c) => (c[1] < top[1] ? c : top));
  return (
    <>
      <path d={`M${drawn.map((c) => c.map((n) => n.toFixed(1)).join(" ")).join("L")}Z`} fill="none" stroke="var(--ink)" strokeDasharray="2 4" />
      <text x={x} y={y - 6} textAnchor="middle" className="fill-ink text-xs" style={HALO}>
        {name}
      </text>
    </>
  );
}

const middleOf = (a: Corner, b: Corner): Corner => rounded([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]);
const NONE: never[] = [];
const NO_FEATURES: GeoJSON.Feature[] = [];
