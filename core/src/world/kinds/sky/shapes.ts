import { seededRandom } from "../../../geometry";
import { rememberedByValues } from "../../remembered";
import type { Ball, Hull } from "../../round";
import type { Sky, SkyThing } from "./schema";

type Chance = () => number;

/** A cloud on a level base: heaps that are higher in its middle. */
function heaps(size: number, count: number, chance: Chance, deep = 0.35): readonly Hull[] {
  const base: Hull = {
    part: "cloud",
    balls: Array.from({ length: 28 }, (_, i): Ball => {
      const turn = (i * Math.PI) / 14;
      const edge = 0.03 * size;
      return [0.48 * size * Math.cos(turn), deep * size * Math.sin(turn), edge, edge];
    }),
  };
  const all = Array.from({ length: count }, (_, i): Ball => {
    const along = (2 * (i + chance())) / count - 1;
    const radius = size * (0.07 + 0.1 * (1 - along * along)) * (0.7 + 0.6 * chance());
    const up = size * 0.12 * (1 - along * along) * chance();
    return [0.44 * size * along, deep * size * (chance() - 0.5), radius * 0.55 + up, radius];
  });
  return [
    base,
    // What would reach under the level base is drawn up to it.
    ...all.map(([x, y, z, r]): Hull => ({ part: "cloud", balls: [[x, y, Math.max(z, r), r]] })),
    ...all
      .filter((_, i) => i % 3 === 0)
      .map(([x, y, z, r]): Hull => ({
        part: "heap",
        over: ["cloud"],
        arc: [0.4, 2.4],
        balls: [[x, y - 0.1 * size, Math.max(z, r), 0.8 * r]],
      })),
  ];
}

const SHAPES: Readonly<Record<SkyThing, (size: number, chance: Chance) => readonly Hull[]>> = {
  cloud: (size, chance) => heaps(size, 11, chance),
  bank: (size, chance) => heaps(size, 26, chance, 0.2),
  // It rises, drifts and widens.
  smoke: (size, chance) =>
    Array.from({ length: 14 }, (_, i): Hull => {
      const up = (i + 0.3) / 14;
      const radius = size * (0.06 + 0.3 * up) * (0.8 + 0.4 * chance());
      const drift = 1.1 * size * up * up;
      return {
        part: "smoke",
        balls: [[drift + 0.2 * size * up * (chance() - 0.5), 0, 3 * size * up + radius, radius]],
      };
    }),
  balloon: (size) => {
    const [r, basket] = [size / 2, 0.09 * size];
    const corner = (x: number, y: number, z: number): Ball => [0.5 * basket * x, 0.5 * basket * y, z, 0.01 * size];
    const rim = (z: number) => [-1, 1].flatMap((x) => [-1, 1].map((y) => corner(x, y, z)));
    const rope = (x: number, y: number): Hull => ({
      part: "rope",
      balls: [corner(x, y, basket), [0.12 * size * x, 0.12 * size * y, 0.34 * size, 0.004 * size]],
    });
    return [
      { part: "basket", balls: [...rim(0.01 * size), ...rim(basket)] },
      ...[-1, 1].flatMap((x) => [-1, 1].map((y) => rope(x, y))),
      {
        part: "bag",
        balls: [
          [0, 0, 0.86 * size, r],
          [0, 0, 0.36 * size, 0.13 * size],
        ],
      },
    ];
  },
  sun: (size) => [{ part: "disc", balls: [[0, 0, 0, size / 2]] }],
  moon: (size) => [{ part: "disc", balls: [[0, 0, 0, size / 2]] }],
  kite: (size) => {
    const point = (x: number, z: number): Ball => [x * size, 0, z * size, 0.01 * size];
    return [{ part: "kite", balls: [point(0, 0), point(0.4, 0.75), point(0, 1.1), point(-0.4, 0.75)] }];
  },
  // Each as two wings that are raised differently.
  birds: (size, chance) =>
    Array.from({ length: 9 }, (_, i) => i).flatMap((i): readonly Hull[] => {
      const [x, y, z] = [size * (chance() - 0.5), 0.5 * size * (chance() - 0.5), 0.3 * size * chance()];
      const [span, lift] = [0.5 + 0.2 * chance(), 0.06 + 0.28 * chance()];
      const wing = (side: number): Hull => ({
        part: `bird ${i}`,
        balls: [
          [x, y, z + 0.05, 0.05],
          [x + 0.45 * side * span, y, z + 0.05 + lift, 0.03],
          [x + side * span, y, z + 0.05 + 0.6 * lift, 0.006],
        ],
      });
      return [wing(1), wing(-1)];
    }),
};

const shapeBy = rememberedByValues((thing: SkyThing, size: number, seed: number): readonly Hull[] => {
  const roll = seededRandom(seed);
  return SHAPES[thing](size, () => roll(1e6) / 1e6);
});

/** The hulls of something in the sky about its place, m. */
export const hullsOfSky = ({ thing, size, seed }: Pick<Sky, "thing" | "size" | "seed">): readonly Hull[] =>
  shapeBy(thing, size, seed);

/** How high something reaches over its place, m. */
export const reachOfSky = (sky: Pick<Sky, "thing" | "size" | "seed">): number =>
  Math.max(...hullsOfSky(sky).flatMap(({ balls }) => balls.map((one: Ball): number => one[2] + one[3])));
