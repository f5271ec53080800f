import { union, type Interval, type Vec2 } from "../../../geometry";
import { CURVED, turnAt } from "../../curves";
import type { Detail } from "../../details";
import { line, marker, MAX_MARKS, rectangle, type Mark, type Marked } from "../../marking";
import { footOn, lengthOf, pathOf, placeAlong } from "../../path";
import type { Mouths } from "../kind";
import type { Solid } from "../../solid";
import { addTrack, trackWidth } from "../../track";
import { upperFacesOf } from "../../upperFaces";
import { validateStreet } from "./build";
import { drivewaysOn, isTangled, linesOf, SIDES, type Side } from "./pavements";
import type { Street } from "./schema";

/** A crossing's stripes are half a metre wide with gaps as wide, and reach over so much of the street's length. */
const STRIPE = 0.5;
const REACH = 3;
/** Markings keep so far from one another and from a junction; a line to stop at is so wide, m (common practice). */
const BEFORE = 0.5;
const STOP = 0.4;
/** A joint's ends may lie nearer to another part of the path by so much, m. */
const CLEAR = 1e-6;

/** A street as its marks are laid. */
interface Ground extends Marked {
  readonly street: Street;
  /** Where it opens to what it meets; null where it stands by itself. */
  readonly mouths: Mouths | null;
}

const overlaps = ([a, b]: Interval, [c, d]: Interval): boolean => b > c && a < d;

/** Where the carriageway opens on either side, as stretches that do not overlap. */
const openings = ({ mouths }: Ground): readonly Interval[] => (mouths ? union([...mouths.left, ...mouths.right]) : []);

/** The sides of a street by itself where no raised kerb shows them. */
function addKerbs(ground: Ground, add: Mark): void {
  const { carriageway, pavement, kerb } = ground.street;
  if (ground.mouths || (pavement > 0 && kerb > 0)) return;
  for (const by of pavement > 0 ? [carriageway / 2, carriageway / 2 + pavement] : [carriageway / 2])
    for (const side of [1, -1]) line(ground, add, "kerb", side * by);
}

/** The rails of a tramway, and what they lie on. */
function addRails(ground: Ground, add: Mark): void {
  if (ground.street.rails) addTrack(ground, add, ground.street.bed);
}

/** Dashes between lanes, which stop at crossings, at what the street meets, and where rails lie. */
function addDashes(ground: Ground, add: Mark, stops: readonly Interval[]): void {
  const { street, path, length } = ground;
  const { dashes, lanes = 2, carriageway, rails } = street;
  if (!dashes) return;
  for (let lane = 1; lane < lanes; lane++) {
    const aside = carriageway * (lane / lanes - 0.5);
    if (rails && Math.abs(aside) < trackWidth() / 2) continue;
    for (let s = 0, n = 0; s < length && n < MAX_MARKS; s += dashes.line + dashes.gap, n++) {
      const end = Math.min(length, s + dashes.line);
      if (!stops.some((stop) => overlaps([s, end], stop)))
        add("dash", placeAlong(path, s, aside), placeAlong(path, end, aside), { index: n });
    }
  }
}

/** A crossing: stripes along the street, from kerb to kerb. */
function addCrossing(ground: Ground, add: Mark, at: number): void {
  const half = ground.street.carriageway / 2;
  for (let t = -half + STRIPE / 2, n = 0; t + STRIPE <= half; t += 2 * STRIPE, n++)
    rectangle(ground, add, "crossing", [at - REACH / 2, at + REACH / 2], [t, t + STRIPE], n);
}

/** Where one comes to a junction: how far along the street, and which way one drives then. */
interface Approach {
  readonly at: number;
  readonly way: 1 | -1;
}

/** Where one comes to junctions along a street: not where it begins or ends with one. */
const approaches = (ground: Ground): Approach[] =>
  openings(ground).flatMap(([from, to]): Approach[] => [
    ...(from > BEFORE + REACH ? [{ at: from, way: 1 } as const] : []),
    ...(to < ground.length - BEFORE - REACH ? [{ at: to, way: -1 } as const] : []),
  ]);

/** A line to stop at, over the half of the carriageway on which one comes. */
function addStopLine(ground: Ground, add: Mark, { at, way }: Approach): void {
  const { carriageway, junctions = {}, lanes = 2 } = ground.street;
  const half = carriageway / 2;
  const right = way * (junctions.stopLines === "left" ? -1 : 1);
  const across: Interval = lanes === 1 ? [-half, half] : right > 0 ? [0, half] : [-half, 0];
  const before = at - way * (BEFORE + (junctions.crossings ? REACH + BEFORE : 0));
  rectangle(ground, add, "crossing", [before - STOP / 2, before + STOP / 2], across);
}

