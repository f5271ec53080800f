import { block } from "../../testing";
import { DEFAULT_STREET, type Street } from "../world";
import { laneAt, rowEnds, standingOn, wayBeside } from ".";

const xy = (path: readonly (readonly [number, number])[]) => path.map(([x, y]) => ({ x, y }));
const street = (path: readonly (readonly [number, number])[]): Street => ({
  id: "s",
  kind: "street",
  name: "Bell lane",
  path: xy(path),
  ...DEFAULT_STREET,
});
const eastward = street([
  [0, 0],
  [100, 0],
]);

describe("what is laid beside a street", () => {
  it("takes the heading of the street's part that is nearest, and none from far off", () => {
    const bent = street([
      [0, 0],
      [50, 0],
      [50, 60],
    ]);
    expect(wayBeside([bent], [20, 12])).toMatchObject({ heading: 90, foot: [20, 0] });
    expect(wayBeside([bent], [62, 40])).toMatchObject({ heading: 0, foot: [50, 40] });
    expect(wayBeside([bent], [-30, -30])).toBeNull();
    expect(wayBeside([{ ...bent, hidden: true }, block("b", 20, 3, 4, 4, 4)], [20, 12])).toBeNull();
  });

  it("stands away from it, whichever way it is drawn", () => {
    const [a, b] = [
      [10, 8],
      [40, 8],
    ] as const;
    // Houses on the right of who walks west, north of the street.
    expect(rowEnds([eastward], a, b)).toEqual([b, a]);
    expect(rowEnds([eastward], b, a)).toEqual([b, a]);
    const [c, d] = [
      [10, -8],
      [40, -8],
    ] as const;
    expect(rowEnds([eastward], c, d)).toEqual([c, d]);
    expect(rowEnds([eastward], d, c)).toEqual([c, d]);
    expect(rowEnds([], b, a)).toEqual([b, a]);
  });

  it("is told what it would be laid over, but not what it touches or what lies on the ground", () => {
    const house = block("house", 0, 0, 10, 10, 5);
    const over = block("over", 4, 4, 3, 3, 5);
    const across = block("across", -2, 8, 5, 20, 5);
    const beside = block("beside", 10, 0, 10, 4, 5);
    expect(standingOn([house], [over, across, beside, eastward]).map(({ id }) => id)).toEqual(["over", "across"]);
    expect(standingOn([over], [house])).toEqual([house]);
    expect(standingOn([house], [{ ...over, hidden: true }])).toEqual([]);
  });
});

describe("the lane that a vehicle is put in", () => {
  const four = { ...eastward, carriageway: 12, lanes: 4, rails: true };

  it("is the one pressed on, by its middle, and runs as its traffic does", () => {
    // Four lanes of 3 m: the southern two run east where one keeps to the right, the northern two back.
    for (const [y, middle, heading] of [
      [-5, -4.5, 90],
      [-0.1, -1.5, 90],
      [0.1, 1.5, 270],
      [5.9, 4.5, 270],
    ]) {
      expect(laneAt([four], [20, y], false)).toEqual({ at: [20, expect.closeTo(middle, 9)], heading });
      const left = { ...four, junctions: { stopLines: "left" as const } };
      expect(laneAt([left], [20, y], false)!.heading % 360).toBe((heading + 180) % 360);
    }
    expect(laneAt([four], [20, 6.1], false)).toBeNull();
    expect(laneAt([{ ...four, hidden: true }], [20, 1], false)).toBeNull();
  });

  it("is the track for what runs on rails: in a street, or by itself", () => {
    expect(laneAt([four], [20, 2], true)).toEqual({ at: [20, 0], heading: 90 });
    expect(laneAt([eastward], [20, 2], true)).toBeNull();
    const path = xy([
      [0, 30],
      [0, 60],
    ]);
    expect(laneAt([{ id: "r", kind: "rails", name: "Track", path }], [1, 40], true)).toEqual({
      at: [0, 40],
      heading: 0,
    });
  });
});
