import fc from "fast-check";
import { between } from "../../../testing";
import type { Vec2 } from "../../geometry";
import { lightPoints, pinsOf } from "../../vanishing";
import { newScene } from "../../scene";
import { drawShot } from "..";
import { aimedAt, edgesWithoutTicks, tickLanes, ticksIn, type AimedAt } from "./edgeTicks";

const { orientations, shots } = newScene("Quay");
const [shot] = shots;
const [some] = pinsOf(orientations, shot);
const pinAt = (at: Vec2, i: number): AimedAt => ({ ...some, id: `p${i}`, point: { at }, stroke: "#000000" });
/** Lines of a lane: x1 y1 x2 y2. */
const linesOf = (flat: readonly number[]) =>
  Array.from({ length: flat.length / 4 }, (_, i) => flat.slice(4 * i, 4 * i + 4) as [number, number, number, number]);
const far = fc
  .tuple(between(-2500, 3000), between(-2500, 2800))
  .filter(([x, y]) => x < -1 || x > 421 || y < -1 || y > 298);

describe("ticks of several pins on the margin", () => {
  it("are true where they stand: every tick's line runs to its pin within 0.05 mm, in whatever lane", () => {
    fc.assert(
      fc.property(
        fc.array(far, { minLength: 1, maxLength: 5 }),
        between(4, 30),
        fc.boolean(),
        (places, every, tilts) => {
          const lanes = tickLanes(shot, places.map(pinAt), every, tilts);
          expect(lanes).toHaveLength(places.length);
          for (const lane of lanes) {
            const [px, py] = lane.point;
            const { rect } = lane;
            const onRim = ([x, y]: Vec2) =>
              Math.min(
                Math.abs(x - rect.x),
                Math.abs(x - rect.x - rect.width),
                Math.abs(y - rect.y),
                Math.abs(y - rect.y - rect.height),
              ) < 1e-6;
            const ticks = linesOf(ticksIn(lane, shot.sheet, tilts)).filter(
              ([x1, y1, x2, y2]) => onRim([x1, y1]) && Math.hypot(x2 - x1, y2 - y1) > 0.9,
            );
            // A ruler along the tick passes the pin so close.
            const off = ticks.map(
              ([x1, y1, x2, y2]) =>
                Math.abs((x2 - x1) * (py - y1) - (y2 - y1) * (px - x1)) / Math.hypot(x2 - x1, y2 - y1),
            );
            expect(Math.max(0, ...off)).toBeLessThan(0.01);
          }
        },
      ),
      { numRuns: 40 },
    );
  });

  it("never reach into the panel", () => {
    const { frame } = shot;
    fc.assert(
      fc.property(fc.array(far, { minLength: 1, maxLength: 5 }), fc.boolean(), (places, tilts) => {
        for (const lane of tickLanes(shot, places.map(pinAt), 10, tilts)) {
          const ends = linesOf(ticksIn(lane, shot.sheet, tilts)).flatMap(([x1, y1, x2, y2]) => [
            [x1, y1],
            [x2, y2],
          ]);
          const inside = ends.filter(
            ([x, y]) =>
              Math.min(x - frame.x, frame.x + frame.width - x, y - frame.y, frame.y + frame.height - y) > 1e-6,
          );
          expect(inside).toEqual([]);
        }
      }),
      { numRuns: 40 },
    );
  });

  it("aim at pins 820 mm left and 140 mm right of an A3 sheet, from marks on both sides of the panel", () => {
    for (const tilts of [false, true]) {
      const lanes = tickLanes(shot, [pinAt([-820, 148.5], 0), pinAt([560, 148.5], 1)], 10, tilts);
      for (const lane of lanes) {
        const { rect, point, aids } = lane;
        const starts = linesOf(ticksIn(lane, shot.sheet, tilts)).map(([x, y]): Vec2 => [x, y]);
        const on = (x: number) => starts.filter((p) => Math.abs(p[0] - x) < 1e-9).map((p) => p[1]);
        const [left, right] = [on(rect.x), on(rect.x + rect.width)];
        const [near, opposite, d1, d2] =
          aids.side === "left"
            ? [left, right, rect.x - point[0], rect.x + rect.width - point[0]]
            : [right, left, point[0] - rect.x - rect.width, point[0] - rect.x];
        // Every mark on the near side has its partner where the ruler to the pin crosses the other side.
        for (const y of near) {
          const partner = point[1] + ((y - point[1]) * d2) / d1;
          if (partner < 15 || partner > 282) continue;
          expect(Math.min(...opposite.map((one) => Math.abs(one - partner)))).toBeLessThan(0.05);
        }
        expect(near.length).toBeGreaterThan(10);
      }
      expect(lanes[1].rect.x).toBeGreaterThan(5);
    }
  });

  it("stand on no edge whose margin is too narrow", () => {
    const tight = { sheet: shot.sheet, frame: { x: 15, y: 15, width: 404, height: 267 } };
    const lanes = tickLanes(tight, [pinAt([-300, 100], 0), pinAt([800, 100], 1)], 10, false);
    expect(edgesWithoutTicks(lanes)).toEqual(["right"]);
    expect(edgesWithoutTicks([])).toEqual([]);
  });
});

it("points of lights beyond the sheet have ticks as pins do, and those of lights that are out have none", () => {
  const lights = [
    { id: "sun", kind: "sun", heading: 140, height: 50 },
    { id: "cloud", kind: "overcast" },
    { id: "moon", kind: "sun", heading: 100, height: 20, off: true },
  ] as const;
  const aids = { ticks: true, tilts: false, every: 10, strips: true, pegs: false, scaled: false };
  const scene = { ...newScene("Quay"), lights: [...lights], shots: [{ ...shot, aids }] };
  expect(aimedAt(shot, [], lights).map(({ id }) => id)).toEqual(["sun-rays", "sun-foot"]);
  const drawn = drawShot(scene).layers.filter(({ id }) => id.startsWith("aids-sun"));
  const [{ at }] = lightPoints(shot, lights[0]);
  expect(at![1]).toBeGreaterThan(shot.sheet.height);
  expect(drawn.map(({ id }) => id)).toContain("aids-sun-rays");
  const [lane] = tickLanes(shot, aimedAt(shot, [], lights), 10, false);
  expect(lane.point).toEqual(at);
});
