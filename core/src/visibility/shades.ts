import { along, norm, sub, type Vec3 } from "../geometry";
import { isCaster, raysOf, type Light, type Rays } from "../light";
import { encloses, facing, type Region, type Solid } from "../world";
import { castersOf } from "./casters";
import type { Near } from "./directions";
import { AreaBook, OPEN_GROUND, SEEN, type FaceAreas, type PartOf } from "./faceAreas";
import type { Occluder } from "./occluder";
import { inWorld, onPlane, partOf, type FacePlane } from "./onFace";
import { ownShade } from "./ownShade";
import { coverOf, openGround, receiverOf, ringsOf, type Cover, type Receiver } from "./receiver";
import { seenRecess } from "./recessParts";
import { recessesOf, type Recess } from "./recesses";
import type { Drawn } from "./edges";

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
  /** What is drawn on the solids of the world. */
  readonly drawn: Drawn;
  /** The parts of faces that the eye sees, as they were found, by solid and face. */
  readonly parts: Map<string, SeenPart>;
}

/** The part of a face that an eye sees, without its recesses, and what hides the rest. No light changes it. */
export interface SeenPart {
  readonly part: Region;
  readonly hides: readonly Cover[];
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
    if (light.off || !isCaster(light)) return [];
    const rays = raysOf(light);
    const casters = world.map((one) => facingLight(one, rays, eye, within));
    return [{ place, rays, casters, near: castersOf(casters, rays) }];
  });

/** What stands between a light and a face. A round surface and a card are other facets for the light: they are none. */
function castersOn(receiver: Receiver, { solids }: SeenWorld, { rays, near, casters }: Lit): readonly Cover[] {
  const { solid, face } = receiver;
  const isOwn = (one: Occluder) =>
    one.solid === solid &&
    (solids[solid].card ?? (face.round !== undefined && casters[solid].faces[one.face].round === face.round));
  return coverOf(receiver, { rays, solids: casters, near }, isOwn);
}

/** The part of what is seen of a face that a light does not reach. */
function darkPartOf(part: Region, receiver: Receiver, { world, solids }: SeenWorld, { rays }: Lit, cast: Region) {
  const { solid, number, face, plane, places } = receiver;
  const isGround = solid === OPEN_GROUND;
  const corners = isGround ? places[0] : facetOf(solids[solid], number, places);
  const own = ownShade(face, corners, rays, isGround ? undefined : world[solid].shape);
  if (own === "all") return part;
  return partOf(part, own === "none" ? cast : [own.map((p) => onPlane(plane, p)), ...cast], []);
}

/** The corners around a face; of a sheet, which has no loops, of its first part. */
const facetOf = ({ vertices, faces }: Solid, number: number, places: readonly (readonly Vec3[])[]): readonly Vec3[] => {
  const { loop } = faces[number];
  return loop.length > 0 ? loop.map((n) => vertices[n]) : places[0];
};

/** The faces that look at an eye, and the open ground. */
function* receiversOf({ world, solids, eye, front, lost }: SeenWorld): Generator<Receiver> {
  for (const [s, solid] of solids.entries()) {
    if (lost[s]) continue;
    for (const f of solid.faces.keys()) if (front(s, f)) yield receiverOf(solids, s, f);
  }
  const ground = eye[2] > 0 ? openGround(world, eye) : null;
  if (ground) yield ground;
}

/** Gathers the areas of one look. */
class Shades {
  readonly book = new AreaBook();
  private readonly lit: readonly Lit[];
  private readonly eyeRays: Rays;
  private readonly surfaces = new Map<string, number>();

  constructor(
    private readonly seen: SeenWorld,
    private readonly shading: Shading,
  ) {
    this.lit = litBy(seen, shading.lights);
    this.eyeRays = { kind: "point", at: seen.eye };
  }

  /** Whether anything is wanted of a receiver. */
  wants = ({ solid }: Receiver): boolean => this.lit.length > 0 || solid !== OPEN_GROUND;

  /** The number of a surface; facets of a round one share theirs. */
  private surfaceOf(key: string): number {
    const known = this.surfaces.get(key) ?? this.surfaces.size;
    this.surfaces.set(key, known);
    return known;
  }

  private put(part: Region, plane: FacePlane, light: number, of: PartOf): void {
    this.book.put(
      part.map((ring) => ring.map((p) => inWorld(plane, p))),
      light,
      of,
    );
  }

  /** Gathers what is seen of a face and of its recesses, and what is dark of that. */
  look(receiver: Receiver): void {
    const { solid, number, face, plane } = receiver;
    const recesses = solid === OPEN_GROUND ? [] : this.recessesIn(receiver);
    const { part, hides } = this.seenPart(receiver, recesses);
    if (part.length === 0 && recesses.length === 0) return;
    const isRound = face.round !== undefined;
    const of = { solid, surface: this.surfaceOf(`${solid} ${isRound ? `round ${face.round}` : number}`) };
    const casts = this.lit.map((one) => castersOn(receiver, this.seen, one));
    if (solid !== OPEN_GROUND) this.putSeen(part, plane, { ...of, normal: face.normal });
    this.lit.forEach((one, i) => {
      const dark = darkPartOf(part, receiver, this.seen, one, ringsOf(casts[i]));
      this.put(dark, plane, one.place, { ...of, normal: face.normal });
    });
    const eye = { rays: this.eyeRays, solids: this.seen.solids, covers: hides };
    const lights = this.lit.map(({ rays, casters }, i) => ({ rays, solids: casters, covers: casts[i] }));
    for (const [n, recess] of recesses.entries())
      for (const [k, one] of seenRecess(recess, receiver, eye, lights).entries()) {
        const { normal, isBack } = one.part;
        const own = { solid, surface: this.surfaceOf(`${solid} ${number} ${n} ${k}`), normal, isRecess: isBack };
        this.putSeen(one.seen, one.plane, own);
        one.dark.forEach((dark, i) => this.put(dark, one.plane, this.lit[i].place, own));
      }
  }

  private recessesIn({ solid, number, face }: Receiver): readonly Recess[] {
    return recessesOf(this.seen.drawn.get(this.seen.world[solid]) ?? [], number, face);
  }

  private seenPart(receiver: Receiver, recesses: readonly Recess[]): SeenPart {
    const { solid, number, plane, outline } = receiver;
    const { near, parts, solids } = this.seen;
    const looking = { rays: this.eyeRays, solids, near };
    const key = `${solid} ${number}`;
    let found = parts.get(key);
    if (!found) {
      const hides = coverOf(receiver, looking, (one) => one.solid === solid && one.face === number);
      const openings = recesses.map(({ opening }) => opening.map((p) => onPlane(plane, p)));
      found = { part: partOf(outline, null, [...ringsOf(hides), ...openings]), hides };
      parts.set(key, found);
    }
    return found;
  }

  private putSeen(part: Region, plane: FacePlane, of: PartOf): void {
    if (this.shading.areas) this.put(part, plane, SEEN, of);
  }
}

/** So many faces are looked at before whoever waits is listened to. */
const AT_ONCE = 40;

/**
 * The shadows that lights cast, and the parts of faces that are seen, as one eye sees them. It is worked out in parts,
 * between which it can be given up.
 */
export function* shadesOf(seen: SeenWorld, shading: Shading): Generator<void, FaceAreas> {
  const shades = new Shades(seen, shading);
  let looked = 0;
  for (const receiver of receiversOf(seen)) {
    if (!shades.wants(receiver)) continue;
    shades.look(receiver);
    if (++looked % AT_ONCE === 0) yield;
  }
  return shades.book.done();
}
