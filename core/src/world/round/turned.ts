import { add, cross, norm, scale, sub, dot, type Vec2, type Vec3 } from "../../geometry";
import { bendBetween, type Bend } from "./bend";
import { insideSagittaAt, sagittaAt, wantsFrontsOnly, type Fineness } from "./how";
import { MeshBook, type Mesh } from "./mesh";
import {
  curvatureOf,
  directionOn,
  isSmooth,
  normalOn,
  piecesOf,
  placeOn,
  stepsOf,
  type OutlinePoint,
  type Piece,
} from "./outline";

/** An axis: a place on it, its unit direction, and the unit direction across it in which angles begin. */
export interface Axis {
  readonly origin: Vec3;
  readonly up: Vec3;
  readonly side: Vec3;
}

/**
 * A solid of revolution: a half outline, by distance from the axis and height over its origin, which runs upwards with
 * the solid on its left, and the angles that it is turned through, radians, counter-clockwise seen from the axis's end.
 */
export interface Turned {
  readonly kind: "revolved";
  readonly axis: Axis;
  readonly outline: readonly OutlinePoint[];
  /** Whether the outline leads back to its first place, as that of a ring does; else it is closed along the axis. */
  readonly closed?: boolean;
  /** All the way around where nothing is said. */
  readonly sweep?: readonly [from: number, to: number];
}

/** Distances from the axis under this are none, m; angles nearer to each other are one, radians. */
const [ON_AXIS, SAME] = [1e-9, 1e-9] as const;
/** Parameters nearer to the end of a piece are that end. */
const INSIDE = 1e-6;
/** Of steps around a circle, those nearer to a special angle are left out. */
const CLOSE = 0.3;
/** Behind their contours, convex solids have one step for so many. */
const COARSER = 4;
/** Where the contour of a piece ends within it is looked for between so many places. */
const SAMPLES = 24;

/** Beside the ends of a contour there are rows at these shares of a step. */
const BESIDE = [1 / 64, 1 / 16, 1 / 4, 9 / 16] as const;
/** A contour between two rows is halved so many times at most. */
const MOST_HALVINGS = 7;

/** The eye in an axis's frame: its distance from the axis, its height, and its angle. */
interface EyeAt {
  readonly far: number;
  readonly height: number;
  readonly angle: number;
}

/** A circle of a turned surface: its vertices stand at angles from that of the eye. */
interface Row {
  readonly r: number;
  readonly z: number;
  /** Whether it is an edge of the solid; else it lies within a smooth surface. */
  readonly isRim: boolean;
  readonly marks: number[];
  /** From where to where, around it, its surfaces look at the eye. */
  readonly seen: (readonly [number, number])[];
  angles: readonly number[];
  vertices: readonly number[];
}

/** A place of a contour: its parameter, its vertex, which way the contour runs, and how its surface curves along sight. */
interface ContourPlace {
  readonly t: number;
  readonly vertex: number;
  readonly way: Vec3;
  readonly over: number;
}

/** What is told of a facet: its surface, and whether that looks at the eye. */
interface FacetTold {
  readonly round: number;
  readonly front: boolean | undefined;
}

/** A row of a piece: where on it, and up to which angle on either side of the eye's its surface faces one way. */
interface PieceRow {
  readonly row: Row;
  readonly t: number;
  /** Where the contour crosses the row, one angle in each half turn. */
  readonly breaks: readonly number[];
}

/** An outline that begins and ends on the axis, unless it is closed. */
function closedOutline({ outline, closed }: Turned): readonly OutlinePoint[] {
  if (closed) return outline;
  const [first, last] = [outline[0], outline[outline.length - 1]];
  const foot: OutlinePoint[] = first.at[0] > ON_AXIS ? [{ at: [0, first.at[1]] }] : [];
  const head: OutlinePoint[] = last.at[0] > ON_AXIS ? [{ at: [0, last.at[1]] }] : [];
  return [...foot, ...outline, ...head];
}

