import { BoxGeometry, DoubleSide, Mesh, MeshBasicMaterial } from "three";
import type { Building, Front } from "../src/world";

/** The size of the window, and how deep it lies in the wall, m. */
export const [WIDE, TALL, REVEAL] = [1.4, 1.6, 0.25];
const window = { width: WIDE, height: TALL, sill: 1, reveal: REVEAL, frame: 0.08, across: 2, up: 2 };
const front: Front = { side: 0, bays: "1", window };
/** A house of 8 by 6 m and one storey, with a window in the middle of its south wall. */
export const house: Building = {
  id: "house",
  kind: "building",
  name: "House",
  footprint: [
    { x: -4, y: 0 },
    { x: 4, y: 0 },
    { x: 4, y: 6 },
    { x: -4, y: 6 },
  ],
  base: 0,
  height: 3.4,
  storeys: 1,
  roof: { kind: "flat" },
  fronts: [front],
};

/** The same house as boxes of `three`: the wall around the window as thick as its reveal, and what is behind it. */
export function boxes(): Mesh[] {
  const box = (x0: number, x1: number, y0: number, y1: number, z0: number, z1: number) => {
    const mesh = new Mesh(new BoxGeometry(x1 - x0, y1 - y0, z1 - z0), new MeshBasicMaterial({ side: DoubleSide }));
    mesh.position.set((x0 + x1) / 2, (y0 + y1) / 2, (z0 + z1) / 2);
    mesh.updateMatrixWorld();
    return mesh;
  };
  const half = WIDE / 2;
  return [
    box(-4, 4, REVEAL, 6, 0, 3.4),
    box(-4, -half, 0, REVEAL, 0, 3.4),
    box(half, 4, 0, REVEAL, 0, 3.4),
    box(-half, half, 0, REVEAL, 0, 1),
    box(-half, half, 0, REVEAL, 1 + TALL, 3.4),
  ];
}
