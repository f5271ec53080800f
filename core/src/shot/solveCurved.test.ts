import fc from "fast-check";
import type { Vec2, Vec3 } from "../geometry";
import { LAWS, type LawId } from "../lens";
import { NoAnswer } from "../problem";
import type { Shot } from "../scene";
import { angleOf, between, shotWith } from "../../testing";
import { projectDirection, solvePinsThrough, unproject, viewOf, withLaw } from ".";

const curved = (Object.keys(LAWS) as LawId[]).filter((id) => !LAWS[id].straight);
const anyView = fc
  .tuple(fc.constantFrom(...curved), between(20, 70), between(-35, 35), between(-20, 20), between(40, 200))
  .map(([law, heading, pitch, roll, distance]) =>
    withLaw(shotWith({ gaze: { heading: -heading, pitch, roll }, distance }), law),
  );
const pinsOf = (shot: Shot): (Vec2 | null)[] =>
  [
    [0, 1, 0],
    [1, 0, 0],
    [0, 0, shot.gaze.pitch < 0 ? -1 : 1],
  ].map((d) => projectDirection(viewOf(shot), d as [number, number, number]));

/**
 * How far off the pins a view sees north, and east or west, mm: which of the two the second pin is, pins cannot tell.
 */
function residuals(shot: Shot, pins: readonly Vec2[]): number {
  const residual = (direction: Vec3, [x, y]: Vec2) => {
    const seen = projectDirection(viewOf(shot), direction);
    return seen ? Math.hypot(seen[0] - x, seen[1] - y) : Infinity;
  };
  return Math.max(residual([0, 1, 0], pins[0]), Math.min(residual([1, 0, 0], pins[1]), residual([-1, 0, 0], pins[1])));
}

describe("a view through a curved lens, from its pins", () => {
  it("is found from two pins and C: it sees both directions where they are", () => {
    fc.assert(
      fc.property(anyView, (shot) => {
        const [north, east] = pinsOf(shot);
        fc.pre(north !== null && east !== null);
        const { centre, distance, law } = shot.lens;
        // Where the angle hardly changes with the distance, two answers all but fall together and neither is sure.
        const square = (d: number) =>
          Math.cos(
            angleOf(
              ...([north!, east!].map((pin) =>
                unproject(viewOf({ ...shot, lens: { ...shot.lens, distance: d } }), pin),
              ) as [Vec3, Vec3]),
            ),
          );
        fc.pre(Math.abs(square(distance * 1.01) - square(distance * 0.99)) > 1e-3);
        const { lens, gaze } = solvePinsThrough(law, [north!, east!], [centre.x, centre.y]);
        expect(lens).toMatchObject({ law, centre });
        expect(residuals({ ...shot, lens, gaze }, [north!, east!])).toBeLessThan(1e-3);
      }),
      { numRuns: 60 },
    );
  });

  it("is found, with C, from three pins", () => {
    let found = 0;
    fc.assert(
      fc.property(anyView, (shot) => {
        fc.pre(Math.abs(shot.gaze.pitch) > 8);
        const pins = pinsOf(shot);
        fc.pre(pins.every((pin) => pin !== null));
        try {
          const { lens, gaze } = solvePinsThrough(shot.lens.law, pins as Vec2[]);
          expect(residuals({ ...shot, lens, gaze }, pins as Vec2[])).toBeLessThan(1e-3);
          found++;
        } catch (refused) {
          expect(refused).toBeInstanceOf(NoAnswer);
        }
      }),
      { numRuns: 100 },
    );
    expect(found).toBeGreaterThan(90);
  });

  it("has no answer where there is none", () => {
    expect(() =>
      solvePinsThrough("stereographic", [
        [10, 10],
        [10, 10],
      ]),
    ).toThrow(NoAnswer);
    expect(() =>
      solvePinsThrough(
        "stereographic",
        [
          [100, 148],
          [120, 148],
        ],
        [-200, 148],
      ),
    ).toThrow(NoAnswer);
    expect(() =>
      solvePinsThrough(
        "equidistant",
        [
          [100, 140],
          [300, 148],
        ],
        undefined,
        148,
      ),
    ).toThrow("Point 1 lies 8 mm above the horizon; both must lie on it.");
  });

  it("is the straight one's where the lens is", () => {
    expect(
      solvePinsThrough(
        "rectilinear",
        [
          [0, 100],
          [400, 100],
        ],
        [200, 100],
      ).lens,
    ).toMatchObject({ law: "rectilinear", distance: 200 });
  });
});
