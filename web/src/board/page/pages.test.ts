import { newScene, pageOf, panelRing, withPaper } from "@zanvo/core/scene";
import {
  bleeds,
  firstBalloon,
  onPage,
  RECTANGLE,
  sharesOf,
  withBalloon,
  withBleed,
  withCorner,
  withCornerMore,
  withoutCorner,
  boxBetween,
  liveOf,
  rowsIn,
} from "./pages";

const [shot] = newScene("Page").shots;
const trimmed = {
  ...shot,
  sheet: { ...shot.sheet, trim: { width: shot.sheet.width - 24, height: shot.sheet.height - 24, bleed: 3 } },
};

describe("a page", () => {
  it("has one sheet for all its panels: what is said of it is said of each", () => {
    const scene = newScene("Page");
    scene.shots = [
      { ...shot, page: "p" },
      { ...shot, id: "two", page: "p" },
      { ...shot, id: "alone" },
    ];
    onPage(scene.shots[0], { title: "Low tide", number: 3 })(scene);
    expect(scene.shots.map(({ sheet }) => sheet.title)).toEqual(["Low tide", "Low tide", undefined]);
    expect(pageOf(scene, scene.shots[0])).toHaveLength(2);
  });

  it("bleeds off where a panel reaches as far as is printed, and no longer where it is brought back", () => {
    expect(bleeds(trimmed)).toEqual([]);
    const left = withBleed(trimmed, "left", true);
    expect(bleeds(left)).toEqual(["left"]);
    expect(left.frame.x).toBeCloseTo(12 - 3, 9);
    expect(left.frame.x + left.frame.width).toBeCloseTo(shot.frame.x + shot.frame.width, 9);
    const all = (["right", "top", "bottom"] as const).reduce((so, side) => withBleed(so, side, true), left);
    expect(bleeds(all)).toHaveLength(4);
    expect(bleeds(withBleed(all, "top", false))).toEqual(["left", "right", "bottom"]);
    expect(withBleed(shot, "left", true)).toBe(shot);
  });

  it("keeps its words on other paper, and its trim where there is room", () => {
    const sheet = { ...trimmed.sheet, title: "Low tide" };
    expect(withPaper(sheet, { width: 2000, height: 2000 })).toMatchObject({ title: "Low tide", trim: sheet.trim });
    expect(withPaper(sheet, { width: 50, height: 50 })).toEqual({ width: 50, height: 50, title: "Low tide" });
  });
});

describe("a panel of any shape", () => {
  it("has corners that stay within its frame, more and fewer, and never less than three", () => {
    const { x, y, width, height } = shot.frame;
    const own = withCorner({ ...shot, panel: RECTANGLE }, 1, [x + width + 50, y + height / 4]);
    expect(panelRing(own)[1]).toEqual([x + width, y + height / 4]);
    const more = withCornerMore(own);
    expect(more.panel?.corners).toHaveLength(5);
    const fewer = [4, 3, 2, 1].reduce(withoutCorner, more);
    expect(fewer.panel?.corners).toHaveLength(3);
  });
});

describe("a balloon", () => {
  it("is moved by shares of its panel, and taken out", () => {
    const first = firstBalloon("b", shot);
    const own = { ...shot, balloons: [first] };
    const at = sharesOf(own, [shot.frame.x + shot.frame.width / 2, shot.frame.y]);
    const moved = withBalloon(own, "b", { ...first, at });
    expect(moved.balloons?.[0].at).toEqual({ x: 0.5, y: 0 });
    expect(withBalloon(moved, "b", null).balloons).toBeUndefined();
  });
});

describe("a small page", () => {
  it("is filled as its sheet is trimmed, or as its live area is", () => {
    const sheet = { width: 420, height: 297 };
    const plain = liveOf(sheet);
    const trimmed = liveOf({ ...sheet, trim: { width: 200, height: 150, bleed: 3 } });
    expect(trimmed.x).toBeGreaterThan(110);
    expect(trimmed.x + trimmed.width).toBeLessThan(310);
    expect(plain.width).toBeGreaterThan(trimmed.width);
    const live = { x: 30, y: 40, width: 100, height: 90 };
    expect(liveOf({ ...sheet, live })).toEqual(live);
  });

  it("reads how many panels each row has, and boxes between any corners", () => {
    expect(rowsIn("2 1 3")).toEqual([2, 1, 3]);
    expect(rowsIn("2, 1;3")).toEqual([2, 1, 3]);
    for (const text of ["", "0 2", "13", "1 1 1 1 1 1 1 1 1 1 1 1 1"]) expect(rowsIn(text)).toBeNull();
    expect(boxBetween([0.5, 0.1], [0.2, 0.4])).toEqual({ x: 0.2, y: 0.1, width: 0.3, height: expect.closeTo(0.3, 9) });
  });
});
