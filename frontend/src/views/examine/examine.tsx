import { useQuery } from "@tanstack/react-query";
import { useCallback, useMemo, useRef, useState } from "react";
import { Link, useParams } from "react-router";
import type { Character, Examination, Flora, Schemas } from "../../api/client";
import { examinationQuery, floraQuery, taxonQuery, useExamination, useSession } from "../../api/queries";
import { GateHead, gateState, NinePoints } from "../../gate/panel";
import { Button, Choice, capital, Dialog, dayWords, Loading, Trouble } from "../../ui/controls";
import { ClaimDialog } from "./claim";
import { type Draft, EMPTY, isComplete, newId, toScore } from "./draft";
import { HarvestDialog, ReconsiderDialog, SignDialog } from "./finish";
import { useKeys } from "./keys";
import { Kit } from "./kit";
import { Dangers, Names, NextLook } from "./panels";
import { Question } from "./question";
import { type Organ, ROUTES, type RouteId, STATION, StationList, StationTree } from "./stations";

export default function Examine() {
  const { id = "" } = useParams();
  const examination = useQuery(examinationQuery(id));
  const flora = useQuery({ ...floraQuery(examination.data?.flora), enabled: examination.isSuccess });
  if (examination.isError)
    return (
      <div className="p-5">
        <Trouble error={examination.error} retry={() => void examination.refetch()} />
      </div>
    );
  if (flora.isError) return <Trouble error={flora.error} retry={() => void flora.refetch()} />;
  if (examination.isPending || flora.isPending) return <Loading what="the examination" />;
  return <Workbench key={id} examination={examination.data} flora={flora.data} />;
}

type Dialogs = "claim" | "points" | "sign" | "harvest" | "keys" | "settings" | "reconsider";
type Pane = "look" | "dangers" | "names" | "gate";
const PANES: { value: Pane; label: string }[] = [
  { value: "look", label: "Look" },
  { value: "dangers", label: "Dangers" },
  { value: "names", label: "Names" },
  { value: "gate", label: "Gate" },
];
const STAGES = (["sapling", "young", "mature", "old"] satisfies Schemas["LifeStage"][]).map((value) => ({ value, label: value }));

