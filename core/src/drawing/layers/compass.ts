import { clipToRect, degrees, type Rect, type Vec2 } from "../../geometry";
import { ringRadius, type View } from "../../shot";
import { byCompass, compassArcs, exactPlaces, footLine, type CompassArc } from "../../vanishing";
import { STYLES } from "../style";
import { layerKind, type LayerContext, type LayerPart } from "./kind";

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

const FEET = "compass-feet";
const FOOT_LINES = "compass-lines";
/** The parts of the compass's work that go on beyond the sheet. */
export const BEYOND_SHEET: readonly string[] = [FEET, FOOT_LINES];

/**
 * The compass's work over the exact curves: the arc of each horizon and of each line that was picked, their feet and
 * the lines on which feet lie, and ticks from arc to curve where a pencil would show the difference.
 */
export const compass = layerKind({
  id: "compass",
  label: "Compass arcs",
  order: 140,
  style: STYLES.compass,
  strength: 0,
  reach: "desk",
  construction: true,
  compute: (context) => (byCompass(context.view) ? compassParts(context) : []),
});

function compassParts({ shot, pins, view, within }: LayerContext): LayerPart[] {
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
  return [
    { id: "compass-arcs", lines: Float64Array.from(arcs) },
    { id: "compass-difference", label: "From arc to exact curve", lines: Float64Array.from(off) },
    { id: FEET, label: "Compass feet", lines: Float64Array.from(feet) },
    { id: FOOT_LINES, label: "Lines of feet", style: STYLES.feet, lines: Float64Array.from(lines) },
  ];
}
