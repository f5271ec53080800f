import { mm, sentence, type Told } from "../units";
import { degrees, distance2, type Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import type { Edge, Reference, TracedSet } from "../scene";
import type { RecoveredPoint } from "./point";
import { edgesOf, pointOf, viewOfReference } from "./reference";
import { measureWall } from "./walls";

/** Something that a drawing has wrong, measured in the picture of it. */
export interface Misdrawn {
  readonly kind: "miss" | "lean" | "off-horizon" | "tilted" | "open" | "not-plumb" | "depth";
  readonly where: string;
  /** Px of the picture. */
  readonly at: Vec2;
  /** Mm of the drawing, degrees, or how many times too much. */
  readonly value: number;
  readonly unit: "mm" | "°" | ": 1";
  readonly message: Told;
  /** The line as it should be, px, and which edge it is to stand for. */
  readonly fix?: { readonly line: readonly [Vec2, Vec2]; readonly set?: string; readonly edge?: number };
}

/** What a pencil can keep, mm (common practice). */
const PENCIL_TOLERANCE = 0.5;
/** Corners are taken for one where ends come nearer than this part of the longer side. */
const NEAR = 0.02;
/** A wall reads wrong from so many times too long or short on. */
const READS = 1.15;

const tenth = (value: number): number => Number(value.toFixed(1));
const middleOf = ({ x1, y1, x2, y2 }: Edge): Vec2 => [(x1 + x2) / 2, (y1 + y2) / 2];

/** Which way lines of a set run at a place: to its point, or all one way. */
function wayAt({ at, angle }: Pick<RecoveredPoint, "at" | "angle">, [x, y]: Vec2): Vec2 {
  if (!at) return [Math.cos(((angle ?? 0) * Math.PI) / 180), Math.sin(((angle ?? 0) * Math.PI) / 180)];
  const long = Math.hypot(at[0] - x, at[1] - y);
  return [(at[0] - x) / long, (at[1] - y) / long];
}

/** An edge turned about its middle to run a way. */
function turnedTo(edge: Edge, [dx, dy]: Vec2): readonly [Vec2, Vec2] {
  const [mx, my] = middleOf(edge);
  const half = ((edge.x2 - edge.x1) * dx + (edge.y2 - edge.y1) * dy) / 2;
  return [
    [mx - half * dx, my - half * dy],
    [mx + half * dx, my + half * dy],
  ];
}

/** Mm by which an edge's ends miss a way through its middle, and the degrees that it is turned by. */
function missOf(edge: Edge, [dx, dy]: Vec2, mmPerPx: number): { readonly off: number; readonly turn: number } {
  const [x, y] = [edge.x2 - edge.x1, edge.y2 - edge.y1];
  const across = dx * y - dy * x;
  return {
    off: (Math.abs(across) * mmPerPx) / 2,
    turn: degrees(Math.atan2(Math.abs(across), Math.abs(dx * x + dy * y))),
  };
}

interface Look {
  readonly reference: Reference;
  /** Mm of the drawing for a px of its picture. */
  readonly mmPerPx: number;
  readonly points: ReadonlyMap<string, RecoveredPoint>;
  /** The way uprights should run. */
  readonly plumb: (at: Vec2) => Vec2;
}

/** What a drawn line may be off, mm: what a pencil can keep, and where its stroke is wider, as far as that reaches. */
const toleranceOf = ({ wide = 0 }: Edge, mmPerPx: number): number => Math.max(PENCIL_TOLERANCE, (wide * mmPerPx) / 2);

const name = ({ name: set }: TracedSet, edge: number): string => `edge ${edge + 1} of ${set}`;

/** Edges that miss their point. */
function offTheirPoint({ reference, mmPerPx, points }: Look): Misdrawn[] {
  return reference.sets
    .filter(({ role }) => role !== "upright")
    .flatMap((set) => {
      const point = points.get(set.id);
      if (!point || edgesOf(set).length < 3) return [];
      return edgesOf(set).flatMap(({ at: k }): Misdrawn[] => {
        const edge = set.edges[k];
        const way = wayAt(point, middleOf(edge));
        const { off, turn } = missOf(edge, way, mmPerPx);
        if (off <= toleranceOf(edge, mmPerPx)) return [];
        return [
          {
            kind: "miss",
            where: name(set, k),
            at: middleOf(edge),
            value: tenth(off),
            unit: "mm",
            message: sentence`${name(set, k)} misses its point: each end is ${mm(off)} off, it is turned by
              ${turn.toFixed(2)}°.`,
            fix: { line: turnedTo(edge, way), set: set.id, edge: k },
          },
        ];
      });
    });
}

/** Uprights that lean. */
function leaning({ reference, mmPerPx, plumb }: Look): Misdrawn[] {
  return reference.sets
    .filter(({ role }) => role === "upright")
    .flatMap((set) =>
      edgesOf(set).flatMap(({ at: k }): Misdrawn[] => {
        const edge = set.edges[k];
        const way = plumb(middleOf(edge));
        const { off, turn } = missOf(edge, way, mmPerPx);
        if (2 * off <= toleranceOf(edge, mmPerPx)) return [];
        const [dx, dy] =
          edge.y2 < edge.y1 ? [edge.x2 - edge.x1, edge.y2 - edge.y1] : [edge.x1 - edge.x2, edge.y1 - edge.y2];
        const up = way[1] < 0 ? way : ([-way[0], -way[1]] as const);
        const side = up[0] * dy - up[1] * dx > 0 ? "right" : "left";
        return [
          {
            kind: "lean",
            where: name(set, k),
            at: middleOf(edge),
            value: tenth(2 * off),
            unit: "mm",
            message: sentence`${name(set, k)} leans ${turn.toFixed(2)}° to the ${side}: its top is ${mm(2 * off)} out.`,
            fix: { line: turnedTo(edge, way), set: set.id, edge: k },
          },
        ];
      }),
    );
}

/** Points off the horizon: from one that is drawn, or the two first points from one level, and others from theirs. */
function horizons({ reference, mmPerPx, points }: Look): Misdrawn[] {
  const level = reference.sets.flatMap((set) => {
    const at = set.role === "upright" || set.role === "free" ? null : points.get(set.id)?.at;
    return at ? [{ set, at }] : [];
  });
  const drawn = reference.horizon;
  const off = (from: Vec2, to: Vec2, [x, y]: Vec2) =>
    ((to[0] - from[0]) * (y - from[1]) - (to[1] - from[1]) * (x - from[0])) / distance2(from, to);
  const found = (set: TracedSet, at: Vec2, px: number, what: string): Misdrawn[] =>
    Math.abs(px) * mmPerPx <= PENCIL_TOLERANCE
      ? []
      : [
          {
            kind: "off-horizon",
            where: `${set.name}'s point`,
            at,
            value: tenth(Math.abs(px) * mmPerPx),
            unit: "mm",
            message: sentence`${set.name}'s point lies ${mm(Math.abs(px) * mmPerPx)} ${px > 0 ? "below" : "above"}
              ${what}. All level points stand on one horizon, or the picture leans.`,
          },
        ];
  if (drawn) {
    const ends: Vec2[] = [
      [drawn.x1, drawn.y1],
      [drawn.x2, drawn.y2],
    ];
    const [from, to] = ends.sort((p, q) => p[0] - q[0]);
    return level.flatMap(({ set, at }) => found(set, at, off(from, to, at), "the horizon"));
  }
  const [first, second, ...others] = [...level]
    .sort((p, q) => p.at[0] - q.at[0])
    .sort((p, q) => Number(p.set.role === "level") - Number(q.set.role === "level"));
  if (!first || !second) return [];
  const rise = (second.at[1] - first.at[1]) * mmPerPx;
  const tilt = degrees(Math.atan2(Math.abs(second.at[1] - first.at[1]), Math.abs(second.at[0] - first.at[0])));
  const leans: Misdrawn[] =
    Math.abs(rise) <= PENCIL_TOLERANCE
      ? []
      : [
          {
            kind: "tilted",
            where: "Horizon",
            at: second.at,
            value: Number(tilt.toFixed(2)),
            unit: "°",
            message: sentence`The line through ${first.set.name}'s and ${second.set.name}'s points is not level:
              ${second.set.name}'s lies ${mm(Math.abs(rise))} ${rise > 0 ? "lower" : "higher"}, a tilt of
              ${tilt.toFixed(2)}°.`,
          },
        ];
  return [
    ...leans,
    ...others.flatMap(({ set, at }) =>
      found(set, at, off(first.at, second.at, at), "the line through the other points"),
    ),
  ];
}

interface Corner {
  readonly at: Vec2;
  readonly where: string;
  /**
   * Which set's edge runs from here towards its point, and which comes from there: near corners are not to stand
   * above back ones.
   */
  readonly kind: string;
}

/** Where the lines of two edges cross. */
function crossingOf(p: Edge, q: Edge): Vec2 | null {
  const [a, b, c, d] = [p.x2 - p.x1, p.y2 - p.y1, q.x2 - q.x1, q.y2 - q.y1];
  const det = a * d - b * c;
  if (Math.abs(det) < 1e-9) return null;
  const t = ((q.x1 - p.x1) * d - (q.y1 - p.y1) * c) / det;
  return [p.x1 + t * a, p.y1 + t * b];
}

/** Corners in which an edge of one level set and one of another end together, and those that stay open. */
function corners({ reference, mmPerPx, points }: Look): { readonly closed: Corner[]; readonly open: Misdrawn[] } {
  const near = NEAR * Math.max(reference.width, reference.height);
  const level = reference.sets.filter(({ role }) => role === "left" || role === "right" || role === "level");
  const ends = level.flatMap((set) =>
    edgesOf(set).flatMap(({ at: k }) => {
      const { x1, y1, x2, y2 } = set.edges[k];
      const point = points.get(set.id);
      const [a, b]: Vec2[] = [
        [x1, y1],
        [x2, y2],
      ];
      const way = point ? wayAt(point, a) : ([1, 0] as const);
      const forth = (x2 - x1) * way[0] + (y2 - y1) * way[1] > 0;
      return [
        { set, k, at: a, kind: `${set.id} ${forth ? "to" : "from"}` },
        { set, k, at: b, kind: `${set.id} ${forth ? "from" : "to"}` },
      ];
    }),
  );
  const closed: Corner[] = [];
  const open: Misdrawn[] = [];
  ends.forEach((p, i) =>
    ends.slice(i + 1).forEach((q) => {
      const gap = distance2(p.at, q.at);
      if (p.set === q.set || gap > near) return;
      const at = crossingOf(p.set.edges[p.k], q.set.edges[q.k]);
      // Lines that run nearly alike cross far from where they were meant to meet.
      if (!at || distance2(at, p.at) > 2 * near) return;
      const where = `${name(p.set, p.k)} and ${name(q.set, q.k)}`;
      closed.push({ at, where, kind: [p.kind, q.kind].sort().join(", ") });
      if (gap * mmPerPx > PENCIL_TOLERANCE)
        open.push({
          kind: "open",
          where,
          at,
          value: tenth(gap * mmPerPx),
          unit: "mm",
          message: sentence`The corner of ${where} does not close: their ends are ${mm(gap * mmPerPx)} apart.`,
          fix: { line: [p.at, at] },
        });
    }),
  );
  return { closed, open };
}

/** Corners that should stand above one another and do not. */
function offPlumb({ reference, mmPerPx, plumb }: Look, closed: readonly Corner[]): Misdrawn[] {
  const size = Math.max(reference.width, reference.height);
  return closed.flatMap((low, i) =>
    closed.slice(i + 1).flatMap((other): Misdrawn[] => {
      const [p, q] = low.at[1] > other.at[1] ? [low, other] : [other, low];
      const rise = p.at[1] - q.at[1];
      if (p.kind !== q.kind || rise < 0.03 * size) return [];
      const way = plumb([(p.at[0] + q.at[0]) / 2, (p.at[1] + q.at[1]) / 2]);
      const off = ((q.at[0] - p.at[0]) * way[1] - (q.at[1] - p.at[1]) * way[0]) * Math.sign(way[1]);
      if (Math.abs(off) > NEAR * size || Math.abs(off) * mmPerPx <= PENCIL_TOLERANCE) return [];
      return [
        {
          kind: "not-plumb",
          where: `${q.where}, over ${p.where}`,
          at: q.at,
          value: tenth(Math.abs(off) * mmPerPx),
          unit: "mm",
          message: sentence`The corner of ${q.where} stands ${mm(Math.abs(off) * mmPerPx)} beside the one below it, of
            ${p.where}.`,
          fix: { line: [p.at, [p.at[0] + (way[0] / way[1]) * (q.at[1] - p.at[1]), q.at[1]]] },
        },
      ];
    }),
  );
}

/** Walls that read longer or shorter than they are meant. */
function depths(reference: Reference): Misdrawn[] {
  if (!reference.walls?.length) return [];
  let view: ReturnType<typeof viewOfReference>;
  try {
    view = viewOfReference(reference);
  } catch {
    return [];
  }
  return reference.walls.flatMap((wall): Misdrawn[] => {
    try {
      const {
        reads,
        ratio,
        corners: [a, , c],
      } = measureWall(reference, wall, view);
      if (Math.max(reads, 1 / reads) < READS) return [];
      return [
        {
          kind: "depth",
          where: wall.name,
          at: [(a[0] + c[0]) / 2, (a[1] + c[1]) / 2],
          value: Number(reads.toFixed(2)),
          unit: ": 1",
          message:
            `${wall.name} reads ${ratio.toFixed(2)} times as long as it is high; ${(ratio / reads).toFixed(2)} is ` +
            `meant. It is drawn ${reads > 1 ? "too deep" : "too shallow"}.`,
        },
      ];
    } catch (error) {
      if (error instanceof NoAnswer) return [];
      throw error;
    }
  });
}

/**
 * Where uprights should go: to their point where they are meant to converge, straight up and down where they are not.
 */
function plumbOf(reference: Reference, points: ReadonlyMap<string, RecoveredPoint>): Look["plumb"] {
  const set = reference.sets.find(({ role }) => role === "upright");
  const point = set && points.get(set.id);
  const straight: Vec2 = [0, 1];
  if (reference.level || !point?.at) return () => straight;
  const { at } = point;
  // Lines that lean a little about the upright tell a point far away that nobody meant.
  const meant = Math.abs(at[1] - reference.height / 2) < 6 * Math.max(reference.width, reference.height);
  return meant ? (p) => wayAt(point, p) : () => straight;
}

/**
 * What is wrong in a scan of one's own drawing, by what was traced in it: edges that miss their point, leaning
 * uprights, points off the horizon, corners that do not close or do not stand above one another, and walls that read
 * other than they are meant. Nothing within what a pencil can keep.
 */
export function checkDrawn(reference: Reference): Misdrawn[] {
  const points = new Map(
    reference.sets.flatMap((set) => {
      const point = pointOf(reference, set);
      return point ? [[set.id, point] as const] : [];
    }),
  );
  const look: Look = {
    reference,
    points,
    mmPerPx: (reference.drawing?.width ?? reference.width) / reference.width,
    plumb: plumbOf(reference, points),
  };
  const { closed, open } = corners(look);
  return [
    ...horizons(look),
    ...depths(reference),
    ...open,
    ...offPlumb(look, closed),
    ...leaning(look),
    ...offTheirPoint(look),
  ];
}
