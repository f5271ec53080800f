import { around, distance2, radians, type Rect, type Vec2 } from "../geometry";
import { boxOf, circle, outlineOf, standsAt, type Element } from "../world";

/** What is drawn from one place of the plan to another. */
export type PlanShape = "rectangle" | "ell" | "horseshoe" | "circle";

/** Wings of an L or a U take this part of the shorter side. */
const WING = 0.4;

/**
 * The corners of a shape drawn from one corner to the opposite one along a heading, or from its middle to its rim;
 * null for next to nothing.
 */
export function shapeOnPlan(shape: PlanShape, from: Vec2, to: Vec2, heading: number): readonly Vec2[] | null {
  if (shape === "circle") return distance2(from, to) < 0.2 ? null : circle(from, distance2(from, to));
  const [u, v]: Vec2[] = [
    [Math.sin(radians(heading)), Math.cos(radians(heading))],
    [Math.cos(radians(heading)), -Math.sin(radians(heading))],
  ];
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const [l, w] = [dx * u[0] + dy * u[1], dx * v[0] + dy * v[1]];
  if (Math.min(Math.abs(l), Math.abs(w)) < 0.2) return null;
  const at = (s: number, t: number): Vec2 => [
    from[0] + s * l * u[0] + t * w * v[0],
    from[1] + s * l * u[1] + t * w * v[1],
  ];
  const wing = WING * Math.min(Math.abs(l), Math.abs(w));
  const [a, b] = [wing / Math.abs(l), wing / Math.abs(w)];
  const plans: Readonly<Record<Exclude<PlanShape, "circle">, readonly (readonly [number, number])[]>> = {
    rectangle: [
      [0, 0],
      [1, 0],
      [1, 1],
      [0, 1],
    ],
    ell: [
      [0, 0],
      [1, 0],
      [1, b],
      [a, b],
      [a, 1],
      [0, 1],
    ],
    horseshoe: [
      [0, 0],
      [1, 0],
      [1, 1],
      [1 - a * 0.8, 1],
      [1 - a * 0.8, b],
      [a * 0.8, b],
      [a * 0.8, 1],
      [0, 1],
    ],
  };
  return plans[shape].map(([s, t]) => at(s, t));
}

/** How far and how wide a plan must be to hold some elements and places, and so much around them, m. */
export const planBounds = (elements: readonly Element[], places: readonly Vec2[], free = 5): Rect =>
  around([...elements.flatMap((element) => outlineOf(element)), ...places], free);

/** The smallest element at a place of the plan: what stands within another's outline can be taken up, too. */
export function pickOnPlan(elements: readonly Element[], at: Vec2): Element | undefined {
  const size = (element: Element) => boxOf(element).length * boxOf(element).width;
  return elements.filter((element) => !element.hidden && standsAt(element, at)).sort((a, b) => size(a) - size(b))[0];
}
