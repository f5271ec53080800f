import type { Vec2 } from "../geometry";
import { alongPath, overlap, type Region } from "./areas";
import { groupsOf } from "./groups";
import { meetingOf, meets, outerOf, touches, type Meeting } from "./junctions";
import { kindOf, validateElement, type Element } from "./kinds";
import { builderOf } from "./kinds/builders";
import { boxesMeet, boxOnPlan, type PlanBox } from "./polygon";
import { remembered } from "./remembered";
import type { Facet } from "./terrain";

/** Some elements that are built as one: a single one, cuttings that join or cross, or roadways that do. */
export interface Unit {
  readonly elements: readonly Element[];
  /** What roadways among them end at, or what they yield to. */
  readonly inTheWay: readonly Element[];
  /** The facets that are left of raised ground, where it is that. */
  readonly facets?: readonly Facet[];
}

export const cuttingOf = remembered((element: Element) =>
  element.hidden ? null : (builderOf(element).cutting?.(element) ?? null),
);
export const roadwayOf = remembered((element: Element) =>
  element.hidden ? null : (kindOf(element).roadway?.(element) ?? null),
);

/** The elements of which something can be told, and that. */
const those = <T>(elements: readonly Element[], tell: (element: Element) => T | null) =>
  elements.flatMap((element) => {
    const told = tell(element);
    return told ? [{ element, told }] : [];
  });

/** The part of the plan that an element takes of what ends at it, or yields to it. */
export function takenBy(element: Element): Region {
  const roadway = roadwayOf(element);
  if (roadway) return alongPath(roadway.path, outerOf(roadway));
  return cuttingOf(element)?.taken() ?? [kindOf(element).outline(element)];
}

const endsRoadways = (element: Element): boolean =>
  !element.hidden && (kindOf(element).endsRoadways?.(element) ?? false) && validateElement(element) === null;

const yieldsTo = (element: Element) => (element.hidden ? false : (kindOf(element).yields?.(element) ?? false));

/** Elements that are built as one with others, by each of them. */
function groupsAmong(elements: readonly Element[]): ReadonlyMap<Element, readonly Element[]> {
  const dug = those(elements, cuttingOf).map(({ element, told }) => {
    const taken = told.taken();
    return { element, taken, box: boxOnPlan(taken.flat()) };
  });
  const roads = those(elements, roadwayOf).map((one) => ({ ...one, meeting: meetingOf(one.told) }));
  const groups = [
    ...groupsOf(dug, (i, k) => boxesMeet(dug[i].box, dug[k].box) && overlap(dug[i].taken, dug[k].taken)),
    ...groupsOf(roads, (i, k) => meets(roads[i].meeting, roads[k].meeting)),
  ].filter((group) => group.length > 1);
  return new Map(
    groups.flatMap((one) => one.map(({ element }) => [element, one.map((each) => each.element)] as const)),
  );
}

/** Something that others end at, or yield to. */
interface Obstacle {
  readonly element: Element;
  readonly order: number;
  readonly outline: readonly Vec2[];
  readonly box: PlanBox;
}

/** What takes the ground of an element that lies on it and yields. */
function takersOf(element: Element, order: number, areas: readonly Obstacle[], ways: readonly Obstacle[]) {
  const yields = yieldsTo(element);
  if (!yields) return [];
  const box = boxOnPlan(kindOf(element).outline(element));
  const takes = (one: Obstacle) => one.element !== element && boxesMeet(one.box, box);
  return [
    ...areas.filter((one) => takes(one) && (!yieldsTo(one.element) || one.order > order)),
    ...(yields === "areas and ways" ? ways.filter(takes) : []),
  ];
}

/** Elements in the units that they are built as; a unit stands where its first element does. */
export function unitsOf(
  elements: readonly Element[],
  grounds: ReadonlyMap<Element, readonly Facet[]>,
): readonly Unit[] {
  const groups = groupsAmong(elements);
  const obstacles = elements.map((element, order): Obstacle => {
    const outline = kindOf(element).outline(element);
    return { element, order, outline, box: boxOnPlan(outline) };
  });
  const ends = obstacles.filter(({ element }) => endsRoadways(element));
  const areas = obstacles.filter(({ element }) => endsRoadways(element) || yieldsTo(element));
  const ways = obstacles.filter(({ element }) => roadwayOf(element) !== null);
  return elements.flatMap((element, order) => {
    const unit = groups.get(element) ?? [element];
    if (unit[0] !== element) return [];
    const meetings = unit.flatMap((one): Meeting[] => {
      const roadway = roadwayOf(one);
      return roadway ? [meetingOf(roadway)] : [];
    });
    const met = meetings.length > 0 ? ends.filter(({ outline }) => meetings.some((way) => touches(way, outline))) : [];
    const inTheWay = [...met, ...takersOf(element, order, areas, ways)].map((one) => one.element);
    return [{ elements: unit, facets: grounds.get(element), inTheWay }];
  });
}
