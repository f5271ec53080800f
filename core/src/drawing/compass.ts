import { clipToRect, degrees, type Rect, type Vec2 } from "../geometry";
import { showOf, type Shot } from "../scene";
import { ringRadius, type View } from "../shot";
import { byCompass, compassArcs, exactPlaces, footLine, type CompassArc, type Pin } from "../vanishing";
import type { Layer } from "./layer";
import { STYLES } from "./style";

/**
 * A tick of the difference is drawn where arc and curve are farther apart than this, mm: what a pencil can keep
 * (common practice).
 */
const SEEN = 0.3;

function clipped(out: number[], [x, y]: Vec2, [dx, dy]: Vec2, within: Rect, range: readonly [number, number]): void {
  const kept = clipToRect([x, y], [dx, dy], within, range);
  if (kept && kept.every(Number.isFinite)) for (const t of kept) out.push(x + t * dx, y + t * dy);
}

/** An arc inside the rim and the panel, in chords within 0.02 mm. */
function arcLines({ foot, radius, slant }: CompassArc, { centre, frame }: View, rim: number): number[] {
  const lines: number[] = [];
  if (!foot) {
    const a = ((slant ?? 0) * Math.PI) / 180;
    clipped(lines, centre, [Math.cos(a) * rim, Math.sin(a) * rim], frame, [-1, 1]);
    return lines;
  }
  const step = Math.min(0.2, 2 * Math.acos(1 - Math.min(0.5, 0.02 / radius)));
  // As far to both sides of C, seen from the foot, as the arc stays within the rim: by the law of cosines, in half
  // angles.
  const middle = Math.atan2(centre[1] - foot[1], centre[0] - foot[0]);
  const far = Math.hypot(centre[0] - foot[0], centre[1] - foot[1]);
  const reach = (rim * rim - (radius - far) ** 2) / (4 * radius * Math.max(far, 1e-9));
  if (reach <= 0) return lines;
  const half = 2 * Math.asin(Math.min(1, Math.sqrt(reach)));
  const n = Math.ceil((2 * half) / step);
  const at = (i: number): Vec2 => [
    foot[0] + radius * Math.cos(middle - half + (2 * half * i) / n),
    foot[1] + radius * Math.sin(middle - half + (2 * half * i) / n),
  ];
  for (let i = 0; i < n; i++) {
    const [a, b] = [at(i), at(i + 1)];
    clipped(lines, a, [b[0] - a[0], b[1] - a[1]], frame, [0, 1]);
  }
  return lines;
}

/** Where the compass stands for what it draws, sheet mm. */
export const compassFeet = (shot: Shot, pins: readonly Pin[], view: View): Vec2[] =>
  compassArcs(shot, pins, view).flatMap(({ arc: { foot } }) => (foot ? [foot] : []));

/**
 * The compass's work over the exact curves: the arc of each horizon and of each line that was picked, their feet and
 * the
 * lines on which feet lie, and ticks from arc to curve where a pencil would show the difference.
 * @param within where feet and their lines are drawn: the sheet, or as much of the desk as is looked at
 */
export function compassLayers(
  shot: Shot,
  pins: readonly Pin[],
  view: View,
  within: Rect = { x: 0, y: 0, width: shot.sheet.width, height: shot.sheet.height },
): Layer[] {
  const { compass } = showOf(shot);
  if (compass === 0 || !byCompass(view)) return [];
  const rim = ringRadius(view, Math.min(90, degrees(view.law.limit)));
  const [arcs, feet, off]: [number[], number[], number[]] = [[], [], []];
  for (const { normal, arc } of compassArcs(shot, pins, view)) {
    arcs.push(...arcLines(arc, view, rim));
    const { foot, radius } = arc;
    if (!foot) continue;
    const [x, y] = foot;
    clipped(feet, [x - 3, y], [6, 0], within, [0, 1]);
    clipped(feet, [x, y - 3], [0, 6], within, [0, 1]);
    for (const [px, py] of exactPlaces(view, normal)) {
      const d = Math.hypot(px - x, py - y);
      if (Math.abs(d - radius) > SEEN)
        clipped(
          off,
          [px, py],
          [x + ((px - x) * radius) / d - px, y + ((py - y) * radius) / d - py],
          view.frame,
          [0, 1],
        );
    }
  }
  const lines: number[] = [];
  for (const pin of pins.filter(({ opposite }) => !opposite)) {
    const line = footLine(view, pin);
    if (line) clipped(lines, line.at, line.along, within, [-1e5, 1e5]);
  }
  const layer = (id: string, name: string, style: Layer["style"], of: number[]): Layer => ({
    id,
    name,
    style: { ...style, opacity: compass },
    lines: Float64Array.from(of),
  });
  return [
    layer("compass-arcs", "Compass arcs", STYLES.compass, arcs),
    layer("compass-difference", "From arc to exact curve", STYLES.compass, off),
    layer("compass-feet", "Compass feet", STYLES.compass, feet),
    layer("compass-lines", "Lines of feet", STYLES.feet, lines),
  ];
}
