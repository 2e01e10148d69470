import { useMutation } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { client, type Schemas, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { useSession } from "../../api/queries";
import { Button, Choice, Dialog, Field, fieldClass, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { COUNT } from "../../words/ground";
import { parseDecimal } from "../../words/numbers";
import { HereButton } from "../devices/where";
import { KindField } from "./kind-field";

type Survey = Schemas["SurveyView"];

/** A hedge, a row or a thicket, by the class of its count. */
export function NewStand({ walk, onKept }: { walk: Survey; onKept: (next: Survey) => void }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button className="mt-4" onClick={() => setOpen(true)}>
        Note a stand
      </Button>
      <Dialog open={open} onOpenChange={setOpen} title="A stand" description="Trees that stand together and bear no tags: a hedge, a row, a thicket.">
        <Form
          walk={walk}
          onKept={(next) => {
            setOpen(false);
            onKept(next);
          }}
        />
      </Dialog>
    </>
  );
}

function Form({ walk, onKept }: { walk: Survey; onKept: (next: Survey) => void }) {
  const imperial = useSession().data?.user?.units === "imperial";
  const unit = imperial ? "ft" : "m";
  const [stand] = useState(newId);
  const [label, setLabel] = useState("");
  const [of, setOf] = useState("");
  const [count, setCount] = useState<Schemas["CountClass"]>("some");
  const [height, setHeight] = useState("");
  const [line, setLine] = useState<[number, number][]>([]);
  const keep = useMutation({
    mutationFn: () => {
      const tall = parseDecimal(height, unit);
      return unwrap(
        client.PUT("/api/surveys/{id}/stands/{stand}", {
          params: { path: { id: walk.id, stand } },
          body: { label, of, count, line, height: tall === null ? null : tall * (imperial ? 0.3048 : 1) },
        }),
      );
    },
    onSuccess: onKept,
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    keep.mutate();
  };
  return (
    <form onSubmit={submit} className="space-y-3" aria-label="A stand">
      <Field label="How it is found again">
        <input className={fieldClass} name="stand-label" required maxLength={120} value={label} onChange={(e) => setLabel(e.target.value)} />
      </Field>
      <Choice
        label="How many"
        value={count}
        options={(Object.keys(COUNT) as Schemas["CountClass"][]).map((value) => ({ value, label: COUNT[value] }))}
        onChange={setCount}
      />
      <KindField label="What it looks like" hint="Mixed: leave it open, or note two stands." groups={walk.groups} value={of} onChange={setOf} />
      <Field label={`Tallest, ${unit}`} hint="Empty: reckoned as tall as such trees get.">
        <NumberInput unit={unit} name="stand-height" value={height} onChange={(e) => setHeight(e.target.value)} />
      </Field>
      <div className="flex flex-wrap items-center gap-3">
        <HereButton
          label={line.length === 0 ? "It begins where I stand" : "And goes on to where I stand"}
          onFound={(spot) => setLine((l) => [...l, [spot.longitude, spot.latitude]])}
        />
        <span className="text-sm text-faded">{line.length === 0 ? "Nobody has said where it stands." : `${line.length} points`}</span>
        {line.length > 0 && <Button onClick={() => setLine(line.slice(0, -1))}>Take the last back</Button>}
      </div>
      {keep.error && <Trouble error={keep.error} />}
      <Button type="submit" tone="ink" disabled={keep.isPending}>
        Keep the stand
      </Button>
    </form>
  );
}
