import { Link } from "react-router";
import { Button, Trouble } from "../../ui/controls";
import { STATION } from "../../words/stations";
import { dayWords } from "../../words/text";
import { useBench } from "./bench";
import { Question } from "./question";
import { StationList } from "./stations";

/** The tree, the station, and its questions. */
export function LookPane() {
  const { e, locked, error, table, list, asked, move } = useBench();
  return (
    <div className={`min-w-0 wide:flex wide:flex-col wide:overflow-y-auto ${table.pane === "look" ? "" : "max-wide:hidden"}`} data-pane="look">
      <div className="rule-b flex flex-wrap items-center justify-between gap-x-3 gap-y-1 px-3 py-1.5">
        <p className="min-w-0 leading-tight">
          <Link to={`/trees/${e.specimen.id}`} className="font-bold underline">
            {e.specimen.tag}
          </Link>{" "}
          {e.specimen.site.name}
          <span className="block text-sm text-faded">
            {dayWords(e.date)}, {e.stage} tree, {e.mine ? "you" : e.examiner.name}
            {e.secondOf ? ", second look" : ""}
            {e.signed ? ", signed" : ""}
            {e.dateReason ? `, ${e.dateReason}` : ""}
          </span>
        </p>
        {!locked && (
          <div className="flex flex-wrap gap-1.5">
            <Button tone="ink" onClick={() => move({ do: "round", all: false })}>
              Round the tree
            </Button>
            <Button onClick={() => move({ do: "ask", dialog: "settings" })}>Tree and kit</Button>
            {!e.hopeCovered && (
              <Button onClick={() => move({ do: "ask", dialog: "claim" })}>{asked ? "Ask for another part" : "Ask for a part"}</Button>
            )}
          </div>
        )}
      </div>
      <nav aria-label="Stations" className="rule-b wide:hidden">
        <StationList strip />
      </nav>
      {error && (
        <div className="p-3">
          <Trouble error={error} />
        </div>
      )}
      <h2 className="px-3 pt-3 pb-1 text-lg">{STATION[table.organ].name}</h2>
      {list.length === 0 && <p className="px-3 py-2 text-faded">Nothing to be seen here at this time of year, as far as this flora knows.</p>}
      {list.map((character) => (
        <Question key={character.id} character={character} />
      ))}
      <Asleep />
      <div className="h-32 shrink-0 wide:h-6" />
    </div>
  );
}

/** What this station cannot show on that day, and from when on it can: it is not forgotten, it sleeps. */
function Asleep() {
  const { e, table, characters } = useBench();
  const here = e.asleep.filter((a) => characters.get(a.character)?.organ === table.organ && !e.inSight.includes(a.character));
  if (here.length === 0) return null;
  return (
    <section aria-label="Asleep" className="px-3 py-2 text-sm text-faded" data-asleep>
      <h3 className="font-semibold">Asleep on this day</h3>
      <ul>
        {here.map((a) => (
          <li key={a.character} className="rule-b flex justify-between gap-3 py-1">
            <span>{characters.get(a.character)?.label}</span>
            <span>from about {dayWords(a.wakes)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
