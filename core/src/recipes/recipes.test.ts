import fc from "fast-check";
import { anyShot, between, block, rectangle, shotWith } from "../../testing";
import { distance2, headingDirection, type Vec2, type Vec3 } from "../geometry";
import { axesOf, levelAt, ontoPlane, type OwnLine } from "../lines";
import { NoAnswer } from "../problem";
import { newScene, type Scene, type Shot } from "../scene";
import { project, unprojectTo, viewOf } from "../shot";
import { inMetric } from "../units";
import { horizon, pinsOf } from "../vanishing";
import { boxOf, type Building, type Element } from "../world";
import { RECIPES, type Given, type RecipeId, type Step } from ".";

const stepsOf = (id: RecipeId, given: Given): readonly Step[] => RECIPES.find((one) => one.id === id)!.steps(given);
const sceneOf = (change: Partial<Scene> = {}): Scene => ({ ...newScene("Test"), ...change });
const kept = (steps: readonly Step[]): Vec2[] => steps.flatMap((one) => one.kept.flat());
const marked = (steps: readonly Step[]): Vec2[] => steps.flatMap(({ points }) => points.map(({ at }) => at));
/** How far the nearest of some places is from one. */
const off = (places: readonly Vec2[], at: Vec2): number => Math.min(...places.map((one) => distance2(one, at)));

/** Level views of a building ahead. */
const level = shotWith({ eye: { z: 6 } });
const house: Building = {
  id: "h",
  kind: "building",
  name: "Net loft",
  footprint: rectangle(-3, 12, 5, 18),
  base: 0,
  height: 4,
  roof: { kind: "gable", rise: 2 },
};

/** Runs a recipe over many views; those that give none are left out, as long as enough are left. */
function overViews(
  id: RecipeId,
  element: Element,
  check: (steps: readonly Step[], shot: Shot) => void,
  line?: OwnLine,
) {
  let answered = 0;
  fc.assert(
    fc.property(anyShot, (shot) => {
      let steps: readonly Step[];
      try {
        steps = stepsOf(id, { scene: sceneOf({ shots: [shot] }), shot, element, line });
      } catch (error) {
        if (error instanceof NoAnswer) return;
        throw error;
      }
      answered++;
      check(steps, shot);
    }),
    { numRuns: 300 },
  );
  expect(answered).toBeGreaterThan(20);
}
const allowed = (at: Vec2) => 1e-6 * Math.max(1, Math.hypot(...at) / 1000);

describe("every construction", () => {
  it("is told in whole sentences", () => {
    const scene = sceneOf({ shots: [level] });
    for (const { steps } of RECIPES) {
      let all: readonly Step[];
      try {
        all = steps({ scene, shot: level, element: house });
      } catch (error) {
        expect(error).toBeInstanceOf(NoAnswer);
        continue;
      }
      const texts = all.map(({ text }) => inMetric(text));
      for (const text of texts) expect(text).toMatch(/^[A-Z].*[.:]$/s);
      expect(texts.length).toBeGreaterThan(1);
    }
  });

  it("says what it needs, and that a curved lens has compass work instead", () => {
    const curved = { ...level, lens: { ...level.lens, law: "stereographic" as const } };
    const scene = sceneOf();
    for (const { steps } of RECIPES) expect(() => steps({ scene, shot: curved, element: house })).toThrow("compass");
    expect(() => stepsOf("block", { scene, shot: level })).toThrow("Choose a building first.");
    expect(() => stepsOf("stairs", { scene, shot: level, element: house })).toThrow("Choose a flight of steps.");
    expect(() => stepsOf("circle", { scene, shot: level })).toThrow("Choose a circle");
    expect(() => stepsOf("division", { scene, shot: level })).toThrow("Choose steps along a line");
    expect(() => stepsOf("third-point", { scene, shot: level })).toThrow("The gaze is level");
  });
});

