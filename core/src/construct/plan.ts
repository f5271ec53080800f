import { around, distance2, radians, type Rect, type Vec2 } from "../geometry";
import { boxOf, circle, moved, outlineOf, standsAt, type Element } from "../world";

/** A place on the plan, m, and what it was drawn to. */
export interface Placed {
  readonly at: Vec2;
  readonly on: { readonly name: string; readonly what: "corner" | "street line" } | null;
}

/** A place to the nearest round measure, m. */
const rounded = ([x, y]: Vec2, to: number): Vec2 =>
  to > 0 ? [Math.round(x / to) * to, Math.round(y / to) * to] : [x, y];

/**
 * The place of the plan that a hand means: a corner of something within `reach` m, or else the nearest side's line (a
 * street line, drawn out both ways) within reach, or else the nearest round measure.
 */
export function placeOnPlan(elements: readonly Element[], point: Vec2, reach: number, round: number): Placed {
  let [near, best] = [reach, null as Placed | null];
  for (const element of elements)
    for (const corner of outlineOf(element)) {
      const off = distance2(corner, point);
      if (off < near) [near, best] = [off, { at: corner, on: { name: element.name, what: "corner" } }];
    }
  if (best) return best;
  for (const element of elements) {
    const points = outlineOf(element);
    // A drum's many short sides are no street lines.
    if (points.length > 12) continue;
    points.forEach((p, i) => {
      const q = points[(i + 1) % points.length];
      const long = distance2(p, q);
      const [ux, uy] = [(q[0] - p[0]) / long, (q[1] - p[1]) / long];
      const t = (point[0] - p[0]) * ux + (point[1] - p[1]) * uy;
      const at: Vec2 = [p[0] + t * ux, p[1] + t * uy];
      const off = distance2(at, point);
      if (off < near) [near, best] = [off, { at, on: { name: element.name, what: "street line" } }];
    });
  }
  return best ?? { at: rounded(point, round), on: null };
}

/**
 * An element moved over the plan by a hand, m: one of its corners drawn to a corner or street line of the others, or
 * by round measures.
 */
export function movedOnPlan(
  element: Element,
  others: readonly Element[],
  by: Vec2,
  reach: number,
  round: number,
): { readonly element: Element; readonly by: Vec2; readonly on: Placed["on"] } {
  let [near, best] = [Infinity, null as { readonly dx: number; readonly dy: number; readonly on: Placed["on"] } | null];
  for (const [x, y] of outlineOf(element).slice(0, 60)) {
    const goal: Vec2 = [x + by[0], y + by[1]];
    const { at, on } = placeOnPlan(others, goal, reach, 0);
    const off = distance2(at, goal) + (on?.what === "corner" ? 0 : reach);
    if (on && off < near) [near, best] = [off, { dx: at[0] - x, dy: at[1] - y, on }];
  }
  if (best) return { element: moved(element, best.dx, best.dy), by: [best.dx, best.dy], on: best.on };
  const [dx, dy] = rounded(by, round);
  return { element: moved(element, dx, dy), by: [dx, dy], on: null };
}

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

/** How far and how wide a plan must be to hold everything, m. */
export const planBounds = (elements: readonly Element[], eyes: readonly Vec2[]): Rect =>
  around([...elements.flatMap((element) => outlineOf(element)), ...eyes, [0, 0], [10, 10]], 5);

/** The smallest element at a place of the plan: what stands within another's outline can be taken up, too. */
export function pickOnPlan(elements: readonly Element[], at: Vec2): Element | undefined {
  const size = (element: Element) => boxOf(element).length * boxOf(element).width;
  return elements.filter((element) => !element.hidden && standsAt(element, at)).sort((a, b) => size(a) - size(b))[0];
}
