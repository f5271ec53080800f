import { add, cross, degrees, dot, scale, unit, type Vec2, type Vec3 } from "../geometry";
import { NoAnswer } from "../problem";
import { axesFrom, focalFrom, horizonOf, project, rotated, unproject, type Axes } from "./camera";
import { fit, type Fit } from "./fit";
import { recoverPoint, type RecoveredPoint } from "./point";
import { linesOf, residual, normOf, type Norm, type Segment } from "./segments";

/** Edges that run one way in the world: level, plumb, or any way. */
export interface Family {
  readonly name: string;
  readonly role: "horizontal" | "upright" | "free";
  readonly segments: readonly Segment[];
}

/** What is known of a picture, and what of it may be taken for granted. */
export interface Asked {
  readonly width: number;
  readonly height: number;
  /** Standard deviation of the hand at an end, px. */
  readonly sigma?: number;
  /** The centre of vision, px, where it is known; otherwise it is the middle, or fitted where three points tell it. */
  readonly centre?: Vec2;
  /** Whether the first two level families are at right angles; so it is with streets and walls, unless one says no. */
  readonly square?: boolean;
  /** The camera was level: no look up or down, and no roll. */
  readonly level?: boolean;
  /** The horizon, where it is known: a x + b y + c = 0, px. */
  readonly horizon?: { readonly a: number; readonly b: number; readonly c: number };
  /** The focal length, px, where it is known. */
  readonly focalLength?: number;
}

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

/** A focal length to start from where nothing tells one, in half longer sides: 29 mm on full frame. */
const SOME_F = 1.6;
/** Focal lengths to start from where the points of two families tell none, as above: 15 to 90 mm on full frame. */
const SOME_LENSES = [0.8, 1.2, 1.8, 3, 5];
/** A lens whose logarithm is less sure than this is not told. */
const UNSURE = 1;

/** What is asked, in the norm's units: half longer sides about the middle of the picture. */
interface InNorm {
  readonly norm: Norm;
  readonly points: RecoveredView["points"];
  /** The centre of vision as it is given, or the middle. */
  readonly given: Vec2;
  readonly known: number | null;
  /** What is up, told by something else than uprights: a level camera, or the horizon's plane through the eye. */
  readonly upright: (f: number, centre: Vec2) => Vec3 | null;
}

function inNorm(families: readonly Family[], asked: Asked): InNorm {
  const norm = normOf(asked);
  const { sigma = 1, level = false, horizon } = asked;
  const points = families.map(({ name, segments }) => {
    try {
      return { name, ...recoverPoint(segments, norm, sigma) };
    } catch (error) {
      if (error instanceof NoAnswer) throw new NoAnswer(`${name}: ${error.message}`);
      throw error;
    }
  });
  return {
    norm,
    points,
    given: asked.centre ? [(asked.centre[0] - norm.x) / norm.size, (asked.centre[1] - norm.y) / norm.size] : [0, 0],
    known: asked.focalLength === undefined ? null : asked.focalLength / norm.size,
    upright: (f, [cx, cy]) => {
      if (!horizon) return level ? [0, -1, 0] : null;
      const { a, b, c } = horizon;
      const n = unit([f * a, f * b, (a * norm.x + b * norm.y + c) / norm.size + a * cx + b * cy]);
      return n[1] > 0 ? scale(n, -1) : n;
    },
  };
}

/** Which families span the axes, and how the others lie to them. */
interface Spanned {
  /** The pair that spans the axes, or one family where what is known to be up is the other. */
  readonly spans: readonly number[];
  /** The families that run along an axis: the pair, and uprights. */
  readonly fixed: readonly number[];
  readonly levels: readonly number[];
  readonly plumb: number | undefined;
  /** What is known to be up, where one family spans the axes with it. */
  readonly up: Vec3 | null;
  /** Whether the centre of vision is fitted, too. */
  readonly free: boolean;
}

/**
 * The families that span the axes: two level ones at right angles, one and the uprights, or one and what is known to
 * be up.
 * @returns null where there are no two directions at right angles
 */
function spanned(families: readonly Family[], asked: Asked, { points, known, upright, given }: InNorm): Spanned | null {
  const which = (role: Family["role"]) => families.flatMap((family, i) => (family.role === role ? [i] : []));
  const [levels, [plumb]] = [which("horizontal"), which("upright")];
  const pair =
    (asked.square ?? true) && levels.length >= 2
      ? [levels[0], levels[1]]
      : levels.length && plumb !== undefined
        ? [levels[0], plumb]
        : null;
  const up = !pair && levels.length > 0 && known !== null ? upright(known, given) : null;
  if (!pair && !up) return null;
  const spans = pair ?? [levels[0]];
  const fixed = spans.includes(plumb ?? -1) || plumb === undefined ? spans : [...spans, plumb];
  const finite = fixed.filter((i) => points[i].at !== null);
  const free = asked.centre === undefined && fixed.length === 3 && finite.length === 3;
  return { spans, fixed, levels, plumb, up, free };
}

/** The focal length that the surest pair of families tells; null where none does. */
function toldFocal({ points, given }: Pick<InNorm, "points" | "given">, fixed: readonly number[]): number | null {
  let found: number | null = null;
  for (const [k, i] of fixed.entries())
    for (const j of fixed.slice(k + 1)) found ??= focalFrom(points[i].direction, points[j].direction, given);
  return found;
}

