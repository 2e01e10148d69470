import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { client, unwrap } from "../../api/client";
import { examinersQuery, useSession } from "../../api/queries";
import { Button, Field, fieldClass, Trouble } from "../../ui/controls";
import { useBench } from "./bench";

/** Somebody else goes on with an examination that is not signed yet. Nobody to hand it to, nothing to show. */
export function HandOver() {
  const { e } = useBench();
  const own = useSession().data?.user?.id;
  const examiners = useQuery(examinersQuery);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [to, setTo] = useState("");
  const hand = useMutation({
    mutationFn: () => unwrap(client.POST("/api/examinations/{id}/hand-over", { params: { path: { id: e.id } }, body: { to } })),
    onSuccess: () => {
      queries.removeQueries({ queryKey: ["examination", e.id] });
      void queries.invalidateQueries({ queryKey: ["today"] });
      navigate("/");
    },
  });
  const others = examiners.data?.filter((x) => x.id !== own) ?? [];
  if (e.secondOf || others.length === 0) return null;
  return (
    <details className="rule-t pt-2">
      <summary className="min-h-11 py-2.5 font-semibold">Hand it over</summary>
      <p className="mb-3 text-sm text-faded">
        Somebody else goes on with it; your scores stay, under your name. Where a learner has looked it stays a learner’s examination, and does not
        open the gate.
      </p>
      <div className="flex flex-wrap items-end gap-2">
        <div className="min-w-48 flex-1">
          <Field label="To">
            <select className={fieldClass} value={to} onChange={(event) => setTo(event.target.value)}>
              <option value="">choose somebody</option>
              {others.map((x) => (
                <option key={x.id} value={x.id}>
                  {x.name}, {x.role}
                </option>
              ))}
            </select>
          </Field>
        </div>
        <Button tone="ink" disabled={to === "" || hand.isPending} onClick={() => hand.mutate()}>
          Hand it over
        </Button>
      </div>
      {hand.error && <Trouble error={hand.error} />}
    </details>
  );
}
