import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { client, Problem, type Schemas, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { sitesQuery } from "../../api/queries";
import { Button, Field, fieldClass, Trouble } from "../../ui/controls";
import { asPosition, PositionFields, UNPLACED } from "./tree-form";

/** A tree that has no tag yet gets one. */
export function NewTree({ onTagged }: { onTagged: (specimen: Schemas["SpecimenView"]) => void }) {
  const sites = useQuery(sitesQuery);
  const [tag, setTag] = useState("");
  const [siteId, setSite] = useState("");
  const [whereabouts, setWhereabouts] = useState("");
  const [placed, setPlaced] = useState(UNPLACED);
  const [open, setOpen] = useState(false);
  const site = siteId || sites.data?.[0]?.id || "";
  const add = useMutation({
    mutationFn: () => unwrap(client.POST("/api/specimens", { body: { id: newId(), tag, siteId: site, whereabouts, ...asPosition(placed) } })),
    onSuccess: (specimen) => {
      setTag("");
      setWhereabouts("");
      setPlaced(UNPLACED);
      setOpen(false);
      onTagged(specimen);
    },
  });
  const fields = add.error instanceof Problem ? add.error.fields : {};
  if (!open)
    return (
      <Button className="mt-3" onClick={() => setOpen(true)}>
        Tag another tree
      </Button>
    );
  return (
    <div className="mt-3 space-y-3 border border-ink bg-sheet p-3">
      <div className="grid gap-3 wide:grid-cols-2">
        <Field label="Tag" error={fields.tag}>
          <input className={fieldClass} name="tag" maxLength={24} value={tag} placeholder="M-06" onChange={(e) => setTag(e.target.value)} />
        </Field>
        <Field label="Site" error={fields.siteId}>
          <select className={fieldClass} value={site} onChange={(e) => setSite(e.target.value)}>
            {sites.data?.map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </select>
        </Field>
      </div>
      <Field label="How to find it again" error={fields.whereabouts}>
        <input className={fieldClass} maxLength={300} value={whereabouts} onChange={(e) => setWhereabouts(e.target.value)} />
      </Field>
      <PositionFields placed={placed} onChange={setPlaced} fields={fields} />
      {add.error && Object.keys(fields).length === 0 && <Trouble error={add.error} />}
      <div className="flex gap-2">
        <Button tone="ink" disabled={add.isPending || tag.trim() === ""} onClick={() => add.mutate()}>
          Tag it
        </Button>
        <Button onClick={() => setOpen(false)}>Leave it</Button>
      </div>
    </div>
  );
}
