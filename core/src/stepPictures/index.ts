import type { Stretch } from "../dividing";
import { lettering, STYLES, type Layer } from "../drawing";
import { around, contains, corners, type Rect, type Vec2 } from "../geometry";
import type { Step } from "../recipes";
import type { Shot } from "../scene";

/** What is drawn in the step that is shown stands out by this colour. */
const NOW = "#b93a17";
/** How strongly what helped before is still seen. */
const BEFORE = 0.45;

const lines = (stretches: readonly Stretch[]): Float64Array => Float64Array.from(stretches.flat(2));

/** A small ring, by its chords. */
function ring([x, y]: Vec2, r: number): number[] {
  return Array.from({ length: 12 }, (_, i) => {
    const [a, b] = [(i * Math.PI) / 6, ((i + 1) * Math.PI) / 6];
    return [x + r * Math.cos(a), y + r * Math.sin(a), x + r * Math.cos(b), y + r * Math.sin(b)];
  }).flat();
}

/** A name beside a place, on its right, or ending on its left. */
function named(name: string, [x, y]: Vec2, size: number, left: boolean): number[] {
  const strokes = lettering(name, [x + 2 * size, y - 2 * size], 2.6 * size);
  if (!left) return strokes;
  const end = strokes.reduce((most, value, i) => (i % 2 === 0 ? Math.max(most, value) : most), x);
  return strokes.map((value, i) => (i % 2 === 0 ? value - (end - x) - 2 * size : value));
}

/**
 * A construction as it stands after a step, in sheet mm: what helped before, what stays, and what the step draws.
 * @param at which step, from 0
 * @param size how large marks and letters are, times their size at true scale
 * @param middle names of points that lie right of it stand on their left, mm
 */
export function stepLayers(steps: readonly Step[], at: number, size = 1, middle = Infinity): Layer[] {
  const now = steps[at];
  const before = steps.slice(0, at);
  // Once they are rubbed out, light lines are gone.
  const helped = now?.rubsOut ? [] : before;
  const layer = (id: string, label: string, style: Layer["style"], drawn: Float64Array): Layer => ({
    id,
    label,
    style,
    lines: drawn,
  });
  const marks = (points: Step["points"]): Float64Array =>
    Float64Array.from(
      points.flatMap(({ at: place, name }) => [
        ...ring(place, 1.2 * size),
        ...(name ? named(name, place, size, place[0] > middle) : []),
      ]),
    );
  const faint = { ...STYLES.bundle, opacity: BEFORE };
  return [
    layer("step-before", "Helping lines", faint, lines(helped.flatMap((step) => step.lines))),
    layer("step-marked", "Marks", faint, marks(helped.flatMap(({ points }) => points))),
    layer("step-kept", "What stays", STYLES.own, lines(before.flatMap(({ kept }) => kept))),
    layer("step-lines", "Lines of this step", { ...STYLES.bundle, stroke: NOW, width: 0.25 }, lines(now?.lines ?? [])),
    layer("step-stays", "What stays of this step", { ...STYLES.own, stroke: NOW, width: 0.5 }, lines(now?.kept ?? [])),
    layer("step-points", "Marks of this step", { ...STYLES.own, stroke: NOW, width: 0.3 }, marks(now?.points ?? [])),
  ].filter((one) => one.lines.length > 0);
}

/** How far beyond its sheet a small picture reaches for a point, in widths of the sheet. */
const REACH = 1.2;

/** The part of the desk that small pictures of a construction show: its panel, and the points that lie near enough. */
export function stepsBox({ sheet, frame }: Pick<Shot, "sheet" | "frame">, steps: readonly Step[]): Rect {
  const near = around(corners({ x: 0, y: 0, width: sheet.width, height: sheet.height }), REACH * sheet.width);
  const places = steps.flatMap(({ points, kept }) => [...points.map(({ at }) => at), ...kept.flat()]);
  return around([...corners(frame), ...places.filter((at) => contains(near, at))], 6);
}
