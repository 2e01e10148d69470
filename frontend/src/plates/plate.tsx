import type { Schemas } from "../api/client";
import { flower } from "./flower";
import { foliage } from "./foliage";
import { fruit } from "./fruit";
import { type Mark, Scene } from "./scene";
import { shoot } from "./shoot";
import { Traits } from "./traits";
import { bark, barkAges, crown } from "./wood";

type Described = Schemas["DescribedView"];

const SIDE = 132;
/** A small thing is drawn small: so many millimetres go into a field at the least. */
const LEAST: Record<string, number> = { leaf: 42, fruit: 26, flower: 24, twig: 36 };

/** What is drawn of a kind, organ by organ, each to its own scale with a rule beside it. */
export function organs(description: readonly Described[]): { organ: string; label: string; marks: Mark[] }[] {
  const t = new Traits(description);
  const coloured = (what: string, character: string) => {
    const often = t.often(character);
    const ripe = character === "fruit.colour" ? often.filter((s) => s.state !== "green") : often;
    const words = (ripe.length > 0 ? ripe : often).slice(0, 2).map((s) => s.label);
    return words.length > 0 ? `${what}, ${words.join(" or ")}` : what;
  };
  const needled = t.usual("leaf.kind") === "needle" || t.usual("leaf.kind") === "scale";
  return [
    { organ: "leaf", label: t.usual("leaf.kind") === "needle" ? "shoot, and a needle from beneath, broader than it is" : "leaf", marks: foliage(t) },
    { organ: "fruit", label: coloured("fruit", "fruit.colour"), marks: fruit(t) },
    // conifers have none that anybody looks at
    { organ: "flower", label: coloured("flower", "flower.colour"), marks: needled ? null : flower(t) },
    { organ: "twig", label: "twig in winter, and cut across", marks: shoot(t) },
    { organ: "bark", label: barkAges(t).length > 1 ? "bark, young and old" : "bark", marks: bark(t) },
    { organ: "outline", label: "outline", marks: crown(t) },
  ].flatMap((cell) => (cell.marks ? [{ ...cell, marks: cell.marks }] : []));
}

/** A plate of the species, drawn from nothing but its own description: what it usually shows, put together. */
export function Plate({ description, name }: { description: Described[]; name: string }) {
  return (
    <figure className="border border-ink bg-sheet p-1">
      <div className="grid grid-cols-2 border border-rule wide:grid-cols-3">
        {organs(description).map((cell) => (
          <div key={cell.organ} className="flex flex-col items-center p-1.5">
            <svg viewBox={`0 0 ${SIDE} ${SIDE}`} className="w-full" role="img" aria-label={cell.label} focusable="false">
              <Scene marks={cell.marks} wide={SIDE} high={SIDE} least={LEAST[cell.organ] ?? 0} />
            </svg>
            <span className="text-center text-xs text-faded">{cell.label}</span>
          </div>
        ))}
      </div>
      <figcaption className="p-1 text-center text-xs text-faded">
        <em>{name}</em>, drawn from its description; each to the scale of its rule
      </figcaption>
    </figure>
  );
}
