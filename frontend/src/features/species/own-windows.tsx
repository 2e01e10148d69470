import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { useSession, windowsOfQuery } from "../../api/queries";
import { Loading, Trouble } from "../../ui/controls";
import { capital } from "../../words/text";
import { windowWords } from "../../words/year";

/** When it may be taken at the school's places: by its own dates and weather, and no longer by the book alone. */
export function OwnWindows({ taxon }: { taxon: string }) {
  const places = useQuery(windowsOfQuery(taxon));
  const today = useSession().data?.today ?? "";
  if (places.isPending) return <Loading what="its windows at your places" />;
  if (places.isError) return <Trouble error={places.error} />;
  const standing = places.data.filter((p) => p.trees.length > 0);
  const told = standing.length > 0 ? standing : places.data.slice(0, 3);
  if (told.length === 0) return null;
  return (
    <section className="mt-5" aria-label="At your places">
      <h2 className="border-b border-ink text-lg">At your places</h2>
      {told.map((place) => (
        <div key={place.site} className="rule-b py-1.5">
          <h3 className="font-semibold">
            <Link to={`/year?site=${place.site}`} className="underline underline-offset-4">
              {place.name}
            </Link>
            {place.trees.length > 0 && <span className="font-normal text-faded">: {place.trees.join(", ")}</span>}
          </h3>
          <ul className="text-sm">
            {place.parts.map((part) => (
              <li key={part.part}>
                {capital(part.label)}: {windowWords(part.next ?? null, today)}
                {part.next && part.next.seen > 0 && (
                  <span className="text-faded">
                    {" "}
                    {part.next.seen} {part.next.seen === 1 ? "date" : "dates"} of your own.
                  </span>
                )}
              </li>
            ))}
          </ul>
        </div>
      ))}
      {standing.length === 0 && <p className="text-sm text-faded">No tree of yours is held to be one.</p>}
    </section>
  );
}
