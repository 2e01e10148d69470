import { useQuery, useQueryClient } from "@tanstack/react-query";
import { type ReactNode, useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import type { Schemas } from "../../api/client";
import { floraQuery, papersQuery, siteQuery, useSession } from "../../api/queries";
import { Button, Dialog, Loading, Trouble } from "../../ui/controls";
import { StandingMark } from "../../ui/marks";
import { EXPOSURE, LIGHT, MOISTURE, permissionWords, SOIL } from "../../words/places";
import { dayWords } from "../../words/text";
import { AddPicture } from "../pictures/pictures";
import { Weather } from "../year/weather";
import { Boundary } from "./boundary";
import { PermissionForm } from "./permission-form";
import { PlaceForm } from "./place-form";
import { Quotas } from "./quotas";
import { WaysIn } from "./ways-in";

type Page = Schemas["SitePageView"];

/** A place: what the owner said, how often one may take what, and what the ground is like. */
export default function Place() {
  const { id = "" } = useParams();
  const navigate = useNavigate();
  const isNew = id === "new";
  const place = useQuery({ ...siteQuery(id), enabled: !isNew });
  if (isNew)
    return (
      <div className="mx-auto max-w-2xl px-4 py-5">
        <h1 className="double-rule mb-4 pb-3 text-2xl">Enter a place</h1>
        <PlaceForm onKept={(page) => navigate(`/places/${page.site.id}`, { replace: true })} onLeave={() => navigate("/places")} />
      </div>
    );
  if (place.isPending) return <Loading what="the place" />;
  if (place.isError)
    return (
      <div className="p-5">
        <Trouble error={place.error} />
        <Link to="/places" className="mt-3 inline-block underline">
          To all places
        </Link>
      </div>
    );
  return <PlacePage page={place.data} />;
}

function PlacePage({ page }: { page: Page }) {
  const { site } = page;
  const session = useSession().data;
  const flora = useQuery(floraQuery());
  const queries = useQueryClient();
  const [changing, setChanging] = useState(false);
  const [asking, setAsking] = useState(false);
  const imperial = session?.user?.units === "imperial";
  const stands = permissionWords(site, session?.today ?? "");
  const keep = (kept: Page) => {
    queries.setQueryData(siteQuery(site.id).queryKey, kept);
    void queries.invalidateQueries({ queryKey: ["sites"] });
    void queries.invalidateQueries({ queryKey: ["today"] });
    setChanging(false);
    setAsking(false);
  };
  const holds = page.permissions[0];
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6">
      <div className="double-rule flex flex-wrap items-end justify-between gap-3 pb-3">
        <div>
          <h1 className="text-2xl">{site.name}</h1>
          <p className="figures text-sm text-faded">
            {site.latitude.toFixed(4)}°, {site.longitude.toFixed(4)}° ·{" "}
            {imperial ? `${Math.round(site.altitude / 0.3048)} ft` : `${Math.round(site.altitude)} m`} ·{" "}
            <Link to={`/trees?site=${site.id}`} className="underline">
              {page.trees === 1 ? "one tree" : `${page.trees} trees`} tagged
            </Link>
          </p>
        </div>
        {page.mayChange && <Button onClick={() => setChanging(true)}>Change the place</Button>}
      </div>
      <div className="mt-4 grid grid-cols-1 gap-x-10 gap-y-6 wide:grid-cols-2">
        <Part title="What the owner said">
          <p className="flex items-start gap-2 py-2">
            <span className="pt-0.5">
              <StandingMark standing={stands.holds ? "met" : site.permission === false ? "broken" : "open"} />
            </span>
            <span>
              <strong>{stands.words.charAt(0).toUpperCase() + stands.words.slice(1)}.</strong>
              {holds && holds.parts.length > 0 && stands.holds && ` For ${holds.parts.join("; ")} only.`}
            </span>
          </p>
          <ul>
            {page.permissions.map((p, i) => (
              <li key={p.id} className={`rule-b py-1.5 text-sm ${i > 0 ? "text-faded" : ""}`}>
                {dayWords(p.saidOn)}, {p.said === "written" ? "in writing" : "by word of mouth"}: {p.owner}{" "}
                {p.given ? "allows it" : "does not allow it"}
                {p.given && (p.parts.length > 0 ? ` for ${p.parts.join("; ")}` : " for everything")}
                {p.until ? `, until ${dayWords(p.until)}` : ""}.{p.note && ` ${p.note}`} <span className="text-faded">Recorded by {p.by}.</span>
                <Papers site={site.id} permission={p.id} mayAdd={page.mayChange} />
              </li>
            ))}
            {page.permissions.length === 0 && site.owner && <li className="rule-b py-1.5 text-sm text-faded">{site.owner}</li>}
          </ul>
          {page.mayChange && (
            <Button className="mt-2" tone={stands.holds ? "plain" : "ink"} onClick={() => setAsking(true)}>
              Record what the owner says
            </Button>
          )}
        </Part>
        <Part title="How often, each year">
          <Quotas page={page} onKept={keep} />
        </Part>
        <Part title="The ground">
          <dl className="grid grid-cols-[8rem_1fr] gap-y-1 py-2">
            {[
              ["Soil", SOIL[page.soil]],
              ["Light", LIGHT[page.light]],
              ["Moisture", MOISTURE[page.moisture]],
              ["The slope looks", EXPOSURE[page.exposure]],
            ].map(([name, value]) => (
              <div key={name} className="contents">
                <dt className="text-faded">{name}</dt>
                <dd className={value === "not said" ? "text-faded" : ""}>{value}</dd>
              </div>
            ))}
          </dl>
        </Part>
        <Part title="Where it ends">
          <Boundary page={page} onKept={keep} />
        </Part>
        <Part title="Ways in">
          <WaysIn page={page} onKept={keep} />
        </Part>
        <Part title="Its weather">
          <Weather site={site.id} mayChange={page.mayChange} imperial={imperial} />
        </Part>
        <Part title="Rules, and what is protected here">
          <p className={`py-2 whitespace-pre-line ${page.rules ? "" : "text-faded"}`}>{page.rules || "Nothing is written down."}</p>
          {page.protectedTaxa.length > 0 && (
            <p>
              Protected: {page.protectedTaxa.map((t) => flora.data?.taxa.find((x) => x.id === t)?.commonName ?? t).join(", ")}. The gate stays shut
              for them here.
            </p>
          )}
        </Part>
      </div>
      <Dialog open={changing} onOpenChange={setChanging} title={`Change ${site.name}`}>
        <PlaceForm page={page} onKept={keep} onLeave={() => setChanging(false)} />
      </Dialog>
      <Dialog open={asking} onOpenChange={setAsking} title="What the owner says" description="The last one said holds. Those before stay on record.">
        <PermissionForm page={page} onKept={keep} />
      </Dialog>
    </div>
  );
}

/** The papers of one thing the owner said. */
function Papers({ site, permission, mayAdd }: { site: string; permission: string; mayAdd: boolean }) {
  const papers = useQuery(papersQuery(site));
  const queries = useQueryClient();
  const own = papers.data?.filter((p) => p.permission === permission) ?? [];
  return (
    <span className="block print:hidden">
      {papers.isError && <span className="text-berry">The papers could not be fetched. </span>}
      {own.map((paper) => (
        <a
          key={paper.id}
          href={`/api/pictures/${paper.id}/full`}
          className="inline-flex min-h-11 items-center pr-3 underline"
          target="_blank"
          rel="noreferrer"
        >
          {paper.caption || (paper.type === "application/pdf" ? "The letter (PDF)" : "The paper, photographed")}
        </a>
      ))}
      {mayAdd && (
        <AddPicture
          of={{ permission }}
          pdf
          label={own.length > 0 ? "Attach another paper" : "Attach the paper"}
          onAdded={() => void queries.invalidateQueries({ queryKey: ["site", site, "papers"] })}
        />
      )}
    </span>
  );
}

const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <section>
    <h2 className="border-b border-ink pb-1 text-lg">{title}</h2>
    {children}
  </section>
);
