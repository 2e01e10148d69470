import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { floraQuery, trustQuery } from "../../api/queries";
import { Button, Dialog, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { PageHead } from "../../ui/page-head";
import { LOOKED } from "../../words/learning";
import { dayWords } from "../../words/text";
import { PartField } from "../trees/part-picker";
import { LearnNav } from "./learn-nav";

type View = Schemas["TrustView"];
type Rule = Schemas["TrustRuleView"];
type Standing = Schemas["TrustStandingView"];
type Grant = Schemas["TrustGrantView"];

/** Who may decide on which part, what it took, and what is still wanting. */
export default function Trust() {
  const trust = useQuery(trustQuery);
  const queries = useQueryClient();
  const kept = (next: View) => queries.setQueryData(trustQuery.queryKey, next);
  const [ruling, setRuling] = useState<Rule | "new" | null>(null);
  const [withdrawing, setWithdrawing] = useState<Grant | null>(null);
  const grant = useMutation({
    mutationFn: (s: Standing) => unwrap(client.POST("/api/trust", { body: { id: newId(), learner: s.learner, taxon: s.taxon, part: s.part } })),
    onSuccess: kept,
  });
  const drop = useMutation({
    mutationFn: (r: Rule) => unwrap(client.DELETE("/api/trust/rules", { params: { query: { taxon: r.taxon, part: r.part } } })),
    onSuccess: kept,
  });
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <PageHead
        title="Trust"
        lead="A learner’s examination never clears, but for a part he has earned. Where a deadly kind is near it takes two people all the same, and the other one is an instructor."
      />
      <LearnNav />
      {trust.isPending && <Loading what="who is trusted with what" />}
      {trust.isError && <Trouble error={trust.error} retry={() => void trust.refetch()} />}
      {grant.error && <Trouble error={grant.error} />}
      {drop.error && <Trouble error={drop.error} />}
      {trust.data && (
        <>
          <section aria-label="What it takes" className="mt-5">
            <h2 className="double-rule pb-1 text-xl">What it takes</h2>
            {trust.data.rules.length === 0 && (
              <p className="py-3">
                Nothing can be earned: nobody but instructors decides. {trust.data.mayGrant && "Say for one part what it takes, and it can."}
              </p>
            )}
            {trust.data.rules.map((r) => (
              <section key={`${r.taxon}/${r.part}`} aria-label={r.what} className="mt-4" data-rule={`${r.taxon}/${r.part}`}>
                <h3 className="flex flex-wrap items-center gap-x-4 text-lg font-bold">
                  {r.what}
                  {trust.data.mayGrant && (
                    <span className="ml-auto flex gap-2 text-base font-normal">
                      <Button onClick={() => setRuling(r)}>Change</Button>
                      <Button disabled={drop.isPending} onClick={() => drop.mutate(r)}>
                        Not to be earned
                      </Button>
                    </span>
                  )}
                </h3>
                <p>{terms(r)}</p>
                <ul className="mt-2">
                  {trust.data.standings
                    .filter((s) => s.taxon === r.taxon && s.part === r.part)
                    .map((s) => (
                      <One
                        key={s.learner}
                        standing={s}
                        rule={r}
                        mayGrant={trust.data.mayGrant}
                        onGrant={() => grant.mutate(s)}
                        waits={grant.isPending}
                      />
                    ))}
                </ul>
              </section>
            ))}
            {trust.data.mayGrant && (
              <Button className="mt-4" onClick={() => setRuling("new")}>
                Another part that can be earned
              </Button>
            )}
          </section>
          <section aria-label="What was granted" className="mt-8">
            <h2 className="double-rule pb-1 text-xl">What was granted</h2>
            {trust.data.grants.length === 0 && <p className="py-3 text-faded">Nobody but instructors decides.</p>}
            <ul>
              {trust.data.grants.map((g) => (
                <li key={g.id} className="rule-b py-2.5" data-grant={g.name}>
                  <span className="flex flex-wrap items-baseline gap-x-3">
                    <strong>{g.name}</strong>
                    <span>{g.what}</span>
                    <span className={g.holds ? "font-semibold" : "text-faded"}>
                      {g.holds
                        ? `until ${dayWords(g.until)}`
                        : g.withdrawnOn
                          ? `withdrawn on ${dayWords(g.withdrawnOn)}`
                          : `ended on ${dayWords(g.until)}`}
                    </span>
                    {g.holds && trust.data.mayGrant && (
                      <Button className="ml-auto" onClick={() => setWithdrawing(g)}>
                        Withdraw it
                      </Button>
                    )}
                  </span>
                  <span className="block text-sm text-faded">
                    Granted by {g.by} on {dayWords(g.on)}
                    {g.withdrawnOn && (g.withdrawnBy ? `; withdrawn by ${g.withdrawnBy}` : "; it fell by itself")}
                  </span>
                  {g.because && <span className="block text-sm">“{g.because}”</span>}
                  <details className="text-sm">
                    <summary className="inline-flex min-h-11 cursor-pointer items-center underline underline-offset-4">
                      On {g.evidence.length} looks
                    </summary>
                    <Looks looks={g.evidence} />
                  </details>
                </li>
              ))}
            </ul>
          </section>
        </>
      )}
      <Dialog
        open={ruling !== null}
        onOpenChange={(open) => !open && setRuling(null)}
        title={ruling === "new" ? "A part that can be earned" : `What ${ruling?.what ?? ""} takes`}
        description="Looks count only at trees whose kind somebody else settled, taken before that was known or as the second person."
      >
        {ruling && (
          <RuleForm
            rule={ruling === "new" ? null : ruling}
            onKept={(next) => {
              setRuling(null);
              kept(next);
            }}
          />
        )}
      </Dialog>
      <Dialog
        open={withdrawing !== null}
        onOpenChange={(open) => !open && setWithdrawing(null)}
        title={`Withdraw it from ${withdrawing?.name ?? ""}`}
      >
        {withdrawing && (
          <Withdraw
            grant={withdrawing}
            onKept={(next) => {
              setWithdrawing(null);
              kept(next);
            }}
          />
        )}
      </Dialog>
    </div>
  );
}

