import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { organs } from "../../plates/plate";
import { Scene } from "../../plates/scene";
import { Tile } from "../../plates/tile";
import { Button, Choice, Field, Loading, Trouble } from "../../ui/controls";
import { NumberInput } from "../../ui/number-input";
import { PageHead } from "../../ui/page-head";
import { DRILL, SURE, share } from "../../words/learning";
import { parseDecimal } from "../../words/numbers";
import { capital, dayWords } from "../../words/text";
import { LearnNav } from "./learn-nav";
import { Mnemonics } from "./mnemonics";

type Item = Schemas["DrillItemView"];
type Kind = Schemas["DrillKind"];

/** Two minutes: what is due again, and what one confuses. */
export default function Drills() {
  const [kind, setKind] = useState<Kind | "">("");
  const [round, setRound] = useState(0);
  const drill = useQuery({
    queryKey: ["drill", kind, round],
    queryFn: () => unwrap(client.GET("/api/drills", { params: { query: kind ? { kind } : {} } })),
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 0,
  });
  return (
    <div className="mx-auto max-w-4xl px-3 py-4 wide:px-6">
      <PageHead
        title="Two minutes"
        lead="What is due again comes first, then what you confuse. Say how sure you are: wrong and sure comes back soonest."
      />
      <LearnNav />
      <div className="mt-4">
        <Choice
          label="On what"
          value={kind}
          options={[{ value: "" as const, label: "as it comes" }, ...(Object.keys(DRILL) as Kind[]).map((value) => ({ value, label: DRILL[value] }))]}
          onChange={setKind}
        />
      </div>
      {drill.isPending && <Loading what="the questions" />}
      {drill.isError && <Trouble error={drill.error} retry={() => void drill.refetch()} />}
      {drill.data && drill.data.length === 0 && <p className="mt-5">Nothing of that sort can be asked of your flora.</p>}
      {drill.data && drill.data.length > 0 && <Round key={`${kind}${round}`} items={drill.data} onAgain={() => setRound(round + 1)} />}
    </div>
  );
}

function Round({ items, onAgain }: { items: Item[]; onAgain: () => void }) {
  const [at, setAt] = useState(0);
  const [right, setRight] = useState(0);
  const queries = useQueryClient();
  const item = items[at];
  if (!item)
    return (
      <section className="mt-6 border-2 border-ink bg-sheet p-4" role="status" data-drilled>
        <h2 className="text-xl">
          {right} of {items.length} right, {share(right / items.length)}
        </h2>
        <p className="py-2">What was wrong is asked again tomorrow; what was right later each time.</p>
        <div className="flex flex-wrap gap-3">
          <Button
            tone="ink"
            onClick={() => {
              void queries.invalidateQueries({ queryKey: ["learning"] });
              onAgain();
            }}
          >
            Two minutes more
          </Button>
          <Link to="/learning" className="inline-flex min-h-11 items-center underline underline-offset-4">
            What I confuse
          </Link>
        </div>
      </section>
    );
  return (
    <>
      <p className="mt-4 text-sm text-faded" role="status">
        {at + 1} of {items.length}: {DRILL[item.kind]}
      </p>
      <Asked
        key={item.card + item.lot}
        item={item}
        onNext={(wasRight) => {
          setRight(right + (wasRight ? 1 : 0));
          setAt(at + 1);
        }}
      />
    </>
  );
}

function Asked({ item, onNext }: { item: Item; onNext: (wasRight: boolean) => void }) {
  const [sure, setSure] = useState<Schemas["Certainty"]>("sure");
  const [typed, setTyped] = useState("");
  const [said, setSaid] = useState("");
  const answer = useMutation({
    mutationFn: (chosen: string) =>
      unwrap(client.POST("/api/drills/answers", { body: { card: item.card, lot: item.lot, answer: chosen, certainty: sure } })),
  });
  const plate = item.organ ? organs(item.shows).find((o) => o.organ === item.organ) : undefined;
  const give = (chosen: string) => {
    setSaid(chosen);
    answer.mutate(chosen);
  };
  const done = answer.data;
  return (
    <section aria-label={item.ask} className="mt-2 border border-ink bg-sheet p-4" data-drill={item.kind}>
      <h2 className="text-lg">{item.ask}</h2>
      <div className="mt-3 flex flex-wrap gap-6">
        {plate && (
          <svg viewBox="0 0 132 132" className="w-72 border border-rule bg-ground" role="img" aria-label="What is asked, drawn">
            <Scene marks={plate.marks} wide={132} high={132} least={26} />
          </svg>
        )}
        {item.state && (
          <div className="border border-rule bg-ground p-2">
            <Tile character={item.trait} state={item.state} drawing={item.drawing} size={160} />
          </div>
        )}
        {item.told.length > 0 && (
          <div>
            <ul className="list-disc pl-5">
              {item.told.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
            {item.kind === "ear" && "speechSynthesis" in window && (
              <Button className="mt-2" onClick={() => speechSynthesis.speak(new SpeechSynthesisUtterance(item.told.join(". ")))}>
                Say it aloud
              </Button>
            )}
          </div>
        )}
      </div>
      <div className="mt-4">
        <Choice
          label="How sure"
          value={sure}
          options={(Object.keys(SURE) as Schemas["Certainty"][]).map((value) => ({ value, label: SURE[value] }))}
          onChange={setSure}
        />
      </div>
      {item.choices.length > 0 ? (
        <fieldset className="mt-3 grid gap-1.5 wide:grid-cols-2">
          <legend className="sr-only">Answers</legend>
          {item.choices.map((c) => (
            <button
              key={c.id}
              type="button"
              disabled={answer.isPending || done !== undefined}
              aria-pressed={said === c.id}
              onClick={() => give(c.id)}
              className="min-h-12 rounded-sm border border-ink bg-ground px-3 text-left aria-pressed:bg-ink aria-pressed:text-ground"
            >
              {capital(c.label)}
            </button>
          ))}
        </fieldset>
      ) : (
        <form
          className="mt-3 flex flex-wrap items-end gap-3"
          onSubmit={(e) => {
            e.preventDefault();
            const value = parseDecimal(typed);
            if (value !== null) give(String(value));
          }}
        >
          <div className="w-40">
            <Field label={`By the rule${item.unit ? `, ${item.unit}` : ""}`}>
              <NumberInput unit={item.unit} name="measured" value={typed} onChange={(e) => setTyped(e.target.value)} />
            </Field>
          </div>
          <Button type="submit" tone="ink" disabled={answer.isPending || done !== undefined}>
            That is it
          </Button>
        </form>
      )}
      {answer.error && <Trouble error={answer.error} />}
      {done && (
        <div className="mt-4" role="status" data-right={done.isRight}>
          <p className={`text-lg font-bold ${done.isRight ? "" : "text-berry"}`}>{done.isRight ? "Right." : `It was ${done.answer}.`}</p>
          {done.why && <p>{done.why}</p>}
          {item.trait && <Mnemonics about={`character/${item.trait}`} />}
          <p className="text-sm text-faded">Asked again {dayWords(done.dueOn)}.</p>
          <Button tone="ink" className="mt-2" onClick={() => onNext(done.isRight)} autoFocus>
            Next
          </Button>
        </div>
      )}
    </section>
  );
}
