import { useMutation, useQuery } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link, useSearchParams } from "react-router";
import { client, type Schemas, unwrap } from "../../api/client";
import { pasturesQuery, stockQuery, useSession } from "../../api/queries";
import { Button, Choice, Field, fieldClass, Loading, Name, Trouble } from "../../ui/controls";
import { SeverityMark } from "../../ui/marks";
import { NumberInput } from "../../ui/number-input";
import { PageHead } from "../../ui/page-head";
import { Swallowed } from "../../ui/swallowed";
import { together, whom } from "../../words/hazards";
import { parseDecimal } from "../../words/numbers";
import { ANIMALS, amountWords, branchWords, bucketWords, herdWords, massUnit, OF_THEM, ONE_OF, usualMass } from "../../words/stock";
import { capital } from "../../words/text";
import { GroundNav } from "../ground/ground-nav";

type Animal = Schemas["Animal"];
const HERD = "own-animals";

type Own = { animal: Animal; number: string; each: string };
/** Kept in grams: what is typed may be read in the other units the next time. */
type Kept = { animal: Animal; number: string; grams: number };
const kept = (gramsOfOne: number): Own | null => {
  try {
    const own = JSON.parse(localStorage.getItem(HERD) ?? "null") as Partial<Kept> | null;
    if (!own?.animal || !own.number || !(own.grams && own.grams > 0)) return null;
    return { animal: own.animal, number: own.number, each: String(Number((own.grams / gramsOfOne).toPrecision(4))) };
  } catch {
    return null;
  }
};

/** What poisons animals, and what came down held against one's own. */
export default function Stock() {
  const all = useQuery(stockQuery);
  const session = useSession().data;
  const imperial = session?.user?.units === "imperial";
  const [params, setParams] = useSearchParams();
  if (all.isPending) return <Loading what="what harms animals" />;
  if (all.isError) return <Trouble error={all.error} retry={() => void all.refetch()} />;
  const { kinds, silent } = all.data;
  const chosen = kinds.find((k) => k.taxon === params.get("taxon")) ?? kinds[0];
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <PageHead
        title="Poison for animals"
        lead="What harmed them where somebody wrote it down. Less than that is not safe: nobody fed it to find out."
      />
      <GroundNav />
      <div className="mt-4 grid grid-cols-1 gap-x-10 gap-y-6 wide:grid-cols-[minmax(0,1fr)_26rem]">
        <div className="space-y-6">
          <Field label="Which tree?">
            <select
              className={fieldClass}
              name="stock-taxon"
              value={chosen?.taxon ?? ""}
              onChange={(e) => setParams({ taxon: e.target.value }, { replace: true })}
            >
              {kinds.map((k) => (
                <option key={k.taxon} value={k.taxon}>
                  {capital(k.commonName)}
                </option>
              ))}
            </select>
          </Field>
          {chosen && <Kind kind={chosen} />}
        </div>
        <div className="space-y-6">
          {chosen && <Reckon key={chosen.taxon} kind={chosen} imperial={imperial} />}
          <section aria-labelledby="what-to-do" className="border-l-4 border-berry pl-3">
            <h2 id="what-to-do" className="text-lg font-bold text-berry">
              If they had some
            </h2>
            <ol className="ml-5 list-decimal">
              <li>Move the animals away from it, all of them, quietly.</li>
              <li>Call the vet at once, before there are signs.</li>
              <li>Keep a sample, and note when, how much, and which animals.</li>
            </ol>
            <p className="mt-3 text-sm font-semibold">And people:</p>
            <Swallowed />
          </section>
        </div>
      </div>
      <section className="mt-8">
        <h2 className="border-b border-ink pb-1 text-lg">No harm to animals on record</h2>
        <p className="py-2">
          {silent.map(capital).join(", ")}. <strong>No record is not proof:</strong> of some nobody has looked, and what harms one animal may not harm
          another.
        </p>
      </section>
    </div>
  );
}

