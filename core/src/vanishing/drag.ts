import { degrees, distance2, dot, unit, type Vec2, type Vec3 } from "../geometry";
import { LAWS } from "../lens";
import { NoAnswer } from "../problem";
import type { Orientation, Shot, Slope } from "../scene";
import { solvePins, solveWithPlumb, unproject, viewOf, type Solved } from "../shot";
import { footOn, horizon, lineFrame } from "./horizon";
import { handed, pinsOf, slopeAxis, type Pin, type Role } from "./pins";

/** The pins that the view itself hangs on; slopes hang on the view. */
type Carrying = Exclude<Role, "up" | "down">;

/**
 * What stays while a pin is moved. `lens`: centre and picture distance, so the view turns. `pins`: the other pins, so
 * centre and picture distance follow. `centre`: the centre of vision and one other pin, so view and lens follow.
 */
export type Keep = "lens" | "pins" | "centre";

/**
 * What stays where nobody chose: with two points the centre of vision; with a third one the lens, for the centre and
 * two pins that are almost in line with it would leave it no sensible one.
 */
export const usualKeep = ({ gaze }: Pick<Shot, "gaze">): Keep => (gaze.pitch === 0 ? "centre" : "lens");

/** How near to the level of the centre of vision, mm on the desk, a level point of a sweep is drawn to it. */
const CAUGHT = 4;

/**
 * Where a level point is put that is dragged to a place: on the level of the centre of vision, where the horizon of a
 * sweep runs straight, if it comes near.
 */
export function caughtOnHorizon({ lens }: Pick<Shot, "lens">, { role }: Pick<Pin, "role">, [x, y]: Vec2): Vec2 {
  const level = role === "left" || role === "right";
  const caught = level && LAWS[lens.law].shape !== "round" && Math.abs(y - lens.centre.y) < CAUGHT;
  return [x, caught ? lens.centre.y : y];
}

/** The places of an orientation's pins; null where a set is parallel to the picture. */
function places(orientation: Orientation, shot: Shot): Record<Carrying, Vec2 | null> {
  const pins = pinsOf([orientation], shot);
  const at = (role: Carrying) => pins.find((pin) => pin.role === role)?.point.at ?? null;
  return { left: at("left"), right: at("right"), upright: at("upright") };
}

/** A pin that something is measured from. */
function finite(at: Vec2 | null, name: string): Vec2 {
  if (at) return at;
  throw new NoAnswer(
    `The ${name} set runs parallel to the picture and has no point. Turn the view first, or keep the lens.`,
  );
}

/** The shot of a solved view whose north is the left direction of the orientation, as the old shot saw it. */
export function turned(shot: Shot, orientation: Orientation, { lens, gaze }: Solved): Shot {
  const { left } = handed(orientation.heading, shot.gaze.heading);
  return { ...shot, lens, gaze: { ...gaze, heading: left + gaze.heading } };
}

/**
 * The shot with one pin of an orientation put elsewhere; world and eye stay. Left and right pins keep to the horizon,
 * the third goes anywhere.
 * @param to where the pin is wanted, sheet mm
 * @throws NoAnswer when no eye sees such pins at right angles, with the reason
 */
export function movePin(orientation: Orientation, shot: Shot, role: Carrying, to: Vec2, keep: Keep = "centre"): Shot {
  return role === "upright" ? moveThird(orientation, shot, to, keep) : moveLevel(orientation, shot, role, to, keep);
}

