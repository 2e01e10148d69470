import type { Schemas } from "../../api/client";
import { Swallowed } from "../../ui/swallowed";
import { ARBORIST, COUNT, gapWords, mayFall, reasonWords, SETTLED, SHEET } from "../../words/ground";
import { dayWords } from "../../words/text";

type Survey = Schemas["SurveyView"];
const SHEETS = Object.keys(SHEET) as Schemas["Sheet"][];

/** Three sheets of one walk, each on a page of its own when printed. */
export function Sheets({ walk, month }: { walk: Survey; month: string }) {
  return (
    <>
      {SHEETS.map((sheet) => (
        <OneSheet key={sheet} walk={walk} sheet={sheet} month={month} />
      ))}
    </>
  );
}

function OneSheet({ walk, sheet, month }: { walk: Survey; sheet: Schemas["Sheet"]; month: string }) {
  const rank = (t: Schemas["WalkedTreeView"]) =>
    Math.min(
      ...t.reasons
        .filter((r) => r.sheet === sheet)
        .map((r) => ({ deadly: 0, serious: 2, mild: 3, harmless: 4 })[r.severity ?? "harmless"] - (r.what === "unknown" ? 3 : 0)),
    );
  const trees = walk.trees.filter((t) => t.reasons.some((r) => r.sheet === sheet)).sort((a, b) => rank(a) - rank(b));
  return (
    <section aria-labelledby={`sheet-${sheet}`} className="mt-6 break-after-page first:mt-0 print:mt-0" data-sheet={sheet}>
      <h2 id={`sheet-${sheet}`} className="double-rule flex flex-wrap items-baseline justify-between gap-x-4 pb-1 text-xl">
        <span>
          {walk.site}: {SHEET[sheet].toLowerCase()}
        </span>
        <span className="text-sm font-normal">
          walked {dayWords(walk.on)}, due again {dayWords(walk.dueOn)}
        </span>
      </h2>
      {trees.length === 0 && <p className="py-2">Nothing of that was found.</p>}
      <table className="w-full text-left">
        <caption className="sr-only">{SHEET[sheet]}</caption>
        <thead className="text-sm text-faded">
          <tr>
            <th scope="col" className="w-36 py-1 pr-3 font-normal">
              Tree
            </th>
            <th scope="col" className="py-1 font-normal">
              What
            </th>
          </tr>
        </thead>
        <tbody>
          {trees.map((t) => (
            <tr key={t.tree} className="rule-b break-inside-avoid align-top">
              <th scope="row" className="py-1.5 pr-3 font-normal">
                <strong>{t.label}</strong>
                {t.isStand && <span className="block text-sm">{COUNT[t.count]}</span>}
                <span className="block text-sm">
                  {t.kind || <span className="text-ochre">{t.gap ? gapWords(t.gap, month) : "not settled"}</span>}
                </span>
                {t.kind && t.settled !== "examined" && <span className="block text-xs text-faded">{SETTLED[t.settled]}</span>}
                {t.look == null && <span className="block text-xs text-ochre">not come by on this walk</span>}
              </th>
              <td className="py-1.5">
                <ul>
                  {t.reasons
                    .filter((r) => r.sheet === sheet)
                    .map((r) => (
                      <li key={r.what + r.detail + r.severity} className={r.severity === "deadly" ? "font-bold text-berry" : ""}>
                        {reasonWords(r)}
                      </li>
                    ))}
                </ul>
                {sheet === "dangers" && mayFall(t.marks) && <p className="text-sm font-semibold">{ARBORIST}</p>}
                {t.note && <p className="text-sm">“{t.note}”</p>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Gaps walk={walk} month={month} />
      {sheet === "dangers" && <Swallowed />}
      {sheet === "materials" && (
        <p className="mt-2 text-sm">
          A list of what stands there, no leave to take: that is given tree by tree, by its examination, and by the owner.
        </p>
      )}
      {sheet === "keep" && <p className="mt-2 text-sm">What is protected, and how, local law says; ask before anything is cut.</p>}
    </section>
  );
}

/** What the walk does not know, said on each sheet. */
function Gaps({ walk, month }: { walk: Survey; month: string }) {
  const open = walk.trees.filter((t) => t.look != null && t.settled === "open");
  const left = walk.trees.filter((t) => t.look == null);
  if (open.length + left.length === 0) return null;
  return (
    <p className="mt-2 border-l-4 border-ochre pl-3 text-sm">
      <strong>Gaps.</strong>{" "}
      {open.length > 0 &&
        `Not settled: ${open.map((t) => `${t.label} (${gapWords(t.gap ?? "not-known", month).replace(": not settled", "")})`).join(", ")}. `}
      {left.length > 0 && `Not come by: ${left.map((t) => t.label).join(", ")}. `}
      What is not settled may be any tree.
    </p>
  );
}
