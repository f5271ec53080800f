import type { Scene, Shot } from "../scene";
import { viewOf } from "../shot";
import { visibleEdges } from "../visibility";
import { built } from "../world";
import { pinsOf } from "../vanishing";
import type { Check, Finding } from "./finding";
import { insideThing } from "./inside";
import { onSlopes } from "./slopes";
import { tangents } from "./tangents";
import { thinnedDetails } from "./thinned";
import { underground } from "./underground";

/** Checks that ask how high the ground is. */
const ON_THE_GROUND: readonly Check[] = [insideThing, underground, onSlopes];

/** What is to be said of what is built and seen in a shot, which is worked out for it: in a worker, or from a shell. */
export function seenFindings(scene: Scene, shot: Shot): Finding[] {
  const { solids, details } = built(scene.elements);
  const view = viewOf(shot);
  const visible = visibleEdges(solids, view.eye, details);
  const looked = { scene, shot, view, pins: pinsOf(scene.orientations, shot) };
  return [
    ...ON_THE_GROUND.flatMap((check) => check(looked)),
    ...tangents(scene, shot, solids, visible),
    ...thinnedDetails(shot, visible),
  ];
}
