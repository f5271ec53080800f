import { between2, between3, cutRing, dot, norm, scale, sub, type Rect, type Vec2, type Vec3 } from "../geometry";
import { project, sightPlanes, type View } from "../shot";
import type { FaceAreas } from "../visibility";
import type { Areas } from "./layer";

/** Sides of areas are drawn in chords of no more than this in a curved lens, radians. */
const CHORD = 0.01;

/** A ring of the world on paper in a straight lens, cut at the panel before it is projected. */
function straightRing(view: View, planes: readonly Vec3[], ring: readonly Vec3[]): readonly Vec2[] {
  const from = ring.map((p) => sub(p, view.eye));
  const seen = planes.reduce<readonly Vec3[]>((left, plane) => cutRing(left, (p) => dot(plane, p), between3), from);
  return seen.flatMap((p) => {
    const deep = dot(p, view.forward);
    const k = view.distance / deep;
    return deep > 0 ? [[view.centre[0] + k * dot(p, view.right), view.centre[1] - k * dot(p, view.up)] as const] : [];
  });
}

/** A ring on paper in a curved lens, cut at the panel; none where some of it lies beyond what the lens shows. */
function curvedRing(view: View, ring: readonly Vec3[]): readonly Vec2[] {
  const { frame } = view;
  const places: Vec2[] = [];
  for (let i = 0; i < ring.length; i++) {
    const [p, q] = [ring[i], ring[(i + 1) % ring.length]].map((at) => sub(at, view.eye));
    const angle = Math.acos(Math.min(1, Math.max(-1, dot(p, q) / (norm(p) * norm(q)))));
    const steps = Math.max(1, Math.ceil(angle / CHORD));
    for (let k = 0; k < steps; k++) {
      // Along the arc between both directions, so that chords are even as the eye sees them.
      const [a, b] = [scale(p, (1 - k / steps) / norm(p)), scale(q, k / steps / norm(q))];
      const place = project(view, [view.eye[0] + a[0] + b[0], view.eye[1] + a[1] + b[1], view.eye[2] + a[2] + b[2]]);
      const last = places[places.length - 1];
      // A leap over the panel is where the picture ends on one side and goes on on the other.
      if (!place || (last && Math.abs(place[0] - last[0]) > frame.width)) return [];
      places.push(place);
    }
  }
  return withinRect(places, frame);
}

const withinRect = (ring: readonly Vec2[], { x, y, width, height }: Rect): readonly Vec2[] =>
  [([u]: Vec2) => u - x, ([u]: Vec2) => x + width - u, ([, v]: Vec2) => v - y, ([, v]: Vec2) => y + height - v].reduce<
    readonly Vec2[]
  >((left, inside) => cutRing(left, inside, between2), ring);

/** The rings of areas in the world on paper, cut at the panel. @param keep which of them, by number */
export function areasOnPaper(view: View, { xyz, starts }: FaceAreas, keep: (ring: number) => boolean): Areas {
  const planes = view.law.straight ? sightPlanes(view) : [];
  const xy: number[] = [];
  const rings = [0];
  for (let i = 0; i + 1 < starts.length; i++) {
    if (!keep(i)) continue;
    const ring = Array.from({ length: starts[i + 1] - starts[i] }, (_, k): Vec3 => {
      const o = 3 * (starts[i] + k);
      return [xyz[o], xyz[o + 1], xyz[o + 2]];
    });
    const drawn = view.law.straight ? straightRing(view, planes, ring) : curvedRing(view, ring);
    if (drawn.length < 3) continue;
    for (const place of drawn) xy.push(...place);
    rings.push(xy.length / 2);
  }
  return { xy: Float64Array.from(xy), starts: Uint32Array.from(rings) };
}
