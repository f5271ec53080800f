import fc from "fast-check";
import { Euler, Vector3 } from "three";
import { between, block, shotWith } from "../../testing";
import { dot, norm, sub } from "../geometry";
import { eyeAxes } from "../shot";
import { project, viewOf } from "../shot";
import { vanishingPoint } from "../vanishing";
import { areaTwice, asCrate, build, crateAxes, crateCorners, outlineOf, volumeOf, type Crate } from ".";

const anyCrate = fc
  .record({
    heading: between(0, 360),
    tilt: between(-90, 90),
    roll: between(-180, 180),
    length: between(0.5, 6),
    width: between(0.5, 6),
    height: between(0.5, 6),
    z: between(0, 9),
  })
  .map(({ z, ...rest }): Crate => ({ id: "c", kind: "crate", name: "Crate", middle: { x: 2, y: 14, z }, ...rest }));

describe("a crate", () => {
  it("has edges at right angles that turn as an eye would (and as three's Euler angles do)", () => {
    fc.assert(
      fc.property(anyCrate, (crate) => {
        const [l, w, h] = crateAxes(crate);
        for (const [a, b] of [
          [l, w],
          [w, h],
          [h, l],
        ])
          expect(Math.abs(dot(a, b))).toBeLessThan(1e-12);
        // An eye that looks along the heading, up by the tilt and rolled clockwise has these axes.
        const eye = eyeAxes({ heading: crate.heading, pitch: crate.tilt, roll: crate.roll });
        for (const [own, theirs] of [
          [l, eye.forward],
          [w, eye.right],
          [h, eye.up],
        ])
          expect(norm(sub(own, theirs))).toBeLessThan(1e-12);
        // three: x east, y north, z up; about z by -heading, then about x by the tilt, then about y by the roll.
        const turn = new Euler(
          ...([crate.tilt, crate.roll, -crate.heading].map((d) => (d * Math.PI) / 180) as [number, number, number]),
          "ZXY",
        );
        const ahead = new Vector3(0, 1, 0).applyEuler(turn);
        expect(norm(sub(l, [ahead.x, ahead.y, ahead.z]))).toBeLessThan(1e-12);
      }),
    );
  });

  it("is a closed box that stands on its lowest corner, its volume and its middle staying", () => {
    fc.assert(
      fc.property(anyCrate, (crate) => {
        const [solid] = build([crate]);
        expect(volumeOf(solid) / (crate.length * crate.width * crate.height)).toBeCloseTo(1, 9);
        const corners = crateCorners(crate);
        expect(Math.min(...corners.map(([, , z]) => z))).toBeCloseTo(crate.middle.z, 9);
        expect(corners.reduce((sum, [x]) => sum + x, 0) / 8).toBeCloseTo(2, 9);
        const outline = outlineOf(crate);
        expect(areaTwice(outline)).toBeGreaterThan(0);
        for (const [x, y] of corners)
          outline.forEach(([ax, ay], i) => {
            const [bx, by] = outline[(i + 1) % outline.length];
            expect((bx - ax) * (y - ay) - (by - ay) * (x - ax)).toBeGreaterThan(-1e-9);
          });
      }),
    );
  });

  it("is the block that it was before it leans, and its edges run to their own points", () => {
    const before = block("b", 1, 12, 4, 2, 3, 25);
    const [was, is] = [build([before])[0], build([asCrate(before)])[0]];
    was.vertices.forEach((place, i) => expect(norm(sub(place, is.vertices[i]))).toBeLessThan(1e-9));
    const crate = { ...asCrate(before), tilt: 14, roll: 6 };
    const view = viewOf(shotWith({ eye: { z: 3 } }));
    const corners = crateCorners(crate).map((place) => project(view, place)!);
    const point = vanishingPoint(view, crateAxes(crate)[0]).at!;
    // From corner 0 along the length to corner 3, and on: all four such edges meet there.
    for (const [i, k] of [
      [0, 3],
      [1, 2],
      [4, 7],
      [5, 6],
    ]) {
      const [[ax, ay], [bx, by]] = [corners[i], corners[k]];
      const off = ((bx - ax) * (point[1] - ay) - (by - ay) * (point[0] - ax)) / Math.hypot(bx - ax, by - ay);
      expect(Math.abs(off)).toBeLessThan(1e-6);
    }
  });
});
