import type { Vec3 } from "../../geometry";
import { bendBetween } from "./bend";
import { aroundAxis, Contours, type Around } from "./contours";
import { eyeIn, halfTurns, INSIDE, isLevel, looks, looksAt } from "./eyeAt";
import { wantsFrontsOnly, type Fineness } from "./how";
import { MeshBook, type Mesh } from "./mesh";
import { placeOn, surfaceNumbers, type Piece } from "./outline";
import { mostSteps, placeRow, rowsOf, type PieceRow, type Row, type Turn } from "./rows";
import { isConvexTurned, ON_AXIS, piecesOfTurned, type Turned } from "./turned";

/** What is told of a facet: its surface, and whether that looks at the eye. */
interface FacetTold {
  readonly round: number;
  readonly front: boolean | undefined;
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

/** Whether a piece is a whole disc, or a sector of one. */
const isDisc = (piece: Piece): boolean => isLevel(piece) && (piece.from[0] < ON_AXIS || piece.to[0] < ON_AXIS);

/** Gathers the facets of one turned solid. */
class Turning {
  private readonly book = new MeshBook();
  private readonly turn: Turn;
  /** The number of the surface that each piece is of. */
  private readonly surfaces: readonly number[];
  private readonly surface: Around;
  private readonly contours: Contours;

  constructor(
    private readonly turned: Turned,
    how: Fineness,
  ) {
    const eye = how.eye ? eyeIn(turned.axis, how.eye) : null;
    const whole = piecesOfTurned(turned);
    const closed = turned.closed ?? false;
    const cut = whole.map(cutWhereLevel);
    const pieces = cut.flat();
    this.surfaces = surfaceNumbers(whole, closed).flatMap((number, p) => cut[p].map(() => number));
    this.turn = {
      pieces,
      closed,
      around: turned.sweep === undefined,
      halves: halfTurns(turned.sweep, eye?.angle ?? 0),
      how,
      eye,
      frontsOnly: wantsFrontsOnly(how),
      isPlain: eye !== null && isConvexTurned(turned) && pieces.some((piece) => looksAt(piece, eye)),
    };
    this.surface = aroundAxis(turned.axis, eye?.angle ?? 0);
    this.contours = new Contours(this.turn, this.book, this.surface);
  }

  mesh(): Mesh {
    const { turn } = this;
    const rows = rowsOf(turn);
    const all = [...new Set(rows.flat().map(({ row }) => row))];
    const most = mostSteps(turn, all);
    // The middle of a whole disc is no corner of anything.
    const discs = rows.filter((_, p) => isDisc(turn.pieces[p]));
    const unused = new Set(turn.around ? discs.flat().map(({ row }) => row) : []);
    for (const row of all)
      if (row.r >= ON_AXIS || !unused.has(row))
        placeRow(turn, row, most, (at) => this.book.vertex(this.surface.place(row.r, row.z, at)));
    turn.pieces.forEach((piece, p) => {
      if (isDisc(piece)) this.disc(piece, rows[p]);
    });
    if (!turn.around) this.sides(rows);
    turn.pieces.forEach((piece, p) => {
      if (isDisc(piece)) return;
      for (let i = 0; i + 1 < rows[p].length; i++) this.strip(piece, rows[p][i], rows[p][i + 1], this.surfaces[p]);
    });
    return this.book.mesh(isConvexTurned(this.turned));
  }

  /** A level disc, or a sector of one, as one face. */
  private disc(piece: Piece, rows: readonly PieceRow[]): void {
    const [low, high] = [rows[0].row, rows[rows.length - 1].row];
    const isFoot = piece.to[0] > piece.from[0];
    const [rim, middle] = isFoot ? [high, low] : [low, high];
    const loop = this.turn.around ? rim.vertices.slice(0, -1) : [...rim.vertices, middle.vertices[0]];
    this.rim(rim);
    this.book.face(isFoot ? [...loop].reverse() : loop, { name: isFoot ? "bottom" : "top" });
  }

  /** The flat faces of a part of a turn, at its beginning and its end. */
  private sides(rows: readonly (readonly PieceRow[])[]): void {
    const { pieces, halves } = this.turn;
    const along = rows.flatMap((own, p) => (p === 0 ? own : own.slice(1))).map(({ row }) => row);
    const ends = [
      { at: halves[0][0], of: ({ vertices }: Row) => vertices[0] },
      { at: halves[halves.length - 1][1], of: ({ vertices }: Row) => vertices[vertices.length - 1] },
    ];
    ends.forEach(({ at, of }, end) => {
      pieces.forEach((piece, p) => {
        if (!piece.arc) return;
        rows[p].slice(1).forEach((upper, i) => {
          const lower = rows[p][i];
          const [u, v] = [lower, upper].map(({ t }) => this.surface.meridian(piece, t, at));
          this.curve(of(lower.row), u, of(upper.row), v);
        });
      });
      const loop = along.map(of).filter((n, i, all) => n !== all[(i + all.length - 1) % all.length]);
      this.book.face(end === 0 ? loop : [...loop].reverse(), { name: `side ${end}` });
    });
  }

  /** Tells how the edge between two vertices is curved, by the directions of the curve there. */
  private curve(a: number, along: Vec3, b: number, on: Vec3): void {
    if (a !== b) this.book.edge(a, b, { bend: bendBetween(this.book.at(a), along, this.book.at(b), on) });
  }

  /** Tells how the edges along a row are curved. */
  private rim({ r, isRim, angles, vertices }: Row): void {
    if (r < ON_AXIS || !isRim) return;
    for (let i = 0; i + 1 < angles.length; i++) {
      const [u, v] = [this.surface.across(angles[i])[1], this.surface.across(angles[i + 1])[1]];
      this.curve(vertices[i], u, vertices[i + 1], v);
    }
  }

  /** The facets between two rows of a piece, which meet along its contour. */
  private strip(piece: Piece, lower: PieceRow, upper: PieceRow, round: number): void {
    const { eye, halves } = this.turn;
    if (lower.t === 0) this.rim(lower.row);
    if (upper.t === 1) this.rim(upper.row);
    halves.forEach(([low, high], h) => {
      const [a, b] = [lower.breaks[h], upper.breaks[h]];
      const [first, second] = eye ? looks(piece, low, eye) : [undefined, undefined];
      const chain = eye && !isLevel(piece) ? this.contours.between(piece, h, lower, upper) : [];
      this.zip([lower.row, low, a], [upper.row, low, b], { round, front: first }, chain);
      this.zip([lower.row, a, high], [upper.row, b, high], { round, front: second }, chain);
    });
  }

  /** Facets between stretches of two rows: quadrilaterals where angles stand over each other, triangles elsewhere. */
  private zip(
    [lower, l0, l1]: readonly [Row, number, number],
    [upper, u0, u1]: readonly [Row, number, number],
    told: FacetTold,
    chain: readonly number[],
  ): void {
    if (this.turn.frontsOnly && told.front === false) return;
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
