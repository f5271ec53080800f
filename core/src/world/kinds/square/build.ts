import { radians, type Vec2 } from "../../../geometry";
import { cornersOf } from "../../outline";
import { areaTwice, crossingOf } from "../../polygon";
import type { ElementError } from "../kind";
import type { Square } from "./schema";
import { loft } from "../../shapes";
import type { Detail, DetailKind } from "../../details";
import { faceNamed, type Solid } from "../../solid";

/** A paved square's measures where nothing is said, m (common practice). */
export const DEFAULT_SQUARE: Pick<Square, "kerb" | "slabs"> = { kerb: 0.12, slabs: 2 };

/** No square has more joints in one direction than this. */
const MAX_JOINTS = 2000;

/** Why a square cannot be paved, and the field; null where it can. */
export function validateSquare(square: Square): ElementError | null {
  const points = cornersOf(square);
  if (points.length < 3 || areaTwice(points) < 1e-6)
    return { field: "footprint", message: "has no area: its corners lie on one line." };
  return crossingOf(points) ? { field: "footprint", message: "crosses itself." } : null;
}

/** The pavement of a square as a low solid; none where it lies level with the ground. */
export function buildSquare(square: Square): Solid[] {
  if (validateSquare(square) || square.kerb === 0) return [];
  const points = cornersOf(square);
  return [
    loft(
      square.id,
      [
        { points, z: 0 },
        { points, z: square.kerb },
      ],
      null,
    ),
  ];
}

/** The joints of a square's slabs, cut at its rim, and the rim where it lies level with the ground. */
export function squareDetails(square: Square, solids: readonly Solid[]): Detail[] {
  if (validateSquare(square)) return [];
  const { kerb, slabs, heading } = square;
  const points = cornersOf(square);
  const [solid] = solids;
  const on = solid && { solid, face: faceNamed(solid, "top") };
  const detail = (kind: DetailKind, [ax, ay]: Vec2, [bx, by]: Vec2, index?: number): Detail => ({
    kind,
    item: index === undefined ? undefined : { index },
    a: [ax, ay, kerb],
    b: [bx, by, kerb],
    on,
  });
  const rim = kerb === 0 ? points.map((p, i) => detail("kerb", p, points[(i + 1) % points.length])) : [];
  if (!slabs) return rim;
  const [s, c] = [Math.sin(radians(heading)), Math.cos(radians(heading))];
  return [
    ...rim,
    ...[
      [s, c],
      [c, -s],
    ]
      .flatMap(([ux, uy]) => hatched(points, [ux, uy], slabs))
      .map(({ a, b, index }) => detail("joint", a, b, index)),
  ];
}

/** A line of a hatching, and its place in it. */
interface Hatch {
  readonly a: Vec2;
  readonly b: Vec2;
  readonly index: number;
}

/** Lines along a direction of length 1, one every so many m, where they lie within a polygon. */
function hatched(points: readonly Vec2[], [ux, uy]: Vec2, every: number): Hatch[] {
  const turned = points.map(([x, y]): Vec2 => [x * ux + y * uy, y * ux - x * uy]);
  const [low, high] = [Math.min(...turned.map(([, t]) => t)), Math.max(...turned.map(([, t]) => t))];
  const back = (s: number, t: number): Vec2 => [s * ux - t * uy, s * uy + t * ux];
  const out: Hatch[] = [];
  for (let k = Math.ceil((low + 1e-6) / every), n = 0; k * every < high - 1e-6 && n < MAX_JOINTS; k++, n++) {
    const t = k * every;
    const crossings = turned
      .flatMap(([s, at], i) => {
        const [s2, at2] = turned[(i + 1) % turned.length];
        return at <= t !== at2 <= t ? [s + ((t - at) / (at2 - at)) * (s2 - s)] : [];
      })
      .sort((a, b) => a - b);
    for (let i = 0; i + 1 < crossings.length; i += 2)
      if (crossings[i + 1] - crossings[i] > 1e-3)
        out.push({ a: back(crossings[i], t), b: back(crossings[i + 1], t), index: Math.abs(k) });
  }
  return out;
}
