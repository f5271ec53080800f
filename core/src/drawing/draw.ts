import { corners, distance2, sub, type Rect, type Vec2, type Vec3 } from "../geometry";
import { DEFAULT_ROOM, roomOf, showOf, type Scene, type Shot, type Show } from "../scene";
import { clipToSight, CurveBook, drawPlane, drawSegment, project, sightPlanes, viewOf, type View } from "../shot";
import { horizon, lineIn, pinsOf } from "../vanishing";
import { CREASE, DETAIL, HIDDEN, MEETING, OUTLINE, type Seen, type Sight } from "../visibility";
import { aidLayers } from "./aids";
import { compassLayers } from "./compass";
import { bundleLayers, coneLayer, measuredLayers, measuringLayer, rimLines } from "./grids";
import { drawnOn, type Drawing, type Layer, type Photo, type Strokes } from "./layer";
import { STYLES, type Style } from "./style";

/** The sides of an upright rectangle. */
function outline(rect: Rect): Float64Array {
  const [a, b, c, d] = corners(rect);
  return Float64Array.from([a, b, b, c, c, d, d, a].flat());
}

const segment = (ends: readonly [Vec2, Vec2] | null): Float64Array => Float64Array.from(ends ? ends.flat() : []);

/** The stretches of one sight on paper, cut at the panel. */
export const stretchLines = (view: View, seen: Seen, sight: Sight): Strokes =>
  segmentLines(view, stretchesOf(seen, sight));

type Segment = readonly [Vec3, Vec3];

/** Stretches of one sight, and the solid that each is of. */
interface Sorted {
  readonly segments: readonly Segment[];
  readonly solid: readonly number[];
}

/** What is seen, sorted by sight once: it is drawn again with every turn of the view. */
const sorted = new WeakMap<Seen, Map<Sight, Sorted>>();

function sortedBy(seen: Seen, wanted: Sight): Sorted {
  let by = sorted.get(seen);
  if (!by) sorted.set(seen, (by = new Map()));
  let found = by.get(wanted);
  if (!found) {
    const { ends, sight, solid } = seen;
    const own = [...sight.keys()].filter((i) => sight[i] === wanted);
    const at = (o: number): Vec3 => [ends[o], ends[o + 1], ends[o + 2]];
    by.set(
      wanted,
      (found = { segments: own.map((i): Segment => [at(6 * i), at(6 * i + 3)]), solid: own.map((i) => solid[i]) }),
    );
  }
  return found;
}

/** The stretches of one sight, in the world, but for those of solids that are left out. */
function stretchesOf(seen: Seen, wanted: Sight, out?: Uint8Array): readonly Segment[] {
  const { segments, solid } = sortedBy(seen, wanted);
  return out ? segments.filter((_, i) => !out[solid[i]]) : segments;
}

/**
 * Details that are drawn apart: none that is drawn nearer than a gap, mm, at both its ends and its middle, to one
 * kept before it. Far away, where they would clot into a black ball, fewer are left, and none that is shorter than
 * the gap.
 */
export function apart(view: View, details: readonly Segment[], gap: number): Segment[] {
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

const NO_LINES = new Float64Array();

/** Drawn smaller than so many gaps, a thing is left with its outline only. */
const FAR = 5;

/** Which solids are drawn so small that what is within their outline would clot: by number. */
function small(view: View, seen: Seen, gap: number): Uint8Array {
  const { segments, solid } = sortedBy(seen, OUTLINE);
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
export function segmentLines(view: View, segments: readonly Segment[]): Strokes {
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

/**
 * Layers of the buildings: hidden lines, details on surfaces, creases, lines of meeting, outlines. A kind that is not
 * shown is not worked out; far things are thinned to their outline.
 */
export function buildingLayers(view: View, seen: Seen, show: Required<Show>, gap = DEFAULT_ROOM.gap): Layer[] {
  const far = show.buildings > 0 ? small(view, seen, gap) : undefined;
  const layer = (id: string, name: string, style: Style, sight: Sight, strength: number): Layer => {
    if (strength === 0) return { id, name, style, lines: NO_LINES };
    const stretches = stretchesOf(seen, sight, sight === OUTLINE ? undefined : far);
    return {
      id,
      name,
      style: { ...style, opacity: strength },
      ...segmentLines(view, sight === DETAIL ? apart(view, stretches, gap) : stretches),
    };
  };
  return [
    layer("hidden", "Hidden lines", STYLES.hidden, HIDDEN, show.hidden * show.buildings),
    layer("details", "Details", STYLES.detail, DETAIL, show.details * show.buildings),
    layer("creases", "Creases", STYLES.crease, CREASE, show.creases * show.buildings),
    layer("meetings", "Lines of meeting", STYLES.meeting, MEETING, show.meetings * show.buildings),
    layer("outlines", "Outlines", STYLES.outline, OUTLINE, show.buildings),
  ];
}

/** The horizon as it is drawn: a line, or in a curved lens the picture of the whole level circle. */
function horizonStrokes(shot: Shot, view: View): Strokes {
  if (view.law.straight) {
    const line = horizon(view);
    return { lines: segment(line && lineIn(line, shot.frame)) };
  }
  const book = new CurveBook();
  drawPlane(view, [0, 0, 1], book);
  return { lines: NO_LINES, curves: book.curves() };
}

/** Layers of the sheet itself: live area, horizon, frame. */
export function sheetLayers(shot: Shot, view: View): Record<"live" | "horizon" | "frame", Layer> {
  const show = showOf(shot);
  const layer = (id: "live" | "horizon" | "frame", name: string, strokes: Strokes): Layer => ({
    id,
    name,
    style: { ...STYLES[id], opacity: show[id] },
    ...(show[id] > 0 ? strokes : { lines: NO_LINES }),
  });
  return {
    live: layer("live", "Live area", { lines: shot.sheet.live ? outline(shot.sheet.live) : NO_LINES }),
    horizon: layer("horizon", "Horizon", horizonStrokes(shot, view)),
    frame: layer("frame", "Panel frame", { lines: Float64Array.from([...outline(shot.frame), ...rimLines(view)]) }),
  };
}

/** The picture under a shot's drawing, where there is one and it is shown. */
function photosOf({ references }: Scene, { under, frame }: Shot): Photo[] {
  const reference = references?.find(({ id }) => id === under?.reference);
  if (!under || !reference || under.strength === 0) return [];
  return [{ picture: reference.picture, name: reference.name, at: under.at, clip: frame, opacity: under.strength }];
}

/** The drawing of one shot, from its stretches as its eye sees them; layers with nothing in them are left out. */
export function draw(scene: Scene, shot: Shot, seen: Seen): Drawing {
  const view = viewOf(shot);
  const { live, horizon: eyeLevel, frame } = sheetLayers(shot, view);
  const pins = pinsOf(scene.orientations, shot);
  const layers = [
    live,
    ...bundleLayers(shot, pins, view),
    ...measuredLayers(scene.orientations, shot, view),
    coneLayer(shot, view),
    eyeLevel,
    measuringLayer(shot, pins, view, { x: 0, y: 0, width: shot.sheet.width, height: shot.sheet.height }),
    ...buildingLayers(view, seen, showOf(shot), roomOf(shot).gap),
    frame,
    ...aidLayers(shot, pins),
    ...compassLayers(shot, pins, view),
  ];
  return {
    title: `${scene.title}: ${shot.name}`,
    width: shot.sheet.width,
    height: shot.sheet.height,
    layers: layers.filter(drawnOn),
    photos: photosOf(scene, shot),
  };
}
