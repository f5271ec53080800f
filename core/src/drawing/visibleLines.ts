import { contains, distance2, sub, type Vec2, type Vec3 } from "../geometry";
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
  /** The places of these stretches among all. */
  readonly own: readonly number[];
}

/** What is seen, sorted by edgeClass once: it is drawn again with every turn of the view. */
const sorted = new WeakMap<VisibleEdges, ReadonlyMap<EdgeClass, Sorted>>();

const NONE: Sorted = { segments: [], solid: [], own: [] };

/** All stretches by their class, in one pass. */
function sortAll({ ends, edgeClass, solid }: VisibleEdges): ReadonlyMap<EdgeClass, Sorted> {
  const by = new Map<EdgeClass, { segments: Segment[]; solid: number[]; own: number[] }>();
  for (let i = 0; i < edgeClass.length; i++) {
    const wanted = edgeClass[i] as EdgeClass;
    let one = by.get(wanted);
    if (!one) by.set(wanted, (one = { segments: [], solid: [], own: [] }));
    const o = 6 * i;
    one.segments.push([
      [ends[o], ends[o + 1], ends[o + 2]],
      [ends[o + 3], ends[o + 4], ends[o + 5]],
    ]);
    one.solid.push(solid[i]);
    one.own.push(i);
  }
  return by;
}

function sortedBy(visible: VisibleEdges, wanted: EdgeClass): Sorted {
  let by = sorted.get(visible);
  if (!by) sorted.set(visible, (by = sortAll(visible)));
  return by.get(wanted) ?? NONE;
}

/** The stretches of one edgeClass, in the world, but for those of solids that are left out. */
function stretchesOf(visible: VisibleEdges, wanted: EdgeClass, out?: Uint8Array): readonly Segment[] {
  const { segments, solid } = sortedBy(visible, wanted);
  return out ? segments.filter((_, i) => !out[solid[i]]) : segments;
}

/** Something whole that is drawn on a surface: its lines as far as they are seen, and its rank in a row of its like. */
export interface DrawnItem {
  readonly segments: readonly Segment[];
  readonly rank: number;
}

type Drawn = readonly [Vec2, Vec2];

/** Lines that are kept, to be found by where their middles lie: x y of both ends of each, one after the other. */
class Kept {
  private readonly cells = new Map<number, number[]>();

  constructor(private readonly gap: number) {}

  private keyOf([p, q]: Drawn): number {
    return Math.floor((p[0] + q[0]) / 2 / this.gap) * CELLS + Math.floor((p[1] + q[1]) / 2 / this.gap);
  }

  add(line: Drawn): void {
    const [[px, py], [qx, qy]] = line;
    const key = this.keyOf(line);
    const cell = this.cells.get(key);
    if (cell) cell.push(px, py, qx, qy);
    else this.cells.set(key, [px, py, qx, qy]);
  }

  /** Whether a line is drawn nearer than the gap, at both its ends and its middle, to one that is kept. */
  crowds(line: Drawn): boolean {
    const key = this.keyOf(line);
    for (let n = -1; n <= 1; n++)
      for (let m = -1; m <= 1; m++) {
        const cell = this.cells.get(key + n * CELLS + m);
        if (cell && isNear(line, cell, this.gap)) return true;
      }
    return false;
  }
}

/** Cells of a sheet are numbered in columns of so many. */
const CELLS = 4_194_304;

/** Whether the ends of a line are nearer than a gap to those of one of several, whichever way each runs, mm. */
function isNear([[px, py], [qx, qy]]: Drawn, others: readonly number[], gap: number): boolean {
  for (let i = 0; i < others.length; i += 4) {
    const [ux, uy, vx, vy] = [others[i], others[i + 1], others[i + 2], others[i + 3]];
    if (Math.hypot(px - ux, py - uy) < gap && Math.hypot(qx - vx, qy - vy) < gap) return true;
    if (Math.hypot(px - vx, py - vy) < gap && Math.hypot(qx - ux, qy - uy) < gap) return true;
  }
  return false;
}

/**
 * What is drawn on surfaces, thinned: each thing with all of its lines or with none. None has a line nearer than a gap,
 * mm, to one of another that is kept, or to another of its own. Of a row, the first, then every half of what is left
 * between has its turn, so that an even share is kept: every second, fourth ... Far away, where they would clot, fewer
 * are left, and none that is smaller than the gap.
 */
export function thinned<T extends DrawnItem>(view: View, items: readonly T[], gap: number): T[] {
  const kept = new Kept(gap);
  const fits = ({ segments }: DrawnItem): boolean => {
    const lines: Drawn[] = [];
    let longest = 0;
    for (const [a, b] of segments) {
      const [p, q] = [project(view, a), project(view, b)];
      // What is seen in part only is near, or at the panel's edge.
      if (!p || !q) return true;
      const long = distance2(p, q);
      longest = Math.max(longest, long);
      if (long >= gap) lines.push([p, q]);
    }
    const own = new Kept(gap);
    const crowded = lines.some((line) => {
      if (kept.crowds(line) || own.crowds(line)) return true;
      own.add(line);
      return false;
    });
    if (longest < gap || crowded) return false;
    for (const line of lines) kept.add(line);
    return true;
  };
  const turns = [...items.keys()].sort((i, k) => items[k].rank - items[i].rank || i - k);
  const drawn = new Set(turns.filter((i) => fits(items[i])));
  return items.filter((_, i) => drawn.has(i));
}

