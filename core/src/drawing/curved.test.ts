import { shotWith } from "../../testing";
import { fromStretch, type Vec2 } from "../geometry";
import type { LAWS } from "../lens";
import { newScene, type Scene } from "../scene";
import { project, viewOf } from "../shot";
import { newTurned, type Element } from "../world";
import { cubicsOf, curveCount, drawShot, toSvg } from ".";

/** A low drum before the eye, whose rims are seen from above. */
const DRUM: Element = {
  id: "d",
  name: "Gasholder",
  ...newTurned("cylinder", { x: 1, y: 12, z: 0 }),
  radius: 3,
  height: 1,
};
const sceneIn = (law: keyof typeof LAWS): Scene => {
  const shot = shotWith({ eye: { z: 4 }, gaze: { heading: 5, pitch: -12 } });
  return { ...newScene("Round"), elements: [DRUM], shots: [{ ...shot, lens: { ...shot.lens, law } }] };
};

/** How far a place is from polylines, by the chords between their places. */
const distanceToChords = (at: Vec2, lines: readonly (readonly Vec2[])[]): number =>
  Math.min(...lines.flatMap((line) => line.slice(1).map((b, i) => fromStretch(at, line[i], b))));

describe("a curved edge on paper", () => {
  it.each(["rectilinear", "stereographic", "equidistant", "cylindrical"] as const)(
    "is a cubic within a hundredth of a millimetre of the rim's picture, in the %s lens",
    (law) => {
      const scene = sceneIn(law);
      const view = viewOf(scene.shots[0]);
      const rims = [0, 1].map((z) =>
        // Chords of a 4,000th of a turn leave a circle of 150 mm by 5e-5 mm.
        Array.from({ length: 4001 }, (_, i) => {
          const turn = (i / 4000) * 2 * Math.PI;
          return project(view, [1 + 3 * Math.cos(turn), 12 + 3 * Math.sin(turn), z])!;
        }),
      );
      const layers = drawShot(scene).layers.filter(({ id }) => id.startsWith("buildings") || id.startsWith("creases"));
      let asked = 0;
      for (const { curves } of layers) {
        if (!curves) continue;
        for (let i = 0; i < curveCount(curves); i++) {
          const { from, parts } = cubicsOf(curves, i);
          let [x0, y0] = from;
          for (const [x1, y1, x2, y2, x3, y3] of parts) {
            for (const t of [0.25, 0.5, 0.75]) {
              const s = 1 - t;
              const [p, q, r, w] = [s ** 3, 3 * s * s * t, 3 * s * t * t, t ** 3];
              const at: Vec2 = [p * x0 + q * x1 + r * x2 + w * x3, p * y0 + q * y1 + r * y2 + w * y3];
              const off = distanceToChords(at, rims);
              // Contours are no part of a rim: in a curved lens they are curves, too.
              if (off > 1) continue;
              asked++;
              expect(off).toBeLessThan(0.01);
            }
            [x0, y0] = [x3, y3];
          }
        }
      }
      expect(asked).toBeGreaterThan(10);
    },
  );

  it("is written to SVG as cubics, and no facet is", () => {
    const svg = toSvg(drawShot(sceneIn("rectilinear")));
    const drawn = svg
      .split("<g ")
      .filter((group) => /id="(outlines|creases)/.test(group))
      .join("");
    expect(drawn).toMatch(/[Cc][-\d]/);
    // Two straight contours, at the most in three parts by depth, are all that is straight.
    expect((drawn.match(/[Ll][-\d]/g) ?? []).length).toBeLessThanOrEqual(12);
  });
});
