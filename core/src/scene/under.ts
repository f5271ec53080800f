import { degrees, middle, radians, type Rect, type Vec2 } from "../geometry";
import type { Reference, Shot } from "../schema";

type Under = NonNullable<Shot["under"]>;

/** How strongly a picture lies under a drawing at first: faded, so that lines stand out on it. */
const FADED = 0.5;

/** A picture laid under a drawing for the first time: whole, in the middle of a rectangle, mm. */
export function laidUnder({ id, width, height }: Pick<Reference, "id" | "width" | "height">, within: Rect): Under {
  const scale = Math.min(within.width / width, within.height / height);
  const [cx, cy] = middle(within);
  const [w, h] = [scale * width, scale * height];
  return { reference: id, strength: FADED, at: { x: cx - w / 2, y: cy - h / 2, width: w, height: h } };
}

/** A place turned about another, degrees clockwise on a sheet, and scaled away from it. */
function turned([x, y]: Vec2, [cx, cy]: Vec2, by: number, scale = 1): Vec2 {
  const [c, s] = [scale * Math.cos(radians(by)), scale * Math.sin(radians(by))];
  return [cx + c * (x - cx) - s * (y - cy), cy + s * (x - cx) + c * (y - cy)];
}

/** A picture moved, mm. */
export const movedUnder = (under: Under, [dx, dy]: Vec2): Under => ({
  ...under,
  at: { ...under.at, x: under.at.x + dx, y: under.at.y + dy },
});

/** A picture turned and scaled about a place of the sheet. */
function turnedUnder(under: Under, about: Vec2, by: number, scale: number): Under {
  const { at, turn = 0 } = under;
  const [cx, cy] = turned(middle(at), about, by, scale);
  const [width, height] = [at.width * scale, at.height * scale];
  const whole = (turn + by) % 360;
  return {
    ...under,
    at: { x: cx - width / 2, y: cy - height / 2, width, height },
    turn: Math.abs(whole) < 1e-9 ? undefined : whole,
  };
}

/** The corner by which a picture is turned and scaled: its lower right one, mm. */
export const cornerOfUnder = ({ at, turn = 0 }: Under): Vec2 =>
  turned([at.x + at.width, at.y + at.height], middle(at), turn);

/** A picture turned and scaled about its middle so that its corner comes to a place. */
export function corneredUnder(under: Under, to: Vec2): Under {
  const centre = middle(under.at);
  return laidByTwo(under, [centre, cornerOfUnder(under)], [centre, to]);
}

/** Two places nearer than this tell no turn, mm. */
const APART = 1;

/**
 * A picture moved, turned and scaled so that two places of the sheet, as it lies, come to two others: the similarity
 * that two pairs of points give. Places that are one leave it as it is.
 */
export function laidByTwo(under: Under, [p, q]: readonly [Vec2, Vec2], [u, v]: readonly [Vec2, Vec2]): Under {
  const [before, after] = [Math.hypot(q[0] - p[0], q[1] - p[1]), Math.hypot(v[0] - u[0], v[1] - u[1])];
  if (before < APART || after < APART) return under;
  const by = degrees(Math.atan2(v[1] - u[1], v[0] - u[0]) - Math.atan2(q[1] - p[1], q[0] - p[0]));
  return movedUnder(turnedUnder(under, p, by, after / before), [u[0] - p[0], u[1] - p[1]]);
}

/** Where a place of a picture, px, lies on the sheet, mm. */
export function onUnder(
  { at, turn = 0 }: Under,
  { width, height }: Pick<Reference, "width" | "height">,
  [x, y]: Vec2,
): Vec2 {
  const plain: Vec2 = [at.x + (x * at.width) / width, at.y + (y * at.height) / height];
  return turn === 0 ? plain : turned(plain, middle(at), turn);
}
