import { heightTags } from "../block";
import { elementKind, onFootprint } from "../kind";
import { reachOfPerson } from "../person";
import { cornersOf } from "../../outline";
import { crossingOf } from "../../polygon";
import { CrowdSchema, type Crowd } from "./schema";
export type { Crowd, Someone } from "./schema";

/** How a crowd is rolled where nothing else is said, all but its place. */
export const CROWD = { number: 30, spacing: 0.9, children: 12, walking: 60 } as const;

export const isCrowd = (element: { readonly kind: string }): element is Crowd => element.kind === "crowd";

export const crowd = elementKind<Crowd>(CrowdSchema, {
  kind: "crowd",
  word: "Crowd",
  stands: true,
  validate: (element) => {
    const corners = cornersOf(element);
    if (corners.length < 3) return { field: "footprint", message: "has no area." };
    return crossingOf(corners) ? { field: "footprint", message: "crosses itself." } : null;
  },
  outline: cornersOf,
  span: ({ people }) => [0, Math.max(0, ...people.map(reachOfPerson))],
  ...onFootprint,
  geoJson: {
    write: ({ people }) => ({ shape: "area", properties: { ...heightTags(0, 2), people: people.length } }),
  },
  letsIn: () => true,
});
