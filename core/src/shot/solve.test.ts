import fc from "fast-check";
import { distance2, type Vec2 } from "../geometry";
import { newScene } from "../scene";
import { anyShot, between, shotWith } from "../../testing";
import { pinsOf, vanishingPoint } from "../vanishing";
import { nearestAcute, orthocentre, solvePins, viewOf } from ".";

describe("a view from two points", () => {
  it("follows the worked example", () => {
    // Points 200 mm left and 450 mm right of C: d^2 = 200 * 450 = 90000, d = 300.
    // The left direction is atan(200 / 300) = 33.6901 degrees left of the gaze, so with it as north the gaze is that
    // far to its right.
    const { lens, gaze } = solvePins(
      [
        [10, 148.5],
        [660, 148.5],
      ],
      [210, 148.5],
    );
    expect(lens.distance).toBeCloseTo(300, 9);
    expect(gaze.heading).toBeCloseTo(33.690067525979785, 9);
    expect([gaze.pitch, gaze.roll]).toEqual([0, 0]);
  });

  it("stands midway between the points when no centre is given", () => {
    const { lens, gaze } = solvePins([
      [0, 100],
      [400, 100],
    ]);
    expect(lens).toEqual({ law: "rectilinear", distance: 200, centre: { x: 200, y: 100 } });
    expect(gaze.heading).toBeCloseTo(45, 12);
  });

  it("says why there is no answer", () => {
    expect(() =>
      solvePins(
        [
          [300, 100],
          [400, 100],
        ],
        [210, 100],
      ),
    ).toThrow(/same side of the centre/);
    expect(() =>
      solvePins([
        [300, 100],
        [300, 100],
      ]),
    ).toThrow(/Points 1 and 2 lie on top of each other/);
    expect(() =>
      solvePins(
        [
          [0, 103],
          [400, 100],
        ],
        undefined,
        100,
      ),
    ).toThrow(/Point 1 lies 3 mm below the horizon/);
  });

  it("gives back the view whose pins it is given (all pins of any view, two points and a centre)", () => {
    fc.assert(
      fc.property(anyShot, between(5, 85), (shot, turn) => {
        const points = directionsOf(shot, turn).map((d) => vanishingPoint(viewOf(shot), d).at);
        fc.pre(points.every((p) => p !== null && Math.hypot(...p) < 1e6));
        const [left, right] = points as Vec2[];
        const { lens, gaze } = solvePins([left, right], [shot.lens.centre.x, shot.lens.centre.y]);
        expect(Math.abs(lens.distance / shot.lens.distance - 1)).toBeLessThan(1e-6);
        const again = shotWith({ gaze, distance: lens.distance, centre: lens.centre });
        // North of the answer is the left direction.
        const north = vanishingPoint(viewOf(again), [0, 1, 0]).at!;
        expect(distance2(north, left)).toBeLessThan(1e-5 * (1 + distance2(left, [lens.centre.x, lens.centre.y])));
      }),
    );
  });
});

/** Two level directions at right angles, on both sides of a shot's gaze. */
function directionsOf(shot: ReturnType<typeof shotWith>, turn: number) {
  const { orientations } = newScene("Test");
  return pinsOf([{ ...orientations[0], heading: shot.gaze.heading + turn }], shot)
    .filter((pin) => pin.role !== "upright")
    .map((pin) => pin.direction);
}

describe("a view from three points", () => {
  // An equilateral triangle of side s: its orthocentre is its middle, at s / sqrt 3 from each corner, and the angle
  // between two of those arms is 120 degrees, so d^2 = -(s^2 / 3) cos 120 = s^2 / 6.
  const side = 600;
  const height = side * Math.sqrt(0.75);
  const triangle: [Vec2, Vec2, Vec2] = [
    [0, 0],
    [side, 0],
    [side / 2, height],
  ];

  it("follows the worked example", () => {
    const { lens, gaze } = solvePins(triangle);
    expect(lens.centre.x).toBeCloseTo(300, 9);
    expect(lens.centre.y).toBeCloseTo(height / 3, 9);
    expect(lens.distance).toBeCloseTo(side / Math.sqrt(6), 9);
    // The third point lies below: the eye looks down, the three directions equally far off: sin pitch = -1 / sqrt 3.
    expect(gaze.pitch).toBeCloseTo((-Math.asin(1 / Math.sqrt(3)) * 180) / Math.PI, 9);
    expect(gaze.heading).toBeCloseTo(45, 9);
    expect(gaze.roll).toBeCloseTo(0, 9);
  });

  it("looks up when the third point is above", () => {
    expect(solvePins([triangle[0], triangle[1], [300, -height]]).gaze.pitch).toBeGreaterThan(0);
  });

  it("gives back the view whose pins it is given", () => {
    fc.assert(
      fc.property(anyShot, between(10, 80), (shot, turn) => {
        const directions = [...directionsOf(shot, turn), [0, 0, 1] as const];
        const points = directions.map((d) => vanishingPoint(viewOf(shot), d).at);
        fc.pre(points.every((p) => p !== null && Math.hypot(...p) < 2e4));
        const { lens } = solvePins(points as Vec2[]);
        expect(Math.abs(lens.distance / shot.lens.distance - 1)).toBeLessThan(1e-6);
        expect(distance2([lens.centre.x, lens.centre.y], [shot.lens.centre.x, shot.lens.centre.y])).toBeLessThan(
          1e-4 * shot.lens.distance,
        );
      }),
    );
  });

  it("refuses an obtuse triangle and offers a near one that works", () => {
    fc.assert(
      fc.property(between(-800, 800), between(5, 800), (x, y) => {
        const pins: [Vec2, Vec2, Vec2] = [
          [0, 0],
          [400, 0],
          [x, y],
        ];
        const c = orthocentre(...pins);
        fc.pre(c[0] * (c[0] - 400) + c[1] * c[1] > 1);
        expect(() => solvePins(pins)).toThrow(/not acute/);
        const near = nearestAcute(...pins);
        expect(solvePins([pins[0], pins[1], near]).lens.distance).toBeGreaterThan(0);
        // No sampled point of the region of the possible is nearer by more than the margin it keeps.
        for (const [s, r] of [
          [0.1, 1.02],
          [0.5, 1.02],
          [0.9, 1.02],
        ]) {
          const other: Vec2 = [400 * s, r * 400 * Math.sqrt(s * (1 - s)) + 2];
          expect(distance2(near, pins[2])).toBeLessThan(distance2(other, pins[2]) + 3);
        }
      }),
    );
  });

  it("refuses a centre that the triangle contradicts", () => {
    expect(() => solvePins(triangle, [310, height / 3])).toThrow(/10 mm away/);
  });
});
