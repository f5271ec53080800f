import { degrees, distance2, type Vec2 } from "../geometry";
import { placesOf, type SheetLine } from "../lines";

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
  /** How far it reaches along its long axis beside that ellipse: more where its ends are pointed, less where flat. */
  readonly reach: number;
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
  const tilt = Math.atan2(2 * b, a - c) / 2;
  const along = ring.map(([x, y]) => (x - ox) * Math.cos(tilt) + (y - oy) * Math.sin(tilt));
  return {
    centre: [cx + ox, cy + oy],
    axes,
    tilt: degrees(tilt),
    reach: (Math.max(...along) - Math.min(...along)) / (2 * axes[0]),
    fill: Math.abs(area) / (Math.PI * axes[0] * axes[1]),
  };
}

/** A closed stroke of one's own that is an oval, or null. */
export function ovalStroke(line: SheetLine): Oval | null {
  if (line.kind !== "stroke") return null;
  const places = placesOf(line.samples);
  if (places.length < 12) return null;
  const oval = ovalOf(places);
  const closed = distance2(places[0], places[places.length - 1]) < 0.25 * oval.axes[1];
  return closed && Math.abs(oval.fill - 1) < OVAL && oval.axes[0] > ROUND * oval.axes[1] ? oval : null;
}
