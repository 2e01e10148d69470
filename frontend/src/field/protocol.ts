/** What is asked of the rules in their worker, and what comes back. */
export type Asked =
  | { id: number; do: "start"; rules: string }
  | { id: number; do: "lay"; hash: string; packed: ArrayBuffer }
  | { id: number; do: "answer"; request: string };

export type Told = { id: number; text: string; fault?: undefined } | { id: number; fault: string; text?: undefined };
