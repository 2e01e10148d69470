import { useInfiniteQuery, useMutation, useQuery } from "@tanstack/react-query";
import { type FormEvent, type ReactNode, useState } from "react";
import { useNavigate } from "react-router";
import { client, Problem, unwrap } from "../../api/client";
import { EVERY_TREE, floraQuery, treesQuery } from "../../api/queries";
import { Button, Dialog, Field, fieldClass, Trouble } from "../../ui/controls";
import { dayWords } from "../../words/text";
import type { TreePage } from "./tree";

type Asked = { open: boolean; page: TreePage; onKept: () => void; onLeave: () => void };

function Form(p: { error: unknown; pending: boolean; submit: () => void; act: string; children: ReactNode; ready?: boolean }) {
  const fields = p.error instanceof Problem ? Object.keys(p.error.fields) : [];
  const onSubmit = (event: FormEvent) => {
    event.preventDefault();
    p.submit();
  };
  return (
    <form onSubmit={onSubmit} className="space-y-3">
      {p.children}
      {p.error != null && (fields.length === 0 || fields.some((f) => !["tag", "because"].includes(f))) && <Trouble error={p.error as Error} />}
      <Button type="submit" tone="ink" disabled={p.pending || p.ready === false}>
        {p.act}
      </Button>
    </form>
  );
}
const fault = (error: unknown, field: string) => (error instanceof Problem ? error.fields[field] : undefined);

export function Retag({ open, page, onKept, onLeave }: Omit<Asked, "onKept"> & { onKept: (page: TreePage) => void }) {
  const [tag, setTag] = useState("");
  const put = useMutation({
    mutationFn: () => unwrap(client.PUT("/api/specimens/{id}/tag", { params: { path: { id: page.tree.id } }, body: { tag } })),
    onSuccess: (kept) => {
      setTag("");
      onKept(kept);
    },
  });
  return (
    <Dialog
      open={open}
      onOpenChange={(o) => !o && onLeave()}
      title={`Another tag for ${page.tree.tag}`}
      description="The old one stays with the tree: it is still found by it."
    >
      <Form error={put.error} pending={put.isPending} submit={() => put.mutate()} act="Give it the tag" ready={tag.trim() !== ""}>
        <Field label="New tag" error={fault(put.error, "tag")}>
          <input className={fieldClass} name="newtag" maxLength={24} value={tag} onChange={(e) => setTag(e.target.value)} />
        </Field>
      </Form>
    </Dialog>
  );
}

/** Trees of the same place, but for one. */
function useOthers(page: TreePage, words: string) {
  return (useInfiniteQuery(treesQuery({ ...EVERY_TREE, site: page.tree.site.id, q: words })).data?.pages.flatMap((p) => p.trees) ?? []).filter(
    (t) => t.id !== page.tree.id,
  );
}

export function Merge({ open, page, onKept, onLeave }: Asked) {
  const [other, setOther] = useState("");
  const [words, setWords] = useState("");
  const [because, setBecause] = useState("");
  const others = useOthers(page, words);
  const merge = useMutation({
    mutationFn: () => unwrap(client.POST("/api/specimens/{id}/merge", { params: { path: { id: page.tree.id } }, body: { with: other, because } })),
    onSuccess: onKept,
  });
  return (
    <Dialog
      open={open}
      onOpenChange={(o) => !o && onLeave()}
      title={`Another tag that is ${page.tree.tag}`}
      description={`All that is known of the other goes to ${page.tree.tag}; the other tag is given up and still found.`}
    >
      <Form
        error={merge.error}
        pending={merge.isPending}
        submit={() => merge.mutate()}
        act="They are one tree"
        ready={other !== "" && because.trim() !== ""}
      >
        <Field label="Find the other, at the same place">
          <input type="search" className={fieldClass} value={words} onChange={(e) => setWords(e.target.value)} />
        </Field>
        <Field label="The other tag">
          <select className={fieldClass} value={other} onChange={(e) => setOther(e.target.value)}>
            <option value="">choose …</option>
            {others.map((t) => (
              <option key={t.id} value={t.id}>
                {t.tag} {t.kind} {t.whereabouts}
              </option>
            ))}
          </select>
        </Field>
        <Field label="How that came out" error={fault(merge.error, "because")}>
          <input className={fieldClass} maxLength={300} value={because} onChange={(e) => setBecause(e.target.value)} />
        </Field>
      </Form>
    </Dialog>
  );
}

function useExaminations(id: string, open: boolean) {
  return (
    useQuery({
      queryKey: ["tree", id, "examinations"],
      queryFn: () => unwrap(client.GET("/api/specimens/{id}/examinations", { params: { path: { id } } })),
      enabled: open,
    }).data ?? []
  );
}

