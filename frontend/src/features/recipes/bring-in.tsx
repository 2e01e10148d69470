import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Problem, type Schemas } from "../../api/client";
import { Trouble } from "../../ui/controls";

/** Sends the file as it is: all of it is brought in, or nothing. */
async function bringIn(file: File): Promise<Schemas["BroughtInView"]> {
  const response = await fetch("/api/recipes/own", {
    method: "POST",
    body: file,
    headers: { "X-CSRF-Token": "csrf-token", Accept: "application/json", "Content-Type": "application/yaml" },
  }).catch(() => {
    throw new Problem(0, "The server cannot be reached. Nothing was brought in; try again.", {});
  });
  const answer = (await response.json().catch(() => ({}))) as unknown;
  if (response.ok) return answer as Schemas["BroughtInView"];
  throw new Problem(
    response.status,
    ((answer as Partial<Schemas["Problem"]>).detail ?? `The server answered ${response.status}.`).replace(/^file: /, ""),
    {},
  );
}

/** Recipes of the school's own, as a document in the form in which all of them leave. */
export function BringIn() {
  const queries = useQueryClient();
  const bring = useMutation({
    mutationFn: bringIn,
    onSuccess: () => void queries.invalidateQueries({ queryKey: ["recipes"] }),
  });
  return (
    <section className="mt-6 print:hidden">
      <h2 className="border-b border-ink pb-1 text-lg">Recipes of your own</h2>
      <p className="py-1 text-sm text-faded">
        A YAML or JSON file in the form in which{" "}
        <a href="/api/recipes.json" className="underline">
          all of them leave
        </a>
        ; the schema is flora/schema/recipes.schema.json. Each step says how long it takes, food says what is weighed, and nothing says how much of a
        remedy to take.
      </p>
      <label className="inline-flex min-h-11 cursor-pointer items-center rounded-sm border border-ink bg-sheet px-3 font-semibold hover:bg-pressed focus-within:outline-3 focus-within:outline-ink">
        {bring.isPending ? "Reading …" : "Bring in a file"}
        <input
          type="file"
          name="own-recipes"
          className="sr-only"
          accept=".yaml,.yml,.json"
          disabled={bring.isPending}
          onChange={(e) => {
            const file = e.target.files?.[0];
            e.target.value = "";
            if (file) bring.mutate(file);
          }}
        />
      </label>
      {bring.data && (
        <p role="status" className="mt-2">
          {bring.data.made.length} brought in{bring.data.same.length > 0 && `, ${bring.data.same.length} as known`}.
        </p>
      )}
      {bring.error && <Trouble error={bring.error} />}
    </section>
  );
}
