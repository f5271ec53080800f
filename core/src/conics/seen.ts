import { add, scale, type Quad, type Vec2, type Vec3 } from "../geometry";
import { axesOf, inWorld, type OwnPlane } from "../lines";
import { orNothing } from "../problem";
import { project, type View } from "../shot";
import { circleInQuad, type CircleInQuad } from "./ellipse";

/** A circle of the world: its centre, two unit directions of its plane that are square to each other, its radius, m. */
export interface Disc {
  readonly centre: Vec3;
  readonly ways: readonly [Vec3, Vec3];
  readonly radius: number;
}

/** A circle on a plane of one's own. @param centre on the plane, m */
export function discOn(plane: OwnPlane, centre: Vec2, radius: number): Disc {
  const axes = axesOf(plane);
  return { centre: inWorld(axes, centre), ways: [axes.x, axes.y], radius };
}

/**
 * The square around a circle as a straight lens shows it; null where it does not show all of it, or bends its sides.
 */
export function squareAround(view: View, { centre, ways: [u, v], radius }: Disc): Quad | null {
  if (!view.law.straight) return null;
  const corner = (p: number, q: number) => project(view, add(centre, add(scale(u, p * radius), scale(v, q * radius))));
  const [a, b, c, d] = [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)];
  return a && b && c && d && [a, b, c, d];
}

/** A circle as a straight lens shows it; null where that is no ellipse: behind the eye, or seen from its own plane. */
export function circleSeen(view: View, disc: Disc): CircleInQuad | null {
  const quad = squareAround(view, disc);
  return quad && (orNothing(() => [circleInQuad(quad)])[0] ?? null);
}

/** A level circle whose square faces the eye: its first side is parallel to the picture, and nearest. */
export function levelDisc(view: View, centre: Vec3, radius: number): Disc {
  const [x, y] = view.forward;
  const size = Math.hypot(x, y);
  // Where one looks straight up or down, every level way is parallel to the picture.
  const right: Vec3 = size > 1e-9 ? [y / size, -x / size, 0] : [1, 0, 0];
  return { centre, ways: [right, [-right[1], right[0], 0]], radius };
}
