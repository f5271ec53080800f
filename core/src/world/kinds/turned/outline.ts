import type { Vec2 } from "../../../geometry";
import { bulgeOf, chordsAlong, domeArc, piecesOfOutline, type OutlinePoint } from "../../round";
import { crossingOf } from "../../polygon";
import type { ElementError } from "../kind";
import type { TurnedForm, TurnedThing } from "./schema";

/** The sizes that a form is made by, m. */
interface Sizes {
  readonly radius: number;
  readonly height: number;
  readonly top: number;
  readonly lantern: number;
}

const HALF = bulgeOf(Math.PI);

const at = (r: number, z: number, bulge?: number): OutlinePoint => ({ at: [r, z], ...(bulge ? { bulge } : {}) });

/** Places of an outline given as parts of a form's radius and height. */
const scaled = ({ radius, height }: Sizes, places: readonly (readonly [number, number, number?])[]): OutlinePoint[] =>
  places.map(([r, z, bulge]) => at(r * radius, z * height, bulge));

/** A lantern on a dome: a drum half as high again as it is wide, under a small dome. */
function lanternOn(top: number, lantern: number): OutlinePoint[] {
  const half = lantern / 2;
  return [at(half, top), at(half, top + 1.5 * lantern), ...domeArc(half * 1.15, top + 1.5 * lantern, half * 1.15)];
}

/** The dome, which ends at its lantern where it has one. */
function dome({ radius, height, lantern }: Sizes): OutlinePoint[] {
  const arc = domeArc(radius, 0, height);
  if (lantern <= 0) return [...arc];
  const [piece] = piecesOfOutline(arc, false);
  const { centre, radius: large } = piece.arc!;
  const half = lantern / 2;
  const z = centre[1] + Math.sqrt(Math.max(0, large ** 2 - (half - centre[0]) ** 2));
  const turn = Math.atan2(z - centre[1], half - centre[0]) - piece.arc!.start;
  return [at(radius, 0, bulgeOf(turn)), ...lanternOn(z, lantern)];
}

/** The half outline of each form, from its foot up. */
const OUTLINES: Readonly<Record<Exclude<TurnedForm, "own">, (sizes: Sizes) => OutlinePoint[]>> = {
  cylinder: ({ radius, height }) => [at(radius, 0), at(radius, height)],
  cone: ({ radius, height }) => [at(radius, 0), at(0, height)],
  frustum: ({ radius, height, top }) => [at(radius, 0), at(top, height)],
  ball: ({ radius }) => [at(0, 0, HALF), at(0, 2 * radius)],
  dome,
  // A ring as thick as it is high, its middle line as far from the axis as its radius.
  ring: ({ radius, height }) => [at(radius, 0, HALF), at(radius, height, HALF)],
  baluster: (sizes) =>
    scaled(sizes, [
      [1, 0],
      [1, 0.08],
      [0.6, 0.08],
      [0.6, 0.12, 0.3],
      [0.95, 0.32, 0.25],
      [0.45, 0.72],
      [0.45, 0.82],
      [0.7, 0.84, HALF],
      [0.7, 0.89],
      [0.6, 0.89],
      [0.6, 0.92],
      [1, 0.92],
      [1, 1],
    ]),
  vase: (sizes) =>
    scaled(sizes, [
      [0.5, 0],
      [0.5, 0.05],
      [0.3, 0.12, 0.3],
      [0.85, 0.42, 0.25],
      [0.8, 0.72, -0.3],
      [0.7, 0.9, -0.3],
      [1, 1],
    ]),
  tank: ({ radius, height }) => [at(radius, 0), ...domeArc(radius, height, 0.2 * radius)],
  chimney: ({ radius, height, top }) => {
    const wide = 1.25 * top;
    return [
      at(1.15 * radius, 0),
      at(1.15 * radius, 0.06 * height),
      at(radius, 0.07 * height),
      at(top, 0.95 * height),
      at(wide, 0.97 * height),
      at(wide, height),
      at(0.75 * top, height),
      at(0.75 * top, 0.96 * height),
    ];
  },
  lighthouse: ({ radius, height, top }) => {
    const [deck, lamp] = [0.8 * height, 0.88 * height];
    return [
      at(1.2 * radius, 0),
      at(1.2 * radius, 0.05 * height),
      at(radius, 0.05 * height, -0.06),
      at(top, deck - 0.02 * height),
      at(1.35 * top, deck),
      at(1.35 * top, deck + 0.02 * height),
      at(0.75 * top, deck + 0.02 * height),
      at(0.75 * top, lamp + 0.02 * height),
      at(0.95 * top, lamp + 0.02 * height),
      ...domeArc(0.95 * top, lamp + 0.03 * height, height - lamp - 0.03 * height),
    ];
  },
};

/** The half outline of a turned thing over its foot, and whether it leads back to where it begins. */
export function outlineOfTurned(thing: TurnedThing): {
  readonly outline: readonly OutlinePoint[];
  readonly closed: boolean;
} {
  const { form, radius, height, top = 0.6 * radius, lantern = 0, outline } = thing;
  if (form === "own") return { outline: (outline ?? []).map(({ r, z, bulge }) => at(r, z, bulge)), closed: false };
  return { outline: OUTLINES[form]({ radius, height, top, lantern }), closed: form === "ring" };
}

/** How near to its axis a place of an outline is on it, m. */
const ON_AXIS = 1e-9;

/** Why a thing cannot be turned as it is said to be, and the field; null where it can. */
export function validateTurned(thing: TurnedThing): ElementError | null {
  const { form, radius, height, lantern = 0, outline = [] } = thing;
  if (form === "ring" && height / 2 >= radius)
    return { field: "height", message: "makes the ring thicker than it is wide: it would cross its axis." };
  if (lantern >= 1.6 * radius) return { field: "lantern", message: "is as wide as the dome." };
  if (form !== "own") return null;
  if (outline.length < 2)
    return { field: "outline", message: "is missing: an outline of two places or more is wanted." };
  const { outline: points } = outlineOfTurned(thing);
  for (const [
    i,
    {
      at: [r, z],
    },
  ] of points.entries()) {
    const next = points[i + 1]?.at;
    if (next && Math.hypot(next[0] - r, next[1] - z) < 1e-6)
      return { field: `outline/${i + 1}`, message: "lies where the place before it does." };
    if (r < ON_AXIS && i > 0 && i < points.length - 1)
      return { field: `outline/${i}`, message: "lies on the axis: only the first and the last place may." };
  }
  const chords = [...chordsAlong(piecesOfOutline(points, false), 1e-3), points[points.length - 1].at];
  if (chords.some(([r]) => r < -1e-6))
    return { field: "outline", message: "crosses its axis: an arc reaches beyond it." };
  return crosses(chords);
}

/** Why the half section of an outline is none: it crosses itself, or has no area. */
function crosses(chords: readonly Vec2[]): ElementError | null {
  const [first, last] = [chords[0], chords[chords.length - 1]];
  const foot: Vec2[] = first[0] > ON_AXIS ? [[0, first[1]]] : [];
  const head: Vec2[] = last[0] > ON_AXIS ? [[0, last[1]]] : [];
  const section = [...foot, ...chords, ...head];
  if (crossingOf(section)) return { field: "outline", message: "crosses itself." };
  const twice = section.reduce((sum, [r, z], i) => {
    const [s, y] = section[(i + 1) % section.length];
    return sum + r * y - s * z;
  }, 0);
  if (Math.abs(twice) < 1e-9) return { field: "outline", message: "encloses nothing." };
  return twice < 0 ? { field: "outline", message: "runs downwards: it has to begin at the foot." } : null;
}
