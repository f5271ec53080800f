import { clipToRect, corners, sub, type Rect, type Vec2, type Vec3 } from "../geometry";
import { bundle, circleLines, coneRadius, CONES, measuredGrid } from "../grid";
import { bundleOf, showOf, type Orientation, type Scene, type Shot, type Show } from "../scene";
import { clipToSight, project, sightPlanes, viewOf, type View } from "../shot";
import { footOn, horizon, lineFrame, lineIn, pinsOf, type Line, type Pin } from "../vanishing";
import { CREASE, HIDDEN, OUTLINE, type Seen, type Sight } from "../visibility";
import { setStyle, STYLES, type Style } from "./style";

/** Lines of one kind, drawn alike. */
export interface Layer {
  readonly id: string;
  readonly name: string;
  readonly style: Style;
  /** x1 y1 x2 y2 of every line, in sheet mm. */
  readonly lines: Float64Array;
}

/** A sheet with its layers from the bottom up: what every output shows. */
export interface Drawing {
  readonly title: string;
  readonly width: number;
  readonly height: number;
  readonly layers: readonly Layer[];
}

/** The sides of an upright rectangle. */
function outline(rect: Rect): Float64Array {
  const [a, b, c, d] = corners(rect);
  return Float64Array.from([a, b, b, c, c, d, d, a].flat());
}

const segment = (ends: readonly [Vec2, Vec2] | null): Float64Array => Float64Array.from(ends ? ends.flat() : []);

/** The loose bundles of pins, each set in its own hue and dash. */
export function bundleLayers(shot: Shot, pins: readonly Pin[], view: View): Layer[] {
  const line = horizon(view);
  return pins.map((pin) => {
    const { spacing, strength } = bundleOf(shot, pin.id);
    const opacity = strength * showOf(shot).bundles;
    const lines = opacity > 0 ? bundle(pin.point, shot.frame, spacing, anchor(pin, line, view)) : new Float64Array();
    const { stroke, dash } = setStyle(pin);
    return { id: `grid-${pin.id}`, name: `Grid: ${pin.name}`, style: { ...STYLES.bundle, stroke, dash, opacity }, lines };
  });
}

/** Measured planes, each with its light and its heavy lines, in the directions of the first orientation. */
export function measuredLayers([main]: readonly Orientation[], shot: Shot, view: View): Layer[] {
  const { bundles } = showOf(shot);
  return (shot.measured ?? []).flatMap((plane, i) => {
    const opacity = plane.strength * bundles;
    if (!main || opacity === 0) return [];
    const { lines, numbers } = measuredGrid(view, main.heading, shot.gaze.heading, plane);
    const layer = (kind: "measured" | "heavy"): Layer => {
      const of = [...numbers.keys()].filter((n) => (numbers[n] % plane.heavy === 0) === (kind === "heavy"));
      const name = `Squares of ${plane.every} m, ${plane.plane}${kind === "heavy" ? `, every ${plane.heavy}` : ""}`;
      return { id: `${kind}-${i + 1}`, name, style: { ...STYLES[kind], opacity }, lines: Float64Array.from(of.flatMap((n) => [...lines.subarray(4 * n, 4 * n + 4)])) };
    };
    return [layer("measured"), layer("heavy")];
  });
}

/** The circles of 30, 60 and 90 degrees about the centre of vision, cut at the sheet. */
export function coneLayer(shot: Shot, view: View): Layer {
  const { cone } = showOf(shot);
  const sheet = { x: 0, y: 0, width: shot.sheet.width, height: shot.sheet.height };
  const lines: number[] = [];
  for (const angle of cone > 0 ? CONES : []) {
    const circle = circleLines(view.centre, coneRadius(view.distance, angle));
    for (let i = 0; i < circle.length; i += 4) {
      const [x, y, dx, dy] = [circle[i], circle[i + 1], circle[i + 2] - circle[i], circle[i + 3] - circle[i + 1]];
      const range = clipToRect([x, y], [dx, dy], sheet, [0, 1]);
      if (range) for (const t of range) lines.push(x + t * dx, y + t * dy);
    }
  }
  return { id: "cone", name: "Cone of vision: 30, 60, 90 degrees", style: { ...STYLES.cone, opacity: cone }, lines: Float64Array.from(lines) };
}

