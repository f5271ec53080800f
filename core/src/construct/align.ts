import { headingDirection, type Vec2 } from "../geometry";
import { boxOf, moved, outlineOf, type Element } from "../world";

/**
 * What of things is brought in line: along the first one's way their ends or middles, across it their sides or
 * middles.
 */
export const LINES = {
  "near-ends": "Near ends",
  "far-ends": "Far ends",
  "left-sides": "Left sides",
  "right-sides": "Right sides",
  "middles-across": "Middles, along its way",
  "middles-along": "Middles, across its way",
} as const;
export type Line = keyof typeof LINES;

/** From where to where an element reaches along a direction of length 1, m. */
function reach(element: Element, [ux, uy]: Vec2): readonly [number, number] {
  const along = outlineOf(element).map(([x, y]) => x * ux + y * uy);
  return [Math.min(...along), Math.max(...along)];
}

/** The way along the first thing, and to its right. */
function axesOf(first: Element): readonly [Vec2, Vec2] {
  const { heading } = boxOf(first);
  const [[lx, ly], [wx, wy]] = [headingDirection(heading), headingDirection(heading + 90)];
  return [
    [lx, ly],
    [wx, wy],
  ];
}

const middle = ([from, to]: readonly [number, number]): number => (from + to) / 2;

/** Things moved over the ground into one line with the first of them, which stays. */
export function aligned<T extends Element>(things: readonly T[], line: Line): T[] {
  const [first] = things;
  const [l, w] = axesOf(first);
  const axis = line === "near-ends" || line === "far-ends" || line === "middles-along" ? l : w;
  const place = (element: Element): number => {
    const span = reach(element, axis);
    return line === "near-ends" || line === "left-sides"
      ? span[0]
      : line === "far-ends" || line === "right-sides"
        ? span[1]
        : middle(span);
  };
  const goal = place(first);
  return things.map((one) => {
    const by = goal - place(one);
    return moved(one, by * axis[0], by * axis[1]);
  });
}

/**
 * Things spread so that there is as much room between each and the next, the outermost staying: along the first one's
 * way or across it, wherever they reach farther.
 */
export function spread<T extends Element>(things: readonly T[]): T[] {
  if (things.length < 3) return [...things];
  const far = (axis: Vec2) => {
    const middles = things.map((one) => middle(reach(one, axis)));
    return Math.max(...middles) - Math.min(...middles);
  };
  const [l, w] = axesOf(things[0]);
  const axis = far(l) >= far(w) ? l : w;
  const order = things.map((one) => ({ one, span: reach(one, axis) })).sort((a, b) => middle(a.span) - middle(b.span));
  const [start, end] = [order[0].span[0], order[order.length - 1].span[1]];
  const room = (end - start - order.reduce((sum, { span: [from, to] }) => sum + to - from, 0)) / (order.length - 1);
  let at = start;
  const put = new Map(
    order.map(({ one, span: [from, to] }) => {
      const by = at - from;
      at += to - from + room;
      return [one.id, moved(one, by * axis[0], by * axis[1])] as const;
    }),
  );
  return things.map((one) => put.get(one.id) ?? one);
}
