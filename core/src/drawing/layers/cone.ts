import { degrees, radians } from "../../geometry";
import { circleLines, coneRadius, CONES } from "../../grid";
import { ringRadius, type View } from "../../shot";
import { clippedLines } from "../shapes";
import { STYLES } from "../style";
import { layerKind } from "./kind";

/** How far off the gaze the rings of a disc are, degrees; its spokes stand as far apart. */
const RINGS = 15;

/**
 * In a straight lens the circles of 30, 60 and 90 degrees about the centre of vision; on a disc its rings and spokes,
 * every 15 degrees. Cut at the sheet.
 */
export const cone = layerKind({
  id: "cone",
  label: "Cone of vision",
  order: 40,
  style: STYLES.cone,
  strength: 0,
  reach: "desk",
  construction: true,
  compute: ({ shot, view }) => {
    const { law } = view;
    if (law.shape !== "round") return [];
    const sheet = { x: 0, y: 0, width: shot.sheet.width, height: shot.sheet.height };
    const lines = law.straight ? coneLines(view) : discLines(view);
    return {
      label: law.straight ? "Cone of vision: 30, 60, 90 degrees" : "Rings and spokes of the disc",
      lines: Float64Array.from(clippedLines(lines, sheet)),
    };
  },
});

const coneLines = ({ centre, distance }: View): number[] =>
  CONES.flatMap((angle) => [...circleLines(centre, coneRadius(distance, angle))]);

function discLines(view: View): number[] {
  const { law, centre } = view;
  // A hair inside the rim, where the lens ends.
  const most = degrees(law.limit) - 1e-6;
  const rim = ringRadius(view, most);
  const lines: number[] = [];
  for (let turn = 0; turn < 360; turn += RINGS) {
    const [c, s] = [Math.cos(radians(turn)), Math.sin(radians(turn))];
    lines.push(...centre, centre[0] + c * rim, centre[1] + s * rim);
  }
  for (let angle = RINGS; angle <= degrees(law.limit); angle += RINGS)
    lines.push(...circleLines(centre, ringRadius(view, Math.min(angle, most))));
  return lines;
}
