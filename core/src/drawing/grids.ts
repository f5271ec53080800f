import { clipToRect, contains, cross, degrees, radians, type Rect, type Vec2 } from "../geometry";
import {
  bundle,
  circleLines,
  coneRadius,
  CONES,
  curvedBundle,
  curvedMeasured,
  FADES,
  fadeSteps,
  measuredGrid,
  planeOf,
  type MeasuredLines,
  type Spread,
} from "../grid";
import { bundleOf, roomOf, showOf, type Measured, type Orientation, type Shot } from "../scene";
import { ringRadius, type View } from "../shot";
import { footOn, horizon, isLevel, lineFrame, measuringPoints, type Line, type Pin } from "../vanishing";
import type { Layer, Strokes } from "./layer";
import { lettering, letteringWidth } from "./lettering";
import { setStyle, STYLES } from "./style";

/** The loose bundles of pins, each set in its own hue and dash. */
export function bundleLayers(shot: Shot, pins: readonly Pin[], view: View): Layer[] {
  const line = horizon(view);
  return pins
    .filter(({ opposite }) => !opposite)
    .map((pin) => {
      const spread = bundleOf(shot, pin.id);
      const opacity = spread.off ? 0 : spread.strength * showOf(shot).bundles;
      const { stroke, dash } = setStyle(pin);
      return {
        id: `grid-${pin.id}`,
        name: `Grid: ${pin.name}`,
        style: { ...STYLES.bundle, stroke, dash, opacity },
        ...(opacity > 0 ? strokes(pin, spread) : { lines: new Float64Array() }),
      };
    });

  function strokes(pin: Pin, spread: Spread): Strokes {
    if (view.law.straight)
      return { lines: bundle(pin.point, shot.frame, spread, anchor(pin, line, view), roomOf(shot)) };
    // The horizon is one of every level set, and the upright plane of the gaze one of the others.
    const through = isLevel(pin) ? cross(pin.direction, [0, 0, 1]) : view.forward;
    return { lines: new Float64Array(), curves: curvedBundle(view, pin.direction, spread, through, roomOf(shot)) };
  }
}

/**
 * Measured planes, each with its light and its heavy lines and their numbers, in the directions of the first
 * orientation.
 */
