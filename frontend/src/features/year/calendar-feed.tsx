import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { client, type Schemas, unwrap } from "../../api/client";
import { feedQuery, useSession } from "../../api/queries";
import { Button, Trouble } from "../../ui/controls";

/** The year in one's own calendar: a file, or an address of which a calendar asks by itself. */
export function CalendarFeed() {
  const role = useSession().data?.user?.role;
  const queries = useQueryClient();
  const feed = useQuery(feedQuery);
  const kept = (view: Schemas["FeedView"]) => queries.setQueryData(feedQuery.queryKey, view);
  const make = useMutation({ mutationFn: () => unwrap(client.POST("/api/calendar")), onSuccess: kept });
  const revoke = useMutation({ mutationFn: () => unwrap(client.DELETE("/api/calendar")), onSuccess: kept });
  const error = feed.error ?? make.error ?? revoke.error;
  return (
    <section className="mt-8 print:hidden">
      <h2 className="border-b border-ink pb-1 text-lg">In your calendar</h2>
      <p className="py-2">Windows, looks to be made beforehand, second looks that wait, days out that are kept, permissions that end.</p>
      <div className="flex flex-wrap gap-2">
        <a
          href="/api/calendar.ics"
          download
          className="inline-flex min-h-11 items-center rounded-sm border border-ink bg-sheet px-3 font-semibold hover:bg-pressed"
        >
          Fetch it once
        </a>
        {role !== "guest" && (
          <Button disabled={make.isPending} onClick={() => make.mutate()}>
            {feed.data?.set ? "Make another private address" : "Make a private address"}
          </Button>
        )}
        {role !== "guest" && feed.data?.set && (
          <Button disabled={revoke.isPending} onClick={() => revoke.mutate()}>
            Close the address
          </Button>
        )}
      </div>
      {feed.data?.path && (
        <p role="status" className="mt-2 border border-ink bg-sheet p-3">
          Subscribe to this address; it is told once. Whoever knows it reads your year:{" "}
          <strong className="break-all" data-feed>
            {`${location.origin}${feed.data.path}`}
          </strong>
        </p>
      )}
      {feed.data?.set && !feed.data.path && <p className="mt-2 text-sm text-faded">An address is in use. Another one closes it.</p>}
      {error && <Trouble error={error as Error} />}
    </section>
  );
}
