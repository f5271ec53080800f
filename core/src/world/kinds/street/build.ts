import type { Vec2 } from "../../../geometry";
import { beside, lengthOf, pathOf, placeAlong, ribbon, stretch } from "../../path";
import { crossingOf } from "../../polygon";
import type { ElementError } from "../kind";
import type { Street } from "./schema";
import { loft } from "../../shapes";
import type { Detail, DetailKind } from "../../details";
import { asPart, faceNamed, solidOf, type Solid } from "../../solid";

/**
 * Measures of a street where nothing is said: two lanes of 3 m, pavements and kerb as they are usual (common
 * practice); dashes of 10 ft with gaps of 30 ft (US MUTCD (from memory)).
 */
export const DEFAULT_STREET: Omit<Street, "id" | "kind" | "name" | "path"> = {
  carriageway: 6,
  pavement: 2.2,
  kerb: 0.12,
  slabs: 1.2,
  dashes: { line: 3.05, gap: 9.14 },
};

/**
 * Half of the standard gauge, m; sleepers and plates of a track: so wide across, one every so many m, a sleeper so
 * wide along (common practice).
 */
const GAUGE = 1.435;
const SLEEPER = { across: 2.5, every: 0.65, along: 0.25 } as const;
const PLATE = { across: 2.4, every: 2.5 } as const;
/** A crossing's stripes are half a metre wide with gaps as wide, and reach over so much of the street's length. */
const STRIPE = 0.5;
const REACH = 3;
/**
 * The kerb of a driveway keeps so much of its height, and a driveway so far from the next and from the street's ends,
 * m.
 */
const LOWERED = 0.25;
const MIN_GAP = 0.1;
/** No street has more slab joints, sleepers or dashes than this. */
const MAX_MARKS = 4000;

/** Why a street cannot be laid, and the field; null where it can. */
export function validateStreet(street: Street): ElementError | null {
  const path = pathOf(street);
  if (path.length < 2) return { field: "path", message: "has no length." };
  if (crossingOf(ribbonOf(street)))
    return { field: "path", message: "bends too sharply for its width, or crosses itself." };
  const length = lengthOf(path);
  for (const [i, { at, width }] of (street.driveways ?? []).entries()) {
    if (at - width / 2 < MIN_GAP || at + width / 2 > length - MIN_GAP)
      return { field: `driveways/${i}`, message: "lies beyond the street’s ends." };
  }
  for (const side of ["left", "right"] as const) {
    const own = drivewaysOn(street, side);
    if (own.some(([from], i) => i > 0 && from - own[i - 1][1] < MIN_GAP))
      return { field: "driveways", message: `lie over one another on the ${side}.` };
  }
  return null;
}

/** From where to where driveways lower the kerb of a side, in the order of the path. */
const drivewaysOn = ({ driveways = [] }: Street, side: "left" | "right"): (readonly [number, number])[] =>
  driveways
    .filter((one) => one.side === side)
    .map(({ at, width }) => [at - width / 2, at + width / 2] as const)
    .sort((a, b) => a[0] - b[0]);

/** What a piece of a pavement is called: which side it is on, and how many driveways lie before it. */
const pavementPart = (side: "left" | "right", before: number): string => `pavement ${side} ${before}`;

/** The pavements of a street, as low solids, which driveways lower towards the carriageway. */
export function buildStreet(street: Street): Solid[] {
  const { id, carriageway, pavement, kerb } = street;
  if (validateStreet(street) || pavement === 0 || kerb === 0) return [];
  const path = pathOf(street);
  const length = lengthOf(path);
  return (["right", "left"] as const).flatMap((side) => {
    const sign = side === "right" ? 1 : -1;
    const [near, far] = [(sign * carriageway) / 2, sign * (carriageway / 2 + pavement)];
    const slab = (part: readonly Vec2[]) => {
      const ring = ribbon(part, near, far);
      return loft(
        id,
        [
          { points: ring, z: 0 },
          { points: ring, z: kerb },
        ],
        null,
      );
    };
    const ways = drivewaysOn(street, side);
    if (ways.length === 0) return [asPart(slab(path), pavementPart(side, 0))];
    const ends = [0, ...ways.flat(), length];
    return ends.slice(1).flatMap((to, i) => {
      const part = stretch(path, ends[i], to);
      if (part.length < 2) return [];
      return i % 2 === 0 ? [asPart(slab(part), pavementPart(side, i / 2))] : ramps(id, part, near, far, kerb);
    });
  });
}

/**
 * A driveway over a pavement, a piece for each straight part of it: it rises from the lowered kerb to the pavement's
 * far side.
 */
function ramps(id: string, part: readonly Vec2[], near: number, far: number, kerb: number): Solid[] {
  const [low, high] = [beside(part, near), beside(part, far)];
  return part.slice(1).map((_, i) => {
    const [a, b, c, d] = [low[i], low[i + 1], high[i + 1], high[i]];
    const vertices = [
      ...[a, b, c, d].map(([x, y]) => [x, y, 0] as const),
      ...[a, b].map(([x, y]) => [x, y, LOWERED * kerb] as const),
      ...[c, d].map(([x, y]) => [x, y, kerb] as const),
    ];
    const walls = [0, 1, 2, 3].map((k) => [k, (k + 1) % 4, ((k + 1) % 4) + 4, k + 4]);
    const loops = [[3, 2, 1, 0], [4, 5, 6, 7], ...walls];
    // To the left of the path the corners run the other way round.
    return solidOf(id, vertices, far > near ? loops.map((loop) => [...loop].reverse()) : loops);
  });
}

