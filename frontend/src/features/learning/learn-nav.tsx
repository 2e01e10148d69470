import { SubNav } from "../../ui/sub-nav";

/** Practice, drills, and what one confuses. */
export const LearnNav = () => (
  <SubNav
    label="Learning"
    links={[
      { to: "/practice", label: "Practice trees" },
      { to: "/drills", label: "Two minutes" },
      { to: "/learning", label: "What I confuse" },
    ]}
  />
);