/** Drawn smaller than so many gaps, a thing is left with its outline only. */
const FAR = 5;

/** Which solids are drawn so small that what is within their outline would clot: by number. */
function small(view: View, { boxes }: VisibleEdges, gap: number): Uint8Array {
  const isSmall = (s: number): boolean => {
    const [x0, x1, y0, y1, z0, z1] = boxes.subarray(6 * s, 6 * s + 6);
    const corners = [x0, x1].flatMap((x) => [y0, y1].flatMap((y) => [z0, z1].map((z) => project(view, [x, y, z]))));
    // What is partly behind the eye is near.
    if (corners.some((corner) => corner === null)) return false;
    const spread = (k: 0 | 1) => {
      const along = corners.map((corner) => corner![k]);
      return Math.max(...along) - Math.min(...along);
    };
    return spread(0) < FAR * gap && spread(1) < FAR * gap;
  };
  return Uint8Array.from({ length: boxes.length / 6 }, (_, s) => (isSmall(s) ? 1 : 0));
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

/** The visible edges of a class, in the world; things that are drawn small have their outline only. */
export const edgeSegments = ({ view, visible, shot }: LayerContext, wanted: EdgeClass): readonly Segment[] =>
  stretchesOf(visible, wanted, wanted === OUTLINE ? undefined : smallIn(view, visible, lineSpacingOf(shot).gap));

/** The visible edges of a class on paper. */
export const edgeLines = (context: LayerContext, wanted: EdgeClass): Shapes =>
  segmentLines(context.view, edgeSegments(context, wanted));

/** A stretch of a detail, and the place of its kind among `DETAIL_KINDS`. */
export interface DetailStretch {
  readonly segment: Segment;
  readonly kind: number;
}

/** What a drawing of details is worked out from. */
type DetailContext = Pick<LayerContext, "view" | "visible" | "shot">;

/** Something whole that is drawn on a surface, and its kind. */
interface DetailItem extends DrawnItem {
  readonly kind: number;
  readonly solid: number;
}

/** Things that are drawn on surfaces, those first that have their turn first: sorted once, as the stretches are. */
const things = new WeakMap<VisibleEdges, readonly DetailItem[]>();

function detailItemsOf(visible: VisibleEdges): readonly DetailItem[] {
  let items = things.get(visible);
  if (!items) {
    const { segments, solid, own } = sortedBy(visible, DETAIL);
    const byNumber = new Map<number, DetailItem & { readonly segments: Segment[] }>();
    segments.forEach((segment, i) => {
      const item = visible.item[own[i]];
      const thing = byNumber.get(item);
      const [kind, rank] = [visible.detail[own[i]], visible.rank[own[i]]];
      if (thing) thing.segments.push(segment);
      else byNumber.set(item, { segments: [segment], rank, kind, solid: solid[i] });
    });
    things.set(visible, (items = [...byNumber.values()].sort((a, b) => b.rank - a.rank)));
  }
  return items;
}

/** What is drawn on surfaces, thing by thing, before it is thinned. @param shown whether a kind is drawn at all */
function detailItems({ view, visible, shot }: DetailContext, shown: (kind: number) => boolean): readonly DetailItem[] {
  const far = smallIn(view, visible, lineSpacingOf(shot).gap);
  return detailItemsOf(visible).filter(({ solid, kind }) => !far[solid] && shown(kind));
}

/**
 * What is drawn on surfaces, none of it nearer to another than the shot's least gap.
 * @param shown whether a kind of detail is drawn at all
 */
export const detailStretches = (context: DetailContext, shown: (kind: number) => boolean): readonly DetailStretch[] =>
  thinned(context.view, detailItems(context, shown), lineSpacingOf(context.shot).gap).flatMap(({ segments, kind }) =>
    segments.map((segment) => ({ segment, kind })),
  );

/** A kind of detail of which some are left out, since they would clot: how many there are in the panel, and where. */
export interface ThinnedKind {
  readonly kind: number;
  readonly all: number;
  readonly left: number;
  /** Where the first that is left out would be, on paper, mm. */
  readonly at: Vec2;
}

/** What of the details in the panel is left out of the drawing, kind by kind. */
export function thinnedKinds(context: DetailContext, shown: (kind: number) => boolean): readonly ThinnedKind[] {
  const { view, shot } = context;
  const placed = detailItems(context, shown).flatMap((item) => {
    const [a, b] = item.segments[0].map((place) => project(view, place));
    const at: Vec2 | null = a && b && [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
    return at && contains(shot.frame, at) ? [{ item, at }] : [];
  });
  const kept = new Set(
    thinned(
      view,
      placed.map(({ item }) => item),
      lineSpacingOf(shot).gap,
    ),
  );
  const kinds = new Map<number, { all: number; left: number; at: Vec2 }>();
  for (const { item, at } of placed) {
    const out = !kept.has(item);
    const now = kinds.get(item.kind) ?? { all: 0, left: 0, at };
    kinds.set(item.kind, {
      all: now.all + 1,
      left: now.left + Number(out),
      at: out && now.left === 0 ? at : now.at,
    });
  }
  return [...kinds].flatMap(([kind, one]) => (one.left > 0 ? [{ kind, ...one }] : []));
}
