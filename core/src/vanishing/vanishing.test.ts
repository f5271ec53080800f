import fc from "fast-check";
import { distance2, dot, headingDirection, unit, type Vec3 } from "../geometry";
import { project, viewOf } from "../shot";
import { newScene } from "../scene";
import { anyShot, between, shotWith } from "../../testing";
import { handed, heightAt, horizon, lineFrame, offSheet, pinsOf, shiftHorizon, vanishingLine, vanishingPoint } from ".";

const anyDirection = fc.tuple(between(-1, 1), between(-1, 1), between(-1, 1)).filter((d) => Math.hypot(...d) > 0.1);

describe("vanishing points", () => {
  it("are where a point ends that recedes for ever, whatever line it follows", () => {
    fc.assert(
      fc.property(anyShot, anyDirection, anyDirection, (shot, along, offset) => {
        const view = viewOf(shot);
        const d = unit(along);
        const depth = dot(d, view.forward);
        fc.pre(Math.abs(depth) > 0.05);
        const at = vanishingPoint(view, d).at!;
        const far = 1e7 * Math.sign(depth);
        const point: Vec3 = [
          view.eye[0] + offset[0] + far * d[0],
          view.eye[1] + offset[1] + far * d[1],
          view.eye[2] + offset[2] + far * d[2],
        ];
        expect(distance2(project(view, point)!, at)).toBeLessThan(1e-3 * (1 + distance2(at, view.centre)));
      }),
    );
  });

  it("give only a slant to lines parallel to the picture", () => {
    expect(vanishingPoint(viewOf(shotWith()), [0, 0, 1])).toEqual({ at: null, angle: 90 });
    expect(vanishingPoint(viewOf(shotWith()), [1, 0, 0])).toEqual({ at: null, angle: 0 });
    const rolled = vanishingPoint(viewOf(shotWith({ gaze: { roll: 10 } })), [0, 0, 1]);
    expect(rolled.at === null && rolled.angle).toBeCloseTo(80, 9);
  });

  it("lie on the vanishing line of every plane that holds their direction", () => {
    fc.assert(
      fc.property(anyShot, anyDirection, anyDirection, (shot, d, e) => {
        const view = viewOf(shot);
        const normal: Vec3 = [d[1] * e[2] - d[2] * e[1], d[2] * e[0] - d[0] * e[2], d[0] * e[1] - d[1] * e[0]];
        fc.pre(Math.hypot(...normal) > 0.05);
        const line = vanishingLine(view, normal);
        const at = vanishingPoint(view, d).at;
        fc.pre(line !== null && at !== null && Math.hypot(...at) < 1e6);
        expect(Math.abs(line!.a * at![0] + line!.b * at![1] + line!.c)).toBeLessThan(1e-6 * (1 + Math.hypot(...at!)));
      }),
    );
  });
});

describe("the horizon", () => {
  it("is level through C in a level view, and at C - d tan(pitch) in a pitched one", () => {
    expect(heightAt(horizon(viewOf(shotWith()))!, 0)).toBeCloseTo(148.5, 9);
    // Looking 10 degrees down, the horizon stands d tan 10 = 52.898 mm above C.
    const down = horizon(viewOf(shotWith({ gaze: { pitch: -10 } })))!;
    expect(heightAt(down, 0)).toBeCloseTo(148.5 - 300 * Math.tan(Math.PI / 18), 9);
    expect(lineFrame(down).along[0]).toBeCloseTo(1, 9);
  });

  it("has none when the eye looks straight down, and shifts with the sheet otherwise", () => {
    expect(horizon(viewOf(shotWith({ gaze: { pitch: -90 } })))).toBeNull();
    expect(heightAt(horizon(viewOf(shiftHorizon(shotWith(), -40)))!, 100)).toBeCloseTo(108.5, 9);
  });
});

describe("pins", () => {
  it("obey (cx - xL)(xR - cx) = d^2 in a level view", () => {
    fc.assert(
      fc.property(between(1, 89), between(50, 2000), between(-180, 180), (turn, distance, heading) => {
        const shot = shotWith({ distance, gaze: { heading } });
        const [left, right] = pinsOf([{ id: "m", name: "M", heading: heading + turn }], shot).map(
          (pin) => pin.point.at!,
        );
        const c = shot.lens.centre.x;
        expect(Math.abs(((c - left[0]) * (right[0] - c)) / distance ** 2 - 1)).toBeLessThan(1e-9);
      }),
    );
  });

  it("keep one hand each, whatever the heading of the orientation", () => {
    fc.assert(
      fc.property(between(-720, 720), between(-720, 720), (orientation, gaze) => {
        const { left, right } = handed(orientation, gaze);
        expect(left - gaze).toBeGreaterThan(-90 - 1e-9);
        expect(left - gaze).toBeLessThanOrEqual(0);
        expect(right - left).toBeCloseTo(90, 9);
        const across = Math.abs(dot(headingDirection(left), headingDirection(orientation)));
        expect(Math.min(across, 1 - across)).toBeLessThan(1e-9);
      }),
    );
  });

  it("say how far off the sheet they stand, and on which side", () => {
    const scene = newScene("Test");
    const pins = pinsOf(scene.orientations, scene.shots[0]);
    // 55 degrees left of the gaze: 210 - 300 tan 55 = -218.44.
    expect(pins[0].offSheet!.side).toBe("left");
    expect(pins[0].offSheet!.distance).toBeCloseTo(300 * Math.tan((55 * Math.PI) / 180) - 210, 9);
    expect(offSheet({ width: 420, height: 297 }, 100, 100)).toBeNull();
    expect(offSheet({ width: 420, height: 297 }, 430, 500)).toEqual({ side: "bottom", distance: 203 });
  });
});
