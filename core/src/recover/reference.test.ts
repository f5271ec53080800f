import fc from "fast-check";
import { applyHomography, distance2, dot, headingDirection, unit, type Vec3 } from "../geometry";
import { readScene, writeScene } from "../document";
import { newScene, onSheet, paperOf, sheetOf, type Reference } from "../scene";
import { eyeAxes, viewOf } from "../shot";
import { between } from "../../testing";
import { pinsOf } from "../vanishing";
import { as35, measureHeights, onPaperAt, pointOf, shotFrom, straightened, straightening, viewOfReference } from ".";
import { bowedAt } from "./bow";
import { asEdges, tracedEdges, type Camera } from "../../testing/simulated";

const SIZE = { width: 4000, height: 3000 };
const camera = (f: number, gaze: Camera["gaze"]): Camera => ({ f, centre: [2000, 1500], gaze });

/** A reference with edges of the streets (headings -55 and 35) and of uprights, traced without an error. */
function traced(
  of: Camera,
  roles: readonly ("left" | "right" | "upright")[] = ["left", "right", "upright"],
): Reference {
  const along: Readonly<Record<string, Vec3>> = {
    left: headingDirection(-55),
    right: headingDirection(35),
    upright: [0, 0, 1],
  };
  return {
    id: "r",
    name: "Quay",
    picture: "0".repeat(64),
    ...SIZE,
    sets: roles.map((role, k) => ({
      id: role,
      name: role,
      role,
      edges: asEdges(tracedEdges(of, along[role], 9, 0, () => 0, 50 + k)),
    })),
  };
}

