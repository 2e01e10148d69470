import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { client, type Schemas, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { picturesQuery, treeHealthQuery, treeStormsQuery } from "../../api/queries";
import { Glyph } from "../../plates/glyphs";
import { Button, Dialog, Field, fieldClass, Trouble } from "../../ui/controls";
import { ARBORIST, ENDED, FINDING } from "../../words/ground";
import { dayWords } from "../../words/text";
import { AddPicture, Thumbs } from "../pictures/pictures";

/** Signs of illness seen on a tree, and how it came through storms. */
export function TreeHealth({ id, mayTell }: { id: string; mayTell: boolean }) {
  const health = useQuery(treeHealthQuery(id));
  const storms = useQuery(treeStormsQuery(id));
  const queries = useQueryClient();
  const [telling, setTelling] = useState(false);
  const pictures = useQuery(picturesQuery({ tree: id })).data ?? [];
  const kept = (next: Schemas["TreeHealthView"]) => queries.setQueryData(["tree", id, "health"], next);
  const undo = useMutation({
    mutationFn: (sign: string) => unwrap(client.DELETE("/api/specimens/{id}/health/{sign}", { params: { path: { id, sign } } })),
    onSuccess: kept,
  });
  if (health.isError) return <Trouble error={health.error} retry={() => void health.refetch()} />;
  if (!health.data) return null;
  return (
    <>
      <ul>
        {health.data.seen.map((s) => (
          <li key={s.id} className="rule-b flow-root py-2">
            <Glyph name={`ill-${s.sign.id}`} className="float-left mr-3 text-ink" />
            <span className="flex flex-wrap items-baseline gap-x-3">
              <strong>{s.sign.name}</strong>
              <span>{s.isSeen ? "seen" : "looked for and not seen"}</span>
              <span className="text-sm text-faded">
                {dayWords(s.on)}, {s.by}
              </span>
              {s.mayTakeBack && (
                <button
                  type="button"
                  className="ml-auto min-h-11 underline underline-offset-4"
                  aria-label={`Take back: ${s.sign.name}`}
                  onClick={() => undo.mutate(s.id)}
                >
                  Take back
                </button>
              )}
            </span>
            {s.note && <span className="block text-sm">“{s.note}”</span>}
            {s.isSeen && s.sign.notifiable && (
              <span className="block text-sm font-semibold text-berry">
                Must be reported {s.sign.notifiable}; law is local, ask the plant health authority, before anything is cut or moved.
              </span>
            )}
            {s.isSeen && <span className="block text-sm text-faded">{s.sign.hygiene}</span>}
            {s.isSeen && (
              <span className="mt-1 flex flex-wrap items-center gap-2">
                <Thumbs pictures={pictures.filter((p) => p.sign === s.id)} />
                {mayTell && (
                  <AddPicture
                    of={{ sign: s.id }}
                    label="Add a picture of it"
                    onAdded={() => void queries.invalidateQueries({ queryKey: ["tree", id, "pictures"] })}
                  />
                )}
              </span>
            )}
          </li>
        ))}
        {(storms.data ?? []).map((s) => (
          <li key={s.blewAt} className="rule-b py-2">
            <strong>Storm of {dayWords(s.blewAt.slice(0, 10))}</strong>:{" "}
            {s.finding ? FINDING[s.finding] : <span className="text-ochre">not looked at</span>}
            {s.ended && `, ${ENDED[s.ended]}`}
            {s.note && <span className="block text-sm">“{s.note}”</span>}
            {s.finding && s.finding !== "sound" && s.finding !== "leaves-in-reach" && <span className="block text-sm text-ochre">{ARBORIST}</span>}
          </li>
        ))}
        {health.data.seen.length === 0 && (storms.data ?? []).length === 0 && (
          <li className="py-2 text-faded">Nobody has looked for signs of illness yet. That it looks well says nothing of its wood.</li>
        )}
      </ul>
      {undo.error && <Trouble error={undo.error} />}
      {mayTell && (
        <Button className="mt-2 print:hidden" onClick={() => setTelling(true)}>
          Tell of a sign
        </Button>
      )}
      <Dialog
        open={telling}
        onOpenChange={setTelling}
        title="Signs of illness"
        description="What is looked for on such a tree. The drawings show the sign, not your tree. Nobody judges here whether it stands safe."
        wide
      >
        <Tell
          id={id}
          known={health.data.known}
          onKept={(next) => {
            setTelling(false);
            kept(next);
          }}
        />
      </Dialog>
    </>
  );
}

function Tell({ id, known, onKept }: { id: string; known: Schemas["SignView"][]; onKept: (next: Schemas["TreeHealthView"]) => void }) {
  const [note, setNote] = useState("");
  const tell = useMutation({
    mutationFn: (body: { sign: string; isSeen: boolean }) =>
      unwrap(client.POST("/api/specimens/{id}/health", { params: { path: { id } }, body: { id: newId(), note, ...body } })),
    onSuccess: onKept,
  });
  return (
    <div className="space-y-3">
      <Field label="Note" hint="Where on it, how much. A picture says more: add one to the sign once it is told.">
        <input className={fieldClass} name="sign-note" maxLength={300} value={note} onChange={(e) => setNote(e.target.value)} />
      </Field>
      {tell.error && <Trouble error={tell.error} />}
      <ul>
        {known.map((s) => (
          <li key={s.id} className="rule-b flex flex-wrap items-center gap-x-4 gap-y-1 py-2" data-sign={s.id}>
            <Glyph name={`ill-${s.id}`} size={80} className="shrink-0" />
            <div className="min-w-52 flex-1">
              <strong>{s.name}</strong>
              {s.notifiable && <span className="text-sm font-semibold text-berry"> · to be reported {s.notifiable}</span>}
              <span className="block text-sm">{s.see}</span>
            </div>
            <span className="flex gap-1.5">
              <Button aria-label={`seen: ${s.name}`} disabled={tell.isPending} onClick={() => tell.mutate({ sign: s.id, isSeen: true })}>
                seen
              </Button>
              <Button aria-label={`not seen: ${s.name}`} disabled={tell.isPending} onClick={() => tell.mutate({ sign: s.id, isSeen: false })}>
                not seen
              </Button>
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}
