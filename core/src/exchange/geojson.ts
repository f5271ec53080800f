import { around, type Vec2 } from "../geometry";
import { BadInput } from "../problem";
import type { Scene } from "../scene";
import { sentence, type Told } from "../units";
import {
  centroid,
  holesOf,
  isWithin,
  KINDS,
  kindOf,
  outlineOf,
  placesOf,
  tidy,
  validateElement,
  type Element,
  type Row,
} from "../world";
import { toEarth, toWorld, type Ground } from "./ground";
import { OWN, ownElement, ownMembers, ownMembersOf } from "./own";

/** What came of a file of real ground. */
export interface BroughtIn {
  readonly elements: readonly Element[];
  /** The rules of rows that elements were laid in by rule, where the file was written here. */
  readonly rows: readonly Row[];
  readonly ground: Ground;
  /** What was left, or taken otherwise than it stands in the file: a sentence each, with the feature's number. */
  readonly notes: readonly Told[];
}

/** Farther than this from the origin, a degree no longer stands for the same metres, m. */
const FAR = 50_000;
/** No more features than these are looked at. */
export const MAX_FEATURES = 20_000;
/** No more corners than these are taken of one footprint. */
const MAX_CORNERS = 12_000;
/** Of a line, the bends after these are left out. */
const MAX_BENDS = 2000;
/** Sentences that are kept; of more of them, the number is told. */
const NOTES = 50;

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** A place to the tenth of a millimetre: no more of it is true, and it is shorter to keep. */
const tenthOfMm = ([x, y]: Vec2) => ({ x: Number(x.toFixed(4)), y: Number(y.toFixed(4)) });

/** What a feature calls itself. */
function nameOf(properties: Record<string, unknown>): string | undefined {
  const name = [properties.name, properties["addr:housename"], properties.id].find(
    (word) => typeof word === "string" && word.trim() !== "",
  );
  return typeof name === "string" ? name.slice(0, 200) : undefined;
}

type Position = readonly [number, number];

/** Whether positions have a third number, a height. */
const isHigh = (value: unknown): boolean =>
  Array.isArray(value) && (typeof value[0] === "number" ? value.length > 2 : value.some(isHigh));

/** Positions in a row, so many at least, or why they are none. */
function positionsOf(value: unknown, least: 2 | 4): readonly Position[] | string {
  if (!Array.isArray(value) || value.length < least)
    return least === 4 ? "has a ring of fewer than four positions." : "has a line of fewer than two positions.";
  const ring: Position[] = [];
  for (const at of value as unknown[]) {
    if (
      !Array.isArray(at) ||
      typeof at[0] !== "number" ||
      typeof at[1] !== "number" ||
      !Number.isFinite(at[0]) ||
      !Number.isFinite(at[1])
    )
      return "has a position that is no pair of numbers.";
    const [lon, lat] = at as [number, number];
    if (Math.abs(lon) > 180 || Math.abs(lat) > 90) {
      return Math.abs(lat) <= 180 && Math.abs(lon) <= 90 && Math.abs(lat) > 90
        ? "has latitude before longitude; RFC 7946 puts longitude first."
        : "is not in degrees: save it in WGS 84, as RFC 7946 wants.";
    }
    ring.push([lon, lat]);
  }
  return ring;
}

/** The polygons of a feature's geometry, each an outer ring and its holes, or why it has none. */
function polygonsOf(geometry: unknown): readonly (readonly (readonly Position[])[])[] | string {
  if (!isRecord(geometry)) return "has no geometry.";
  const polygons =
    geometry.type === "Polygon"
      ? [geometry.coordinates]
      : geometry.type === "MultiPolygon"
        ? geometry.coordinates
        : null;
  if (!Array.isArray(polygons))
    return `is a ${typeof geometry.type === "string" ? geometry.type : "thing without a type"}, not a polygon.`;
  const found: (readonly Position[])[][] = [];
  for (const polygon of polygons as unknown[]) {
    if (!Array.isArray(polygon) || polygon.length === 0) return "is a polygon without a ring.";
    const rings: (readonly Position[])[] = [];
    for (const one of polygon as unknown[]) {
      const ring = positionsOf(one, 4);
      if (typeof ring === "string") return ring;
      rings.push(ring);
    }
    found.push(rings);
  }
  return found;
}

