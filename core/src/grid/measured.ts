import {
  add,
  clipToRect,
  corners,
  cross,
  distance2,
  dot,
  headingDirection,
  radians,
  scale,
  sub,
  type Rect,
  type Vec2,
  type Vec3,
} from "../geometry";
import { project, type View } from "../shot";
import { DEFAULT_LINE_SPACING } from "../scene";
import { handed, vanishingPoint, type VanishingPoint } from "../vanishing";
import { halvings } from "./thinning";

/** A plane that is measured out in squares, in the directions of an orientation. */
export interface MeasuredPlane {
  /**
   * The ground or another level (`at`: height in m), or a wall that runs to the left or right point (`at`: m from the
   * eye, along the other set).
   */
  readonly plane: "level" | "left" | "right";
  readonly at: number;
  /** Side of a square, m. */
  readonly every: number;
}

/** Lines x1 y1 x2 y2 in sheet mm, each with its number counted from the origin. */
export interface MeasuredLines {
  readonly lines: Float64Array;
  readonly numbers: Int32Array;
}

/** Lines are thinned by halves at most this often. */
const HALVINGS = 12;
/** Lines looked at on either side before a family is given up. */
const MAX_LINES = 2000;

/** The world plane `normal . p = offset` of a measured plane. */
export function planeOf(
  view: View,
  orientation: number,
  gaze: number,
  plane: MeasuredPlane,
): { readonly normal: Vec3; readonly offset: number } {
  const [origin, u, v] = frameOf(view, orientation, gaze, plane);
  const normal = cross(u, v);
  return { normal, offset: dot(normal, origin) };
}

/**
 * Origin and the two axes of a plane's squares. Lines of level planes and heights of walls are counted from the
 * world's origin.
 */
export function frameOf(
  view: View,
  orientation: number,
  gaze: number,
  { plane, at }: MeasuredPlane,
): readonly [Vec3, Vec3, Vec3] {
  const hands = handed(orientation, gaze);
  const [left, right] = [headingDirection(hands.left), headingDirection(hands.right)];
  if (plane === "level") return [[0, 0, at], left, right];
  const [along, across] = plane === "left" ? [left, right] : [right, left];
  // The wall stands `at` metres from the eye along the other set; its squares start on the ground at the world's
  // origin.
  const foot = scale(across, dot(view.eye, across) + at);
  return [[foot[0], foot[1], 0], along, [0, 0, 1]];
}

/**
 * A measured grid: both families of lines of a plane's squares, clipped to the panel. Towards its point each family is
 * thinned as a loose bundle is: line k ends where it would come nearer than the least gap to the next line as often
 * halved as itself, so that what remains are always whole multiples of squares. Straight lens.
 */
export function measuredGrid(
  view: View,
  orientation: number,
  gaze: number,
  plane: MeasuredPlane,
  gap = DEFAULT_LINE_SPACING.gap,
): MeasuredLines {
  const [origin, u, v] = frameOf(view, orientation, gaze, plane);
  const families = [family(view, origin, u, v, plane.every, gap), family(view, origin, v, u, plane.every, gap)];
  return {
    lines: Float64Array.from(families.flatMap((one) => [...one.lines])),
    numbers: Int32Array.from(families.flatMap((one) => [...one.numbers])),
  };
}

/** Lines along `way`, `every` metres apart along `step`. */
function family(view: View, origin: Vec3, way: Vec3, step: Vec3, every: number, leastGap: number): MeasuredLines {
  const vanish = vanishingPoint(view, way);
  const home = Math.round(dot(sub(view.eye, origin), step) / every);
  const seen = (k: number) => drawn(view, add(origin, scale(step, k * every)), way, vanish);
  // How far apart two lines are: as an angle about their point, or in mm where they run parallel.
  const gapBetween = (a: Drawn, b: Drawn | null) =>
    !b
      ? Infinity
      : vanish.at
        ? turn(a.way, b.way)
        : Math.abs((b.at[0] - a.at[0]) * a.way[1] - (b.at[1] - a.at[1]) * a.way[0]);
  const far = vanish.at ? Math.max(...corners(view.frame).map((corner) => distance2(corner, vanish.at))) : 1;
  const lines: number[] = [];
  const numbers: number[] = [];
  for (const side of [1, -1]) {
    for (let n = 0, k = side > 0 ? home : home - 1; n < MAX_LINES; n++, k += side) {
      const line = seen(k);
      if (!line) continue;
      // Where neighbours would clot even at the panel's farthest corner, only lines that can be halved often enough are
      // left; once none can, all farther ones are out too.
      const least = gapBetween(line, seen(k + side)) * far;
      if (least * 2 ** HALVINGS < leastGap) break;
      const stride = least < leastGap ? 2 ** Math.ceil(Math.log2(leastGap / least)) : 1;
      if (k % stride !== 0) {
        k = stride * (side > 0 ? Math.ceil(k / stride) : Math.floor(k / stride)) - side;
        continue;
      }
      const whole = 2 ** halvings(k, HALVINGS);
      const gap = Math.min(gapBetween(line, seen(k + whole)), gapBetween(line, seen(k - whole)));
      if (!vanish.at && gap < leastGap) continue;
      const range = clipLine(line, view.frame, vanish.at ? leastGap / gap : -Infinity);
      if (!range) continue;
      lines.push(...range);
      numbers.push(k);
    }
  }
  return { lines: Float64Array.from(lines), numbers: Int32Array.from(numbers) };
}

interface Drawn {
  /** Where the line starts on paper, and its unit direction: from its vanishing point, or along itself. */
  readonly at: Vec2;
  readonly way: Vec2;
}

/**
 * A world line on paper: as a half-line from its vanishing point, or as a whole line where it has none. Null where it
 * is not seen.
 */
function drawn(view: View, point: Vec3, way: Vec3, vanish: VanishingPoint): Drawn | null {
  if (!vanish.at) {
    const seen = project(view, point);
    const angle = radians(vanish.angle ?? 0);
    return seen && { at: seen, way: [Math.cos(angle), Math.sin(angle)] };
  }
  // The line goes from its point through wherever it is a metre before the eye.
  const depth = dot(sub(point, view.eye), view.forward);
  const seen = project(view, add(point, scale(way, (1 - depth) / dot(way, view.forward))));
  if (!seen) return null;
  const [dx, dy] = [seen[0] - vanish.at[0], seen[1] - vanish.at[1]];
  const length = Math.hypot(dx, dy);
  return length < 1e-9 ? null : { at: vanish.at, way: [dx / length, dy / length] };
}

function clipLine({ at, way }: Drawn, frame: Rect, clear: number): number[] | null {
  const range = clipToRect(at, way, frame, [clear, Infinity]);
  return range && range.flatMap((t) => [at[0] + t * way[0], at[1] + t * way[1]]);
}

/** The angle between two unit directions on paper. */
const turn = (a: Vec2, b: Vec2): number => Math.abs(Math.atan2(a[0] * b[1] - a[1] * b[0], a[0] * b[0] + a[1] * b[1]));
