import { Matrix, solve } from "ml-matrix";
import {
  add,
  applyHomography,
  degrees,
  dot,
  homographyOf,
  inverseHomography,
  scale,
  sub,
  wrap,
  type Homography,
  type Vec2,
  type Vec3,
} from "../geometry";
import { NoAnswer } from "../problem";
import type { Orientation, Reference, Shot, Wall } from "../scene";
import { eyeAxes } from "../shot";
import { newBlock, type Block } from "../world";
import { measureHeights, upOf } from "./heights";
import { viewOfReference } from "./reference";

/**
 * A wall as it stands before the camera: camera axes right, down, forward, lengths in distances of its first traced
 * corner.
 */
interface PlacedWall {
  /** Its lower corner on the picture's left. */
  readonly foot: Vec3;
  /** Along it to the picture's right, of length 1, and up. */
  readonly along: Vec3;
  readonly up: Vec3;
  readonly length: number;
  readonly height: number;
}

/** What a wall measures. */
export interface MeasuredWall {
  readonly name: string;
  /** Length over height. */
  readonly ratio: number;
  /** In m; null while nothing known tells its size. */
  readonly length: number | null;
  readonly height: number | null;
  /** How many times its drawn length is what is said of it, where both its length and its height are said; else 1. */
  readonly reads: number;
  /** Its corners in the picture, px: lower left, lower right, upper right, upper left. */
  readonly corners: readonly [Vec2, Vec2, Vec2, Vec2];
  /** From the wall seen flat, (0 0) its upper left corner and (1 1) its lower right, to the picture. */
  readonly flat: Homography;
  /** Lengths between its ends and its marks, in m, or in heights of the wall while its size is not known. */
  readonly bays: readonly number[];
}

type View = ReturnType<typeof viewOfReference>;

/** Where a wall stands. @throws NoAnswer for a set that the view does not know, or a wall that is not seen as one */
function standing(
  { along: set, x1, y1, x2, y2, name }: Wall,
  { focalLength, centre: [cx, cy], pitch, roll, directions, sets, lacking }: View,
): PlacedWall {
  if (!focalLength || pitch === null || roll === null) throw new NoAnswer(lacking ?? "The view is not known yet.");
  const direction = directions[sets.findIndex(({ id }) => id === set)];
  if (!direction) throw new NoAnswer(`${name}: the set it runs along has no two edges, or does not run level.`);
  const up = upOf({ pitch, roll });
  const ray = (x: number, y: number): Vec3 => [(x - cx) / focalLength.px, (y - cy) / focalLength.px, 1];
  const [first, second] = [ray(x1, y1), ray(x2, y2)];
  // t second = first + l along + h up.
  const m = new Matrix([0, 1, 2].map((k) => [second[k], -direction[k], -up[k]]));
  const [t, l, h] = solve(m, Matrix.columnVector([...first]), true).to1DArray();
  const far = add(first, scale(direction, l));
  if (!(t > 1e-6) || !(Math.abs(l) > 1e-6) || !(Math.abs(h) > 1e-6) || !(far[2] > 1e-6))
    throw new NoAnswer(
      `${name}: these corners are of no wall along ${sets.find(({ id }) => id === set)?.name ?? "its set"}. ` +
        "Draw it from a lower corner to the opposite upper one.",
    );
  const lower = h > 0 ? [first, far] : [add(first, scale(up, h)), add(far, scale(up, h))];
  const rightwards = lower[1][0] / lower[1][2] > lower[0][0] / lower[0][2];
  const [foot, end] = rightwards ? lower : [lower[1], lower[0]];
  const length = Math.abs(l);
  return { foot, along: scale(sub(end, foot), 1 / length), up, length, height: Math.abs(h) };
}

/**
 * Metres that one unit of a wall's own measure stands for: by what is said of it, else by the eye's height where it
 * stands on the ground.
 */
function unitOf({ length, height }: Wall, wall: PlacedWall, eye: number | null): number | null {
  if (height !== undefined) return height / wall.height;
  if (length !== undefined) return length / wall.length;
  const fall = -dot(wall.foot, wall.up);
  return eye !== null && fall > 1e-9 ? eye / fall : null;
}

/**
 * The eye's height over the ground, m, by what is known of things that stand on it: heights, else walls; null where
 * nothing is.
 */
