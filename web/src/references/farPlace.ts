import type { Vec2 } from "@zanvo/core/geometry";
import type { Reference } from "@zanvo/core/scene";

/** Points so many picture widths off the middle are drawn true; farther ones nearer, so that they flatten nothing. */
const TRUE = 1.5;

/** Where a point is drawn: a far one in its own direction, so far as its distance has doublings. */
export function drawnIn([x, y]: Vec2, { width, height }: Pick<Reference, "width" | "height">): Vec2 {
  const [dx, dy] = [x - width / 2, y - height / 2];
  const far = Math.hypot(dx, dy) / width;
  const k = far <= TRUE ? 1 : (TRUE * (1 + Math.log2(far / TRUE) / 2)) / far;
  return [width / 2 + k * dx, height / 2 + k * dy];
}
