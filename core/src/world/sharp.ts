import type { Vec2 } from "../geometry";
import { joinedAt, LEAST_ANGLE, meetingOf } from "./junctions";
import { kindOf, type Element } from "./kinds";
import { remembered } from "./remembered";

/** Two ways that meet so narrowly that their kerbs cannot turn around a radius between them. */
export interface SharpJunction {
  readonly at: Vec2;
  readonly of: readonly [Element, Element];
  /** Between the two arms, degrees. */
  readonly angle: number;
}

/** The junctions whose arms lie nearer to one another than kerbs can turn. */
export const sharpJunctions = remembered((elements: readonly Element[]): readonly SharpJunction[] => {
  const ways = elements.flatMap((element) => {
    const roadway = element.hidden ? null : kindOf(element).roadway?.(element);
    return roadway ? [{ element, roadway }] : [];
  });
  return joinedAt(ways.map(({ roadway }) => meetingOf(roadway)))
    .junctions.filter(({ angle }) => angle < LEAST_ANGLE)
    .map(({ at, of: [i, k], angle }) => ({ at, of: [ways[i].element, ways[k].element], angle }));
});
