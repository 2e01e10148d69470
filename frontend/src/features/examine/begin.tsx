import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { floraQuery, useSession } from "../../api/queries";
import { Button, Choice, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { ROUTES, type RouteId } from "../../words/stations";
import { capital } from "../../words/text";
import { FloraChoice } from "../floras/flora-choice";
import { ChooseTree } from "../trees/choose-tree";
import { NewTree } from "../trees/new-tree";
import { ClaimDialog } from "./claim";
import { Kit, STAGES } from "./kit";

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
            id: newId(),
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
          <ChooseTree chosen={tree} only={second !== null} onChoose={setTree} />
          {!second && (
            <NewTree
              onTagged={(s) => {
                queries.setQueryData(["specimen", s.id], s);
                setTree(s.id);
                void queries.invalidateQueries({ queryKey: ["specimens"] });
              }}
            />
          )}
          {!second && (
            <p>
              <Link to="/sheet" className="mr-4 inline-flex min-h-11 items-center underline underline-offset-4">
                A sheet of paper
              </Link>
              <Link to="/along" className="inline-flex min-h-11 items-center underline underline-offset-4">
                Take along, for where there is no network
              </Link>
            </p>
          )}
          {!second && <FloraChoice label="Flora to compare with" className="mt-6 max-w-md" onChosen={() => setClaim(null)} />}
        </div>
        <div className="space-y-4">
          <Field label="Day">
            <input type="date" className={fieldClass} required value={date} onChange={(e) => setDate(e.target.value)} />
          </Field>
          <Choice label="Age of the tree" value={stage} options={STAGES} onChange={setStage} />
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
