import fc from "fast-check";
import { between, shotWith } from "../../testing";
import { plainHouse } from "../../testing/houses";
import { distance2, dot, norm, sub, type Vec2, type Vec3 } from "../geometry";
import { project, viewOf } from "../shot";
import { HIDDEN, INTERSECTION, visibleEdges } from "../visibility";
import {
  build,
  CROWD,
  crownOf,
  facing,
  headsAt,
  heightAt,
  isWithin,
  kindOf,
  newPerson,
  outlineOf,
  POSES,
  roundSolid,
  rolledCrowd,
  validateElement,
  type Crowd,
  type Hull,
  type Person,
  type Pose,
} from ".";

const person = (change: Partial<Person> = {}): Person => ({
  ...newPerson({ x: 0, y: 10, z: 0 }, 180),
  id: "p",
  name: "Somebody",
  ...change,
});

const eyes = fc
  .tuple(between(6, 60), between(-3, 3), between(-0.6, 0.9))
  .map(([far, turn, rise]): Vec3 => [
    far * Math.cos(turn) * Math.cos(rise),
    far * Math.sin(turn) * Math.cos(rise),
    far * Math.sin(rise),
  ]);

/** How far a line of sight passes by a segment, m. */
function offSegment(eye: Vec3, through: Vec3, p: Vec3, q: Vec3): number {
  const way = sub(through, eye);
  // Ternary search: the distance from a place of the segment to the line is convex along it.
  const off = (t: number) => {
    const at: Vec3 = [p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1]), p[2] + t * (q[2] - p[2])];
    const from = sub(at, eye);
    const s = dot(from, way) / dot(way, way);
    return norm(sub(from, [s * way[0], s * way[1], s * way[2]]));
  };
  let [a, b] = [0, 1];
  for (let i = 0; i < 100; i++) {
    const [m, n] = [a + (b - a) / 3, b - (b - a) / 3];
    if (off(m) < off(n)) b = n;
    else a = m;
  }
  return off((a + b) / 2);
}

describe("what is drawn by its silhouette", () => {
  it("has outlines that every line of sight through them touches the balls' hull in", () => {
    fc.assert(
      fc.property(eyes, between(0.05, 0.4), between(0.2, 2), (eye, radius, long) => {
        const hulls: Hull[] = [
          {
            balls: [
              [-long / 2, 0.1, 0, radius],
              [long / 2, -0.1, 0.6, radius],
            ],
          },
        ];
        const solid = roundSolid("limb", { kind: "hulls", at: [0, 0, 0], turn: 0, hulls, before: 0.2 });
        const card = facing(solid, eye, { within: 1e-5 });
        const places = card.faces[0].loop.map((n) => card.vertices[n]);
        expect(places.length).toBeGreaterThan(20);
        const off = places.map((at) => offSegment(eye, at, [-long / 2, 0.1, 0], [long / 2, -0.1, 0.6]) - radius);
        // As far as a sagitta inside, at the distance of the eye.
        expect(Math.max(...off.map(Math.abs))).toBeLessThan(4e-5 * norm(eye));
      }),
      { numRuns: 40 },
    );
  });

  it("hides what is behind it and nothing beside it, and cuts nothing", () => {
    const wall = plainHouse();
    const solids = build([person({ at: { x: 6, y: -4, z: 0 } }), wall]);
    const visible = visibleEdges(solids, [6, -14, 1.6]);
    const hidden = [...visible.edgeClass.keys()].filter(
      (i) => visible.edgeClass[i] === HIDDEN && visible.solid[i] === 1,
    );
    expect(hidden.length).toBeGreaterThan(0);
    // Leaning against a wall, they go into it a little: no line is drawn there.
    const inWall = build([person({ at: { x: 6, y: 0, z: 0 }, pose: "leaning" }), wall]);
    expect([...visibleEdges(inWall, [6, -14, 1.6]).edgeClass]).not.toContain(INTERSECTION);
  });

  it("is nothing to an eye that is in it, and hides nothing from that", () => {
    const [solid] = build([person()]);
    expect(facing(solid, [0, 10, 0.9], { within: 1e-5 }).faces).toEqual([]);
  });
});

describe("people", () => {
  it("are as high over their feet as the horizon tells: height by eye height (similar triangles)", () => {
    fc.assert(
      fc.property(between(6, 60), between(-4, 4), between(1.55, 1.85), between(1, 6), (y, x, height, z) => {
        const shot = shotWith({ eye: { x: 0, y: 0, z }, gaze: { heading: 0, pitch: 0, roll: 0 } });
        const view = viewOf(shot);
        const one = person({ at: { x, y, z: 0 }, height });
        const visible = visibleEdges(build([one]), view.eye, [], 1e-5);
        const ys = [...visible.edgeClass.keys()].flatMap((i) =>
          [0, 3].map((k) => {
            const [px, py, pz] = visible.ends.subarray(6 * i + k);
            return project(view, [px, py, pz])![1];
          }),
        );
        const [foot, horizon] = [project(view, [x, y, 0])![1], project(view, [0, 1000, z])![1]];
        const tall = ((foot - horizon) * height) / z;
        const drawn = foot - Math.min(...ys);
        // Its crown is round, and not exactly over its place.
        expect(Math.abs(drawn / tall - 1)).toBeLessThan(0.03);
      }),
      { numRuns: 40 },
    );
  });

  it.each(Object.keys(POSES) as Pose[])("%s stand on their soles, with their crown where it has to be", (pose) => {
    const one = person({ pose });
    const [solid] = build([one]);
    const heights = solid.vertices.map(([, , z]) => z);
    expect(Math.min(...heights)).toBeCloseTo(0, 6);
    const [, , crown] = crownOf(one);
    if (pose === "standing") expect(crown).toBeCloseTo(one.height, 2);
    else expect(crown).toBeLessThan(one.height * 1.02);
    expect(crown).toBeGreaterThan(one.height * (pose === "sitting" ? 0.7 : 0.86));
  });

  it("have heads that are a part of their height by their age", () => {
    expect([headsAt(), headsAt(1), headsAt(6)]).toEqual([7.5, 4, 5.75]);
    fc.assert(
      fc.property(between(1, 17), between(0.05, 1), (age, more) => {
        expect(headsAt(Math.min(17, age + more))).toBeGreaterThanOrEqual(headsAt(age));
        expect(heightAt(Math.min(17, age + more))).toBeGreaterThanOrEqual(heightAt(age));
      }),
    );
    expect(validateElement(person({ age: 6, height: 1.16 }))).toBeNull();
  });

  it("are a box to draw into where one wants that, as large as they are", () => {
    const [solid] = build([person({ box: true })]);
    expect(solid.shape).toBeUndefined();
    expect(Math.max(...solid.vertices.map(([, , z]) => z))).toBeCloseTo(crownOf(person())[2], 6);
  });
});

