import fc from "fast-check";
import { anyBlocks, anyStar, between, shotWith } from "../../testing";
import { contains, type Vec2 } from "../geometry";
import { newScene, panelRing, type Balloon, type Shot } from "../scene";
import { CurveBook } from "../shot";
import { isWithin } from "../world";
import { chordsOf, drawPage, drawShot, type Layer } from ".";
import { cutTo } from "./cut";
import { areasFrom, ringsOf, type Ring } from "./regions";

/** Whether a place lies within a polygon by the sum of the angles at which its sides are seen. */
function windsAround(ring: Ring, [x, y]: Vec2): boolean {
  const turn = ring.reduce((sum, [ax, ay], i) => {
    const [bx, by] = ring[(i + 1) % ring.length];
    return sum + Math.atan2((ax - x) * (by - y) - (bx - x) * (ay - y), (ax - x) * (bx - x) + (ay - y) * (by - y));
  }, 0);
  return Math.abs(turn) > Math.PI;
}

const placesOn = (lines: Float64Array, shares: readonly number[]): Vec2[] =>
  Array.from({ length: lines.length / 4 }, (_, i) => lines.subarray(4 * i, 4 * i + 4)).flatMap(([ax, ay, bx, by]) =>
    shares.map((t): Vec2 => [ax + t * (bx - ax), ay + t * (by - ay)]),
  );
const lengthOf = (lines: Float64Array): number =>
  Array.from({ length: lines.length / 4 }, (_, i) => lines.subarray(4 * i, 4 * i + 4)).reduce(
    (sum, [ax, ay, bx, by]) => sum + Math.hypot(bx - ax, by - ay),
    0,
  );

describe("a drawing is cut", () => {
  it("to what lies within a polygon and outside others, of any line, and nothing of it is lost", () => {
    fc.assert(
      fc.property(
        anyStar(12),
        fc.tuple(between(-9, 9), between(-9, 9), between(-9, 9), between(-9, 9)),
        (ring, line) => {
          fc.pre(Math.hypot(line[2] - line[0], line[3] - line[1]) > 0.1);
          const lines = Float64Array.from(line);
          const within = cutTo({ lines }, { within: ring, outside: [] }).lines;
          const outside = cutTo({ lines }, { outside: [ring] }).lines;
          expect(lengthOf(within) + lengthOf(outside)).toBeCloseTo(lengthOf(lines), 6);
          for (const at of placesOn(within, [0.31, 0.77])) expect(windsAround(ring, at)).toBe(true);
          for (const at of placesOn(outside, [0.31, 0.77])) expect(windsAround(ring, at)).toBe(false);
        },
      ),
    );
  });

  it("leaves curves exactly on themselves", () => {
    const book = new CurveBook();
    book.begin();
    // A quarter of a circle of 100 mm, by its angle.
    for (let i = 0; i <= 24; i++) {
      const turn = (i / 24) * (Math.PI / 2);
      book.add(100 * Math.cos(turn), 100 * Math.sin(turn), -100 * Math.sin(turn), 100 * Math.cos(turn), turn);
    }
    const within: Ring = [
      [20, 20],
      [90, 20],
      [90, 90],
      [20, 90],
    ];
    const { curves } = cutTo({ lines: new Float64Array(), curves: book.curves() }, { within, outside: [] });
    expect([...curves!.starts]).toHaveLength(2);
    const places = Array.from({ length: curves!.t.length }, (_, i): Vec2 => [curves!.xy[2 * i], curves!.xy[2 * i + 1]]);
    for (const [x, y] of places) expect(Math.abs(Math.hypot(x, y) - 100)).toBeLessThan(1e-4);
    // From the right side of the square to its upper one.
    expect(places[0][0]).toBeCloseTo(90, 1);
    expect(places.at(-1)![1]).toBeCloseTo(90, 1);
  });

  it("keeps holes of areas", () => {
    const square = (r: number): Ring => [
      [-r, -r],
      [r, -r],
      [r, r],
      [-r, r],
    ];
    const areas = areasFrom([square(10), square(4)]);
    const cut = cutTo({ lines: new Float64Array(), areas }, { within: square(8), outside: [square(5)] });
    const area = ringsOf(cut.areas!).reduce(
      (sum, ring) =>
        sum +
        ring.reduce(
          (own, [x, y], i) => own + x * ring[(i + 1) % ring.length][1] - y * ring[(i + 1) % ring.length][0],
          0,
        ) /
          2,
      0,
    );
    expect(Math.abs(area)).toBeCloseTo(16 * 16 - 10 * 10, 6);
  });
});

