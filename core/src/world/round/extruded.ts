import { add, cross, dot, scale, sub, type Vec2, type Vec3 } from "../../geometry";
import { bendBetween } from "./bend";
import { sagittaAt, type Fineness } from "./how";
import { MeshBook, type Mesh } from "./mesh";
import {
  directionOn,
  normalOn,
  piecesOfOutline,
  placeOn,
  stepsOf,
  type OutlinePoint,
  type Piece,
  surfaceNumbers,
} from "./outline";

/**
 * A plane's frame: its origin, and the unit directions of its two axes; what is extruded runs along their cross
 * product.
 */
export interface PlaneFrame {
  readonly origin: Vec3;
  readonly x: Vec3;
  readonly y: Vec3;
}

/** A closed outline with straight and round sides, and holes in it, extruded square to its plane. */
export interface Extruded {
  readonly kind: "extruded";
  readonly frame: PlaneFrame;
  /** Counter-clockwise as seen from where it is extruded to. */
  readonly outline: readonly OutlinePoint[];
  /** Counter-clockwise, too. */
  readonly holes?: readonly (readonly OutlinePoint[])[];
  /** From where to where it is extruded, m. */
  readonly from: number;
  readonly to: number;
}

/** Nearer to a place where the surface turns away than this share of a step, none is put. */
const CLOSE = 0.3;

/** The places of an arc: evenly, and where its cylinder turns away from an eye. */
function stepsAlong({ arc }: Piece, eye: Vec2 | null, sagitta: number): readonly number[] {
  if (!arc) return [0];
  const { centre, radius, start, sweep } = arc;
  const steps = stepsOf(radius, Math.abs(sweep), sagitta);
  const even = Array.from({ length: steps }, (_, i) => i / steps);
  const far = eye ? Math.hypot(eye[0] - centre[0], eye[1] - centre[1]) : 0;
  if (!eye || far <= radius) return even;
  const [towards, away] = [Math.atan2(eye[1] - centre[1], eye[0] - centre[0]), Math.acos(radius / far)];
  const marks = [towards + away, towards - away].flatMap((angle) => {
    const turn = (angle - start) * Math.sign(sweep);
    const share = (turn - 2 * Math.PI * Math.floor(turn / (2 * Math.PI))) / Math.abs(sweep);
    return share > 1e-9 && share < 1 - 1e-9 ? [share] : [];
  });
  const kept = even.filter((t) => t === 0 || marks.every((mark) => Math.abs(mark - t) * steps > CLOSE));
  return [...kept, ...marks].sort((a, b) => a - b);
}

/** The numbers of the surfaces that the sides of an extruded outline are of, as its facets have them. */
export const surfacesAround = (outline: readonly OutlinePoint[]): readonly number[] =>
  surfaceNumbers(piecesOfOutline(outline, true), true);

/** The facets of what is extruded: for an eye, its rims and where it turns away are edges that lie exactly there. */
export function meshOfExtruded({ frame, outline, holes = [], from, to }: Extruded, how: Fineness): Mesh {
  const book = new MeshBook();
  const along = cross(frame.x, frame.y);
  const inWorld = ([x, y]: Vec2): Vec3 => add(scale(frame.x, x), scale(frame.y, y));
  const placed = (at: Vec2, out: number): Vec3 => add(add(frame.origin, inWorld(at)), scale(along, out));
  const seen = how.eye && sub(how.eye, frame.origin);
  const eye: Vec2 | null = seen ? [dot(seen, frame.x), dot(seen, frame.y)] : null;
  const depth = seen ? dot(seen, along) : 0;
  const aside = Math.max(from - depth, 0, depth - to);
  const sagittaOf = ({ arc }: Piece) =>
    arc && eye
      ? sagittaAt(how, Math.hypot(Math.hypot(eye[0] - arc.centre[0], eye[1] - arc.centre[1]) - arc.radius, aside))
      : sagittaAt(how, 0);
  let first = 0;
  const rings = [outline, ...holes].map((points) => {
    const pieces = piecesOfOutline(points, true);
    const own = surfaceNumbers(pieces, true);
    const groups = own.map((number) => first + number);
    first += Math.max(...own) + 1;
    return pieces.flatMap((piece, i) =>
      stepsAlong(piece, eye, sagittaOf(piece)).map((t) => ({
        at: placeOn(piece, t),
        piece,
        t,
        side: i,
        group: groups[i],
      })),
    );
  });
  const put = (out: number) => rings.map((ring) => ring.map(({ at }) => book.vertex(placed(at, out))));
  const [near, far] = [put(from), put(to)];
  const [foot, top] = [near[0], far[0]];
  book.face([...foot].reverse(), { name: "bottom", holes: near.slice(1) });
  book.face(top, { name: "top", holes: far.slice(1).map((ring) => [...ring].reverse()) });
  /** Whether a wall looks at the eye between two places of a piece. */
  const looks = (r: number, piece: Piece, from: number, to: number): boolean | undefined => {
    if (!eye) return undefined;
    const [[x, y], [nx, ny]] = [placeOn(piece, (from + to) / 2), normalOn(piece, (from + to) / 2)];
    return (nx * (eye[0] - x) + ny * (eye[1] - y)) * (r === 0 ? 1 : -1) > 0;
  };
  // Flat walls come before round ones.
  for (const isRound of [false, true])
    rings.forEach((ring, r) =>
      ring.forEach(({ piece, side, t, group: round }, i) => {
        if ((piece.arc !== null) !== isRound) return;
        const k = (i + 1) % ring.length;
        const [a, b, c, d] = [near[r][i], near[r][k], far[r][k], far[r][i]];
        const last = ring[k].piece === piece ? ring[k].t || 1 : 1;
        // A round wall has its name once.
        const name = t > 0 ? undefined : r === 0 ? `wall ${side}` : `yard ${r - 1} wall ${side}`;
        book.face(r === 0 ? [a, b, c, d] : [b, a, d, c], {
          round: isRound ? round : undefined,
          surface: round,
          name,
          front: looks(r, piece, t, last),
        });
        if (!piece.arc) return;
        const [u, v] = [t, last].map((one) => inWorld(directionOn(piece, one)));
        for (const [p, q] of [
          [a, b],
          [d, c],
        ])
          book.edge(p, q, { bend: bendBetween(book.at(p), u, book.at(q), v) });
      }),
    );
  return book.mesh(false);
}
