import fc from "fast-check";
import { between, block, shotWith } from "../../testing";
import { house } from "../../testing/recessed";
import { headingDirection } from "../geometry";
import { squareness } from "../light";
import { viewOf } from "../shot";
import { vanishingPoint } from "../vanishing";
import { areaTwice } from "../world";
import { newScene, type Scene, type Shot } from "../scene";
import { drawShot, type Areas } from ".";
import { ringsOf } from "./regions";
import { hatchLines } from "./hatched";
import { toneStep } from "./layers/tones";

/** A square of 40 mm with a square hole of 10 mm. */
const ring = {
  xy: Float64Array.from([10, 10, 50, 10, 50, 50, 10, 50, 25, 25, 35, 25, 35, 35, 25, 35]),
  starts: Uint32Array.from([0, 4, 8]),
};

const areaOf = (areas: Areas): number => ringsOf(areas).reduce((sum, ring) => sum + areaTwice(ring) / 2, 0);

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

  it("is a step darker in recesses, and by the kind of plane where that is wanted, without any light", () => {
    const fills = (change: Partial<Shot>, lights: Scene["lights"]) =>
      drawShot({ ...lit({ eye: { x: 0, y: -9, z: 1.6 }, show: { tones: 1 }, ...change }), elements: [house], lights })
        .layers.filter(({ id }) => id.startsWith("tone"))
        .map(({ id, areas }) => [id, Math.abs(areaOf(areas!))] as const);
    // The sun straight before the wall: that is white, and its pane a step darker.
    const sun = { id: "sun", kind: "sun", heading: 180, height: 0.01 } as const;
    const [[id, pane]] = fills({}, [sun]);
    expect(id).toBe("tone-1");
    const planes = new Map(fills({ tone: { planes: { walls: 0.2, recesses: 0.9 } } }, undefined));
    expect(planes.get("tone-recesses")).toBeCloseTo(pane, 6);
    // Of the wall 8 by 3.4 m are left without the window of 1.4 by 1.6 m, 9 m before the eye.
    const { distance } = shotWith().lens;
    const wall = planes.get("tone-across") ?? planes.get("tone-walls")!;
    expect(wall / ((8 * 3.4 - 1.4 * 1.6) * (distance / 9) ** 2)).toBeCloseTo(1, 6);
  });

  it("under a covered sky is by how much of it a plane looks at, and there are no shadows", () => {
    const scene = { ...lit({ show: { tones: 1 } }), lights: [{ id: "sky", kind: "overcast" as const }] };
    const ids = drawShot(scene).layers.map(({ id }) => id);
    expect(ids.filter((id) => /^(tone|shadow)/.test(id))).toEqual(["tone-1"]);
    const up: readonly [number, number, number] = [0, 0, 1];
    expect(squareness(scene.lights[0], up, [0, 0, 0])).toBe(1);
    expect(squareness(scene.lights[0], [1, 0, 0], [0, 0, 0])).toBe(0.5);
  });

  it("fades with depth by a shot's haze: bands that hold the same area together, the farther the fainter", () => {
    const hazed = (depth?: Shot["depth"]) =>
      drawShot(lit({ show: { tones: 1 }, depth })).layers.filter(({ id }) => /^(tone|shadow)/.test(id));
    const size = (layers: ReturnType<typeof hazed>) =>
      layers.reduce((sum, { areas }) => sum + Math.abs(areaOf(areas!)), 0);
    const [plain, faint] = [hazed(), hazed({ near: 12, far: 25, thin: 1, faint: 0.8 })];
    expect(faint.length).toBeGreaterThan(plain.length + 3);
    expect(size(faint) / size(plain)).toBeCloseTo(1, 5);
    const shadows = faint.filter(({ id }) => id.startsWith("shadows"));
    // The farthest comes first, so that what is near lies over it.
    const strengths = shadows.map(({ style }) => style.opacity);
    expect(strengths).toEqual([...strengths].sort((a, b) => a - b));
    expect(strengths[0]).toBeLessThan(strengths[strengths.length - 1] / 2);
  });

  it("hatched by the sets runs to the vanishing points of each plane", () => {
    const tone = { hatch: { follows: true, angle: 0, spacing: 1.5 } } as const;
    const scene = lit({ show: { tones: 1, shadows: 0 }, tone, gaze: { heading: 30, pitch: 0, roll: 0 } });
    const walls = drawShot(scene).layers.filter(({ id }) => id.startsWith("tone"));
    const [shot] = scene.shots;
    // Level lines of both ways, and for the third crossing lines at 45 degrees on the walls.
    const level = [0, 90].map((heading) => headingDirection(heading));
    const sloping = level.flatMap(([x, y]) => [1, -1].map((z) => [x, y, z] as const));
    const pins = [...level, ...sloping].map((way) => vanishingPoint(viewOf(shot), way).at!);
    const lines = walls.flatMap(({ lines: own }) => [...own]);
    expect(lines.length).toBeGreaterThan(80);
    let uprights = 0;
    for (let i = 0; i < lines.length; i += 4) {
      const [ax, ay, bx, by] = lines.slice(i, i + 4);
      const off = pins.map(
        ([x, y]) => Math.abs((x - ax) * (by - ay) - (y - ay) * (bx - ax)) / Math.hypot(bx - ax, by - ay),
      );
      if (Math.abs(ax - bx) < 1e-6) uprights++;
      else if (Math.min(...off) > 1e-3) uprights = -Infinity;
    }
    expect(uprights).toBeGreaterThanOrEqual(0);
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
