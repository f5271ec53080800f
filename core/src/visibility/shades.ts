import { along, dot, norm, sub, type Vec2, type Vec3 } from "../geometry";
import { raysOf, towardsLight, type Light, type Rays } from "../light";
import { encloses, facing, type Face, type Region, type Solid } from "../world";
import { castersOf } from "./casters";
import type { Near } from "./directions";
import { AreaBook, OPEN_GROUND, SEEN, type FaceAreas } from "./faceAreas";
import { TOUCH, type Occluder } from "./occluder";
import { boundsOf, coveredOn, inWorld, outlineOnPlane, partOf, planeOfFace } from "./onFace";

/** Shadows on the open ground end so far from the eye, on each side, m: the sun may stand at the horizon. */
export const SHADOW_REACH = 2000;

/** What is asked for: shadows by some lights, and all parts of faces that are seen. */
export interface Shading {
  readonly lights: readonly Light[];
  /** Whether the parts of faces that are seen are wanted, too. */
  readonly areas?: boolean;
}

/** What an eye sees of a world, as far as the areas of its faces depend on it. */
export interface SeenWorld {
  /** The solids as they are, and as the eye sees them. */
  readonly world: readonly Solid[];
  readonly solids: readonly Solid[];
  readonly eye: Vec3;
  /** Whether a face looks at the eye. */
  readonly front: (solid: number, face: number) => boolean;
  readonly lost: Uint8Array;
  /** What stands between the eye and some places. */
  readonly near: Near;
  /** Facets of round faces leave them by no more than this angle, rad. */
  readonly within: number;
  /** The parts of faces that the eye sees, as they were found, by solid and face. */
  readonly parts: Map<string, Region>;
}

/** A face that is looked at, and the solid that it is of, where it is of one. */
interface Receiver {
  readonly solid: number;
  readonly number: number;
  readonly face: Pick<Face, "normal" | "offset" | "round">;
  readonly outline: Region;
  readonly places: readonly (readonly Vec3[])[];
}

function receiverOf(solids: readonly Solid[], s: number, f: number): Receiver {
  const solid = solids[s];
  const face = solid.faces[f];
  return {
    solid: s,
    number: f,
    face,
    outline: outlineOnPlane(solid, face, planeOfFace(face)),
    places: face.pieces.map((piece) => piece.map((n) => solid.vertices[n])),
  };
}

/** The open ground around an eye, where no other is built: what stands on it is not taken out of it. */
function openGround(world: readonly Solid[], [x, y]: Vec3): Receiver | null {
  if (world.some(({ edges, faces }) => edges.length === 0 && faces.some(({ name }) => name === "top"))) return null;
  const r = SHADOW_REACH;
  const corners: Vec2[] = [
    [x - r, y - r],
    [x + r, y - r],
    [x + r, y + r],
    [x - r, y + r],
  ];
  const face = { normal: [0, 0, 1] as const, offset: 0 };
  const plane = planeOfFace(face);
  return {
    solid: OPEN_GROUND,
    number: 0,
    face,
    outline: [
      corners.map(([u, v]): Vec2 => [u * plane.right[0] + v * plane.right[1], u * plane.up[0] + v * plane.up[1]]),
    ],
    places: [corners.map(([u, v]): Vec3 => [u, v, 0])],
  };
}

/** What occluders cover of a face, as convex rings on its plane. */
function coverOf(receiver: Receiver, near: Near, passed: (one: Occluder) => boolean): Region {
  const plane = planeOfFace(receiver.face);
  const bounds = boundsOf(receiver.outline);
  const found = new Set<Occluder>();
  for (const places of receiver.places) for (const one of near(places)) if (!passed(one)) found.add(one);
  return [...found].flatMap((one) => {
    const ring = coveredOn(plane, bounds, one.planes);
    return ring ? [ring] : [];
  });
}

/** Round things are looked at from so far away as the sun sees them, m. */
const AFAR = 1e5;

