import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { neversQuery, useSession } from "../../api/queries";
import { Button, Choice, Field, fieldClass, Loading, Name, Trouble } from "../../ui/controls";
import { SeverityMark } from "../../ui/marks";
import { PageHead } from "../../ui/page-head";
import { ORGANS, STATION } from "../../words/stations";
import { capital } from "../../words/text";
import { NeverLine } from "./never";

type Line = Schemas["NeverView"];
type Shown = "all" | "unread" | "doubted";

const HOLDS: Record<Shown, (line: Line) => boolean> = { all: () => true, unread: (line) => line.readBy === 0, doubted: (line) => line.doubted };

/** The sheet a botanist reads with a pencil: what the dangerous kinds never show. */
export default function ReviewPage() {
  const { flora = "" } = useParams();
  const sheet = useQuery(neversQuery(flora));
  const reads = useSession().data?.user?.role === "instructor";
  const [sought, setSought] = useState("");
  const [shown, setShown] = useState<Shown>("all");
  if (sheet.isPending) return <Loading what="the sheet" />;
  if (sheet.isError)
    return (
      <div className="p-5">
        <Trouble error={sheet.error} retry={() => void sheet.refetch()} />
      </div>
    );
  const s = sheet.data;
  const words = sought.trim().toLowerCase();
  const taxa = s.taxa
    .map((t) => ({ ...t, nevers: t.nevers.filter(HOLDS[shown]) }))
    .filter((t) => t.nevers.length > 0 && `${t.name} ${t.commonName}`.toLowerCase().includes(words));
  return (
    <div className="mx-auto max-w-5xl px-4 py-5 wide:px-6 print:max-w-none print:p-0">
      <PageHead
        title="What they never show"
        lead={`${s.title}, edition ${s.edition}: ${s.lines} lines, ${s.read} read by somebody besides their author, ${s.doubted} doubted. A look excludes a dangerous kind only by such a line. Strike out any that you have seen otherwise.`}
        sought={sought}
        onSeek={setSought}
      >
        <div className="flex flex-wrap items-end justify-between gap-3 print:hidden">
          <Choice
            label="Lines"
            value={shown}
            options={[
              { value: "all", label: "all" },
              { value: "unread", label: "not read yet" },
              { value: "doubted", label: "doubted" },
            ]}
            onChange={setShown}
          />
          <Button onClick={() => window.print()}>Print the sheet</Button>
        </div>
      </PageHead>
      {!reads && <p className="mt-3 text-sm text-faded">Instructors read this sheet and say what they think of a line; you can look.</p>}
      {taxa.length === 0 && (
        <p className="py-5 text-faded">
          {s.lines === 0 ? "This flora states nothing yet, so nothing in it can be excluded and its gate stays shut." : "No line of that sort."}
        </p>
      )}
      {taxa.map((t) => (
        <section key={t.id} className="mt-6 break-inside-avoid-page print:mt-0 print:break-after-page" data-review={t.id}>
          <h2 className="flex flex-wrap items-baseline gap-x-3 border-b border-ink text-xl">
            <Link to={`/species/${t.id}?flora=${flora}`} className="underline-offset-4 hover:underline">
              {capital(t.commonName)}
            </Link>
            <Name>{t.name}</Name>
            <SeverityMark severity={t.severity} />
          </h2>
          {ORGANS.filter((organ) => t.nevers.some((line) => line.organ === organ)).map((organ) => (
            <div key={organ} className="grid gap-x-4 wide:grid-cols-[7rem_1fr] print:grid-cols-[6rem_1fr]">
              <h3 className="pt-2 text-faded print:pt-0.5 print:text-xs">{STATION[organ].name}</h3>
              <ul>
                {t.nevers
                  .filter((line) => line.organ === organ)
                  .map((line) => (
                    <Row key={line.id} flora={flora} taxon={t.id} line={line} reads={reads} />
                  ))}
              </ul>
            </div>
          ))}
        </section>
      ))}
    </div>
  );
}

function Row({ flora, taxon, line, reads }: { flora: string; taxon: string; line: Line; reads: boolean }) {
  const [doubting, setDoubting] = useState(false);
  const [note, setNote] = useState("");
  const queries = useQueryClient();
  const say = useMutation({
    mutationFn: (verdict: "agreed" | "doubted") =>
      unwrap(
        client.POST("/api/floras/{name}/nevers/{taxon}/{line}/reviews", {
          params: { path: { name: flora, taxon, line: line.id } },
          body: { verdict, note },
        }),
      ),
    onSuccess: (sheet) => {
      setDoubting(false);
      setNote("");
      queries.setQueryData(neversQuery(flora).queryKey, sheet);
      void queries.invalidateQueries({ queryKey: ["taxon"] });
      void queries.invalidateQueries({ queryKey: ["examination"] });
    },
  });
  return (
    <li
      className="rule-b grid items-start gap-x-4 py-2 wide:grid-cols-[1fr_auto] print:grid-cols-[1fr_auto] print:py-0.5 print:text-xs print:leading-tight"
      data-line={line.id}
    >
      <div>
        <NeverLine line={line} />
        {say.error && <Trouble error={say.error} />}
        {doubting && (
          <div className="mt-2 flex flex-wrap items-end gap-2">
            <Field label="What have you seen, or where does it stand?">
              <input className={fieldClass} value={note} onChange={(e) => setNote(e.target.value)} />
            </Field>
            <Button tone="ink" disabled={say.isPending || note.trim() === ""} onClick={() => say.mutate("doubted")}>
              Record the doubt
            </Button>
            <Button onClick={() => setDoubting(false)}>Leave it</Button>
          </div>
        )}
      </div>
      {reads && !doubting && (
        <div className="flex gap-2 print:hidden">
          <Button disabled={say.isPending} onClick={() => say.mutate("agreed")}>
            I agree
          </Button>
          <Button disabled={say.isPending} onClick={() => setDoubting(true)}>
            I doubt it
          </Button>
        </div>
      )}
      <span className="hidden whitespace-nowrap text-xs print:block">{line.reviews.length === 0 ? "unread " : ""}☐ agree ☐ doubt ___________</span>
    </li>
  );
}
