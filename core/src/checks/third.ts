import { mm, sentence } from "../units";
import { middle } from "../geometry";
import { NoAnswer } from "../problem";
import { pitched } from "../shot";
import { heightAt, horizon } from "../vanishing";
import { tenth, type Check, type Finding } from "./finding";

/** A third point is missing: uprights drawn parallel though the horizon lies above or below everything in the panel. */
export const missingThird: Check = ({ shot, view }): Finding[] => {
  const line = horizon(view);
  const { frame } = shot;
  const [x, y] = middle(frame);
  const level = line && heightAt(line, x);
  if (shot.gaze.pitch !== 0 || level === null) return [];
  const off = Math.max(frame.y - level, level - frame.y - frame.height);
  if (off <= 0) return [];
  const fixed = (): Finding["fix"] => {
    try {
      return { label: "Let the uprights converge", shot: pitched(shot, y) };
    } catch (error) {
      if (error instanceof NoAnswer) return undefined;
      throw error;
    }
  };
  return [
    {
      id: "missing-third",
      severity: "warning",
      where: "uprights",
      at: [x, level],
      value: tenth(off),
      unit: "mm",
      message: sentence`The horizon lies ${mm(off)} ${level < frame.y ? "above" : "below"} the panel, yet uprights are
        drawn parallel: we look ${level < frame.y ? "down on" : "up at"} things that do not lean.`,
      fix: fixed(),
    },
  ];
};
