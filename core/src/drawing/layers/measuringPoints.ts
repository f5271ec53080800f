import { contains } from "../../geometry";
import { measuringPoints as pointsOf } from "../../vanishing";
import { lettering } from "../lettering";
import { STYLES } from "../style";
import { layerKind } from "./kind";

/** Measuring and distance points as small crosses, named. */
export const measuringPoints = layerKind({
  id: "measuring",
  label: "Measuring points",
  order: 60,
  style: STYLES.horizon,
  strength: 0,
  reach: "desk",
  construction: true,
  compute: ({ view, pins, within }) => ({
    lines: Float64Array.from(
      pointsOf(view, pins)
        .filter(({ at }) => contains(within, at))
        .flatMap(({ kind, at: [x, y] }) => [
          ...[x - 3, y, x + 3, y, x, y - 3, x, y + 3],
          ...lettering(kind === "distance" ? "D" : "M", [x + 1.5, y - 1.5], 2.6),
        ]),
    ),
  }),
});
