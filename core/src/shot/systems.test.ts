import fc from "fast-check";
import { distance2 } from "../geometry";
import { LAWS, type LawId } from "../lens";
import { NoAnswer } from "../problem";
import { between, shotWith } from "../../testing";
import { pinsOf } from "../vanishing";
import {
  covered,
  CURVED_SYSTEMS,
  inCurvedSystem,
  project,
  projectDirection,
  rimRadius,
  toEye,
  turnedTo,
  unproject,
  viewOf,
  withCovered,
  withLaw,
} from ".";

const main = { id: "main", name: "Main streets", heading: 35 };
const curved = (Object.keys(LAWS) as LawId[]).filter((id) => !LAWS[id].straight);

describe("curved systems", () => {
  it("hold the angle they say, and it can be typed; what a lens does not show is refused", () => {
    for (const system of CURVED_SYSTEMS) {
      const shot = inCurvedSystem(shotWith(), main, system);
      if (system.law !== "equirectangular") expect(covered(shot)).toBeCloseTo(system.covers, 6);
      if (system.law !== "equirectangular") expect(covered(withCovered(shot, 120))).toBeCloseTo(120, 6);
      for (const angle of [0, -5, 400, NaN]) expect(() => withCovered(shot, angle)).toThrow(NoAnswer);
    }
  });

  it("show four points around, four over, five on a disc's middle and rim, six on the whole world", () => {
    const shown = (id: string) => {
      const shot = inCurvedSystem(
        shotWith(),
        { ...main, heading: 35 },
        CURVED_SYSTEMS.find((one) => one.id === id)!,
      );
      return { shot, pins: pinsOf([main], shot).filter((pin) => pin.point.at) };
    };
    expect(shown("sweep-around").pins).toHaveLength(4);
    const over = shown("sweep-over");
    expect(over.pins.filter(({ role }) => role === "upright")).toHaveLength(2);
    expect(over.pins).toHaveLength(4);
    const { shot, pins } = shown("disc-ahead");
    const off = pins.map((pin) => distance2(pin.point.at!, [shot.lens.centre.x, shot.lens.centre.y]));
    expect(off.filter((r) => r < 1e-6)).toHaveLength(1);
    expect(off.filter((r) => Math.abs(r - rimRadius(shot)) < 1e-6)).toHaveLength(4);
    expect(rimRadius(shot)).toBeCloseTo(267 / 2, 6);
    expect(shown("six-large").pins).toHaveLength(6);
    expect(shown("six-unwrapped").pins).toHaveLength(6);
  });

  it("keep the middle of the picture when the lens changes", () => {
    const shot = shotWith({ gaze: { heading: 20, pitch: 10 } });
    const { forward } = viewOf(shot);
    for (const law of curved) {
      const view = viewOf(withLaw(shot, law));
      expect(projectDirection(view, forward)).toEqual([expect.closeTo(210, 9), expect.closeTo(148.5, 9)]);
      const near = project(view, [
        view.eye[0] + forward[0] + 0.001,
        view.eye[1] + forward[1],
        view.eye[2] + forward[2],
      ])!;
      const straight = project(viewOf(shot), [
        view.eye[0] + forward[0] + 0.001,
        view.eye[1] + forward[1],
        view.eye[2] + forward[2],
      ])!;
      expect(distance2(near, straight)).toBeLessThan(1e-4);
    }
  });
});

describe("a view turned by a pin", () => {
  it("has the direction where it was put, whatever the lens, and keeps its roll", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...curved),
        between(-180, 180),
        between(-70, 70),
        between(-60, 60),
        between(60, 360),
        between(60, 240),
        fc.constantFrom("left", "right", "upright"),
        (law, heading, pitch, roll, x, y, role) => {
          const shot = withLaw(shotWith({ gaze: { heading, pitch, roll }, distance: 80 }), law);
          const { direction } = pinsOf([main], shot).find((pin) => pin.role === role)!;
          let turned;
          try {
            turned = turnedTo(shot, direction, [x, y]);
          } catch (refused) {
            expect(refused).toBeInstanceOf(NoAnswer);
            return;
          }
          const at = projectDirection(viewOf(turned), direction);
          // A place that the lens does not show stands for the nearest one that it does.
          const meant = projectDirection(viewOf(shot), unproject(viewOf(shot), [x, y]));
          // Straight behind the eye is a whole rim, and any of its places is as right.
          const behind = viewOf(shot).law.off(toEye(viewOf(shot), unproject(viewOf(shot), [x, y]))) > Math.PI - 1e-3;
          if (at && meant && !behind) expect(distance2(at, meant)).toBeLessThan(1e-3);
          if (role !== "upright") expect(turned.gaze.roll).toBe(roll);
          else expect(turned.gaze.heading).toBe(heading);
        },
      ),
      { numRuns: 300 },
    );
  });
});
