import type { Vec2 } from "../../../geometry";
import { lengthOf, pathOf, ribbon } from "../../path";
import type { ElementError } from "../kind";
import type { Canal } from "./schema";

/** A narrow town canal, m (common practice). */
export const DEFAULT_CANAL: Omit<Canal, "id" | "kind" | "name" | "path"> = {
  width: 10,
  quay: 0.8,
  depth: 1.6,
  coping: 0.15,
};
/** A lock's measures where one is added, m (common practice). */
export const DEFAULT_LOCK = { length: 22, fall: 1.2 } as const;

/** Locks in the order of the path. */
export const locksOf = ({ locks = [] }: Canal) => [...locks].sort((a, b) => a.at - b.at);

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

/** The ground that a canal takes: its water and its walls. */
export const canalRibbon = (canal: Canal): readonly Vec2[] => {
  const half = canal.width / 2 + canal.quay;
  return ribbon(pathOf(canal), half, -half);
};
