import { along, sub, type Vec2, type Vec3 } from "./vec";

/**
 * The part of a convex ring on the inner side of a half-space or half-plane; of any other ring, what a fill by the
 * even-odd rule shows of it (Sutherland and Hodgman, 1974, from memory).
 * @param inside how far a place lies within, negative outside
 * @param mix the place at a share of the way from one to another
 */
export function cutRing<P>(
  ring: readonly P[],
  inside: (p: P) => number,
  mix: (p: P, q: P, t: number) => P,
): readonly P[] {
  const out: P[] = [];
  for (let i = 0; i < ring.length; i++) {
    const [p, q] = [ring[i], ring[i + 1 < ring.length ? i + 1 : 0]];
    const [hp, hq] = [inside(p), inside(q)];
    if (hp >= 0) out.push(p);
    if (hp >= 0 !== hq >= 0) out.push(mix(p, q, hp / (hp - hq)));
  }
  return out;
}

/** The place at a share of the way from one to another, on the sheet and in the world. */
export const between2 = (p: Vec2, q: Vec2, t: number): Vec2 => [p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])];
export const between3 = (p: Vec3, q: Vec3, t: number): Vec3 => along(p, sub(q, p), t);