type Properties = Readonly<Record<string, unknown>>;

/** The kind that a feature is read as: the one that knows it for its own, or else the one that takes any. */
function kindRead(shape: "line" | "area", properties: Properties) {
  const readers = KINDS.filter(({ geoJson: { read } }) => read?.shape === shape);
  return (
    readers.find(({ geoJson: { read } }) => read?.is?.(properties)) ??
    readers.find(({ geoJson: { read } }) => !read?.is)!
  );
}

/** Whether some kind knows a feature for its own. */
const isKnown = (shape: "line" | "area", properties: Properties): boolean =>
  KINDS.some(({ geoJson: { read } }) => read?.shape === shape && read.is?.(properties));

/** Keys of OpenStreetMap whose areas are ground or water, and not built, unless they say so. */
const GROUND_KEYS = ["landuse", "leisure", "natural", "water"] as const;
const BUILT_KEYS = ["building", "building:part", "height", "building:levels", "man_made", "place"];

/** What an area is that is not built; null for one that is, or may be. */
const groundIn = (properties: Properties): string | null => {
  const key = GROUND_KEYS.find((one) => typeof properties[one] === "string");
  return key && !BUILT_KEYS.some((one) => one in properties) ? `${key}=${String(properties[key])}` : null;
};

/** The features of a document. @throws BadInput for what is no GeoJSON, or in another coordinate system */
function featuresOf(document: unknown): readonly unknown[] {
  if (!isRecord(document)) throw new BadInput([{ path: "", message: "is no GeoJSON: it holds no object." }]);
  const { type, crs } = document;
  const system = isRecord(crs) && isRecord(crs.properties) ? crs.properties.name : undefined;
  if (typeof system === "string" && !/CRS84|EPSG:+4326/.test(system))
    throw new BadInput([{ path: "crs", message: `is ${system}; save the file in WGS 84 degrees, as RFC 7946 wants.` }]);
  if (type === "FeatureCollection" && Array.isArray(document.features)) return document.features;
  if (type === "Feature") return [document];
  if (type === "Polygon" || type === "MultiPolygon") return [{ type: "Feature", geometry: document, properties: {} }];
  throw new BadInput([{ path: "type", message: "must be FeatureCollection, Feature, Polygon or MultiPolygon." }]);
}

/** Takes notes of what was left out, or taken otherwise than it stands in the file. */
type Note = (feature: number, message: Told) => void;

/** A feature's own outlines or path, in degrees, as they stand in the file. */
interface Taken {
  readonly at: number;
  readonly shape: "line" | "area";
  /** One path, or polygons, each an outer ring and its holes. */
  readonly parts: readonly (readonly (readonly Position[])[])[];
  readonly properties: Properties;
}

/** What a feature holds; null for one that cannot be used, which is told of. */
function taken(feature: unknown, at: number, note: Note): Taken | null {
  const { geometry, properties } = isRecord(feature) ? feature : { geometry: null, properties: null };
  const isLine = isRecord(geometry) && geometry.type === "LineString";
  if (isRecord(geometry) && isHigh(geometry.coordinates))
    note(at, "has heights in its positions; they were left out, since its foot and eaves come from its properties.");
  const found = isLine
    ? positionsOf(geometry.coordinates, 2)
    : isRecord(feature)
      ? polygonsOf(geometry)
      : "is no feature.";
  if (typeof found === "string") {
    note(at, found);
    return null;
  }
  const ground = isLine || !isRecord(properties) || isKnown("area", properties) ? null : groundIn(properties);
  if (ground) {
    note(at, sentence`is ${ground}, which is no building; it was left out.`);
    return null;
  }
  return {
    at,
    shape: isLine ? "line" : "area",
    parts: (isLine ? [[found]] : found) as Taken["parts"],
    properties: isRecord(properties) ? properties : {},
  };
}

