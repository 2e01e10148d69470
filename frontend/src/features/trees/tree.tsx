import { useQuery, useQueryClient } from "@tanstack/react-query";
import { type ReactNode, useState } from "react";
import { Link, useParams } from "react-router";
import type { Schemas } from "../../api/client";
import { treeKnownQuery, treePageQuery, treePartnersQuery, useSession } from "../../api/queries";
import { Button, Dialog, Loading, Trouble } from "../../ui/controls";
import { DangerMark } from "../../ui/danger-mark";
import { capital, dayWords } from "../../words/text";
import { DANGER, directionWords, distanceWords, GONE, girthWords, POSITION_FROM, SEX, STAGE, treeLength } from "../../words/trees";
import { Pictures } from "../pictures/pictures";
import { AdoptedHere } from "../teaching/adopted-here";
import { Crops } from "../year/crop";
import { TreeSeason } from "../year/tree-season";
import { FindAgain } from "./find-again";
import { TreeForm } from "./tree-form";
import { TreeHealth } from "./tree-health";
import { Doubt, Hold, Merge, Retag, Split } from "./tree-identity";
import { MeasureForm } from "./tree-measures";
import { TreeYears } from "./tree-years";

export type TreePage = Schemas["TreePageView"];
type Known = Schemas["TreeKnownView"];

/** A tree over the years. */
export default function Tree() {
  const { id = "" } = useParams();
  const page = useQuery(treePageQuery(id));
  if (page.isPending) return <Loading what="the tree" />;
  if (page.isError)
    return (
      <div className="p-5">
        <Trouble error={page.error} />
        <Link to="/trees" className="mt-3 inline-block underline">
          To all trees
        </Link>
      </div>
    );
  return <Shown page={page.data} />;
}

type Asking = "" | "change" | "measure" | "retag" | "merge" | "split" | "hold" | "doubt";

