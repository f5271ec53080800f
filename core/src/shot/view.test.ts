import fc from "fast-check";
import { geoGnomonicRaw } from "d3-geo";
import { PerspectiveCamera, Vector3 } from "three";
import { dot, norm, sub, type Vec3 } from "../geometry";
import { LAWS } from "../lens";
import { anyShot, between, shotWith } from "../../testing";
import { eyeAxes, gazeOf, project, projectMany, unproject, unprojectTo, unprojectToGround, viewOf } from ".";

const anyPoint = fc.tuple(between(-200, 200), between(-200, 200), between(-50, 200));

describe("a straight view", () => {
  it("projects as three's PerspectiveCamera does, to 1e-9", () => {
    fc.assert(
      fc.property(anyShot, anyPoint, (shot, point) => {
        const view = viewOf(shot);
        const depth = dot(sub(point, view.eye), view.forward);
        fc.pre(depth > 0.5);
        const camera = new PerspectiveCamera(90, 1, 1, 2);
        camera.up.set(...view.up);
        camera.position.set(...view.eye);
        camera.lookAt(new Vector3(...view.eye).add(new Vector3(...view.forward)));
        camera.updateMatrixWorld();
        const p = new Vector3(...point).project(camera);
        const seen = project(view, point)!;
        const size = Math.max(Math.abs(p.x), Math.abs(p.y), 1) * view.distance;
        expect(Math.abs(seen[0] - view.centre[0] - p.x * view.distance) / size).toBeLessThan(1e-9);
        expect(Math.abs(view.centre[1] - seen[1] - p.y * view.distance) / size).toBeLessThan(1e-9);
      }),
    );
  });

  it("projects many points as it projects one, and marks those behind the eye", () => {
    fc.assert(
      fc.property(anyShot, fc.array(anyPoint, { minLength: 1, maxLength: 20 }), (shot, points) => {
        const view = viewOf(shot);
        const many = projectMany(view, Float64Array.from(points.flat()));
        points.forEach((point, i) => {
          const one = project(view, point);
          if (!one) expect(many[2 * i]).toBeNaN();
          else
            for (const axis of [0, 1])
              expect(Math.abs(many[2 * i + axis] - one[axis])).toBeLessThan(1e-9 * Math.max(1, Math.abs(one[axis])));
        });
      }),
    );
  });

  it("is d3-geo's gnomonic projection around its centre of vision", () => {
    fc.assert(
      fc.property(between(-1.4, 1.4), between(-1.4, 1.4), (lambda, phi) => {
        const [x, y] = geoGnomonicRaw(lambda, phi);
        const ray: Vec3 = [Math.cos(phi) * Math.sin(lambda), Math.sin(phi), Math.cos(phi) * Math.cos(lambda)];
        const picture = LAWS.rectilinear.project(ray)!;
        expect(Math.abs(picture[0] - x)).toBeLessThan(1e-9 * Math.max(1, Math.abs(x)));
        expect(Math.abs(picture[1] - y)).toBeLessThan(1e-9 * Math.max(1, Math.abs(y)));
      }),
    );
  });

  it("takes a picture point back to the line of sight it came from", () => {
    fc.assert(
      fc.property(anyShot, anyPoint, (shot, point) => {
        const view = viewOf(shot);
        const seen = project(view, point);
        fc.pre(seen !== null && dot(sub(point, view.eye), view.forward) > 0.01);
        const way = sub(point, view.eye);
        const ray = unproject(view, seen!);
        expect(norm(sub(way, [ray[0] * norm(way), ray[1] * norm(way), ray[2] * norm(way)]))).toBeLessThan(
          1e-9 * norm(way),
        );
      }),
    );
  });

  it("finds the place on the ground and on any plane again", () => {
    fc.assert(
      fc.property(
        between(0.5, 60),
        between(-60, 60),
        between(-40, 40),
        between(-180, 180),
        between(1, 100),
        (z, turn, pitch, heading, far) => {
          const view = viewOf(shotWith({ eye: { z }, gaze: { heading, pitch } }));
          const [x, y] = [
            far * Math.sin(((heading + turn) * Math.PI) / 180),
            far * Math.cos(((heading + turn) * Math.PI) / 180),
          ];
          const seen = project(view, [x, y, 0]);
          fc.pre(seen !== null && dot(sub([x, y, 0], view.eye), view.forward) > 0.5);
          const slack = 1e-9 * (1 + norm(sub([x, y, 0], view.eye))) ** 2;
          expect(norm(sub(unprojectToGround(view, seen!)!, [x, y, 0]))).toBeLessThan(slack);
          expect(norm(sub(unprojectTo(view, seen!, [0, 0, 1], 0)!, [x, y, 0]))).toBeLessThan(slack);
        },
      ),
    );
    expect(unprojectToGround(viewOf(shotWith()), [210, 100])).toBeNull();
  });

  it("keeps the signs of heading, pitch and roll", () => {
    const axes = eyeAxes({ heading: 90, pitch: 0, roll: 0 });
    expect(axes.forward).toEqual([1, 0, 0]);
    expect(axes.right.map((v) => v + 0)).toEqual([0, -1, 0]);
    expect(eyeAxes({ heading: 0, pitch: 30, roll: 0 }).forward[2]).toBeCloseTo(0.5, 12);
    // Rolled clockwise as seen from behind, the right side sinks.
    expect(eyeAxes({ heading: 0, pitch: 0, roll: 30 }).right[2]).toBeCloseTo(-0.5, 12);
  });

  it("reads a gaze back from its axes", () => {
    fc.assert(
      fc.property(between(-179, 179), between(-89, 89), between(-179, 179), (heading, pitch, roll) => {
        const gaze = gazeOf(eyeAxes({ heading, pitch, roll }));
        expect(gaze.heading).toBeCloseTo(heading, 7);
        expect(gaze.pitch).toBeCloseTo(pitch, 7);
        expect(gaze.roll).toBeCloseTo(roll, 7);
      }),
    );
    for (const pitch of [90, -90]) {
      const axes = eyeAxes({ heading: 25, pitch, roll: 0 });
      const again = eyeAxes(gazeOf(axes));
      for (const i of [0, 1, 2]) expect(again.up[i]).toBeCloseTo(axes.up[i], 9);
    }
  });
});
