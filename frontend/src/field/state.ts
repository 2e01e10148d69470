/** How this device stands to the server, for whoever shows it: in reach or not, and what waits. */
export type Standing = { away: boolean; waiting: number; refused: number; handedIn: number; signedOut: boolean };

let standing: Standing = { away: false, waiting: 0, refused: 0, handedIn: 0, signedOut: false };
const listeners = new Set<() => void>();

export const now = (): Standing => standing;
export function set(change: Partial<Standing>) {
  const next = { ...standing, ...change };
  if ((Object.keys(next) as (keyof Standing)[]).every((key) => next[key] === standing[key])) return;
  standing = next;
  for (const tell of listeners) tell();
}
export function listen(tell: () => void): () => void {
  listeners.add(tell);
  return () => listeners.delete(tell);
}