function Shown({ page }: { page: TreePage }) {
  const { tree } = page;
  const queries = useQueryClient();
  const session = useSession().data;
  const known = useQuery(treeKnownQuery(tree.id));
  const [asking, setAsking] = useState<Asking>("");
  const units = session?.user?.units ?? "metric";
  const role = session?.user?.role ?? "guest";
  const there = page.gone === "";
  const anew = () => {
    setAsking("");
    void queries.invalidateQueries({ queryKey: ["tree", tree.id] });
    void queries.invalidateQueries({ queryKey: ["specimens"] });
    void queries.invalidateQueries({ queryKey: ["map-trees"] });
  };
  const keep = (kept: TreePage) => {
    queries.setQueryData(treePageQuery(tree.id).queryKey, kept);
    anew();
  };
  const kind = known.data?.covered ? null : known.data?.kind;
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <div className="double-rule flex flex-wrap items-end justify-between gap-3 pb-3">
        <div className="min-w-0">
          <h1 className="text-2xl">
            {tree.tag}
            {kind && `, ${kind.commonName}`}
          </h1>
          <p className="text-faded">
            {kind?.name && <em>{kind.name}. </em>}
            <Link to={`/places/${tree.site.id}`} className="underline">
              {tree.site.name}
            </Link>
            {tree.whereabouts && `: ${tree.whereabouts}`}
          </p>
          {page.formerTags.length > 0 && (
            <p className="text-sm text-faded">Tags before: {page.formerTags.map((f) => `${f.tag} (until ${dayWords(f.until)})`).join(", ")}</p>
          )}
        </div>
        <div className="flex flex-wrap gap-2">
          {role !== "guest" && there && (
            <Link
              to={`/examine?tree=${tree.id}`}
              className="inline-flex min-h-11 items-center rounded-sm border border-ink bg-ink px-3 font-semibold text-ground"
            >
              Examine it
            </Link>
          )}
          {role !== "guest" && <Button onClick={() => setAsking("change")}>Change</Button>}
        </div>
      </div>
      {!there && (
        <p className="mt-3 border-2 border-ink bg-sheet p-3 font-semibold">
          {capital(GONE[page.gone])}
          {page.goneOn && ` on ${dayWords(page.goneOn)}`}. Its history stays.{" "}
          {page.mergedInto && (
            <Link to={`/trees/${page.mergedInto}`} className="underline">
              The tree it is
            </Link>
          )}
        </p>
      )}
      <div className="mt-4 grid grid-cols-1 gap-x-10 gap-y-6 wide:grid-cols-[minmax(0,1fr)_22rem]">
        <div className="min-w-0 space-y-6">
          <Part title="Its years">
            <TreeYears id={tree.id} />
          </Part>
          {there && (
            <Part title="This year">
              <TreeSeason id={tree.id} mayAdd={role !== "guest"} />
            </Part>
          )}
          {there && (
            <Part title="What it may bear">
              <Crops id={tree.id} mayAdd={role !== "guest"} />
            </Part>
          )}
          {known.isPending ? (
            <Loading what="what is known" />
          ) : known.isError ? (
            <Trouble error={known.error} />
          ) : (
            <WhatIsKnown known={known.data} id={tree.id} />
          )}
          {role !== "guest" && there && <AdoptedHere tree={tree.id} />}
          <Part title="Health and storms">
            <TreeHealth id={tree.id} mayTell={role !== "guest" && there} />
          </Part>
          <Pictures of={{ tree: tree.id }} mayAdd={role !== "guest"} title="Pictures" />
        </div>
        <div className="space-y-6 max-wide:order-first">
          <Part title="Held to be">
            <Kind known={known.data} danger={tree.danger} />
            {role !== "guest" && !known.data?.covered && (
              <div className="flex flex-wrap gap-2">
                {role === "instructor" && <Button onClick={() => setAsking("hold")}>Hold it to be …</Button>}
                {kind && !kind.doubt && <Button onClick={() => setAsking("doubt")}>I doubt it</Button>}
              </div>
            )}
          </Part>
          {there && <FindAgain page={page} units={units} />}
          <Part title="The tree">
            <dl className="grid grid-cols-[8rem_1fr] gap-y-1 py-2">
              <Line name="Life stage" value={page.stage ? STAGE[page.stage] : ""} />
              <Line name="Flowers" value={page.sex ? SEX[page.sex] : ""} />
              <Line name="How it does" value={page.health} />
              <Line
                name="Position"
                value={
                  page.latitude == null || page.longitude == null
                    ? ""
                    : `${page.latitude.toFixed(5)}°, ${page.longitude.toFixed(5)}°${page.uncertainty == null ? "" : `, within ${distanceWords(page.uncertainty, units)}`}; ${POSITION_FROM[page.positionFrom]}`
                }
              />
              <Line name="Tagged on" value={dayWords(page.taggedOn)} />
            </dl>
          </Part>
          <Part title="Measures">
            {page.measures.length === 0 && <p className="py-2 text-faded">Nobody has measured it yet.</p>}
            <ul>
              {page.measures.map((m) => (
                <li key={m.on + m.by + m.girth + m.height + m.lowest} className="rule-b py-1.5">
                  <span className="figures">
                    {[
                      m.girth != null && `girth ${girthWords(m.girth, units)}`,
                      m.height != null && `height ${treeLength(m.height, units)}`,
                      m.lowest != null && `lowest twigs ${treeLength(m.lowest, units)} up`,
                    ]
                      .filter(Boolean)
                      .join(", ")}
                  </span>
                  <span className="block text-sm text-faded">
                    {dayWords(m.on)}, {m.by}
                    {m.note && `. ${m.note}`}
                  </span>
                </li>
              ))}
            </ul>
            {role !== "guest" && there && (
              <Button className="mt-2" onClick={() => setAsking("measure")}>
                Measure it
              </Button>
            )}
          </Part>
          <Partners id={tree.id} units={units} />
          {role !== "guest" && (
            <Part title="The tag">
              <div className="flex flex-wrap gap-2 py-2">
                <Link
                  to={`/tags?tree=${tree.id}`}
                  className="inline-flex min-h-11 items-center rounded-sm border border-ink bg-sheet px-3 font-semibold hover:bg-pressed"
                >
                  Print it
                </Link>
                {there && <Button onClick={() => setAsking("retag")}>Another tag</Button>}
                {role === "instructor" && there && <Button onClick={() => setAsking("merge")}>Two tags, one tree</Button>}
                {role === "instructor" && there && <Button onClick={() => setAsking("split")}>One tag, two trees</Button>}
              </div>
            </Part>
          )}
        </div>
      </div>
      <Dialog open={asking === "change"} onOpenChange={(o) => !o && setAsking("")} title={`Change ${tree.tag}`}>
        <TreeForm page={page} onKept={keep} onLeave={() => setAsking("")} />
      </Dialog>
      <Dialog open={asking === "measure"} onOpenChange={(o) => !o && setAsking("")} title={`Measure ${tree.tag}`}>
        <MeasureForm id={tree.id} tag={tree.tag} today={session?.today ?? ""} imperial={units === "imperial"} onKept={keep} />
      </Dialog>
      <Retag open={asking === "retag"} page={page} onKept={keep} onLeave={() => setAsking("")} />
      <Merge open={asking === "merge"} page={page} onKept={anew} onLeave={() => setAsking("")} />
      <Split open={asking === "split"} page={page} onLeave={() => setAsking("")} />
      <Hold open={asking === "hold"} page={page} onKept={anew} onLeave={() => setAsking("")} />
      <Doubt open={asking === "doubt"} page={page} onKept={anew} onLeave={() => setAsking("")} />
    </div>
  );
}

