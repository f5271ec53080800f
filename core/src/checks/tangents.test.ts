import { newScene, type Scene, type Shot } from "../scene";
import { block, inWords } from "../../testing";
import type { Element } from "../world";
import { nudgedBlock, nudgedEye, seenFindings } from ".";

const tangents = (scene: Scene, shot: Shot) => seenFindings(scene, shot).filter(({ id }) => id.startsWith("tangent-"));

/** A level eye at 1.6 m, looking north through a lens of 300 mm: a metre 10 m ahead is 30 mm wide. */
function sceneOf(...elements: Element[]): Scene {
  const scene = newScene("Test");
  return { ...scene, elements, shots: [{ ...scene.shots[0], gaze: { heading: 0, pitch: 0, roll: 0 } }] };
}
const found = (...elements: Element[]) => {
  const scene = sceneOf(...elements);
  return inWords(tangents(scene, scene.shots[0]));
};
// At heading 0 a block runs its length north and its width east: this one's left front edge stands at x 0, y 10.
const near = block("near", 0, 10, 3, 4, 4);

describe("tangents", () => {
  it("are outlines that run together: the far one's edge drawn 0.5 mm beside the near one's", () => {
    // Its right side faces the eye; that side's far edge, 24 m ahead and 0.04 m to the left, is drawn 0.04 / 24 * 300
    // = 0.5 mm beside one at x 0.
    const told = found(near, block("far", -6, 20, 4, 5.96, 9));
    expect(told).toMatchObject([
      {
        value: 0.5,
        unit: "mm",
        severity: "note",
        message: expect.stringMatching(/^The outlines of (near|far) and (near|far) run together, 0\.5 mm apart/),
      },
    ]);
  });

  it("are corners that just touch another's outline, and not edges that end behind it", () => {
    // The near top is drawn 2.4 / 10 * 300 = 72 mm over the horizon; a far roof's nearest corner, 20 m ahead, 4.86 /
    // 20 * 300 = 72.9 mm.
    const told = found(near, block("far", 2 - Math.SQRT2 * 2, 20 + Math.SQRT2 * 2, 4, 4, 6.46, 45));
    expect(told).toMatchObject([
      { value: 0.9, unit: "mm", message: expect.stringMatching(/^A corner of far just touches the outline of near/) },
    ]);
    // Well behind, or well beside, there is none.
    expect(found(near, block("far", -6, 20, 4, 8, 5))).toEqual([]);
    expect(found(near, block("far", -6, 20, 4, 5, 5))).toEqual([]);
  });

  it("are none between things that stand against each other", () => {
    expect(found(near, block("beside", -4, 10, 3, 4, 4))).toEqual([]);
  });

  it("are freed by a small move of the eye, which leaves fewer of them", () => {
    const scene = sceneOf(near, block("far", -6, 20, 4, 5.96, 9));
    const [shot] = scene.shots;
    const nudged = nudgedEye(scene, shot)!;
    expect(nudged.left).toBe(0);
    expect(nudged.far).toBeLessThan(0.51);
    expect(tangents(scene, nudged.shot)).toEqual([]);
    // It stays as high as it was, unless it may rise: then half the way is enough.
    expect(nudged.shot.eye.z).toBe(shot.eye.z);
    const risen = nudgedEye(scene, shot, true)!;
    expect(risen.far).toBeLessThanOrEqual(nudged.far);
    expect(nudgedEye(sceneOf(near), shot)).toBeNull();
  });

  it("are freed by a small move of one of the two things, which runs into nothing", () => {
    const far = block("far", -6, 20, 4, 5.96, 9);
    const scene = sceneOf(near, far);
    const [shot] = scene.shots;
    const nudged = nudgedBlock(scene, shot, ["near", "far"])!;
    // A quarter of a metre is more than enough: 10 m ahead it is 7.5 mm.
    expect([nudged.far, nudged.left]).toEqual([expect.closeTo(0.25, 9), 0]);
    const after = sceneOf(...scene.elements.map((one) => (one.id === nudged.element.id ? nudged.element : one)));
    expect(tangents(after, shot)).toEqual([]);
    // What is locked stays, and of two locked things neither moves.
    const locked = sceneOf({ ...near, locked: true }, far);
    expect(nudgedBlock(locked, shot, ["near", "far"])!.element.id).toBe("far");
    expect(nudgedBlock(sceneOf({ ...near, locked: true }, { ...far, locked: true }), shot, ["near", "far"])).toBeNull();
    // Walled in on all sides by what stands against it, it does not run into that.
    const walls = [
      block("west", -9.1, 18, 8, 3, 2),
      block("east", 0.05, 18, 8, 3, 2),
      block("south", -6, 16.9, 3, 5.96, 2),
      block("north", -6, 24.1, 3, 5.96, 2),
    ];
    const walled = nudgedBlock(sceneOf({ ...near, locked: true }, far, ...walls), shot, ["near", "far"]);
    expect(walled).toBeNull();
  });
});
