import { useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { client, unwrap } from "../../api/client";
import { useSession } from "../../api/queries";
import { Glyph } from "../../plates/glyphs";
import { Button, Field, fieldClass, Trouble } from "../../ui/controls";
import { GateFigure } from "../gate/figure";

export default function SignIn() {
  const session = useSession().data;
  const [email, setEmail] = useState("");
  const [password, setPassword] = useState("");
  const [error, setError] = useState<Error | null>(null);
  const [busy, setBusy] = useState(false);
  const queries = useQueryClient();
  const signIn = async (body: { email: string; password: string }) => {
    setBusy(true);
    setError(null);
    try {
      queries.setQueryData(["session"], await unwrap(client.POST("/api/login", { body })));
    } catch (e) {
      setError(e as Error);
      setBusy(false);
    }
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void signIn({ email, password });
  };
  return (
    <main className="mx-auto grid min-h-dvh max-w-5xl content-center gap-8 p-4 wide:grid-cols-[1fr_24rem] wide:gap-14 wide:p-10">
      <div>
        <h1 className="double-rule pb-3 text-4xl wide:text-5xl">Hylognosis</h1>
        <p className="mt-4 max-w-prose text-lg">
          Look before you name, name before you cut. Score the features a tree must show; the gate stays shut until every one is met and every
          dangerous look-alike this flora knows is excluded.
        </p>
        <ol className="mt-6 grid max-w-prose grid-cols-3 gap-4 text-sm">
          {[
            { art: <Glyph name="set-opposite" size={84} />, word: "Look", text: "twig, leaf, flower: one feature at a time" },
            { art: <Glyph name="bands-white" size={84} />, word: "Exclude", text: "two organs against each dangerous kind" },
            { art: <GateFigure state="withheld" width={132} id="door" />, word: "Decide", text: "“not yet” is a good answer" },
          ].map((step) => (
            <li key={step.word} className="flex flex-col">
              <div className="flex h-24 items-end">{step.art}</div>
              <strong className="mt-2 text-base">{step.word}</strong>
              <span className="text-faded">{step.text}</span>
            </li>
          ))}
        </ol>
        <p className="mt-6 max-w-prose text-sm text-faded">
          It proves no safety. Local law, the landowner and licensed people come first. If something was swallowed: keep a sample, note the time, call
          the poison centre or the emergency number.
        </p>
      </div>
      <div className="self-center border border-ink bg-sheet p-5">
        <form onSubmit={submit} className="space-y-3">
          <h2 className="text-lg">Sign in</h2>
          <Field label="E-mail">
            <input className={fieldClass} type="email" autoComplete="username" required value={email} onChange={(e) => setEmail(e.target.value)} />
          </Field>
          <Field label="Password">
            <input
              className={fieldClass}
              type="password"
              autoComplete="current-password"
              required
              value={password}
              onChange={(e) => setPassword(e.target.value)}
            />
          </Field>
          {error && <Trouble error={error} />}
          <Button type="submit" tone="ink" className="w-full" disabled={busy}>
            {busy ? "Signing in …" : "Sign in"}
          </Button>
        </form>
        {session && session.demoAccounts.length > 0 && (
          <div className="rule-t mt-5 pt-4">
            <h2 className="text-lg">Or walk in: the demo school</h2>
            <ul className="mt-2 space-y-1.5">
              {session.demoAccounts.map((account) => (
                <li key={account.email}>
                  <Button className="w-full justify-between!" disabled={busy} onClick={() => void signIn(account)}>
                    <span>{account.name}</span>
                    <span className="text-sm font-normal text-faded">{account.role}</span>
                  </Button>
                </li>
              ))}
            </ul>
          </div>
        )}
      </div>
    </main>
  );
}
