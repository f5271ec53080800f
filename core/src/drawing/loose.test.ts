import fc from "fast-check";
import { between, block, shotWith } from "../../testing";
import { fromStretch, type Rect, type Vec2 } from "../geometry";
import { LAWS, type LawId } from "../lens";
import { newScene, type Hand } from "../scene";
import { viewOf } from "../shot";
import { visibleEdges } from "../visibility";
import { build } from "../world";
import { compose, contextOf, type Shapes } from ".";
import { loose } from "./loose";
import { cubicsOf, curveCount } from "./bezier";

const frame: Rect = { x: 0, y: 0, width: 400, height: 300 };
const anyHand = fc.record({
  seed: fc.integer({ min: 0, max: 1e9 }),
  wobble: between(0, 1.5),
  overshoot: between(0, 5),
  breaks: fc.constantFrom(0, 0.5, 1),
});
const anyLine = fc.tuple(between(10, 390), between(10, 290), between(10, 390), between(10, 290));

/** Places along all curves, as the cubics of a file draw them. */
function placesOf({ curves }: Shapes): Vec2[][] {
  return Array.from({ length: curveCount(curves!) }, (_, i) => {
    const { from, parts } = cubicsOf(curves!, i);
    let [x, y] = from;
    return parts.flatMap(([a, b, c, d, e, f]) => {
      const found = Array.from({ length: 9 }, (_at, n): Vec2 => {
        const t = n / 8;
        const [p, q, r, s] = [(1 - t) ** 3, 3 * t * (1 - t) ** 2, 3 * t * t * (1 - t), t ** 3];
        return [p * x + q * a + r * c + s * e, p * y + q * b + r * d + s * f];
      });
      [x, y] = [e, f];
      return found;
    });
  });
}

/** How far a place is beside the line through two, and how far before or behind them it is along it, mm. */
function offOf([x1, y1, x2, y2]: readonly number[], [x, y]: Vec2) {
  const length = Math.hypot(x2 - x1, y2 - y1);
  const [ux, uy] = [(x2 - x1) / length, (y2 - y1) / length];
  const along = (x - x1) * ux + (y - y1) * uy;
  return { beside: Math.abs((y - y1) * ux - (x - x1) * uy), past: Math.max(-along, along - length) };
}

describe("a loose hand", () => {
  it("leaves no true line by more than its wobble, nor runs past its ends by more than its overshoot", () => {
    fc.assert(
      fc.property(anyLine, anyHand, (line, hand) => {
        fc.pre(Math.hypot(line[2] - line[0], line[3] - line[1]) > 1);
        const drawn = placesOf(loose({ lines: Float64Array.from(line) }, hand, frame, "past corners")).flat();
        expect(drawn.length).toBeGreaterThan(1);
        const off = drawn.map((at) => offOf(line, at));
        // Cubics of a file may be off by a hundredth of a mm.
        expect(Math.max(...off.map(({ beside }) => beside))).toBeLessThan(hand.wobble + 0.02);
        expect(Math.max(...off.map(({ past }) => past))).toBeLessThan(hand.overshoot + 0.02);
        const within = placesOf(loose({ lines: Float64Array.from(line) }, hand, frame, "within")).flat();
        expect(Math.max(...within.map((at) => offOf(line, at).past))).toBeLessThan(0.02);
      }),
    );
  });

  it("draws the same lines again by the same seed, and others by another", () => {
    const line = Float64Array.from([20, 30, 220, 130]);
    const by = (seed: number) =>
      loose({ lines: line }, { seed, wobble: 0.6, overshoot: 2 }, frame, "past corners").curves!.xy;
    expect(by(4)).toEqual(by(4));
    expect(by(4)).not.toEqual(by(5));
    // It does leave the line, by a good part of what it may.
    const off = placesOf(loose({ lines: line }, { seed: 4, wobble: 0.6, overshoot: 2 }, frame, "past corners"))
      .flat()
      .map((at) => offOf([...line], at));
    expect(Math.max(...off.map(({ beside }) => beside))).toBeGreaterThan(0.15);
    expect(Math.max(...off.map(({ past }) => past))).toBeGreaterThan(0.05);
  });

  it("lifts long lines once where it is wished, and short ones never", () => {
    const hand: Hand = { seed: 1, wobble: 0.2, overshoot: 0, breaks: 1 };
    const parts = (length: number) =>
      placesOf(loose({ lines: Float64Array.from([20, 20, 20 + length, 20]) }, hand, frame, "past corners"));
    expect(parts(10)).toHaveLength(1);
    const [before, after] = parts(100);
    const gap = after[0][0] - before.at(-1)![0];
    expect(gap).toBeGreaterThan(0.5);
    expect(gap).toBeLessThan(2.1);
  });

  it("ends at the panel's frame where the true line does", () => {
    const hand: Hand = { seed: 3, wobble: 0, overshoot: 5 };
    const [places] = placesOf(loose({ lines: Float64Array.from([0, 50, 100, 50]) }, hand, frame, "past corners"));
    expect(Math.min(...places.map(([x]) => x))).toBeCloseTo(0, 9);
    expect(Math.max(...places.map(([x]) => x))).toBeGreaterThan(100.05);
  });

  it("keeps curves within its wobble, too, in any view of a block; the construction stays as it is", () => {
    let curves = 0;
    fc.assert(
      fc.property(
        between(-20, 20),
        anyHand,
        fc.constantFrom(...(Object.keys(LAWS) as LawId[])),
        (heading, hand, law) => {
          const straight = shotWith({ gaze: { heading } });
          const shot = { ...straight, lens: { ...straight.lens, law } };
          const scene = { ...newScene("Loose"), elements: [block("one", 2, 12, 6, 6, 8)] };
          const visible = visibleEdges(build(scene.elements), viewOf(shot).eye);
          const of = (own: typeof shot) => compose(contextOf(scene, own, visible), { only: ["buildings", "bundles"] });
          const [true_, drawn] = [of(shot), of({ ...shot, hand: { ...hand, overshoot: 0, breaks: 0 } })];
          expect(drawn.map(({ id }) => id)).toEqual(true_.map(({ id }) => id));
          drawn.forEach((layer, n) => {
            if (!layer.id.startsWith("outlines")) expect(layer).toEqual(true_[n]);
            else if (true_[n].lines.length === 0) {
              const on = placesOf(true_[n]);
              placesOf(layer).forEach((places, i) =>
                places
                  .filter((_, n) => n % 13 === 0)
                  .forEach((at) => {
                    curves++;
                    const far = on[i].slice(1).map((to, k) => fromStretch(at, on[i][k], to));
                    expect(Math.min(...far)).toBeLessThan(hand.wobble + 0.1);
                  }),
              );
            }
          });
        },
      ),
      { numRuns: 20 },
    );
    expect(curves).toBeGreaterThan(200);
  });
});
