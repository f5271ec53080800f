import { blockCorner } from "../block";
import type { Box } from "../kind";
import type { Furniture } from "./schema";

/** The back of a chair and that of a bed rise so far over the seat, as parts of its height. */
export const RISES = { chair: 1, bed: 0.8 } as const;

/** The box around a thing's foot, up to what counts of it. */
export function boxOfFurniture({ at, heading, width, depth, height }: Furniture): Box {
  const box: Box = { origin: at, heading, length: depth, width, height };
  const [x, y, z] = blockCorner(box, -0.5, -0.5);
  return { ...box, origin: { x, y, z } };
}

/** How high a thing reaches over its foot, m. */
export const reachOfFurniture = ({ thing, height }: Pick<Furniture, "thing" | "height">): number =>
  thing === "chair" || thing === "bed" ? (1 + RISES[thing]) * height : height;
