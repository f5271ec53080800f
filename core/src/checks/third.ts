import { mm, sentence } from "../units";
import { middle } from "../geometry";
import { NoAnswer } from "../problem";
import { pitched, project } from "../shot";
import { heightAt, horizon } from "../vanishing";
import { blockCorner, boxOf, stands } from "../world";
import { tenth, type Check, type Finding, type Looked } from "./finding";

type Range = readonly [top: number, bottom: number];

/** How high and how low on the desk the uprights of what stands are drawn in the panel, mm; null where none are. */
function drawnUprights({ scene, shot: { frame }, view }: Looked): Range | null {
  const ranges = scene.elements
    .filter((element) => !element.hidden && stands(element))
    .flatMap((element) => {
      const box = boxOf(element);
      return [0, 1].flatMap((u) =>
        [0, 1].flatMap((v): Range[] => {
          const foot = blockCorner(box, u, v);
          const [low, high] = [project(view, foot), project(view, [foot[0], foot[1], foot[2] + box.height])];
          if (!low || !high || low[0] < frame.x || low[0] > frame.x + frame.width) return [];
          const [top, bottom] = [Math.max(frame.y, high[1]), Math.min(frame.y + frame.height, low[1])];
          return top < bottom ? [[top, bottom]] : [];
        }),
      );
    });
  if (ranges.length === 0) return null;
  return [Math.min(...ranges.map(([top]) => top)), Math.max(...ranges.map(([, bottom]) => bottom))];
}

/**
 * A third point is missing: uprights drawn parallel though the horizon lies above or below everything that is drawn in
 * the panel; where nothing stands yet, above or below the panel.
 */
export const missingThird: Check = (looked): Finding[] => {
  const { scene, shot, view } = looked;
  const line = horizon(view);
  const { frame } = shot;
  const [x, y] = middle(frame);
  const level = line && heightAt(line, x);
  if (shot.gaze.pitch !== 0 || level === null) return [];
  if (level >= frame.y && level <= frame.y + frame.height) return [];
  const drawn = scene.elements.some(stands) ? drawnUprights(looked) : ([frame.y, frame.y + frame.height] as const);
  if (!drawn) return [];
  const off = Math.max(drawn[0] - level, level - drawn[1]);
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
      message: sentence`The horizon lies ${mm(off)} ${level < frame.y ? "above" : "below"} what is drawn, yet
        uprights are drawn parallel: we look ${level < frame.y ? "down on" : "up at"} things that do not lean.`,
      fix: fixed(),
    },
  ];
};
