import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import type { Schemas } from "../api/client";
import { GateFigure } from "../features/gate/figure";
import { HarmMark, SeverityMark, StandingMark } from "../ui/marks";
import { GATE_WORD, type GateState } from "../words/gate";
import { TINT } from "./ink";
import { Plate } from "./plate";

/** A description as the server gives it: of each character the states, most frequent first. */
const described = (values: Record<string, string>): Schemas["DescribedView"][] =>
  Object.entries(values).map(([id, state]) => ({
    character: id,
    label: id,
    organ: id.split(".")[0] as Schemas["DescribedView"]["organ"],
    range: null,
    states: [{ state, label: state, definition: "", drawing: "", share: 1 }],
  }));
const plate = (values: Record<string, string>) => renderToStaticMarkup(<Plate description={described(values)} name="Arbor ficta" />);

const MAPLE = {
  "leaf.kind": "simple",
  "leaf.lobes": "finger",
  "leaf.lobe-tips": "pointed",
  "leaf.lobe-depth": "half",
  "leaf.arrangement": "opposite",
};

describe("a plate", () => {
  it("draws nothing the description does not say", () => {
    const bare = plate({ "outline.crown": "cone" });
    expect(bare).toContain("outline");
    expect(bare).not.toContain(">leaf<");
    expect(bare).not.toContain(">bark<");
    expect(plate({ "leaf.kind": "simple" })).toContain(">leaf<");
  });
  it.each([
    ["lobes", { ...MAPLE, "leaf.lobes": "feather" }],
    ["depth of the gaps", { ...MAPLE, "leaf.lobe-depth": "deep" }],
    ["tips of the lobes", { ...MAPLE, "leaf.lobe-tips": "rounded" }],
    ["arrangement", { ...MAPLE, "leaf.arrangement": "alternate" }],
    ["kind of leaf", { ...MAPLE, "leaf.kind": "pinnate", "leaf.lobes": "none" }],
    ["thorns", { ...MAPLE, "twig.spines": "paired" }],
    ["crown", { ...MAPLE, "outline.crown": "cone" }],
  ])("shows by its %s that it is another tree", (_, other) => {
    expect(plate(other)).not.toBe(plate(MAPLE));
  });
  it("gives fruit its own colour, white in the dark as well, and says it in words", () => {
    const berries = (colours: [string, number][]) =>
      renderToStaticMarkup(
        <Plate
          name="Arbor ficta"
          description={described({ "fruit.kind": "small-drupes", "fruit.colour": "" }).map((d) =>
            d.character === "fruit.kind"
              ? { ...d, states: [{ state: "small-drupes", label: "many small drupes", definition: "", drawing: "fruit-drupes", share: 1 }] }
              : { ...d, states: colours.map(([state, share]) => ({ state, label: state, definition: "", drawing: "", share })) },
          )}
        />,
      );
    const white = berries([
      ["white", 0.8],
      ["yellow", 0.2],
    ]);
    expect(white).toContain(">fruit, white<");
    expect(white).toContain(TINT.white);
    const black = berries([
      ["green", 0.5],
      ["black", 0.3],
      ["purple", 0.25],
    ]);
    expect(black).toContain(">fruit, black or purple<");
    expect(black).toContain(TINT.black);
    expect(berries([["green", 1]])).toContain(">fruit, green<");
  });
  it("tells willow, poplar, hazel and oak apart by their catkins", () => {
    const catkin = { "flower.head": "catkin", "flower.kind": "no-petals", "flower.colour": "yellow" };
    const furry = { ...catkin, "flower.time": "before", "flower.sexes": "two-trees" };
    const drawn = [
      plate({ ...furry, "flower.anthers": "yellow" }),
      plate({ ...furry, "flower.anthers": "purple" }),
      plate({ ...catkin, "flower.time": "before", "flower.winter-catkins": "catkins" }),
      plate({ ...catkin, "flower.time": "with" }),
    ];
    expect(new Set(drawn).size).toBe(4);
  });
  it("draws a leaf three times feathered with more leaflets than one twice feathered", () => {
    const leaf = (divided: string) => plate({ "leaf.kind": "twice-pinnate", "leaf.divided": divided }).length;
    expect(leaf("thrice")).toBeGreaterThan(1.5 * leaf("twice"));
  });
  it("names the tree in words beside the drawing", () => {
    expect(plate(MAPLE)).toContain("<em>Arbor ficta</em>, drawn from its description");
  });
});

describe("never colour alone", () => {
  const strip = (markup: string) => markup.replace(/class="[^"]*"/g, "").replace(/id="[^"]*"|url\([^)]*\)/g, "");
  it("the states of the gate differ without their colour", () => {
    const figures = (["withheld", "barred", "cleared", "unasked"] as GateState[]).map((state) =>
      strip(renderToStaticMarkup(<GateFigure state={state} id="x" />)),
    );
    expect(new Set(figures).size).toBe(4);
    expect(new Set(Object.values(GATE_WORD)).size).toBe(4);
  });
  it("the standing of a point differs without its colour, and is told in a word", () => {
    const marks = (["met", "open", "broken"] as const).map((standing) => renderToStaticMarkup(<StandingMark standing={standing} />));
    expect(new Set(marks.map(strip)).size).toBe(3);
    marks.forEach((mark, i) => {
      expect(mark).toContain(["met", "open", "broken"][i]);
    });
  });
  it("the severer, the more thorns, and none for what is not counted as dangerous", () => {
    const thorns = (severity: Schemas["Severity"]) => (renderToStaticMarkup(<SeverityMark severity={severity} />).match(/<path/g) ?? []).length;
    expect([thorns("mild"), thorns("serious"), thorns("deadly")]).toEqual([2, 3, 4]);
    expect(thorns("harmless")).toBe(0);
    const harms = [
      { who: "people", severity: "mild" },
      { who: "horses", severity: "deadly" },
      { who: "cattle", severity: "deadly" },
    ] as const;
    const told = renderToStaticMarkup(<HarmMark severity="harmless" harms={harms} />).replace(/<[^>]*>/g, "");
    expect(told).toContain("deadly to horses, cattle");
    expect(told).not.toContain("not counted");
    expect(renderToStaticMarkup(<SeverityMark severity="harmless" />)).toContain("not counted as dangerous");
  });
});
