import { useQuery } from "@tanstack/react-query";
import { useParams } from "react-router";
import { examinationQuery, floraQuery } from "../../api/queries";
import { Loading, Trouble } from "../../ui/controls";
import { FieldLine } from "../along/field-line";
import { GateHead } from "../gate/panel";
import { BenchProvider, useBench } from "./bench";
import { Dialogs } from "./dialogs";
import { GateActions, GatePane, SmallGate } from "./gate-pane";
import { useKeys } from "./keys";
import { LookPane } from "./look-pane";
import { NoticeBar } from "./notice";
import { OnRecord } from "./on-record";
import { Round } from "./round";
import { SidePanes } from "./side-panes";
import { StationAside } from "./stations";
import { ThumbBar } from "./thumb-bar";

export default function Examine() {
  const { id = "" } = useParams();
  const examination = useQuery(examinationQuery(id));
  const flora = useQuery({ ...floraQuery(examination.data?.flora), enabled: examination.isSuccess });
  const failed = [examination, flora].find((q) => q.isError);
  if (failed?.error)
    return (
      <div className="p-5">
        <Trouble error={failed.error} retry={() => void failed.refetch()} />
      </div>
    );
  if (!examination.data || !flora.data) return <Loading what="the examination" />;
  return (
    <BenchProvider key={id} examination={examination.data} flora={flora.data}>
      <Workbench />
    </BenchProvider>
  );
}

/** Stations, questions, and beside them the gate, the dangers and the names; on a small screen one pane at a time. */
function Workbench() {
  const bench = useBench();
  useKeys(bench);
  const { e, table, asked } = bench;
  return (
    <div className="wide:grid wide:h-[calc(100dvh-3.05rem)] wide:grid-cols-[12.5rem_minmax(0,1fr)_23rem]">
      <h1 className="sr-only">Examining {e.specimen.tag}</h1>
      <SmallGate />
      <StationAside />
      <LookPane />
      <aside
        className={`wide:flex wide:flex-col wide:gap-3 wide:overflow-y-auto wide:border-l wide:border-rule wide:p-3 ${table.pane === "look" ? "max-wide:hidden" : "p-3 pb-32"}`}
      >
        <section aria-label="The gate" className="hidden border border-ink bg-sheet p-2.5 wide:block">
          <GateHead gate={e.assessment.clearance} asked={asked} id="big" covered={e.hopeCovered} />
          <FieldLine e={e} />
          <GateActions />
        </section>
        <SidePanes />
        {table.pane === "gate" && <GatePane />}
        <OnRecord />
      </aside>
      <ThumbBar />
      <NoticeBar />
      <Round />
      <Dialogs />
    </div>
  );
}
