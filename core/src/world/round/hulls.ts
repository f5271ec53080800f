import type { Vec2, Vec3 } from "../../geometry";
import { circle } from "../polygon";
import { loft, ring } from "../shapes";
import type { Solid } from "../solid";

/** A ball: its middle and its radius, m. */
export type Ball = readonly [x: number, y: number, z: number, radius: number];

/** The convex hull of some balls: one alone, a limb between two, a trunk between more. */
export interface Hull {
  readonly balls: readonly Ball[];
  /** What it is a part of, such as an arm: within that none of its outline is drawn. */
  readonly part?: string;
  /** Before which other parts its outline is drawn, too. */
  readonly over?: readonly string[];
  /** What of its outline within others is drawn, by the directions from its middle: radians from the right. */
  readonly arc?: readonly [from: number, to: number];
  /** Its first ball is a joint, around which its outline is left open. */
  readonly joins?: boolean;
}

/** An upright trunk with level ends, as a hull: from where to where it reaches up, and its radii there, m. */
export function trunkHull([low, high]: Vec2, [foot, top]: Vec2, [x, y]: Vec2 = [0, 0]): Hull {
  const rim = (radius: number, z: number, edge: number) =>
    circle([x, y], radius - edge, TRUNK).map((at): Ball => [...at, z, edge]);
  const edge = Math.min(0.01, foot / 8, top / 8);
  return { part: "trunk", balls: [...rim(foot, low + edge, edge), ...rim(top, high - edge, edge)] };
}

/** The rims of a trunk have so many corners. */
const TRUNK = 10;

/**
 * What is drawn by its silhouette: figures, trees, clouds. An eye sees it as a card that faces that, cut out along the
 * silhouette of its hulls, which is exact whatever the lens; other things hide it, and it hides them, as if it were
 * flat.
 */
export interface Hulls {
  readonly kind: "hulls";
  readonly at: Vec3;
  /** How far it is turned about the upright through that place, radians, counter-clockwise. */
  readonly turn: number;
  /** Its hulls about that place, before it is turned, m. */
  readonly hulls: readonly Hull[];
  /** How far before its place the card stands, towards the eye, m. */
  readonly before: number;
}

/** The balls of a hull in the world. */
export function placed({ at, turn }: Hulls, { balls }: Pick<Hull, "balls">): readonly Ball[] {
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return balls.map(([x, y, z, radius]) => [at[0] + c * x - s * y, at[1] + s * x + c * y, at[2] + z, radius]);
}

/** How far hulls reach about their place, before they are turned, m: the least and the greatest of each axis. */
const extents = new WeakMap<readonly Hull[], readonly [Vec3, Vec3]>();

export function extentOf(hulls: readonly Hull[]): readonly [Vec3, Vec3] {
  const before = extents.get(hulls);
  if (before) return before;
  const [low, high] = [
    [Infinity, Infinity, Infinity] as [number, number, number],
    [-Infinity, -Infinity, -Infinity] as [number, number, number],
  ];
  for (const { balls } of hulls)
    for (const one of balls)
      for (const k of [0, 1, 2] as const) {
        low[k] = Math.min(low[k], one[k] - one[3]);
        high[k] = Math.max(high[k], one[k] + one[3]);
      }
  extents.set(hulls, [low, high]);
  return [low, high];
}

/** The upright box around what is drawn by its silhouette: as it is picked, and measured. */
export function boxOfHulls(id: string, { at, turn, hulls }: Hulls): Solid {
  const [[x0, y0, z0], [x1, y1, z1]] = extentOf(hulls);
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const plan = [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ].map(([x, y]): Vec2 => [at[0] + c * x - s * y, at[1] + s * x + c * y]);
  return loft(id, [ring(plan, at[2] + z0), ring(plan, at[2] + z1)], null);
}
