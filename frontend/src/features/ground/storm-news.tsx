import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { stormsQuery, useSession } from "../../api/queries";
import { gustWords, wayWords } from "../../words/ground";
import { dayWords } from "../../words/text";

/** What a storm left to do, on today’s page: nothing at all on most days. */
export function StormNews() {
  const imperial = useSession().data?.user?.units === "imperial";
  const storms = useQuery({ ...stormsQuery, staleTime: 60_000 });
  const alarms = storms.data?.walks.filter((w) => w.alarms > 0) ?? [];
  const waiting = storms.data?.waiting ?? [];
  const left = storms.data?.walks.filter((w) => w.left > 0 && w.alarms === 0).slice(0, 2) ?? [];
  if (alarms.length + waiting.length + left.length === 0) return null;
  return (
    <section aria-labelledby="storm-news" className={`border-l-4 pl-3 ${alarms.length + waiting.length > 0 ? "border-berry" : "border-ochre"}`}>
      <h2 id="storm-news" className="text-lg">
        After the storm
      </h2>
      <ul>
        {alarms.map((w) => (
          <li key={w.id}>
            <Link to={`/storms/${w.id}`} className="inline-flex min-h-11 items-center font-bold text-berry underline underline-offset-4">
              {w.site}: {w.alarms === 1 ? "something lies" : `${w.alarms} things lie`} where animals get at it
            </Link>
          </li>
        ))}
        {waiting.map((g) => (
          <li key={g.siteId}>
            <Link to="/storms" className="inline-flex min-h-11 items-center font-bold underline underline-offset-4">
              {g.site}: {gustWords(g.gust, imperial)} on {dayWords(g.day)}. {g.trees} trees to go to, {wayWords(g.seconds)}
            </Link>
          </li>
        ))}
        {left.map((w) => (
          <li key={w.id}>
            <Link to={`/storms/${w.id}`} className="inline-flex min-h-11 items-center underline underline-offset-4">
              {w.site}: {w.left} {w.left === 1 ? "tree" : "trees"} not looked at since {dayWords(w.blewAt.slice(0, 10))}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