export const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <section>
    <h2 className="border-b border-ink pb-1 text-lg">{title}</h2>
    {children}
  </section>
);

const Line = ({ name, value }: { name: string; value: string }) => (
  <>
    <dt className="text-faded">{name}</dt>
    <dd className={value ? "min-w-0 break-words" : "text-faded"}>{value || "not said"}</dd>
  </>
);

function Kind({ known, danger }: { known: Known | undefined; danger: Schemas["TreeDanger"] }) {
  if (!known) return null;
  if (known.covered) return <p className="py-2">Covered: a second person is wanted for this tree, and it could be you.</p>;
  const kind = known.kind;
  if (!kind)
    return (
      <p className="flex items-start gap-2 py-2">
        <DangerMark danger="unknown" />
        <span>Nobody holds a kind of it yet: it may be anything.</span>
      </p>
    );
  return (
    <div className="py-2">
      <p className="flex items-start gap-2">
        <DangerMark danger={danger} />
        <span>
          <strong>{kind.commonName}</strong>
          {kind.name && <em className="ml-1">{kind.name}</em>}: {DANGER[danger].long}.
        </span>
      </p>
      {kind.doubt && (
        <p className="mt-1 border-l-4 border-ochre pl-2">
          {kind.by} doubts it, {dayWords(kind.on)}: {kind.doubt}
        </p>
      )}
      <ul className="mt-1 text-sm text-faded">
        {kind.restsOn.map((r) => (
          <li key={r.examination}>
            by the{" "}
            <Link to={`/examine/${r.examination}`} className="underline">
              examination of {dayWords(r.on)}
            </Link>
            , {r.by}
          </li>
        ))}
      </ul>
      <p className="mt-1 text-sm text-faded">It opens no gate: each taking is examined anew.</p>
    </div>
  );
}

