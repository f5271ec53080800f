import fc from "fast-check";
import { headingDirection, type Vec2, type Vec3 } from "../geometry";
import { between } from "../../testing";
import { recoverView, type Family } from ".";
import { gauss, tracedEdges, type Camera } from "../../testing/simulated";

const size = { width: 4000, height: 3000 };
const camera = (change: Partial<Camera> = {}): Camera => ({
  f: 3600,
  centre: [2000, 1500],
  gaze: { heading: 0, pitch: 0, roll: 0 },
  ...change,
});
const LEFT: Vec3 = headingDirection(-40);
const RIGHT: Vec3 = headingDirection(50);
const UP: Vec3 = [0, 0, 1];

/** Two level families at right angles and the uprights, traced by a hand of so many px. */
function traced(of: Camera, sigma: number, seed: number, n = 12): Family[] {
  const noise = gauss(seed);
  const family = (name: string, role: Family["role"], along: Vec3, k: number): Family => ({
    name,
    role,
    segments: tracedEdges(of, along, n, sigma, noise, 70 + k),
  });
  return [
    family("left", "horizontal", LEFT, 1),
    family("right", "horizontal", RIGHT, 2),
    family("uprights", "upright", UP, 3),
  ];
}

describe("a view from a picture's edges", () => {
  it("is exact for exact edges: focal length, look up, roll and horizon, of two points and of three", () => {
    fc.assert(
      fc.property(
        between(1500, 9000),
        between(-35, 35),
        between(-15, 15),
        between(-25, 25),
        fc.boolean(),
        (f, pitch, roll, heading, level) => {
          const gaze = { heading, pitch: level ? 0 : pitch, roll: level ? 0 : roll };
          fc.pre(level || Math.abs(pitch) > 4);
          const view = recoverView(traced(camera({ f, gaze }), 0, 1), { ...size, sigma: 1, centre: [2000, 1500] });
          expect(view.focalLength!.px / f).toBeCloseTo(1, 5);
          expect(view.pitch).toBeCloseTo(gaze.pitch, 3);
          expect(view.roll).toBeCloseTo(gaze.roll, 3);
          // The horizon holds the points of both level directions, and of any other.
          const { a, b, c } = view.horizon!;
          for (const { at } of view.points.slice(0, 2))
            if (at && Math.hypot(...at) < 1e5) expect(Math.abs(a * at[0] + b * at[1] + c)).toBeLessThan(0.05);
        },
      ),
      { numRuns: 40, endOnFailure: true },
    );
  });

  it(
    "has the published two-point focal length: f^2 = -(v1 - c).(v2 - c), and the orthocentre of three points for " +
      "its centre",
    () => {
      // Lines laid through (800, 1500) and (4700, 1500), 1,200 and 2,700 px off the middle: f = sqrt(1200 * 2700) =
      // 1,800 px.
      const fan = (v: Vec2): Family["segments"] =>
        [
          [1500, 1100],
          [2300, 1900],
          [2600, 900],
          [1900, 2300],
        ].map(([x, y]) => ({ a: [x, y], b: [x + 0.2 * (v[0] - x), y + 0.2 * (v[1] - y)] }));
      const two = recoverView(
        [
          { name: "l", role: "horizontal", segments: fan([800, 1500]) },
          { name: "r", role: "horizontal", segments: fan([4700, 1500]) },
        ],
        size,
      );
      expect(two.focalLength!.px).toBeCloseTo(1800, 3);
      expect([two.pitch, two.roll]).toEqual([expect.closeTo(0, 6), expect.closeTo(0, 6)]);
      const pins: readonly Vec2[] = [
        [-900, 900],
        [5200, 700],
        [2300, 6100],
      ];
      const three = recoverView(
        pins.map((v, i) => ({ name: String(i), role: i < 2 ? "horizontal" : "upright", segments: fan(v) }) as const),
        size,
      );
      const dot = (p: Vec2, q: Vec2, r: Vec2, s: Vec2) => (p[0] - q[0]) * (r[0] - s[0]) + (p[1] - q[1]) * (r[1] - s[1]);
      // Each altitude: the way from C to a corner is square to the opposite side.
      for (const [i, j, k] of [
        [0, 1, 2],
        [1, 0, 2],
        [2, 0, 1],
      ])
        expect(Math.abs(dot(pins[i], three.centre, pins[j], pins[k])) / 1e6).toBeLessThan(1e-3);
      expect(three.focalLength!.px).toBeCloseTo(Math.sqrt(-dot(pins[0], three.centre, pins[1], three.centre)), 2);
    },
  );

  it(
    "states how sure it is: the true focal length lies within 1.96 sd of what is found in about 95 of " +
      "100 tracings",
    () => {
      const truth = camera({ gaze: { heading: 5, pitch: 18, roll: 4 } });
      const runs = 300;
      let held = 0;
      for (let run = 0; run < runs; run++) {
        const { focalLength } = recoverView(traced(truth, 1, 500 + run, 8), {
          ...size,
          sigma: 1,
          centre: [2000, 1500],
        });
        if (Math.abs(focalLength!.px - truth.f) < 1.96 * focalLength!.sd) held++;
      }
      // 300 draws of 0.95 have a standard deviation of 1.26 %: three of those to either side.
      expect(held / runs).toBeGreaterThan(0.91);
      expect(held / runs).toBeLessThan(0.99);
    },
  );

  it("fits further level families to the same horizon, and a level camera where it is said to be", () => {
    const of = camera({ gaze: { heading: 0, pitch: -12, roll: 2 } });
    const third: Family = {
      name: "canal",
      role: "horizontal",
      segments: tracedEdges(of, headingDirection(15), 6, 0, () => 0, 99),
    };
    const view = recoverView([...traced(of, 0, 1), third], { ...size, centre: [2000, 1500] });
    const { a, b, c } = view.horizon!;
    const [x, y] = view.points[3].at!;
    expect(Math.abs(a * x + b * y + c)).toBeLessThan(0.01);
    const flat = recoverView(traced(camera(), 1, 4).slice(0, 2), { ...size, level: true });
    expect([flat.pitch, flat.roll]).toEqual([expect.closeTo(0, 3), expect.closeTo(0, 3)]);
    expect(flat.focalLength!.px / 3600).toBeCloseTo(1, 1);
  });

  it(
    "takes a known horizon and a known lens for granted: one set then tells the whole view, however the " +
      "camera was held",
    () => {
      fc.assert(
        fc.property(
          between(2000, 7000),
          between(-20, 20),
          between(4, 18),
          between(-12, 12),
          fc.boolean(),
          (f, heading, up, roll, down) => {
            const gaze = { heading, pitch: down ? -up : up, roll };
            const [left, right, uprights] = traced(camera({ f, gaze }), 0, 1);
            const { horizon } = recoverView([left, right, uprights], { ...size, centre: [2000, 1500] });
            const one = recoverView([left], { ...size, centre: [2000, 1500], horizon: horizon!, focalLength: f });
            expect([one.pitch, one.roll, one.lacking]).toEqual([
              expect.closeTo(gaze.pitch, 2),
              expect.closeTo(gaze.roll, 2),
              null,
            ]);
            expect(one.focalLength).toEqual({ px: expect.closeTo(f, 6), sd: 0 });
            // Without the lens, two sets and the horizon tell it.
            const two = recoverView([left, right], { ...size, centre: [2000, 1500], horizon: horizon! });
            expect(two.focalLength!.px / f).toBeCloseTo(1, 3);
            expect(two.pitch).toBeCloseTo(gaze.pitch, 2);
          },
        ),
        { numRuns: 30, endOnFailure: true },
      );
      // A wall that is faced, through a known level lens: one point tells the gaze.
      const [facing] = traced(camera({ gaze: { heading: -40, pitch: 0, roll: 0 } }), 0, 1);
      expect(recoverView([facing], { ...size, level: true, focalLength: 3600 })).toMatchObject({
        pitch: expect.closeTo(0, 6),
        directions: [[expect.closeTo(0, 5), expect.closeTo(0, 5), expect.closeTo(1, 6)]],
      });
      // The horizon pulls a hand that trembles to it.
      const held = recoverView(traced(camera(), 3, 8).slice(0, 2), { ...size, horizon: { a: 0, b: 1, c: -1500 } });
      expect([held.pitch, held.roll]).toEqual([expect.closeTo(0, 3), expect.closeTo(0, 3)]);
    },
  );

  it("says what the picture cannot tell", () => {
    const [left] = traced(camera(), 0, 1);
    expect(recoverView([left], size)).toMatchObject({
      focalLength: null,
      horizon: null,
      pitch: null,
      lacking: expect.stringContaining("One set only"),
    });
    const facing = traced(camera({ gaze: { heading: 50, pitch: 0, roll: 0 } }), 0, 1);
    // One point: the wall's own edges run parallel to the picture, and tell no lens.
    expect(recoverView(facing.slice(0, 2), size)).toMatchObject({
      focalLength: null,
      lacking: expect.stringContaining("One point only"),
    });
    const mixed = recoverView([left, { ...left, name: "right" }], size);
    expect(mixed.focalLength).toBeNull();
    expect(mixed.lacking).toContain("cannot be at right angles");
  });
});
