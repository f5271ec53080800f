import { headingDirection, radians, type Vec3 } from "../../../geometry";
import { rectangleAround } from "../../around";
import { bulgeOf, roundSolid, type OutlinePoint } from "../../round";
import { loft, ring } from "../../shapes";
import type { Solid } from "../../solid";
import { axesOfRow, CORNICE, diameterOf, entablatureHigh, halfWidth, PLINTH, STEP, stepsHigh } from "./measures";
import { ORDERS, type Columns } from "./schema";

/** A raking cornice is so thick, in lower diameters. */
const RAKE = 0.45;

/**
 * The front of an entablature from its foot up, as it stands out from its frieze: architrave, frieze and cornice, which
 * take about three, three and four tenths of its height (Vignola, from memory).
 */
function profileOf(d: number, high: number): OutlinePoint[] {
  const at = (out: number, up: number, bulge?: number): OutlinePoint => ({
    at: [out * d, up * high],
    ...(bulge ? { bulge } : {}),
  });
  return [
    at(0, 0),
    at(0, 0.26),
    at(0.06, 0.28),
    at(0.06, 0.32),
    at(0, 0.32),
    at(0, 0.64),
    at(0.12, 0.7, bulgeOf(1)),
    at(0.2, 0.76),
    at(0.42, 0.76),
    at(0.42, 0.88, -bulgeOf(1)),
    at(CORNICE, 0.97),
    at(CORNICE, 1),
  ];
}

/** A frame across a row: what is extruded in it runs along the row to the right of who faces along its heading. */
function acrossRow({ at, heading }: Columns, z: number) {
  const [fx, fy] = headingDirection(heading);
  return { origin: [at.x, at.y, z] as Vec3, x: [fx, fy, 0] as Vec3, y: [0, 0, 1] as Vec3 };
}

/** The entablature over a row: its profile in front, and behind too where it reaches no wall. */
function rowEntablature(columns: Columns, z: number): Solid[] {
  const d = diameterOf(columns);
  const high = entablatureHigh(columns);
  const upper = (ORDERS[columns.order].upper / 2) * d;
  const front = profileOf(d, high);
  const { depth = 0, half } = columns;
  const shifted = front.map(({ at: [out, up], bulge }) => ({ at: [upper + out, up] as const, bulge }));
  const behind: OutlinePoint[] =
    depth > 0 || half
      ? [{ at: [-Math.max(depth, 0), high] }, { at: [-Math.max(depth, 0), 0] }]
      : [...front].reverse().map(({ at: [out, up] }, i, all) => {
          const bulge = front[all.length - 2 - i]?.bulge;
          return { at: [-upper - out, up] as const, ...(bulge ? { bulge } : {}) };
        });
  const outline =
    half && depth === 0 ? [{ at: [0, 0] as const }, ...shifted, { at: [0, high] as const }] : [...shifted, ...behind];
  const wide = axesOfRow(columns).at(-1)! + upper + 0.12 * d;
  return [roundSolid(columns.id, { kind: "extruded", frame: acrossRow(columns, z), outline, from: -wide, to: wide })];
}

/** A pediment over a row: its raking cornice before a gable whose ridge runs back to the wall. */
function pedimentOver(columns: Columns, z: number): Solid[] {
  const { pediment, depth = 0, ridge = 0, at, heading } = columns;
  if (pediment === undefined) return [];
  const d = diameterOf(columns);
  const wide = halfWidth(columns);
  const rise = pediment * 2 * wide;
  const [fx, fy] = headingDirection(heading);
  // Along the row to the left and up: what is extruded runs the way that it faces.
  const frame = { origin: [at.x, at.y, z] as Vec3, x: [-fy, fx, 0] as Vec3, y: [0, 0, 1] as Vec3 };
  const upper = (ORDERS[columns.order].upper / 2) * d;
  const [front, face] = [upper + CORNICE * d, upper];
  const thick = Math.min(RAKE * d, 0.7 * rise);
  const inner = wide * (1 - thick / rise);
  const gable: OutlinePoint[] = [{ at: [-wide, 0] }, { at: [wide, 0] }, { at: [0, rise] }];
  const rake: OutlinePoint[] = [
    { at: [-wide, 0] },
    { at: [-inner, 0] },
    { at: [0, rise - thick] },
    { at: [inner, 0] },
    { at: [wide, 0] },
    { at: [0, rise] },
  ];
  return [
    roundSolid(columns.id, {
      kind: "extruded",
      frame,
      outline: gable,
      from: -Math.max(depth, upper) - ridge,
      to: face,
    }),
    roundSolid(columns.id, { kind: "extruded", frame, outline: rake, from: face, to: front }),
  ];
}

