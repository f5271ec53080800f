import { splitPanel, type Shot } from "../scene";
import { asBackOf } from "./back";
import { withCovered } from "./systems";

/**
 * The whole world as two discs back to back, in two panels side by side whose rims touch: the shot before the eye on
 * the left, and on the right what is behind it. A lens that is not round is left as it is.
 * @param next id and name of the second, and the page both lie on
 */
export function twoDiscs(
  shot: Shot,
  next: { readonly id: string; readonly name: string; readonly page: string },
): readonly [Shot, Shot] {
  const [front, back] = splitPanel(shot, "beside", 0, next);
  const within = 180;
  const disc = withCovered({ ...front, lens: { ...front.lens, within } }, within);
  const { frame } = disc;
  const rim = Math.min(frame.width, frame.height) / 2;
  const centred = (of: Shot, x: number): Shot => ({
    ...of,
    lens: { ...of.lens, centre: { x, y: frame.y + frame.height / 2 } },
  });
  const before = centred(disc, frame.x + frame.width - rim);
  return [before, asBackOf(centred({ ...back, backOf: shot.id }, back.frame.x + rim), before)];
}
