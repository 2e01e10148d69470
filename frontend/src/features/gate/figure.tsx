import { GATE_TONE, type GateState } from "../../words/gate";

/** The gate, drawn as a field gate. Withheld: shut, one hatching. Barred: shut, cross-hatched, beam across. Cleared: it stands open. */

function lines(step: number, slope: 1 | -1): string {
  return Array.from({ length: 40 }, (_, i) => {
    const at = -90 + i * step;
    return slope === 1 ? `M${at} 78L${at + 78} 0` : `M${at} 0L${at + 78} 78`;
  }).join("");
}

export function GateFigure({ state, width = 150, id }: { state: GateState; width?: number; id: string }) {
  const bars = [16, 33, 50, 67];
  return (
    <svg
      viewBox="0 0 150 84"
      width={width}
      height={(width * 84) / 150}
      className={GATE_TONE[state]}
      fill="none"
      stroke="currentColor"
      strokeLinecap="round"
      aria-hidden="true"
      focusable="false"
    >
      <clipPath id={`gate-${id}`}>
        <rect x="16" y="12" width="118" height="62" />
      </clipPath>
      <g clipPath={`url(#gate-${id})`} strokeWidth={state === "barred" ? 1.5 : 1.3}>
        {(state === "withheld" || state === "barred") && <path d={lines(8, 1)} />}
        {state === "barred" && <path d={lines(8, -1)} />}
        {state === "cleared" && <path d="M40 74L70 30H80L110 74M66 36H84M62 42H88M58 48H92M54 56H96M48 64H102" strokeWidth="0.8" />}
      </g>
      <path d="M4 80H146" strokeWidth="1.5" />
      <g strokeWidth="5">
        <path d="M13 78V6M137 78V6" />
      </g>
      {state === "cleared" ? (
        <g strokeWidth="2.6">
          {bars.map((y, i) => (
            <path key={y} d={`M16 ${y}L40 ${y + 6 - i * 1.2}M134 ${y}L110 ${y + 6 - i * 1.2}`} />
          ))}
          <path d="M40 22V70M110 22V70" />
        </g>
      ) : (
        <g strokeWidth="3">
          {bars.map((y) => (
            <path key={y} d={`M16 ${y}H134`} />
          ))}
          <path d="M75 16V68" strokeWidth="2.4" />
          {state === "barred" && <path d="M10 74L140 10" strokeWidth="8" />}
        </g>
      )}
    </svg>
  );
}