describe("constructions of things end where they are", () => {
  it("a box: every line that stays ends in a corner of it, in any straight view", () => {
    const thing = block("b", -4, 10, 6, 5, 4, 20);
    overViews("block", thing, (steps, shot) => {
      const view = viewOf(shot);
      const corners = [0, 1].flatMap((u) =>
        [0, 1].flatMap((v) =>
          [0, 4].map((z): Vec3 => {
            const [l, w] = [headingDirection(20), headingDirection(110)];
            return [-4 + 6 * u * l[0] + 5 * v * w[0], 10 + 6 * u * l[1] + 5 * v * w[1], z];
          }),
        ),
      );
      const seen = corners.flatMap((corner) => {
        const at = project(view, corner);
        return at ? [at] : [];
      });
      for (const at of kept(steps)) expect(off(seen, at)).toBeLessThan(allowed(at));
    });
  });

  it("a gable: its ridge is that of the roof, at both ends", () => {
    overViews("gable", house, (steps, shot) => {
      const view = viewOf(shot);
      // The ridge runs along the longer side, east and west, over the middle, 6 m high.
      for (const x of [-3, 5]) {
        const at = project(view, [x, 15, 6]);
        if (at) expect(off(kept(steps), at)).toBeLessThan(allowed(at));
      }
    });
  });

  it("measured depth: the edge ends at the corner", () => {
    fc.assert(
      fc.property(between(0.5, 8), between(-60, 60), between(2, 12), between(100, 600), (z, turn, length, distance) => {
        const shot = shotWith({ eye: { z }, distance });
        const thing = block("b", 0, 12, length, 5, 4, turn);
        const orientations = [{ id: "o", name: "Quay", heading: turn }];
        let steps: readonly Step[];
        try {
          steps = stepsOf("depth", { scene: sceneOf({ orientations }), shot, element: thing });
        } catch (error) {
          expect(error).toBeInstanceOf(NoAnswer);
          return;
        }
        const box = boxOf(thing);
        const [l, w] = [headingDirection(turn), headingDirection(turn + 90)];
        const corners = [0, 1].flatMap((u) =>
          [0, 1].map((v): Vec3 => [
            box.origin.x + u * length * l[0] + 5 * v * w[0],
            box.origin.y + u * length * l[1] + 5 * v * w[1],
            0,
          ]),
        );
        const seen = corners.flatMap((corner) => project(viewOf(shot), corner) ?? []);
        const places = Array.from({ length: seen.length / 2 }, (_, i): Vec2 => [seen[2 * i], seen[2 * i + 1]]);
        for (const at of kept(steps)) expect(off(places, at)).toBeLessThan(1e-5 * Math.max(1, Math.hypot(...at) / 100));
      }),
    );
  });

  it("a true square: its corners lie square on the ground, as far apart as the eye is high", () => {
    overViews("square", house, (steps, shot) => {
      const view = viewOf(shot);
      const ground = kept(steps).map((at) => unprojectTo(view, at, [0, 0, 1], 0));
      if (ground.some((at) => at === null)) return;
      for (let i = 0; i < ground.length; i += 2) {
        const [p, q] = [ground[i]!, ground[i + 1]!];
        expect(Math.hypot(p[0] - q[0], p[1] - q[1]) / Math.abs(view.eye[2])).toBeCloseTo(1, 4);
      }
    });
  });

  it("a flight: risers and treads are those of the steps", () => {
    const steps: Element = {
      id: "s",
      kind: "steps",
      name: "Lock stairs",
      foot: { x: 1, y: 9, z: 0 },
      heading: 40,
      width: 2,
      count: 6,
      riser: 0.17,
      tread: 0.3,
    };
    overViews("stairs", steps, (drawn, shot) => {
      const view = viewOf(shot);
      const places = [-1, 1].flatMap((side) =>
        Array.from({ length: 7 }, (_, n) =>
          [0, 1].map((up): Vec3 => {
            const [a, s] = [headingDirection(40), headingDirection(130)];
            const far = n * 0.3;
            return [1 + far * a[0] + side * s[0], 9 + far * a[1] + side * s[1], Math.min(6, n + up) * 0.17];
          }),
        ).flat(),
      );
      const seen = places.flatMap((place) => {
        const at = project(view, place);
        return at ? [at] : [];
      });
      for (const at of kept(drawn)) expect(off(seen, at)).toBeLessThan(allowed(at));
    });
  });

  it("a circle: all eight points lie on it", () => {
    const plane = levelAt("Quay", 0.4);
    const line: OwnLine = { id: "c", kind: "circle", weight: "light", plane, centre: [2, 14], radius: 3 };
    overViews(
      "circle",
      house,
      (steps, shot) => {
        const axes = axesOf(plane);
        const eight = steps.find((one) => one.points.length === 8)!.points;
        for (const { at } of eight) {
          const place = unprojectTo(viewOf(shot), at, axes.normal, 0.4);
          if (place) expect(distance2(ontoPlane(axes, place), [2, 14]) / 3).toBeCloseTo(1, 5);
        }
      },
      line,
    );
  });
});

