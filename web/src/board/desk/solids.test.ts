import { readFileSync } from "node:fs";
import { freeze } from "immer";
import { readScene } from "@zanvo/core/document";
import { pickSolid } from "@zanvo/core/construct";
import { viewOf } from "@zanvo/core/shot";
import { build, terrainOf } from "@zanvo/core/world";
import { project, type View } from "@zanvo/core/shot";
import { newScene } from "@zanvo/core/scene";
import { newBuilding } from "@zanvo/core/world";
import { pick, sideAt } from "./solids";

describe("what is pressed in a picture", () => {
  it("is the same whether all is built or only what may be there", () => {
    const scene = readScene(readFileSync("demo/5-the-whole-quarter.zanvo.json", "utf8"));
    // As the document keeps it.
    const { elements, shots } = freeze(scene, true);
    const solids = build(elements, terrainOf(elements));
    const found = shots.slice(0, 3).flatMap((shot) => {
      const view = viewOf(shot);
      const { x, y, width, height } = shot.frame;
      return Array.from({ length: 24 }, (_, i) => {
        const at = [x + ((i % 6) + 0.5) * (width / 6), y + (Math.floor(i / 6) + 0.5) * (height / 4)] as const;
        const id = pick(view, { elements }, at);
        expect(id).toBe(pickSolid(view, solids, at));
        return id;
      });
    });
    expect(new Set(found).size).toBeGreaterThan(10);
  });
});

describe("the wall that is pressed", () => {
  /** A house 12 m ahead whose front to the south has a bay window, and bands that stand out. */
  const house = newBuilding({
    ...{ id: "house", name: "House", base: 0.2, height: 6, storeys: 2, roof: { kind: "flat" } },
    footprint: [
      { x: -4, y: 12 },
      { x: 4, y: 12 },
      { x: 4, y: 20 },
      { x: -4, y: 20 },
    ],
    fronts: [{ side: 0, bays: "bay 4, 4", ends: 0 }],
    dress: { courses: 0.2, out: 0.1 },
  });
  const view: View = viewOf(newScene("Test").shots[0]);
  const pressed = (x: number, y: number, z: number) => sideAt(view, [house], project(view, [x, y, z])!);

  it("is the one whose place is seen, m along it and up from its foot", () => {
    const found = pressed(3, 12, 1.7);
    expect(found).toMatchObject({ id: "house", side: 0 });
    expect(found!.place).toEqual([expect.closeTo(7, 6), expect.closeTo(1.5, 6)]);
  });

  it("is the one that a bay window or a band stands out of", () => {
    // The bay window's front is 0.6 m before the wall, the band 0.1 m.
    expect(pressed(-2, 11.4, 1.2)).toMatchObject({ side: 0, place: [expect.closeTo(2, 6), expect.closeTo(1, 6)] });
    expect(pressed(2, 11.9, 3.1)).toMatchObject({ side: 0, place: [expect.closeTo(6, 6), expect.closeTo(2.9, 6)] });
  });

  it("is none where the ground is pressed, or a roof, though another wing faces it", () => {
    expect(pressed(2, 8, 0)).toBeNull();
    const wings = [
      [0, 0],
      [2, 0],
      [2, 6],
      [4, 6],
      [4, 0],
      [6, 0],
      [6, 8],
      [0, 8],
    ].map(([x, y]) => ({ x: x - 3, y: y + 9 }));
    const horseshoe = { ...house, footprint: wings, fronts: undefined, dress: undefined, height: 1 };
    const from: View = { ...view, eye: [2.9, 0, 6] };
    // On the right wing's roof, 3 m before the side of the left one that looks at it.
    expect(sideAt(from, [horseshoe], project(from, [1.3, 11, 1.2])!)).toBeNull();
  });
});
