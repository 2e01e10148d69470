import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { floraQuery, recipesQuery, useSession } from "../../api/queries";
import { Loading, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { USE } from "../../words/recipe";
import { BringIn } from "./bring-in";

/** All recipes, by what they are for. */
export default function Recipes() {
  const recipes = useQuery(recipesQuery());
  const flora = useQuery(floraQuery());
  const session = useSession().data;
  const [sought, setSought] = useState("");
  if (recipes.isPending) return <Loading what="the recipes" />;
  if (recipes.isError) return <Trouble error={recipes.error} retry={() => void recipes.refetch()} />;
  const names = new Map(flora.data?.taxa.map((t) => [t.id, t.commonName]));
  const here = (of: string[]) => [...new Set(of.map((part) => names.get(part.split("/")[0] ?? "")).filter((n) => n !== undefined))];
  const words = sought.trim().toLowerCase();
  const found = recipes.data
    .map((r) => ({ ...r, kinds: here(r.of) }))
    .filter((r) => r.kinds.length > 0 && `${r.name} ${r.kinds.join(" ")}`.toLowerCase().includes(words));
  const uses = Object.keys(USE).filter((use) => found.some((r) => r.use === use));
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6">
      <PageHead
        title="Recipes"
        lead="How things are made of what was taken, with weights, times and what must never be done. Only of trees the gate has cleared."
        sought={sought}
        onSeek={setSought}
      />
      {uses.map((use) => (
        <section key={use} className="mt-4">
          <h2 className="border-b border-ink pb-1 text-lg">{USE[use]}</h2>
          <ul>
            {found
              .filter((r) => r.use === use)
              .map((r) => (
                <li key={r.id} className="rule-b">
                  <Link to={`/recipes/${r.id}`} className="block min-h-11 px-2 py-2 hover:bg-sheet">
                    <strong>{r.name}</strong>
                    {r.own && <span className="text-sm"> · the school’s own</span>}
                    <span className="block text-sm text-faded">{r.kinds.join(", ")}</span>
                  </Link>
                </li>
              ))}
          </ul>
        </section>
      ))}
      {session?.user?.role === "instructor" && <BringIn />}
      {found.length === 0 && <p className="py-4 text-faded">No recipe goes by that, of what this flora holds.</p>}
    </div>
  );
}
