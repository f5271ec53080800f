import { inverse, Matrix } from "ml-matrix";
import {
  applyHomography,
  cross,
  dot,
  homographyOf,
  scale,
  sub,
  unit,
  type Homography,
  type Vec2,
  type Vec3,
} from "../geometry";
import { NoAnswer } from "../problem";
import type { Reference } from "../scene";
import { carried, type Called } from "./carry";
import { upOf } from "./heights";
import { as35 } from "./reference";
import type { RecoveredView } from "./view";

/** How a picture is straightened: where each place of the new one is found in the old one, and how large it is, px. */
export interface Straightening {
  /** From the old picture to the new one, and back. */
  readonly to: Homography;
  readonly from: Homography;
  readonly width: number;
  readonly height: number;
  /** The centre of vision in the new picture, and the focal length, which stays, px. */
  readonly centre: Vec2;
  readonly focalLength: number;
}

/** Steeper than this (degrees) a straightened picture would be nearly all edge. */
const STEEPEST = 50;

const matrix = (rows: readonly (readonly number[])[]): Matrix => new Matrix(rows.map((row) => [...row]));
const flat = (m: Matrix): Homography => homographyOf(m.to1DArray());

/**
 * The homography that turns a picture's camera level without moving it: K M K^-1, M the turn from the camera's axes to
 * level ones, so that uprights stand upright and the horizon lies level (Hartley and Zisserman, Multiple View Geometry,
 * 2004, ch. 8 (from memory)). Cropped to the largest panel of the picture's own shape that it fills, about its middle.
 * @throws NoAnswer where the view is not known, or looks too steeply up or down
 */
export function straightening(
  { width, height }: Pick<Reference, "width" | "height">,
  { focalLength, centre: [cx, cy], pitch, roll, lacking }: RecoveredView,
): Straightening {
  if (!focalLength || pitch === null || roll === null) throw new NoAnswer(lacking ?? "The view is not known yet.");
  if (Math.abs(pitch) > STEEPEST)
    throw new NoAnswer(
      `The camera looked ${Math.abs(Math.round(pitch))}° ${pitch > 0 ? "up" : "down"}: straightened, next to ` +
        "nothing of the picture would be left.",
    );
  const up = upOf({ pitch, roll });
  const ahead: Vec3 = unit(sub([0, 0, 1], scale(up, dot([0, 0, 1], up))));
  const right = cross(ahead, up);
  const f = focalLength.px;
  const k = matrix([
    [f, 0, cx],
    [0, f, cy],
    [0, 0, 1],
  ]);
  const turn = matrix([right, scale(up, -1), ahead]);
  const plain = k.mmul(turn).mmul(inverse(k));
  const back = flat(inverse(plain));
  const middle = applyHomography(flat(plain), [width / 2, height / 2]);
  if (!middle) throw new NoAnswer("The picture's middle would not be seen any more.");
  const inside = (s: number) =>
    [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ].every(([i, j]) => {
      const at = applyHomography(back, [middle[0] + (i * s * width) / 2, middle[1] + (j * s * height) / 2]);
      return at !== null && at[0] >= 0 && at[0] <= width && at[1] >= 0 && at[1] <= height;
    });
  let [fits, not] = [0, 2];
  for (let i = 0; i < 40; i++) {
    const s = (fits + not) / 2;
    if (inside(s)) fits = s;
    else not = s;
  }
  const [w, h] = [Math.floor(width * fits), Math.floor(height * fits)];
  if (Math.min(w, h) < 40) throw new NoAnswer("Straightened, next to nothing of the picture would be left.");
  const [dx, dy] = [middle[0] - w / 2, middle[1] - h / 2];
  const shifted = matrix([
    [1, 0, -dx],
    [0, 1, -dy],
    [0, 0, 1],
  ]).mmul(plain);
  return {
    to: flat(shifted),
    from: flat(inverse(shifted)),
    width: w,
    height: h,
    centre: [cx - dx, cy - dy],
    focalLength: f,
  };
}

/**
 * A reference with all that was traced in it taken over to its straightened picture; what falls behind the camera is
 * left out. Its camera is level and its lens known: uprights, which are parallel now, can no longer tell it.
 */
export function straightened(
  reference: Reference,
  { to, width, height, centre, focalLength }: Straightening,
  next: Called,
): Reference {
  return {
    ...carried(reference, (p) => applyHomography(to, p), { width, height, centre }, next),
    level: true,
    lens35: as35({ width, height }, focalLength),
  };
}
