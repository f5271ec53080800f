import { distance2, sub, type Vec2, type Vec3 } from "../geometry";
import { lineSpacingOf } from "../scene";
import { clipToSight, CurveBook, drawSegment, project, sightPlanes, type View } from "../shot";
import { DETAIL, OUTLINE, type VisibleEdges, type EdgeClass } from "../visibility";
import { NO_LINES, type Shapes } from "./layer";
import type { LayerContext } from "./layers/kind";

/** The stretches of one edgeClass on paper, cut at the panel. */
export const stretchLines = (view: View, visible: VisibleEdges, edgeClass: EdgeClass): Shapes =>
  segmentLines(view, stretchesOf(visible, edgeClass));

export type Segment = readonly [Vec3, Vec3];

/** Stretches of one edgeClass, and the solid that each is of. */
interface Sorted {
  readonly segments: readonly Segment[];
  readonly solid: readonly number[];
  readonly detail: readonly number[];
}

/** What is seen, sorted by edgeClass once: it is drawn again with every turn of the view. */
const sorted = new WeakMap<VisibleEdges, Map<EdgeClass, Sorted>>();

function sortedBy(visible: VisibleEdges, wanted: EdgeClass): Sorted {
  let by = sorted.get(visible);
  if (!by) sorted.set(visible, (by = new Map()));
  let found = by.get(wanted);
  if (!found) {
    const { ends, edgeClass, solid, detail } = visible;
    const own = [...edgeClass.keys()].filter((i) => edgeClass[i] === wanted);
    const at = (o: number): Vec3 => [ends[o], ends[o + 1], ends[o + 2]];
    by.set(
      wanted,
      (found = {
        segments: own.map((i): Segment => [at(6 * i), at(6 * i + 3)]),
        solid: own.map((i) => solid[i]),
        detail: own.map((i) => detail[i]),
      }),
    );
  }
  return found;
}

/** The stretches of one edgeClass, in the world, but for those of solids that are left out. */
function stretchesOf(visible: VisibleEdges, wanted: EdgeClass, out?: Uint8Array): readonly Segment[] {
  const { segments, solid } = sortedBy(visible, wanted);
  return out ? segments.filter((_, i) => !out[solid[i]]) : segments;
}

/**
 * Details, thinned: none that is drawn nearer than a gap, mm, at both its ends and its middle, to one kept before it.
 * Far away, where they would clot into a black ball, fewer are left, and none that is shorter than the gap.
 */
export function thinned(view: View, details: readonly Segment[], gap: number): Segment[] {
  const kept = new Map<number, (readonly [Vec2, Vec2])[]>();
  const cellAt = (i: number, k: number) => i * 4_194_304 + k;
  return details.filter(([a, b]) => {
    const [p, q] = [project(view, a), project(view, b)];
    // What is seen in part only is near, or at the panel's edge.
    if (!p || !q) return true;
    const [x, y, long] = [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2, Math.hypot(q[0] - p[0], q[1] - p[1])];
    if (long < gap) return false;
    const [i, k] = [Math.floor(x / gap), Math.floor(y / gap)];
    for (let n = i - 1; n <= i + 1; n++)
      for (let m = k - 1; m <= k + 1; m++) {
        if (
          kept
            .get(cellAt(n, m))
            ?.some(
              ([u, v]) =>
                Math.min(Math.max(distance2(p, u), distance2(q, v)), Math.max(distance2(p, v), distance2(q, u))) < gap,
            )
        )
          return false;
      }
    const cell = cellAt(i, k);
    kept.set(cell, [...(kept.get(cell) ?? []), [p, q]]);
    return true;
  });
}

/** Drawn smaller than so many gaps, a thing is left with its outline only. */
const FAR = 5;

/** Which solids are drawn so small that what is within their outline would clot: by number. */
function small(view: View, visible: VisibleEdges, gap: number): Uint8Array {
  const { segments, solid } = sortedBy(visible, OUTLINE);
  const count = solid.reduce((most, s) => Math.max(most, s + 1), 0);
  const [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity].map((start) =>
    new Float64Array(count).fill(start),
  );
  segments.forEach((ends, i) => {
    const s = solid[i];
    for (const end of ends) {
      // What is partly behind the eye has no size that could be compared: it stays NaN.
      const [x, y] = project(view, end) ?? [NaN, NaN];
      [x0[s], y0[s], x1[s], y1[s]] = [Math.min(x0[s], x), Math.min(y0[s], y), Math.max(x1[s], x), Math.max(y1[s], y)];
    }
  });
  return Uint8Array.from(x0, (_, s) => (Math.max(x1[s] - x0[s], y1[s] - y0[s]) < FAR * gap && x1[s] >= x0[s] ? 1 : 0));
}

/** World segments on paper, cut at the panel: straight in a straight lens, curved in any other. */
export function segmentLines(view: View, segments: readonly Segment[]): Shapes {
  if (!view.law.straight) {
    const book = new CurveBook();
    for (const [a, b] of segments) drawSegment(view, a, b, book);
    return { lines: NO_LINES, curves: book.curves() };
  }
  const planes = sightPlanes(view);
  const lines: number[] = [];
  for (const [a, b] of segments) pushLine(lines, view, planes, a, b);
  return { lines: Float64Array.from(lines) };
}

function pushLine(lines: number[], view: View, planes: readonly Vec3[], a: Vec3, b: Vec3): void {
  const range = clipToSight(view.eye, planes, a, b);
  if (!range) return;
  const d = sub(b, a);
  const at = (t: number): Vec3 => [a[0] + t * d[0], a[1] + t * d[1], a[2] + t * d[2]];
  const [p, q] = [project(view, at(range[0])), project(view, at(range[1]))];
  if (p && q) lines.push(p[0], p[1], q[0], q[1]);
}

/** Which solids were too small the last time that they were asked for: the kinds of lines of one drawing share it. */
const lastSmall = new WeakMap<
  VisibleEdges,
  { readonly view: View; readonly gap: number; readonly small: Uint8Array }
>();

function smallIn(view: View, visible: VisibleEdges, gap: number): Uint8Array {
  const last = lastSmall.get(visible);
  if (last && last.view === view && last.gap === gap) return last.small;
  const found = small(view, visible, gap);
  lastSmall.set(visible, { view, gap, small: found });
  return found;
}

/** The visible edges of a class; things that are drawn small have their outline only. */
export const edgeLines = ({ view, visible, shot }: LayerContext, wanted: EdgeClass): Shapes =>
  segmentLines(
    view,
    stretchesOf(visible, wanted, wanted === OUTLINE ? undefined : smallIn(view, visible, lineSpacingOf(shot).gap)),
  );

/** A stretch of a detail, and the place of its kind among `DETAIL_KINDS`. */
export interface DetailStretch {
  readonly segment: Segment;
  readonly kind: number;
}

/**
 * What is drawn on surfaces, in its order, none nearer to another than the shot's least gap.
 * @param shown whether a kind of detail is drawn at all
 */
export function detailStretches(
  { view, visible, shot }: LayerContext,
  shown: (kind: number) => boolean,
): readonly DetailStretch[] {
  const { gap } = lineSpacingOf(shot);
  const far = smallIn(view, visible, gap);
  const { segments, solid, detail } = sortedBy(visible, DETAIL);
  const kinds = new Map(segments.map((segment, i) => [segment, detail[i]]));
  const wanted = segments.filter((_, i) => !far[solid[i]] && shown(detail[i]));
  return thinned(view, wanted, gap).map((segment) => ({ segment, kind: kinds.get(segment)! }));
}
