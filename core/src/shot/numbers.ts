import { degrees, radians } from "../geometry";
import { NoAnswer } from "../problem";
import type { Shot } from "../scene";
import { toEye, viewOf } from "./view";

/** Width of the full frame of a still camera, in mm: 36 x 24 (common practice). */
const FULL_FRAME = 36;

/** The angle (degrees) between the lines of sight to the two ends of a level stretch, mm right of C. Straight lens. */
export const angleAcross = (left: number, right: number, distance: number): number =>
  degrees(Math.atan2(right, distance) - Math.atan2(left, distance));

/** The full angle across the panel in degrees, on the level of the centre of vision. */
export function fieldOfView({ frame, lens: { centre, distance } }: Shot): number {
  return angleAcross(frame.x - centre.x, frame.x + frame.width - centre.x, distance);
}

/**
 * The shot with a given angle (degrees) across its panel, the centre of vision held. From tan of the sum of both parts,
 * l to the left of C and r to its right: tan(angle) (d^2 - l r) = d (l + r).
 * @throws NoAnswer when the centre lies so far off the panel that no distance gives the angle
 */
export function withFieldOfView(shot: Shot, angle: number): Shot {
  const { frame, lens } = shot;
  const l = lens.centre.x - frame.x;
  const r = frame.width - l;
  const t = Math.tan(radians(angle));
  // At 90 degrees d^2 = l r; beyond it the tangent is negative and the other root holds.
  const inner = frame.width ** 2 + 4 * l * r * t * t;
  const distance =
    Math.abs(angle - 90) < 1e-9 ? Math.sqrt(l * r) : (frame.width + Math.sign(t) * Math.sqrt(inner)) / (2 * t);
  if (!(angle > 0 && angle < 180 && distance > 0 && Number.isFinite(distance))) {
    throw new NoAnswer("No picture distance gives this angle with the centre of vision where it is.");
  }
  return { ...shot, lens: { ...lens, distance } };
}

/** The focal length (mm) of a full-frame camera that sees as wide as the panel does. */
export const fullFrame = ({ frame, lens }: Shot): number => (lens.distance * FULL_FRAME) / frame.width;

/** The shot as wide as a full-frame camera sees with a focal length (mm). */
export const withFullFrame = (shot: Shot, focal: number): Shot => ({
  ...shot,
  lens: { ...shot.lens, distance: (focal * shot.frame.width) / FULL_FRAME },
});

/** How far the eye is from the horizon's foot of C, in mm on paper: what both horizontal pins are measured by. */
const eyeToHorizon = ({ gaze, lens }: Shot): number => lens.distance / Math.cos(radians(gaze.pitch));

/**
 * The shot with its uprights drawn parallel: the horizon and the horizontal points stay where they are, the centre of
 * vision goes to the horizon, the gaze is level. A shifted view; a roll stays.
 */
export function levelled(shot: Shot): Shot {
  const { gaze, lens } = shot;
  const view = viewOf(shot);
  if (gaze.pitch === 0) return shot;
  if (Math.abs(gaze.pitch) > 89) throw new NoAnswer("A view straight up or down has no horizon to be levelled to.");
  // Plumb in eye axes is the normal n of level planes: their vanishing line's foot of C is at -nc d (na, nb) / (na^2
  // + nb^2).
  const [na, nb, nc] = toEye(view, [0, 0, 1]);
  const k = (-nc * lens.distance) / (na * na + nb * nb);
  const centre = { x: lens.centre.x + k * na, y: lens.centre.y - k * nb };
  return { ...shot, gaze: { ...gaze, pitch: 0 }, lens: { ...lens, distance: eyeToHorizon(shot), centre } };
}

/**
 * The shot with its uprights converging, the centre of vision put at a place of the sheet (mm): horizon and horizontal
 * points stay, the gaze is pitched. `levelled` backwards, for an unrolled view.
 * @throws NoAnswer when that place is as far from the horizon as the eye is
 */
export function pitched(shot: Shot, y: number): Shot {
  const level = levelled(shot);
  const { lens, gaze } = level;
  const sine = (lens.centre.y - y) / lens.distance;
  if (!(Math.abs(sine) < Math.sin(radians(85)))) {
    throw new NoAnswer(
      "The horizon lies too far off for converging uprights with this picture distance. Bring it closer, or put " +
        "the points farther apart.",
    );
  }
  const pitch = degrees(Math.asin(sine));
  return {
    ...level,
    gaze: { ...gaze, pitch },
    lens: { ...lens, distance: lens.distance * Math.cos(Math.asin(sine)), centre: { x: lens.centre.x, y } },
  };
}
