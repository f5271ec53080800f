import { degrees, add, scale, type Vec2 } from "@zanvo/core/geometry";
import type { Shot } from "@zanvo/core/scene";
import { unproject, viewOf } from "@zanvo/core/shot";
import {
  blockAxes,
  blockCorner,
  DEFAULT_BRIDGE,
  DEFAULT_CANAL,
  DEFAULT_SKYLINE,
  DEFAULT_SQUARE,
  DEFAULT_STEPS,
  DEFAULT_STREET,
  elementFault,
  placed,
  placesOf,
  type Block,
  type Element,
} from "@zanvo/core/world";
import { newId } from "../id";
import { edit, freeName, go, useBoard } from "../board/board";
import { toDesk, toWindow, type Camera } from "../board/desk/camera";
import { seed } from "./rows";

/** What is drawn in one go from one place to another, corner by corner into an area, or bend by bend along a line. */
export type DrawnTool = "rectangle" | "ell" | "horseshoe" | "circle" | "steps" | "bridge" | "row";
const AREAS = ["polygon", "square", "lot"] as const;
const PATHS = ["street", "canal", "skyline"] as const;
export type AreaTool = (typeof AREAS)[number];
export type PathTool = (typeof PATHS)[number];
/** What the hand does on the plan. */
export type PlanTool = "choose" | DrawnTool | AreaTool | PathTool;

const among =
  <T extends string>(tools: readonly T[]) =>
  (tool: PlanTool): tool is T & PlanTool =>
    (tools as readonly string[]).includes(tool);
export const isArea = among(AREAS);
export const isPath = among(PATHS);
/** Shapes of a building that are drawn in one go. */
export const isShape = among(["rectangle", "ell", "horseshoe", "circle"] as const);

/** Window px of a place of the world, north up; and back. */
export const onWindow = (camera: Camera, [x, y]: Vec2): Vec2 => toWindow(camera, [x, -y]);
export function onPlan(camera: Camera, at: Vec2): Vec2 {
  const [x, y] = toDesk(camera, at);
  return [x, -y];
}

/** What a fresh building is high, m. */
const HIGH = 6;

const points = (places: readonly Vec2[]) => places.map(([x, y]) => ({ x, y }));

/** What is drawn with a tool through some places, all but its name. @returns a sentence where it is nothing yet */
function drawn(tool: PlanTool, places: readonly Vec2[], heading: number): Element | string {
  const base = { id: newId(), name: "" };
  const path = points(places);
  switch (tool) {
    case "street":
      return { ...base, kind: "street", path, ...DEFAULT_STREET };
    case "canal":
      return { ...base, kind: "canal", path, ...DEFAULT_CANAL };
    case "skyline":
      return { ...base, kind: "skyline", path, ...DEFAULT_SKYLINE, seed: seed() };
    case "bridge":
      return { ...base, kind: "bridge", path, ...DEFAULT_BRIDGE };
    case "square":
      return { ...base, kind: "square", footprint: path, heading, ...DEFAULT_SQUARE };
    case "steps": {
      const [[x, y], [u, v]] = places;
      const count = Math.round(Math.hypot(u - x, v - y) / DEFAULT_STEPS.tread);
      if (count < 1) return "The flight is too short: draw it from its foot to its head.";
      return {
        ...base,
        kind: "steps",
        foot: { x, y, z: 0 },
        heading: Number(degrees(Math.atan2(u - x, v - y)).toFixed(2)),
        count: Math.min(500, count),
        ...DEFAULT_STEPS,
      };
    }
    default:
      return {
        ...base,
        kind: "building",
        footprint: path,
        base: 0,
        height: HIGH,
        roof: { kind: "flat" },
        ...(tool === "circle" ? { round: true } : {}),
      };
  }
}

const WORDS: Readonly<Record<Element["kind"], string>> = {
  block: "Block",
  building: "Building",
  street: "Street",
  steps: "Steps",
  canal: "Canal",
  bridge: "Bridge",
  square: "Square",
  skyline: "Skyline",
};

/** Lays what is drawn with a tool and chooses it. @returns why it cannot be, or null */
export function layDrawn(tool: PlanTool, places: readonly Vec2[], heading: number): string | null {
  const { elements } = useBoard.getState().scene;
  const element = drawn(tool, places, heading);
  if (typeof element === "string") return element;
  const fault = elementFault(element);
  if (fault) return `The ${fault.field.split("/")[0]} ${fault.message}`;
  edit((scene) => void scene.elements.push({ ...element, name: freeName(WORDS[element.kind], elements) } as never));
  go({ selected: element.id });
  return null;
}

/**
 * A block with one corner of its footprint drawn to a place, the opposite one staying; anything else with that corner
 * or bend moved.
 */
export const cornerMoved = (element: Element, corner: number, at: Vec2): Element =>
  element.kind === "block" ? blockBetween(element, corner, at) : placed(element, corner, at);

const CORNERS = [
  [0, 0],
  [0, 1],
  [1, 1],
  [1, 0],
] as const;

/** A block between one of its corners and a place, along its own heading. */
function blockBetween(block: Block, corner: number, [x, y]: Vec2): Block {
  const [u, v] = CORNERS[corner];
  const fixed = blockCorner(block, 1 - u, 1 - v);
  const [l, w] = blockAxes(block);
  const [dx, dy] = [x - fixed[0], y - fixed[1]];
  const [length, width] = [Math.abs(dx * l[0] + dy * l[1]), Math.abs(dx * w[0] + dy * w[1])];
  const [signL, signW] = [Math.sign(dx * l[0] + dy * l[1]) || 1, Math.sign(dx * w[0] + dy * w[1]) || 1];
  const origin = add(add(fixed, scale(l, signL > 0 ? 0 : -length)), scale(w, signW > 0 ? 0 : -width));
  return {
    ...block,
    length: Math.max(0.1, length),
    width: Math.max(0.1, width),
    origin: { x: origin[0], y: origin[1], z: block.origin.z },
  };
}

/** No more corners than these can be dragged: a drum's many are none. */
const MOST = 60;

/** The corners that can be dragged, in the order of `cornerMoved`. */
export function cornersToDrag(element: Element): readonly Vec2[] {
  if (element.kind === "block")
    return CORNERS.map(([u, v]) => {
      const [x, y] = blockCorner(element, u, v);
      return [x, y] as const;
    });
  const places = element.kind === "building" && element.round ? [] : placesOf(element);
  return places.length <= MOST ? places : [];
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
