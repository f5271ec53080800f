import {
  byDiagonals,
  byMarks,
  byMeasuringPoint,
  evenlyOff,
  spacedOnSheet,
  type Drawn,
  type Stretch,
} from "../dividing";
import { partsOf, sharesOf } from "../rhythm";
import {} from "../geometry";
import type { SheetLine } from "../lines";
import { NoAnswer } from "../problem";
import { horizon, lineFrame, measuringPoints } from "../vanishing";
import { long, mm, place, recipe, RUB_OUT, sentence, step, tableOf, type Given, type Step } from "./recipe";

type Quad = Extract<SheetLine, { readonly kind: "quad" }>;
type Spacing = Extract<SheetLine, { readonly kind: "spacing" }>;

/** What each part of a construction is told as. */
const TOLD: Readonly<Record<string, string>> = {
  diagonals: "Rule both diagonals: they cross at the middle in perspective.",
  half: "Rule an upright through the crossing: it halves the wall.",
  "middle line": "Rule a line through the crossing to the point of the wall's edges: its middle line.",
  repeat: "From the last bay's near foot rule through the middle of its far upright: it meets the top at the next one.",
  runs: "From each mark rule a line to the point of the wall's edges.",
  diagonal: "Rule one diagonal: it cuts the lines at the true places.",
  uprights: "Rule uprights through the cuts.",
};

const told = (what: string): string =>
  TOLD[what] ??
  `From the top of the near upright rule to the foot of the last upright: it cuts the diagonal at ${what} of the wall.`;

const stepOf = ({ what, lines, found }: Drawn): Step =>
  step(told(what), { lines, points: found.map((at) => ({ at })) });

function quadSteps(given: Given, line: Quad): Step[] {
  const parts = partsOf(line.columns);
  const equal = parts.every(({ size }) => size === parts[0].size);
  const [a, b, c, d] = line.corners;
  const corners: Stretch[] = [
    [a, b],
    [b, c],
    [c, d],
    [d, a],
  ];
  const start = step("Take the wall's four corners.", { kept: corners });
  if (line.school === "marks" || !equal) {
    const { drawn } = byMarks(line.corners, sharesOf(parts));
    const [marks, ...rest] = drawn;
    const uprights = drawn[drawn.length - 1];
    const table = tableOf(given);
    return [
      start,
      step(
        sentence`On the near upright lay off the parts from its foot: ${parts.length} of them on ${long(a, d)}; the
          first ends ${marks.found[0] ? place(table, marks.found[0]) : "at its top"}.`,
        { points: marks.found.map((at) => ({ at })) },
      ),
      ...rest.slice(0, -1).map(stepOf),
      step(told("uprights"), { kept: uprights.lines, points: uprights.found.map((at) => ({ at })) }),
      RUB_OUT,
    ];
  }
  const { drawn } = byDiagonals(line.corners, parts);
  return [start, ...drawn.map(stepOf), RUB_OUT];
}

function spacingSteps(given: Given, line: Spacing): Step[] {
  const table = tableOf(given);
  const { view, pins } = table;
  const pin = pins.find(({ id }) => id === line.towards);
  const measuring = measuringPoints(view, pins).find((one) => one.pin === line.towards);
  const vanishing = horizon(view);
  const spaced = spacedOnSheet(view, pins, line);
  if (!pin?.point.at || !measuring || !vanishing) return arithmeticSteps(given, line);
  const { along } = lineFrame(vanishing);
  const { drawn, places } = byMeasuringPoint([line.from, line.to], measuring.at, along, spaced.shares);
  const [base, end, marks, cuts] = drawn;
  return [
    step(sentence`The line runs to ${pin.name}, ${place(table, pin.point.at)}.`, {
      kept: [[line.from, line.to]],
      points: [{ at: pin.point.at, name: pin.name }],
    }),
    step(sentence`Through its near end rule a line beside the horizon.`, { lines: base.lines }),
    step(sentence`From the measuring point, ${place(table, measuring.at)}, rule through the far end onto that line.`, {
      lines: end.lines,
      points: [{ at: measuring.at, name: "M" }],
    }),
    step(sentence`Lay the parts off on it, evenly as they are: ${long(base.lines[0][0], base.lines[0][1])} in all.`, {
      points: marks.found.map((at) => ({ at })),
    }),
    step("From each mark rule to the measuring point: it cuts the line at the true places.", {
      lines: cuts.lines,
      points: places.map((at) => ({ at })),
    }),
    step(sentence`Even spacing on paper would be off by up to ${mm(evenlyOff(spaced))}.`),
    RUB_OUT,
  ];
}

/** Arithmetic: along the line 1/r changes evenly, r being the distance to the point. */
function arithmeticSteps(given: Given, line: Spacing): Step[] {
  const table = tableOf(given);
  const { view, pins } = table;
  const pin = pins.find(({ id }) => id === line.towards);
  const { places } = spacedOnSheet(view, pins, line);
  const point = pin?.point.at;
  const start = step(
    point
      ? sentence`Measure from ${pin?.name ?? "the point"} to both ends: ${long(point, line.from)} and
          ${long(point, line.to)}. Along the line 1 ÷ r changes evenly.`
      : "The line is parallel to the picture: its parts are even on paper.",
    { kept: [[line.from, line.to]] },
  );
  return [
    start,
    ...places
      .slice(1, -1)
      .map((at, i) =>
        step(
          point
            ? sentence`Mark ${i + 1}: ${long(at, point)} from the point, ${long(line.from, at)} from the start.`
            : sentence`Mark ${i + 1}: ${long(line.from, at)} from the start.`,
          { points: [{ at }] },
        ),
      ),
    RUB_OUT,
  ];
}

/** A wall or a line divided, by the school that it is drawn in. */
export const division = recipe({
  id: "division",
  label: "Divisions",
  needs: "steps along a line, or four corners that are divided, on the sheet",
  steps: (given) => {
    const { line } = given;
    tableOf(given);
    if (line && !("plane" in line) && line.kind === "quad") return quadSteps(given, line);
    if (line && !("plane" in line) && line.kind === "spacing") return spacingSteps(given, line);
    throw new NoAnswer("Choose steps along a line, or four corners that are divided, on the sheet.");
  },
});
