import { radians } from "../geometry";
import type { Kit, Scene } from "../scene";
import { validateElement, type Building, type Element, type Front } from "../world";
import { carriedOver, frameOf, type Frame } from "./frame";
import { frontOfKit, ORIGIN, plain } from "./taken";

/** The part of a kit that an element was put down as. */
type Part = NonNullable<Element["kit"]>;
export type OfKit = Element & { readonly kit: Part };

const isOf =
  (kit: string) =>
  (element: Element): element is OfKit =>
    element.kit?.id === kit;

/** What the parts of an instance are called as a group. */
const groupOf = ({ name }: Kit, instance: string): string => `${name} ${instance.slice(0, 4)}`.slice(0, 200);

/**
 * A kit put down: its parts at a place of the world, facing along a heading, as one more instance of it. Several parts
 * are a group.
 * @param id a fresh name for each
 */
export function putDown(kit: Kit, to: Frame, id: () => string): Element[] {
  const instance = id();
  const group = kit.elements.length > 1 ? { group: groupOf(kit, instance) } : {};
  return carriedOver(kit.elements, ORIGIN, to).map((one) => ({
    ...one,
    id: id(),
    ...group,
    kit: { id: kit.id, instance, part: one.id },
  }));
}

/** The instances of a kit among elements, each by its parts. */
export function instancesOf(elements: readonly Element[], kit: string): readonly (readonly OfKit[])[] {
  const found = new Map<string, OfKit[]>();
  for (const one of elements.filter(isOf(kit))) {
    const parts = found.get(one.kit.instance);
    if (parts) parts.push(one);
    else found.set(one.kit.instance, [one]);
  }
  return [...found.values()];
}

/** Where an instance stands: what the origin of its kit became; null where none of its parts is one of the kit. */
function standingOf(instance: readonly OfKit[], kit: Kit): Frame | null {
  for (const part of kit.elements) {
    const own = instance.find((one) => one.kit.part === part.id);
    if (!own) continue;
    // The same way from the part to the origin, from where the part now is.
    const [from, to] = [frameOf(part), frameOf(own)];
    return originFrom(from, to);
  }
  return null;
}

/** Where the origin of a kit comes to be when one of its frames comes to be another. */
function originFrom(from: Frame, to: Frame): Frame {
  const turn = radians(to.heading - from.heading);
  const [x, y] = [-from.at[0], -from.at[1]];
  return {
    at: [to.at[0] + x * Math.cos(turn) + y * Math.sin(turn), to.at[1] - x * Math.sin(turn) + y * Math.cos(turn)],
    z: to.z - from.z,
    heading: ORIGIN.heading + to.heading - from.heading,
  };
}

/** What an instance becomes with other parts, where it stands: what was a part of it keeps its id and its name. */
export function instanceMade(instance: readonly OfKit[], before: Kit, now: Kit, id: () => string): Element[] | null {
  const at = standingOf(instance, before);
  if (!at) return null;
  const [first] = instance;
  const grouped = now.elements.length > 1 ? (first.group ?? groupOf(now, first.kit.instance)) : first.group;
  return carriedOver(now.elements, ORIGIN, at).map((one): Element => {
    const old = instance.find((part) => part.kit.part === one.id);
    const { hidden, locked } = old ?? first;
    return {
      ...one,
      id: old?.id ?? id(),
      name: old?.name ?? one.name,
      ...(hidden && { hidden }),
      ...(locked && { locked }),
      ...(grouped === undefined ? {} : { group: grouped }),
      ...rowOf(old),
      kit: { id: now.id, instance: first.kit.instance, part: one.id },
    };
  });
}

/** That an element was laid in a row, and whether it stays there. */
const rowOf = (old: Element | undefined): Pick<Building, "row" | "kept"> =>
  old && "row" in old && old.row !== undefined
    ? { row: old.row, ...("kept" in old && old.kept ? { kept: old.kept } : {}) }
    : {};

