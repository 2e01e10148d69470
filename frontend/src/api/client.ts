import createClient from "openapi-fetch";
import type { FieldWord } from "../field/desk";
import type { components, paths } from "./schema";

export type Schemas = components["schemas"];
/** With what an answer rests on, where it was given out of the server's reach. */
export type Examination = Schemas["ExaminationView"] & { field?: FieldWord };
export type Assessment = Schemas["AssessmentView"];
export type Flora = Schemas["FloraView"];
export type Character = Schemas["CharacterView"];
export type Score = Schemas["ScoreView"];
export type Session = Schemas["SessionView"];

/** What the server would not do, in its own words. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly fields: Record<string, string>,
  ) {
    super(message);
  }
}

const isTakenAlong = () => localStorage.getItem("taken-along") !== null;

/** Asks the server, or where it is out of reach and something was taken along, this device. Nothing of it is loaded before. */
export const ask = async (request: Request): Promise<Response> =>
  isTakenAlong() ? (await import("../field/fetch")).fieldFetch(request) : globalThis.fetch(request);

export const client = createClient<paths>({
  baseUrl: window.location.origin,
  headers: { Accept: "application/json" },
  fetch: ask,
});
// not where something is only read: what the page's head asks for ahead is taken for the same question
client.use({
  onRequest: ({ request }) => {
    if (request.method !== "GET") request.headers.set("X-CSRF-Token", "csrf-token");
    return undefined;
  },
});

type Answer<T> = { data?: T; error?: unknown; response: Response };

/** The data, or a Problem. */
export async function unwrap<T>(answer: Promise<Answer<T>>): Promise<T> {
  let got: Answer<T>;
  try {
    got = await answer;
  } catch {
    throw new Problem(0, "The server cannot be reached. What you entered is not stored yet; try again.", {});
  }
  if (got.response.ok && got.data !== undefined) return got.data;
  const problem = (got.error ?? {}) as Partial<Schemas["Problem"]>;
  const fields = Object.fromEntries((problem.violations ?? []).map((v) => [v.propertyPath, v.title]));
  throw new Problem(got.response.status, problem.detail || `The server answered ${got.response.status}.`, fields);
}