/** An arc in parts within which its normal does not pass the axis's direction. */
function cutWhereLevel(piece: Piece): readonly Piece[] {
  const { arc } = piece;
  if (!arc) return [piece];
  const shares = [-2.5, -1.5, -0.5, 0.5, 1.5, 2.5]
    .map((k) => (k * Math.PI - arc.start) / arc.sweep)
    .filter((t) => t > INSIDE && t < 1 - INSIDE)
    .sort((a, b) => a - b);
  const cuts = [0, ...shares, 1];
  return cuts.slice(1).map((t, i): Piece => {
    const part = { ...arc, start: arc.start + cuts[i] * arc.sweep, sweep: (t - cuts[i]) * arc.sweep };
    return { from: placeOn(piece, cuts[i]), to: placeOn(piece, t), arc: part };
  });
}

/** Whether a turned solid is convex: it goes all the way around, and its outline turns to the left only. */
export function isConvexTurned(turned: Turned): boolean {
  if (turned.closed || turned.sweep) return false;
  const pieces = piecesOf(closedOutline(turned), false);
  return pieces.every((piece, i) => {
    if (curvatureOf(piece) < 0) return false;
    if (i === 0) return true;
    const [a, b] = [directionOn(pieces[i - 1], 1), directionOn(piece, 0)];
    return a[0] * b[1] - a[1] * b[0] > -1e-9;
  });
}

/** The directions of an axis's frame. */
const framesOf = ({ up, side }: Axis): readonly [Vec3, Vec3, Vec3] => [side, cross(up, side), up];

function eyeIn(axis: Axis, eye: Vec3): EyeAt {
  const from = sub(eye, axis.origin);
  const [x, y, z] = framesOf(axis).map((way) => dot(from, way));
  return { far: Math.hypot(x, y), height: z, angle: Math.atan2(y, x) };
}

/** Whether a piece is a level disc or ring. */
const isLevel = ({ from, to, arc }: Piece): boolean => arc === null && Math.abs(from[1] - to[1]) < ON_AXIS;

/**
 * The angle from that of the eye at which a row of a surface of revolution turns away from it, 0 to pi: the normal n
 * there is square to the line of sight, nr (far cos(angle) - r) + nz (height - z) = 0.
 */
function turnsAway(piece: Piece, at: number, { far, height }: EyeAt): number {
  // Where an arc ends level, it turns away as it does just before.
  const t = piece.arc && Math.abs(normalOn(piece, at)[0]) < INSIDE ? at + (at < 0.5 ? INSIDE : -INSIDE) : at;
  const [r, z] = placeOn(piece, t);
  const [nr, nz] = normalOn(piece, t);
  if (Math.abs(nr) < 1e-12 || far < ON_AXIS) return 0;
  const cosine = (r * nr - nz * (height - z)) / (far * nr);
  return Math.acos(Math.min(1, Math.max(-1, cosine)));
}

/** The parameters at which the contour of a round piece begins or ends, by halving. */
function contourEnds(piece: Piece, eye: EyeAt): readonly number[] {
  const isOpen = (t: number) => {
    const angle = turnsAway(piece, t, eye);
    return angle > 0 && angle < Math.PI;
  };
  return Array.from({ length: SAMPLES }, (_, i) => i).flatMap((i) => {
    let [a, b] = [i / SAMPLES, (i + 1) / SAMPLES];
    const [first, last] = [isOpen(a), isOpen(b)];
    if (first === last) return [];
    for (let k = 0; k < 48; k++) {
      const middle = (a + b) / 2;
      if (isOpen(middle) === first) a = middle;
      else b = middle;
    }
    // The side on which there is none: exactly at the end the angle is 0 or pi.
    return [first ? b : a];
  });
}

/** Whether some of a convex piece looks at an eye: at the angle of the eye, its middle or one of its ends does. */
const looksAt = (piece: Piece, { far, height }: EyeAt): boolean =>
  [0, 0.5, 1].some((t) => {
    const [[r, z], [nr, nz]] = [placeOn(piece, t), normalOn(piece, t)];
    return nr * (far - r) + nz * (height - z) > 0;
  });

/** How far the eye is from a circle of a turned surface, m. */
const distanceTo = ([r, z]: Vec2, { far, height }: EyeAt): number => Math.hypot(far - r, height - z);

