import { inMetric } from "../units";
import fc from "fast-check";
import { findings } from "../checks";
import { NoAnswer } from "../problem";
import { newScene, type Sightings, type Shot } from "../scene";
import { project, viewOf } from "../shot";
import { between, shotWith } from "../../testing";
import { blockCorner, type Block } from "../world";
import { buildingOfSightings, pinsOf, sightLines, TILT_HAND, viewOfSightings } from ".";

const main = { id: "main", name: "Main streets", heading: 35 };
const scene = newScene("Test");

/** What somebody notes who stands before a building exactly as a shot has it. */
function noted(shot: Shot, block: Block): Sightings {
  const view = viewOf(shot);
  const at = (u: number, v: number, up: number) => {
    const [x, y, z] = blockCorner(block, u, v);
    return project(view, [x, y, z + up * block.height])!;
  };
  const tilt = (a: readonly [number, number], b: readonly [number, number]) =>
    (Math.atan2(Math.abs(b[1] - a[1]), Math.abs(b[0] - a[0])) * 180) / Math.PI;
  const [foot, top] = [at(0, 0, 0), at(0, 0, 1)];
  const [l, r] = [at(1, 0, 0), at(0, 1, 0)];
  return {
    x: foot[0],
    top: top[1],
    bottom: foot[1],
    left: { upper: tilt(top, at(1, 0, 1)), lower: tilt(foot, l) },
    right: { upper: tilt(top, at(0, 1, 1)) },
    parts: { heightToWidth: (foot[1] - top[1]) / (r[0] - l[0]), leftToRight: (foot[0] - l[0]) / (r[0] - foot[0]) },
  };
}

describe("a view from life", () => {
  it("has the points and the building that the pencil saw, from two ratios and three tilts", () => {
    fc.assert(
      fc.property(
        between(-15, 15),
        between(250, 500),
        between(3, 8),
        between(3, 8),
        between(3, 9),
        (heading, distance, length, width, height) => {
          const seen = shotWith({ gaze: { heading }, distance });
          const house: Block = {
            id: "h",
            kind: "block",
            name: "h",
            origin: { x: 0.5, y: 16, z: 0 },
            heading: -55,
            length,
            width,
            height,
          };
          const s = noted(seen, house);
          const shot = viewOfSightings(main, seen, s);
          const pins = (of: Shot) =>
            pinsOf([main], of)
              .slice(0, 2)
              .map(({ point }) => point.at!);
          pins(shot).forEach(([x], i) => expect(Math.abs(x / pins(seen)[i][0] - 1)).toBeLessThan(1e-6));
          const built = buildingOfSightings(main, shot, s);
          // Drawn again, it is what was noted; C may lie elsewhere between the points, and then it is another house
          // to the same picture.
          const again = noted(shot, { ...built, id: "b", name: "b" });
          expect(
            [
              again.x,
              again.top,
              again.bottom,
              again.left.upper,
              again.right.upper,
              again.parts!.heightToWidth,
              again.parts!.leftToRight,
            ].every(
              (value, i) =>
                Math.abs(
                  value -
                    [s.x, s.top, s.bottom, s.left.upper, s.right.upper, s.parts!.heightToWidth, s.parts!.leftToRight][
                      i
                    ],
                ) <
                1e-6 * (1 + Math.abs(value)),
            ),
          ).toBe(true);
          // With C in the panel's middle, as it was, it is the house itself.
          expect(
            [built.length, built.width, built.height, built.origin.y].every(
              (value, i) => Math.abs(value - [length, width, height, 16][i]) < 1e-5,
            ),
          ).toBe(true);
        },
      ),
      { numRuns: 60, endOnFailure: true },
    );
  });

  it("contradicts itself where two edges of a wall ask for two points, and is fixed by trusting one", () => {
    // 90 mm over and 40 mm under the level at tilts of 20 and 12 degrees: 247.3 and 188.2 mm away, where the lower
    // one should tilt by atan(40 / 247.3) = 9.2.
    const shot: Shot = {
      ...shotWith(),
      sightings: { x: 210, top: 58.5, bottom: 188.5, left: { upper: 20, lower: 12 }, right: { upper: 25 } },
    };
    const found = findings(scene, shot).find(({ id }) => id === "sightings-left")!;
    expect(found).toMatchObject({ severity: "warning", value: 2.8, unit: "°" });
    expect(inMetric(found.message)).toContain("59.1 mm apart");
    expect(findings(scene, found.fix!.shot).filter(({ id }) => id.startsWith("sightings"))).toEqual([]);
  });

  it("contradicts itself on one side, whatever the other lacks", () => {
    const sightings: Sightings = {
      x: 210,
      top: 58.5,
      bottom: 188.5,
      left: { upper: 20, lower: 12 },
      right: { upper: 0 },
    };
    const found = findings(scene, { ...shotWith(), sightings });
    expect(found.find(({ id }) => id === "sightings-left")).toMatchObject({ value: 2.8, unit: "°" });
    expect(sightLines(sightings, 148.5, TILT_HAND).find(({ edge }) => edge === "lower")!.asked).toBeCloseTo(9.2, 1);
  });

  it("contradicts itself where a wall would reach its own point, and says so at once", () => {
    // Edges of 40 degrees from 90 mm over the level meet it after 107.3 mm; 130 mm at 0.5 are 260 mm, half a side.
    const sightings: Sightings = {
      x: 210,
      top: 58.5,
      bottom: 188.5,
      left: { upper: 20 },
      right: { upper: 40 },
      parts: { heightToWidth: 0.5, leftToRight: 1 },
    };
    const of = (notes: Sightings) =>
      findings(scene, { ...shotWith(), sightings: notes }).filter(({ id }) => id.startsWith("sightings"));
    const [found, ...more] = of(sightings);
    expect(found).toMatchObject({ id: "sightings-part-right", severity: "warning", value: 130, unit: "mm" });
    expect(inMetric(found.message)).toContain("meet the eye’s level after 107.3 mm");
    expect(more).toEqual([]);
    expect(of({ ...sightings, parts: { heightToWidth: 0.65, leftToRight: 1 } })).toEqual([]);
  });

  it("says what cannot be", () => {
    const s: Sightings = { x: 210, top: 58.5, bottom: 188.5, left: { upper: 20 }, right: { upper: 0 } };
    expect(() => viewOfSightings(main, shotWith(), s)).toThrow("The right side: an edge that runs level");
    const whole = { ...s, right: { upper: 25 } };
    const shot = viewOfSightings(main, shotWith(), whole);
    expect(() => buildingOfSightings(main, shot, whole)).toThrow("Compare height with width");
    expect(() => buildingOfSightings(main, shot, { ...whole, parts: { heightToWidth: 0.1, leftToRight: 1 } })).toThrow(
      "contradict each other",
    );
    expect(() =>
      buildingOfSightings(main, shot, { ...whole, bottom: 100, parts: { heightToWidth: 1, leftToRight: 1 } }),
    ).toThrow(NoAnswer);
  });
});
