import { NavLink } from "react-router";

/** What belongs together: the page one is on stands out. */
export const SubNav = ({ label, links }: { label: string; links: { to: string; label: string }[] }) => (
  <nav aria-label={label} className="mt-3 flex flex-wrap gap-x-1 print:hidden">
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