/** Builds the facets of one turned solid. */
class Turning {
  private readonly book = new MeshBook();
  private readonly eye: EyeAt | null;
  private readonly pieces: readonly Piece[];
  /** The half turns that it is cut into, from the eye's angle on, and whether it closes on itself. */
  private readonly halves: readonly (readonly [number, number])[];
  private readonly around: boolean;
  private readonly frontsOnly: boolean;
  private most = 8;
  /** Whether it is convex and looked at from outside. */
  private readonly isPlain: boolean;

  constructor(
    private readonly turned: Turned,
    private readonly how: Fineness,
  ) {
    this.eye = how.eye ? eyeIn(turned.axis, how.eye) : null;
    this.pieces = piecesOf(closedOutline(turned), turned.closed ?? false).flatMap(cutWhereLevel);
    this.around = turned.sweep === undefined;
    this.frontsOnly = wantsFrontsOnly(how);
    const isConvex = isConvexTurned(turned);
    this.isPlain = isConvex && this.eye !== null && this.pieces.some((piece) => looksAt(piece, this.eye!));
    const begin = turned.sweep ? turned.sweep[0] - (this.eye?.angle ?? 0) : 0;
    const low = begin - 2 * Math.PI * Math.floor(begin / (2 * Math.PI));
    const high = low + (turned.sweep ? turned.sweep[1] - turned.sweep[0] : 2 * Math.PI);
    const halves: (readonly [number, number])[] = [];
    for (let k = Math.floor(low / Math.PI); k * Math.PI < high - SAME; k++) {
      const half = [Math.max(low, k * Math.PI), Math.min(high, (k + 1) * Math.PI)] as const;
      if (half[1] - half[0] > SAME) halves.push(half);
    }
    this.halves = halves;
  }

  mesh(): Mesh {
    const rows = this.rowsOfPieces();
    const all = [...new Set(rows.flat().map(({ row }) => row))];
    this.most = this.mostSteps(all);
    // The middle of a whole disc is no corner of anything.
    const discs = rows.filter((_, p) => isLevel(this.pieces[p]) && this.isDisc(this.pieces[p]));
    const unused = new Set(this.around ? discs.flat().map(({ row }) => row) : []);
    for (const row of all) if (row.r >= ON_AXIS || !unused.has(row)) this.place(row);
    this.pieces.forEach((piece, p) => {
      if (isLevel(piece) && this.isDisc(piece)) this.disc(piece, rows[p]);
    });
    if (!this.around) this.sides(rows);
    let group = -1;
    this.pieces.forEach((piece, p) => {
      const before = this.pieces[p - 1];
      if (!before || !isSmooth(before, piece)) group++;
      if (isLevel(piece) && this.isDisc(piece)) return;
      for (let i = 0; i + 1 < rows[p].length; i++) this.strip(piece, rows[p][i], rows[p][i + 1], group);
    });
    return this.book.mesh(isConvexTurned(this.turned));
  }

  private isDisc({ from, to }: Piece): boolean {
    return from[0] < ON_AXIS || to[0] < ON_AXIS;
  }

  private sagitta(place: Vec2, isRim: boolean): number {
    const distance = this.eye ? distanceTo(place, this.eye) : 0;
    return isRim ? sagittaAt(this.how, distance) : insideSagittaAt(this.how, distance);
  }

  /** The rows of every piece: one more than its steps; where two pieces meet they share one. */
  private rowsOfPieces(): readonly (readonly PieceRow[])[] {
    const { closed } = this.turned;
    const { pieces } = this;
    const rowAt = ([r, z]: Vec2, isRim = false): Row => ({
      r,
      z,
      isRim,
      marks: [],
      seen: [],
      angles: [],
      vertices: [],
    });
    const before = (p: number) => (p > 0 || closed ? pieces[(p + pieces.length - 1) % pieces.length] : null);
    const ends = pieces.map((piece, p) => {
      const last = before(p);
      return rowAt(piece.from, last !== null && !isSmooth(last, piece));
    });
    const last = closed ? ends[0] : rowAt(pieces[pieces.length - 1].to);
    return pieces.map((piece, p) =>
      this.stepsAlong(piece).map((t): PieceRow => {
        const row = t === 0 ? ends[p] : t === 1 ? (ends[p + 1] ?? last) : rowAt(placeOn(piece, t));
        const away = this.eye && !isLevel(piece) ? turnsAway(piece, t, this.eye) : 0;
        const breaks = this.halves.map((half) => this.mark(row, half, away));
        this.halves.forEach(([low, high], h) => {
          const [first, second] = this.looks(piece, low);
          if (first !== false) row.seen.push([low, breaks[h]]);
          if (second !== false) row.seen.push([breaks[h], high]);
        });
        return { row, t, breaks };
      }),
    );
  }

