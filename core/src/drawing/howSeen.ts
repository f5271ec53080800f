import { lineSpacingOf, type Shot } from "../scene";
import { leastAngleOf } from "../shot";
import type { HowSeen } from "../visibility";

/** What round faces hide is drawn within this of where they do, mm. */
const EXACT = 0.05;

/** How a shot looks at its world: lines nearer together than its least gap cannot be told apart. */
export const howSeen = (shot: Shot) =>
  ({
    cutaway: shot.cutaway,
    leastAngle: leastAngleOf(shot, lineSpacingOf(shot).gap),
    within: leastAngleOf(shot, EXACT),
  }) satisfies HowSeen;
