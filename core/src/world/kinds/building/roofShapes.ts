import type { Vec2, Vec3 } from "../../../geometry";
import { yardsOf } from "../../outline";
import { centroid, inset, isRectangle } from "../../polygon";
import { roundSolid } from "../../round";
import { extrude, loft, ring, type Ring } from "../../shapes";
import { asPart, solidOf, type Solid } from "../../solid";
import type { Building } from "./schema";
import { overhangingRoof, skeletonRoof, underSkeletonRoof } from "./skeletonRoof";

/** What a roof adds where nothing is said, m. */
export const RISE = 2.5;
/** Thickness of a parapet, m. */
export const PARAPET = 0.3;
/** Teeth of a saw-tooth roof stand about so far apart, m; arcs and domes are drawn in so many pieces. */
export const TOOTH = 5;
const ARC = 16;
const DOME = 8;
/** A mansard's steep part leans in by this part of its rise. */
export const MANSARD = 0.45;

const scaled = (points: readonly Vec2[], [cx, cy]: Vec2, k: number): Vec2[] =>
  points.map(([x, y]) => [cx + k * (x - cx), cy + k * (y - cy)]);

/** Whether a roof is worked out by the straight skeleton of what it stands on: any but one over a rectangle. */
export const bySkeleton = ({ roof: { kind }, courtyards = [] }: Building, top: readonly Vec2[]): boolean =>
  (kind === "hip" || kind === "gable") && (courtyards.length > 0 || !isRectangle(top));

/**
 * A rectangle's own measure: a corner, the ways along and across it, and its size; along its longer side unless
 * turned.
 */
export function frameOf(points: readonly Vec2[], turned: boolean) {
  const side = (i: number) => Math.hypot(points[(i + 1) % 4][0] - points[i][0], points[(i + 1) % 4][1] - points[i][1]);
  const first = side(0) >= side(1) !== turned ? 0 : 1;
  const [o, p, q] = [points[first], points[first + 1], points[(first + 2) % 4]];
  const [length, width] = [side(first), side(first + 1)];
  const [u, v]: Vec2[] = [
    [(p[0] - o[0]) / length, (p[1] - o[1]) / length],
    [(q[0] - p[0]) / width, (q[1] - p[1]) / width],
  ];
  return {
    length,
    width,
    at: (along: number, across: number): Vec2 => [
      o[0] + along * u[0] + across * v[0],
      o[1] + along * u[1] + across * v[1],
    ],
  };
}

/** A profile across a rectangle, drawn out along it; or along it, drawn out across. */
function profiled(
  id: string,
  points: readonly Vec2[],
  turned: boolean,
  z: number,
  profile: readonly Vec2[],
  along: boolean,
  arc?: readonly [number, number],
): Solid {
  const { length, width, at } = frameOf(points, turned);
  const place = ([s, up]: Vec2, out: 0 | 1): Vec3 => {
    // Across the profile runs against the way it is drawn out where that is along, so that it turns left seen from
    // there.
    const [x, y] = along ? at(s, (1 - out) * width) : at(out * length, s);
    return [x, y, z + up];
  };
  return extrude(id, profile, place, arc);
}

/** The profile of a barrel roof that rises by more than half its span: half an ellipse in straight pieces. */
function ellipseOver(width: number, height: number, rise: number): readonly Vec2[] {
  const arc = Array.from({ length: ARC + 1 }, (_, i): Vec2 => [
    width / 2 + (width / 2) * Math.cos((Math.PI * i) / ARC),
    height + rise * Math.sin((Math.PI * i) / ARC),
  ]);
  return [[0, 0], [width, 0], ...arc];
}

/**
 * A building under a barrel roof that is an arc of a circle, exactly; null where it rises by more than half its span.
 */
function barrel(id: string, points: readonly Vec2[], turned: boolean, [z, height]: Vec2, rise: number): Solid | null {
  const { length, width, at } = frameOf(points, turned);
  if (rise > width / 2 + 1e-9) return null;
  const [o, p, q] = [at(0, 0), at(0, width), at(length, 0)];
  const way = ([x, y]: Vec2, long: number): Vec3 => [(x - o[0]) / long, (y - o[1]) / long, 0];
  const frame = { origin: [...o, z] as const, x: way(p, width), y: [0, 0, 1] as const };
  // What runs along the ridge lies square to both; which way, depends on how the corners go round.
  const [s] = [frame.x[1] * way(q, length)[0] - frame.x[0] * way(q, length)[1]];
  return roundSolid(id, {
    kind: "extruded",
    frame,
    outline: [
      { at: [0, 0] },
      { at: [width, 0] },
      { at: [width, height], bulge: (2 * rise) / width },
      { at: [0, height] },
    ],
    from: s > 0 ? 0 : -length,
    to: s > 0 ? length : 0,
  });
}

