import {
  geoAzimuthalEqualAreaRaw,
  geoAzimuthalEquidistantRaw,
  geoEquirectangularRaw,
  geoGnomonicRaw,
  geoMercatorRaw,
  geoOrthographicRaw,
  geoStereographicRaw,
  type GeoRawProjection,
} from "d3-geo";
import fc from "fast-check";
import { add, norm, scale, sub, unit, type Vec3 } from "../geometry";
import { between } from "../../testing";
import { LAWS, type LawId } from ".";

/** Any direction, by its latitude over the girdle and its longitude from the gaze. */
const anyDirection = fc.record({ lambda: between(-3.1, 3.1), phi: between(-1.5, 1.5) });
const toward = (lambda: number, phi: number): Vec3 => [
  Math.sin(lambda) * Math.cos(phi),
  Math.sin(phi),
  Math.cos(lambda) * Math.cos(phi),
];
const ids = Object.keys(LAWS) as LawId[];

/** d3's stereographic has the radius tan(theta / 2), half of ours; the others are as Snyder has them. */
const PEERS: readonly (readonly [LawId, GeoRawProjection, number])[] = [
  ["rectilinear", geoGnomonicRaw, 1],
  ["stereographic", geoStereographicRaw, 2],
  ["equidistant", geoAzimuthalEquidistantRaw, 1],
  ["equisolid", geoAzimuthalEqualAreaRaw, 1],
  ["orthographic", geoOrthographicRaw, 1],
  ["equirectangular", geoEquirectangularRaw, 1],
];

