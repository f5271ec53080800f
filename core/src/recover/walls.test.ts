import fc from "fast-check";
import { applyHomography, distance2, dot, sub, type Vec2, type Vec3 } from "../geometry";
import { newScene, type Reference, type Wall } from "../scene";
import { eyeAxes, type Gaze } from "../shot";
import { between } from "../../testing";
import { blockCorner, type Block } from "../world";
import { blocksOf, elevation, measureWall, shareAt, shotFrom } from ".";
import { tracedEdges } from "../../testing/simulated";

const SIZE = { width: 4000, height: 3000 };
const F = 3400;
/**
 * The house that is pictured: its corner 16 m ahead, its streets at headings -55 and 35, as the new scene's
 * directions run.
 */
const HOUSE: Block = {
  id: "h",
  kind: "block",
  name: "House",
  origin: { x: 1, y: 16, z: 0 },
  heading: -55,
  length: 11,
  width: 7,
  height: 6,
};

function pictured(gaze: Gaze, eye: number) {
  const { right, up, forward } = eyeAxes(gaze);
  const px = (p: Vec3): Vec2 => {
    const v = sub(p, [0, 0, eye]);
    return [2000 + (F * dot(v, right)) / dot(v, forward), 1500 - (F * dot(v, up)) / dot(v, forward)];
  };
  const corner = (u: number, v: number, z: number) => {
    const [x, y] = blockCorner(HOUSE, u, v);
    return px([x, y, z]);
  };
  const of = { f: F, centre: [2000, 1500] as const, gaze };
  const set = (role: "left" | "right" | "upright", along: Vec3, k: number) => ({
    id: role,
    name: role,
    role,
    edges: tracedEdges(of, along, 9, 0, () => 0, 50 + k).map(({ a, b }) => ({
      x1: a[0],
      y1: a[1],
      x2: b[0],
      y2: b[1],
    })),
  });
  const rad = (d: number) => (d * Math.PI) / 180;
  const wall = (id: string, along: string, from: Vec2, to: Vec2): Wall => ({
    id,
    name: id,
    along,
    x1: from[0],
    y1: from[1],
    x2: to[0],
    y2: to[1],
  });
  const reference: Reference = {
    id: "r",
    name: "Quay",
    picture: "0".repeat(64),
    ...SIZE,
    sets: [
      set("left", [Math.sin(rad(-55)), Math.cos(rad(-55)), 0], 0),
      set("right", [Math.sin(rad(35)), Math.cos(rad(35)), 0], 1),
      set("upright", [0, 0, 1], 2),
    ],
    walls: [
      wall("long", "left", corner(0, 0, 0), corner(1, 0, 6)),
      wall("short", "right", corner(0, 1, 0), corner(0, 0, 6)),
    ],
  };
  return { reference, px, corner };
}
const [long, short] = [0, 1].map((i) => (reference: Reference) => reference.walls![i]);