function Workbench({ examination: e, flora }: { examination: Examination; flora: Flora }) {
  const act = useExamination(e.id);
  const units = useSession().data?.user?.units ?? "metric";
  const claimed = useQuery({ ...taxonQuery(e.claimTaxon ?? "", e.flora), enabled: Boolean(e.claimTaxon) }).data;
  const part = claimed?.parts.find((x) => x.id === e.claimPart);
  const locked = e.signed || !e.mine;
  const route = ROUTES[e.route as RouteId];

  const characters = useMemo(() => new Map(flora.characters.map((c) => [c.id, c])), [flora]);
  const required = useMemo(() => new Map((part?.required ?? []).map((r) => [r.character, r])), [part]);
  const standing = useMemo(() => e.scores.filter((s) => !s.takenBack), [e.scores]);
  const requiredItems = useMemo(() => new Map((e.assessment.clearance?.points[0]?.items ?? []).map((i) => [i.subject, i.status])), [e]);
  const suggested = e.assessment.next[0]?.character;

  const inStation = useCallback((organ: Organ) => sightFor(flora, e, organ, required), [flora, e, required]);
  const [organ, setOrgan] = useState<Organ>(() => (standing.length > 0 && characters.get(suggested ?? "")?.organ) || (route.order[0] as Organ));
  const [active, setActive] = useState<string | null>(() => (standing.length > 0 ? suggested : undefined) ?? inStation(organ)[0]?.id ?? null);
  const [drafts, setDrafts] = useState<Record<string, Draft>>({});
  const [pane, setPane] = useState<Pane>("look");
  const [dialog, setDialog] = useState<Dialogs | null>(null);
  const [said, setSaid] = useState<{ text: string; score?: string; restore?: string } | null>(null);
  const busy = act.score.isPending || act.takeBack.isPending || act.change.isPending || act.restore.isPending;
  const error = act.score.error ?? act.takeBack.error ?? act.change.error ?? act.restore.error;

  const lookAt = useCallback(
    (character: string) => {
      const found = characters.get(character);
      if (!found) return;
      setOrgan(found.organ);
      setActive(character);
      setPane("look");
      setDialog(null);
      requestAnimationFrame(() => {
        const section = document.querySelector<HTMLElement>(`[data-character="${character}"]`);
        section?.scrollIntoView({ block: "nearest" });
        section?.querySelector<HTMLElement>("button")?.focus({ preventScroll: true });
      });
    },
    [characters],
  );
  const go = useCallback(
    (next: Organ) => {
      setOrgan(next);
      const list = inStation(next);
      setActive((list.find((c) => !standing.some((s) => s.character === c.id)) ?? list[0])?.id ?? null);
      setPane("look");
    },
    [inStation, standing],
  );
  const advance = (from: string, after: Examination) => {
    const list = sightFor(flora, after, organ, required); // what was just scored can take others out of sight
    const at = list.findIndex((c) => c.id === from);
    const rest = [...list.slice(at + 1), ...list.slice(0, Math.max(at, 0))];
    const scored = new Set(after.scores.filter((s) => !s.takenBack).map((s) => s.character));
    const next = rest.find((c) => !scored.has(c.id) && required.has(c.id)) ?? rest.find((c) => !scored.has(c.id));
    if (after.assessment.next[0] && !next) lookAt(after.assessment.next[0].character);
    else setActive(next?.id ?? null);
  };
  // One id to a score, kept until it is stored: pressed twice, or sent again after a break in the net, it is one score.
  const ids = useRef<Record<string, string>>({});
  const idFor = (character: string) => {
    ids.current[character] ??= newId();
    return ids.current[character];
  };
  const stored = (character: string) => {
    delete ids.current[character];
  };
  const record = (character: Character) => {
    const draft = drafts[character.id] ?? EMPTY;
    if (!isComplete(character, draft) || busy || locked) return;
    const further = e.scores.some((s) => s.character === character.id && s.answer !== "cannot-be-seen");
    act.score.mutate(toScore(character, draft, units, idFor(character.id), further), {
      onSuccess: (after) => {
        stored(character.id);
        setDrafts(({ [character.id]: _, ...others }) => others);
        const score = after.scores[after.scores.length - 1];
        setSaid({ text: `Recorded: ${character.label}.`, ...(score ? { score: score.id } : {}) });
        advance(character.id, after);
      },
    });
  };
  const answer = (character: Character, as: Schemas["ScoreAnswer"], text: string) =>
    act.score.mutate(
      { id: idFor(character.id), character: character.id, answer: as },
      {
        onSuccess: (after) => {
          stored(character.id);
          const score = after.scores[after.scores.length - 1];
          setSaid({ text: `${text}: ${character.label}.`, ...(score ? { score: score.id } : {}) });
          advance(character.id, after);
        },
      },
    );
  const cannotBeSeen = (character: Character) => answer(character, "cannot-be-seen", "Cannot be seen now");
  const doesNotApply = (character: Character) => answer(character, "does-not-apply", "Makes no sense here");
  const takeBack = (score: string) =>
    act.takeBack.mutate(score, {
      onSuccess: () =>
        setSaid({ text: "Taken back; it stays on record. If it spoke against the hope, a further look has to settle it.", restore: score }),
    });

  useKeys({
    locked,
    dialog: dialog !== null,
    active,
    organ,
    list: inStation(organ),
    route: route.order,
    drafts,
    setDrafts,
    setActive,
    go,
    record,
    cannotBeSeen,
    doesNotApply,
    lookNext: () => suggested && lookAt(suggested),
    undo: () => said?.score && takeBack(said.score),
    open: setDialog,
  });

  const counts = tally(standing.map((s) => characters.get(s.character)?.organ ?? ""));
  const openRequired = tally([...requiredItems].filter(([, status]) => status !== "met").map(([id]) => characters.get(id)?.organ ?? ""));
  const cleared = gateState(e.assessment.clearance) === "cleared";
  const asked = claimed && part ? `${capital(claimed.commonNames[0] ?? "")}, ${part.label}` : null;
  const stationProps = { route: e.route as RouteId, current: organ, counts, open: openRequired, onGo: go };
  const list = inStation(organ);

  return (
    <div className="wide:grid wide:h-[calc(100dvh-3.05rem)] wide:grid-cols-[12.5rem_minmax(0,1fr)_23rem]">
      <h1 className="sr-only">Examining {e.specimen.tag}</h1>

      {/* the gate: always in sight; on a small screen it sticks to the top */}
      <div className="sticky top-0 z-20 border-b-2 border-ink bg-ground px-3 py-2 wide:hidden">
        <button type="button" className="relative block w-full text-left" onClick={() => setPane("gate")}>
          <GateHead clearance={e.assessment.clearance} asked={asked} id="small" small covered={e.hopeCovered} />
        </button>
      </div>

      <aside className="hidden flex-col overflow-y-auto border-r border-rule p-3 wide:flex">
        <StationTree {...stationProps} />
        <nav aria-label="Stations">
          <StationList {...stationProps} />
        </nav>
        <button
          type="button"
          className="mt-auto min-h-8 pt-2 text-left text-sm text-faded underline underline-offset-4"
          onClick={() => setDialog("keys")}
        >
          Keys (?)
        </button>
      </aside>

      <div className={`min-w-0 wide:flex wide:flex-col wide:overflow-y-auto ${pane === "look" ? "" : "max-wide:hidden"}`} data-pane="look">
        <div className="rule-b flex flex-wrap items-center justify-between gap-x-3 gap-y-1 px-3 py-1.5">
          <p className="min-w-0 leading-tight">
            <strong>{e.specimen.tag}</strong> {e.specimen.site.name}
            <span className="block text-sm text-faded">
              {dayWords(e.date)}, {e.stage} tree, {e.mine ? "you" : e.examiner.name}
              {e.secondOf ? ", second look" : ""}
              {e.signed ? ", signed" : ""}
              {e.dateReason ? `, ${e.dateReason}` : ""}
            </span>
          </p>
          {!locked && (
            <div className="flex gap-1.5">
              <Button onClick={() => setDialog("settings")}>Tree and kit</Button>
              {!e.hopeCovered && <Button onClick={() => setDialog("claim")}>{asked ? "Ask for another part" : "Ask for a part"}</Button>}
            </div>
          )}
        </div>
        <nav aria-label="Stations" className="rule-b wide:hidden">
          <StationList {...stationProps} strip />
        </nav>
        {error && (
          <div className="p-3">
            <Trouble error={error} />
          </div>
        )}
        <h2 className="px-3 pt-3 pb-1 text-lg">{STATION[organ].name}</h2>
        {list.length === 0 && <p className="px-3 py-2 text-faded">Nothing to be seen here at this time of year, as far as this flora knows.</p>}
        {list.map((character) => (
          <Question
            key={character.id}
            character={character}
            active={active === character.id}
            draft={drafts[character.id] ?? EMPTY}
            scores={e.scores.filter((s) => s.character === character.id)}
            required={required.get(character.id)}
            requiredStanding={requiredItems.get(character.id)}
            suggested={suggested === character.id}
            units={units}
            locked={locked}
            busy={busy}
            onOpen={() => setActive(active === character.id ? null : character.id)}
            onDraft={(draft) => setDrafts({ ...drafts, [character.id]: draft })}
            onRecord={() => record(character)}
            onCannotBeSeen={() => cannotBeSeen(character)}
            onDoesNotApply={() => doesNotApply(character)}
            onTakeBack={takeBack}
          />
        ))}
        <div className="h-32 shrink-0 wide:h-6" />
      </div>

      <aside
        className={`wide:flex wide:flex-col wide:gap-3 wide:overflow-y-auto wide:border-l wide:border-rule wide:p-3 ${pane === "look" ? "max-wide:hidden" : "p-3 pb-32"}`}
      >
        <section aria-label="The gate" className="hidden border border-ink bg-sheet p-2.5 wide:block">
          <GateHead clearance={e.assessment.clearance} asked={asked} id="big" covered={e.hopeCovered} />
          <GateActions e={e} locked={locked} cleared={cleared} scored={standing.length} open={setDialog} />
        </section>
        <div className={`flex flex-col gap-4 ${pane === "look" || pane === "gate" ? "max-wide:hidden" : ""}`}>
          <div className="max-wide:hidden">{!locked && <NextLook next={e.assessment.next} covered={e.namesCovered} onLook={lookAt} />}</div>
          <div className={pane === "dangers" ? "" : "max-wide:hidden"}>
            <Dangers
              dangers={e.assessment.dangers}
              covered={e.namesCovered}
              hopeCovered={e.hopeCovered}
              flora={e.flora}
              onLook={lookAt}
              all={pane === "dangers"}
            />
          </div>
          <div className={pane === "names" ? "" : "max-wide:hidden"}>
            <Names
              assessment={e.assessment}
              examination={e}
              characters={characters}
              busy={busy}
              onUncover={() => act.change.mutate({ uncoverNames: true })}
              many={pane === "names"}
            />
          </div>
        </div>
        {pane === "gate" && (
          <div className="wide:hidden">
            <GateActions e={e} locked={locked} cleared={cleared} scored={standing.length} open={setDialog} hidePoints />
            {e.assessment.clearance && (
              <NinePoints
                clearance={e.assessment.clearance}
                conditions={e.conditions}
                canLook={!locked}
                canAnswer={e.mine}
                onAnswer={(id, answer) => act.change.mutate({ conditions: { [id]: answer } })}
                onLook={lookAt}
              />
            )}
          </div>
        )}
        <Decided e={e} />
      </aside>

      {/* thumb bar */}
      <div className="fixed inset-x-0 bottom-0 z-30 border-t-2 border-ink bg-ground wide:hidden">
        {pane === "look" && suggested && !locked && active !== suggested && (
          <button
            type="button"
            className="flex min-h-11 w-full items-center justify-between px-3 text-left text-sm rule-b"
            onClick={() => lookAt(suggested)}
          >
            <span>
              Look next at <strong>{e.assessment.next[0]?.label}</strong>
            </span>
            <span aria-hidden="true">→</span>
          </button>
        )}
        <nav aria-label="Parts of the examination" className="grid grid-cols-4">
          {PANES.map((x) => (
            <button
              key={x.value}
              type="button"
              aria-current={pane === x.value ? "page" : undefined}
              onClick={() => setPane(x.value)}
              className="min-h-13 font-semibold aria-[current]:bg-ink aria-[current]:text-ground"
            >
              {x.label}
              {x.value === "dangers" && !e.hopeCovered && <span className="figures"> {e.assessment.dangers.filter((d) => !d.excluded).length}</span>}
            </button>
          ))}
        </nav>
      </div>

      {said && (
        <div
          role="status"
          className="fixed bottom-28 left-1/2 z-30 flex -translate-x-1/2 items-center gap-3 bg-ink px-4 py-1 text-ground wide:bottom-4 max-wide:w-[94%]"
        >
          <span>{said.text}</span>
          {said.score && !locked && (
            <button type="button" className="min-h-11 font-semibold underline" onClick={() => takeBack(said.score as string)}>
              Take back
            </button>
          )}
          {said.restore && !locked && (
            <button
              type="button"
              className="min-h-11 font-semibold underline"
              onClick={() => act.restore.mutate(said.restore as string, { onSuccess: () => setSaid(null) })}
            >
              Count it again
            </button>
          )}
          <button type="button" className="min-h-11 min-w-9" aria-label="Dismiss" onClick={() => setSaid(null)}>
            ✕
          </button>
        </div>
      )}

      <ClaimDialog
        open={dialog === "claim"}
        onOpenChange={(o) => setDialog(o ? "claim" : null)}
        flora={flora}
        current={e.claimTaxon ? { taxon: e.claimTaxon, part: e.claimPart ?? "" } : null}
        onAsk={(taxon, p) => act.change.mutate({ claimTaxon: taxon, claimPart: p }, { onSuccess: () => setDialog(null) })}
        onDrop={() => act.change.mutate({ dropClaim: true }, { onSuccess: () => setDialog(null) })}
      />
      <Dialog open={dialog === "points"} onOpenChange={(o) => setDialog(o ? "points" : null)} title={asked ? `The gate: ${asked}` : "The gate"} wide>
        {e.assessment.clearance && (
          <NinePoints
            clearance={e.assessment.clearance}
            conditions={e.conditions}
            canLook={!locked}
            canAnswer={e.mine}
            onAnswer={(id, answer) => act.change.mutate({ conditions: { [id]: answer } })}
            onLook={lookAt}
          />
        )}
      </Dialog>
      <Dialog open={dialog === "settings"} onOpenChange={(o) => setDialog(o ? "settings" : null)} title="Tree and kit">
        <Settings e={e} change={(body) => act.change.mutate(body)} />
      </Dialog>
      <SignDialog open={dialog === "sign"} onOpenChange={(o) => setDialog(o ? "sign" : null)} examination={e} asked={asked} sign={act.sign} />
      <ReconsiderDialog
        open={dialog === "reconsider"}
        onOpenChange={(o) => setDialog(o ? "reconsider" : null)}
        examination={e}
        reconsider={act.reconsider}
      />
      <HarvestDialog
        open={dialog === "harvest"}
        onOpenChange={(o) => setDialog(o ? "harvest" : null)}
        examination={e}
        part={part}
        units={units}
        harvest={act.harvest}
      />
      <Dialog open={dialog === "keys"} onOpenChange={(o) => setDialog(o ? "keys" : null)} title="Keys at the table">
        <dl className="grid grid-cols-[7rem_1fr] gap-y-1.5">
          {KEYS.map(([key, what]) => (
            <div key={key} className="contents">
              <dt>
                <kbd className="border border-ink px-1.5 font-sans">{key}</kbd>
              </dt>
              <dd>{what}</dd>
            </div>
          ))}
        </dl>
      </Dialog>
    </div>
  );
}