function Ticks({
  id,
  open,
  ticked,
  onTick,
  only,
}: {
  id: string;
  open: boolean;
  ticked: string[];
  onTick: (ids: string[]) => void;
  only?: "signed";
}) {
  const all = useExaminations(id, open).filter((e) => only !== "signed" || e.signed);
  return (
    <fieldset>
      <legend className="mb-1 text-sm text-faded">Examinations</legend>
      {all.length === 0 && <p className="text-faded">There is none.</p>}
      {all.map((e) => (
        <label key={e.id} className="rule-b flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-(--ink)"
            checked={ticked.includes(e.id)}
            onChange={(event) => onTick(event.target.checked ? [...ticked, e.id] : ticked.filter((x) => x !== e.id))}
          />
          <span>
            {dayWords(e.date)}, {e.examiner}
            {e.claim && `: ${e.claim}`}
          </span>
        </label>
      ))}
    </fieldset>
  );
}

export function Split({ open, page, onLeave }: Omit<Asked, "onKept">) {
  const navigate = useNavigate();
  const [tag, setTag] = useState("");
  const [whereabouts, setWhereabouts] = useState("");
  const [because, setBecause] = useState("");
  const [ticked, setTicked] = useState<string[]>([]);
  const split = useMutation({
    mutationFn: () =>
      unwrap(
        client.POST("/api/specimens/{id}/split", {
          params: { path: { id: page.tree.id } },
          body: { tag, whereabouts, because, examinations: ticked },
        }),
      ),
    onSuccess: (other) => {
      onLeave();
      void navigate(`/trees/${other.id}`);
    },
  });
  return (
    <Dialog
      open={open}
      onOpenChange={(o) => !o && onLeave()}
      title={`${page.tree.tag} stands for two trees`}
      description="The other one gets a tag of its own, and the examinations that were of it. A kind that rested on them rests on them no more."
    >
      <Form
        error={split.error}
        pending={split.isPending}
        submit={() => split.mutate()}
        act="They are two trees"
        ready={tag.trim() !== "" && because.trim() !== ""}
      >
        <Field label="Tag of the other" error={fault(split.error, "tag")}>
          <input className={fieldClass} maxLength={24} value={tag} onChange={(e) => setTag(e.target.value)} />
        </Field>
        <Field label="How to find the other">
          <input className={fieldClass} maxLength={300} value={whereabouts} onChange={(e) => setWhereabouts(e.target.value)} />
        </Field>
        <Ticks id={page.tree.id} open={open} ticked={ticked} onTick={setTicked} />
        <Field label="How that came out" error={fault(split.error, "because")}>
          <input className={fieldClass} maxLength={300} value={because} onChange={(e) => setBecause(e.target.value)} />
        </Field>
      </Form>
    </Dialog>
  );
}

export function Hold({ open, page, onKept, onLeave }: Asked) {
  const flora = useQuery({ ...floraQuery(), enabled: open });
  const [words, setWords] = useState("");
  const [ticked, setTicked] = useState<string[]>([]);
  const taxon = flora.data?.taxa.find((t) => t.commonName === words.trim() || t.name === words.trim());
  const hold = useMutation({
    mutationFn: () =>
      unwrap(
        client.PUT("/api/specimens/{id}/kind", { params: { path: { id: page.tree.id } }, body: { taxon: taxon?.id ?? "", examinations: ticked } }),
      ),
    onSuccess: onKept,
  });
  return (
    <Dialog
      open={open}
      onOpenChange={(o) => !o && onLeave()}
      title={`What ${page.tree.tag} is held to be`}
      description="It rests on signed examinations that each give that kind at least 95 in 100. It opens no gate."
    >
      <Form
        error={hold.error}
        pending={hold.isPending}
        submit={() => hold.mutate()}
        act="Hold it to be that"
        ready={taxon !== undefined && ticked.length > 0}
      >
        <Field label="Kind, by common or scientific name">
          <input className={fieldClass} list="kinds" value={words} onChange={(e) => setWords(e.target.value)} />
        </Field>
        <datalist id="kinds">
          {flora.data?.taxa.map((t) => (
            <option key={t.id} value={t.commonName}>
              {t.name}
            </option>
          ))}
        </datalist>
        <Ticks id={page.tree.id} open={open} ticked={ticked} onTick={setTicked} only="signed" />
      </Form>
    </Dialog>
  );
}

export function Doubt({ open, page, onKept, onLeave }: Asked) {
  const [because, setBecause] = useState("");
  const doubt = useMutation({
    mutationFn: () => unwrap(client.POST("/api/specimens/{id}/doubt", { params: { path: { id: page.tree.id } }, body: { because } })),
    onSuccess: onKept,
  });
  return (
    <Dialog
      open={open}
      onOpenChange={(o) => !o && onLeave()}
      title={`Doubt what ${page.tree.tag} is held to be`}
      description="From then on it counts as a tree that may be anything."
    >
      <Form error={doubt.error} pending={doubt.isPending} submit={() => doubt.mutate()} act="I doubt it" ready={because.trim() !== ""}>
        <Field label="Why" error={fault(doubt.error, "because")}>
          <textarea className={fieldClass} name="because" rows={3} maxLength={500} value={because} onChange={(e) => setBecause(e.target.value)} />
        </Field>
      </Form>
    </Dialog>
  );
}