/**
 * What is drawn on a street: its sides where it has no kerb, slab joints, dashes between lanes, rails and their bed,
 * and crossings.
 */
export function streetDetails(street: Street, solids: readonly Solid[]): Detail[] {
  if (validateStreet(street)) return [];
  const { carriageway, pavement, kerb, slabs, dashes, lanes = 2, rails, bed, crossings = [] } = street;
  const path = pathOf(street);
  const length = lengthOf(path);
  const out: Detail[] = [];
  const addDetail = (kind: DetailKind, a: Vec2 | null, b: Vec2 | null, z = 0, on?: Detail["on"]) => {
    if (a && b) out.push({ kind, a: [...a, z], b: [...b, z], on });
  };
  const line = (kind: DetailKind, by: number) => {
    const moved = beside(path, by);
    moved.slice(1).forEach((p, i) => addDetail(kind, moved[i], p));
  };
  const box = (kind: DetailKind, from: number, to: number, half: number, aside = 0) => {
    const [a, b, c, d] = [
      placeAlong(path, from, aside - half),
      placeAlong(path, to, aside - half),
      placeAlong(path, to, aside + half),
      placeAlong(path, from, aside + half),
    ];
    for (const [p, q] of [
      [a, b],
      [b, c],
      [c, d],
      [d, a],
    ] as const)
      addDetail(kind, p, q);
  };
  if (pavement === 0 || kerb === 0)
    for (const by of [
      carriageway / 2,
      -carriageway / 2,
      ...(pavement > 0 ? [carriageway / 2 + pavement, -carriageway / 2 - pavement] : []),
    ])
      line("kerb", by);
  if (slabs && pavement > 0)
    for (const side of ["right", "left"] as const)
      slabJoints(
        street,
        side,
        length,
        (s, near, far, on) => addDetail("joint", placeAlong(path, s, near), placeAlong(path, s, far), kerb, on),
        solids,
      );
  const crossed = (from: number, to: number) =>
    crossings.some((at) => to > at - REACH / 2 - 0.5 && from < at + REACH / 2 + 0.5);
  if (rails) {
    for (const by of [GAUGE / 2, -GAUGE / 2]) line("rail", by);
    const { every } = bed === "plates" ? PLATE : SLEEPER;
    for (let i = 0; bed && i < Math.min(MAX_MARKS, Math.floor(length / every)); i++) {
      const s = (i + 0.5) * every;
      if (bed === "sleepers") box("bed", s - SLEEPER.along / 2, s + SLEEPER.along / 2, SLEEPER.across / 2);
      else addDetail("bed", placeAlong(path, s, -PLATE.across / 2), placeAlong(path, s, PLATE.across / 2));
    }
    if (bed === "plates") for (const by of [PLATE.across / 2, -PLATE.across / 2]) line("bed", by);
  }
  if (dashes)
    for (let lane = 1; lane < lanes; lane++) {
      const aside = carriageway * (lane / lanes - 0.5);
      // Where the rails lie, nothing else is drawn.
      if (rails && Math.abs(aside) < SLEEPER.across / 2) continue;
      for (let s = 0, n = 0; s < length && n < MAX_MARKS; s += dashes.line + dashes.gap, n++) {
        const end = Math.min(length, s + dashes.line);
        if (!crossed(s, end)) addDetail("dash", placeAlong(path, s, aside), placeAlong(path, end, aside));
      }
    }
  for (const at of crossings) {
    for (let t = -carriageway / 2 + STRIPE / 2; t + STRIPE <= carriageway / 2; t += 2 * STRIPE)
      box("crossing", at - REACH / 2, at + REACH / 2, STRIPE / 2, t + STRIPE / 2);
  }
  return out;
}

/**
 * The joints between the slabs of a pavement, but for its driveways: how far along the path, and from where to where
 * beside it.
 */
function slabJoints(
  street: Street,
  side: "left" | "right",
  length: number,
  addDetail: (s: number, near: number, far: number, on: Detail["on"]) => void,
  solids: readonly Solid[],
): void {
  const { carriageway, pavement, slabs = 1 } = street;
  const sign = side === "right" ? 1 : -1;
  const ways = drivewaysOn(street, side);
  for (let i = 1; i < Math.min(MAX_MARKS, Math.floor(length / slabs)); i++) {
    const s = i * slabs;
    if (ways.some(([from, to]) => s > from && s < to)) continue;
    const part = pavementPart(side, ways.filter(([, to]) => to <= s).length);
    const solid = solids.find((one) => one.part === part);
    const on = solid && { solid, face: faceNamed(solid, "top") };
    addDetail(s, (sign * carriageway) / 2, sign * (carriageway / 2 + pavement), on);
  }
}

/** The ground that a street takes: its carriageway and pavements. */
export function ribbonOf(street: Street): readonly Vec2[] {
  const half = street.carriageway / 2 + street.pavement;
  return ribbon(pathOf(street), half, -half);
}
