import { sub, type Vec3 } from "../geometry";
import type { Detail, Solid } from "../world";
import { loopBoxes, type Box } from "./bearing";
import type { Standing } from "./directions";
import type { Intersection } from "./intersections";
import { occludersOf, TOUCH } from "./occluder";
import type { OwnStretches } from "./gathered";

/** How the eye stands to a solid, and what of it stands in the way. */
export interface EyeSide {
  /** Height of the eye over each face's plane, in m: positive sees its outer side. */
  readonly heights: readonly number[];
  /** The eye is inside: every face stands in its way. */
  readonly inside: boolean;
}

/** What does not depend on other solids: how the eye stands to one, its occluders, and in which directions it is. */
interface Alone {
  readonly side: EyeSide;
  readonly standing: readonly Standing[];
  /** The box around all its occluders; null where it has none. */
  readonly around: Box | null;
}

/** What was seen of a solid, and what that followed from besides what else stands in its directions. */
interface Seen {
  readonly lost: boolean;
  readonly met: readonly Intersection[];
  /** What it meets. */
  readonly others: readonly Solid[];
  readonly on: readonly Detail[];
  readonly stretches: OwnStretches;
}

const sameItems = <T>(a: readonly T[], b: readonly T[]): boolean =>
  a.length === b.length && a.every((one, i) => one === b[i]);

const samePlace = (p: Vec3, q: Vec3): boolean => p[0] === q[0] && p[1] === q[1] && p[2] === q[2];

const sameCuts = (a: readonly Intersection[], b: readonly Intersection[]): boolean =>
  a.length === b.length &&
  a.every((one, i) => samePlace(one.a, b[i].a) && samePlace(one.b, b[i].b) && one.of[1].face === b[i].of[1].face);

const boxAround = (boxes: readonly Box[]): Box | null =>
  boxes.length === 0
    ? null
    : boxes.reduce((all, one) => [
        Math.min(all[0], one[0]),
        Math.min(all[1], one[1]),
        Math.max(all[2], one[2]),
        Math.max(all[3], one[3]),
      ]);

const overlaps = (a: Box, b: Box): boolean => a[0] <= b[2] && b[0] <= a[2] && a[1] <= b[3] && b[1] <= a[3];

/**
 * What an eye saw of a world, so that of one that has changed in part only that is looked at again whose sight may have
 * changed: what is new, and what stands in a direction in which something came, went, or was brought out or hidden.
 */
export class SightMemory {
  private alone = new Map<Solid, Alone>();
  private seen = new Map<Solid, Seen>();
  private faced = new Map<Solid, { readonly isCut: boolean; readonly as: Solid }>();

  /**
   * Solids as the eye sees them, those with round faces in facets for it.
   * @param cut those that others cut through
   * @param face how one falls into facets
   */
  facing(
    solids: readonly Solid[],
    cut: ReadonlySet<Solid>,
    face: (solid: Solid, isCut: boolean) => Solid,
  ): readonly Solid[] {
    const next: typeof this.faced = new Map();
    const all = solids.map((solid) => {
      if (!solid.shape) return solid;
      const [before, isCut] = [this.faced.get(solid), cut.has(solid)];
      const one = before?.isCut === isCut ? before : { isCut, as: face(solid, isCut) };
      next.set(solid, one);
      return one.as;
    });
    this.faced = next;
    return all;
  }

  /** How an eye stands to each solid, and its occluders. @param sideOf how it stands to one that is new */
  standing(
    solids: readonly Solid[],
    eye: Vec3,
    sideOf: (solid: Solid, s: number) => EyeSide,
  ): readonly Pick<Alone, "side" | "standing">[] {
    const next = new Map<Solid, Alone>();
    const all = solids.map((solid, s) => {
      const before = this.alone.get(solid);
      const one = before ? numbered(before, s) : aloneOf(solids, s, eye, sideOf(solid, s));
      next.set(solid, one);
      return one;
    });
    this.gone = [...this.alone].flatMap(([solid, { around }]) => (next.has(solid) || !around ? [] : [around]));
    this.alone = next;
    return all;
  }

  private gone: readonly Box[] = [];
  private changed: readonly Box[] = [];

  /** Takes note of which solids are hidden whole now, and with that of the directions in which anything changed. */
  noteLost(solids: readonly Solid[], lost: Uint8Array): void {
    const come = solids.flatMap((solid, s) => {
      const around = this.alone.get(solid)?.around;
      return around && this.seen.get(solid)?.lost !== (lost[s] === 1) ? [around] : [];
    });
    this.changed = [...this.gone, ...come];
  }

  /** What was seen of a solid, where it is seen so still; else null. */
  recall(solid: Solid, now: Omit<Seen, "stretches">): OwnStretches | null {
    const [alone, seen] = [this.alone.get(solid), this.seen.get(solid)];
    if (!alone || !seen || alone.side.inside || seen.lost !== now.lost) return null;
    if (!sameItems(seen.on, now.on) || !sameItems(seen.others, now.others) || !sameCuts(seen.met, now.met)) return null;
    const { around } = alone;
    return around && this.changed.some((box) => overlaps(box, around)) ? null : seen.stretches;
  }

  keep(solid: Solid, seen: Seen): void {
    this.seen.set(solid, seen);
  }

  /** Forgets what is not there any more. */
  close(): void {
    for (const solid of this.seen.keys()) if (!this.alone.has(solid)) this.seen.delete(solid);
  }
}

/** What is known of a solid that has another number now. */
function numbered(alone: Alone, s: number): Alone {
  if (alone.standing.length === 0 || alone.standing[0].occluder.solid === s) return alone;
  const standing = alone.standing.map(({ occluder, boxes }) => ({ occluder: { ...occluder, solid: s }, boxes }));
  return { ...alone, standing };
}

function aloneOf(solids: readonly Solid[], s: number, eye: Vec3, side: EyeSide): Alone {
  const { faces, vertices } = solids[s];
  const occluders = faces.flatMap((_, f) =>
    side.inside || side.heights[f] > TOUCH ? occludersOf(solids, s, f, eye) : [],
  );
  const standing = occluders.map((occluder) => ({
    occluder,
    boxes: loopBoxes(occluder.loop.map((v) => sub(vertices[v], eye))),
  }));
  return { side, standing, around: boxAround(standing.flatMap(({ boxes }) => boxes)) };
}
