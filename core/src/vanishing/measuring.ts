import { distance2, type Vec2 } from "../geometry";
import type { View } from "../shot";
import { horizon, lineFrame } from "./horizon";
import { isLevel, type Pin } from "./pins";

/** A point of the horizon by which lengths along one level set are measured off. */
export interface MeasuringPoint {
  /** The pin whose lines it measures, and its own id. */
  readonly pin: string;
  readonly id: string;
  readonly name: string;
  /** `distance` where the set is the gaze itself, seen level: it carries the diagonals of true squares. */
  readonly kind: "measuring" | "distance";
  readonly at: Vec2;
}

/** A pin nearer than this to the centre of vision (mm) makes a one-point view. */
const FACED = 0.5;

/**
 * Measuring points of the level pins: on the horizon, as far from the pin as the eye is, |V - M| = |V - E|; in a level
 * view that is sqrt((xV - cx)^2 + d^2). The one on the centre's side is given; where the pin is the centre itself, both
 * are, and they are the distance points.
 */
export function measuringPoints(view: View, pins: readonly Pin[]): MeasuringPoint[] {
  const line = horizon(view);
  if (!line) return [];
  const { along } = lineFrame(line);
  return pins.flatMap((pin): MeasuringPoint[] => {
    const { at } = pin.point;
    if (!isLevel(pin) || !at) return [];
    const away = Math.hypot(distance2(at, view.centre), view.distance);
    const on = (side: number): Vec2 => [at[0] + side * away * along[0], at[1] + side * away * along[1]];
    if (distance2(at, view.centre) < FACED) {
      return (
        [
          ["left", -1],
          ["right", 1],
        ] as const
      ).map(([hand, side]) => ({
        pin: pin.id,
        id: `${pin.id}-distance-${hand}`,
        name: `Distance point, ${hand}`,
        kind: "distance",
        at: on(side),
      }));
    }
    const side = (view.centre[0] - at[0]) * along[0] + (view.centre[1] - at[1]) * along[1] >= 0 ? 1 : -1;
    return [
      {
        pin: pin.id,
        id: `${pin.id}-measuring`,
        name: `Measuring point of ${pin.name}`,
        kind: "measuring",
        at: on(side),
      },
    ];
  });
}
