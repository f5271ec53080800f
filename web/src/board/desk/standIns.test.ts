import fc from "fast-check";
import { isAway, standIns, type Away } from "./standIns";

const size = { width: 900, height: 600 };
const WORDS = "Main streets, left ← 721.5 mm";
const named = (id: string, at: readonly [number, number]): Away => ({ id, at, text: WORDS });

describe("what stands in for pins outside the window", () => {
  it("waits at the edge nearest to each, with its words on the side where there is room", () => {
    const places = standIns([named("l", [-500, 300]), named("r", [2000, 300]), named("below", [450, 4000])], size);
    expect(places.get("l")).toEqual({ at: [14, 300], words: "right" });
    expect(places.get("r")).toEqual({ at: [886, 300], words: "left" });
    expect(places.get("below")).toEqual({ at: [450, 586], words: "right" });
    expect([isAway([20, 30], size), isAway([-3, 30], size)]).toEqual([false, true]);
  });

  it("never covers another, nor its words, however many there are", () => {
    const anywhere = fc.tuple(fc.integer({ min: -5000, max: 5000 }), fc.integer({ min: -5000, max: 5000 }));
    fc.assert(
      fc.property(fc.array(anywhere, { minLength: 2, maxLength: 12 }), (all) => {
        const away = all.map((at, i) => named(String(i), at)).filter(({ at }) => isAway(at, size));
        const boxes = [...standIns(away, size).values()].map(({ at: [x, y], words }) => {
          // 29 letters of 6.6 px (11 px of the measures' typeface) and a handle of 24 px.
          const far = 29 * 6.6 + 12;
          return { x0: words === "left" ? x - far : x - 12, x1: words === "left" ? x + 12 : x + far, y };
        });
        boxes.forEach((a, i) =>
          boxes.slice(i + 1).forEach((b) => {
            expect(Math.abs(a.y - b.y) >= 24 || a.x1 <= b.x0 || b.x1 <= a.x0).toBe(true);
          }),
        );
        for (const { x0, x1, y } of boxes)
          expect([x0 >= 0, x1 <= size.width, y >= 12, y <= size.height - 12]).toEqual([true, true, true, true]);
      }),
    );
  });
});
