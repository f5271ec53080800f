import fc from "fast-check";
import { findings } from "../checks";
import { norm, unit, type Vec3 } from "../geometry";
import { newScene, type Shot } from "../scene";
import { CurveBook, drawPlane, rimRadius, toEye, viewOf, withLaw } from "../shot";
import { between, shotWith } from "../testing";
import { compassArc, exactPlaces, footLine, horizonPlanes, lineArcs, pinsOf } from ".";

const main = { id: "main", name: "Main streets", heading: 35 };
const anyGaze = fc.record({ heading: between(-180, 180), pitch: between(-80, 80), roll: between(-180, 180), distance: between(20, 300) });
const anyNormal = fc.record({ x: between(-1, 1), y: between(-1, 1), z: between(-1, 1) }).map(({ x, y, z }): Vec3 => [x, y, z]).filter((n) => norm(n) > 0.1);
const disc = (law: "stereographic" | "equidistant", { heading, pitch, roll, distance }: { heading: number; pitch: number; roll: number; distance: number }): Shot =>
  withLaw(shotWith({ gaze: { heading, pitch, roll }, distance }), law);

describe("compass arcs in the stereographic lens", () => {
  it("are exact: every place of a plane lies on the circle about its foot, to 1e-9", () => {
    fc.assert(fc.property(anyGaze, anyNormal, (gaze, normal) => {
      const shot = disc("stereographic", gaze);
      const view = viewOf(shot);
      const arc = compassArc(view, normal, "a", "a");
      fc.pre(arc.radius < 1e5);
      const wide = { ...shot, frame: { x: -5000, y: -5000, width: 10000, height: 10000 } };
      const book = new CurveBook();
      drawPlane(viewOf(wide), normal, book);
      const { xy } = book.curves();
      for (let i = 0; i < xy.length; i += 2) expect(Math.abs(Math.hypot(xy[i] - arc.foot![0], xy[i + 1] - arc.foot![1]) - arc.radius)).toBeLessThan(1e-9 * (1 + arc.radius) * 10);
    }));
  });

  it("have all feet of lines to a point on its line of feet, and two such lines cross at the foot of the horizon that joins them", () => {
    fc.assert(fc.property(anyGaze, (gaze) => {
      const view = viewOf(disc("stereographic", gaze));
      const pins = pinsOf([main], disc("stereographic", gaze)).filter(({ opposite }) => !opposite);
      const onLine = (pin: (typeof pins)[number], [x, y]: readonly [number, number]) => {
        const line = footLine(view, pin)!;
        return Math.abs((x - line.at[0]) * line.along[1] - (y - line.at[1]) * line.along[0]) / (1 + Math.hypot(x, y));
      };
      for (const pin of pins) {
        if (!footLine(view, pin)) continue;
        for (const { foot, radius } of lineArcs(view, pin)) if (foot && radius < 1e6) expect(onLine(pin, foot)).toBeLessThan(1e-9);
      }
      const horizon = compassArc(view, [0, 0, 1], "h", "h");
      if (horizon.foot && horizon.radius < 1e6) for (const pin of pins.slice(0, 2)) if (footLine(view, pin)) expect(onLine(pin, horizon.foot)).toBeLessThan(1e-9);
    }));
  });

  it("are straight lines through C where the plane holds the gaze", () => {
    const arc = compassArc(viewOf(withLaw(shotWith(), "stereographic")), [0, 0, 1], "h", "h");
    expect(arc).toMatchObject({ foot: null, slant: 0, departure: 0 });
  });
});

describe("compass arcs in the equidistant lens", () => {
  it("go through both rim points and the place at R - q, and depart by no more than they say", () => {
    fc.assert(fc.property(anyGaze, anyNormal, (gaze, normal) => {
      const shot = disc("equidistant", gaze);
      const view = viewOf(shot);
      const arc = compassArc(view, normal, "a", "a");
      fc.pre(arc.foot !== null && arc.radius < 1e5);
      const rim = rimRadius(shot);
      expect(rim).toBeCloseTo((Math.PI / 2) * gaze.distance, 6);
      const n = toEye(view, unit(normal));
      const h = Math.hypot(n[0], n[1]);
      fc.pre(h > 1e-3);
      for (const side of [1, -1]) {
        const [x, y] = [view.centre[0] - (side * rim * n[1]) / h, view.centre[1] - (side * rim * n[0]) / h];
        expect(Math.hypot(x - arc.foot![0], y - arc.foot![1])).toBeCloseTo(arc.radius, 4);
      }
      for (const [x, y] of exactPlaces(view, normal, 1111)) expect(Math.abs(Math.hypot(x - arc.foot![0], y - arc.foot![1]) - arc.radius)).toBeLessThan(arc.departure * 1.02 + 1e-6);
    }));
  });

  it("are found where a pencil would show the difference, and the stereographic lens ends that", () => {
    const shot: Shot = { ...disc("equidistant", { heading: 0, pitch: -40, roll: 0, distance: 80 }), show: { live: 0, frame: 1, horizon: 1, bundles: 1, buildings: 1, hidden: 0, compass: 1 } };
    const found = findings(newScene("Test"), shot).filter(({ id }) => id.startsWith("compass-off"));
    expect(found.length).toBeGreaterThan(0);
    const mended = found[0].mend!.shot;
    expect(findings(newScene("Test"), mended).filter(({ id }) => id.startsWith("compass-off"))).toEqual([]);
    // The rim stays where it was: pi d / 2 = 2 d'.
    expect(rimRadius(mended)).toBeCloseTo(rimRadius(shot), 6);
    expect(horizonPlanes(pinsOf([main], shot))).toHaveLength(3);
  });
});
