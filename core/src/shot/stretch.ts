import { degrees } from "../geometry";
import type { Shot } from "../scene";
import { toEye, unproject, viewOf } from "./view";

/** How things are drawn at one place of the panel, against the middle of the picture. */
export interface StretchAt {
  /** mm from the panel's left side. */
  readonly at: number;
  /** Degrees off the gaze. */
  readonly angle: number;
  /** Enlargement away from the centre of vision, and across that. */
  readonly radial: number;
  readonly tangential: number;
}

/** How many places along a side of the panel are asked how much they are enlarged. */
const ALONG_SIDE = 8;

/** The angle (rad) that is drawn no wider than a length, mm, anywhere in a shot's panel. */
export function leastAngleOf(shot: Shot, length: number): number {
  const { frame } = shot;
  const view = viewOf(shot);
  const steps = Array.from({ length: ALONG_SIDE + 1 }, (_, i) => i / ALONG_SIDE);
  const enlargements = steps.flatMap((s) =>
    steps.map((t) => {
      const seen = toEye(view, unproject(view, [frame.x + s * frame.width, frame.y + t * frame.height]));
      const { radial, tangential } = view.law.stretch(seen);
      return Math.max(radial, tangential);
    }),
  );
  return length / (view.distance * Math.max(1, ...enlargements.filter(Number.isFinite)));
}

/**
 * The stretch along a level line through the panel, at the height of the centre of vision or as near to it as the
 * panel reaches.
 */
export function stretchAcross(shot: Shot, steps = 80): StretchAt[] {
  const { frame } = shot;
  const view = viewOf(shot);
  const y = Math.min(Math.max(view.centre[1], frame.y), frame.y + frame.height);
  return Array.from({ length: steps + 1 }, (_, i) => {
    const at = (frame.width * i) / steps;
    const seen = toEye(view, unproject(view, [frame.x + at, y]));
    return { at, angle: degrees(Math.acos(Math.min(1, seen[2]))), ...view.law.stretch(seen) };
  });
}
