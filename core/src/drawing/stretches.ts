import type { Vec3 } from "../geometry";
import { clipAllToSight, CurveBook, drawCubics, drawSegment, projectMany, type View } from "../shot";
import type { VisibleEdges } from "../visibility";
import { NO_LINES, type Shapes } from "./layer";

/** A straight line of the world, m. */
export type Segment = readonly [Vec3, Vec3];

/** Lines of the world, ax ay az bx by bz of each (m); where some are curved, with their derivatives at both ends. */
export type Ends = Pick<VisibleEdges, "ends" | "bends">;

/** Lines of the world, and the solid that each is of. */
export interface Stretches extends Ends {
  readonly solid: Uint32Array;
}

/** Segments one after the other: ax ay az bx by bz of each. */
export function flat(segments: readonly Segment[]): Float64Array {
  const ends = new Float64Array(6 * segments.length);
  segments.forEach(([a, b], i) => {
    ends.set(a, 6 * i);
    ends.set(b, 6 * i + 3);
  });
  return ends;
}

/** Stretches of the world on paper, cut at the panel: in a straight lens those that are straight are straight there. */
export function stretchLines(view: View, { ends, bends }: Ends): Shapes {
  if (bends) return withCurves(view, ends, bends);
  if (view.law.straight) return { lines: withoutGaps(projectMany(view, clipAllToSight(view, ends))) };
  const book = new CurveBook();
  drawSegments(view, ends, book);
  return { lines: NO_LINES, curves: book.curves() };
}

function drawSegments(view: View, ends: Float64Array, book: CurveBook): void {
  for (let i = 0; i < ends.length; i += 6)
    drawSegment(view, [ends[i], ends[i + 1], ends[i + 2]], [ends[i + 3], ends[i + 4], ends[i + 5]], book);
}

/** Stretches of which some are curved. */
function withCurves(view: View, ends: Float64Array, bends: Float64Array): Shapes {
  const isCurved = Array.from({ length: ends.length / 6 }, (_, i) =>
    bends.subarray(6 * i, 6 * i + 6).some((k) => k !== 0),
  );
  const curved = endsWhere({ ends, bends }, (i) => isCurved[i]);
  const { ends: straight } = endsWhere({ ends }, (i) => !isCurved[i]);
  const book = new CurveBook();
  if (!view.law.straight) drawSegments(view, straight, book);
  drawCubics(view, curved.ends, curved.bends!, book);
  return { lines: view.law.straight ? stretchLines(view, { ends: straight }).lines : NO_LINES, curves: book.curves() };
}

/** World segments on paper, as `stretchLines` draws them. */
export const segmentLines = (view: View, segments: readonly Segment[]): Shapes =>
  stretchLines(view, { ends: flat(segments) });

/** Lines of four numbers without those that have an end which the lens does not show. */
function withoutGaps(lines: Float64Array): Float64Array {
  let o = 0;
  for (let i = 0; i < lines.length; i += 4) {
    if (Number.isNaN(lines[i] + lines[i + 2])) continue;
    if (o < i) lines.copyWithin(o, i, i + 4);
    o += 4;
  }
  return lines.subarray(0, o);
}

/** Those of some lines that are wanted, by their places among them. */
export function endsWhere({ ends, bends }: Ends, wanted: (place: number) => boolean): Ends {
  const kept = { ends: new Float64Array(ends.length), bends: bends && new Float64Array(ends.length) };
  let o = 0;
  for (let i = 0; 6 * i < ends.length; i++) {
    if (!wanted(i)) continue;
    kept.ends.set(ends.subarray(6 * i, 6 * i + 6), o);
    if (bends) kept.bends!.set(bends.subarray(6 * i, 6 * i + 6), o);
    o += 6;
  }
  return { ends: kept.ends.subarray(0, o), bends: kept.bends?.subarray(0, o) };
}