describe("lens laws", () => {
  it.each(PEERS)("%s is d3-geo's raw projection", (id, raw, size) => {
    const law = LAWS[id];
    fc.assert(
      fc.property(anyDirection, ({ lambda, phi }) => {
        const direction = toward(lambda, phi);
        fc.pre(law.off(direction) < Math.min(law.limit, Math.PI - 0.05) - 1e-9);
        const ours = law.project(direction)!;
        const theirs = raw(lambda, phi);
        for (const i of [0, 1])
          expect(Math.abs(ours[i] - size * theirs[i])).toBeLessThan(1e-9 * (1 + Math.hypot(...theirs)));
      }),
    );
  });

  it(
    "cylinders have the longitude of d3-geo's Mercator, and the tangent of the latitude; lying, the axes " +
      "change places",
    () => {
      fc.assert(
        fc.property(between(-3, 3), between(-1.4, 1.4), (lambda, phi) => {
          const [x, y] = LAWS.cylindrical.project(toward(lambda, phi))!;
          expect(x).toBeCloseTo(geoMercatorRaw(lambda, phi)[0], 12);
          expect(y).toBeCloseTo(Math.tan(phi), 9);
          const [a, b, c] = toward(lambda, phi);
          const lying = LAWS["cylindrical-lying"].project([b, a, c])!;
          expect(lying[0]).toBeCloseTo(y, 9);
          expect(lying[1]).toBeCloseTo(x, 12);
        }),
      );
    },
  );

  // At 40 degrees, radius 1, by the definition of each: the angle itself, 2 sin and 2 tan of half of it.
  it("has the radii that define it at 40 degrees", () => {
    const at = toward((40 * Math.PI) / 180, 0);
    expect(LAWS.equidistant.project(at)![0]).toBeCloseTo(0.69813, 5);
    expect(LAWS.equisolid.project(at)![0]).toBeCloseTo(0.68404, 5);
    expect(LAWS.stereographic.project(at)![0]).toBeCloseTo(0.72794, 5);
  });

  it.each(ids)("%s leads back from a picture point to its direction, and never to no number", (id) => {
    const law = LAWS[id];
    fc.assert(
      fc.property(anyDirection, between(-20, 20), between(-20, 20), ({ lambda, phi }, x, y) => {
        const direction = toward(lambda, phi);
        const p =
          law.off(direction) < law.limit - 1e-6 && law.off(direction) < Math.PI - 1e-3 ? law.project(direction) : null;
        if (p) expect(norm(sub(law.unproject(p), direction))).toBeLessThan(1e-6);
        const ray = law.unproject([x, y]);
        expect(norm(ray)).toBeCloseTo(1, 9);
        // Curves end a hundred-thousandth before a pole that is still seen.
        expect(law.off(ray)).toBeLessThan(law.limit + 2e-5 + (law.straight ? 1 : 0));
      }),
    );
    expect(law.unproject([0, 0])).toEqual([0, 0, 1]);
  });

  it.each(ids)("%s agrees with the straight lens to second order in the middle", (id) => {
    for (const e of [1e-2, 1e-3]) {
      const [x, y] = LAWS[id].project(unit([e, 0.5 * e, 1]))!;
      expect(Math.abs(x - e) + Math.abs(y - 0.5 * e)).toBeLessThan(2 * e ** 3);
    }
  });

  it.each(ids)("%s has the velocity and the stretch that small steps show, and bends no more than it says", (id) => {
    const law = LAWS[id];
    fc.assert(
      fc.property(anyDirection, between(0, 2 * Math.PI), ({ lambda, phi }, slant) => {
        const d = toward(lambda, phi);
        const e = unit([d[2], 0, -d[0]]);
        fc.pre(law.off(d) < Math.min(law.limit, 3) - 0.02 && Math.abs(lambda) < 3.05 && Math.abs(phi) < 1.4);
        fc.pre(law.shape !== "lying drum" || (Math.hypot(d[1], d[2]) > 0.1 && Math.abs(Math.atan2(d[1], d[2])) < 3.05));
        const up: Vec3 = [d[1] * e[2] - d[2] * e[1], d[2] * e[0] - d[0] * e[2], d[0] * e[1] - d[1] * e[0]];
        const v: Vec3 = add(scale(e, Math.cos(slant)), scale(up, Math.sin(slant)));
        const on = (t: number) => law.project(add(scale(d, Math.cos(t)), scale(v, Math.sin(t))))!;
        const h = 1e-4;
        const [p, q, r] = [on(-h), on(0), on(h)];
        const size = 1 + Math.hypot(...q) ** 2;
        const [vx, vy] = law.velocity(d, v);
        expect(Math.hypot((r[0] - p[0]) / (2 * h) - vx, (r[1] - p[1]) / (2 * h) - vy)).toBeLessThan(1e-4 * size ** 2);
        const second = Math.hypot(r[0] - 2 * q[0] + p[0], r[1] - 2 * q[1] + p[1]) / (h * h);
        expect(second).toBeLessThan(law.curvatureBound(law.off(d) + h) * (1 + 1e-3) + 1e-2);
        // No step is enlarged by more than the larger stretch, or less than the smaller.
        const { radial, tangential } = law.stretch(d);
        expect(Math.hypot(vx, vy)).toBeLessThan(Math.max(radial, tangential) * (1 + 1e-9));
        expect(Math.hypot(vx, vy)).toBeGreaterThan(Math.min(radial, tangential) * (1 - 1e-9));
      }),
    );
  });

  it.each(ids)("%s bends more the farther off, so that its bound holds for all of a step", (id) => {
    const law = LAWS[id];
    let last = 0;
    for (let off = 0.001; off < law.limit; off += 0.001) {
      expect(law.curvatureBound(off)).toBeGreaterThan(last - 1e-9);
      last = law.curvatureBound(off);
    }
  });

  it("keeps angles (stereographic) and areas (equisolid)", () => {
    for (const theta of [0.3, 1, 2, 3]) {
      const d = toward(theta, 0);
      const conformal = LAWS.stereographic.stretch(d);
      expect(conformal.radial).toBeCloseTo(conformal.tangential, 9);
      const area = LAWS.equisolid.stretch(d);
      expect(area.radial * area.tangential).toBeCloseTo(1, 9);
    }
  });
});
