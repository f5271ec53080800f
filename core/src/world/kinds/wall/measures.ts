import { lengthOf, pathOf } from "../../path";
import type { ElementError } from "../kind";
import type { Boundary, Wall } from "./schema";

/** What boundaries measure at first, m (common practice). */
export const DEFAULT_WALLS: Readonly<Record<Boundary, Pick<Wall, "height" | "thickness" | "bars">>> = {
  wall: { height: 1.8, thickness: 0.3 },
  hedge: { height: 1.4, thickness: 0.7 },
  fence: { height: 1.6, thickness: 0.05, bars: 0.15 },
  railing: { height: 1.1, thickness: 0.05, bars: 0.13 },
};

/** Why a wall cannot stand, and the field; null where it can. */
export function validateWall(wall: Wall): ElementError | null {
  const path = pathOf(wall);
  if (path.length < 2) return { field: "path", message: "has no length." };
  const length = lengthOf(path);
  const beyond = (wall.gates ?? []).findIndex(({ at, width }) => at - width / 2 < 0 || at + width / 2 > length);
  return beyond >= 0 ? { field: `gates/${beyond}`, message: "lies beyond the wall's ends." } : null;
}
