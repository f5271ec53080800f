import type { Vec2 } from "../geometry";
import { together } from "./areas";
import { buildCuttings } from "./cuttings";
import type { Detail } from "./details";
import { groundAround } from "./ground";
import { kindOf, type Element } from "./kinds";
import { builderOf } from "./kinds/builders";
import type { Cutting, Roadway } from "./kinds/kind";
import { boxOnPlan } from "./polygon";
import { raisedGrounds } from "./raisedGround";
import { leastLengthAt, type Resolution } from "./resolution";
import { joinRoadways, needsJoining } from "./roadways";
import { drapedOver, settledOn } from "./settled";
import type { Solid } from "./solid";
import { solidsOfGround } from "./surface";
import { groundAt, heightOn, LEVEL, reaches, terrainFrom, type Terrain } from "./terrain";
import { cuttingOf, roadwayOf, takenBy, unitsOf, type Unit } from "./units";

/** What elements are built to: solids, and what is drawn on them and on the ground. */
export interface Built {
  readonly solids: readonly Solid[];
  readonly details: readonly Detail[];
  /** The details of each of its units that has any: the same again for as long as that stays as it is. */
  readonly units?: readonly (readonly Detail[])[];
  /** Its units: the same objects for as long as they stay as they are, whatever can be told apart of them. */
  readonly of?: readonly object[];
}

const NOTHING: Built = { solids: [], details: [] };

function builtCuttings(elements: readonly Element[], cuttings: readonly Cutting[]): Built {
  const solids = [...buildCuttings(elements[0].id, cuttings), ...cuttings.flatMap(({ standing }) => standing())];
  return { solids, details: [] };
}

function builtRoadways({ elements, inTheWay }: Unit, roadways: readonly Roadway[]): Built {
  const { solids, kerbs, mouths } = joinRoadways(elements[0].id, roadways, together(inTheWay.map(takenBy)));
  const kerbDetails = kerbs.flatMap((line) =>
    line.slice(1).map(([x, y], i): Detail => ({ kind: "kerb", a: [...line[i], 0], b: [x, y, 0] })),
  );
  return {
    solids,
    details: [
      ...kerbDetails,
      ...elements.flatMap((element, i) => builderOf(element).details?.(element, solids, { mouths: mouths[i] }) ?? []),
    ],
  };
}

/** What some elements are built to on a level field. */
function builtLevel(unit: Unit, leastLength: number): Built {
  const { elements, inTheWay, facets } = unit;
  const cuttings = elements.flatMap((element) => cuttingOf(element) ?? []);
  if (cuttings.length > 1 || cuttings.some(({ tangled }) => tangled)) return builtCuttings(elements, cuttings);
  const roadways = elements.flatMap((element) => roadwayOf(element) ?? []);
  if (roadways.length > 1 || (roadways.length > 0 && inTheWay.length > 0) || roadways.some(needsJoining))
    return builtRoadways(unit, roadways);
  const [element] = elements;
  if (element.hidden) return NOTHING;
  const kind = builderOf(element);
  const taken = inTheWay.length > 0 ? together(inTheWay.map(takenBy)) : [];
  const solids = facets ? solidsOfGround(element.id, facets) : kind.build(element, { taken, leastLength });
  return { solids, details: kind.details?.(element, solids, { taken, leastLength }) ?? [] };
}

/** What some elements are built to on the ground as it is. */
function builtUnit(unit: Unit, terrain: Terrain, leastLength = 0): Built {
  const [element] = unit.elements;
  const kind = builderOf(element);
  const settled = terrain === LEVEL || element.hidden ? undefined : kind.settle?.(element, terrain);
  if (!settled) return builtLevel(unit, leastLength);
  if (settled === "draped") return drapedOver(builtLevel(unit, leastLength), terrain);
  const around = { leastLength, rises: (at: Vec2) => groundAt(terrain, at) - heightOn(settled, at) };
  const solids = kind.build(element, around);
  return settledOn({ solids, details: kind.details?.(element, solids, around) ?? [] }, settled);
}

