import { useMutation } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { client, type Schemas, unwrap } from "../../api/client";
import { Button, Choice, Field, fieldClass, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { CHOICE, mayFall, PERIL, ZONE } from "../../words/ground";
import { parseDecimal } from "../../words/numbers";
import { OF_THEM } from "../../words/stock";
import { capital } from "../../words/text";

const FEET = 35.3146667;

/** Keep, watch, fence off or fell: the reasons side by side, and the owner decides. */
export function ChoiceForm(p: { pasture: Schemas["PastureView"]; tree: Schemas["PastureTreeView"]; units: string; onKept: () => void }) {
  const { tree, pasture } = p;
  const imperial = p.units === "imperial";
  const [choice, setChoice] = useState<Schemas["Choice"]>(tree.choice?.choice ?? "watch");
  const [shade, setShade] = useState(tree.choice?.shade ?? "");
  const [fruit, setFruit] = useState(tree.choice?.fruit ?? "");
  const [price, setPrice] = useState(tree.choice?.price == null ? "" : String(Number((tree.choice.price / (imperial ? FEET : 1)).toPrecision(4))));
  const [why, setWhy] = useState(tree.choice?.why ?? "");
  const typed = parseDecimal(price);
  const wood = tree.cubicMetres ?? null;
  const keep = useMutation({
    mutationFn: () =>
      unwrap(
        client.POST("/api/pastures/{id}/choices", {
          params: { path: { id: pasture.id } },
          body: { of: tree.id, choice, shade, fruit, price: typed === null ? null : typed * (imperial ? FEET : 1), why },
        }),
      ),
    onSuccess: p.onKept,
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    keep.mutate();
  };
  return (
    <form onSubmit={submit} className="space-y-4" aria-label="What is to become of it">
      <div className="grid gap-4 wide:grid-cols-2">
        <section aria-label="Against it" className="border-l-4 border-berry pl-3">
          <h3 className="font-bold">Against it</h3>
          <p>
            {capital(PERIL[tree.peril])} to {OF_THEM[pasture.animal]}; {ZONE[tree.zone]}.
          </p>
          {tree.now.length > 0 && <p className="text-sm">Now: {tree.now.join("; ")}.</p>}
          {mayFall(tree.marks) && <p className="text-sm text-ochre">It may break: have it looked at by a licensed arborist.</p>}
        </section>
        <section aria-label="For it" className="space-y-3 border-l-4 border-ink pl-3">
          <h3 className="font-bold">For it</h3>
          <Field label="Shade">
            <input className={fieldClass} name="shade" maxLength={200} value={shade} onChange={(e) => setShade(e.target.value)} />
          </Field>
          <Field label="Fruit">
            <input className={fieldClass} name="fruit" maxLength={200} value={fruit} onChange={(e) => setFruit(e.target.value)} />
          </Field>
          <Field
            label={`Wood, your price for a standing ${imperial ? "cubic foot" : "cubic metre"}`}
            hint={wood == null ? "How much is in it is not known: girth and height were not measured." : undefined}
          >
            <NumberInput name="price" value={price} onChange={(e) => setPrice(e.target.value)} />
          </Field>
          {wood != null && (
            <p className="text-sm">
              About {(wood * (imperial ? FEET : 1)).toPrecision(2)} {imperial ? "ft³" : "m³"} in the stem
              {typed !== null && `: ${(typed * wood * (imperial ? FEET : 1)).toFixed(0)} in your money`}. Felling and hauling cost too.
            </p>
          )}
        </section>
      </div>
      <Choice
        label="The owner decides"
        value={choice}
        options={(Object.keys(CHOICE) as Schemas["Choice"][]).map((value) => ({ value, label: CHOICE[value] }))}
        onChange={setChoice}
      />
      {choice === "fell" && (
        <p className="text-sm">
          Felling is for those licensed, outside the nesting season; local law and the owner say whether it may be felled at all. Not while animals
          are there: what is felled wilts.
        </p>
      )}
      <p className="text-sm">Against regrowth with chemicals: ask who is licensed. Nothing about them is told here.</p>
      <Field label="Why">
        <input className={fieldClass} name="why" maxLength={500} value={why} onChange={(e) => setWhy(e.target.value)} />
      </Field>
      {keep.error && <Trouble error={keep.error} />}
      <Button type="submit" tone="ink" disabled={keep.isPending}>
        Keep the decision
      </Button>
    </form>
  );
}
