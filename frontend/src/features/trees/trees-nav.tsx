import { NavLink } from "react-router";
import { useSession } from "../../api/queries";

/** What belongs to the trees: they themselves, the places they stand at, and files out and in. */
export function TreesNav() {
  const role = useSession().data?.user?.role;
  const links = [
    { to: "/trees", label: "Trees" },
    { to: "/places", label: "Places" },
    { to: "/tags", label: "Tags to print" },
    { to: "/exchange", label: role === "instructor" ? "Files out and in" : "Files out" },
  ];
  return (
    <nav aria-label="Trees and places" className="mt-3 flex flex-wrap gap-x-1 print:hidden">
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
