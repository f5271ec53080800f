import type { Scene, Shot } from "../scene";
import { viewOf } from "../shot";
import { howSeen } from "../drawing";
import { cutAway, visibleEdges } from "../visibility";
import { built } from "../world";
import { pinsOf } from "../vanishing";
import { bareFoot } from "./bareFoot";
import { columnsInWalls } from "./columnsInWalls";
import type { Check, Finding } from "./finding";
import { crossedOpenings } from "./crossedOpenings";
import { insideThing } from "./inside";
import { leaningOval } from "./leaning";
import { missedPoint } from "./ownAims";
import { ovalEnds } from "./ovalEnds";
import { feetOff, tallerThanDoors } from "./people";
import { onSlopes } from "./slopes";
import { tangents } from "./tangents";
import { thinnedDetails } from "./thinned";
import { underground } from "./underground";
import { wrongPoint } from "./wrongPoint";

/** Checks that ask how high the ground is, and those of own lines: a board that opens need not load them. */
const LATER: readonly Check[] = [
  insideThing,
  crossedOpenings,
  columnsInWalls,
  underground,
  onSlopes,
  missedPoint,
  wrongPoint,
  bareFoot,
  leaningOval,
  ovalEnds,
];

/** What is to be said of what is built and seen in a shot, which is worked out for it: in a worker, or from a shell. */
export function seenFindings(scene: Scene, shot: Shot): Finding[] {
  const view = viewOf(shot);
  const { solids, details } = cutAway(built(scene.elements), view.eye, shot.cutaway);
  const visible = visibleEdges(solids, view.eye, details, howSeen(shot).within);
  const looked = { scene, shot, view, pins: pinsOf(scene.orientations, shot) };
  return [
    ...LATER.flatMap((check) => check(looked)),
    ...feetOff(scene, shot, view, solids),
    ...tallerThanDoors(scene, shot, view),
    ...tangents(scene, shot, solids, visible),
    ...thinnedDetails(shot, visible),
  ];
}
