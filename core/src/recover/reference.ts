import { cross, degrees, dot, unit, wrap, type Vec2, type Vec3 } from "../geometry";
import { NoAnswer } from "../problem";
import type { Reference, Shot, TracedSet } from "../scene";
import { upOf } from "./heights";
import { recoverPoint, type RecoveredPoint } from "./point";
import { byRole, familyRole } from "./roles";
import { normOf, type Segment } from "./segments";
import { recoverView, type RecoveredView } from "./view";

/** The hand's standard deviation at an end of an edge, px of the picture: about 1 (common practice). */
export const TRACING_SIGMA = 1;

/**
 * What even a corrected lens bows, as a share of half the picture's longer side: less than one px of a small picture,
 * more than a steady hand strays on one of 39 megapixels (common practice).
 */
const LENS_BOW = 0.0004;

/** The edges of a set that count, as segments, each with its place in the set. */
export const edgesOf = ({
  edges,
}: Pick<TracedSet, "edges">): readonly { readonly at: number; readonly segment: Segment }[] =>
  edges.flatMap(({ x1, y1, x2, y2, hand, out }, at) =>
    out ? [] : [{ at, segment: { a: [x1, y1], b: [x2, y2], looser: hand } as const }],
  );

/** The same as they are fitted: as sure as the less sure of the hand that traced them and the lens that bowed them. */
const fittedSegments = (reference: Pick<Reference, "width" | "height">, set: TracedSet): readonly Segment[] =>
  edgesOf(set).map(({ segment }) => ({
    ...segment,
    looser: Math.max(segment.looser ?? 1, (LENS_BOW * normOf(reference).size) / TRACING_SIGMA),
  }));

/** The line a x + b y + c = 0 through two places, or none through one. */
function lineThrough({
  x1,
  y1,
  x2,
  y2,
}: NonNullable<Reference["horizon"]>): { readonly a: number; readonly b: number; readonly c: number } | undefined {
  const [a, b] = [y1 - y2, x2 - x1];
  const length = Math.hypot(a, b);
  return length > 1e-6 ? { a: a / length, b: b / length, c: (x1 * y2 - x2 * y1) / length } : undefined;
}

/** Where the edges of one set meet; null while fewer than two of them can. */
export function pointOf(reference: Reference, set: TracedSet): RecoveredPoint | null {
  try {
    return recoverPoint(fittedSegments(reference, set), normOf(reference), TRACING_SIGMA);
  } catch (error) {
    if (error instanceof NoAnswer) return null;
    throw error;
  }
}

/**
 * The view behind a reference, from all its sets at once.
 * @throws NoAnswer where nothing can be had yet, with what to trace
 */
export function viewOfReference(reference: Reference): RecoveredView & { readonly sets: readonly TracedSet[] } {
  const sets = byRole(reference.sets.filter((set) => edgesOf(set).length >= 2));
  if (sets.length === 0)
    throw new NoAnswer("Trace two edges at least of each of two sets: they meet in the points that tell the view.");
  const { width, height, level, cropped, oblique, centre, lens35 } = reference;
  const known: Vec2 | undefined = centre ? [centre.x, centre.y] : cropped ? undefined : [width / 2, height / 2];
  const families = sets.map((set) => ({
    name: set.name,
    role: familyRole(set.role),
    segments: fittedSegments(reference, set),
  }));
  const view = recoverView(families, {
    width,
    height,
    sigma: TRACING_SIGMA,
    level,
    centre: known,
    square: !oblique,
    horizon: reference.horizon && lineThrough(reference.horizon),
    focalLength: lens35 && pxOf(reference, lens35),
  });
  return { ...view, sets };
}

/** A focal length in px as that of a lens on full frame, mm: by the diagonal, 43.27 mm there. */
export const as35 = ({ width, height }: { readonly width: number; readonly height: number }, px: number): number =>
  (px * Math.hypot(36, 24)) / Math.hypot(width, height);

/** The focal length, px, of a lens on full frame, mm. */
export const pxOf = ({ width, height }: { readonly width: number; readonly height: number }, mm: number): number =>
  (mm * Math.hypot(width, height)) / Math.hypot(36, 24);

/** How far to the right of the gaze a camera direction (right, down, forward) runs in the level plane, degrees. */
function azimuth(direction: Vec3, up: Vec3): number {
  const ahead = unit([-up[2] * up[0], -up[2] * up[1], 1 - up[2] * up[2]]);
  return degrees(Math.atan2(dot(direction, cross(ahead, up)), dot(direction, ahead)));
}

/**
 * The heading of the left set's lines off the gaze, degrees in [-90, 0): right ones run a quarter turn farther; null
 * where neither left nor right lines tell it.
 */
export function leftTurn({ sets, directions, pitch, roll }: ReturnType<typeof viewOfReference>): number | null {
  if (pitch === null || roll === null) return null;
  const up = upOf({ pitch, roll });
  const turns = sets.flatMap(({ role }, i) => {
    const d = directions[i];
    return d && (role === "left" || role === "right") ? [azimuth(d, up) - (role === "right" ? 90 : 0)] : [];
  });
  return turns.length ? wrap(turns[0], -90, 90) : null;
}

/** A place of a picture, px, on the sheet of a shot that it lies under, mm. */
export const onPaperAt = (
  { x, y, width }: NonNullable<Shot["under"]>["at"],
  reference: Pick<Reference, "width">,
  [px, py]: Vec2,
): Vec2 => {
  const k = width / reference.width;
  return [x + px * k, y + py * k];
};
