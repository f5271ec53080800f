import { block } from "../../testing";
import { remembered, rememberedByValues, rememberedOfAll } from "./remembered";
import { terrainOf, type Element } from ".";

const frozen = (elements: readonly Element[]) => Object.freeze(elements.map((element) => Object.freeze(element)));

describe("what is worked out once", () => {
  it("is kept for what cannot change, and worked out again for what can", () => {
    const work = jest.fn(({ n }: { readonly n: number }) => 2 * n);
    const twice = remembered(work);
    const [fixed, open] = [Object.freeze({ n: 1 }), { n: 3 }];
    expect([twice(fixed), twice(fixed), twice(open)]).toEqual([2, 2, 6]);
    open.n = 4;
    expect(twice(open)).toBe(8);
    expect(work).toHaveBeenCalledTimes(3);
  });

  it("of several things together is kept until one of them is another", () => {
    const work = jest.fn((all: readonly { readonly n: number }[]) => all.reduce((sum, { n }) => sum + n, 0));
    const sum = rememberedOfAll(work);
    const [a, b, c] = [1, 2, 4].map((n) => Object.freeze({ n }));
    expect([sum([a, b]), sum([a, b]), sum([a, c]), sum([a, c, b]), sum([a, b])]).toEqual([3, 3, 5, 7, 3]);
    expect(work).toHaveBeenCalledTimes(4);
  });

  it("by plain values is the same object for the same ones, whatever their kinds", () => {
    const work = jest.fn((...from: readonly [string, number | undefined]) => ({ from }));
    const made = rememberedByValues(work);
    expect(made("a", 1)).toBe(made("a", 1));
    expect(made("a", undefined)).not.toBe(made("a", 1));
    expect(made("1", 1)).not.toBe(made("1,1", undefined));
    expect(work).toHaveBeenCalledTimes(4);
  });

  it("is the ground while only what stands on it changes", () => {
    const hill: Element = {
      id: "hill",
      kind: "ground",
      name: "Hill",
      footprint: [
        { x: 0, y: 0 },
        { x: 40, y: 0 },
        { x: 40, y: 30 },
        { x: 0, y: 30 },
      ],
      height: 4,
      bank: 6,
    };
    const world = frozen([hill, block("house", 5, 5, 4, 4, 4)]);
    const moved = frozen([hill, block("house", 9, 5, 4, 4, 4)]);
    expect(terrainOf(moved)).toBe(terrainOf(world));
    expect(terrainOf(frozen([{ ...hill, height: 5 }]))).not.toEqual(terrainOf(world));
  });
});
