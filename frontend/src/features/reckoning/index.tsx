import { client } from "../../api/client";
import { useSession } from "../../api/queries";
import { PageHead } from "../../ui/page-head";
import { type Kind, One } from "./one";
import { Stack } from "./stack";

const WEIGHT = { metric: "kg", one: 1000, imperial: ["lb", 453.59237] as [string, number] };
const KINDS: Kind[] = [
  {
    id: "drying",
    title: "Drying",
    about: "What fruit, nuts or wood weigh when they are dry: what is dry in them stays.",
    asks: [
      { key: "grams", label: "Weight now", ...WEIGHT },
      { key: "now", label: "Water now, of all of it", metric: "%" },
      { key: "then", label: "Water then, of all of it", metric: "%" },
    ],
    ask: (query) => client.GET("/api/reckoning/drying", { params: { query } }),
  },
  {
    id: "air",
    title: "Wood in air",
    about: "How dry wood gets where it lies. By the curve of the US Wood Handbook.",
    asks: [
      { key: "celsius", label: "Warmth of the air", metric: "°C", imperial: ["°F", 0] },
      { key: "humidity", label: "Humidity", metric: "%" },
    ],
    ask: (query) => client.GET("/api/reckoning/air", { params: { query } }),
  },
  {
    id: "leaching",
    title: "Leaching",
    about: "How often the water is changed. The oaks of the red group need more than those of the white; hot water is quicker.",
    asks: [
      { key: "meal", label: "Dry meal", ...WEIGHT },
      { key: "water", label: "Water to each change", ...WEIGHT },
      { key: "left", label: "May be left", metric: "%", usual: "1" },
    ],
    pick: [
      "group",
      "Group of the oak",
      [
        ["", "not known"],
        ["white", "white oaks: lobes rounded"],
        ["red", "red oaks: lobes with bristles"],
      ],
    ],
    ask: (query) => client.GET("/api/reckoning/leaching", { params: { query } }),
  },
  {
    id: "preserve",
    title: "Jelly, jam and syrup",
    about: "How much comes of it, and how much water has to boil off. Jelly sets at about 65 % dissolved.",
    asks: [
      { key: "fruit", label: "Fruit or juice", ...WEIGHT },
      { key: "sugar", label: "Sugar", ...WEIGHT },
      { key: "soluble", label: "Dissolved in it already", metric: "%", usual: "10" },
      { key: "share", label: "Dissolved in the end", metric: "%", usual: "65" },
    ],
    ask: (query) => client.GET("/api/reckoning/preserve", { params: { query } }),
  },
  {
    id: "kernels",
    title: "Kernels from nuts",
    about: "By a count of sound ones: cut twenty open, or float forty.",
    asks: [
      { key: "grams", label: "Nuts in the shell", ...WEIGHT },
      { key: "opened", label: "Looked at", metric: "" },
      { key: "sound", label: "Sound", metric: "" },
      { key: "kernel", label: "Kernel in a sound one", metric: "%", usual: "40" },
    ],
    ask: (query) => client.GET("/api/reckoning/kernels", { params: { query } }),
  },
  {
    id: "cord",
    title: "Cord",
    about: "How long it gets. No cord made by hand holds a person.",
    asks: [
      { key: "grams", label: "Dry fibre", metric: "g", imperial: ["oz", 28.349523125] },
      { key: "millimetres", label: "Across the cord", metric: "mm", imperial: ["in", 25.4] },
    ],
    ask: (query) => client.GET("/api/reckoning/cord", { params: { query } }),
  },
  {
    id: "firewood",
    title: "Firewood",
    about: "What a stack weighs, and the heat in it. The density of a kind stands on its page.",
    asks: [
      { key: "stacked", label: "Stacked", metric: "m³", imperial: ["cords", 3.624556] },
      { key: "density", label: "Density, air dry", metric: "kg/m³", imperial: ["lb/ft³", 16.018463] },
      { key: "water", label: "Water, of all of it", metric: "%", usual: "20" },
      { key: "perDay", label: "Burnt in a day (may stay empty)", metric: "kWh", imperial: ["thousand Btu", 0.293071], usual: "0" },
      { key: "price", label: "Price of it (may stay empty)", metric: "a stacked m³", imperial: ["a cord", 1 / 3.624556], usual: "0" },
    ],
    flag: ["resinous", "A conifer"],
    ask: (query) => client.GET("/api/reckoning/firewood", { params: { query } }),
  },
  {
    id: "log",
    title: "A log",
    about: "What is in it, what a mill makes of it, and how many posts. Diameters are inside the bark.",
    asks: [
      { key: "butt", label: "Across the butt", metric: "cm", imperial: ["in", 2.54] },
      { key: "top", label: "Across the top", metric: "cm", imperial: ["in", 2.54] },
      { key: "length", label: "Length", metric: "m", imperial: ["ft", 0.3048] },
      { key: "post", label: "A post is long", metric: "m", imperial: ["ft", 0.3048], usual: "2.2" },
      { key: "face", label: "and wide", metric: "cm", imperial: ["in", 2.54], usual: "11" },
      { key: "class", label: "Class of the heartwood, 1 to 5", metric: "", usual: "0" },
      { key: "perFoot", label: "Price of a board foot", metric: "", usual: "0" },
      { key: "perStacked", label: "Price of firewood", metric: "a stacked m³", imperial: ["a cord", 1 / 3.624556], usual: "0" },
    ],
    ask: (query) => client.GET("/api/reckoning/log", { params: { query } }),
  },
  {
    id: "stem",
    title: "A tree that stands",
    about: "What is in its stem. How it is measured stands on the page of measuring.",
    asks: [
      { key: "girth", label: "Girth at breast height", metric: "cm", imperial: ["in", 2.54] },
      { key: "height", label: "Height", metric: "m", imperial: ["ft", 0.3048] },
    ],
    ask: (query) => client.GET("/api/reckoning/stem", { params: { query } }),
  },
  {
    id: "board",
    title: "A board moves",
    about: "How wide it is where it is to live. Across the rings wood shrinks half as much as along them.",
    asks: [
      { key: "millimetres", label: "Wide now", metric: "mm", imperial: ["in", 25.4] },
      { key: "green", label: "Shrinks from green to dry", metric: "%" },
      { key: "now", label: "Moisture now, of what is dry", metric: "%" },
      { key: "then", label: "Moisture then", metric: "%" },
    ],
    ask: (query) => client.GET("/api/reckoning/board", { params: { query } }),
  },
];

/** What people reckon in the head. Nothing of it is kept. */
export default function Reckoning() {
  const imperial = useSession().data?.user?.units === "imperial";
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6">
      <PageHead title="Reckon" lead="What people reckon in the head, at the pot, the stack and the log. Nothing of it is kept." />
      <div className="mt-4 grid gap-x-10 gap-y-6 wide:grid-cols-2">
        <Stack imperial={imperial} />
        {KINDS.map((kind) => (
          <One key={kind.id} kind={kind} imperial={imperial} />
        ))}
      </div>
    </div>
  );
}
