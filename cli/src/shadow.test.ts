import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { newScene } from "@zanvo/core/scene";
import { block } from "../../core/testing";
import { run } from "../testing";

const file = (name: string, value: unknown): string => {
  const path = join(mkdtempSync(join(tmpdir(), "zanvo-shadow-")), name);
  writeFileSync(path, JSON.stringify(value));
  return path;
};
const near = (x: number, y: number, z: number) => ({
  x: expect.closeTo(x, 9),
  y: expect.closeTo(y, 9),
  z: expect.closeTo(z, 9),
});

const scene = {
  ...newScene("Quay"),
  elements: [block("wall", 0, 10, 20, 1, 3)],
  lights: [
    // In the south at 45 degrees: a shadow is as long as its thing is high, to the north.
    { id: "sun", kind: "sun", heading: 180, height: 45 },
    { id: "lamp", kind: "lamp", at: { x: 0, y: 0, z: 4 } },
  ],
};
const shadow = (points: unknown, ...more: string[]) =>
  run(["shadow", file("scene.json", scene), "--points", file("points.json", points), ...more]);

describe("zanvo shadow", () => {
  it("tells where the shadows of places fall: on the ground, or on what stands there", async () => {
    const { code, answer } = await shadow([
      [50, 0, 2],
      [50, 0, 0],
      [50, 0, -3],
    ]);
    expect(code).toBe(0);
    expect(answer).toEqual([near(50, 2, 0), near(50, 0, 0), null]);
  });

  it("takes the light that is named, and says which there are", async () => {
    // By similar triangles: half of the lamp's height, so twice as far from its foot.
    expect((await shadow([[3, -4, 2]], "--light", "lamp")).answer).toEqual([near(6, -8, 0)]);
    const wrong = await shadow([[0, 0, 1]], "--light", "moon");
    expect(wrong.code).toBe(2);
    expect(wrong.err).toContain('there is no light "moon"; there are sun, lamp.');
  });

  it("has no answer for a scene in the dark", async () => {
    const dark = file("dark.json", { ...scene, lights: [{ ...scene.lights[0], off: true }] });
    const { code, err } = await run(["shadow", dark, "--points", file("points.json", [[0, 0, 1]])]);
    expect([code, err]).toEqual([1, "The scene has no light that is on.\n"]);
  });
});
