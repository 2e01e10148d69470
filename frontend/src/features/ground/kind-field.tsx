import { useQuery } from "@tanstack/react-query";
import type { Schemas } from "../../api/client";
import { floraQuery } from "../../api/queries";
import { Field, fieldClass } from "../../ui/controls";
import { capital } from "../../words/text";

/** What it looks like by a short look: a group where that is enough, or a kind. */
export function KindField(p: { label: string; hint?: string; groups: Schemas["GroupView"][]; value: string; onChange: (of: string) => void }) {
  const flora = useQuery(floraQuery());
  return (
    <Field label={p.label} hint={p.hint}>
      <select className={fieldClass} name="looks-like" value={p.value} onChange={(e) => p.onChange(e.target.value)}>
        <option value="">not settled</option>
        <optgroup label="Groups">
          {p.groups.map((g) => (
            <option key={g.id} value={g.id}>
              {capital(g.name)}
            </option>
          ))}
        </optgroup>
        <optgroup label="Kinds">
          {(flora.data?.taxa ?? []).map((t) => (
            <option key={t.id} value={t.id}>
              {capital(t.commonName)}
            </option>
          ))}
        </optgroup>
      </select>
    </Field>
  );
}
