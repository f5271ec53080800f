import { add, dot, gaps, norm, onCubic, scale, sub, union, type Interval, type Vec3 } from "../geometry";
import type { Detail, Edge, Solid } from "../world";
import type { Near } from "./directions";
import { Gathered } from "./gathered";
import { grouped } from "./grouped";
import type { Intersection } from "./intersections";
import { covers, hiddenInterval, TOUCH, type Occluder } from "./occluder";
import { openingSight } from "./openingSight";
import type { EyeSide } from "./sightMemory";
import { CREASE, DETAIL, HIDDEN, INTERSECTION, OUTLINE, type EdgeClass } from "./visibleEdges";

/** Stretches shorter than this are rounding, or what `TOUCH` leaves at a corner, in m. */
const SLIVER = 3 * TOUCH;

/** Which occluders a line passes by: those that it lies on. */
type Passed = (occluder: Occluder) => boolean;

/** How near to an occluder's plane a line is on it, m. */
type Touch = (occluder: Occluder) => number;

/** A contour is taken to lie on facets of its own surface within so many times what these leave it by. */
const GRAZING = 8;

/** More occluders than these before a face are looked for again for each line that is drawn on it. */
const MANY = 24;

/** What an eye sees of a world: how it stands to each solid, which are hidden whole, and what stands in its way. */
export interface Looked {
  readonly solids: readonly Solid[];
  readonly eye: Vec3;
  readonly stands: readonly EyeSide[];
  readonly lost: Uint8Array;
  /** Chords that stand for curves leave them by no more than this angle, rad. */
  readonly within: number;
  /** What stands in the directions of a segment or a convex polygon, the nearest first. */
  readonly near: Near;
}

/** The stretches of single solids that an eye sees, gathered as they are asked for. */
export class Sight {
  private own = new Gathered();
  private readonly outsideOf: ReturnType<typeof openingSight>;

  constructor(private readonly looked: Looked) {
    this.outsideOf = openingSight(looked.eye);
  }

  /** What was gathered since the last time. */
  taken(): ReturnType<Gathered["done"]> {
    const done = this.own.done();
    this.own = new Gathered();
    return done;
  }

  private front(s: number, f: number): boolean {
    return this.looked.stands[s].heights[f] > TOUCH;
  }

  private add(a: Vec3, b: Vec3, passed: Passed, as: EdgeClass, edge?: Edge, touch?: Touch): void {
    const least = SLIVER / norm(sub(b, a));
    const hidden = union(hiddenBy(this.looked.near([a, b]), passed, a, b, touch)).filter(([t0, t1]) => t1 - t0 > least);
    const bend = edge?.bend;
    if (edge?.detail) return this.own.push(a, b, gaps(hidden, least), DETAIL, { of: edge.detail, own: edge }, bend);
    this.own.push(a, b, gaps(hidden, least), as, undefined, bend);
    this.own.push(a, b, hidden, HIDDEN, undefined, bend);
  }

  /** The edges of a solid. */
  edgesOf(thing: Solid, s: number): void {
    const { stands, lost } = this.looked;
    const { inside } = stands[s];
    for (const edge of thing.edges) {
      const { a: from, b: to, faces, concave, smooth, detail } = edge;
      const fronts = faces.filter((face) => this.front(s, face)).length;
      if (smooth && fronts !== 1) continue;
      const [a, b] = [thing.vertices[from], thing.vertices[to]];
      // No face of a convex solid hides any other edge of it; of any solid, the edge's own faces do not.
      const ofItself = ({ solid, face }: Occluder) => solid === s && (thing.convex || faces.includes(face));
      // From outside, an edge between two faces that look away lies behind the solid itself, and so does one that folds
      // inwards beside a face that does. From inside all edges are seen.
      if (!(lost[s] || (!inside && (fronts === 0 || (concave && fronts === 1)))))
        this.add(
          a,
          b,
          ofItself,
          fronts === 1 ? OUTLINE : CREASE,
          edge,
          smooth ? this.besideContour(s, faces[0], a) : undefined,
        );
      else if (!detail) this.own.push(a, b, [[0, 1]], HIDDEN, undefined, edge.bend);
    }
  }

  /**
   * How near to its plane what a facet hides must not be. A contour grazes its own surface, whose facets leave it and
   * each other a little.
   */
  private besideContour(s: number, face: number, at: Vec3): Touch {
    const { solids, eye, within } = this.looked;
    const { faces } = solids[s];
    const grazed = GRAZING * within * norm(sub(at, eye));
    const { round } = faces[face];
    return (one) => (round !== undefined && one.solid === s && faces[one.face].round === round ? grazed : TOUCH);
  }

  /** A line in which two solids meet. */
  meetingOf({ a, b, of: [p, q] }: Intersection): void {
    const { stands, lost } = this.looked;
    const ofBoth = (one: Occluder) => [p, q].some(({ solid, face }) => solid === one.solid && face === one.face);
    const seen = [p, q].some(({ solid: s, face }) => stands[s].inside || this.front(s, face));
    if (!seen || (lost[p.solid] && lost[q.solid])) this.own.push(a, b, [[0, 1]], HIDDEN);
    else this.add(a, b, ofBoth, INTERSECTION);
  }

