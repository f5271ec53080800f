import { add, cross, dot, scale, unit, type Vec2, type Vec3 } from "../geometry";
import { NoAnswer } from "../problem";
import { axesFrom, focalFrom, project, rotated, unproject, type Axes } from "./camera";
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
/** A focal length to start from where nothing tells one, in half longer sides: 29 mm on full frame. */
const SOME_F = 1.6;
/** Focal lengths to start from where the points of two families tell none, as above: 15 to 90 mm on full frame. */
const SOME_LENSES = [0.8, 1.2, 1.8, 3, 5];

/** What is asked, in the norm's units: half longer sides about the middle of the picture. */
export interface InNorm {
  readonly norm: Norm;
  readonly points: readonly (RecoveredPoint & { readonly name: string })[];
  /** The centre of vision as it is given, or the middle. */
  readonly given: Vec2;
  readonly known: number | null;
  /** What is up, told by something else than uprights: a level camera, or the horizon's plane through the eye. */
  readonly upright: (f: number, centre: Vec2) => Vec3 | null;
}

export function inNorm(families: readonly Family[], asked: Asked): InNorm {
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
export interface Spanned {
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
export function spanned(
  families: readonly Family[],
  asked: Asked,
  { points, known, upright, given }: InNorm,
): Spanned | null {
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
export function toldFocal(
  { points, given }: Pick<InNorm, "points" | "given">,
  fixed: readonly number[],
): number | null {
  let found: number | null = null;
  for (const [k, i] of fixed.entries())
    for (const j of fixed.slice(k + 1)) found ??= focalFrom(points[i].direction, points[j].direction, given);
  return found;
}

/** What is fitted, and where it stands among the parameters. */
export interface Model extends Spanned {
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
export function bestFit(
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
