import { ask, Problem, type Schemas } from "../../api/client";

export type Of =
  | { tree: string }
  | { score: string }
  | { examination: string }
  | { harvest: string }
  | { batch: string }
  | { permission: string }
  | { sign: string };

/** Sends the file itself: the server draws it anew, and what the camera wrote beside it stays behind. */
export async function addPicture(of: Of, file: Blob, caption: string, takenOn: string | null): Promise<Schemas["PictureView"]> {
  const query = new URLSearchParams({ ...of, ...(caption && { caption }), ...(takenOn && { takenOn }) });
  let response: Response;
  try {
    response = await ask(
      new Request(new URL(`/api/pictures?${query}`, window.location.origin), {
        method: "POST",
        body: file,
        headers: { "X-CSRF-Token": "csrf-token", Accept: "application/json", "Content-Type": file.type || "application/octet-stream" },
      }),
    );
  } catch {
    throw new Problem(0, "The server cannot be reached. The picture is not stored yet; try again.", {});
  }
  const answer = (await response.json().catch(() => ({}))) as unknown;
  if (response.ok) return answer as Schemas["PictureView"];
  const problem = answer as Partial<Schemas["Problem"]>;
  throw new Problem(response.status, problem.detail?.replace(/^file: /, "") || `The server answered ${response.status}.`, {});
}
