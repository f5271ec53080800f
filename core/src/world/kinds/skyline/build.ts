import { seededRandom, type Vec2, type Vec3 } from "../../../geometry";
import { clearBeside, isTangledBetween } from "../../bends";
import { beside, lengthOf, pathOf, placeAlong, ribbon } from "../../path";
import type { ElementError } from "../kind";
import type { Skyline } from "./schema";
import { extrude, prism } from "../../shapes";
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
  return pathOf(skyline).length < 2 ? { field: "path", message: "has no length." } : null;
}

/** The solids of a skyline: blocks side by side, or the ridge of each row as a thin upright slice of its hills. */
export function buildSkyline(skyline: Skyline): Solid[] {
  if (validateSkyline(skyline)) return [];
  const { id, of, rows, behind, seed } = skyline;
  const roll = seededRandom(seed);
  const between = ({ least, most }: Skyline["widths"]) =>
    Math.min(least, most) + (roll(1001) / 1000) * Math.abs(most - least);
  const spanHigh = Math.abs(skyline.heights.most - skyline.heights.least);
  const path = pathOf(skyline);
  const tangled = isTangledBetween(path, rows * behind, 0);
  return Array.from({ length: rows }, (_, row) => row).flatMap((row) => {
    const lines = tangled ? clearBeside(path, row * behind) : [beside(path, row * behind)];
    return lines.flatMap((line) => {
      const length = lengthOf(line);
      const parts: Part[] = [];
      for (let s = 0; s < length - 1e-6 && parts.length < MAX_BLOCKS;) {
        const to = Math.min(length, s + between(skyline.widths));
        parts.push({
          from: s,
          to,
          high: between(skyline.heights) + row * HIGHER * (spanHigh || skyline.heights.least),
        });
        s = to;
      }
      return of === "blocks" ? blocks(id, line, parts, behind * DEEP) : ridge(id, line, length, parts, behind * DEEP);
    });
  });
}

/** A stretch of a row, from where to where along it, and how high it is, m. */
interface Part {
  readonly from: number;
  readonly to: number;
  readonly high: number;
}

/** Blocks side by side along a line. */
const blocks = (id: string, line: readonly Vec2[], parts: readonly Part[], deep: number): Solid[] =>
  parts.flatMap(({ from, to, high }) => {
    const [p, q] = [placeAlong(line, from, 0), placeAlong(line, Math.min(to, lengthOf(line) - 1e-9), 0)];
    return !p || !q || Math.hypot(q[0] - p[0], q[1] - p[1]) < 0.1
      ? []
      : [prism(id, ribbon([p, q], deep, 0), [], [0, high])];
  });

/** A ridge over each straight part of a path: heights from crest to crest, eased, one after the other. */
function ridge(id: string, path: readonly Vec2[], length: number, parts: readonly Part[], deep: number): Solid[] {
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
