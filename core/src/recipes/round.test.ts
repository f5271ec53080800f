import fc from "fast-check";
import { between, shotWith } from "../../testing";
import { onEllipse } from "../conics";
import { distance2, fromStretch, radians, type Vec2, type Vec3 } from "../geometry";
import { levelAt, type OwnLine } from "../lines";
import { newScene, type Shot } from "../scene";
import { project, viewOf } from "../shot";
import { inMetric } from "../units";
import { newColumns, newTurned, type Columns, type Element } from "../world";
import { recipeOf, type Given, type Step } from ".";
import { ellipseOf } from "./round";
import { tableOf } from "./recipe";

const stepsOf = (id: string, shot: Shot, of: Partial<Given>): readonly Step[] =>
  recipeOf(id).steps({ scene: newScene("Round"), shot, ...of });
const texts = (steps: readonly Step[]) => steps.map(({ text }) => inMetric(text));
/** Views of something about 14 m ahead, from any height, tilted and rolled a little. */
const views = fc
  .tuple(between(0.3, 9), between(-25, 25), between(-12, 12), between(-20, 20), between(150, 700))
  .map(([z, pitch, roll, heading, distance]) => shotWith({ eye: { z }, gaze: { heading, pitch, roll }, distance }));
/** How far a place lies from the endless line through two. */
const offLine = ([x, y]: Vec2, [a, b]: readonly [Vec2, Vec2]): number =>
  Math.abs((b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0])) / distance2(a, b);

describe("a circle by the axes of its ellipse", () => {
  const plane = levelAt("Quay", 0);
  const line: OwnLine = { id: "c", kind: "circle", weight: "light", plane, centre: [1, 14], radius: 2.5 };

  it("keeps a curve that is the circle, and marks ends of axes on it, in any straight view", () => {
    fc.assert(
      fc.property(views, (shot) => {
        const view = viewOf(shot);
        const steps = stepsOf("ellipse", shot, { line });
        const circle = Array.from({ length: 720 }, (_, i): Vec2 => {
          const turn = radians(i / 2);
          return project(view, [1 + 2.5 * Math.cos(turn), 14 + 2.5 * Math.sin(turn), 0])!;
        });
        const wide = Math.max(...circle.map((one) => distance2(one, circle[0])));
        const off = (at: Vec2) => Math.min(...circle.map((p, i) => fromStretch(at, p, circle[(i + 1) % 720])));
        const drawn = steps.flatMap(({ kept }) => kept.map(([place]) => place));
        for (const at of drawn.filter((_, i) => i % 5 === 0)) expect(off(at) / wide).toBeLessThan(1e-4);
        for (const { at } of steps[1].points) expect(off(at) / wide).toBeLessThan(1e-4);
        // A loop around both pins is as long wherever the pencil is.
        const [p, q] = steps[3].points.map(({ at }) => at);
        const loops = drawn.map((at) => distance2(at, p) + distance2(at, q));
        expect(Math.max(...loops) - Math.min(...loops)).toBeLessThan(1e-6 * wide);
      }),
      { numRuns: 60 },
    );
  });

  it("is told by plain arithmetic, and takes four corners or the foot of something round, too", () => {
    // A square of 60 by 60 mm on the sheet holds a circle of 30 mm: no ellipse leans, all templates are too narrow.
    const quad: OwnLine = {
      id: "q",
      kind: "quad",
      weight: "light",
      corners: [
        [100, 100],
        [160, 100],
        [160, 160],
        [100, 160],
      ],
      columns: "4",
    };
    const shot = shotWith({ eye: { z: 5 } });
    const told = texts(stepsOf("ellipse", shot, { line: quad }));
    expect(told[0]).toContain("130 mm in from the left, 130 mm from the top");
    expect(told[1]).toContain("with 30 mm to either side; square to it the short one, with 30 mm");
    const drum: Element = { id: "d", name: "Tank", ...newTurned("cylinder", { x: 1, y: 14, z: 0 }), radius: 2.5 };
    expect(texts(stepsOf("ellipse", shot, { element: drum }))).toEqual(texts(stepsOf("ellipse", shot, { line })));
  });

  it("is none of what is not round, or lies level with the eye", () => {
    const hall: Element = { id: "h", name: "Row", ...newColumns("doric", { x: 0, y: 14, z: 0 }) };
    expect(() => stepsOf("ellipse", shotWith(), { element: hall })).toThrow("Choose something round");
    expect(() => stepsOf("ellipse", shotWith(), {})).toThrow("Choose something round");
    const level: OwnLine = { ...line, plane: levelAt("Eye level", 1.6) };
    expect(() => stepsOf("ellipse", shotWith({ eye: { z: 1.6 } }), { line: level })).toThrow("level with it");
  });
});

