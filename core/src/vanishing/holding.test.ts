import fc from "fast-check";
import { Matrix4, PerspectiveCamera, Vector3 } from "three";
import { distance2, type Vec2, type Vec3 } from "../geometry";
import { NoAnswer } from "../problem";
import type { Shot } from "../scene";
import { project, viewOf } from "../shot";
import { anyShot, between, shotWith } from "../../testing";
import { offPageAids, movePin, pinsOf, type Keep, type Role } from ".";

const main = { id: "main", name: "Main streets", heading: 35 };
const placed = (shot: Shot, role: Role): Vec2 | null => pinsOf([main], shot).find((pin) => pin.role === role)!.point.at;
/** How far apart two places are, against how far out they lie. */
const relativeGap = (a: Vec2, b: Vec2) => distance2(a, b) / (1 + Math.hypot(...b));

describe("what is kept while a pin moves", () => {
  const moves = fc.record({
    role: fc.constantFrom("left" as const, "right" as const, "upright" as const),
    keep: fc.constantFrom<Keep>("lens", "pins", "centre"),
    dx: between(-20, 20),
    dy: between(-20, 20),
  });
  it("is kept to 1e-9, and the pin is where it was put", () => {
    fc.assert(
      fc.property(anyShot, moves, (shot, { role, keep, dx, dy }) => {
        const before = { left: placed(shot, "left"), right: placed(shot, "right"), upright: placed(shot, "upright") };
        // Pins farther out than any desk are rounding; upside down, or looking nearly along the plumb line, left and
        // right change places.
        fc.pre(
          Object.values(before).every((at) => at !== null && Math.hypot(...at) < 5000) &&
            Math.abs(shot.gaze.roll) < 80 &&
            Math.abs(shot.gaze.pitch) > 8 &&
            Math.abs(shot.gaze.pitch) < 55,
        );
        const start = before[role]!;
        let moved: Shot;
        try {
          moved = movePin(main, shot, role, [start[0] + dx, start[1] + dy], keep);
        } catch (refused) {
          expect(refused).toBeInstanceOf(NoAnswer);
          return;
        }
        fc.pre(Math.abs(moved.gaze.roll) < 80);
        if (role === "upright")
          expect(relativeGap(placed(moved, role)!, [start[0] + dx, start[1] + dy])).toBeLessThan(1e-9);
        expect(moved.eye).toEqual(shot.eye);
        const others = (["left", "right", "upright"] as const).filter((one) => one !== role);
        // By place and not by name: where a set comes to lie straight ahead, left and right change names.
        const now = pinsOf([main], moved).flatMap((pin) => (pin.point.at ? [pin.point.at] : []));
        const stays = others.map((one) => Math.min(...now.map((at) => relativeGap(at, before[one]!))));
        const centre = relativeGap(
          [moved.lens.centre.x, moved.lens.centre.y],
          [shot.lens.centre.x, shot.lens.centre.y],
        );
        if (keep === "lens")
          expect([moved.lens.distance, moved.lens.centre]).toEqual([shot.lens.distance, shot.lens.centre]);
        if (keep === "pins") expect(Math.max(...stays)).toBeLessThan(1e-9);
        // One other pin stays with the centre: the second is where the triangle closes.
        if (keep === "centre") expect(Math.max(centre, Math.min(...stays))).toBeLessThan(1e-9);
      }),
      { numRuns: 600 },
    );
  });
});

describe("a cube under roll", () => {
  it("is where three's matrices put its corners", () => {
    for (const roll of [0, 17, -48, 90, 180]) {
      const shot = shotWith({ gaze: { heading: 25, pitch: -14, roll }, eye: { x: 1, y: -2, z: 3 } });
      const camera = new PerspectiveCamera((2 * Math.atan(148.5 / 300) * 180) / Math.PI, 420 / 297, 0.1, 1000);
      // Camera axes: right, up, back. Heading turns about z, pitch about the turned right, roll about the gaze.
      const turned = new Matrix4()
        .makeRotationZ((-25 * Math.PI) / 180)
        .multiply(new Matrix4().makeRotationX(((90 - 14) * Math.PI) / 180))
        .multiply(new Matrix4().makeRotationZ((-roll * Math.PI) / 180));
      camera.matrixWorld.copy(turned).setPosition(1, -2, 3);
      camera.matrixWorldInverse.copy(camera.matrixWorld).invert();
      for (const corner of [0, 1, 2, 3, 4, 5, 6, 7]) {
        const point: Vec3 = [3 + (corner & 1) * 2, 6 + ((corner >> 1) & 1) * 2, (corner >> 2) * 2];
        const seen = new Vector3(...point)
          .applyMatrix4(camera.matrixWorldInverse)
          .applyMatrix4(camera.projectionMatrix);
        const ours = project(viewOf(shot), point)!;
        expect(ours[0]).toBeCloseTo(210 + 210 * seen.x, 8);
        expect(ours[1]).toBeCloseTo(148.5 - 148.5 * seen.y, 8);
      }
    }
  });
});

describe("edge ticks, tilts, the taped strip and the centrolinead", () => {
  it("all lead to the same pin within 0.01 mm", () => {
    fc.assert(
      fc.property(
        between(5, 3000),
        between(60, 237),
        fc.constantFrom("left" as const, "right" as const),
        (beyond, level, side) => {
          const sheet = { width: 420, height: 297 };
          const pin: Vec2 = [side === "left" ? -beyond : 420 + beyond, level];
          const { ticks, distance, level: on, centrolinead } = offPageAids(sheet, pin, 12)!;
          const [edge, opposite, out] = side === "left" ? [0, 420, -1] : [420, 0, 1];
          expect(distance2([edge + out * distance, on], pin)).toBeLessThan(0.01);
          const both = ticks.filter(({ number, near, far }) => number !== 0 && near !== null && far !== null);
          for (const { near, far } of both) {
            const slope = (far! - near!) / (opposite - edge);
            const x = edge + (on - near!) / slope;
            expect(distance2([x, near! + slope * (x - edge)], pin)).toBeLessThan(0.01);
          }
          for (const { number, near, tilt } of ticks) {
            if (near === null || number === 0) continue;
            // From its tick, the line of its tilt (rising to the right positive) crosses the pin's level at the pin.
            const x = edge + (near - on) / Math.tan((tilt * Math.PI) / 180);
            expect(Math.abs(x - pin[0])).toBeLessThan(0.01);
          }
          // With its head on the line of the pegs' circle, the ruler bisects the legs: straight over the pin's level,
          // D = h tan(angle).
          if (centrolinead)
            expect(
              Math.abs(edge + out * centrolinead.pegs * Math.tan((centrolinead.angle * Math.PI) / 180) - pin[0]),
            ).toBeLessThan(0.01);
        },
      ),
    );
  });
});
