import type { Scene, Shot } from "../scene";
import { viewOf } from "../shot";
import { pinsOf } from "../vanishing";
import { clotting } from "./clotting";
import { compassOff } from "./compass";
import { crowding } from "./crowding";
import { lyingDepth } from "./depth";
import type { Check, Finding } from "./finding";
import { narrowJunctions } from "./junctions";
import { odd } from "./oddities";
import { outOfReach } from "./reach";
import { stretchedRound } from "./round";
import { contradicting } from "./sighted";
import { offScale } from "./scale";
import { impossibleTriangle, offHorizon } from "./sketched";
import { missingThird } from "./third";
import { tilted } from "./tilted";
import { wide } from "./wide";

export type { Finding } from "./finding";
export { seenFindings } from "./seen";
export { nudgedBlock, nudgedEye, tangentsOf } from "./tangents";

/**
 * Every check that a board makes at once. A new finding is one file and one line here, or in `LATER` (seen.ts).
 */
const CHECKS: readonly Check[] = [
  wide,
  lyingDepth,
  crowding,
  missingThird,
  offHorizon,
  tilted,
  impossibleTriangle,
  contradicting,
  clotting,
  outOfReach,
  stretchedRound,
  compassOff,
  offScale,
  narrowJunctions,
  odd,
];

const ORDER = { error: 0, warning: 1, note: 2 } as const;

/** All that is to be said about a shot, the most serious first. */
export function findings(scene: Scene, shot: Shot): Finding[] {
  const looked = { scene, shot, view: viewOf(shot), pins: pinsOf(scene.orientations, shot) };
  return CHECKS.flatMap((check) => check(looked)).sort((a, b) => ORDER[a.severity] - ORDER[b.severity]);
}

/** What is told of a shot's findings: those that are not meant, and how many are. */
export function toldOf({ meant = [] }: Pick<Shot, "meant">, found: readonly Finding[]) {
  const told = found.filter(({ id }) => !meant.includes(id));
  return { told, meant: found.length - told.length };
}

/** A shot in which a finding is meant so. */
export const meaning = <S extends Pick<Shot, "meant">>(shot: S, { id }: Pick<Finding, "id">): S => ({
  ...shot,
  meant: [...(shot.meant ?? []).filter((one) => one !== id), id],
});
