import { cross, dot, norm, scale, type Vec2, type Vec3 } from "@zanvo/core/geometry";
import { HIDDEN, visibleEdges } from "@zanvo/core/visibility";
import { built, type Element } from "@zanvo/core/world";
import type { PressedPlace, Thing } from "./thing";

/** From where samples are looked at: so far off that they are drawn without a point, m. */
const EYE: Vec3 = [-1300, -2400, 1500];
/** Round things are drawn within this angle, rad: some mm from so far off. */
const WITHIN = 2e-6;
/** Towards the eye, as near as a quarter turn goes to it, degrees; and the wall or the slope that samples are on. */
const FACES = 180;
const PLACES: readonly PressedPlace[] = [
  { at: [0, 0, 0], normal: [0, 0, 1], heading: FACES },
  { at: [0, 0, 0], normal: [0, -1, 0], heading: FACES },
  { at: [0, 0, 0], normal: [0, -0.5, Math.sqrt(0.75)], heading: FACES },
];

/** A thing as it would be put down by itself; null where it needs more than a floor, a wall or a slope. */
function alone(thing: Thing): Element | null {
  for (const place of PLACES) {
    const drawn = thing.put(place);
    if (typeof drawn !== "string") return { ...(thing.plainer?.(drawn) ?? drawn), id: thing.id, name: thing.label };
  }
  return null;
}

/** What is seen of a thing, as stretches within a rectangle of a width and a height, from its upper left corner. */
export function sampleOf(thing: Thing, wide: number, high: number): readonly (readonly [Vec2, Vec2])[] {
  const element = alone(thing);
  if (!element) return [];
  const { solids, details } = built([element]);
  const { ends, edgeClass } = visibleEdges(solids, EYE, details, WITHIN);
  const forward = scale(EYE, -1 / norm(EYE));
  const right = scale([forward[1], -forward[0], 0], 1 / Math.hypot(forward[0], forward[1]));
  const down = cross(forward, right);
  const seen = [...edgeClass.keys()]
    .filter((i) => edgeClass[i] !== HIDDEN)
    .map((i) =>
      [0, 3].map((k): Vec2 => {
        const p: Vec3 = [ends[6 * i + k], ends[6 * i + k + 1], ends[6 * i + k + 2]];
        return [dot(p, right), dot(p, down)];
      }),
    );
  const [xs, ys] = [0, 1].map((axis) => seen.flat().map((p) => p[axis]));
  const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
  const [w, h] = [Math.max(...xs) - x0, Math.max(...ys) - y0];
  const size = Math.min(wide / w, high / h);
  const [left, top] = [(wide - size * w) / 2, (high - size * h) / 2];
  const at = ([x, y]: Vec2): Vec2 => [left + size * (x - x0), top + size * (y - y0)];
  return seen.map(([a, b]) => [at(a), at(b)] as const);
}
