import type { TObject } from "@sinclair/typebox";
import { metresIn, named, Type } from "../../fields";
import { headingDirection, type Interval, type Vec2, type Vec3 } from "../../geometry";
import type { Told } from "../../units";
import type { Region } from "../areas";
import type { Solid } from "../solid";

/** What every element carries, whatever its kind. */
export interface ElementBase {
  readonly id: string;
  readonly kind: string;
  readonly name: string;
}

/** Why an element cannot stand as it is said to, and the field. */
export interface ElementError {
  readonly field: string;
  readonly message: Told;
}

/** The upright box that an element fills, by the fields of a block. */
export interface Box {
  readonly origin: { readonly x: number; readonly y: number; readonly z: number };
  readonly heading: number;
  readonly length: number;
  readonly width: number;
  readonly height: number;
}

/** A measure that people are compared with, and between which it is usual, m. */
export interface Figure {
  readonly value: number;
  readonly limits: readonly [number, number];
  /** What it is, as a sentence about the element, and what is usual. */
  readonly told: Told;
  readonly usual: Told;
}

/** Something odd about an element: it stands so, and somebody would ask. */
export interface Oddity {
  /** Of those of one element. */
  readonly id: string;
  /** What is odd: a measure, m, or where it has no unit a number. */
  readonly value: number;
  readonly unit?: "";
  readonly told: Told;
}

/** A feature of a GeoJSON file on the plan: its places in m, its holes, and what is told of it. */
export interface Feature {
  readonly places: readonly Point[];
  readonly holes: readonly (readonly Point[])[];
  readonly properties: Readonly<Record<string, unknown>>;
}

/** How a kind is written to GeoJSON and read from it. */
export interface GeoJsonOf<E> {
  /** What is told of an element, and whether it is a line or an area; null for what has no place on a map. */
  write(element: E): { readonly shape: "line" | "area"; readonly properties: Record<string, unknown> } | null;
  readonly read?: {
    readonly shape: "line" | "area";
    /** Whether its areas may have holes. */
    readonly holes?: true;
    /** Whether a feature is of this kind; the one kind that does not say takes what no other does. */
    is?(properties: Feature["properties"]): boolean;
    /** All of an element but its id, kind and name. */
    take(feature: Feature): Omit<E, "id" | "kind" | "name">;
    /** What a feature tells that cannot be read, each as the end of a sentence about it. */
    unreadable?(properties: Feature["properties"]): readonly Told[];
    /** A simpler element for one that cannot stand, and what is lost, as the end of a sentence; null for none. */
    simpler?(element: E): { readonly element: E; readonly lost: Told } | null;
  };
}

/** Water between walls, dug into the ground. */
export interface Cutting {
  /** The part of the plan that it takes, with its walls. */
  readonly taken: () => Region;
  /** Its water, by how deep it lies under the ground, m. */
  readonly waters: () => readonly { readonly depth: number; readonly region: Region }[];
  /** Whether it bends so sharply for its width that its sides cross, or crosses itself. */
  readonly tangled: boolean;
  /** The height of the walls' tops, and of the lowest of it, over the ground, m. */
  readonly top: number;
  readonly bottom: number;
  /** What stands in it, however it meets others. */
  readonly standing: () => Solid[];
}

/** How an end of a roadway that meets no other is closed; open where nothing is said. */
export const ROADWAY_ENDS = ["pavement", "turning head", "gate", "steps"] as const;
export type RoadwayEnd = (typeof ROADWAY_ENDS)[number];

/** A low ramp over a pavement, in straight parts: their rings on the plan, counter-clockwise, and their solids. */
export interface Driveway {
  readonly rings: readonly (readonly Vec2[])[];
  readonly solids: () => Solid[];
}

/** A carriageway along a path, between pavements, which joins those that it meets. */
export interface Roadway {
  readonly path: readonly Vec2[];
  /** Half the width of the carriageway, and the width of each pavement, m. */
  readonly half: number;
  readonly pavement: number;
  /** The height of the pavements, m. */
  readonly kerb: number;
  /** The radius of kerbs where it meets others, where it is said, m. */
  readonly radius?: number;
  readonly ends: readonly [first?: RoadwayEnd, last?: RoadwayEnd];
  /** Whether it bends so sharply for its width that its sides cross, or crosses itself. */
  readonly tangled: boolean;
  /** Where carts drive over its pavements: none where what takes the ground, or another carriageway, lies there. */
  readonly driveways: readonly Driveway[];
  /** What stands at its ends, of which each meets another way or none. */
  readonly standing: (met: readonly [first: boolean, last: boolean]) => Solid[];
}