const terms = (r: Rule) =>
  `${r.looks} trees named right unbiased, ${r.lookAlikes} of its look-alikes or of dangerous kinds named right, ${r.traps} practice trees seen through, all within ${r.months} months, and none taken for it that was something else. Good for ${r.validMonths} months.`;

function One(p: { standing: Standing; rule: Rule; mayGrant: boolean; onGrant: () => void; waits: boolean }) {
  const { standing: s, rule: r } = p;
  const counts: [string, number, number][] = [
    ["named right", s.agreed, r.looks],
    ["look-alikes known", s.lookAlikes, r.lookAlikes],
    ["traps seen", s.traps, r.traps],
  ];
  return (
    <li className="rule-b py-2.5" data-standing={s.name}>
      <span className="flex flex-wrap items-center gap-x-5 gap-y-1">
        <strong className="min-w-36">{s.name}</strong>
        {counts.map(([words, has, wants]) => (
          <span key={words} className={has >= wants ? "" : "text-ochre"}>
            <span className="figures font-bold">
              {has} of {wants}
            </span>{" "}
            {words}
          </span>
        ))}
        {s.wrong > 0 && <span className="font-semibold text-berry">{s.wrong} taken wrongly</span>}
        <span className="ml-auto">
          {s.isTrusted ? (
            <strong>trusted</strong>
          ) : s.isEarned && p.mayGrant ? (
            <Button tone="ink" disabled={p.waits} onClick={p.onGrant}>
              Trust {s.name} with it
            </Button>
          ) : s.isEarned ? (
            "earned: an instructor grants it"
          ) : p.mayGrant ? (
            <span className="text-faded">not yet</span>
          ) : (
            <Link className="inline-flex min-h-11 items-center underline underline-offset-4" to={`/practice?for=${s.taxon}/${s.part}`}>
              practise for it
            </Link>
          )}
        </span>
      </span>
      {s.looks.length > 0 && (
        <details className="text-sm">
          <summary className="inline-flex min-h-11 cursor-pointer items-center underline underline-offset-4">The looks that count</summary>
          <Looks looks={s.looks} />
        </details>
      )}
    </li>
  );
}

