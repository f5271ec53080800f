// Its classes alone: the functions that it offers besides bring all of it with them.
import { ClipperD, ClipperOffset, ClipType, EndType, FillRule, JoinType, type PathD, type PathsD } from "clipper2-ts";
import type { Vec2 } from "../geometry";
import { areaTwice, isWithin } from "./polygon";
import type { Area } from "./triangles";

/** Decimals of a metre to which areas are worked out: a hundredth of a micrometre. */
const DECIMALS = 8;
const UNITS = 10 ** DECIMALS;
/** A mitre never reaches farther than this many times the offset. */
const MITRE = 2;

/** A part of the plan by its rings, m: outer ones counter-clockwise, holes clockwise. */
export type Region = readonly (readonly Vec2[])[];

const pathOf = (ring: readonly Vec2[]): PathD => ring.map(([x, y]) => ({ x, y }));
const pathsOf = (region: Region): PathsD => region.map(pathOf);
const regionOf = (paths: PathsD): Region => paths.map((path) => path.map(({ x, y }): Vec2 => [x, y]));

/** What becomes of regions by an operation. */
function combined(operation: ClipType, region: PathsD, other: PathsD = []): PathsD {
  const clipper = new ClipperD(DECIMALS);
  clipper.addSubjectPaths(region);
  clipper.addClipPaths(other);
  const out: PathsD = [];
  clipper.execute(operation, FillRule.NonZero, out);
  return out;
}

/** Paths moved aside, m; offsets are worked out in whole units. */
function offset(paths: PathsD, by: number, end: EndType): PathsD {
  const scaled = (factor: number, round: (value: number) => number) => (path: PathD) =>
    path.map(({ x, y }) => ({ x: round(x * factor), y: round(y * factor) }));
  const clipper = new ClipperOffset(MITRE, 0);
  clipper.addPaths(paths.map(scaled(UNITS, Math.round)), JoinType.Miter, end);
  const out: PathsD = [];
  clipper.execute(by * UNITS, out);
  return out.map(scaled(1 / UNITS, (value) => value));
}

/** The plan within so many m of a path, ended square: however sharply it bends, and where it crosses itself. */
export const alongPath = (path: readonly Vec2[], half: number): Region =>
  regionOf(combined(ClipType.Union, offset([pathOf(path)], half, EndType.Butt)));

/** A region with its rims moved outwards, or inwards where negative, m; its corners stay corners. */
export const grown = (region: Region, by: number): Region => regionOf(offset(pathsOf(region), by, EndType.Polygon));

/** Several regions as one. */
export const together = (regions: readonly Region[]): Region =>
  regionOf(combined(ClipType.Union, regions.flatMap(pathsOf)));

/** A region without another. */
export const without = (region: Region, cut: Region): Region =>
  regionOf(combined(ClipType.Difference, pathsOf(region), pathsOf(cut)));

/** What two regions share. */
export const shared = (a: Region, b: Region): Region =>
  regionOf(combined(ClipType.Intersection, pathsOf(a), pathsOf(b)));

/** The parts of lines that lie outside a region, or within it. */
export function partsOf(lines: readonly (readonly Vec2[])[], region: Region, side: "outside" | "within"): Vec2[][] {
  const clipper = new ClipperD(DECIMALS);
  clipper.addOpenSubjectPaths(lines.map(pathOf));
  clipper.addClipPaths(pathsOf(region));
  const out: PathsD = [];
  clipper.execute(side === "within" ? ClipType.Intersection : ClipType.Difference, FillRule.NonZero, [], out);
  return out.map((path) => path.map(({ x, y }): Vec2 => [x, y]));
}

/** Whether two regions share more than their rims. */
export const overlap = (a: Region, b: Region): boolean =>
  combined(ClipType.Intersection, pathsOf(a), pathsOf(b)).length > 0;

/** The areas of a region, each with its holes, and islands within those. */
export function areasOf(region: Region): Area[] {
  const outers = region.filter((one) => areaTwice(one) > 0).sort((a, b) => areaTwice(a) - areaTwice(b));
  const holes = region.filter((one) => areaTwice(one) < 0);
  // A hole belongs to the smallest area around it.
  const around = holes.map((hole) => outers.findIndex((outer) => isWithin(hole[0], outer)));
  return outers.map((outer, n) => ({ outer, holes: holes.filter((_, i) => around[i] === n) }));
}

/** What is left of a polygon where others are taken out of it, however those overlap: rings in m. */
export const areaWithout = (ring: readonly Vec2[], cut: Region): Area[] => areasOf(without([ring], cut));
