import { distance2, radians, type Vec2 } from "../geometry";
import { arcBetween, CURVED, turnAt } from "./curves";
import { beside, atShare, crossingAt, footOn } from "./path";

/** Where a radius does not fit, it is made so much less, down to the least that is worth an arc, m. */
const LESS = 0.8;
const LEAST = 0.2;
/** A tangent point may lie off its line by so much, m. */
const OFF = 1e-6;

/** A corner of a ring, and whether an arc begins or ends there, beyond which no other corner reaches. */
interface Corner {
  readonly at: Vec2;
  readonly fixed: boolean;
}

/** An arc in place of a corner: where it leaves the sides. */
export interface Rounding {
  readonly corner: Vec2;
  readonly tangents: readonly [Vec2, Vec2];
}

/** The sides from a corner on, in one direction, as far as they run smoothly: no longer than so many m. */
function chain(ring: readonly Corner[], from: number, step: 1 | -1, length: number): Vec2[] {
  const n = ring.length;
  const out = [ring[from].at];
  let long = 0;
  for (let k = 1; k < n; k++) {
    const { at, fixed } = ring[(from + step * k + n * k) % n];
    long += distance2(out[out.length - 1], at);
    out.push(at);
    const next = ring[(from + step * (k + 1) + n * (k + 1)) % n].at;
    if (fixed || long > length || Math.abs(turnAt(out[out.length - 2], at, next)) >= CURVED) break;
  }
  return out;
}

/** Where two lines first cross, along the first. */
function firstCrossing(one: readonly Vec2[], other: readonly Vec2[]): Vec2 | null {
  for (const [i, q] of one.slice(1).entries()) {
    const shares = other.slice(1).flatMap((b, k) => {
      const [t, s] = crossingAt(one[i], q, other[k], b) ?? [-1, -1];
      return t >= 0 && t <= 1 && s >= 0 && s <= 1 ? [t] : [];
    });
    if (shares.length) return atShare(one[i], q, Math.min(...shares));
  }
  return null;
}

interface Rounded {
  readonly arc: readonly Vec2[];
  /** How many corners of each side fall to the arc. */
  readonly back: number;
  readonly on: number;
}

/** The arc in place of a corner: around the crossing of both sides moved inwards by the radius; null for none. */
function arcAt(ring: readonly Corner[], i: number, radius: number): Rounded | null {
  const n = ring.length;
  const turn = turnAt(ring[(i + n - 1) % n].at, ring[i].at, ring[(i + 1) % n].at);
  const reach = radius / Math.tan(radians(180 - Math.abs(turn)) / 2) + radius;
  const [back, on] = [chain(ring, i, -1, reach), chain(ring, i, 1, reach)];
  for (let r = radius; r >= LEAST; r *= LESS) {
    // To the left of the way where it turns left. The first side is walked backwards.
    const aside = -Math.sign(turn) * r;
    const centre = firstCrossing(beside(on, aside), beside(back, -aside));
    if (!centre) continue;
    const [a, b] = [footOn(centre, back), footOn(centre, on)];
    if (Math.abs(a.off - r) > OFF || Math.abs(b.off - r) > OFF) continue;
    return { arc: arcBetween(centre, r, a.foot, b.foot), back: a.after, on: b.after };
  }
  return null;
}

/**
 * A ring with some of its corners rounded, each by an arc that touches both its sides, however those bend; where there
 * is no room for a radius, by the largest that fits.
 * @param radiusOf the radius at a corner, m; 0 for none
 */
export function roundCorners(
  ring: readonly Vec2[],
  radiusOf: (at: Vec2) => number,
): { readonly ring: readonly Vec2[]; readonly roundings: readonly Rounding[] } {
  let corners = ring.map((at): Corner => ({ at, fixed: false }));
  const roundings: Rounding[] = [];
  for (const corner of ring) {
    const radius = radiusOf(corner);
    const i = radius > 0 ? corners.findIndex(({ at }) => at === corner) : -1;
    const made = i < 0 ? null : arcAt(corners, i, radius);
    if (!made) continue;
    roundings.push({ corner, tangents: [made.arc[0], made.arc[made.arc.length - 1]] });
    const n = corners.length;
    const gone = new Set<number>();
    for (let k = -made.back; k <= made.on; k++) gone.add((i + k + n) % n);
    const first = (i + made.on + 1) % n;
    const kept = Array.from({ length: n }, (_, k) => (first + k) % n).flatMap((k) => (gone.has(k) ? [] : [corners[k]]));
    corners = [...kept, ...made.arc.map((at): Corner => ({ at, fixed: true }))];
  }
  return { ring: corners.map(({ at }) => at), roundings };
}
