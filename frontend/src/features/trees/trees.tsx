import { useInfiniteQuery, useQuery } from "@tanstack/react-query";
import { useDeferredValue, useEffect, useState } from "react";
import { Link, useNavigationType, useSearchParams } from "react-router";
import { EVERY_TREE, mapTreesQuery, type Selection, sitesQuery, treesQuery, useSession } from "../../api/queries";
import { Button, Choice, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { DangerMark } from "../../ui/danger-mark";
import { PageHead } from "../../ui/page-head";
import { DANGER, DANGERS, directionWords, distanceWords, GONE, way } from "../../words/trees";
import { useWhere, WhereLine } from "../devices/where";
import { TreeMap } from "../map/map";
import { TreesNav } from "./trees-nav";

/** All trees: one selection, as a list or on the ground. It stands in the address, so that it can be passed on. */
export default function Trees() {
  const [params, setParams] = useSearchParams();
  const session = useSession().data;
  const sites = useQuery(sitesQuery);
  const where = useWhere();
  const view = params.get("as") === "map" ? "map" : "list";
  const set = (changes: Record<string, string>) =>
    setParams(
      (now) => {
        for (const [key, value] of Object.entries(changes)) value ? now.set(key, value) : now.delete(key);
        return now;
      },
      { replace: true },
    );
  // the address follows what is typed, and may come late: letters are kept here
  const asked = params.get("q") ?? "";
  const [words, setWords] = useState(asked);
  const moved = useNavigationType();
  useEffect(() => {
    if (moved !== "REPLACE") setWords(asked);
  }, [moved, asked]);
  const danger = params.get("danger") ?? "";
  const selection: Selection = useDeferredValue({
    ...EVERY_TREE,
    q: params.get("q")?.trim() ?? "",
    site: params.get("site") ?? "",
    danger: DANGERS.find((d) => d === danger) ?? "",
    gone: params.has("gone"),
  });
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <PageHead title="Trees" lead="What a tree is held to be is told here, and opens no gate." />
      <TreesNav />
      <div className="mt-3 grid grid-cols-2 items-end gap-3 wide:grid-cols-[1fr_13rem_13rem_auto]">
        <div className="col-span-2 wide:col-span-1">
          <Field label="Tag, place or words">
            <input
              type="search"
              className={fieldClass}
              maxLength={100}
              value={words}
              onChange={(e) => {
                setWords(e.target.value);
                set({ q: e.target.value });
              }}
            />
          </Field>
        </div>
        <Field label="Place">
          <select className={fieldClass} value={selection.site} onChange={(e) => set({ site: e.target.value })}>
            <option value="">all</option>
            {sites.data?.map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Danger of its kind">
          <select className={fieldClass} value={selection.danger} onChange={(e) => set({ danger: e.target.value })}>
            <option value="">all</option>
            {DANGERS.map((d) => (
              <option key={d} value={d}>
                {DANGER[d].word}
              </option>
            ))}
          </select>
        </Field>
        <Choice
          label="Show as"
          value={view}
          options={[
            { value: "list", label: "List" },
            { value: "map", label: "Map" },
          ]}
          onChange={(as) => set({ as: as === "map" ? "map" : "" })}
        />
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-x-6 gap-y-1">
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-(--ink)"
            checked={selection.gone}
            onChange={(e) => set({ gone: e.target.checked ? "1" : "" })}
          />
          those that are gone
        </label>
        <WhereLine where={where} />
      </div>
      {view === "list" ? (
        <List selection={selection} where={where.spot} units={session?.user?.units ?? "metric"} />
      ) : (
        <OnTheGround
          selection={selection}
          where={where.spot}
          units={session?.user?.units ?? "metric"}
          chosen={params.get("tree") ?? ""}
          onChoose={(tree) => set({ tree })}
        />
      )}
    </div>
  );
}

type Spot = { latitude: number; longitude: number; uncertainty: number | null } | null;

function List({ selection, where, units }: { selection: Selection; where: Spot; units: string }) {
  const found = useInfiniteQuery(treesQuery(selection));
  if (found.isPending) return <Loading what="the trees" />;
  if (found.isError) return <Trouble error={found.error} retry={() => void found.refetch()} />;
  const trees = found.data.pages.flatMap((page) => page.trees);
  const total = found.data.pages[0]?.total ?? 0;
  return (
    <>
      <p role="status" className="mt-2 text-sm text-faded">
        {total === 1 ? "One tree" : `${total} trees`}
      </p>
      {total === 0 && <p className="py-4 text-faded">No tree answers to this. A tree gets its tag before its first look, under Examine.</p>}
      <ul>
        {trees.map((t) => {
          const far = where && t.latitude != null && t.longitude != null ? way(where, { latitude: t.latitude, longitude: t.longitude }) : null;
          return (
            <li key={t.id} className="rule-b">
              <Link
                to={`/trees/${t.id}`}
                className="grid min-h-11 grid-cols-[auto_1fr_auto] items-center gap-3 px-1 py-1.5 hover:bg-sheet"
                data-tree={t.tag}
              >
                <DangerMark danger={t.danger} />
                <span className="min-w-0">
                  <strong>{t.tag}</strong> {t.kind ? <span>{t.kind}</span> : <span className="text-faded">no kind held</span>}{" "}
                  {t.kindName && <em className="text-faded">{t.kindName}</em>}
                  {t.gone && <span className="text-faded">, {GONE[t.gone]}</span>}
                  <span className="block text-sm text-faded">
                    {t.site.name}
                    {t.whereabouts && `: ${t.whereabouts}`}
                  </span>
                </span>
                <span className="figures text-right text-sm text-faded">
                  {far ? (
                    <>
                      {distanceWords(far.metres, units)}
                      <span className="block">{directionWords(far.bearing)}</span>
                    </>
                  ) : t.latitude == null ? (
                    "no position"
                  ) : (
                    ""
                  )}
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
      {found.hasNextPage && (
        <Button className="mt-3" disabled={found.isFetchingNextPage} onClick={() => void found.fetchNextPage()}>
          {found.isFetchingNextPage ? "Fetching more …" : "More trees"}
        </Button>
      )}
    </>
  );
}

function OnTheGround(p: { selection: Selection; where: Spot; units: string; chosen: string; onChoose: (id: string) => void }) {
  const found = useQuery(mapTreesQuery(p.selection));
  if (found.isPending) return <Loading what="the map" />;
  if (found.isError) return <Trouble error={found.error} retry={() => void found.refetch()} />;
  const { trees, total, places } = found.data;
  const chosen = trees.find((t) => t.id === p.chosen);
  const left = total - trees.length;
  return (
    <div className="mt-2">
      <p role="status" className="text-sm text-faded">
        {trees.length === 1 ? "One tree" : `${trees.length} trees`} drawn
        {left > 0 && `; ${left === 1 ? "one has" : `${left} have`} no position and ${left === 1 ? "stands" : "stand"} in the list only`}.
      </p>
      <div className="mt-2">
        <TreeMap
          trees={trees}
          places={p.selection.site ? places.filter((x) => x.id === p.selection.site) : places}
          chosen={p.chosen}
          onChoose={p.onChoose}
          here={p.where}
          units={p.units}
        />
      </div>
      <div aria-live="polite">
        {chosen && (
          <p className="mt-3 flex flex-wrap items-center gap-3 border border-ink bg-sheet p-3" data-chosen={chosen.tag}>
            <DangerMark danger={chosen.danger} withWord />
            <span>
              <strong>{chosen.tag}</strong> {chosen.kind || "no kind held"}
            </span>
            <Link to={`/trees/${chosen.id}`} className="inline-flex min-h-11 items-center underline">
              Its page
            </Link>
          </p>
        )}
      </div>
    </div>
  );
}
