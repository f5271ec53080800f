import { distance2, dot, headingAlong, type Vec2, type Vec3 } from "../geometry";
import { build, diameterOf, isBlock, kindOf, outlineOf, sideOf, type Columns, type Element } from "../world";
import { faceBefore } from "./pick";

/** A ray begins so far before a wall; what it meets nearer than twice that is the wall itself, m. */
const CLEAR = 0.01;

/** A wall on the plan: its middle, and its outward unit normal. */
interface Wall {
  readonly of: Element;
  readonly middle: Vec2;
  readonly out: Vec2;
}

/** The straight walls of buildings and of plain masses. */
const wallsOf = (elements: readonly Element[]): readonly Wall[] =>
  elements
    .filter((one) => !one.hidden && (isBlock(one) || (kindOf(one).openings && !kindOf(one).isRound?.(one))))
    .flatMap((of) => {
      const outline = outlineOf(of);
      return outline.map((_, i): Wall => {
        const { p, long, u } = sideOf(outline, i);
        // To the right of a side that runs counter-clockwise lies the outside.
        return { of, middle: [p[0] + (long / 2) * u[0], p[1] + (long / 2) * u[1]], out: [u[1], -u[0]] };
      });
    });

/** How far a level line runs inwards from a wall at a height until it meets the roof, m; 0 where it meets none. */
function runToRoof({ of, middle, out }: Wall, height: number): number {
  const from: Vec3 = [middle[0] + CLEAR * out[0], middle[1] + CLEAR * out[1], height];
  const ray: Vec3 = [-out[0], -out[1], 0];
  const hit = faceBefore(build([of]), from, ray);
  const far = hit ? dot([hit.at[0] - from[0], hit.at[1] - from[1], 0], ray) - CLEAR : 0;
  return far > CLEAR ? far : 0;
}

/**
 * A row of columns set before the middle of the wall whose middle is nearest: on its foot, as far before it as the row
 * reaches back, or by a gap and a diameter; half columns stand at it. The ridge of a pediment runs back to the roof.
 * Null where there is no wall.
 */
export function beforeWall(columns: Columns, elements: readonly Element[]): Columns | null {
  const { at, half, gap = 2.25, depth = 0 } = columns;
  const far = ({ middle }: Wall) => distance2([at.x, at.y], middle);
  const walls = wallsOf(elements);
  if (walls.length === 0) return null;
  const wall = walls.reduce((near, one) => (far(one) < far(near) ? one : near));
  const { middle, out, of } = wall;
  const back = half ? 0 : depth || Number(((1 + gap) * diameterOf(columns)).toFixed(3));
  const [base] = kindOf(of).span(of);
  const there: Columns = {
    ...columns,
    at: { x: middle[0] + back * out[0], y: middle[1] + back * out[1], z: base },
    heading: headingAlong(out),
    depth: back,
  };
  const [foot, height] = kindOf(there).span(there);
  return { ...there, ridge: there.pediment === undefined ? undefined : runToRoof(wall, foot + height) };
}
