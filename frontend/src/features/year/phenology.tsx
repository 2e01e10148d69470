import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { phenologyQuery } from "../../api/queries";
import { Loading, Sideways, Trouble } from "../../ui/controls";
import { PageHead } from "../../ui/page-head";
import { capital } from "../../words/text";
import { trendWords } from "../../words/year";

/** What came when, by kind and place, over the years. */
export default function Phenology() {
  const log = useQuery(phenologyQuery);
  if (log.isPending) return <Loading what="the log" />;
  if (log.isError)
    return (
      <div className="p-5">
        <Trouble error={log.error} retry={() => void log.refetch()} />
      </div>
    );
  const years = [...new Set(log.data.flatMap((r) => r.days.map((d) => d.slice(0, 4))))].sort().reverse().slice(0, 8);
  return (
    <div className="mx-auto max-w-6xl px-4 py-5 wide:px-6">
      <PageHead title="What came when" lead="The days on which something of the year was seen, by kind and place: the mean of the trees." />
      <Link to="/year" className="inline-flex min-h-11 items-center underline">
        To the year
      </Link>
      {log.data.length === 0 ? (
        <p className="py-3 text-faded">Nothing is dated yet. On the page of a tree two presses do it: what came, and today.</p>
      ) : (
        <Sideways label="What came when">
          <table className="w-full text-left">
            <thead>
              <tr className="border-b border-ink">
                <th className="py-1 pr-3">Kind</th>
                <th className="pr-3">Place</th>
                <th className="pr-3">What</th>
                {years.map((year) => (
                  <th key={year} className="pr-3">
                    {year}
                  </th>
                ))}
                <th>Trend</th>
              </tr>
            </thead>
            <tbody>
              {log.data.map((row) => (
                <tr key={row.taxon + row.site + row.event} className="rule-b align-top">
                  <th scope="row" className="py-1 pr-3 font-semibold">
                    {capital(row.commonName)}
                  </th>
                  <td className="pr-3">{row.site}</td>
                  <td className="pr-3">{row.words}</td>
                  {years.map((year) => {
                    const day = row.days.find((d) => d.startsWith(year));
                    return (
                      <td key={year} className="figures pr-3 whitespace-nowrap">
                        {day ? new Date(`${day}T12:00:00Z`).toLocaleDateString("en-GB", { day: "numeric", month: "short", timeZone: "UTC" }) : "–"}
                      </td>
                    );
                  })}
                  <td className="figures text-sm">{trendWords(row.trend ?? null, row.trendSpread ?? null)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </Sideways>
      )}
    </div>
  );
}