/** A point that one line of the bundle must pass: on the horizon, away from the pin, for level sets. */
function anchor(pin: Pin, line: Line | null, view: View): Vec2 {
  if (pin.role === "upright" || !line) return view.centre;
  const [x, y] = footOn(line, view.centre);
  const { along } = lineFrame(line);
  return pin.point.at && Math.hypot(x - pin.point.at[0], y - pin.point.at[1]) < 1 ? [x + along[0], y + along[1]] : [x, y];
}

/** The stretches of one sight, or of one sight of one solid, on paper: x1 y1 x2 y2 in mm, cut at the panel. */
export function stretchLines(view: View, seen: Seen, sight: Sight): Float64Array {
  const planes = sightPlanes(view);
  const lines: number[] = [];
  const { ends } = seen;
  for (let i = 0; i < seen.sight.length; i++) {
    if (seen.sight[i] !== sight) continue;
    const o = 6 * i;
    pushLine(lines, view, planes, [ends[o], ends[o + 1], ends[o + 2]], [ends[o + 3], ends[o + 4], ends[o + 5]]);
  }
  return Float64Array.from(lines);
}

/** World segments on paper, cut at the panel: x1 y1 x2 y2 in mm. */
export function segmentLines(view: View, segments: readonly (readonly [Vec3, Vec3])[]): Float64Array {
  const planes = sightPlanes(view);
  const lines: number[] = [];
  for (const [a, b] of segments) pushLine(lines, view, planes, a, b);
  return Float64Array.from(lines);
}

function pushLine(lines: number[], view: View, planes: readonly Vec3[], a: Vec3, b: Vec3): void {
  const range = clipToSight(view.eye, planes, a, b);
  if (!range) return;
  const d = sub(b, a);
  const at = (t: number): Vec3 => [a[0] + t * d[0], a[1] + t * d[1], a[2] + t * d[2]];
  const [p, q] = [project(view, at(range[0])), project(view, at(range[1]))];
  if (p && q) lines.push(p[0], p[1], q[0], q[1]);
}

/** Layers of the buildings: hidden lines, creases, outlines. A kind that is not shown is not worked out. */
export function buildingLayers(view: View, seen: Seen, show: Required<Show>): Layer[] {
  const layer = (id: string, name: string, style: Style, sight: Sight, strength: number): Layer => ({
    id, name, style: { ...style, opacity: strength }, lines: strength > 0 ? stretchLines(view, seen, sight) : new Float64Array(),
  });
  return [
    layer("hidden", "Hidden lines", STYLES.hidden, HIDDEN, show.hidden * show.buildings),
    layer("creases", "Creases", STYLES.crease, CREASE, show.buildings),
    layer("outlines", "Outlines", STYLES.outline, OUTLINE, show.buildings),
  ];
}

/** Layers of the sheet itself: live area, horizon, frame. */
export function sheetLayers(shot: Shot, view: View): Record<"live" | "horizon" | "frame", Layer> {
  const show = showOf(shot);
  const line = horizon(view);
  const layer = (id: "live" | "horizon" | "frame", name: string, lines: Float64Array): Layer => ({
    id, name, style: { ...STYLES[id], opacity: show[id] }, lines: show[id] > 0 ? lines : new Float64Array(),
  });
  return {
    live: layer("live", "Live area", shot.sheet.live ? outline(shot.sheet.live) : new Float64Array()),
    horizon: layer("horizon", "Horizon", segment(line && lineIn(line, shot.frame))),
    frame: layer("frame", "Panel frame", outline(shot.frame)),
  };
}

/** The drawing of one shot, from its stretches as its eye sees them; layers with nothing in them are left out. */
export function draw(scene: Scene, shot: Shot, seen: Seen): Drawing {
  const view = viewOf(shot);
  const { live, horizon: eyeLevel, frame } = sheetLayers(shot, view);
  const layers = [
    live,
    ...bundleLayers(shot, pinsOf(scene.orientations, shot), view),
    ...measuredLayers(scene.orientations, shot, view),
    coneLayer(shot, view),
    eyeLevel,
    ...buildingLayers(view, seen, showOf(shot)),
    frame,
  ];
  return {
    title: `${scene.title}: ${shot.name}`,
    width: shot.sheet.width,
    height: shot.sheet.height,
    layers: layers.filter((layer) => layer.lines.length > 0),
  };
}