/** What stands around a ring: its steps as discs, and its entablature as a ring. */
function ringParts(columns: Columns, foot: number, top: number): Solid[] {
  const { id, at, heading, radius = 5, through = 360, steps = 0, entablature } = columns;
  const d = diameterOf(columns);
  const axis = { origin: [at.x, at.y, 0] as Vec3, up: [0, 0, 1] as Vec3, side: [1, 0, 0] as Vec3 };
  const spare = (PLINTH * d) / 2 / radius;
  const sweep =
    through < 360
      ? { sweep: [radians(90 - heading - through / 2) - spare, radians(90 - heading + through / 2) + spare] as const }
      : {};
  const stairs: OutlinePoint[] = Array.from({ length: steps }, (_, i): OutlinePoint[] => {
    const out = radius + PLINTH * d * 0.6 + (steps - 1 - i) * STEP.tread;
    return [{ at: [out, foot + i * STEP.rise] }, { at: [out, foot + (i + 1) * STEP.rise] }];
  }).flat();
  const upper = (ORDERS[columns.order].upper / 2) * d;
  const high = entablatureHigh(columns);
  const profile = profileOf(d, high).map(({ at: [out, up], bulge }) => ({
    at: [radius + upper + out, top + up] as const,
    bulge,
  }));
  const inside: OutlinePoint[] = [{ at: [radius - upper, top + high] }, { at: [radius - upper, top] }];
  return [
    ...(steps > 0 ? [roundSolid(id, { kind: "revolved", axis, outline: stairs, ...sweep })] : []),
    ...(entablature
      ? [roundSolid(id, { kind: "revolved", axis, outline: [...profile, ...inside], closed: true, ...sweep })]
      : []),
  ];
}

/** The steps under a row, on all its sides but, where it reaches back to a wall, the rear. */
function rowSteps(columns: Columns, foot: number): Solid[] {
  const { id, at, heading, steps = 0, depth = 0 } = columns;
  const d = diameterOf(columns);
  const facing = headingDirection(heading);
  const axes = columns.stand === "single" ? [0] : axesOfRow(columns);
  return Array.from({ length: steps }, (_, i) => {
    const out = PLINTH * d * 0.6 + (steps - 1 - i) * STEP.tread;
    const wide = axes.at(-1)! + out;
    const back = depth > 0 ? depth : out;
    const corners = rectangleAround([at.x, at.y], facing, [-wide, wide], [-back, out]);
    return loft(id, [ring(corners, foot + i * STEP.rise), ring(corners, foot + (i + 1) * STEP.rise)], null);
  });
}

/** All but the columns themselves: steps under them, and what they carry. */
export function aroundColumns(columns: Columns): Solid[] {
  const { stand, at, height, entablature } = columns;
  const foot = at.z;
  const top = foot + stepsHigh(columns) + height;
  if (stand === "ring") return ringParts(columns, foot, top);
  const carried = entablature && stand === "row" ? rowEntablature(columns, top) : [];
  return [
    ...rowSteps(columns, foot),
    ...carried,
    ...(stand === "row" ? pedimentOver(columns, top + entablatureHigh(columns)) : []),
  ];
}
