import { distance2, dot, type Vec2, type Vec3 } from "../geometry";
import { partsOf, type Region } from "./areas";
import type { Detail } from "./details";
import { boxOnPlan, cornersOfBox } from "./polygon";
import { movedShape, roundSolid } from "./round";
import { faceNamed, solidOf, type Face, type Solid } from "./solid";
import { solidsOver } from "./surface";
import { groundAt, groundRange, groundUnder, heightOn, reaches, type Plane, type Terrain } from "./terrain";
import { upperFacesOf } from "./upperFaces";

/** Solids, and what is drawn on them and on the ground. */
interface Standing {
  readonly solids: readonly Solid[];
  readonly details: readonly Detail[];
}

/** Besides prisms, what is lower than this follows the ground; what is higher stands on it, and stays as it is, m. */
const LOW = 0.5;
/** Lines that are shorter on the plan stand upright, m. */
const UPRIGHT = 1e-9;
/** The ground is looked at so far around a line, m. */
const AROUND = 1;

const onPlan = ([x, y]: Vec3): Vec2 => [x, y];
const ringOf = ({ vertices }: Solid, ring: readonly number[]): Vec2[] => ring.map((n) => onPlan(vertices[n]));

/** Whether a place lies on the plane through three others, to rounding. */
function liesOn([a, b, c]: readonly Vec3[], p: Vec3): boolean {
  const [u, v, w] = [b, c, p].map((q): Vec3 => [q[0] - a[0], q[1] - a[1], q[2] - a[2]]);
  const volume =
    u[0] * (v[1] * w[2] - v[2] * w[1]) - u[1] * (v[0] * w[2] - v[2] * w[0]) + u[2] * (v[0] * w[1] - v[1] * w[0]);
  return Math.abs(volume) <= 1e-9 * Math.hypot(...u) * Math.hypot(...v) * Math.hypot(...w);
}

/** A face, or what becomes of it. */
type Part = Pick<Face, "loop" | "holes" | "round" | "name">;

/** A solid with each vertex raised; faces that are flat no longer fall into triangles of one round surface. */
function lifted(solid: Solid, over: (at: Vec2) => number): Solid {
  const { shape } = solid;
  if (shape?.kind === "hulls")
    return roundSolid(solid.id, movedShape(shape, [0, 0, over(onPlan(shape.at))]), solid.part);
  const first = over(onPlan(solid.vertices[0]));
  // What is round is raised as a whole; on a slope its facets are.
  if (shape && solid.vertices.every((at) => Math.abs(over(onPlan(at)) - first) < 1e-9))
    return roundSolid(solid.id, movedShape(shape, [0, 0, first]), solid.part);
  const vertices = solid.vertices.map(([x, y, z]): Vec3 => [x, y, z + over([x, y])]);
  const isFlat = ({ loop, holes = [] }: Face): boolean => {
    const three = loop.slice(0, 3).map((n) => vertices[n]);
    return [loop, ...holes].flat().every((n) => liesOn(three, vertices[n]));
  };
  const free = 1 + Math.max(0, ...solid.faces.map(({ round = 0 }) => round));
  const parts = solid.faces.flatMap((face, f): readonly Part[] => {
    if (isFlat(face)) return [face];
    const triangles = face.pieces.flatMap((piece) => piece.slice(2).map((n, i) => [piece[0], piece[i + 1], n]));
    return triangles.map((loop) => ({ loop, round: face.round ?? free + f, name: face.name }));
  });
  const raised = solidOf(
    solid.id,
    vertices,
    parts.map(({ loop }) => loop),
    parts.map(({ round }) => round),
    parts.map(({ name }) => name),
    parts.map(({ holes }) => holes),
  );
  const same = raised.edges.length === solid.edges.length;
  const edges = same ? raised.edges.map((edge, i) => ({ ...edge, detail: solid.edges[i].detail })) : raised.edges;
  return { ...raised, edges, part: solid.part };
}

/** What stands on a plane over the plan: all of it raised by that. */
export function settledOn({ solids, details }: Standing, plane: Plane): Standing {
  if (plane.every((k) => k === 0)) return { solids, details };
  const rise = (at: Vec2) => heightOn(plane, at);
  const raised = new Map(solids.map((solid) => [solid, lifted(solid, rise)]));
  const up = (at: Vec3): Vec3 => [at[0], at[1], at[2] + rise(onPlan(at))];
  // The lines of one opening share its ring.
  const rings = new Map<readonly Vec3[], readonly Vec3[]>();
  const raisedRing = (ring: readonly Vec3[]): readonly Vec3[] => {
    const known = rings.get(ring) ?? ring.map(up);
    rings.set(ring, known);
    return known;
  };
  return {
    solids: [...raised.values()],
    details: details.map(({ a, b, on, through, ...rest }) => ({
      ...rest,
      a: up(a),
      b: up(b),
      through: through && raisedRing(through),
      on: on && { ...on, solid: raised.get(on.solid) ?? on.solid },
    })),
  };
}

