import type { Vec2 } from "../../../geometry";
import { clearBeside } from "../../bends";
import type { Detail, DetailKind } from "../../details";
import { beside, lengthOf, offPath, pathOf, placeAlong } from "../../path";
import { isWithin } from "../../polygon";
import { faceNamed, type Solid } from "../../solid";
import { validateStreet } from "./build";
import { drivewaysOn, isTangled, linesOf, SIDES, type Side } from "./pavements";
import type { Street } from "./schema";

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
/** No street has more slab joints, sleepers or dashes than this. */
const MAX_MARKS = 4000;
/** A joint's ends may lie nearer to another part of the path by so much, m. */
const CLEAR = 1e-6;

/**
 * What is drawn on a street: its sides where it has no kerb, slab joints, dashes between lanes, rails and their bed,
 * and crossings.
 */
export function streetDetails(street: Street, solids: readonly Solid[]): Detail[] {
  if (validateStreet(street)) return [];
  const { carriageway, pavement, kerb, slabs, dashes, lanes = 2, rails, bed, crossings = [] } = street;
  const path = pathOf(street);
  const length = lengthOf(path);
  const tangled = isTangled(street);
  const out: Detail[] = [];
  const addDetail = (kind: DetailKind, a: Vec2 | null, b: Vec2 | null, z = 0, on?: Detail["on"]) => {
    if (a && b) out.push({ kind, a: [...a, z], b: [...b, z], on });
  };
  const line = (kind: DetailKind, by: number) => {
    for (const part of tangled ? clearBeside(path, by) : [beside(path, by)])
      part.slice(1).forEach((p, i) => addDetail(kind, part[i], p));
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
  if (slabs && pavement > 0) for (const { a, b, on } of slabJoints(street, solids)) addDetail("joint", a, b, kerb, on);
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

interface Joint {
  readonly a: Vec2;
  readonly b: Vec2;
  readonly on: Detail["on"];
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

/** The ring of the top of a solid, and those of its holes, on the plan. */
function topOf(solid: Solid): { readonly face: number; readonly covers: (at: Vec2) => boolean } {
  const face = faceNamed(solid, "top");
  const { loop, holes = [] } = solid.faces[face];
  const onPlan = (ring: readonly number[]) => ring.map((n): Vec2 => [solid.vertices[n][0], solid.vertices[n][1]]);
  const [outer, ...inner] = [loop, ...holes].map(onPlan);
  return { face, covers: (at) => isWithin(at, outer) && !inner.some((hole) => isWithin(at, hole)) };
}

/** The joints between the slabs of the pavements: those that are nowhere nearer to another part of the path. */
function slabJoints(street: Street, solids: readonly Solid[]): Joint[] {
  const path = pathOf(street);
  const flat = solids.length === 0;
  const tops = solids.filter(({ part }) => part !== undefined).map((solid) => ({ solid, ...topOf(solid) }));
  return SIDES.flatMap((side) => {
    const [near, far] = linesOf(street, side);
    return jointsAlong(street, side).flatMap((s) => {
      const [a, middle, b] = [near, (near + far) / 2, far].map((by) => placeAlong(path, s, by));
      if (!a || !middle || !b) return [];
      // A straight street is nowhere nearer than its own lines are.
      const straight = path.length === 2;
      const clear = straight || [a, b].every((at, i) => offPath(street, at) > Math.abs(i ? far : near) - CLEAR);
      const on = tops.find(({ covers }) => covers(middle));
      return clear && (flat || on) ? [{ a, b, on: on && { solid: on.solid, face: on.face } }] : [];
    });
  });
}
