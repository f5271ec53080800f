import { elementIn, rowIn } from "../document";
import type { Scene } from "../scene";
import { moved, outlineOf, turned, type Element, type Row } from "../world";
import { toEarth, toWorld, type Ground } from "./ground";

/**
 * What a file of ours tells besides what every program reads, in members called "zanvo": each feature the element that
 * it was written from, and the collection where that lies on the Earth, and the rules of its rows. (RFC 7946, 6.1,
 * allows members of one's own.)
 */
export interface OwnMembers {
  readonly ground: Ground;
  readonly rows: readonly Row[];
}

/** The key of those members. */
export const OWN = "zanvo";
/** Positions that differ by less are one, degrees: a centimetre or so. */
const SAME = 1e-7;

const isRecord = (value: unknown): value is Record<string, unknown> => typeof value === "object" && value !== null;

const isGround = (value: unknown): value is Ground =>
  isRecord(value) && ["longitude", "latitude", "north"].every((key) => Number.isFinite(value[key]));

/** The members of a scene's own. */
export const ownMembers = ({ rows = [] }: Scene, ground: Ground): OwnMembers => ({ ground, rows });

/** The members of a document's own; null where it has none. */
export function ownMembersOf(document: unknown): OwnMembers | null {
  const own = isRecord(document) ? document[OWN] : null;
  if (!isRecord(own) || !isGround(own.ground)) return null;
  return { ground: own.ground, rows: Array.isArray(own.rows) ? own.rows.flatMap((row) => rowIn(row) ?? []) : [] };
}

/** Every number of something nested, in its order. */
const numbersIn = (value: unknown): readonly number[] =>
  typeof value === "number" ? [value] : Array.isArray(value) ? value.flatMap(numbersIn) : [];

/** Whether two geometries are the same to a centimetre. */
function isSame(one: unknown, other: unknown): boolean {
  if (!isRecord(one) || !isRecord(other)) return one === other;
  const [a, b] = [numbersIn(one.coordinates), numbersIn(other.coordinates)];
  return a.length === b.length && a.every((value, i) => Math.abs(value - b[i]) < SAME);
}

/** An element as it lies on another ground: moved, and turned about its first place. */
function onGround(element: Element, from: Ground, to: Ground): Element {
  const at = outlineOf(element)[0];
  if (!at || JSON.stringify(from) === JSON.stringify(to)) return element;
  const there = toWorld(to, toEarth(from, at));
  const carried = moved(element, there[0] - at[0], there[1] - at[1]);
  return from.north === to.north ? carried : turned(carried, to.north - from.north, there);
}

/**
 * The element that a feature was written from, on another ground and under another name; null where it tells none, or
 * where its geometry was changed since, which then counts.
 * @param written the geometry that an element is written with
 */
export function ownElement(
  feature: unknown,
  own: OwnMembers | null,
  ground: Ground,
  id: string,
  written: (element: Element, ground: Ground) => unknown,
): Element | null {
  if (!own || !isRecord(feature) || !isRecord(feature.properties)) return null;
  const element = elementIn(feature.properties[OWN]);
  if (!element || !isSame(feature.geometry, written(element, own.ground))) return null;
  return { ...onGround(element, own.ground, ground), id };
}
