import { block } from "../../testing";
import {
  DEFAULT_ROW,
  DEFAULT_STREET,
  fillRow,
  outlineOf,
  type Block,
  type Element,
  type Row,
  type Street,
} from "../world";
import { aligned, byStreet, LINES, spread, type Line } from ".";

const street = (id: string, y: number): Street => ({
  id,
  kind: "street",
  name: `Street ${id}`,
  path: [
    { x: -50, y },
    { x: 50, y },
  ],
  ...DEFAULT_STREET,
});

describe("things by street", () => {
  it("keep rows and groups together, at the street that most of them stand on", () => {
    const row: Row = {
      ...DEFAULT_ROW,
      id: "r",
      name: "North side",
      from: { x: 40, y: 8 },
      to: { x: -40, y: 8 },
      seed: 3,
    };
    const houses = fillRow(row, [], String);
    const elements: Element[] = [
      street("a", 0),
      street("b", 120),
      ...houses,
      { ...block("hall", 0, 105, 6, 6, 6), group: "Fish trade" },
      { ...block("ice", 4, -12, 6, 6, 6), group: "Fish trade" },
      { ...block("cart", 9, 110, 2, 2, 2), group: "Fish trade" },
      block("kiosk", 0, -9, 2, 2, 3),
      block("lighthouse", 400, 400, 5, 5, 30),
    ];
    const found = byStreet(elements, [row]).map(({ street: at, standing }) => [
      at?.id ?? null,
      standing.map(({ name, elements: own }) => [name, own.length]),
    ]);
    expect(found).toEqual([
      [
        "a",
        [
          ["North side", houses.length],
          [null, 1],
        ],
      ],
      ["b", [["Fish trade", 3]]],
      [null, [[null, 1]]],
    ]);
  });
});

describe("lines of things", () => {
  const things: Block[] = [
    block("first", 0, 0, 10, 4, 5, 30),
    block("second", 30, 8, 6, 6, 5, 75),
    block("third", -9, 40, 3, 8, 5),
  ];
  const h = (30 * Math.PI) / 180;
  const [l, w] = [
    [Math.sin(h), Math.cos(h)],
    [Math.cos(h), -Math.sin(h)],
  ];
  const span = (element: Element, [x, y]: readonly number[]) => {
    const along = outlineOf(element).map((p) => p[0] * x + p[1] * y);
    return [Math.min(...along), Math.max(...along)];
  };

  it("run with the first thing, which stays", () => {
    const of: Readonly<Record<Line, (element: Element) => number>> = {
      "near-ends": (one) => span(one, l)[0],
      "far-ends": (one) => span(one, l)[1],
      "left-sides": (one) => span(one, w)[0],
      "right-sides": (one) => span(one, w)[1],
      "middles-across": (one) => span(one, w)[0] + span(one, w)[1],
      "middles-along": (one) => span(one, l)[0] + span(one, l)[1],
    };
    for (const line of Object.keys(LINES) as Line[]) {
      const put = aligned(things, line);
      expect(put[0]).toEqual(things[0]);
      for (const one of put) expect(of[line](one)).toBeCloseTo(of[line](things[0]), 9);
    }
  });

  it("have as much room between each and the next once they are spread, the outermost staying", () => {
    const row = [
      block("a", 0, 0, 4, 4, 3),
      block("b", 0, 30, 8, 4, 3),
      block("c", 1, 6, 2, 4, 3),
      block("d", 0, 7, 3, 4, 3),
    ];
    const put = spread(row);
    expect([put[0], put[1]]).toEqual([row[0], row[1]]);
    // From 0 to 38 m stand 4, 2, 3 and 8 m: 21 m are left for three gaps.
    expect(put.map(({ origin }) => origin.y)).toEqual([0, 30, 11, 20].map((v) => expect.closeTo(v, 9)));
    expect(spread(row.slice(0, 2))).toEqual(row.slice(0, 2));
  });
});
