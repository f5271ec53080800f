import { faceBefore, pickFace, pickSolid } from "@zanvo/core/construct";
import { along, around, norm, sub, type Rect, type Vec2, type Vec3 } from "@zanvo/core/geometry";
import { axesOf, inWorld, levelAt, ontoPlane, planeThrough, samePlane, type OwnPlane } from "@zanvo/core/lines";
import { placeOnPlane } from "@zanvo/core/ruling";
import { project, unproject, unprojectToGround, type View } from "@zanvo/core/shot";
import { cutAway, visibleEdges, type VisibleEdges } from "@zanvo/core/visibility";
import {
  boxOf,
  build,
  isBlock,
  isBuilding,
  isWithin,
  terrainRange,
  asBuilding,
  cornersOf,
  outlineOf,
  terrainOf,
  type Element,
  type Solid,
  type Terrain,
} from "@zanvo/core/world";
import type { Looked } from "../../document/view";

/** No part of a thing stands farther out of its outline than this, m: beams of lock gates do by a metre or so. */
const BESIDE = 5;

/** The lowest and the highest ground that things stand on, m. */
type GroundRange = readonly [lowest: number, highest: number];

/** The box in which all of a thing stands: its outline, as high and as deep as it may be on its ground, m. */
function roomOf(element: Element, [low, high]: GroundRange): readonly [least: Vec3, most: Vec3] {
  const { x, y, width, height } = around(outlineOf(element));
  const { origin, height: tall } = boxOf(element);
  return [
    [x - BESIDE, y - BESIDE, origin.z + low - BESIDE],
    [x + width + BESIDE, y + height + BESIDE, origin.z + tall + high + BESIDE],
  ];
}

/** How far along a ray, in its own lengths, a thing may first be met; null where the ray passes beside it. */
export function farBefore(element: Element, ground: GroundRange, from: Vec3, ray: Vec3): number | null {
  const [least, most] = roomOf(element, ground);
  let [near, far] = [0, Infinity];
  for (const k of [0, 1, 2]) {
    const [a, b] = [(least[k] - from[k]) / ray[k], (most[k] - from[k]) / ray[k]];
    // Along a side of the box no crossing is told: it bounds nothing there, or everything.
    if (ray[k] === 0 && (from[k] < least[k] || from[k] > most[k])) return null;
    if (ray[k] !== 0) [near, far] = [Math.max(near, Math.min(a, b)), Math.min(far, Math.max(a, b))];
  }
  return near <= far ? near : null;
}

/** The solids of things on the ground that they stand on, built once. */
const builtOn = new WeakMap<Terrain, WeakMap<Element, readonly Solid[]>>();

function solidsOf(element: Element, terrain: Terrain): readonly Solid[] {
  let known = builtOn.get(terrain);
  if (!known) builtOn.set(terrain, (known = new WeakMap<Element, readonly Solid[]>()));
  let solids = known.get(element);
  if (!solids) known.set(element, (solids = build([element], terrain)));
  return solids;
}

/** The solids among which is what a ray from a place first meets: of the nearest things, until one is met for sure. */
function solidsAlong({ elements, cutaway }: Looked, from: Vec3, ray: Vec3): readonly Solid[] {
  const terrain = terrainOf(elements);
  const ground = terrainRange(terrain);
  const outwards = elements
    .flatMap((element) => {
      const far = farBefore(element, ground, from, ray);
      return far === null ? [] : [{ element, far }];
    })
    .sort((a, b) => a.far - b.far);
  const found: Solid[] = [];
  let reach = Infinity;
  for (const { element, far } of outwards) {
    if (far > reach) break;
    const whole = solidsOf(element, terrain);
    const solids = element.id === cutaway ? cutAway({ solids: whole, details: [] }, from, cutaway).solids : whole;
    found.push(...solids);
    const hit = faceBefore(solids, from, ray);
    if (hit) reach = Math.min(reach, norm(sub(hit.at, from)) / norm(ray));
  }
  return found;
}

/** The solids among which is what is seen at a place of the picture. */
const solidsAt = (view: View, looked: Looked, at: Vec2): readonly Solid[] =>
  solidsAlong(looked, view.eye, unproject(view, at));

/** The element that is seen at a place of the picture. */
export const pick = (view: View, looked: Looked, at: Vec2): string | null =>
  pickSolid(view, solidsAt(view, looked, at), at);