  /** Between its rows an outline turns by no more than this, radians. */
  private get longest(): number {
    return this.frontsOnly && this.around ? Math.PI / 2 : Math.PI / 4;
  }

  /** The parameters of a piece's rows: evenly, and where its contour ends. */
  private stepsAlong(piece: Piece): readonly number[] {
    const { arc } = piece;
    if (!arc) return [0, 1];
    const sweep = Math.abs(arc.sweep);
    // The ends of a part of a turn are edges along the outline; facets of a hollow lie before it.
    const isFine = !this.around || arc.sweep < 0;
    const steps = Math.max(
      ...[0, 0.5, 1].map((t) => stepsOf(arc.radius, sweep, this.sagitta(placeOn(piece, t), isFine), this.longest)),
    );
    const even = Array.from({ length: steps + 1 }, (_, i) => i / steps);
    const ends = this.eye ? contourEnds(piece, this.eye) : [];
    // Beside its ends a contour runs along the rows: they are closer there.
    const close = ends.flatMap((t) => [0, ...BESIDE, ...BESIDE.map((by) => -by)].map((by) => t + by / steps));
    const inside = close.filter((t) => t > INSIDE && t < 1 - INSIDE);
    const isApart = (t: number) => t === 0 || t === 1 || inside.every((one) => Math.abs(one - t) > CLOSE / steps);
    return [...even.filter(isApart), ...inside].sort((a, b) => a - b);
  }

  /** Marks where a contour crosses a row within a half turn. */
  private mark(row: Row, [low, high]: readonly [number, number], away: number): number {
    const k = Math.floor(low / Math.PI + SAME);
    const at = Math.min(high, Math.max(low, k % 2 === 0 ? k * Math.PI + away : (k + 1) * Math.PI - away));
    const known = [low, high, ...row.marks].find((one) => Math.abs(one - at) < SAME);
    if (known === undefined) row.marks.push(at);
    return known ?? at;
  }

  /** Puts the vertices of a row: at its special angles, and evenly between them. */
  private place(row: Row): void {
    const { r, marks, isRim, seen } = row;
    const special = [...new Set([...this.halves.flat(), ...marks])].sort((a, b) => a - b);
    const [low, high] = [special[0], special[special.length - 1]];
    const step = this.stepOf(row);
    const count = r < ON_AXIS ? 0 : Math.ceil((high - low) / step);
    const [from, to] = this.away(special);
    const even = Array.from({ length: count }, (_, i) => low + i * step).filter(
      (at, i) =>
        (count < 8 * COARSER || i % COARSER === 0 || at < from || at > to) &&
        (isRim || !this.frontsOnly || seen.some(([p, q]) => at >= p && at <= q)),
    );
    const between = even.filter((at) => special.every((one) => Math.abs(one - at) > CLOSE * step));
    row.angles = [...special, ...between].sort((a, b) => a - b);
    const closes = this.around && r >= ON_AXIS;
    const first = r < ON_AXIS ? this.put(row, 0) : null;
    const vertices = row.angles.map((at) => first ?? (closes && at === high ? -1 : this.put(row, at)));
    row.vertices = vertices.map((n) => (n < 0 ? vertices[0] : n));
  }

  /** The step around a row: halved from row to row, so that the angles of one stand over those of another. */
  private stepOf({ r, z, isRim }: Row): number {
    const wanted = stepsOf(Math.max(r, ON_AXIS), 2 * Math.PI, this.sagitta([r, z], isRim));
    const halvings = Math.max(0, Math.floor(Math.log2(this.most / wanted) + 1e-9));
    return ((2 * Math.PI) / this.most) * 2 ** Math.min(halvings, Math.floor(Math.log2(this.most / 8)));
  }

