import type { Examination } from "../../api/client";
import { dayWords } from "../../words/text";
import { hour } from "./words";

/** On what an answer of this device rests: which edition, which flora, and when the server was last heard. */
export function FieldLine({ e }: { e: Examination }) {
  if (!e.field) return null;
  const { at, until, edition, hash, engine } = e.field;
  return (
    <p className="border-l-4 border-ink pl-2 text-sm" data-field-line>
      Reckoned on this device: flora edition {edition}, <span className="figures">{hash.slice(0, 12)}</span>, rules{" "}
      <span className="figures">{engine}</span>. Last word from the server: {dayWords(at.slice(0, 10))}, {hour(at)}, good until {dayWords(until)}. It
      asks the gate again when it hears of this.
    </p>
  );
}
