import { contains, type Rect, type Vec3 } from "../../geometry";
import {
  boundedLines,
  curvedMeasured,
  FADES,
  fadeSteps,
  measuredGrid,
  planeOf,
  type BoundedLine,
  type MeasuredLines,
} from "../../grid";
import { project, type View } from "../../shot";
import { segmentLines } from "../stretches";
import { lineSpacingOf, type Measured, type Orientation } from "../../scene";
import { NO_LINES } from "../layer";
import { lettering, letteringWidth } from "../lettering";
import { STYLES } from "../style";
import { layerKind, type LayerContext, type LayerPart } from "./kind";

/**
 * Measured planes, each with its light and its heavy lines and their numbers, in the directions of the first
 * orientation.
 */
export const squares = layerKind({
  id: "squares",
  label: "Squares",
  order: 30,
  style: STYLES.measured,
  strength: 1,
  construction: true,
  partOf: "bundles",
  stops: "where wished",
  compute: (context) => {
    const { orientations, shot, view } = context;
    const [main] = orientations;
    return (shot.measured ?? []).flatMap((plane, i) => {
      if (!main || plane.strength === 0) return [];
      if (plane.extent) return boundedSquares(context, main, plane, i + 1);
      return (view.law.straight ? straightSquares : curvedSquares)(context, main, plane, i + 1);
    });
  },
});

const nameOf = ({ every, plane }: Measured): string => `Squares of ${every} m, ${plane}`;

/** The hue that tells floors, ceilings and the two ways of walls apart. */
function strokeOf({ plane, at }: Measured, eye: number): string {
  if (plane === "level") return (at > eye ? STYLES.ceiling : STYLES.measured).stroke;
  return (plane === "left" ? STYLES.leftWall : STYLES.rightWall).stroke;
}

/** Squares of a plane that ends, with its rim. */
function boundedSquares({ shot, view }: LayerContext, main: Orientation, plane: Measured, n: number): LayerPart[] {
  const { lines, rim } = boundedLines(
    view,
    main.heading,
    shot.gaze.heading,
    plane,
    plane.extent!,
    lineSpacingOf(shot).gap,
  );
  const isHeavy = ({ number }: BoundedLine) => number % plane.heavy === 0;
  const name = nameOf(plane);
  const style = { stroke: strokeOf(plane, shot.eye.z), opacity: plane.strength };
  const [light, heavy] = [lines.filter((line) => !isHeavy(line)), lines.filter(isHeavy)];
  return [
    {
      id: `measured-${n}`,
      label: name,
      style,
      ...segmentLines(
        view,
        light.map(({ ends }) => ends),
      ),
    },
    {
      id: `heavy-${n}`,
      label: `${name}, every ${plane.heavy}`,
      style: { ...STYLES.heavy, ...style },
      ...segmentLines(view, [...heavy.map(({ ends }) => ends), ...rim]),
    },
    ...(plane.numbered
      ? [
          {
            id: `numbers-${n}`,
            label: `Measures of squares of ${plane.every} m`,
            style: { ...STYLES.numbers, opacity: 1.6 * plane.strength },
            lines: endNumbers(heavy, plane, view),
          },
        ]
      : []),
  ];
}

/** The measure of each heavy line at that end of it that is seen. */
function endNumbers(heavy: readonly BoundedLine[], { every }: Measured, view: View): Float64Array {
  const inside = (place: Vec3) => {
    const seen = project(view, place);
    return seen && contains(view.frame, seen) ? seen : null;
  };
  return Float64Array.from(
    heavy.flatMap(({ ends: [a, b], number }) => {
      const seen = inside(a) ?? inside(b);
      return seen ? lettering(String(Number((number * every).toFixed(2))), seen, NUMBER) : [];
    }),
  );
}

function curvedSquares({ shot, view }: LayerContext, main: Orientation, plane: Measured, n: number): LayerPart[] {
  const { light, heavy } = curvedMeasured(view, main.heading, shot.gaze.heading, plane, lineSpacingOf(shot).gap);
  const name = nameOf(plane);
  const opacity = plane.strength;
  return [
    { id: `measured-${n}`, label: name, style: { opacity }, lines: NO_LINES, curves: light },
    {
      id: `heavy-${n}`,
      label: `${name}, every ${plane.heavy}`,
      style: { ...STYLES.heavy, opacity },
      lines: NO_LINES,
      curves: heavy,
    },
  ];
}

function straightSquares({ shot, view }: LayerContext, main: Orientation, plane: Measured, n: number): LayerPart[] {
  const name = nameOf(plane);
  const grid = measuredGrid(view, main.heading, shot.gaze.heading, plane, lineSpacingOf(shot).gap);
  const steps = plane.fade
    ? fadeSteps(view, planeOf(view, main.heading, shot.gaze.heading, plane), grid, plane.fade)
    : [grid];
  const parts = steps.flatMap((step, k) =>
    (["measured", "heavy"] as const).map((kind): LayerPart => ({
      id: `${kind}-${n}${k ? `-${k + 1}` : ""}`,
      label: kind === "heavy" ? `${name}, every ${plane.heavy}` : name,
      style: { ...STYLES[kind], opacity: plane.strength * (plane.fade ? FADES[k] : 1) },
      lines: Float64Array.from(linesWhere(step, (number) => (number % plane.heavy === 0) === (kind === "heavy"))),
    })),
  );
  if (!plane.numbered) return parts;
  return [
    ...parts,
    {
      id: `numbers-${n}`,
      label: `Measures of squares of ${plane.every} m`,
      style: { ...STYLES.numbers, opacity: 1.6 * plane.strength },
      lines: numberLines(steps, plane, shot.frame),
    },
  ];
}

const linesWhere = ({ lines, numbers }: MeasuredLines, wanted: (number: number) => boolean): number[] =>
  [...numbers.keys()].filter((n) => wanted(numbers[n])).flatMap((n) => [...lines.subarray(4 * n, 4 * n + 4)]);

/** Height of a grid's numbers, mm, and how far they stand inside the panel's edge. */
const NUMBER = 2.2;
const INSIDE = 1.6;

/**
 * The measure of every heavy line in metres, where it leaves the panel; one that would run into an earlier one is
 * left out.
 */
function numberLines(steps: readonly MeasuredLines[], { every, heavy }: Measured, frame: Rect): Float64Array {
  const taken: Rect[] = [];
  const inner = { x: frame.x + 1e-6, y: frame.y + 1e-6, width: frame.width - 2e-6, height: frame.height - 2e-6 };
  return Float64Array.from(
    steps.flatMap(({ lines, numbers }) =>
      [...numbers].flatMap((number, n) => {
        const [x, y] = [lines[4 * n + 2], lines[4 * n + 3]];
        if (number % heavy !== 0 || contains(inner, [x, y])) return [];
        const text = String(Number((number * every).toFixed(2)));
        const width = letteringWidth(text, NUMBER);
        const [left, top] = [
          Math.min(Math.max(x + INSIDE / 2, frame.x + INSIDE), frame.x + frame.width - INSIDE - width),
          Math.min(Math.max(y - NUMBER - INSIDE / 2, frame.y + INSIDE), frame.y + frame.height - INSIDE - NUMBER),
        ];
        if (
          taken.some(
            (one) =>
              left < one.x + one.width + 1 &&
              one.x < left + width + 1 &&
              top < one.y + one.height + 1 &&
              one.y < top + NUMBER + 1,
          )
        )
          return [];
        taken.push({ x: left, y: top, width, height: NUMBER });
        return lettering(text, [left, top + NUMBER], NUMBER);
      }),
    ),
  );
}
