import fc from "fast-check";
import { between } from "../../testing";
import { newScene, type Shot } from "../scene";
import { heldAs, isHeld, keepsView } from ".";

const [fresh] = newScene("Ferry stage").shots;
const under = { reference: "r", strength: 0.6, at: fresh.frame };
const held: Shot = { ...fresh, under: { ...under, held: true } };

describe("a shot that is held to its photo", () => {
  it("keeps gaze, lens, panel and the eye's height, whatever is done to it, and takes everything else", () => {
    fc.assert(
      fc.property(
        between(-180, 180),
        between(-60, 60),
        between(50, 900),
        between(-20, 20),
        (heading, pitch, mm, far) => {
          const after: Shot = {
            ...held,
            name: "Turned",
            gaze: { heading, pitch, roll: 3 },
            lens: { ...held.lens, distance: mm },
            frame: { ...held.frame, width: held.frame.width / 2 },
            eye: { x: far, y: -far, z: held.eye.z + 1 },
            show: { hidden: 1 },
          };
          const kept = heldAs(held, after);
          expect(kept).toEqual({
            ...held,
            name: "Turned",
            eye: { x: far, y: -far, z: held.eye.z },
            show: { hidden: 1 },
          });
          expect([keepsView(held, after), keepsView(held, kept)]).toEqual([false, true]);
        },
      ),
    );
  });

  it("is free once it is released, or lies over another photo", () => {
    const turned = (shot: Shot): Shot => ({ ...shot, gaze: { heading: 40, pitch: 9, roll: 0 } });
    for (const before of [fresh, { ...fresh, under }]) {
      expect(isHeld(before)).toBe(false);
      expect(heldAs(before, turned(before))).toEqual(turned(before));
      expect(keepsView(before, turned(before))).toBe(true);
    }
    const released = turned({ ...held, under });
    expect(heldAs(held, released)).toEqual(released);
    const other = turned({ ...held, under: { ...under, reference: "other", held: true } });
    expect(heldAs(held, other)).toEqual(other);
  });
});
