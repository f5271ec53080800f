import { scale } from "../geometry";
import { splitPanel, type Shot } from "../scene";
import { withCovered } from "./systems";
import { eyeAxes, gazeOf } from "./view";

/** What lies behind a shot, through the same lens and turned about the eye's own upright, in the panel of another. */
export function asBackOf(back: Shot, front: Shot): Shot {
  const { right, up, forward } = eyeAxes(front.gaze);
  return {
    ...back,
    eye: front.eye,
    gaze: gazeOf({ right: scale(right, -1), up, forward: scale(forward, -1) }),
    lens: { ...front.lens, centre: back.lens.centre },
  };
}

/**
 * The shots that must follow when one has changed: the disc behind it, or the one it is behind of, each with its
 * place.
 */
export const following = (shots: readonly Shot[], changed: Shot): readonly (readonly [at: number, shot: Shot])[] =>
  shots.flatMap((shot, at) =>
    shot.id !== changed.id && (shot.backOf === changed.id || changed.backOf === shot.id)
      ? [[at, asBackOf(shot, changed)] as const]
      : [],
  );

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
