import type { ReactNode } from "react";

const COLOURS: Record<string, [string, number]> = {
  // a tint, and the angle of the hatching that stands for it in grey
  grey: ["#9aa3a1", 90],
  "grey-brown": ["#93836f", 60],
  "red-brown": ["#96543a", 30],
  olive: ["#7b7f3c", 0],
  green: ["#6f9a4d", 0],
  red: ["#b3202f", 30],
  brown: ["#7f5a38", 60],
  purple: ["#5a3a5e", 120],
  cream: ["#efe6bd", 150],
  white: ["#fdfdf8", -1],
  yellow: ["#e6c229", 90],
  greenish: ["#c5d27e", 0],
  reddish: ["#b5485a", 30],
  black: ["#22202a", 45],
  blue: ["#4f6590", 150],
  pink: ["#d987a0", 60],
  silver: ["#c9d2d2", 120],
  yellowish: ["#c4a660", 90],
  straw: ["#cbb079", 75],
  tan: ["#b5763f", 15],
  orange: ["#d9622b", 90],
};
/** Where the same word means another tint. */
const NAMED: Record<string, string> = {
  "flower-green": "greenish",
  "flower-red": "reddish",
  "twig-grey": "grey-brown",
  "twig-red": "red-brown",
  "twig-redder": "red",
  "twig-orange": "tan",
  "bark-yellow": "yellowish",
  "inner-green": "greenish",
  "inner-brown": "grey-brown",
  "under-blue": "grey",
  "bud-grey": "grey",
};
const SWATCH: Record<string, string> = {
  inner: "M10 10H54V54H10Z",
  under: "M32 60C12 46 14 18 32 4C50 18 52 46 32 60Z",
  bark: "M14 6H50V58H14Z",
  twig: "M24 60L29 4H37L42 60Z",
  bud: "M32 60C12 50 16 18 32 4C48 18 52 50 32 60Z",
  flower:
    "M32 32C20 26 22 6 32 6C42 6 44 26 32 32C38 20 58 22 58 32C58 42 38 44 32 32C44 38 42 58 32 58C22 58 20 38 32 32C26 44 6 42 6 32C6 22 26 20 32 32Z",
  fruit: "M32 12C14 8 8 28 12 40C16 56 28 58 32 56C36 58 48 56 52 40C56 28 50 8 32 12ZM32 12Q33 6 38 4",
};
/** A colour on the thing that has it, with a hatching that stands for it in grey. */
export const swatch = (organ: string, colour: string): ReactNode => {
  const [tint, angle] = COLOURS[NAMED[`${organ}-${colour}`] ?? colour] ?? ["#888", 45];
  const id = `sw-${organ}-${colour}`;
  const d = SWATCH[organ] ?? SWATCH.fruit ?? "";
  return (
    <g>
      <clipPath id={id}>
        <path d={d} />
      </clipPath>
      <path d={d} fill={tint} />
      {angle >= 0 && (
        <g clipPath={`url(#${id})`} strokeWidth="0.7" opacity="0.55" transform="">
          <g transform={`rotate(${angle} 32 32)`}>
            {Array.from({ length: 20 }, (_, i) => -14 + i * 5).map((y) => (
              <path key={y} d={`M-20 ${y}H84`} />
            ))}
          </g>
        </g>
      )}
    </g>
  );
};
