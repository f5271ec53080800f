import type { Vec2 } from "../../../geometry";
import { lengthOf, pathOf, placeAlong, stretch } from "../../path";
import { trackWidth } from "../../track";
import type { ElementError } from "../kind";
import type { Points, Rails } from "./schema";

/** Chords of a branch leave its arc by no more than this, m. */
const SAGITTA = 0.005;

/** Why a track cannot branch so, and the field; null where it can. */
export function validatePoints({ points = [], ...rails }: Rails): ElementError | null {
  const long = lengthOf(pathOf(rails));
  const beyond = points.findIndex(({ at }) => at > long);
  if (beyond >= 0) return { field: `points/${beyond}`, message: "lie beyond the track's ends." };
  const round = points.findIndex((one) => one.long > Math.PI * one.radius);
  return round >= 0 ? { field: `points/${round}`, message: "turn by more than half a circle." } : null;
}

/** The middle line of the track that leaves another one: an arc that touches it there. */
export function branchOf(rails: Rails, { at, radius, long, left, back }: Points): readonly Vec2[] {
  const path = pathOf(rails);
  const s = Math.min(at, lengthOf(path));
  const [foot, aside] = [placeAlong(path, s, 0)!, placeAlong(path, s, 1)!];
  // To the right of the track, and ahead along it.
  const right: Vec2 = [aside[0] - foot[0], aside[1] - foot[1]];
  const [ahead, side] = [back ? -1 : 1, left ? -1 : 1];
  const steps = Math.max(2, Math.ceil(long / Math.sqrt(8 * radius * SAGITTA)));
  return Array.from({ length: steps + 1 }, (_, i): Vec2 => {
    const turn = (i * long) / steps / radius;
    const [along, across] = [ahead * radius * Math.sin(turn), side * radius * (1 - Math.cos(turn))];
    return [foot[0] - along * right[1] + across * right[0], foot[1] + along * right[0] + across * right[1]];
  });
}

/** The part of a branch that is clear of the track that it leaves, so that it lies on a bed of its own. */
export function clearOfTrack(branch: readonly Vec2[], { radius, long }: Points, gauge?: number): readonly Vec2[] {
  const wide = trackWidth(gauge);
  const turn = wide < 2 * radius ? Math.acos(1 - wide / radius) : Math.PI;
  return stretch(branch, Math.min(long, radius * turn), long);
}
