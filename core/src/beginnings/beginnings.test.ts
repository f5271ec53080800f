import { findings } from "../checks";
import { readScene, writeScene } from "../document";
import { isLevel, pinsOf } from "../vanishing";
import { fieldOfView } from "../shot";
import { newScene, type Scene } from "../scene";
import { BEGINNINGS, begunScene, deskOf, isFresh, templateOf } from ".";

const scene = newScene("Test");
const [main] = scene.orientations;
const [shot] = scene.shots;

describe("a new scene", () => {
  it("has calm points, two of them and level, and nothing to find fault with", () => {
    const begun = begunScene("Quay");
    const [first] = begun.shots;
    expect(fieldOfView(first)).toBeCloseTo(30, 6);
    // Calm: neither stands in the panel, nor farther than a desk reaches (1.5 m, handbook finding "out of reach").
    for (const { point } of pinsOf(begun.orientations, first).filter(isLevel)) {
      expect(point.at![0] < first.frame.x || point.at![0] > first.frame.x + first.frame.width).toBe(true);
      expect(Math.abs(point.at![0] - 210)).toBeLessThan(1500);
    }
    expect(findings(begun, first)).toEqual([]);
  });
});

describe("a beginning", () => {
  it.each(BEGINNINGS.map((one) => [one.id, one] as const))("%s is a whole view, whatever stood before", (_, one) => {
    const fresh = one.of(shot, main);
    const before = BEGINNINGS.map((other) => one.of(other.of(shot, main), main));
    for (const again of before) {
      expect({ ...again, gaze: null, lens: null }).toEqual({ ...fresh, gaze: null, lens: null });
      expect(again.lens).toEqual(fresh.lens);
      expect(again.gaze.pitch).toBe(fresh.gaze.pitch);
    }
    expect(readScene(writeScene({ ...scene, shots: [fresh] })).shots[0]).toEqual(JSON.parse(JSON.stringify(fresh)));
  });

  it("lays planes of squares where it is a room, and bends where it is a disc", () => {
    const of = (id: string) => BEGINNINGS.find((one) => one.id === id)!.of(shot, main);
    expect(of("corridor").measured).toHaveLength(4);
    expect(of("room").measured).toHaveLength(5);
    expect(of("street").measured).toHaveLength(3);
    expect(of("corner").measured).toBeUndefined();
    expect([of("disc").lens.law, of("sweep").lens.law]).toEqual(["stereographic", "cylindrical"]);
  });
});

describe("a template", () => {
  const page: Scene = {
    ...scene,
    place: "Kestrel Quay",
    elements: [
      {
        id: "b",
        kind: "block",
        name: "Net loft",
        origin: { x: 0, y: 9, z: 0 },
        heading: 0,
        length: 4,
        width: 4,
        height: 4,
      },
    ],
    shots: [
      { ...shot, page: "p", under: undefined, show: { cone: 1 } },
      { ...shot, id: "s2", name: "Second", page: "p", backOf: "s1" },
      { ...shot, id: "s3", name: "Elsewhere", backOf: "s2" },
    ],
  };

  it("is the desk of a page without what stands in the scene, and can be read as a scene", () => {
    const template = templateOf(page, page.shots[1], "Two panels");
    expect(template.shots.map(({ id, backOf }) => [id, backOf])).toEqual([
      ["s1", undefined],
      ["s2", "s1"],
    ]);
    expect(template.elements).toEqual([]);
    expect(readScene(writeScene(template)).shots[0].show).toEqual({ cone: 1 });
    expect(templateOf(page, page.shots[2], "One").shots[0].backOf).toBeUndefined();
  });

  it("gives a fresh scene its desk, and nothing else", () => {
    expect(deskOf(templateOf(page, shot, "Desk"))).toEqual({ orientations: page.orientations, shots: [shot] });
    expect([isFresh(scene), isFresh(page), isFresh({ elements: [], references: [] })]).toEqual([true, false, true]);
  });
});