function Kind({ kind }: { kind: Schemas["StockKindView"] }) {
  return (
    <section aria-label={capital(kind.commonName)}>
      <h2 className="text-xl">
        <Link to={`/species/${kind.taxon}`} className="underline-offset-4 hover:underline">
          {capital(kind.commonName)}
        </Link>{" "}
        <Name>{kind.name}</Name>
      </h2>
      <ul className="mt-2">
        {together(kind.hazards).map((h) => (
          <li key={h.whom.join() + h.part + h.way} className="rule-b py-2">
            <span className="flex flex-wrap items-center gap-x-3">
              <strong>{capital(whom(h.whom))}</strong> {h.part} <SeverityMark severity={h.severity} />
            </span>
            <span className="block text-sm text-faded">{h.note}</span>
          </li>
        ))}
        {kind.noRecords.map((n) => (
          <li key={n.who.join()} className="rule-b py-2">
            <strong>{capital(whom(n.who))}</strong> no record, which is no proof
            {n.note && <span className="block text-sm text-faded">{n.note}</span>}
          </li>
        ))}
      </ul>
      {kind.seen.length === 0 ? (
        <p className="mt-3">How much harms is not on record here. Any of it is too much.</p>
      ) : (
        <table className="mt-4 w-full text-left">
          <caption className="pb-1 text-left font-bold">Harm seen, per cent of the body mass</caption>
          <thead className="text-sm text-faded">
            <tr>
              <th scope="col" className="py-1 pr-3 font-normal">
                Whom
              </th>
              <th scope="col" className="py-1 pr-3 font-normal">
                What
              </th>
              <th scope="col" className="py-1 text-right font-normal">
                From, to
              </th>
            </tr>
          </thead>
          <tbody>
            {kind.seen.map((s) => (
              <tr key={s.animal + s.part + s.state} className="rule-b align-top">
                <td className="py-1.5 pr-3">{capital(s.animal)}</td>
                <td className="py-1.5 pr-3">
                  {s.state} {s.part}
                  <span className="block text-sm text-faded">
                    {s.signs} {s.source}; {s.sure}.
                  </span>
                </td>
                <td className="figures py-1.5 text-right whitespace-nowrap">
                  {s.least} to {s.most} %
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

function Reckon({ kind, imperial }: { kind: Schemas["StockKindView"]; imperial: boolean }) {
  const { unit: mass, grams: gramsOfOne } = massUnit(imperial);
  const thick = imperial ? "in" : "cm";
  const [own, setTyped] = useState<Own>(() => kept(gramsOfOne) ?? { animal: "cattle", number: "6", each: usualMass("cattle", imperial) });
  const [diameter, setDown] = useState("");
  const reckon = useMutation({
    mutationFn: (query: { number: number; grams: number; diameter?: number }) =>
      unwrap(client.GET("/api/stock/reckon", { params: { query: { taxon: kind.taxon, animal: own.animal, ...query } } })),
  });
  // what was reckoned holds for what was typed then, and for nothing else
  const setOwn = (next: Own) => {
    setTyped(next);
    reckon.reset();
  };
  const setDiameter = (next: string) => {
    setDown(next);
    reckon.reset();
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const [number, each, down] = [parseDecimal(own.number), parseDecimal(own.each), parseDecimal(diameter, thick)];
    if (number === null || each === null) return;
    const keep: Kept = { animal: own.animal, number: own.number, grams: each * gramsOfOne };
    localStorage.setItem(HERD, JSON.stringify(keep));
    reckon.mutate({
      number: Math.round(number),
      grams: each * gramsOfOne,
      ...(down !== null && { diameter: down * (imperial ? 25.4 : 10) }),
    });
  };
  return (
    <section aria-label="Your animals">
      <h2 className="border-b border-ink pb-1 text-lg">Your animals</h2>
      <Grazing
        onChoose={(pasture) =>
          setOwn({ animal: pasture.animal, number: String(pasture.number), each: String(Number((pasture.grams / gramsOfOne).toPrecision(4))) })
        }
      />
      <form onSubmit={submit} className="mt-3 space-y-3">
        <Choice
          label="Which"
          value={own.animal}
          options={ANIMALS.map((value) => ({ value, label: value }))}
          onChange={(animal) => setOwn({ ...own, animal, each: usualMass(animal, imperial) })}
        />
        <div className="grid grid-cols-2 gap-3">
          <Field label="How many">
            <NumberInput name="number" required value={own.number} onChange={(e) => setOwn({ ...own, number: e.target.value })} />
          </Field>
          <Field label={`One weighs, ${mass}`}>
            <NumberInput name="each" required value={own.each} onChange={(e) => setOwn({ ...own, each: e.target.value })} />
          </Field>
        </div>
        <Field label={`What came down, ${thick} thick`} hint="The trunk at 1.3 m, or the limb at its foot; empty where nothing did. In full leaf.">
          <NumberInput unit={thick} name="diameter" value={diameter} onChange={(e) => setDiameter(e.target.value)} />
        </Field>
        {reckon.error && <Trouble error={reckon.error} />}
        <Button type="submit" tone="ink" className="w-full" disabled={reckon.isPending}>
          Reckon
        </Button>
      </form>
      {reckon.data && <Found found={reckon.data} animal={own.animal} number={Number(own.number)} imperial={imperial} />}
    </section>
  );
}

/** The herds of one's own pastures, in one press. */
function Grazing({ onChoose }: { onChoose: (pasture: Schemas["PastureView"]) => void }) {
  const pastures = useQuery(pasturesQuery()).data?.pastures ?? [];
  if (pastures.length === 0) return null;
  return (
    <p className="mt-2 flex flex-wrap gap-1.5">
      {pastures.map((p) => (
        <Button key={p.id} onClick={() => onChoose(p)}>
          {p.name}: {p.number} {OF_THEM[p.animal]}
        </Button>
      ))}
    </p>
  );
}

function Found({ found, animal, number, imperial }: { found: Schemas["ReckonedView"]; animal: Animal; number: number; imperial: boolean }) {
  const { leafLeast, leaf, leafMost } = found;
  return (
    <div role="status" className="mt-4 space-y-3 border-2 border-ink bg-sheet p-3" data-reckoned>
      {leaf != null && leafLeast != null && leafMost != null && (
        <p>
          It carries about <strong>{amountWords(leaf, imperial)}</strong> of fresh leaf; nine times of ten more than{" "}
          {amountWords(leafLeast, imperial)} and less than {amountWords(leafMost, imperial)}. Wilting, it gets lighter and no less harmful.
        </p>
      )}
      {found.reach.length === 0 && (
        <p className="font-semibold">With how much {OF_THEM[animal]} come to harm is not on record. That is no proof: keep them off it.</p>
      )}
      {found.reach.map((r) => (
        <div key={r.seen.part + r.seen.state}>
          <p>
            <strong>
              {amountWords(r.from, imperial)} to {amountWords(r.to, imperial)}
            </strong>{" "}
            of {r.seen.state} {r.seen.part} harmed {ONE_OF[animal]} of that mass where it was seen{bucketWords(r.buckets, imperial)}
            {branchWords(r.branches, imperial)}.
          </p>
          {r.few != null && r.many != null && <p className="mt-1 text-lg font-bold text-berry">{herdWords(r.few, r.many, number, animal)}</p>}
          <p className="mt-1 text-sm text-faded">
            {r.seen.signs} {r.seen.source}; {r.seen.sure}.
          </p>
        </div>
      ))}
      <p className="font-semibold">Less is not safe. The smallest amount on record is not the smallest that harms.</p>
    </div>
  );
}
