import fc from "fast-check";
import { cross, dot, norm, scale, sub, unit, type Vec3 } from "../geometry";
import { LAWS, type LawId } from "../lens";
import { DEFAULT_LINE_SPACING, type Shot } from "../scene";
import { toEye, unproject, viewOf, withLaw } from "../shot";
import { between, shotWith } from "../../testing";
import { curvedBundle, curvedMeasured } from ".";
import { frameOf } from "./measured";

const curved = (Object.keys(LAWS) as LawId[]).filter((id) => !LAWS[id].straight);
const anyView = fc
  .tuple(fc.constantFrom(...curved), between(-180, 180), between(-80, 80), between(-180, 180), between(30, 120))
  .map(
    ([law, heading, pitch, roll, distance]) =>
      ({
        ...withLaw(shotWith({ gaze: { heading, pitch, roll }, distance }), law),
        frame: { x: -200, y: -200, width: 800, height: 700 },
      }) satisfies Shot,
  );
const anyDirection = fc
  .tuple(between(-1, 1), between(-1, 1), between(-1, 1))
  .filter((v) => norm(v) > 0.2)
  .map((v): Vec3 => unit(v));

describe("a bundle in a curved lens", () => {
  it(
    "holds half great circles from its point, never nearer than the least gap at the middle's scale, and stops " +
      "short of the point",
    () => {
      fc.assert(
        fc.property(anyView, anyDirection, between(3, 30), (shot, point, spacing) => {
          const view = viewOf(shot);
          const through: Vec3 = Math.abs(point[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0];
          const { xy, starts } = curvedBundle(view, point, { spacing }, through);
          const across = unit(sub(through, scale(point, dot(through, point))));
          const second = cross(point, across);
          /** Turn about the point, and angle from it, of a place on the sheet. */
          const polar = (i: number) => {
            const d = unproject(view, [xy[2 * i], xy[2 * i + 1]]);
            return {
              sigma: Math.atan2(norm(cross(point, d)), dot(point, d)),
              turn: Math.atan2(dot(d, second), dot(d, across)),
              off: view.law.off(toEye(view, d)),
            };
          };
          const lines = Array.from({ length: starts.length - 1 }, (_, k) =>
            Array.from({ length: starts[k + 1] - starts[k] }, (_2, j) => polar(starts[k] + j)),
          )
            // Straight behind the eye a place stands for a whole rim of directions.
            .map((line) => line.filter(({ off }) => off < Math.PI - 0.01))
            .filter((line) => line.length > 1);
          const places = lines.flatMap((line) => line.map((place) => ({ ...place, first: line[0].turn })));
          expect(
            Math.max(0, ...places.map(({ sigma, turn, first }) => Math.abs(Math.sin(turn - first) * Math.sin(sigma)))),
          ).toBeLessThan(1e-6);
          expect(
            Math.min(Infinity, ...places.map(({ sigma }) => Math.min(sigma, Math.PI - sigma) * view.distance)),
          ).toBeGreaterThan(DEFAULT_LINE_SPACING.clear - 1e-6);
          for (const sigma of [0.1, 0.3, 0.8, Math.PI / 2, 2.4]) {
            const turns = lines
              .filter(
                (line) =>
                  Math.min(...line.map((p) => p.sigma)) <= sigma && Math.max(...line.map((p) => p.sigma)) >= sigma,
              )
              .map(([{ turn }]) => turn)
              .sort((a, b) => a - b);
            // A line cut at the panel into two pieces is still one.
            const gaps = turns
              .slice(1)
              .map((turn, i) => turn - turns[i])
              .filter((gap) => gap > 1e-6);
            expect(Math.min(Infinity, ...gaps) * Math.sin(sigma) * view.distance).toBeGreaterThan(
              DEFAULT_LINE_SPACING.gap - 1e-6,
            );
          }
        }),
        { numRuns: 25, endOnFailure: true },
      );
    },
  );
});

describe("measured squares in a curved lens", () => {
  it("lie on whole lines of their plane, wherever the lens shows it", () => {
    fc.assert(
      fc.property(
        anyView,
        fc.constantFrom("level" as const, "left" as const, "right" as const),
        between(0.5, 4),
        between(2, 9),
        (shot, plane, every, at) => {
          const view = viewOf(shot);
          const measured = { plane, at: plane === "level" ? 0 : at, every, heavy: 5 };
          const [origin, u, v] = frameOf(view, 35, shot.gaze.heading, measured);
          const normal = cross(u, v);
          const grid = curvedMeasured(view, 35, shot.gaze.heading, measured);
          let [looked, worst] = [0, 0];
          for (const [{ xy }, whole] of [
            [grid.light, every],
            [grid.heavy, 5 * every],
          ] as const) {
            for (let i = 0; i < xy.length; i += 2) {
              const d = unproject(view, [xy[i], xy[i + 1]]);
              const reach = dot(sub(origin, view.eye), normal) / dot(d, normal);
              if (!(reach > 0 && reach < 60) || view.law.off(toEye(view, d)) > Math.PI - 0.02) continue;
              const p = sub(
                [view.eye[0] + reach * d[0], view.eye[1] + reach * d[1], view.eye[2] + reach * d[2]],
                origin,
              );
              const off = Math.min(
                ...[u, v].map((axis) => Math.abs(dot(p, axis) / whole - Math.round(dot(p, axis) / whole)) * whole),
              );
              worst = Math.max(worst, off / (1 + reach * reach));
              looked++;
            }
          }
          expect(looked).toBeGreaterThan(0);
          expect(worst).toBeLessThan(1e-6);
        },
      ),
      { numRuns: 25, endOnFailure: true },
    );
  });
});
