import { faceBefore, pickFace, pickSolid } from "@zanvo/core/construct";
import { along, around, norm, sub, type Rect, type Vec2, type Vec3 } from "@zanvo/core/geometry";
import { axesOf, inWorld, levelAt, ontoPlane, planeThrough, samePlane, type OwnPlane } from "@zanvo/core/lines";
import { placeOnPlane } from "@zanvo/core/ruling";
import { project, unproject, unprojectToGround, type View } from "@zanvo/core/shot";
import { visibleEdges, type VisibleEdges } from "@zanvo/core/visibility";
import { build, outlineOf, terrainOf, type Element, type Solid } from "@zanvo/core/world";

/** No part of a thing stands farther out of its outline than this, m: beams of lock gates do by a metre or so. */
const BESIDE = 5;

/** Whether a ray from the eye passes over or under the circle around a thing's outline, as seen from above. */
export function passesOver(element: Element, [ex, ey]: Vec3, [rx, ry]: Vec3): boolean {
  const { x, y, width, height } = around(outlineOf(element));
  const [cx, cy] = [x + width / 2 - ex, y + height / 2 - ey];
  const radius = Math.hypot(width, height) / 2 + BESIDE;
  const long = Math.hypot(rx, ry);
  const ahead = long > 0 ? Math.max(0, (cx * rx + cy * ry) / long) : 0;
  return long > 0
    ? Math.hypot(cx - (ahead * rx) / long, cy - (ahead * ry) / long) <= radius
    : Math.hypot(cx, cy) <= radius;
}

/** The solids that may be seen at a place of the picture. */
function solidsAt(view: View, elements: readonly Element[], at: Vec2): Solid[] {
  const ray = unproject(view, at);
  const near = elements.filter((element) => passesOver(element, view.eye, ray));
  return build(near, terrainOf(elements));
}

/** The element that is seen at a place of the picture: only those that may be there are built. */
export const pick = (view: View, elements: readonly Element[], at: Vec2): string | null =>
  pickSolid(view, solidsAt(view, elements, at), at);

/** The plane of what is seen at a place of the picture: a face, or the ground; null in the sky. */
export function planeAt(view: View, elements: readonly Element[], at: Vec2): OwnPlane | null {
  const face = pickFace(view, solidsAt(view, elements, at), at);
  if (!face) return unprojectToGround(view, at) && levelAt("Ground", 0);
  const { name } = elements.find(({ id }) => id === face.id) ?? { name: "" };
  return planeThrough([name, face.name].filter(Boolean).join(", ").slice(0, 200), face.corners[0], face.normal);
}

/** So much of a plane is shown around a place where no face tells more, m. */
const AROUND = 10;
/** A ray leaves a face so far over it, m, and the eye keeps to so much of the way to what stands before it. */
const OFF_FACE = 1e-3;
const CLEAR = 0.9;

/** What an elevation of a plane shows: the face that is seen at a place, and how far before it the eye has room. */
export interface Faced {
  /** On the plane, m. */
  readonly area: Rect;
  /** M before the plane. */
  readonly depth: number;
}

/** What of a plane is to be seen flat, where it is seen at a place of the picture, or around its own origin. */
export function facedAt(view: View, elements: readonly Element[], plane: OwnPlane, at: Vec2 | null): Faced {
  const axes = axesOf(plane);
  const face = at && pickFace(view, solidsAt(view, elements, at), at);
  const own = face && samePlane(plane, planeThrough("", face.corners[0], face.normal)) ? face : null;
  const [cx, cy] = at ? placeOnPlane(view, plane, at) : [0, 0];
  const area = own
    ? around(own.corners.map((corner) => ontoPlane(axes, corner)))
    : { x: cx - AROUND / 2, y: cy - AROUND / 2, width: AROUND, height: AROUND };
  const middle = inWorld(axes, [area.x + area.width / 2, area.y + area.height / 2]);
  const far = Math.max(area.width, area.height);
  // What stands before the plane must stay behind the eye.
  const from = along(middle, axes.normal, OFF_FACE);
  const near = elements.filter((one) => passesOver(one, from, axes.normal));
  const hit = faceBefore(build(near, terrainOf(elements)), from, axes.normal);
  return { area, depth: hit ? Math.min(far, CLEAR * norm(sub(hit.at, from))) : far };
}

/** The four corners of the wall that is seen at a place of the picture, as they are seen, mm; or null. */
export function wallAt(view: View, elements: readonly Element[], at: Vec2): readonly Vec2[] | null {
  const face = pickFace(view, solidsAt(view, elements, at), at);
  if (face?.corners.length !== 4) return null;
  const { corners } = face;
  const low = (i: number) => corners[i % 4][2] + corners[(i + 1) % 4][2];
  const foot = [0, 1, 2, 3].reduce((best, i) => (low(i) < low(best) - 1e-9 ? i : best), 0);
  const far = (i: number) => Math.hypot(corners[i % 4][0] - view.eye[0], corners[i % 4][1] - view.eye[1]);
  // From the foot of its nearer upright along its foot, and back along its top.
  const order = far(foot) <= far(foot + 1) ? [0, 1, 2, 3] : [1, 0, 3, 2];
  const seen = order.map((i) => project(view, corners[(foot + i) % 4]));
  return seen.every((one) => one !== null) ? seen : null;
}

/** An element as it would be seen by itself, on the ground of its world. */
export const alone = (view: View, element: Element, elements: readonly Element[]): VisibleEdges =>
  visibleEdges(build([element], terrainOf(elements)), view.eye);
