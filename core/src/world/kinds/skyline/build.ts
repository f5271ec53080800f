import { seededRandom, type Vec2, type Vec3 } from "../../../geometry";
import { beside, lengthOf, pathOf, placeAlong, ribbon } from "../../path";
import { crossingOf } from "../../polygon";
import type { ElementError } from "../kind";
import type { Skyline } from "./schema";
import { extrude, loft } from "../../shapes";
import type { Solid } from "../../solid";

/** Rows of a far town, and ridges of hills, where nothing is said, m (common practice). */
export const DEFAULT_SKYLINE: Omit<Skyline, "id" | "kind" | "name" | "path" | "seed"> = {
  of: "blocks",
  rows: 2,
  behind: 40,
  widths: { least: 12, most: 30 },
  heights: { least: 10, most: 28 },
};
export const DEFAULT_RIDGES: Pick<Skyline, "behind" | "widths" | "heights"> = {
  behind: 400,
  widths: { least: 150, most: 420 },
  heights: { least: 40, most: 110 },
};

/** A row is so deep, and each behind is higher by this part of its heights, so that it shows over the one before. */
const DEEP = 0.4;
const HIGHER = 0.35;
/** A hill's back is drawn in so many pieces; no row has more blocks or hills than these. */
const PIECES = 12;
const MAX_BLOCKS = 400;

/** Why a skyline cannot stand, and the field; null where it can. */
export function validateSkyline(skyline: Skyline): ElementError | null {
  if (pathOf(skyline).length < 2) return { field: "path", message: "has no length." };
  return crossingOf(skylineRibbon(skyline)) ? { field: "path", message: "bends too sharply for its rows." } : null;
}

/** The solids of a skyline: blocks side by side, or the ridge of each row as a thin upright slice of its hills. */
export function buildSkyline(skyline: Skyline): Solid[] {
  if (validateSkyline(skyline)) return [];
  const { id, of, rows, behind, seed } = skyline;
  const roll = seededRandom(seed);
  const between = ({ least, most }: Skyline["widths"]) =>
    Math.min(least, most) + (roll(1001) / 1000) * Math.abs(most - least);
  const spanHigh = Math.abs(skyline.heights.most - skyline.heights.least);
  return Array.from({ length: rows }, (_, row) => row).flatMap((row) => {
    const path = beside(pathOf(skyline), row * behind);
    const length = lengthOf(path);
    const parts: { readonly from: number; readonly to: number; readonly high: number }[] = [];
    for (let s = 0; s < length - 1e-6 && parts.length < MAX_BLOCKS;) {
      const to = Math.min(length, s + between(skyline.widths));
      parts.push({ from: s, to, high: between(skyline.heights) + row * HIGHER * (spanHigh || skyline.heights.least) });
      s = to;
    }
    if (of === "blocks")
      return parts.flatMap(({ from, to, high }) => {
        const [p, q] = [placeAlong(path, from, 0), placeAlong(path, Math.min(to, length - 1e-9), 0)];
        if (!p || !q || Math.hypot(q[0] - p[0], q[1] - p[1]) < 0.1) return [];
        const ring = ribbon([p, q], behind * DEEP, 0);
        return [
          loft(
            id,
            [
              { points: ring, z: 0 },
              { points: ring, z: high },
            ],
            null,
          ),
        ];
      });
    return ridge(id, path, length, parts, behind * DEEP);
  });
}

/** A ridge over each straight part of a path: heights from crest to crest, eased, one after the other. */
function ridge(
  id: string,
  path: readonly Vec2[],
  length: number,
  parts: readonly { readonly from: number; readonly to: number; readonly high: number }[],
  deep: number,
): Solid[] {
  const crests = [
    { s: 0, high: parts[0].high / 2 },
    ...parts.map(({ from, to, high }) => ({ s: (from + to) / 2, high })),
    { s: length, high: parts[parts.length - 1].high / 2 },
  ];
  const heightAt = (s: number): number => {
    const next = Math.max(
      1,
      crests.findIndex((crest) => crest.s >= s - 1e-9),
    );
    const [a, b] = [crests[next - 1], crests[next]];
    const t = b.s > a.s ? (s - a.s) / (b.s - a.s) : 0;
    return a.high + ((1 - Math.cos(Math.PI * t)) / 2) * (b.high - a.high);
  };
  let start = 0;
  return path.slice(1).map((q, i) => {
    const p = path[i];
    const long = Math.hypot(q[0] - p[0], q[1] - p[1]);
    const [ux, uy] = [(q[0] - p[0]) / long, (q[1] - p[1]) / long];
    const n = Math.max(2, Math.min(MAX_BLOCKS, Math.ceil((long / length) * parts.length * PIECES)));
    const back: Vec2[] = Array.from({ length: n + 1 }, (_, k) => [
      long - (k * long) / n,
      heightAt(start + long - (k * long) / n),
    ]);
    start += long;
    // Drawn out from the left of the way to its right: seen from there it turns left.
    const at = ([s, up]: Vec2, out: 0 | 1): Vec3 => [
      p[0] + s * ux + out * deep * uy,
      p[1] + s * uy - out * deep * ux,
      up,
    ];
    return extrude(id, [[0, 0], [long, 0], ...back], at, [2, n + 2]);
  });
}

/** The ground that a skyline takes, all rows of it. */
export const skylineRibbon = (skyline: Skyline): readonly Vec2[] =>
  ribbon(pathOf(skyline), skyline.rows * skyline.behind, 0);
