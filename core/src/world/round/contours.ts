import { add, cross, dot, norm, scale, sub, type Vec3 } from "../../geometry";
import { bendBetween } from "./bend";
import { breakIn, turnsAway } from "./eyeAt";
import type { MeshBook } from "./mesh";
import { curvatureOf, directionOn, normalOn, placeOn, type Piece } from "./outline";
import { rimSagitta, type PieceRow, type Turn } from "./rows";
import { frameOfAxis, ON_AXIS, type Axis } from "./turned";

/** The places and directions of a turned surface, by angles from a first one. */
export interface Around {
  /** The unit direction across the axis at an angle, and the one a quarter turn on. */
  across(at: number): readonly [Vec3, Vec3];
  place(r: number, z: number, at: number): Vec3;
  /** The unit direction of the outline at a parameter of a piece. */
  meridian(piece: Piece, t: number, at: number): Vec3;
}

/** @param first the angle that others are counted from, radians */
export function aroundAxis(axis: Axis, first: number): Around {
  const [side, beside, up] = frameOfAxis(axis);
  const across = (at: number): readonly [Vec3, Vec3] => {
    const [c, s] = [Math.cos(at + first), Math.sin(at + first)];
    return [add(scale(side, c), scale(beside, s)), add(scale(side, -s), scale(beside, c))];
  };
  return {
    across,
    place: (r, z, at) => add(add(axis.origin, scale(up, z)), scale(across(at)[0], r)),
    meridian: (piece, t, at) => {
      const [r, z] = directionOn(piece, t);
      return add(scale(across(at)[0], r), scale(up, z));
    },
  };
}

/** A contour between two rows is halved so many times at most. */
const MOST_HALVINGS = 7;

/** A place of a contour: its parameter, its vertex, which way it runs, and how its surface curves along the sight. */
interface ContourPlace {
  readonly t: number;
  readonly vertex: number;
  readonly way: Vec3;
  readonly over: number;
}

/** The contours of a turned solid for an eye. */
export class Contours {
  constructor(
    private readonly turn: Turn,
    private readonly book: MeshBook,
    private readonly surface: Around,
  ) {}

  /**
   * The vertices of a contour between two rows, both ends included, and tells of its edges how they are curved:
   * conjugate to the line of sight; and whether their own surface hides them: where that curves inwards along the line
   * of sight. Both by the second fundamental form.
   */
  between(piece: Piece, half: number, lower: PieceRow, upper: PieceRow): readonly number[] {
    const [low, high] = this.turn.halves[half];
    const [a, b] = [lower.breaks[half], upper.breaks[half]];
    // At the ends of a half turn there is none: both sides of those face one way.
    if (a === b && (a === low || a === high)) return [];
    const end = ({ row, t }: PieceRow, at: number) => this.at(piece, t, at, row.vertices[row.angles.indexOf(at)]);
    const [first, last] = [end(lower, a), end(upper, b)];
    if (first.vertex === last.vertex) return [];
    const chain = [first, ...(piece.arc ? this.halved(piece, half, first, last, MOST_HALVINGS) : []), last];
    for (let i = 0; i + 1 < chain.length; i++) {
      const [p, q] = [chain[i], chain[i + 1]];
      const [from, to] = [this.book.at(p.vertex), this.book.at(q.vertex)];
      const bend = piece.arc ? { bend: bendBetween(from, p.way, to, q.way) } : {};
      this.book.edge(p.vertex, q.vertex, { ...bend, concave: p.over + q.over < 0 });
    }
    return chain.map(({ vertex }) => vertex);
  }

  /** Places of a contour between two others, as many as keep its chords near it. */
  private halved(piece: Piece, half: number, from: ContourPlace, to: ContourPlace, depth: number): ContourPlace[] {
    if (depth === 0) return [];
    const t = (from.t + to.t) / 2;
    const at = breakIn(this.turn.halves[half], turnsAway(piece, t, this.turn.eye!));
    const [r, z] = placeOn(piece, t);
    const place = this.surface.place(r, z, at);
    const [p, q] = [this.book.at(from.vertex), this.book.at(to.vertex)];
    const way = sub(q, p);
    if (norm(cross(sub(place, p), way)) <= rimSagitta(this.turn, [r, z]) * norm(way)) return [];
    const middle = this.at(piece, t, at, this.book.vertex(place));
    return [
      ...this.halved(piece, half, from, middle, depth - 1),
      middle,
      ...this.halved(piece, half, middle, to, depth - 1),
    ];
  }

  private at(piece: Piece, t: number, at: number, vertex: number): ContourPlace {
    const [meridian, parallel] = [this.surface.meridian(piece, t, at), this.surface.across(at)[1]];
    const sight = sub(this.book.at(vertex), this.turn.how.eye!);
    const [r] = placeOn(piece, t);
    const [k1, k2] = [curvatureOf(piece), r < ON_AXIS ? 0 : normalOn(piece, t)[0] / r];
    const [m, p] = [dot(sight, meridian), dot(sight, parallel)];
    const way = add(scale(meridian, k2 * p), scale(parallel, -k1 * m));
    const size = norm(way);
    return { t, vertex, way: size < 1e-12 ? meridian : scale(way, 1 / size), over: k1 * m * m + k2 * p * p };
  }
}
