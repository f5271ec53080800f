import fc from "fast-check";
import { toThin } from "./thin";

const now = Date.UTC(2026, 5, 1, 12);
const minute = 60_000;

describe("thinning of versions", () => {
  it("keeps all of an hour, one in ten minutes of a day, one a day of a month, one a month for ever", () => {
    const ages = Array.from({ length: 200 * 24 * 6 }, (_, i) => i * 10 * minute - (i % 2) * 4 * minute).filter(
      (age) => age >= 0,
    );
    const versions = ages.map((age) => ({ savedAt: now - age, bytes: 1 })).sort((a, b) => b.savedAt - a.savedAt);
    const gone = new Set(toThin(versions, now));
    const kept = versions.filter((v) => !gone.has(v)).map((v) => now - v.savedAt);
    const within = (from: number, to: number) => kept.filter((age) => age > from * minute && age <= to * minute).length;
    expect(kept).toContain(0);
    expect(within(-1, 60)).toBe(versions.filter((v) => now - v.savedAt <= 60 * minute).length);
    expect(within(60, 1440)).toBeLessThanOrEqual(139);
    expect(within(60, 1440)).toBeGreaterThan(130);
    expect(within(1440, 30 * 1440)).toBeLessThanOrEqual(31);
    expect(within(30 * 1440, 200 * 1440)).toBeLessThanOrEqual(7);
    expect(within(30 * 1440, 200 * 1440)).toBeGreaterThanOrEqual(5);
  });

  it("begins earlier where large documents are saved often, and keeps the newest whatever it takes", () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ age: fc.integer({ min: 0, max: 3600 }), bytes: fc.integer({ min: 1, max: 2 ** 22 }) }), {
          minLength: 1,
          maxLength: 400,
        }),
        (some) => {
          const versions = some
            .map(({ age, bytes }) => ({ savedAt: now - age * 1000, bytes }))
            .sort((a, b) => b.savedAt - a.savedAt);
          const gone = new Set(toThin(versions, now, 2 ** 26));
          const kept = versions.filter((version) => !gone.has(version));
          expect(kept[0]).toBe(versions[0]);
          // Of an hour at least one in each full hour stays; 64 MB are kept to where that leaves a choice.
          const bytes = kept.reduce((sum, one) => sum + one.bytes, 0);
          expect(bytes <= 2 ** 26 || kept.length <= 9).toBe(true);
        },
      ),
    );
  });
});
