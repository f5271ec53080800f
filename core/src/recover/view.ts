import { add, cross, degrees, dot, scale, unit, type Vec2, type Vec3 } from "../geometry";
import { NoAnswer } from "../problem";
import { fit } from "./fit";
import { recoverPoint, type RecoveredPoint } from "./point";
import { linesOf, residual, normOf, type Segment } from "./segments";

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
  /** Px, with its standard deviation; null where the picture cannot tell it. */
  readonly focalLength: { readonly px: number; readonly sd: number } | null;
  /** Px. */
  readonly centre: Vec2;
  /** a x + b y + c = 0 with a^2 + b^2 = 1; null where nothing tells it. */
  readonly horizon: { readonly a: number; readonly b: number; readonly c: number } | null;
  /** Degrees; null where the picture cannot tell. */
  readonly pitch: number | null;
  readonly roll: number | null;
  /** World directions of the families that were fitted, in camera axes right, down, forward, by family. */
  readonly directions: readonly (Vec3 | null)[];
  /** What the picture cannot tell, and what would help; null where it told all. */
  readonly lacking: string | null;
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

type Axes = readonly [Vec3, Vec3, Vec3];

/** A rotation vector's turn of a direction: Rodrigues' formula (from memory). */
function turned(v: Vec3, [rx, ry, rz]: readonly number[]): Vec3 {
  const angle = Math.hypot(rx, ry, rz);
  if (angle < 1e-15) return v;
  const k: Vec3 = [rx / angle, ry / angle, rz / angle];
  return add(
    add(scale(v, Math.cos(angle)), scale(cross(k, v), Math.sin(angle))),
    scale(k, dot(k, v) * (1 - Math.cos(angle))),
  );
}

/** The homogeneous picture of a camera direction, through focal length and centre in the norm. */
const seen = ([x, y, z]: Vec3, f: number, [cx, cy]: Vec2): Vec3 => [f * x + cx * z, f * y + cy * z, z];
/** The camera direction of a homogeneous point. */
const ray = ([x, y, w]: Vec3, f: number, [cx, cy]: Vec2): Vec3 => unit([(x - cx * w) / f, (y - cy * w) / f, w]);

/** Focal lengths, in half longer sides, that a camera may have: 8 mm to 1,200 mm on full frame. */
const LEAST_F = 0.4;
const MOST_F = 70;

/** Squared focal length from two homogeneous points at right angles: -(v1 - c).(v2 - c); null where they tell none. */
function focalFrom(p: Vec3, q: Vec3, [cx, cy]: Vec2): number | null {
  const square = -((p[0] - cx * p[2]) * (q[0] - cx * q[2]) + (p[1] - cy * p[2]) * (q[1] - cy * q[2])) / (p[2] * q[2]);
  const f = Math.sqrt(square);
  return f >= LEAST_F && f <= MOST_F ? f : null;
}

/** Three axes at right angles nearest to two or three given directions: the second is laid square to the first. */
function axesFrom(first: Vec3, second: Vec3): Axes {
  const a = unit(first);
  const b = unit(add(second, scale(a, -dot(a, second))));
  return [a, b, cross(a, b)];
}

/**
 * The whole view at once: focal length, rotation and, where three points tell it, the centre, fitted to all edges of
 * all families under the condition that the first two level families and the uprights are at right angles (Hartley and
 * Zisserman, Multiple View Geometry, 2004, ch. 8 (from memory)). Further level families may run any level way. Bounds
 * come from the information matrix.
 * @throws NoAnswer where no family has two edges that meet
 */
