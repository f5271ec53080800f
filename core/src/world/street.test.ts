import fc from "fast-check";
import { between, block } from "../../testing";
import { visibleEdges } from "../visibility";
import {
  areaTwice,
  build,
  built,
  DEFAULT_STREET,
  buildCache,
  outlineOf,
  validateStreet,
  volumeOf,
  type Street,
} from ".";

const street = (path: readonly (readonly [number, number])[], change: Partial<Street> = {}): Street => ({
  id: "s",
  kind: "street",
  name: "Quay street",
  path: path.map(([x, y]) => ({ x, y })),
  ...DEFAULT_STREET,
  ...change,
});
const length = ({ a, b }: { readonly a: readonly number[]; readonly b: readonly number[] }) =>
  Math.hypot(b[0] - a[0], b[1] - a[1]);

describe("a street", () => {
  it("has two pavements of their own width and kerb's height, bent or straight, at any heading", () => {
    fc.assert(
      fc.property(between(0, 360), between(-60, 60), between(15, 60), between(15, 60), (turn, bend, first, second) => {
        const way = (d: number) => [Math.sin((d * Math.PI) / 180), Math.cos((d * Math.PI) / 180)] as const;
        const [u, v] = [way(turn), way(turn + bend)];
        const one = street([
          [0, 0],
          [first * u[0], first * u[1]],
          [first * u[0] + second * v[0], first * u[1] + second * v[1]],
        ]);
        expect(validateStreet(one)).toBeNull();
        const solids = build([one]);
        // Mitred, what the outer side gains at a bend the inner one loses.
        expect(solids.reduce((sum, solid) => sum + volumeOf(solid), 0)).toBeCloseTo(
          2 * 2.2 * 0.12 * (first + second),
          6,
        );
        expect(Math.abs(areaTwice(outlineOf(one))) / 2).toBeCloseTo((6 + 4.4) * (first + second), 6);
      }),
    );
  });

  it("is drawn with slab joints, dashes that a crossing stops, or rails", () => {
    const of = (change: Partial<Street>) =>
      built([
        street(
          [
            [0, 0],
            [60, 0],
          ],
          { slabs: undefined, dashes: undefined, ...change },
        ),
      ]).details;
    expect(of({ slabs: 1.2 })).toHaveLength(2 * 49);
    // 10 ft on, 30 ft off: at 0, 12.19, 24.38, 36.57, 48.76 m.
    const dashes = of({ dashes: DEFAULT_STREET.dashes });
    expect(dashes.map(length)).toEqual(Array.from({ length: 5 }, () => expect.closeTo(3.05, 9)));
    const crossed = of({ dashes: DEFAULT_STREET.dashes, crossings: [26] });
    expect(crossed.filter(({ a }) => a[1] === 0 && Math.abs(a[0] - 24.38) < 1e-9)).toEqual([]);
    // Six stripes of four sides in a carriageway of 6 m.
    expect(crossed).toHaveLength(4 + 6 * 4);
    const [left, right] = of({ rails: true });
    expect(Math.abs(left.a[1] - right.a[1])).toBeCloseTo(1.435, 9);
    expect(of({ pavement: 0 })).toHaveLength(2);
  });

  it("is built once for as long as it stays as it is", () => {
    const kept = buildCache();
    const [one, other] = [
      street([
        [0, 0],
        [60, 0],
      ]),
      block("b", 0, 20, 5, 5, 5),
    ];
    const first = kept([one, other]).solids;
    const second = kept([structuredClone(one), { ...other, height: 6 }]).solids;
    expect([second[0] === first[0], second[1] === first[1], second[2] === first[2]]).toEqual([true, true, false]);
    expect(second).toEqual(build([one, { ...other, height: 6 }]));
  });

  it("says why it cannot be laid", () => {
    expect(
      validateStreet(
        street([
          [0, 0],
          [0, 0],
        ]),
      ),
    ).toMatchObject({ field: "path", message: "has no length." });
    const lane = (driveways: Street["driveways"]) =>
      street(
        [
          [0, 0],
          [40, 0],
        ],
        { driveways },
      );
    expect(validateStreet(lane([{ at: 39, width: 3, side: "left" }]))).toMatchObject({
      field: "driveways/0",
      message: "lies beyond the street’s ends.",
    });
    const twice = [20, 21].map((at) => ({ at, width: 3, side: "left" as const }));
    expect(validateStreet(lane(twice))).toMatchObject({ message: "lie over one another on the left." });
  });

  it("hides what it is drawn with behind what stands before it, and a kerb behind its own pavement", () => {
    const quay = street(
      [
        [-20, 10],
        [20, 10],
      ],
      { slabs: undefined, dashes: undefined, rails: true },
    );
    const drawn = (elements: Parameters<typeof build>[0]) => {
      const { solids, details } = built(elements);
      const visible = visibleEdges(solids, [0, 0, 1.6], details);
      return [...visible.edgeClass.keys()]
        .filter((i) => visible.edgeClass[i] === 3)
        .reduce((sum, i) => sum + Math.abs(visible.ends[6 * i + 3] - visible.ends[6 * i]), 0);
    };
    expect(drawn([quay])).toBeCloseTo(80, 6);
    // A booth from x -1 to 1 at y 4 covers x from -2.4 to 2.4 or so at y 10.
    const left = drawn([quay, block("booth", -1, 4, 1, 2, 3)]);
    expect(80 - left).toBeCloseTo((2 * (10 + 0.7175 + (10 - 0.7175))) / 4, 4);
  });
});
