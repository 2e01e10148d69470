import { type FormEvent, useState } from "react";
import { Problem } from "../../api/client";
import { Button, Dialog, Trouble } from "../../ui/controls";
import { quotaWords } from "../../words/harvest";
import { capital } from "../../words/text";
import { asSent, HarvestFields, nothingTyped } from "../harvest/fields";
import { LastTime, useLastTime } from "../harvest/last-time";
import { useBench } from "./bench";

/** Only a cleared gate brings one here; the server asks the gate again before it stores anything. What was typed stays while it is closed. */
export function HarvestDialog({ open, close }: { open: boolean; close: () => void }) {
  const { e, units: system, act } = useBench();
  const { harvest } = act;
  const { claim } = e;
  const [typed, setTyped] = useState(() => nothingTyped(system, claim?.measuredIn));
  const last = useLastTime(claim?.taxon ?? "", claim?.label ?? "");
  const fields = harvest.error instanceof Problem ? harvest.error.fields : {};
  const submit = (event: FormEvent) => {
    event.preventDefault();
    harvest.mutate(asSent(typed), {
      onSuccess: () => {
        setTyped(nothingTyped(system, claim?.measuredIn));
        close();
      },
    });
  };
  return (
    <Dialog
      open={open}
      onOpenChange={(still) => !still && close()}
      title={`Log what was taken: ${claim?.label ?? ""}`}
      {...(claim?.leave ? { description: claim.leave } : {})}
    >
      {claim?.allowed != null && <p className="mb-3 border-l-4 border-ochre pl-2 font-semibold">{quotaWords(claim.allowed, claim.used)}</p>}
      {claim?.bears && <p className="mb-3 text-sm">A full-grown tree gives one person {claim.bears} in a good year.</p>}
      {claim && <LastTime {...last} />}
      <form onSubmit={submit} className="space-y-3">
        <HarvestFields system={system} typed={typed} onChange={setTyped} fields={fields} />
        {claim && claim.preparation.length > 0 && (
          <details className="text-sm">
            <summary className="min-h-11 py-2 font-semibold">How it is prepared</summary>
            <ol className="ml-5 list-decimal">
              {claim.preparation.map((step) => (
                <li key={step}>{capital(step)}</li>
              ))}
            </ol>
          </details>
        )}
        {harvest.error && !fields.sure && <Trouble error={harvest.error} />}
        <Button type="submit" tone="leaf" className="w-full" disabled={harvest.isPending}>
          Put it in the log
        </Button>
      </form>
    </Dialog>
  );
}