/** What stands less high over the ground than this stands in the way of a roadway, m. */
export const IN_THE_WAY = 2;

/** Where the carriageway of a way opens to what it meets, on each side of who walks it: m along its path. */
export interface Mouths {
  readonly left: readonly Interval[];
  readonly right: readonly Interval[];
}

/** What is around an element where it is built, as far as its details depend on it. */
export interface Surroundings {
  /** Where a way opens to what it meets. */
  readonly mouths?: Mouths;
  /** What takes the ground of what lies on it, such as a plaza, and yields. */
  readonly taken?: Region;
  /** How high the ground rises over what the element stands on, at a place, m; where nothing is said, nowhere. */
  readonly rises?: (at: Vec2) => number;
  /** Lines nearer together than this cannot be told apart where they are drawn, m; where nothing is said, all can. */
  readonly leastLength?: number;
}

/** How a thing hangs in an upright plane: the plane's normal, where it is, and the same thing elsewhere. */
export interface Hanging<E> {
  readonly normal: Vec3;
  readonly at: Vec3;
  /** What it fills of that plane: m to the right of `at` as one stands before it, and up. */
  readonly extent: { readonly from: Vec2; readonly to: Vec2 };
  put(at: Vec3): E;
}

/** How a thing hangs whose place is `at`, and which faces along its heading. */
export const hangsAt = <E extends { readonly at: { x: number; y: number; z: number }; readonly heading: number }>(
  element: E,
  extent: Hanging<E>["extent"],
): Hanging<E> => ({
  normal: headingDirection(element.heading),
  at: [element.at.x, element.at.y, element.at.z],
  extent,
  put: ([x, y, z]) => ({ ...element, at: { x, y, z } }),
});

/** An opening in an upright wall: the left end of the wall's foot, the way along it, and m along it and up. */
export interface WallOpening {
  readonly foot: Vec3;
  readonly along: Vec2;
  readonly from: number;
  readonly to: number;
  readonly low: number;
  readonly high: number;
  readonly kind: "window" | "door";
}

/** A place in the middle of a lane or a track, m, and the heading of what runs there, degrees. */
export interface LanePlace {
  readonly at: Vec2;
  readonly heading: number;
}

/** All that is known of a kind of element. */
export interface ElementKind<E extends ElementBase = ElementBase> {
  readonly kind: E["kind"];
  /** What one is called. */
  readonly word: string;
  readonly schema: TObject;
  /** Whether it is a thing that stands by itself; what lies on the ground, or closes the view, does not. */
  readonly stands: boolean;
  validate?(element: E): ElementError | null;
  /** The ground that it takes: corners on the plan, counter-clockwise. */
  outline(element: E): readonly Vec2[];
  /** What is open within its outline: corners of each, counter-clockwise. */
  holes?(element: E): readonly (readonly Vec2[])[];
  /** From what height it reaches, and how far up, m: for a building, to its eaves. */
  span(element: E): readonly [base: number, height: number];
  /** The box around it; where nothing is said, along the longest side of its outline. */
  box?(element: E): Box;
  /** The places that it can be changed by: corners of its footprint, or bends of its path. */
  places(element: E): readonly Vec2[];
  /** The same with one of those places put elsewhere. */
  placed(element: E, place: number, at: Vec2): E;
  /** The same with one place more, behind one of them. */
  withPlace?(element: E, behind: number): E;
  /** The same without one of its places; null where it needs them all. */
  withoutPlace?(element: E, place: number): E | null;
  readonly geoJson: GeoJsonOf<E>;
  /** Its measures that people are compared with. */
  figures?(element: E): readonly Figure[];
  /** What is odd about it by itself. */
  oddities?(element: E): readonly Oddity[];
  /** Whether it is a way along which other things stand. */
  readonly way?: boolean;
  /** Where a vehicle runs on it that is put at a place, on its wheels or on rails; null where it does not. */
  lane?(element: E, at: Vec2, onRails: boolean): LanePlace | null;
  /** The row that it was laid in by rule, by id. */
  row?(element: E): string | undefined;
  /** The same as a thing for itself, of no row. */
  alone?(element: E): E;
  /** How many steps it has: a scene has only so many. */
  steps?(element: E): number;
  /** The roadway that it is; null where it cannot be one. */
  roadway?(element: E): Roadway | null;
  /**
   * Whether it lies on the ground and yields: to what is dug, to what roadways end at and to later ones that lie so; or
   * to roadways as well.
   */
  yields?(element: E): "areas" | "areas and ways" | false;
  /** Whether roadways end where they meet its outline. */
  endsRoadways?(element: E): boolean;
  /** The heading that it faces along, where it has a front. */
  faces?(element: E): number | undefined;
  /** How it hangs on what is upright; null where it stands. */
  hangs?(element: E): Hanging<E> | null;
  /** The openings in its walls. */
  openings?(element: E): readonly WallOpening[];
  /** Whether it is round, so that one sees where a lens draws it longer than wide. */
  isRound?(element: E): boolean;
  /** The level circles that it is made of, from its foot up; none where it is not round. */
  circles?(element: E): readonly LevelCircle[];
  /** What stands clear of walls: the places of its feet on the plan, and how far each reaches around, m. */
  feet?(element: E): { readonly places: readonly Vec2[]; readonly reach: number } | null;
  /** Whether an eye may stand within its outline, so high over its foot, m: in a passage, or in a room. */
  letsIn?(element: E, at: Vec2, over: number): boolean;
}

