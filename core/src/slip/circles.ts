import { byHand, circleSeen, levelDisc, type Disc } from "../conics";
import { axesOf, inWorld } from "../lines";
import type { Scene, Shot } from "../scene";
import { viewOf } from "../shot";
import { mm, sentence } from "../units";
import { fromEdge } from "../vanishing";
import { kindOf, type Element } from "../world";
import type { SlipRow } from "./slip";

/** A circle on paper, as one draws it: its ellipse and the template that comes nearest; none where it is no ellipse. */
function circleRow(shot: Shot, id: string, label: string, disc: Disc): SlipRow[] {
  const seen = circleSeen(viewOf(shot), disc);
  if (!seen) return [];
  const [long, short] = seen.semiAxes;
  const { template } = byHand(seen);
  const value = sentence`${mm(2 * long)} by ${mm(2 * short)}, leaning by ${Math.abs(seen.tilt).toFixed(1)}°, template
    ${String(template.angle)}°; its middle ${fromEdge(shot.sheet, ...seen.centre)}`;
  return [{ id, label, value }];
}

/** The foot and the head of something round. */
export function circlesOfThing(shot: Shot, element: Element): SlipRow[] {
  const circles = kindOf(element).circles?.(element) ?? [];
  const ends = [circles[0], circles[circles.length - 1]].slice(0, circles.length);
  return ends.flatMap(({ centre, radius }, i) =>
    circleRow(
      shot,
      `circle-${i}`,
      i === 0 ? "Lowest circle" : "Highest circle",
      levelDisc(viewOf(shot), centre, radius),
    ),
  );
}

/** The circles that one drew on planes of the world. */
export const ownCircles = ({ lines = [] }: Pick<Scene, "lines">, shot: Shot): SlipRow[] =>
  lines.flatMap((line) => {
    if (line.kind !== "circle") return [];
    const { x, y, ...axes } = axesOf(line.plane);
    const centre = inWorld({ x, y, ...axes }, line.centre);
    return circleRow(shot, line.id, `Circle on ${line.plane.name}`, { centre, ways: [x, y], radius: line.radius });
  });
