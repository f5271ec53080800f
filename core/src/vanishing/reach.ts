import { corners, distance2, type Vec2 } from "../geometry";
import type { Shot, Tools } from "../scene";

/** The longest line that is ruled to a point of the desk, from any place of the panel, mm. */
export const longestTo = ({ frame }: Pick<Shot, "frame">, at: Vec2): number =>
  Math.max(...corners(frame).map((corner) => distance2(corner, at)));

/** The ruler that lies on equal edge ticks of a sheet: as long as the sheet is across, mm. */
const acrossSheet = ({ sheet }: Pick<Shot, "sheet">): number => Math.hypot(sheet.width, sheet.height);

/** How lines to a point are drawn with what somebody has. */
export type Reach =
  | { readonly by: "ruler" }
  /** A ruler of so many mm is laid on equal ticks of two edges. */
  | { readonly by: "ticks"; readonly ruler: number }
  /** It takes a ruler of so many mm, and none is there. */
  | { readonly by: "nothing"; readonly ruler: number };

/**
 * How lines to a place are ruled: by a ruler that reaches it, by edge ticks where it does not, or where there is no
 * paper to be taped on for it, or not at all.
 */
export function reachTo(shot: Shot, tools: Tools | undefined, at: Vec2, offSheet: boolean): Reach {
  if (!tools) return { by: "ruler" };
  const { ruler = 0, tape = false } = tools;
  if (ruler >= longestTo(shot, at) && (tape || !offSheet)) return { by: "ruler" };
  const short = Math.max(shot.sheet.width, shot.sheet.height);
  return ruler >= short ? { by: "ticks", ruler: short } : { by: "nothing", ruler: acrossSheet(shot) };
}
