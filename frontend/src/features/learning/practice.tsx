import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { client, unwrap } from "../../api/client";
import { floraQuery, useSession } from "../../api/queries";
import { Button, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { MARK, share } from "../../words/learning";
import { capital, MONTHS, momentWords } from "../../words/text";
import { PartField } from "../trees/part-picker";
import { LearnNav } from "./learn-nav";

/** Trees drawn by lot, to be looked at before they are named. */
export default function Practice() {
  const today = useSession().data?.today ?? "";
  const flora = useQuery(floraQuery());
  const answers = useQuery({ queryKey: ["practice-answers"], queryFn: () => unwrap(client.GET("/api/practice/answers")) });
  const [month, setMonth] = useState("");
  const [code, setCode] = useState("");
  const [params] = useSearchParams();
  const [about, setAbout] = useState(params.get("for") ?? "");
  const go = useNavigate();
  const draw = useMutation({
    mutationFn: () =>
      unwrap(client.GET("/api/practice", { params: { query: { ...(month && { month: Number(month) }), ...(about && { for: about }) } } })),
    onSuccess: (tree) => void go(`/practice/${tree.code}`),
  });
  const own = useMutation({
    mutationFn: () => unwrap(client.GET("/api/practice", { params: { query: { for: "school" } } })),
    onSuccess: (tree) => void go(`/practice/${tree.code}`),
  });
  const name = (taxon: string) => flora.data?.taxa.find((t) => t.id === taxon)?.commonName ?? taxon;
  return (
    <div className="mx-auto max-w-4xl px-4 py-5 wide:px-6">
      <PageHead
        title="Practice trees"
        lead="Drawn by lot from the flora, dangerous ones more often, and now and then one it does not know. Look, then name, then decide."
      />
      <LearnNav />
      <form
        aria-label="Draw a tree"
        className="mt-5 flex flex-wrap items-end gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          draw.mutate();
        }}
      >
        <div className="w-44">
          <Field label="Month">
            <select className={fieldClass} name="practice-month" value={month} onChange={(e) => setMonth(e.target.value)}>
              <option value="">{MONTHS[Number(today.slice(5, 7)) - 1]}, now</option>
              {MONTHS.map((m, i) => (
                <option key={m} value={i + 1}>
                  {m}
                </option>
              ))}
            </select>
          </Field>
        </div>
        <div className="min-w-56 flex-1">
          <PartField label="Hoped for" flora={flora.data} value={about} onChange={setAbout} none="whatever comes" />
        </div>
        <Button type="submit" tone="ink" disabled={draw.isPending}>
          Draw me a tree
        </Button>
        <Button disabled={own.isPending} onClick={() => own.mutate()}>
          One of our own trees
        </Button>
      </form>
      {(draw.error ?? own.error) && <Trouble error={(draw.error ?? own.error) as Error} />}
      <form
        aria-label="A tree by its code"
        className="mt-3 flex flex-wrap items-end gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (code.trim()) void go(`/practice/${encodeURIComponent(code.trim())}`);
        }}
      >
        <div className="min-w-60 flex-1">
          <Field label="Or the tree of a code" hint="The same code draws the same tree, for everybody.">
            <input className={fieldClass} name="practice-code" value={code} onChange={(e) => setCode(e.target.value)} />
          </Field>
        </div>
        <Button type="submit">Show it</Button>
      </form>
      <section aria-labelledby="practised" className="mt-8">
        <h2 id="practised" className="border-b border-ink pb-1 text-lg">
          Practised
        </h2>
        {answers.isPending && <Loading what="what was practised" />}
        {answers.data?.length === 0 && <p className="py-3 text-faded">Nothing yet. The first tree takes some five minutes.</p>}
        <ul>
          {answers.data?.slice(0, 40).map((a) => (
            <li key={a.at + a.code} className="rule-b">
              <Link to={`/practice/${a.code}`} className="flex min-h-11 flex-wrap items-baseline gap-x-4 py-2 hover:bg-pressed">
                <strong>{capital(name(a.taxon))}</strong>
                <span className="text-sm text-faded">
                  {momentWords(a.at)}; {a.right} of {a.read} looks right
                </span>
                <span className="ml-auto text-sm">
                  {share(a.share)}: {MARK[a.mark].split(/[:.]/)[0]?.toLowerCase()}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
