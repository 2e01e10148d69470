import { SubNav } from "../../ui/sub-nav";

/** What stands on the ground, and what it can do: walks, pastures, storms, a day with a group. */
export const GroundNav = () => (
  <SubNav
    label="Ground and hazards"
    links={[
      { to: "/surveys", label: "Walk a place" },
      { to: "/pastures", label: "Pastures" },
      { to: "/storms", label: "After a storm" },
      { to: "/stock", label: "Poison for animals" },
      { to: "/hazards", label: "A day’s hazards" },
      { to: "/swallowed", label: "Swallowed" },
    ]}
  />
);
