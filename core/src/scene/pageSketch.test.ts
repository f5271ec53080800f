import fc from "fast-check";
import { between, shotWith } from "../../testing";
import type { Rect } from "../geometry";
import { boxesOfRows, pageLike, panelsOfSketch } from ".";

const AREA = { x: 15, y: 20, width: 180, height: 250 };
const right = ({ x, width }: Rect) => x + width;
const bottom = ({ y, height }: Rect) => y + height;

describe("a page from a small sketch", () => {
  it("has common lines and even gutters, however roughly its rows were drawn", () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 1, maxLength: 4 }),
        fc.array(between(-0.02, 0.02), { minLength: 48, maxLength: 48 }),
        between(0, 10),
        (rows, noise, gutter) => {
          let n = 0;
          const rough = boxesOfRows(rows).map(({ x, y, width, height }): Rect => {
            const [a, b, c, d] = [x, y, x + width, y + height].map((at) => at + noise[n++ % noise.length]);
            return { x: a, y: b, width: c - a, height: d - b };
          });
          const panels = panelsOfSketch(rough, AREA, gutter);
          expect(panels.length).toBe(rows.reduce((sum, count) => sum + count, 0));
          let first = 0;
          for (const count of rows) {
            const row = panels.slice(first, first + count);
            // In the order in which they are read: rows from the top, each from the left.
            row.slice(1).forEach((panel, i) => {
              expect(panel.x - right(row[i])).toBeCloseTo(gutter, 9);
              expect([panel.y, panel.height]).toEqual([row[0].y, row[0].height]);
            });
            expect(row[0].x).toBeCloseTo(AREA.x, 9);
            expect(right(row[count - 1])).toBeCloseTo(right(AREA), 9);
            if (first > 0) expect(row[0].y - bottom(panels[first - 1])).toBeCloseTo(gutter, 9);
            first += count;
          }
          expect(panels[0].y).toBeCloseTo(AREA.y, 9);
          expect(bottom(panels[panels.length - 1])).toBeCloseTo(bottom(AREA), 9);
        },
      ),
    ));

  it("keeps a box that lies over others, leaves out specks, and is read from the right where that is wished", () => {
    const boxes = [
      { x: 0, y: 0, width: 1, height: 1 },
      { x: 0.6, y: 0.6, width: 0.3, height: 0.3 },
      { x: 0.2, y: 0.2, width: 0.02, height: 0.3 },
    ];
    const [whole, inset, ...none] = panelsOfSketch(boxes, AREA, 5);
    expect(none).toEqual([]);
    expect(whole).toEqual(AREA);
    expect(inset.x).toBeCloseTo(AREA.x + 0.6 * AREA.width, 9);
    expect(inset.width).toBeCloseTo(0.3 * AREA.width, 9);
    const back = panelsOfSketch(boxesOfRows([2, 1]), AREA, 5, "right");
    expect(back[0].x).toBeGreaterThan(back[1].x);
  });

  it("gives each panel the whole picture of the shot, on one page", () => {
    const shot = { ...shotWith(), balloons: [{ id: "b", at: { x: 0.5, y: 0.5 }, width: 20, height: 10 }] };
    const frames = panelsOfSketch(boxesOfRows([1, 2]), AREA, 5);
    const panels = pageLike(
      shot,
      "p1",
      frames.map((frame, i) => ({ id: `s${i}`, name: `Panel ${i + 1}`, frame })),
    );
    panels.forEach((panel, i) => {
      expect([panel.page, panel.frame, panel.balloons]).toEqual(["p1", frames[i], undefined]);
      // The angle across the panel stays.
      expect(panel.frame.width / panel.lens.distance).toBeCloseTo(shot.frame.width / shot.lens.distance, 9);
    });
  });
});