  /** A line that is drawn. @param before what may stand before it; where nothing is said, what is in its directions */
  detailOf(detail: Detail, before?: Iterable<Occluder>, passed: Passed = () => false): void {
    const { a, b } = detail;
    const { eye, within } = this.looked;
    const hidden = chordsOf(detail, eye, within).flatMap(({ from, to, p, q, normals }) =>
      [
        ...hiddenBy(before ?? this.looked.near([p, q]), passed, p, q),
        ...(detail.through ? this.outsideOf(detail.through, p, q) : []),
        ...(normals ? turnedAway(normals, p, q, eye) : []),
      ].map(([t0, t1]): Interval => [from + t0 * (to - from), t1 === 1 ? to : from + t1 * (to - from)]),
    );
    const seen = gaps(union(hidden), SLIVER / norm(sub(b, a)));
    this.own.push(a, b, seen, DETAIL, { of: detail, own: detail }, detail.bend);
  }

  /** What is drawn on the round surfaces of a solid: a surface hides nothing that is drawn on it, but turns away. */
  private drawnOnRound(solid: Solid, s: number, lines: readonly Detail[]): void {
    for (const detail of lines) {
      const number = detail.on!.round?.number;
      this.detailOf(detail, undefined, (one) => one.solid === s && solid.faces[one.face].round === number);
    }
  }

  /** What is drawn on a solid, face by face. */
  drawnOn(solid: Solid, s: number, on: readonly Detail[]): void {
    if (this.looked.lost[s]) return;
    for (const [face, lines] of grouped(on, ({ on: at }) => at!.face)) {
      if (face < 0) {
        this.drawnOnRound(solid, s, lines);
        continue;
      }
      // A face that looks away shows nothing that is drawn on it.
      if (!this.looked.stands[s].inside && !this.front(s, face)) continue;
      const before = beforeFace(solid, s, face, this.looked.near);
      const passed = (one: Occluder) => one.solid === s && one.face === face;
      // Where much stands before a face, only what stands before a line itself is looked at.
      const all = before && before.length <= MANY ? before : undefined;
      if (before) for (const detail of lines) this.detailOf(detail, all, passed);
    }
  }
}

/** A chord of a line that is drawn: from and to which parameters of it, its ends, and the normals there. */
interface Chord {
  readonly from: number;
  readonly to: number;
  readonly p: Vec3;
  readonly q: Vec3;
  readonly normals?: readonly [Vec3, Vec3];
}

/** A line has no more chords than these. */
const MOST_CHORDS = 64;

/** A line as chords that leave it, as an eye sees it, by no more than an angle, rad: n of them by 1 / n^2. */
function chordsOf({ a, b, bend, on }: Detail, eye: Vec3, within: number): readonly Chord[] {
  const normals = on?.round?.normals;
  const middle = bend && onCubic(a, b, ...bend, 0.5).at;
  const off = middle ? norm(sub(scale(add(a, b), 0.5), middle)) / norm(sub(middle, eye)) : 0;
  const count = Math.max(1, Math.min(MOST_CHORDS, Math.ceil(Math.sqrt(off / within))));
  if (!bend || count === 1) return [{ from: 0, to: 1, p: a, q: b, normals }];
  const normalAt = (t: number): Vec3 => add(scale(normals![0], 1 - t), scale(normals![1], t));
  return Array.from({ length: count }, (_, i) => {
    const [from, to] = [i / count, (i + 1) / count];
    const [p, q] = [from, to].map((t) => onCubic(a, b, ...bend, t).at);
    return { from, to, p, q, ...(normals ? { normals: [normalAt(from), normalAt(to)] as const } : {}) };
  });
}

/** Which part of a line on a round surface is where that turns away from the eye, by its normals at both ends. */
function turnedAway([u, v]: readonly [Vec3, Vec3], a: Vec3, b: Vec3, eye: Vec3): Interval[] {
  const [from, to] = [dot(u, sub(eye, a)), dot(v, sub(eye, b))];
  if (from <= 0 && to <= 0) return [[0, 1]];
  if (from < 0) return [[0, from / (from - to)]];
  return to < 0 ? [[from / (from - to), 1]] : [];
}

/** What hides some of a face, and so of what is drawn on it; null where one piece hides all of it. */
function beforeFace({ vertices, faces }: Solid, s: number, face: number, near: Near): readonly Occluder[] | null {
  const found = new Set<Occluder>();
  for (const piece of faces[face].pieces) {
    const places = piece.map((n) => vertices[n]);
    for (const occluder of near(places))
      if (
        !(occluder.solid === s && occluder.face === face) &&
        !found.has(occluder) &&
        covers(occluder.planes, places) !== "none"
      )
        found.add(occluder);
  }
  const corners = faces[face].loop.map((n) => vertices[n]);
  return [...found].some(({ planes }) => covers(planes, corners) === "all") ? null : [...found];
}

/** The intervals of an edge that what it does not pass hides; no more are looked for once one hides it whole. */
function hiddenBy(
  occluders: Iterable<Occluder>,
  passed: (occluder: Occluder) => boolean,
  a: Vec3,
  b: Vec3,
  touch: Touch = () => TOUCH,
): Interval[] {
  const found: Interval[] = [];
  const out: [number, number] = [0, 0];
  for (const occluder of occluders) {
    if (passed(occluder) || !hiddenInterval(occluder.planes, a, b, out, touch(occluder))) continue;
    if (out[0] === 0 && out[1] === 1) return [[0, 1]];
    found.push([out[0], out[1]]);
  }
  return found;
}
