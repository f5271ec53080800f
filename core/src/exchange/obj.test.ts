import { xy } from "../../testing";
import { newScene } from "../scene";
import { built, DEFAULT_STREET, newTurned, type Element } from "../world";
import { toObj } from ".";

it("an OBJ holds streets as they join, and what stands on raised ground where it stands", () => {
  const street = (id: string, path: readonly (readonly [number, number])[]): Element => ({
    ...DEFAULT_STREET,
    id,
    kind: "street",
    name: id,
    path: xy(path),
  });
  const elements: Element[] = [
    street("along", [
      [-40, 0],
      [40, 0],
    ]),
    street("across", [
      [0, -40],
      [0, 40],
    ]),
    {
      id: "terrace",
      kind: "ground",
      name: "terrace",
      footprint: xy([
        [10, 10],
        [40, 10],
        [40, 40],
        [10, 40],
      ]),
      height: 3,
    },
    {
      id: "hut",
      kind: "block",
      name: "hut",
      origin: { x: 20, y: 20, z: 0 },
      heading: 0,
      length: 4,
      width: 4,
      height: 5,
    },
  ];
  const rows = toObj({ ...newScene("Map"), elements }).split("\n");
  const vertices = (name: string) => {
    const from = rows.indexOf(`o ${name}`);
    const to = rows.findIndex((row, i) => i > from && row.startsWith("o "));
    return rows.slice(from, to < 0 ? undefined : to).filter((row) => row.startsWith("v "));
  };
  const own = built(elements).solids.filter(({ id }) => id === "along");
  expect(vertices("along")).toHaveLength(own.reduce((sum, solid) => sum + solid.vertices.length, 0));
  // The pavements of both belong to the first.
  expect(vertices("across")).toEqual([]);
  expect(
    vertices("hut")
      .map((row) => Number(row.split(" ")[3]))
      .sort(),
  ).toEqual([3, 3, 3, 3, 8, 8, 8, 8]);
});

it("an OBJ has facets that leave round faces by no more than the tolerance (sagitta of their chords)", () => {
  const tank: Element = {
    id: "t",
    name: "Tank",
    ...newTurned("cylinder", { x: 3, y: -2, z: 1 }),
    radius: 5,
    height: 6,
  };
  const facets = (tolerance?: number) => {
    const rows = toObj({ ...newScene("Tank"), elements: [tank] }, tolerance).split("\n");
    const places = rows.filter((row) => row.startsWith("v ")).map((row) => row.split(" ").slice(1).map(Number));
    const loops = rows.filter((row) => row.startsWith("f ")).map((row) => row.split(" ").slice(1).map(Number));
    const off = (x: number, y: number) => 5 - Math.hypot(x - 3, y + 2);
    // The middles of the sides of its wall leave the circle most.
    const most = loops
      .filter((loop) => loop.length === 4)
      .map((loop) => loop.map((n) => places[n - 1]))
      .map((corners) => off(...([0, 1].map((k) => (corners[0][k] + corners[1][k]) / 2) as [number, number])));
    for (const [x, y] of places) expect(Math.abs(off(x, y))).toBeLessThan(1e-4);
    return { walls: most.length, most: Math.max(...most) };
  };
  const [usual, fine, coarse] = [facets(), facets(0.0005), facets(0.5)];
  expect([usual.most < 0.01 + 1e-4, fine.most < 0.0005 + 1e-4, coarse.most < 0.5]).toEqual([true, true, true]);
  // As many as are wanted: a sagitta s takes about pi / sqrt(2 s / r) of them.
  expect(fine.walls).toBeGreaterThan(Math.PI / Math.sqrt((2 * 0.0005) / 5));
  expect(usual.walls).toBeLessThan(fine.walls / 3);
  expect(coarse.walls).toBeLessThan(usual.walls);
});
