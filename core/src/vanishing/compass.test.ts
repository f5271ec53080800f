import { inMetric } from "../units";
import fc from "fast-check";
import { findings } from "../checks";
import { norm, unit, type Vec3 } from "../geometry";
import { newScene, type Shot } from "../scene";
import { setUpOf, slipText } from "../slip";
import { CurveBook, drawPlane, rimRadius, toEye, viewOf, withLaw } from "../shot";
import { between, shotWith } from "../../testing";
import { compassArc, exactPlaces, footLine, horizonPlanes, lineArcs, pickedArcs, pinsOf } from ".";

const main = { id: "main", name: "Main streets", heading: 35 };
const anyGaze = fc.record({
  heading: between(-180, 180),
  pitch: between(-80, 80),
  roll: between(-180, 180),
  distance: between(20, 300),
});
const anyNormal = fc
  .record({ x: between(-1, 1), y: between(-1, 1), z: between(-1, 1) })
  .map(({ x, y, z }): Vec3 => [x, y, z])
  .filter((n) => norm(n) > 0.1);
const disc = (
  law: "stereographic" | "equidistant",
  { heading, pitch, roll, distance }: { heading: number; pitch: number; roll: number; distance: number },
): Shot => withLaw(shotWith({ gaze: { heading, pitch, roll }, distance }), law);

describe("compass arcs in the stereographic lens", () => {
  it("are exact: every place of a plane lies on the circle about its foot, to 1e-9", () => {
    fc.assert(
      fc.property(anyGaze, anyNormal, (gaze, normal) => {
        const shot = disc("stereographic", gaze);
        const view = viewOf(shot);
        const arc = compassArc(view, normal, "a", "a");
        fc.pre(arc.radius < 1e5);
        const wide = { ...shot, frame: { x: -5000, y: -5000, width: 10000, height: 10000 } };
        const book = new CurveBook();
        drawPlane(viewOf(wide), normal, book);
        const { xy } = book.curves();
        for (let i = 0; i < xy.length; i += 2)
          expect(Math.abs(Math.hypot(xy[i] - arc.foot![0], xy[i + 1] - arc.foot![1]) - arc.radius)).toBeLessThan(
            1e-9 * (1 + arc.radius) * 10,
          );
      }),
    );
  });

  it(
    "have all feet of lines to a point on its line of feet, and two such lines cross at the foot of the horizon " +
      "that joins them",
    () => {
      fc.assert(
        fc.property(anyGaze, (gaze) => {
          const view = viewOf(disc("stereographic", gaze));
          const pins = pinsOf([main], disc("stereographic", gaze)).filter(({ opposite }) => !opposite);
          const onLine = (pin: (typeof pins)[number], [x, y]: readonly [number, number]) => {
            const line = footLine(view, pin)!;
            return (
              Math.abs((x - line.at[0]) * line.along[1] - (y - line.at[1]) * line.along[0]) / (1 + Math.hypot(x, y))
            );
          };
          for (const pin of pins) {
            if (!footLine(view, pin)) continue;
            for (const { foot, radius } of lineArcs(view, pin))
              if (foot && radius < 1e6) expect(onLine(pin, foot)).toBeLessThan(1e-9);
          }
          const horizon = compassArc(view, [0, 0, 1], "h", "h");
          if (horizon.foot && horizon.radius < 1e6)
            for (const pin of pins.slice(0, 2))
              if (footLine(view, pin)) expect(onLine(pin, horizon.foot)).toBeLessThan(1e-9);
        }),
      );
    },
  );

  it(
    "of lines that were picked pass their point and the place they were picked at; one whose point is gone " +
      "is left out",
    () => {
      fc.assert(
        fc.property(anyGaze, between(-100, 500), between(-100, 400), (gaze, x, y) => {
          const shot = disc("stereographic", gaze);
          const view = viewOf(shot);
          const pins = pinsOf([main], shot);
          const picked = pickedArcs(view, pins, [
            { pin: "gone", through: { x, y } },
            ...pins.map(({ id }) => ({ pin: id, through: { x, y } })),
          ]);
          expect(picked.map(({ at }) => at)).toEqual(pins.map((_, i) => i + 1));
          for (const {
            at,
            arc: { foot, radius },
          } of picked) {
            fc.pre(foot !== null && radius < 1e5);
            const off = ([px, py]: readonly [number, number]) =>
              Math.abs(Math.hypot(px - foot![0], py - foot![1]) - radius);
            const through = Math.hypot(x - view.centre[0], y - view.centre[1]) < 5 * view.distance;
            if (through) expect(off([x, y])).toBeLessThan(1e-6 * (1 + radius));
            const point = pins[at - 1].point.at;
            if (point && Math.hypot(...point) < 1e4) expect(off(point)).toBeLessThan(1e-6 * (1 + radius));
          }
        }),
      );
    },
  );

  it("tell where the foot stands from C and the edges, and what to tape on for one off the sheet", () => {
    const shot: Shot = {
      ...disc("stereographic", { heading: 0, pitch: -20, roll: 0, distance: 60 }),
      arcs: [{ pin: "main-left", through: { x: 230, y: 60 } }],
    };
    const { horizons, picked } = setUpOf({ ...newScene("Test"), shots: [shot] }, shot).compass!;
    // k tan 70 degrees = 120 * 2.7475 = 329.7 mm below C, and an opening of k / sin 20 degrees = 350.9 mm.
    expect(inMetric(horizons[0].how)).toBe(
      "foot 0 mm right, 329.7 mm down from C (181.2 mm below the sheet, 210 mm from the left; tape 202 mm of " +
        "paper to the bottom edge), opening 350.9 mm",
    );
    expect(picked[0].name).toBe("Line 1, to Main streets, left");
    expect(slipText({ ...newScene("Test"), shots: [shot] }, shot)).toContain(
      "COMPASS: LINES YOU PICKED\nLine 1, to Main streets, left: foot ",
    );
  });

  it("are straight lines through C where the plane holds the gaze", () => {
    const arc = compassArc(viewOf(withLaw(shotWith(), "stereographic")), [0, 0, 1], "h", "h");
    expect(arc).toMatchObject({ foot: null, slant: 0, departure: 0 });
  });
});

describe("compass arcs in the equidistant lens", () => {
  it("go through both rim points and the place at R - q, and depart by no more than they say", () => {
    fc.assert(
      fc.property(anyGaze, anyNormal, (gaze, normal) => {
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
        const off = exactPlaces(view, normal, 1111).map(([x, y]) =>
          Math.abs(Math.hypot(x - arc.foot![0], y - arc.foot![1]) - arc.radius),
        );
        expect(Math.max(...off)).toBeLessThan(arc.departure * 1.02 + 1e-6);
      }),
    );
  });

  it("are found where a pencil would show the difference, and the stereographic lens ends that", () => {
    const shot: Shot = {
      ...disc("equidistant", { heading: 0, pitch: -40, roll: 0, distance: 80 }),
      show: { live: 0, frame: 1, horizon: 1, bundles: 1, buildings: 1, hidden: 0, compass: 1 },
    };
    const found = findings(newScene("Test"), shot).filter(({ id }) => id.startsWith("compass-off"));
    expect(found.length).toBeGreaterThan(0);
    const fixed = found[0].fix!.shot;
    expect(findings(newScene("Test"), fixed).filter(({ id }) => id.startsWith("compass-off"))).toEqual([]);
    // The rim stays where it was: pi d / 2 = 2 d'.
    expect(rimRadius(fixed)).toBeCloseTo(rimRadius(shot), 6);
    expect(horizonPlanes(pinsOf([main], shot))).toHaveLength(3);
  });
});