describe("constructions of the set-up", () => {
  const pitched = shotWith({ eye: { z: 9 }, gaze: { heading: 5, pitch: -20 } });
  const pins = (scene: Scene, shot: Shot) => pinsOf(scene.orientations, shot);

  it("find the third point where it is", () => {
    const scene = sceneOf();
    const found = stepsOf("third-point", { scene, shot: pitched }).flatMap(({ points }) => points);
    const upright = pins(scene, pitched).find(({ role }) => role === "upright")!.point.at!;
    expect(distance2(found.find(({ name }) => name === "third")!.at, upright)).toBeLessThan(1e-6);
  });

  it("find a turned pair, and a slope's point", () => {
    const scene = sceneOf({
      orientations: [
        { id: "main", name: "Main", heading: 35, slopes: [{ id: "s", name: "Ramp", axis: "along", rise: 12 }] },
        { id: "quay", name: "Quay", heading: 62 },
      ],
    });
    const turned = marked(stepsOf("turned", { scene, shot: level }));
    for (const id of ["quay-left", "quay-right"])
      expect(off(turned, pins(scene, level).find((pin) => pin.id === id)!.point.at!)).toBeLessThan(1e-6);
    const slope = marked(stepsOf("slope", { scene, shot: level }));
    expect(off(slope, pins(scene, level).find(({ role }) => role === "up")!.point.at!)).toBeLessThan(1e-6);
    expect(() => stepsOf("turned", { scene, shot: pitched })).toThrow("level gaze");
  });

  it("find the horizon through the points of a building's edges", () => {
    const thing = block("b", -1, 12, 6, 5, 4, 30);
    const scene = sceneOf({ orientations: [{ id: "o", name: "Quay", heading: 30 }] });
    const steps = stepsOf("horizon", { scene, shot: level, element: thing });
    const { a, b, c } = horizon(viewOf(level))!;
    for (const [x, y] of marked(steps)) expect(Math.abs(a * x + b * y + c)).toBeLessThan(1e-6);
  });

  it("aim a short ruler at the farthest point by its ticks", () => {
    const scene = sceneOf();
    const [point] = pins(scene, level)
      .filter(({ offSheet }) => offSheet)
      .sort((p, q) => q.offSheet!.distance - p.offSheet!.distance);
    const lines = stepsOf("edge-ticks", { scene, shot: level }).flatMap((one) => one.kept);
    expect(lines.length).toBeGreaterThan(3);
    const [px, py] = point.point.at!;
    for (const [[ax, ay], [bx, by]] of lines)
      expect(Math.abs((bx - ax) * (py - ay) - (by - ay) * (px - ax)) / Math.hypot(bx - ax, by - ay)).toBeLessThan(1e-6);
  });

  it("divide by every school, and by arithmetic where there is no measuring point", () => {
    const scene = sceneOf();
    const right = pins(scene, level).find(({ role }) => role === "right")!;
    const [px, py] = right.point.at!;
    const spacing = (towards: string): OwnLine => ({
      ...{ id: "s", kind: "spacing", weight: "light", from: [40, 260], parts: "4", towards },
      to: [40 + 0.5 * (px - 40), 260 + 0.5 * (py - 260)],
    });
    // Half way to the point, quarters: 1/r changes evenly from 1/R to 2/R.
    const whole = Math.hypot(px - 40, py - 260);
    const at = (k: number): Vec2 => {
      const t = 1 - 1 / (1 + k / 4);
      return [40 + t * (px - 40), 260 + t * (py - 260)];
    };
    const found = marked(stepsOf("division", { scene, shot: level, line: spacing(right.id) }));
    for (const k of [1, 2, 3]) expect(off(found, at(k))).toBeLessThan(1e-6);
    expect(whole).toBeGreaterThan(0);
    const quad = (school: "marks" | "diagonals", columns: string): OwnLine => ({
      ...{ id: "q", kind: "quad", weight: "light", columns, school },
      corners: [
        [0, 45],
        [120, 15],
        [120, -15],
        [0, -45],
      ],
    });
    for (const school of ["marks", "diagonals"] as const) {
      const places = marked(stepsOf("division", { scene, shot: level, line: quad(school, "2") }));
      expect(places.some(([x]) => Math.abs(x - 90) < 1e-6)).toBe(true);
    }
    const rhythm = marked(stepsOf("division", { scene, shot: level, line: quad("diagonals", "1 2") }));
    expect(rhythm.some(([x]) => Math.abs(x - 72) < 1e-6)).toBe(true);
  });
});

