import { headingDirection, radians, type Vec2, type Vec3 } from "../../../geometry";
import { placeBeside, rectangleAround } from "../../around";
import { roundSolid, trunkHull, type Hull } from "../../round";
import { loft, ring } from "../../shapes";
import { solidOf, type Solid } from "../../solid";
import { sectionsOf, deckOf } from "./hull";
import type { Boat, BoatThing } from "./schema";

/** A house on deck: from where to where it reaches along, across and up over the rail, as parts of length, width, width. */
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
  // Its deck, so much under the rail, as wide as the hull is there, less its planks.
  const decks = sections.map(([rail, bilge]): readonly Vec3[] => {
    const share = deep / (rail[2] - bilge[2]);
    const half = PLANKED * (rail[0] + share * (bilge[0] - rail[0]));
    return [
      [half, rail[1], rail[2] - deep],
      [-half, rail[1], rail[2] - deep],
    ];
  });
  const vertices = [...sections.flat(), ...decks.flat()].map(at);
  const rib = (i: number, k: number) => 5 * i + k;
  const deck = (i: number, k: number) => 5 * n + 2 * i + k;
  const loops: number[][] = [];
  const rounds: (number | undefined)[] = [];
  const face = (loop: number[], round?: number) => {
    loops.push([...loop].reverse());
    rounds.push(round);
  };
  for (let i = 0; i + 1 < n; i++) {
    for (let k = 0; k < 4; k++) {
      const [a, b, c, d] = [rib(i, k), rib(i + 1, k), rib(i + 1, k + 1), rib(i, k + 1)];
      // Triangles, for its sides are wound: joins within a strake are smooth.
      face([a, d, b], k);
      face([d, c, b], k);
    }
    // The rail's inner side on the left and on the right, and the deck between.
    face([rib(i, 0), rib(i + 1, 0), deck(i + 1, 0)], 4);
    face([rib(i, 0), deck(i + 1, 0), deck(i, 0)], 4);
    face([rib(i, 4), deck(i + 1, 1), rib(i + 1, 4)], 5);
    face([rib(i, 4), deck(i, 1), deck(i + 1, 1)], 5);
    face([deck(i, 0), deck(i + 1, 0), deck(i + 1, 1)], 6);
    face([deck(i, 0), deck(i + 1, 1), deck(i, 1)], 6);
  }
  face([rib(0, 0), deck(0, 0), deck(0, 1), rib(0, 4), rib(0, 3), rib(0, 2), rib(0, 1)]);
  const last = n - 1;
  face([rib(last, 0), rib(last, 1), rib(last, 2), rib(last, 3), rib(last, 4), deck(last, 1), deck(last, 0)]);
  return solidOf(boat.id, vertices, loops, rounds);
}

/** Shapes of masts, by what they follow from. */
const known = new Map<string, readonly Hull[]>();

function rigging({ thing, length, side }: Boat): readonly Hull[] {
  const key = `${thing} ${length} ${side}`;
  const before = known.get(key);
  if (before) return before;
  const hulls = (MASTS[thing] ?? []).flatMap(({ along, high, boom }): readonly Hull[] => {
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
  known.set(key, hulls);
  return hulls;
}

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
  const hulls = rigging(boat);
  const masts =
    hulls.length > 0
      ? [roundSolid(id, { kind: "hulls", at: [at.x, at.y, at.z], turn: radians(-heading), hulls, before: 0 })]
      : [];
  return [hull, ...houses, ...masts];
}
