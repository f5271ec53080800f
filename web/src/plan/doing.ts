import { heldTo, movedOnPlan, pickOnPlan, placeOnPlan, type Placed } from "@zanvo/core/construct";
import { degrees, distance2, wrap, type Vec2 } from "@zanvo/core/geometry";
import { isHeld } from "@zanvo/core/shot";
import { metres, sentence, type Told } from "@zanvo/core/units";
import {
  boxOf,
  moved,
  outlineOf,
  placed as putAt,
  turned,
  validateElement,
  whyInvalid,
  type Element,
} from "@zanvo/core/world";
import { pan, type Camera } from "../canvas/camera";
import { replaceElement, replaceMany } from "../document/elements";
import { handlesOf, onPlan, onWindow, REACH, turnHandle } from "./plan";
import { gazeEnd } from "./PlanDrawing";
import type { PlanTool } from "./tools";
import { shapeOf } from "./useSketch";
import type { Stores } from "../stores";

/** Round measures, m. */
const ROUND = 0.5;

/** What a hand on the plan is doing. */
export type Doing =
  | { readonly what: "pan"; readonly last: Vec2 }
  | { readonly what: "move"; readonly element: Element; readonly all: readonly Element[]; readonly from: Vec2 }
  | { readonly what: "corner"; readonly element: Element; readonly corner: number }
  | { readonly what: "turn"; readonly element: Element; readonly about: Vec2 }
  | { readonly what: "eye" }
  | { readonly what: "gaze" }
  | { readonly what: "lasso"; readonly from: Vec2; readonly to: Vec2 }
  | { readonly what: "shape"; readonly from: Vec2; readonly to: Vec2 };

/**
 * Where a hand is: window px, and the place of the world, m. Alt keeps it from catching on anything; Shift holds it to
 * the line that it caught last.
 */
export interface PlanPoint {
  readonly at: Vec2;
  readonly world: Vec2;
  readonly alt: boolean;
  readonly shift: boolean;
}

/** What a hand does now, and what is told of it. */
interface Followed {
  readonly doing?: Doing;
  readonly camera?: Camera;
  readonly told?: Told;
  /** Where what it does was drawn to: a place, or by how much a thing is moved. */
  readonly placed?: Placed;
}

const near = (a: Vec2, b: Vec2): boolean => distance2(a, b) <= REACH;
const elementsNow = (stores: Stores): readonly Element[] => stores.useDocument.getState().scene.elements;

/** A place as it is drawn to others; held to the line that it was drawn to last, or free, while keys say so. */
export function placedAt(
  stores: Stores,
  camera: Camera,
  { world, alt, shift }: PlanPoint,
  last: Placed | null,
  others: readonly Element[] = elementsNow(stores),
): Placed {
  if (alt) return { at: world, on: null };
  return shift && last?.on?.line ? heldTo(last, world) : placeOnPlan(others, world, REACH / camera.scale, ROUND);
}

/**
 * Chooses what was pressed, with all of its group, and takes it up; with Shift it is added or taken out, and over open
 * ground a rectangle is begun.
 */
function picked(stores: Stores, element: Element | undefined, { at, world }: PlanPoint, shift: boolean): Doing | null {
  if (shift) {
    if (element) stores.toggle(element.id);
    return element ? null : { what: "lasso", from: at, to: at };
  }
  const many = stores.chosenElements();
  const chosen = element !== undefined && many.some(({ id }) => id === element.id);
  const grouped = (one: Element) =>
    element?.group !== undefined && one.group === element.group && one.id !== element.id;
  const all = element ? (chosen ? many : [element, ...elementsNow(stores).filter(grouped)]) : [];
  if (!chosen) stores.choose(all.map(({ id }) => id));
  const free = all.filter(({ locked }) => !locked);
  if (!element || element.locked || free.length === 0) return { what: "pan", last: at };
  stores.beginGesture();
  return { what: "move", element, all: free, from: world };
}

/** What a press with the tool that chooses takes up: a handle of what is chosen, an eye or its gaze, or a thing. */
export function takenUp(stores: Stores, camera: Camera, point: PlanPoint, shift: boolean): Doing | null {
  const { at, world } = point;
  const { elements, shots } = stores.useDocument.getState().scene;
  const { id: shotId, eye, gaze } = stores.currentShot();
  const own: Vec2 = [eye.x, eye.y];
  if (near(at, gazeEnd(camera, own, gaze.heading))) {
    stores.beginGesture();
    return { what: "gaze" };
  }
  if (near(at, onWindow(camera, own))) {
    stores.beginGesture();
    return { what: "eye" };
  }
  const other = shots.find(({ id, eye: { x, y } }) => id !== shotId && near(at, onWindow(camera, [x, y])));
  if (other) {
    stores.go({ shotId: other.id });
    return null;
  }
  const [chosen, ...more] = stores.chosenElements();
  const handles = chosen && more.length === 0 && !chosen.locked ? handlesOf(chosen) : [];
  const corner = handles.findIndex((one) => near(at, onWindow(camera, one)));
  const turning = chosen && more.length === 0 && !chosen.locked ? turnHandle(camera, chosen) : null;
  if (corner < 0 && turning && near(at, turning.at)) {
    stores.beginGesture();
    return { what: "turn", element: chosen, about: turning.about };
  }
  if (corner < 0) return picked(stores, pickOnPlan(elements, world), point, shift);
  stores.beginGesture();
  return { what: "corner", element: chosen, corner };
}