/**
 * What is drawn on a street: its sides where it has no kerb, slab joints, dashes between lanes, rails and their bed,
 * crossings, and lines to stop at.
 */
export function streetDetails(street: Street, solids: readonly Solid[], mouths: Mouths | null = null): Detail[] {
  if (validateStreet(street)) return [];
  const path = pathOf(street);
  const ground: Ground = { street, path, length: lengthOf(path), tangled: isTangled(street), mouths };
  const { details: out, add } = marker();
  const { slabs, pavement, kerb, crossings = [], junctions = {} } = street;
  const coming = approaches(ground);
  const crossed = [...crossings];
  // Where two junctions leave no room for two crossings between them, there is one.
  for (const { at, way } of junctions.crossings ? coming : []) {
    const middle = at - way * (BEFORE + REACH / 2);
    if (crossed.every((one) => Math.abs(one - middle) >= REACH + BEFORE)) crossed.push(middle);
  }
  addKerbs(ground, add);
  if (slabs && pavement > 0)
    for (const { a, b, on, index } of slabJoints(ground, solids))
      out.push({ kind: "joint", a: [...a, kerb], b: [...b, kerb], on, item: { index } });
  addRails(ground, add);
  addDashes(ground, add, [
    ...openings(ground),
    ...crossed.map((at): Interval => [at - REACH / 2 - BEFORE, at + REACH / 2 + BEFORE]),
  ]);
  for (const at of crossed) addCrossing(ground, add, at);
  if (junctions.stopLines) for (const one of coming) addStopLine(ground, add, one);
  return out;
}

interface Joint {
  readonly a: Vec2;
  readonly b: Vec2;
  readonly on: Detail["on"];
  /** Its place in the row of its side. */
  readonly index: number;
}

/** Where slab joints of a side’s pavement lie, m along the path: where it is lowered for driveways there are none. */
function jointsAlong(street: Street, side: Side): readonly number[] {
  const { slabs = 1 } = street;
  const ways = drivewaysOn(street, side);
  const number = Math.min(MAX_MARKS, Math.floor(lengthOf(pathOf(street)) / slabs)) - 1;
  return Array.from({ length: Math.max(0, number) }, (_, i) => (i + 1) * slabs).filter(
    (s) => !ways.some(([from, to]) => s > from && s < to),
  );
}

const isCorner = (before: Vec2, at: Vec2, after: Vec2): boolean => Math.abs(turnAt(before, at, after)) >= CURVED;

/**
 * The joints between the slabs of the pavements: those that are nowhere nearer to another part of the path, and not
 * where the carriageway opens to what the street meets.
 */
function slabJoints({ street, path, tangled, mouths }: Ground, solids: readonly Solid[]): Joint[] {
  const { slabs = 1 } = street;
  const flat = solids.length === 0;
  // Where a path has no corner and is not tangled, nothing of it is nearer than its own lines are.
  const free = !tangled && !path.some((at, i) => i > 0 && path[i + 1] && isCorner(path[i - 1], at, path[i + 1]));
  const pieces = solids.filter(({ part }) => part !== undefined).flatMap(upperFacesOf);
  return SIDES.flatMap((side) => {
    const [near, far] = linesOf(street, side);
    // Within the pavement's own rims, where rounding does not count.
    const [within, upTo] = [near + CLEAR * Math.sign(near), far - CLEAR * Math.sign(far)];
    return jointsAlong(street, side).flatMap((s) => {
      if (mouths?.[side].some(([from, to]) => s > from && s < to)) return [];
      const [a, b] = [near, far].map((by) => placeAlong(path, s, by));
      const inner = [within, (near + far) / 2, upTo].map((by) => placeAlong(path, s, by));
      if (!a || !b) return [];
      const clear = free || [a, b].every((at, i) => footOn(at, path).off > Math.abs(i ? far : near) - CLEAR);
      const on = pieces.find(({ covers }) => (mouths ? inner : inner.slice(1, 2)).every((at) => at && covers(at)));
      return clear && (flat || on) ? [{ a, b, on: on?.on, index: Math.round(s / slabs) }] : [];
    });
  });
}
