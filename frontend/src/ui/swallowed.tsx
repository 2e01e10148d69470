import { Link } from "react-router";
import { useSession } from "../api/queries";

/** What is always said where something harms: no treatment, and whom to call. */
export function Swallowed() {
  const session = useSession().data;
  const number = session?.school?.poisonCentre ?? "";
  const enters = session?.user?.role === "instructor";
  return (
    <p className="mt-1 text-sm" data-swallowed>
      If something was swallowed: keep a sample, note time and amount, call the poison centre
      {number ? (
        <>
          ,{" "}
          <a href={`tel:${number.replace(/[^0-9+]/g, "")}`} className="font-bold whitespace-nowrap underline underline-offset-4">
            {number}
          </a>
          ,
        </>
      ) : (
        enters && (
          <>
            {" "}
            (
            <Link to="/people" className="underline underline-offset-4 print:hidden">
              enter its number
            </Link>
            )
          </>
        )
      )}{" "}
      or the emergency number.{" "}
      <Link to="/swallowed" className="whitespace-nowrap underline underline-offset-4 print:hidden">
        What to keep, note and say
      </Link>
    </p>
  );
}
