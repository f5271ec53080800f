import { radians, type Vec2 } from "../../../geometry";
import { cornersOf } from "../../outline";
import { validateSquare } from "./measures";
import type { Square } from "./schema";
import { areaWithout, type Region } from "../../areas";
import { curvesOf } from "../../curves";
import { prism } from "../../shapes";
import type { Area } from "../../triangles";
import type { Detail, DetailKind } from "../../details";
import { coursed, hatched, herringbone, type Hatch, type Rings } from "../../hatching";
import { asPart, faceNamed, type Solid } from "../../solid";

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
    const joints = jointsOf(square, slabs, rings, [s, c]);
    return [...rim, ...joints.map(({ a, b, index }) => detail("joint", a, b, index))];
  });
}

/** The joints of a square's slabs within its rings. @param way along which they are laid, of length 1 */
function jointsOf({ laid = "square" }: Square, slabs: number, rings: Rings, way: Vec2): readonly Hatch[] {
  const [s, c] = way;
  switch (laid) {
    case "square":
      return [...hatched(rings, way, slabs), ...hatched(rings, [c, -s], slabs)];
    case "courses":
      return coursed(rings, way, { long: slabs, high: slabs, shift: 0.5 });
    case "bricks":
      return coursed(rings, way, { long: 2 * slabs, high: slabs, shift: 0.5 });
    case "herringbone":
      return herringbone(rings, way, slabs);
  }
}