/** A solid as a light sees it: round faces as fine as an eye tells them from where it is. */
function facingLight(solid: Solid, rays: Rays, eye: Vec3, within: number): Solid {
  if (!solid.shape) return solid;
  const [at] = solid.vertices;
  const from = rays.kind === "point" ? rays.at : along(at, rays.towards, AFAR);
  const isInside = rays.kind === "point" && encloses(solid, rays.at);
  return facing(solid, from, { within: (within * norm(sub(at, eye))) / Math.max(norm(sub(at, from)), 1e-3), isInside });
}

/** A light that is on, and what stands in the way of its rays. */
interface Lit {
  readonly place: number;
  readonly rays: Rays;
  readonly casters: readonly Solid[];
  readonly near: Near;
}

const litBy = ({ world, eye, within }: SeenWorld, lights: readonly Light[]): readonly Lit[] =>
  lights.flatMap((light, place) => {
    if (light.off) return [];
    const rays = raysOf(light);
    const casters = world.map((one) => facingLight(one, rays, eye, within));
    return [{ place, rays, casters, near: castersOf(casters, rays) }];
  });

/** The part of a face that the eye sees: it depends on no light, and is kept. */
function seenPartOf({ near, parts }: SeenWorld, receiver: Receiver): Region {
  const { solid, number, outline } = receiver;
  const key = `${solid} ${number}`;
  let part = parts.get(key);
  if (!part) {
    const hidden = coverOf(receiver, near, (one) => one.solid === solid && one.face === number);
    parts.set(key, (part = partOf(outline, null, hidden)));
  }
  return part;
}

/** The part of what is seen of a face that a light does not reach. */
function shadedPartOf(seen: Region, receiver: Receiver, { rays, casters, near }: Lit): Region {
  const { solid, face, outline } = receiver;
  const toLight = towardsLight(rays, inWorld(planeOfFace(face), outline[0][0]));
  if (dot(face.normal, toLight) <= TOUCH) return seen;
  // A round surface is its own facets for the light: they lie beside those for the eye.
  const isOwn = (one: Occluder) =>
    one.solid === solid && face.round !== undefined && casters[solid].faces[one.face].round === face.round;
  return partOf(seen, coverOf(receiver, near, isOwn), []);
}

/** The faces that look at an eye, and the open ground. */
function* receiversOf({ world, solids, eye, front, lost }: SeenWorld): Generator<Receiver> {
  for (const [s, solid] of solids.entries()) {
    if (lost[s] || solid.card) continue;
    for (const f of solid.faces.keys()) if (front(s, f)) yield receiverOf(solids, s, f);
  }
  const ground = eye[2] > 0 ? openGround(world, eye) : null;
  if (ground) yield ground;
}

/** So many faces are looked at before whoever waits is listened to. */
const AT_ONCE = 40;

/**
 * The shadows that lights cast, and the parts of faces that are seen, as one eye sees them. It is worked out in parts,
 * between which it can be given up.
 */
export function* shadesOf(seen: SeenWorld, { lights, areas = false }: Shading): Generator<void, FaceAreas> {
  const book = new AreaBook();
  const lit = litBy(seen, lights);
  let looked = 0;
  for (const receiver of receiversOf(seen)) {
    const { solid, face } = receiver;
    const plane = planeOfFace(face);
    const put = (part: Region, light: number) =>
      book.put(
        part.map((ring) => ring.map((p) => inWorld(plane, p))),
        light,
        solid,
        face.normal,
      );
    if (lit.length === 0 && solid === OPEN_GROUND) continue;
    const part = seenPartOf(seen, receiver);
    if (part.length === 0) continue;
    if (areas && solid !== OPEN_GROUND) put(part, SEEN);
    for (const one of lit) put(shadedPartOf(part, receiver, one), one.place);
    if (++looked % AT_ONCE === 0) yield;
  }
  return book.done();
}
