/** The rules of the server on this device: started once, a flora laid on when it is first asked for. */
import type { Asked, Told } from "./protocol";
import { file } from "./store";

type Question = Asked extends infer A ? (A extends Asked ? Omit<A, "id"> : never) : never;

let worker: Worker | null = null;
let number = 0;
const waiting = new Map<number, { resolve: (text: string) => void; reject: (error: Error) => void }>();
let started: Promise<void> | null = null;
const laid = new Map<string, Promise<void>>();

function ask(question: Question): Promise<string> {
  worker ??= begin();
  number += 1;
  const id = number;
  return new Promise((resolve, reject) => {
    waiting.set(id, { resolve, reject });
    worker?.postMessage({ ...question, id });
  });
}

function begin(): Worker {
  const made = new Worker("/rules.js", { type: "module" });
  made.onmessage = ({ data }: MessageEvent<Told>) => {
    const who = waiting.get(data.id);
    waiting.delete(data.id);
    if (data.fault === undefined) who?.resolve(data.text);
    else who?.reject(new Error(`The rules on this device failed: ${data.fault}`));
  };
  made.onerror = (event) => {
    const fault = new Error(`The rules cannot be started on this device: ${event.message || "the worker did not load."}`);
    for (const who of waiting.values()) who.reject(fault);
    waiting.clear();
    putAway();
  };
  return made;
}

/** Ends the worker: the next question starts it anew, with what is taken along then. */
export function putAway() {
  worker?.terminate();
  worker = null;
  started = null;
  laid.clear();
}

/** Starts the rules and lays a flora on, so that the first question need not wait. */
export async function ready(hash: string): Promise<void> {
  started ??= file("rules").then(async (rules) => {
    await ask({ do: "start", rules: await rules.text() });
  });
  await started;
  if (!laid.has(hash)) {
    laid.set(
      hash,
      file(`flora:${hash}`).then(async (packed) => {
        const plain = packed.stream().pipeThrough(new DecompressionStream("gzip"));
        await ask({ do: "lay", hash, packed: await new Response(plain).arrayBuffer() });
      }),
    );
  }
  await laid.get(hash);
}

export type Answer = { status: number; body: unknown };

/** @param request with the hash of the flora; what is asked stands with the PHP that answers, App\Field\FieldDesk */
export async function answer(request: { flora: string } & Record<string, unknown>): Promise<Answer> {
  try {
    await ready(request.flora);
    return JSON.parse(await ask({ do: "answer", request: JSON.stringify(request) })) as Answer;
  } catch (error) {
    putAway();
    throw error;
  }
}
