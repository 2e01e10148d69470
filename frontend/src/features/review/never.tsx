import type { Schemas } from "../../api/client";
import { dayWords } from "../../words/text";

type Line = Schemas["NeverView"];

/** One line of what a kind never shows, and who has read it. */
export function NeverLine({ line }: { line: Line }) {
  return (
    <>
      <p className={line.doubted ? "line-through decoration-berry" : ""}>
        <strong>{line.forbids}</strong>. {line.reason} <span className="text-sm text-faded">({line.sure})</span>
      </p>
      <Readers line={line} />
    </>
  );
}

function Readers({ line }: { line: Line }) {
  if (line.reviews.length === 0) return <p className="text-sm font-semibold text-ochre print:hidden">Read by its author only.</p>;
  return (
    <ul className="text-sm">
      {line.doubted && <li className="font-semibold text-berry">Doubted: it excludes nothing until that is settled.</li>}
      {line.reviews.map((r) => (
        <li key={`${r.who}${r.on}${r.verdict}`} className="text-faded">
          {r.who}, {dayWords(r.on)}: {r.verdict === "agreed" ? "agrees" : "doubts it"}
          {r.note && `. “${r.note}”`}
        </li>
      ))}
    </ul>
  );
}
