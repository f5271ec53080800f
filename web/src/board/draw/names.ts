import type { OwnLine } from "@zanvo/core/lines";
import type { Fit } from "@zanvo/core/rhythm";

const NAMES: Readonly<Record<OwnLine["kind"], string>> = {
  ruled: "Ruled line",
  stroke: "Stroke",
  polyline: "Shape",
  circle: "Circle",
  spacing: "Steps",
  quad: "Quadrilateral",
};

/** What a line is called by. */
export const nameOf = (line: OwnLine): string => NAMES[line.kind];

/** What becomes of parts that do not fill their line. */
export const FIT_NAMES: Readonly<Record<Fit, string>> = { stretch: "Stretched", cut: "Cut off", centre: "Centred" };
