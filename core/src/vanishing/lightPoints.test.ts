import fc from "fast-check";
import { anyShot, between, block, shotWith } from "../../testing";
import { shadowPlace } from "../construct";
import { distance2, dot, type Vec2, type Vec3 } from "../geometry";
import { raysOf, towardsSun, type Lamp, type Sun } from "../light";
import { project, viewOf } from "../shot";
import { build } from "../world";
import { isBehind, lightPoints, shadowPoint, sunFromPoint } from ".";

const sun = (heading: number, height: number): Sun => ({ id: "s", kind: "sun", heading, height });

/** How far a place lies from the line through two others, mm. */
function off([px, py]: Vec2, [ax, ay]: Vec2, [bx, by]: Vec2): number {
  return Math.abs((bx - ax) * (py - ay) - (by - ay) * (px - ax)) / distance2([ax, ay], [bx, by]);
}

describe("the points of a light", () => {
  it("of a sun before us at 30 degrees: d tan 30 over the horizon, its foot straight under it", () => {
    const [rays, foot] = lightPoints(shotWith(), sun(0, 30));
    expect(rays.at).toEqual([expect.closeTo(210, 9), expect.closeTo(148.5 - 300 * Math.tan(Math.PI / 6), 6)]);
    expect(foot.at).toEqual([expect.closeTo(210, 9), expect.closeTo(148.5, 9)]);
  });

  it("of a sun behind us: below the horizon, with its foot straight over it", () => {
    const shot = shotWith();
    const [rays, foot] = lightPoints(shot, sun(160, 30));
    expect(isBehind(viewOf(shot), sun(160, 30))).toBe(true);
    expect(rays.at![1]).toBeGreaterThan(148.5);
    expect(foot.at).toEqual([expect.closeTo(rays.at![0], 6), expect.closeTo(148.5, 6)]);
  });

  it("lead to where shadows end: rays through the top and lines through the foot meet there in any straight view", () => {
    const places = fc.tuple(between(-6, 6), between(6, 30), between(0.5, 6));
    fc.assert(
      fc.property(anyShot, between(0, 360), between(5, 80), places, (shot, heading, height, [x, y, z]) => {
        const view = viewOf(shot);
        const [rays, foot] = lightPoints(shot, sun(heading, height));
        const end = shadowPlace([], raysOf(sun(heading, height)), [x, y, z])!;
        const [top, base, tip] = [[x, y, z] as Vec3, [x, y, 0] as Vec3, end].map((p) => project(view, p));
        fc.pre(view.law.straight && !!top && !!base && !!tip && !!rays.at && !!foot.at);
        fc.pre([rays.at!, foot.at!, top!, base!, tip!].every((p) => Math.hypot(...p) < 1e4));
        fc.pre(distance2(top!, tip!) > 1 && distance2(base!, tip!) > 1);
        expect(off(rays.at!, top!, tip!)).toBeLessThan(1e-3 * Math.max(1, distance2(rays.at!, tip!)));
        expect(off(foot.at!, base!, tip!)).toBeLessThan(1e-3 * Math.max(1, distance2(foot.at!, tip!)));
      }),
    );
  });

  it("of a lamp are its picture and its foot's", () => {
    const shot = shotWith();
    const lamp: Lamp = { id: "l", kind: "lamp", name: "Lantern", at: { x: 1, y: 10, z: 3.6 } };
    const [rays, foot] = lightPoints(shot, lamp);
    expect(rays.at).toEqual(project(viewOf(shot), [1, 10, 3.6]));
    expect(foot.at).toEqual(project(viewOf(shot), [1, 10, 0]));
    expect(rays.name).toBe("Lantern");
  });

  it("are set by dragging: the sun that has its point there", () => {
    fc.assert(
      fc.property(between(0, 360), between(2, 80), (heading, height) => {
        const shot = shotWith({ gaze: { heading: 40, pitch: 5 } });
        const { at } = lightPoints(shot, sun(heading, height))[0];
        fc.pre(!!at && Math.hypot(...at) < 1e5);
        const found = sunFromPoint(viewOf(shot), at!)!;
        expect(dot(towardsSun(found), towardsSun(sun(heading, height)))).toBeCloseTo(1, 6);
      }),
    );
    expect(sunFromPoint(viewOf(shotWith()), [210, 148.5])).toBeNull();
  });

  it("of shadows on any plane: on the ground the foot of the light, and of uprights on walls upright", () => {
    const shot = shotWith({ gaze: { pitch: 10 } });
    const view = viewOf(shot);
    const towards = towardsSun(sun(30, 40));
    // On level ground it is the foot of the light.
    const [, foot] = lightPoints(shot, sun(30, 40));
    expect(distance2(shadowPoint(view, towards, [0, 0, 1], [0, 0, 1])!, foot.at!)).toBeLessThan(1e-6);
    // Uprights throw upright shadows on upright walls.
    const nadir = shadowPoint(view, towards, [0, 0, 1], [0, 1, 0])!;
    expect(nadir[0]).toBeCloseTo(210, 6);
    expect(shadowPoint(view, towards, towards, [0, 0, 1])).toBeNull();
  });
});

it("a shadow falls on what its ray meets first, from places on a thing away from that", () => {
  const solids = build([block("wall", -10, 10, 20, 1, 3)]);
  const rays = raysOf(sun(180, 45));
  const faces = solids[0].vertices.map(([, y]) => y);
  const [front] = [Math.min(...faces)];
  const at = shadowPlace(solids, rays, [solids[0].vertices[0][0] + 0.3, front - 2, 3])!;
  expect(at).toEqual([expect.any(Number), expect.closeTo(front, 9), expect.closeTo(1, 9)]);
  expect(shadowPlace([], raysOf({ id: "l", kind: "lamp", at: { x: 0, y: 0, z: 2 } }), [0, 0, 2])).toBeNull();
  expect(shadowPlace([], raysOf({ id: "l", kind: "lamp", at: { x: 0, y: 0, z: 2 } }), [3, 0, 2])).toBeNull();
});
