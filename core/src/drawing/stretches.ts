import type { Vec3 } from "../geometry";
import { clipAllToSight, CurveBook, drawSegment, projectMany, type View } from "../shot";
import { NO_LINES, type Shapes } from "./layer";

/** A straight line of the world, m. */
export type Segment = readonly [Vec3, Vec3];

/** Straight lines of the world, ax ay az bx by bz of each (m), and the solid that each is of. */
export interface Stretches {
  readonly ends: Float64Array;
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

/** Stretches of the world on paper, cut at the panel: straight in a straight lens, curved in any other. */
export function stretchLines(view: View, ends: Float64Array): Shapes {
  if (!view.law.straight) {
    const book = new CurveBook();
    for (let i = 0; i < ends.length; i += 6)
      drawSegment(view, [ends[i], ends[i + 1], ends[i + 2]], [ends[i + 3], ends[i + 4], ends[i + 5]], book);
    return { lines: NO_LINES, curves: book.curves() };
  }
  return { lines: withoutGaps(projectMany(view, clipAllToSight(view, ends))) };
}

/** World segments on paper, as `stretchLines` draws them. */
export const segmentLines = (view: View, segments: readonly Segment[]): Shapes => stretchLines(view, flat(segments));

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

/** The ends of those stretches that are wanted. */
export function endsWhere({ ends, solid }: Stretches, wanted: (solid: number) => boolean): Float64Array {
  const kept = new Float64Array(ends.length);
  let o = 0;
  for (let i = 0; i < solid.length; i++) {
    if (!wanted(solid[i])) continue;
    kept.set(ends.subarray(6 * i, 6 * i + 6), o);
    o += 6;
  }
  return kept.subarray(0, o);
}
