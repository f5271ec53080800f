import { between3, cutRing, dot, type Vec3 } from "../geometry";
import { towardsLight, type Rays } from "../light";
import { normalOfSurface, type Face, type RoundShape } from "../world";
import { TOUCH } from "./occluder";

/** A corner of a facet, and the cosine of the angle between its surface and the way to the light. */
interface Lit {
  readonly at: Vec3;
  readonly facing: number;
}

/** Surfaces and lights are so nearly square to each other at most, where one is told to be dark. */
const FLUSH = 1e-12;

/**
 * The part of a face that turns away from a light. Flat faces do so whole; facets of a round surface as far as the
 * exact surface does, whose normal is taken at their corners and between them by shares.
 * @param corners around it, m
 * @param exact what its solid is exactly, where that is round
 */
export function ownShade(
  { normal, round }: Pick<Face, "normal" | "round">,
  corners: readonly Vec3[],
  rays: Rays,
  exact?: RoundShape,
): readonly Vec3[] | "all" | "none" {
  if (round === undefined || !exact) return dot(normal, towardsLight(rays, corners[0])) <= TOUCH ? "all" : "none";
  const lit = corners.map((at): Lit => {
    const own = normalOfSurface(exact, round, at) ?? normal;
    return { at, facing: dot(own, towardsLight(rays, at)) * (dot(own, normal) < 0 ? -1 : 1) };
  });
  if (lit.every(({ facing }) => facing <= FLUSH)) return "all";
  if (lit.every(({ facing }) => facing >= -FLUSH)) return "none";
  return cutRing(
    lit,
    ({ facing }) => -facing,
    (p, q, t) => ({ at: between3(p.at, q.at, t), facing: 0 }),
  ).map(({ at }) => at);
}
