import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { client, unwrap } from "../../api/client";
import { Button, Field, fieldClass, Trouble } from "../../ui/controls";

/** By what one remembers it: one's own picture, and what others share. */
export function Mnemonics({ about }: { about: string }) {
  const queries = useQueryClient();
  const all = useQuery({
    queryKey: ["mnemonics", about],
    queryFn: () => unwrap(client.GET("/api/mnemonics", { params: { query: { about } } })),
  });
  const [typed, setTyped] = useState<string | null>(null);
  const [shared, setShared] = useState(false);
  const keep = useMutation({
    mutationFn: (text: string) => unwrap(client.PUT("/api/mnemonics", { body: { about, text, isShared: shared } })),
    onSuccess: (next) => {
      queries.setQueryData(["mnemonics", about], next);
      setTyped(null);
    },
  });
  if (!all.data) return null;
  const own = all.data.find((m) => m.isOwn);
  const begin = () => {
    setTyped(own?.text ?? "");
    setShared(own?.isShared ?? false);
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (typed !== null) keep.mutate(typed);
  };
  return (
    <div className="mt-1 basis-full text-sm" data-mnemonics={about}>
      {all.data.map((m) => (
        <p key={m.by + m.text}>
          “{m.text}” <span className="text-faded">{m.isOwn ? (m.isShared ? "yours, shared" : "yours") : m.by}</span>
        </p>
      ))}
      {typed === null ? (
        <button type="button" className="min-h-11 underline underline-offset-4" onClick={begin}>
          {own ? "Another picture to remember it by" : "A picture to remember it by"}
        </button>
      ) : (
        <form onSubmit={submit} className="flex flex-wrap items-end gap-2" aria-label="A picture to remember it by">
          <div className="min-w-56 flex-1">
            <Field label="In your own words" hint="Such as: wrinkled finger. Empty takes it away.">
              <input className={fieldClass} name="mnemonic" maxLength={200} value={typed} onChange={(e) => setTyped(e.target.value)} />
            </Field>
          </div>
          <label className="inline-flex min-h-11 items-center gap-2">
            <input type="checkbox" checked={shared} onChange={(e) => setShared(e.target.checked)} />
            for others too
          </label>
          <Button type="submit" disabled={keep.isPending}>
            Keep
          </Button>
        </form>
      )}
      {keep.error && <Trouble error={keep.error} />}
    </div>
  );
}
