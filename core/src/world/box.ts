import { Heading, named, Size, strict } from "../fields";
import { headingAlong, headingDirection, radians, wrap, type Vec2, type Vec3 } from "../geometry";
import { kindOf, type Element } from "./kinds";
import { blockCorner, isBlock, newBlock, type Block } from "./kinds/block";
import type { Box } from "./kinds/kind";
import { changeMetres } from "./metres";
import { isWithin, isWoundAround, longestSide } from "./polygon";
import { remembered } from "./remembered";

/** How long and wide the box around an element is, and the heading of its longest side, as they are typed. */
export const BoxSchema = strict({
  length: named("Length", Size),
  width: named("Width", Size),
  heading: named("Heading of its longest side", Heading),
});

/** Whether an element is a thing that stands by itself; what lies on the ground, or closes the view, does not. */
export const stands = (element: Element): boolean => kindOf(element).stands;

/** The box around corners of the plan, along their longest side. */
function boxAround(corners: readonly Vec2[], [base, height]: readonly [number, number]): Box {
  const [ux, uy] = longestSide(corners);
  // Along the side, and to its right: the axes of a block with that heading.
  const [l, w] = [
    [ux, uy],
    [uy, -ux],
  ] as const;
  const spread = ([ax, ay]: readonly [number, number]) => {
    const along = corners.map(([x, y]) => ax * x + ay * y);
    return [Math.min(...along), Math.max(...along)] as const;
  };
  const [[l0, l1], [w0, w1]] = [spread(l), spread(w)];
  return {
    heading: headingAlong(l),
    origin: { x: l0 * l[0] + w0 * w[0], y: l0 * l[1] + w0 * w[1], z: base },
    length: Math.max(1e-3, l1 - l0),
    width: Math.max(1e-3, w1 - w0),
    height: Math.max(1e-3, height),
  };
}

/** The outline of an element on the plan, counter-clockwise. */
export const outlineOf = remembered((element: Element): readonly Vec2[] => kindOf(element).outline(element));

/**
 * The block that stands for an element where only its place, its way and its size count: around all but a block along
 * its longest side.
 */
export const boxOf = remembered((element: Element): Block => {
  if (isBlock(element)) return element;
  const kind = kindOf(element);
  const points = outlineOf(element);
  const { origin, heading, length, width, height } =
    kind.box?.(element) ?? boxAround(points.length >= 3 ? points : kind.places(element), kind.span(element));
  return newBlock({ id: element.id, name: element.name, origin, heading, length, width, height });
});

/** The middle of the block that stands for an element. */
export function middleOf(element: Element): Vec3 {
  const box = boxOf(element);
  const [x, y, z] = blockCorner(box, 0.5, 0.5);
  return [x, y, z + box.height / 2];
}

/** What is open within an element's outline: corners of each courtyard, counter-clockwise. */
export const holesOf = (element: Element): readonly (readonly Vec2[])[] => kindOf(element).holes?.(element) ?? [];

/** Whether an element is at a place of the plan: within its outline, and in no courtyard. */
export const standsAt = (element: Element, at: Vec2): boolean =>
  isWoundAround(at, outlineOf(element)) && !holesOf(element).some((hole) => isWithin(at, hole));

/** The places that an element can be changed by; of a round building and a flight of steps, none. */
export const placesOf = (element: Element): readonly Vec2[] => kindOf(element).places(element);

/** An element with one of the places that it is drawn by put elsewhere. */
export const placed = <T extends Element>(element: T, place: number, at: Vec2): T =>
  kindOf(element).placed(element, place, at) as T;

/** An element moved over the ground, m. */
export const moved = <T extends Element>(element: T, dx: number, dy: number): T =>
  changeMetres(kindOf(element).schema, element, { place: ([x, y]) => [x + dx, y + dy] });

/** An element put higher over the ground, m. */
export const lifted = <T extends Element>(element: T, by: number): T =>
  by === 0 ? element : changeMetres(kindOf(element).schema, element, { elevation: (z) => z + by });

/** An element so many times as large in all its measures, about a place of the plan. */
export const scaled = <T extends Element>(element: T, times: number, [ax, ay]: Vec2): T =>
  changeMetres(kindOf(element).schema, element, {
    place: ([x, y]) => [ax + times * (x - ax), ay + times * (y - ay)],
    size: (metres) => times * metres,
  });

/** An element turned clockwise about a place of the plan, degrees. */
export function turned<T extends Element>(element: T, by: number, [ax, ay]: Vec2): T {
  const [c, s] = [Math.cos(radians(by)), Math.sin(radians(by))];
  return changeMetres(kindOf(element).schema, element, {
    place: ([x, y]) => [ax + c * (x - ax) + s * (y - ay), ay - s * (x - ax) + c * (y - ay)],
    heading: (heading) => wrap(heading + by, -180, 360),
  });
}

/**
 * An element with its places farther apart or nearer to each other, about one that stays: so many times along a heading
 * and across it. Its heights and sizes stay.
 */
export function stretched<T extends Element>(
  element: T,
  heading: number,
  [along, across]: readonly [number, number],
  [ax, ay]: Vec2,
): T {
  const [ux, uy] = headingDirection(heading);
  return changeMetres(kindOf(element).schema, element, {
    place: ([x, y]) => {
      const l = along * ((x - ax) * ux + (y - ay) * uy);
      const w = across * ((x - ax) * uy - (y - ay) * ux);
      return [ax + l * ux + w * uy, ay + l * uy - w * ux];
    },
  });
}

/** An element with one place more, halfway behind one of its own; one that is not changed so by its kind, as it is. */
export const withPlace = <T extends Element>(element: T, behind: number): T =>
  (kindOf(element).withPlace?.(element, behind) as T | undefined) ?? element;

/** An element without one of its places; null where it needs all that it has. */
export const withoutPlace = <T extends Element>(element: T, place: number): T | null =>
  (kindOf(element).withoutPlace?.(element, place) as T | null | undefined) ?? null;
