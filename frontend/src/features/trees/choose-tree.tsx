import { useInfiniteQuery, useQuery } from "@tanstack/react-query";
import { useDeferredValue, useState } from "react";
import { EVERY_TREE, treeQuery, treesQuery } from "../../api/queries";
import { Button, Field, fieldClass, Trouble } from "../../ui/controls";

/** The chosen tree first, then those that answer to the words, a page at a time. */
export function ChooseTree({ chosen, only, onChoose }: { chosen: string; only: boolean; onChoose: (id: string) => void }) {
  const [words, setWords] = useState("");
  const asked = useDeferredValue(words.trim());
  const found = useInfiniteQuery({ ...treesQuery({ ...EVERY_TREE, q: asked }), enabled: !only });
  const own = useQuery(treeQuery(chosen));
  const listed = found.data?.pages.flatMap((page) => page.trees) ?? [];
  const trees = own.data && !listed.some((t) => t.id === chosen) ? [own.data, ...listed] : listed;
  const total = found.data?.pages[0]?.total ?? 0;
  return (
    <>
      {!only && (
        <div className="mb-2 flex flex-wrap items-end gap-3">
          <div className="min-w-56 flex-1">
            <Field label="Find a tree by tag, place or words">
              <input type="search" className={fieldClass} maxLength={100} value={words} onChange={(e) => setWords(e.target.value)} />
            </Field>
          </div>
          <p role="status" className="pb-2 text-sm text-faded">
            {found.data ? (total === 1 ? "1 tree" : `${total} trees`) : "Fetching the trees …"}
          </p>
        </div>
      )}
      {found.isError && <Trouble error={found.error} retry={() => void found.refetch()} />}
      {own.isError && <Trouble error={own.error} retry={() => void own.refetch()} />}
      <fieldset>
        <legend className="sr-only">Tree</legend>
        <ul>
          {trees.map((s) => (
            <li key={s.id} className="rule-b">
              <label className="flex min-h-11 items-center gap-3 px-2 py-1.5 has-checked:bg-sheet has-checked:outline-2 has-checked:outline-ink hover:bg-sheet">
                <input
                  type="radio"
                  name="tree"
                  className="size-5 shrink-0 accent-(--ink)"
                  required
                  value={s.id}
                  checked={chosen === s.id}
                  onChange={() => onChoose(s.id)}
                />
                <strong className="min-w-14 shrink-0">{s.tag}</strong>
                <span className="min-w-0">
                  {s.whereabouts}
                  <span className="block text-sm text-faded">{s.site.name}</span>
                </span>
              </label>
            </li>
          ))}
        </ul>
      </fieldset>
      {found.data && total === 0 && <p className="p-2 text-faded">No tree answers to these words.</p>}
      {found.hasNextPage && (
        <Button className="mt-2" disabled={found.isFetchingNextPage} onClick={() => void found.fetchNextPage()}>
          {found.isFetchingNextPage ? "Fetching more …" : "More trees"}
        </Button>
      )}
    </>
  );
}
