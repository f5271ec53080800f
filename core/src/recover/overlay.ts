import type { Vec2, Vec3 } from "../geometry";

interface Size {
  readonly width: number;
  readonly height: number;
}

/** Lines to one point run through so many places on each side of a picture. */
const PLACES = 9;

/** Where a line from a place of a picture along a way enters and leaves it; null where it only touches it. */
function across([x, y]: Vec2, [dx, dy]: Vec2, { width, height }: Size): readonly [Vec2, Vec2] | null {
  let [from, to] = [-Infinity, Infinity];
  for (const [at, by, end] of [
    [x, dx, width],
    [y, dy, height],
  ] as const) {
    if (by === 0) {
      if (at < 0 || at > end) return null;
      continue;
    }
    const [s, t] = [-at / by, (end - at) / by].sort((a, b) => a - b);
    [from, to] = [Math.max(from, s), Math.min(to, t)];
  }
  const place = (t: number): Vec2 => [x + t * dx, y + t * dy];
  return to - from > 1e-6 ? [place(from), place(to)] : null;
}

/**
 * Lines across a picture to a vanishing point: through places spread evenly around its rim.
 * @param point homogeneous, px; its last number is zero where the lines are parallel
 */
export function linesTo([vx, vy, w]: Vec3, size: Size): readonly (readonly [Vec2, Vec2])[] {
  const { width, height } = size;
  const shares = Array.from({ length: PLACES }, (_, i) => (i + 0.5) / PLACES);
  const rim = shares.flatMap((t): Vec2[] => [
    [t * width, 0],
    [t * width, height],
    [0, t * height],
    [width, t * height],
  ]);
  // Each line crosses the rim twice: of a point outside the picture only the side that faces away begins lines.
  const inside = w !== 0 && vx / w > 0 && vx / w < width && vy / w > 0 && vy / w < height;
  const [mx, my] = [width / 2, height / 2];
  const away = ([x, y]: Vec2) => (vx - mx * w) * (x - mx) + (vy - my * w) * (y - my);
  const sign = w < 0 ? -1 : 1;
  return rim
    .filter((p) => inside || sign * away(p) < 0)
    .flatMap((p) => {
      const line = across(p, [vx - p[0] * w, vy - p[1] * w], size);
      return line ? [line] : [];
    });
}
