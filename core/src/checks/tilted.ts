import { mm, sentence } from "../units";
import { heightAt, horizon } from "../vanishing";
import { tenth, type Check } from "./finding";

/** A roll up to this many degrees looks like a slip, more like a choice (common practice). */
const MEANT = 3;

/** Horizon not level though no roll is meant: measured down from the top edge at both sides of the sheet. */
export const tilted: Check = ({ shot, view }) => {
  const line = horizon(view);
  const [left, right] = [0, shot.sheet.width].map((x) => line && heightAt(line, x));
  const { roll } = shot.gaze;
  if (left === null || right === null || roll === 0 || Math.abs(roll) > MEANT) return [];
  const rise = Math.abs(right - left);
  return [
    {
      id: "horizon-tilted",
      severity: "note",
      where: "horizon",
      at: [shot.sheet.width, right],
      value: tenth(rise),
      unit: "mm",
      message: sentence`The horizon is not level: it lies ${mm(rise)} ${right < left ? "higher" : "lower"} at the
        right edge than at the left.`,
      fix: { label: "Level it", shot: { ...shot, gaze: { ...shot.gaze, roll: 0 } } },
    },
  ];
};
