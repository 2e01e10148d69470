import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link, useNavigate } from "react-router";
import { client, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { batchesQuery, batchQuery, freeHarvestsQuery, recipeQuery, recipesQuery, useSession } from "../../api/queries";
import { Button, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { DOUBT } from "../../words/batches";
import { parseDecimal } from "../../words/numbers";
import { capital, dayWords } from "../../words/text";

/** Harvests first, then a recipe that is made of them, then the weight. */
export default function BeginBatch() {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const imperial = useSession().data?.user?.units === "imperial";
  const harvests = useQuery(freeHarvestsQuery);
  const recipes = useQuery(recipesQuery());
  const [shares, setShares] = useState<Record<string, number>>({});
  const [recipe, setRecipe] = useState("");
  const [ways, setWays] = useState<string[]>([]);
  const [name, setName] = useState("");
  const [weight, setWeight] = useState("");
  const [said, setSaid] = useState("");
  const drawn = useQuery({ ...recipeQuery(recipe, ways, null), enabled: recipe !== "" });
  const [id] = useState(newId);
  const begin = useMutation({
    mutationFn: (grams: number) => unwrap(client.POST("/api/batches", { body: { id, name, recipe, ways, sources: shares, grams } })),
    onSuccess: (batch) => {
      queries.setQueryData(batchQuery(batch.id).queryKey, batch);
      for (const key of [batchesQuery.queryKey, freeHarvestsQuery.queryKey, ["today"]]) void queries.invalidateQueries({ queryKey: key });
      navigate(`/batches/${batch.id}`, { replace: true });
    },
  });
  if (harvests.isPending || recipes.isPending) return <Loading what="the harvests" />;
  if (harvests.isError || recipes.isError) return <Trouble error={(harvests.error ?? recipes.error) as Error} />;
  const chosen = harvests.data.filter((h) => h.harvest in shares);
  const fits = recipes.data.filter((r) => chosen.length > 0 && chosen.every((h) => r.of.includes(`${h.taxon}/${h.part}`)));
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const value = parseDecimal(weight);
    if (value === null || value <= 0) return setSaid("A weight is one number, such as 1,4 or 1.4.");
    setSaid("");
    begin.mutate(Math.round(value * (imperial ? 453.59237 : 1000) * 10) / 10);
  };
  return (
    <form onSubmit={submit} className="mx-auto max-w-3xl space-y-5 px-4 py-5">
      <h1 className="double-rule pb-3 text-2xl">Begin a batch</h1>
      <fieldset>
        <legend className="text-lg font-semibold">Of which harvests?</legend>
        {harvests.data.length === 0 && (
          <p className="py-2 text-faded">
            Nothing that was logged is left to be made into anything. What is taken is logged where the gate is{" "}
            <Link to="/examine" className="underline">
              open
            </Link>
            .
          </p>
        )}
        <ul>
          {harvests.data.map((h) => (
            <li key={h.harvest} className="rule-b flex flex-wrap items-center justify-between gap-x-3 py-1" data-harvest={h.tag}>
              <label className="flex min-h-11 flex-1 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5 accent-(--ink)"
                  disabled={h.doubt != null}
                  checked={h.harvest in shares}
                  onChange={(e) => {
                    const { [h.harvest]: _, ...others } = shares;
                    setShares(e.target.checked ? { ...others, [h.harvest]: h.share } : others);
                    setRecipe("");
                    setWays([]);
                  }}
                />
                <span>
                  {capital(h.name)}, {h.label}: {h.amount}{" "}
                  <span className="text-sm text-faded">
                    {h.tag}, {dayWords(h.takenOn)}
                    {h.share < 100 && ` · ${h.share} % of it are left`}
                  </span>
                  {h.doubt && <span className="block text-sm text-berry">{DOUBT[h.doubt]} Nothing is made of it.</span>}
                </span>
              </label>
              {h.harvest in shares && (
                <span className="flex items-center gap-2">
                  <input
                    type="number"
                    min="1"
                    max={h.share}
                    aria-label={`Per cent of the harvest of ${h.tag}`}
                    className={`${fieldClass} w-24`}
                    value={shares[h.harvest]}
                    onChange={(e) => setShares({ ...shares, [h.harvest]: Number(e.target.value) })}
                  />
                  %
                </span>
              )}
            </li>
          ))}
        </ul>
      </fieldset>
      {chosen.length > 0 && (
        <Field label="By which recipe?">
          <select
            className={fieldClass}
            value={recipe}
            required
            onChange={(e) => {
              setRecipe(e.target.value);
              setWays([]);
              setName(recipes.data.find((r) => r.id === e.target.value)?.name ?? "");
            }}
          >
            <option value="">choose …</option>
            {fits.map((r) => (
              <option key={r.id} value={r.id}>
                {r.name}
              </option>
            ))}
          </select>
        </Field>
      )}
      {chosen.length > 0 && fits.length === 0 && <p>No recipe is made of these together.</p>}
      {recipe !== "" &&
        drawn.data?.partings.map((p, i) => (
          <Field key={p.after} label="Which way?">
            <select
              className={fieldClass}
              value={p.taken}
              onChange={(e) => setWays(drawn.data.partings.map((q, j) => (i === j ? e.target.value : q.taken)))}
            >
              {p.ways.map((w) => (
                <option key={w.name} value={w.name}>
                  {w.name}: {w.when}
                </option>
              ))}
            </select>
          </Field>
        ))}
      {recipe !== "" && (
        <>
          <div className="grid gap-4 wide:grid-cols-2">
            <Field label="What it is called">
              <input className={fieldClass} name="batch-name" required maxLength={120} value={name} onChange={(e) => setName(e.target.value)} />
            </Field>
            <Field label={`Weight of ${drawn.data?.per ?? "what goes in"}, in ${imperial ? "lb" : "kg"}`}>
              <NumberInput name="batch-weight" required value={weight} onChange={(e) => setWeight(e.target.value)} />
            </Field>
          </div>
          {said && <p role="alert">{said}</p>}
          {begin.error && <Trouble error={begin.error} />}
          <Button type="submit" tone="ink" disabled={begin.isPending}>
            Begin
          </Button>
        </>
      )}
    </form>
  );
}
