import { degrees, scale, unit, type Vec2, type Vec3 } from "../geometry";
import { horizonOf, project } from "./camera";
import type { Fit } from "./fit";
import { bestFit, inNorm, spanned, toldFocal, type Asked, type Family, type InNorm, type Model } from "./model";
import type { RecoveredPoint } from "./point";
import { linesOf, residual } from "./segments";

export type { Asked, Family } from "./model";

/** A camera behind a picture: what it saw, and how sure that is. */
export interface RecoveredView {
  readonly points: readonly (RecoveredPoint & { readonly name: string })[];
  /**
   * Px, with its standard deviation; null where the picture cannot tell it. Where the edges miss the view by more than
   * the hand does, bounds are as much wider (the Birge ratio: R. T. Birge, Phys. Rev. 40, 1932 (from memory)).
   */
  readonly focalLength: { readonly px: number; readonly sd: number } | null;
  /** Px. */
  readonly centre: Vec2;
  /** a x + b y + c = 0 with a^2 + b^2 = 1; null where nothing tells it. */
  readonly horizon: { readonly a: number; readonly b: number; readonly c: number } | null;
  /** Degrees; null where the picture cannot tell. */
  readonly pitch: number | null;
  readonly roll: number | null;
  /** Standard deviations of look up and roll, degrees; null where they are not told. */
  readonly sure: { readonly pitch: number; readonly roll: number } | null;
  /** World directions of the families that were fitted, in camera axes right, down, forward, by family. */
  readonly directions: readonly (Vec3 | null)[];
  /** The points of the fitted view, homogeneous, px, by family; null for what was not fitted. */
  readonly fitted: readonly (Vec3 | null)[];
  /** How well the view explains the edges; null where none is fitted. */
  readonly misfit: Misfit | null;
  /** What the picture cannot tell, and what would help; null where it told all. */
  readonly lacking: string | null;
}

/** How well a view explains the edges of its families. */
export interface Misfit {
  /** Sum of squares of the residuals, each in its standard deviation, over how many more edges than parameters. */
  readonly chiSquare: number;
  readonly freedom: number;
  /** How far each edge misses the fitted view, in its standard deviation, by family; null for what was not fitted. */
  readonly residuals: readonly (readonly number[] | null)[];
}
/** A point farther off than this many half longer sides does not count as one in words. */
const NEAR = 50;

/** What to add where no two families at right angles are there. */
const lackingOne = (levels: number, square: boolean): string =>
  levels === 1
    ? "One set only: it tells one point. Trace a second level set at right angles to it, or uprights; or give the " +
      "lens and say that the camera was level or where the horizon is."
    : square
      ? "No level set yet: trace edges that run to the left or right point."
      : "No two families at right angles are known: trace a second level one, or uprights, and say which they are.";
/** A lens whose logarithm is less sure than this is not told. */
const UNSURE = 1;
/** How far every edge of the families misses the fitted view, strays included; and the sum of squares without them. */
function misfitOf(families: readonly Family[], asked: Asked, given: InNorm, model: Model, { at }: Fit): Misfit {
  const { f, c, direction } = model.read(at);
  const sigma = (asked.sigma ?? 1) / given.norm.size;
  const residuals = families.map(({ segments }, i) => {
    if (!model.used.includes(i)) return null;
    const lines = linesOf(segments, given.norm);
    const v = unit(project(direction(i), f, c));
    return segments.map((_, k) => residual(lines, k, v) / sigma);
  });
  const counted = residuals.flatMap((own, i) => own?.filter((_, k) => !given.points[i].strays.includes(k)) ?? []);
  return {
    chiSquare: counted.reduce((sum, off) => sum + off * off, 0),
    freedom: Math.max(0, counted.length - model.start.length),
    residuals,
  };
}
/** Standard deviations of look up and roll by the axis that is up, degrees. */
function surenessOf(model: Model, { at, covariance }: Fit, wider: number): RecoveredView["sure"] {
  const angles = (moved: readonly number[]) => {
    const axis = model.read(moved).axes[model.upAxis];
    const [x, y, z] = axis[1] > 0 ? scale(axis, -1) : axis;
    return [Math.asin(Math.max(-1, Math.min(1, z))), Math.atan2(-x, -y)] as const;
  };
  const step = 1e-5;
  const slopes = at.map((_, k) => {
    const [ahead, behind] = [step, -step].map((by) => angles(at.map((value, j) => (j === k ? value + by : value))));
    return [0, 1].map((which) => (ahead[which] - behind[which]) / (2 * step));
  });
  const sd = (which: 0 | 1) =>
    degrees(
      Math.sqrt(
        wider *
          Math.max(
            0,
            slopes.reduce(
              (sum, p, i) => sum + slopes.reduce((part, q, k) => part + p[which] * q[which] * covariance![i][k], 0),
              0,
            ),
          ),
      ),
    );
  return { pitch: sd(0), roll: sd(1) };
}
/** What would help where the lens is not told. */
function lackingLens({ points, given }: InNorm, fixed: readonly number[]): string {
  const finite = fixed.filter((i) => points[i].at !== null);
  if (finite.length >= 2 && toldFocal({ points, given }, fixed) === null)
    return (
      "These points cannot be at right angles about this centre: either an edge is in the wrong family, or the " +
      "picture was cropped. Leave the centre free, or trace uprights too."
    );
  const near = fixed.filter((i) => {
    const [x, y, w] = points[i].direction;
    return Math.hypot(x, y) < NEAR * Math.abs(w);
  });
  return near.length === 1
    ? "One point only: the picture tells where you look, but not with which lens. Trace edges that run " +
        "slantwise to the wall, as a side street's or the diagonal of square paving, or give the lens."
    : "The picture cannot tell its lens: its points are parallel or as good as. Trace edges of another " +
        "direction at right angles, or give the lens.";
}

