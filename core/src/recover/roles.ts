import type { TracedSet } from "../scene";
import type { Family } from "./view";

const ORDER: readonly TracedSet["role"][] = ["left", "right", "level", "upright"];

/** Those that a view can be fitted to, first the ones at right angles; what runs any way tells it nothing. */
export const byRole = <T extends { readonly role: TracedSet["role"] }>(sets: readonly T[]): T[] =>
  sets.filter(({ role }) => role !== "free").sort((p, q) => ORDER.indexOf(p.role) - ORDER.indexOf(q.role));

/** What a view takes the edges of a role for. */
export const familyRole = (role: TracedSet["role"]): Family["role"] => (role === "upright" ? "upright" : "horizontal");