export function recoverView(families: readonly Family[], asked: Asked): RecoveredView {
  const { sigma = 1, square = true, level = false } = asked;
  const norm = normOf(asked);
  const points = families.map(({ name, segments }) => {
    try {
      return { name, ...recoverPoint(segments, norm, sigma) };
    } catch (error) {
      if (error instanceof NoAnswer) throw new NoAnswer(`${name}: ${error.message}`);
      throw error;
    }
  });
  const given: Vec2 = asked.centre
    ? [(asked.centre[0] - norm.x) / norm.size, (asked.centre[1] - norm.y) / norm.size]
    : [0, 0];
  const which = (role: Family["role"]) => families.flatMap((family, i) => (family.role === role ? [i] : []));
  const [levels, [plumb]] = [which("horizontal"), which("upright")];
  const nothing = (lacking: string): RecoveredView => ({
    points,
    focalLength: null,
    centre: asked.centre ?? [norm.x, norm.y],
    horizon: null,
    pitch: null,
    roll: null,
    directions: families.map(() => null),
    lacking,
  });
  const known = asked.focalLength === undefined ? null : asked.focalLength / norm.size;
  /** What is up, told by something else than uprights: a level camera, or the horizon's plane through the eye. */
  const upright = (f: number, [cx, cy]: Vec2): Vec3 | null => {
    if (!asked.horizon) return level ? [0, -1, 0] : null;
    const { a, b, c } = asked.horizon;
    const n = unit([f * a, f * b, (a * norm.x + b * norm.y + c) / norm.size + a * cx + b * cy]);
    return n[1] > 0 ? scale(n, -1) : n;
  };
  // The pair that spans the axes: two level families at right angles, one and the uprights, or one and what is known
  // to be up.
  const pair =
    square && levels.length >= 2
      ? [levels[0], levels[1]]
      : levels.length && plumb !== undefined
        ? [levels[0], plumb]
        : null;
  const single = !pair && levels.length > 0 && known !== null ? upright(known, given) : null;
  if (!pair && !single) return nothing(lackingOne(levels.length, square));
  const spans = pair ?? [levels[0]];
  const fixed = spans.includes(plumb ?? -1) || plumb === undefined ? spans : [...spans, plumb];
  const finite = fixed.filter((i) => points[i].at !== null);
  const free = asked.centre === undefined && fixed.length === 3 && finite.length === 3;

  // A start: the focal length that the surest pair tells, and axes from it.
  let f0: number | null = known;
  for (const [k, i] of fixed.entries())
    for (const j of fixed.slice(k + 1)) f0 ??= focalFrom(points[i].direction, points[j].direction, given);
  const told = known === null && f0 !== null;
  if (known === null && !told && finite.length >= 2 && !free)
    return nothing(
      "These points cannot be at right angles about this centre: either an edge is in the wrong family, or the " +
        "picture was cropped. Leave the centre free, or trace uprights too.",
    );
  f0 ??= 1.6;
  const towards = (i: number) => ray(points[i].direction, f0 ?? 1.6, given);
  const base = axesFrom(
    towards(spans[0]),
    spans.length > 1 ? towards(spans[1]) : cross(single ?? [0, -1, 0], towards(spans[0])),
  );
  /** The axis of each fixed family: the pair's own, and their cross product. */
  const axisOf = new Map<number, 0 | 1 | 2>(spans.slice(0, 2).map((i, axis) => [i, axis as 0 | 1]));
  if (fixed.length === 3) axisOf.set(fixed[2], 2);
  const upAxis: 0 | 1 | 2 = plumb !== undefined && spans[1] === plumb ? 1 : 2;
  const levelOf = (axes: Axes): readonly [Vec3, Vec3] => [axes[0], axes[upAxis === 2 ? 1 : 2]];
  const others = levels.filter((i) => !axisOf.has(i));

  const used = [...axisOf.keys(), ...others];
  const kept = used.map((i) => families[i].segments.filter((_, k) => !points[i].strays.includes(k)));
  const lines = kept.map((segments) => linesOf(segments, norm));
  const count = kept.reduce((sum, { length }) => sum + length, 0);
  const unitSigma = sigma / norm.size;
  const tellsFocal = known === null && (told || free);
  // Parameters: rotation, then log f and the centre where they are fitted, then the turn of each further level family.
  const fAt = tellsFocal ? 3 : -1;
  const cAt = free ? 3 + (tellsFocal ? 1 : 0) : -1;
  const otherAt = 3 + (tellsFocal ? 1 : 0) + (free ? 2 : 0);
  const turnOf = (axes: Axes, i: number) => {
    const [p, q] = levelOf(axes);
    const d = ray(points[i].direction, f0 ?? 1.6, given);
    return Math.atan2(dot(d, q), dot(d, p));
  };
  const read = (at: readonly number[]) => {
    const [left, right, up] = base.map((axis) => turned(axis, at.slice(0, 3)));
    const axes: Axes = [left, right, up];
    const f = fAt < 0 ? (f0 ?? 1.6) : Math.exp(Math.min(6, Math.max(-3, at[fAt])));
    const c: Vec2 = cAt < 0 ? given : [at[cAt], at[cAt + 1]];
    const [p, q] = levelOf(axes);
    const direction = (i: number): Vec3 => {
      const axis = axisOf.get(i);
      if (axis !== undefined) return axes[axis];
      const turn = at[otherAt + others.indexOf(i)];
      return add(scale(p, Math.cos(turn)), scale(q, Math.sin(turn)));
    };
    return { axes, f, c, direction };
  };
  // What is known to be up holds the upright axis by strong pulls.
  const pulls = level || asked.horizon ? 3 : 0;
  const found = fit(
    (at, out) => {
      const { axes, f, c, direction } = read(at);
      let n = 0;
      used.forEach((i, k) => {
        const v = unit(seen(direction(i), f, c));
        for (let s = 0; s < lines[k].count; s++) out[n++] = residual(lines[k], s, v) / unitSigma;
      });
      const held = pulls ? upright(f, c) : null;
      if (held) for (const off of cross(axes[upAxis], held)) out[n++] = off * 1e6;
    },
    count + pulls,
    [0, 0, 0, ...(tellsFocal ? [Math.log(f0)] : []), ...(free ? given : []), ...others.map((i) => turnOf(base, i))],
  );

  const { axes, f, c, direction } = read(found.at);
  const up = axes[upAxis][1] > 0 ? scale(axes[upAxis], -1) : axes[upAxis];
  const variance = fAt >= 0 ? found.covariance?.[fAt][fAt] : undefined;
  const sure = known !== null || (variance !== undefined && Math.sqrt(variance) < 1);
  const [la, lb, lc] = [up[0] / f, up[1] / f, up[2] - (up[0] * c[0] + up[1] * c[1]) / f];
  const length = Math.hypot(la, lb);
  return {
    points,
    focalLength: sure ? { px: f * norm.size, sd: f * Math.sqrt(variance ?? 0) * norm.size } : null,
    centre: [norm.x + norm.size * c[0], norm.y + norm.size * c[1]],
    horizon:
      length > 1e-9 && (sure || level)
        ? { a: la / length, b: lb / length, c: (norm.size * lc - la * norm.x - lb * norm.y) / length }
        : null,
    pitch: sure || level ? degrees(Math.asin(Math.max(-1, Math.min(1, up[2])))) : null,
    roll: sure || level ? degrees(Math.atan2(-up[0], -up[1])) : null,
    directions: families.map((_, i) => (used.includes(i) ? direction(i) : null)),
    lacking: sure
      ? null
      : fixed.filter(
            (i) => Math.hypot(points[i].direction[0], points[i].direction[1]) < NEAR * Math.abs(points[i].direction[2]),
          ).length === 1
        ? "One point only: the picture tells where you look, but not with which lens. Trace edges that run " +
          "slantwise to the wall, as a side street's or the diagonal of square paving, or give the lens."
        : "The picture cannot tell its lens: its points are parallel or as good as. Trace edges of another " +
          "direction at right angles, or give the lens.",
  };
}
