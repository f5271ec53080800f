import { along, headingDirection } from "../../../geometry";
import { newBlock, type Block } from "../block";
import { cornerOf } from "./course";
import { sizeOf } from "./measures";
import type { Steps } from "./schema";

/** A second flight with the landing that it begins on. */
export interface NextFlight {
  readonly landing: Omit<Block, "id" | "name">;
  readonly steps: Omit<Steps, "id">;
}

/**
 * A second flight of the same risers and treads, on a landing at the head of the first: straight on, or turned back
 * beside it on its right. A landing is as deep as the flight is wide (common practice).
 */
export function nextFlight(steps: Steps, way: "on" | "back"): NextFlight {
  const { id: _, ...own } = steps;
  const { heading, width, foot } = steps;
  const { length, height } = sizeOf(steps);
  const [up, right] = [headingDirection(heading), headingDirection(heading + 90)];
  const [x, y, z] = along(cornerOf(steps), up, length);
  const head = along([foot.x, foot.y, foot.z + height], up, length);
  const landing = newBlock({
    origin: { x, y, z },
    heading,
    length: width,
    width: way === "on" ? width : 2 * width,
    height,
  });
  const [fx, fy, fz] = way === "on" ? along(head, up, width) : along(head, right, width);
  return {
    landing,
    steps: { ...own, foot: { x: fx, y: fy, z: fz }, heading: way === "on" ? heading : (heading + 180) % 360 },
  };
}
