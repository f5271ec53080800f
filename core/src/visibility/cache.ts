import type { Vec3 } from "../geometry";
import { buildCache, type Built, type Detail, type Element, type Solid } from "../world";
import { cutAway } from "./cutaway";
import { byDrawnOn, visibleEdgesInParts, type Drawn } from "./edges";
import type { SeenPart, Shading } from "./shades";
import { SightMemory } from "./sightMemory";
import { joined, type VisibleEdges } from "./visibleEdges";

/** What is seen from so many places is kept; and of so many, what each thing shows, for when some of them change. */
const [MAX_EYES, MAX_MEMORIES] = [12, 2] as const;

const same = <T>(a: readonly T[], b: readonly T[]): boolean =>
  a.length === b.length && a.every((one, i) => one === b[i]);

/** What is drawn on the solids of a world, from what is drawn on those of each of its units. */
function drawnBy({ details, units }: Built, known: WeakMap<readonly Detail[], Drawn>): Drawn {
  if (!units) return byDrawnOn(details);
  const all = new Map<Solid | undefined, Detail[]>();
  for (const unit of units) {
    let own = known.get(unit);
    if (!own) known.set(unit, (own = byDrawnOn(unit)));
    for (const [solid, on] of own) {
      const before = all.get(solid);
      if (before) before.push(...on);
      else all.set(solid, [...on]);
    }
  }
  return all;
}

/** How a world is looked at. */
export interface HowSeen {
  /** The element whose near walls are left out. */
  readonly cutaway?: string;
  /** Lines that are seen nearer together than this cannot be told apart, rad: such details are not built. */
  readonly leastAngle?: number;
  /** Facets of round faces leave them by no more than this angle, rad. */
  readonly within?: number;
  /** The lights whose shadows are wanted, and whether the parts of faces that are seen are. */
  readonly shading?: Shading;
}

/**
 * A look at worlds that keeps what it saw: for as long as nothing in the world changes, a place is worked out once,
 * whichever shots look from it; where some of it changes, only what may be seen otherwise by that is worked out again.
 * The parts of a fresh look are handed out as they come, the nearest first; a look that is not carried to its end
 * leaves nothing.
 */
export function visibilityCache(): (
  elements: readonly Element[],
  eye: Vec3,
  how?: HowSeen,
) => Generator<VisibleEdges, VisibleEdges> {
  const build = buildCache();
  let world: Built = { solids: [], details: [] };
  let known = new Map<string, VisibleEdges>();
  const memories = new Map<string, SightMemory>();
  /** The parts of faces that are seen from a place, which no light changes. */
  const areas = new Map<string, Map<string, SeenPart>>();
  const drawn = new WeakMap<readonly Detail[], Drawn>();
  /** What was seen from a place; it is taken out, so that a look that is broken off leaves nothing of itself. */
  const memoryOf = (at: string): SightMemory => {
    const memory = memories.get(at) ?? new SightMemory();
    memories.delete(at);
    return memory;
  };
  return function* (elements, eye, { cutaway, leastAngle, within, shading } = {}) {
    const now = build(elements, leastAngle === undefined ? undefined : { eye, leastAngle });
    if (!same(now.of ?? [], world.of ?? [])) {
      [world, known] = [now, new Map<string, VisibleEdges>()];
      areas.clear();
    }
    const [at, mine] = [[...eye, leastAngle, within, cutaway].join(" "), known];
    const as = shading ? `${at} ${JSON.stringify(shading)}` : at;
    const before = mine.get(as);
    if (before) return before;
    const parts: VisibleEdges[] = [];
    const seen = cutAway(now, eye, cutaway);
    const memory = memoryOf(at);
    const seenParts = areas.get(at) ?? new Map<string, SeenPart>();
    if (shading) {
      areas.delete(at);
      areas.set(at, seenParts);
      if (areas.size > MAX_MEMORIES) areas.delete(areas.keys().next().value!);
    }
    const looking = { memory, drawn: drawnBy(seen, drawn), within, shading, parts: seenParts };
    for (const part of visibleEdgesInParts(seen.solids, eye, seen.details, looking)) {
      parts.push(part);
      yield part;
    }
    memories.set(at, memory);
    if (memories.size > MAX_MEMORIES) memories.delete(memories.keys().next().value!);
    const whole = joined(parts);
    if (mine.size >= MAX_EYES) mine.delete(mine.keys().next().value!);
    mine.set(as, whole);
    return whole;
  };
}
