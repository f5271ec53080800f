import type { Vec2 } from "@zanvo/core/geometry";
import type { Size } from "../../canvas/camera";

/** The width of the strip along the window's edge in which a dragging hand scrolls the desk, px. */
const STRIP = 28;
/** How far the desk is scrolled at each frame with the hand at the very edge, px. */
const FASTEST = 14;

/** How fast the desk comes towards a hand at this place of its axis: positive from the near edge. */
function speed(at: number, length: number): number {
  const into = at < STRIP ? STRIP - at : at > length - STRIP ? length - STRIP - at : 0;
  return FASTEST * Math.max(-1, Math.min(1, into / STRIP));
}

/** How far the desk is scrolled in one frame, px, for a dragging hand at a place of its window. */
export const scrollFor = ([x, y]: Vec2, { width, height }: Size): Vec2 => [speed(x, width), speed(y, height)];
