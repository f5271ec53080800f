import { meet } from "../dividing";
import { distance2, fromStretch, type Vec2 } from "../geometry";
import type { SheetLine } from "../lines";
import { aimsOf, wayTo } from "../ruling";
import { sentence, mm } from "../units";
import { isLevel, type Pin } from "../vanishing";
import { type Check } from "./finding";
import { pair, ruledOf, type Ruled } from "./ownAims";

/** Ends nearer than this are one, mm. */
const JOINED = 1;
/** A line that misses a set by no more than this runs to it, degrees. */
const RUNS = 0.5;

/** Whether a place lies on any other line of one's own. */
const meets = (at: Vec2, lines: readonly Ruled[], but: readonly Ruled[]): boolean =>
  lines.some((line) => !but.includes(line) && fromStretch(at, line.from, line.to) < JOINED);

/** Where a line from a place to a pin comes under the far end of another, by an upright through it. */
function below(foot: Vec2, pin: Pin, upright: Pin, far: Vec2): Vec2 {
  const [wx, wy] = wayTo(pin, foot);
  const [ux, uy] = wayTo(upright, far);
  return meet([foot, [foot[0] + wx, foot[1] + wy]], [far, [far[0] + ux, far[1] + uy]]);
}

/**
 * An upright of one's own whose top is carried on to a point while its foot is bare: the base edge that is forgotten
 * behind a gap.
 */
export const bareFoot: Check = ({ shot, view, pins }) => {
  if (!view.law.straight) return [];
  const lines = ruledOf(shot);
  const aim = (line: Ruled) => {
    const [best] = aimsOf(view, pins, [line.from, line.to]);
    return best && best.miss <= RUNS ? best.pin : null;
  };
  const aimed = lines.map((line) => ({ line, pin: aim(line) }));
  return aimed.flatMap(({ line, pin: upright }) => {
    if (upright?.role !== "upright") return [];
    const [top, foot] = line.from[1] < line.to[1] ? [line.from, line.to] : [line.to, line.from];
    const carried = aimed.find(
      ({ line: other, pin }) =>
        pin && isLevel(pin) && [other.from, other.to].some((end) => distance2(end, top) < JOINED),
    );
    if (!carried?.pin || meets(foot, lines, [line])) return [];
    const { line: edge, pin } = carried;
    const far = distance2(edge.from, top) < distance2(edge.to, top) ? edge.to : edge.from;
    const end = below(foot, pin, upright, far);
    const base: SheetLine = { ...edge, id: `${edge.id}-base`.slice(0, 100), from: pair(foot), to: pair(end) };
    return [
      {
        id: `own-line-bare-foot-${line.id}`,
        severity: "note" as const,
        where: "An upright of your own",
        at: foot,
        value: 0,
        unit: "" as const,
        message: sentence`Its top runs on to ${pin.name}, but no line leaves its foot: the base edge is forgotten, as
          it often is behind a gap. It would be ${mm(distance2(foot, end))} long.`,
        fix: {
          label: sentence`Rule the base edge to ${pin.name}`,
          shot: { ...shot, lines: [...(shot.lines ?? []), base] },
        },
      },
    ];
  });
};