const KEYS: [string, string][] = [
  ["1 … 9", "choose what the tree shows"],
  ["s  l  u", "sure, likely, unsure"],
  ["+  −", "seen on one more, one fewer"],
  ["g", "on the ground instead of on the tree"],
  ["Enter", "record"],
  ["e", "one of the chosen, cannot say which"],
  ["x", "cannot be seen now"],
  ["0", "makes no sense on this tree"],
  ["z", "take the last score back"],
  ["j  k", "next, previous question"],
  ["]  [", "next, previous station"],
  ["n", "go to the next look"],
  ["p", "the nine points of the gate"],
  ["?", "this sheet"],
];

/** Characters of a station that make sense, are in season and in reach; what is required or scored always shows. */
function sightFor(flora: Flora, e: Examination, organ: Organ, required: Map<string, unknown>): Character[] {
  const scored = new Map(e.scores.filter((s) => !s.takenBack).map((s) => [s.character, s]));
  const byId = new Map(flora.characters.map((c) => [c.id, c]));
  // No lobes where the blade is a needle: what a character hangs on may itself hang on another.
  const applies = (c: Character): boolean => {
    if (!c.appliesTo) return true;
    const on = scored.get(c.appliesTo);
    if (on?.answer === "seen") return c.appliesStates.some((s) => on.states.includes(s));
    const above = byId.get(c.appliesTo);
    return above === undefined || applies(above);
  };
  return flora.characters.filter((c) => {
    if (c.organ !== organ) return false;
    if (scored.has(c.id) || required.has(c.id)) return true;
    if (e.outOfSeason.includes(c.id) || !e.reach.includes(c.reach)) return false;
    if (c.instrument !== "none" && !e.kit.includes(c.instrument)) return false;
    return applies(c);
  });
}

