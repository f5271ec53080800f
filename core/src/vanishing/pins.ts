import { add, headingDirection, radians, scale, wrap, type Vec3 } from "../geometry";
import type { Orientation, Shot, Sheet, Slope } from "../scene";
import { facing, toEye, viewOf, type View } from "../shot";
import { vanishingPoint, type VanishingPoint } from "./point";

/** Which edge of the sheet a place is beyond, and by how many mm. */
export interface OffSheet {
  readonly side: "left" | "right" | "top" | "bottom";
  readonly distance: number;
}

/**
 * Which of the sets of an orientation a pin gathers; `up` and `down` are lines of a slope that rise or fall away from
 * the eye.
 */
export type Role = "left" | "right" | "upright" | "up" | "down";

/** A vanishing point of a scene's directions, as it stands on the desk. */
export interface Pin {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  /** Which set it is among all but the uprights, from 0: level ones first, then slopes. Sets are told apart by it. */
  readonly set: number | null;
  /** The orientation it belongs to; uprights belong to all. */
  readonly orientation: string | null;
  /** The slope it belongs to, if it does. */
  readonly slope: string | null;
  /** Behind the eye from the first point of its set: shown by curved lenses only. */
  readonly opposite: boolean;
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

/** The level unit direction a slope rises along, turned so that it goes away from the eye. */
export function slopeAxis(view: View, { heading }: Pick<Orientation, "heading">, { axis }: Pick<Slope, "axis">): Vec3 {
  return facing(view, headingDirection(heading + (axis === "along" ? 0 : 90)));
}

/**
 * The pins of a shot: left and right of every orientation, the uprights, and both points of every slope; in a curved
 * lens the opposite of each, too.
 */
export function pinsOf(orientations: readonly Orientation[], shot: Shot): Pin[] {
  const view = viewOf(shot);
  type Which = Pick<Pin, "id" | "name" | "role" | "set" | "orientation" | "slope">;
  const toward = (of: Which, direction: Vec3, opposite: boolean): Pin => {
    const point = vanishingPoint(view, direction);
    return { ...of, opposite, direction, point, offSheet: point.at && offSheet(shot.sheet, ...point.at) };
  };
  const pin = (of: Which, along: Vec3): Pin => toward(of, facing(view, along), false);
  const level = orientations.flatMap(({ id, name, heading }, i) => {
    const hands = handed(heading, shot.gaze.heading);
    return (["left", "right"] as const).map((role, side) =>
      pin(
        { id: `${id}-${role}`, name: `${name}, ${role}`, role, set: 2 * i + side, orientation: id, slope: null },
        headingDirection(hands[role]),
      ),
    );
  });
  let set = level.length;
  const sloping = orientations.flatMap((orientation) =>
    (orientation.slopes ?? []).flatMap((slope) => {
      const axis = slopeAxis(view, orientation, slope);
      const rise = radians(slope.rise);
      return (["up", "down"] as const).map((role) =>
        pin(
          {
            id: `${slope.id}-${role}`,
            name: `${slope.name}, ${role === "up" ? "rising" : "falling"}`,
            role,
            set: set++,
            orientation: orientation.id,
            slope: slope.id,
          },
          add(scale(axis, Math.cos(rise)), [0, 0, (role === "up" ? 1 : -1) * Math.sin(rise)]),
        ),
      );
    }),
  );
  const first = [
    ...level,
    pin({ id: "upright", name: "Uprights", role: "upright", set: null, orientation: null, slope: null }, [0, 0, 1]),
    ...sloping,
  ];
  if (view.law.straight) return first;
  return [
    ...first,
    ...first.map((one) =>
      toward({ ...one, id: `${one.id}-opposite`, name: `${one.name}, opposite` }, scale(one.direction, -1), true),
    ),
  ];
}

/** Whether a pin lies within what a shot's lens shows, and on its disc where that is cut off earlier. */
export const within = (view: View, { direction }: Pick<Pin, "direction">): boolean =>
  view.law.off(toEye(view, direction)) <= view.law.limit;

/** Whether a pin stands on the horizon. */
export const isLevel = ({ role }: Pick<Pin, "role">): boolean => role === "left" || role === "right";

/** Whether a turned thing's edges run along an orientation: their headings differ by quarter turns. */
export const alongside = ({ heading }: Pick<Orientation, "heading">, thing: { readonly heading: number }): boolean =>
  Math.abs(wrap(thing.heading - heading, -45, 90)) < 0.05;
