import { frontOn, newBuilding, type Building } from "@zanvo/core/world";
import { changedBay, middleOfOpening, movedBy, movedTo, openingIn, ownOf, withOwn } from "./ownBays";
import { bayAt } from "./pressWall";
import { wallFrame } from "./wallFrame";

const loft: Building = newBuilding({
  id: "loft",
  name: "Net loft",
  footprint: [
    { x: 0, y: 0 },
    { x: 8.8, y: 0 },
    { x: 8.8, y: 6 },
    { x: 0, y: 6 },
  ],
  base: 0,
  height: 6,
  storeys: 2,
  roof: { kind: "flat" },
  fronts: [{ side: 0, bays: "4" }],
});
const at = { bay: 1, storey: 1 };

describe("what single bays have of their own", () => {
  it("is moved in steps of 0.05 m, freely where that is wanted, and doors stay on their floor", () => {
    // Bays of 2 m between ends of 0.4 m: the second one's middle is 3.4 m along; its sill is 0.9 m up.
    expect(middleOfOpening(openingIn(loft, 0, at)!)).toEqual([expect.closeTo(3.4, 9), expect.closeTo(3 + 1.5, 9)]);
    expect(movedBy(loft, 0, at, [0.13, -0.21])).toEqual({ by: 0.15, sill: 0.7 });
    expect(movedBy(loft, 0, at, [0.13, -0.21], true)).toEqual({ by: 0.13, sill: 0.69 });
    expect(movedTo(loft, 0, at, [3.4, 3])).toEqual({ by: 0, sill: 0 });
    const withDoor = changedBay(loft, 0, { bay: 0, storey: 0 }, { opening: "door" });
    expect(movedBy(withDoor, 0, { bay: 0, storey: 0 }, [0.1, 1])).toEqual({ by: 0.1 });
    expect(movedBy(loft, 0, { bay: 9, storey: 0 }, [0, 0])).toBeNull();
  });

  it("is marked for who stands before its wall, and not from within or behind", () => {
    const { faces, at: placeOf } = wallFrame(loft, 0, [loft]);
    expect([faces([4, -3, 1.6]), faces([4, 3, 1.6]), faces([4, 9, 1.6])]).toEqual([true, false, false]);
    expect(placeOf([3.4, 4.5])).toEqual([3.4, 0, 4.5]);
  });

  it("is put beside what the bay has already, and is given back to the rule", () => {
    const [front] = loft.fronts!;
    const once = withOwn(front, at, { width: 0.8 });
    const twice = withOwn(once, at, { by: 0.2 });
    expect(ownOf(twice, at)).toEqual({ ...at, width: 0.8, by: 0.2 });
    expect(withOwn(twice, at, null).own).toBeUndefined();
    expect(() => changedBay(loft, 0, at, { by: 9 })).toThrow("reaches over the corner of its wall");
    expect(frontOn(changedBay(loft, 0, at, { by: 0.2 }), 0)!.own).toHaveLength(1);
  });

  it("is of the bay that is pressed", () => {
    expect(bayAt(loft, 0, [3, 4])).toEqual(at);
    expect(bayAt(loft, 0, [0.2, 4])).toBeNull();
    expect(bayAt(loft, 1, [3, 4])).toBeNull();
  });
});
