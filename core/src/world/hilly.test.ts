import fc from "fast-check";
import { between, whyOpen, xy } from "../../testing";
import type { Vec2 } from "../geometry";
import {
  built,
  DEFAULT_CANAL,
  DEFAULT_SQUARE,
  DEFAULT_STREET,
  validateElement,
  volumeOf,
  type Built,
  type Element,
} from ".";

/** Streets that join and curve, a plaza and a canal, and a hill with a terrace under them, anywhere and turned. */
function hillyTown(x0: number, y0: number, turn: number, bend: number | null, height: number) {
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const at = (x: number, y: number): Vec2 => [x0 + x * c - y * s, y0 + x * s + y * c];
  const places = (of: readonly Vec2[]) => xy(of.map(([x, y]) => at(x, y)));
  const curved = bend === null ? { smooth: true } : { bend };
  const street = (id: string, path: readonly Vec2[], more: object = curved): Element => ({
    ...DEFAULT_STREET,
    id,
    kind: "street",
    name: id,
    path: places(path),
    ...more,
  });
  const spots = (
    [
      [-20, 3],
      [10, 12],
      [30, -14],
    ] as const
  ).map(([x, y], i) => ({ ...places([[x, y]])[0], z: height + i }));
  const grounds: readonly Element[] = [
    {
      id: "hill",
      kind: "ground",
      name: "hill",
      footprint: places([
        [-60, -40],
        [60, -45],
        [70, 50],
        [-50, 60],
      ]),
      height: 0,
      spots,
    },
    {
      id: "terrace",
      kind: "ground",
      name: "terrace",
      footprint: places([
        [10, 10],
        [40, 10],
        [40, 40],
        [10, 40],
      ]),
      height: 4,
      bank: 2,
    },
  ];
  const level: readonly Element[] = [
    street("along", [
      [-90, -5],
      [0, 0],
      [90, 30],
    ]),
    street("across", [
      [5, -80],
      [-5, 80],
    ]),
    street(
      "lane",
      [
        [-30, 20],
        [-4, 20],
      ],
      { ends: { first: "turning head" } },
    ),
    {
      ...DEFAULT_SQUARE,
      id: "plaza",
      kind: "square",
      name: "plaza",
      footprint: places([
        [20, -40],
        [50, -35],
        [45, -10],
        [22, -12],
      ]),
      heading: 20,
    },
    {
      ...DEFAULT_CANAL,
      id: "canal",
      kind: "canal",
      name: "canal",
      path: places([
        [-70, -30],
        [0, -60],
        [60, -70],
      ]),
      smooth: true,
    },
  ];
  return { grounds, level };
}

/** How much of the ground's covering there is: an upright shear changes no volume. */
const covering = ({ solids }: Built): number =>
  solids
    .filter(({ id }) => id !== "" && !["hill", "terrace", "canal"].includes(id))
    .reduce((sum, solid) => sum + volumeOf(solid), 0);

it("streets that join on a hill, a plaza and a canal through it are closed, and keep their volumes", () => {
  fc.assert(
    fc.property(
      between(-30_000, 30_000),
      between(-30_000, 30_000),
      between(0, 7),
      fc.option(between(5, 60)),
      between(0.5, 9),
      (x, y, turn, bend, height) => {
        const { grounds, level } = hillyTown(x, y, turn, bend, height);
        expect([...grounds, ...level].filter((one) => validateElement(one))).toEqual([]);
        const world = built([...grounds, ...level]);
        // Some are pierced: what is open has an edge on one face only.
        const open = world.solids.filter(({ id }) => id !== "").map((solid) => whyOpen(solid));
        expect(open.filter((why) => why?.startsWith("edge"))).toEqual([]);
        expect(covering(world)).toBeCloseTo(covering(built(level)), 4);
      },
    ),
    { numRuns: 8 },
  );
});
