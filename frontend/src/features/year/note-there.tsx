import { useMutation, useQueryClient } from "@tanstack/react-query";
import { client, type Schemas, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { treeSeasonQuery } from "../../api/queries";
import { Button, Trouble } from "../../ui/controls";
import { GradeButtons, useCropNotes } from "./crop";

/** What can be noted under the tree with one press: that something has come, or how much hangs there. */
export function NoteThere({ reason, tree, today }: { reason: Schemas["ReasonView"]; tree: string; today: string }) {
  if (reason.kind === "date") return <ComeToday event={reason.id as Schemas["SeasonalEvent"]} words={reason.part} tree={tree} today={today} />;
  if (reason.kind === "take" && reason.crop) return <Hangs crop={reason.crop} tree={tree} />;
  return null;
}

function Hangs({ crop, tree }: { crop: Schemas["CropView"]; tree: string }) {
  const { note } = useCropNotes(tree);
  return (
    <>
      <GradeButtons
        label={`How much hangs there? ${crop.label}`}
        pressed={note.data ? (note.variables?.grade ?? null) : (crop.seen ?? null)}
        busy={note.isPending}
        onGrade={(grade) => note.mutate({ id: newId(), part: crop.part, year: crop.year, grade, opened: 0, sound: 0 })}
      />
      {note.error && <Trouble error={note.error} />}
    </>
  );
}

function ComeToday({ event, words, tree, today }: { event: Schemas["SeasonalEvent"]; words: string; tree: string; today: string }) {
  const queries = useQueryClient();
  const kept = (view: Schemas["TreeSeasonView"]) => {
    queries.setQueryData(treeSeasonQuery(tree).queryKey, view);
    for (const key of ["year", "phenology"]) void queries.invalidateQueries({ queryKey: [key] });
  };
  const record = useMutation({
    mutationFn: () => unwrap(client.POST("/api/specimens/{id}/events", { params: { path: { id: tree } }, body: { id: newId(), event, on: today } })),
    onSuccess: kept,
  });
  const made = record.data?.events.find((e) => e.event === event && e.on === today);
  const takeBack = useMutation({
    mutationFn: (id: string) => unwrap(client.DELETE("/api/events/{id}", { params: { path: { id } } })),
    onSuccess: (view) => {
      kept(view);
      record.reset();
    },
  });
  const error = record.error ?? takeBack.error;
  return (
    <div className="pt-1">
      {made ? (
        <p role="status" className="flex flex-wrap items-center gap-2">
          Dated today: {words}.{" "}
          <Button disabled={takeBack.isPending} onClick={() => takeBack.mutate(made.id)}>
            Take back
          </Button>
        </p>
      ) : (
        <Button disabled={record.isPending} onClick={() => record.mutate()} aria-label={`It has come today: ${words}`}>
          It has come today
        </Button>
      )}
      {error && <Trouble error={error} />}
    </div>
  );
}
