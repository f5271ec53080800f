import { dot } from "../../geometry";
import { towardsLight, type Rays } from "../../light";
import { lineSpacingOf, type Shot } from "../../scene";
import type { FaceAreas } from "../../visibility";
import { hatchLines } from "../hatched";
import { NO_LINES, type Areas, type Shapes } from "../layer";
import type { Style } from "../style";

/** The cosine of the angle between the normal of a face and the way to a light: none where it turns away. */
export function towards({ xyz, starts, normals }: FaceAreas, ring: number, rays: Rays): number {
  const [n, at] = [3 * ring, 3 * starts[ring]];
  const way = towardsLight(rays, [xyz[at], xyz[at + 1], xyz[at + 2]]);
  return dot([normals[n], normals[n + 1], normals[n + 2]], way);
}

/** Hatching is drawn with this pen, mm (ISO 128-2 (from memory)). */
const PEN = 0.18;

/**
 * Areas as a shot wants them: flat, or hatched at its angle turned by so many degrees each, never closer than its least
 * gap.
 */
export function toned(
  shot: Shot,
  areas: Areas,
  turns: readonly number[],
): Pick<Shapes, "lines" | "areas"> & { readonly style?: Partial<Style> } {
  const hatch = shot.tone?.hatch;
  if (!hatch) return { lines: NO_LINES, areas };
  const spacing = Math.max(hatch.spacing, lineSpacingOf(shot).gap);
  const lines = turns.flatMap((turn) => [...hatchLines(areas, hatch.angle + turn, spacing)]);
  return { lines: Float64Array.from(lines), style: { width: PEN, opacity: 0.9 } };
}
