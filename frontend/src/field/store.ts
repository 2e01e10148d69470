/** What this device has taken along, and what was entered on it that has not arrived yet. Survives restarts. */
import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import type { Examination, Schemas } from "../api/client";

export type LastWord = { at: string; until: string };
/** Something laid on an examination, as App\Field\FieldExamination takes it. */
export type Entry =
  | { do: "score"; body: unknown; at: string }
  | { do: "take-back" | "restore"; score: string; at: string }
  | { do: "change"; body: unknown; at: string }
  | { do: "sign"; at: string }
  | { do: "harvest"; body: unknown; at: string };

export type Taken = Omit<Schemas["TakenExaminationView"], "view"> & { view: Examination; flora: string; lastWord: LastWord; entries: Entry[] };
/** Something to be sent, in the order it was entered. */
export type Waiting = {
  seq?: number;
  /** Sent with it, so that it is done once however often it is sent. */
  key: string;
  person: string;
  method: string;
  url: string;
  body: string | Blob | null;
  type: string;
  at: string;
  /** In words, for whoever looks what waits. */
  what: string;
  /** The tree it is about. */
  tag: string;
  /** The examination it is laid on; what depends on a refused entry is held back. */
  examination: string;
  /** Why the server would not take it; it waits for somebody to decide. */
  refused?: string;
};
export type Along = {
  at: string;
  until: string;
  person: string;
  as: Schemas["ExaminerRole"];
  engine: string;
  floras: Schemas["PackedFloraView"][];
  places: Schemas["TakenPlaceView"][];
  /** This device's clock when it was taken along, in milliseconds: the school's time goes on from there. */
  clock: number;
  bytes: number;
};

interface Field extends DBSchema {
  along: { key: "along"; value: Along };
  files: { key: string; value: { name: string; stamp: string; content: Blob } };
  answers: { key: string; value: string };
  trees: { key: string; value: Schemas["SpecimenView"] };
  examinations: { key: string; value: Taken };
  waiting: { key: number; value: Waiting };
}

const FLAG = "taken-along";
let opened: Promise<IDBPDatabase<Field>> | null = null;

export function db(): Promise<IDBPDatabase<Field>> {
  opened ??= openDB<Field>("hylognosis", 1, {
    upgrade(made) {
      made.createObjectStore("along");
      made.createObjectStore("files", { keyPath: "name" });
      made.createObjectStore("answers");
      made.createObjectStore("trees", { keyPath: "id" });
      made.createObjectStore("examinations");
      made.createObjectStore("waiting", { keyPath: "seq", autoIncrement: true });
    },
  });
  return opened;
}

/** Whether anything was taken along: asked at every request, so it is answered without the database. */
export const isTaken = (): boolean => localStorage.getItem(FLAG) !== null;
export const along = async (): Promise<Along | undefined> => (isTaken() ? (await db()).get("along", "along") : undefined);

export async function file(name: string): Promise<Blob> {
  const kept = await (await db()).get("files", name);
  if (!kept) throw new Error(`“${name}” was not taken along.`);
  return kept.content;
}

export const waitingEntries = async (): Promise<Waiting[]> => (isTaken() ? (await db()).getAll("waiting") : []);

/** Everything but what waits is laid down together: all of it, or what was there before. */
export async function keep(
  what: { along: Along; files: Map<string, { stamp: string; content: Blob }>; answers: Map<string, string> } & {
    trees: Schemas["SpecimenView"][];
    examinations: Map<string, Taken>;
  },
) {
  const store = await db();
  const tx = store.transaction(["along", "files", "answers", "trees", "examinations"], "readwrite");
  await together(tx, [
    () => tx.objectStore("along").put(what.along, "along"),
    ...(["files", "answers", "trees", "examinations"] as const).map((name) => () => tx.objectStore(name).clear()),
    ...[...what.files].map(
      ([name, { stamp, content }]) =>
        () =>
          tx.objectStore("files").put({ name, stamp, content }),
    ),
    ...[...what.answers].map(
      ([url, text]) =>
        () =>
          tx.objectStore("answers").put(text, url),
    ),
    ...what.trees.map((tree) => () => tx.objectStore("trees").put(tree)),
    ...[...what.examinations].map(
      ([id, taken]) =>
        () =>
          tx.objectStore("examinations").put(taken, id),
    ),
  ]);
  localStorage.setItem(FLAG, what.along.until);
}

/** All of it, or nothing. */
export async function together(tx: { done: Promise<unknown>; abort: () => void }, writes: (() => Promise<unknown>)[]) {
  const begun: Promise<unknown>[] = [tx.done];
  try {
    for (const write of writes) begun.push(write());
    await Promise.all(begun);
  } catch (error) {
    try {
      tx.abort();
    } catch {
      // it has ended already, with nothing stored
    }
    await Promise.allSettled(begun);
    throw error;
  }
}

/** An entry and the request that will carry it, together: neither is ever there without the other. */
export async function enter(id: string, taken: Taken, waiting: Waiting | null) {
  const tx = (await db()).transaction(["examinations", "waiting"], "readwrite");
  await together(tx, [() => tx.objectStore("examinations").put(taken, id), ...(waiting ? [() => tx.objectStore("waiting").add(waiting)] : [])]);
}

/** Puts everything down again. What waits to be sent goes with it: ask before. */
export async function putDown() {
  const store = await db();
  const names = ["along", "files", "answers", "trees", "examinations", "waiting"] as const;
  const tx = store.transaction(names, "readwrite");
  await Promise.all([...names.map((name) => tx.objectStore(name).clear()), tx.done]);
  localStorage.removeItem(FLAG);
}

/** At sign-out. Whether it was put down. */
export async function putDownUnlessWaiting(): Promise<boolean> {
  if (!isTaken() || (await waitingEntries()).length > 0) return false;
  await putDown();
  return true;
}
