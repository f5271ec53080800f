import cv from "@techstark/opencv-js";
import fc from "fast-check";
import { between } from "../../testing";
import { cvLoaded } from "../../testing/opencv";
import { applyHomography, degrees, fromUnitSquare, radians, type Quad, type Vec2 } from "../geometry";
import { newScene } from "../scene";
import { project, viewOf } from "../shot";
import { byHand, circleInQuad, EIGHT, howItLies, levelError, onEllipse, templateFor } from ".";

const SQUARE: Quad = [
  [0, 0],
  [100, 0],
  [100, 100],
  [0, 100],
];
const shot = newScene("Test").shots[0];
const view = viewOf({ ...shot, gaze: { heading: 12, pitch: 7, roll: 3 } });
/** The picture of a level square of 2 m, so far ahead, to the right and up, m, turned, degrees. */
function level(ahead: number, right: number, up: number, turn: number): Quad {
  const [c, s] = [Math.cos(radians(turn)), Math.sin(radians(turn))];
  const corner = (x: number, y: number) => project(view, [right + c * x - s * y, ahead + s * x + c * y, 1.6 + up])!;
  return [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)];
}
const anyQuad = fc
  .tuple(between(5, 40), between(-6, 6), between(0.2, 4), between(0, 90))
  .map(([ahead, right, up, turn]) => level(ahead, right, up, turn));

/** Places of the circle in a square, as they are seen. */
const circleIn = (quad: Quad, n: number): Vec2[] => {
  const h = fromUnitSquare(quad);
  return Array.from({ length: n }, (_, i) => {
    const turn = (2 * Math.PI * i) / n;
    return applyHomography(h, [0.5 + Math.cos(turn) / 2, 0.5 + Math.sin(turn) / 2])!;
  });
};
const far = ([x, y]: Vec2, [u, v]: Vec2) => Math.hypot(x - u, y - v);

describe("the circle in the picture of a square", () => {
  it("is a circle where the square is one, by plain arithmetic", () => {
    const { centre, semiAxes, tilt, circleCentre, points } = circleInQuad(SQUARE);
    expect([...centre, ...circleCentre, ...semiAxes, tilt]).toEqual(
      [50, 50, 50, 50, 50, 50, 0].map((v) => expect.closeTo(v, 9)),
    );
    // The diagonals are cut 0.1464 of the side from the edges.
    expect(points[1]).toEqual([expect.closeTo(85.36, 2), expect.closeTo(14.64, 2)]);
    const oblong = circleInQuad([
      [0, 0],
      [0, 60],
      [200, 60],
      [200, 0],
    ]);
    expect([...oblong.semiAxes, oblong.tilt]).toEqual([100, 30, 0].map((v) => expect.closeTo(v, 9)));
    const upright = circleInQuad([
      [0, 0],
      [60, 0],
      [60, 200],
      [0, 200],
    ]);
    expect(upright.tilt).toBeCloseTo(90, 9);
  });

  it("leans as its long axis does, clockwise from right where y runs down", () => {
    const turned = SQUARE.map(([x, y]): Vec2 => {
      const [u, v] = [2 * (x - 50), y - 50];
      const [c, s] = [Math.cos(radians(30)), Math.sin(radians(30))];
      return [c * u - s * v, s * u + c * v];
    });
    expect(circleInQuad([turned[0], turned[1], turned[2], turned[3]]).tilt).toBeCloseTo(30, 9);
  });

  it("passes every place of the projected circle, the eight among them, wherever that is", () => {
    fc.assert(
      fc.property(anyQuad, (quad) => {
        const ellipse = circleInQuad(quad);
        const { centre, semiAxes, tilt, points } = ellipse;
        const [a, b] = semiAxes;
        expect(a).toBeGreaterThanOrEqual(b);
        for (const [x, y] of [...circleIn(quad, 24), ...points]) {
          const [c, s] = [Math.cos(radians(tilt)), Math.sin(radians(tilt))];
          const [u, v] = [x - centre[0], y - centre[1]];
          expect(((c * u + s * v) / a) ** 2 + ((c * v - s * u) / b) ** 2).toBeCloseTo(1, 6);
        }
        expect(points).toHaveLength(EIGHT.length);
      }),
    );
  });

  it("has its circle's centre beyond its own, towards the horizon", () => {
    fc.assert(
      fc.property(between(5, 40), between(0.3, 3), (ahead, down) => {
        const { centre, circleCentre } = circleInQuad(level(ahead, 0, -down, 0));
        // Below the eye what is farther is higher on the sheet, where y runs down.
        expect(circleCentre[1]).toBeLessThan(centre[1]);
      }),
    );
  });

  it("obeys Apollonius: of conjugate half diameters the squares have one sum, and the area is the same", () => {
    fc.assert(
      fc.property(anyQuad, between(0, 360), (quad, at) => {
        const ellipse = circleInQuad(quad);
        const [a, b] = ellipse.semiAxes;
        const [p, q] = [onEllipse(ellipse, at), onEllipse(ellipse, at + 90)];
        const [u, v] = [p, q].map(([x, y]) => [x - ellipse.centre[0], y - ellipse.centre[1]]);
        expect(u[0] ** 2 + u[1] ** 2 + v[0] ** 2 + v[1] ** 2).toBeCloseTo(a * a + b * b, 5);
        expect(Math.abs(u[0] * v[1] - u[1] * v[0])).toBeCloseTo(a * b, 5);
      }),
    );
  });

  it("is what OpenCV fits to projected circles", async () => {
    await cvLoaded();
    for (const quad of [level(9, 1, -1.6, 20), level(14, -4, 2, 50), level(30, 6, -0.7, 0)]) {
      const places = circleIn(quad, 90);
      const mat = cv.matFromArray(places.length, 1, cv.CV_32FC2, places.flat());
      const fitted = cv.fitEllipseDirect(mat);
      mat.delete();
      const { centre, semiAxes, tilt } = circleInQuad(quad);
      expect(far([fitted.center.x, fitted.center.y], centre)).toBeLessThan(0.01 * semiAxes[1] + 0.01);
      const sizes = [fitted.size.width, fitted.size.height].sort((x, y) => y - x).map((size) => size / 2);
      expect(Math.abs(sizes[0] / semiAxes[0] - 1)).toBeLessThan(0.003);
      expect(Math.abs(sizes[1] / semiAxes[1] - 1)).toBeLessThan(0.02);
      // Its angle is that of the side called its width.
      const along = fitted.size.width > fitted.size.height ? fitted.angle : fitted.angle + 90;
      const off = (((along - tilt + 90) % 180) + 180) % 180;
      expect(Math.abs(off - 90)).toBeLessThan(0.5);
    }
  });

  it("is an ellipse in any convex corners, however near its far side comes to the horizon", () => {
    const trapezium = (top: number): Quad => [
      [-100, 0],
      [100, 0],
      [top, 100],
      [-top, 100],
    ];
    fc.assert(fc.property(between(0.5, 99), (top) => circleInQuad(trapezium(top)).semiAxes.every((axis) => axis > 0)));
    expect(() => circleInQuad([SQUARE[0], SQUARE[2], SQUARE[1], SQUARE[3]])).toThrow("The corners cross");
  });
});

