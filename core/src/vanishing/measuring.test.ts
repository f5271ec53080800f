import fc from "fast-check";
import { add, scale } from "../geometry";
import { project, viewOf } from "../shot";
import { anyShot, shotWith } from "../../testing";
import { measuringPoints, pinsOf, vanishingPoint } from ".";

const main = [{ id: "main", name: "Main streets", heading: 35 }];

describe("measuring points", () => {
  it("lie on the horizon at sqrt((xV - cx)^2 + d^2) from their pin (handbook), on the centre's side", () => {
    const shot = shotWith();
    const [left, right] = pinsOf(main, shot).map((pin) => pin.point.at!);
    const found = measuringPoints(viewOf(shot), pinsOf(main, shot));
    expect(found.map(({ at }) => at)).toEqual([
      [expect.closeTo(left[0] + Math.hypot(left[0] - 210, 300), 9), 148.5],
      [expect.closeTo(right[0] - Math.hypot(right[0] - 210, 300), 9), 148.5],
    ]);
  });

  it("are the distance points C - d and C + d where one faces a wall", () => {
    const shot = shotWith({ gaze: { heading: 35 } });
    const found = measuringPoints(viewOf(shot), pinsOf(main, shot));
    expect(found.map(({ kind, at: [x] }) => [kind, Math.round(x)])).toEqual([
      ["distance", -90],
      ["distance", 510],
    ]);
  });

  it("carry off equal lengths: as much along the set as along a level line beside the picture, in any view", () => {
    fc.assert(
      fc.property(anyShot, (shot) => {
        const view = viewOf(shot);
        const pins = pinsOf(main, shot);
        for (const { pin: id, at } of measuringPoints(view, pins)) {
          const pin = pins.find((one) => one.id === id)!;
          if (Math.hypot(at[0], at[1]) > 1e6) continue;
          // The level direction that lies in the picture plane, either way round.
          const h = Math.hypot(view.forward[0], view.forward[1]);
          const beside = [view.forward[1] / h, -view.forward[0] / h, 0] as const;
          const chords = [1, -1].map((side) => vanishingPoint(view, add(pin.direction, scale(beside, side))).at);
          const off = Math.min(
            ...chords.map((chord) => (chord ? Math.hypot(chord[0] - at[0], chord[1] - at[1]) : Infinity)),
          );
          expect(off).toBeLessThan(1e-5 * (1 + Math.hypot(at[0], at[1])));
        }
      }),
    );
  });

  it("make true squares: with the distance point, the far side of a floor square is where its diagonal crosses", () => {
    const shot = shotWith({ gaze: { heading: 0 } });
    const view = viewOf(shot);
    const [a, b, c] = [
      [-1, 4, 0],
      [1, 6, 0],
      [1, 4, 0],
    ] as const;
    const [pa, pb, pc] = [a, b, c].map((p) => project(view, p)!);
    const d = 510;
    const on = pa[1] + ((148.5 - pa[1]) * (pb[0] - pa[0])) / (d - pa[0]);
    expect(on).toBeCloseTo(pb[1], 9);
    expect((pb[1] - 148.5) / (pc[1] - 148.5)).toBeCloseTo((pb[0] - 210) / (pc[0] - 210), 9);
  });
});
