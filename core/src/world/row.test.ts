import { inMetric } from "../units";
import fc from "fast-check";
import { between } from "../../testing";
import { fromStretch } from "../geometry";
import {
  areaTwice,
  boxOf,
  centroid,
  DEFAULT_ROW,
  validateBuilding,
  fillRow,
  inset,
  outlineOf,
  validateRow,
  whyInvalid,
  standsAt,
  tidy,
  type Row,
} from ".";

const row = (change: Partial<Row> = {}): Row => ({
  id: "r",
  name: "Quay",
  from: { x: 3, y: 4 },
  to: { x: 63, y: 84 },
  seed: 7,
  ...DEFAULT_ROW,
  ...change,
});
/** How far along and into the row's lots a place lies: its line runs (0.6, 0.8), its lots to the right of that. */
const measured = ([x, y]: readonly [number, number]) =>
  [(x - 3) * 0.6 + (y - 4) * 0.8, (x - 3) * 0.8 - (y - 4) * 0.6] as const;

describe("a row by rule", () => {
  it("stands along its line to the right, wall to wall but for alleys, within its ranges, and can stand", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1e6 }),
        between(3, 9),
        between(0, 8),
        between(0, 100),
        (seed, least, more, alleys) => {
          const houses = fillRow(row({ seed, alleys, fronts: { least, most: least + more } }), [], String);
          let end = 0;
          for (const house of houses) {
            expect(validateBuilding(house)).toBeNull();
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
        },
      ),
      { numRuns: 100 },
    );
  });

  it("is rolled again around what is kept", () => {
    const first = fillRow(row(), [], String);
    const kept = [
      { ...first[2], kept: true },
      { ...first[5], kept: true },
    ];
    const again = fillRow(row({ seed: 8 }), kept, (at) => `new ${at}`);
    const spans = [...again, ...kept]
      .map((house) => outlineOf(house).map((p) => measured(p)[0]))
      .map((s) => [Math.min(...s), Math.max(...s)])
      .sort((a, b) => a[0] - b[0]);
    spans.slice(1).forEach(([from], i) => expect(from).toBeGreaterThan(spans[i][1] - 1e-6));
    expect(again.map(({ height }) => height)).not.toEqual(first.map(({ height }) => height));
    expect(boxOf(again[0]).height).toBe(again[0].height);
  });

  it("has towers at its ends where it is told to, and no windows where it is blind", () => {
    const houses = fillRow(row({ towers: { storeys: 2, roof: "spire" } }), [], String);
    const ends = houses
      .map((house) => outlineOf(house).map((p) => measured(p)[0]))
      .map((s) => Math.min(...s) < 1e-6 || Math.max(...s) > 100 - 1e-6);
    expect(houses.filter(({ roof }) => roof.kind === "spire").map(({ id }) => id)).toEqual(
      houses.filter((_, i) => ends[i]).map(({ id }) => id),
    );
    expect(houses[0].storeys).toBeGreaterThanOrEqual(4);
    expect(houses.every(({ windows, doors }) => windows?.party && doors?.length === 1)).toBe(true);
    expect(fillRow(row({ blind: true }), [], String).some(({ windows, doors }) => windows ?? doors)).toBe(false);
    expect(validateRow({ ...row(), from: undefined })).toMatchObject({ field: "from" });
  });

  it(
    "builds a lot up around its rim: all houses within it, none over another, a court left free, its " +
      "corners built on",
    () => {
      const lot = [
        [0, 0],
        [50, 4],
        [46, 44],
        [20, 44],
        [20, 30],
        [-4, 30],
      ].map(([x, y]) => ({ x, y }));
      fc.assert(
        fc.property(fc.integer({ min: 0, max: 1e6 }), fc.boolean(), (seed, reversed) => {
          const one = row({
            from: undefined,
            to: undefined,
            lot: reversed ? [...lot].reverse() : lot,
            seed,
            depth: 8,
            alleys: 0,
            fronts: { least: 4, most: 8 },
            towers: { storeys: 1, roof: "pyramid" },
          });
          expect(validateRow(one)).toBeNull();
          const houses = fillRow(one, [], String);
          // Of six corners five bend outwards.
          expect(houses.filter(({ name }) => name.includes("tower"))).toHaveLength(5);
          const area = (points: readonly (readonly [number, number])[]) => Math.abs(areaTwice(points)) / 2;
          const whole = area(lot.map(({ x, y }) => [x, y] as const));
          const court = area(inset(tidy(lot.map(({ x, y }) => [x, y] as const)), 8)!);
          const built = houses.reduce((sum, house) => sum + area(outlineOf(house)), 0);
          // Houses are up to a tenth less deep than their lots; a front that is too short stays free, and so does the
          // wedge behind the inward corner.
          expect(built).toBeLessThan(whole - court + 1e-6);
          expect(built).toBeGreaterThan(0.7 * (whole - court));
          for (const house of houses) {
            expect(validateBuilding(house)).toBeNull();
            for (const [x, y] of outlineOf(house))
              expect(
                standsAt({ ...house, footprint: lot }, [x + 1e-6 * (25 - x), y + 1e-6 * (20 - y)]) ||
                  onRim(lot, [x, y]),
              ).toBe(true);
          }
          const middles = houses.map((house) => centroid(outlineOf(house)));
          houses.forEach((house, i) =>
            middles.forEach((at, k) => {
              if (k !== i) expect(standsAt(house, at)).toBe(false);
            }),
          );
        }),
        { numRuns: 60 },
      );
      expect(inMetric(whyInvalid(validateRow(row({ lot, depth: 30 }))!))).toBe(
        "The lot is too small for lots 30 m deep on all its sides.",
      );
    },
  );
});

/** Whether a place lies within a millimetre of a lot's rim. */
const onRim = (lot: readonly { readonly x: number; readonly y: number }[], at: readonly [number, number]): boolean =>
  lot.some(({ x, y }, i) => fromStretch(at, [x, y], [lot[(i + 1) % lot.length].x, lot[(i + 1) % lot.length].y]) < 1e-3);
