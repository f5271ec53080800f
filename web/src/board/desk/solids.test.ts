import { readFileSync } from "node:fs";
import { freeze } from "immer";
import { readScene } from "@zanvo/core/document";
import { pickSolid } from "@zanvo/core/construct";
import { viewOf } from "@zanvo/core/shot";
import { build, terrainOf } from "@zanvo/core/world";
import { pick } from "./solids";

describe("what is pressed in a picture", () => {
  it("is the same whether all is built or only what may be there", () => {
    const scene = readScene(readFileSync("demo/5-the-whole-quarter.zanvo.json", "utf8"));
    // As the document keeps it.
    const { elements, shots } = freeze(scene, true);
    const solids = build(elements, terrainOf(elements));
    const found = shots.slice(0, 3).flatMap((shot) => {
      const view = viewOf(shot);
      const { x, y, width, height } = shot.frame;
      return Array.from({ length: 24 }, (_, i) => {
        const at = [x + ((i % 6) + 0.5) * (width / 6), y + (Math.floor(i / 6) + 0.5) * (height / 4)] as const;
        const id = pick(view, { elements }, at);
        expect(id).toBe(pickSolid(view, solids, at));
        return id;
      });
    });
    expect(new Set(found).size).toBeGreaterThan(10);
  });
});
