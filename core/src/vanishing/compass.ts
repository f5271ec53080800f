import { add, scale, cross, norm, unit, type Vec2, type Vec3 } from "../geometry";
import type { PickedArc, Shot } from "../scene";
import { toEye, unproject, type View } from "../shot";
import { isLevel, type Pin } from "./pins";

/** How the picture of a plane through the eye is drawn with a compass, or with a ruler where it runs through C. */
export interface CompassArc {
  readonly id: string;
  readonly name: string;
  /** Where the compass stands, sheet mm; null for a straight line through C. */
  readonly foot: Vec2 | null;
  /** Opening of the compass, mm; infinite for a line. */
  readonly radius: number;
  /** For a line: its slant in degrees clockwise from right. */
  readonly slant: number | null;
  /** How far the arc departs from the exact curve at most, mm, before the eye. */
  readonly departure: number;
}

/** A line on which the feet of all arcs through a point lie: a place of it, and its direction, sheet mm. */
export interface FootLine {
  readonly pin: string;
  readonly name: string;
  readonly at: Vec2;
  readonly along: Vec2;
}

/** What is nearer to a straight line than this needs no compass: its foot would stand kilometres away. */
const STRAIGHT = 1e-6;
/** Places at which an arc is compared with its exact curve. */
const LOOKS = 240;

/**
 * Whether a lens is drawn by compass: exactly (stereographic), or by the three-point arcs of the compass school
 * (equidistant).
 */
export const byCompass = ({ law }: View): boolean => law.id === "stereographic" || law.id === "equidistant";

/**
 * The compass arc of a plane through the eye. Stereographic, exact, with k = 2d and the plane's unit normal (na, nb,
 * nc) in eye axes: foot C + (k na / nc, -k nb / nc), radius k / |nc|. Equidistant, the school of Barre and Flocon (La
 * perspective curviligne, 1968 (from memory)): with R = pi d / 2 the circle through both rim points across the radius
 * of the plane's own point, at q from C, and the place at R - q on the other side.
 * @param normal world direction at right angles to the plane
 */
export function compassArc(view: View, normal: Vec3, id: string, name: string): CompassArc {
  const n = toEye(view, unit(normal));
  const [na, nb, nc] = n[2] < 0 ? [-n[0], -n[1], -n[2]] : n;
  const h = Math.hypot(na, nb);
  const [cx, cy] = view.centre;
  const straight = (): CompassArc => {
    const slant = ((Math.atan2(na, nb) * 180) / Math.PI + 180) % 180;
    return { id, name, foot: null, radius: Infinity, slant, departure: 0 };
  };
  if (view.law.id === "stereographic") {
    if (nc < STRAIGHT) return straight();
    const k = 2 * view.distance;
    return { id, name, foot: [cx + (k * na) / nc, cy - (k * nb) / nc], radius: k / nc, slant: null, departure: 0 };
  }
  const rim = (Math.PI / 2) * view.distance;
  const p = rim - view.distance * Math.atan2(h, nc);
  if (h > 1e-12 && p < STRAIGHT * rim) return straight();
  const [ex, ey] = h > 1e-12 ? [na / h, nb / h] : [1, 0];
  const off = (rim * rim - p * p) / (2 * p);
  const arc = { foot: [cx + off * ex, cy - off * ey] as const, radius: off + p };
  return { id, name, ...arc, slant: null, departure: departureOf(view, normal, arc) };
}

/** The largest distance of the exact curve before the eye from an arc, mm. */
function departureOf(
  view: View,
  normal: Vec3,
  { foot, radius }: { readonly foot: Vec2; readonly radius: number },
): number {
  let most = 0;
  for (const [x, y] of exactPlaces(view, normal))
    most = Math.max(most, Math.abs(Math.hypot(x - foot[0], y - foot[1]) - radius));
  return most;
}

