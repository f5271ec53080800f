import { headingDirection, wrap, type Vec3 } from "../geometry";
import type { Orientation, Shot, Sheet } from "../scene";
import { facing, viewOf } from "../shot";
import { vanishingPoint, type VanishingPoint } from "./point";

/** Which edge of the sheet a place is beyond, and by how many mm. */
export interface OffSheet {
  readonly side: "left" | "right" | "top" | "bottom";
  readonly distance: number;
}

/** Which of the sets of an orientation a pin gathers. */
export type Role = "left" | "right" | "upright";

/** A vanishing point of a scene's directions, as it stands on the desk. */
export interface Pin {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  /** Which set it is among all level ones, from 0; uprights have none. Sets are told apart by it. */
  readonly set: number | null;
  /** The orientation it belongs to; uprights belong to all. */
  readonly orientation: string | null;
  /** Unit world direction that goes to the pin. */
  readonly direction: Vec3;
  readonly point: VanishingPoint;
  readonly offSheet: OffSheet | null;
}

/** Nearer than this to the sheet's edge (mm) counts as on it. */
const ON = 1e-6;

/** The edge a place lies farthest beyond, or null on the sheet. */
export function offSheet(sheet: Pick<Sheet, "width" | "height">, x: number, y: number): OffSheet | null {
  const beyond: OffSheet[] = [
    { side: "left", distance: -x },
    { side: "right", distance: x - sheet.width },
    { side: "top", distance: -y },
    { side: "bottom", distance: y - sheet.height },
  ];
  const farthest = beyond.reduce((far, edge) => (edge.distance > far.distance ? edge : far));
  return farthest.distance > ON ? farthest : null;
}

/**
 * The two level directions of an orientation as a gaze meets them: `left` is the one less than 90 degrees to its left
 * (or straight ahead), `right` the one up to 90 degrees to its right. Headings in degrees.
 */
export function handed(orientation: number, gaze: number): { readonly left: number; readonly right: number } {
  const off = wrap(orientation - gaze, -90, 180);
  const left = off === -90 ? 0 : off <= 0 ? off : off - 90;
  return { left: gaze + left, right: gaze + left + 90 };
}

/** The pins of a shot: left and right of every orientation, and the uprights. */
export function pinsOf(orientations: readonly Orientation[], shot: Shot): Pin[] {
  const view = viewOf(shot);
  const pin = (of: Pick<Pin, "id" | "name" | "role" | "set" | "orientation">, along: Vec3): Pin => {
    const direction = facing(view, along);
    const point = vanishingPoint(view, direction);
    return { ...of, direction, point, offSheet: point.at && offSheet(shot.sheet, ...point.at) };
  };
  const level = orientations.flatMap(({ id, name, heading }, i) => {
    const hands = handed(heading, shot.gaze.heading);
    return (["left", "right"] as const).map((role, side) =>
      pin({ id: `${id}-${role}`, name: `${name}, ${role}`, role, set: 2 * i + side, orientation: id }, headingDirection(hands[role])));
  });
  return [...level, pin({ id: "upright", name: "Uprights", role: "upright", set: null, orientation: null }, [0, 0, 1])];
}
