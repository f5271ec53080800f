import fc from "fast-check";
import { between, whyOpen } from "../../testing";
import { fromGeoJson, toGeoJson } from "../exchange";
import type { Vec2 } from "../geometry";
import { newScene } from "../scene";
import {
  areaTwice,
  build,
  buildBuilding,
  holesOf,
  moved,
  placed,
  placesOf,
  standsAt,
  validateBuilding,
  validateElement,
  volumeOf,
  whyInvalid,
  type Building,
} from ".";
import { inMetric } from "../units";
import { openingsOf } from "./kinds/building";

const xy = (points: readonly Vec2[]) => points.map(([x, y]) => ({ x, y }));
const rectangle = (x: number, y: number, l: number, w: number): Vec2[] => [
  [x, y],
  [x + l, y],
  [x + l, y + w],
  [x, y + w],
];
/** A block of flats of 30 by 20 m around a yard of 12 by 8 m. */
const flats = (change: Partial<Building> = {}): Building => ({
  id: "b",
  kind: "building",
  name: "Flats",
  footprint: xy(rectangle(0, 0, 30, 20)),
  courtyards: [xy(rectangle(9, 6, 12, 8))],
  base: 0,
  height: 12,
  storeys: 4,
  roof: { kind: "flat" },
  ...change,
});

describe("a building around courtyards", () => {
  it("is a closed solid with its walls' area times its height as its volume, whatever its yards", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(between(0.5, 3), between(0.5, 9), fc.boolean()), { minLength: 1, maxLength: 4 }),
        between(2, 40),
        between(-50, 50),
        (sizes, height, at) => {
          const yards = sizes.map(([l, w, back], i) => {
            const ring = rectangle(at + 1 + 4 * i, at + 0.5, l, w);
            return back ? [...ring].reverse() : ring;
          });
          const one = flats({
            footprint: xy(rectangle(at, at, 4 * sizes.length + 1, 10)),
            courtyards: yards.map(xy),
            height,
          });
          expect(validateBuilding(one)).toBeNull();
          const [solid] = buildBuilding(one);
          const open = sizes.reduce((sum, [l, w]) => sum + l * w, 0);
          expect(whyOpen(solid, sizes.length)).toBeNull();
          expect(volumeOf(solid)).toBeCloseTo(((4 * sizes.length + 1) * 10 - open) * height, 6);
        },
      ),
    );
  });

  it("is entered by a passage, from the street into the yard and on to the other side", () => {
    const into = { x: 15, y: 0, width: 3, height: 4 };
    const one = flats({ passages: [into] });
    const [solid] = build([one]);
    expect(whyOpen(solid, 1)).toBeNull();
    // 6 m deep from the wall to the yard.
    expect(volumeOf(solid)).toBeCloseTo((600 - 96) * 12 - 3 * 4 * 6, 6);
    const through = flats({ passages: [into, { ...into, y: 20 }, { ...into, x: 0, y: 10, arch: true }] });
    const [both] = build([through]);
    expect(whyOpen(both, 1)).toBeNull();
    // The arch is drawn in twelve pieces: a polygon of half a circle's chords.
    const arch = (12 / 2) * 1.5 ** 2 * Math.sin(Math.PI / 12) + 3 * 2.5;
    expect(volumeOf(both)).toBeCloseTo((600 - 96) * 12 - 3 * 4 * 12 - arch * 9, 6);
  });

  it("has windows in the walls of its yard, clear of its passage, and a foot on the slope", () => {
    const windows = { every: 3, width: 1, height: 1.4, sill: 0.9 };
    const one = flats({ windows, passages: [{ x: 15, y: 0, width: 3, height: 2.8 }] });
    const [solid] = build([one]);
    const inYard = openingsOf(one, [solid]).filter(({ on }) => solid.faces[on!.face].name?.startsWith("yard"));
    // Walls of 12, 8, 12 and 8 m hold 3, 2, 3 and 2 bays in four storeys; the passage takes its one at the foot.
    expect(inYard).toHaveLength(4 * (4 * (3 + 2 + 3 + 2) - 1));
    const [sloping] = build([flats({ slope: { heading: 90, grade: 10 } })]);
    expect(whyOpen(sloping, 1)).toBeNull();
    // The foot rises evenly by 3 m: over the yard's middle, as over the whole, by half of that.
    expect(volumeOf(sloping)).toBeCloseTo((600 - 96) * (12 - 1.5), 6);
  });

  it("does not stand in its yard; its corners there are moved like all others", () => {
    const one = flats();
    expect([standsAt(one, [15, 10]), standsAt(one, [3, 3])]).toEqual([false, true]);
    expect(placesOf(one)).toHaveLength(8);
    expect(holesOf(placed(one, 4, [8, 5]))[0]).toContainEqual([8, 5]);
    expect(holesOf(moved(one, 100, -5))[0]).toContainEqual([109, 1]);
  });

  it("says why a yard cannot be: over the wall, in another one, under a pyramid, with itself crossed", () => {
    const why = (change: Partial<Building>) => inMetric(whyInvalid(validateElement(flats(change))!));
    const clear = "The courtyards must lie wholly inside the walls, clear of them and of each other.";
    expect(why({ courtyards: [xy(rectangle(20, 6, 12, 8))] })).toBe(clear);
    expect(why({ courtyards: [xy(rectangle(9, 0, 12, 8))] })).toBe(clear);
    expect(why({ courtyards: [xy(rectangle(9, 6, 8, 8)), xy(rectangle(14, 6, 8, 8))] })).toBe(clear);
    expect(why({ courtyards: [xy(rectangle(9, 6, 8, 8)), xy(rectangle(11, 8, 2, 2))] })).toBe(clear);
    expect(why({ setbacks: [{ inset: 7, height: 3 }] })).toBe(clear);
    expect(why({ roof: { kind: "pyramid" } })).toContain("must be hip, gable, or flat and without a parapet");
    const [a, b, c, d] = rectangle(9, 6, 12, 8);
    expect(why({ courtyards: [xy([a, c, b, d])] })).toContain("whose sides do not cross");
    expect(why({ slope: { heading: 0, grade: 5, steps: 3 } })).toContain("do not go with a courtyard");
  });

  it("goes out as a polygon with a hole and comes in the same (RFC 7946: the hole runs clockwise)", () => {
    const ground = { longitude: 4.1, latitude: 51.9, north: 0 };
    const file = toGeoJson({ ...newScene("Quay"), elements: [flats()], ground }) as {
      features: { geometry: { coordinates: Vec2[][] } }[];
    };
    const [outer, hole] = file.features[0].geometry.coordinates;
    expect([Math.sign(areaTwice(outer.slice(1))), Math.sign(areaTwice(hole.slice(1)))]).toEqual([1, -1]);
    const { elements, notes } = fromGeoJson(file, ground, () => "b");
    expect(notes).toEqual([]);
    const [back] = elements as Building[];
    expect(back.courtyards).toHaveLength(1);
    expect(volumeOf(buildBuilding(back)[0])).toBeCloseTo((600 - 96) * 12, 1);
  });
});
