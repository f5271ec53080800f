import fc from "fast-check";
import { distance2, type Vec2 } from "../geometry";
import { newScene } from "../scene";
import { orthocentre } from "../shot";
import { between, shotWith } from "../../testing";
import { caughtOnHorizon, movePin, usualKeep, pinsOf, type Keep, type Role } from ".";

const [orientation] = newScene("Test").orientations;
const place = (shot: ReturnType<typeof shotWith>, role: Role) =>
  pinsOf([orientation], shot).find((pin) => pin.role === role)!.point.at!;
const near = (a: Vec2, b: Vec2) => expect(distance2(a, b)).toBeLessThan(1e-5 * (1 + Math.hypot(...b)));
const flat = shotWith();
const down = shotWith({ gaze: { pitch: -25 } });

describe("moving a level pin", () => {
  it("puts it there whatever is kept, and leaves world and eye alone", () => {
    fc.assert(
      fc.property(
        between(-2000, 120),
        fc.constantFrom<Keep>("lens", "pins", "centre"),
        fc.constantFrom(flat, down),
        (x, keep, shot) => {
          const moved = movePin(orientation, shot, "left", [x, 400], keep);
          near(place(moved, "left"), [x, place(shot, "left")[1]]);
          expect(moved.eye).toEqual(shot.eye);
          expect(moved.gaze.roll).toBeCloseTo(0, 6);
        },
      ),
    );
  });

  it("keeping the lens turns the view: centre, distance and pitch stay", () => {
    const moved = movePin(orientation, down, "left", [-900, 0], "lens");
    expect(moved.lens).toEqual(down.lens);
    expect(moved.gaze.pitch).toBe(-25);
    expect(moved.gaze.heading).not.toBeCloseTo(down.gaze.heading, 0);
  });

  it(
    "keeping the other pins changes the lens: of two, the gaze between them stays; of three, C is their " +
      "orthocentre",
    () => {
      const two = movePin(orientation, flat, "left", [-900, 0], "pins");
      near(place(two, "right"), place(flat, "right"));
      expect(two.gaze).toEqual(flat.gaze);
      const three = movePin(orientation, down, "right", [900, 0], "pins");
      near(place(three, "left"), place(down, "left"));
      near(place(three, "upright"), place(down, "upright"));
      near(
        [three.lens.centre.x, three.lens.centre.y],
        orthocentre(place(three, "left"), place(three, "right"), place(three, "upright")),
      );
    },
  );

  it("keeps the centre of two points and the lens of three, where nobody chose", () => {
    expect([usualKeep(shotWith()), usualKeep(shotWith({ gaze: { pitch: -20 } }))]).toEqual(["centre", "lens"]);
    // A third point that joins under a level view, whatever its height, leaves the lens as it was.
    for (const y of [600, 900, 3000]) {
      const level = shotWith();
      const joined = movePin(
        orientation,
        level,
        "upright",
        [210, y],
        usualKeep({ gaze: { ...level.gaze, pitch: -1 } }),
      );
      expect(joined.lens).toEqual(level.lens);
    }
  });

  it("catches a level point of a sweep on its straight horizon, and no other", () => {
    const sweep = { lens: { ...shotWith().lens, law: "cylindrical" as const } };
    const y = sweep.lens.centre.y;
    expect(caughtOnHorizon(sweep, { role: "left" }, [40, y + 3])).toEqual([40, y]);
    expect(caughtOnHorizon(sweep, { role: "left" }, [40, y + 5])).toEqual([40, y + 5]);
    expect(caughtOnHorizon(sweep, { role: "upright" }, [40, y + 3])).toEqual([40, y + 3]);
    const disc = { lens: { ...sweep.lens, law: "stereographic" as const } };
    expect(caughtOnHorizon(disc, { role: "left" }, [40, y + 3])).toEqual([40, y + 3]);
  });

  it("keeping the centre holds it and the other pin", () => {
    const moved = movePin(orientation, flat, "left", [-900, 0], "centre");
    expect(moved.lens.centre).toEqual(flat.lens.centre);
    near(place(moved, "right"), place(flat, "right"));
    expect(moved.gaze.pitch).toBe(0);
  });

  it("works along a tilted horizon", () => {
    const tilted = shotWith({ gaze: { pitch: -20, roll: 8 } });
    const to = place(tilted, "right");
    near(place(movePin(orientation, tilted, "right", [to[0] + 100, to[1]]), "left"), place(tilted, "left"));
  });

  it("refuses pins that cannot make a view", () => {
    for (const keep of ["lens", "centre"] as const)
      expect(() => movePin(orientation, flat, "left", [250, 0], keep)).toThrow(/left of the centre of vision/);
    expect(() => movePin(orientation, flat, "right", [place(flat, "left")[0] - 50, 0], "pins")).toThrow(
      /right of the other one/,
    );
    expect(() => movePin(orientation, flat, "right", [place(flat, "left")[0], 0])).toThrow(/on top of each other/);
    expect(() => movePin(orientation, shotWith({ gaze: { pitch: -90 } }), "left", [0, 0])).toThrow(
      /straight up or down/,
    );
    // The eye is 331 mm from the horizon's foot of C, C 140 mm under it: from 126 mm on no circle over the points
    // holds C.
    expect(() => movePin(orientation, down, "left", [150, 0])).toThrow(
      /too close together for a centre of vision so far off/,
    );
    const wall = shotWith({ gaze: { heading: 35 } });
    expect(() => movePin(orientation, wall, "left", [100, 0], "centre")).toThrow(/parallel to the picture/);
  });
});

describe("moving the third pin", () => {
  it("puts it there whatever is kept, wherever a view exists", () => {
    fc.assert(
      fc.property(
        between(-60, 60),
        between(150, 2000),
        fc.constantFrom<Keep>("lens", "pins", "centre"),
        (dx, dy, keep) => {
          const from = place(down, "upright");
          const to: Vec2 = [from[0] + dx, from[1] + dy];
          const moved = movePin(orientation, down, "upright", to, keep);
          near(place(moved, "upright"), to);
          if (keep === "lens") expect(moved.lens).toEqual(down.lens);
          if (keep === "pins")
            for (const role of ["left", "right"] as const) near(place(moved, role), place(down, role));
          if (keep === "centre") {
            expect(moved.lens.centre).toEqual(down.lens.centre);
            near(place(moved, "left"), place(down, "left"));
          }
        },
      ),
    );
  });

  it("refuses an impossible triangle", () => {
    const [left, right] = [place(down, "left"), place(down, "right")];
    expect(() => movePin(orientation, down, "upright", [(left[0] + right[0]) / 2, left[1] + 40], "pins")).toThrow(
      /not acute/,
    );
    expect(() => movePin(orientation, down, "upright", [-2000, -500], "centre")).toThrow(/no eye sees the third point/);
  });
});
