import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Link } from "react-router";
import { client, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { adoptedQuery } from "../../api/queries";
import { Button, Trouble } from "../../ui/controls";

/** On the page of a tree: what this month asks of whoever looks at it for a year, or the offer to do so. */
export function AdoptedHere({ tree }: { tree: string }) {
  const all = useQuery(adoptedQuery);
  const queries = useQueryClient();
  const adopt = useMutation({
    mutationFn: () => unwrap(client.POST("/api/adopted", { body: { id: newId(), tree } })),
    onSuccess: (next) => queries.setQueryData(adoptedQuery.queryKey, next),
  });
  if (!all.data) return null;
  const own = all.data.trees.find((t) => t.isOwn && !t.endedOn && t.tree === tree);
  if (own)
    return (
      <p className="border-l-4 border-ink pl-3 print:hidden" data-adopted-here="">
        <strong>You look at it for a year.</strong>{" "}
        {own.wanted.length > 0
          ? `Nobody has looked yet at what this month shows: ${own.wanted
              .slice(0, 4)
              .map((w) => w.label)
              .join(", ")}.`
          : "All that this month shows has been looked at."}{" "}
        <Link to="/my-tree" className="inline-flex min-h-11 items-center underline underline-offset-4">
          Its album
        </Link>
      </p>
    );
  return (
    <div className="print:hidden">
      <Button disabled={adopt.isPending} onClick={() => adopt.mutate()}>
        Look at it for a year
      </Button>
      {adopt.error && <Trouble error={adopt.error} />}
    </div>
  );
}
