import fc from "fast-check";
import { anyBlocks, anyShot } from "../../testing";
import { newScene } from "../scene";
import { chordsOf, drawShot, PALE_BLUE, transferred } from ".";

describe("a drawing that is transferred", () => {
  it("is mirrored about the middle of its sheet: twice it is what it was, and nothing changes its height", () => {
    fc.assert(
      fc.property(anyShot, anyBlocks, (shot, elements) => {
        const drawing = drawShot({ ...newScene("Quay"), elements, shots: [shot] });
        const once = transferred(drawing, { mirrored: true });
        drawing.layers.forEach((layer, i) => {
          const [before, after] = [chordsOf(layer), chordsOf(once.layers[i])];
          for (let k = 0; k < before.length; k += 2) {
            expect(after[k]).toBeCloseTo(shot.sheet.width - before[k], 9);
            expect(after[k + 1]).toBe(before[k + 1]);
          }
        });
        const twice = transferred(once, { mirrored: true });
        expect(twice.panel!.x).toBeCloseTo(drawing.panel!.x, 9);
        twice.layers.forEach(({ curves }, i) => {
          const before = drawing.layers[i].curves;
          if (curves) expect([...curves.velocity]).toEqual([...before!.velocity]);
        });
      }),
      { numRuns: 20 },
    );
  });

  it("is blue throughout where that is wanted", () => {
    const drawing = drawShot(newScene("Quay"));
    const blue = transferred(drawing, { blue: true });
    expect(new Set(blue.layers.map(({ style }) => style.stroke))).toEqual(new Set([PALE_BLUE]));
    expect(transferred(drawing, {}).layers).toEqual(drawing.layers);
  });
});
