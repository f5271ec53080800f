import { headingDirection, radians, type Vec2 } from "../../../geometry";
import { sentence } from "../../../units";
import { placeBeside } from "../../around";
import type { ElementError } from "../kind";
import { ORDERS, type Columns } from "./schema";

/** Steps under columns: how high and how deep each is, m (common practice). */
export const STEP = { rise: 0.16, tread: 0.36 } as const;
/** The plinth is so much wider than the shaft (Vignola, from memory), and the entablature so high by its columns. */
export const [PLINTH, ENTABLATURE] = [4 / 3, 1 / 4] as const;
/** A cornice stands out by so many lower diameters beyond the shafts. */
export const CORNICE = 0.55;

/** The lower diameter of a column, m. */
export const diameterOf = ({ order, height }: Pick<Columns, "order" | "height">): number =>
  height / ORDERS[order].slender;

/** How far the axes of a row are from its middle, m. */
export function axesOfRow({ order, height, count, gap = 2.25, middle = 1 }: Columns): readonly number[] {
  const diameter = diameterOf({ order, height });
  const step = (1 + gap) * diameter;
  const wider = count % 2 === 0 ? (middle - 1) * gap * diameter : 0;
  return Array.from({ length: count }, (_, i) => {
    const at = (i - (count - 1) / 2) * step;
    return at + Math.sign(at) * (wider / 2);
  });
}

/** Where columns stand on the plan, and which way each faces, as a unit vector. */
export function standsOf(columns: Columns): readonly { readonly at: Vec2; readonly facing: Vec2 }[] {
  const { at, heading, stand, count, radius = 5, through = 360 } = columns;
  const [fx, fy] = headingDirection(heading);
  const foot: Vec2 = [at.x, at.y];
  if (stand === "single") return [{ at: foot, facing: [fx, fy] }];
  if (stand === "row")
    return axesOfRow(columns).map((s) => ({ at: placeBeside(foot, [fx, fy], [s, 0]), facing: [fx, fy] as const }));
  const steps = through >= 360 ? count : Math.max(1, count - 1);
  return Array.from({ length: count }, (_, i) => {
    const turn = through >= 360 ? (i * 360) / steps : count === 1 ? 0 : -through / 2 + (i * through) / steps;
    const angle = radians(90 - heading - turn);
    const facing: Vec2 = [Math.cos(angle), Math.sin(angle)];
    return { at: [at.x + radius * facing[0], at.y + radius * facing[1]] as const, facing };
  });
}

/** How high the steps are that columns stand on, m. */
export const stepsHigh = ({ steps = 0 }: Columns): number => steps * STEP.rise;

/** The height of what a row or a ring carries, m. */
export const entablatureHigh = ({ entablature, height }: Columns): number => (entablature ? ENTABLATURE * height : 0);

/** Half the width of a row with its cornice, m. */
export function halfWidth(columns: Columns): number {
  const axes = axesOfRow(columns);
  return axes[axes.length - 1] + (0.5 + CORNICE) * diameterOf(columns);
}

/** How high columns reach over their foot with all that they carry, m. */
export const reachOfColumns = (columns: Columns): number =>
  stepsHigh(columns) +
  columns.height +
  entablatureHigh(columns) +
  (columns.stand === "row" ? (columns.pediment ?? 0) * 2 * halfWidth(columns) : 0);

/** Why columns cannot stand as they are said to, and the field; null where they can. */
export function validateColumns(columns: Columns): ElementError | null {
  const { stand, count, radius = 5, through = 360, pediment, entablature, gap = 2.25, half, quarter } = columns;
  const diameter = diameterOf(columns);
  const plinth = PLINTH * diameter;
  if (stand === "row" && count > 1 && (1 + gap) * diameter < plinth)
    return {
      field: "gap",
      message: "is so narrow that plinths run into each other: a third of a diameter is the least.",
    };
  if (stand === "ring") {
    const apart =
      count < 2 ? Infinity : 2 * radius * Math.sin(radians(through >= 360 ? 180 / count : through / 2 / (count - 1)));
    if (apart < plinth)
      return { field: "count", message: sentence`is too many for a ring of this radius: its columns overlap.` };
    if (radius < plinth) return { field: "radius", message: "is less than a plinth is wide." };
  }
  if (pediment !== undefined && (stand !== "row" || !entablature))
    return { field: "pediment", message: "needs a row that carries an entablature." };
  if (pediment !== undefined && count < 2)
    return { field: "count", message: "is one: a pediment needs two columns or more." };
  if (quarter && (half || stand !== "single"))
    return { field: "quarter", message: "column stands alone, in the corner between two walls." };
  return half && stand === "ring" && through >= 360
    ? { field: "half", message: "columns need a wall behind them: a whole ring has none." }
    : null;
}
