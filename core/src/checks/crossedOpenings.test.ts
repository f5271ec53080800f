import { shotWith } from "../../testing";
import { newScene } from "../scene";
import { inMetric } from "../units";
import { newFurniture, newSign, type Building, type Element } from "../world";
import { seenFindings } from ".";

const house: Building = {
  id: "house",
  kind: "building",
  name: "Net loft",
  footprint: [
    { x: -6, y: 12 },
    { x: 6, y: 12 },
    { x: 6, y: 20 },
    { x: -6, y: 20 },
  ],
  base: 0,
  height: 6.4,
  storeys: 2,
  roof: { kind: "flat" },
  // Three windows in each storey, 1.4 m wide, from 1 to 2.6 m over the floor: the middle one about the middle.
  fronts: [{ side: 0, bays: "3", window: { width: 1.4, height: 1.6, sill: 1 } }],
};
const sign = (x: number, z: number, y = 12): Element => ({
  ...newSign({
    ...{ text: "I", typeface: "Plain", letters: ["M0 0L500 0L500 1000L0 1000Z"], line: 500, small: 700 },
    ...{ at: { x, y, z }, heading: 180, capital: 0.4 },
  }),
  id: "sign",
  name: "Fascia",
});
const told = (...hung: readonly Element[]) =>
  seenFindings({ ...newScene("Test"), elements: [house, ...hung] }, shotWith({ gaze: { heading: 0 } }))
    .filter(({ id }) => id.startsWith("across"))
    .map(({ message }) => inMetric(message));

describe("what hangs across an opening", () => {
  it("is told where it covers a window, and nowhere else on the wall", () => {
    expect(told(sign(0, 1.5))).toEqual(["Fascia crosses an opening of Net loft: what is in it is covered."]);
    expect(told(sign(0, 2.7))).toEqual([]);
    expect(told(sign(1.8, 1.5))).toEqual([]);
    // Reaching into it is enough.
    expect(told(sign(0.75, 1.5))).toHaveLength(1);
    expect(told(sign(0, 2.4))).toHaveLength(1);
  });

  it("is not told of what hangs farther before the wall, or looks another way", () => {
    expect(told(sign(0, 1.5, 11.5))).toEqual([]);
    expect(told({ ...sign(0, 1.5), heading: 90 } as Element)).toEqual([]);
    expect(told({ ...sign(0, 1.5), hidden: true })).toEqual([]);
  });

  it("is told of pictures, too", () => {
    const picture = { ...newFurniture("picture", { x: 0, y: 11.98, z: 1.2 }, 180), id: "p", name: "Print" };
    expect(told(picture)).toEqual(["Print crosses an opening of Net loft: what is in it is covered."]);
  });
});