/** The ground about the middle of all that is in a file, north up. */
function groundAround(features: readonly Taken[]): Ground {
  const places = features.flatMap(({ parts }) => parts.flat(2));
  if (!places.length) return { longitude: 0, latitude: 0, north: 0 };
  const box = around(places);
  return { longitude: box.x + box.width / 2, latitude: box.y + box.height / 2, north: 0 };
}

/**
 * An element of the kind that a feature is of, as it can stand; what cannot is told of and left out.
 * @param rings its outline and its holes, or its path, m
 */
function standing(
  { at, shape, properties }: Taken,
  id: string,
  [places, ...holes]: readonly (readonly Vec2[])[],
  note: Note,
): Element | null {
  if (places.some(([x, y]) => Math.hypot(x, y) > FAR)) {
    note(at, `lies more than ${FAR / 1000} km from the origin; it was left out.`);
    return null;
  }
  const { kind, word, geoJson } = kindRead(shape, properties);
  const of = (within: readonly (readonly Vec2[])[]) =>
    ({
      ...geoJson.read!.take({
        places: places.map(tenthOfMm),
        holes: within.map((hole) => hole.map(tenthOfMm)),
        properties,
      }),
      id,
      kind,
      name: nameOf(properties) ?? `${word} ${at + 1}`,
    }) as Element;
  const takesHoles = geoJson.read!.holes === true;
  const whole = holes.length && takesHoles ? of(holes) : null;
  if (whole && !validateElement(whole)) return whole;
  if (holes.length)
    note(at, `has holes${takesHoles ? " that it cannot stand around" : ""}; its outline was taken without them.`);
  const element = of([]);
  const invalid = validateElement(element);
  if (!invalid) return element;
  const simpler = kindOf(element).geoJson.read?.simpler?.(element);
  if (simpler && !validateElement(simpler.element)) {
    note(at, simpler.lost);
    return simpler.element;
  }
  note(at, invalid.message);
  return null;
}

/** Whether a feature is a part of a building that has a form of its own. */
const isPart = ({ properties }: Taken): boolean =>
  !["no", undefined, null].includes(properties["building:part"] as string);

/** What is left of laid out areas without the buildings for which parts of them stand, which are told of. */
function withoutWholes<T extends { readonly feature: Taken; readonly rings: readonly (readonly Vec2[])[] }>(
  areas: readonly T[],
  note: Note,
): readonly T[] {
  const parts = areas.filter(({ feature }) => isPart(feature)).map(({ rings: [outer] }) => centroid(outer));
  return areas.filter(({ feature, rings: [outer] }) => {
    const stoodFor = !isPart(feature) && "building" in feature.properties && parts.some((at) => isWithin(at, outer));
    if (stoodFor) note(feature.at, "is a building whose parts are in the file; they stand for it.");
    return !stoodFor;
  });
}

/** The rings of one part of a feature in metres, or null where they have too many corners, which is told of. */
function laidOut({ at, shape }: Taken, part: Taken["parts"][number], ground: Ground, note: Note) {
  const place = (at: Position) => toWorld(ground, at);
  if (shape === "line") return part.map((path) => path.slice(0, MAX_BENDS).map(place));
  const rings = part.map((ring) => tidy(ring.slice(0, -1).map(place)));
  const corners = rings.reduce((sum, ring) => sum + ring.length, 0);
  if (corners <= MAX_CORNERS) return rings;
  note(at, `has ${corners.toLocaleString("en")} corners; up to ${MAX_CORNERS.toLocaleString("en")} can be taken.`);
  return null;
}

/** How a file is read: how many features are looked at, of how many, and whether it broke off after them. */
export interface Reading {
  readonly most?: number;
  readonly count?: number;
  readonly brokenOff?: boolean;
}

/** To a hundredth of a millimetre or so. */
const degree = (value: number): number => Number(value.toFixed(10));

/** The geometry that an element is written with; null for one that has no place on a map. */
function geometryOf(element: Element, ground: Ground): object | null {
  const earth = (place: Vec2) => toEarth(ground, place).map(degree);
  const written = kindOf(element).geoJson.write(element);
  if (!written) return null;
  if (written.shape === "line") return { type: "LineString", coordinates: placesOf(element).map(earth) };
  // Counter-clockwise around the outline, clockwise around holes (RFC 7946, 3.1.6).
  const rings = [outlineOf(element), ...holesOf(element).map((hole) => [...hole].reverse())].map((ring) =>
    ring.map(earth),
  );
  return { type: "Polygon", coordinates: rings.map((ring) => [...ring, ring[0]]) };
}

