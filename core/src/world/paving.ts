import { alongPath, areasOf, together, without } from "./areas";
import type { Paving } from "./kinds/kind";
import { lengthened } from "./path";
import { prism } from "./shapes";
import { asPart, type Solid } from "./solid";

/** What is cut out reaches so far over the ends of the path, so that no sliver is left there, m. */
const OVER_END = 1e-3;

/** The solids of ground raised beside a path: pieces, each a part by its number. @param id of whom they are */
export function buildPaving(id: string, { path, inner, outer, height, openings }: Paving): Solid[] {
  const between = alongPath(lengthened(path, OVER_END), inner);
  const region = without(alongPath(path, outer), together([between, openings]));
  return areasOf(region).map((area, i) => {
    const holes = area.holes.map((hole) => [...hole].reverse());
    return asPart(prism(id, area.outer, holes, [0, height]), `paving ${i}`);
  });
}
