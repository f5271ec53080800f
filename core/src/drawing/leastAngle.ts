import { lineSpacingOf, type Shot } from "../scene";
import { leastAngleOf } from "../shot";

/** The angle (rad) under which lines are drawn nearer together than a shot's least gap, and cannot be told apart. */
export const leastAngleIn = (shot: Shot): number => leastAngleOf(shot, lineSpacingOf(shot).gap);
