import type { Vec2 } from "./vec";

/** A homography of the picture plane, row by row. */
export type Homography = readonly [number, number, number, number, number, number, number, number, number];

/** The nine numbers of a homography, row by row. */
export const homographyOf = ([a, b, c, d, e, f, g, h, i]: readonly number[]): Homography => [a, b, c, d, e, f, g, h, i];

/** Where a homography sends a place; null for what it sends to infinity or behind. */
export function applyHomography(h: Homography, [x, y]: Vec2): Vec2 | null {
  const w = h[6] * x + h[7] * y + h[8];
  return w > 1e-9 ? [(h[0] * x + h[1] * y + h[2]) / w, (h[3] * x + h[4] * y + h[5]) / w] : null;
}

/** Four corners in their order around. */
export type Quad = readonly [Vec2, Vec2, Vec2, Vec2];

/**
 * The homography that sends the unit square to a convex quadrilateral: (0, 0) to its first corner, (1, 0) to its
 * second, (1, 1) to its third. Heckbert, "Fundamentals of Texture Mapping and Image Warping", 1989, section 2.2.3 (from
 * memory).
 */
export function fromUnitSquare([[x0, y0], [x1, y1], [x2, y2], [x3, y3]]: Quad): Homography {
  const [dx1, dy1, dx2, dy2] = [x1 - x2, y1 - y2, x3 - x2, y3 - y2];
  const [sx, sy] = [x0 - x1 + x2 - x3, y0 - y1 + y2 - y3];
  const area = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / area;
  const h = (dx1 * sy - sx * dy1) / area;
  return [x1 - x0 + g * x1, x3 - x0 + h * x3, x0, y1 - y0 + g * y1, y3 - y0 + h * y3, y0, g, h, 1];
}

/** The inverse of a homography, by its adjugate, scaled so that a place in front stays in front. */
export function inverseHomography([a, b, c, d, e, f, g, h, i]: Homography): Homography {
  const adjugate = [
    ...[e * i - f * h, c * h - b * i, b * f - c * e],
    ...[f * g - d * i, a * i - c * g, c * d - a * f],
    ...[d * h - e * g, b * g - a * h, a * e - b * d],
  ];
  const determinant = a * adjugate[0] + b * adjugate[3] + c * adjugate[6];
  return homographyOf(adjugate.map((value) => value / determinant));
}
