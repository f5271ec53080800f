import { headingAlong, type Vec3 } from "@zanvo/core/geometry";
import type { Drawn } from "../../../elements";

/** A place that was pressed in the picture: on a face of something, or on the ground. */
export interface PressedPlace {
  readonly at: Vec3;
  /** The normal of the face there, towards who looks at it. */
  readonly normal: Vec3;
  /** The heading from there to the eye, turned to the streets or the walls around it, degrees. */
  readonly heading: number;
}

/** Something that is put where one presses in the picture. */
export interface Thing {
  readonly id: string;
  readonly label: string;
  /** All of it but its id and its name; a sentence where it cannot be put there. */
  put(place: PressedPlace): Drawn | string;
  /** What it runs on: it is put in the middle of its lane or its track, and points as that runs. */
  readonly runsOn?: "wheels" | "rails";
  /** It is put in the direction that is pressed, so far away that it is over no place: the sun, the moon. */
  readonly isHeavenly?: boolean;
  /** The same made plainer, where its sample would be too dense otherwise. */
  readonly plainer?: (drawn: Drawn) => Drawn;
}

/** A face that leans by less than this is a floor or a wall: the sine of the angle. */
const LEANS = 0.02;

export const isFloor = ({ normal }: PressedPlace): boolean => normal[2] > 1 - LEANS;
export const isWall = ({ normal }: Pick<PressedPlace, "normal">): boolean => Math.abs(normal[2]) < LEANS;

/** The heading of a level way, degrees. */
export const headingOf = (x: number, y: number): number => Number(headingAlong([x, y]).toFixed(4));
