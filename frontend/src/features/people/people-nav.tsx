import { useSession } from "../../api/queries";
import { SubNav } from "../../ui/sub-nav";

/** What belongs to the people and the house. */
export function PeopleNav() {
  const role = useSession().data?.user?.role;
  const links = [
    ...(role === "instructor" ? [{ to: "/people", label: "People" }] : []),
    { to: "/people/devices", label: "Devices" },
    ...(role === "instructor" ? [{ to: "/running", label: "How the server runs, and copies" }] : []),
  ];
  return <SubNav label="People and house" links={links} />;
}
