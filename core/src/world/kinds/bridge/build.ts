import { distance2, type Vec2, type Vec3 } from "../../../geometry";
import { pathOf, ribbon } from "../../path";
import type { ElementError } from "../kind";
import type { Bridge } from "./schema";
import { extrude, loft } from "../../shapes";
import type { Solid } from "../../solid";

/** A small stone bridge, m (common practice). */
export const DEFAULT_BRIDGE: Omit<Bridge, "id" | "kind" | "name" | "path"> = {
  width: 6,
  level: 0.4,
  thickness: 0.5,
  arch: 1,
  parapet: { height: 0.9, thickness: 0.3 },
};

/** An arch is drawn in so many pieces. */
const ARC = 16;
/** So much of a bridge's length stays solid at each end of its arch. */
const ABUTMENT = 0.06;

/** Why a bridge cannot stand, and the field; null where it can. */
export function validateBridge(bridge: Bridge): ElementError | null {
  const path = pathOf(bridge);
  if (path.length < 2) return { field: "path", message: "has no length." };
  if (bridge.arch > (distance2(path[0], path[1]) * (1 - 2 * ABUTMENT)) / 2)
    return { field: "arch", message: "rises more than half its span." };
  return bridge.parapet && 2 * bridge.parapet.thickness >= bridge.width
    ? { field: "parapet/thickness", message: "leaves no deck between the parapets." }
    : null;
}

/** The solids of a bridge: its deck, drawn out across its width, and its parapets. */
export function buildBridge(bridge: Bridge): Solid[] {
  if (validateBridge(bridge)) return [];
  const { id, width, level, thickness, arch, parapet } = bridge;
  const [p, q] = pathOf(bridge);
  const long = distance2(p, q);
  const [ux, uy] = [(q[0] - p[0]) / long, (q[1] - p[1]) / long];
  const low = -thickness - arch;
  const span = long * (1 - 2 * ABUTMENT);
  // A circle's arc from springing to springing, by its sagitta.
  const radius = arch > 0 ? (span * span) / (8 * arch) + arch / 2 : 0;
  const soffit: Vec2[] =
    arch > 0
      ? Array.from({ length: ARC + 1 }, (_, i): Vec2 => {
          const x = ((i - ARC / 2) / (ARC / 2)) * Math.asin(span / 2 / radius);
          return [long / 2 + radius * Math.sin(x), -thickness + radius * (Math.cos(x) - 1)];
        })
      : [];
  const profile: Vec2[] = [[0, low], ...soffit, [long, low], [long, 0], [0, 0]];
  // Drawn out from the left of the way to its right.
  const at = ([s, up]: Vec2, out: 0 | 1): Vec3 => {
    const aside = (out - 0.5) * width;
    return [p[0] + s * ux + aside * uy, p[1] + s * uy - aside * ux, level + up];
  };
  const deck = extrude(id, profile, at, arch > 0 ? [1, ARC + 1] : undefined);
  const rails = parapet
    ? [1, -1].map((side) => {
        const ring = ribbon([p, q], (side * width) / 2, side * (width / 2 - parapet.thickness));
        return loft(
          id,
          [
            { points: ring, z: level },
            { points: ring, z: level + parapet.height },
          ],
          null,
        );
      })
    : [];
  return [deck, ...rails];
}