describe("a crowd", () => {
  const square = [-15, 15].flatMap((x) => [
    { x, y: x < 0 ? 15 : -15 },
    { x, y: x < 0 ? -15 : 15 },
  ]);
  const crowd = (change: Partial<Crowd> = {}): Crowd => ({
    ...{ id: "c", name: "Market day", kind: "crowd", footprint: square, heading: 0, seed: 1, people: [] },
    ...CROWD,
    ...change,
  });
  const house = plainHouse();
  const placesOf = ({ people }: Crowd): readonly Vec2[] => people.map(({ x, y }) => [x, y]);

  it("stands in its area, no nearer to each other than is said, and within nothing that stands there", () => {
    fc.assert(
      fc.property(fc.nat(), between(0.5, 3), fc.integer({ min: 1, max: 60 }), (seed, spacing, number) => {
        const rolled = rolledCrowd(crowd({ seed, spacing, number }), [house]);
        const places = placesOf(rolled);
        expect(places.length).toBeLessThanOrEqual(number);
        for (const [i, at] of places.entries()) {
          expect(Math.max(Math.abs(at[0]), Math.abs(at[1]))).toBeLessThanOrEqual(15.001);
          expect(isWithin(at, outlineOf(house))).toBe(false);
          for (const other of places.slice(i + 1)) expect(distance2(at, other)).toBeGreaterThan(spacing - 0.002);
        }
      }),
      { numRuns: 40 },
    );
  });

  it("walks along a line, within its width, along that or against it, and goes with its bends", () => {
    const line = [
      { x: 0, y: 0 },
      { x: 40, y: 0 },
      { x: 40, y: 40 },
    ];
    const rolled = rolledCrowd(crowd({ footprint: [], line, wide: 3, walking: 100, children: 0 }), []);
    expect(rolled.people).toHaveLength(CROWD.number);
    for (const { x, y, heading } of rolled.people) {
      const isFirst = Math.abs(y) <= 1.501 && x <= 41.501;
      expect(isFirst || Math.abs(x - 40) <= 1.501).toBe(true);
      // East or north, or back, within the 12 degrees that walkers stray by.
      const off = (way: number) => Math.abs(((((heading - way) % 180) + 270) % 180) - 90);
      expect(Math.min(...(x < 37 ? [off(90)] : y > 3 ? [off(0)] : [off(0), off(90)]))).toBeLessThanOrEqual(12.5);
    }
    const moved = kindOf(rolled).placed(rolled, 2, [80, 0]) as Crowd;
    expect(moved.line![2]).toEqual({ x: 80, y: 0 });
    expect(Math.max(...moved.footprint.map(({ x }) => x))).toBeCloseTo(80, 6);
    expect(kindOf(rolled).places(rolled)).toHaveLength(3);
    expect(validateElement(crowd({ line: [line[0], { x: 1, y: 0 }] }))?.field).toBe("line");
  });

  it("is the same again for the same chance, and keeps those who are to stay when it is rolled again", () => {
    const one = rolledCrowd(crowd(), [house]);
    expect(rolledCrowd(crowd(), [house])).toEqual(one);
    const kept = one.people.map((each, i) => (i < 3 ? { ...each, kept: true } : each));
    const again = rolledCrowd({ ...one, people: kept, seed: 9 }, [house]);
    expect(again.people.slice(0, 3)).toEqual(kept.slice(0, 3));
    expect(again.people[5]).not.toEqual(one.people[5]);
    expect(again.people).toHaveLength(CROWD.number);
  });

  it("has fewer people where there is no room for all, and none where there is none", () => {
    const small = rolledCrowd(crowd({ number: 500, spacing: 3 }), []);
    expect(small.people.length).toBeGreaterThan(20);
    expect(small.people.length).toBeLessThan(130);
    const inside = [
      { x: 1, y: 1 },
      { x: 8, y: 1 },
      { x: 8, y: 7 },
    ];
    expect(rolledCrowd(crowd({ footprint: inside }), [house]).people).toEqual([]);
  });

  it("mixes children and walkers as it is said to", () => {
    const rolled = rolledCrowd(crowd({ number: 300, spacing: 0.6, children: 30, walking: 50 }), []);
    const part = (is: (one: Crowd["people"][number]) => boolean) => rolled.people.filter(is).length / 300;
    expect(Math.abs(part(({ age }) => age !== undefined) - 0.3)).toBeLessThan(0.08);
    expect(Math.abs(part(({ pose }) => pose !== "standing") - 0.5)).toBeLessThan(0.09);
  });
});