describe("a wall of a picture", () => {
  it("has its true proportions, and its size by anything that is known", () => {
    fc.assert(
      fc.property(
        between(-12, 12),
        between(3, 16),
        between(-9, 9),
        between(1.2, 9),
        fc.boolean(),
        (heading, pitch, roll, eye, down) => {
          const { reference, corner } = pictured({ heading, pitch: down ? -pitch : pitch, roll }, eye);
          const plain = measureWall(reference, long(reference));
          expect([plain.ratio, plain.length, plain.reads]).toEqual([expect.closeTo(11 / 6, 3), null, 1]);
          expect(measureWall(reference, short(reference)).ratio).toBeCloseTo(7 / 6, 3);
          // By its own height, its own length, or anything else on the ground that tells the eye's height.
          expect(measureWall(reference, { ...long(reference), height: 6 }).length).toBeCloseTo(11, 2);
          expect(measureWall(reference, { ...long(reference), length: 11 }).height).toBeCloseTo(6, 2);
          const [foot, top] = [corner(0, 1, 0), corner(0, 1, 6)];
          const known = { ...reference, heights: [{ x1: foot[0], y1: foot[1], x2: top[0], y2: top[1], metres: 6 }] };
          expect(measureWall(known, long(reference)).length).toBeCloseTo(11, 2);
          // A wall on the ground that is known tells the eye's height, and so the size of the other one.
          const one = { ...reference, walls: [{ ...long(reference), height: 6 }, short(reference)] };
          expect(measureWall(one, short(one)).length).toBeCloseTo(7, 2);
          const scene = newScene("Test");
          expect(shotFrom(scene.shots[0], scene.orientations[0], one).eye.z).toBeCloseTo(eye, 2);
          // Said to be 5.5 m long and 6 m high, it reads twice as long.
          expect(measureWall(reference, { ...long(reference), height: 6, length: 5.5 }).reads).toBeCloseTo(2, 2);
        },
      ),
      { numRuns: 25, endOnFailure: true },
    );
  });

  it("is seen flat from left to right, and its bays are read where they are marked", () => {
    const { reference, px } = pictured({ heading: 3, pitch: 6, roll: 2 }, 1.7);
    const at = (u: number, z: number) => {
      const [x, y] = blockCorner(HOUSE, u, 0);
      return px([x, y, z]);
    };
    const measured = measureWall(reference, { ...long(reference), height: 6 });
    // The left set runs away to the left: the wall's far end is on the picture's left.
    expect(distance2(applyHomography(measured.flat, [0, 1])!, at(1, 0))).toBeLessThan(1);
    expect(distance2(applyHomography(measured.flat, [0.25, 0.5])!, at(0.75, 3))).toBeLessThan(1);
    const flat = elevation(measured);
    expect(flat.width / flat.height).toBeCloseTo(11 / 6, 2);
    expect(distance2(applyHomography(flat.from, [flat.width, 0])!, at(0, 6))).toBeLessThan(1);
    const marks = [0.8, 0.5].map((u) => shareAt(measured, at(u, 2))!);
    expect(marks).toEqual([expect.closeTo(0.2, 3), expect.closeTo(0.5, 3)]);
    expect(shareAt(measured, at(-0.1, 2))).toBeNull();
    const { bays } = measureWall(reference, { ...long(reference), height: 6, marks: [marks[1], marks[0]] });
    [2.2, 3.3, 5.5].forEach((metres, i) => expect(bays[i]).toBeCloseTo(metres, 2));
  });

  it("says why it is none", () => {
    const { reference } = pictured({ heading: 3, pitch: 6, roll: 2 }, 1.7);
    const wall = long(reference);
    expect(() => measureWall(reference, { ...wall, along: "upright2" })).toThrow(
      "the set it runs along has no two edges",
    );
    expect(() => measureWall(reference, { ...wall, x2: wall.x1, y2: wall.y1 })).toThrow("Draw it from a lower corner");
    expect(() => measureWall({ ...reference, sets: reference.sets.slice(0, 1) }, wall)).toThrow("One set only");
  });

  it("is copied into a shot of the view as the block that was pictured; alone, as one 8 m deep", () => {
    fc.assert(
      fc.property(between(-12, 12), between(3, 12), between(-6, 6), fc.boolean(), (heading, pitch, roll, turned) => {
        const { reference, corner } = pictured({ heading, pitch, roll }, 1.7);
        const [foot, top] = [corner(0, 1, 0), corner(0, 1, 6)];
        const walls = turned ? [...reference.walls!].reverse() : reference.walls;
        const known: Reference = {
          ...reference,
          walls,
          heights: [{ x1: foot[0], y1: foot[1], x2: top[0], y2: top[1], metres: 6 }],
        };
        const scene = newScene("Test");
        const shot = shotFrom({ ...scene.shots[0], eye: { x: 0, y: 0, z: 1.6 } }, scene.orientations[0], known);
        const near = (block: Block) => [0, 1].flatMap((u) => [0, 1].map((v) => blockCorner(block, u, v)));
        const truth = near(HOUSE);
        const [made, ...more] = blocksOf(known, shot, scene.orientations, String);
        expect(more).toEqual([]);
        expect(made.height).toBeCloseTo(6, 1);
        // The same four corners, in whatever order.
        for (const p of near(made))
          expect(Math.min(...truth.map((q) => Math.hypot(p[0] - q[0], p[1] - q[1])))).toBeLessThan(0.05);
        const [alone] = blocksOf({ ...known, walls: [long(reference)] }, shot, scene.orientations, String);
        expect([alone.length, alone.width, alone.name]).toEqual([expect.closeTo(11, 1), 8, "long"]);
        // It lies behind its wall.
        const depth = (block: Block) => near(block).reduce((sum, p) => sum + p[1], 0) / 4;
        expect(depth(alone)).toBeGreaterThan((blockCorner(HOUSE, 0, 0)[1] + blockCorner(HOUSE, 1, 0)[1]) / 2);
      }),
      { numRuns: 25, endOnFailure: true },
    );
  });
});