describe("a stack of circles", () => {
  const tank: Element = {
    id: "t",
    name: "Gasholder",
    ...newTurned("cylinder", { x: 0, y: 20, z: 0 }),
    radius: 4,
    height: 8,
  };

  it("opens away from the horizon, on either side of it, and is a line level with the eye", () => {
    const steps = stepsOf("fullness", shotWith({ eye: { z: 4 }, gaze: { heading: 0 } }), { element: tank });
    const told = texts(steps);
    // Circles at 0, 2, 4, 6 and 8 m: the third lies level with the eye.
    expect(told).toHaveLength(8);
    expect(told[3]).toMatch(/^At 4.00 m it is level with the eye: a straight line, [\d.]+ mm long.$/);
    const opens = told.slice(1, 6).map((one) => Number(/opens to ([\d.]+)/.exec(one)?.[1] ?? 0));
    expect(opens[0]).toBeGreaterThan(opens[1]);
    expect(opens[1]).toBeGreaterThan(opens[2]);
    // As far over the eye as under it they are as open.
    expect([opens[3], opens[4]]).toEqual([opens[1], opens[0]]);
    expect(told[1]).toContain("down at it");
    expect(told[5]).toContain("up at it");
  });

  it("opens by what the sines of two sights tell: an upright section through the eye", () => {
    // At 300 mm, near and far edge of the foot at 16 and 24 m, 4 m under the eye: 75 and 50 mm under the horizon.
    const shot = shotWith({ eye: { z: 4 }, gaze: { heading: 0 }, distance: 300 });
    const { centre, semiAxes } = ellipseOf(tableOf({ scene: newScene("t"), shot }), {
      scene: newScene("t"),
      shot,
      element: tank,
    });
    expect(semiAxes[1]).toBeCloseTo((75 - 50) / 2, 9);
    expect(centre[1]).toBeCloseTo(shot.lens.centre.y + (75 + 50) / 2, 9);
    expect(onEllipse({ centre, semiAxes, tilt: 0 }, 90)[1]).toBeCloseTo(shot.lens.centre.y + 75, 9);
  });

  it("is as high as its thing: domes and turned outlines have circles between their rims", () => {
    const dome: Element = { id: "d", name: "Dome", ...newTurned("dome", { x: 0, y: 30, z: 2 }), radius: 5, height: 5 };
    const told = texts(stepsOf("fullness", shotWith({ eye: { z: 1.6 }, gaze: { heading: 0 } }), { element: dome }));
    // A half ball of 5 m: at rises of sines of 0, 22.5, 45 and 67.5 degrees.
    expect(told.filter((one) => /^At /.test(one)).map((one) => one.slice(0, 9))).toEqual([
      "At 2.00 m",
      "At 3.91 m",
      "At 5.54 m",
      "At 6.62 m",
    ]);
  });
});

describe("a ring by its half-plan", () => {
  const ring = (count: number, heading: number, z: number): Columns => ({
    id: "r",
    name: "Rotunda",
    ...newColumns("tuscan", { x: 1, y: 15, z }, heading),
    ...{ stand: "ring", count, radius: 4 },
  });

  it("projects every mark to where a column stands, for any number and from any view (intercept theorem)", () => {
    fc.assert(
      fc.property(views, fc.integer({ min: 3, max: 16 }), between(0, 360), between(-2, 14), (shot, n, heading, z) => {
        const columns = ring(n, heading, z);
        fc.pre(Math.abs(shot.eye.z - z) > 0.2);
        const view = viewOf(shot);
        const steps = stepsOf("half-plan", shot, { element: columns });
        const [, plan, up, depth] = steps;
        // The half circle is one: all marks are as far from the middle of the near side.
        const middle = plan.lines[0].reduce<Vec2>(([x, y], [u, v]) => [x + u / 2, y + v / 2], [0, 0]);
        const half = distance2(...plan.lines[0]) / 2;
        for (const { at } of plan.points) expect(distance2(at, middle) / half).toBeCloseTo(1, 9);
        // What is brought up lies on the near side, square under it.
        const [from, to] = plan.lines[0];
        for (const [[x, y], mark] of up.lines) {
          expect(offLine(mark, [from, to])).toBeLessThan(1e-9 * half + 1e-9);
          const square = (x - mark[0]) * (to[0] - from[0]) + (y - mark[1]) * (to[1] - from[1]);
          expect(Math.abs(square)).toBeLessThan(1e-9 * half * half);
        }
        // From each mark the line towards the depth runs through its column's foot.
        depth.lines.forEach((line, i) => {
          const turn = radians(90 - heading - (i * 360) / n);
          const foot: Vec3 = [1 + 4 * Math.cos(turn), 15 + 4 * Math.sin(turn), z];
          const seen = project(view, foot)!;
          expect(distance2(depth.points[i].at, seen)).toBeLessThan(1e-9 * half + 1e-9);
          if (distance2(...line) > 1e-6) expect(offLine(seen, line)).toBeLessThan(1e-6 * half);
        });
      }),
      { numRuns: 80 },
    );
  });

  it("says how many there are and how far apart, and asks for a ring", () => {
    const shot = shotWith({ eye: { z: 6 }, gaze: { heading: 0 } });
    const told = texts(stepsOf("half-plan", shot, { element: ring(12, 0, 0) }));
    expect(told[1]).toContain("mark the 12 on it, 30.0° apart");
    const part = { ...ring(5, 180, 0), through: 120 };
    expect(texts(stepsOf("half-plan", shot, { element: part }))[1]).toContain("mark the 5 on it, 30.0° apart");
    const drum: Element = { id: "d", name: "Tank", ...newTurned("cylinder", { x: 1, y: 14, z: 0 }) };
    expect(() => stepsOf("half-plan", shot, { element: drum })).toThrow("Choose a ring of columns.");
  });
});
