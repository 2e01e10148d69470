import type { CSSProperties } from "react";
import type { Schemas } from "../api/client";
import type { Base, Blade, Lobes, Margin } from "./geometry";
import { drawing } from "./glyphs";
import { Leaf, type LeafKind } from "./leaf";
import { type Crown, Outline, type Stems } from "./outline";
import { type Arrangement, type BudShape, Twig } from "./twig";

type Described = Schemas["DescribedView"];

/** Berries of these colours are left open in the engraving; dark ones are inked. */
const PALE = new Set(["white", "yellow", "pink", "green", "orange"]);
/** So often, at least, a tree shows what stands in words under its drawing. */
const OFTEN = 0.25;

/** A plate of the species, drawn from nothing but its own description: what it usually shows, put together. */
export function Plate({ description, name }: { description: Described[]; name: string }) {
  const by = new Map(description.map((d) => [d.character, d]));
  const usual = <T extends string>(id: string): T | undefined => by.get(id)?.states[0]?.state as T | undefined;
  const middle = (id: string): number | undefined => {
    const numbers = by
      .get(id)
      ?.range?.replace(/\([^)]*\)/g, "")
      .match(/\d+/g)
      ?.map(Number);
    return numbers?.length ? Math.round(((numbers[0] ?? 0) + (numbers[numbers.length - 1] ?? 0)) / 2) : undefined;
  };
  const figure = (id: string) => drawing(by.get(id)?.states[0]?.drawing ?? "");
  const colours = (id: string) => {
    const often = by.get(id)?.states.filter((state) => state.share >= OFTEN) ?? [];
    const ripe = often.filter((state) => state.state !== "green");
    return ripe.length ? ripe : often;
  };
  const coloured = (what: string, id: string) =>
    [
      what,
      ...colours(id)
        .slice(0, 2)
        .map((state) => state.label),
    ]
      .join(", ")
      .replace(/, ([^,]*), ([^,]*)$/, ", $1 or $2");
  const fruit = figure("fruit.kind");
  const berry = PALE.has(colours("fruit.colour")[0]?.state ?? "") ? ({ "--plate-berry": "var(--plate-fill)" } as CSSProperties) : undefined;
  const kind = usual<LeafKind>("leaf.kind");
  const edge = usual<Margin | "saw-teeth">("leaf.margin") ?? "smooth";
  const margin: Margin = edge === "saw-teeth" ? `${usual<"fine" | "middling" | "coarse">("leaf.teeth") ?? "middling"}-teeth` : edge;
  const form = usual<string>("outline.habit");
  const stems: Stems = form === "climber" || form === "herb" ? form : (usual<Stems>("outline.stems") ?? "single");
  const rows = usual<Arrangement>("leaf.arrangement") ?? "alternate";
  const arrangement: Arrangement = rows === "alternate" && usual<string>("leaf.ranks") === "all-round" ? "spiral" : rows;
  const lobed = usual<Lobes["kind"]>("leaf.lobes");
  const cells = [
    { label: "outline", art: <Outline crown={usual<Crown>("outline.crown") ?? "round"} stems={stems} /> },
    { label: "bark", art: figure("bark.surface") },
    {
      label: "twig",
      art: (
        <Twig
          arrangement={arrangement}
          {...(usual<BudShape>("bud.shape") ? { bud: usual<BudShape>("bud.shape") as BudShape } : {})}
          spines={usual<"paired" | "single" | "branched" | "none">("twig.spines") ?? "none"}
        />
      ),
    },
    {
      label: "leaf",
      art: kind ? (
        <Leaf
          kind={kind}
          leaflets={middle("leaf.leaflet-count") ?? 7}
          shape={usual<Blade>("leaf.outline") ?? "egg"}
          margin={margin}
          base={usual<Base>("leaf.base") ?? "equal"}
          {...(lobed && lobed !== "none"
            ? {
                lobes: {
                  kind: lobed,
                  tips: usual<Lobes["tips"]>("leaf.lobe-tips") ?? "rounded",
                  depth: usual<Lobes["depth"]>("leaf.lobe-depth") ?? "half",
                },
              }
            : {})}
        />
      ) : null,
    },
    { label: coloured("flower", "flower.colour"), art: figure("flower.head") },
    {
      label: coloured("fruit", "fruit.colour"),
      art: fruit && <g style={berry}>{fruit}</g>,
    },
  ].filter((cell) => cell.art !== null);
  return (
    <figure className="border border-ink bg-sheet p-1">
      <div className="grid grid-cols-3 border border-rule">
        {cells.map((cell) => (
          <div key={cell.label} className="flex flex-col items-center p-2">
            <svg
              viewBox="0 0 64 64"
              className="w-full max-w-32"
              fill="none"
              stroke="currentColor"
              strokeWidth="1.1"
              strokeLinecap="round"
              strokeLinejoin="round"
              aria-hidden="true"
              focusable="false"
            >
              {cell.art}
            </svg>
            <span className="text-xs text-faded">{cell.label}</span>
          </div>
        ))}
      </div>
      <figcaption className="p-1 text-center text-xs text-faded">
        <em>{name}</em>, drawn from its description, not to scale
      </figcaption>
    </figure>
  );
}
