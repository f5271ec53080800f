import type { Light } from "../light";
import { lineSpacingOf, type Shot } from "../scene";
import { leastAngleOf } from "../shot";
import type { HowSeen, Shading } from "../visibility";
import { showOf } from "./layers";

/** What round faces hide is drawn within this of where they do, mm. */
const EXACT = 0.05;

/** How a shot looks at its world: lines nearer together than its least gap cannot be told apart. */
export const howSeen = (shot: Shot) =>
  ({
    cutaway: shot.cutaway,
    leastAngle: leastAngleOf(shot, lineSpacingOf(shot).gap),
    within: leastAngleOf(shot, EXACT),
  }) satisfies HowSeen;

/** The areas that a shot shows of its world: none where nothing of them is drawn. */
export function shadingOf(lights: readonly Light[], { show }: Pick<Shot, "show">): Shading | undefined {
  const { shadows, tones, faces, sky } = showOf({ show });
  const areas = tones + faces + sky > 0;
  if (!areas && (lights.length === 0 || shadows === 0)) return undefined;
  return { lights: shadows > 0 ? lights : lights.map((one) => ({ ...one, off: true })), areas };
}
