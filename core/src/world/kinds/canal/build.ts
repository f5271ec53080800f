import { distance2, radians, type Vec2 } from "../../../geometry";
import { cuttingAlong } from "../../cuttings";
import { lengthOf, pathOf, placeAlong, ribbon, stretch } from "../../path";
import type { Cutting } from "../kind";
import { locksOf, reachesOf, validateCanal } from "./measures";
import type { Canal } from "./schema";
import { curvesOf } from "../../curves";
import { loft, prism } from "../../shapes";
import type { Solid } from "../../solid";

/** Walls reach so far under the lowest water, m. */
const UNDER = 1;
/**
 * Mitre gates lean upstream by so many degrees off the straight way across (common practice); a leaf's and its beam's
 * thickness, and how far it stands over the walls, m.
 */
const MITRE = 18;
const LEAF = 0.35;
const OVER = 0.2;
/** A gate's beam reaches so much farther than the leaf, beyond its hinge. */
const BEAM = 0.7;

/** The cutting that a canal is dug as, with the gates of its locks in it; null where it cannot be dug. */
export function cuttingOf(canal: Canal): Cutting | null {
  if (validateCanal(canal)) return null;
  const { id, width, quay, coping } = canal;
  const path = pathOf(canal);
  const half = width / 2;
  const reaches = reachesOf(canal);
  const bottom = -Math.max(...reaches.map(({ depth }) => depth)) - UNDER;
  const standing = () =>
    locksOf(canal).flatMap(({ at, length: long }) => [
      ...gateAt(id, path, at, half, bottom, coping),
      ...gateAt(id, path, at + long, half, bottom, coping),
    ]);
  return { ...cuttingAlong(path, half, quay, reaches), top: coping, bottom, standing };
}

/** The solids of a canal by itself: its water, the walls along it and at both ends, and the gates of its locks. */
export function buildCanal(canal: Canal): Solid[] {
  const cutting = cuttingOf(canal);
  if (!cutting) return [];
  const { bottom, standing } = cutting;
  const { id, quay, coping } = canal;
  const [path, half, reaches] = [pathOf(canal), canal.width / 2, reachesOf(canal)];
  const raised = (ring: readonly Vec2[], from: number, to: number) => prism(id, ring, [], [from, to], curvesOf);
  const walls = [
    [half, half + quay],
    [-half, -half - quay],
  ].map(([near, far]) => raised(ribbon(path, near, far), bottom, coping));
  const length = lengthOf(path);
  const ends = [
    [0, Math.min(quay, length / 4)],
    [length - Math.min(quay, length / 4), length],
  ].map(([from, to]) => raised(ribbon(stretch(path, from, to), half, -half), bottom, coping));
  const water = reaches.map(({ from, to, depth }, i) => {
    // Water ends at the walls of both ends.
    const part = stretch(
      path,
      i === 0 ? Math.min(quay, length / 4) : from,
      i === reaches.length - 1 ? length - Math.min(quay, length / 4) : to,
    );
    return raised(ribbon(part, half, -half), bottom, -depth);
  });
  return [...walls, ...ends, ...water, ...standing()];
}

/** A pair of mitre gates across a canal, each with its beam over the quay. */
function gateAt(id: string, path: readonly Vec2[], at: number, half: number, bottom: number, coping: number): Solid[] {
  const meet = placeAlong(path, Math.max(0, at - half * Math.tan(radians(MITRE))), 0);
  return [-1, 1].flatMap((side) => {
    const hinge = placeAlong(path, at, side * half);
    if (!meet || !hinge) return [];
    const [ux, uy] = [0, 1].map((k) => (hinge[k] - meet[k]) / distance2(hinge, meet));
    const long = distance2(hinge, meet);
    const bar = (to: number, low: number, high: number) => {
      const [px, py] = [(-uy * LEAF) / 2, (ux * LEAF) / 2];
      const end: Vec2 = [meet[0] + to * ux, meet[1] + to * uy];
      const ring: Vec2[] = [
        [meet[0] - px, meet[1] - py],
        [end[0] - px, end[1] - py],
        [end[0] + px, end[1] + py],
        [meet[0] + px, meet[1] + py],
      ];
      return loft(
        id,
        [
          { points: ring, z: low },
          { points: ring, z: high },
        ],
        null,
      );
    };
    return [bar(long, bottom, coping + OVER), bar(long * (1 + BEAM), coping + OVER, coping + OVER + LEAF)];
  });
}
