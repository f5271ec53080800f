import type { OwnLine } from "@zanvo/core/lines";

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