/** Places of a plane's exact picture before the eye, evenly turned, sheet mm. */
export function exactPlaces(view: View, normal: Vec3, looks = LOOKS): Vec2[] {
  const n = unit(normal);
  const u = unit(cross(n, Math.abs(n[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0]));
  const v = cross(n, u);
  const places: Vec2[] = [];
  for (let i = 0; i < looks; i++) {
    const t = (2 * Math.PI * i) / looks;
    const d = add(scale(u, Math.cos(t)), scale(v, Math.sin(t)));
    const eye = toEye(view, d);
    const p = eye[2] >= 0 ? view.law.project(eye) : null;
    if (p) places.push([view.centre[0] + view.distance * p[0], view.centre[1] - view.distance * p[1]]);
  }
  return places;
}

/**
 * The horizons that belong to the first orientation: of level planes, and of the walls that face each of its two
 * points.
 */
export function horizonPlanes(
  pins: readonly Pin[],
): readonly { readonly id: string; readonly name: string; readonly normal: Vec3 }[] {
  const [left, right] = ["left", "right"].map((role) => pins.find((pin) => pin.role === role && !pin.opposite));
  return [
    { id: "horizon", name: "Horizon", normal: [0, 0, 1] },
    ...(right ? [{ id: "walls-left", name: "Walls that run to the left point", normal: right.direction }] : []),
    ...(left ? [{ id: "walls-right", name: "Walls that run to the right point", normal: left.direction }] : []),
  ];
}

/**
 * The arcs that were picked, each with its place among them; those whose pin is gone, or that pass no place but it,
 * are left out.
 */
export function pickedArcs(
  view: View,
  pins: readonly Pin[],
  arcs: readonly PickedArc[] = [],
): readonly { readonly at: number; readonly normal: Vec3; readonly arc: CompassArc }[] {
  return arcs.flatMap(({ pin: id, through }, at) => {
    const pin = pins.find((one) => one.id === id);
    const normal = pin && cross(pin.direction, unproject(view, [through.x, through.y]));
    if (!pin || !normal || norm(normal) < 1e-9) return [];
    return [{ at, normal, arc: compassArc(view, normal, `picked-${at + 1}`, `Line ${at + 1}, to ${pin.name}`) }];
  });
}

/**
 * All that can be drawn by compass in a shot: the horizons of the first orientation, and the lines that were picked;
 * nothing in a lens whose curves are no circles.
 */
export function compassArcs(
  shot: Shot,
  pins: readonly Pin[],
  view: View,
): readonly { readonly normal: Vec3; readonly arc: CompassArc }[] {
  if (!byCompass(view)) return [];
  return [
    ...horizonPlanes(pins).map(({ id, name, normal }) => ({ normal, arc: compassArc(view, normal, id, name) })),
    ...pickedArcs(view, pins, shot.arcs),
  ];
}

/**
 * Lines to a point that stand on a compass sheet, in steps of so many degrees about it from the horizon or the
 * upright.
 */
export function lineArcs(view: View, pin: Pin, step = 15): CompassArc[] {
  const w = pin.direction;
  const first: Vec3 = isLevel(pin) ? [0, 0, 1] : unit(cross(w, Math.abs(w[2]) > 0.9 ? view.right : [0, 0, 1]));
  const second = cross(w, first);
  return Array.from({ length: Math.round(180 / step) }, (_, i) => {
    const a = (Math.PI * i * step) / 180;
    const normal = add(scale(first, Math.cos(a)), scale(second, Math.sin(a)));
    return compassArc(view, normal, `${pin.id}-${i * step}`, `${pin.name}, ${i * step}°`);
  });
}

/**
 * The line on which the feet of all arcs through a point lie, in the stereographic lens: wa X + wb Y + k wc = 0 from C,
 * X right and Y up. Null for a point at C itself, whose lines are straight.
 */
export function footLine(view: View, pin: Pin): FootLine | null {
  if (view.law.id !== "stereographic") return null;
  const [wa, wb, wc] = toEye(view, pin.direction);
  const hh = wa * wa + wb * wb;
  if (hh < 1e-12) return null;
  const k = 2 * view.distance;
  const [x, y] = [(-k * wc * wa) / hh, (-k * wc * wb) / hh];
  const h = Math.sqrt(hh);
  return { pin: pin.id, name: pin.name, at: [view.centre[0] + x, view.centre[1] - y], along: [-wb / h, -wa / h] };
}
