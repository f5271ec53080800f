import fc from "fast-check";
import { anyBlocks, anyShot, between, block, shotWith } from "../../testing";
import { house } from "../../testing/recessed";
import { newScene, type Scene, type Shot } from "../scene";
import { areaTwice, newPerson, newTurned, type Element } from "../world";
import { drawShot } from ".";
import { ringsOf, type Ring } from "./regions";
import { neighbours, tintsOf } from "./tints";

const SHOWN = { faces: 1, sky: 1 } as const;

/**
 * The areas of a drawing's faces, ground and sky together, square mm, and what their layers are called. Outer rings
 * turn one way and holes the other, so that areas are sums.
 */
function sizes(elements: readonly Element[], shot: Shot) {
  const scene: Scene = { ...newScene("Quay"), elements: [...elements], shots: [{ ...shot, show: SHOWN }] };
  const own = drawShot(scene).layers.filter(({ id }) => /^(faces|ground|sky)/.test(id));
  const rings = own.flatMap(({ areas }) => ringsOf(areas!));
  return {
    filled: rings.reduce((sum, ring) => sum + areaTwice(ring) / 2, 0),
    ids: own.map(({ id }) => id),
  };
}

const panelOf = ({ frame }: Shot): number => frame.width * frame.height;

describe("faces, ground and sky as areas", () => {
  it("fill the panel to a millionth of it, in any straight view of random towns", () => {
    fc.assert(
      fc.property(anyBlocks, anyShot, (blocks, shot) => {
        fc.pre(shot.eye.z > 0.5);
        const { filled } = sizes(blocks, shot);
        expect(Math.abs(filled / panelOf(shot) - 1)).toBeLessThan(1e-6);
      }),
      { numRuns: 40 },
    );
  });

  it("fill it in curved lenses as well, around round things, figures and windows", () => {
    const things: Element[] = [
      house,
      { id: "b", name: "Ball", ...newTurned("ball", { x: -7, y: 2, z: 0 }) },
      { id: "p", name: "Passer-by", ...newPerson({ x: 2, y: -3, z: 0 }, 150) },
      block("kiosk", -6, -2, 2, 2, 2.5),
    ];
    const straight = shotWith({ eye: { x: 0, y: -12, z: 1.6 } });
    for (const law of ["rectilinear", "equidistant", "equirectangular"] as const) {
      const shot = { ...straight, lens: { ...straight.lens, law, distance: 150 } };
      const { filled, ids } = sizes(things, shot);
      expect(Math.abs(filled / panelOf(shot) - 1)).toBeLessThan(1e-6);
      expect(ids).toEqual(expect.arrayContaining(["sky", "ground", "faces-1", "faces-2"]));
    }
  });
});

describe("tints", () => {
  it("are never the same on areas that touch, and no more than six on a map", () =>
    fc.assert(
      fc.property(fc.array(fc.tuple(between(0, 40), between(0, 20)), { minLength: 1, maxLength: 12 }), (cuts) => {
        // Rows of boxes, each cut at other places: a map without corners where four meet.
        const areas = [0, 1, 2].flatMap((row) => {
          const at = [0, ...cuts.map(([x, y]) => (x + y * row) % 60).sort((a, b) => a - b), 60];
          return at.slice(1).flatMap((to, i): Ring[][] => {
            const from = at[i];
            const [low, high] = [10 * row, 10 * row + 10];
            return to - from < 0.2
              ? []
              : [
                  [
                    [
                      [from, low],
                      [to, low],
                      [to, high],
                      [from, high],
                    ],
                  ],
                ];
          });
        });
        const beside = neighbours(areas);
        const tints = tintsOf(beside);
        beside.forEach((others, i) => others.forEach((other) => expect(tints[other]).not.toBe(tints[i])));
        expect(Math.max(...tints)).toBeLessThan(6);
        // Two boxes of one row that share an upright touch.
        areas.forEach(([[, [x1, y]]], i) => {
          const next = areas.findIndex(([[[x, low]]]) => Math.abs(x - x1) < 1e-9 && low === y);
          if (next >= 0) expect(beside[i].has(next)).toBe(true);
        });
      }),
    ));
});
