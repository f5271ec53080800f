import { add, dot, scale, sub, type Vec2, type Vec3 } from "../../geometry";
import { normalOn, piecesOfOutline, placeOn, surfaceNumbers, type Piece } from "./outline";
import { frameOfAxis, ON_AXIS, piecesOfTurned, type Turned } from "./turned";
import type { Extruded } from "./extruded";
import type { RoundShape } from ".";

/** The parameter of the place of a piece that lies nearest to another, which is near it. */
function nearestOn({ from, to, arc }: Piece, [x, y]: Vec2): number {
  if (!arc) {
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
    return Math.min(1, Math.max(0, ((x - from[0]) * dx + (y - from[1]) * dy) / (dx * dx + dy * dy)));
  }
  const { centre, start, sweep } = arc;
  const turn = (Math.atan2(y - centre[1], x - centre[0]) - start) * Math.sign(sweep);
  const full = 2 * Math.PI;
  const t = (turn - full * Math.floor(turn / full)) / Math.abs(sweep);
  // Between the ends on the other side: the nearer one.
  return t <= 1 ? t : t - 1 < full / Math.abs(sweep) - t ? 1 : 0;
}

/** The normal of the nearest of some pieces at a place. */
function normalNear(pieces: readonly Piece[], at: Vec2): Vec2 | null {
  const found = pieces.map((piece) => {
    const t = nearestOn(piece, at);
    const [x, y] = placeOn(piece, t);
    return { off: Math.hypot(x - at[0], y - at[1]), normal: normalOn(piece, t) };
  });
  return found.sort((a, b) => a.off - b.off)[0]?.normal ?? null;
}

const ofSurface = (pieces: readonly Piece[], numbers: readonly number[], wanted: number): readonly Piece[] =>
  pieces.filter((_, i) => numbers[i] === wanted);

function normalOfTurned(shape: Turned, round: number, at: Vec3): Vec3 | null {
  const { axis, closed = false } = shape;
  const pieces = piecesOfTurned(shape);
  const [side, beside, up] = frameOfAxis(axis);
  const p = sub(at, axis.origin);
  const [x, y, z] = [dot(p, side), dot(p, beside), dot(p, up)];
  const r = Math.hypot(x, y);
  const normal = normalNear(ofSurface(pieces, surfaceNumbers(pieces, closed), round), [r, z]);
  if (!normal) return null;
  if (r < ON_AXIS) return Math.abs(normal[0]) < 1e-6 ? scale(up, normal[1]) : null;
  const out = add(scale(side, x / r), scale(beside, y / r));
  return add(scale(out, normal[0]), scale(up, normal[1]));
}

function normalOfExtruded({ frame, outline, holes = [] }: Extruded, round: number, at: Vec3): Vec3 | null {
  const p = sub(at, frame.origin);
  let first = 0;
  for (const ring of [outline, ...holes]) {
    const pieces = piecesOfOutline(ring, true);
    const numbers = surfaceNumbers(pieces, true);
    const normal = normalNear(ofSurface(pieces, numbers, round - first), [dot(p, frame.x), dot(p, frame.y)]);
    if (normal) return add(scale(frame.x, normal[0]), scale(frame.y, normal[1]));
    first += Math.max(...numbers) + 1;
  }
  return null;
}

/**
 * The exact normal of a round surface at a place on it, on one side of it or the other; null where there is none, as at
 * the tip of a cone.
 * @param round the number of the surface, as its facets have it
 */
export function normalOfSurface(shape: RoundShape, round: number, at: Vec3): Vec3 | null {
  if (shape.kind === "hulls") return null;
  return shape.kind === "revolved" ? normalOfTurned(shape, round, at) : normalOfExtruded(shape, round, at);
}
