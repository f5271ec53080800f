import { shotWith } from "../../testing";
import { newScene, type Scene, type Shot } from "../scene";
import { viewOf } from "../shot";
import { inMetric } from "../units";
import { pinsOf } from "../vanishing";
import { newColumns, newTurned, type Columns, type Element } from "../world";
import { columnsInWalls } from "./columnsInWalls";
import type { Check } from "./finding";
import { insideThing } from "./inside";
import { stretchedRound } from "./round";

/** What one check finds, without the others. */
const found = (check: Check, scene: Scene, shot: Shot) =>
  check({ scene, shot, view: viewOf(shot), pins: pinsOf(scene.orientations, shot) });
const sceneOf = (...elements: readonly Element[]) => ({ ...newScene("Round"), elements: [...elements] });

describe("round things in a straight lens", () => {
  const eye = { x: 0, y: 0, z: 1.6 };
  const shot = shotWith({ distance: 250, eye, gaze: { heading: 0 } });
  /** A ball whose middle is level with the eye, so far to the right of the gaze. */
  const told = (right: number, distance = 250) => {
    const ball: Element = { id: "ball", name: "Ball", ...newTurned("ball", { x: right, y: 20, z: 0 }) };
    const level = { ...ball, at: { x: right, y: 20, z: 1.6 - ball.height / 2 } };
    return found(stretchedRound, sceneOf(level), { ...shot, lens: { ...shot.lens, distance } });
  };

  it("are told where they are drawn longer than wide by more than a fifth: 1 to the cosine of their angle", () => {
    // 15 m to the right at 20 m: 36.87 degrees, whose cosine is 0.8.
    const [ball, ...more] = told(15);
    expect(more).toEqual([]);
    expect(ball).toMatchObject({ id: "round-stretched-ball", where: "Ball", unit: ": 1" });
    expect(inMetric(ball.message)).toContain("drawn 1.25 times as long as wide");
    expect(inMetric(ball.message)).toContain("a longer picture distance");
  });

  it("are not told nearer to the gaze, nor of what has corners", () => {
    // 13 m at 20 m: 33.02 degrees, 1.193.
    expect(told(13)).toEqual([]);
    const pier: Element = { id: "row", name: "Row", ...newColumns("pier", { x: 15, y: 20, z: 0 }), count: 2, gap: 1 };
    expect(found(stretchedRound, sceneOf(pier), shot)).toEqual([]);
  });
});

describe("columns", () => {
  const portico: Columns = { id: "row", name: "Portico", ...newColumns("tuscan", { x: 0, y: 18, z: 0 }, 180) };
  const shot = shotWith({ eye: { x: 0, y: 0, z: 1.6 }, gaze: { heading: 0 } });
  const hall = (front: number, base = 0): Element => ({
    id: "hall",
    kind: "building",
    name: "Hall",
    footprint: [
      { x: -8, y: front },
      { x: 8, y: front },
      { x: 8, y: front + 9 },
      { x: -8, y: front + 9 },
    ],
    base,
    height: 6,
    roof: { kind: "flat" },
  });
  const inWalls = (...elements: readonly Element[]) => found(columnsInWalls, sceneOf(...elements), shot);

  it("that reach into a wall are told, with how far", () => {
    // Tuscan columns 4 m high are 0.571 m thick, their plinths 0.762 m wide: from 18 m they reach to 18.381 m.
    expect(inWalls(portico, hall(18.281))).toEqual([
      expect.objectContaining({ id: "column-in-wall-row-hall", where: "Portico", value: 0.1, unit: "m" }),
    ]);
    expect(inMetric(inWalls(portico, hall(18.281))[0].message)).toBe(
      "A column stands 0.10 m in the wall of Hall: move it out, or make them half columns.",
    );
  });

  it("that stand clear of a wall, under one, or out of it as halves are not", () => {
    expect(inWalls(portico, hall(18.4))).toEqual([]);
    expect(inWalls(portico, hall(18.281, 5.5))).toEqual([]);
    expect(inWalls({ ...portico, half: true }, hall(18.281))).toEqual([]);
    expect(inWalls(portico, { ...hall(18.281), hidden: true })).toEqual([]);
  });

  const isInside = (element: Element, x: number, y: number, z: number) =>
    found(insideThing, sceneOf(element), shotWith({ eye: { x, y, z } })).length > 0;

  it("let one stand between them, and within a ring of them, but not in one of them or in what they carry", () => {
    const deep: Columns = { ...portico, depth: 4, steps: 2 };
    // An even number has its middle gap over its place.
    expect([isInside(deep, 0, 18, 1.9), isInside(deep, 0, 20, 1.9)]).toEqual([false, false]);
    const [gap, thick] = [2.25, 4 / 7];
    expect(isInside(deep, ((1 + gap) * thick) / 2, 18, 1.9)).toBe(true);
    expect([isInside(deep, 0, 18, 0.2), isInside(deep, 0, 18, 4.6)]).toEqual([true, true]);
    const ring: Columns = { ...portico, stand: "ring", count: 12, radius: 6 };
    expect([isInside(ring, 0, 18, 1.6), isInside(ring, 0, 18, 4.5)]).toEqual([false, false]);
    expect(isInside(ring, 0, 12, 1.6)).toBe(true);
    expect(isInside(ring, 0, 12, 4.5)).toBe(true);
  });
});
