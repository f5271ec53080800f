import { block, shotWith } from "../../testing";
import { newScene } from "../scene";
import { inMetric } from "../units";

import { climbsOn, DEFAULT_STREET, terrainOf, type Element, type Ground, type Street } from "../world";
import { seenFindings } from ".";

const at = (points: readonly (readonly [number, number])[]) => points.map(([x, y]) => ({ x, y }));
const slope = (grade: number, of: Partial<Ground> = {}): Ground => ({
  id: "g",
  kind: "ground",
  name: "Gull Bank",
  footprint: at([
    [-20, 20],
    [20, 20],
    [20, 60],
    [-20, 60],
  ]),
  height: 0,
  slope: { heading: 0, grade },
  ...of,
});
const lane = (path: readonly (readonly [number, number])[]): Street => ({
  id: "l",
  kind: "street",
  name: "Oar Lane",
  path: at(path),
  ...DEFAULT_STREET,
});
const told = (elements: readonly Element[], eye = { x: 0, y: 0, z: 1.6 }) =>
  seenFindings({ ...newScene("Test"), elements: [...elements] }, { ...shotWith({}), eye })
    .filter(({ id }) => /^(steep|cliff|eye)-/.test(id))
    .map(({ id, message }) => `${id}: ${inMetric(message)}`);

it("a street's gradient follows from the slope and the angle at which it climbs", () => {
  const straight = climbsOn(
    lane([
      [0, 0],
      [0, 60],
    ]),
    terrainOf([slope(10)]),
  );
  expect(straight.cliffs).toEqual([]);
  expect(straight.climbs).toHaveLength(1);
  // atan(0.1) = 5.711 degrees.
  expect(straight.climbs[0]).toMatchObject({ heading: 0, heights: [0, 4] });
  expect(straight.climbs[0].rise).toBeCloseTo(5.7106, 4);
  // Under 60 degrees to the fall line it rises half as much: cos 60 = 1/2.
  const askew = climbsOn(
    lane([
      [-17.3205, 30],
      [17.3205, 50],
    ]),
    terrainOf([slope(10)]),
  );
  expect(askew.climbs[0].grade).toBeCloseTo(5, 4);
  expect(askew.climbs[0].heading).toBeCloseTo(60, 3);
  // Downhill, the heading is still told uphill.
  const down = climbsOn(
    lane([
      [0, 55],
      [0, 25],
    ]),
    terrainOf([slope(10)]),
  );
  expect(down.climbs[0].heading).toBeCloseTo(0, 9);
});

it("streets over 25 in a hundred, and over an edge of the ground, are told", () => {
  expect(
    told([
      slope(24),
      lane([
        [0, 0],
        [0, 60],
      ]),
    ]),
  ).toEqual([]);
  expect(
    told([
      slope(30),
      lane([
        [0, 0],
        [0, 60],
      ]),
    ]),
  ).toEqual(["steep-l: Oar Lane rises 30 in a hundred: streets rise up to 25. Lead it along the slope, or lay steps."]);
  const terrace = slope(10, { slope: undefined, height: 3 });
  expect(
    told([
      terrace,
      lane([
        [0, 0],
        [0, 60],
      ]),
    ])[0],
  ).toMatch(/^cliff-l: Oar Lane runs over an edge of the ground 3\.0 m high/);
});

it("what stands over an edge as high as its walls is told, and an eye under the ground is put on it", () => {
  const terrace = slope(10, { slope: undefined, height: 5 });
  const shed = block("shed", -5, 15, 10, 10, 4);
  expect(told([terrace, shed])[0]).toMatch(/^cliff-shed: The ground rises 5\.0 m under shed, as high as its walls/);
  expect(told([terrace, block("shed", -5, 25, 10, 10, 4)])).toEqual([]);
  expect(told([terrace], { x: 0, y: 30, z: 1.6 })[0]).toMatch(
    /^eye-underground: The eye lies 3\.40 m under the ground/,
  );
  // On the terrace, one stands inside a shed up to 9 m over the field.
  const inside = (z: number) => told([terrace, block("hall", -5, 25, 10, 10, 4)], { x: 0, y: 30, z });
  expect(inside(8)[0]).toMatch(/^eye-inside-hall/);
  expect(inside(9.5)).toEqual([]);
});
