import { wrap } from "../geometry";
import type { Measured, Orientation, Shot } from "../scene";
import { handed } from "../vanishing";
import type { Extent, Span } from "./extent";

/** What a room measures, m: across, up, and from the eye on to its end. */
export interface RoomSize {
  readonly width: number;
  readonly height: number;
  readonly depth: number;
}

interface RoomKind extends RoomSize {
  readonly name: string;
  readonly every: number;
  readonly ceiling: boolean;
  readonly end: boolean;
}

export type RoomId = keyof typeof ROOMS;

/** Rooms to begin with, with their usual measures, m (common practice). */
export const ROOMS = {
  corridor: { name: "Corridor", width: 2.4, height: 2.7, depth: 24, every: 0.6, ceiling: true, end: false },
  room: { name: "Room", width: 5, height: 2.8, depth: 7, every: 0.5, ceiling: true, end: true },
  street: { name: "Street", width: 12, height: 15, depth: 80, every: 1, ceiling: false, end: false },
} as const satisfies Record<string, RoomKind>;

/** So far behind the eye a room begins, m. */
const BEHIND = 2;
/** A ceiling lies at least so far over the eye, m. */
const OVER = 0.4;

/** The set that runs away from the eye: the one whose way is nearer to the gaze. */
export function depthSet({ heading }: Pick<Orientation, "heading">, { gaze }: Pick<Shot, "gaze">): "left" | "right" {
  const hands = handed(heading, gaze.heading);
  const off = (to: number) => Math.abs(wrap(to - gaze.heading, -180, 360));
  return off(hands.left) <= off(hands.right) ? "left" : "right";
}

/**
 * Planes of true squares that end at one another and make a room about the eye: its floor, its walls, and as its kind
 * has them a ceiling and an end.
 */
export function roomPlanes(
  main: Pick<Orientation, "heading">,
  shot: Pick<Shot, "gaze" | "eye">,
  id: RoomId,
  size: RoomSize = ROOMS[id],
): Measured[] {
  const kind: RoomKind = ROOMS[id];
  const depth = depthSet(main, shot);
  const side = depth === "left" ? "right" : "left";
  const height = Math.max(size.height, shot.eye.z + OVER);
  const across: Span = { from: -size.width / 2, to: size.width / 2 };
  const away: Span = { from: -BEHIND, to: size.depth };
  const extent: Extent = {
    left: depth === "left" ? away : across,
    right: depth === "left" ? across : away,
    up: { from: 0, to: height },
  };
  const plane = (one: Pick<Measured, "plane" | "at">): Measured => ({
    ...one,
    every: kind.every,
    heavy: 5,
    strength: 0.8,
    extent,
  });
  return [
    plane({ plane: "level", at: 0 }),
    ...(kind.ceiling ? [plane({ plane: "level", at: height })] : []),
    plane({ plane: depth, at: across.from }),
    plane({ plane: depth, at: across.to }),
    ...(kind.end ? [plane({ plane: side, at: size.depth })] : []),
  ];
}
