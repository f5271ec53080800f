import { degrees, wrap, type Vec2, type Vec3 } from "../../../geometry";
import { footed, riseUnder } from "./foot";
import { areClear, centroid, crossingOf, inset, isConvex, isRectangle, isWithin, longestSide } from "../../polygon";
import { cornersOf, yardsOf } from "../../outline";
import { ROOFS } from "./roofs";
import { metres, sentence } from "../../../units";
import type { ElementError } from "../kind";
import type { Building } from "./schema";
import { extrude, loft, prism, type Ring } from "../../shapes";
import { asPart, solidOf, type Solid } from "../../solid";

/** What a roof adds where nothing is said, m. */
const RISE = 2.5;
/** The least thickness of what stands between courtyards, and between them and the walls, m. */
const CLEAR = 0.01;
/** Thickness of a parapet, m. */
const PARAPET = 0.3;
/** Teeth of a saw-tooth roof stand about so far apart, m; arcs and domes are drawn in so many pieces. */
const TOOTH = 5;
const ARC = 16;
const DOME = 8;
/** So much wall stays over a passage and over the ground, m. */
const LOW = 0.2;
/** A mansard's steep part leans in by this part of its rise. */
const MANSARD = 0.45;

/** Why a building cannot stand as it is said to, and the field; null where it can. */
export function validateBuilding(building: Building): ElementError | null {
  const points = cornersOf(building);
  if (points.length < 3) return { field: "footprint", message: "has no area: its corners lie on one line." };
  const crossed = crossingOf(points);
  if (crossed)
    return {
      field: "footprint",
      message: `crosses itself: its sides ${crossed[0] + 1} and ${crossed[1] + 1} cut each other.`,
    };
  const tops = tiersOf(points, building);
  if (typeof tops === "number")
    return { field: `setbacks/${tops}/inset`, message: "leaves nothing to stand on: set it back less." };
  const top = tops[tops.length - 1];
  const { kind } = building.roof;
  const inYards = validateYards(tops, building);
  if (inYards) return inYards;
  const { needs, name } = ROOFS[kind];
  if (needs === "rectangle" && !isRectangle(top))
    return {
      field: "roof/kind",
      message: `cannot be "${kind}" here: a ${name.toLowerCase()} roof needs a footprint with four square corners.`,
    };
  if (needs === "convex" && !isConvex(top))
    return {
      field: "roof/kind",
      message: `cannot be "${kind}" here: a ${name.toLowerCase()} needs a footprint whose corners all bend outwards.`,
    };
  if (kind === "flat" && building.roof.rise !== undefined && !inset(top, PARAPET))
    return { field: "roof/rise", message: "does not fit: the roof is too narrow for a parapet." };
  const under = building.slope ? riseUnder(points, building.slope) : 0;
  if (under > building.height - LOW)
    return { field: "slope/grade", message: sentence`rises ${metres(under)} under it, nearly as high as its walls.` };
  if (building.slope?.steps && !isConvex(points))
    return { field: "slope/steps", message: "need a footprint whose corners all bend outwards." };
  if (building.slope?.steps && building.passages?.length)
    return { field: "slope/steps", message: "do not go with a passage: let the foot follow the slope." };
  for (const [i, { width, height, arch }] of (building.passages ?? []).entries()) {
    if (height > building.height - LOW) return { field: `passages/${i}/height`, message: "reaches the eaves." };
    if (height - (arch ? width / 2 : 0) < under + LOW)
      return {
        field: `passages/${i}/height`,
        message: arch ? "leaves no room under its arch." : "is lower than the ground under it.",
      };
  }
  if (kind === "mansard" && !inset(top, MANSARD * (building.roof.rise ?? RISE)))
    return { field: "roof/rise", message: "does not fit: its steep sides would meet below the top." };
  const foot = building.passages?.length
    ? footed(
        prism(building.id, points, yardsOf(building), [building.base, building.base + building.height]),
        points,
        building,
      )
    : null;
  return foot && "passage" in foot ? { field: `passages/${foot.passage}`, message: foot.message } : null;
}

/** Why a building cannot stand around its courtyards, and the field; null where it can, or has none. */
function validateYards(tiers: readonly (readonly Vec2[])[], building: Building): ElementError | null {
  const yards = yardsOf(building);
  if (yards.length === 0) return null;
  const { roof, slope } = building;
  for (const [i, yard] of yards.entries())
    if (yard.length < 3 || crossingOf(yard))
      return { field: `courtyards/${i}`, message: "must be an area whose sides do not cross each other." };
  const inside = (yard: readonly Vec2[]) =>
    tiers.every((tier) => isWithin(yard[0], tier) && areClear(yard, tier, CLEAR)) &&
    yards.every((other) => other === yard || (!isWithin(yard[0], other) && areClear(yard, other, CLEAR)));
  if (!yards.every(inside))
    return { field: "courtyards", message: "must lie wholly inside the walls, clear of them and of each other." };
  if (roof.kind !== "flat" || roof.rise !== undefined)
    return { field: "roof/kind", message: "must be flat and without a parapet where there is a courtyard." };
  if (building.round) return { field: "courtyards", message: "do not go with a round wall." };
  if (slope?.steps)
    return { field: "slope/steps", message: "do not go with a courtyard: let the foot follow the slope." };
  return null;
}

