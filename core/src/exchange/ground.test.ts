import fc from "fast-check";
import proj4 from "proj4";
import { between } from "../../testing";
import { toEarth, toWorld } from "./ground";

/** Places around an origin by another's projection, which keeps distances from its middle (proj4, WGS 84). */
const around = (longitude: number, latitude: number) =>
  proj4(`+proj=aeqd +lat_0=${latitude} +lon_0=${longitude} +datum=WGS84 +units=m`);

describe("places on the Earth", () => {
  it("lie where proj4's azimuthal equidistant projection on WGS 84 has them: within 1 in 1,000 up to 5 km off", () => {
    fc.assert(
      fc.property(
        between(-170, 170),
        between(-65, 65),
        between(-0.045, 0.045),
        between(-0.045, 0.045),
        (longitude, latitude, dLon, dLat) => {
          const at = [longitude + dLon, latitude + dLat] as const;
          const expected = around(longitude, latitude).forward([...at]);
          const found = toWorld({ longitude, latitude, north: 0 }, at);
          const off = Math.hypot(found[0] - expected[0], found[1] - expected[1]);
          expect(off).toBeLessThan(0.01 + 1e-3 * Math.hypot(expected[0], expected[1]));
        },
      ),
    );
  });

  it("lie within a decimetre of proj4's in a town of a kilometre, and come back", () => {
    fc.assert(
      fc.property(between(-60, 60), between(-500, 500), between(-500, 500), (latitude, x, y) => {
        const ground = { longitude: 12, latitude, north: 0 };
        const earth = toEarth(ground, [x, y]);
        const expected = around(12, latitude).forward([...earth]);
        expect(Math.hypot(expected[0] - x, expected[1] - y)).toBeLessThan(0.1);
        const back = toWorld(ground, earth);
        expect(Math.hypot(back[0] - x, back[1] - y)).toBeLessThan(1e-6);
      }),
    );
  });
});
