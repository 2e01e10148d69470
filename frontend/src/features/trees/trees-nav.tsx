import { useSession } from "../../api/queries";
import { SubNav } from "../../ui/sub-nav";

/** What belongs to the trees: they themselves, the places they stand at, and files out and in. */
export function TreesNav() {
  const role = useSession().data?.user?.role;
  const links = [
    { to: "/trees", label: "Trees" },
    { to: "/places", label: "Places" },
    { to: "/surveys", label: "Ground and hazards" },
    { to: "/tags", label: "Tags to print" },
    { to: "/exchange", label: role === "instructor" ? "Files out and in" : "Files out" },
  ];
  return <SubNav label="Trees and places" links={links} />;
}
