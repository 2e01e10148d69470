import type { Flora } from "../../api/client";
import { Button, Field, fieldClass } from "../../ui/controls";

/** A part of a kind, as places and quotas name it. */
export const partWords = (flora: Flora | undefined, what: string): string => {
  const [taxon, part] = what.split("/");
  const known = flora?.taxa.find((t) => t.id === taxon);
  const label = known?.parts.find((x) => x.id === part)?.label;
  return known && label ? `${known.commonName}, ${label}` : what;
};

const openParts = (flora: Flora | undefined) => (flora?.taxa ?? []).flatMap((t) => t.parts.filter((x) => !x.harmful).map((x) => `${t.id}/${x.id}`));

/** One part that may be taken at all. */
export function PartField(p: { label: string; flora: Flora | undefined; value: string; onChange: (what: string) => void; none?: string }) {
  return (
    <Field label={p.label}>
      <select className={fieldClass} name="part" value={p.value} onChange={(e) => p.onChange(e.target.value)}>
        <option value="">{p.none ?? "name a part"}</option>
        {openParts(p.flora).map((what) => (
          <option key={what} value={what}>
            {partWords(p.flora, what)}
          </option>
        ))}
      </select>
    </Field>
  );
}

/** Parts that may be taken at all, chosen one by one. */
export function PartPicker(p: {
  label: string;
  flora: Flora | undefined;
  chosen: string[];
  onChange: (chosen: string[]) => void;
  error?: string | undefined;
}) {
  const open = openParts(p.flora).filter((w) => !p.chosen.includes(w));
  return (
    <div>
      <Field label={p.label} error={p.error}>
        <select className={fieldClass} value="" onChange={(e) => e.target.value && p.onChange([...p.chosen, e.target.value])}>
          <option value="">name a part</option>
          {open.map((what) => (
            <option key={what} value={what}>
              {partWords(p.flora, what)}
            </option>
          ))}
        </select>
      </Field>
      {p.chosen.length > 0 && (
        <ul className="mt-1 flex flex-wrap gap-1.5">
          {p.chosen.map((what) => (
            <li key={what}>
              <Button onClick={() => p.onChange(p.chosen.filter((w) => w !== what))} aria-label={`Not: ${partWords(p.flora, what)}`}>
                {partWords(p.flora, what)} ✕
              </Button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
