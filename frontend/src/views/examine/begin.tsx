import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useDeferredValue, useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { client, Problem, type Schemas, unwrap } from "../../api/client";
import { floraQuery, sitesQuery, treeQuery, treesQuery, useSession } from "../../api/queries";
import { Button, Choice, capital, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { FloraChoice } from "../species/flora-choice";
import { ClaimDialog } from "./claim";
import { Kit } from "./kit";
import { ROUTES, type RouteId } from "./stations";

/** Before the first look: which tree, which day, what can be reached. */
export default function Begin() {
  const [search] = useSearchParams();
  const second = search.get("second");
  const session = useSession().data;
  const flora = useQuery(floraQuery());
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [tree, setTree] = useState(search.get("tree") ?? "");
  const [date, setDate] = useState(session?.today ?? "");
  const [stage, setStage] = useState<Schemas["LifeStage"]>("mature");
  const [route, setRoute] = useState<RouteId>("branch-first");
  const [reach, setReach] = useState(["ground", "hand", "binoculars", "cut"]);
  const [kit, setKit] = useState(["none", "rule", "hand-lens", "knife"]);
  const [blind, setBlind] = useState(false);
  const [claim, setClaim] = useState<{ taxon: string; part: string } | null>(null);
  const [asking, setAsking] = useState(false);
  const begin = useMutation({
    mutationFn: () =>
      unwrap(
        client.POST("/api/examinations", {
          body: {
            specimenId: tree,
            date,
            stage,
            route,
            reach,
            kit,
            blind,
            claimTaxon: claim?.taxon ?? null,
            claimPart: claim?.part ?? null,
            secondOf: second,
          },
        }),
      ),
    onSuccess: (e) => {
      queries.setQueryData(["examination", e.id], e);
      void queries.invalidateQueries({ queryKey: ["today"] });
      navigate(`/examine/${e.id}`);
    },
  });
  if (flora.isPending) return <Loading what="the flora" />;
  if (flora.isError) return <Trouble error={flora.error} retry={() => void flora.refetch()} />;
  const taxon = flora.data.taxa.find((t) => t.id === claim?.taxon);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    begin.mutate();
  };
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <div className="double-rule flex items-end justify-between pb-2">
        <h1 className="text-2xl">{second ? "Take the second look" : "Which tree?"}</h1>
        <Button type="submit" form="begin" tone="ink" className="hidden wide:inline-flex" disabled={begin.isPending || tree === ""}>
          {tree === "" ? "Choose a tree first" : "Begin"}
        </Button>
      </div>
      <form id="begin" onSubmit={submit} className="mt-4 grid gap-8 wide:grid-cols-[1fr_24rem]">
        <div>
          <Trees chosen={tree} only={second !== null} onChoose={setTree} />
          {!second && (
            <NewTree
              onTagged={(s) => {
                queries.setQueryData(["specimen", s.id], s);
                setTree(s.id);
                void queries.invalidateQueries({ queryKey: ["specimens"] });
              }}
            />
          )}
          {!second && <FloraChoice label="Flora to compare with" className="mt-6 max-w-md" onChosen={() => setClaim(null)} />}
        </div>
        <div className="space-y-4">
          <Field label="Day">
            <input type="date" className={fieldClass} required value={date} onChange={(e) => setDate(e.target.value)} />
          </Field>
          <Choice
            label="Age of the tree"
            value={stage}
            options={(["sapling", "young", "mature", "old"] as const).map((value) => ({ value, label: value }))}
            onChange={setStage}
          />
          <Choice
            label="Route"
            value={route}
            options={(Object.keys(ROUTES) as RouteId[]).map((value) => ({ value, label: ROUTES[value].label }))}
            onChange={setRoute}
          />
          <Kit reach={reach} kit={kit} onReach={setReach} onKit={setKit} />
          {second ? (
            <p className="border-l-4 border-ink pl-3 text-sm">
              You look for yourself: names and the first scores stay covered until you have signed.
            </p>
          ) : (
            <>
              <div>
                <div className="mb-1 text-sm text-faded">Hoped for</div>
                <Button onClick={() => setAsking(true)}>
                  {taxon ? `${capital(taxon.commonName)}, ${taxon.parts.find((x) => x.id === claim?.part)?.label}` : "Nothing yet: just looking"}
                </Button>
              </div>
              <label className="flex min-h-11 items-center gap-3">
                <input type="checkbox" className="size-5 shrink-0 accent-(--ink)" checked={blind} onChange={(e) => setBlind(e.target.checked)} />
                Keep the names covered while I look
              </label>
            </>
          )}
          {begin.error && <Trouble error={begin.error} />}
          <Button type="submit" tone="ink" className="w-full wide:hidden" disabled={begin.isPending || tree === ""}>
            {tree === "" ? "Choose a tree first" : "Begin"}
          </Button>
        </div>
      </form>
      <ClaimDialog
        open={asking}
        onOpenChange={setAsking}
        flora={flora.data}
        current={claim}
        onAsk={(t, p) => {
          setClaim({ taxon: t, part: p });
          setAsking(false);
        }}
        onDrop={() => {
          setClaim(null);
          setAsking(false);
        }}
      />
    </div>
  );
}

/** The chosen tree first, then those that answer to the words, a page at a time. */
function Trees({ chosen, only, onChoose }: { chosen: string; only: boolean; onChoose: (id: string) => void }) {
  const [words, setWords] = useState("");
  const asked = useDeferredValue(words.trim());
  const found = useInfiniteQuery({ ...treesQuery(asked), enabled: !only });
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

function NewTree({ onTagged }: { onTagged: (specimen: Schemas["SpecimenView"]) => void }) {
  const sites = useQuery(sitesQuery);
  const [tag, setTag] = useState("");
  const [siteId, setSite] = useState("");
  const [whereabouts, setWhereabouts] = useState("");
  const [open, setOpen] = useState(false);
  const site = siteId || sites.data?.[0]?.id || "";
  const add = useMutation({
    mutationFn: () => unwrap(client.POST("/api/specimens", { body: { tag, siteId: site, whereabouts } })),
    onSuccess: (specimen) => {
      setTag("");
      setWhereabouts("");
      setOpen(false);
      onTagged(specimen);
    },
  });
  const fields = add.error instanceof Problem ? add.error.fields : {};
  if (!open)
    return (
      <Button className="mt-3" onClick={() => setOpen(true)}>
        Tag another tree
      </Button>
    );
  return (
    <div className="mt-3 space-y-3 border border-ink bg-sheet p-3">
      <div className="grid gap-3 wide:grid-cols-2">
        <Field label="Tag" error={fields.tag}>
          <input className={fieldClass} maxLength={24} value={tag} placeholder="M-06" onChange={(e) => setTag(e.target.value)} />
        </Field>
        <Field label="Site" error={fields.siteId}>
          <select className={fieldClass} value={site} onChange={(e) => setSite(e.target.value)}>
            {sites.data?.map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </select>
        </Field>
      </div>
      <Field label="How to find it again" error={fields.whereabouts}>
        <input className={fieldClass} maxLength={300} value={whereabouts} onChange={(e) => setWhereabouts(e.target.value)} />
      </Field>
      {add.error && Object.keys(fields).length === 0 && <Trouble error={add.error} />}
      <div className="flex gap-2">
        <Button tone="ink" disabled={add.isPending || tag.trim() === ""} onClick={() => add.mutate()}>
          Tag it
        </Button>
        <Button onClick={() => setOpen(false)}>Leave it</Button>
      </div>
    </div>
  );
}
