import DxfParser from "dxf-parser";
import { newScene, type Scene } from "../scene";
import { block, shotWith } from "../../testing";
import { drawShot, toDxf } from ".";

const scene: Scene = { ...newScene("Quay"), elements: [block("Net loft", -2, 14, 8, 6, 7)], shots: [shotWith()] };

describe("a DXF", () => {
  it("is read by another reader, in true millimetres, y going up, with a layer for each of ours", () => {
    const drawing = drawShot(scene);
    const read = new DxfParser().parseSync(toDxf(drawing))!;
    expect(Object.keys(read.tables.layer.layers).sort()).toEqual(
      drawing.layers.map(({ label }) => label.replace(/[^A-Za-z0-9]+/g, "_").toUpperCase()).sort(),
    );
    const frame = read.entities.filter(({ type, layer }) => type === "LINE" && layer === "PANEL_FRAME");
    const places = frame.flatMap((line) => ("vertices" in line ? (line.vertices as { x: number; y: number }[]) : []));
    // The panel lies 15 mm within a sheet of 420 x 297 mm.
    expect([Math.min(...places.map(({ x }) => x)), Math.max(...places.map(({ x }) => x))]).toEqual([15, 405]);
    expect([Math.min(...places.map(({ y }) => y)), Math.max(...places.map(({ y }) => y))]).toEqual([15, 282]);
    const lines = drawing.layers.reduce((sum, layer) => sum + layer.lines.length / 4, 0);
    expect(read.entities.filter(({ type }) => type === "LINE")).toHaveLength(lines);
  });

  it("has curves as polylines, and areas as closed ones", () => {
    const curved: Scene = {
      ...scene,
      lights: [{ id: "sun", kind: "sun", heading: 200, height: 30 }],
      shots: [{ ...scene.shots[0], lens: { ...scene.shots[0].lens, law: "cylindrical" } }],
    };
    const read = new DxfParser().parseSync(toDxf(drawShot(curved)))!;
    const polylines = read.entities.filter(({ type }) => type === "POLYLINE");
    expect(polylines.some(({ layer }) => layer === "OUTLINES")).toBe(true);
    const shadow = polylines.find(({ layer }) => layer === "SHADOWS");
    expect(shadow).toMatchObject({ shape: true });
  });
});
