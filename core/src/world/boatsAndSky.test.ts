import fc from "fast-check";
import { between, whyOpen } from "../../testing";
import { radians } from "../geometry";
import {
  BOATS,
  build,
  facing,
  HEAVENLY,
  isHeavenly,
  newBoat,
  newSky,
  SKY_THINGS,
  volumeOf,
  type BoatThing,
  type SkyThing,
} from ".";

describe("boats", () => {
  it.each(Object.keys(BOATS) as BoatThing[])("a %s is a closed hull of its measures", (thing) => {
    fc.assert(
      fc.property(between(0.7, 1.4), between(0, 360), (times, heading) => {
        const fresh = newBoat(thing, { x: 3, y: -7, z: -1.2 }, heading);
        const boat = { ...fresh, id: "b", name: "Gull", length: fresh.length * times };
        const [hull] = build([boat]);
        expect(whyOpen(hull)).toBeNull();
        expect(volumeOf(hull)).toBeGreaterThan(0);
        const [fx, fy] = [Math.sin(radians(heading)), Math.cos(radians(heading))];
        const along = hull.vertices.map(([x, y]) => (x - 3) * fx + (y + 7) * fy);
        expect(Math.max(...along) - Math.min(...along)).toBeCloseTo(boat.length, 6);
        const across = hull.vertices.map(([x, y]) => (x - 3) * fy - (y + 7) * fx);
        expect(Math.max(...across) - Math.min(...across)).toBeCloseTo(boat.width, 6);
        const heights = hull.vertices.map(([, , z]) => z + 1.2);
        expect(Math.min(...heights)).toBeCloseTo(-boat.draught, 6);
        expect(Math.max(...heights)).toBeGreaterThan(boat.side);
        // It is hollow over its deck and fine at its ends: less than the box around it.
        expect(volumeOf(hull) / (boat.length * boat.width * (boat.draught + boat.side))).toBeLessThan(0.95);
      }),
      { numRuns: 10 },
    );
  });
});

describe("what is in the sky", () => {
  it.each(Object.keys(SKY_THINGS) as SkyThing[])("%s are as wide as they are said to be, over their place", (thing) => {
    for (const seed of [1, 2, 3]) {
      const { size, up } = SKY_THINGS[thing];
      const [solid] = build([{ ...newSky(thing, { x: 0, y: 500, z: up }, seed), id: "s", name: "Sky" }]);
      const card = facing(solid, [0, -4000, up], { within: 1e-6 });
      const places = card.faces[0].pieces.flat().map((n) => card.vertices[n]);
      const wide = Math.max(...places.map(([x]) => x)) - Math.min(...places.map(([x]) => x));
      expect(wide / size).toBeGreaterThan(0.6);
      expect(wide / size).toBeLessThan(2);
      // The sun and the moon stand around their place.
      expect(Math.min(...places.map(([, , z]) => z)) - up).toBeGreaterThan((isHeavenly(thing) ? -0.51 : -0.02) * size);
    }
  });

  it.each(["sun", "moon"] as const)("the %s is half a degree wide where it stands (common practice)", (thing) => {
    const { size } = SKY_THINGS[thing];
    const wide = { sun: 0.533, moon: 0.518 }[thing];
    expect((2 * Math.atan(size / 2 / HEAVENLY) * 180) / Math.PI).toBeCloseTo(wide, 2);
  });

  it("clouds lie level at their foot: seen level from afar, none of them is under it", () => {
    const [solid] = build([{ ...newSky("bank", { x: 0, y: 3000, z: 500 }, 3), id: "s", name: "Sky" }]);
    const card = facing(solid, [0, 0, 500], { within: 1e-6 });
    expect(Math.min(...card.vertices.map(([, , z]) => z))).toBeGreaterThan(499);
  });
});
