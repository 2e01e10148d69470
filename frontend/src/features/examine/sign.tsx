import { useState } from "react";
import { Button, Dialog, Field, fieldClass, Trouble } from "../../ui/controls";
import { FieldLine } from "../along/field-line";
import { GateHead } from "../gate/panel";
import { useBench } from "./bench";

type Props = { close: () => void };
const closing = (close: () => void) => (open: boolean) => !open && close();

/** Signing closes the scores for good and puts the decision on record. */
export function SignDialog({ close }: Props) {
  const { e, asked, act } = useBench();
  return (
    <Dialog
      open
      onOpenChange={closing(close)}
      title="Sign this examination"
      description="Signing closes the scores for good. The decision goes on record as it stands; “not yet” is a good result."
    >
      <GateHead gate={e.assessment.clearance} asked={asked} id="sign" />
      <FieldLine e={e} />
      {act.sign.error && <Trouble error={act.sign.error} />}
      <div className="mt-4 flex justify-end gap-2">
        <Button onClick={close}>Keep looking</Button>
        <Button tone="ink" disabled={act.sign.isPending} onClick={() => act.sign.mutate(undefined, { onSuccess: close })}>
          Sign as it stands
        </Button>
      </div>
    </Dialog>
  );
}

/** A second examiner takes the conclusion back; only whoever reached it can. */
export function ReconsiderDialog({ close }: Props) {
  const { reconsider } = useBench().act;
  const [because, setBecause] = useState("");
  return (
    <Dialog
      open
      onOpenChange={closing(close)}
      title="Take this conclusion back"
      description="Your scores stay on record. The conclusion then counts neither for nor against the first one, and a further person is needed."
    >
      <form
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          reconsider.mutate(because, { onSuccess: close });
        }}
      >
        <Field label="Why it does not hold">
          <textarea
            className={`${fieldClass} py-2`}
            name="because"
            rows={3}
            required
            minLength={10}
            maxLength={1000}
            value={because}
            onChange={(e) => setBecause(e.target.value)}
          />
        </Field>
        {reconsider.error && <Trouble error={reconsider.error} />}
        <Button type="submit" tone="ink" disabled={reconsider.isPending}>
          Take it back, on record
        </Button>
      </form>
    </Dialog>
  );
}