describe("a shot from a reference", () => {
  it("has its pins where the traced edges meet, whatever the camera", () => {
    fc.assert(
      fc.property(
        between(2000, 7000),
        between(-20, 20),
        between(5, 30),
        between(-10, 10),
        fc.boolean(),
        (f, heading, pitch, roll, down) => {
          const reference = traced(camera(f, { heading, pitch: down ? -pitch : pitch, roll }));
          const scene = newScene("Test");
          const shot = shotFrom(scene.shots[0], scene.orientations[0], reference);
          const points = reference.sets.map((set) => pointOf(reference, set)!);
          const seen = pinsOf(scene.orientations, shot);
          for (const [i, id] of ["main-left", "main-right", "upright"].entries()) {
            const [at, meets] = [seen.find((pin) => pin.id === id)!.point.at, points[i].at];
            if (!at || !meets) continue;
            const paper = onPaperAt(shot.under!.at, reference, meets);
            expect(distance2(at, paper)).toBeLessThan(0.01 * (1 + distance2(paper, [210, 148]) / 100));
          }
          expect(viewOf(shot).distance / shot.under!.at.width).toBeCloseTo(f / 4000, 4);
          expect(shot.gaze.heading).toBeCloseTo(heading, 2);
        },
      ),
      { numRuns: 40, endOnFailure: true },
    );
  });

  it("lies on any sheet with its picture, and comes back from a file as it was", () => {
    const reference = traced(camera(3600, { heading: 4, pitch: 12, roll: 2 }));
    const scene = newScene("Test");
    const shot = shotFrom(scene.shots[0], scene.orientations[0], reference);
    const a4 = onSheet(shot, sheetOf(paperOf("A4"), true));
    // What lay under C still does.
    const px = (of: typeof shot) => [
      (of.lens.centre.x - of.under!.at.x) / of.under!.at.width,
      (of.lens.centre.y - of.under!.at.y) / of.under!.at.height,
    ];
    px(a4).forEach((share, i) => expect(share).toBeCloseTo(px(shot)[i], 9));
    const whole = { ...scene, shots: [shot], references: [reference] };
    expect(readScene(writeScene(whole))).toEqual(JSON.parse(JSON.stringify(whole)));
    expect(() => readScene(JSON.stringify({ ...whole, references: [reference, reference] }))).toThrow(
      'references/1/id: "r" is taken by an earlier one.',
    );
    expect(() => readScene(JSON.stringify({ ...whole, references: [{ ...reference, picture: "../../etc" }] }))).toThrow(
      "references/0/picture",
    );
  });

  it("has the eye as high as known heights tell, and measures what else stands on the ground", () => {
    fc.assert(
      fc.property(
        between(2000, 7000),
        between(5, 25),
        between(-8, 8),
        between(1.2, 12),
        fc.boolean(),
        (f, pitch, roll, eye, down) => {
          const gaze = { heading: 3, pitch: down ? -pitch : pitch, roll };
          const of = camera(f, gaze);
          const { right, up, forward } = eyeAxes(gaze);
          /**
           * Something of a height, so many metres ahead and to the right, as the camera sees it from its height over
           * the ground.
           */
          const standing = (ahead: number, aside: number, height: number) => {
            const flat = unit([forward[0], forward[1], 0]);
            const at = (z: number) => {
              const p: Vec3 = [ahead * flat[0] + aside * flat[1], ahead * flat[1] - aside * flat[0], z - eye];
              return [2000 + (f * dot(p, right)) / dot(p, forward), 1500 - (f * dot(p, up)) / dot(p, forward)] as const;
            };
            const [[x1, y1], [x2, y2]] = [at(0), at(height)];
            return { x1, y1, x2, y2 };
          };
          const heights = [{ ...standing(14, -1, 1.75), metres: 1.75 }, standing(22, 3, 9), standing(9, 1, 0.4)];
          const reference: Reference = { ...traced(of), heights };
          const measured = measureHeights(heights, viewOfReference(reference));
          expect(measured.eye! / eye).toBeCloseTo(1, 4);
          expect(measured.heights.map((height, i) => height! / [1.75, 9, 0.4][i])).toEqual([
            expect.closeTo(1, 4),
            expect.closeTo(1, 4),
            expect.closeTo(1, 4),
          ]);
          const scene = newScene("Test");
          expect(shotFrom(scene.shots[0], scene.orientations[0], reference).eye.z / eye).toBeCloseTo(1, 4);
          // A second known height that is a tenth too large is a twentieth off their mean, to either side.
          const wrong = measureHeights([heights[0], { ...heights[1], metres: 9.9 }], viewOfReference(reference));
          expect(wrong.spread).toBeCloseTo(0.1 / 2.1, 3);
        },
      ),
      { numRuns: 30, endOnFailure: true },
    );
    const reference = traced(camera(3600, { heading: 4, pitch: 6, roll: 0 }));
    expect(measureHeights([{ x1: 2000, y1: 100, x2: 2000, y2: 50, metres: 2 }], viewOfReference(reference))).toEqual({
      eye: null,
      heights: [null],
      spread: 0,
    });
  });

  it(
    "is straightened by the turn of its own camera: uprights upright, horizon level, the same lens, and all that " +
      "was traced with it",
    () => {
      fc.assert(
        fc.property(
          between(2500, 7000),
          between(-20, 20),
          between(4, 25),
          between(-10, 10),
          fc.boolean(),
          (f, heading, pitch, roll, down) => {
            const reference = traced(camera(f, { heading, pitch: down ? -pitch : pitch, roll }));
            const plan = straightening(reference, viewOfReference(reference));
            // Its corners come from within the old picture, and going there and back is staying.
            for (const corner of [
              [0, 0],
              [plan.width, 0],
              [plan.width, plan.height],
              [0, plan.height],
            ] as const) {
              const from = applyHomography(plan.from, corner)!;
              expect(
                from[0] > -0.5 && from[0] < SIZE.width + 0.5 && from[1] > -0.5 && from[1] < SIZE.height + 0.5,
              ).toBe(true);
              expect(distance2(applyHomography(plan.to, from)!, corner)).toBeLessThan(1e-6 * SIZE.width);
            }
            expect(Math.abs(plan.width / plan.height - SIZE.width / SIZE.height)).toBeLessThan(0.01);
            const [left, right] = [reference.sets[0].edges[0], reference.sets[0].edges[1]];
            const corners: [[number, number], [number, number], [number, number], [number, number]] = [
              [left.x1, left.y1],
              [left.x2, left.y2],
              [right.x2, right.y2],
              [right.x1, right.y1],
            ];
            const quads = [{ id: "q", corners, columns: "3" }];
            const next = { id: "s", name: "Straight", picture: "1".repeat(64) };
            const level = straightened({ ...reference, quads }, plan, next);
            const moved = level.sets[0].edges;
            expect(level.quads).toEqual([
              {
                ...quads[0],
                corners: [
                  [moved[0].x1, moved[0].y1],
                  [moved[0].x2, moved[0].y2],
                  [moved[1].x2, moved[1].y2],
                  [moved[1].x1, moved[1].y1],
                ],
              },
            ]);
            for (const { x1, x2, y1, y2 } of level.sets[2].edges)
              expect(Math.abs(x1 - x2) / Math.abs(y1 - y2)).toBeLessThan(1e-4);
            const view = viewOfReference(level);
            expect([view.pitch, view.roll]).toEqual([expect.closeTo(0, 2), expect.closeTo(0, 2)]);
            expect(view.focalLength!.px / f).toBeCloseTo(1, 3);
          },
        ),
        { numRuns: 30, endOnFailure: true },
      );
      const steep = traced(camera(3600, { heading: 4, pitch: 60, roll: 0 }));
      expect(() => straightening(steep, viewOfReference(steep))).toThrow("The camera looked 60° up");
    },
  );

  it("takes long true edges of a photo of 39 megapixels for no strays, and a wrong one for one", () => {
    // 7,216 by 5,412 px; what the lens still bows after correction (0.2 % at the corner, a barrel) is several px there.
    const [width, height] = [7216, 5412];
    const of: Camera = { f: 6000, centre: [width / 2, height / 2], gaze: { heading: 4, pitch: 6, roll: 1 } };
    const lens = { centre: of.centre, size: Math.hypot(width, height) / 2, k1: -0.002, k2: 0 };
    const edges = [-1.5, -0.7, 0.1, 0.9, 1.7, 2.6].map((up, i) => {
      // Edges of a front to the right: 5 m to 40 m ahead, at several heights.
      const { right, up: above, forward } = eyeAxes(of.gaze);
      const place = (along: number) => {
        const d = headingDirection(12);
        const p: Vec3 = [2.2 + d[0] * along, d[1] * along, up];
        const [a, b, c] = [dot(p, right), dot(p, above), dot(p, forward)];
        return bowedAt(lens, [of.centre[0] + (of.f * a) / c, of.centre[1] - (of.f * b) / c]);
      };
      const [[x1, y1], [x2, y2]] = [place(5 + 0.3 * i), place(40)];
      // Lines that settled on the photo's own edges: 0.3 px.
      return { x1, y1, x2, y2, hand: 0.3 };
    });
    const set = { id: "s", name: "Front", role: "right" as const, edges };
    const reference: Reference = { id: "r", name: "Quay", picture: "0".repeat(64), width, height, sets: [set] };
    expect(pointOf(reference, set)!.strays).toEqual([]);
    const last = edges[5];
    const dirty = { ...set, edges: [...edges.slice(0, 5), { ...last, y2: last.y2 + 40 }] };
    expect(pointOf(reference, dirty)!.strays).toEqual([5]);
  });

  it("takes edges that were put aside for none, and says what it lacks", () => {
    const reference = traced(camera(3600, { heading: 4, pitch: 0, roll: 0 }), ["left", "right"]);
    const [left, right] = reference.sets;
    const stray = { x1: 100, y1: 100, x2: 700, y2: 2500 };
    const dirty = { ...left, edges: [...left.edges.slice(0, 2), stray] };
    expect(
      pointOf(reference, {
        ...dirty,
        edges: dirty.edges.map((edge) => (edge === stray ? { ...stray, out: true } : edge)),
      })!.at![0],
    ).toBeCloseTo(pointOf(reference, left)!.at![0], 1);
    expect(pointOf(reference, { ...left, edges: [left.edges[0]] })).toBeNull();
    expect(() => viewOfReference({ ...reference, sets: [] })).toThrow("Trace two edges at least of each of two sets");
    expect(viewOfReference({ ...reference, sets: [right] }).lacking).toContain("One set only");
    // A 24 x 36 mm picture's diagonal is 43.27 mm; on 4,000 x 3,000 px that is 5,000 px.
    expect(as35(SIZE, 3236)).toBeCloseTo(28, 1);
  });
});
