import fc from "fast-check";
import { cubicsOf, curveCount } from "../drawing";
import { along, dot, norm, sub, unit, type Vec2, type Vec3 } from "../geometry";
import { LAWS, type LawId } from "../lens";
import type { Shot } from "../scene";
import { between, shotWith } from "../../testing";
import { CurveBook, drawPlane, drawSegment, MOST_VERTICES, project, TOLERANCE, viewOf, type Curves } from ".";

const curved = (Object.keys(LAWS) as LawId[]).filter((id) => !LAWS[id].straight);
const lensed = (law: LawId, distance = 66, gaze: Partial<Shot["gaze"]> = {}): Shot => {
  const shot = shotWith({ gaze, eye: { x: 0, y: 0, z: 0 } });
  return { ...shot, lens: { ...shot.lens, law, distance } };
};
const segmentOf = (shot: Shot, a: Vec3, b: Vec3, tolerance = TOLERANCE): Curves => {
  const book = new CurveBook();
  drawSegment(viewOf(shot), a, b, book, tolerance);
  return book.curves();
};
const chordsNear = ({ xy, starts }: Curves, p: Vec2): number => {
  let best = Infinity;
  for (let i = 0; i + 1 < starts.length; i++) {
    for (let k = starts[i]; k + 1 < starts[i + 1]; k++) {
      const [ax, ay, bx, by] = xy.subarray(2 * k, 2 * k + 4);
      const [dx, dy] = [bx - ax, by - ay];
      const t = Math.min(1, Math.max(0, ((p[0] - ax) * dx + (p[1] - ay) * dy) / (dx * dx + dy * dy || 1)));
      best = Math.min(best, Math.hypot(p[0] - ax - t * dx, p[1] - ay - t * dy));
    }
  }
  return best;
};
const anyPoint = fc
  .record({ x: between(-9, 9), y: between(-9, 9), z: between(-9, 9) })
  .map(({ x, y, z }): Vec3 => [x, y, z])
  .filter((p) => norm(p) > 0.3);

