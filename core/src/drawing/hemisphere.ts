import { around, between2, corners, cutRing, radians, type Rect, type Vec2, type Vec3 } from "../geometry";
import { projectDirection, type View } from "../shot";
import { areaTwice } from "../world";
import { asOneRegion, regionShared, type Ring } from "./regions";

/** In a curved lens the hemisphere falls into cells so wide, degrees, which are halved so often where a lens ends. */
const [CELL, HALVINGS] = [10, 5] as const;
/** Sides of cells are drawn in so many chords: each is a hundredth of a mm off at a picture distance of 300 mm. */
const CHORDS = 10;
/** Cells keep so far inside the seam of an unrolled lens, degrees. */
const ASIDE = 1e-7;

/** A cell by azimuth from the gaze and elevation, degrees. */
interface Cell {
  readonly from: Vec2;
  readonly to: Vec2;
}

const directionTo = (view: View, [azimuth, elevation]: Vec2): Vec3 => {
  const turn = Math.atan2(view.forward[0], view.forward[1]) + radians(azimuth);
  const up = radians(elevation);
  return [Math.sin(turn) * Math.cos(up), Math.cos(turn) * Math.cos(up), Math.sin(up)];
};

/** Whether two rectangles meet. */
const meet = (a: Rect, b: Rect): boolean =>
  a.x <= b.x + b.width && b.x <= a.x + a.width && a.y <= b.y + b.height && b.y <= a.y + a.height;

/** The rings of a cell on paper; halved where the lens shows only some of it. */
function ringsOfCell(view: View, { from, to }: Cell, halvings: number): Ring[] {
  const at = (u: number, v: number): Vec2 => [from[0] + u * (to[0] - from[0]), from[1] + v * (to[1] - from[1])];
  const steps = Array.from({ length: CHORDS }, (_, i) => i / CHORDS);
  const rim = [
    ...steps.map((t) => at(t, 0)),
    ...steps.map((t) => at(1, t)),
    ...steps.map((t) => at(1 - t, 1)),
    ...steps.map((t) => at(0, 1 - t)),
  ];
  const places = rim.map((place) => projectDirection(view, directionTo(view, place)));
  const seen = places.filter((place) => place !== null);
  if (seen.length === 0) return [];
  const box = around(seen);
  // What is not shown of a cell lies about as far on as what is.
  const isWhole = seen.length === places.length;
  if (!meet(around(seen, isWhole ? 0 : box.width + box.height), view.frame)) return [];
  if (isWhole) return [seen];
  if (halvings === 0) return [];
  const [m] = [at(0.5, 0.5)];
  return [
    { from, to: m },
    { from: [m[0], from[1]] as const, to: [to[0], m[1]] as const },
    { from: [from[0], m[1]] as const, to: [m[0], to[1]] as const },
    { from: m, to },
  ].flatMap((cell) => ringsOfCell(view, cell, halvings - 1));
}

/**
 * The part of the panel that is seen at or over the horizon, or under it; in a curved lens as far as that shows any.
 */
export function hemisphere(view: View, isUpper: boolean): readonly Ring[] {
  const { law, right, up, forward, centre, distance, frame } = view;
  const sign = isUpper ? 1 : -1;
  if (law.straight) {
    const height = ([x, y]: Vec2) => (right[2] * (x - centre[0]) + up[2] * (centre[1] - y)) / distance + forward[2];
    const ring = cutRing(corners(frame), (p) => sign * height(p), between2);
    return ring.length < 3 ? [] : [ring];
  }
  const inside = (azimuth: number) => Math.min(180 - ASIDE, Math.max(ASIDE - 180, azimuth));
  const cells = Array.from({ length: 360 / CELL }, (_, i) => CELL * i - 180).flatMap((azimuth) =>
    Array.from({ length: 90 / CELL }, (_, k): Cell => {
      const [low, high] = [CELL * k, CELL * (k + 1)];
      return {
        from: [inside(azimuth), isUpper ? low : -high],
        to: [inside(azimuth + CELL), isUpper ? high : -low],
      };
    }),
  );
  const rings = cells.flatMap((cell) => ringsOfCell(view, cell, HALVINGS));
  const turned = rings.map((ring) => (areaTwice(ring) < 0 ? [...ring].reverse() : ring));
  return regionShared(asOneRegion(turned), [corners(frame)]);
}
