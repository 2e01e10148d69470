import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { pointsQuery } from "../../api/queries";
import { Button, Loading, Trouble } from "../../ui/controls";
import { FieldLine } from "../along/field-line";
import { GateHead, NinePoints } from "../gate/panel";
import { useBench } from "./bench";

/** The gate on a small screen: it sticks to the top, always in sight. */
export function SmallGate() {
  const { e, asked, cleared, move } = useBench();
  return (
    <div className="sticky top-0 z-20 border-b-2 border-ink bg-ground px-3 py-2 wide:hidden">
      <button type="button" className="relative block w-full text-left" onClick={() => move({ do: "show", pane: "gate" })}>
        <GateHead gate={e.assessment.clearance} asked={asked} id="small" small covered={e.hopeCovered} />
      </button>
      {cleared && <FieldLine e={e} />}
    </div>
  );
}

export function GatePane() {
  const { e, cleared } = useBench();
  return (
    <div className="wide:hidden">
      {!cleared && <FieldLine e={e} />}
      <GateActions hidePoints />
      <Points />
    </div>
  );
}

/** The nine points, fetched when somebody wants to see them. */
export function Points() {
  const { e, locked, act, lookAt } = useBench();
  const points = useQuery({ ...pointsQuery(e.id), enabled: Boolean(e.assessment.clearance) });
  if (!e.assessment.clearance) return null;
  if (points.isPending) return <Loading what="the nine points" />;
  if (points.isError) return <Trouble error={points.error} retry={() => void points.refetch()} />;
  return (
    <>
      {act.change.error && <Trouble error={act.change.error} />}
      <NinePoints
        clearance={points.data}
        conditions={e.conditions}
        canLook={!locked}
        canAnswer={e.mine}
        onAnswer={(id, answer) => act.change.mutate({ conditions: { [id]: answer } })}
        onLook={lookAt}
      />
    </>
  );
}

/** What can be done at the gate as it stands. */
export function GateActions({ hidePoints = false }: { hidePoints?: boolean }) {
  const { e, locked, cleared, standing, move } = useBench();
  const ask = (dialog: "points" | "claim" | "sign" | "harvest" | "reconsider") => () => move({ do: "ask", dialog });
  return (
    <div className="mt-2 flex flex-wrap gap-1.5">
      {e.assessment.clearance && !hidePoints && <Button onClick={ask("points")}>Nine points</Button>}
      {!e.assessment.clearance && !locked && !e.hopeCovered && <Button onClick={ask("claim")}>Ask for a part</Button>}
      {!locked && (
        <Button tone={cleared ? "leaf" : "plain"} disabled={standing.length === 0} onClick={ask("sign")}>
          Sign
        </Button>
      )}
      {e.signed && cleared && (
        <Button tone="leaf" onClick={ask("harvest")}>
          Log a harvest
        </Button>
      )}
      {e.signed && e.mine && e.secondOf && !e.reconsideredBecause && <Button onClick={ask("reconsider")}>Take this conclusion back</Button>}
      {e.signed && !cleared && (
        <Link
          to={`/examine?tree=${e.specimen.id}`}
          className="inline-flex min-h-11 items-center rounded-sm border border-ink bg-sheet px-3 font-semibold"
        >
          Examine this tree again
        </Link>
      )}
    </div>
  );
}
