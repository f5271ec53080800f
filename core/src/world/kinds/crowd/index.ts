import { heightTags } from "../block";
import { elementKind } from "../kind";
import { reachOfPerson } from "../person";
import { cornersOf } from "../../outline";
import { lengthOf } from "../../path";
import { crossingOf } from "../../polygon";
import { crowdPlaces, middleLine, widthOfWay } from "./line";
import { CrowdSchema, type Crowd } from "./schema";
export { alongLine, middleLine, widthOfWay } from "./line";
export type { Crowd, Someone } from "./schema";

/** How a crowd is rolled where nothing else is said, all but its place. */
export const CROWD = { number: 30, spacing: 0.9, children: 12, walking: 60 } as const;

export const isCrowd = (element: { readonly kind: string }): element is Crowd => element.kind === "crowd";

export const crowd = elementKind<Crowd>(CrowdSchema, {
  kind: "crowd",
  word: "Crowd",
  stands: true,
  validate: (element) => {
    const line = middleLine(element);
    if (line && lengthOf(line) < widthOfWay(element)) return { field: "line", message: "is shorter than it is wide." };
    const corners = cornersOf(element);
    if (corners.length < 3) return { field: "footprint", message: "has no area." };
    return !line && crossingOf(corners) ? { field: "footprint", message: "crosses itself." } : null;
  },
  outline: cornersOf,
  span: ({ people }) => [0, Math.max(0, ...people.map(reachOfPerson))],
  ...crowdPlaces,
  geoJson: {
    write: ({ people }) => ({ shape: "area", properties: { ...heightTags(0, 2), people: people.length } }),
  },
  letsIn: () => true,
});
