import { levelAt, type OwnLine, type OwnPlane } from "@zanvo/core/lines";
import { newScene } from "@zanvo/core/scene";
import { viewOf } from "@zanvo/core/shot";
import { snapIndexOf } from "@zanvo/core/ruling";
import { inMetric } from "@zanvo/core/units";
import { pinsOf } from "@zanvo/core/vanishing";
import { createDocument } from "../../document/history";
import { exchangeLines, linesOf, replaceLines } from "../../document/lines";
import { createView } from "../../document/view";
import { endAt, lengthOf, told, type Aiming } from "./aiming";
import { createDraw } from "./createDraw";
import { beginErasing, eraseTo } from "./erasing";
import { lineThrough, type Making } from "./making";
import { nearTo, patchLayer, seenGrips } from "./preview";

const scene = newScene("Test");
const [shot] = scene.shots;
const view = viewOf(shot);
const pins = pinsOf(scene.orientations, shot);
const right = pins.find(({ id }) => id === "main-right")!.point.at!;
const making = (plane: OwnPlane | null = null): Making => ({
  view,
  plane,
  weight: "medium",
  parts: "4",
  fit: "stretch",
});
const aiming = (change: Partial<Aiming> = {}): Aiming => ({
  view,
  pins,
  plane: null,
  snaps: snapIndexOf([]),
  reach: 3,
  hold: null,
  free: false,
  ...change,
});
const ruled = (id: string, more: object = {}): OwnLine => ({
  ...{ id, kind: "ruled", weight: "light", from: [1, 2], to: [30, 40] },
  ...more,
});

describe("lines that are made of presses", () => {
  it("are on the sheet, or on a plane in its own metres", () => {
    expect(
      lineThrough(
        "rule",
        [
          [10, 10],
          [60, 20],
        ],
        making(),
        "a",
      ),
    ).toEqual({
      id: "a",
      kind: "ruled",
      weight: "medium",
      from: [10, 10],
      to: [60, 20],
    });
    const ground = levelAt("Ground", 0);
    const line = lineThrough(
      "circle",
      [
        [210, 240],
        [230, 240],
      ],
      making(ground),
      "b",
    );
    // 91.5 mm under the horizon the ground is 1.6 * 300 / 91.5 m away: 20 mm are as much as 1.6 * 20 / 91.5 m there.
    expect(line).toMatchObject({
      kind: "circle",
      plane: ground,
      radius: expect.closeTo((1.6 * 20) / 91.5, 6) as number,
    });
    expect(
      lineThrough(
        "rule",
        [
          [210, 240],
          [230, 240],
        ],
        { ...making(ground), length: 2 },
        "c",
      ),
    ).toMatchObject({
      to: [expect.closeTo(2, 6), expect.anything()],
    });
    expect(
      lineThrough(
        "rule",
        [
          [10, 10],
          [10.2, 10],
        ],
        making(),
        "d",
      ),
    ).toBeNull();
    expect(() =>
      lineThrough(
        "rule",
        [
          [210, 240],
          [210, 20],
        ],
        making(ground),
        "e",
      ),
    ).toThrow("Ground is not seen there.");
  });

  it("make shapes, steps and divided corners", () => {
    expect(
      lineThrough(
        "rectangle",
        [
          [10, 10],
          [60, 40],
        ],
        making(),
        "a",
      ),
    ).toMatchObject({
      closed: true,
      points: [
        [10, 10],
        [60, 10],
        [60, 40],
        [10, 40],
      ],
    });
    expect(
      lineThrough(
        "steps",
        [
          [10, 10],
          [60, 40],
        ],
        { ...making(), towards: "main-left" },
        "a",
      ),
    ).toMatchObject({
      kind: "spacing",
      parts: "4",
      towards: "main-left",
    });
    expect(
      lineThrough(
        "quad",
        [
          [0, 0],
          [50, 0],
          [50, 40],
          [0, 40],
        ],
        making(),
        "a",
      ),
    ).toMatchObject({ columns: "4" });
    expect(() =>
      lineThrough(
        "quad",
        [
          [0, 0],
          [50, 40],
          [50, 0],
          [0, 40],
        ],
        making(),
        "a",
      ),
    ).toThrow("cross");
  });
});

