import { degrees, distance2, type Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import type { Orientation, Shot } from "../scene";
import { solvePins, viewOf } from "../shot";
import { footOn, horizon } from "./horizon";
import { pinsOf } from "./pins";

type Hand = "left" | "right";

/** The finite left or right pin of an orientation. */
function finitePin(orientation: Orientation, shot: Shot, hand: Hand): Vec2 {
  const at = pinsOf([orientation], shot).find((pin) => pin.role === hand)?.point.at;
  if (!at) throw new NoAnswer(`The ${hand} set runs parallel to the picture and has no point to move. Turn the view first.`);
  return at;
}

/**
 * The shot with one pin of an orientation put elsewhere on the horizon, the other pin and the centre of vision held:
 * picture distance and gaze follow, the world and the eye stay.
 * @param to where the pin is wanted, sheet mm; the nearest point of the horizon is taken
 * @throws NoAnswer when no eye sees the two pins at right angles
 */
export function movePin(orientation: Orientation, shot: Shot, hand: Hand, to: Vec2): Shot {
  const view = viewOf(shot);
  const line = horizon(view);
  if (!line) throw new NoAnswer("The view looks straight up or down: there is no horizon to put a point on.");
  const middle = footOn(line, view.centre);
  const moved = footOn(line, to);
  const held = finitePin(orientation, shot, hand === "left" ? "right" : "left");
  const reach = (p: Vec2) => p[0] - middle[0];
  const sides = hand === "left" ? [reach(moved), reach(held)] : [reach(held), reach(moved)];
  if (distance2(moved, held) < 1) throw new NoAnswer("The two points lie on top of each other: no eye sees them at right angles.");
  if (!(sides[0] < 0 && sides[1] > 0)) {
    throw new NoAnswer(`The ${hand} point must stay ${hand} of the centre of vision: no eye sees two points on one side of it at right angles.`);
  }
  const { lens, gaze } = solvePins(hand === "left" ? [moved, held] : [held, moved], view.centre);
  // The answer's north is the left pin; the world's left direction keeps its own heading.
  const left = pinsOf([orientation], shot).find((pin) => pin.role === "left")!.direction;
  const heading = degrees(Math.atan2(left[0], left[1])) + gaze.heading;
  return { ...shot, lens, gaze: { ...gaze, heading } };
}

/** The shot with the horizon shifted by `dy` mm on the sheet, and with it every point: uprights stay as they are. */
export function shiftHorizon(shot: Shot, dy: number): Shot {
  const { centre } = shot.lens;
  return { ...shot, lens: { ...shot.lens, centre: { x: centre.x, y: centre.y + dy } } };
}
