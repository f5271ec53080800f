import { distance2, type Vec2 } from "../geometry";
import type { Building } from "./kinds/building";
import { DEFAULT_WALLS, newWall, type Boundary, type Wall } from "./kinds/wall";
import { footOn, lengthOf } from "./path";
import type { Row } from "./rowSchema";

/** A gate before a door is so wide, m (common practice). */
const GATE = 1.2;
/** Houses farther apart than this have an alley between them, which stays open, m. */
const ALLEY = 1;

/** What a boundary is called. */
const NAMES: Readonly<Record<Boundary, string>> = { wall: "wall", hedge: "hedge", fence: "fence", railing: "railing" };

const point = ([x, y]: Vec2) => ({ x, y });

/** The corners of a house with four of them: its front from left to right, seen from inside, then its back. */
function cornersOf({ footprint }: Building): readonly [Vec2, Vec2, Vec2, Vec2] | null {
  if (footprint.length !== 4) return null;
  const [a, b, c, d] = footprint.map(({ x, y }): Vec2 => [x, y]);
  return [a, b, c, d];
}

const boundary = (row: Row, of: Boundary, path: readonly Vec2[], id: string, what: string): Wall =>
  newWall({
    id,
    name: `${row.name}, ${what} ${NAMES[of]}`.slice(0, 200),
    path: path.map(point),
    ...(of === "wall" ? {} : { of }),
    ...DEFAULT_WALLS[of],
    ...(of === "wall" ? { height: 1 } : {}),
    row: row.id,
  });

/** Gates along a path as wide as they are wanted, none of them over its ends or over one another. */
function gatesOn(path: readonly Vec2[], wanted: readonly { readonly at: number; readonly width: number }[]) {
  const length = lengthOf(path);
  const gates: { at: number; width: number }[] = [];
  for (const { at, width } of [...wanted].sort((a, b) => a.at - b.at)) {
    const last = gates.at(-1);
    const from = Math.max(0, at - width / 2, last ? last.at + last.width / 2 : 0);
    const to = Math.min(length, at + width / 2);
    if (to - from > GATE / 2) gates.push({ at: (from + to) / 2, width: to - from });
  }
  return gates.length > 0 ? { gates } : {};
}

/** The line before the houses of a row with its returns, or the rim of its lot. */
function frontLine({ from, to, lot }: Row, depth: number): readonly Vec2[] {
  if (lot) return [...lot, lot[0]].map(({ x, y }): Vec2 => [x, y]);
  if (!from || !to) return [];
  const [p, q]: Vec2[] = [
    [from.x, from.y],
    [to.x, to.y],
  ];
  const k = depth / (distance2(p, q) || 1);
  const back = ([x, y]: Vec2): Vec2 => [x + k * (q[1] - p[1]), y - k * (q[0] - p[0])];
  return [back(p), p, q, back(q)];
}

/** The boundary before the houses of a row: a gate before each door, as wide an opening as each passage and alley. */
function frontBoundary(row: Row, houses: readonly Building[], id: string): Wall[] {
  if (!row.front) return [];
  const { depth, of } = row.front;
  const path = frontLine(row, depth);
  if (path.length < 2) return [];
  // Before a row, doors open to its line, and not to the returns at its ends.
  const along = (at: Vec2) => (row.lot ? footOn(at, path).along : depth + footOn(at, path.slice(1, 3)).along);
  const doors = houses.flatMap(({ doors: own = [], passages = [] }) => [
    ...own.map(({ x, y }) => ({ at: along([x, y]), width: GATE })),
    ...passages.map(({ x, y, width }) => ({ at: along([x, y]), width })),
  ]);
  const fronts = row.lot ? [] : houses.flatMap((house) => cornersOf(house)?.slice(0, 2) ?? []);
  const ends = fronts.map(along).sort((a, b) => a - b);
  const alleys = ends.flatMap((from, i) => {
    const to = ends[i + 1];
    return i % 2 === 1 && to - from > ALLEY ? [{ at: (from + to) / 2, width: to - from }] : [];
  });
  return [{ ...boundary(row, of, path, id, "front"), ...gatesOn(path, [...doors, ...alleys]) }];
}

/** A yard behind a house: a boundary out from its left, along the back, and in again where no other house is next. */
function yardBoundary(row: Row, houses: readonly Building[], n: number, id: string): Wall[] {
  const corners = cornersOf(houses[n]);
  if (!row.yards || row.lot || !corners) return [];
  const [a, b, c, d] = corners;
  const far = row.depth + row.yards.depth;
  const out = (front: Vec2, back: Vec2): Vec2 => {
    const k = far / (distance2(front, back) || 1);
    return [front[0] + k * (back[0] - front[0]), front[1] + k * (back[1] - front[1])];
  };
  const next = houses.some((house) => {
    const others = cornersOf(house);
    return others !== null && distance2(others[0], b) < ALLEY;
  });
  const path = [d, out(a, d), out(b, c), ...(next ? [] : [c])];
  return [boundary(row, row.yards.of, path, id, `yard ${n + 1},`)];
}

/**
 * What stands between the houses of a row and the street, and behind them, by its rule: walls, hedges, fences or
 * railings.
 * @param houses of the row, as they are laid
 * @param id a fresh name for each
 */
export const rowBoundaries = (row: Row, houses: readonly Building[], id: (at: number) => string): Wall[] => [
  ...frontBoundary(row, houses, id(0)),
  ...houses.flatMap((_, n) => yardBoundary(row, houses, n, id(n + 1))),
];