const tally = (words: string[]): Record<string, number> =>
  words.reduce<Record<string, number>>((sum, w) => {
    sum[w] = (sum[w] ?? 0) + 1;
    return sum;
  }, {});

function GateActions(p: {
  e: Examination;
  locked: boolean;
  cleared: boolean;
  scored: number;
  open: (dialog: Dialogs) => void;
  hidePoints?: boolean;
}) {
  return (
    <div className="mt-2 flex flex-wrap gap-1.5">
      {p.e.assessment.clearance && !p.hidePoints && <Button onClick={() => p.open("points")}>Nine points</Button>}
      {!p.e.assessment.clearance && !p.locked && !p.e.hopeCovered && <Button onClick={() => p.open("claim")}>Ask for a part</Button>}
      {!p.locked && (
        <Button tone={p.cleared ? "leaf" : "plain"} disabled={p.scored === 0} onClick={() => p.open("sign")}>
          Sign
        </Button>
      )}
      {p.e.signed && p.cleared && (
        <Button tone="leaf" onClick={() => p.open("harvest")}>
          Log a harvest
        </Button>
      )}
      {p.e.signed && p.e.mine && p.e.secondOf && !p.e.reconsideredBecause && (
        <Button onClick={() => p.open("reconsider")}>Take this conclusion back</Button>
      )}
      {p.e.signed && !p.cleared && (
        <Link
          to={`/examine?tree=${p.e.specimen.id}`}
          className="inline-flex min-h-11 items-center rounded-sm border border-ink bg-sheet px-3 font-semibold"
        >
          Examine this tree again
        </Link>
      )}
    </div>
  );
}

