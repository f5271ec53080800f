import type { Vec2 } from "../../../geometry";
import { lengthOf, pathOf } from "../../path";
import type { Solid } from "../../solid";
import type { ElementError, Roadway } from "../kind";
import { endSolids } from "./ends";
import { drivewaysOf, drivewaysOn, isCramped, isTangled, pavementSolids } from "./pavements";
import type { Street } from "./schema";

/**
 * Measures of a street where nothing is said: two lanes of 3 m, pavements and kerb as they are usual (common
 * practice); dashes of 10 ft with gaps of 30 ft (US MUTCD (from memory)).
 */
export const DEFAULT_STREET: Omit<Street, "id" | "kind" | "name" | "path"> = {
  carriageway: 6,
  pavement: 2.2,
  kerb: 0.12,
  slabs: 1.2,
  dashes: { line: 3.05, gap: 9.14 },
};

/** A roundabout is drawn through so many places of its middle line. */
const PLACES = 16;

/** A street as a ring around a middle, its middle line so far from there, m: those that end at it run into it. */
export function roundabout([x, y]: Vec2, radius: number): Omit<Street, "id" | "name"> {
  const path = Array.from({ length: PLACES + 1 }, (_, i) => {
    const turn = (2 * Math.PI * (i % PLACES)) / PLACES;
    const place = (middle: number, off: number) => Number((middle + radius * off).toFixed(6));
    return { x: place(x, Math.cos(turn)), y: place(y, Math.sin(turn)) };
  });
  const { dashes: _, ...street } = DEFAULT_STREET;
  return { kind: "street", path, smooth: true, ...street };
}

/** A driveway keeps so far from the next and from the street’s ends, m. */
const MIN_GAP = 0.1;

/** Why a street cannot be laid, and the field; null where it can. */
export function validateStreet(street: Street): ElementError | null {
  const path = pathOf(street);
  if (path.length < 2) return { field: "path", message: "has no length." };
  const length = lengthOf(path);
  for (const [i, { at, width }] of (street.driveways ?? []).entries()) {
    if (at - width / 2 < MIN_GAP || at + width / 2 > length - MIN_GAP)
      return { field: `driveways/${i}`, message: "lies beyond the street’s ends." };
  }
  for (const side of ["left", "right"] as const) {
    const own = drivewaysOn(street, side);
    if (own.some(([from], i) => i > 0 && from - own[i - 1][1] < MIN_GAP))
      return { field: "driveways", message: `lie over one another on the ${side}.` };
  }
  const cramped = (street.driveways ?? []).findIndex((one) => isCramped(street, one));
  if (cramped >= 0) return { field: `driveways/${cramped}`, message: "has no room at the bend it lies on." };
  return null;
}

/** A street that meets no other, as low solids; none where it cannot be laid. */
export const buildStreet = (street: Street): Solid[] =>
  validateStreet(street)
    ? []
    : [...pavementSolids(street), ...drivewaysOf(street).flatMap(({ solids }) => solids()), ...endSolids(street)];

/** A street as it joins what it meets; null where it cannot be laid. */
export const roadwayOf = (street: Street): Roadway | null =>
  validateStreet(street)
    ? null
    : {
        path: pathOf(street),
        half: street.carriageway / 2,
        pavement: street.pavement,
        kerb: street.kerb,
        radius: street.junctions?.radius,
        ends: [street.ends?.first, street.ends?.last],
        tangled: isTangled(street),
        driveways: drivewaysOf(street),
        standing: (met) => endSolids(street, met),
      };
