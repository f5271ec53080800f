import type { Kit, Scene } from "../scene";
import { kindOf, type Element, type Front } from "../world";
import type { Frame } from "./frame";

/** Kits stand at the origin and face south. */
export const ORIGIN: Frame = { at: [0, 0], z: 0, heading: 180 };

/** A thing for itself: of no row, no group and no kit, and to be seen and moved. */
export function plain({ hidden: _hidden, locked: _locked, group: _group, kit: _kit, ...own }: Element): Element {
  return kindOf(own).alone?.(own) ?? own;
}

/** A kit of the shelf as a scene takes it over; null for a scene that is none, or in which nothing is left. */
export const kitIn = (id: string, revision: number, { title, kit, elements }: Scene): Kit | null =>
  kit && elements.length > 0 ? { id, name: title, of: kit, revision, elements } : null;

/** Whether a kit hangs on a wall, by its first part, rather than stands. */
export const hangs = ({ elements: [first] }: Pick<Kit, "elements">): boolean => Boolean(kindOf(first).hangs?.(first));

/** The front that a kit is of; undefined where it is of things. */
export const frontOfKit = ({ of, elements }: Kit): Front | undefined =>
  of === "front" ? elements.flatMap((one) => ("fronts" in one ? (one.fronts ?? []) : []))[0] : undefined;