/** What of a file is told of it as a whole. */
function toldOfFile(total: number, most: number, brokenOff: boolean): Told[] {
  const number = (value: number) => value.toLocaleString("en");
  return [
    ...(brokenOff ? [`The file breaks off after ${number(total)} whole features; those were taken.`] : []),
    ...(total > most ? [`Only the first ${number(most)} of ${number(total)} features were taken.`] : []),
  ];
}

/** The elements that features are read as, by what they tell. */
function readAs(
  features: readonly Taken[],
  ground: Ground,
  id: (feature: number, part: number) => string,
  note: Note,
): readonly Element[] {
  for (const { at, shape, properties } of features)
    for (const lost of kindRead(shape, properties).geoJson.read?.unreadable?.(properties) ?? []) note(at, lost);
  const laid = (shape: Taken["shape"]) =>
    features.flatMap((feature) => {
      if (feature.shape !== shape) return [];
      return feature.parts.flatMap((part, i) => {
        const rings = laidOut(feature, part, ground, note);
        return rings ? [{ feature, rings, id: id(feature.at, i) }] : [];
      });
    });
  return [...withoutWholes(laid("area"), note), ...laid("line")].flatMap(
    ({ feature, rings, id: name }) => standing(feature, name, rings, note) ?? [],
  );
}

/**
 * Buildings from GeoJSON polygons (RFC 7946) with their heights, and streets from its lines, laid out in metres
 * around an origin. Features that were written here come back as the elements that they were.
 * @param ground the scene's own origin and north; without one, the file's own, or else the middle of all that is in it,
 * north up
 * @param id a fresh name for each
 * @throws BadInput for what is no GeoJSON at all; single features that cannot be used are left out and told of
 */
export function fromGeoJson(
  document: unknown,
  ground: Ground | undefined,
  id: (feature: number, part: number) => string,
  { most = MAX_FEATURES, count, brokenOff = false }: Reading = {},
): BroughtIn {
  const all = featuresOf(document);
  const notes = toldOfFile(Math.max(all.length, count ?? 0), most, brokenOff);
  const note: Note = (feature, message) => notes.push(sentence`Feature ${feature + 1} ${message}`);
  const own = ownMembersOf(document);
  const given = ground ?? own?.ground;
  const known: Element[] = [];
  const features = all.slice(0, most).flatMap((feature, at) => {
    const element = given && ownElement(feature, own, given, id(at, 0), geometryOf);
    if (element) known.push(element);
    return element ? [] : (taken(feature, at, note) ?? []);
  });
  const around = given ?? groundAround(features);
  const elements = [...known, ...readAs(features, around, id, note)];
  const more = notes.length - NOTES;
  return {
    elements,
    // Rules are tied to places: on other ground, what they laid is things by themselves.
    rows: own && JSON.stringify(own.ground) === JSON.stringify(around) ? own.rows : [],
    ground: around,
    notes: more > 0 ? [...notes.slice(0, NOTES), `And ${more} more.`] : notes,
  };
}

/**
 * The things of a scene as GeoJSON (RFC 7946), on the Earth where the scene's origin is: footprints with their heights,
 * and streets, canals and bridges as lines. What only closes a view has no place on a map. Each feature holds the
 * element that it was written from as well, so that it comes back as it was.
 */
export function toGeoJson(scene: Scene): object {
  const { elements, ground = { longitude: 0, latitude: 0, north: 0 } } = scene;
  return {
    type: "FeatureCollection",
    [OWN]: ownMembers(scene, ground),
    features: elements.map((element) => ({
      type: "Feature",
      id: element.id,
      properties: { name: element.name, ...kindOf(element).geoJson.write(element)?.properties, [OWN]: element },
      geometry: geometryOf(element, ground),
    })),
  };
}
