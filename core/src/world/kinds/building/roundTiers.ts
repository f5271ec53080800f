import { distance2, type Vec2, type Vec3 } from "../../../geometry";
import { bendBetween, domeArc, roundSolid, surfacesOf, type OutlinePoint } from "../../round";
import type { Detail } from "../../details";
import { centroid } from "../../polygon";
import type { Solid } from "../../solid";
import type { Opening } from "./front";
import { linesOfOpening } from "./openingLines";
import { MANSARD, PARAPET, RISE } from "./roofShapes";
import type { RoundWindow } from "./roundWindows";
import type { Building } from "./schema";
import type { Wall } from "./wallOpenings";

/** Corners of a round footprint lie on its circle to this, m. */
const ROUND = 1e-6;

/** The circle whose even polygon some corners are; null where they are none. */
export function circleThrough(points: readonly Vec2[]): { readonly centre: Vec2; readonly radius: number } | null {
  const centre = centroid(points);
  const radius = distance2(centre, points[0]);
  const side = distance2(points[0], points[1]);
  const isEven = points.every(
    (p, i) =>
      Math.abs(distance2(centre, p) - radius) < ROUND &&
      Math.abs(distance2(p, points[(i + 1) % points.length]) - side) < ROUND,
  );
  return isEven ? { centre, radius } : null;
}

/** The half outline of a round part of a building, over the level that heights are measured from. */
function outlineOf({ roof }: Building, radius: number, [low, eaves]: Vec2, isTop: boolean): OutlinePoint[] {
  const { kind, rise = RISE } = roof;
  const wall: OutlinePoint[] = [{ at: [radius, low] }, { at: [radius, eaves] }];
  if (!isTop) return wall;
  switch (kind) {
    case "dome":
      return [wall[0], ...domeArc(radius, eaves, rise)];
    case "mansard":
      return [...wall, { at: [radius - MANSARD * rise, eaves + rise] }];
    case "flat":
      return roof.rise === undefined
        ? wall
        : [
            wall[0],
            { at: [radius, eaves + rise] },
            { at: [radius - PARAPET, eaves + rise] },
            { at: [radius - PARAPET, eaves] },
          ];
    default:
      return [...wall, { at: [0, eaves + rise] }];
  }
}

/**
 * A part of a building whose wall is round, as it is exactly: with its roof, where it is the topmost. Null where it has
 * to be a polygon: its foot follows a slope, or it is passed through.
 */
export function roundTier(
  building: Building,
  points: readonly Vec2[],
  [low, eaves]: Vec2,
  isTop: boolean,
): Solid | null {
  const { id, round, slope, passages = [], courtyards = [], rooms, roof } = building;
  const circle = round ? circleThrough(points) : null;
  if (!circle || slope || passages.length > 0 || courtyards.length > 0 || rooms || roof.overhang !== undefined)
    return null;
  const { centre, radius } = circle;
  const [x, y] = [points[0][0] - centre[0], points[0][1] - centre[1]];
  return roundSolid(id, {
    kind: "revolved",
    axis: { origin: [...centre, 0], up: [0, 0, 1], side: [x / radius, y / radius, 0] },
    outline: outlineOf(building, radius, [low, eaves], isTop),
  });
}

/** How long the wall of a round part is, m; of any other, nothing. */
export const roundLength = ({ shape }: Solid): number | undefined =>
  shape?.kind === "revolved" ? 2 * Math.PI * shape.outline[0].at[0] : undefined;

/** No arc of a line on a round wall turns by more than this, radians. */
const STEP = 0.1;

/** The lines of a window on the wall of a round part, its first corner being where the wall's angle is 0. */
export function windowOnRound(
  solid: Solid,
  { from, to, low, high, index }: RoundWindow,
  long: number,
  z: number,
): Detail[] {
  const { shape } = solid;
  if (shape?.kind !== "revolved") return [];
  const { origin, side } = shape.axis;
  const [radius] = shape.outline[0].at;
  const first = Math.atan2(side[1], side[0]);
  const [number] = surfacesOf(shape);
  const angleOf = (along: number) => first + (2 * Math.PI * along) / long;
  const item = { index };
  const out = (angle: number): Vec3 => [Math.cos(angle), Math.sin(angle), 0];
  const at = (angle: number, up: number): Vec3 => {
    const [c, s] = out(angle);
    return [origin[0] + radius * c, origin[1] + radius * s, z + up];
  };
  const on = (a: number, b: number): Detail["on"] => ({
    solid,
    face: -1,
    round: { number, normals: [out(a), out(b)] },
  });
  const upright = (angle: number): Detail => ({
    kind: "window",
    a: at(angle, low),
    b: at(angle, high),
    on: on(angle, angle),
    item,
  });
  const [a, b] = [angleOf(from), angleOf(to)];
  const steps = Math.max(1, Math.ceil((b - a) / STEP));
  const arcs = [low, high].flatMap((up) =>
    Array.from({ length: steps }, (_, i): Detail => {
      const [p, q] = [i, i + 1].map((k) => a + ((b - a) * k) / steps);
      const [u, v] = [p, q].map((angle): Vec3 => [-Math.sin(angle), Math.cos(angle), 0]);
      const ends = [at(p, up), at(q, up)] as const;
      return { kind: "window", a: ends[0], b: ends[1], bend: bendBetween(ends[0], u, ends[1], v), on: on(p, q), item };
    }),
  );
  return [upright(a), upright(b), ...arcs];
}

/** The lines of an opening that lie in its wall, on the round wall that stands for a side of its polygon. */
export function openingOnRound(solid: Solid, { p, u }: Pick<Wall, "p" | "u">, opening: Opening, z: number): Detail[] {
  const { shape } = solid;
  if (shape?.kind !== "revolved") return [];
  const { origin } = shape.axis;
  const [radius] = shape.outline[0].at;
  const [number] = surfacesOf(shape);
  const item = { index: opening.index };
  const place = ([s, up]: readonly [number, number, number]) => {
    const [x, y] = [p[0] + s * u[0] - origin[0], p[1] + s * u[1] - origin[1]];
    const far = Math.hypot(x, y);
    const out: Vec3 = [x / far, y / far, 0];
    return { out, at: [origin[0] + radius * out[0], origin[1] + radius * out[1], z + up] as Vec3 };
  };
  return linesOfOpening(opening).flatMap(({ part, a, b }): Detail[] => {
    if (a[2] > 0 || b[2] > 0 || part === "leaf") return [];
    const [from, to] = [place(a), place(b)];
    const turns = ({ out: [x, y] }: typeof from): Vec3 => [-y, x, 0];
    const isLevel = Math.abs(a[1] - b[1]) < ROUND;
    const bend = !isLevel ? {} : { bend: bendBetween(from.at, turns(from), to.at, turns(to)) };
    const on = { solid, face: -1, round: { number, normals: [from.out, to.out] as const } };
    const kind = part === "outline" ? opening.kind : "dressing";
    return [{ kind, a: from.at, b: to.at, ...bend, on, item }];
  });
}
