import { headingDirection, type Vec2 } from "../../../geometry";
import { metres, metresBetween, sentence } from "../../../units";
import { rectangleAround } from "../../around";
import { heightTags } from "../block";
import { elementKind, type Figure } from "../kind";
import { reachOfPerson } from "./body";
import { reachAround } from "./places";
import { heightAt } from "./proportions";
import { PersonSchema, type Person } from "./schema";
export { crownOf, reachOfPerson } from "./body";
export { personSolid } from "./build";
export { reachAround } from "./places";
export { EYES_UNDER, headsAt, heightAt, GROWN_HEADS } from "./proportions";
export { PersonLook, POSES, WEARS, type Person, type Pose, type Wear } from "./schema";

/** Grown people are between these high, m (common practice). */
const GROWN = [1.55, 1.85] as const;
/** Of children, this much of the mean for their age, less or more. */
const CHILDREN = 0.12;

export const isPerson = (element: { readonly kind: string }): element is Person => element.kind === "person";

/** Someone who stands at a place, all but an id and a name. */
export const newPerson = (
  at: Person["at"],
  heading: number,
  pose: Person["pose"] = "standing",
): Omit<Person, "id" | "name"> => ({
  kind: "person",
  pose,
  at,
  heading,
  height: 1.72,
});

/** The ground that someone takes, counter-clockwise. */
export function personOutline(
  person: Pick<Person, "pose" | "wear" | "age" | "height" | "heading" | "at">,
): readonly Vec2[] {
  const { at, heading } = person;
  const { aside, back, ahead } = reachAround(person);
  return rectangleAround([at.x, at.y], headingDirection(heading), [-aside, aside], [-back, ahead]);
}

function figuresOf({ name, height, age }: Person): readonly Figure[] {
  const mean = age === undefined ? null : heightAt(age);
  const limits = mean === null ? GROWN : ([mean * (1 - CHILDREN), mean * (1 + CHILDREN)] as const);
  return [
    {
      value: height,
      limits,
      told: sentence`${name} is ${metres(height)} tall.`,
      usual:
        mean === null
          ? sentence`Grown people have ${metresBetween(...GROWN)}`
          : sentence`Children of ${String(age)} have ${metresBetween(...limits)}`,
    },
  ];
}

export const person = elementKind<Person>(PersonSchema, {
  kind: "person",
  word: "Person",
  stands: true,
  outline: personOutline,
  span: (element) => [element.at.z, reachOfPerson(element)],
  places: () => [],
  placed: (element) => element,
  geoJson: {
    write: (element) => ({ shape: "area", properties: heightTags(element.at.z, reachOfPerson(element)) }),
  },
  figures: figuresOf,
  faces: ({ heading }) => heading,
  letsIn: () => true,
});
