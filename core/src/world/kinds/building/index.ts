import { headingAlong, type Vec2 } from "../../../geometry";
import { metres, metresBetween, sentence } from "../../../units";
import { boxOutline, heightTags, type Block } from "../block";
import { elementKind, onFootprint, type Feature, type LevelCircle } from "../kind";
import { measureIn } from "../tags";
import { cornersOf, yardsOf } from "../../outline";
import { isWithin, sideOf } from "../../polygon";
import { tiersUp, validateBuilding } from "./build";
import { groundOf } from "./curvedWalls";
import { nearestSide } from "./foot";
import { odditiesOf } from "./oddities";
import { ROOFS } from "./roofs";
import { roomsOf } from "./rooms";
import { circleThrough } from "./roundTiers";
import { roofIn, roofTags, unreadable } from "./roofTags";
import { BuildingSchema, type Building } from "./schema";
import { fittedTiers } from "./wallOpenings";
export * from "./alongWall";
export * from "./build";
export { buildBuilding } from "./masses";
export { nearestSide, wayOf, type Way } from "./foot";
export {
  BAY_NAMES,
  baysOf,
  CLEAR_UNDER,
  DEFAULT_DOOR,
  DEFAULT_WINDOWS,
  openingsOfFront,
  doorOf,
  windowOf,
  type Bay,
  type Opening,
} from "./front";
export { dressOfWall } from "./dress";
export { PATTERNS, type Dress, type PatternId } from "./dressSchema";
export { floorsOf, storeysOf, withStorey, type Floor } from "./floors";
export { HEADS, OPENS, type Opens, type Front, type Head, type OwnBay } from "./frontSchema";
export { DEFAULT_ROOMS, withRoom } from "./drawnRooms";
export { elevationOf, frontOn, usualFront, wallLengths, withFront, withoutFront, type FrontElevation } from "./fronted";
export { outlineOfOpening } from "./heads";
export { leafWays, linesOfOpening, turns } from "./openingLines";
export * from "./openings";
export * from "./roofs";
export { RISE as ROOF_RISE } from "./roofShapes";
export type { Building } from "./schema";

/** Storeys are from 2.7 m (flats) to 4.5 m (shops) high, halls 5 m and up (common practice), m. */
const STOREY_HEIGHT = [2.4, 6] as const;
/** A door leaf is 2.0 to 2.1 m high (common practice), a gate more, m. */
const DOOR_HEIGHT = [1.85, 4.5] as const;
/** Metres for a storey, and a height where a file says none (common practice). */
const STOREY = 3;
const HEIGHT = 9;

/** From what height up to what height a building reaches: to its eaves, m. */
const spanOf = ({ base, height, setbacks = [] }: Building): readonly [number, number] => [
  base,
  setbacks.reduce((sum, tier) => sum + tier.height, height),
];

/** Heights by the usual keys (OpenStreetMap's Simple 3D Buildings (from memory)): foot, eaves and storeys. */
function heightsIn(properties: Feature["properties"]): Pick<Building, "base" | "height" | "storeys"> {
  const first = (...keys: string[]) =>
    keys.map((key) => measureIn(properties[key])).find((size) => size !== null) ?? null;
  const levels = first("building:levels", "levels", "num_floors");
  const base = first("min_height", "building:min_height") ?? (first("building:min_level", "min_level") ?? 0) * STOREY;
  const roof = roofIn(properties).rise ?? 0;
  const whole = first("height", "building:height");
  // A height is told with its roof, storeys without.
  const top = whole === null ? (levels === null ? HEIGHT + base : levels * STOREY) : whole - roof;
  return {
    base,
    height: Math.max(0.1, top - base),
    ...(levels === null ? {} : { storeys: Math.min(300, Math.max(1, Math.round(levels))) }),
  };
}

/** The corners that a building can be changed by: those of its footprint, then those of its courtyards. */
const placesIn = ({ footprint, courtyards = [] }: Building) =>
  [footprint, ...courtyards].flatMap((ring) => onFootprint.places({ footprint: ring }));

type Ring = Building["footprint"];

/** A building with the ring changed that one of those corners is on; null where it cannot be. */
function ringChanged(
  element: Building,
  place: number,
  change: (ring: { footprint: Ring }, own: number) => { footprint: Ring } | null,
): Building | null {
  const { footprint, courtyards = [] } = element;
  let first = 0;
  const rings = [footprint, ...courtyards].map((ring) => {
    const own = place - first;
    first += ring.length;
    return own >= 0 && own < ring.length ? change({ footprint: ring }, own) : { footprint: ring };
  });
  const [outer, ...yards] = rings.map((ring) => ring?.footprint);
  if (!outer || yards.includes(undefined)) return null;
  return {
    ...element,
    footprint: outer,
    ...(element.courtyards ? { courtyards: yards.flatMap((yard) => (yard ? [yard] : [])) } : {}),
  };
}

/** A building with one of those corners put elsewhere. */
const placedIn = (element: Building, place: number, at: Vec2): Building =>
  ringChanged(element, place, (ring, own) => onFootprint.placed(ring, own, at)) ?? element;

