import { add, dot, scale, sub, type Vec2, type Vec3 } from "../geometry";
import type { Rays } from "../light";
import { areaTwice, together, type Region, type Solid } from "../world";
import { TOUCH } from "./occluder";
import { inWorld, onPlane, planeOfFace, type FacePlane } from "./onFace";

/** The rims of cards in the world, m: they are asked for by every face behind them. */
const known = new WeakMap<Solid, readonly (readonly Vec3[])[]>();

/** The rims around all that a card shows, holes among them, as it looks at the eye that it was made for. */
export function rimsOf(card: Solid): readonly (readonly Vec3[])[] {
  let rims = known.get(card);
  if (!rims) {
    const [face] = card.faces;
    const plane = planeOfFace(face);
    const parts = face.pieces.map((piece) => piece.map((n) => onPlane(plane, card.vertices[n])));
    rims = together([parts]).map((ring) => ring.map((p) => inWorld(plane, p)));
    known.set(card, rims);
  }
  return rims;
}

/** Where the ray through a place meets a plane beyond it; null where it does not. */
function beyond(rays: Rays, p: Vec3, normal: Vec3, offset: number): Vec3 | null {
  const way = rays.kind === "point" ? sub(p, rays.at) : scale(rays.towards, -1);
  const far = (offset - dot(normal, p)) / dot(normal, way);
  return far > TOUCH && Number.isFinite(far) ? add(p, scale(way, far)) : null;
}

/** What a card covers of a plane, as rings that turn counter-clockwise but for holes; null where it cuts through it. */
export function coverOfCard(card: Solid, rays: Rays, plane: FacePlane, normal: Vec3, offset: number): Region | null {
  const rings: Vec2[][] = [];
  for (const rim of rimsOf(card)) {
    const ring: Vec2[] = [];
    for (const p of rim) {
      const at = beyond(rays, p, normal, offset);
      if (!at) return null;
      ring.push(onPlane(plane, at));
    }
    rings.push(ring);
  }
  const size = rings.reduce((sum, ring) => sum + areaTwice(ring), 0);
  return size < 0 ? rings.map((ring) => ring.reverse()) : rings;
}
