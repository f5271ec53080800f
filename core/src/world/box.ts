import { degrees, type Vec2 } from "../geometry";
import { blockCorner } from "./block";
import { cornersOf } from "./building";
import { longestSide } from "./polygon";
import type { Block, Building, Element, Steps } from "./schemas";
import { cornerOf as footCorner, sizeOf } from "./steps";
import { ribbonOf } from "./street";

/** How high a building stands over its foot, without its roof, m. */
const wallsOf = ({ height, setbacks = [] }: Building): number => setbacks.reduce((sum, tier) => sum + tier.height, height);

/** The block that stands for an element where only its place, its way and its size count: around a building or a street, along its longest side. */
export function boxOf(element: Element): Block {
  if (element.kind === "block") return element;
  if (element.kind === "steps") return stepsBox(element);
  const points = outlineOf(element);
  const corners = points.length >= 3 ? points : (element.kind === "street" ? element.path : element.footprint).map(({ x, y }) => [x, y] as const);
  const [base, height] = element.kind === "street" ? [0, Math.max(1e-3, element.kerb)] : [element.base, wallsOf(element)];
  const [ux, uy] = longestSide(corners);
  // Along the side, and to its right: the axes of a block with that heading.
  const [l, w] = [[ux, uy], [uy, -ux]] as const;
  const spread = ([ax, ay]: readonly [number, number]) => {
    const along = corners.map(([x, y]) => ax * x + ay * y);
    return [Math.min(...along), Math.max(...along)] as const;
  };
  const [[l0, l1], [w0, w1]] = [spread(l), spread(w)];
  return {
    id: element.id, kind: "block", name: element.name, heading: degrees(Math.atan2(l[0], l[1])),
    origin: { x: l0 * l[0] + w0 * w[0], y: l0 * l[1] + w0 * w[1], z: base }, length: Math.max(1e-3, l1 - l0), width: Math.max(1e-3, w1 - w0), height,
  };
}

/** The outline of an element on the plan, counter-clockwise. */
export function outlineOf(element: Element): readonly Vec2[] {
  if (element.kind === "building") return cornersOf(element);
  if (element.kind === "street") return ribbonOf(element);
  const box = element.kind === "steps" ? stepsBox(element) : element;
  return ([[0, 0], [0, 1], [1, 1], [1, 0]] as const).map(([u, v]): Vec2 => {
    const [x, y] = blockCorner(box, u, v);
    return [x, y];
  });
}

/** The block around a flight of steps. */
function stepsBox(steps: Steps): Block {
  const [x, y, z] = footCorner(steps);
  return { id: steps.id, kind: "block", name: steps.name, origin: { x, y, z }, heading: steps.heading, width: steps.width, ...sizeOf(steps) };
}

/** The building that a block is, to be given a roof or another footprint. */
export function asBuilding(element: Block | Building): Building {
  if (element.kind === "building") return element;
  const { id, name, height, origin } = element;
  return { id, kind: "building", name, footprint: outlineOf(element).map(([x, y]) => ({ x, y })), base: origin.z, height, roof: { kind: "flat" } };
}

/** An element moved over the ground, m. */
export function moved<T extends Element>(element: T, dx: number, dy: number): T {
  if (element.kind === "steps") return { ...element, foot: { ...element.foot, x: element.foot.x + dx, y: element.foot.y + dy } };
  if (element.kind === "street") return { ...element, path: element.path.map(({ x, y }) => ({ x: x + dx, y: y + dy })) };
  if (element.kind === "block") return { ...element, origin: { ...element.origin, x: element.origin.x + dx, y: element.origin.y + dy } };
  const by = <P extends { readonly x: number; readonly y: number }>(one: P): P => ({ ...one, x: one.x + dx, y: one.y + dy });
  return { ...element, footprint: element.footprint.map(by), ...(element.chimneys ? { chimneys: element.chimneys.map(by) } : {}) };
}
