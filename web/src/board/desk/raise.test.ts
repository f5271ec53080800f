import { footAt, type Foot } from "@zanvo/core/construct";
import type { Vec3 } from "@zanvo/core/geometry";
import { newScene } from "@zanvo/core/scene";
import { project, viewOf } from "@zanvo/core/shot";
import { blockCorner, type Block } from "@zanvo/core/world";
import { fit, toDesk, toWindow, wholeDesk, zoom } from "../../canvas/camera";
import { inSystem } from "@zanvo/core/units";
import {
  advance,
  alongOf,
  begin,
  beginAtTop,
  edges,
  FIRST_DISTANCE,
  lacking,
  onPaper,
  reach,
  typed,
  type Raising,
} from "./raise";

const view = viewOf(newScene("Quay").shots[0]);

/** Raised along streets that head to 35 degrees, by an eye that looks north. */
const along = (foot: Foot) => alongOf(foot, { heading: 35, name: "Quay" }, 0);
const begun = (foot: Foot) => begin(foot, along(foot));

/** A building drawn at picture points, from foot to its last measure. */
function drawn(points: readonly (readonly [number, number])[]): Omit<Block, "id" | "name"> {
  const [foot, ...outs] = points;
  let state: ReturnType<typeof advance> = begun(footAt(view, [], foot, 0)!);
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
    expect(begun(foot)).toMatchObject({ left: -20, right: 70, name: "B" });
  });

  it("asks for more where a wall would be nothing, and says its measure on paper", () => {
    const start = begun(footAt(view, [], [210, 196.5], 0)!);
    expect(inSystem(lacking(start)!, "metric")).toMatch(/Draw it further up: at least 0.1 m/);
    expect(inSystem(lacking(start)!, "imperial")).toMatch(/at least 0' 4"/);
    const high = typed(view, start, 3);
    expect(lacking(high)).toBeNull();
    // 48 mm under the horizon stand for 1.6 m.
    expect(onPaper(view, high)).toBeCloseTo(90, 9);
    expect(edges(high)).toHaveLength(12);
    // Pulled the wrong way, a measure is nothing, never less.
    expect(reach(view, start, [210, 260]).measures.height).toBe(0);
  });
});

describe("raising a corner where no ground is seen", () => {
  const [shot] = newScene("Quay").shots;
  /** Looking up by 45 degrees: the horizon lies 300 mm below the middle of the sheet. */
  const up = viewOf({ ...shot, gaze: { heading: 0, pitch: 45, roll: 0 } });
  const tower: Block = {
    id: "t",
    kind: "block",
    name: "Tower",
    origin: { x: 2, y: 14, z: 0 },
    heading: -30,
    length: 8,
    width: 7,
    height: 30,
  };
  const near = blockCorner(tower, 0, 0);

  it("begins at its top, and takes its height from the distance that is typed or drawn to its foot", () => {
    const top: Vec3 = [4, 25, 40];
    const start = beginAtTop(up, [], project(up, top)!, 0, along)!;
    expect(start).toMatchObject({ step: "distance", left: -55, measures: { distance: FIRST_DISTANCE } });
    const wanted = { foot: { at: [expect.closeTo(4, 6), expect.closeTo(25, 6), 0] } };
    const byNumber = typed(up, start, Math.hypot(4, 25));
    expect(byNumber).toMatchObject({ ...wanted, measures: { height: expect.closeTo(40, 6) } });
    // The foot lies outside the panel, on the desk below it.
    const foot = project(up, [4, 25, 0])!;
    expect(foot[1]).toBeGreaterThan(297);
    expect(reach(up, start, foot)).toMatchObject({ ...wanted, measures: { height: expect.closeTo(40, 6) } });
    expect(advance(byNumber)).toMatchObject({ step: "left" });
  });

  it("catches the upright of what stands, and begins nothing below the eye's level", () => {
    const seen = project(up, [near[0], near[1], 25])!;
    const start = beginAtTop(up, [tower], [seen[0] + 1, seen[1]], 3, along)!;
    expect(start).toMatchObject({ left: -30, name: "Tower", measures: { height: expect.closeTo(25, 0) } });
    expect(start.foot.at).toEqual([near[0], near[1], 0]);
    expect(beginAtTop(up, [tower], [seen[0] + 9, seen[1]], 3, along)!.foot.on).toBeNull();
    expect(beginAtTop(up, [], project(up, [0, 20, 1])!, 3, along)).toBeNull();
  });

  it("follows the upright under the pointer where uprights lean: beside it, the height that the pointer is at", () => {
    for (const pitch of [-35, 20, 45])
      for (const x of [-12, 3, 15]) {
        const leaning = viewOf({ ...shot, gaze: { heading: 0, pitch, roll: 0 } });
        const foot = footOn([x, 25, 0]);
        // The hand is four metres beside the upright, at a height of 16 m.
        const aside = project(leaning, [x + 4, 25, 16])!;
        expect(reach(leaning, begun(foot), aside).measures.height).toBeCloseTo(16, 6);
      }
  });
});

const footOn = (at: Vec3): Foot => ({ at, on: null, guide: null });

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
