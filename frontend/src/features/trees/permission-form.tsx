import { useMutation, useQuery } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { client, Problem, type Schemas, unwrap } from "../../api/client";
import { floraQuery, useSession } from "../../api/queries";
import { Button, Choice, Field, fieldClass, Trouble } from "../../ui/controls";
import { PartPicker } from "./part-picker";

const GIVEN = [
  { value: "yes" as const, label: "one may take" },
  { value: "no" as const, label: "one may not" },
];
const SAID = [
  { value: "written" as const, label: "in writing" },
  { value: "spoken" as const, label: "by word of mouth" },
];

/** What the owner said, today or on another day. The last one said holds; those before stay on record. */
export function PermissionForm({ page, onKept }: { page: Schemas["SitePageView"]; onKept: (page: Schemas["SitePageView"]) => void }) {
  const today = useSession().data?.today ?? "";
  const flora = useQuery(floraQuery());
  const [owner, setOwner] = useState(page.site.owner);
  const [given, setGiven] = useState<"yes" | "no">("yes");
  const [said, setSaid] = useState<Schemas["Said"]>("written");
  const [saidOn, setSaidOn] = useState(today);
  const [until, setUntil] = useState("");
  const [parts, setParts] = useState<string[]>([]);
  const [note, setNote] = useState("");
  const record = useMutation({
    mutationFn: () =>
      unwrap(
        client.POST("/api/sites/{id}/permissions", {
          params: { path: { id: page.site.id } },
          body: { owner, given: given === "yes", said, saidOn, parts: given === "yes" ? parts : [], until: until || null, note },
        }),
      ),
    onSuccess: (kept) => {
      setNote("");
      onKept(kept);
    },
  });
  const fields = record.error instanceof Problem ? record.error.fields : {};
  const submit = (event: FormEvent) => {
    event.preventDefault();
    record.mutate();
  };
  return (
    <form onSubmit={submit} className="space-y-3" aria-label="What the owner said">
      <Field label="Owner" error={fields.owner}>
        <input className={fieldClass} name="owner" required maxLength={200} value={owner} onChange={(e) => setOwner(e.target.value)} />
      </Field>
      <div className="flex flex-wrap gap-4">
        <Choice label="The owner said" value={given} options={GIVEN} onChange={setGiven} />
        <Choice label="How" value={said} options={SAID} onChange={setSaid} />
      </div>
      <div className="grid grid-cols-2 gap-2">
        <Field label="On" error={fields.saidOn}>
          <input className={fieldClass} type="date" required max={today} value={saidOn} onChange={(e) => setSaidOn(e.target.value)} />
        </Field>
        <Field label="Until (may be left open)" error={fields.until}>
          <input className={fieldClass} type="date" value={until} onChange={(e) => setUntil(e.target.value)} />
        </Field>
      </div>
      {given === "yes" && (
        <PartPicker
          label="For these parts only; none named: for everything"
          flora={flora.data}
          chosen={parts}
          onChange={setParts}
          error={fields.parts}
        />
      )}
      <Field label="What else was said" error={fields.note} hint="How much, where it is written down.">
        <input className={fieldClass} maxLength={500} value={note} onChange={(e) => setNote(e.target.value)} />
      </Field>
      {record.error && Object.keys(fields).length === 0 && <Trouble error={record.error} />}
      <Button type="submit" tone="ink" disabled={record.isPending}>
        Put it on record
      </Button>
    </form>
  );
}
