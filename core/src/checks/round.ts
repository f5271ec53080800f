import { corners } from "../geometry";
import { toEye, unproject } from "../shot";
import { tenth, type Check } from "./finding";

/** Beyond this a ball looks like an egg (common practice). */
const EGG = 1.2;
const NAMES = ["top left", "top right", "bottom right", "bottom left"] as const;

/** Round things that a curved lens draws longer than wide at a corner of the panel; a straight one tells it by its angle. */
export const stretchedRound: Check = ({ shot, view }) => {
  if (view.law.straight) return [];
  const [at, name, ratio] = corners(shot.frame)
    .map((corner, i) => {
      const { radial, tangential } = view.law.stretch(toEye(view, unproject(view, corner)));
      return [corner, NAMES[i], Math.max(radial, tangential) / Math.max(1e-9, Math.min(radial, tangential))] as const;
    })
    .reduce((most, one) => (one[2] > most[2] + 1e-9 ? one : most));
  if (ratio <= EGG) return [];
  const told = ratio > 100 ? "more than a hundred" : ratio.toFixed(2);
  return [{
    id: "round-stretched", severity: "note", where: `panel, ${name} corner`, at, value: tenth(Math.min(ratio, 1e6)), unit: ": 1",
    message: `Towards the ${name} corner round things are drawn up to ${told} times as long as wide. The stereographic lens keeps them round.`,
  }];
};
