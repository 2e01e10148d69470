import { spread } from "../../plates/ink";
import { type Organ, STATION } from "../../words/stations";
import { useBench } from "./bench";

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

/** How much was scored at each station, and how much of what is required is still open there. */
function useTally() {
  const { standing, required, characters } = useBench();
  const tally = (ids: string[]) => {
    const sum: Partial<Record<Organ, number>> = {};
    for (const id of ids) {
      const organ = characters.get(id)?.organ;
      if (organ) sum[organ] = (sum[organ] ?? 0) + 1;
    }
    return sum;
  };
  return {
    counts: tally(standing.map((s) => s.character)),
    open: tally([...required.values()].filter((r) => r.status !== "met").map((r) => r.character)),
  };
}

/** At the table the drawn tree and the stations stand beside the questions. */
export function StationAside() {
  const { move } = useBench();
  return (
    <aside className="hidden flex-col overflow-y-auto border-r border-rule p-3 wide:flex">
      <StationTree />
      <nav aria-label="Stations">
        <StationList />
      </nav>
      <button
        type="button"
        className="mt-auto min-h-8 pt-2 text-left text-sm text-faded underline underline-offset-4"
        onClick={() => move({ do: "ask", dialog: "keys" })}
      >
        Keys (?)
      </button>
    </aside>
  );
}

/** The tree, with the route walked around it. The list beside it does the same for keyboard and screen reader. */
function StationTree() {
  const { route, table, go } = useBench();
  const { counts } = useTally();
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
      {route.map((organ, i) => {
        const [x, y] = SPOT[organ];
        const on = organ === table.organ;
        const done = (counts[organ] ?? 0) > 0;
        return (
          // biome-ignore lint/a11y/noStaticElementInteractions: a second way in for the pointer; the list of stations beside it is the one for keyboards
          <g key={organ} onClick={() => go(organ)} className="cursor-pointer">
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
export function StationList({ strip = false }: { strip?: boolean }) {
  const { route, table, go } = useBench();
  const { counts, open } = useTally();
  return (
    <ol className={strip ? "flex gap-1 overflow-x-auto px-2 py-1" : "mt-2"}>
      {route.map((organ, i) => (
        <li key={organ} className={strip ? "shrink-0" : ""}>
          <button
            type="button"
            aria-current={organ === table.organ ? "step" : undefined}
            onClick={() => go(organ)}
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
