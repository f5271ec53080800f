import { pickSolid } from "@zanvo/core/construct";
import { around, type Vec2, type Vec3 } from "@zanvo/core/geometry";
import { unproject, type View } from "@zanvo/core/shot";
import { visibleEdges, type VisibleEdges } from "@zanvo/core/visibility";
import { build, outlineOf, terrainOf, type Element } from "@zanvo/core/world";

/** No part of a thing stands farther out of its outline than this, m: beams of lock gates do by a metre or so. */
const BESIDE = 5;

/** Whether a ray from the eye passes over or under the circle around a thing's outline, as seen from above. */
export function passesOver(element: Element, [ex, ey]: Vec3, [rx, ry]: Vec3): boolean {
  const { x, y, width, height } = around(outlineOf(element));
  const [cx, cy] = [x + width / 2 - ex, y + height / 2 - ey];
  const radius = Math.hypot(width, height) / 2 + BESIDE;
  const long = Math.hypot(rx, ry);
  const ahead = long > 0 ? Math.max(0, (cx * rx + cy * ry) / long) : 0;
  return long > 0
    ? Math.hypot(cx - (ahead * rx) / long, cy - (ahead * ry) / long) <= radius
    : Math.hypot(cx, cy) <= radius;
}

/** The element that is seen at a place of the picture: only those that may be there are built. */
export function pick(view: View, elements: readonly Element[], at: Vec2): string | null {
  const ray = unproject(view, at);
  const near = elements.filter((element) => passesOver(element, view.eye, ray));
  return pickSolid(view, build(near, terrainOf(elements)), at);
}

/** An element as it would be seen by itself, on the ground of its world. */
export const alone = (view: View, element: Element, elements: readonly Element[]): VisibleEdges =>
  visibleEdges(build([element], terrainOf(elements)), view.eye);
