import { newBuilding, newFixture, type Element } from "@zanvo/core/world";
import { fresh } from "./elements";

const kit = { id: "k", instance: "one", part: "house" };
const house: Element = newBuilding({
  ...{ id: "house", name: "Pub", base: 0, height: 6, roof: { kind: "flat" } },
  footprint: [
    { x: 0, y: 0 },
    { x: 5, y: 0 },
    { x: 5, y: 5 },
    { x: 0, y: 5 },
  ],
  row: "r",
  kept: true,
  kit,
});
const lamp: Element = {
  ...newFixture("lantern", { x: 1, y: 0, z: 2 }, 180),
  ...{ id: "lamp", name: "Lamp", kit: { ...kit, part: "lamp" } },
};
const kits = [{ id: "k", name: "Pub", of: "things" as const, revision: 1, elements: [house, lamp] }];

describe("copies of things", () => {
  it("have names of their own, are of no row, and all parts of a kit are one more instance of it", () => {
    const [first, second] = fresh([house, lamp], kits);
    expect(first).not.toHaveProperty("row");
    expect(first.id).not.toBe(house.id);
    expect(first.kit).toEqual({ ...kit, instance: expect.not.stringMatching(/^one$/) as string });
    expect(second.kit).toEqual({ ...first.kit, part: "lamp" });
  });

  it("are of no kit where not all of its parts are copied, or the scene has no such kit", () => {
    expect(fresh([lamp], kits)[0]).not.toHaveProperty("kit");
    expect(fresh([house, lamp]).every((one) => !one.kit)).toBe(true);
  });
});