/** The least and the greatest height of a solid, m. */
function heightsOf({ vertices }: Solid): readonly [number, number] {
  const heights = vertices.map(([, , z]) => z);
  return [Math.min(...heights), Math.max(...heights)];
}

/** The part of the plan that the top of an upright prism covers; null for any other solid. */
function prismOver(solid: Solid): Region | null {
  const top = solid.faces[faceNamed(solid, "top")];
  const [low, high] = heightsOf(solid);
  const isPrism = top && solid.vertices.every(([, , z]) => z === low || z === high);
  return isPrism ? [top.loop, ...(top.holes ?? [])].map((ring) => ringOf(solid, ring)) : null;
}

/** A solid as it lies on the ground, or stands on it. */
function draped(solid: Solid, terrain: Terrain): readonly Solid[] {
  const box = boxOnPlan(solid.vertices.map(onPlan));
  if (!reaches(terrain, box)) return [solid];
  const [low, high] = heightsOf(solid);
  if (solid.shape?.kind === "hulls") return [lifted(solid, (at) => groundAt(terrain, at))];
  const region = prismOver(solid);
  if (!region && high - low > LOW) {
    const [lowest] = groundRange(terrain, [cornersOfBox(box)]);
    return [lifted(solid, () => lowest)];
  }
  const facets = region ? groundUnder(terrain, region) : [];
  // What is no prism, or covers next to nothing, is raised place by place.
  if (facets.length === 0) return [lifted(solid, (at) => groundAt(terrain, at))];
  const [{ plane }] = facets;
  if (facets.every((one) => one.plane === plane)) return [lifted(solid, (at) => heightOn(plane, at))];
  return solidsOver(solid.id, facets, [(z) => z + low, (z) => z + high]).map((one) => ({ ...one, part: solid.part }));
}

/** The upper face that covers a place of the plan, of any of some solids. */
const upperFaceAt = (solids: readonly Solid[], at: Vec2): Detail["on"] =>
  solids.flatMap(upperFacesOf).find(({ covers }) => covers(at))?.on;

/** What an upright line on a face of a solid is on, once that is draped: a face that looks the same way there. */
function wallOf(
  raised: ReadonlyMap<Solid, readonly Solid[]>,
  { solid, face }: NonNullable<Detail["on"]>,
): Detail["on"] {
  const { normal, offset } = solid.faces[face];
  for (const one of raised.get(solid) ?? []) {
    const same = one.faces.findIndex(
      (other) => dot(other.normal, normal) > 1 - 1e-9 && Math.abs(other.offset - offset) < 1e-5,
    );
    if (same >= 0) return { solid: one, face: same };
  }
  return undefined;
}

/** A detail in the parts that lie on one plane of the ground each. */
function drapedDetail(
  { a, b, on, ...rest }: Detail,
  terrain: Terrain,
  raised: ReadonlyMap<Solid, readonly Solid[]>,
): Detail[] {
  const line = [onPlan(a), onPlan(b)];
  const long = distance2(line[0], line[1]);
  if (long < UPRIGHT) {
    const over = groundAt(terrain, line[0]);
    return [{ ...rest, a: [a[0], a[1], a[2] + over], b: [b[0], b[1], b[2] + over], on: on && wallOf(raised, on) }];
  }
  const heightAt = (at: Vec2) => a[2] + (distance2(line[0], at) / long) * (b[2] - a[2]);
  return groundUnder(terrain, [cornersOfBox(boxOnPlan(line, AROUND))]).flatMap(({ region, plane }) =>
    partsOf([line], region, "within").flatMap((part) =>
      part.slice(1).map((q, i): Detail => {
        const [from, to] = [part[i], q].map((at): Vec3 => [...at, heightAt(at) + heightOn(plane, at)]);
        const middle: Vec2 = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
        return { ...rest, a: from, b: to, on: on && upperFaceAt(raised.get(on.solid) ?? [], middle) };
      }),
    ),
  );
}

/** What follows the ground, such as a street: each place of it as high over the ground as over a level field. */
export function drapedOver({ solids, details }: Standing, terrain: Terrain): Standing {
  const raised = new Map(solids.map((solid) => [solid, draped(solid, terrain)]));
  const isAsBefore = ({ a, b, on }: Detail): boolean =>
    !reaches(terrain, boxOnPlan([onPlan(a), onPlan(b)])) && (!on || raised.get(on.solid)?.[0] === on.solid);
  return {
    solids: [...raised.values()].flat(),
    details: details.flatMap((one) => (isAsBefore(one) ? [one] : drapedDetail(one, terrain, raised))),
  };
}