/** What was put on record: decisions and harvests. */
function Decided({ e }: { e: Examination }) {
  if (e.decisions.length === 0 && e.harvests.length === 0 && !e.reconsideredBecause) return null;
  return (
    <section aria-label="On record" className="max-wide:mt-4">
      <h2 className="border-b border-ink text-base">On record</h2>
      <ul className="text-sm">
        {e.reconsideredBecause && (
          <li className="rule-b py-1">
            <strong>Conclusion taken back.</strong> {e.reconsideredBecause}
          </li>
        )}
        {e.harvests.map((h) => (
          <li key={h.id} className="rule-b py-1">
            <strong>{h.amount}</strong> of {h.part} taken {dayWords(h.takenOn)} by {h.takenBy}, {h.shareLeft} % left.{" "}
            <Link className="underline" to={`/species/${h.taxon}?flora=${h.flora}`}>
              To the species page
            </Link>
          </li>
        ))}
        {e.decisions.map((d, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: decisions are only ever added
          <li key={i} className="rule-b py-1">
            {dayWords(d.decidedOn)}: <strong>{d.answer}</strong>
            {d.validUntil ? ` until ${dayWords(d.validUntil)}` : ""}. <span className="text-faded">{d.because}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Settings({ e, change }: { e: Examination; change: (body: Partial<Schemas["ExaminationChange"]>) => void }) {
  return (
    <div className="space-y-4">
      <Choice label="Age of the tree" value={e.stage} options={STAGES} onChange={(stage) => change({ stage })} />
      <Choice
        label="Route"
        value={e.route as RouteId}
        options={(Object.keys(ROUTES) as RouteId[]).map((value) => ({ value, label: ROUTES[value].label }))}
        onChange={(r) => change({ route: r })}
      />
      <Kit reach={e.reach} kit={e.kit} onReach={(reach) => change({ reach })} onKit={(kit) => change({ kit })} />
    </div>
  );
}
