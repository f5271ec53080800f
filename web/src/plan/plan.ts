import { add, degrees, scale, type Vec2 } from "@zanvo/core/geometry";
import type { Shot } from "@zanvo/core/scene";
import { unproject, viewOf } from "@zanvo/core/shot";
import { blockAxes, blockCorner, DEFAULT_STEPS, DEFAULT_STREET, elementFault, type Block, type Building, type Element, type Street } from "@zanvo/core/world";
import { edit, freeName, go, useBoard } from "../board/board";
import { toDesk, toWindow, type Camera } from "../board/desk/camera";

/** What the hand does on the plan. */
export type PlanTool = "choose" | "rectangle" | "ell" | "horseshoe" | "circle" | "polygon" | "row" | "street" | "steps";

/** Window px of a place of the world, north up; and back. */
export const onWindow = (camera: Camera, [x, y]: Vec2): Vec2 => toWindow(camera, [x, -y]);
export function onPlan(camera: Camera, at: Vec2): Vec2 {
  const [x, y] = toDesk(camera, at);
  return [x, -y];
}

/** What a fresh building is high, m. */
const HIGH = 6;

/** Lays a building on a footprint and chooses it. @returns why it cannot stand, or null */
export function layBuilding(points: readonly Vec2[], round = false): string | null {
  const { elements } = useBoard.getState().scene;
  const building: Building = {
    id: crypto.randomUUID(), kind: "building", name: freeName("Building", elements), footprint: points.map(([x, y]) => ({ x, y })), base: 0, height: HIGH, roof: { kind: "flat" }, ...(round ? { round } : {}),
  };
  return lay(building, "footprint");
}

/** Lays a street along a path and chooses it. @returns why it cannot be laid, or null */
export function layStreet(points: readonly Vec2[]): string | null {
  const { elements } = useBoard.getState().scene;
  const street: Street = { id: crypto.randomUUID(), kind: "street", name: freeName("Street", elements), path: points.map(([x, y]) => ({ x, y })), ...DEFAULT_STREET };
  return lay(street, "path");
}

/** Lays a flight of steps from its foot to its head and chooses it. @returns why it cannot be laid, or null */
export function laySteps([x, y]: Vec2, [u, v]: Vec2): string | null {
  const count = Math.round(Math.hypot(u - x, v - y) / DEFAULT_STEPS.tread);
  if (count < 1) return "The flight is too short: draw it from its foot to its head.";
  const { elements } = useBoard.getState().scene;
  const heading = Number(degrees(Math.atan2(u - x, v - y)).toFixed(2));
  return lay({ id: crypto.randomUUID(), kind: "steps", name: freeName("Steps", elements), foot: { x, y, z: 0 }, heading, count: Math.min(500, count), ...DEFAULT_STEPS }, "flight");
}

function lay(element: Element, what: string): string | null {
  const fault = elementFault(element);
  if (fault) return `The ${what} ${fault.message}`;
  edit((scene) => void scene.elements.push(element as never));
  go({ selected: element.id });
  return null;
}

interface Point {
  readonly x: number;
  readonly y: number;
}

/** A block with one corner of its footprint drawn to a place, the opposite one staying; a building with that corner moved. */
export function cornerMoved(element: Element, corner: number, [x, y]: Vec2): Element {
  const turned = (one: Point, i: number): Point => (i === corner ? { x, y } : one);
  if (element.kind === "building") return { ...element, footprint: element.footprint.map(turned) };
  if (element.kind === "street") return { ...element, path: element.path.map(turned) };
  return element.kind === "steps" ? element : blockBetween(element, corner, [x, y]);
}

const CORNERS = [[0, 0], [0, 1], [1, 1], [1, 0]] as const;

/** A block between one of its corners and a place, along its own heading. */
function blockBetween(block: Block, corner: number, [x, y]: Vec2): Block {
  const [u, v] = CORNERS[corner];
  const fixed = blockCorner(block, 1 - u, 1 - v);
  const [l, w] = blockAxes(block);
  const [dx, dy] = [x - fixed[0], y - fixed[1]];
  const [length, width] = [Math.abs(dx * l[0] + dy * l[1]), Math.abs(dx * w[0] + dy * w[1])];
  const [signL, signW] = [Math.sign(dx * l[0] + dy * l[1]) || 1, Math.sign(dx * w[0] + dy * w[1]) || 1];
  const origin = add(add(fixed, scale(l, signL > 0 ? 0 : -length)), scale(w, signW > 0 ? 0 : -width));
  return { ...block, length: Math.max(0.1, length), width: Math.max(0.1, width), origin: { x: origin[0], y: origin[1], z: block.origin.z } };
}

/** The corners that can be dragged, in the order of `cornerMoved`. */
export function cornersToDrag(element: Element): readonly Vec2[] {
  if (element.kind === "block") return CORNERS.map(([u, v]) => { const [x, y] = blockCorner(element, u, v); return [x, y] as const; });
  if (element.kind === "steps") return [];
  const points = element.kind === "street" ? element.path : element.round ? [] : element.footprint;
  return points.length <= 60 ? points.map(({ x, y }) => [x, y] as const) : [];
}

/** The directions on the plan of a panel's left and right sides, at its middle height; null where they look nowhere. */
export function coneOf(shot: Shot): readonly [Vec2, Vec2] | null {
  const view = viewOf(shot);
  const { x, y, width, height } = shot.frame;
  const way = (at: Vec2): Vec2 | null => {
    try {
      const [a, b] = unproject(view, at);
      const long = Math.hypot(a, b);
      return long > 1e-6 ? [a / long, b / long] : null;
    } catch {
      return null;
    }
  };
  const [left, right] = [way([x, y + height / 2]), way([x + width, y + height / 2])];
  return left && right ? [left, right] : null;
}