export function eyeOf({ heights = [], walls = [] }: Reference, view: View): number | null {
  const { eye } = measureHeights(heights, view);
  if (eye !== null) return eye;
  const told = walls.flatMap((wall) => {
    if (wall.height === undefined && wall.length === undefined) return [];
    try {
      const stands = standing(wall, view);
      const fall = -dot(stands.foot, stands.up);
      return fall > 1e-9 ? [fall * (unitOf(wall, stands, null) ?? 0)] : [];
    } catch (error) {
      // A wall that is none tells nothing; it is told of where it is listed.
      if (error instanceof NoAnswer) return [];
      throw error;
    }
  });
  return told.length ? told.reduce((sum, one) => sum + one, 0) / told.length : null;
}

/**
 * A wall of a reference: true proportions from its corners and the view, sizes where something known tells them.
 * @throws NoAnswer where the view is not known, or the corners are of no wall
 */
export function measureWall(reference: Reference, wall: Wall, view: View = viewOfReference(reference)): MeasuredWall {
  const stands = standing(wall, view);
  const { foot, along, up, length, height } = stands;
  const unit = unitOf(wall, stands, eyeOf(reference, view));
  const f = view.focalLength?.px ?? 1;
  const [cx, cy] = view.centre;
  // Columns: one wall's length along, one height down, and the upper left corner, through the camera.
  const top = add(foot, scale(up, height));
  const columns = [scale(along, length), scale(up, -height), top];
  const seen = ([x, y, z]: Vec3): Vec3 => [f * x + cx * z, f * y + cy * z, z];
  const [a, b, c] = columns.map(seen);
  const flat: Homography = [a[0], b[0], c[0], a[1], b[1], c[1], a[2], b[2], c[2]];
  const at = (u: number, v: number): Vec2 => placeOn({ flat, name: wall.name }, [u, v]);
  const stops = [0, ...[...(wall.marks ?? [])].sort((p, q) => p - q), 1];
  const whole = unit === null ? length / height : length * unit;
  return {
    name: wall.name,
    ratio: length / height,
    length: unit === null ? null : length * unit,
    height: unit === null ? null : height * unit,
    reads: wall.length !== undefined && wall.height !== undefined ? (length / height) * (wall.height / wall.length) : 1,
    corners: [at(0, 1), at(1, 1), at(1, 0), at(0, 0)],
    flat,
    bays: stops.slice(1).map((share, i) => (share - stops[i]) * whole),
  };
}

/**
 * Where a place of a wall, as shares of its length from the left and of its height from the top, is in the picture.
 * @throws NoAnswer behind the camera
 */
export function placeOn({ flat, name }: Pick<MeasuredWall, "flat" | "name">, share: Vec2): Vec2 {
  const place = applyHomography(flat, share);
  if (!place) throw new NoAnswer(`${name}: it runs behind the camera.`);
  return place;
}

/** The share of a wall's length, from the left, at which a place of the picture lies; null beside the wall. */
export function shareAt({ flat }: Pick<MeasuredWall, "flat">, p: Vec2): number | null {
  const back = inverseHomography(flat);
  const weight = Math.abs(back[6] * p[0] + back[7] * p[1] + back[8]);
  const scaled = homographyOf(back.map((value) => value / weight));
  const place = applyHomography(scaled, p);
  return place && place.every((share) => share >= 0 && share <= 1) ? place[0] : null;
}

/** A wall seen flat is drawn at most so many px long or high. */
const MAX_SIDE = 4000;

/** How a wall is taken from its picture to a flat elevation: as fine as the picture shows its nearest part. */
export function elevation({ flat, corners: [a, b, c, d], ratio }: Pick<MeasuredWall, "flat" | "corners" | "ratio">): {
  readonly width: number;
  readonly height: number;
  readonly from: Homography;
} {
  const side = (p: Vec2, q: Vec2) => Math.hypot(p[0] - q[0], p[1] - q[1]);
  const fine = Math.max(side(a, b), side(d, c), ratio * side(a, d), ratio * side(b, c));
  const width = Math.max(1, Math.round(Math.min(fine, MAX_SIDE, MAX_SIDE * ratio)));
  const height = Math.max(1, Math.round(width / ratio));
  const [p, q, r, s, t, u, v, w, x] = flat;
  return { width, height, from: [p / width, q / height, r, s / width, t / height, u, v / width, w / height, x] };
}

/** Walls whose feet are nearer than this part of the picture's longer side share a corner. */
const SHARED = 0.012;
/** How deep a block is that only one wall is known of, m. */
const DEEP = 8;

