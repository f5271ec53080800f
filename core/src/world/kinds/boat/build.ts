import { headingDirection, radians, type Vec2, type Vec3 } from "../../../geometry";
import { placeBeside, rectangleAround } from "../../around";
import { rememberedByValues } from "../../remembered";
import { roundSolid, trunkHull, type Hull } from "../../round";
import { loft, ring } from "../../shapes";
import { solidOf, type Solid } from "../../solid";
import { sectionsOf, deckOf } from "./hull";
import type { Boat, BoatThing } from "./schema";

/**
 * A house on deck: from where to where it reaches along, across and up over the rail, as parts of length, width,
 * width.
 */
type House = readonly [along: Vec2, half: number, up: Vec2];

const HOUSES: Readonly<Partial<Record<BoatThing, readonly House[]>>> = {
  sailing: [[[-0.12, 0.16], 0.3, [-0.05, 0.14]]],
  fishing: [[[0.02, 0.2], 0.3, [-0.05, 0.55]]],
  barge: [
    [[-0.42, -0.26], 0.38, [-0.05, 0.42]],
    [[-0.22, 0.38], 0.42, [-0.05, 0.14]],
  ],
  ferry: [
    [[-0.4, 0.3], 0.44, [-0.02, 0.28]],
    [[-0.3, 0.22], 0.38, [0.28, 0.52]],
    [[0.08, 0.2], 0.3, [0.52, 0.74]],
  ],
};

/** A mast: how far along, how high over the rail, and a boom from it aft so far and so high, as parts of the length. */
const MASTS: Readonly<Partial<Record<BoatThing, readonly { along: number; high: number; boom?: Vec2 }[]>>> = {
  sailing: [{ along: 0.12, high: 1.15, boom: [0.42, 0.14] }],
  fishing: [
    { along: -0.1, high: 0.55, boom: [0.28, 0.22] },
    { along: 0.3, high: 0.4 },
  ],
  barge: [{ along: 0.42, high: 0.2 }],
  ferry: [{ along: 0.15, high: 0.5 }],
};

/** Masts are so thick, as parts of their height. */
const THICK = 0.012;

/** Within its planks a hull is so wide. */
const PLANKED = 0.96;

/** The hull: its sides, its bottom and its deck, closed. */
function hullSolid(boat: Boat, at: (place: Vec3) => Vec3): Solid {
  const sections = sectionsOf(boat);
  const n = sections.length;
  const deep = deckOf(boat) * boat.side;
  // Within its rail, on the left and the right, its inner sides and its deck, so much lower.
  const inner = sections.map(([rail, bilge]): readonly Vec3[] => {
    const share = deep / (rail[2] - bilge[2]);
    const [top, low] = [PLANKED * rail[0], PLANKED * (rail[0] + share * (bilge[0] - rail[0]))];
    const [y, z] = [rail[1], rail[2]];
    return [
      [top, y, z],
      [low, y, z - deep],
      [-low, y, z - deep],
      [-top, y, z],
    ];
  });
  const vertices = [...sections.flat(), ...inner.flat()].map(at);
  // Around each station: its rib from rail to rail, and its inside back to the left.
  const around = Array.from({ length: n }, (_, i) => [
    ...[0, 1, 2, 3, 4].map((k) => 5 * i + k),
    ...[3, 2, 1, 0].map((k) => 5 * n + 4 * i + k),
  ]);
  const loops: number[][] = [];
  const rounds: (number | undefined)[] = [];
  for (let i = 0; i + 1 < n; i++)
    around[i].forEach((a, k) => {
      const next = (k + 1) % around[i].length;
      const [b, c, d] = [around[i + 1][k], around[i + 1][next], around[i][next]];
      // Triangles, for its sides are wound: joins within a strake are smooth.
      loops.push([a, b, d], [b, c, d]);
      rounds.push(k, k);
    });
  loops.push(around[0], [...around[n - 1]].reverse());
  rounds.push(undefined, undefined);
  return solidOf(boat.id, vertices, loops, rounds);
}

/** The masts and booms of a boat by its measures. */
const rigging = rememberedByValues((thing: BoatThing, length: number, side: number): readonly Hull[] => {
  return (MASTS[thing] ?? []).flatMap(({ along, high, boom }): readonly Hull[] => {
    const [y, top] = [along * length, side + high * length];
    const r = THICK * (top - side);
    const mast: Hull = { ...trunkHull([0.5 * side, top], [r, 0.5 * r], [0, y]), part: "mast" };
    if (!boom) return [mast];
    const [aft, up] = [boom[0] * length, side + boom[1] * length];
    const spar: Hull = {
      part: "boom",
      over: ["mast"],
      balls: [
        [0, y, up, 0.5 * r],
        [0, y - aft, up + 0.04 * length, 0.4 * r],
      ],
    };
    return [mast, spar];
  });
});

/** The solids of a boat: its hull, the houses on its deck, and its masts. */
export function buildBoat(boat: Boat): Solid[] {
  const { id, thing, at, heading, length, width, side } = boat;
  const facing = headingDirection(heading);
  const middle: Vec2 = [at.x, at.y];
  const hull = hullSolid(boat, ([x, y, z]) => [...placeBeside(middle, facing, [x, y]), at.z + z]);
  const houses = (HOUSES[thing] ?? []).map(([along, half, up]) => {
    const across: Vec2 = [-half * width, half * width];
    const corners = rectangleAround(middle, facing, across, [along[0] * length, along[1] * length]);
    const [low, high] = [at.z + side + up[0] * width, at.z + side + up[1] * width];
    return loft(id, [ring(corners, low), ring(corners, high)], null);
  });
  const hulls = rigging(thing, length, side);
  const masts =
    hulls.length > 0
      ? [roundSolid(id, { kind: "hulls", at: [at.x, at.y, at.z], turn: radians(-heading), hulls, before: 0 })]
      : [];
  return [hull, ...houses, ...masts];
}
