import { seededRandom } from "../geometry";
import { build, dressed, newBuilding, validateBuilding, type Building } from ".";

const house = (change: Partial<Building> = {}): Building =>
  newBuilding({
    id: "h",
    name: "House",
    footprint: [
      { x: 0, y: 0 },
      { x: 14, y: 0 },
      { x: 13, y: 5 },
      { x: 6, y: 5 },
      { x: 5, y: 11 },
      { x: 0, y: 9 },
    ],
    base: 0,
    height: 9.4,
    roof: { kind: "flat" },
    ...change,
  });

describe("a building given roof and windows by rule", () => {
  it("can stand whatever its footprint, has windows in every storey, and roofs of several kinds by chance", () => {
    const roll = seededRandom(3);
    const many = Array.from({ length: 40 }, () => dressed(house(), roll));
    expect(many.map(validateBuilding)).toEqual(many.map(() => null));
    for (const one of many) {
      expect(one).toMatchObject({ storeys: 3, windows: { every: 2.4 }, height: 9.4 });
      expect(build([one]).length).toBeGreaterThan(0);
    }
    expect(new Set(many.map(({ roof }) => roof.kind))).toEqual(new Set(["gable", "flat", "hip", "mansard"]));
  });

  it("keeps what it has", () => {
    const windows = { every: 4, width: 2, height: 2, sill: 0.4 };
    const own = house({ windows, storeys: 2, roof: { kind: "hip", rise: 2 } });
    expect(dressed(own, seededRandom(1))).toEqual(own);
  });
});
