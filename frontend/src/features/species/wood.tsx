import { useQuery } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { useSession, woodQuery } from "../../api/queries";
import { Choice, Loading, Name, Sideways, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { capital } from "../../words/text";

type Wood = Schemas["WoodView"];

/** What the wood must do, and by which figure the better ones stand first. */
const TASKS = {
  all: { label: "anything", fits: () => true, order: (w: Wood) => -(w.densityMost ?? 0) },
  fuel: { label: "burn hot", fits: (w: Wood) => w.uses.includes("fuel"), order: (w: Wood) => -(w.heatMost ?? 0) },
  fire: { label: "light", fits: (w: Wood) => w.uses.includes("fire"), order: (w: Wood) => w.densityMost ?? 9999 },
  posts: { label: "last in the ground", fits: (w: Wood) => w.uses.includes("posts"), order: (w: Wood) => w.decayClass ?? 9 },
  carving: { label: "carve", fits: (w: Wood) => w.uses.includes("carving"), order: (w: Wood) => w.densityMost ?? 9999 },
  craft: { label: "handles, bending, building", fits: (w: Wood) => w.uses.includes("craft"), order: (w: Wood) => -(w.densityMost ?? 0) },
  smoke: { label: "smoke", fits: (w: Wood) => w.uses.includes("smoke"), order: (w: Wood) => -(w.densityMost ?? 0) },
} as const;
type Task = keyof typeof TASKS;

const stretch = (least: number | null | undefined, most: number | null | undefined, unit: string, times = 1) =>
  least == null || most == null
    ? null
    : `${Math.round(least * times).toLocaleString("en-GB")}${least === most ? "" : ` to ${Math.round(most * times).toLocaleString("en-GB")}`} ${unit}`;
const known = (text: string | null) => (text === null ? <span className="text-faded">not known</span> : text);

/** The woods of a flora, chosen by what they must do. */
export default function WoodBook() {
  const [params, setParams] = useSearchParams();
  const wood = useQuery(woodQuery);
  const imperial = useSession().data?.user?.units === "imperial";
  const asked = params.get("for") as Task;
  const task: Task = asked in TASKS ? asked : "all";
  if (wood.isPending) return <Loading what="the woods" />;
  if (wood.isError) return <Trouble error={wood.error} retry={() => void wood.refetch()} />;
  const { fits, order } = TASKS[task];
  const woods = wood.data.filter(fits).sort((a, b) => order(a) - order(b));
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <PageHead title="Woods" lead="By what the wood must do. The figures are the flora’s; what stands nowhere is not known, and is not nought." />
      <div className="mt-3 print:hidden">
        <Choice
          label="It must"
          value={task}
          options={(Object.keys(TASKS) as Task[]).map((value) => ({ value, label: TASKS[value].label }))}
          onChange={(value) => setParams(value === "all" ? {} : { for: value }, { replace: true })}
        />
      </div>
      <Sideways label="Woods">
        <table className="mt-3 w-full min-w-[46rem] text-left [&_td]:py-1.5 [&_td]:pr-3">
          <thead>
            <tr className="border-b border-ink text-sm">
              <th className="py-1 pr-3">Kind</th>
              <th className="pr-3">Density, air dry</th>
              <th className="pr-3">Heat, stacked and air dry</th>
              <th className="pr-3">In the ground</th>
              <th>Taken of it</th>
            </tr>
          </thead>
          <tbody>
            {woods.map((w) => (
              <tr key={w.taxon} className="rule-b align-top">
                <th className="py-1.5 pr-3 font-normal">
                  <Link to={`/species/${w.taxon}`} className="font-semibold underline-offset-4 hover:underline">
                    {capital(w.name)}
                  </Link>{" "}
                  <Name>{w.latin}</Name>
                </th>
                <td className="figures">
                  {known(imperial ? stretch(w.densityLeast, w.densityMost, "lb/ft³", 0.0624279606) : stretch(w.densityLeast, w.densityMost, "kg/m³"))}
                </td>
                <td className="figures">
                  {known(
                    imperial
                      ? stretch(w.heatLeast, w.heatMost, "thousand Btu a cord", 3.624556 * 3.41214)
                      : stretch(w.heatLeast, w.heatMost, "kWh/m³"),
                  )}
                </td>
                <td>{known(w.decayClass == null ? null : `class ${w.decayClass}, some ${w.groundLeast} to ${w.groundMost} years`)}</td>
                <td className="text-sm">{w.parts.join("; ")}</td>
              </tr>
            ))}
            {woods.length === 0 && (
              <tr>
                <td colSpan={5} className="text-faded">
                  Nothing this flora knows is taken for that.
                </td>
              </tr>
            )}
          </tbody>
        </table>
      </Sideways>
      <p className="mt-3 text-sm text-faded">
        Years are of thin posts, and of the worse class where two are given. Never of yew, golden chain or black locust for spoons.
      </p>
    </div>
  );
}
