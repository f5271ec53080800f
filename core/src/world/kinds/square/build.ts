import { radians, type Vec2 } from "../../../geometry";
import { cornersOf } from "../../outline";
import { validateSquare } from "./measures";
import type { Square } from "./schema";
import { areaWithout, type Region } from "../../areas";
import { curvesOf } from "../../curves";
import { prism } from "../../shapes";
import type { Area } from "../../triangles";
import type { Detail, DetailKind } from "../../details";
import { asPart, faceNamed, type Solid } from "../../solid";

/** No square has more joints in one direction than this. */
const MAX_JOINTS = 2000;

/** The ground of a square: what is left of it by what it yields to. */
const groundOf = (square: Square, taken: Region): readonly Area[] =>
  taken.length > 0 ? areaWithout(cornersOf(square), taken) : [{ outer: cornersOf(square), holes: [] }];

/** The pavement of a square as low solids; none where it lies level with the ground. */
export function buildSquare(square: Square, taken: Region = []): Solid[] {
  const { id, kerb } = square;
  if (validateSquare(square) || kerb === 0) return [];
  return groundOf(square, taken).map(({ outer, holes }, i) =>
    asPart(
      prism(
        id,
        outer,
        holes.map((hole) => [...hole].reverse()),
        [0, kerb],
        curvesOf,
      ),
      `surface ${i}`,
    ),
  );
}

/** The joints of a square's slabs, cut at its rim, and the rim where it lies level with the ground. */
export function squareDetails(square: Square, solids: readonly Solid[], taken: Region = []): Detail[] {
  if (validateSquare(square)) return [];
  const { kerb, slabs, heading } = square;
  const [s, c] = [Math.sin(radians(heading)), Math.cos(radians(heading))];
  return groundOf(square, taken).flatMap(({ outer, holes }, area) => {
    const solid = solids.find(({ part }) => part === `surface ${area}`);
    const on = solid && { solid, face: faceNamed(solid, "top") };
    const detail = (kind: DetailKind, [ax, ay]: Vec2, [bx, by]: Vec2, index?: number): Detail => ({
      kind,
      item: index === undefined ? undefined : { index },
      a: [ax, ay, kerb],
      b: [bx, by, kerb],
      on,
    });
    const rings = [outer, ...holes];
    const rim =
      kerb === 0 ? rings.flatMap((ring) => ring.map((p, i) => detail("kerb", p, ring[(i + 1) % ring.length]))) : [];
    if (!slabs) return rim;
    const ways: Vec2[] = [
      [s, c],
      [c, -s],
    ];
    return [
      ...rim,
      ...ways.flatMap((way) => hatched(rings, way, slabs)).map(({ a, b, index }) => detail("joint", a, b, index)),
    ];
  });
}

/** A line of a hatching, and its place in it. */
interface Hatch {
  readonly a: Vec2;
  readonly b: Vec2;
  readonly index: number;
}

/** Lines along a direction of length 1, one every so many m, where they lie within an area: its rim and its holes. */
function hatched(rings: readonly (readonly Vec2[])[], [ux, uy]: Vec2, every: number): Hatch[] {
  const turned = rings.map((ring) => ring.map(([x, y]): Vec2 => [x * ux + y * uy, y * ux - x * uy]));
  const heights = turned.flat().map(([, t]) => t);
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const back = (s: number, t: number): Vec2 => [s * ux - t * uy, s * uy + t * ux];
  const out: Hatch[] = [];
  for (let k = Math.ceil((low + 1e-6) / every), n = 0; k * every < high - 1e-6 && n < MAX_JOINTS; k++, n++) {
    const t = k * every;
    const crossings = turned
      .flatMap((ring) =>
        ring.flatMap(([s, at], i) => {
          const [s2, at2] = ring[(i + 1) % ring.length];
          return at <= t !== at2 <= t ? [s + ((t - at) / (at2 - at)) * (s2 - s)] : [];
        }),
      )
      .sort((a, b) => a - b);
    for (let i = 0; i + 1 < crossings.length; i += 2)
      if (crossings[i + 1] - crossings[i] > 1e-3)
        out.push({ a: back(crossings[i], t), b: back(crossings[i + 1], t), index: Math.abs(k) });
  }
  return out;
}
