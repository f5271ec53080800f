import { distance2, type Vec2 } from "../geometry";
import { boxesMeet, boxOnPlan, isInBox, kindOf, moved, outlineOf, pathOf, type Element, type PlanBox } from "../world";

/** What a place of the plan was drawn to. */
export interface Caught {
  readonly name: string;
  readonly what: "corner" | "edge" | "middle line" | "side" | "street line";
  /** Two places of the line that it lies on; a corner lies on none. */
  readonly line?: Line;
}
type Line = readonly [Vec2, Vec2];

/** A place on the plan, m, and what it was drawn to. */
export interface Placed {
  readonly at: Vec2;
  readonly on: Caught | null;
}

/** A side is drawn out by no more than this, m: farther off nobody sees what a place was drawn to. */
const DRAWN_OUT = 8;
/** A drum's many short sides are no street lines. */
const MAX_SIDES = 12;

/** A place to the nearest round measure, m. */
const rounded = ([x, y]: Vec2, to: number): Vec2 =>
  to > 0 ? [Math.round(x / to) * to, Math.round(y / to) * to] : [x, y];

/** How far along a line a place lies, m from its first place, and the place of the line beside it. */
function footOnLine([px, py]: Vec2, [[ax, ay], [bx, by]]: Line): { readonly along: number; readonly at: Vec2 } {
  const long = Math.hypot(bx - ax, by - ay) || 1;
  const [ux, uy] = [(bx - ax) / long, (by - ay) / long];
  const along = (px - ax) * ux + (py - ay) * uy;
  return { along, at: [ax + along * ux, ay + along * uy] };
}

/** The place beside a goal that is still on the line that the last one was drawn to, if that was a line. */
export function heldTo({ at: [x, y], on }: Placed, [gx, gy]: Vec2): Placed {
  if (!on?.line) return { at: [gx, gy], on: null };
  const [[ax, ay], [bx, by]] = on.line;
  return {
    at: footOnLine(
      [gx, gy],
      [
        [x, y],
        [x + bx - ax, y + by - ay],
      ],
    ).at,
    on,
  };
}

const linesThrough = (places: readonly Vec2[], closed: boolean): Line[] =>
  places.slice(closed ? 0 : 1).map((p, i) => (closed ? [p, places[(i + 1) % places.length]] : [places[i], p]));

/** The lines of an element that a place is drawn to, from the ones that come first to the ones that come last. */
function linesOf(element: Element): readonly { readonly what: Caught["what"]; readonly lines: Line[] }[] {
  const outline = linesThrough(outlineOf(element), true);
  if (!kindOf(element).way) return [{ what: "side", lines: outline }];
  return [
    { what: "edge", lines: outline },
    { what: "middle line", lines: "path" in element ? linesThrough(pathOf(element), false) : [] },
  ];
}

/** The nearest of several places within a reach, m. */
function nearest(places: Iterable<Placed>, point: Vec2, reach: number): Placed | null {
  let [near, best] = [reach, null as Placed | null];
  for (const one of places) {
    const off = distance2(one.at, point);
    if (off < near) [near, best] = [off, one];
  }
  return best;
}

/**
 * The place of the plan that a hand means: a corner of something within `reach` m, or else a line there: of a street
 * before a side of anything else, and those before a side drawn out, by no more than 8 m (a street line); where nothing
 * is near, the nearest round measure. What is hidden catches nothing.
 */
export function placeOnPlan(elements: readonly Element[], point: Vec2, reach: number, round: number): Placed {
  const around = (by: number): PlanBox => boxOnPlan([point], by);
  const near = elements.filter(
    (element) => !element.hidden && boxesMeet(around(reach + DRAWN_OUT), boxOnPlan(outlineOf(element))),
  );
  const corner = nearest(
    near.flatMap((element) =>
      outlineOf(element)
        .filter((at) => isInBox(at, around(reach)))
        .map((at): Placed => ({ at, on: { name: element.name, what: "corner" } })),
    ),
    point,
    reach,
  );
  if (corner) return corner;
  const found = near.flatMap((element) =>
    linesOf(element).flatMap(({ what, lines }) =>
      lines.flatMap((line): (Placed & { readonly rank: number })[] => {
        const { along, at } = footOnLine(point, line);
        const beyond = Math.max(-along, along - distance2(...line));
        const drawnOut = beyond > 0;
        if (distance2(at, point) >= reach || beyond > DRAWN_OUT) return [];
        if (drawnOut && (what !== "side" || lines.length > MAX_SIDES)) return [];
        const on: Caught = { name: element.name, what: drawnOut ? "street line" : what, line };
        return [{ at, on, rank: drawnOut ? 2 : what === "side" ? 1 : 0 }];
      }),
    ),
  );
  for (const rank of [0, 1, 2]) {
    const best = nearest(
      found.filter((one) => one.rank === rank),
      point,
      reach,
    );
    if (best) return { at: best.at, on: best.on };
  }
  return { at: rounded(point, round), on: null };
}

/**
 * An element moved over the plan by a hand, m: one of its corners drawn to a corner or line of the others, or by round
 * measures.
 */
export function movedOnPlan(
  element: Element,
  others: readonly Element[],
  by: Vec2,
  reach: number,
  round: number,
): { readonly element: Element; readonly by: Vec2; readonly on: Caught | null } {
  let [near, best] = [Infinity, null as { readonly dx: number; readonly dy: number; readonly on: Caught } | null];
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
