import { project, stretchAcross, viewOf } from ".";
import { along, unit, type Vec3 } from "../geometry";
import { shotWith } from "../../testing";

describe("the stretch across a panel", () => {
  it("is what small things on a ball around the eye are drawn like, outward and across", () => {
    const shot = shotWith({ distance: 200, centre: { x: 150 } });
    const view = viewOf(shot);
    for (const { at, radial, tangential } of stretchAcross(shot, 10)) {
      const x = shot.frame.x + at;
      if (Math.abs(x - 150) < 1) continue;
      // A step of a ten thousandth on the ball, along the radius (level here) and across it (upright), in the picture.
      const ray = unit([x - 150, 200, 0] as Vec3);
      const outward: Vec3 = [ray[1], -ray[0], 0];
      const step = (way: Vec3) => {
        const [a, b] = [1, -1].map((side) => project({ ...view, eye: [0, 0, 0] }, along(ray, way, side * 5e-5))!);
        return Math.hypot(a[0] - b[0], a[1] - b[1]) / 1e-4 / 200;
      };
      expect(step(outward)).toBeCloseTo(radial, 5);
      expect(step([0, 0, 1])).toBeCloseTo(tangential, 5);
    }
  });

  it("is 2 outward at 45 degrees, and runs at the panel's edge where the centre lies off it", () => {
    const [left] = stretchAcross(shotWith({ distance: 195 }));
    expect(left.angle).toBeCloseTo(45, 9);
    expect(left.radial).toBeCloseTo(2, 9);
    const high = stretchAcross(shotWith({ centre: { y: -100 } }));
    expect(Math.min(...high.map(({ angle }) => angle))).toBeCloseTo((Math.atan(115 / 300) * 180) / Math.PI, 6);
  });
});
