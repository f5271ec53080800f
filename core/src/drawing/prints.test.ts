import fc from "fast-check";
import { Vector3 } from "three";
import { between, block, shotWith } from "../../testing";
import { PerspectiveCamera } from "three";
import { around } from "../geometry";
import { newScene, type Scene } from "../scene";
import { project, viewOf } from "../shot";
import { drawPrint, drawShot, finderDistance } from ".";
import { enlargementGrid } from "./enlarging";

const scene: Scene = { ...newScene("Quay"), elements: [block("loft", -2, 14, 8, 6, 7)], shots: [shotWith()] };
const [shot] = scene.shots;

describe("the enlargement grid", () => {
  it("has squares, the last row as far as it goes, at any size", () =>
    fc.assert(
      fc.property(between(50, 400), between(50, 400), fc.integer({ min: 2, max: 20 }), (width, height, across) => {
        const lines = enlargementGrid({ x: 10, y: 20, width, height }, across, 0);
        const side = width / across;
        const uprights = new Set<number>();
        for (let i = 0; i < lines.length; i += 4)
          if (lines[i] === lines[i + 2] && lines[i + 1] !== lines[i + 3]) uprights.add(Math.round(1e6 * lines[i]));
        expect([...uprights].sort((a, b) => a - b)).toEqual(
          Array.from({ length: across + 1 }, (_, i) => Math.round(1e6 * (10 + i * side))),
        );
      }),
    ));

  it("is printed so many times as large as the panel, and drawn over it where it is shown", () => {
    const { layers } = drawPrint(scene, shot, { of: "grid", times: 5 }, () => []);
    const lines = layers[0].lines;
    expect(Math.max(...lines.filter((_, i) => i % 2 === 0))).toBeCloseTo(5 * shot.frame.width, 6);
    const shown = drawShot({ ...scene, shots: [{ ...shot, show: { enlarging: 1 }, squares: 6 }] });
    expect(shown.layers.some(({ id }) => id === "enlarging")).toBe(true);
    expect(drawShot(scene).layers.some(({ id }) => id === "enlarging")).toBe(false);
  });
});

describe("a view finder", () => {
  it("shows just what the panel does, as rays of three's camera through the window's corners do", () => {
    const width = 80;
    const distance = finderDistance(shot, width)!;
    const view = viewOf(shot);
    const { frame } = shot;
    // A camera that looks along the gaze, its picture the window at that distance.
    const camera = new PerspectiveCamera(
      (2 * Math.atan((width * frame.height) / frame.width / 2 / distance) * 180) / Math.PI,
      frame.width / frame.height,
    );
    camera.up.set(...view.up);
    camera.position.set(...view.eye);
    camera.lookAt(new Vector3(...view.eye).add(new Vector3(...view.forward)));
    camera.updateMatrixWorld();
    for (const [u, v] of [
      [-1, -1],
      [1, 1],
      [0.3, -0.8],
    ]) {
      const p = new Vector3(u, v, 0.5).unproject(camera);
      const [x, y] = project(view, [p.x, p.y, p.z])!;
      // The centre of vision is the panel's middle on a new sheet.
      expect(x).toBeCloseTo(shot.lens.centre.x + (u * frame.width) / 2, 6);
      expect(y).toBeCloseTo(shot.lens.centre.y - (v * frame.height) / 2, 6);
    }
    const { layers, box } = drawPrint(scene, shot, { of: "finder", width }, () => []);
    expect(box.width).toBe(width + 50);
    expect(layers.map(({ id }) => id)).toEqual(["cut", "marks", "horizon", "words"]);
    const curved = { ...shot, lens: { ...shot.lens, law: "equidistant" as const } };
    expect(finderDistance(curved, width)).toBeNull();
  });
});

it("pricking points are at the panel's corners and ends of edges, none nearer to another than a needle needs", () => {
  const drawn = drawShot({ ...scene, shots: [{ ...shot, show: { pricks: 1 } }] });
  const { lines } = drawn.layers.find(({ id }) => id === "pricks")!;
  const middles = Array.from({ length: lines.length / 48 }, (_, i) => {
    const { x, y, width, height } = around(
      Array.from({ length: 12 }, (_side, k) => [lines[48 * i + 4 * k], lines[48 * i + 4 * k + 1]] as const),
    );
    return [x + width / 2, y + height / 2] as const;
  });
  const { frame } = shot;
  const isAt = (x: number, y: number) => middles.some(([u, v]) => Math.hypot(u - x, v - y) < 1e-6);
  expect(isAt(frame.x, frame.y) && isAt(frame.x + frame.width, frame.y + frame.height)).toBe(true);
  // The near lower corner of the block on the left is seen.
  const [x, y] = project(viewOf(shot), [-2, 14, 0])!;
  expect(isAt(x, y)).toBe(true);
  middles.forEach(([u, v], i) =>
    middles.slice(i + 1).forEach(([p, q]) => expect(Math.hypot(u - p, v - q)).toBeGreaterThan(1.6 - 1e-9)),
  );
});
