import { useState } from "react";
import { Link } from "react-router";
import { useSession } from "../../api/queries";
import { dayWords } from "../../words/text";
import { AddPicture } from "../pictures/pictures";
import { useBench } from "./bench";

/** What was put on record: decisions and harvests. */
export function OnRecord() {
  const { e } = useBench();
  if (e.decisions.length === 0 && e.harvests.length === 0 && e.handedOver.length === 0 && !e.reconsideredBecause) return null;
  return (
    <section aria-label="On record" className="max-wide:mt-4">
      <h2 className="border-b border-ink text-base">On record</h2>
      <ul className="text-sm">
        {e.handedOver.map((h) => (
          <li key={`${h.name}${h.on}${h.scores}`} className="rule-b py-1">
            Begun by <strong>{h.name}</strong>, handed over on {dayWords(h.on)} with {h.scores} scored.
          </li>
        ))}
        {e.reconsideredBecause && (
          <li className="rule-b py-1">
            <strong>Conclusion taken back.</strong> {e.reconsideredBecause}
          </li>
        )}
        {e.harvests.map((h) => (
          <li key={h.id} className="rule-b py-1">
            <strong>{h.amount}</strong> of {h.part} taken {dayWords(h.takenOn)} by {h.takenBy}, {h.shareLeft} % left.{" "}
            <Link className="underline" to={`/species/${h.taxon}?flora=${h.flora}`}>
              To the species page
            </Link>
            <HarvestPicture harvest={h.id} />
          </li>
        ))}
        {e.decisions.map((d) => (
          <li key={d.id} className="rule-b py-1">
            <Link className="underline" to={`/decisions/${d.id}`}>
              {dayWords(d.decidedOn)}
            </Link>
            : <strong>{d.answer}</strong>
            {d.validUntil ? ` until ${dayWords(d.validUntil)}` : ""}. <span className="text-faded">{d.because}</span>
          </li>
        ))}
      </ul>
      {e.signed && (
        <a href={`/api/examinations/${e.id}/document`} download className="inline-flex min-h-11 items-center text-sm underline">
          This examination as a document (JSON)
        </a>
      )}
    </section>
  );
}

/** A picture of what was taken; it is looked at on the page of the tree. */
function HarvestPicture({ harvest }: { harvest: string }) {
  const [kept, setKept] = useState(0);
  const role = useSession().data?.user?.role;
  if (role === "guest") return null;
  return (
    <>
      <AddPicture of={{ harvest }} label="Picture of it" onAdded={() => setKept(kept + 1)} />
      {kept > 0 && <span role="status">{kept === 1 ? "One picture" : `${kept} pictures`} kept; on the page of the tree.</span>}
    </>
  );
}