describe("an ellipse by hand", () => {
  it("has its template, its pins and its trammel, by plain arithmetic", () => {
    const { seenAt, template, size, string, trammel } = byHand({ semiAxes: [50, 30] });
    expect(seenAt).toBeCloseTo(degrees(Math.asin(0.6)), 9);
    expect(template.angle).toBe(35);
    expect(template.off).toBeCloseTo(50 * Math.sin(radians(35)) - 30, 9);
    expect([size, string.pins, string.loop, trammel.onLong, trammel.onShort]).toEqual([100, 40, 180, 30, 50]);
  });

  it("is drawn true by its string and its trammel", () => {
    fc.assert(
      fc.property(between(20, 90), between(0.1, 1), between(-90, 90), between(0, 360), (a, k, tilt, at) => {
        const ellipse = { centre: [3, -4] as const, semiAxes: [a, k * a] as const, tilt };
        const { string, trammel } = byHand(ellipse);
        const tip = onEllipse(ellipse, at);
        const axis = (along: number): Vec2 => [
          3 + along * Math.cos(radians(tilt)),
          -4 + along * Math.sin(radians(tilt)),
        ];
        const [p, q] = [axis(string.pins), axis(-string.pins)];
        expect(far(tip, p) + far(tip, q) + far(p, q)).toBeCloseTo(string.loop, 6);
        // One mark on each axis, in line with the tip, both at their distances: by the parameter of the tip.
        const onLong = axis((a - k * a) * Math.cos(radians(at)));
        expect(far(tip, onLong)).toBeCloseTo(trammel.onLong, 6);
      }),
    );
  });

  it("has a template from 12.5 to 62.5 degrees: half a step of five beside the first and the last", () => {
    const told = (seenAt: number) => templateFor(byHand({ semiAxes: [50, 50 * Math.sin(radians(seenAt))] }));
    expect([12.6, 33, 62.4].map(told)).toEqual(["template 15°", "template 35°", "template 60°"]);
    expect([1.2, 12.4, 62.6].map(told)).toEqual([
      "seen at 1.2°, flatter than any template",
      "seen at 12.4°, flatter than any template",
      "seen at 62.6°, rounder than any template",
    ]);
  });

  it("is told by how it lies: tilts run clockwise from right, so that the right end of a positive one is lower", () => {
    const ellipse = (tilt: number) => ({ centre: [0, 0] as const, semiAxes: [50, 30] as const, tilt });
    expect(onEllipse(ellipse(20), 0)[1]).toBeGreaterThan(0);
    expect([20, -3.25, 0.01, 90].map(howItLies)).toEqual([
      "leaning by 20.0°, its right end lower",
      "leaning by 3.3°, its right end higher",
      "level",
      "upright",
    ]);
  });

  it("is off by nothing where it lies level, and by the difference of its semi-axes where it stands upright", () => {
    const ellipse = (tilt: number) => ({ centre: [0, 0] as const, semiAxes: [50, 30] as const, tilt });
    expect(levelError(ellipse(0))).toEqual({ lean: 0, apart: 0 });
    expect(levelError(ellipse(90)).apart).toBeCloseTo(20, 9);
    // Between, as far as sampled outlines are apart.
    const tilt = 8;
    const level = Array.from({ length: 3600 }, (_, i) => onEllipse(ellipse(0), i / 10));
    const leaning = Array.from({ length: 720 }, (_, i) => onEllipse(ellipse(tilt), i / 2));
    const sampled = Math.max(...leaning.map((p) => Math.min(...level.map((q) => far(p, q)))));
    expect(levelError(ellipse(tilt)).apart).toBeCloseTo(sampled, 1);
  });
});