  /** How many steps the row with the most of them has: a multiple of eight that can be halved. */
  private mostSteps(rows: readonly Row[]): number {
    const counts = rows.map(({ r, z, isRim }) =>
      stepsOf(Math.max(r, ON_AXIS), 2 * Math.PI, this.sagitta([r, z], isRim)),
    );
    const most = Math.max(...counts);
    const unit = most > 64 ? 32 : 8;
    return unit * Math.ceil(most / unit);
  }

  /** The angles of a row between which a convex solid is behind its contours: nothing that is seen lies there. */
  private away(special: readonly number[]): readonly [number, number] {
    if (!this.isPlain) return [Infinity, -Infinity];
    const [first, second] = [special.filter((at) => at < Math.PI), special.filter((at) => at > Math.PI)];
    return [Math.max(...first), Math.min(...second)];
  }

  private put({ r, z }: Row, at: number): number {
    return this.book.vertex(this.placeOf(r, z, at));
  }

  /** A unit direction across the axis at an angle from that of the eye, and the one a quarter turn on. */
  private across(at: number): readonly [Vec3, Vec3] {
    const [side, beside] = framesOf(this.turned.axis);
    const angle = at + (this.eye?.angle ?? 0);
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    return [add(scale(side, c), scale(beside, s)), add(scale(side, -s), scale(beside, c))];
  }

  private placeOf(r: number, z: number, at: number): Vec3 {
    const { origin, up } = this.turned.axis;
    return add(add(origin, scale(up, z)), scale(this.across(at)[0], r));
  }

  /** A level disc, or a sector of one, as one face. */
  private disc(piece: Piece, rows: readonly PieceRow[]): void {
    const [low, high] = [rows[0].row, rows[rows.length - 1].row];
    const isFoot = piece.to[0] > piece.from[0];
    const [rim, middle] = isFoot ? [high, low] : [low, high];
    const loop = this.around ? rim.vertices.slice(0, -1) : [...rim.vertices, middle.vertices[0]];
    this.rim(rim);
    this.book.face(isFoot ? [...loop].reverse() : loop, { name: isFoot ? "bottom" : "top" });
  }

  /** The flat faces of a part of a turn, at its beginning and its end. */
  private sides(rows: readonly (readonly PieceRow[])[]): void {
    const along = rows.flatMap((own, p) => (p === 0 ? own : own.slice(1))).map(({ row }) => row);
    const loopAt = (pick: (row: Row) => number) => {
      const loop = along.map(pick);
      return loop.filter((n, i) => n !== loop[(i + loop.length - 1) % loop.length]);
    };
    this.pieces.forEach((piece, p) => {
      if (!piece.arc) return;
      const ends = [this.halves[0][0], this.halves[this.halves.length - 1][1]];
      rows[p].slice(1).forEach((upper, i) => {
        const lower = rows[p][i];
        [0, 1].forEach((end) => {
          const [a, b] = [lower, upper].map(({ row }) => (end === 0 ? row.vertices[0] : row.vertices.at(-1)!));
          const [u, v] = [lower, upper].map(({ t }) => this.meridian(piece, t, ends[end]));
          if (a !== b) this.book.edge(a, b, { bend: this.bent(a, u, b, v) });
        });
      });
    });
    this.book.face(
      loopAt(({ vertices }) => vertices[0]),
      { name: "side 0" },
    );
    this.book.face(loopAt(({ vertices }) => vertices.at(-1)!).reverse(), { name: "side 1" });
  }

  private bent(a: number, along: Vec3, b: number, on: Vec3): Bend {
    return bendBetween(this.book.at(a), along, this.book.at(b), on);
  }

  private meridian(piece: Piece, t: number, at: number): Vec3 {
    const [r, z] = directionOn(piece, t);
    return add(scale(this.across(at)[0], r), scale(this.turned.axis.up, z));
  }

  /** Tells how the edges along a row are curved. */
  private rim({ r, isRim, angles, vertices }: Row): void {
    if (r < ON_AXIS || !isRim) return;
    for (let i = 0; i + 1 < angles.length; i++) {
      const [u, v] = [this.across(angles[i])[1], this.across(angles[i + 1])[1]];
      this.book.edge(vertices[i], vertices[i + 1], { bend: this.bent(vertices[i], u, vertices[i + 1], v) });
    }
  }

