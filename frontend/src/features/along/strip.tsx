import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useSyncExternalStore } from "react";
import { Link } from "react-router";
import { listen, now } from "../../field/state";

export const useStanding = () => useSyncExternalStore(listen, now);
const entries = (n: number) => (n === 1 ? "one entry" : `${n} entries`);

/** One line above every page, only where there is something to say: out of reach, what waits, what was not taken. */
export function FieldStrip() {
  const { away, waiting, refused, signedOut } = useStanding();
  const queries = useQueryClient();
  useEffect(() => {
    if (localStorage.getItem("taken-along") === null) return;
    let stop = () => {};
    void Promise.all([import("../../field/fetch"), import("../../field/follow")]).then(([{ watch }, { onHandedIn }]) => {
      stop = onHandedIn(() => void queries.invalidateQueries());
      watch();
    });
    return () => stop();
  }, [queries]);
  if (!away && waiting === 0 && refused === 0) return null;
  return (
    <p
      role="status"
      className="flex flex-wrap items-center gap-x-3 border-b-2 border-ink bg-pressed px-3 text-sm print:hidden wide:px-5"
      data-field-strip
    >
      {away && <strong>The server is out of reach: this device goes on by itself.</strong>}
      {waiting > 0 && (
        <span>
          {entries(waiting)} {waiting === 1 ? "waits" : "wait"} here{signedOut ? " until you have signed in" : ""}.
        </span>
      )}
      {refused > 0 && <strong className="text-berry">{entries(refused)} could not be taken.</strong>}
      {!signedOut && (
        <Link to="/along" className="inline-flex min-h-11 items-center font-semibold underline underline-offset-4">
          What is here
        </Link>
      )}
    </p>
  );
}
