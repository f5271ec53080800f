import { xy } from "../../testing";
import { newScene } from "../scene";
import { built, DEFAULT_STREET, type Element } from "../world";
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
