import { isTangledBetween } from "../../bends";
import type { Detail } from "../../details";
import { marker } from "../../marking";
import { lengthOf, pathOf } from "../../path";
import { addTrack, trackWidth } from "../../track";
import type { ElementError } from "../kind";
import type { Rails } from "./schema";

/** Why rails cannot be laid, and the field; null where they can. */
export const validateRails = (rails: Rails): ElementError | null =>
  pathOf(rails).length < 2 ? { field: "path", message: "has no length." } : null;

/** The two rails, and what they lie on. */
export function railsDetails(rails: Rails): Detail[] {
  if (validateRails(rails)) return [];
  const path = pathOf(rails);
  const { details, add } = marker();
  const half = trackWidth(rails.gauge) / 2;
  const way = { path, length: lengthOf(path), tangled: isTangledBetween(path, half, -half) };
  addTrack(way, add, rails.bed, rails.gauge);
  return details;
}
