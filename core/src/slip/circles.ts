import { byHand, circleSeen, discOn, howItLies, levelDisc, templateFor, type Disc } from "../conics";
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
  const value = sentence`${mm(2 * long)} by ${mm(2 * short)}, ${howItLies(seen.tilt)}, ${templateFor(byHand(seen))}; its
    middle ${fromEdge(shot.sheet, ...seen.centre)}`;
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
    const { id, plane, centre, radius } = line;
    return circleRow(shot, id, `Circle on ${plane.name}`, discOn(plane, centre, radius));
  });
