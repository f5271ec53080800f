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

/** The shadows that lights cast, and the parts of faces that are seen, as one eye sees them. */
export function shadesOf(seen: SeenWorld, { lights, areas = false }: Shading): FaceAreas {
  const { world, solids, eye, front, lost, near, within } = seen;
  const book = new AreaBook();
  const lit = lights.flatMap((light, i) => {
    if (light.off) return [];
    const rays = raysOf(light);
    const casters = world.map((one) => facingLight(one, rays, eye, within));
    return [{ i, rays, casters, near: castersOf(casters, rays) }];
  });
  const shade = (receiver: Receiver) => {
    const { solid, number, face, outline } = receiver;
    const plane = planeOfFace(face);
    const own = solids[solid];
    let hidden: Region | null = null;
    const put = (part: Region | null, light: number) => {
      if (part?.length === 0) return;
      hidden ??= coverOf(receiver, near, (one) => one.solid === solid && one.face === number);
      const rings = partOf(outline, part, hidden).map((ring) => ring.map((p) => inWorld(plane, p)));
      book.put(rings, light, solid, face.normal);
    };
    if (areas && own) put(null, SEEN);
    for (const { i, rays, casters, near: nearLight } of lit) {
      const toLight = towardsLight(rays, inWorld(plane, outline[0][0]));
      if (dot(face.normal, toLight) <= TOUCH) {
        put(null, i);
        continue;
      }
      // A round surface is its own facets for the light: they lie beside those for the eye.
      const isOwn = (one: Occluder) =>
        one.solid === solid && face.round !== undefined && casters[solid].faces[one.face].round === face.round;
      put(coverOf(receiver, nearLight, isOwn), i);
    }
  };
  solids.forEach((solid, s) => {
    if (lost[s] || solid.card) return;
    solid.faces.forEach((_, f) => {
      if (front(s, f)) shade(receiverOf(solids, s, f));
    });
  });
  const ground = lit.length > 0 && eye[2] > 0 ? openGround(world, eye) : null;
  if (ground) shade(ground);
  return book.done();
}
