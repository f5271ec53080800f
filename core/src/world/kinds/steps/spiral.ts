import { loft, ring } from "../../shapes";
import type { Solid } from "../../solid";
import { circle } from "../../polygon";
import type { Steps } from "./schema";
import { terrace, type Tread } from "./terrace";
import { turningOf } from "./turning";

/** A solid spiral is round: no piece of it turns by more than this, degrees. */
const PIECE = 10;
/** How thick a free tread is, and how high the newel rises over the last one, m (common practice). */
const [SLAB, NEWEL] = [0.05, 1] as const;

/** A spiral on a solid that reaches down to the ground: it turns less than once around. */
export function solidSpiral(steps: Steps): Solid {
  const { id, count, riser, foot, left } = steps;
  const { each, inner, outer, at } = turningOf(steps);
  const pieces = Math.max(1, Math.ceil(each / PIECE));
  const arc = (radius: number, tread: number) =>
    Array.from({ length: pieces + 1 }, (_, i) => at(radius, (tread + i / pieces) * each));
  const treads = Array.from({ length: count }, (_, i): Tread => {
    const [inside, outside] = [arc(inner, i), arc(outer, i)];
    return left ? { right: outside, left: inside } : { right: inside, left: outside };
  });
  return terrace({ id, treads, foot: foot.z, riser, round: true });
}

/** A spiral of free treads around a newel. */
export function openSpiral(steps: Steps): Solid[] {
  const { id, count, riser, foot, left } = steps;
  const { about, each, inner, outer, at } = turningOf(steps);
  const thick = Math.min(SLAB, riser / 2);
  const treads = Array.from({ length: count }, (_, i) => {
    const corners = [at(inner, i * each), at(inner, (i + 1) * each), at(outer, (i + 1) * each), at(outer, i * each)];
    const points = left ? corners.reverse() : corners;
    const top = foot.z + (i + 1) * riser;
    return loft(id, [ring(points, top - thick), ring(points, top)], null);
  });
  const round = circle(about, inner * Math.cos((each * Math.PI) / 360));
  const newel = [ring(round, foot.z), ring(round, foot.z + count * riser + NEWEL)];
  return [...treads, loft(id, newel, null, "all")];
}
