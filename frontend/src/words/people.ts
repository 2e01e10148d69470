import type { Schemas } from "../api/client";

/** What somebody is here, and what that lets them do. */
export const ROLE: Record<Schemas["Role"], { name: string; as: string; may: string }> = {
  instructor: {
    name: "instructor",
    as: "as an instructor",
    may: "you examine, decide what may be taken, and look after people, places and trees.",
  },
  learner: { name: "learner", as: "as a learner", may: "you examine; only an instructor’s examination opens the gate." },
  guest: { name: "guest", as: "as a guest", may: "you read, and change nothing." },
};
export const ROLES = (Object.keys(ROLE) as Schemas["Role"][]).map((value) => ({ value, label: ROLE[value].name }));
