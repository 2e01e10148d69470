import { Dialog as RadixDialog } from "radix-ui";
import { useEffect, useState } from "react";
import type { Character } from "../../api/client";
import { Button, Trouble } from "../../ui/controls";
import { canSpeak, hush, say, wantReading, wantsReading } from "../../ui/senses";
import { STATION } from "../../words/stations";
import { capital } from "../../words/text";
import { FieldLine } from "../along/field-line";
import { GateHead } from "../gate/panel";
import { useBench } from "./bench";
import { isNumeric } from "./draft";
import { RecordButtons } from "./record-buttons";
import { Scoring } from "./scoring";
import { roundOf } from "./table";
import { unseenWords } from "./unseen";

/** Round the tree: one question at a time, in the order of the route, everything within reach of a thumb. */
export function Round() {
  const { table, move } = useBench();
  if (!table.round) return null;
  return (
    <RadixDialog.Root open onOpenChange={(open) => !open && move({ do: "leave-round" })}>
      <RadixDialog.Portal>
        <RadixDialog.Content aria-describedby={undefined} className="fixed inset-0 z-40 flex flex-col bg-ground" data-round>
          <Inside />
        </RadixDialog.Content>
      </RadixDialog.Portal>
    </RadixDialog.Root>
  );
}

function Inside() {
  const bench = useBench();
  const { e, flora, table, error, asked, standing, takeBack, lookAt, move } = bench;
  const left = table.round ? roundOf(e, flora, table.round) : [];
  const at = left.find((c) => c.id === table.active) ?? left[0];
  const [reading, setReading] = useState(wantsReading);
  useEffect(() => {
    if (at && at.id !== table.active) move({ do: "look", character: at });
  }, [at, table.active, move]);
  useEffect(() => {
    if (reading && at) say(spoken(at));
    return hush;
  }, [reading, at]);
  const last = standing.at(-1);
  const skip = () => at && move({ do: "skip", character: at.id });
  return (
    <>
      <div className="flex items-center justify-between gap-2 border-b-2 border-ink px-3 py-1.5">
        <GateHead gate={e.assessment.clearance} asked={asked} id="round" small covered={e.hopeCovered} />
        <RadixDialog.Close className="min-h-11 shrink-0 rounded-sm border border-ink bg-sheet px-2 font-semibold">Leave</RadixDialog.Close>
      </div>
      <RadixDialog.Title className="sr-only">Round the tree {e.specimen.tag}</RadixDialog.Title>
      <div className="mx-auto w-full max-w-3xl flex-1 overflow-y-auto px-3 py-2">
        {error && <Trouble error={error} />}
        {at ? (
          <section data-character={at.id} key={at.id}>
            <p className="flex items-center justify-between gap-2 text-sm text-faded">
              <span>
                {STATION[at.organ].name} · {left.length} {left.length === 1 ? "question" : "questions"} left
                {table.round?.all ? "" : " of what tells most"}
              </span>
              {canSpeak() && (
                <button
                  type="button"
                  aria-pressed={reading}
                  className="min-h-11 shrink-0 rounded-sm border border-ink px-2 text-ink aria-pressed:bg-ink aria-pressed:text-ground"
                  onClick={() => {
                    wantReading(!reading);
                    setReading(!reading);
                  }}
                >
                  Read aloud
                </button>
              )}
            </p>
            <h2 className="text-2xl">{capital(at.label)}</h2>
            <p className="text-lg leading-snug">{at.question}</p>
            {at.hint && <p className="text-faded">{at.hint}</p>}
            <Scoring character={at} bare />
          </section>
        ) : (
          <Done />
        )}
      </div>
      <div className="border-t-2 border-ink px-3 py-2">
        <div className="mx-auto flex max-w-3xl flex-wrap gap-2">
          {at && (
            <>
              <Button className="flex-1" disabled={bench.busy} onClick={() => bench.cannotBeSeen(at)}>
                {unseenWords(at)}
              </Button>
              {at.appliesTo && (
                <Button className="flex-1" disabled={bench.busy} onClick={() => bench.doesNotApply(at)}>
                  Makes no sense here
                </Button>
              )}
              <Button className="flex-1" onClick={skip}>
                Later
              </Button>
              {last && (
                <Button
                  className="flex-1"
                  disabled={bench.busy}
                  onClick={() => {
                    takeBack(last.id);
                    lookAt(last.character);
                  }}
                >
                  Take the last back
                </Button>
              )}
              <div className="flex w-full gap-2">
                <RecordButtons character={at} thumb />
              </div>
            </>
          )}
        </div>
      </div>
    </>
  );
}

/** The round is walked: what the gate says, and what one can do about it. */
function Done() {
  const { e, table, cleared, locked, standing, suggested, move } = useBench();
  const ask = (dialog: "points" | "sign") => () => {
    move({ do: "leave-round" });
    move({ do: "ask", dialog });
  };
  return (
    <section className="space-y-3 py-4">
      <h2 className="text-2xl">{table.round?.all ? "You have been all round it" : "What tells most has been looked at"}</h2>
      <FieldLine e={e} />
      {e.assessment.clearance ? (
        <p>{cleared ? `${e.assessment.clearance.because}` : `Not yet: ${e.assessment.clearance.because}`}</p>
      ) : (
        <p>{suggested ? `Worth a look now: ${suggested.label}.` : "Nothing in reach today would tell more."}</p>
      )}
      <div className="flex flex-wrap gap-2">
        {!table.round?.all && (
          <Button tone="ink" onClick={() => move({ do: "round", all: true })}>
            Go on with everything else
          </Button>
        )}
        {(table.round?.skipped.length ?? 0) > 0 && (
          <Button onClick={() => move({ do: "round", all: table.round?.all ?? false })}>What was left for later</Button>
        )}
        {e.assessment.clearance && <Button onClick={ask("points")}>Nine points</Button>}
        {!locked && standing.length > 0 && (
          <Button tone={cleared ? "leaf" : "plain"} onClick={ask("sign")}>
            Sign
          </Button>
        )}
      </div>
    </section>
  );
}

const spoken = (c: Character): string =>
  `${c.question} ${isNumeric(c) ? "" : c.states.map((s) => (s.absence ? `looked: ${s.label}` : s.label)).join("; ")}.`;