describe.each(curved)("curves in the %s lens", (law) => {
  it("are within the tolerance of a hundred times finer sampling, near the rim, the seam and the antipode too", () => {
    fc.assert(
      fc.property(anyPoint, anyPoint, between(-180, 180), between(-80, 80), (a, b, heading, pitch) => {
        const shot = lensed(law, 66, { heading, pitch });
        const view = viewOf(shot);
        const curves = segmentOf(shot, a, b);
        const { frame } = shot;
        const steps = 400;
        let worst = 0;
        for (let i = 0; i <= steps; i++) {
          const p = project(view, along(a, sub(b, a), i / steps));
          if (
            !p ||
            p[0] < frame.x + 0.1 ||
            p[0] > frame.x + frame.width - 0.1 ||
            p[1] < frame.y + 0.1 ||
            p[1] > frame.y + frame.height - 0.1
          )
            continue;
          // What lies within a hair of the seam or the very edge of the lens may be on the side that was cut off.
          const direction = unit(sub(along(a, sub(b, a), i / steps), view.eye));
          const eye: Vec3 = [dot(view.right, direction), dot(view.up, direction), dot(view.forward, direction)];
          if (view.law.off(eye) > view.law.limit - 1e-6 || view.law.off(eye) > Math.PI - 1e-3) continue;
          worst = Math.max(worst, chordsNear(curves, p));
        }
        expect(worst).toBeLessThan(TOLERANCE + 1e-6);
      }),
      { numRuns: 25, endOnFailure: true },
    );
  });

  it("are never smeared across the seam, never no number, and never without end", () => {
    fc.assert(
      fc.property(
        anyPoint,
        between(-180, 180),
        between(-90, 90),
        between(-180, 180),
        between(20, 3000),
        (normal, heading, pitch, roll, distance) => {
          const shot = {
            ...lensed(law, distance, { heading, pitch, roll }),
            frame: { x: -20000, y: -20000, width: 40000, height: 40000 },
          };
          const book = new CurveBook();
          drawPlane(viewOf(shot), normal, book);
          const { xy, velocity, t, starts } = book.curves();
          expect([xy, velocity, t].every((values) => values.every(Number.isFinite))).toBe(true);
          expect(t.length).toBeLessThan(8 * MOST_VERTICES);
          let longest = 0;
          for (let i = 0; i + 1 < starts.length; i++) {
            const around = LAWS[law].shape === "lying drum" ? 1 : 0;
            for (let k = starts[i]; k + 1 < starts[i + 1]; k++)
              longest = Math.max(longest, Math.abs(xy[2 * k + around] - xy[2 * k + 2 + around]));
          }
          // No chord goes as far as halfway around a drum.
          if (LAWS[law].shape !== "round") expect(longest).toBeLessThan(3 * distance);
        },
      ),
      { numRuns: 25, endOnFailure: true },
    );
    const seam = segmentOf(
      { ...lensed(law), frame: { x: -2000, y: -2000, width: 4000, height: 4000 } },
      [-3, -4, 0.5],
      [3, -4, 0.5],
    );
    if (LAWS[law].shape === "drum") expect(curveCount(seam)).toBe(2);
    if (LAWS[law].shape === "round" && LAWS[law].limit > 3.1) expect(curveCount(seam)).toBe(1);
  });

  it("are cubics within the tolerance of the exact curve, and fewer than their chords", () => {
    fc.assert(
      fc.property(anyPoint, anyPoint, (a, b) => {
        const shot = lensed(law);
        const view = viewOf(shot);
        const curves = segmentOf(shot, a, b);
        const fine = segmentOf(shot, a, b, TOLERANCE / 25);
        for (let i = 0; i < curveCount(curves); i++) {
          const { from, parts } = cubicsOf(curves, i);
          let [x0, y0] = from;
          for (const [x1, y1, x2, y2, x3, y3] of parts) {
            for (const s of [0.13, 0.5, 0.77]) {
              const [p, q, r, w] = [(1 - s) ** 3, 3 * s * (1 - s) ** 2, 3 * s * s * (1 - s), s ** 3];
              expect(
                chordsNear(fine, [p * x0 + q * x1 + r * x2 + w * x3, p * y0 + q * y1 + r * y2 + w * y3]),
              ).toBeLessThan(TOLERANCE);
            }
            [x0, y0] = [x3, y3];
          }
          expect(parts.length).toBeLessThanOrEqual(curves.starts[i + 1] - curves.starts[i] - 1);
        }
        expect(view.law.id).toBe(law);
      }),
      { numRuns: 15, endOnFailure: true },
    );
  });
});

it("a straight line through the middle stays straight, and the horizon of a level eye is one", () => {
  for (const law of ["stereographic", "equidistant", "cylindrical", "equirectangular"] as const) {
    const book = new CurveBook();
    drawPlane(viewOf(lensed(law)), [0, 0, 1], book);
    const { xy } = book.curves();
    expect(xy.length).toBeGreaterThan(4);
    for (let i = 1; i < xy.length; i += 2) expect(xy[i]).toBeCloseTo(148.5, 9);
  }
});

it(
  "a plane through a pole of the unwrapped world ends there: nothing runs along the pole's line, and nothing " +
    "leaps across",
  () => {
    fc.assert(
      fc.property(between(-180, 180), between(-1e-7, 1e-7), (turn, aside) => {
        const shot = { ...lensed("equirectangular", 60), frame: { x: -1000, y: -1000, width: 3000, height: 3000 } };
        const a = (turn * Math.PI) / 180;
        const book = new CurveBook();
        drawPlane(viewOf(shot), [Math.cos(a), Math.sin(a), aside], book);
        const { xy, starts } = book.curves();
        expect(starts.length - 1).toBeGreaterThanOrEqual(2);
        for (let i = 0; i + 1 < starts.length; i++) {
          for (let k = starts[i]; k + 1 < starts[i + 1]; k++)
            expect(Math.abs(xy[2 * k + 2] - xy[2 * k])).toBeLessThan(2);
        }
      }),
      { numRuns: 50 },
    );
  },
);