  /** The facets between two rows of a piece, which meet along its contour. */
  private strip(piece: Piece, lower: PieceRow, upper: PieceRow, round: number): void {
    if (lower.t === 0) this.rim(lower.row);
    if (upper.t === 1) this.rim(upper.row);
    this.halves.forEach(([low, high], h) => {
      const [a, b] = [lower.breaks[h], upper.breaks[h]];
      const [first, second] = this.looks(piece, low);
      const chain = this.eye && !isLevel(piece) ? this.contour(piece, h, [lower, a], [upper, b]) : [];
      this.zip([lower.row, low, a], [upper.row, low, b], { round, front: first }, chain);
      this.zip([lower.row, a, high], [upper.row, b, high], { round, front: second }, chain);
    });
  }

  /** Whether a piece looks at the eye before its contour and behind it, in the half turn from an angle on. */
  private looks(piece: Piece, low: number): readonly [boolean | undefined, boolean | undefined] {
    const { eye } = this;
    if (!eye) return [undefined, undefined];
    const [nr, nz] = normalOn(piece, 0.5);
    if (isLevel(piece) || eye.far < ON_AXIS || Math.abs(nr) < 1e-12) {
      const [r, z] = placeOn(piece, 0.5);
      const looks = nz * (eye.height - z) - nr * r > 0;
      return [looks, looks];
    }
    const isTowards = Math.floor(low / Math.PI + SAME) % 2 === 0;
    return isTowards === nr > 0 ? [true, false] : [false, true];
  }

  /**
   * The vertices of a contour between two rows, both ends included, and tells of its edges how they are curved: conjugate
   * to the line of sight; and whether their own surface hides them: where that curves inwards along the line of sight.
   * Both by the second fundamental form.
   */
  private contour(
    piece: Piece,
    half: number,
    [lower, a]: readonly [PieceRow, number],
    [upper, b]: readonly [PieceRow, number],
  ): readonly number[] {
    const end = ({ row, t }: PieceRow, at: number) =>
      this.contourPlace(piece, t, at, row.vertices[row.angles.indexOf(at)]);
    const [first, last] = [end(lower, a), end(upper, b)];
    if (first.vertex === last.vertex) return [];
    const isOpen = a !== b || (a - this.halves[half][0]) * (this.halves[half][1] - a) > 0;
    const between = piece.arc && isOpen ? this.between(piece, half, first, last, MOST_HALVINGS) : [];
    const chain = [first, ...between, last];
    for (let i = 0; i + 1 < chain.length; i++) {
      const [p, q] = [chain[i], chain[i + 1]];
      const bend = piece.arc ? { bend: this.bent(p.vertex, p.way, q.vertex, q.way) } : {};
      this.book.edge(p.vertex, q.vertex, { ...bend, concave: p.over + q.over < 0 });
    }
    return chain.map(({ vertex }) => vertex);
  }

  /** Places of a contour between two others, as many as keep its chords near it. */
  private between(piece: Piece, half: number, from: ContourPlace, to: ContourPlace, depth: number): ContourPlace[] {
    if (depth === 0) return [];
    const t = (from.t + to.t) / 2;
    const [low, high] = this.halves[half];
    const away = turnsAway(piece, t, this.eye!);
    const k = Math.floor(low / Math.PI + SAME);
    const at = Math.min(high, Math.max(low, k % 2 === 0 ? k * Math.PI + away : (k + 1) * Math.PI - away));
    const [r, z] = placeOn(piece, t);
    const place = this.placeOf(r, z, at);
    const [p, q] = [this.book.at(from.vertex), this.book.at(to.vertex)];
    const way = sub(q, p);
    const off = norm(cross(sub(place, p), way)) / norm(way);
    if (off <= this.sagitta([r, z], true)) return [];
    const middle = this.contourPlace(piece, t, at, this.book.vertex(place));
    return [
      ...this.between(piece, half, from, middle, depth - 1),
      middle,
      ...this.between(piece, half, middle, to, depth - 1),
    ];
  }