/** A view of which only the points of its families are known, and what it lacks. */
const onlyPoints = ({ points, norm }: InNorm, { centre }: Asked, lacking: string): RecoveredView => ({
  points,
  focalLength: null,
  centre: centre ?? [norm.x, norm.y],
  horizon: null,
  pitch: null,
  roll: null,
  sure: null,
  misfit: null,
  directions: points.map(() => null),
  fitted: points.map(() => null),
  lacking,
});

/**
 * The whole view at once: focal length, rotation and, where three points tell it, the centre, fitted to all edges of
 * all families under the condition that the first two level families and the uprights are at right angles (Hartley and
 * Zisserman, Multiple View Geometry, 2004, ch. 8 (from memory)). Further level families may run any level way. Bounds
 * come from the information matrix.
 * @throws NoAnswer where no family has two edges that meet
 */
export function recoverView(families: readonly Family[], asked: Asked): RecoveredView {
  const given = inNorm(families, asked);
  const { norm, points, known } = given;
  const found = spanned(families, asked, given);
  if (!found) {
    const levels = families.filter(({ role }) => role === "horizontal").length;
    return onlyPoints(given, asked, lackingOne(levels, asked.square ?? true));
  }
  const { model, fitted } = bestFit(families, asked, given, found);
  const { axes, f, c, direction } = model.read(fitted.at);
  const misfit = misfitOf(families, asked, given, model, fitted);
  const wider = Math.max(1, misfit.chiSquare / Math.max(1, misfit.freedom));
  const axis = axes[model.upAxis];
  const up = axis[1] > 0 ? scale(axis, -1) : axis;
  const variance = model.tellsFocal && fitted.covariance ? wider * fitted.covariance[3][3] : undefined;
  const sure = known !== null || (variance !== undefined && Math.sqrt(variance) < UNSURE);
  const level = sure || (asked.level ?? false);
  return {
    points,
    focalLength: sure ? { px: f * norm.size, sd: f * Math.sqrt(variance ?? 0) * norm.size } : null,
    centre: [norm.x + norm.size * c[0], norm.y + norm.size * c[1]],
    horizon: level ? horizonOf(up, f, c, norm) : null,
    pitch: level ? degrees(Math.asin(Math.max(-1, Math.min(1, up[2])))) : null,
    roll: level ? degrees(Math.atan2(-up[0], -up[1])) : null,
    sure: level && fitted.covariance ? surenessOf(model, fitted, wider) : null,
    misfit,
    directions: families.map((_, i) => (model.used.includes(i) ? direction(i) : null)),
    fitted: families.map((_, i) => {
      if (!model.used.includes(i)) return null;
      const [x, y, w] = project(direction(i), f, c);
      return [norm.size * x + norm.x * w, norm.size * y + norm.y * w, w] as const;
    }),
    lacking: sure ? null : lackingLens(given, found.fixed),
  };
}