/** What stands out of an element, such as a balcony, reaches no farther beside its outline, m. */
const STANDS_OUT = 3;
/** A unit is kept as it was built for so many least lengths. */
const MAX_VARIANTS = 4;

/** What is around an element may change what it is built to so far beside its outline, m. */
const BESIDE = 10;

/** The ground that a unit stands on: the level field where none other is near. */
const under = ({ elements, facets }: Unit, terrain: Terrain): Terrain =>
  !facets && elements.some((one) => reaches(terrain, boxOnPlan(kindOf(one).outline(one), BESIDE))) ? terrain : LEVEL;

/** The solids of elements, each by itself, in their order; of those that are hidden, none. @param on the ground */
export const build = (elements: readonly Element[], on: Terrain = LEVEL): Solid[] =>
  elements.flatMap((element) => {
    const unit = { elements: [element], inTheWay: [] };
    return builtUnit(unit, under(unit, on)).solids;
  });

/**
 * A world as the eye looks at it: elements as they are built, on the ground that is around what is dug.
 * @param resolution what can be told apart; details that cannot are not built. Where nothing is said, all are
 */
export function built(elements: readonly Element[], resolution?: Resolution): Built {
  const { solids, details, units } = buildCache()(elements, resolution);
  return { solids, details, units };
}

/** The least length at a unit: 0 where all that it is built to is to be built. */
function leastLengthOf({ elements: [element] }: Unit, resolution: Resolution | undefined): number {
  if (!resolution || !builderOf(element).fine?.(element)) return 0;
  return leastLengthAt(resolution, boxOnPlan(kindOf(element).outline(element), STANDS_OUT));
}

/** A unit as it was built, by the least length around it. */
interface KeptUnit {
  readonly as: string;
  readonly on: string;
  readonly built: Map<number, Built>;
}

function builtKept({ built }: KeptUnit, leastLength: number, make: () => Built): Built {
  const one = built.get(leastLength) ?? make();
  if (built.size >= MAX_VARIANTS && !built.has(leastLength)) built.delete(built.keys().next().value!);
  built.set(leastLength, one);
  return one;
}

/**
 * A builder that keeps what it built: elements that come again as they were have the same solids again, so that what is
 * known of them still holds.
 */
export function buildCache(): (elements: readonly Element[], resolution?: Resolution) => Built {
  let kept = new Map<string, KeptUnit>();
  let ground = { as: "", solids: [] as readonly Solid[] };
  return (elements, resolution) => {
    const next: typeof kept = new Map();
    const grounds = new Map(raisedGrounds(elements).map(({ element, facets }) => [element, facets]));
    const terrain = terrainFrom([...grounds.values()].flat());
    const terrainAs = JSON.stringify(terrain.facets);
    const parts = unitsOf(elements, grounds).map((unit) => {
      const as = JSON.stringify(unit);
      const own = under(unit, terrain);
      const on = own === LEVEL ? "" : terrainAs;
      const [{ id }] = unit.elements;
      const before = kept.get(id);
      const one = before?.as === as && before.on === on ? before : { as, on, built: new Map<number, Built>() };
      next.set(id, one);
      const leastLength = leastLengthOf(unit, resolution);
      const built = builtKept(one, leastLength, () => builtUnit(unit, own, leastLength));
      return { as, of: one, built, dug: builderOf(unit.elements[0]).cutting !== undefined };
    });
    kept = next;
    const dug = parts.flatMap((part) => (part.dug ? [part.as] : [])).join();
    if (dug !== ground.as) ground = { as: dug, solids: groundAround(elements) };
    return {
      solids: ([] as Solid[]).concat(...parts.map(({ built: { solids } }) => solids), ground.solids),
      details: ([] as Detail[]).concat(...parts.map(({ built: { details } }) => details)),
      of: parts.map(({ of }) => of),
      units: parts.flatMap(({ built: { details } }) => (details.length > 0 ? [details] : [])),
    };
  };
}