const Looks = ({ looks }: { looks: Schemas["TrustLookView"][] }) => (
  <ul className="pb-2">
    {looks.map((l, i) => (
      // biome-ignore lint/suspicious/noArrayIndexKey: they stand in the order of their days
      <li key={i} className={l.outcome === "cleared-wrongly" ? "text-berry" : ""}>
        {dayWords(l.on)}:{" "}
        {l.tree ? (
          <Link to={`/trees/${l.tree}`} className="underline">
            {l.at}
          </Link>
        ) : (
          "a practice tree"
        )}
        , {LOOKED[l.outcome]}
      </li>
    ))}
  </ul>
);

function RuleForm({ rule, onKept }: { rule: Rule | null; onKept: (next: View) => void }) {
  const flora = useQuery(floraQuery());
  const [what, setWhat] = useState(rule ? `${rule.taxon}/${rule.part}` : "");
  const [n, setN] = useState({
    looks: String(rule?.looks ?? 5),
    lookAlikes: String(rule?.lookAlikes ?? 3),
    traps: String(rule?.traps ?? 5),
    months: String(rule?.months ?? 12),
    validMonths: String(rule?.validMonths ?? 12),
  });
  const keep = useMutation({
    mutationFn: () => {
      const [taxon = "", part = ""] = what.split("/");
      const number = (text: string) => Number.parseInt(text, 10) || 0;
      return unwrap(
        client.PUT("/api/trust/rules", {
          body: {
            taxon,
            part,
            looks: number(n.looks),
            lookAlikes: number(n.lookAlikes),
            traps: number(n.traps),
            months: number(n.months),
            validMonths: number(n.validMonths),
          },
        }),
      );
    },
    onSuccess: onKept,
  });
  const fields: [keyof typeof n, string][] = [
    ["looks", "Trees named right, unbiased"],
    ["lookAlikes", "Look-alikes or dangerous kinds named right"],
    ["traps", "Practice trees seen through"],
    ["months", "All within, months"],
    ["validMonths", "Good for, months"],
  ];
  const submit = (event: FormEvent) => {
    event.preventDefault();
    keep.mutate();
  };
  return (
    <form onSubmit={submit} className="space-y-3">
      {!rule && <PartField label="Which part" flora={flora.data} value={what} onChange={setWhat} />}
      <div className="grid gap-3 wide:grid-cols-2">
        {fields.map(([key, label]) => (
          <Field key={key} label={label}>
            <NumberInput name={key} required value={n[key]} onChange={(e) => setN({ ...n, [key]: e.target.value })} />
          </Field>
        ))}
      </div>
      {keep.error && <Trouble error={keep.error} />}
      <Button type="submit" tone="ink" disabled={keep.isPending || what === ""}>
        Keep it
      </Button>
    </form>
  );
}

function Withdraw({ grant, onKept }: { grant: Grant; onKept: (next: View) => void }) {
  const [because, setBecause] = useState("");
  const withdraw = useMutation({
    mutationFn: () => unwrap(client.POST("/api/trust/{id}/withdraw", { params: { path: { id: grant.id } }, body: { because } })),
    onSuccess: onKept,
  });
  return (
    <form
      className="space-y-3"
      onSubmit={(e) => {
        e.preventDefault();
        withdraw.mutate();
      }}
    >
      <p>It ends at once: gates that stood open on it are shut when they are asked the next time.</p>
      <Field label="Why">
        <input className={fieldClass} name="because" required maxLength={500} value={because} onChange={(e) => setBecause(e.target.value)} />
      </Field>
      {withdraw.error && <Trouble error={withdraw.error} />}
      <Button type="submit" tone="ink" disabled={withdraw.isPending}>
        Withdraw it now
      </Button>
    </form>
  );
}
