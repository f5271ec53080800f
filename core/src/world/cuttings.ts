import { alongPath, areasOf, together, without, type Region } from "./areas";
import { isTangledBetween } from "./bends";
import type { Cutting } from "./kinds/kind";
import { lengthOf, ribbon, stretch } from "./path";
import { curvesOf } from "./curves";
import { prism } from "./shapes";
import type { Solid } from "./solid";

/** Ends of a cutting are closed by walls as thick as those beside it, but not longer than this share of it. */
const END = 1 / 4;
/** Levels of water that differ by less are one, m. */
const LEVEL = 1e-6;

/** Whether a cutting bends so sharply for its width that its sides cross, or crosses itself. */
export const isTangled = ({ path, half, wall }: Cutting): boolean => isTangledBetween(path, half + wall, -half - wall);

/** The part of the plan that a cutting takes. */
export function takenBy(cutting: Cutting): Region {
  const { path, half, wall } = cutting;
  return isTangled(cutting) ? alongPath(path, half + wall) : [ribbon(path, half + wall, -half - wall)];
}

/** The water of some cuttings by how deep it lies under the ground, the highest first. */
function waters(cuttings: readonly Cutting[]): readonly { readonly depth: number; readonly region: Region }[] {
  const reaches = cuttings.flatMap(({ path, half, wall, reaches: own }) => {
    const length = lengthOf(path);
    const end = Math.min(wall, length * END);
    return own.map(({ from, to, depth }) => ({
      depth,
      region: alongPath(stretch(path, Math.max(from, end), Math.min(to, length - end)), half),
    }));
  });
  const depths = reaches.map(({ depth }) => depth).sort((a, b) => a - b);
  const levels = depths.filter((depth, i) => i === 0 || depth - depths[i - 1] > LEVEL);
  let above: Region = [];
  return levels.map((depth) => {
    const own = together(reaches.filter((one) => Math.abs(one.depth - depth) <= LEVEL).map(({ region }) => region));
    const region = without(own, above);
    above = together([above, own]);
    return { depth, region };
  });
}

/**
 * Cuttings that join or cross as one: water on a level with the water of the others, walls around all of it, and none
 * within.
 * @param id of whom the solids are
 */
export function buildCuttings(id: string, cuttings: readonly Cutting[]): Solid[] {
  const bottom = Math.min(...cuttings.map((one) => one.bottom));
  const top = Math.max(...cuttings.map((one) => one.top));
  const levels = waters(cuttings);
  const walls = without(together(cuttings.map(takenBy)), together(levels.map(({ region }) => region)));
  const solids = (region: Region, to: number) =>
    areasOf(region).map(({ outer, holes }) =>
      prism(
        id,
        outer,
        holes.map((hole) => [...hole].reverse()),
        [bottom, to],
        curvesOf,
      ),
    );
  return [...solids(walls, top), ...levels.flatMap(({ depth, region }) => solids(region, -depth))];
}
