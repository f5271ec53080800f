import type { Vec3 } from "../geometry";
import { buildCache, type Built, type Element } from "../world";
import { cutAway } from "./cutaway";
import { visibleEdgesInParts } from "./edges";
import { joined, type VisibleEdges } from "./visibleEdges";

/** What is seen from so many places is kept. */
const MAX_EYES = 12;

const same = <T>(a: readonly T[], b: readonly T[]): boolean =>
  a.length === b.length && a.every((one, i) => one === b[i]);

/**
 * A look at worlds that keeps what it saw: for as long as nothing in the world changes, a place is worked out once,
 * whichever shots look from it. The parts of a fresh look are handed out as they come, the nearest first; a look that
 * is not carried to its end leaves nothing.
 */
export function visibilityCache(): (
  elements: readonly Element[],
  eye: Vec3,
  cutaway?: string,
) => Generator<VisibleEdges, VisibleEdges> {
  const build = buildCache();
  let world: Built = { solids: [], details: [] };
  let known = new Map<string, VisibleEdges>();
  return function* (elements, eye, cutaway) {
    const now = build(elements);
    if (!same(now.solids, world.solids) || !same(now.details, world.details))
      [world, known] = [now, new Map<string, VisibleEdges>()];
    const [at, mine] = [[...eye, cutaway].join(" "), known];
    const before = mine.get(at);
    if (before) return before;
    const parts: VisibleEdges[] = [];
    const { solids, details } = cutAway(now, eye, cutaway);
    for (const part of visibleEdgesInParts(solids, eye, details)) {
      parts.push(part);
      yield part;
    }
    const whole = joined(parts);
    if (mine.size >= MAX_EYES) mine.delete(mine.keys().next().value!);
    mine.set(at, whole);
    return whole;
  };
}
