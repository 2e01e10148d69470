import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { client, unwrap } from "../../api/client";
import { recipeQuery, useSession } from "../../api/queries";
import { Button, Field, Loading, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { parseDecimal } from "../../words/numbers";
import { spanWords, USE, weightWords } from "../../words/recipe";
import { capital } from "../../words/text";
import { StepOf } from "./step";

const GRAMS = { metric: 1000, imperial: 453.59237 };

/** A recipe as a cook or craftsman reads it: for the weight that is there, by the way that is chosen. */
export default function RecipePage() {
  const { id = "" } = useParams();
  const [params, setParams] = useSearchParams();
  const session = useSession().data;
  const imperial = session?.user?.units === "imperial";
  const grams = Number(params.get("grams")) || null;
  const ways = params.getAll("way");
  const recipe = useQuery(recipeQuery(id, ways, grams));
  const queries = useQueryClient();
  const go = useNavigate();
  const aside = useMutation({
    mutationFn: () => unwrap(client.DELETE("/api/recipes/own/{id}", { params: { path: { id } } })),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ["recipes"] });
      go("/recipes");
    },
  });
  if (recipe.isPending) return <Loading what="the recipe" />;
  if (recipe.isError)
    return (
      <div className="p-5">
        <Trouble error={recipe.error} />
        <Link to="/recipes" className="mt-3 inline-block underline">
          To all recipes
        </Link>
      </div>
    );
  const r = recipe.data;
  const set = (change: (now: URLSearchParams) => void) =>
    setParams(
      (now) => {
        change(now);
        return now;
      },
      { replace: true },
    );
  const choose = (parting: number, name: string) =>
    set((now) => {
      const taken = r.partings.map((p, i) => (i === parting ? name : p.taken));
      now.delete("way");
      for (const way of taken) now.append("way", way);
    });
  return (
    <article className="mx-auto max-w-4xl px-4 py-5 wide:px-6">
      <header className="double-rule pb-3">
        <p className="text-sm text-faded">{USE[r.use] ?? r.use}</p>
        <h1 className="text-2xl">{r.name}</h1>
        <p>
          Of{" "}
          {r.of.map((p, i) => (
            <span key={p.taxon + p.part}>
              {i > 0 && "; "}
              <Link to={`/species/${p.taxon}`} className="underline underline-offset-4">
                {p.name}
              </Link>
              , {p.label}
            </span>
          ))}
          {r.of.length === 0 && "kinds that the flora you work with does not hold"}. Only of what the gate has cleared.
        </p>
        {r.by && (
          <p className="mt-1 border-l-4 border-ochre pl-2">
            The school’s own, brought in by {r.by}. Nobody but the school has read it.{" "}
            {session?.user?.role === "instructor" && (
              <Button tone="quiet" disabled={aside.isPending} onClick={() => aside.mutate()}>
                Lay it aside
              </Button>
            )}
          </p>
        )}
        {aside.error && <Trouble error={aside.error} />}
      </header>
      <div className="mt-3 grid gap-x-8 gap-y-3 wide:grid-cols-2">
        <Weight
          key={`${grams} ${imperial}`}
          per={r.per}
          grams={grams}
          imperial={imperial}
          onChange={(to) => set((now) => (to ? now.set("grams", String(to)) : now.delete("grams")))}
        />
        <div>
          <h2 className="text-sm text-faded">You need</h2>
          <p>{r.needs.join(", ")}</p>
          {r.allergens.length > 0 && (
            <p className="mt-1">
              <strong>Allergens: {r.allergens.join(", ")}.</strong>
            </p>
          )}
        </div>
      </div>
      {r.cautions.length > 0 && (
        <section className="mt-4 border-l-4 border-berry pl-3">
          <h2 className="text-lg text-berry">Mind</h2>
          <ul>
            {r.cautions.map((c) => (
              <li key={c}>{c}</li>
            ))}
          </ul>
        </section>
      )}
      <ol className="mt-4">
        {r.steps.map((step, i) => {
          const parting = r.partings.findIndex((p) => p.after === i);
          const p = r.partings[parting];
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: a step is where it stands
            <li key={i} className="rule-b py-3">
              {p && (
                <fieldset className="mb-3 border border-ink bg-sheet p-3 print:border-0 print:p-0">
                  <legend className="px-1 font-semibold">Which way?</legend>
                  {p.ways.map((w) => (
                    <label key={w.name} className={`flex min-h-11 items-center gap-2 ${w.name === p.taken ? "" : "print:hidden"}`}>
                      <input
                        type="radio"
                        name={`way-${parting}`}
                        className="size-5 accent-(--ink)"
                        checked={w.name === p.taken}
                        onChange={() => choose(parting, w.name)}
                      />
                      <span>
                        <strong>{w.name}</strong> <span className="text-faded">{w.when}</span>
                      </span>
                    </label>
                  ))}
                </fieldset>
              )}
              <StepOf step={step} number={i + 1} imperial={imperial} />
            </li>
          );
        })}
      </ol>
      {r.basics.length > 0 && (
        <section className="mt-5">
          <h2 className="border-b border-ink pb-1 text-lg">How that is done</h2>
          <dl>
            {r.basics.map((b) => (
              <div key={b.title} className="rule-b py-1.5">
                <dt className="font-semibold">{b.title}</dt>
                <dd>{b.says}</dd>
              </div>
            ))}
          </dl>
        </section>
      )}
      <section className="mt-4">
        <h2 className="border-b border-ink pb-1 text-lg">It keeps</h2>
        <ul>
          {r.keeping.map((k) => (
            <li key={k.as} className="rule-b py-1.5">
              <strong>{capital(k.as)}</strong>: {spanWords(k.for)}, {k.where}. <span className="text-faded">{k.spoils}</span>
            </li>
          ))}
        </ul>
      </section>
      {r.history.length > 0 && (
        <section className="mt-4 text-sm">
          <h2 className="text-faded">What people said of it; no advice</h2>
          {r.history.map((h) => (
            <p key={h.says}>
              {h.says} ({h.who})
            </p>
          ))}
        </section>
      )}
      <p className="mt-4 text-sm text-faded">
        Source: {r.sources.join("; ")}. {r.by ? "" : "From memory; weights are what is usual, and no more. "}Edition {r.hash.slice(0, 8)}.
      </p>
      <Button className="mt-3 print:hidden" onClick={() => window.print()}>
        Print it
      </Button>
    </article>
  );
}

