import { degrees, type Vec2, type Vec3 } from "../geometry";
import { blockCorner } from "./block";
import { canalRibbon, cornerOf as footCorner, cornersOf, ribbonOf, sizeOf, skylineRibbon } from "./outline";
import { pathOf, ribbon } from "./path";
import { longestSide } from "./polygon";
import type { Block, Building, Element, Steps } from "../schema";

/** From what height an element reaches, and how far up, m: for a building, to its eaves. */
function spanOf(element: Exclude<Element, Block | Steps>): readonly [number, number] {
  switch (element.kind) {
    case "building":
      return [element.base, (element.setbacks ?? []).reduce((sum, tier) => sum + tier.height, element.height)];
    case "street":
    case "square":
      return [0, element.kerb];
    case "canal":
      return [-element.depth, element.depth + element.coping];
    case "bridge":
      return [element.level - element.thickness, element.thickness + (element.parapet?.height ?? 0)];
    case "skyline":
      return [0, Math.max(element.heights.least, element.heights.most)];
  }
}

/** Whether an element is a thing that stands by itself; what lies on the ground, or closes the view, does not. */
export const stands = ({ kind }: Element): boolean => kind === "block" || kind === "building" || kind === "steps";

/**
 * The block that stands for an element where only its place, its way and its size count: around all but a block along
 * its longest side.
 */
export function boxOf(element: Element): Block {
  if (element.kind === "block") return element;
  if (element.kind === "steps") return stepsBox(element);
  const points = outlineOf(element);
  const corners = points.length >= 3 ? points : placesOf(element);
  const [base, height] = spanOf(element);
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
    id: element.id,
    kind: "block",
    name: element.name,
    heading: degrees(Math.atan2(l[0], l[1])),
    origin: { x: l0 * l[0] + w0 * w[0], y: l0 * l[1] + w0 * w[1], z: base },
    length: Math.max(1e-3, l1 - l0),
    width: Math.max(1e-3, w1 - w0),
    height: Math.max(1e-3, height),
  };
}

/** Outlines of elements that can no longer change. */
const known = new WeakMap<Element, readonly Vec2[]>();

/** The middle of the block that stands for an element. */
export function middleOf(element: Element): Vec3 {
  const box = boxOf(element);
  const [x, y, z] = blockCorner(box, 0.5, 0.5);
  return [x, y, z + box.height / 2];
}

/** The outline of an element on the plan, counter-clockwise. */
export function outlineOf(element: Element): readonly Vec2[] {
  if (!Object.isFrozen(element)) return outlined(element);
  let outline = known.get(element);
  if (!outline) known.set(element, (outline = outlined(element)));
  return outline;
}

function outlined(element: Element): readonly Vec2[] {
  switch (element.kind) {
    case "building":
    case "square":
      return cornersOf(element);
    case "street":
      return ribbonOf(element);
    case "canal":
      return canalRibbon(element);
    case "bridge":
      return ribbon(pathOf(element), element.width / 2, -element.width / 2);
    case "skyline":
      return skylineRibbon(element);
    case "block":
    case "steps": {
      const box = boxOf(element);
      return (
        [
          [0, 0],
          [0, 1],
          [1, 1],
          [1, 0],
        ] as const
      ).map(([u, v]): Vec2 => {
        const [x, y] = blockCorner(box, u, v);
        return [x, y];
      });
    }
  }
}

/** Whether an element is at a place of the plan. */
export function standsAt(element: Element, [px, py]: Vec2): boolean {
  const points = outlineOf(element);
  let inside = false;
  points.forEach(([x, y], i) => {
    const [u, v] = points[(i + points.length - 1) % points.length];
    if (y > py !== v > py && px < ((u - x) * (py - y)) / (v - y) + x) inside = !inside;
  });
  return inside;
}

/**
 * The places that an element is drawn by: corners of its footprint, or bends of its path; of a block and a flight of
 * steps, none.
 */
export function placesOf(element: Element): readonly Vec2[] {
  const places = "footprint" in element ? element.footprint : "path" in element ? element.path : [];
  return places.map(({ x, y }) => [x, y] as const);
}

/** An element with one of the places that it is drawn by put elsewhere. */
export function placed<T extends Element>(element: T, place: number, [x, y]: Vec2): T {
  const turned = (one: Point, i: number): Point => (i === place ? { x, y } : one);
  if ("footprint" in element) return { ...element, footprint: element.footprint.map(turned) };
  return "path" in element ? { ...element, path: element.path.map(turned) } : element;
}

/** The block around a flight of steps. */
function stepsBox(steps: Steps): Block {
  const [x, y, z] = footCorner(steps);
  return {
    id: steps.id,
    kind: "block",
    name: steps.name,
    origin: { x, y, z },
    heading: steps.heading,
    width: steps.width,
    ...sizeOf(steps),
  };
}

/** The building that a block is, to be given a roof or another footprint. */
export function asBuilding(element: Block | Building): Building {
  if (element.kind === "building") return element;
  const { id, name, height, origin } = element;
  return {
    id,
    kind: "building",
    name,
    footprint: outlineOf(element).map(([x, y]) => ({ x, y })),
    base: origin.z,
    height,
    roof: { kind: "flat" },
  };
}

interface Point {
  readonly x: number;
  readonly y: number;
}

/** The parts of a building that have a place of their own on the plan. */
const PARTS = ["chimneys", "boxes", "passages", "doors"] as const;

/** An element moved over the ground, m. */
export function moved<T extends Element>(element: T, dx: number, dy: number): T {
  const by = <P extends Point>(one: P): P => ({ ...one, x: one.x + dx, y: one.y + dy });
  if (element.kind === "steps") return { ...element, foot: by(element.foot) };
  if (element.kind === "block") return { ...element, origin: by(element.origin) };
  if ("path" in element) return { ...element, path: element.path.map(by) };
  if (!("footprint" in element)) return element;
  const next = { ...element, footprint: element.footprint.map(by) };
  if (next.kind === "building")
    for (const part of PARTS) if (next[part]) Object.assign(next, { [part]: next[part].map(by) });
  return next;
}
