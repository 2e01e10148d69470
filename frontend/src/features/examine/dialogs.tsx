import type { Schemas } from "../../api/client";
import { Choice, Dialog, Trouble } from "../../ui/controls";
import { ROUTES, type RouteId } from "../../words/stations";
import { useBench } from "./bench";
import { ClaimDialog } from "./claim";
import { Points } from "./gate-pane";
import { HandOver } from "./hand-over";
import { HarvestDialog } from "./harvest";
import { KEYS } from "./keys";
import { Kit, STAGES } from "./kit";
import { ReconsiderDialog, SignDialog } from "./sign";

/** The dialogs over the bench; one is open at a time. */
export function Dialogs() {
  const { e, cleared, table, move } = useBench();
  const close = () => move({ do: "ask", dialog: null });
  return (
    <>
      {e.signed && cleared && <HarvestDialog open={table.dialog === "harvest"} close={close} />}
      <Current close={close} />
    </>
  );
}

function Current({ close }: { close: () => void }) {
  const { e, flora, asked, table, act } = useBench();
  const onOpenChange = (open: boolean) => !open && close();
  switch (table.dialog) {
    case "claim":
      return (
        <ClaimDialog
          open
          onOpenChange={onOpenChange}
          flora={flora}
          current={e.claim ?? null}
          onAsk={(claimTaxon, claimPart) => act.change.mutate({ claimTaxon, claimPart }, { onSuccess: close })}
          error={act.change.error}
          onDrop={() => act.change.mutate({ dropClaim: true }, { onSuccess: close })}
        />
      );
    case "points":
      return (
        <Dialog open onOpenChange={onOpenChange} title={asked ? `The gate: ${asked}` : "The gate"} wide>
          {e.assessment.clearance ? <Points /> : <p>Nothing is asked yet. Say which part you hope for, and the nine points stand here.</p>}
        </Dialog>
      );
    case "settings":
      return (
        <Dialog open onOpenChange={onOpenChange} title="Tree and kit">
          <Settings />
        </Dialog>
      );
    case "sign":
      return <SignDialog close={close} />;
    case "reconsider":
      return <ReconsiderDialog close={close} />;
    case "keys":
      return (
        <Dialog open onOpenChange={onOpenChange} title="Keys at the table">
          <dl className="grid grid-cols-[7rem_1fr] gap-y-1.5">
            {KEYS.map((key) => (
              <div key={key.shown} className="contents">
                <dt>
                  <kbd className="border border-ink px-1.5 font-sans">{key.shown}</kbd>
                </dt>
                <dd>{key.what}</dd>
              </div>
            ))}
          </dl>
        </Dialog>
      );
    default:
      return null;
  }
}

function Settings() {
  const { e, act } = useBench();
  const change = (body: Partial<Schemas["ExaminationChange"]>) => act.change.mutate(body);
  return (
    <div className="space-y-4">
      {act.change.error && <Trouble error={act.change.error} />}
      <Choice label="Age of the tree" value={e.stage} options={STAGES} onChange={(stage) => change({ stage })} />
      <Choice
        label="Route"
        value={e.route as RouteId}
        options={(Object.keys(ROUTES) as RouteId[]).map((value) => ({ value, label: ROUTES[value].label }))}
        onChange={(route) => change({ route })}
      />
      <Kit reach={e.reach} kit={e.kit} onReach={(reach) => change({ reach })} onKit={(kit) => change({ kit })} />
      <HandOver />
    </div>
  );
}
