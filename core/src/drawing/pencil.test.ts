import fc from "fast-check";
import { between, shotWith } from "../../testing";
import { headingDirection, type Vec2, type Vec3 } from "../geometry";
import { viewOf } from "../shot";
import { vanishingPoint } from "../vanishing";
import { HatchBook, hatchTowards } from "./pencil";
import { areasFrom, type Ring } from "./regions";

const square = (x: number, y: number, size: number): Ring => [
  [x, y],
  [x + size, y],
  [x + size, y + size],
  [x, y + size],
];

/** A ring whose sides fall into chords of a mm. */
const inChords = (ring: Ring): Ring =>
  ring.flatMap(([x, y], i) => {
    const [u, v] = ring[(i + 1) % ring.length];
    const steps = Math.round(Math.hypot(u - x, v - y));
    return Array.from({ length: steps }, (_, k): Vec2 => [x + (k / steps) * (u - x), y + (k / steps) * (v - y)]);
  });

const LEVEL = shotWith({ eye: { x: 0, y: 0, z: 1.6 }, gaze: { heading: 0, pitch: 0 }, distance: 250 });
const { frame } = LEVEL;
const RINGS = [square(frame.x + 20, frame.y + 10, 120), square(frame.x + 50, frame.y + 40, 30)];

const hatched = (view: ReturnType<typeof viewOf>, direction: Vec3, spacing: number, rings = RINGS) => {
  const book = new HatchBook();
  hatchTowards(areasFrom(rings), view, direction, spacing, book);
  return book.shapes();
};

/** How far from the sides of the square with a hole a place lies within it; negative where it does not. */
const within = ([x, y]: Vec2): number => {
  const outer = Math.min(x - frame.x - 20, frame.x + 140 - x, y - frame.y - 10, frame.y + 130 - y);
  const hole = Math.min(x - frame.x - 50, frame.x + 80 - x, y - frame.y - 40, frame.y + 70 - y);
  return Math.min(outer, -hole);
};

describe("hatching towards a vanishing point", () => {
  it("has lines that all run through it, end on the edges, and are never closer than the spacing", () =>
    fc.assert(
      fc.property(between(3, 87), between(0.5, 3), (heading, spacing) => {
        const view = viewOf(LEVEL);
        const direction = headingDirection(heading);
        const { at } = vanishingPoint(view, direction);
        const [px, py] = at!;
        const { lines } = hatched(view, direction, spacing);
        expect(lines.length).toBeGreaterThan(40);
        const rays: { turn: number; from: number; to: number }[] = [];
        let long = 0;
        for (let i = 0; i < lines.length; i += 4) {
          const [ax, ay, bx, by] = lines.subarray(i, i + 4);
          const size = Math.hypot(bx - ax, by - ay);
          long += size;
          if (size < 1e-6) continue;
          expect(Math.abs((px - ax) * (by - ay) - (py - ay) * (bx - ax)) / size).toBeLessThan(1e-6);
          for (const t of [0.001, 0.5, 0.999])
            expect(within([ax + t * (bx - ax), ay + t * (by - ay)])).toBeGreaterThan(-1e-6);
          const [ra, rb] = [Math.hypot(ax - px, ay - py), Math.hypot(bx - px, by - py)];
          const turn = Math.atan2((ay + by) / 2 - py, (ax + bx) / 2 - px);
          rays.push({ turn, from: Math.min(ra, rb), to: Math.max(ra, rb) });
        }
        // Lines that lie beside one another at some distance from the point are one spacing apart there, or more.
        rays.sort((a, b) => a.turn - b.turn);
        rays.forEach((a, i) => {
          for (const b of rays.slice(i + 1, i + 6)) {
            const [from, to] = [Math.max(a.from, b.from), Math.min(a.to, b.to)];
            if (b.turn - a.turn > 1e-9 && to - from > 1e-6)
              expect(from * (b.turn - a.turn)).toBeGreaterThan(spacing * (1 - 1e-9));
          }
        });
        // The area, 14,400 less 900 square mm, holds a line for every spacing to two.
        const gap = 13_500 / long;
        expect(gap).toBeGreaterThan(spacing * 0.9);
        expect(gap).toBeLessThan(spacing * 2.4);
      }),
    ));

  it("runs side by side where the direction has no point, and along curves within the areas in a curved lens", () => {
    const upright = hatched(viewOf(LEVEL), [0, 0, 1], 2);
    for (let i = 0; i < upright.lines.length; i += 4) expect(upright.lines[i]).toBeCloseTo(upright.lines[i + 2], 9);
    for (const law of ["equidistant", "cylindrical"] as const) {
      const view = viewOf({ ...LEVEL, lens: { ...LEVEL.lens, law, distance: 150 } });
      const { curves } = hatched(view, headingDirection(40), 2, RINGS.map(inChords));
      expect(curves!.starts.length).toBeGreaterThan(30);
      for (let k = 0; k < curves!.t.length; k++)
        expect(within([curves!.xy[2 * k], curves!.xy[2 * k + 1]])).toBeGreaterThan(-0.05);
    }
  });
});
