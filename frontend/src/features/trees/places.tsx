import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { sitesQuery, useSession } from "../../api/queries";
import { Loading, Trouble } from "../../ui/controls";
import { StandingMark } from "../../ui/marks";
import { PageHead } from "../../ui/page-head";
import { permissionWords } from "../../words/places";
import { TreesNav } from "./trees-nav";

/** The places one goes to, and whether one may take anything there. */
export default function Places() {
  const session = useSession().data;
  const sites = useQuery(sitesQuery);
  if (sites.isPending) return <Loading what="the places" />;
  if (sites.isError)
    return (
      <div className="p-5">
        <Trouble error={sites.error} retry={() => void sites.refetch()} />
      </div>
    );
  const mayAdd = session?.user?.role === "instructor";
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6">
      <PageHead title="Places" lead="What the owner said holds; the gate reads it here. Local law comes first all the same." />
      <TreesNav />
      {mayAdd && (
        <Link to="/places/new" className="mt-4 inline-flex min-h-11 items-center rounded-sm border border-ink bg-ink px-4 font-semibold text-ground">
          Enter a place
        </Link>
      )}
      {sites.data.length === 0 && (
        <p className="py-4 text-faded">
          No place is entered yet. {mayAdd ? "Every tree stands at one: enter the first." : "An instructor enters the first."}
        </p>
      )}
      <ul className="mt-3">
        {sites.data.map((site) => {
          const stands = permissionWords(site, session?.today ?? "");
          return (
            <li key={site.id} className="rule-b">
              <Link to={`/places/${site.id}`} className="flex min-h-11 items-start gap-3 px-1 py-2 hover:bg-sheet" data-place={site.name}>
                <span className="pt-1">
                  <StandingMark standing={stands.holds ? "met" : site.permission === false ? "broken" : "open"} />
                </span>
                <span className="min-w-0 flex-1">
                  <strong>{site.name}</strong>
                  <span className="block text-sm">{stands.words}</span>
                  {site.owner && <span className="block text-sm text-faded">{site.owner}</span>}
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