/**
 * A level circle of an element, in metres; of things that stand around it, where on the plan, and how high they are.
 */
export interface LevelCircle {
  readonly centre: Vec3;
  readonly radius: number;
  readonly stands?: { readonly places: readonly Vec2[]; readonly height: number };
}

/** Declares a kind of element with the schema of its fields. */
export const elementKind = <E extends ElementBase>(
  schema: TObject,
  kind: Omit<ElementKind<E>, "schema">,
): ElementKind<E> => ({ ...kind, schema });

/** A point of the plan, m. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

const places = (points: readonly Point[]): readonly Vec2[] => points.map(({ x, y }) => [x, y] as const);
const put = (points: readonly Point[], place: number, [x, y]: Vec2): Point[] =>
  points.map((one, i) => (i === place ? { x, y } : one));

/** A line begins as so long where there was one place only, m. */
const ON = 10;

/** Points with one more behind one of them: halfway to the next, or as far beyond the last one of a line. */
function pointsWith(points: readonly Point[], behind: number, closed: boolean): Point[] {
  const [p, n] = [points[behind], points.length];
  if (n === 1) return [p, { x: p.x + ON, y: p.y }];
  const ends = !closed && behind === n - 1;
  const q = ends ? points[behind - 1] : points[(behind + 1) % n];
  const k = ends ? -1 : 0.5;
  return points.toSpliced(behind + 1, 0, { x: p.x + k * (q.x - p.x), y: p.y + k * (q.y - p.y) });
}

/** Points without one of them; null where no fewer would do. */
const pointsWithout = (points: readonly Point[], place: number, least: number): Point[] | null =>
  points.length > least ? points.toSpliced(place, 1) : null;

/** How the path of an element is curved: around a radius at its corners, or smoothly through all its places. */
export const Curved = {
  bend: Type.Optional(named("Radius of its bends", metresIn({ minimum: 0, maximum: 10_000, default: 0 }))),
  smooth: Type.Optional(Type.Boolean()),
};

/** How elements on a path are drawn. */
export const onPath = {
  places: ({ path }: { readonly path: readonly Point[] }) => places(path),
  placed: <E extends { path: Point[] }>(element: E, place: number, at: Vec2): E => ({
    ...element,
    path: put(element.path, place, at),
  }),
  withPlace: <E extends { path: Point[] }>(element: E, behind: number): E => ({
    ...element,
    path: pointsWith(element.path, behind, false),
  }),
  withoutPlace: <E extends { path: Point[] }>(element: E, place: number): E | null => {
    const path = pointsWithout(element.path, place, 2);
    return path && { ...element, path };
  },
};

/** How elements on a footprint are drawn. */
export const onFootprint = {
  places: ({ footprint }: { readonly footprint: readonly Point[] }) => places(footprint),
  placed: <E extends { footprint: Point[] }>(element: E, place: number, at: Vec2): E => ({
    ...element,
    footprint: put(element.footprint, place, at),
  }),
  withPlace: <E extends { footprint: Point[] }>(element: E, behind: number): E => ({
    ...element,
    footprint: pointsWith(element.footprint, behind, true),
  }),
  withoutPlace: <E extends { footprint: Point[] }>(element: E, place: number): E | null => {
    const footprint = pointsWithout(element.footprint, place, 3);
    return footprint && { ...element, footprint };
  },
};