/** The topmost part of a building with its roof. */
export function topOf(building: Building, points: readonly Vec2[], z: number, height: number): Solid {
  const { id, roof, round } = building;
  const { kind, turned = false } = roof;
  if ((kind === "hip" || kind === "gable") && bySkeleton(building, points)) {
    const yards = yardsOf(building);
    const slopes = skeletonRoof(kind, points, yards, roof.rise ?? RISE);
    if (slopes) return underSkeletonRoof(id, points, yards, [z, z + height], slopes);
  }
  const rise = roof.rise ?? RISE;
  const eaves = z + height;
  const middle = centroid(points);
  const walls = [ring(points, z), ring(points, eaves)];
  const { length, width } = points.length === 4 ? frameOf(points, turned) : { length: 0, width: 0 };
  switch (kind) {
    case "shed":
      return profiled(
        id,
        points,
        turned,
        z,
        [
          [0, 0],
          [width, 0],
          [width, height],
          [0, height + rise],
        ],
        false,
      );
    case "gable":
      return profiled(
        id,
        points,
        turned,
        z,
        [
          [0, 0],
          [width, 0],
          [width, height],
          [width / 2, height + rise],
          [0, height],
        ],
        false,
      );
    case "barrel": {
      const round = barrel(id, points, turned, [z, height], rise);
      return round ?? profiled(id, points, turned, z, ellipseOver(width, height, rise), false, [2, 2 + ARC]);
    }
    case "saw-tooth": {
      const teeth = Math.max(1, Math.round(length / TOOTH));
      const tooth = length / teeth;
      // From the far end back: up the glass of each tooth, and down its slope.
      const edge = Array.from({ length: teeth }, (_, i): Vec2[] => [
        [length - i * tooth, height],
        [length - i * tooth, height + rise],
      ]).flat();
      return profiled(id, points, turned, z, [[0, 0], [length, 0], ...edge, [0, height]], true);
    }
    case "hip":
      return hip(id, points, turned, z, height, rise);
    case "pyramid":
    case "spire":
    case "cone":
      return loft(id, walls, [...middle, eaves + rise], round ? "separate" : undefined);
    case "dome": {
      const rings = Array.from({ length: DOME - 1 }, (_, i) => ((i + 1) * Math.PI) / 2 / DOME).map((t) =>
        ring(scaled(points, middle, Math.cos(t)), eaves + rise * Math.sin(t)),
      );
      return loft(id, [...walls, ...rings], [...middle, eaves + rise], round ? "all" : "sides");
    }
    case "mansard":
      return mansard(building, points, walls, rise);
    case "flat":
      return roof.rise === undefined
        ? loft(id, walls, null, round ? "all" : undefined)
        : parapet(building, points, z, eaves, roof.rise);
  }
}

/** A mansard: steep sides that lean in, under a flat top. @param walls the rings of their foot and their eaves */
function mansard({ id, round }: Building, points: readonly Vec2[], walls: readonly Ring[], rise: number): Solid {
  const top = ring(inset(points, MANSARD * rise) ?? points, walls[1].z + rise);
  return loft(id, [...walls, top], null, round ? "rings" : undefined);
}

/** A hip roof: slopes of one pitch on all four sides, meeting in a ridge. */
function hip(id: string, points: readonly Vec2[], turned: boolean, z: number, height: number, rise: number): Solid {
  const { length, width, at } = frameOf(points, turned);
  const run = Math.min(width, length) / 2;
  if (length - 2 * run < 1e-3)
    return loft(id, [ring(points, z), ring(points, z + height)], [...centroid(points), z + height + rise]);
  const low = [at(0, 0), at(length, 0), at(length, width), at(0, width)];
  const up = (p: Vec2, at3: number): Vec3 => [...p, at3];
  const vertices = [
    ...low.map((p) => up(p, z)),
    ...low.map((p) => up(p, z + height)),
    up(at(run, width / 2), z + height + rise),
    up(at(length - run, width / 2), z + height + rise),
  ];
  const walls = [0, 1, 2, 3].map((i) => [i, (i + 1) % 4, 4 + ((i + 1) % 4), 4 + i]);
  return solidOf(id, vertices, [[3, 2, 1, 0], ...walls, [4, 5, 9, 8], [5, 6, 9], [6, 7, 8, 9], [7, 4, 8]]);
}

/** A flat roof behind a parapet. */
function parapet({ id, round }: Building, points: readonly Vec2[], z: number, roof: number, rise: number): Solid {
  const within = inset(points, PARAPET) ?? points;
  const n = points.length;
  const vertices = [ring(points, z), ring(points, roof + rise), ring(within, roof + rise), ring(within, roof)].flatMap(
    ({ points: at, z: height }) => at.map(([x, y]): Vec3 => [x, y, height]),
  );
  const band = (from: number, to: number) =>
    points.map((_, i) => [from * n + i, from * n + ((i + 1) % n), to * n + ((i + 1) % n), to * n + i]);
  // The rim's joins at the corners lie in one plane: no edges.
  const loops = [
    points.map((_, i) => n - 1 - i),
    points.map((_, i) => 3 * n + i),
    ...band(0, 1),
    ...band(1, 2),
    ...band(2, 3),
  ];
  const joins = [round ? 1 : undefined, 0, round ? 2 : undefined].flatMap((group) => points.map(() => group));
  return solidOf(id, vertices, loops, [undefined, undefined, ...joins]);
}

/** The roof of a building whose eaves reach out, which is a part of its own. */
export function wideRoof({ id, roof }: Building, top: readonly Vec2[], eaves: number): Solid[] {
  const { kind, overhang, rise = RISE, turned = false } = roof;
  if (overhang === undefined || (kind !== "hip" && kind !== "gable")) return [];
  const solid =
    kind === "gable" && isRectangle(top)
      ? wideGable(id, top, turned, eaves, rise, overhang)
      : overhangingRoof(id, kind, top, eaves, { rise, overhang });
  return solid ? [asPart(solid, "roof")] : [];
}

/** A gable roof over a rectangle, its eaves reaching out on both sides of the ridge. */
function wideGable(
  id: string,
  top: readonly Vec2[],
  turned: boolean,
  eaves: number,
  rise: number,
  overhang: number,
): Solid {
  const { width } = frameOf(top, turned);
  const profile: Vec2[] = [
    [-overhang, 0],
    [width + overhang, 0],
    [width / 2, rise],
  ];
  return profiled(id, top, turned, eaves, profile, false);
}
