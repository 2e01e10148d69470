import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { client, unwrap } from "../../api/client";
import { florasQuery, useSession } from "../../api/queries";
import { Field, fieldClass, Trouble } from "../../ui/controls";

/** Which flora to work with: what a tree can be taken for, and which dangers are kept in sight. */
export function FloraChoice({ label, className, onChosen }: { label: string; className?: string; onChosen?: () => void }) {
  const floras = useQuery(florasQuery);
  const user = useSession().data?.user;
  const queries = useQueryClient();
  const choose = useMutation({
    mutationFn: (flora: string) =>
      unwrap(client.PUT("/api/preferences", { body: { units: user?.units === "imperial" ? "imperial" : "metric", flora } })),
    onSuccess: () => {
      onChosen?.();
      return queries.invalidateQueries();
    },
  });
  const chosen = floras.data?.find((f) => f.name === user?.flora);
  return (
    <div className={className}>
      <Field
        label={label}
        hint={chosen ? `${chosen.taxa} kinds, ${chosen.dangerous} of them dangerous. It knows no others. Made for ${chosen.region}.` : undefined}
      >
        <select
          className={fieldClass}
          value={user?.flora ?? ""}
          disabled={!floras.data || choose.isPending}
          onChange={(event) => choose.mutate(event.target.value)}
        >
          {floras.data?.map((f) => (
            <option key={f.name} value={f.name}>
              {f.title}
            </option>
          ))}
        </select>
      </Field>
      {chosen?.problem && (
        <p className="mt-1 border-l-4 border-berry pl-2 text-sm">
          <strong>Its files cannot be taken as they are now; edition {chosen.edition} stays in use.</strong> {chosen.problem}
        </p>
      )}
      {choose.error && <Trouble error={choose.error} />}
    </div>
  );
}
