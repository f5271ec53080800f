import { block, rectangle } from "../../testing";
import { built, newColumns, type Building, type Columns, type Element } from "../world";
import { visibleEdges, HIDDEN } from "../visibility";
import { beforeWall } from ".";

/** Tuscan columns 6 m high are 6 / 7 m thick; with their entablature they reach 7.5 m, four of them in gaps of 2.25. */
const row: Columns = {
  id: "row",
  name: "Portico",
  ...newColumns("tuscan", { x: 2, y: 27, z: 0 }),
  ...{ height: 6, pediment: 0.2 },
};
const THICK = 6 / 7;
const WIDE = 3 * 3.25 * THICK + 2 * 1.05 * THICK;
const RIDGE = 7.5 + 0.2 * WIDE;
const hall = (roof: Building["roof"], height = 8): Building => ({
  ...{ id: "hall", kind: "building", name: "Hall", base: 0, height, roof },
  footprint: rectangle(-10, 30, 10, 42),
});

describe("a portico", () => {
  it("stands before the middle of the nearest wall, its ridge carried back to the roof (similar triangles)", () => {
    // A roof that rises by 4 m over 6 m to a ridge along the hall: the pediment's ridge meets it where it is as high.
    const there = beforeWall(row, [hall({ kind: "gable", rise: 4 })])!;
    expect(there).toMatchObject({ heading: 180, at: { x: 0, z: 0 }, depth: expect.closeTo(3.25 * THICK, 3) });
    expect(there.at.y).toBeCloseTo(30 - there.depth!, 9);
    expect(RIDGE).toBeGreaterThan(8);
    expect(there.ridge).toBeCloseTo(((RIDGE - 8) / 4) * 6, 6);
    // The eye sees it end on the roof: no stretch of its ridge that is seen lies under that.
    const elements: Element[] = [there, hall({ kind: "gable", rise: 4 })];
    const { solids } = built(elements);
    const visible = visibleEdges(solids, [-14, 12, 26]);
    const ends = [...visible.edgeClass.keys()].flatMap((i) => {
      const [x0, y0, z0, x1, y1, z1] = visible.ends.subarray(6 * i, 6 * i + 6);
      const isRidge = Math.max(Math.abs(x0), Math.abs(x1), Math.abs(z0 - RIDGE), Math.abs(z1 - RIDGE)) < 1e-6;
      return isRidge && visible.edgeClass[i] !== HIDDEN ? [Math.max(y0, y1)] : [];
    });
    expect(Math.max(...ends)).toBeCloseTo(30 + there.ridge!, 3);
  });

  it("has no ridge to carry back where the wall is higher, or its roof lies under it", () => {
    expect(beforeWall(row, [hall({ kind: "flat" }, 12)])!.ridge).toBe(0);
    expect(beforeWall(row, [hall({ kind: "flat" }, 8)])!.ridge).toBe(0);
    expect(beforeWall({ ...row, pediment: undefined }, [hall({ kind: "gable", rise: 4 })])!.ridge).toBeUndefined();
  });

  it("stands at the nearest of all walls, half columns against it, and nowhere without one", () => {
    const lodge: Building = { ...hall({ kind: "flat" }), id: "lodge", footprint: rectangle(4, 10, 9, 20), base: 1 };
    const east = beforeWall({ ...row, at: { x: 11, y: 16, z: 0 }, half: true }, [hall({ kind: "flat" }), lodge])!;
    expect(east).toMatchObject({ heading: 90, depth: 0, at: { x: 9, y: 15, z: 1 } });
    expect(beforeWall(row, [{ ...lodge, hidden: true }])).toBeNull();
    expect(beforeWall(row, [])).toBeNull();
    const mass = beforeWall(row, [block("mass", -3, 38, 6, 8, 9, 90)]);
    expect(mass).toMatchObject({ heading: 180, at: { x: 0 } });
  });
});
