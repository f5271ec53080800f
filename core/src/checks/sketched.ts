import { mm, sentence } from "../units";
import { distance2 } from "../geometry";
import { impossible, levelledSketch, nearestThird, offLevel } from "../vanishing";
import { tenth, type Check } from "./finding";

/** What a pencil can keep, in mm (common practice). */
const PENCIL_TOLERANCE = 0.5;

/** A sketched point off the horizon: both level points of a system must lie on one level. */
export const offHorizon: Check = ({ shot }) => {
  const { sketch } = shot;
  if (!sketch) return [];
  const off = offLevel(sketch, shot);
  if (Math.abs(off) <= PENCIL_TOLERANCE) return [];
  return [
    {
      id: "sketch-off-horizon",
      severity: "warning",
      where: "Sketch, right point",
      at: [sketch.right.x, sketch.right.y],
      value: tenth(Math.abs(off)),
      unit: "mm",
      message: sentence`The right point lies ${mm(Math.abs(off))} ${off > 0 ? "below" : "above"} the level of the left
        one. Both stand on one horizon, or the whole picture leans.`,
      fix: { label: "Bring both to one level", shot: { ...shot, sketch: levelledSketch(sketch, shot) } },
    },
  ];
};

/** An impossible triangle: three sketched points that no eye sees at right angles. */
export const impossibleTriangle: Check = ({ shot }) => {
  const { sketch } = shot;
  const why = sketch && impossible(sketch);
  if (!sketch?.third || !why) return [];
  const { third } = sketch;
  const near = nearestThird(sketch);
  const far = near && distance2(near, [third.x, third.y]);
  return [
    {
      id: "sketch-impossible",
      severity: "error",
      where: "Sketch, third point",
      at: [third.x, third.y],
      value: tenth(far ?? 0),
      unit: "mm",
      message:
        far === null
          ? why
          : sentence`The triangle of the three points is not acute: no eye sees them at right angles. The nearest
            third point that works is ${mm(far)} away.`,
      fix: near
        ? {
            label: "Take the nearest that works",
            shot: { ...shot, sketch: { ...sketch, third: { x: near[0], y: near[1] } } },
          }
        : undefined,
    },
  ];
};
