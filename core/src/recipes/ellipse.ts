import { byHand, hasTemplate, howItLies, levelError, onEllipse, templateFor } from "../conics";
import type { Stretch } from "../dividing";
import type { Vec2 } from "../geometry";
import { long, mm, place, recipe, RUB_OUT, sentence, step, tableOf } from "./recipe";
import { drawnEllipse, ellipseOf } from "./round";

/** A long axis that is laid level may be off by this, mm: a pencil line. */
const PENCIL = 0.35;

/** A circle as an ellipse by its axes: with a template, with pins and string, or with a strip of paper. */
export const ellipse = recipe({
  id: "ellipse",
  label: "A circle by the axes of its ellipse",
  needs: "a circle, four corners, or something round",
  steps: (given) => {
    const table = tableOf(given);
    const seen = ellipseOf(table, given);
    const { centre, circleCentre, semiAxes, tilt } = seen;
    const [half, across] = semiAxes;
    const hand = byHand(seen);
    const { template, string, trammel, size } = hand;
    const { lean, apart } = levelError(seen);
    const onLong = (along: number) => onEllipse({ ...seen, semiAxes: [along, 0] }, 0);
    const ends = [0, 90, 180, 270].map((turn): Vec2 => onEllipse(seen, turn));
    const axes: readonly Stretch[] = [
      [ends[0], ends[2]],
      [ends[1], ends[3]],
    ];
    const points = ends.map((at) => ({ at }));
    return [
      step(
        sentence`Mark the middle of the ellipse: ${place(table, centre)}. The circle's own centre is
          ${long(centre, circleCentre)} from it, on the far side: it is no middle of the oval.`,
        { points: [{ at: centre, name: "E" }, { at: circleCentre }] },
      ),
      step(
        sentence`Through the middle rule the long axis, ${howItLies(tilt)}, with ${mm(half)} to
          either side; square to it the short one, with ${mm(across)}.`,
        { lines: axes, points },
      ),
      step(
        hasTemplate(hand)
          ? sentence`With a template: the one of ${String(template.angle)}°, ${mm(size)} long, comes nearest; its short
              axis is ${mm(2 * Math.abs(template.off))} too ${template.off > 0 ? "wide" : "narrow"}.`
          : sentence`No template is made for it: it is ${templateFor(hand)}.`,
        { points },
      ),
      step(
        sentence`Or with pins and string: two pins on the long axis, ${mm(string.pins)} to either side of the middle,
          and a loop of ${mm(string.loop)} around them.`,
        { points: [{ at: onLong(string.pins) }, { at: onLong(-string.pins) }] },
      ),
      step(
        sentence`Or with a strip of paper: marks ${mm(trammel.onLong)} and ${mm(trammel.onShort)} from its tip. Keep the
          first on the long axis and the second on the short one, and dot along the tip.`,
        { points },
      ),
      step(
        apart <= PENCIL
          ? sentence`Draw the curve, round at both ends. Its long axis may as well lie level: that is at most
              ${mm(apart, 2)} off.`
          : sentence`Draw the curve, round at both ends. With a level long axis it would lean wrong by
              ${lean.toFixed(1)}°, and be up to ${mm(apart, 1)} off.`,
        { kept: drawnEllipse(seen), points },
      ),
      RUB_OUT,
    ];
  },
});