/** The plane of what is seen at a place of the picture: a face, or the ground; null in the sky. */
export function planeAt(view: View, looked: Looked, at: Vec2): OwnPlane | null {
  const face = pickFace(view, solidsAt(view, looked, at), at);
  if (!face) return unprojectToGround(view, at) && levelAt("Ground", 0);
  const { name } = looked.elements.find(({ id }) => id === face.id) ?? { name: "" };
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
export function facedAt(view: View, looked: Looked, plane: OwnPlane, at: Vec2 | null): Faced {
  const axes = axesOf(plane);
  const face = at && pickFace(view, solidsAt(view, looked, at), at);
  const own = face && samePlane(plane, planeThrough("", face.corners[0], face.normal)) ? face : null;
  const [cx, cy] = at ? placeOnPlane(view, plane, at) : [0, 0];
  const area = own
    ? around(own.corners.map((corner) => ontoPlane(axes, corner)))
    : { x: cx - AROUND / 2, y: cy - AROUND / 2, width: AROUND, height: AROUND };
  const middle = inWorld(axes, [area.x + area.width / 2, area.y + area.height / 2]);
  const far = Math.max(area.width, area.height);
  // What stands before the plane must stay behind the eye.
  const from = along(middle, axes.normal, OFF_FACE);
  const hit = faceBefore(solidsAlong(looked, from, axes.normal), from, axes.normal);
  return { area, depth: hit ? Math.min(far, CLEAR * norm(sub(hit.at, from))) : far };
}

/** The four corners of the wall that is seen at a place of the picture, as they are seen, mm; or null. */
export function wallAt(view: View, looked: Looked, at: Vec2): readonly Vec2[] | null {
  const face = pickFace(view, solidsAt(view, looked, at), at);
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

/** The place that is seen at a place of the picture, m, and the normal of what it is on; null in the sky. */
export function placeAt(view: View, looked: Looked, at: Vec2): { readonly at: Vec3; readonly normal: Vec3 } | null {
  const face = pickFace(view, solidsAt(view, looked, at), at);
  if (face) return { at: face.at, normal: face.normal };
  const ground = unprojectToGround(view, at);
  return ground && { at: [ground[0], ground[1], 0], normal: [0, 0, 1] };
}

/** How nearly a wall must lie on a side of an outline to be it, m. */
const ON_SIDE = 1e-3;

/** A wall of a building or a block that is seen at a place of the picture. */
export interface SideAt {
  readonly id: string;
  /** The side of its footprint. */
  readonly side: number;
  /** Where on it: m along it from its left corner, and up from its foot. */
  readonly place: Vec2;
}

/** An element without the rooms that one sees through its windows: its walls are pressed there, too. */
const withoutRooms = (element: Element): Element =>
  isBuilding(element) && element.rooms ? { ...element, rooms: undefined } : element;

/** What stands out of a wall belongs to it as far before it, m: bay windows, bands and steps to its doors do. */
const BEFORE = 4;

/** The side of an outline that a place is on, or stands before as one looks at it; -1 where it is none. */
function sideOfPlace(corners: readonly Vec2[], [x, y]: Vec3, eye: Vec3): number {
  const before = corners.map(([px, py], i) => {
    const [qx, qy] = corners[(i + 1) % corners.length];
    const long = Math.hypot(qx - px, qy - py);
    const [ux, uy] = [(qx - px) / long, (qy - py) / long];
    const off = (at: readonly number[]) => (at[0] - px) * uy - (at[1] - py) * ux;
    const along = (x - px) * ux + (y - py) * uy;
    const isBefore = off(eye) > 0 && along > -ON_SIDE && along < long + ON_SIDE && off([x, y]) > -ON_SIDE;
    return isBefore ? off([x, y]) : Infinity;
  });
  const nearest = Math.min(...before);
  // Within its outline, a roof may stand before the wall of another wing, and is no part of that.
  if (nearest > ON_SIDE && isWithin([x, y], corners)) return -1;
  return nearest < BEFORE ? before.indexOf(nearest) : -1;
}

/**
 * The wall that is seen at a place of the picture, or that what is seen there stands out of; null where none is that
 * can have a front.
 */
export function sideAt(view: View, elements: readonly Element[], at: Vec2): SideAt | null {
  const face = pickFace(view, solidsAt(view, { elements: elements.map(withoutRooms) }, at), at);
  const element = elements.find(({ id }) => id === face?.id);
  if (!face || !element || !(isBuilding(element) || isBlock(element))) return null;
  const corners = cornersOf(asBuilding(element));
  const side = sideOfPlace(corners, face.at, view.eye);
  if (side < 0) return null;
  const [[px, py], [qx, qy]] = [corners[side], corners[(side + 1) % corners.length]];
  const long = Math.hypot(qx - px, qy - py);
  const along = ((face.at[0] - px) * (qx - px) + (face.at[1] - py) * (qy - py)) / long;
  const [walls] = solidsOf(element, terrainOf(elements));
  const foot = Math.min(...walls.vertices.map(([, , z]) => z));
  return { id: element.id, side, place: [along, face.at[2] - foot] };
}

/** An element as it would be seen by itself, on the ground of its world. */
export const alone = (view: View, element: Element, elements: readonly Element[]): VisibleEdges =>
  visibleEdges(solidsOf(element, terrainOf(elements)), view.eye);
