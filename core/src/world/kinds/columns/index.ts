import { distance2, headingAlong, headingDirection, radians, type Vec2 } from "../../../geometry";
import { placeBeside, rectangleAround } from "../../around";
import { heightTags } from "../block";
import { elementKind, type LevelCircle, type Oddity } from "../kind";
import { sentence } from "../../../units";
import { axesOfRow, diameterOf, PLINTH, reachOfColumns, standsOf, STEP, stepsHigh, validateColumns } from "./measures";
import { ColumnsSchema, type Columns } from "./schema";
export { axesOfRow, diameterOf, reachOfColumns, standsOf, validateColumns } from "./measures";
export { GAPS, ORDERS, STANDS, type Columns, type OrderId } from "./schema";

/** On the plan a ring is drawn as a polygon of so many corners. */
const AROUND = 120;

/** A row of four columns of an order, all but its id and its name. */
export const newColumns = (order: Columns["order"], at: Columns["at"], heading = 0): Omit<Columns, "id" | "name"> => ({
  kind: "columns",
  order,
  stand: "row",
  at,
  heading,
  height: 4,
  count: 4,
  gap: 2.25,
  entablature: true,
});

/** The ground that columns cover with their steps, counter-clockwise. */
export function columnsOutline(columns: Columns): readonly Vec2[] {
  const { at, heading, stand, radius = 5, steps = 0, depth = 0 } = columns;
  const d = diameterOf(columns);
  const out = Math.max(PLINTH * d * 0.6 + Math.max(0, steps - 1) * STEP.tread, (PLINTH * d) / 2);
  if (stand === "ring")
    return Array.from({ length: AROUND }, (_, i): Vec2 => {
      const angle = radians((i * 360) / AROUND);
      return [at.x + (radius + out) * Math.cos(angle), at.y + (radius + out) * Math.sin(angle)];
    });
  const wide = (stand === "single" ? 0 : axesOfRow(columns).at(-1)!) + out;
  return rectangleAround([at.x, at.y], headingDirection(heading), [-wide, wide], [-Math.max(depth, out), out]);
}

/** The usual heights of pediments by their width (Vitruvius and Vignola, from memory). */
const [LOWEST, HIGHEST] = [1 / 9, 1 / 4] as const;

function odditiesOf(columns: Columns): readonly Oddity[] {
  const { pediment, name } = columns;
  if (pediment === undefined || (pediment >= LOWEST - 1e-9 && pediment <= HIGHEST + 1e-9)) return [];
  return [
    {
      id: "pediment",
      value: pediment,
      unit: "",
      told: sentence`The pediment of ${name} rises by ${pediment.toFixed(2)} of its width: from a ninth to a quarter is
        usual.`,
    },
  ];
}

/** Of a ring, the circles on which the axes of its columns stand, and on which they end. */
function circlesOf(columns: Columns): readonly LevelCircle[] {
  const { at, stand, radius = 5, height } = columns;
  if (stand !== "ring") return [];
  const foot = at.z + stepsHigh(columns);
  const stands = { places: standsOf(columns).map((one) => one.at), height };
  return [
    { centre: [at.x, at.y, foot], radius, stands },
    { centre: [at.x, at.y, foot + height], radius },
  ];
}

export const columns = elementKind<Columns>(ColumnsSchema, {
  kind: "columns",
  word: "Columns",
  stands: true,
  validate: validateColumns,
  outline: columnsOutline,
  span: (element) => [element.at.z, reachOfColumns(element)],
  // The end of a row, or the rim of a ring.
  places: (element) => {
    const { at, heading, stand, radius = 5 } = element;
    if (stand === "single") return [];
    const far: Vec2 = stand === "row" ? [axesOfRow(element).at(-1)!, 0] : [0, radius];
    return [placeBeside([at.x, at.y], headingDirection(heading), far)];
  },
  placed: (element, _place, to) => {
    const far = distance2([element.at.x, element.at.y], to);
    if (element.stand === "ring") return { ...element, radius: Math.max(0.1, far) };
    if (element.stand !== "row" || element.count < 2) return element;
    // As wide as it is drawn: the gaps follow.
    const d = diameterOf(element);
    const gap = Math.max(1 / 3, (2 * far) / (element.count - 1) / d - 1);
    const heading = headingAlong([element.at.y - to[1], to[0] - element.at.x]);
    return { ...element, gap, heading, middle: undefined };
  },
  geoJson: {
    write: (element) => ({ shape: "area", properties: heightTags(element.at.z, reachOfColumns(element)) }),
  },
  oddities: odditiesOf,
  faces: ({ heading }) => heading,
  isRound: ({ stand }) => stand === "ring",
  circles: circlesOf,
  // Between columns one stands outside; within a ring under the sky, too.
  letsIn: (element, at, over) => {
    const { at: middle, stand, radius = 5, height } = element;
    const foot = stepsHigh(element);
    if (over < foot) return false;
    if (stand === "ring" && distance2([middle.x, middle.y], at) < radius - diameterOf(element)) return true;
    const isClear = standsOf(element).every((one) => distance2(one.at, at) > (PLINTH * diameterOf(element)) / 2);
    return over < foot + height && isClear;
  },
  // Half and quarter columns stand out of a wall.
  feet: (element) =>
    element.half || element.quarter
      ? null
      : { places: standsOf(element).map(({ at }) => at), reach: (PLINTH * diameterOf(element)) / 2 },
});
