import type { Vec2 } from "@zanvo/core/geometry";
import { shareAt } from "@zanvo/core/recover";
import type { Reference } from "@zanvo/core/scene";
import type { useWalls } from "./Traced";
import { away, HEIGHTS, HORIZON, linesOf, onWall, WALLS, type Tracing } from "./tracing";
import type { Stores } from "../stores";

/** How near a press must be to an edge to choose it, screen px; beside a wall its edges come first. */
const NEAR = 8;
const ON_WALL = 5;

/** Marks a place along a wall, or takes the mark away that is there. */
const mark = (stores: Stores, reference: string, at: number, share: number) =>
  onWall(stores, reference, at, (wall) => {
    const marks = wall.marks ?? [];
    const there = marks.findIndex((one) => Math.abs(one - share) < 0.01);
    wall.marks = there >= 0 ? marks.filter((_, i) => i !== there) : [...marks, share].sort((a, b) => a - b);
  });

/**
 * What a mere press on a photo means: a mark on the chosen wall, or the edge that is there, in whatever set.
 * @returns what is traced now; null where it stays
 */
export function pressed(
  stores: Stores,
  reference: Reference,
  walls: ReturnType<typeof useWalls>,
  { set, edge }: Tracing,
  at: Vec2,
  scale: number,
): Tracing | null {
  const wall = set === WALLS && edge !== null ? walls[edge] : null;
  const share = wall && shareAt(wall, at);
  if (edge !== null && share !== null && share !== undefined) {
    mark(stores, reference.id, edge, share);
    return null;
  }
  const all = [...reference.sets.map(({ id }) => id), HEIGHTS, WALLS, HORIZON];
  const [near] = all
    .flatMap((id) =>
      linesOf(reference, id).map((line, i) => {
        const onOne = id === WALLS && walls[i] && shareAt(walls[i], at) !== null;
        return { id, at: i, off: onOne ? ON_WALL : away(line, at) * scale };
      }),
    )
    .filter(({ off }) => off < NEAR)
    .sort((a, b) => a.off - b.off);
  return near ? { set: near.id, edge: near.at } : { set, edge: null };
}
