import { NavLink } from "react-router";
import { useSession } from "../../api/queries";

/** What belongs to the people and the house. */
export function PeopleNav() {
  const role = useSession().data?.user?.role;
  const links = [
    ...(role === "instructor" ? [{ to: "/people", label: "People" }] : []),
    { to: "/people/devices", label: "Devices" },
    ...(role === "instructor" ? [{ to: "/running", label: "How the server runs, and copies" }] : []),
  ];
  return (
    <nav aria-label="People and house" className="mt-3 flex flex-wrap gap-x-1 print:hidden">
      {links.map((link) => (
        <NavLink
          key={link.to}
          to={link.to}
          end
          className={({ isActive }) =>
            `flex min-h-11 items-center border-b-2 px-2.5 ${isActive ? "border-ink font-semibold" : "border-transparent text-faded hover:border-rule"}`
          }
        >
          {link.label}
        </NavLink>
      ))}
    </nav>
  );
}
