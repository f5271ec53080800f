import { boxOf } from "@zanvo/core/world";
import fc from "fast-check";
import { anyBlocks, block } from "../../testing";
import { beside, carried, mayCarry, thingsIn } from "./carried";

describe("things carried from one scene to another", () => {
  it("come out of their text as they went in", () => {
    fc.assert(
      fc.property(anyBlocks, (blocks) => {
        expect(mayCarry(carried(blocks))).toBe(true);
        expect(thingsIn(carried(blocks))).toEqual(JSON.parse(JSON.stringify(blocks)));
      }),
    );
  });

  it("are not found in other text, whatever it is", () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
        expect(() => thingsIn(text)).toThrow("is not part of a scene");
      }),
    );
    for (const text of ['{"format":"zanvo-things"}', '{"format":"zanvo-things","elements":{}}', "null"])
      expect(() => thingsIn(text)).toThrow("is not part of a scene");
  });

  it("stand beside what stands there already, and keep their places to one another", () => {
    const [a, b] = [block("a"), block("b", 30, 8)];
    const laid = beside([a, b], [a, b]);
    const places = laid.map((one) => boxOf(one).origin);
    expect(places[0]).not.toEqual(boxOf(a).origin);
    expect([places[1].x - places[0].x, places[1].y - places[0].y]).toEqual([
      boxOf(b).origin.x - boxOf(a).origin.x,
      boxOf(b).origin.y - boxOf(a).origin.y,
    ]);
    // Laid down once more, they stand beside the copies, too.
    expect(beside([a], [a, ...laid]).map((one) => boxOf(one).origin)).not.toEqual([boxOf(a).origin]);
    expect(beside([a], [b])).toEqual([a]);
  });
});
