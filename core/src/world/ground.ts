import type { Vec2, Vec3 } from "../geometry";
import { areaWithout } from "./areas";
import { type Element } from "./kinds";
import type { Solid } from "./solid";
import { trianglesOf } from "./triangles";
import { cuttingOf } from "./units";

/** The ground reaches so far beyond all that is dug, m. */
const BEYOND = 20_000;

/**
 * The ground as an open sheet without edges, cut out where it is dug, however what is dug joins and crosses: it hides
 * what lies under it from an eye above, and what stands on it from an eye in the water. None where nothing is dug,
 * since then nothing lies under it.
 */
export function groundAround(elements: readonly Element[]): Solid[] {
  const holes = elements.flatMap((element) => cuttingOf(element)?.taken() ?? []);
  if (holes.length === 0) return [];
  const all = holes.flat();
  const bound = (k: 0 | 1, by: number) => by * Math.max(...all.map((p) => by * p[k])) + by * BEYOND;
  const [x0, x1, y0, y1] = [bound(0, -1), bound(0, 1), bound(1, -1), bound(1, 1)];
  const rim: Vec2[] = [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ];
  const vertices: Vec3[] = rim.map(([x, y]) => [x, y, 0]);
  const up: number[][] = [];
  for (const area of areaWithout(rim, holes)) {
    const { places, triangles } = trianglesOf(area);
    const first = vertices.length;
    vertices.push(...places.map(([x, y]): Vec3 => [x, y, 0]));
    up.push(...triangles.map((three) => three.map((n) => first + n)));
  }
  const down = up.map((piece) => [...piece].reverse());
  const loop = [0, 1, 2, 3];
  return [
    {
      id: "",
      vertices,
      edges: [],
      convex: false,
      faces: [
        { loop, pieces: up, normal: [0, 0, 1], offset: 0, name: "top" },
        { loop: [...loop].reverse(), pieces: down, normal: [0, 0, -1], offset: 0, name: "bottom" },
      ],
    },
  ];
}
