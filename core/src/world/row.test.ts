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

describe("the fronts of a row", () => {
  it("are rolled with it: the same from the same seed, on the street side, and every house stands", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1e6 }),
        between(0, 100),
        between(4, 9),
        fc.integer({ min: 1, max: 7 }),
        (seed, shops, least, storeys) => {
          const rule = row({
            seed,
            fronts: { least, most: least + 5 },
            storeys: { least: 1, most: storeys },
            fitted: { shops },
          });
          const houses = fillRow(rule, [], String);
          const plain = fillRow({ ...rule, fitted: undefined }, [], String);
          // Nothing else of them changes.
          expect(houses.map(({ footprint, height, roof }) => [footprint, height, roof])).toEqual(
            plain.map(({ footprint, height, roof }) => [footprint, height, roof]),
          );
          for (const house of houses) {
            expect(validateBuilding(house)).toBeNull();
            for (const { side } of house.fronts ?? []) {
              const corners = outlineOf(house);
              const [p, q] = [corners[side], corners[(side + 1) % corners.length]];
              for (const end of [p, q]) expect(Math.abs(measured([end[0], end[1]])[1])).toBeLessThan(1e-6);
            }
          }
          expect(houses.filter(({ fronts = [] }) => fronts.length === 1).length).toBeGreaterThan(0.8 * houses.length);
          expect(fillRow(rule, [], String)).toEqual(houses);
        },
      ),
      { numRuns: 60 },
    );
  });

  it("have as many shops as is said, doors on the ground, and differ from house to house", () => {
    const long = row({ to: { x: 603, y: 804 }, fitted: { shops: 40 } });
    const houses = fillRow(long, [], String).filter(({ fronts }) => fronts);
    const withShops = houses.filter(({ fronts }) => fronts![0].bays.includes("shop"));
    expect(Math.abs(withShops.length / houses.length - 0.4)).toBeLessThan(0.12);
    expect(new Set(houses.map(({ fronts }) => JSON.stringify(fronts![0].window))).size).toBeGreaterThan(
      0.9 * houses.length,
    );
    const none = fillRow({ ...long, fitted: { shops: 0 } }, [], String).filter(({ fronts }) => fronts);
    expect(none.some(({ fronts }) => fronts![0].bays.includes("shop"))).toBe(false);
    expect(none.every(({ fronts }) => fronts![0].bays.includes("door"))).toBe(true);
  });

  it("look at both streets at the corner of a lot, and are none where a row is blind", () => {
    const lot = [
      [0, 0],
      [60, 0],
      [60, 50],
      [0, 50],
    ].map(([x, y]) => ({ x, y }));
    const houses = fillRow({ ...row({ fitted: { shops: 50 } }), from: undefined, to: undefined, lot }, [], String);
    const two = houses.filter(({ fronts = [] }) => fronts.length === 2);
    expect(two).toHaveLength(4);
    for (const house of two)
      for (const { side } of house.fronts!) {
        const corners = outlineOf(house);
        const [p, q] = [corners[side], corners[(side + 1) % corners.length]];
        // Both ends lie on the rim of the lot.
        for (const [x, y] of [p, q]) expect(Math.min(x, y, 60 - x, 50 - y)).toBeLessThan(1e-6);
      }
    expect(fillRow(row({ blind: true, fitted: { shops: 50 } }), [], String).some(({ fronts }) => fronts)).toBe(false);
  });
});
