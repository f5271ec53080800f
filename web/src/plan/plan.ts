import { type Told } from "@zanvo/core/units";
import { headingDirection, type Vec2 } from "@zanvo/core/geometry";
import type { Shot } from "@zanvo/core/scene";
import { unproject, viewOf } from "@zanvo/core/shot";
import { boxOf, kindOf, middleOf, placesOf, validateElement, whyInvalid, type Element } from "@zanvo/core/world";
import type { ElementTool } from "../elements";
import { newId } from "../id";
import { toDesk, toWindow, type Camera } from "../canvas/camera";
import { freeName } from "../document";
import { sayWhatIsUnder } from "./under";
import type { Stores } from "../stores";

/** How near things are drawn to and taken up, window px. */
export const REACH = 9;

/** Window px of a place of the world, north up; and back. */
export const onWindow = (camera: Camera, [x, y]: Vec2): Vec2 => toWindow(camera, [x, -y]);
export function onPlan(camera: Camera, at: Vec2): Vec2 {
  const [x, y] = toDesk(camera, at);
  return [x, -y];
}

/** A line or an area of the plan as an SVG path, window px. */
export const pathOn = (camera: Camera, places: readonly Vec2[], closed = true): string =>
  `M${places
    .map((p) =>
      onWindow(camera, p)
        .map((v) => v.toFixed(1))
        .join(" "),
    )
    .join("L")}${closed ? "Z" : ""}`;

/** Lays what is drawn with a tool and chooses it. @returns why it cannot be, or null */
export function addDrawn(stores: Stores, tool: ElementTool, places: readonly Vec2[], heading: number): Told | null {
  const { elements } = stores.useDocument.getState().scene;
  const drawn = tool.draw(places, heading, elements);
  if (typeof drawn === "string") return drawn;
  const unnamed: Element = { ...drawn, id: newId(), name: "" };
  const element: Element = { ...unnamed, name: freeName(kindOf(unnamed).word, elements) };
  const invalid = validateElement(element);
  if (invalid) return whyInvalid(invalid);
  stores.edit((scene) => void scene.elements.push(element));
  stores.choose([element.id]);
  sayWhatIsUnder(stores, [element], elements);
  return null;
}

/** No more corners than these can be dragged. */
const MAX_HANDLES = 60;

/** The corners or bends that can be dragged. */
export function handlesOf(element: Element): readonly Vec2[] {
  const places = placesOf(element);
  return places.length <= MAX_HANDLES ? places : [];
}

/** The handle that turns a thing stands so far from the end of its box, window px. */
const TURNED = 42;

/** The middle that a thing is turned about, m, and where it is taken hold of to be turned, window px. */
export function turnHandle(camera: Camera, element: Element): { readonly about: Vec2; readonly at: Vec2 } {
  const { heading, length } = boxOf(element);
  const [x, y] = middleOf(element);
  const [ux, uy] = headingDirection(heading);
  const [mx, my] = onWindow(camera, [x, y]);
  const far = (length / 2) * camera.scale + TURNED;
  return { about: [x, y], at: [mx + far * ux, my - far * uy] };
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