/** A building with each front that is of a kit put up anew; as it is where that does not fit its walls. */
function withFronts(one: Element, front: Front, kit: Kit): Element {
  if (!("fronts" in one) || !one.fronts?.some((own) => own.kit === kit.id)) return one;
  const fronts = one.fronts.map((own) => (own.kit === kit.id ? { ...front, side: own.side, kit: kit.id } : own));
  const next: Element = { ...one, fronts };
  return validateElement(next) ? one : next;
}

/** Whether anything of a scene is of a kit: an instance, a front, or a row that rolls from it. */
const isUsed = ({ elements, rows = [] }: Pick<Scene, "elements" | "rows">, kit: string): boolean =>
  elements.some(
    (one) => one.kit?.id === kit || ("fronts" in one && one.fronts?.some((front) => front.kit === kit) === true),
  ) || rows.some(({ kits }) => kits?.ids.includes(kit));

/** A kit of the shelf as it is put into a scene: as that has it already, so that all of it there is alike. */
export const asHere = (scene: Pick<Scene, "elements" | "rows" | "kits">, kit: Kit): Kit =>
  (isUsed(scene, kit.id) && scene.kits?.find(({ id }) => id === kit.id)) || kit;

/** The parts of a scene that kits are kept in. */
export type Kitted = Pick<Scene, "elements" | "kits">;

/** A scene with a kit in its list, in the place of the one with its id. */
export const withKit = ({ kits = [] }: Pick<Scene, "kits">, kit: Kit): Kit[] =>
  kits.some(({ id }) => id === kit.id) ? kits.map((one) => (one.id === kit.id ? kit : one)) : [...kits, kit];

/**
 * A scene in which every instance of a kit is as the kit now is; what has lost all its parts stays as it
 * is, and so does a front on a wall that the new one does not fit.
 * @param id a fresh name for each part that comes new
 * @param only the one instance that becomes so, where others stay as they are
 */
export function renewed(scene: Kitted, now: Kit, id: () => string, only?: string): Required<Kitted> {
  const before = scene.kits?.find((one) => one.id === now.id) ?? now;
  const kits = withKit(scene, now);
  const front = frontOfKit(now);
  if (front) return { elements: scene.elements.map((one) => withFronts(one, front, now)), kits };
  const next = new Map<string, Element[]>();
  for (const instance of instancesOf(scene.elements, now.id)) {
    const parts =
      only === undefined || instance[0].kit.instance === only ? instanceMade(instance, before, now, id) : null;
    if (parts) next.set(instance[0].kit.instance, parts);
  }
  const placed = new Set<string>();
  const elements = scene.elements.flatMap((one): readonly Element[] => {
    const instance = one.kit?.id === now.id ? one.kit.instance : null;
    const parts = instance === null ? undefined : next.get(instance);
    if (instance === null || !parts) return [one];
    if (placed.has(instance)) return [];
    placed.add(instance);
    return parts;
  });
  return { elements, kits };
}

/**
 * A kit as one of its instances has become: its parts where the kit has them, by the names they had there, and other
 * things that were added to it.
 * @param things the parts of one instance, and what is added
 */
export function kitFrom(kit: Kit, things: readonly Element[]): Kit | null {
  const instance = things.filter(isOf(kit.id));
  const at = standingOf(instance, kit);
  if (!at) return null;
  const ids = new Set<string>();
  const elements = carriedOver(things.map(plain), at, ORIGIN).map((one, i) => {
    const { kit: of } = things[i];
    const part = of?.id === kit.id && !ids.has(of.part) ? of.part : one.id;
    ids.add(part);
    return { ...one, id: part };
  });
  return { ...kit, elements };
}

/** Elements that are of no kit any more, and no longer change with it. */
export const released = (things: readonly Element[]): Element[] => things.map(({ kit: _kit, ...own }): Element => own);
