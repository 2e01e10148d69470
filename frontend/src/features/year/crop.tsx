import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { client, type Schemas, unwrap } from "../../api/client";
import { newId } from "../../api/id";
import { treeCropsQuery, useSession } from "../../api/queries";
import { Button, Field, fieldClass, Loading, Trouble } from "../../ui/controls";
import { cropAmountWords, GRADE, GRADES, pointWords, rivalWords, soundWords } from "../../words/crop";
import { capital } from "../../words/text";
import { windowWords } from "../../words/year";

type Crop = Schemas["CropView"];
type Note = Schemas["NewCropNote"];

/** So long before it is ripe something can be seen hanging. */
const SOON = 120;

/** What may be expected of a tree's crops, what speaks for it and against it, and what hung on it. */
export function Crops({ id, mayAdd }: { id: string; mayAdd: boolean }) {
  const crops = useQuery(treeCropsQuery(id));
  const session = useSession().data;
  const today = session?.today ?? "";
  const { note, takeBack } = useCropNotes(id);
  if (crops.isPending) return <Loading what="its crops" />;
  if (crops.isError) return <Trouble error={crops.error} retry={() => void crops.refetch()} />;
  const { crops: told, notes } = crops.data;
  const error = note.error ?? takeBack.error;
  return (
    <div className="py-2">
      {told.length === 0 && (
        <p className="text-faded">
          Nothing is expected: nobody has said what kind it is, its kind is doubted or covered, or it bears nothing that is taken here.
        </p>
      )}
      {told.map((crop) => (
        <CropOfPart
          key={crop.part}
          crop={crop}
          today={today}
          imperial={session?.user?.units === "imperial"}
          {...(mayAdd && { onNote: (body: Omit<Note, "id">) => note.mutate({ id: newId(), ...body }), busy: note.isPending })}
        />
      ))}
      {error && <Trouble error={error} />}
      {notes.length > 0 && (
        <details className="mt-2">
          <summary className="min-h-11 content-center">What hung on it: {notes.length === 1 ? "one year" : `${notes.length} notes`}</summary>
          <ul>
            {notes.map((n) => (
              <li key={n.id} className="rule-b flex flex-wrap items-center justify-between gap-x-3 py-1">
                <span>
                  {n.year}: {n.label}, {GRADE[n.grade]}
                  {n.opened > 0 && `, ${n.sound} of ${n.opened} sound`} <span className="text-sm text-faded">({n.by})</span>
                </span>
                {n.mayTakeBack && (
                  <Button aria-label={`Take back: ${n.label}, ${n.year}`} disabled={takeBack.isPending} onClick={() => takeBack.mutate(n.id)}>
                    Take back
                  </Button>
                )}
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}

/** Notes what hangs on a tree, or takes it back. */
export function useCropNotes(tree: string) {
  const queries = useQueryClient();
  const kept = (view: Schemas["TreeCropView"]) => {
    queries.setQueryData(treeCropsQuery(tree).queryKey, view);
    void queries.invalidateQueries({ queryKey: ["plan"] });
  };
  const note = useMutation({
    mutationFn: (body: Note) => unwrap(client.POST("/api/specimens/{id}/crops", { params: { path: { id: tree } }, body })),
    onSuccess: kept,
  });
  const takeBack = useMutation({
    mutationFn: (of: string) => unwrap(client.DELETE("/api/crop-notes/{id}", { params: { path: { id: of } } })),
    onSuccess: kept,
  });
  return { note, takeBack };
}

function CropOfPart({
  crop,
  today,
  imperial,
  onNote,
  busy = false,
}: {
  crop: Crop;
  today: string;
  imperial: boolean;
  onNote?: (body: Omit<Note, "id">) => void;
  busy?: boolean;
}) {
  const near = crop.window && (Date.parse(crop.window.from.likely) - Date.parse(today)) / 86_400_000 <= SOON;
  const sides = [
    ["For it", 1],
    ["Against it", -1],
    ["Not known", 0],
  ] as const;
  return (
    <article className="border-b border-rule pb-3" data-crop={crop.part}>
      <h3 className="pt-2 font-bold">
        {capital(crop.label)} of {crop.year}
      </h3>
      <Chances crop={crop} />
      <p>
        {cropAmountWords(crop)} {soundWords(crop)}
      </p>
      <p className="text-sm text-faded">
        {windowWords(crop.window ?? null, today)} {rivalWords(crop)}
      </p>
      <dl className="mt-1 grid grid-cols-[6rem_1fr] gap-y-1 text-sm">
        {sides.map(([name, speaks]) => {
          const points = crop.points.filter((p) => p.speaks === speaks);
          return (
            points.length > 0 && (
              <div key={name} className="contents">
                <dt className="text-faded">{name}</dt>
                <dd>
                  <ul>
                    {points.map((p) => (
                      <li key={p.kind}>{pointWords(p, imperial)}</li>
                    ))}
                  </ul>
                </dd>
              </div>
            )
          );
        })}
      </dl>
      {onNote && (
        <>
          {near && (
            <GradeButtons
              label={`How much of it hangs there this year? ${capital(crop.label)}`}
              pressed={crop.seen ?? null}
              busy={busy}
              onGrade={(grade) => onNote({ part: crop.part, year: crop.year, grade, opened: 0, sound: 0 })}
            />
          )}
          <Counted crop={crop} today={today} busy={busy} onNote={onNote} />
        </>
      )}
    </article>
  );
}

/** One press: how much hangs there. */
export function GradeButtons(p: {
  label: string;
  pressed: Schemas["CropGrade"] | null;
  busy: boolean;
  onGrade: (grade: Schemas["CropGrade"]) => void;
}) {
  return (
    <fieldset className="mt-2">
      <legend className="text-sm">{p.label}</legend>
      <div className="flex flex-wrap gap-2 pt-1">
        {GRADES.map((grade) => (
          <Button key={grade} aria-pressed={p.pressed === grade} disabled={p.busy} onClick={() => p.onGrade(grade)}>
            {capital(GRADE[grade])}
          </Button>
        ))}
      </div>
    </fieldset>
  );
}

/** Another year, or with a count of sound ones. */
function Counted({ crop, today, busy, onNote }: { crop: Crop; today: string; busy: boolean; onNote: (body: Omit<Note, "id">) => void }) {
  const [year, setYear] = useState(String(Math.min(crop.year, Number(today.slice(0, 4)))));
  const [grade, setGrade] = useState<Schemas["CropGrade"]>("fair");
  const [counts, setCounts] = useState({ opened: "", sound: "" });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    onNote({ part: crop.part, year: Number(year), grade, opened: Number(counts.opened || 0), sound: Number(counts.sound || 0) });
    setCounts({ opened: "", sound: "" });
  };
  return (
    <details className="mt-1">
      <summary className="min-h-11 content-center text-sm">Note another year, or what was sound</summary>
      <form onSubmit={submit} className="flex flex-wrap items-end gap-2">
        <div className="w-24">
          <Field label="Year">
            <input
              className={fieldClass}
              type="number"
              name={`crop-year-${crop.part}`}
              required
              value={year}
              onChange={(e) => setYear(e.target.value)}
            />
          </Field>
        </div>
        <div className="w-28">
          <Field label="The crop was">
            <select className={fieldClass} value={grade} onChange={(e) => setGrade(e.target.value as Schemas["CropGrade"])}>
              {GRADES.map((g) => (
                <option key={g} value={g}>
                  {GRADE[g]}
                </option>
              ))}
            </select>
          </Field>
        </div>
        {(
          [
            ["opened", "Cut open"],
            ["sound", "Sound"],
          ] as const
        ).map(([key, label]) => (
          <div key={key} className="w-24">
            <Field label={label}>
              <input
                className={fieldClass}
                type="number"
                min="0"
                name={`crop-${key}-${crop.part}`}
                value={counts[key]}
                onChange={(e) => setCounts({ ...counts, [key]: e.target.value })}
              />
            </Field>
          </div>
        ))}
        <Button type="submit" disabled={busy}>
          Keep it
        </Button>
      </form>
    </details>
  );
}

const [WIDE, HIGH] = [320, 34];
/** How full a fruit is drawn, by grade: told apart in grey, too. */
const FULL: Record<Schemas["CropGrade"], number> = { none: 0, poor: 0.45, fair: 0.7, good: 1 };

/** Twenty fruits on a twig, as many of each size as so large a crop is likely. */
function Chances({ crop }: { crop: Crop }) {
  let sum = 0;
  const upTo = [...GRADES].reverse().map((grade) => {
    sum += crop.chances[grade] ?? 0;
    return [grade, sum] as const;
  });
  const words = [...GRADES]
    .reverse()
    .map((g) => `${GRADE[g]} ${crop.chances[g]}`)
    .join(", ");
  return (
    <div className="py-1">
      <svg viewBox={`0 0 ${WIDE} ${HIGH}`} className="h-9 w-80 max-w-full" role="img" aria-label={`Of a hundred such years: ${words}`}>
        <path d={`M0 6 Q ${WIDE / 2} -1 ${WIDE} 6`} fill="none" stroke="var(--ink)" strokeWidth="2" />
        {Array.from({ length: 20 }, (_, i) => {
          const grade = upTo.find(([, to]) => to >= 5 * i + 2.5)?.[0] ?? "none";
          const [x, y] = [8 + i * 16, 20];
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: a fruit is where it hangs
            <g key={i} stroke="var(--ink)" strokeWidth="1">
              <path d={`M${x} 4 V${y - 6}`} fill="none" />
              {grade === "none" ? (
                <path d={`M${x - 2} ${y - 6} h4`} />
              ) : (
                <circle
                  cx={x}
                  cy={y}
                  r={7 * FULL[grade]}
                  fill={grade === "poor" ? "var(--sheet)" : grade === "fair" ? "var(--rule)" : "var(--ink)"}
                />
              )}
            </g>
          );
        })}
      </svg>
      <p className="figures text-sm text-faded" aria-hidden="true">
        Of a hundred such years: {words}
      </p>
    </div>
  );
}
