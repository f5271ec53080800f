import { distance2 } from "../../../geometry";
import { pathOf, ribbon } from "../../path";
import type { ElementError } from "../kind";
import type { Bridge } from "./schema";
import { roundSolid, type OutlinePoint } from "../../round";
import { loft } from "../../shapes";
import type { Solid } from "../../solid";

/** A small stone bridge, m (common practice). */
export const DEFAULT_BRIDGE: Omit<Bridge, "id" | "kind" | "name" | "path"> = {
  width: 6,
  level: 0.4,
  thickness: 0.5,
  arch: 1,
  parapet: { height: 0.9, thickness: 0.3 },
};

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
  // A circle's arc from springing to springing, under the deck: its bulge is its rise by half its span.
  const soffit: OutlinePoint[] =
    arch > 0 ? [{ at: [(long - span) / 2, low], bulge: (-2 * arch) / span }, { at: [(long + span) / 2, low] }] : [];
  const outline: OutlinePoint[] = [{ at: [0, low] }, ...soffit, { at: [long, low] }, { at: [long, 0] }, { at: [0, 0] }];
  // Extruded from the left of the way to its right.
  const deck = roundSolid(id, {
    kind: "extruded",
    frame: { origin: [p[0], p[1], level], x: [ux, uy, 0], y: [0, 0, 1] },
    outline,
    from: -width / 2,
    to: width / 2,
  });
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
