import { add, gaps, scale, type Vec2, type Vec3 } from "../geometry";
import { axesOf, inWorld, runsOf, WEIGHTS, type OwnLine, type SheetLine, type Weight, type WorldLine } from "../lines";
import { CurveBook, drawSegment, unproject, type View } from "../shot";
import { hiddenFrom, type HiddenFrom, type VisibleEdges } from "../visibility";
import { NO_LINES, type Shapes } from "./layer";
import type { LayerContext, LayerPart } from "./layers/kind";
import { segmentLines, type Segment } from "./stretches";

/** Parts of lines shorter than this share of them are none. */
const SHORT = 1e-6;

/** What is seen of own lines of the world, for as long as the eye and what stands before it stay. */
const seenBy = new WeakMap<HiddenFrom, WeakMap<WorldLine, readonly Segment[]>>();

/** Places from one to the next, as straight lines: x1 y1 x2 y2 of each. */
export const runLines = (run: readonly Vec2[]): number[] => run.slice(1).flatMap((to, i) => [...run[i], ...to]);

/** The stretches of a run of the world that an eye sees. */
const seenOf = (hidden: HiddenFrom, run: readonly Vec3[]): Segment[] =>
  run.slice(1).flatMap((b, i) => {
    const a = run[i];
    const at = (t: number): Vec3 => add(scale(a, 1 - t), scale(b, t));
    return gaps(hidden(a, b), SHORT).map(([t0, t1]): Segment => [at(t0), at(t1)]);
  });

/**
 * The stretches of an own line of the world that an eye sees.
 * @param runs the line as runs on its plane, m
 */
export function seenStretches(
  visible: VisibleEdges,
  { eye }: View,
  line: WorldLine,
  runs: (line: WorldLine) => readonly (readonly Vec2[])[] = runsOf,
): readonly Segment[] {
  // Parts of a look come without the faces: what is hidden is told once all are known.
  if (!visible.whole) return [];
  const hidden = hiddenFrom(visible, eye);
  let known = seenBy.get(hidden);
  if (!known) seenBy.set(hidden, (known = new WeakMap<WorldLine, readonly Segment[]>()));
  const before = known.get(line);
  if (before) return before;
  const axes = axesOf(line.plane);
  const found = runs(line).flatMap((run) =>
    seenOf(
      hidden,
      run.map((place) => inWorld(axes, place)),
    ),
  );
  known.set(line, found);
  return found;
}

/** A ruled line of a sheet: straight, or bent as a line of the world through both of its ends is seen. */
export function ruledShapes(view: View, from: Vec2, to: Vec2): Shapes {
  if (view.law.straight) return { lines: Float64Array.of(...from, ...to) };
  const book = new CurveBook();
  const [a, b] = [from, to].map((place) => add(view.eye, unproject(view, place)));
  drawSegment(view, a, b, book);
  return { lines: NO_LINES, curves: book.curves() };
}

/** A line of a sheet on paper: along a ruler as the lens has it, and by the compass as it is. */
const sheetShapes = (view: View, line: SheetLine): Shapes =>
  line.kind === "ruled"
    ? ruledShapes(view, line.from, line.to)
    : { lines: Float64Array.from(runsOf(line).flatMap(runLines)) };

/** Shapes one after the other, as one. */
export function together(parts: readonly Shapes[]): Shapes {
  const [first] = parts;
  if (parts.length === 1) return first;
  const lines = Float64Array.from(parts.flatMap((part) => [...part.lines]));
  const curved = parts.flatMap(({ curves }) => curves ?? []);
  if (curved.length === 0) return { lines };
  const book = new CurveBook();
  for (const { xy, velocity, t, starts } of curved)
    for (let i = 0; i + 1 < starts.length; i++) {
      book.begin();
      for (let k = starts[i]; k < starts[i + 1]; k++)
        book.add(xy[2 * k], xy[2 * k + 1], velocity[2 * k], velocity[2 * k + 1], t[k]);
    }
  return { lines, curves: book.curves() };
}

/** Own lines as they are drawn: of the sheet, and as far as they are seen of the world. */
function shapesOf({ view, visible }: LayerContext, sheet: readonly SheetLine[], world: readonly WorldLine[]): Shapes {
  const seen = segmentLines(
    view,
    world.flatMap((line) => seenStretches(visible, view, line)),
  );
  return together([...sheet.map((line) => sheetShapes(view, line)), seen]);
}

/** The own lines of a shot of one weight. */
export interface OwnOfWeight {
  readonly weight: Weight;
  readonly sheet: readonly SheetLine[];
  readonly world: readonly WorldLine[];
}

/** The own lines that are wanted, by their weight. */
export function byWeight({ lines }: LayerContext, wanted: (line: OwnLine) => boolean): OwnOfWeight[] {
  return (Object.keys(WEIGHTS) as Weight[]).map((weight) => {
    const own = (line: OwnLine) => line.weight === weight && wanted(line);
    return { weight, sheet: lines.sheet.filter(own), world: lines.world.filter(own) };
  });
}

/** A layer's part for each weight of own lines. */
export const partsByWeight = (
  { id, label }: { readonly id: string; readonly label: string },
  own: readonly OwnOfWeight[],
  shapes: (one: OwnOfWeight) => Shapes,
): LayerPart[] =>
  own
    .filter(({ sheet, world }) => sheet.length + world.length > 0)
    .map((one) => ({
      id: `${id}-${one.weight}`,
      label: `${label}, ${one.weight}`,
      style: { width: WEIGHTS[one.weight] },
      ...shapes(one),
    }));

/** Ruled lines and shapes, by weight. */
export const ownParts = (context: LayerContext, kind: { readonly id: string; readonly label: string }): LayerPart[] =>
  partsByWeight(
    kind,
    byWeight(context, ({ kind: of }) => of === "ruled" || of === "polyline" || of === "circle"),
    ({ sheet, world }) => shapesOf(context, sheet, world),
  );
