import { along, clipToRect, distance2, dot, sub, type Vec2, type Vec3 } from "../geometry";
import { project, unproject, unprojectTo, type View } from "../shot";
import { blockAxes, blockCorner, BOX_CORNERS, type Block } from "../world";
import { drawnLine, dropOnto, heightOver } from "./along";

/** A foot on the ground, and what it was drawn to. */
export interface Foot {
  readonly at: Vec3;
  /** The block it belongs to now: its corner is touched, or its street line continued. */
  readonly on: { readonly block: Block; readonly what: "corner" | "street line" } | null;
  /** The picture of the street line, mm, to be shown. */
  readonly guide: readonly [Vec2, Vec2] | null;
}

/** A near corner that is begun at its top: the foot under it, and how high it is, m. */
export interface Top {
  readonly foot: Foot;
  readonly height: number;
}

/**
 * The near corner whose top a picture point above the horizon means: on an upright of a standing block within `reach`
 * mm, or else so many metres away. Null where the point is not above the eye's level.
 */
export function topAt(view: View, blocks: readonly Block[], point: Vec2, reach: number, distance: number): Top | null {
  const ray = unproject(view, point);
  const level = Math.hypot(ray[0], ray[1]);
  if (ray[2] <= 0 || level < 1e-9) return null;
  const uprights = standing(blocks).flatMap((block) =>
    BOX_CORNERS.flatMap(([u, v]) => {
      const at = blockCorner(block, u, v);
      const height = heightOver(view, at, point) ?? 0;
      const seen = height > 0 ? project(view, [at[0], at[1], at[2] + height]) : null;
      return seen ? [{ block, at, height, off: distance2(seen, point) }] : [];
    }),
  );
  const [caught] = uprights.filter(({ off }) => off <= reach).sort((a, b) => a.off - b.off);
  if (caught) {
    const { at, block, height } = caught;
    return { foot: { at, on: { block, what: "corner" }, guide: null }, height };
  }
  const at: Vec3 = [view.eye[0] + (distance * ray[0]) / level, view.eye[1] + (distance * ray[1]) / level, 0];
  return { foot: { at, on: null, guide: null }, height: view.eye[2] + (distance * ray[2]) / level };
}

/** Blocks as they meet a level, m: those that stand on it, or end at it, draw a foot to them there. */
const standing = (blocks: readonly Block[], level = 0): Block[] =>
  blocks.flatMap((block) => {
    const { origin, height } = block;
    if (origin.z === level) return [block];
    return level !== 0 && Math.abs(origin.z + height - level) < 1e-6
      ? [{ ...block, origin: { ...origin, z: level } }]
      : [];
  });

/**
 * The foot that a picture point means: a base corner of a standing block within `reach` mm, or else the nearest street
 * line (a base edge drawn out both ways) within reach, or else the ground itself. Null above the horizon.
 * @param level how high over the ground the foot stands, m: in the air, or on top of what ends there
 */
export function footAt(view: View, blocks: readonly Block[], point: Vec2, reach: number, level = 0): Foot | null {
  const onLevel = (at: Vec2): Vec3 | null => {
    const place = unprojectTo(view, at, [0, 0, 1], level);
    return place && [place[0], place[1], level];
  };
  const ground = onLevel(point);
  if (!ground) return null;
  let best: { off: number; foot: Foot } | null = null;
  const better = (off: number) => off <= reach && (!best || off < best.off);
  const offer = (off: number, foot: Foot) => {
    if (better(off)) best = { off, foot };
  };
  for (const block of standing(blocks, level)) {
    for (const [u, v] of BOX_CORNERS) {
      const at = blockCorner(block, u, v);
      const seen = project(view, at);
      if (seen) offer(distance2(seen, point), { at, on: { block, what: "corner" }, guide: null });
    }
  }
  if (best) return (best as { foot: Foot }).foot;
  for (const block of standing(blocks, level)) {
    for (const [corner, axis] of baseLines(block)) {
      if (!view.law.straight) {
        // The nearest place of the street line on the ground, measured on the paper.
        const at = along(corner, axis, dot(sub(ground, corner), axis));
        const seen = project(view, at);
        if (seen) offer(distance2(seen, point), { at, on: { block, what: "street line" }, guide: null });
        continue;
      }
      const line = drawnLine(view, corner, axis);
      if (!line) continue;
      const drawn = dropOnto(line, point);
      if (!better(distance2(drawn, point))) continue;
      const seen = onLevel(drawn);
      if (!seen) continue;
      const range = clipToRect(line.from, line.way, view.frame);
      const end = (k: number): Vec2 => [line.from[0] + k * line.way[0], line.from[1] + k * line.way[1]];
      offer(distance2(drawn, point), {
        at: along(corner, axis, dot(sub(seen, corner), axis)),
        on: { block, what: "street line" },
        guide: range && [end(range[0]), end(range[1])],
      });
    }
  }
  return best ? (best as { foot: Foot }).foot : { at: ground, on: null, guide: null };
}

/** The four lines of a block's base: a corner and a direction each. */
function baseLines(block: Block): readonly (readonly [Vec3, Vec3])[] {
  const [length, width] = blockAxes(block);
  const [first, opposite] = [blockCorner(block, 0, 0), blockCorner(block, 1, 1)];
  return [
    [first, length],
    [first, width],
    [opposite, length],
    [opposite, width],
  ];
}

/** The corner (u, v) of a block's footprint that stands nearest to the eye. */
export function nearCorner(block: Block, eye: Vec3): readonly [u: number, v: number] {
  const far = ([u, v]: readonly [number, number]) => {
    const c = blockCorner(block, u, v);
    return Math.hypot(c[0] - eye[0], c[1] - eye[1]);
  };
  return BOX_CORNERS.reduce<readonly [number, number]>(
    (near, corner) => (far(corner) < far(near) - 1e-9 ? corner : near),
    BOX_CORNERS[0],
  );
}
