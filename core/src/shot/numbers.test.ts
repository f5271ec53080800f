import fc from "fast-check";
import { distance2 } from "../geometry";
import { newScene } from "../scene";
import { between, shotWith } from "../../testing";
import { heightAt, horizon, pinsOf } from "../vanishing";
import { fieldOfView, fullFrame, levelled, pitched, viewOf, withFieldOfView, withFullFrame } from ".";

const [orientation] = newScene("Test").orientations;
const level = (shot: ReturnType<typeof shotWith>) =>
  pinsOf([orientation], shot)
    .filter((pin) => pin.role !== "upright")
    .map((pin) => pin.point.at!);

describe("a view in an artist's numbers", () => {
  it("knows the angles of common lenses", () => {
    // 2 atan(36 / (2 f)): 39.6 degrees across for 50 mm, 73.7 for 24 mm (the definition of the angle of view).
    for (const [focal, angle] of [
      [50, 39.5977],
      [24, 73.7398],
      [18, 90],
    ]) {
      const shot = withFullFrame(shotWith(), focal);
      expect(fieldOfView(shot)).toBeCloseTo(angle, 3);
      expect(fullFrame(shot)).toBeCloseTo(focal, 9);
    }
  });

  it("takes the angle across the panel both ways, also beyond 90 degrees and with C off the middle", () => {
    fc.assert(
      fc.property(between(2, 170), between(30, 390), (angle, x) => {
        const shot = withFieldOfView(shotWith({ centre: { x } }), angle);
        expect(fieldOfView(shot)).toBeCloseTo(angle, 6);
      }),
    );
    expect(fieldOfView(withFieldOfView(shotWith(), 90))).toBeCloseTo(90, 9);
    for (const angle of [0, 180, -5]) expect(() => withFieldOfView(shotWith(), angle)).toThrow(/No picture distance/);
    expect(() => withFieldOfView(shotWith({ centre: { x: -900 } }), 100)).toThrow(/No picture distance/);
  });
});

describe("uprights parallel or converging", () => {
  it("keep the horizon and both horizontal points, also in a rolled view", () => {
    fc.assert(
      fc.property(between(-60, 60), between(-30, 30), (pitch, roll) => {
        const shot = shotWith({ gaze: { pitch, roll } });
        const flat = levelled(shot);
        expect(flat.gaze).toMatchObject({ pitch: 0, roll });
        level(shot).forEach((pin, i) =>
          expect(distance2(level(flat)[i], pin)).toBeLessThan(1e-6 * (1 + Math.hypot(...pin))),
        );
        expect(heightAt(horizon(viewOf(flat))!, 50)).toBeCloseTo(heightAt(horizon(viewOf(shot))!, 50)!, 6);
      }),
    );
  });

  it("lead back to one another", () => {
    fc.assert(
      fc.property(between(-60, 60), (pitch) => {
        const shot = shotWith({ gaze: { pitch } });
        const again = pitched(levelled(shot), shot.lens.centre.y);
        expect(again.gaze.pitch).toBeCloseTo(pitch, 6);
        expect(again.lens.distance).toBeCloseTo(shot.lens.distance, 6);
      }),
    );
  });

  it("say when the horizon lies too far off", () => {
    expect(() => pitched(shotWith({ centre: { y: -400 } }), 148.5)).toThrow(/too far off/);
    expect(() => levelled(shotWith({ gaze: { pitch: 90 } }))).toThrow(/straight up or down/);
  });
});