/** A building, from its measures. */
export const newBuilding = (of: Omit<Building, "kind">): Building => ({ ...of, kind: "building" });

export const isBuilding = (element: { readonly kind: string }): element is Building => element.kind === "building";

/** The building that a block is, to be given a roof or another footprint. */
export function asBuilding(element: Block | Building): Building {
  if (isBuilding(element)) return element;
  const { id, name, height, origin, hidden, locked, group, kit } = element;
  return {
    id,
    kind: "building",
    name,
    footprint: boxOutline(element).map(([x, y]) => ({ x, y })),
    base: origin.z,
    height,
    roof: { kind: "flat" },
    ...(hidden && { hidden }),
    ...(locked && { locked }),
    ...(group !== undefined && { group }),
    ...(kit && { kit }),
  };
}

const roofName = ({ roof: { kind } }: Building): string => ROOFS[kind].name.toLowerCase();

/** Whether a place so high over a building's foot, m, is in one of its rooms. */
function isInRoom(building: Building, at: Vec2, over: number): boolean {
  if (!building.rooms) return false;
  const [tier] = fittedTiers(building, tiersUp(building).slice(0, 1));
  const z = building.base + over;
  return (tier ? roomsOf(building.rooms, tier) : []).some(
    ({ ring, floor, ceiling }) => z > floor && z < ceiling && isWithin(at, ring),
  );
}

/** The heading that the side with its first front, or its first door, faces along. */
function facesAlong(building: Building): number | undefined {
  const { fronts, doors } = building;
  const corners = cornersOf(building);
  const side = fronts?.[0]?.side ?? (doors?.[0] && nearestSide(corners, [doors[0].x, doors[0].y]).side);
  if (side === undefined || side >= corners.length) return undefined;
  const [ux, uy] = sideOf(corners, side).u;
  return headingAlong([uy, -ux]);
}

/** A building for itself, of no row. */
function alone({ row: _row, kept: _kept, ...building }: Building): Building {
  return building;
}

/** The foot and the eaves of a drum. */
function circlesOf(building: Building): readonly LevelCircle[] {
  const circle = building.round ? circleThrough(cornersOf(building)) : null;
  if (!circle) return [];
  const { base, height } = building;
  const { centre, radius } = circle;
  return [base, base + height].map((z) => ({ centre: [...centre, z], radius }));
}

export const building = elementKind<Building>(BuildingSchema, {
  kind: "building",
  word: "Building",
  stands: true,
  validate: validateBuilding,
  outline: groundOf,
  span: spanOf,
  ...onFootprint,
  // A drum's many corners are none that one would put elsewhere.
  isRound: ({ round }) => round === true,
  circles: circlesOf,
  places: (element) => (element.round ? [] : placesIn(element)),
  placed: placedIn,
  withPlace: (element, behind) => ringChanged(element, behind, onFootprint.withPlace) ?? element,
  withoutPlace: (element, place) => ringChanged(element, place, onFootprint.withoutPlace),
  holes: yardsOf,
  geoJson: {
    write: (element) => ({
      shape: "area",
      properties: {
        ...heightTags(element.base, spanOf(element)[1] + (Number(roofTags(element.roof)["roof:height"]) || 0)),
        ...(element.storeys ? { "building:levels": element.storeys } : {}),
        ...roofTags(element.roof),
      },
    }),
    read: {
      shape: "area",
      holes: true,
      take: ({ places, holes, properties }) => ({
        footprint: [...places],
        ...(holes.length ? { courtyards: holes.map((hole) => [...hole]) } : {}),
        ...heightsIn(properties),
        roof: roofIn(properties),
      }),
      unreadable,
      simpler: (element) =>
        element.roof.kind === "flat"
          ? null
          : {
              element: { ...element, roof: { kind: "flat" } },
              lost: `takes no ${roofName(element)} roof on its outline; a flat one was taken.`,
            },
    },
  },
  figures: ({ name, height, storeys, doors = [] }) => [
    ...(storeys ? [height / storeys] : []).map((value) => ({
      value,
      limits: STOREY_HEIGHT,
      told: sentence`A storey of ${name} is ${metres(value)} high.`,
      usual: sentence`Flats have ${metresBetween(2.7, 3.2, 1)}, shops ${metresBetween(3.6, 4.5, 1)}, halls
        ${metres(5, 0)} and more`,
    })),
    ...doors.map(({ height: value }) => ({
      value,
      limits: DOOR_HEIGHT,
      told: sentence`A door of ${name} is ${metres(value)} high.`,
      usual: sentence`Doors have ${metresBetween(2, 2.1, 1)}`,
    })),
  ],
  oddities: odditiesOf,
  row: ({ row }) => row,
  faces: facesAlong,
  alone,
  openings: (element) =>
    fittedTiers(element, tiersUp(element)).flatMap(({ z, walls }) =>
      walls.flatMap(({ wall: { p, u }, openings }) =>
        openings.map(({ kind, from, to, low, high }) => ({
          foot: [...p, z] as const,
          along: u,
          from,
          to,
          low,
          high,
          kind,
        })),
      ),
    ),
  letsIn: (element, at, over) =>
    (element.passages ?? []).some(({ height }) => over <= height) || isInRoom(element, at, over),
});