function moveLevel(orientation: Orientation, shot: Shot, role: "left" | "right", to: Vec2, keep: Keep): Shot {
  const view = viewOf(shot);
  const line = horizon(view);
  if (!line) throw new NoAnswer("The view looks straight up or down: there is no horizon to put a point on.");
  const { along } = lineFrame(line);
  const foot = footOn(line, view.centre);
  const reach = ([x, y]: Vec2): number => (x - foot[0]) * along[0] + (y - foot[1]) * along[1];
  const moved = footOn(line, to);
  const other = role === "left" ? "right" : "left";
  const side = role === "left" ? -1 : 1;
  // What both level pins are measured by: how far the eye is from the horizon's foot.
  const away = Math.hypot(shot.lens.distance, distance2(foot, view.centre));

  const pins = places(orientation, shot);
  if (keep !== "lens" && distance2(moved, finite(pins[other], other)) < 1) {
    throw new NoAnswer("The two points lie on top of each other: no eye sees them at right angles.");
  }
  if (keep === "pins" && !pins.upright) return stretched(shot, pins, role, moved, { reach, along, away });
  if (keep === "pins") {
    const three = { ...pins, [role]: moved };
    return turned(
      shot,
      orientation,
      solvePins([finite(three.left, "left"), finite(three.right, "right"), pins.upright!]),
    );
  }
  if (!(side * reach(moved) > 0)) {
    throw new NoAnswer(
      `The ${role} point must stay ${role} of the centre of vision: no eye sees two points on one side of it at ` +
        "right angles.",
    );
  }
  if (keep === "lens") {
    const heading = handed(orientation.heading, shot.gaze.heading)[role] - degrees(Math.atan2(reach(moved), away));
    return { ...shot, gaze: { ...shot.gaze, heading } };
  }
  const held = finite(pins[other], other);
  return turned(shot, orientation, solvePins(role === "left" ? [moved, held] : [held, moved], view.centre));
}

/** A level view whose gaze is kept between its sets while one pin moves: centre and distance grow with their gap. */
function stretched(
  shot: Shot,
  pins: Record<Carrying, Vec2 | null>,
  role: "left" | "right",
  moved: Vec2,
  { reach, along, away }: { reach: (p: Vec2) => number; along: Vec2; away: number },
): Shot {
  const [left, right] = [finite(pins.left, "left"), finite(pins.right, "right")];
  const gap = reach(right) - reach(left);
  const held = role === "left" ? right : left;
  const next = role === "left" ? reach(held) - reach(moved) : reach(moved) - reach(held);
  if (!(next > 1)) throw new NoAnswer(`The ${role} point must stay ${role} of the other one.`);
  const k = next / gap;
  const step = -reach(held) * k;
  const [x, y] = [held[0] + along[0] * step, held[1] + along[1] * step];
  return { ...shot, lens: { ...shot.lens, distance: away * k, centre: { x, y } } };
}

function moveThird(orientation: Orientation, shot: Shot, to: Vec2, keep: Keep): Shot {
  const { centre, distance } = viewOf(shot);
  const pins = places(orientation, shot);
  if (keep === "pins")
    return turned(shot, orientation, solvePins([finite(pins.left, "left"), finite(pins.right, "right"), to]));
  if (keep === "centre") return turned(shot, orientation, solveWithPlumb(finite(pins.left, "left"), to, centre));
  // The lens stays: plumb is turned onto the point. In eye axes plumb is (-sin q cos p, cos q cos p, sin p).
  const v = unit([to[0] - centre[0], centre[1] - to[1], distance]);
  const [a, b, c]: Vec3 = v[1] < 0 ? [-v[0], -v[1], -v[2]] : v;
  return { ...shot, gaze: { ...shot.gaze, pitch: degrees(Math.asin(c)), roll: degrees(Math.atan2(-a, b)) } };
}

/** The shot with the horizon shifted by `dy` mm on the sheet, and with it every point: uprights stay as they are. */
export function shiftHorizon(shot: Shot, dy: number): Shot {
  const { centre } = shot.lens;
  return { ...shot, lens: { ...shot.lens, centre: { x: centre.x, y: centre.y + dy } } };
}

/** Steeper, a slope is an upright; flatter, it is level (degrees). */
const STEEPEST = 89;
const FLATTEST = 0.5;

/**
 * The rise of a slope whose upper or lower point is put elsewhere, in degrees; the view stays, and the point keeps to
 * the upright through its level one.
 * @param to where the point is wanted, sheet mm
 * @throws NoAnswer where the slope would be none
 */
export function slopeTo(orientation: Orientation, slope: Slope, shot: Shot, role: "up" | "down", to: Vec2): number {
  const view = viewOf(shot);
  const ray = unproject(view, to);
  const rise = (role === "up" ? 1 : -1) * degrees(Math.atan2(ray[2], dot(ray, slopeAxis(view, orientation, slope))));
  if (!(rise >= FLATTEST))
    throw new NoAnswer(
      `The point of ${role === "up" ? "rising" : "falling"} lines must stay ` +
        `${role === "up" ? "above" : "below"} the horizon.`,
    );
  if (rise > STEEPEST) throw new NoAnswer(`A slope steeper than ${STEEPEST}° is an upright.`);
  return rise;
}
