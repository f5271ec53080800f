import { distance2, radians, type Vec2 } from "../../../geometry";
import { cuttingAlong } from "../../cuttings";
import { lengthOf, pathOf, placeAlong, ribbon, stretch } from "../../path";
import type { Cutting, ElementError } from "../kind";
import type { Canal } from "./schema";
import { curvesOf } from "../../curves";
import { loft, prism } from "../../shapes";
import type { Solid } from "../../solid";

/** A narrow town canal, m (common practice). */
export const DEFAULT_CANAL: Omit<Canal, "id" | "kind" | "name" | "path"> = {
  width: 10,
  quay: 0.8,
  depth: 1.6,
  coping: 0.15,
};
/** A lock's measures where one is added, m (common practice). */
export const DEFAULT_LOCK = { length: 22, fall: 1.2 } as const;

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

/** Locks in the order of the path. */
const locksOf = ({ locks = [] }: Canal) => [...locks].sort((a, b) => a.at - b.at);

/** Why a canal cannot be dug, and the field; null where it can. */
export function validateCanal(canal: Canal): ElementError | null {
  const path = pathOf(canal);
  if (path.length < 2) return { field: "path", message: "has no length." };
  const length = lengthOf(path);
  let end = 0;
  for (const { at, length: long } of locksOf(canal)) {
    if (at - canal.width / 2 < end)
      return { field: "locks", message: end === 0 ? "begin before the canal does." : "lie over one another." };
    end = at + long;
    if (end > length) return { field: "locks", message: "lie beyond the canal’s end." };
  }
  return null;
}

/**
 * Reaches of level water, from where to where along the path, and how deep under the ground, m; a lock stands at its
 * lower water.
 */
export function reachesOf(
  canal: Canal,
): readonly { readonly from: number; readonly to: number; readonly depth: number }[] {
  const ends: { readonly at: number; readonly depth: number }[] = [{ at: 0, depth: canal.depth }];
  for (const { at, fall } of locksOf(canal)) ends.push({ at, depth: ends[ends.length - 1].depth + fall });
  const length = lengthOf(pathOf(canal));
  return ends.map(({ at, depth }, i) => ({ from: at, to: ends[i + 1]?.at ?? length, depth }));
}

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

/** The ground that a canal takes: its water and its walls. */
export const canalRibbon = (canal: Canal): readonly Vec2[] => {
  const half = canal.width / 2 + canal.quay;
  return ribbon(pathOf(canal), half, -half);
};
