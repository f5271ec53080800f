import fc from "fast-check";
import { between, block, shotWith } from "../../testing";
import { newScene, type Scene, type Shot } from "../scene";
import { drawShot } from ".";
import { hatchLines } from "./hatched";
import { toneStep } from "./layers/tones";

/** A square of 40 mm with a square hole of 10 mm. */
const ring = {
  xy: Float64Array.from([10, 10, 50, 10, 50, 50, 10, 50, 25, 25, 35, 25, 35, 35, 25, 35]),
  starts: Uint32Array.from([0, 4, 8]),
};

describe("hatching", () => {
  it("fills areas as densely as its spacing says, and nothing of their holes", () => {
    fc.assert(
      fc.property(between(-90, 90), between(0.3, 3), (angle, spacing) => {
        const lines = hatchLines(ring, angle, spacing);
        let long = 0;
        for (let i = 0; i < lines.length; i += 4) {
          const [x1, y1, x2, y2] = lines.slice(i, i + 4);
          long += Math.hypot(x2 - x1, y2 - y1);
          for (const t of [0.01, 0.5, 0.99]) {
            const [x, y] = [x1 + t * (x2 - x1), y1 + t * (y2 - y1)];
            expect(Math.min(x, y)).toBeGreaterThan(10 - 1e-9);
            expect(Math.max(x, y)).toBeLessThan(50 + 1e-9);
            expect(Math.max(Math.abs(x - 30), Math.abs(y - 30))).toBeGreaterThan(5 - 1e-9);
          }
        }
        // Lines one spacing apart cover an area of their length times that: 1,600 less 100 square mm.
        expect((long * spacing) / 1500).toBeGreaterThan(0.85);
        expect((long * spacing) / 1500).toBeLessThan(1.15);
      }),
    );
  });
});

describe("tone", () => {
  const lit = (change: Partial<Shot> = {}): Scene => ({
    ...newScene("Quay"),
    elements: [block("loft", -2, 14, 8, 6, 7)],
    lights: [{ id: "sun", kind: "sun", heading: 80, height: 25 }],
    shots: [{ ...shotWith({ eye: { x: -4, y: 0, z: 1.6 } }), ...change }],
  });

  it("rises by steps from where the light falls square to where planes turn away", () => {
    expect([1, 0.8, 0.6, 0.3, 0.01, 0, -0.5].map((facing) => toneStep(facing, 4))).toEqual([0, 0, 1, 2, 2, 3, 3]);
    for (const steps of [3, 9])
      fc.assert(
        fc.property(between(-1, 1), (facing) => {
          expect(toneStep(facing, steps)).toBeLessThanOrEqual(steps - 1);
          expect(toneStep(facing, steps)).toBeGreaterThanOrEqual(0);
        }),
      );
  });

  it("is drawn as layers of their own, flat or hatched, with shadows beside them", () => {
    const flat = drawShot(lit({ show: { tones: 1 } })).layers.filter(({ id }) => /^(tone|shadow)/.test(id));
    expect(flat.map(({ id }) => id)).toContain("shadows");
    expect(flat.length).toBeGreaterThan(1);
    for (const { areas, lines } of flat) expect([areas!.xy.length > 0, lines.length]).toEqual([true, 0]);
    const hatched = drawShot(lit({ show: { tones: 1 }, tone: { hatch: { angle: 45, spacing: 1.5 } } })).layers;
    const lines = hatched.filter(({ id }) => /^(tone|shadow)/.test(id));
    expect(lines.length).toBe(flat.length);
    for (const { areas, lines: own } of lines) expect([areas, own.length > 0]).toEqual([undefined, true]);
  });

  it("is not there without a light, or in curved lenses beyond what they show", () => {
    const dark = { ...lit({ show: { tones: 1 } }), lights: [] };
    expect(drawShot(dark).layers.filter(({ id }) => /^(tone|shadow)/.test(id))).toEqual([]);
    const [shot] = lit().shots;
    const round = drawShot(lit({ lens: { ...shot.lens, law: "equidistant", distance: 120 } }));
    const shadows = round.layers.find(({ id }) => id === "shadows")!;
    expect(shadows.areas!.xy.every(Number.isFinite)).toBe(true);
    const { x, width } = shot.frame;
    for (let i = 0; i < shadows.areas!.xy.length; i += 2) {
      expect(shadows.areas!.xy[i]).toBeGreaterThan(x - 1e-6);
      expect(shadows.areas!.xy[i]).toBeLessThan(x + width + 1e-6);
    }
  });
});

it("pens take the place of usual ones, and farther lines keep their proportion", () => {
  const scene: Scene = { ...newScene("Quay"), elements: [block("loft", -2, 14, 8, 6, 7)], shots: [shotWith()] };
  const wide = (pens?: Shot["pens"]) =>
    drawShot({ ...scene, shots: [{ ...scene.shots[0], pens }] }).layers.filter(({ id }) => id.startsWith("outlines"));
  const [usual, bold] = [wide(), wide({ buildings: 1 })];
  expect(usual.length).toBeGreaterThan(0);
  usual.forEach(({ style }, i) => expect(bold[i].style.width).toBeCloseTo(2 * style.width, 9));
});