export function measuredLayers([main]: readonly Orientation[], shot: Shot, view: View): Layer[] {
  const { bundles } = showOf(shot);
  return (shot.measured ?? []).flatMap((plane, i) => {
    const opacity = plane.strength * bundles;
    if (!main || opacity === 0) return [];
    const name = `Squares of ${plane.every} m, ${plane.plane}`;
    if (!view.law.straight) {
      const { light, heavy } = curvedMeasured(view, main.heading, shot.gaze.heading, plane, roomOf(shot).gap);
      return [
        {
          id: `measured-${i + 1}`,
          name,
          style: { ...STYLES.measured, opacity },
          lines: new Float64Array(),
          curves: light,
        },
        {
          id: `heavy-${i + 1}`,
          name: `${name}, every ${plane.heavy}`,
          style: { ...STYLES.heavy, opacity },
          lines: new Float64Array(),
          curves: heavy,
        },
      ];
    }
    const grid = measuredGrid(view, main.heading, shot.gaze.heading, plane, roomOf(shot).gap);
    const steps = plane.fade
      ? fadeSteps(view, planeOf(view, main.heading, shot.gaze.heading, plane), grid, plane.fade)
      : [grid];
    const layers = steps.flatMap((step, n) =>
      (["measured", "heavy"] as const).map((kind): Layer => ({
        id: `${kind}-${i + 1}${n ? `-${n + 1}` : ""}`,
        name: kind === "heavy" ? `${name}, every ${plane.heavy}` : name,
        style: { ...STYLES[kind], opacity: opacity * (plane.fade ? FADES[n] : 1) },
        lines: Float64Array.from(linesWhere(step, (number) => (number % plane.heavy === 0) === (kind === "heavy"))),
      })),
    );
    if (plane.numbered) {
      const written = numberLines(steps, plane, shot.frame);
      layers.push({
        id: `numbers-${i + 1}`,
        name: `Measures of squares of ${plane.every} m`,
        style: { ...STYLES.numbers, opacity: Math.min(1, 1.6 * opacity) },
        lines: written,
      });
    }
    return layers;
  });
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

/** Measuring and distance points as small crosses, named; those beyond a rectangle are left out. */
export function measuringLayer(shot: Shot, pins: readonly Pin[], view: View, within?: Rect): Layer {
  const { measuring } = showOf(shot);
  const lines = (measuring > 0 ? measuringPoints(view, pins) : [])
    .filter(({ at }) => !within || contains(within, at))
    .flatMap(({ kind, at: [x, y] }) => [
      x - 3,
      y,
      x + 3,
      y,
      x,
      y - 3,
      x,
      y + 3,
      ...lettering(kind === "distance" ? "D" : "M", [x + 1.5, y - 1.5], 2.6),
    ]);
  return {
    id: "measuring",
    name: "Measuring points",
    style: { ...STYLES.horizon, opacity: measuring },
    lines: Float64Array.from(lines),
  };
}

/** How far off the gaze the rings of a disc are, degrees; its spokes stand as far apart. */
const RINGS = 15;

/**
 * In a straight lens the circles of 30, 60 and 90 degrees about the centre of vision; on a disc its rings and spokes,
 * every
 * 15 degrees. Cut at the sheet.
 */
export function coneLayer(shot: Shot, view: View): Layer {
  const { cone } = showOf(shot);
  const { law, centre, distance } = view;
  const sheet = { x: 0, y: 0, width: shot.sheet.width, height: shot.sheet.height };
  const lines: number[] = [];
  const most = degrees(law.limit);
  const rings =
    law.shape !== "round"
      ? []
      : law.straight
        ? CONES.map((angle) => angle / 2)
        : Array.from({ length: Math.floor(most / RINGS) }, (_, i) => (i + 1) * RINGS);
  if (cone > 0 && !law.straight && law.shape === "round") {
    const rim = ringRadius(view, most - 1e-6);
    for (let turn = 0; turn < 360; turn += RINGS) {
      const [c, s] = [Math.cos(radians(turn)), Math.sin(radians(turn))];
      const range = clipToRect(centre, [c * rim, s * rim], sheet, [0, 1]);
      if (range) for (const t of range) lines.push(centre[0] + t * rim * c, centre[1] + t * rim * s);
    }
  }
  for (const angle of cone > 0 ? rings : []) {
    const circle = circleLines(
      centre,
      law.straight ? coneRadius(distance, 2 * angle) : ringRadius(view, Math.min(angle, most - 1e-6)),
    );
    for (let i = 0; i < circle.length; i += 4) {
      const [x, y, dx, dy] = [circle[i], circle[i + 1], circle[i + 2] - circle[i], circle[i + 3] - circle[i + 1]];
      const range = clipToRect([x, y], [dx, dy], sheet, [0, 1]);
      if (range) for (const t of range) lines.push(x + t * dx, y + t * dy);
    }
  }
  return {
    id: "cone",
    name: law.straight ? "Cone of vision: 30, 60, 90 degrees" : "Rings and spokes of the disc",
    style: { ...STYLES.cone, opacity: cone },
    lines: Float64Array.from(lines),
  };
}

/** The rim of a disc in the panel: where the world is cut into before and behind, and where the lens ends. */
export function rimLines(view: View): number[] {
  const { law, centre, frame } = view;
  if (law.straight || law.shape !== "round") return [];
  const most = degrees(law.limit);
  return [...new Set([Math.min(90, most), most])].flatMap((angle) => {
    const circle = circleLines(centre, ringRadius(view, angle - 1e-6));
    const kept: number[] = [];
    for (let i = 0; i < circle.length; i += 4) {
      const [x, y, dx, dy] = [circle[i], circle[i + 1], circle[i + 2] - circle[i], circle[i + 3] - circle[i + 1]];
      const range = clipToRect([x, y], [dx, dy], frame, [0, 1]);
      if (range) for (const t of range) kept.push(x + t * dx, y + t * dy);
    }
    return kept;
  });
}

/** A point that one line of the bundle must pass: on the horizon, away from the pin, for level sets. */
function anchor(pin: Pin, line: Line | null, view: View): Vec2 {
  if (!isLevel(pin) || !line) return view.centre;
  const [x, y] = footOn(line, view.centre);
  const { along } = lineFrame(line);
  return pin.point.at && Math.hypot(x - pin.point.at[0], y - pin.point.at[1]) < 1
    ? [x + along[0], y + along[1]]
    : [x, y];
}
