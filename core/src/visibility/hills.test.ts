import fc from "fast-check";
import { between, xy } from "../../testing";
import { compared } from "../../testing/rays";
import { dot, type Vec3 } from "../geometry";
import { built, DEFAULT_STREET, encloses, validateElement, type Element, type Ground } from "../world";

/** A hill of three points, a terrace cut into it, a lane up over both, and houses beside it. */
function hillTown(heights: readonly [number, number, number], grade: number): readonly Element[] {
  const hill: Ground = {
    id: "hill",
    kind: "ground",
    name: "Signal Hill",
    footprint: xy([
      [-30, 0],
      [34, -4],
      [40, 44],
      [3, 61],
      [-33, 40],
    ]),
    height: 0,
    spots: [
      { x: -7, y: 21, z: heights[0] },
      { x: 12, y: 26, z: heights[1] },
      { x: 1, y: 42, z: heights[2] },
    ],
  };
  const terrace: Ground = {
    ...hill,
    id: "terrace",
    name: "Lamp Terrace",
    footprint: xy([
      [8, 6],
      [27, 4],
      [29, 17],
      [9, 18],
    ]),
    height: 2.2,
    slope: { heading: 70, grade },
    spots: undefined,
    bank: 1.5,
  };
  const lane: Element = {
    id: "lane",
    kind: "street",
    name: "Oar Lane",
    path: xy([
      [-4, -20],
      [1, 14],
      [-6, 58],
    ]),
    ...DEFAULT_STREET,
    driveways: [{ at: 22, width: 3, side: "left" }],
  };
  const house = (id: string, x: number, y: number): Element => ({
    id,
    kind: "building",
    name: id,
    footprint: xy([
      [x, y],
      [x + 6.5, y + 0.4],
      [x + 6, y + 8.3],
      [x - 0.5, y + 7.9],
    ]),
    base: 0,
    height: 6,
    roof: { kind: "gable", rise: 2.2 },
    windows: { every: 2.4, width: 1.1, height: 1.2, sill: 0.9 },
    doors: [{ x: x + 3, y, width: 0.95, height: 2.1 }],
  });
  return [hill, terrace, lane, house("a", 9, 8), house("b", -18, 12), house("c", 8, 28), house("d", -20, 30)];
}

it("agrees with three's Raycaster on what is seen of a town on a hill", () => {
  let [checked, doubtful] = [0, 0];
  fc.assert(
    fc.property(
      between(1, 7),
      between(1, 7),
      between(1, 7),
      between(1, 20),
      between(0, 360),
      between(25, 70),
      between(0.6, 25),
      (a, b, c, grade, turn, far, z) => {
        const town = hillTown([a, b, c], grade);
        expect(town.filter((one) => validateElement(one))).toEqual([]);
        const world = built(town);
        const eye: Vec3 = [far * Math.sin(turn), 20 + far * Math.cos(turn), z];
        fc.pre(world.solids.every((solid) => !encloses(solid, eye)));
        // An eye on the very plane of a face has no clear answer.
        const planes = world.solids.flatMap(({ faces }) =>
          faces.map(({ normal, offset }) => dot(normal, eye) - offset),
        );
        fc.pre(Math.min(...planes.map(Math.abs)) > 0.02);
        const [more, unsure] = compared(world, eye);
        checked += more;
        doubtful += unsure;
      },
    ),
    { numRuns: 4 },
  );
  expect(checked).toBeGreaterThan(1500);
  expect(doubtful / checked).toBeLessThan(0.003);
});
