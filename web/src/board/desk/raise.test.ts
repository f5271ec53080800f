import { footAt } from "@zanvo/core/construct";
import { newScene } from "@zanvo/core/scene";
import { project, viewOf } from "@zanvo/core/shot";
import { blockCorner, type Block } from "@zanvo/core/world";
import { fit, toDesk, toWindow, wholeDesk, zoom } from "../../canvas/camera";
import { inSystem } from "@zanvo/core/units";
import { advance, begin, edges, lacking, onPaper, reach, typed, type Raising } from "./raise";

const view = viewOf(newScene("Quay").shots[0]);

/** A building drawn at picture points, from foot to its last measure. */
function drawn(points: readonly (readonly [number, number])[]): Omit<Block, "id" | "name"> {
  const [foot, ...outs] = points;
  let state: ReturnType<typeof advance> = begin(footAt(view, [], foot, 0)!, 35, 0);
  for (const point of outs) state = advance(reach(view, state as Raising, point));
  return state as Omit<Block, "id" | "name">;
}

describe("raising a corner", () => {
  it("makes the block whose corners are drawn where the hand went", () => {
    const truth: Block = {
      id: "b",
      kind: "block",
      name: "B",
      origin: { x: 1, y: 12, z: 0 },
      heading: -55,
      length: 9,
      width: 6,
      height: 5,
    };
    const seen = (p: readonly [number, number, number]) => project(view, p)!;
    const near = blockCorner(truth, 0, 0);
    const block = drawn([
      seen(near),
      seen([near[0], near[1], 5]),
      seen(blockCorner(truth, 1, 0)),
      seen(blockCorner(truth, 0, 1)),
    ]);
    expect(block).toEqual({
      kind: "block",
      heading: expect.closeTo(-55, 9),
      length: expect.closeTo(9, 6),
      width: expect.closeTo(6, 6),
      height: expect.closeTo(5, 6),
      origin: { x: expect.closeTo(1, 6), y: expect.closeTo(12, 6), z: expect.closeTo(0, 9) },
    });
  });

  it("goes out along the sets of the house whose street line was caught", () => {
    const house: Block = {
      id: "b",
      kind: "block",
      name: "B",
      origin: { x: 0, y: 12, z: 0 },
      heading: -20,
      length: 9,
      width: 6,
      height: 5,
    };
    const foot = footAt(view, [house], project(view, blockCorner(house, 0, 0))!, 2)!;
    expect(begin(foot, 35, 0)).toMatchObject({ left: -20, right: 70 });
  });

  it("asks for more where a wall would be nothing, and says its measure on paper", () => {
    const start = begin(footAt(view, [], [210, 196.5], 0)!, 35, 0);
    expect(inSystem(lacking(start)!, "metric")).toMatch(/Draw it further up: at least 0.1 m/);
    expect(inSystem(lacking(start)!, "imperial")).toMatch(/at least 0' 4"/);
    const high = typed(start, 3);
    expect(lacking(high)).toBeNull();
    // 48 mm under the horizon stand for 1.6 m.
    expect(onPaper(view, high)).toBeCloseTo(90, 9);
    expect(edges(high)).toHaveLength(12);
    // Pulled the wrong way, a measure is nothing, never less.
    expect(reach(view, start, [210, 260]).measures.height).toBe(0);
  });
});

describe("the desk's camera", () => {
  const size = { width: 900, height: 700 };

  it("keeps the place under the pointer while zooming, within its limits", () => {
    const camera = fit({ x: 0, y: 0, width: 420, height: 297 }, size, 8);
    const under = toDesk(camera, [300, 200]);
    for (const factor of [1.3, 0.4, 1e9, 1e-9]) {
      const [x, y] = toWindow(zoom(camera, factor, [300, 200]), under);
      expect([x, y]).toEqual([expect.closeTo(300, 6), expect.closeTo(200, 6)]);
    }
    expect(zoom(camera, 1e9, [0, 0]).scale).toBe(80);
  });

  it("fits the sheet and every pin into the window", () => {
    const pins = [
      [-2600, 148],
      [900, 148],
    ] as const;
    const camera = fit(wholeDesk({ width: 420, height: 297 }, pins), size, 24);
    for (const pin of pins) {
      const [x, y] = toWindow(camera, pin);
      expect(x).toBeGreaterThan(24);
      expect(x).toBeLessThan(876);
      expect(y).toBeGreaterThan(0);
    }
  });
});
