import { useSession } from "../../api/queries";
import { SubNav } from "../../ui/sub-nav";

/** Practice, drills, and what one confuses. */
export function LearnNav() {
  const role = useSession().data?.user?.role;
  return (
    <SubNav
      label="Learning"
      links={[
        { to: "/practice", label: "Practice trees" },
        { to: "/drills", label: "Two minutes" },
        { to: "/learning", label: "What I confuse" },
        { to: "/trust", label: "Trust" },
        { to: "/my-tree", label: "One tree" },
        { to: "/groups", label: "Groups" },
        { to: "/cards", label: "Cards" },
        ...(role === "instructor"
          ? [
              { to: "/agreement", label: "Do we agree?" },
              { to: "/rates", label: "What we misread" },
            ]
          : []),
      ]}
    />
  );
}