const balloon: Balloon = { id: "b", at: { x: 0.5, y: 0.5 }, width: 80, height: 50 };
const SLANTED: NonNullable<Shot["panel"]> = {
  corners: [
    { x: 0, y: 0 },
    { x: 1, y: 0.2 },
    { x: 0.9, y: 1 },
    { x: 0, y: 0.8 },
  ],
};
const inPanel = (layer: Layer) => !["balloons", "frame", "page", "live"].includes(layer.id.replace(/^panel-\d+-/, ""));

describe("a panel", () => {
  it("of any shape holds all that is drawn in it, and balloons hide all that is drawn under them", () => {
    let drawn = 0;
    fc.assert(
      fc.property(anyBlocks, between(-180, 180), (elements, heading) => {
        const shot: Shot = { ...shotWith({ gaze: { heading } }), panel: SLANTED, balloons: [balloon] };
        const scene = { ...newScene("Panel"), elements, shots: [shot] };
        const { x, y, width, height } = shot.frame;
        for (const layer of drawShot(scene).layers.filter(inPanel)) {
          for (const at of placesOn(chordsOf(layer), [0.2, 0.6])) {
            drawn++;
            expect(isWithin(at, panelRing(shot))).toBe(true);
            const [u, v] = [at[0] - x - width / 2, at[1] - y - height / 2];
            expect((u / 40) ** 2 + (v / 25) ** 2).toBeGreaterThan(0.999);
          }
        }
      }),
      { numRuns: 15 },
    );
    expect(drawn).toBeGreaterThan(500);
  });

  it("that is read later lies over an earlier one, as does its balloon over all others of the page", () => {
    const base: Shot = { ...shotWith({}), page: "p" };
    const { x, y, width, height } = base.frame;
    const first: Shot = { ...base, id: "one" };
    const inset = { x: x + width / 2, y: y + height / 2, width: width / 2, height: height / 2 };
    const second: Shot = { ...base, id: "two", frame: inset, balloons: [{ ...balloon, at: { x: 0, y: -0.4 } }] };
    const page = drawPage({ ...newScene("Page"), shots: [first, second] });
    const of = (n: number) => page.layers.filter(({ id }) => id.startsWith(`panel-${n}-`)).filter(inPanel);
    const places = of(1).flatMap((layer) => placesOn(chordsOf(layer), [0.2, 0.6]));
    expect(places.length).toBeGreaterThan(50);
    const [bx, by] = [inset.x, inset.y - 0.4 * inset.height];
    for (const at of places) {
      expect(contains({ ...inset, x: inset.x + 1e-6, y: inset.y + 1e-6 }, at)).toBe(false);
      expect(((at[0] - bx) / 40) ** 2 + ((at[1] - by) / 25) ** 2).toBeGreaterThan(0.999);
    }
    expect(of(2).some((layer) => placesOn(chordsOf(layer), [0.5]).some((at) => contains(inset, at)))).toBe(true);
  });
});

describe("a trimmed page", () => {
  it("has two marks at each corner, in line with its sides and clear of what is printed, drawn once on a page", () => {
    const sheet = {
      width: 297,
      height: 420,
      trim: { width: 257, height: 364, bleed: 3 },
      title: "Low tide",
      number: 7,
    };
    const shot: Shot = { ...shotWith({}), sheet, page: "p" };
    const { layers, trim, bleed } = drawPage({ ...newScene("Page"), shots: [shot, { ...shot, id: "two" }] });
    expect(trim).toEqual({ x: 20, y: 28, width: 257, height: 364 });
    expect(bleed).toEqual({ x: 17, y: 25, width: 263, height: 370 });
    const [marks, ...others] = layers.filter(({ id }) => id.endsWith("-page"));
    expect(others).toEqual([]);
    const crop = Array.from({ length: 8 }, (_, i) => [...marks.lines.subarray(4 * i, 4 * i + 4)]);
    for (const [x1, y1, x2, y2] of crop) {
      const isUpright = x1 === x2;
      expect(isUpright ? [20, 277] : [28, 392]).toContain(isUpright ? x1 : y1);
      expect(Math.hypot(x2 - x1, y2 - y1)).toBeCloseTo(5, 9);
      for (const at of [[x1, y1] as const, [x2, y2] as const]) expect(contains(bleed!, at)).toBe(false);
    }
    // Letters stand below them, on the sheet.
    const ys = [...marks.lines.subarray(32)].filter((_, i) => i % 2 === 1);
    expect(ys.length).toBeGreaterThan(20);
    expect(Math.min(...ys)).toBeGreaterThan(395);
    expect(Math.max(...ys)).toBeLessThan(420);
  });
});
