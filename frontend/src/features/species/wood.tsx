import { useQuery } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { useSession, woodQuery } from "../../api/queries";
import { Choice, Loading, Name, Sideways, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { capital } from "../../words/text";
import { OwnWood } from "./own-wood";

type Wood = Schemas["WoodView"];

const EASE: Record<Schemas["Ease"], string> = { easy: "easily", fair: "fairly", hard: "badly" };
const WORK: Record<Schemas["WoodWork"], string> = { split: "Split", bend: "Bent", carve: "Carved", weigh: "Weighed" };
const rank = (ease: Schemas["Ease"] | null | undefined): number => (ease === "easy" ? 0 : ease === "fair" ? 1 : ease === "hard" ? 2 : 3);

/** What the wood must do, and by which figure the better ones stand first. */
const TASKS = {
  all: { label: "anything", fits: () => true, order: (w: Wood) => -(w.densityMost ?? 0) },
  fuel: { label: "burn hot", fits: (w: Wood) => w.uses.includes("fuel"), order: (w: Wood) => -(w.heatMost ?? 0) },
  fire: { label: "light", fits: (w: Wood) => w.uses.includes("fire"), order: (w: Wood) => w.densityMost ?? 9999 },
  lights: { label: "light though it is wet", fits: (w: Wood) => w.lightsWet, order: (w: Wood) => w.densityMost ?? 9999 },
  smoke: { label: "smoke", fits: (w: Wood) => w.uses.includes("smoke"), order: (w: Wood) => -(w.densityMost ?? 0) },
  splits: { label: "split", fits: (w: Wood) => w.splits === "easy" || w.splits === "fair", order: (w: Wood) => rank(w.splits) },
  bends: { label: "bend", fits: (w: Wood) => w.bends === "easy" || w.bends === "fair", order: (w: Wood) => rank(w.bends) },
  carving: { label: "carve", fits: (w: Wood) => w.carves === "easy" || w.carves === "fair", order: (w: Wood) => rank(w.carves) },
  spoons: { label: "make spoons", fits: (w: Wood) => w.spoons && !w.notForFood, order: (w: Wood) => rank(w.carves) },
  craft: { label: "make handles", fits: (w: Wood) => w.uses.includes("craft"), order: (w: Wood) => -(w.densityMost ?? 0) },
  posts: { label: "last in the ground", fits: (w: Wood) => w.uses.includes("posts"), order: (w: Wood) => w.decayClass ?? 9 },
  floats: { label: "float, green", fits: (w: Wood) => w.floats === true, order: (w: Wood) => w.densityMost ?? 9999 },
  still: { label: "move little", fits: (w: Wood) => w.along != null, order: (w: Wood) => w.along?.[1] ?? 99 },
  smells: { label: "smell", fits: (w: Wood) => w.smell !== "", order: (w: Wood) => -(w.densityMost ?? 0) },
} as const;
type Task = keyof typeof TASKS;

const stretch = (least: number | null | undefined, most: number | null | undefined, unit: string, times = 1) =>
  least == null || most == null
    ? null
    : `${Math.round(least * times).toLocaleString("en-GB")}${least === most ? "" : ` to ${Math.round(most * times).toLocaleString("en-GB")}`} ${unit}`;
const percents = ([least = 0, most = 0]: number[]) => (least === most ? `${most} %` : `${least} to ${most} %`);
const known = (text: string | null) => (text === null ? <span className="text-faded">not known</span> : text);

/** The woods of a flora, chosen by what they must do. */
export default function WoodBook() {
  const [params, setParams] = useSearchParams();
  const wood = useQuery(woodQuery);
  const user = useSession().data?.user;
  const [imperial, role] = [user?.units === "imperial", user?.role];
  const asked = params.get("for") as Task;
  const task: Task = asked in TASKS ? asked : "all";
  if (wood.isPending) return <Loading what="the woods" />;
  if (wood.isError) return <Trouble error={wood.error} retry={() => void wood.refetch()} />;
  const { fits, order } = TASKS[task];
  const woods = wood.data.filter(fits).sort((a, b) => order(a) - order(b));
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <PageHead
        title="Woods"
        lead="By what the wood must do. The figures are the flora’s, in grey what the school found; what stands nowhere is not known, and is not nought."
      />
      <div className="mt-3 print:hidden">
        <Choice
          label="It must"
          value={task}
          options={(Object.keys(TASKS) as Task[]).map((value) => ({ value, label: TASKS[value].label }))}
          onChange={(value) => setParams(value === "all" ? {} : { for: value }, { replace: true })}
        />
      </div>
      <Sideways label="Woods">
        <table className="mt-3 w-full min-w-[64rem] text-left [&_td]:py-1.5 [&_td]:pr-3">
          <thead>
            <tr className="border-b border-ink text-sm">
              <th className="py-1 pr-3">Kind</th>
              <th className="pr-3">Density, air dry</th>
              <th className="pr-3">Heat, stacked and air dry</th>
              <th className="pr-3">In the ground</th>
              <th className="pr-3">Shrinks, green to dry</th>
              <th className="pr-3">Splits, bends, carves</th>
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
                <td className="figures">
                  {known(w.along == null ? null : `${percents(w.along)} along the rings${w.across ? `, ${percents(w.across)} across` : ""}`)}
                </td>
                <td>
                  {known(
                    w.splits || w.bends || w.carves
                      ? [w.splits && `splits ${EASE[w.splits]}`, w.bends && `bends ${EASE[w.bends]}`, w.carves && `carves ${EASE[w.carves]}`]
                          .filter(Boolean)
                          .join(", ")
                      : null,
                  )}
                  {w.smell && <span className="block text-sm">Smells {w.smell}</span>}
                  {w.notForFood && <strong className="block text-sm text-berry">Never for spoons, boards or smoke</strong>}
                  {w.notes.map((note) => (
                    <span key={note.id} className="block text-sm text-faded">
                      {WORK[note.work]}
                      {note.ease && ` ${EASE[note.ease]}`}
                      {note.density != null &&
                        `, ${imperial ? `${Math.round(note.density * 0.0624279606)} lb/ft³` : `${Math.round(note.density)} kg/m³`}`}
                      {note.note && `: ${note.note}`} ({note.by})
                    </span>
                  ))}
                </td>
                <td className="text-sm">{w.parts.join("; ")}</td>
              </tr>
            ))}
            {woods.length === 0 && (
              <tr>
                <td colSpan={7} className="text-faded">
                  Nothing this flora knows is taken for that.
                </td>
              </tr>
            )}
          </tbody>
        </table>
      </Sideways>
      {role !== "guest" && <OwnWood woods={wood.data} imperial={imperial} />}
      <p className="mt-3 text-sm text-faded">
        Years are of thin posts, and of the worse class where two are given. Never of yew, golden chain or black locust for spoons.
      </p>
    </div>
  );
}
