import { radians } from "../geometry";
import { newScene } from "../scene";
import { block, shotWith } from "../../testing";
import { levelAt } from "../lines";
import { inMetric } from "../units";
import { newTurned } from "../world";
import { slipOf } from ".";

const valueOf = (sections: ReturnType<typeof slipOf>, id: string) =>
  sections.flatMap((s) => s.rows).flatMap((row) => (row.id === id ? [inMetric(row.value)] : []))[0];

describe("the slip", () => {
  const scene = newScene("Quay");

  it("gives the measures of a level two-point view, worked by hand", () => {
    const slip = slipOf(scene, shotWith());
    expect(valueOf(slip, "sheet")).toBe("420 × 297 mm");
    expect(valueOf(slip, "horizon-left")).toBe("148.5 mm from top, 148.5 mm from bottom");
    expect(valueOf(slip, "horizon-right")).toBe("148.5 mm from top, 148.5 mm from bottom");
    expect(valueOf(slip, "centre")).toBe("210 mm in from the left, 148.5 mm from the top");
    expect(valueOf(slip, "distance")).toBe("300 mm");
    // 2 atan(195 / 300) = 66.05 degrees.
    expect(valueOf(slip, "field")).toBe("66° across the panel");
    // 300 tan 55 - 210 = 218.4 mm; 210 + 300 tan 35 = 420.06 mm.
    expect(valueOf(slip, "main-left")).toBe("218.4 mm left of the sheet, 148.5 mm from the top");
    expect(valueOf(slip, "main-right")).toBe("0.1 mm right of the sheet, 148.5 mm from the top");
    expect(valueOf(slip, "upright")).toBe("none: drawn upright, parallel");
  });

  it("tells where the horizon of the sea is, where that is drawn", () => {
    // From 100 m at 300 mm: the dip is the root of 2 h / R, 0.32 degrees, 1.7 mm; 3.57 km times 10 away.
    const high = { ...shotWith({ eye: { x: 0, y: 0, z: 100 } }), show: { seaHorizon: 1 } };
    expect(valueOf(slipOf(scene, high), "sea-horizon")).toMatch(/^1\.7 mm under eye level, 3\d\d\d\d m away$/);
    expect(
      slipOf(scene, shotWith({}))
        .flatMap(({ rows }) => rows)
        .some(({ id }) => id === "sea-horizon"),
    ).toBe(false);
  });

  it("gives the points of the lights that are on", () => {
    // 300 tan 30 = 173.2 mm over the horizon, which is 148.5 mm from the top: 24.7 mm above the sheet.
    const sun = { id: "sun", kind: "sun", heading: 0, height: 30 } as const;
    const lit = slipOf({ ...scene, lights: [sun, { ...sun, id: "out", off: true }] }, shotWith());
    expect(valueOf(lit, "sun-rays")).toBe("24.7 mm above the sheet, 210 mm from the left");
    expect(valueOf(lit, "sun-foot")).toBe("210 mm in from the left, 148.5 mm from the top");
    expect(valueOf(lit, "out-rays")).toBeUndefined();
    // On a wall across the right set, 35 degrees to the right, what stands out of it square throws its shadow along
    // what is left of (0, 1, tan 30) without its part along that set: (-sin 35 cos 35, sin^2 35, tan 30).
    const [cos, sin, rise] = [Math.cos(radians(35)), Math.sin(radians(35)), Math.tan(radians(30))];
    const [left, above] = [(300 * cos) / sin - 210, (300 * rise) / sin ** 2 - 148.5].map((off) => Number(off.toFixed(1)));
    expect(valueOf(lit, "sun-on-main-right")).toBe(`${above} mm above the sheet, ${left} mm left of it`);
  });

  it("gives both ends of a horizon that is not level", () => {
    // Rolled 10 degrees the horizon rises by 420 tan 10 = 74.1 mm from left to right, or falls.
    const slip = slipOf(scene, shotWith({ gaze: { roll: 10 } }));
    expect(valueOf(slip, "horizon-left")).toBe("185.5 mm from top, 111.5 mm from bottom");
    expect(valueOf(slip, "horizon-right")).toBe("111.5 mm from top, 185.5 mm from bottom");
    expect(valueOf(slip, "roll")).toBe("10°");
  });

  it("gives the chosen building in metres and in mm", () => {
    // Foot 10 m straight ahead, eye 1.6 m: 48 mm below the horizon; 4 m stand 120 mm tall there.
    const slip = slipOf(scene, shotWith(), block("fish-hall", 0, 10, 8, 6, 4, -55));
    expect(valueOf(slip, "building-foot")).toBe("210 mm in from the left, 196.5 mm from the top");
    expect(valueOf(slip, "building-height")).toBe("4.00 m, drawn 120 mm");
    expect(valueOf(slip, "building-length")).toMatch(/^8.00 m, drawn [\d.]+ mm$/);
  });

  it("gives the circles of what is round, and those drawn on planes, as ellipses with a template", () => {
    // 4 m over the foot, near and far edge 16 and 24 m off: at 300 mm, 75 and 50 mm under the horizon (similar
    // triangles).
    const shot = shotWith({ eye: { z: 4 }, gaze: { heading: 0 }, distance: 300 });
    const tank = { id: "t", name: "Tank", ...newTurned("cylinder", { x: 0, y: 20, z: 0 }), radius: 4, height: 3 };
    const slip = slipOf(scene, shot, tank);
    // The tangents from the eye touch 4 m at sqrt(20^2 - 4^2): half its width is 300 * 4 / sqrt(384) = 61.2 mm.
    expect(valueOf(slip, "circle-0")).toBe(
      "122.5 mm by 25 mm, level, seen at 11.8°, flatter than any template; " +
        "its middle 210 mm in from the left, 211 mm from the top",
    );
    expect(slip[0]).toMatchObject({ title: "Tank" });
    expect(slip[0].rows.map(({ label }) => label)).toContain("Highest circle");
    const circle = {
      kind: "circle" as const,
      weight: "light" as const,
      centre: [0, 20] as [number, number],
      radius: 4,
    };
    const lines = [{ id: "c", ...circle, plane: levelAt("Quay", 0) }];
    expect(valueOf(slipOf({ ...scene, lines }, shot), "c")).toBe(valueOf(slip, "circle-0"));
    // Of a thing with corners nothing is told, and of a circle behind the eye neither.
    expect(valueOf(slipOf(scene, shot, block("b", 0, 10, 8, 6, 4)), "circle-0")).toBeUndefined();
    expect(valueOf(slipOf(scene, shot, { ...tank, at: { x: 0, y: -20, z: 0 } }), "circle-0")).toBeUndefined();
  });

  it("says that an eye looking straight down has no horizon", () => {
    expect(valueOf(slipOf(scene, shotWith({ gaze: { pitch: -90 } })), "horizon")).toBe("none on this sheet");
  });
});
