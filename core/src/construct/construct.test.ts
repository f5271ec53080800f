import fc from "fast-check";
import { along, headingDirection, type Vec3 } from "../geometry";
import { project, viewOf } from "../shot";
import { anyShot, between, block, shotWith } from "../../testing";
import { blockCorner, build, resizeBlock, type Building } from "../world";
import { footAt, measureAlong, nearCorner, paperLength, pickSolid } from ".";

const view = viewOf(shotWith());

describe("measuring along a line in the picture", () => {
  it("finds how far a drawn point lies along any world line", () => {
    fc.assert(
      fc.property(
        anyShot,
        between(5, 60),
        between(-20, 20),
        between(0, 360),
        between(0.1, 30),
        (shot, far, side, heading, amount) => {
          const v = viewOf(shot);
          const origin = along(along(v.eye, v.forward, far), v.right, side);
          for (const direction of [headingDirection(heading), [0, 0, 1] as Vec3]) {
            const seen = project(v, along(origin, direction, amount));
            const found = seen && measureAlong(v, origin, direction, seen);
            // A line that runs at the eye has no picture to measure on.
            const from = project(v, origin)!;
            if (!seen || found === null || Math.hypot(seen[0] - from[0], seen[1] - from[1]) < 1) continue;
            expect(Math.abs(found / amount - 1)).toBeLessThan(1e-5);
          }
        },
      ),
    );
  });

  it("reads a height by the rule of the ground scale", () => {
    // Foot 90 mm below the horizon with the eye at 1.6 m: 90 mm stand for 1.6 m, so 180 mm up the foot's upright is
    // 3.2 m.
    const foot = footAt(view, [], [200, 238.5], 0)!.at;
    expect(measureAlong(view, foot, [0, 0, 1], [204, 58.5])).toBeCloseTo(3.2, 9);
    expect(paperLength(view, foot, [foot[0], foot[1], 3.2])).toBeCloseTo(180, 9);
  });

  it("has no answer for a line seen end on", () => {
    expect(measureAlong(view, [0, 10, 1.6], [0, 1, 0], [210, 148.5])).toBeNull();
  });
});

describe("a foot on the ground", () => {
  const house = block("house", 2, 14, 8, 6, 7, 35);

  it("is drawn to a corner, or to the street line continued, within reach", () => {
    const corner = blockCorner(house, 0, 1);
    const seen = project(view, corner)!;
    expect(footAt(view, [house], [seen[0] + 1, seen[1] - 1], 2)).toMatchObject({ at: corner, on: { what: "corner" } });
    // Nine metres along the street line beyond the house, drawn 1 mm off it.
    const further = blockCorner({ ...house, length: 17 }, 1, 0);
    const there = project(view, further)!;
    const foot = footAt(view, [house], [there[0], there[1] + 0.3], 2)!;
    expect(foot.on?.what).toBe("street line");
    const direction = headingDirection(35);
    const offLine = (foot.at[0] - house.origin.x) * direction[1] - (foot.at[1] - house.origin.y) * direction[0];
    expect(Math.abs(offLine)).toBeLessThan(1e-9);
    expect(foot.guide).not.toBeNull();
  });

  it("is left alone away from everything, and does not exist above the horizon", () => {
    expect(footAt(view, [house], [100, 280], 2)!.on).toBeNull();
    expect(footAt(view, [house], [100, 100], 2)).toBeNull();
    expect(
      footAt(view, [{ ...house, origin: { ...house.origin, z: 4 } }], project(view, blockCorner(house, 0, 0))!, 2)!.on,
    ).toBeNull();
  });
});

describe("blocks under the hand", () => {
  it("are picked nearest first", () => {
    const solids = build([block("far", -5, 30, 5, 10, 20), block("near", -1, 10, 2, 2, 3)]);
    expect(pickSolid(view, solids, project(view, [0, 10, 1])!)).toBe("near");
    expect(pickSolid(view, solids, project(view, [0, 30, 12])!)).toBe("far");
    expect(pickSolid(view, solids, [20, 20])).toBeNull();
  });

  it("are picked through the notch of an L: what stands behind it is seen there, not the L", () => {
    // Its corner at (2, 12) is cut out, from x 2 and y 12 on.
    const ell: Building = {
      id: "ell",
      kind: "building",
      name: "Ell",
      footprint: [
        [-4, 10],
        [8, 10],
        [8, 12],
        [2, 12],
        [2, 18],
        [-4, 18],
      ].map(([x, y]) => ({ x, y })),
      base: 0,
      height: 6,
      roof: { kind: "flat" },
    };
    const solids = build([ell, block("kiosk", 4, 14, 2, 2, 9)]);
    // From straight above: over the notch the ground, over the kiosk the kiosk, over each wing the L.
    const above = viewOf(shotWith({ eye: { x: 2, y: 14, z: 40 }, gaze: { pitch: -90, heading: 0 } }));
    const at = (x: number, y: number) => pickSolid(above, solids, project(above, [x, y, 6])!);
    expect([at(6, 17), at(5, 15), at(-1, 16), at(6, 11)]).toEqual([null, "kiosk", "ell", "ell"]);
  });

  it("are resized with the near corner kept where it is", () => {
    const house = block("house", 2, 14, 8, 6, 7, 35);
    expect(nearCorner(house, [0, 0, 1.6])).toEqual([0, 1]);
    for (const [u, v] of [
      [0, 0],
      [1, 0],
      [0, 1],
      [1, 1],
    ]) {
      const grown = resizeBlock(house, { length: 11, width: 3 }, u, v);
      const [a, b] = [blockCorner(house, u, v), blockCorner(grown, u, v)];
      expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeLessThan(1e-12);
      expect([grown.length, grown.width]).toEqual([11, 3]);
    }
  });

  it("are built closed: every edge on two faces, Euler's 8 - 12 + 6 = 2, the right volume", () => {
    fc.assert(
      fc.property(between(0, 360), between(1, 30), between(1, 30), between(1, 30), (heading, l, w, h) => {
        const [solid] = build([block("b", 3, -2, l, w, h, heading, 1)]);
        expect([solid.vertices.length, solid.edges.length, solid.faces.length]).toEqual([8, 12, 6]);
        // The divergence theorem over outward faces: the sum of offset times area, over three.
        const volume = solid.faces.reduce((sum, { loop, offset }) => {
          const [p, q, r] = loop.map((n) => solid.vertices[n]);
          const area =
            Math.hypot(q[0] - p[0], q[1] - p[1], q[2] - p[2]) * Math.hypot(r[0] - q[0], r[1] - q[1], r[2] - q[2]);
          return sum + (offset * area) / 3;
        }, 0);
        expect(Math.abs(volume / (l * w * h) - 1)).toBeLessThan(1e-9);
      }),
    );
  });
});