/** How much is there: then all weights are told for it. */
function Weight({
  per,
  grams,
  imperial,
  onChange,
}: {
  per: string;
  grams: number | null;
  imperial: boolean;
  onChange: (grams: number | null) => void;
}) {
  const one = imperial ? GRAMS.imperial : GRAMS.metric;
  const [typed, setTyped] = useState(grams === null ? "" : String(Number((grams / one).toPrecision(4))));
  const [said, setSaid] = useState("");
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (typed.trim() === "") {
      setSaid("");
      return onChange(null);
    }
    const value = parseDecimal(typed);
    if (value === null || value <= 0 || value * one > 10_000_000) return setSaid("A weight is one number, such as 1,4 or 1.4.");
    setSaid("");
    onChange(Math.round(value * one * 10) / 10);
  };
  return (
    <form onSubmit={submit}>
      <div className="flex items-end gap-2 print:hidden">
        <div className="w-40">
          <Field label={`I have, in ${imperial ? "lb" : "kg"}`}>
            <NumberInput name="weight" value={typed} onChange={(e) => setTyped(e.target.value)} />
          </Field>
        </div>
        <Button type="submit">Reckon</Button>
      </div>
      {said && <p role="alert">{said}</p>}
      <p className="mt-1 text-sm text-faded">
        {grams === null
          ? `Without a weight everything is told in proportion. What counts is the ${per}.`
          : `For ${weightWords(grams, imperial)} of ${per}.`}
      </p>
    </form>
  );
}