/** A wall in the world of a shot: from its foot on the picture's left, m. */
interface Placed {
  readonly name: string;
  readonly foot: Vec3;
  readonly along: Vec3;
  readonly length: number;
  readonly height: number;
  readonly corners: MeasuredWall["corners"];
}

/**
 * Blocks behind the walls of a reference, in the world of a shot that was made of it: two walls that share an upright
 * make one, a single one is taken to be 8 m deep.
 * @throws NoAnswer where a wall cannot be measured
 */
export function blocksOf(
  reference: Reference,
  shot: Shot,
  orientations: readonly Pick<Orientation, "heading">[],
  id: (at: number) => string,
): Block[] {
  const view = viewOfReference(reference);
  const { right, up, forward } = eyeAxes(shot.gaze);
  const world = (v: Vec3): Vec3 => add(add(scale(right, v[0]), scale(up, -v[1])), scale(forward, v[2]));
  const placed = (reference.walls ?? []).map((wall): Placed => {
    const stands = standing(wall, view);
    const unit = unitOf(wall, stands, shot.eye.z) ?? shot.eye.z;
    const { corners } = measureWall(reference, wall, view);
    const foot = add([shot.eye.x, shot.eye.y, shot.eye.z], scale(world(stands.foot), unit));
    return {
      name: wall.name,
      foot,
      along: world(stands.along),
      length: stands.length * unit,
      height: stands.height * unit,
      corners,
    };
  });
  const near = SHARED * Math.max(reference.width, reference.height);
  const done = new Set<number>();
  return placed.flatMap((wall, i): Block[] => {
    if (done.has(i)) return [];
    const other = placed.findIndex(
      (one, k) => k > i && !done.has(k) && Math.abs(dot(one.along, wall.along)) < 0.5 && shared(wall, one, near),
    );
    done.add(i);
    if (other >= 0) done.add(other);
    return [block(wall, other < 0 ? null : placed[other], near, shot, orientations, id(i))];
  });
}

const meet = (p: Vec2, q: Vec2, near: number): boolean => Math.hypot(p[0] - q[0], p[1] - q[1]) < near;
/** Whether two walls share the upright at the one's left foot and the other's right one. */
const leftOf = (a: Placed, b: Placed, near: number): boolean => meet(a.corners[1], b.corners[0], near);
const shared = (a: Placed, b: Placed, near: number): boolean => leftOf(a, b, near) || leftOf(b, a, near);

/** The nearest heading of the scene's directions to a level direction, where it is one of them; else its own. */
function headingOf([x, y]: Vec3, orientations: readonly Pick<Orientation, "heading">[]): number {
  const own = degrees(Math.atan2(x, y));
  const near = orientations
    .flatMap(({ heading }) => [0, 90, 180, 270].map((more) => heading + more))
    .find((one) => Math.abs(wrap(own - one, -180, 360)) < 0.05);
  return wrap(near ?? own, -180, 360);
}

/** The block with a wall, and another square to it where there is one, away from the eye. */
function block(
  wall: Placed,
  other: Placed | null,
  near: number,
  { eye }: Shot,
  orientations: readonly Pick<Orientation, "heading">[],
  id: string,
): Block {
  const ends = (one: Placed): readonly [Vec3, Vec3] => [one.foot, add(one.foot, scale(one.along, one.length))];
  const [left, right] = ends(wall);
  // The corner it grows from: the shared one, else the left one.
  const corner = other && leftOf(wall, other, near) ? right : left;
  const out = corner === right ? scale(wall.along, -1) : wall.along;
  const across: Vec3 = [out[1], -out[0], 0];
  const behind = other
    ? scale(other.along, leftOf(wall, other, near) ? 1 : -1)
    : sub(add(corner, scale(out, wall.length / 2)), [eye.x, eye.y, eye.z]);
  const away = dot(across, behind) >= 0;
  const depth = other ? other.length : DEEP;
  // A block's width runs to heading + 90: where that is towards the eye, it grows from the wall's other end.
  const origin = away ? corner : add(corner, scale(out, wall.length));
  const heading = headingOf(away ? out : scale(out, -1), orientations);
  const z = Math.abs(origin[2]) < 0.05 ? 0 : origin[2];
  return newBlock({
    id,
    name: other ? `${wall.name} and ${other.name}`.slice(0, 200) : wall.name,
    origin: { x: origin[0], y: origin[1], z },
    heading,
    length: wall.length,
    width: depth,
    height: other ? Math.max(wall.height, other.height) : wall.height,
  });
}