describe("where an end comes to lie", () => {
  const from = [120, 250] as const;
  const near = [260, 250 + (140 * (right[1] - 250)) / (right[0] - 120) + 3] as const;

  it("is on the set that the line nearly aims at, that is held, or where the hand is", () => {
    const end = endAt(aiming(), from, near);
    expect(end.aim?.pin.id).toBe("main-right");
    expect(inMetric(told(aiming(), from, end))).toMatch(/^Main streets, right · 1\.\d° off · 1\d\d(\.\d)? mm$/);
    expect(endAt(aiming({ free: true }), from, near)).toMatchObject({ to: near, aim: null });
    expect(endAt(aiming({ reach: 0 }), from, near).to).toEqual(near);
    expect(endAt(aiming({ hold: "upright" }), from, near).to[0]).toBeCloseTo(120, 9);
    // On the ground no upright can be drawn.
    const ground = levelAt("Ground", 0);
    expect(endAt(aiming({ plane: ground, hold: "upright" }), from, [121, 200]).aim).toBeNull();
    expect(lengthOf({ view, plane: ground }, [210, 240], [230, 240])).toBeCloseTo((1.6 * 20) / 91.5, 6);
  });
});

describe("what is seen of lines", () => {
  it("is near, is gripped, and has a patch under the hand", () => {
    expect(nearTo(view, ruled("a", { from: [0, 0], to: [100, 0] }), [50, 4])).toBeCloseTo(4, 9);
    const quad = lineThrough(
      "quad",
      [
        [0, 0],
        [80, 0],
        [80, 40],
        [0, 40],
      ],
      making(),
      "q",
    )!;
    expect(nearTo(view, quad, [41, 20])).toBeCloseTo(1, 9);
    const ground = levelAt("Ground", 0);
    const behind = ruled("b", { plane: ground, from: [0, -5], to: [0, -9] });
    expect(seenGrips(view, behind)).toEqual([]);
    expect(patchLayer(view, ground, [210, 240])?.areas?.xy).toHaveLength(8);
    expect(patchLayer(view, ground, [210, 40])).toBeNull();
  });
});

describe("an eraser", () => {
  it("leaves nothing between two places of a quick hand, and comes to one step", () => {
    const document = createDocument();
    const place = createView(document);
    const posts = Array.from({ length: 20 }, (_, i) =>
      ruled(`p${i}`, { from: [10 + 10 * i, 50], to: [10 + 10 * i, 150] }),
    );
    document.open("s", newScene("Test"));
    place.enter(document.useDocument.getState().scene);
    const draw = createDraw({ document, view: place });
    draw.addLines(posts);
    const board = { ...document, ...place, ...draw, currentView: () => view };
    const erasing = beginErasing(board, [5, 100]);
    // Two places, 210 mm apart: 20 posts stand between.
    eraseTo(board, erasing, [215, 100]);
    document.endGesture();
    const left = linesOf(document.useDocument.getState().scene, place.currentShot());
    expect(left).toHaveLength(40);
    for (const line of left)
      if (line.kind === "ruled") expect(Math.abs((line.from[1] + line.to[1]) / 2 - 100)).toBeGreaterThan(20);
    document.undo();
    expect(linesOf(document.useDocument.getState().scene, place.currentShot())).toEqual(posts);
  });
});

describe("own lines of a document", () => {
  const withDraw = () => {
    const document = createDocument();
    const place = createView(document);
    document.open("s", newScene("Test"));
    place.enter(document.useDocument.getState().scene);
    return { ...document, ...place, ...createDraw({ document, view: place }) };
  };

  it("are put where they belong, exchanged in their place, and gone when none is left", () => {
    const { useDocument, addLines, exchange, edit, chosenLines, useDraw, undo, currentShot } = withDraw();
    const onGround = ruled("w", { plane: levelAt("Ground", 0) });
    addLines([ruled("a"), ruled("b"), onGround]);
    expect(useDocument.getState().scene.lines).toHaveLength(1);
    expect(currentShot().lines).toHaveLength(2);
    expect(chosenLines().map(({ id }) => id)).toEqual(["a", "b", "w"]);
    exchange(["a"], [ruled("a1"), ruled("a2")]);
    expect(linesOf(useDocument.getState().scene, currentShot()).map(({ id }) => id)).toEqual(["a1", "a2", "b", "w"]);
    // What is no longer there is not chosen.
    expect(useDraw.getState().chosen).toEqual(["b", "w"]);
    edit(replaceLines(currentShot().id, [ruled("w", { plane: levelAt("Level", 3) })]));
    expect(useDocument.getState().scene.lines?.[0].plane.name).toBe("Level");
    edit(exchangeLines(currentShot().id, ["a1", "a2", "b", "w"], []));
    expect(useDocument.getState().scene.lines).toBeUndefined();
    expect(currentShot().lines).toBeUndefined();
    undo();
    expect(currentShot().lines).toHaveLength(3);
  });

  it("are begun with a tool, and laid aside with it", () => {
    const { useDraw, takeUp, setBegun } = withDraw();
    setBegun({ plane: null, points: [[0, 0]], to: [1, 1], aim: null, snap: null, samples: [], waits: true });
    takeUp("pencil");
    expect(useDraw.getState()).toMatchObject({ tool: "pencil", begun: null });
  });
});
