import type { Vec3 } from "../../../geometry";
import type { Detail } from "../../details";
import type { Solid } from "../../solid";
import type { Ground } from "./schema";

/** No ground has more contour lines than these. */
const MAX_LEVELS = 500;
/** Shorter lines are none, m. */
const SHORT = 1e-6;

/** Where the rings around a face cross a level, in the order of one of the plan's axes. */
function crossingsAt({ vertices }: Solid, rings: readonly (readonly number[])[], level: number): readonly Vec3[] {
  const met = rings.flatMap((ring) =>
    ring.flatMap((n, i): Vec3[] => {
      const [p, q] = [vertices[n], vertices[ring[(i + 1) % ring.length]]];
      if (p[2] <= level === q[2] <= level) return [];
      const t = (level - p[2]) / (q[2] - p[2]);
      return [[p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1]), level]];
    }),
  );
  const spread = (k: 0 | 1) => Math.max(...met.map((p) => p[k])) - Math.min(...met.map((p) => p[k]));
  const axis = met.length > 0 && spread(1) > spread(0) ? 1 : 0;
  return [...met].sort((a, b) => a[axis] - b[axis]);
}

/** Lines of one height on the upper faces of raised ground, one every so many m. */
export function contoursOf(solids: readonly Solid[], every: number): Detail[] {
  return solids.flatMap((solid) =>
    solid.faces.flatMap(({ normal, loop, holes = [] }, face): Detail[] => {
      const heights = loop.map((n) => solid.vertices[n][2]);
      const [low, high] = [Math.min(...heights), Math.max(...heights)];
      if (normal[2] <= 0 || high - low < SHORT) return [];
      const first = Math.max(1, Math.ceil(low / every));
      const number = Math.min(MAX_LEVELS, Math.floor(high / every) - first + 1);
      return Array.from({ length: Math.max(0, number) }, (_, i) => first + i).flatMap((index) => {
        const met = crossingsAt(solid, [loop, ...holes], index * every);
        return met.flatMap((a, i): Detail[] => {
          const b = met[i + 1];
          if (i % 2 === 1 || !b || Math.hypot(b[0] - a[0], b[1] - a[1]) < SHORT) return [];
          return [{ kind: "contour", a, b, on: { solid, face }, item: { index } }];
        });
      });
    }),
  );
}

export const groundDetails = ({ contours }: Ground, solids: readonly Solid[]): Detail[] =>
  contours === undefined ? [] : contoursOf(solids, contours);
