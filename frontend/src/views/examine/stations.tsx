import type { Schemas } from "../../api/client";
import { spread } from "../../plates/geometry";

export type Organ = Schemas["Organ"];
export const ORGANS: readonly Organ[] = ["outline", "bark", "twig", "bud", "leaf", "flower", "fruit", "scent", "wood", "site"];

export const STATION: Record<Organ, { name: string; short: string }> = {
  outline: { name: "Stand back: outline", short: "Outline" },
  bark: { name: "Bark", short: "Bark" },
  twig: { name: "Branch and twig", short: "Branch" },
  bud: { name: "Buds", short: "Buds" },
  leaf: { name: "Leaves", short: "Leaves" },
  flower: { name: "Flowers", short: "Flowers" },
  fruit: { name: "Fruit and seed", short: "Fruit" },
  scent: { name: "Smell and sap", short: "Smell" },
  wood: { name: "Wood", short: "Wood" },
  site: { name: "Ground", short: "Ground" },
};

export type RouteId = "branch-first" | "bark-first" | "leaf-first" | "outline-inward";
export const ROUTES: Record<RouteId, { label: string; order: Organ[] }> = {
  "branch-first": { label: "branch first", order: ["twig", "bud", "leaf", "flower", "fruit", "scent", "bark", "outline", "wood", "site"] },
  "bark-first": { label: "bark first", order: ["bark", "outline", "twig", "bud", "leaf", "flower", "fruit", "scent", "wood", "site"] },
  "leaf-first": { label: "leaf first", order: ["leaf", "twig", "bud", "flower", "fruit", "scent", "bark", "outline", "wood", "site"] },
  "outline-inward": { label: "outline inward", order: ["outline", "bark", "twig", "bud", "leaf", "flower", "fruit", "scent", "wood", "site"] },
};

/** Where each station lies on the drawn tree. */
const SPOT: Record<Organ, [number, number]> = {
  outline: [150, 30],
  bark: [96, 196],
  twig: [40, 96],
  bud: [22, 70],
  leaf: [62, 62],
  flower: [100, 34],
  fruit: [140, 84],
  scent: [120, 124],
  wood: [84, 150],
  site: [36, 224],
};

type Props = { route: RouteId; current: Organ; counts: Record<string, number>; open: Record<string, number>; onGo: (organ: Organ) => void };

/** The tree, with the route walked around it. The list beside it does the same for keyboard and screen reader. */
export function StationTree({ route, current, counts, onGo }: Props) {
  const order = ROUTES[route].order;
  return (
    <svg viewBox="0 0 180 244" className="w-full" fill="none" stroke="currentColor" strokeLinecap="round" aria-hidden="true" focusable="false">
      <g strokeWidth="1.2">
        <path d="M78 232C84 200 82 170 86 140M106 232C100 200 100 170 98 140M78 232H62M106 232H124" strokeWidth="2" />
        <path d="M88 142C70 120 56 112 34 96M96 142C112 118 128 108 146 92M92 146C92 110 92 70 94 38M90 110C78 92 70 82 60 68M94 96C104 76 112 66 122 56" />
        <path
          d="M20 108C4 92 10 66 28 60C26 40 46 26 62 32C72 10 108 8 118 26C142 20 162 40 156 60C172 70 172 96 154 106C150 122 128 128 116 120C102 130 78 128 70 118C54 126 30 124 20 108Z"
          fill="var(--plate-fill)"
          fillOpacity="0.55"
        />
        <g strokeWidth="0.5">
          {spread(96, 162, 12).map((x) => (
            <path key={x} d={`M${x} ${44 + (x - 96) / 3}L${x - 18} ${110}`} />
          ))}
        </g>
        <path d="M8 233H172" />
        {spread(146, 224, 9).map((y, i) => (
          <path key={y} d={`M${84 + (i % 2) * 6} ${y}l5 8`} strokeWidth="0.7" />
        ))}
      </g>
      {order.map((organ, i) => {
        const [x, y] = SPOT[organ];
        const on = organ === current;
        const done = (counts[organ] ?? 0) > 0;
        return (
          // biome-ignore lint/a11y/noStaticElementInteractions: a second way in for the pointer; the list of stations beside it is the one for keyboards
          <g key={organ} onClick={() => onGo(organ)} className="cursor-pointer">
            <circle cx={x} cy={y} r="22" fill="transparent" stroke="none" />
            <circle
              cx={x}
              cy={y}
              r={on ? 12 : 9.5}
              fill={on ? "var(--ink)" : done ? "var(--pressed)" : "var(--sheet)"}
              strokeWidth={on ? 2.5 : 1.2}
            />
            <text x={x} y={y + 3.6} textAnchor="middle" fontSize="10.5" fontWeight="700" stroke="none" fill={on ? "var(--ground)" : "var(--ink)"}>
              {i + 1}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** The stations in the order of the route. */
export function StationList({ route, current, counts, open, onGo, strip = false }: Props & { strip?: boolean }) {
  return (
    <ol className={strip ? "flex gap-1 overflow-x-auto px-2 py-1" : "mt-2"}>
      {ROUTES[route].order.map((organ, i) => (
        <li key={organ} className={strip ? "shrink-0" : ""}>
          <button
            type="button"
            aria-current={organ === current ? "step" : undefined}
            onClick={() => onGo(organ)}
            className={`relative flex min-h-11 w-full items-center gap-1.5 text-left wide:min-h-8 ${strip ? "rounded-sm border border-rule px-2.5" : "rounded-sm px-2"} aria-[current]:bg-ink aria-[current]:text-ground hover:bg-pressed hover:text-ink`}
          >
            <span className="figures w-5 text-sm opacity-80">{i + 1}</span>
            <span className="flex-1 font-semibold">{STATION[organ].short}</span>
            {(open[organ] ?? 0) > 0 && (
              <span className="text-sm" title="required and open">
                <span aria-hidden="true">◇{open[organ]}</span>
                <span className="sr-only">{open[organ]} required open</span>
              </span>
            )}
            {(counts[organ] ?? 0) > 0 && (
              <span className="figures text-sm">
                <span aria-hidden="true">✓{counts[organ]}</span>
                <span className="sr-only">{counts[organ]} scored</span>
              </span>
            )}
          </button>
        </li>
      ))}
    </ol>
  );
}
