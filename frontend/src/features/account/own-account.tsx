import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { client, Problem, unwrap } from "../../api/client";
import { Button, Field, fieldClass, Trouble } from "../../ui/controls";

/** Password, and signing out: here, or everywhere. */
export function OwnAccount() {
  const queries = useQueryClient();
  const [present, setPresent] = useState("");
  const [next, setNext] = useState("");
  const change = useMutation({
    mutationFn: () => unwrap(client.POST("/api/password", { body: { present, next } })),
    onSuccess: (session) => {
      setPresent("");
      setNext("");
      queries.setQueryData(["session"], session);
    },
  });
  const leave = useMutation({
    mutationFn: async (everywhere: boolean): Promise<void> => {
      if (everywhere) await unwrap(client.POST("/api/sessions/end"));
      else await client.POST("/api/logout" as never, {} as never).catch(() => undefined);
      // what was taken along is not left to the next person; what waits to be handed in stays until its own is back
      localStorage.removeItem("was-in");
      localStorage.removeItem("storms-kept");
      const { putDownUnlessWaiting } = await import("../../field/store");
      await putDownUnlessWaiting();
    },
    onSuccess: () => window.location.assign("/"),
  });
  const fields = change.error instanceof Problem ? change.error.fields : {};
  const submit = (event: FormEvent) => {
    event.preventDefault();
    change.mutate();
  };
  return (
    <>
      <details>
        <summary className="min-h-11 py-2.5 font-semibold">Change the password</summary>
        <form onSubmit={submit} className="space-y-3 pb-2">
          <Field label="Password so far" error={fields.present}>
            <input
              className={fieldClass}
              type="password"
              required
              autoComplete="current-password"
              value={present}
              onChange={(e) => setPresent(e.target.value)}
            />
          </Field>
          <Field label="New password" error={fields.next} hint="Twelve letters or more; a sentence is best. Everywhere else you are signed out.">
            <input
              className={fieldClass}
              type="password"
              required
              minLength={12}
              autoComplete="new-password"
              value={next}
              onChange={(e) => setNext(e.target.value)}
            />
          </Field>
          {change.error && Object.keys(fields).length === 0 && <Trouble error={change.error} />}
          {change.isSuccess && (
            <p role="status" className="font-semibold text-leaf">
              The password is changed.
            </p>
          )}
          <Button type="submit" tone="ink" disabled={change.isPending}>
            Change it
          </Button>
        </form>
      </details>
      <div className="flex flex-wrap gap-2">
        <Button disabled={leave.isPending} onClick={() => leave.mutate(false)}>
          Sign out
        </Button>
        <Button disabled={leave.isPending} onClick={() => leave.mutate(true)}>
          Sign out everywhere
        </Button>
      </div>
      {leave.error && <Trouble error={leave.error} />}
    </>
  );
}
