import { useMutation, useQueryClient } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Link, useSearchParams } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { useSession } from "../../api/queries";
import { Button, Choice, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { type Kind, One } from "./one";

const LONG = { metric: "m", imperial: ["ft", 0.3048] as [string, number] };
const ROUND = { metric: "cm", imperial: ["in", 2.54] as [string, number], gauge: ["cm", "in"] as [string, string] };

/** A tree, somebody who looks, and what is measured between them: drawn thin, what is measured drawn thick. */
const Sketch = ({ label, children }: { label: string; children: ReactNode }) => (
  <svg
    viewBox="0 0 320 130"
    className="my-1 w-full max-w-md border border-rule bg-sheet"
    role="img"
    aria-label={label}
    fill="none"
    stroke="currentColor"
  >
    <path d="M8 116H312" strokeWidth="1" />
    {children}
  </svg>
);
const TREE = <path d="M258 116V62M266 116V62M262 14c-24 10-38 22-38 34s16 18 38 18 38-6 38-18-14-24-38-34Z" strokeWidth="1.2" />;
const EYE = <path d="M40 116V88m-7 28 7-14 7 14M40 82a6 6 0 1 0 .1 0" strokeWidth="1.2" />;

const KINDS: (Kind & { name: string; gives?: "height" | "girth" })[] = [
  {
    id: "stems",
    name: "Girth",
    gives: "girth",
    title: "Girth and thickness",
    about:
      "The tape goes round level, 1.3 m above the ground on the upper side of the slope (4.5 ft in North America), above or below a swelling. Of several stems each is taped: together they are as one trunk of the same area.",
    drawing: (
      <Sketch label="A tape round each of two stems, at breast height">
        <path d="M120 116c4-40 2-70-6-104M150 116c-4-40-2-70 2-104M170 116c2-40 8-70 22-102M196 116c0-36 6-66 20-98" strokeWidth="1.2" />
        <path d="M119 80c8 5 22 5 30 0M174 80c7 5 17 5 24 0" strokeWidth="4" />
        <path d="M86 116V80M80 80h12" strokeWidth="1" strokeDasharray="4 3" />
      </Sketch>
    ),
    asks: [{ key: "girths", label: "Round each", list: true, ...ROUND }],
    ask: (query) => client.GET("/api/measuring/stems", { params: { query } }),
  },
  {
    id: "angles",
    name: "Height by two angles",
    gives: "height",
    title: "Height by two angles",
    about:
      "Go as far off as it is high, where top and foot are seen. Hold the gauge to the eye: up to the top, then down to the foot. The way to the trunk is measured level, or paced: paces times your pace.",
    drawing: (
      <Sketch label="Two lines of sight from the eye, one to the top, one to the foot">
        {TREE}
        {EYE}
        <path d="M46 84 262 14M46 84 262 116" strokeWidth="3" />
        <path d="M46 84H262" strokeWidth="1" strokeDasharray="4 3" />
      </Sketch>
    ),
    asks: [
      { key: "distance", label: "Level to the trunk", ...LONG },
      { key: "top", label: "Up to the top", metric: "°" },
      { key: "foot", label: "To the foot (down: below 0)", metric: "°", usual: "-5" },
    ],
    flag: ["paced", "The way was paced"],
    ask: (query) => client.GET("/api/measuring/height/angles", { params: { query } }),
  },
  {
    id: "stick",
    name: "Height by a stick",
    gives: "height",
    title: "Height by a stick",
    about: "Hold a straight stick upright at arm’s length, and go back until it just covers the tree from foot to top.",
    drawing: (
      <Sketch label="A stick held upright covers the tree">
        {TREE}
        {EYE}
        <path d="M46 84 262 14M46 84 262 116" strokeWidth="1" strokeDasharray="4 3" />
        <path d="M84 72V90" strokeWidth="4" />
      </Sketch>
    ),
    asks: [
      { key: "stick", label: "The stick is long", metric: "cm", imperial: ["in", 2.54] },
      { key: "near", label: "Eye to the stick", metric: "cm", imperial: ["in", 2.54] },
      { key: "far", label: "Eye to the tree", ...LONG },
    ],
    ask: (query) => client.GET("/api/measuring/height/stick", { params: { query } }),
  },
  {
    id: "shadow",
    name: "Height by shadows",
    gives: "height",
    title: "Height by shadows",
    about: "On level ground, with the sun not too high: somebody who knows how tall they are stands beside it. Measure both shadows at once.",
    drawing: (
      <Sketch label="Two shadows side by side on level ground">
        {TREE}
        <path d="M150 116V96m-5 20 5-10 5 10M150 90a5 5 0 1 0 .1 0" strokeWidth="1.2" />
        <path d="M262 122H132M150 127H118" strokeWidth="4" />
      </Sketch>
    ),
    asks: [
      { key: "pole", label: "Who stands there is tall", ...LONG },
      { key: "near", label: "and throws a shadow", ...LONG },
      { key: "far", label: "Shadow of the tree", ...LONG },
    ],
    ask: (query) => client.GET("/api/measuring/height/shadow", { params: { query } }),
  },
  {
    id: "spread",
    name: "Crown",
    title: "Spread of the crown",
    about: "From drip line to drip line through the trunk: the widest way, and the one square to it.",
    drawing: (
      <Sketch label="A crown from above with two ways across">
        <path d="M160 14c40-4 92 20 86 52s-58 50-100 46-76-26-72-52 46-42 86-46Z" strokeWidth="1.2" />
        <path d="M74 66H246M158 14V112" strokeWidth="3" />
      </Sketch>
    ),
    asks: [
      { key: "widest", label: "Widest", ...LONG },
      { key: "square", label: "Square to it", ...LONG },
    ],
    ask: (query) => client.GET("/api/measuring/spread", { params: { query } }),
  },
  {
    id: "lean",
    name: "Lean",
    title: "How far it leans",
    about:
      "Stand square to the lean and hang a cord with a stone from the hand, so that it runs past the foot. How far off is the trunk, at what height?",
    drawing: (
      <Sketch label="A plumb line beside a trunk that leans">
        <path d="M150 116 200 12M160 116 208 14" strokeWidth="1.2" />
        <path d="M155 116V12" strokeWidth="1" strokeDasharray="4 3" />
        <path d="M155 40H187" strokeWidth="4" />
      </Sketch>
    ),
    asks: [
      { key: "aside", label: "Off the plumb line", ...LONG },
      { key: "height", label: "at a height of", ...LONG },
    ],
    ask: (query) => client.GET("/api/measuring/lean", { params: { query } }),
  },
  {
    id: "points",
    name: "Points",
    title: "Points, and whether a lead is one",
    about: "Girth in inches, height in feet, and a quarter of the spread in feet, as American registers of large trees add them.",
    asks: [
      { key: "girth", label: "Girth", ...ROUND },
      { key: "height", label: "Height", ...LONG },
      { key: "spread", label: "Spread", ...LONG },
      { key: "otherGirth", label: "The other’s girth", metric: "cm", imperial: ["in", 2.54], usual: "0" },
      { key: "otherHeight", label: "its height", ...LONG, usual: "0" },
      { key: "otherSpread", label: "its spread", ...LONG, usual: "0" },
    ],
    ask: (query) => client.GET("/api/measuring/points", { params: { query } }),
  },
  {
    id: "age",
    name: "Age by girth",
    title: "Age by girth",
    about: "The growth factor stands on the page of the kind. Trees of the open grow faster than those of the wood.",
    asks: [
      { key: "girth", label: "Girth", ...ROUND },
      { key: "low", label: "Growth factor, at the least", metric: "" },
      { key: "high", label: "and at the most", metric: "" },
    ],
    ask: (query) => client.GET("/api/measuring/age", { params: { query } }),
  },
  {
    id: "rings",
    name: "Age by rings",
    title: "Age by rings",
    about:
      "On a stump, a core or a split: how many rings, on how much of the radius. Where they do not reach the middle, the rest is guessed, and widely.",
    drawing: (
      <Sketch label="Rings of a stump, with a part of the radius counted">
        <circle cx="160" cy="66" r="54" strokeWidth="1.2" />
        <circle cx="160" cy="66" r="42" strokeWidth="1" />
        <circle cx="160" cy="66" r="32" strokeWidth="1" />
        <circle cx="160" cy="66" r="22" strokeWidth="1" />
        <path d="M182 66H214" strokeWidth="4" />
      </Sketch>
    ),
    asks: [
      { key: "rings", label: "Rings counted", metric: "" },
      { key: "over", label: "They lie on", metric: "cm", imperial: ["in", 2.54], gauge: ["cm", "in"] },
      { key: "radius", label: "Whole radius", metric: "cm", imperial: ["in", 2.54], gauge: ["cm", "in"] },
    ],
    ask: (query) => client.GET("/api/measuring/rings", { params: { query } }),
  },
  {
    id: "twig",
    name: "A twig’s years",
    title: "A twig’s years",
    about:
      "From one ring of scale scars to the next is one season. Begin at the tip. Some kinds grow twice in a summer and leave a second, weaker ring.",
    drawing: (
      <Sketch label="A twig with rings of scars between the seasons">
        <path d="M20 78C90 66 180 60 292 48M20 88C90 76 180 68 292 56" strokeWidth="1.2" />
        <path d="m292 48 14-2-14 10M96 68l2 14M98 68l2 14M190 59l2 12M192 59l2 12M248 53l2 10M250 53l2 10" strokeWidth="1.5" />
        <path d="M99 100h93m-93-5v10m93-10v10" strokeWidth="3" />
      </Sketch>
    ),
    asks: [{ key: "pieces", label: "From scar to scar", list: true, metric: "mm", imperial: ["in", 25.4], gauge: ["mm", "in"] }],
    flag: ["growing", "The tip still grows"],
    ask: (query) => client.GET("/api/measuring/twig", { params: { query } }),
  },
];

/** Sizes and ages, by what one has at hand; what was measured of a tree is kept there with one press. */
export default function Measure() {
  const [params, setParams] = useSearchParams();
  const session = useSession().data;
  const imperial = session?.user?.units === "imperial";
  const kind = KINDS.find((k) => k.id === params.get("what")) ?? KINDS[0];
  const tree = params.get("tree") ?? "";
  const tag = params.get("tag") ?? "";
  if (!kind) return null;
  return (
    <div className="mx-auto max-w-3xl px-4 py-5 wide:px-6">
      <PageHead title={tag ? `Measure ${tag}` : "Measure"} lead="By what one has at hand, each with how far it may be off." />
      {tree && (
        <p className="pt-1">
          <Link to={`/trees/${tree}`} className="inline-flex min-h-11 items-center underline">
            Back to the tree
          </Link>
        </p>
      )}
      <div className="mt-3">
        <Choice
          label="What is measured"
          value={kind.id}
          options={KINDS.map((k) => ({ value: k.id, label: k.name }))}
          onChange={(what) => setParams({ what, ...(tree && { tree, tag }) }, { replace: true })}
        />
      </div>
      <div className="mt-4">
        <One
          key={kind.id}
          kind={kind}
          imperial={imperial}
          after={(found) =>
            tree && kind.gives && session?.user?.role !== "guest" ? (
              <KeepIt tree={tree} tag={tag} gives={kind.gives} how={kind.title} found={found} today={session?.today ?? ""} />
            ) : null
          }
        />
      </div>
    </div>
  );
}

function KeepIt(p: { tree: string; tag: string; gives: "height" | "girth"; how: string; found: Schemas["FiguresFoundView"]; today: string }) {
  const queries = useQueryClient();
  const value = p.found.figures.find((f) => f.name === (p.gives === "height" ? "height-metres" : "girth-centimetres"))?.most ?? 0;
  const keep = useMutation({
    mutationFn: () =>
      unwrap(
        client.POST("/api/specimens/{id}/measures", {
          params: { path: { id: p.tree } },
          body: {
            on: p.today,
            girth: p.gives === "girth" ? Math.round(value * 10) / 10 : null,
            height: p.gives === "height" ? Math.round(value * 10) / 10 : null,
            lowest: null,
            note: p.how,
          },
        }),
      ),
    onSuccess: () => void queries.invalidateQueries({ queryKey: ["tree", p.tree] }),
  });
  return keep.isSuccess ? (
    <p role="status" className="mt-2 font-semibold">
      It stands with {p.tag} now.
    </p>
  ) : (
    <div className="mt-2">
      <Button tone="ink" disabled={keep.isPending} onClick={() => keep.mutate()}>
        Keep it with {p.tag}
      </Button>
      {keep.error && <Trouble error={keep.error} />}
    </div>
  );
}
