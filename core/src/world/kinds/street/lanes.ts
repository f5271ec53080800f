import { headingAlong, type Vec2 } from "../../../geometry";
import { footOn, pathOf, placeAlong } from "../../path";
import type { LanePlace } from "../kind";
import type { Street } from "./schema";

/** Lanes of a street where nothing is said. */
const LANES = 2;

/**
 * The middle of the lane of a street that a place lies in, and the heading of its traffic, which keeps to the right
 * where nothing is said; null beside its carriageway. What runs on rails keeps to the middle, where they lie.
 */
export function laneOfStreet(street: Street, at: Vec2, onRails: boolean): LanePlace | null {
  const path = pathOf(street);
  const { carriageway, lanes = LANES, rails, junctions } = street;
  const { foot, off, along, after } = footOn(at, path);
  if (off > carriageway / 2 || (onRails && !rails)) return null;
  const [p, q] = [path[after], path[after + 1]];
  const isRight = (q[0] - p[0]) * (at[1] - foot[1]) - (q[1] - p[1]) * (at[0] - foot[0]) <= 0;
  const heading = headingAlong([q[0] - p[0], q[1] - p[1]]);
  if (onRails) return { at: foot, heading };
  const wide = carriageway / lanes;
  const aside = (isRight ? 1 : -1) * off;
  const lane = Math.min(lanes - 1, Math.max(0, Math.floor((aside + carriageway / 2) / wide)));
  const middle = (lane + 0.5) * wide - carriageway / 2;
  // Of an odd number, the middle one runs as the street does.
  const isAhead = middle === 0 || middle > 0 === (junctions?.stopLines !== "left");
  return { at: placeAlong(path, along, middle) ?? foot, heading: isAhead ? heading : heading + 180 };
}
