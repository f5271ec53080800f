import { degrees } from "../geometry";
import type { Orientation, Shot } from "../scene";
import { withFieldOfView } from "./numbers";

/** How violently edges run together: the angle across the panel, in degrees (common practice). */
export const CONVERGENCE = { calm: 30, normal: 50, strong: 80 } as const;
export type Convergence = keyof typeof CONVERGENCE;

/** A situation one draws from: where the gaze goes from the main direction, and where the horizon lies in the panel. */
export interface Situation {
  readonly id: string;
  readonly name: string;
  /** Degrees from the gaze to the direction on its right. */
  readonly turn: number;
  readonly pitch: number;
  readonly roll: number;
  /** Height of the eye in m. */
  readonly eye: number;
  /** Height of the centre of vision in the panel: 0 top, 1 bottom. */
  readonly level: number;
}

export const SITUATIONS: readonly Situation[] = [
  { id: "wall", name: "Facing a wall", turn: 90, pitch: 0, roll: 0, eye: 1.6, level: 0.5 },
  { id: "corner", name: "At a street corner", turn: 38, pitch: 0, roll: 0, eye: 1.6, level: 0.6 },
  { id: "up", name: "Looking up", turn: 38, pitch: 28, roll: 0, eye: 1.6, level: 0.5 },
  { id: "down", name: "Looking down", turn: 38, pitch: -32, roll: 0, eye: 24, level: 0.5 },
  { id: "floor", name: "Lying on the floor", turn: 38, pitch: 0, roll: 0, eye: 0.25, level: 0.86 },
  { id: "tilted", name: "Tilted camera", turn: 38, pitch: 6, roll: 12, eye: 1.6, level: 0.55 },
];

/** The shot in a situation, the gaze turned to the orientation from the side on which it is now. */
export function inSituation(
  shot: Shot,
  { heading }: Orientation,
  { turn, pitch, roll, eye, level }: Situation,
  convergence: Convergence,
): Shot {
  const { frame } = shot;
  const placed: Shot = {
    ...shot,
    eye: { ...shot.eye, z: eye },
    gaze: { heading: heading - turn, pitch, roll },
    lens: { ...shot.lens, centre: { x: frame.x + frame.width / 2, y: frame.y + frame.height * level } },
  };
  return withFieldOfView(placed, CONVERGENCE[convergence]);
}

/** Habits of setting two points, as parts of the sheet's width from its left edge. */
export const HABITS = [
  { id: "edge", name: "Points on the paper’s edge", left: 0, right: 1 },
  { id: "outside", name: "Points far outside", left: -1.4, right: 2.4 },
] as const;

/** A level view with both points of the orientation where a habit has them, the horizon and the eye as they are. */
export function byHabit(
  shot: Shot,
  { heading }: Orientation,
  { left, right }: { readonly left: number; readonly right: number },
): Shot {
  const { sheet, frame } = shot;
  const x = frame.x + frame.width / 2;
  const [l, r] = [x - left * sheet.width, right * sheet.width - x];
  const distance = Math.sqrt(l * r);
  const turn = degrees(Math.atan2(r, distance));
  return {
    ...shot,
    gaze: { heading: heading - turn, pitch: 0, roll: 0 },
    lens: { ...shot.lens, distance, centre: { x, y: shot.lens.centre.y } },
  };
}
