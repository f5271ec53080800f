import fc from "fast-check";
import { PerspectiveCamera, Vector3 } from "three";
import { headingDirection } from "../geometry";
import { NoAnswer } from "../problem";
import type { Orientation, Slope } from "../scene";
import { viewOf } from "../shot";
import { anyShot, between, shotWith } from "../../testing";
import { pinsOf, slopeTo } from ".";

const slope: Slope = { id: "roof", name: "Roofs", axis: "across", rise: 35 };
const main: Orientation = { id: "main", name: "Main streets", heading: 35, slopes: [slope] };
const at = (shot = shotWith(), of = main) =>
  Object.fromEntries(pinsOf([of], shot).map((pin) => [pin.id, pin.point.at]));

describe("slopes", () => {
  it(
    "have their points on the upright through the level one, tan(s) sqrt((xV - cx)^2 + d^2) above and below " +
      "(handbook)",
    () => {
      // Across 35 degrees is 125, seen away from the eye as 305, which is -55: V at 210 - 300 tan 55 degrees.
      const { "main-left": level, "roof-up": up, "roof-down": down } = at();
      const high = Math.tan((35 * Math.PI) / 180) * Math.hypot(level![0] - 210, 300);
      expect(up).toEqual([expect.closeTo(level![0], 9), expect.closeTo(148.5 - high, 9)]);
      expect(down).toEqual([expect.closeTo(level![0], 9), expect.closeTo(148.5 + high, 9)]);
    },
  );

  it("stand where three sees a far point of a pitched roof's edge", () => {
    const shot = shotWith({ gaze: { heading: 12, pitch: 9 } });
    const camera = new PerspectiveCamera(2 * (180 / Math.PI) * Math.atan(148.5 / 300), 420 / 297, 1, 1e12);
    camera.up.set(0, 0, 1);
    camera.lookAt(new Vector3(...viewOf(shot).forward));
    camera.updateMatrixWorld();
    const [x, y] = headingDirection(305);
    const [c, s] = [Math.cos((35 * Math.PI) / 180), Math.sin((35 * Math.PI) / 180)];
    const far = new Vector3(x * c, y * c, s).multiplyScalar(1e9).project(camera);
    const pin = at(shot)["roof-up"]!;
    expect(pin[0]).toBeCloseTo(210 + 210 * far.x, 4);
    expect(pin[1]).toBeCloseTo(148.5 - 148.5 * far.y, 4);
  });

  it("follow a dragged point in their rise, and the other point follows too", () => {
    fc.assert(
      fc.property(anyShot, between(2, 80), fc.constantFrom("up" as const, "down" as const), (shot, rise, role) => {
        const wanted = { ...main, slopes: [{ ...slope, rise }] };
        const pin = pinsOf([wanted], shot).find((one) => one.role === role)!;
        // Where the line runs along the picture, or its point is far beyond any desk, there is nothing to drag.
        fc.pre(
          pin.point.at !== null && Math.hypot(...pin.point.at) < 1e6 && pin.direction[2] * (role === "up" ? 1 : -1) > 0,
        );
        expect(slopeTo(main, slope, shot, role, pin.point.at!)).toBeCloseTo(rise, 5);
      }),
    );
    expect(() => slopeTo(main, slope, shotWith(), "up", [-200, 200])).toThrow(NoAnswer);
  });

  it("are told apart from every other set", () => {
    const sets = pinsOf(
      [main, { id: "o2", name: "Canal", heading: 60, slopes: [{ ...slope, id: "ramp" }] }],
      shotWith(),
    ).map((pin) => pin.set);
    expect(new Set(sets).size).toBe(sets.length);
  });
});
