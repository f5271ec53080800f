import { cornersOf } from "../../outline";
import { areaTwice, crossingOf } from "../../polygon";
import type { ElementError } from "../kind";
import { MAX_SLABS, type Square } from "./schema";

/** A paved square's measures where nothing is said, m (common practice). */
export const DEFAULT_SQUARE: Pick<Square, "kerb" | "slabs"> = { kerb: 0.12, slabs: 2 };

/** A lawn with its edging (common practice). */
export const DEFAULT_LAWN: Pick<Square, "kerb" | "surface"> = { surface: "lawn", kerb: 0.08 };

/** Why a square cannot be paved, and the field; null where it can. */
export function validateSquare(square: Square): ElementError | null {
  const points = cornersOf(square);
  if (points.length < 3 || areaTwice(points) < 1e-6)
    return { field: "footprint", message: "has no area: its corners lie on one line." };
  if (crossingOf(points)) return { field: "footprint", message: "crosses itself." };
  const { slabs, laid = "square" } = square;
  // Joints in line are drawn whole; of others, each piece by itself.
  return slabs !== undefined && laid !== "square" && areaTwice(points) / 2 / slabs ** 2 > MAX_SLABS
    ? { field: "slabs", message: "are too small for a place so large: make them larger, or lay them square." }
    : null;
}
