import fc from "fast-check";
import { anyBlocks, between, shotWith } from "../../testing";
import { newScene, type Shot } from "../scene";
import { chordsOf, drawPage, drawShot, GROUPINGS, toDxf, toSvg, type Layer } from ".";
import { layerGroups } from "./layer";

const lengthOf = (layers: readonly Layer[]): number =>
  layers.reduce((sum, layer) => {
    const lines = chordsOf(layer);
    let own = 0;
    for (let i = 0; i < lines.length; i += 4) own += Math.hypot(lines[i + 2] - lines[i], lines[i + 3] - lines[i + 1]);
    return sum + own;
  }, 0);

describe("layers of a file", () => {
  it("hold the same lines, whatever they are told apart by, and stand together by their groups", () => {
    fc.assert(
      fc.property(anyBlocks, between(-180, 180), (blocks, heading) => {
        const elements = blocks.map((one, i) => ({ ...one, name: `House ${i}` }));
        const shot: Shot = { ...shotWith({ gaze: { heading } }), name: "Quay" };
        const scene = { ...newScene("Groups"), elements, shots: [shot] };
        const whole = lengthOf(drawShot(scene).layers);
        for (const by of GROUPINGS) {
          const { layers } = drawShot(scene, undefined, [], by);
          expect(Math.abs(lengthOf(layers) - whole)).toBeLessThan(1e-6 * whole + 1e-6);
          expect(new Set(layers.map(({ id }) => id)).size).toBe(layers.length);
          const names = layerGroups(layers)
            .filter(({ layers: [{ group }] }) => group !== undefined)
            .map(({ name }) => name);
          // A group is in one piece.
          expect(new Set(names).size).toBe(names.length);
          if (by === "panel") expect(names).toEqual(["Quay"]);
          if (by === "thing") for (const name of names) expect(name).toMatch(/^House \d+$/);
          if (by === "depth") for (const name of names) expect(name).toMatch(/^(Near|Farther away|Far away)$/);
          if (by === "kind") expect(names).toEqual([]);
        }
      }),
      { numRuns: 20 },
    );
  });

  it("are named by their panel on a page, and are groups in an SVG and layers of a DXF", () => {
    const { frame } = shotWith({});
    const panels: Shot[] = ["one", "two"].map((id, i) => ({
      ...shotWith({}),
      ...{ id, name: `Panel ${id}`, page: "p" },
      frame: { ...frame, width: frame.width / 2 - 5, x: frame.x + (i * frame.width) / 2 },
    }));
    const page = drawPage({ ...newScene("Page"), shots: panels }, undefined, [], "panel");
    expect(layerGroups(page.layers).map(({ name }) => name)).toEqual(["Panel one", "Panel two"]);
    const svg = toSvg(page);
    expect(svg.match(/<g id="part-/g)).toHaveLength(2);
    expect(svg.match(/<g /g)!.length).toBe(svg.match(/<\/g>/g)!.length);
    const dxf = toDxf(page);
    expect(new Set([...dxf.matchAll(/\n8\n([^\n]+)\n/g)].map(([, name]) => name))).toEqual(
      new Set(["PANEL_ONE", "PANEL_TWO"]),
    );
  });
});
