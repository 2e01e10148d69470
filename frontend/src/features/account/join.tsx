import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { useNavigate, useParams } from "react-router";
import { client, Problem, unwrap } from "../../api/client";
import { welcomeQuery } from "../../api/queries";
import { Button, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { ROLE } from "../../words/people";
import { dayWords } from "../../words/text";

/** Where an invitation leads: a name and a password, and one is in. Or only a password, where it was lost. */
export default function Join() {
  const { secret = "" } = useParams();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const welcome = useQuery(welcomeQuery(secret));
  const [name, setName] = useState<string | null>(null);
  const [email, setEmail] = useState("");
  const [password, setPassword] = useState("");
  const params = { path: { secret } };
  const join = useMutation({
    mutationFn: (known: string) =>
      welcome.data?.renews
        ? unwrap(client.POST("/api/join/{secret}/password", { params, body: { password } }))
        : unwrap(client.POST("/api/join/{secret}", { params, body: { name: name ?? known, email, password } })),
    onSuccess: (session) => {
      queries.setQueryData(["session"], session);
      navigate("/");
    },
  });
  const fields = join.error instanceof Problem ? join.error.fields : {};
  if (welcome.isPending) return <Loading what="the invitation" />;
  if (welcome.isError)
    return (
      <main className="mx-auto max-w-xl p-5">
        <h1 className="double-rule mb-4 pb-3 text-3xl">Hylognosis</h1>
        <Trouble error={welcome.error} />
      </main>
    );
  const w = welcome.data;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    join.mutate(w.name);
  };
  return (
    <main className="mx-auto max-w-xl p-5">
      <h1 className="double-rule pb-3 text-3xl">{w.school || "Hylognosis"}</h1>
      <p className="mt-3">
        {w.renews
          ? `${w.by} made this link for ${w.name} to set a new password. Everywhere else you are signed out.`
          : `${w.by} invites ${w.name} to join ${ROLE[w.role].as}: ${ROLE[w.role].may}`}{" "}
        <span className="text-faded">It works once, until {dayWords(w.expires)}.</span>
      </p>
      <form onSubmit={submit} className="mt-5 space-y-3 border border-ink bg-sheet p-5">
        {!w.renews && (
          <>
            <Field label="Your name" error={fields.name} hint="Everything you do stands under it.">
              <input
                className={fieldClass}
                required
                maxLength={120}
                autoComplete="name"
                value={name ?? w.name}
                onChange={(e) => setName(e.target.value)}
              />
            </Field>
            <Field label="E-mail you sign in with" error={fields.email} hint="No mail is sent.">
              <input className={fieldClass} required type="email" autoComplete="username" value={email} onChange={(e) => setEmail(e.target.value)} />
            </Field>
          </>
        )}
        <Field label="Password" error={fields.password} hint="Twelve letters or more; a sentence is best.">
          <input
            className={fieldClass}
            required
            type="password"
            minLength={12}
            autoComplete="new-password"
            value={password}
            onChange={(e) => setPassword(e.target.value)}
          />
        </Field>
        {join.error && Object.keys(fields).length === 0 && <Trouble error={join.error} />}
        <Button type="submit" tone="ink" className="w-full" disabled={join.isPending}>
          {w.renews ? "Set the password" : "Join"}
        </Button>
      </form>
    </main>
  );
}
