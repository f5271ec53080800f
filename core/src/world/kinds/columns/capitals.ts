import { add, scale, sub, type Vec2, type Vec3 } from "../../../geometry";
import type { Detail } from "../../details";
import { bendBetween, piecesOfOutline, roundSolid, surfacesOf, turnedPlace, type OutlinePoint } from "../../round";
import type { Solid } from "../../solid";

/** Scrolls have this radius, their axes are so far beside that of their column, and they reach so far, in diameters. */
const SCROLLS = { ionic: { radius: 0.2, aside: 0.5 }, composite: { radius: 0.15, aside: 0.52 }, reach: 0.48 } as const;

/** A column as it stands: its foot, and which way it faces. */
export interface Stood {
  readonly at: Vec2;
  readonly facing: Vec2;
  readonly z: number;
}

/**
 * The bolsters of an Ionic or Composite capital: two scrolls that lie along the way it faces, the right one first.
 * @param d its lower diameter, m
 * @param top how high the underside of its abacus is over its foot, m
 * @param half whether only their front halves stand
 */
export function scrolls(
  id: string,
  order: "ionic" | "composite",
  d: number,
  { at: [x, y], facing: [fx, fy], z }: Stood,
  top: number,
  half: boolean,
): Solid[] {
  const { radius, aside } = SCROLLS[order];
  const reach = SCROLLS.reach * d;
  return [1, -1].map((side) => {
    const origin: Vec3 = [x + side * aside * d * fy, y - side * aside * d * fx, z + top - radius * d];
    return roundSolid(id, {
      kind: "revolved",
      axis: { origin, up: [fx, fy, 0], side: [0, 0, 1] },
      outline: [{ at: [radius * d, half ? 0 : -reach] }, { at: [radius * d, reach] }],
    });
  });
}

/**
 * A spiral runs in so many half circles, each of so much of the radius before, to an eye, in arcs of an eighth turn.
 */
const [HALVES, SMALLER, EIGHTHS] = [5, 0.76, 4] as const;

/**
 * The spiral of a scroll's end, of half circles whose middles lie on one line, over the middle of the end; it begins at
 * its top and turns outwards, to the right.
 */
function spiral(radius: number): readonly { readonly at: Vec2; readonly along: Vec2 }[] {
  const radii = Array.from({ length: HALVES }, (_, i) => (radius * SMALLER ** i * (1 + SMALLER)) / 2);
  const places = radii.flatMap((r, i) => {
    const turn = i % 2 === 0 ? 1 : -1;
    // The half circle from the end of the one before it, down on the right or up on the left.
    const middle = turn * (radius * SMALLER ** i - r);
    return Array.from({ length: EIGHTHS }, (_, k) => {
      const angle = (k * Math.PI) / EIGHTHS;
      const [s, c] = [turn * Math.sin(angle), turn * Math.cos(angle)];
      return { at: [r * s, middle + r * c] as const, along: [c, -s] as const };
    });
  });
  const end = radius * SMALLER ** HALVES * (HALVES % 2 === 0 ? 1 : -1);
  const eye = Array.from({ length: 2 * EIGHTHS + 1 }, (_, k) => {
    const angle = (k * Math.PI) / EIGHTHS;
    const [s, c] = [Math.sign(end) * Math.sin(angle), Math.sign(end) * Math.cos(angle)];
    return { at: [Math.abs(end) * s, Math.abs(end) * c] as const, along: [c, -s] as const };
  });
  return [...places, ...eye];
}

/** The spirals on the ends of scrolls that can be seen. @param half whether they have fronts only */
export const spiralsOn = (pair: readonly Solid[], half: boolean): Detail[] =>
  pair.flatMap((solid, i) => {
    const { shape } = solid;
    if (shape?.kind !== "revolved") return [];
    const { origin, up } = shape.axis;
    const [[radius, back], [, front]] = shape.outline.map(({ at }) => at);
    const right: Vec3 = [up[1], -up[0], 0];
    const outwards = i === 0 ? 1 : -1;
    const inWorld = ([s, z]: Vec2): Vec3 => add(scale(right, outwards * s), [0, 0, z]);
    const ends = half ? [front] : [front, back];
    return ends.flatMap((far) => {
      const face = solid.faces.findIndex(
        ({ normal }) => Math.sign(far) * (normal[0] * up[0] + normal[1] * up[1]) > 1 - 1e-9,
      );
      const placed = (at: Vec2) => add(add(origin, scale(up, far)), inWorld(at));
      const places = spiral(radius);
      return places.slice(1).map(({ at, along }, k): Detail => {
        const [a, b] = [placed(places[k].at), placed(at)];
        const bend = bendBetween(a, inWorld(places[k].along), b, inWorld(along));
        return { kind: "dressing", a, b, bend, on: { solid, face }, item: { index: i } };
      });
    });
  });

/** Leaves of a Corinthian bell: so many in each of two rows, how far up the bell each runs, and how far it is lobed. */
const LEAVES = { around: 8, rows: [[0, 0.55], [0.42, 1]], lobes: 9, lobed: 0.14, wide: 0.42 } as const; // prettier-ignore
/** A side of a leaf is drawn in so many pieces. */
const PIECES = 14;

/**
 * The leaves around a bell, as their outlines and midribs on it.
 * @param bell which piece of the turned outline is the bell's straight part
 * @param middle the angle that the column faces along, radians; @param range how much of it stands, radians
 */
export function leavesOn(solid: Solid, bell: number, middle: number, range: number): Detail[] {
  const { shape } = solid;
  if (shape?.kind !== "revolved") return [];
  const piece = piecesOfOutline(shape.outline as readonly OutlinePoint[], false)[bell];
  const number = surfacesOf(shape)[bell];
  const { around, rows, lobes, lobed, wide } = LEAVES;
  return rows.flatMap(([from, to], row) =>
    Array.from({ length: around }, (_, i) => i).flatMap((i): Detail[] => {
      // The second row stands between those of the first.
      const turn = ((i + row / 2) * 2 * Math.PI) / around;
      const off = Math.abs(((turn + Math.PI) % (2 * Math.PI)) - Math.PI);
      const cut = range < 2 * Math.PI && off > range / 2 - (wide * 2 * Math.PI) / around;
      if (cut) return [];
      const place = (u: number, side: number) => {
        const half = Math.cos(u) * (1 - lobed * Math.sin(lobes * u) ** 2);
        const t = from + (to - from) * Math.sin(u);
        return turnedPlace(shape.axis, piece, t, middle + turn + (side * half * wide * 2 * Math.PI) / around);
      };
      const item = { index: i };
      const step = Math.PI / 2 / PIECES;
      const line = (u: number, v: number, side: number): Detail => {
        const [a, b] = [place(u, side), place(v, side)];
        const way = (at: number): Vec3 => {
          const [p, q] = [place(at - 1e-5, side).at, place(at + 1e-5, side).at];
          return scale(sub(q, p), (v - u) / 2e-5);
        };
        const on = { solid, face: -1, round: { number, normals: [a.normal, b.normal] as const } };
        return { kind: "dressing", a: a.at, b: b.at, bend: [way(u), way(v)], on, item };
      };
      const sides = [-1, 1].flatMap((side) =>
        Array.from({ length: PIECES }, (_, k) => line(k * step, (k + 1) * step, side)),
      );
      return [...sides, line(0, 0.9 * (Math.PI / 2), 0)];
    }),
  );
}
