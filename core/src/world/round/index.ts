import { add, dot, type Vec3 } from "../../geometry";
import type { Solid } from "../solid";
import { meshOfExtruded, type Extruded } from "./extruded";
import type { Fineness } from "./how";
import { boxOfHulls, type Hulls } from "./hulls";
import type { OutlinePoint } from "./outline";
import { solidOfMesh } from "./mesh";
import type { Turned } from "./turned";
import { meshOfTurned } from "./turning";
export { bendBetween, type Bend } from "./bend";
export { surfacesAround, type Extruded, type PlaneFrame } from "./extruded";
export { trunkHull, type Ball, type Hull, type Hulls } from "./hulls";
export { MeshBook, solidOfMesh } from "./mesh";
export {
  bulgeOf,
  chordsAlong,
  directionOn,
  domeArc,
  piecesOfOutline,
  placeOn,
  stepsOf,
  surfaceNumbers,
  type OutlinePoint,
  type Piece,
} from "./outline";
export { ON_AXIS, surfacesOf, turnedPlace, type Axis, type Turned } from "./turned";

/** A solid with round faces, as it is exactly. */
export type RoundShape = Turned | Extruded | Hulls;

/** One that has faces of its own, of which some are round. */
type Meshed = Turned | Extruded;

/** How far the facets of a round solid leave it where nobody looks, m: as it is picked, measured and written. */
export const USUAL_SAGITTA = 0.01;

/** The facets of a shape that has faces of its own. */
export const meshOf = (shape: Meshed, how: Fineness) =>
  shape.kind === "revolved" ? meshOfTurned(shape, how) : meshOfExtruded(shape, how);

/** Solids at the origin as nobody looks at them, by their outlines: those of a row of columns are one. */
const known = new WeakMap<readonly OutlinePoint[], { readonly key: string; readonly solid: Solid }>();

/** The solid of a shape at the origin. */
function solidAtOrigin(shape: Meshed, sagitta: number): Solid {
  const still = movedTo(shape, [0, 0, 0]);
  const key = JSON.stringify({ ...still, outline: null, sagitta });
  const before = known.get(shape.outline);
  if (before?.key === key) return before.solid;
  const solid = solidOfMesh("", meshOf(still, { sagitta }));
  known.set(shape.outline, { key, solid });
  return solid;
}

/** A solid with round faces. */
export function roundSolid(id: string, shape: RoundShape, part?: string, sagitta = USUAL_SAGITTA): Solid {
  const solid =
    shape.kind === "hulls" ? boxOfHulls(id, shape) : shifted(solidAtOrigin(shape, sagitta), originOf(shape));
  return { ...solid, id, shape, ...(part === undefined ? {} : { part }) };
}

const originOf = (shape: Meshed): Vec3 => (shape.kind === "revolved" ? shape.axis : shape.frame).origin;

/** The same shape with its origin elsewhere. */
const movedTo = (shape: Meshed, origin: Vec3): Meshed =>
  shape.kind === "revolved"
    ? { ...shape, axis: { ...shape.axis, origin } }
    : { ...shape, frame: { ...shape.frame, origin } };

/** The same shape moved by a vector. */
export const movedShape = (shape: RoundShape, by: Vec3): RoundShape =>
  shape.kind === "hulls" ? { ...shape, at: add(shape.at, by) } : movedTo(shape, add(originOf(shape), by));

/** A solid moved by a vector. */
const shifted = ({ vertices, faces, ...rest }: Solid, by: Vec3): Solid => ({
  ...rest,
  vertices: vertices.map((at) => add(at, by)),
  faces: faces.map((face) => ({ ...face, offset: face.offset + dot(face.normal, by) })),
});
