import { distance2, type Vec2 } from "@zanvo/core/geometry";
import type { OwnPlane } from "@zanvo/core/lines";
import {
  aimsOf,
  CATCH,
  ledTo,
  missOf,
  placeOnPlane,
  setsAlong,
  snapIndexOf,
  type Aim,
  type Snap,
  type SnapIndex,
} from "@zanvo/core/ruling";
import type { Layer } from "@zanvo/core/drawing";
import type { View } from "@zanvo/core/shot";
import { metres, mm, sentence, type Told } from "@zanvo/core/units";
import type { Pin } from "@zanvo/core/vanishing";

/** What a line is drawn after: the sets it may catch, and what is drawn around it. */
export interface Aiming {
  readonly view: View;
  readonly pins: readonly Pin[];
  readonly plane: OwnPlane | null;
  readonly snaps: SnapIndex;
  /** How near something must be to be caught, mm; 0 where nothing is to be. */
  readonly reach: number;
  /** The pin whose set is held. */
  readonly hold: string | null;
  readonly free: boolean;
}

/** Where an end of a line comes to lie, and what it was led to. */
export interface End {
  readonly to: Vec2;
  readonly aim: Aim | null;
  readonly snap: Snap | null;
}

/** The last index of what is drawn: it is made again once something else is. */
export function createSnaps(): (layers: readonly Layer[]) => SnapIndex {
  let last: { readonly layers: readonly Layer[]; readonly index: SnapIndex } | null = null;
  return (layers) => {
    if (last?.layers !== layers) last = { layers, index: snapIndexOf(layers) };
    return last.index;
  };
}

/** Where a line begins that is pressed at a place. */
export function beginAt({ snaps, reach }: Pick<Aiming, "snaps" | "reach">, at: Vec2): Pick<End, "to" | "snap"> {
  const snap = reach > 0 ? snaps.at(at, reach) : null;
  return { to: snap?.at ?? at, snap };
}

/** The set that a line from a place is led to, where it is held or the line nearly runs to it. */
function aimAt({ view, pins, plane, reach, hold, free }: Aiming, line: readonly [Vec2, Vec2]): Aim | null {
  const able = plane ? setsAlong(plane, pins) : pins;
  const held = able.find(({ id }) => id === hold);
  if (held) return { pin: held, miss: missOf(view, held, line) ?? 0 };
  if (free || reach === 0) return null;
  const [aim] = aimsOf(view, able, line);
  return aim && aim.miss <= CATCH ? aim : null;
}

/** Where a line from a place comes to end as the hand draws it: along the set it aims at, and at what it meets. */
export function endAt(aiming: Aiming, from: Vec2, at: Vec2): End {
  const aim = aimAt(aiming, [from, at]);
  const { view, snaps, reach } = aiming;
  if (!aim) return { ...beginAt(aiming, at), aim };
  const led = ledTo(view, aim.pin, [from, at]);
  const snap = reach > 0 && view.law.straight ? snaps.across(from, led, reach) : null;
  return { to: snap?.at ?? led, aim, snap };
}

/** How long a line is: on paper, or on its plane. @throws NoAnswer where the plane is not seen */
export function lengthOf({ view, plane }: Pick<Aiming, "view" | "plane">, from: Vec2, to: Vec2): number {
  return plane ? distance2(placeOnPlane(view, plane, from), placeOnPlane(view, plane, to)) : distance2(from, to);
}

/** A length as one reads it on paper, or on a plane. */
export const lengthTold = (plane: OwnPlane | null, length: number): Told => (plane ? metres(length) : mm(length));

/** What is told beside the hand: the set and by how much the hand misses it, the length, and what the end meets. */
export function told({ view, plane }: Pick<Aiming, "view" | "plane">, from: Vec2, { to, aim, snap }: End): Told {
  const set = aim ? `${aim.pin.name} · ${aim.miss.toFixed(1)}° off · ` : "";
  const on = snap ? `, ${snap.kind === "line" ? "on" : `${snap.kind} of`} ${snap.of}` : "";
  return sentence`${set}${lengthTold(plane, lengthOf({ view, plane }, from, to))}${on}`;
}
