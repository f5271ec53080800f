import { circleSeen, levelDisc } from "../conics";
import { distance2, type Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import { mm, metres, sentence, type Sentence } from "../units";
import type { LevelCircle } from "../world";
import { recipe, RUB_OUT, seen, step, tableOf, type Step, type Table } from "./recipe";
import { circlesIn, curveOf, onDisc } from "./round";

/** A circle that is opened by less than this part of its width is drawn as a line. */
const LINE = 0.002;

/** A level circle on paper: how wide it is, and how far it opens, as a part of that. */
interface Opened {
  readonly width: number;
  readonly open: number;
}

/** The ends of a curve that are farthest apart level, and the width between them. */
function levelWidth(places: readonly Vec2[]): number {
  const xs = places.map(([x]) => x);
  return Math.max(...xs) - Math.min(...xs);
}

function opened({ view }: Table, { centre, radius }: LevelCircle, places: readonly Vec2[]): Opened {
  const found = circleSeen(view, levelDisc(view, centre, radius));
  if (!found) return { width: levelWidth(places), open: 0 };
  const [half, across] = found.semiAxes;
  return { width: 2 * half, open: across / half };
}

/** How one circle of the stack is drawn. */
function told({ view }: Table, { centre: [, , z] }: LevelCircle, { width, open }: Opened): Sentence {
  const over = z - view.eye[2];
  if (open < LINE) return sentence`At ${metres(z)} it is level with the eye: a straight line, ${mm(width)} long.`;
  return sentence`At ${metres(z)}, ${metres(Math.abs(over))} ${over > 0 ? "over" : "under"} the eye, it is
    ${mm(width)} wide and opens to ${mm(open * width)}: one looks ${over > 0 ? "up" : "down"} at it.`;
}

/** How circles over one another open, away from the horizon. */
export const fullness = recipe({
  id: "fullness",
  label: "A stack of circles, by their fullness",
  needs: "something round",
  steps: (given) => {
    const table = tableOf(given);
    const { view } = table;
    const circles = circlesIn(given.element);
    if (circles.length < 2) throw new NoAnswer("It has one circle: a stack takes two or more.");
    const [foot, head] = [circles[0], circles[circles.length - 1]].map(({ centre }) => seen(table, centre, "Its axis"));
    const each = circles.map((circle): Step => {
      const disc = levelDisc(view, circle.centre, circle.radius);
      const kept = curveOf((turn) => seen(table, onDisc(disc, turn), "One of its circles"));
      const places = kept.map(([place]) => place);
      return step(told(table, circle, opened(table, circle, places)), {
        kept,
        points: [{ at: seen(table, circle.centre) }],
      });
    });
    return [
      step(
        sentence`Rule its axis, ${mm(distance2(foot, head))} long on paper, and mark the middles of its
          ${String(circles.length)} circles on it.`,
        { lines: [[foot, head]], points: circles.map(({ centre }) => ({ at: seen(table, centre) })) },
      ),
      ...each,
      step("Join their ends with the sides: each touches its circles, and is no line between the ends of long axes."),
      RUB_OUT,
    ];
  },
});
