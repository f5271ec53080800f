import fc from "fast-check";
import { between, whyOpen } from "../../testing";
import { inMetric } from "../units";
import { distance2, radians, type Vec2 } from "../geometry";
import {
  build,
  built,
  newVehicle,
  runsOnRails,
  standsOfVehicles,
  validateElement,
  VEHICLES,
  type Vehicle,
  type VehicleThing,
} from ".";
import { pathOf } from "./path";

const vehicle = (thing: VehicleThing, change: Partial<Vehicle> = {}): Vehicle => ({
  ...newVehicle(thing, [{ x: 5, y: -3 }], 30),
  id: "v",
  name: "Delivery",
  ...change,
});
const THINGS = Object.keys(VEHICLES) as VehicleThing[];

describe("vehicles", () => {
  it.each(THINGS)("a %s is as long, wide and high as it is said to be, on its wheels, and closed", (thing) => {
    fc.assert(
      fc.property(between(0.8, 1.25), between(0.85, 1.2), between(0.8, 1.3), between(0, 360), (l, w, h, heading) => {
        const usual = VEHICLES[thing];
        const one = vehicle(thing, {
          length: l * usual.length,
          width: w * usual.width,
          height: h * usual.height,
          heading,
        });
        const solids = build([one]);
        const [fx, fy] = [Math.sin(radians(heading)), Math.cos(radians(heading))];
        const places = solids.flatMap(({ vertices }) => vertices.map(([x, y, z]) => [x - 5, y + 3, z]));
        const reach = (of: (p: number[]) => number) => Math.max(...places.map((p) => Math.abs(of(p))));
        const long = reach(([x, y]) => x * fx + y * fy);
        if (thing === "bicycle") {
          // Its axles are 0.53 m off its middle, and its wheels of 0.34 m grow with its height.
          expect(long).toBeCloseTo(0.53 * l + 0.34 * h, 2);
        } else {
          expect(long / (one.length / 2)).toBeLessThan(thing === "handcart" ? 1.35 : 1.15);
          expect(long / (one.length / 2)).toBeGreaterThan(0.85);
        }
        expect(reach(([x, y]) => x * fy - y * fx) / (one.width / 2)).toBeLessThan(1.06);
        const heights = places.map(([, , z]) => z);
        expect(Math.min(...heights)).toBeCloseTo(0, 2);
        expect(Math.max(...heights) / one.height).toBeLessThan(1.03);
        expect(Math.max(...heights) / one.height).toBeGreaterThan(0.9);
        for (const solid of solids) {
          const ring = solid.shape?.kind === "revolved" && solid.shape.closed;
          expect(whyOpen(solid, ring ? 1 : 0)).toBeNull();
        }
      }),
      { numRuns: 4 },
    );
  });

  it.each(THINGS)("a %s has wheels that are circles, tangent to the ground", (thing) => {
    const wheels = build([vehicle(thing)]).flatMap(({ shape }) => (shape?.kind === "revolved" ? [shape] : []));
    expect(wheels.length).toBe(runsOnRails(thing) ? 8 : thing === "bicycle" || thing === "handcart" ? 2 : 4);
    for (const { axis, outline } of wheels) {
      expect(axis.up[2]).toBeCloseTo(0, 9);
      expect(Math.max(...outline.map(({ at }) => at[0]))).toBeCloseTo(axis.origin[2], 9);
    }
  });

  it("have panes that lie on their sides", () => {
    const { details, solids } = built([vehicle("bus")]);
    expect(details.length).toBeGreaterThan(4 * 14);
    for (const { a, b, on } of details) {
      const { normal, offset } = on!.solid.faces[on!.face];
      for (const p of [a, b]) expect(normal[0] * p[0] + normal[1] * p[1] + normal[2] * p[2]).toBeCloseTo(offset, 5);
    }
    expect(solids.length).toBe(1 + 4);
  });

  it("open their front doors outwards, from hinges at the front", () => {
    const [shut, open] = [build([vehicle("car")]), build([vehicle("car", { open: true })])];
    expect(open.length - shut.length).toBe(2);
    const wide = open.slice(-2).flatMap(({ vertices }) => vertices.map(([x, y]) => distance2([x, y], [5, -3])));
    expect(Math.max(...wide)).toBeGreaterThan(1.3);
  });

  it("stand along a kerb by their rhythm, and point as it runs", () => {
    const row = vehicle("car", {
      path: [
        { x: 0, y: 0 },
        { x: 30, y: 0 },
      ],
    });
    const stands = standsOfVehicles(row);
    expect(stands.map(({ at }) => at[0])).toEqual([0, 5.5, 11, 16.5, 22, 27.5].map((x) => expect.closeTo(x, 9)));
    expect(stands.every(({ heading }) => Math.abs(heading - 90) < 1e-9)).toBe(true);
    const why = (change: Partial<Vehicle>) => {
      const problem = validateElement({ ...row, ...change });
      return problem ? `${problem.field} ${inMetric(problem.message)}` : "";
    };
    expect(why({ every: 3 })).toBe("every is less than they are long: they would stand in one another.");
  });

  it("bend with their track as trams: the places of each car's bogies lie on it", () => {
    fc.assert(
      fc.property(between(20, 60), fc.integer({ min: 1, max: 4 }), (bend, cars) => {
        const path = [
          { x: 0, y: 0 },
          { x: 60, y: 0 },
          { x: 60, y: 70 },
        ];
        const tram = vehicle("tram", { path, bend, cars });
        const stands = standsOfVehicles(tram);
        expect(stands).toHaveLength(cars);
        const track = pathOf(tram);
        const off = (at: Vec2) =>
          Math.min(
            ...track.slice(1).map((q, i) => {
              const p = track[i];
              const long = distance2(p, q);
              const s = Math.max(
                0,
                Math.min(1, ((at[0] - p[0]) * (q[0] - p[0]) + (at[1] - p[1]) * (q[1] - p[1])) / long ** 2),
              );
              return distance2(at, [p[0] + s * (q[0] - p[0]), p[1] + s * (q[1] - p[1])]);
            }),
          );
        for (const { at, heading } of stands) {
          // Chords of a curve: their ends on the track, their middle a sagitta off it, l^2 / 8 r.
          const half = 0.26 * tram.length;
          expect(off(at)).toBeLessThan((2 * half) ** 2 / 8 / bend + 0.06);
          expect(heading).toBeGreaterThan(-0.01);
          expect(heading).toBeLessThan(90.01);
        }
      }),
      { numRuns: 20 },
    );
    const path = [
      { x: 0, y: 0 },
      { x: 60, y: 0 },
      { x: 60, y: 70 },
    ];
    expect(validateElement(vehicle("tram", { path }))?.field).toBe("bend");
    const train = validateElement(vehicle("train", { path, bend: 60 }))!;
    expect(inMetric(train.message)).toBe("is too sharp for a train: 150.00 m of radius are the least.");
  });
});
