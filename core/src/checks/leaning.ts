import { distance2 } from "../geometry";
import { project, unprojectTo, type View } from "../shot";
import { sentence } from "../units";
import { tenth, type Check } from "./finding";
import { ovalOf, ovalStroke, type Oval } from "./oval";

/** The long axis leans by less than this where a hand has it right, degrees. */
const LEAN = 4;

/** How a level circle that is seen about as large at a place lies: the tilt of its long axis, degrees; or null. */
export function levelTilt(view: View, { centre, axes }: Oval): number | null {
  // All level planes show circles alike, larger or smaller: one a metre below the eye, or above it.
  const place = [view.eye[2] - 1, view.eye[2] + 1]
    .map((height) => unprojectTo(view, centre, [0, 0, 1], height))
    .find((one) => one !== null);
  const beside = place && project(view, [place[0] + 0.01 * view.right[0], place[1] + 0.01 * view.right[1], place[2]]);
  if (!place || !beside) return null;
  const radius = (0.01 * axes[0]) / distance2(centre, beside);
  const seen = Array.from({ length: 120 }, (_, i) => {
    const turn = (i * Math.PI) / 60;
    return project(view, [place[0] + radius * Math.cos(turn), place[1] + radius * Math.sin(turn), place[2]]);
  });
  return seen.every((one) => one !== null) ? ovalOf(seen).tilt : null;
}

/** The turn between two axes, whichever way round, degrees. */
const apart = (a: number, b: number): number => {
  const turn = Math.abs(a - b) % 180;
  return Math.min(turn, 180 - turn);
};

/** A freehand oval whose long axis leans, as that of no level circle seen there does. */
export const leaningOval: Check = ({ shot, view }) =>
  (shot.lines ?? []).flatMap((line) => {
    const oval = ovalStroke(line);
    const level = oval && levelTilt(view, oval);
    if (!oval || level === null) return [];
    const lean = apart(oval.tilt, level);
    if (lean <= LEAN || lean > 30) return [];
    return [
      {
        id: `own-oval-leans-${line.id}`,
        severity: "note" as const,
        where: "A freehand oval",
        at: oval.centre,
        value: tenth(lean),
        unit: "°" as const,
        message: sentence`Its long axis leans ${lean.toFixed(1)}°: a level circle seen there has it at
          ${level.toFixed(1)}°. A circle by eight points shows it.`,
      },
    ];
  });
