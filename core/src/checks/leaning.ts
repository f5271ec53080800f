import { degrees, distance2, type Vec2 } from "../geometry";
import { placesOf, type SheetLine } from "../lines";
import { project, unprojectTo, type View } from "../shot";
import { sentence } from "../units";
import { tenth, type Check } from "./finding";

/** The long axis leans by less than this where a hand has it right, degrees. */
const LEAN = 4;
/** Rounder than this, an ellipse has no long axis that one could see. */
const ROUND = 1.15;
/** How far the area of a closed line may be off that of the ellipse with its moments. */
const OVAL = 0.06;

/** An oval: its middle, its half axes, and the tilt of the long one, degrees clockwise from right. */
export interface Oval {
  readonly centre: Vec2;
  readonly axes: readonly [number, number];
  readonly tilt: number;
  /** Its area beside that of the ellipse with its moments. */
  readonly fill: number;
}

/**
 * The ellipse with the moments of area of a closed polygon: its middle and axes are those of the polygon where that is
 * an ellipse. Green's theorem; second moments of an ellipse are a^2 / 4 and b^2 / 4 of its area.
 */
export function ovalOf(ring: readonly Vec2[]): Oval {
  let [area, mx, my, xx, xy, yy] = [0, 0, 0, 0, 0, 0];
  const [ox, oy] = ring[0];
  ring.forEach(([px, py], i) => {
    const [qx, qy] = ring[(i + 1) % ring.length];
    const [ax, ay, bx, by] = [px - ox, py - oy, qx - ox, qy - oy];
    const w = ax * by - bx * ay;
    area += w / 2;
    mx += (w * (ax + bx)) / 6;
    my += (w * (ay + by)) / 6;
    xx += (w * (ax * ax + ax * bx + bx * bx)) / 12;
    yy += (w * (ay * ay + ay * by + by * by)) / 12;
    xy += (w * (ax * by + 2 * ax * ay + 2 * bx * by + bx * ay)) / 24;
  });
  const [cx, cy] = [mx / area, my / area];
  const [a, b, c] = [xx / area - cx * cx, xy / area - cx * cy, yy / area - cy * cy];
  const root = Math.hypot((a - c) / 2, b);
  const [long, short] = [(a + c) / 2 + root, Math.max(0, (a + c) / 2 - root)];
  const axes = [2 * Math.sqrt(long), 2 * Math.sqrt(short)] as const;
  return {
    centre: [cx + ox, cy + oy],
    axes,
    tilt: degrees(Math.atan2(2 * b, a - c) / 2),
    fill: Math.abs(area) / (Math.PI * axes[0] * axes[1]),
  };
}

/** How a level circle that is seen about as large at a place lies: the tilt of its long axis, degrees; or null. */
export function levelTilt(view: View, { centre, axes }: Oval): number | null {
  // All level planes show circles alike, larger or smaller: one a metre below the eye, or above it.
  const place = [view.eye[2] - 1, view.eye[2] + 1]
    .map((height) => unprojectTo(view, centre, [0, 0, 1], height))
    .find((one) => one !== null);
  const beside = place && project(view, [place[0] + 0.01 * view.right[0], place[1] + 0.01 * view.right[1], place[2]]);
  if (!place || !beside) return null;
  const radius = (0.01 * axes[0]) / distance2(centre, beside);
  const seen = Array.from({ length: 120 }, (_, i) => {
    const turn = (i * Math.PI) / 60;
    return project(view, [place[0] + radius * Math.cos(turn), place[1] + radius * Math.sin(turn), place[2]]);
  });
  return seen.every((one) => one !== null) ? ovalOf(seen).tilt : null;
}

/** The turn between two axes, whichever way round, degrees. */
const apart = (a: number, b: number): number => {
  const turn = Math.abs(a - b) % 180;
  return Math.min(turn, 180 - turn);
};

/** A closed stroke of one's own that is an oval, or null. */
function ovalStroke(line: SheetLine): Oval | null {
  if (line.kind !== "stroke") return null;
  const places = placesOf(line.samples);
  if (places.length < 12) return null;
  const oval = ovalOf(places);
  const closed = distance2(places[0], places[places.length - 1]) < 0.25 * oval.axes[1];
  return closed && Math.abs(oval.fill - 1) < OVAL && oval.axes[0] > ROUND * oval.axes[1] ? oval : null;
}

/** A freehand oval whose long axis leans, as that of no level circle seen there does. */
export const leaningOval: Check = ({ shot, view }) =>
  (shot.lines ?? []).flatMap((line) => {
    const oval = ovalStroke(line);
    const level = oval && levelTilt(view, oval);
    if (!oval || level === null) return [];
    const lean = apart(oval.tilt, level);
    if (lean <= LEAN || lean > 30) return [];
    return [
      {
        id: `own-oval-leans-${line.id}`,
        severity: "note" as const,
        where: "A freehand oval",
        at: oval.centre,
        value: tenth(lean),
        unit: "°" as const,
        message: sentence`Its long axis leans ${lean.toFixed(1)}°: a level circle seen there has it at
          ${level.toFixed(1)}°. A circle by eight points shows it.`,
      },
    ];
  });
