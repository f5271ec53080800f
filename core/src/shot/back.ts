import { scale } from "../geometry";
import type { Shot } from "../scene";
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
