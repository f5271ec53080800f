import earcut from "earcut";
import type { Vec2, Vec3 } from "../geometry";
import { kindOf, type Element } from "./kinds";
import type { Solid } from "./solid";

/** The ground reaches so far beyond all that is dug, m. */
const BEYOND = 20_000;

/**
 * The ground as a sheet without edges, open where canals are dug: it hides what lies under it from an eye above, and
 * what
 * stands on it from an eye in the water. None where nothing is dug, since then nothing lies under it.
 */
export function groundAround(elements: readonly Element[]): Solid[] {
  const holes = elements.flatMap((element) => {
    const hole = element.hidden ? null : kindOf(element).dug?.(element);
    return hole ? [hole] : [];
  });
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
  const places = [rim, ...holes].flat();
  const starts = holes.map((_, i) => 4 + holes.slice(0, i).reduce((sum, hole) => sum + hole.length, 0));
  const triangles = earcut(places.flat(), starts);
  const up = Array.from({ length: triangles.length / 3 }, (_, t) =>
    leftward(places, [triangles[3 * t], triangles[3 * t + 1], triangles[3 * t + 2]]),
  );
  const down = up.map((piece) => [...piece].reverse());
  const loop = [0, 1, 2, 3];
  return [
    {
      id: "",
      vertices: places.map(([x, y]): Vec3 => [x, y, 0]),
      edges: [],
      convex: false,
      faces: [
        { loop, pieces: up, normal: [0, 0, 1], offset: 0 },
        { loop: [...loop].reverse(), pieces: down, normal: [0, 0, -1], offset: 0 },
      ],
    },
  ];
}

/** Three corners, counter-clockwise from above. */
const leftward = (places: readonly Vec2[], three: readonly [number, number, number]): readonly number[] => {
  const [[ax, ay], [bx, by], [cx, cy]] = three.map((n) => places[n]);
  return (bx - ax) * (cy - ay) - (by - ay) * (cx - ax) > 0 ? three : [...three].reverse();
};
