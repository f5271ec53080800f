import fc from "fast-check";
import { radians } from "../geometry";
import { newScene, type Scene, type Shot } from "../scene";
import { withFieldOfView } from "../shot";
import { anyShot, block, shotWith } from "../../testing";
import { inMetric } from "../units";
import { DEFAULT_STREET, type Building, type Steps, type Street } from "../world";
import { findings, meaning, toldOf, seenFindings } from ".";

const scene = newScene("Test");
const of = (shot: Shot, id: string) => findings(scene, shot).find((finding) => finding.id === id);
/** A calm view with nothing to be said about it. */
const calm = shotWith({ distance: 600, gaze: { heading: -10 } });
const quiet: Shot = {
  ...calm,
  bundles: scene.orientations.flatMap(({ id }) =>
    ["left", "right"].map((hand) => ({ pin: `${id}-${hand}`, spacing: 20, strength: 0.5 })),
  ),
};

describe("findings", () => {
  it("say nothing about a calm view", () => {
    expect(findings(scene, quiet)).toEqual([]);
  });

  it("measure how far the farthest corner lies off the gaze, and step back from it", () => {
    // Corners are hypot(195, 133.5) = 236.3 mm from C: atan(236.3 / 200) = 49.8 degrees, drawn 1 / cos = 1.55 times
    // too long.
    const found = of({ ...quiet, lens: { ...quiet.lens, distance: 200 } }, "wide-view")!;
    expect(found).toMatchObject({ severity: "warning", value: 49.8, unit: "°" });
    expect(inMetric(found.message)).toContain("1.55 times");
    expect(of(found.fix!.shot, "wide-view")).toMatchObject({ severity: "note", value: 45 });
    expect(of(of(found.fix!.shot, "wide-view")!.fix!.shot, "wide-view")).toBeUndefined();
  });

  it("notice pins that crowd, and a pin inside the panel", () => {
    const tight = withFieldOfView(quiet, 120);
    expect(of(tight, "crowding-main")).toMatchObject({ severity: "warning", unit: "mm" });
    expect(of(of(tight, "crowding-main")!.fix!.shot, "crowding-main")).toBeUndefined();
    const inside = shotWith({ distance: 300, gaze: { heading: 15 } });
    const found = of(inside, "inside-main-right")!;
    expect(found).toMatchObject({ severity: "note", where: "Main streets, right" });
    expect(of(found.fix!.shot, "inside-main-right")).toBeUndefined();
    // Facing a wall, the one point belongs where it is.
    expect(findings(scene, shotWith({ gaze: { heading: 35 } })).filter(({ id }) => id.startsWith("inside"))).toEqual(
      [],
    );
  });

  it("tell where depth lies: a deep side, drawn for a near eye and seen from as far as the sheet's diagonal", () => {
    // A3 is seen from hypot(420, 297) = 514.4 mm; drawn for 250, what runs straight ahead reads 2.06 times as deep as
    // it is.
    const near = shotWith({ distance: 250, gaze: { heading: 0 } });
    const told = (shot: Shot, heading: number) =>
      findings({ ...scene, elements: [block("hall", -2, 12, 10, 4, 5, heading)] }, shot).find(
        ({ id }) => id === "lying-depth-hall",
      );
    const found = told(near, 0)!;
    expect(found).toMatchObject({ severity: "note", value: 2.1, unit: ": 1" });
    expect(inMetric(found.message)).toContain("is meant 2.5 times its other side and reads as 5.1 times");
    expect(told(found.fix!.shot, 0)).toBeUndefined();
    // Cornerwise both sides are as deep; and from 300 mm it is 1.71 times.
    expect(told(near, 45)).toBeUndefined();
    expect(told(shotWith({ distance: 300, gaze: { heading: 0 } }), 0)).toBeUndefined();
  });

  it("are not told again of a shot in which they are meant", () => {
    const deep = { ...scene, elements: [block("hall", -2, 12, 10, 4, 5, 0)] };
    const shot = shotWith({ distance: 250, gaze: { heading: 0 } });
    const found = findings(deep, shot);
    const one = found.find(({ id }) => id === "lying-depth-hall")!;
    const meant = meaning(meaning(shot, one), one);
    expect(meant.meant).toEqual(["lying-depth-hall"]);
    expect(toldOf(meant, found)).toEqual({ told: found.filter(({ id }) => id !== one.id), meant: 1 });
    expect(toldOf(shot, found)).toEqual({ told: found, meant: 0 });
  });

  it("say that the eye stands inside something, and put it before the nearest wall", () => {
    const ell: Building = {
      id: "ell",
      kind: "building",
      name: "Ell",
      footprint: [
        [0, 0],
        [20, 0],
        [20, 6],
        [6, 6],
        [6, 20],
        [0, 20],
      ].map(([x, y]) => ({ x, y })),
      base: 0,
      height: 5,
      roof: { kind: "flat" },
    };
    const told = (x: number, y: number, z: number, more: Partial<Building> = {}) =>
      seenFindings({ ...scene, elements: [{ ...ell, ...more }] }, shotWith({ eye: { x, y, z } })).find(
        ({ id }) => id === "eye-inside-ell",
      );
    const found = told(15, 5, 1.6)!;
    expect(found).toMatchObject({ severity: "warning", where: "Ell", value: 1.5, unit: "m" });
    expect(found.fix!.shot.eye).toEqual({ x: 15, y: expect.closeTo(6.5, 9), z: 1.6 });
    // Beyond the notch's line, 1 m to the south, the wing goes on: the way out is 3 m to the west, or 2 to the south.
    expect(told(4, 7, 1.6)!.fix!.shot.eye).toEqual({ x: expect.closeTo(6.5, 9), y: 7, z: 1.6 });
    expect([told(15, 8, 1.6), told(15, 5, 5.5), told(15, 5, -0.5), told(15, 5, 1.6, { hidden: true })]).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
    ]);
    // Nor on a flight of steps.
    const flight = { id: "ell", kind: "steps" as const, name: "Steps", foot: { x: 15, y: 2, z: 0 }, heading: 0 };
    const steps: Steps = { ...flight, count: 20, riser: 0.2, tread: 0.3, width: 6 };
    expect(
      seenFindings({ ...scene, elements: [steps] }, shotWith({ eye: { x: 15, y: 5, z: 3 } })).map(({ id }) => id),
    ).not.toContain("eye-inside-ell");
    // In a room one is meant to be; in its wall one is not.
    const rooms = { wall: 0.4, slab: 0.3 };
    expect([told(15, 5, 1.6, { rooms }), told(15, 5.7, 1.6, { rooms })?.severity]).toEqual([undefined, "warning"]);
    // In a passage one is not inside.
    expect(told(15, 3, 1.6, { passages: [{ x: 15, y: 0, width: 3, height: 3 }] })).toBeUndefined();
  });

  it("miss a third point where one looks far up or down", () => {
    const high: Shot = { ...quiet, lens: { ...quiet.lens, centre: { x: 210, y: -30 } } };
    expect(of(high, "missing-third")).toMatchObject({ severity: "warning", value: 45, unit: "mm" });
    expect(of(of(high, "missing-third")!.fix!.shot, "missing-third")).toBeUndefined();
    expect(of({ ...high, lens: { ...high.lens, distance: 100 } }, "missing-third")!.fix).toBeUndefined();
    // What is drawn decides: a box whose top is 3 m under the eye, its back 24 m off, begins 600 * 3 / 24 = 75 mm below
    // the horizon; one beside the panel does not count.
    const down: Shot = { ...high, eye: { ...high.eye, z: 8 } };
    const told = (x: number) =>
      findings(
        { ...scene, elements: [block("crate", x, 20, 4, 4, 5, 0)] },
        { ...down, gaze: { ...down.gaze, heading: 0 } },
      ).find(({ id }) => id === "missing-third");
    expect(told(-2)?.value).toBeCloseTo(75, 0);
    expect(told(40)).toBeUndefined();
  });

  it("take a small roll for a slip and a large one for a choice", () => {
    const rolled = (roll: number): Shot => ({ ...quiet, gaze: { ...quiet.gaze, roll } });
    // 420 tan 2 degrees = 14.7 mm.
    expect(of(rolled(2), "horizon-tilted")).toMatchObject({ value: 14.7, unit: "mm" });
    expect(of(of(rolled(2), "horizon-tilted")!.fix!.shot, "horizon-tilted")).toBeUndefined();
    expect(of(rolled(12), "horizon-tilted")).toBeUndefined();
  });

  it("say where lines are thinned, and which pin is out of reach", () => {
    expect(of(shotWith({ gaze: { heading: 15 } }), "clotting-main-right")).toMatchObject({
      severity: "note",
      unit: "mm",
    });
    const far = of({ ...quiet, gaze: { ...quiet.gaze, heading: -37 } }, "out-of-reach-main-right")!;
    expect(far).toMatchObject({ severity: "note", unit: "m" });
    expect(of(far.fix!.shot, "out-of-reach-main-right")).toBeUndefined();
  });

  it(
    "measure how long a curved lens draws round things at the panel's corners, at the disc's edge, and where " +
      "buildings stand",
    () => {
      const [w, h] = [quiet.frame.width / 2, quiet.frame.height / 2];
      const disc = (within?: number): Shot => ({
        ...quiet,
        lens: { law: "equidistant", distance: 120, centre: { x: 210, y: 148.5 }, within },
      });
      // Equidistant: along the radius 1, across it theta / sin theta; at the corner, theta = hypot(195, 133.5) / 120.
      const theta = Math.hypot(w, h) / 120;
      expect(of(disc(), "round-stretched")).toMatchObject({
        value: Number((theta / Math.sin(theta)).toFixed(1)),
        unit: ": 1",
        where: "panel, top left corner",
      });
      // Cut off at 100 degrees across, the edge is 50 degrees off the gaze: 0.873 / sin 50 = 1.14, below 1.2.
      expect(of(disc(100), "round-stretched")).toBeUndefined();
      // At 150 degrees 1.309 / sin 75 = 1.36.
      expect(of(disc(150), "round-stretched")).toMatchObject({ value: 1.4 });
      expect(of({ ...disc(), lens: { ...disc().lens, law: "stereographic" } }, "round-stretched")).toBeUndefined();
      const aside: Scene = {
        ...scene,
        elements: [block("kiosk", 0, 10, 2, 2, 3, -10), block("loft", -20, 3, 2, 2, 3, -10)],
      };
      const found = findings(aside, disc()).filter(({ id }) => id.startsWith("round-stretched-"));
      expect(found).toMatchObject([{ id: "round-stretched-loft", where: "loft", severity: "note" }]);
      expect(found[0].value).toBeGreaterThan(1.2);
    },
  );

  it("are finite, ordered, and fixed into shots that can be drawn, for any view", () => {
    const order = ["error", "warning", "note"];
    fc.assert(
      fc.property(anyShot, (shot) => {
        const found = findings(scene, shot);
        expect(found.map(({ severity }) => order.indexOf(severity))).toEqual(
          found.map(({ severity }) => order.indexOf(severity)).sort((a, b) => a - b),
        );
        for (const { value, at, fix } of found) {
          expect([value, ...(at ?? []), fix?.shot.lens.distance ?? 1].every(Number.isFinite)).toBe(true);
          expect(fix?.shot.lens.distance ?? 1).toBeGreaterThan(0);
        }
      }),
    );
  });

  it("tell of streets that meet too narrowly for kerbs to turn, and of none that meet wider", () => {
    const street = (id: string, heading: number): Street => ({
      id,
      kind: "street",
      name: id,
      ...DEFAULT_STREET,
      path: [-60, 60].map((s) => ({ x: s * Math.sin(radians(heading)), y: 40 + s * Math.cos(radians(heading)) })),
    });
    const told = (heading: number) =>
      findings({ ...scene, elements: [street("Rope walk", 0), street("Tar lane", heading)] }, quiet).filter(({ id }) =>
        id.startsWith("junction"),
      );
    expect(told(21)).toEqual([]);
    expect(told(14)).toMatchObject([{ where: "Rope walk, Tar lane", value: 14, unit: "°", severity: "note" }]);
  });
});
