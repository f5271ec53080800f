import type { Vec2 } from "../../../geometry";
import { isTangledBetween } from "../../bends";
import type { Detail } from "../../details";
import { marker } from "../../marking";
import { lengthOf, pathOf } from "../../path";
import { addBed, addTrack, trackWidth } from "../../track";
import type { ElementError } from "../kind";
import { branchOf, clearOfTrack, validatePoints } from "./points";
import type { Rails } from "./schema";

/** Why rails cannot be laid, and the field; null where they can. */
export const validateRails = (rails: Rails): ElementError | null =>
  pathOf(rails).length < 2 ? { field: "path", message: "has no length." } : validatePoints(rails);

/** The two rails, and what they lie on; those that leave them at points, too. */
export function railsDetails(rails: Rails): Detail[] {
  if (validateRails(rails)) return [];
  const { bed, gauge, points = [] } = rails;
  const { details, add } = marker();
  const half = trackWidth(gauge) / 2;
  const wayOf = (path: readonly Vec2[]) => {
    return { path, length: lengthOf(path), tangled: isTangledBetween(path, half, -half) };
  };
  addTrack(wayOf(pathOf(rails)), add, bed, gauge);
  for (const one of points) {
    const branch = branchOf(rails, one);
    addTrack(wayOf(branch), add, undefined, gauge);
    const clear = clearOfTrack(branch, one, gauge);
    if (bed && clear.length > 1) addBed(wayOf(clear), add, bed, gauge);
  }
  return details;
}
