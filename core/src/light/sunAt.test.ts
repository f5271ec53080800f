import { Body, Equator, Horizon, Observer } from "astronomy-engine";
import fc from "fast-check";
import { between } from "../../testing";
import { sunAt } from ".";

describe("where the sun stands", () => {
  it("agrees with astronomy-engine within half a degree, at any place and hour where it is up", () => {
    fc.assert(
      fc.property(
        between(-180, 180),
        between(-70, 70),
        fc.integer({ min: 0, max: 8760 }),
        (longitude, latitude, hour) => {
          const when = new Date(Date.UTC(2026, 0, 1) + hour * 3_600_000);
          const observer = new Observer(latitude, longitude, 0);
          const { ra, dec } = Equator(Body.Sun, when, observer, true, true);
          const { azimuth, altitude } = Horizon(when, observer, ra, dec, "normal");
          // Near the zenith the heading turns with nothing.
          fc.pre(altitude > 0.5 && altitude < 85);
          const { heading, height } = sunAt({ longitude, latitude, north: 0 }, when);
          expect(Math.abs(height - altitude)).toBeLessThan(0.5);
          const off = Math.abs(((heading - azimuth + 540) % 360) - 180);
          expect(off * Math.cos((altitude * Math.PI) / 180)).toBeLessThan(0.5);
        },
      ),
    );
  });

  it("turns with the world on the Earth", () => {
    const [at, when] = [{ longitude: 10, latitude: 54 }, new Date(Date.UTC(2026, 5, 21, 10))];
    const [plain, turned] = [0, 30].map((north) => sunAt({ ...at, north }, when));
    expect((turned.heading - plain.heading + 360) % 360).toBeCloseTo(30, 9);
  });
});
