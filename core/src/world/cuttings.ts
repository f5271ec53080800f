import { alongPath, areasOf, together, without, type Region } from "./areas";
import { isTangledBetween } from "./bends";
import type { Vec2 } from "../geometry";
import type { Cutting } from "./kinds/kind";
import { lengthOf, ribbon, stretch } from "./path";
import { curvesOf } from "./curves";
import { prism } from "./shapes";
import type { Solid } from "./solid";

/** Ends of a cutting are closed by walls as thick as those beside it, but not longer than this share of it. */
const END = 1 / 4;
/** Levels of water that differ by less are one, m. */
const LEVEL = 1e-6;

/** Level water along a path, from where to where, and how deep it lies under the ground, m. */
interface Reach {
  readonly from: number;
  readonly to: number;
  readonly depth: number;
}

/** What a cutting along a path takes of the plan, and its water. @param half of the water's width, m */
export function cuttingAlong(
  path: readonly Vec2[],
  half: number,
  wall: number,
  reaches: readonly Reach[],
): Pick<Cutting, "taken" | "waters" | "tangled"> {
  const outer = half + wall;
  const tangled = isTangledBetween(path, outer, -outer);
  const length = lengthOf(path);
  const end = Math.min(wall, length * END);
  return {
    tangled,
    taken: () => (tangled ? alongPath(path, outer) : [ribbon(path, outer, -outer)]),
    waters: () =>
      reaches.map(({ from, to, depth }) => ({
        depth,
        region: alongPath(stretch(path, Math.max(from, end), Math.min(to, length - end)), half),
      })),
  };
}

/** The water of some cuttings by how deep it lies under the ground, the highest first. */
function watersOf(cuttings: readonly Cutting[]): readonly { readonly depth: number; readonly region: Region }[] {
  const all = cuttings.flatMap(({ waters }) => waters());
  const depths = all.map(({ depth }) => depth).sort((a, b) => a - b);
  const levels = depths.filter((depth, i) => i === 0 || depth - depths[i - 1] > LEVEL);
  let above: Region = [];
  return levels.map((depth) => {
    const own = together(all.filter((one) => Math.abs(one.depth - depth) <= LEVEL).map(({ region }) => region));
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
  const levels = watersOf(cuttings);
  const walls = without(together(cuttings.map(({ taken }) => taken())), together(levels.map(({ region }) => region)));
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
