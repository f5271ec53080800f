import type { Vec2 } from "../geometry";
import { overlap, together, type Region } from "./areas";
import { buildCuttings, isTangled, takenBy } from "./cuttings";
import type { Detail } from "./details";
import { groundAround } from "./ground";
import { groupsOf } from "./groups";
import { meetingOf, meets, touches } from "./junctions";
import { kindOf, validateElement, type Element } from "./kinds";
import type { Cutting, Roadway } from "./kinds/kind";
import { joinRoadways, needsJoining } from "./roadways";
import { boxOnPlan } from "./polygon";
import { remembered } from "./remembered";
import type { Solid } from "./solid";
import { raisedGrounds } from "./raisedGround";
import { drapedOver, settledOn } from "./settled";
import { solidsOfGround } from "./surface";
import { groundAt, heightOn, LEVEL, reaches, terrainFrom, type Facet, type Terrain } from "./terrain";

/** What elements are built to: solids, and what is drawn on them and on the ground. */
export interface Built {
  readonly solids: readonly Solid[];
  readonly details: readonly Detail[];
}

const NOTHING: Built = { solids: [], details: [] };

/** Some elements that are built as one: a single one, cuttings that join or cross, or roadways that do. */
interface Unit {
  readonly elements: readonly Element[];
  /** What roadways among them end at. */
  readonly inTheWay: readonly Element[];
  /** The facets that are left of raised ground, where it is that. */
  readonly facets?: readonly Facet[];
}

const cuttingOf = (element: Element) => (element.hidden ? null : (kindOf(element).cutting?.(element) ?? null));
const roadwayOf = remembered((element: Element) =>
  element.hidden ? null : (kindOf(element).roadway?.(element) ?? null),
);

/** The elements of which something can be told, and that. */
const those = <T>(elements: readonly Element[], tell: (element: Element) => T | null) =>
  elements.flatMap((element) => {
    const told = tell(element);
    return told ? [{ element, told }] : [];
  });

/** The part of the plan at which roadways end, of an element that they do not run through. */
function wayTaken(element: Element): Region {
  const kind = kindOf(element);
  const cutting = cuttingOf(element);
  return cutting ? takenBy(cutting) : [kind.outline(element)];
}

const endsRoadways = (element: Element): boolean =>
  !element.hidden && validateElement(element) === null && (kindOf(element).endsRoadways?.(element) ?? false);

/** Elements in the units that they are built as; a unit stands where its first element does. */
function unitsOf(elements: readonly Element[], grounds: ReadonlyMap<Element, readonly Facet[]>): readonly Unit[] {
  const dug = those(elements, cuttingOf).map((one) => ({ ...one, taken: takenBy(one.told) }));
  const roads = those(elements, roadwayOf).map((one) => ({ ...one, meeting: meetingOf(one.told) }));
  const groups = [
    ...groupsOf(dug, (i, k) => overlap(dug[i].taken, dug[k].taken)),
    ...groupsOf(roads, (i, k) => meets(roads[i].meeting, roads[k].meeting)),
  ].filter((group) => group.length > 1);
  const group = new Map(
    groups.flatMap((one) => one.map(({ element }) => [element, one.map((each) => each.element)] as const)),
  );
  const inTheWay = elements
    .filter(endsRoadways)
    .map((element) => ({ element, outline: kindOf(element).outline(element) }));
  return elements.flatMap((element) => {
    const unit = group.get(element) ?? [element];
    if (unit[0] !== element) return [];
    const ways = unit.flatMap((one) => roadwayOf(one) ?? []).map(meetingOf);
    return [
      {
        elements: unit,
        facets: grounds.get(element),
        inTheWay: inTheWay.filter(({ outline }) => ways.some((way) => touches(way, outline))).map((one) => one.element),
      },
    ];
  });
}

function builtCuttings(elements: readonly Element[], cuttings: readonly Cutting[]): Built {
  const solids = [...buildCuttings(elements[0].id, cuttings), ...cuttings.flatMap(({ standing }) => standing())];
  return { solids, details: [] };
}

function builtRoadways({ elements, inTheWay }: Unit, roadways: readonly Roadway[]): Built {
  const { solids, kerbs, mouths } = joinRoadways(elements[0].id, roadways, together(inTheWay.map(wayTaken)));
  const kerbDetails = kerbs.flatMap((line) =>
    line.slice(1).map(([x, y], i): Detail => ({ kind: "kerb", a: [...line[i], 0], b: [x, y, 0] })),
  );
  return {
    solids,
    details: [
      ...kerbDetails,
      ...elements.flatMap((element, i) => kindOf(element).details?.(element, solids, { mouths: mouths[i] }) ?? []),
    ],
  };
}

/** What some elements are built to on a level field. */
function builtLevel(unit: Unit): Built {
  const { elements, inTheWay, facets } = unit;
  const cuttings = elements.flatMap((element) => cuttingOf(element) ?? []);
  if (cuttings.length > 1 || cuttings.some(isTangled)) return builtCuttings(elements, cuttings);
  const roadways = elements.flatMap((element) => roadwayOf(element) ?? []);
  if (roadways.length > 1 || inTheWay.length > 0 || roadways.some(needsJoining)) return builtRoadways(unit, roadways);
  const [element] = elements;
  if (element.hidden) return NOTHING;
  const kind = kindOf(element);
  const solids = facets ? solidsOfGround(element.id, facets) : kind.build(element);
  return { solids, details: kind.details?.(element, solids) ?? [] };
}

/** What some elements are built to on the ground as it is. */
function builtUnit(unit: Unit, terrain: Terrain): Built {
  const [element] = unit.elements;
  const kind = kindOf(element);
  const settled = terrain === LEVEL || element.hidden ? undefined : kind.settle?.(element, terrain);
  if (!settled) return builtLevel(unit);
  if (settled === "draped") return drapedOver(builtLevel(unit), terrain);
  const solids = kind.build(element);
  const rises = (at: Vec2) => groundAt(terrain, at) - heightOn(settled, at);
  return settledOn({ solids, details: kind.details?.(element, solids, { rises }) ?? [] }, settled);
}

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

/** A world as the eye looks at it: elements as they are built, on the ground that is around what is dug. */
export const built = (elements: readonly Element[]): Built => buildCache()(elements);

/**
 * A builder that keeps what it built: elements that come again as they were have the same solids again, so that what is
 * known of them still holds.
 */
export function buildCache(): (elements: readonly Element[]) => Built {
  let kept = new Map<string, { readonly as: string; readonly on: string; readonly built: Built }>();
  let ground = { as: "", solids: [] as readonly Solid[] };
  return (elements) => {
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
      const one = before?.as === as && before.on === on ? before : { as, on, built: builtUnit(unit, own) };
      next.set(id, one);
      return { ...one, dug: kindOf(unit.elements[0]).cutting !== undefined };
    });
    kept = next;
    const dug = parts.flatMap((part) => (part.dug ? [part.as] : [])).join();
    if (dug !== ground.as) ground = { as: dug, solids: groundAround(elements) };
    return {
      solids: ([] as Solid[]).concat(...parts.map(({ built: { solids } }) => solids), ground.solids),
      details: ([] as Detail[]).concat(...parts.map(({ built: { details } }) => details)),
    };
  };
}
