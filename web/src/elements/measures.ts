import { LEAST } from "../board/desk/raise";

/** How a size of a thing, and a place on the plan, are typed. */
export const SIZE = { unit: "m", digits: 2, min: LEAST, max: 10_000, step: 0.1 } as const;
export const PLACE = { unit: "m", digits: 2, min: -1e5, max: 1e5, step: 0.1 } as const;

/** Where a part stands on the plan, as fields of it. */
export const AT = [
  { key: "x", label: "East", min: PLACE.min, max: PLACE.max },
  { key: "y", label: "North", min: PLACE.min, max: PLACE.max },
] as const;