/** By organ, what was seen last; then what nobody has looked at, soonest first. */
function WhatIsKnown({ known, id }: { known: Known; id: string }) {
  const queries = useQueryClient();
  const [opening, setOpening] = useState(false);
  if (known.covered)
    return (
      <Part title="What is known of it">
        <p className="py-2">A second person is wanted, and it could be you: nothing is told before you have looked yourself.</p>
      </Part>
    );
  const organs = [...new Set(known.known.map((k) => k.organ))];
  const open = async () => {
    setOpening(true);
    const { client, unwrap } = await import("../../api/client");
    const all = await unwrap(client.GET("/api/specimens/{id}/known", { params: { path: { id }, query: { all: true } } }));
    queries.setQueryData(treeKnownQuery(id).queryKey, all);
    void queries.invalidateQueries({ queryKey: ["tree", id, "years"] });
    void queries.invalidateQueries({ queryKey: ["tree", id, "pictures"] });
    setOpening(false);
  };
  return (
    <>
      <Part title="What is known of it">
        {known.known.length === 0 && known.leftOut === 0 && <p className="py-2 text-faded">Nobody has examined it yet.</p>}
        {known.leftOut > 0 && (
          <div className="my-2 flex flex-wrap items-center gap-3 border border-ink bg-sheet p-2">
            <span className="min-w-56 flex-1">
              {known.leftOut === 1 ? "One examination of somebody else is" : `${known.leftOut} examinations of others are`} left out, so that you can
              still be the second person for {known.leftOut === 1 ? "it" : "them"}.
            </span>
            <Button disabled={opening} onClick={() => void open()}>
              Show them all the same
            </Button>
          </div>
        )}
        {organs.map((organ) => (
          <div key={organ} className="rule-b grid grid-cols-1 gap-x-4 py-1.5 wide:grid-cols-[6rem_1fr]">
            <h3 className="font-semibold">{capital(organ)}</h3>
            <ul>
              {known.known
                .filter((k) => k.organ === organ)
                .map((k) => (
                  <li key={k.character} className="flex flex-wrap justify-between gap-x-4">
                    <span>
                      <span className="text-faded">{k.label}:</span> {k.seen}
                    </span>
                    <span className="figures text-sm text-faded">
                      {dayWords(k.on)}, {k.by}
                    </span>
                  </li>
                ))}
            </ul>
          </div>
        ))}
      </Part>
      {known.missing.length > 0 && (
        <Part title="What nobody has looked at yet">
          <ul>
            {known.missing.map((m) => (
              <li key={m.character} className="rule-b flex flex-wrap justify-between gap-x-4 py-1.5">
                <span>
                  <strong>{m.label}</strong> <span className="text-faded">{m.organ}</span>
                </span>
                <span className="figures">{m.from == null ? "can be seen now" : `from ${m.from}`}</span>
              </li>
            ))}
          </ul>
        </Part>
      )}
      {known.decisions.length > 0 && (
        <Part title="What the gate said">
          <ul>
            {known.decisions.map((d) => (
              <li key={d.id} className="rule-b flex flex-wrap justify-between gap-x-4 py-1.5">
                <span>
                  <strong>{capital(d.answer)}</strong>: {d.commonName}, {d.part}. <span className="text-faded">{d.because}</span>
                </span>
                <Link to={`/decisions/${d.id}`} className="figures text-sm underline">
                  {dayWords(d.on)}, {d.by}
                </Link>
              </li>
            ))}
          </ul>
        </Part>
      )}
    </>
  );
}

const WANTS: Record<Schemas["Partner"], string> = {
  "other-sex": "Male and female flowers stand on separate trees: to fruit it wants one of the other sex",
  another: "Its own pollen does not take: to fruit it wants another one",
  better: "It bears better with another one",
};

function Partners({ id, units }: { id: string; units: string }) {
  const partners = useQuery(treePartnersQuery(id)).data;
  if (!partners?.partner) return null;
  return (
    <Part title="Trees it bears with">
      <p className="py-2">
        {WANTS[partners.partner]} within some {distanceWords(partners.within, units)} (pollen by {partners.carrier}; common practice).{" "}
        {!partners.placed
          ? "Its own position is not known, so none can be looked for."
          : partners.enough
            ? "One stands near."
            : partners.trees.length > 0
              ? "Of those near, none is known to serve."
              : "No tagged one stands near; there may be others without a tag."}
      </p>
      <ul>
        {partners.trees.map((t) => (
          <li key={t.id} className="rule-b flex justify-between gap-3 py-1.5">
            <span>
              <Link to={`/trees/${t.id}`} className="font-semibold underline">
                {t.tag}
              </Link>{" "}
              <span className="text-faded">{t.sex ? SEX[t.sex] : partners.partner === "other-sex" ? "sex not known" : ""}</span>
            </span>
            <span className="figures text-sm">
              {distanceWords(t.distance, units)} {directionWords(t.bearing)}
            </span>
          </li>
        ))}
      </ul>
    </Part>
  );
}
