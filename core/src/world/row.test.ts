import fc from "fast-check";
import { between } from "../testing";
import { boxOf, DEFAULT_ROW, faultOf, fillRow, outlineOf, type Row } from ".";

const row = (change: Partial<Row> = {}): Row => ({ id: "r", name: "Quay", from: { x: 3, y: 4 }, to: { x: 63, y: 84 }, seed: 7, ...DEFAULT_ROW, ...change });
/** How far along and into the row's lots a place lies: its line runs (0.6, 0.8), its lots to the right of that. */
const measured = ([x, y]: readonly [number, number]) => [(x - 3) * 0.6 + (y - 4) * 0.8, (x - 3) * 0.8 - (y - 4) * 0.6] as const;

describe("a row by rule", () => {
  it("stands along its line to the right, wall to wall but for alleys, within its ranges, and can stand", () => {
    fc.assert(fc.property(fc.integer({ min: 0, max: 1e6 }), between(3, 9), between(0, 8), between(0, 100), (seed, least, more, alleys) => {
      const houses = fillRow(row({ seed, alleys, fronts: { least, most: least + more } }), [], String);
      let end = 0;
      for (const house of houses) {
        expect(faultOf(house)).toBeNull();
        const [s, t] = [0, 1].map((k) => outlineOf(house).map((p) => measured(p)[k]));
        const gap = Math.min(...s) - end;
        expect(Math.abs(gap) < 1e-6 || Math.abs(gap - 2.5) < 1e-6).toBe(true);
        end = Math.max(...s);
        expect([Math.min(...t) > -1e-6, Math.max(...t) < 11.001, end < 100 + 1e-6]).toEqual([true, true, true]);
        const front = end - Math.min(...s);
        expect(front > least - 1e-6 && front < least + more + 1e-6).toBe(true);
        expect([6, 9, 12, 15]).toContain(house.height);
      }
      expect(100 - end).toBeLessThan(least + 2.5 + 1e-6);
      expect(fillRow(row({ seed, alleys, fronts: { least, most: least + more } }), [], String)).toEqual(houses);
    }), { numRuns: 100 });
  });

  it("is rolled again around what is kept", () => {
    const first = fillRow(row(), [], String);
    const kept = [{ ...first[2], kept: true }, { ...first[5], kept: true }];
    const again = fillRow(row({ seed: 8 }), kept, (at) => `new ${at}`);
    const spans = [...again, ...kept].map((house) => outlineOf(house).map((p) => measured(p)[0])).map((s) => [Math.min(...s), Math.max(...s)]).sort((a, b) => a[0] - b[0]);
    spans.slice(1).forEach(([from], i) => expect(from).toBeGreaterThan(spans[i][1] - 1e-6));
    expect(again.map(({ height }) => height)).not.toEqual(first.map(({ height }) => height));
    expect(boxOf(again[0]).height).toBe(again[0].height);
  });
});
