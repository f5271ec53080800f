import { degrees } from "../geometry";
import { unproject, viewOf } from "../shot";
import { dot } from "../geometry";
import { shotWith } from "../../testing";
import { circleLines, coneRadius, CONES } from ".";

describe("cones of vision", () => {
  it("are where the line of sight lies half their angle off the gaze", () => {
    const view = viewOf(shotWith({ gaze: { pitch: 20, heading: 40 } }));
    for (const angle of CONES) {
      const r = coneRadius(view.distance, angle);
      for (const turn of [0, 1, 2.5]) {
        const ray = unproject(view, [view.centre[0] + r * Math.cos(turn), view.centre[1] + r * Math.sin(turn)]);
        expect(degrees(Math.acos(dot(ray, view.forward)))).toBeCloseTo(angle / 2, 9);
      }
    }
  });

  it("are drawn within 0.02 mm", () => {
    for (const radius of [3, 80, 300, 2000]) {
      const lines = circleLines([10, 20], radius);
      for (let i = 0; i < lines.length; i += 4) {
        const middle = Math.hypot((lines[i] + lines[i + 2]) / 2 - 10, (lines[i + 1] + lines[i + 3]) / 2 - 20);
        expect(radius - middle).toBeLessThan(0.0201);
      }
    }
  });
});