/** Footprints of all tiers from the ground up, or the number of the set-back that leaves nothing. */
function tiersOf(points: readonly Vec2[], { setbacks = [] }: Building): readonly (readonly Vec2[])[] | number {
  const tiers = [points];
  for (const [i, { inset: by }] of setbacks.entries()) {
    const next = inset(tiers[i], by);
    if (!next) return i;
    tiers.push(next);
  }
  return tiers;
}

const ring = (points: readonly Vec2[], z: number): Ring => ({ points, z });
const scaled = (points: readonly Vec2[], [cx, cy]: Vec2, k: number): Vec2[] =>
  points.map(([x, y]) => [cx + k * (x - cx), cy + k * (y - cy)]);

/**
 * A rectangle's own measure: a corner, the ways along and across it, and its size; along its longer side unless
 * turned.
 */
function frameOf(points: readonly Vec2[], turned: boolean) {
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

/** The topmost part of a building with its roof. */
function topOf({ id, roof, round }: Building, points: readonly Vec2[], z: number, height: number): Solid {
  const { kind, turned = false } = roof;
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
      const arc = Array.from({ length: ARC + 1 }, (_, i): Vec2 => [
        width / 2 + (width / 2) * Math.cos((Math.PI * i) / ARC),
        height + rise * Math.sin((Math.PI * i) / ARC),
      ]);
      return profiled(id, points, turned, z, [[0, 0], [width, 0], ...arc], false, [2, 2 + ARC]);
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
      return loft(id, [...walls, ring(inset(points, MANSARD * rise) ?? points, eaves + rise)], null);
    case "flat":
      return roof.rise === undefined
        ? loft(id, walls, null, round ? "all" : undefined)
        : parapet(id, points, z, eaves, roof.rise);
  }
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
function parapet(id: string, points: readonly Vec2[], z: number, roof: number, rise: number): Solid {
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
  return solidOf(id, vertices, loops, [undefined, undefined, ...points.map(() => undefined), ...points.map(() => 0)]);
}

/**
 * The parts of a building from the ground up: their footprint, and from where to where they reach; none where it
 * cannot stand.
 */
export function tiersUp(
  building: Building,
): readonly { readonly points: readonly Vec2[]; readonly z: number; readonly height: number }[] {
  const tiers = validateBuilding(building) ? 0 : tiersOf(cornersOf(building), building);
  if (typeof tiers === "number") return [];
  const heights = [building.height, ...(building.setbacks ?? []).map(({ height }) => height)];
  return tiers.map((points, i) => ({
    points,
    z: heights.slice(0, i).reduce((sum, height) => sum + height, building.base),
    height: heights[i],
  }));
}

/** What the solid of a tier is called, from the ground up. */
export const tierPart = (tier: number): string => `tier ${tier}`;

/** The solids of a building: its parts from the ground up, and what stands on its roof; none where it cannot stand. */
export function buildBuilding(building: Building): Solid[] {
  const tiers = tiersUp(building);
  if (tiers.length === 0) return [];
  const yards = yardsOf(building);
  const masses = tiers.map(({ points, z, height }, i) => {
    const solid = yards.length
      ? prism(building.id, points, yards, [z, z + height])
      : i === tiers.length - 1
        ? topOf(building, points, z, height)
        : loft(building.id, [ring(points, z), ring(points, z + height)], null, building.round ? "all" : undefined);
    const foot = i > 0 ? solid : footed(solid, points, building);
    return asPart("passage" in foot ? solid : foot, tierPart(i));
  });
  const { z, height } = tiers[tiers.length - 1];
  return [...masses, ...onRoof(building, z + height)];
}

/** Chimneys and boxes along a building's longest side, from a metre under the eaves up through the roof. */
function onRoof({ id, footprint, chimneys = [], boxes = [] }: Building, eaves: number): Solid[] {
  const [ux, uy] = longestSide(footprint.map(({ x, y }) => [x, y] as const));
  return [...chimneys.map(({ side, ...at }) => ({ ...at, length: side, width: side })), ...boxes].map(
    ({ x, y, length, width, rise }) => {
      const [l, w] = [length / 2, width / 2];
      const points = (
        [
          [-l, -w],
          [l, -w],
          [l, w],
          [-l, w],
        ] as const
      ).map(([a, b]): Vec2 => [x + a * ux - b * uy, y + a * uy + b * ux]);
      return loft(id, [ring(points, eaves - 1), ring(points, eaves + rise)], null);
    },
  );
}

/**
 * Which way a building's roof slopes, as a heading, and how steeply, degrees; null for a roof without one slope of
 * its own.
 */
export function slopeOf(building: Building): { readonly heading: number; readonly rise: number } | null {
  const tiers = validateBuilding(building) ? 0 : tiersOf(cornersOf(building), building);
  if (typeof tiers === "number") return null;
  const { kind, rise = RISE, turned = false } = building.roof;
  const top = tiers[tiers.length - 1];
  if (top.length !== 4 || !["gable", "hip", "shed", "saw-tooth"].includes(kind)) return null;
  const { length, width, at } = frameOf(top, turned);
  const run =
    kind === "shed"
      ? width
      : kind === "saw-tooth"
        ? length / Math.max(1, Math.round(length / TOOTH))
        : kind === "hip"
          ? Math.min(width, length) / 2
          : width / 2;
  const [from, to] = kind === "saw-tooth" ? [at(0, 0), at(1, 0)] : [at(0, 0), at(0, 1)];
  return {
    heading: wrap(degrees(Math.atan2(to[0] - from[0], to[1] - from[1])), -180, 360),
    rise: degrees(Math.atan2(rise, run)),
  };
}