describe("a shadow on the ground", () => {
  const lights = [
    { id: "sun", kind: "sun", heading: 200, height: 35 },
    { id: "lamp", kind: "lamp", at: { x: -6, y: 4, z: 9 } },
  ] as const;

  it.each(lights)(
    "of a $kind ends where the rays through its corners meet the ground, in any straight view",
    (light) => {
      let answered = 0;
      fc.assert(
        fc.property(anyShot, (shot) => {
          const scene = sceneOf({ shots: [shot], lights: [light] });
          let steps: readonly Step[];
          try {
            steps = stepsOf("shadow", { scene, shot, element: house });
          } catch (error) {
            if (error instanceof NoAnswer) return;
            throw error;
          }
          answered++;
          const view = viewOf(shot);
          for (const [x, y] of [
            [-3, 12],
            [5, 18],
          ]) {
            // By similar triangles, or by the height of the sun, for a corner 4 m up.
            const turn = (200 * Math.PI) / 180;
            const far = 4 / Math.tan((35 * Math.PI) / 180);
            const end =
              light.kind === "sun"
                ? ([x - far * Math.sin(turn), y - far * Math.cos(turn), 0] as const)
                : ([-6 + ((x + 6) * 9) / 5, 4 + ((y - 4) * 9) / 5, 0] as const);
            const at = project(view, end)!;
            expect(off(marked(steps), at)).toBeLessThan(allowed(at));
            // The far corner's end is one of the shadow's own.
            if (x === 5) expect(off(kept(steps), at)).toBeLessThan(allowed(at));
          }
        }),
        { numRuns: 200 },
      );
      expect(answered).toBeGreaterThan(20);
    },
  );

  it("says what it lacks: a light, or one over the building", () => {
    const scene = sceneOf({ shots: [level] });
    expect(() => stepsOf("shadow", { scene, shot: level, element: house })).toThrow("There is no light");
    const low = { id: "l", kind: "lamp", at: { x: 0, y: 4, z: 3 } } as const;
    expect(() => stepsOf("shadow", { scene: { ...scene, lights: [low] }, shot: level, element: house })).toThrow(
      "its shadow has no end",
    );
  });
});
