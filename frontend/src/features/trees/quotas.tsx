import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { client, type Schemas, unwrap } from "../../api/client";
import { floraQuery } from "../../api/queries";
import { Button, fieldClass, Trouble } from "../../ui/controls";
import { PartPicker, partWords } from "./part-picker";

/** How often one may take what in a year, and what is left of it. */
export function Quotas({ page, onKept }: { page: Schemas["SitePageView"]; onKept: (page: Schemas["SitePageView"]) => void }) {
  const flora = useQuery(floraQuery());
  const [draft, setDraft] = useState<Record<string, number> | null>(null);
  const keep = useMutation({
    mutationFn: (quotas: Record<string, number>) =>
      unwrap(client.PUT("/api/sites/{id}/quotas", { params: { path: { id: page.site.id } }, body: { quotas } })),
    onSuccess: (kept) => {
      setDraft(null);
      onKept(kept);
    },
  });
  if (draft === null)
    return (
      <>
        {page.quotas.length === 0 && <p className="py-2 text-faded">Nothing is counted here.</p>}
        <ul>
          {page.quotas.map((q) => (
            <li key={q.what} className="rule-b flex justify-between gap-3 py-1.5">
              <span>{q.label}</span>
              <span className={`figures ${q.used >= q.allowed ? "font-bold text-berry" : ""}`}>
                {Math.max(0, q.allowed - q.used)} of {q.allowed} left this year
              </span>
            </li>
          ))}
        </ul>
        {page.mayChange && (
          <Button className="mt-2" onClick={() => setDraft(Object.fromEntries(page.quotas.map((q) => [q.what, q.allowed])))}>
            Change the quotas
          </Button>
        )}
      </>
    );
  return (
    <div className="space-y-3">
      <ul>
        {Object.entries(draft).map(([what, times]) => (
          <li key={what} className="rule-b flex items-center gap-3 py-1.5">
            <label className="flex min-w-0 flex-1 items-center justify-between gap-3">
              <span className="min-w-0">{partWords(flora.data, what)}</span>
              <input
                type="number"
                min={0}
                max={1000}
                className={`${fieldClass} w-24!`}
                value={times}
                onChange={(e) => setDraft({ ...draft, [what]: Math.max(0, Math.min(1000, Math.round(Number(e.target.value)))) })}
              />
            </label>
            <Button
              aria-label={`Count no longer: ${partWords(flora.data, what)}`}
              onClick={() => setDraft(Object.fromEntries(Object.entries(draft).filter(([w]) => w !== what)))}
            >
              ✕
            </Button>
          </li>
        ))}
      </ul>
      <PartPicker
        label="Count another part, times a year"
        flora={flora.data}
        chosen={[]}
        onChange={([what]) => what && setDraft({ ...draft, [what]: draft[what] ?? 1 })}
      />
      {keep.error && <Trouble error={keep.error} />}
      <div className="flex gap-2">
        <Button tone="ink" disabled={keep.isPending} onClick={() => keep.mutate(draft)}>
          Keep the quotas
        </Button>
        <Button onClick={() => setDraft(null)}>Leave them</Button>
      </div>
    </div>
  );
}