  private contourPlace(piece: Piece, t: number, at: number, vertex: number): ContourPlace {
    const [meridian, parallel] = [this.meridian(piece, t, at), this.across(at)[1]];
    const sight = sub(this.book.at(vertex), this.how.eye!);
    const [r] = placeOn(piece, t);
    const [k1, k2] = [curvatureOf(piece), r < ON_AXIS ? 0 : normalOn(piece, t)[0] / r];
    const [m, p] = [dot(sight, meridian), dot(sight, parallel)];
    const way = add(scale(meridian, k2 * p), scale(parallel, -k1 * m));
    const size = norm(way);
    return {
      t,
      vertex,
      way: size < 1e-12 ? meridian : scale(way, 1 / size),
      over: k1 * m * m + k2 * p * p,
    };
  }

  /** Facets between stretches of two rows: quadrilaterals where angles stand over each other, triangles elsewhere. */
  private zip(
    [lower, l0, l1]: readonly [Row, number, number],
    [upper, u0, u1]: readonly [Row, number, number],
    told: FacetTold,
    chain: readonly number[],
  ): void {
    if (this.frontsOnly && told.front === false) return;
    let [i, k] = [lower.angles.indexOf(l0), upper.angles.indexOf(u0)];
    const [lastLow, lastUp] = [lower.angles.indexOf(l1), upper.angles.indexOf(u1)];
    const [low, up] = [lower.vertices, upper.vertices];
    while (i < lastLow || k < lastUp) {
      const next = i < lastLow ? lower.angles[i + 1] : Infinity;
      const over = k < lastUp ? upper.angles[k + 1] : Infinity;
      if (next === over && lower.angles[i] === upper.angles[k]) {
        this.facet([low[i], low[i + 1], up[k + 1], up[k]], told, chain);
        i++;
        k++;
      } else if (next <= over) {
        this.facet([low[i], low[i + 1], up[k]], told, chain);
        i++;
      } else {
        this.facet([low[i], up[k + 1], up[k]], told, chain);
        k++;
      }
    }
  }

  private facet(loop: readonly number[], told: FacetTold, chain: readonly number[]): void {
    const kept = loop.filter((n, i) => n !== loop[(i + loop.length - 1) % loop.length]);
    if (kept.length < 3) return;
    const [first, last] = [chain[0], chain[chain.length - 1]];
    const at = chain.length < 3 ? -1 : kept.findIndex((n, i) => isEnds(n, kept[(i + 1) % kept.length], first, last));
    if (at < 0) return this.book.face(kept, told);
    // The side along the contour is that itself: a fan from the corner before it.
    const side = kept[at] === first ? chain : [...chain].reverse();
    const rest = kept.map((_, i) => kept[(at + 1 + i) % kept.length]).slice(1, -1);
    const apex = rest[rest.length - 1];
    side.slice(1).forEach((n, i) => this.book.face([apex, side[i], n], told));
    if (rest.length > 1) this.book.face([apex, side[side.length - 1], ...rest.slice(0, -1)], told);
  }
}

const isEnds = (p: number, q: number, first: number, last: number): boolean =>
  (p === first && q === last) || (p === last && q === first);

/** The facets of a turned solid: for an eye, its contour and its rims are edges whose ends lie exactly on them. */
export const meshOfTurned = (turned: Turned, how: Fineness): Mesh => new Turning(turned, how).mesh();

/** A place of a turned surface: its normal, and the direction of its meridian there, of length 1. */
export interface SurfacePlace {
  readonly at: Vec3;
  readonly normal: Vec3;
  readonly meridian: Vec3;
}

/** The place of a piece of an outline at a parameter, turned about an axis to an angle, radians. */
export function turnedPlace(axis: Axis, piece: Piece, t: number, angle: number): SurfacePlace {
  const [side, beside, up] = framesOf(axis);
  const out = add(scale(side, Math.cos(angle)), scale(beside, Math.sin(angle)));
  const on = ([r, z]: Vec2): Vec3 => add(scale(out, r), scale(up, z));
  return {
    at: add(axis.origin, on(placeOn(piece, t))),
    normal: on(normalOn(piece, t)),
    meridian: on(directionOn(piece, t)),
  };
}
