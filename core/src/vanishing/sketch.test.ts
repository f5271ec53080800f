import fc from "fast-check";
import { findings } from "../checks";
import { distance2 } from "../geometry";
import { newScene, type Sketch } from "../scene";
import { anyShot, shotWith } from "../../testing";
import { impossible, levelledSketch, offLevel, pinsOf, sketchFrom, viewOfSketch } from ".";

const main = newScene("Test").orientations[0];
const look = (sketch: Sketch) => findings(newScene("Test"), { ...shotWith(), sketch });

describe("points of a sketch", () => {
  it("that were taken from a view lead back to it", () => {
    fc.assert(
      fc.property(anyShot, (shot) => {
        const sketch = sketchFrom(main, shot);
        fc.pre(
          sketch?.third !== undefined &&
            [sketch.left, sketch.right, sketch.third].every(({ x, y }) => Math.hypot(x, y) < 2e4),
        );
        // Nearly level, the third point runs off and the triangle is all but open: rounding is all one would test.
        fc.pre(Math.abs(shot.gaze.pitch) > 5);
        // A sketch is drawn the right way up.
        fc.pre(Math.abs(shot.gaze.roll) < 80);
        const back = sketchFrom(main, viewOfSketch(main, shot, sketch!))!;
        for (const key of ["left", "right", "third"] as const)
          expect(distance2([back[key]!.x, back[key]!.y], [sketch![key]!.x, sketch![key]!.y])).toBeLessThan(0.01);
      }),
    );
  });

  it("of two points make a level view with both where they are", () => {
    const shot = viewOfSketch(main, shotWith(), { left: { x: -300, y: 100 }, right: { x: 900, y: 100 } });
    const [left, right] = pinsOf([main], shot).map((pin) => pin.point.at!);
    expect(left).toEqual([expect.closeTo(-300, 6), expect.closeTo(100, 6)]);
    expect(right).toEqual([expect.closeTo(900, 6), expect.closeTo(100, 6)]);
    // (cx - xL)(xR - cx) = d^2 with C before the panel's middle: 510 * 690.
    expect(shot.lens.distance).toBeCloseTo(Math.sqrt(510 * 690), 6);
  });

  it("off one level are found, in mm, and fixed", () => {
    const sketch = { left: { x: -300, y: 100 }, right: { x: 900, y: 112 } };
    expect(offLevel(sketch, shotWith())).toBeCloseTo(12, 9);
    const found = look(sketch).find(({ id }) => id === "sketch-off-horizon")!;
    expect(found).toMatchObject({ severity: "warning", value: 12, unit: "mm", at: [900, 112] });
    expect(found.fix!.shot.sketch).toEqual({ left: { x: -300, y: 106 }, right: { x: 900, y: 106 } });
    expect(levelledSketch(found.fix!.shot.sketch!, shotWith())).toEqual(found.fix!.shot.sketch);
    expect(look(found.fix!.shot.sketch!).filter(({ id }) => id.startsWith("sketch"))).toEqual([]);
  });

  it("whose triangle is obtuse are found, with the nearest third point that works", () => {
    // The circle over -300 and 900 has its middle at 300 and a radius of 600: 250 below the base lies well inside it.
    const sketch = { left: { x: -300, y: 100 }, right: { x: 900, y: 100 }, third: { x: 300, y: 350 } };
    expect(impossible(sketch)).toContain("not acute");
    const found = look(sketch).find(({ id }) => id === "sketch-impossible")!;
    expect(found).toMatchObject({ severity: "error", value: 351 });
    expect(found.fix!.shot.sketch!.third).toEqual({ x: 300, y: 701 });
    expect(impossible(found.fix!.shot.sketch!)).toBeNull();
    expect(() => viewOfSketch(main, shotWith(), sketch)).toThrow("not acute");
    // Points inside each other have no nearest: it says so and offers nothing.
    const same = look({ left: { x: 10, y: 10 }, right: { x: 10, y: 10 }, third: { x: 0, y: 500 } }).find(
      ({ id }) => id === "sketch-impossible",
    )!;
    expect(same.message).toContain("on top of each other");
    expect(same.fix).toBeUndefined();
  });
});
