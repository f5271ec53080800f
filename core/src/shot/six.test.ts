import fc from "fast-check";
import { cross, distance2, dot, norm, unit, type Vec3 } from "../geometry";
import { NoAnswer } from "../problem";
import { angleOf, between, shotWith } from "../../testing";
import {
  firstPlaceTold,
  mirrored,
  namedDirection,
  nearestNames,
  projectDirection,
  renamed,
  SIX,
  sixOf,
  sixPoints,
  slidTo,
  thirdName,
  toEye,
  unproject,
  viewOf,
  withLaw,
  withSix,
  type SixNames,
} from ".";

const main = { heading: 35 };
const disc = (heading = 0, pitch = 0, roll = 0) =>
  withLaw(shotWith({ gaze: { heading, pitch, roll }, distance: 60 }), "stereographic");
const anyPlace = fc.tuple(between(-200, 600), between(-200, 500));
const anyNames = fc.constantFrom(
  ...SIX.flatMap((a) => SIX.map((b): SixNames => [a, b])).filter(
    ([a, b]) => norm(cross(namedDirection(main, a), namedDirection(main, b))) > 0.5,
  ),
);

describe("six points by three gestures", () => {
  it(
    "have the named points where they were put, 90 degrees apart on the sphere, whatever the gestures and " +
      "the names",
    () => {
      fc.assert(
        fc.property(
          anyPlace,
          anyPlace,
          anyNames,
          between(-180, 180),
          between(-90, 90),
          between(-180, 180),
          (first, second, names, heading, pitch, roll) => {
            const shot = disc(heading, pitch, roll);
            const view = viewOf(shot);
            const a = toEye(view, unproject(view, first));
            const b = slidTo(shot, a, second);
            const turned = viewOf(withSix(shot, main, names, [a, b]));
            const [x, y, z] = [...names, thirdName(names)].map((name) => toEye(turned, namedDirection(main, name)));
            for (const [p, q] of [
              [x, y],
              [y, z],
              [x, z],
            ])
              expect(angleOf(p, q)).toBeCloseTo(Math.PI / 2, 9);
            expect(angleOf(x, a)).toBeLessThan(1e-9);
            expect(angleOf(y, b)).toBeLessThan(1e-9);
            expect(angleOf(z, cross(b, a))).toBeLessThan(1e-9);
            const at = projectDirection(turned, namedDirection(main, names[0]));
            if (at) expect(distance2(at, first)).toBeLessThan(1e-6 * (1 + norm([...first, 0])));
          },
        ),
      );
    },
  );

  it(
    "agree with spherical trigonometry: on the first horizon the third stands a quarter turn from the second " +
      "(Napier's rules for a trirectangular triangle)",
    () => {
      fc.assert(
        fc.property(anyPlace, anyPlace, (first, second) => {
          const shot = disc();
          const view = viewOf(shot);
          const a = toEye(view, unproject(view, first));
          const [, b, c] = sixPoints(a, slidTo(shot, a, second));
          // With all sides 90 degrees all angles are: the bearings of b and c seen from a differ by a right angle.
          const north: Vec3 = Math.abs(a[1]) < 0.9 ? [0, 1, 0] : [1, 0, 0];
          const bearing = (p: Vec3) =>
            Math.atan2(dot(p, unit(cross(north, a))), dot(p, cross(a, unit(cross(north, a)))));
          const turn = Math.abs(bearing(b) - bearing(c)) % (2 * Math.PI);
          expect(Math.min(Math.abs(turn - Math.PI / 2), Math.abs(turn - (3 * Math.PI) / 2))).toBeLessThan(1e-9);
        }),
      );
    },
  );

  it("make many pictures from one set-up: renamed, the same six places; mirrored twice, the same picture", () => {
    const shot = disc(20, -30, 10);
    const places = (of: typeof shot) =>
      SIX.map((name) =>
        projectDirection(viewOf(of), namedDirection(main, name))!
          .map((v) => v.toFixed(6))
          .join(" "),
      ).sort();
    fc.assert(
      fc.property(anyNames, anyNames, (before, after) => {
        const other = renamed(shot, main, before, after);
        expect(places(other)).toEqual(places(shot));
        sixOf(other, main, after).forEach((p, i) =>
          expect(angleOf(p, sixOf(shot, main, before)[i])).toBeLessThan(1e-9),
        );
        const back = mirrored(mirrored(shot, main, before), main, before);
        expect(places(back)).toEqual(places(shot));
      }),
    );
    const [[a], [c]] = [sixOf(shot, main, ["up", "0"]), sixOf(mirrored(shot, main, ["up", "0"]), main, ["up", "0"])];
    expect([c[0], c[1]]).toEqual([expect.closeTo(-a[0], 9), expect.closeTo(a[1], 9)]);
  });

  it("are named so that the view turns the least", () => {
    const shot = disc(20, -30, 10);
    for (const names of [
      ["up", "0"],
      ["90", "down"],
      ["180", "270"],
    ] as const) {
      const found = nearestNames(shot, main, sixOf(shot, main, names));
      expect(found).toEqual(names);
    }
  });

  it("say what cannot be", () => {
    const shot = disc();
    const middle = toEye(viewOf(shot), unproject(viewOf(shot), [210, 148.5]));
    expect(() => slidTo(shot, middle, [210, 148.5])).toThrow("first point itself");
    expect(() =>
      withSix(
        shot,
        main,
        ["up", "down"],
        [
          [0, 0, 1],
          [1, 0, 0],
        ],
      ),
    ).toThrow(NoAnswer);
    expect(() =>
      withSix(
        shot,
        main,
        ["up", "0"],
        [
          [0, 0, 1],
          [0, 0, -1],
        ],
      ),
    ).toThrow(NoAnswer);
    expect(firstPlaceTold([0, 0, 1])).toContain("very middle");
    expect(firstPlaceTold([1, 0, 0])).toContain("on the rim");
    expect(firstPlaceTold([0.5, 0.2, 0.8])).toBeNull();
  });
});
