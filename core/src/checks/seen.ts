import type { Scene, Shot } from "../scene";
import { viewOf } from "../shot";
import { visibleEdges } from "../visibility";
import { built } from "../world";
import type { Finding } from "./finding";
import { tangents } from "./tangents";
import { thinnedDetails } from "./thinned";

/** What is to be said of what is seen in a shot, which is worked out for it: in a worker, or from a shell. */
export function seenFindings(scene: Scene, shot: Shot): Finding[] {
  const { solids, details } = built(scene.elements);
  const visible = visibleEdges(solids, viewOf(shot).eye, details);
  return [...tangents(scene, shot, solids, visible), ...thinnedDetails(shot, visible)];
}