function moveAll(
  stores: Stores,
  { element, all, from }: Doing & { what: "move" },
  camera: Camera,
  { world, alt, shift }: PlanPoint,
  last: Placed | null,
): Followed {
  const going = new Set(all.map(({ id }) => id));
  const others = alt ? [] : elementsNow(stores).filter(({ id }) => !going.has(id));
  const by = [world[0] - from[0], world[1] - from[1]] as const;
  const held = shift && !alt && last?.on?.line !== undefined;
  const snapped = movedOnPlan(element, others, by, REACH / camera.scale, alt ? 0 : ROUND);
  const placed = held ? heldTo(last, by) : { at: snapped.by, on: snapped.on };
  stores.drag(replaceMany(all.map((one) => moved(one, ...placed.at))));
  return { told: metres(Math.hypot(...placed.at)), placed };
}

function moveCorner(
  stores: Stores,
  { element, corner }: Doing & { what: "corner" },
  camera: Camera,
  point: PlanPoint,
  last: Placed | null,
): Followed {
  const others = elementsNow(stores).filter(({ id }) => id !== element.id);
  const to = placedAt(stores, camera, point, last, others);
  const next = putAt(element, corner, to.at);
  const invalid = validateElement(next);
  if (invalid) return { told: whyInvalid(invalid) };
  stores.drag(replaceElement(next));
  return { told: sentence`${metres(to.at[0])} east, ${metres(to.at[1])} north`, placed: to };
}

/** Turns a thing so that its longest side has the heading of the hand from its middle, in whole degrees. */
function turnThing(
  stores: Stores,
  { element, about }: Doing & { what: "turn" },
  { world: [x, y], alt }: PlanPoint,
): Followed {
  const exact = wrap(degrees(Math.atan2(x - about[0], y - about[1])), -180, 360);
  const heading = alt ? exact : Math.round(exact);
  const next = turned(element, heading - boxOf(element).heading, about);
  const invalid = validateElement(next);
  if (invalid) return { told: whyInvalid(invalid) };
  stores.drag(replaceElement(next));
  return { told: `Heading ${heading.toFixed(alt ? 1 : 0)}°` };
}

function moveEye(stores: Stores, { world: [x, y], alt }: PlanPoint): Followed {
  const to = alt ? ([x, y] as const) : ([Math.round(x * 10) / 10, Math.round(y * 10) / 10] as const);
  stores.drag(stores.onShot((before) => ({ ...before, eye: { ...before.eye, x: to[0], y: to[1] } })));
  return { told: sentence`Eye ${metres(to[0], 1)} east, ${metres(to[1], 1)} north` };
}

function turnGaze(stores: Stores, { world: [x, y], alt }: PlanPoint): Followed {
  const { eye, under } = stores.currentShot();
  if (isHeld({ under })) return { told: "The view is held to its photo: release it in Points." };
  const exact = degrees(Math.atan2(x - eye.x, y - eye.y));
  const heading = wrap(alt ? exact : Math.round(exact), -180, 360);
  stores.drag(stores.onShot((before) => ({ ...before, gaze: { ...before.gaze, heading } })));
  return { told: `Gaze ${heading.toFixed(alt ? 1 : 0)}°` };
}

/** Goes on with what a hand is doing. @param last where what it does was drawn to before */
export function followed(
  stores: Stores,
  doing: Doing,
  camera: Camera,
  point: PlanPoint,
  tool: PlanTool,
  last: Placed | null,
): Followed {
  const { at } = point;
  switch (doing.what) {
    case "pan":
      return { camera: pan(camera, at[0] - doing.last[0], at[1] - doing.last[1]), doing: { what: "pan", last: at } };
    case "lasso":
      return { doing: { ...doing, to: at } };
    case "move":
      return moveAll(stores, doing, camera, point, last);
    case "corner":
      return moveCorner(stores, doing, camera, point, last);
    case "turn":
      return turnThing(stores, doing, point);
    case "eye":
      return moveEye(stores, point);
    case "gaze":
      return turnGaze(stores, point);
    case "shape": {
      const to = placedAt(stores, camera, point, last);
      const far = metres(distance2(doing.from, to.at));
      const told = shapeOf(tool) === "circle" ? sentence`radius ${far}` : far;
      return { doing: { ...doing, to: to.at }, told, placed: to };
    }
  }
}

/** Chooses all things that lie wholly in a rectangle of the window, beside what is chosen. */
export function gather(stores: Stores, { from, to }: Doing & { what: "lasso" }, camera: Camera): void {
  const within = ([x, y]: Vec2) =>
    x >= Math.min(from[0], to[0]) &&
    x <= Math.max(from[0], to[0]) &&
    y >= Math.min(from[1], to[1]) &&
    y <= Math.max(from[1], to[1]);
  const found = elementsNow(stores).filter(
    (one) => !one.hidden && outlineOf(one).every((p) => within(onWindow(camera, p))),
  );
  stores.choose([...new Set([...stores.chosenElements(), ...found].map(({ id }) => id))]);
}

/** The place of the world and of the window at which a pointer is. */
export function pointAt(camera: Camera, holder: HTMLElement, event: PointerPlace): PlanPoint {
  const box = holder.getBoundingClientRect();
  const at: Vec2 = [event.clientX - box.left, event.clientY - box.top];
  return { at, world: onPlan(camera, at), alt: event.altKey, shift: event.shiftKey };
}

/** As much of a pointer's event as tells where it is. */
export interface PointerPlace {
  readonly clientX: number;
  readonly clientY: number;
  readonly altKey: boolean;
  readonly shiftKey: boolean;
}
