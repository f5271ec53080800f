import { cross, type Vec2 } from "../../geometry";
import { bundle, curvedBundle, type Spread } from "../../grid";
import { bundleOf, lineSpacingOf, type Shot } from "../../scene";
import type { View } from "../../shot";
import { footOn, horizon, isLevel, lineFrame, type Line, type Pin } from "../../vanishing";
import { NO_LINES, type Shapes } from "../layer";
import { setStyle, STYLES } from "../style";
import { layerKind } from "./kind";

/** Where true squares are laid out, loose bundles stand back behind them: what of their strength is left. */
const BEHIND_SQUARES = 0.3;

/** The loose bundles of pins, each set in its own hue and dash. */
export const grids = layerKind({
  id: "bundles",
  label: "Grids",
  order: 20,
  style: STYLES.bundle,
  strength: 1,
  construction: true,
  stops: "where wished",
  compute: (context) => {
    const { shot, view, pins } = context;
    const fade = (shot.measured ?? []).some(({ strength }) => strength > 0) ? BEHIND_SQUARES : 1;
    return pins.flatMap((pin) => {
      const spread = bundleOf(shot, pin.id);
      if (pin.opposite || spread.off || spread.strength === 0) return [];
      const style = { stroke: setStyle(pin).stroke, dash: setStyle(pin).dash, opacity: fade * spread.strength };
      return {
        id: `grid-${pin.id}`,
        label: `Grid: ${pin.name}`,
        style,
        ...bundleShapes(shot, view, pin, spread),
      };
    });
  },
});

function bundleShapes(shot: Shot, view: View, pin: Pin, spread: Spread): Shapes {
  if (view.law.straight)
    return { lines: bundle(pin.point, shot.frame, spread, anchor(pin, horizon(view), view), lineSpacingOf(shot)) };
  // The horizon is one of every level set, and the upright plane of the gaze one of the others.
  const through = isLevel(pin) ? cross(pin.direction, [0, 0, 1]) : view.forward;
  return { lines: NO_LINES, curves: curvedBundle(view, pin.direction, spread, through, lineSpacingOf(shot)) };
}

/** A point that one line of the bundle must pass: on the horizon, away from the pin, for level sets. */
function anchor(pin: Pin, line: Line | null, view: View): Vec2 {
  if (!isLevel(pin) || !line) return view.centre;
  const [x, y] = footOn(line, view.centre);
  const { along } = lineFrame(line);
  return pin.point.at && Math.hypot(x - pin.point.at[0], y - pin.point.at[1]) < 1
    ? [x + along[0], y + along[1]]
    : [x, y];
}
