import { cross, dot, norm, scale, sub, type Vec3 } from "../geometry";
import type { Rays } from "../light";
import { encloses, type Solid } from "../world";
import { loopBoxes } from "./bearing";
import { acrossFrom, boxAcross, seenFrom, type Near, type Standing } from "./directions";
import { occludersOf, TOUCH, type Occluder } from "./occluder";

/** A convex piece of a face in the way of parallel rays, as `Occluder`: a prism along them instead of a pyramid. */
function pieceAlong({ vertices, faces }: Solid, solid: number, face: number, loop: readonly number[], towards: Vec3) {
  const { normal, offset } = faces[face];
  const side = dot(normal, towards) > 0 ? 1 : -1;
  const planes = new Float64Array(4 * (loop.length + 1));
  planes.set([normal[0] * side, normal[1] * side, normal[2] * side, offset * side]);
  loop.forEach((number, i) => {
    const a = vertices[number];
    const across = cross(sub(vertices[loop[(i + 1) % loop.length]], a), towards);
    const n = scale(across, side / norm(across));
    planes.set([-n[0], -n[1], -n[2], -dot(n, a)], 4 * (i + 1));
  });
  const near = loop.reduce((least, number) => Math.min(least, -dot(vertices[number], towards)), Infinity);
  return { solid, face, loop, planes, near };
}

function standingInParallel(solids: readonly Solid[], towards: Vec3): Standing[] {
  const boxOf = boxAcross(towards);
  return solids.flatMap((solid, s) =>
    solid.faces.flatMap(({ normal, pieces }, f) =>
      dot(normal, towards) <= TOUCH
        ? []
        : pieces.map((loop): Standing => {
            const occluder: Occluder = pieceAlong(solid, s, f, loop, towards);
            return { occluder, boxes: [boxOf(loop.map((n) => solid.vertices[n]))] };
          }),
    ),
  );
}

function standingAround(solids: readonly Solid[], at: Vec3): Standing[] {
  return solids.flatMap((solid, s) => {
    const isInside = !solid.card && encloses(solid, at);
    return solid.faces.flatMap(({ normal, offset }, f) =>
      isInside || dot(normal, at) - offset > TOUCH
        ? occludersOf(solids, s, f, at).map((occluder) => ({
            occluder,
            boxes: loopBoxes(occluder.loop.map((n) => sub(solid.vertices[n], at))),
          }))
        : [],
    );
  });
}

/** What stands in the way of rays: the faces of solids that look at the light, as they are for it. */
export const castersOf = (solids: readonly Solid[], rays: Rays): Near =>
  rays.kind === "parallel"
    ? acrossFrom(standingInParallel(solids, rays.towards), rays.towards)
    : seenFrom(standingAround(solids, rays.at), rays.at);