/** What is fitted, and where it stands among the parameters. */
interface Model extends Spanned {
  /** The focal length from which the fit starts, and whether it is fitted. */
  readonly f0: number;
  readonly tellsFocal: boolean;
  readonly start: readonly number[];
  /** The families of the fit: those along an axis, then further level ones, which run any level way. */
  readonly used: readonly number[];
  readonly upAxis: 0 | 1 | 2;
  readonly read: (at: readonly number[]) => {
    readonly axes: Axes;
    readonly f: number;
    readonly c: Vec2;
    readonly direction: (family: number) => Vec3;
  };
}

/**
 * Parameters: rotation, then log f and the centre where they are fitted, then the turn of each further level family.
 */
function modelOf({ points, given, known }: InNorm, found: Spanned, told: number | null): Model {
  const { spans, fixed, levels, plumb, up, free } = found;
  const f0 = known ?? told ?? SOME_F;
  const towards = (i: number) => unproject(points[i].direction, f0, given);
  const base = axesFrom(
    towards(spans[0]),
    spans.length > 1 ? towards(spans[1]) : cross(up ?? [0, -1, 0], towards(spans[0])),
  );
  /** The axis of each fixed family: the pair's own, and their cross product. */
  const axisOf = new Map<number, 0 | 1 | 2>(spans.slice(0, 2).map((i, axis) => [i, axis as 0 | 1]));
  if (fixed.length === 3) axisOf.set(fixed[2], 2);
  const upAxis = plumb !== undefined && spans[1] === plumb ? 1 : 2;
  const levelOf = (axes: Axes): readonly [Vec3, Vec3] => [axes[0], axes[upAxis === 2 ? 1 : 2]];
  const others = levels.filter((i) => !axisOf.has(i));
  const tellsFocal = known === null && (told !== null || free);
  const cAt = 3 + (tellsFocal ? 1 : 0);
  const otherAt = cAt + (free ? 2 : 0);
  const turnOf = (i: number) => {
    const [p, q] = levelOf(base);
    return Math.atan2(dot(towards(i), q), dot(towards(i), p));
  };
  return {
    ...found,
    f0,
    tellsFocal,
    start: [0, 0, 0, ...(tellsFocal ? [Math.log(f0)] : []), ...(free ? given : []), ...others.map(turnOf)],
    used: [...axisOf.keys(), ...others],
    upAxis,
    read: (at) => {
      const [left, right, third] = base.map((axis) => rotated(axis, at.slice(0, 3)));
      const axes: Axes = [left, right, third];
      const [p, q] = levelOf(axes);
      return {
        axes,
        f: tellsFocal ? Math.exp(Math.min(6, Math.max(-3, at[3]))) : f0,
        c: free ? [at[cAt], at[cAt + 1]] : given,
        direction: (i) => {
          const axis = axisOf.get(i);
          if (axis !== undefined) return axes[axis];
          const turn = at[otherAt + others.indexOf(i)];
          return add(scale(p, Math.cos(turn)), scale(q, Math.sin(turn)));
        },
      };
    },
  };
}

/** The parameters of a view that explain the edges of all its families best. */
function jointFit(families: readonly Family[], asked: Asked, given: InNorm, model: Model): Fit {
  const { norm, upright } = given;
  const kept = fittedEdges(families, given, model);
  const lines = kept.map((segments) => linesOf(segments, norm));
  const count = kept.reduce((sum, { length }) => sum + length, 0);
  const sigma = (asked.sigma ?? 1) / norm.size;
  // What is known to be up holds the upright axis by strong pulls.
  const pulls = asked.level || asked.horizon ? 3 : 0;
  return fit(
    (at, out) => {
      const { axes, f, c, direction } = model.read(at);
      let n = 0;
      model.used.forEach((i, k) => {
        const v = unit(project(direction(i), f, c));
        for (let s = 0; s < lines[k].count; s++) out[n++] = residual(lines[k], s, v) / sigma;
      });
      const held = pulls ? upright(f, c) : null;
      if (held) for (const off of cross(axes[model.upAxis], held)) out[n++] = off * 1e6;
    },
    count + pulls,
    model.start,
  );
}

/**
 * The best of the fits that start from the focal length that two points tell; where they tell none, as where edges are
 * bowed or the picture was cropped, from several.
 */
function bestFit(
  families: readonly Family[],
  asked: Asked,
  given: InNorm,
  found: Spanned,
): { readonly model: Model; readonly fitted: Fit } {
  const told = given.known === null ? toldFocal(given, found.fixed) : null;
  const finite = found.fixed.filter((i) => given.points[i].at !== null);
  const starts = given.known !== null || told !== null || finite.length < 2 ? [told] : SOME_LENSES;
  return starts
    .map((start) => {
      const model = modelOf(given, found, start);
      return { model, fitted: jointFit(families, asked, given, model) };
    })
    .reduce((best, one) => (one.fitted.cost < best.fitted.cost ? one : best));
}

/** The edges of the families that a model fits, but for their strays. */
const fittedEdges = (families: readonly Family[], { points }: InNorm, { used }: Model) =>
  used.map((i) => families[i].segments.filter((_, k) => !points[i].strays.includes(k)));

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
