import { headingDirection, radians, type Vec3 } from "../../../geometry";
import { rectangleAround } from "../../around";
import { roundSolid } from "../../round";
import { loft, ring } from "../../shapes";
import type { Solid } from "../../solid";
import { hullsOf, reachOfPerson } from "./body";
import { reachAround } from "./places";
import type { Person } from "./schema";

/** How a figure stands somewhere: its look, and its soles. */
export type Standing = Pick<Person, "pose" | "wear" | "age" | "height" | "heading" | "at">;

/** The card of a figure stands so much of its height before it, so that its toes and what it carries are seen. */
const BEFORE = 0.16;

/** A figure that is drawn by its outline. */
export function personSolid(id: string, person: Standing): Solid {
  const { at, heading, height } = person;
  const place: Vec3 = [at.x, at.y, at.z];
  return roundSolid(id, {
    kind: "hulls",
    at: place,
    turn: radians(-heading),
    hulls: hullsOf(person),
    before: BEFORE * height,
  });
}

/** A person, or the box that stands for it. */
export function buildPerson(person: Person): Solid[] {
  const { id, at, heading, box } = person;
  if (!box) return [personSolid(id, person)];
  const { aside, back, ahead } = reachAround(person);
  const corners = rectangleAround([at.x, at.y], headingDirection(heading), [-aside, aside], [-back, ahead]);
  return [loft(id, [ring(corners, at.z), ring(corners, at.z + reachOfPerson(person))], null)];
}
