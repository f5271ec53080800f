import { inInches, mm, sentence, type Sentence, type System } from "../units";
import { isSideways, oppositeOf, type Edge, type EdgeMark, type EdgeTick, type OffPageAids } from "../vanishing";
import { degree } from "./slip";

/** How far apart ticks may stand, mm: round in millimetres, or quarters, halves and whole inches. */
export const TICK_SPACINGS: Readonly<Record<System, readonly number[]>> = {
  metric: [5, 10, 20, 25],
  imperial: [6.35, 12.7, 25.4],
};
/** How far apart ticks stand where nothing is said, mm: a centimetre, or half an inch. */
export const usualSpacing = (system: System): number => TICK_SPACINGS[system][1];

/** A table of ticks: the heads of its columns, and its rows. */
export interface TickTable {
  readonly heads: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** How an edge is named in a cell, where a tick stands on another edge than its column's. */
const LETTER: Readonly<Record<Edge, string>> = { left: "L", right: "R", top: "T", bottom: "B" };

/** The ticks of a point as a table, heights in the lengths of a system and without their unit. */
export function tickTable({ side, ticks }: OffPageAids, system: System): TickTable {
  const length = (value: number) => (system === "metric" ? value.toFixed(1) : inInches(value));
  const cell = (value: number | null, other: EdgeMark | undefined) =>
    value !== null ? length(value) : other ? `${LETTER[other.edge]} ${length(other.at)}` : "–";
  const row = ({ number, near, far, others, tilt }: EdgeTick) => {
    const [first, second] = near === null ? others : [undefined, others[0]];
    return [String(number), cell(near, first), cell(far, second), `${tilt.toFixed(2)}°`];
  };
  return { heads: ["tick", side, oppositeOf(side), "tilt"], rows: ticks.map(row) };
}

/** What the letters of cells mean, for points beside the sheet, and above or below it. */
const OTHERS = {
  sideways: "T and B: on the top and bottom edge, from the left.",
  upright: "L and R: on the left and right edge, from the top.",
} as const;

/** Where lengths on an edge are measured from. */
const from = (side: Edge): string => (isSideways(side) ? "top" : "left");

/** How the ticks of a point are used, and how its centrolinead is set. */
export function tickNotes(aids: OffPageAids, system: System): readonly Sentence[] {
  const { side, spacing, ticks, centrolinead } = aids;
  const others = ticks.some((tick) => tick.others.length > 0);
  return [
    sentence`Every ${mm(spacing.near)} on the ${side} edge, every ${mm(spacing.far)} on the opposite one, in
      ${system === "metric" ? "mm" : "inches"} from the ${from(side)} edge. A ruler on equal numbers aims at the
      point.`,
    ...(isSideways(side) ? [] : [sentence`Tilts are degrees from upright, to the right at the top positive.`]),
    ...(others ? [[OTHERS[isSideways(side) ? "sideways" : "upright"]]] : []),
    ...(centrolinead
      ? [
          sentence`Centrolinead: pegs on the ${side} edge, ${mm(centrolinead.pegs)}
            ${isSideways(side) ? "above and below" : "left and right of"} the point’s
            ${isSideways(side) ? "level" : "plumb line"}; legs at ${degree(centrolinead.angle)} to the ruler.`,
        ]
      : []),
  ];
}
