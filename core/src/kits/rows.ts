import type { Kit } from "../scene";
import { isBuilding, type Building, type Element, type Row, type RowKit } from "../world";
import { reachOf } from "./frame";
import { instanceMade } from "./instances";
import { frontOfKit, ORIGIN } from "./taken";

/** What a row may roll of a kit; null where there is no house in it. */
export function rowKitOf(kit: Kit): RowKit | null {
  const front = frontOfKit(kit);
  if (front) return { front: { ...front, kit: kit.id } };
  const house = kit.elements.find(isBuilding);
  if (!house) return null;
  // As wide to one side of the middle as to the other.
  const [left, right] = reachOf(kit.elements, ORIGIN.heading).right;
  const wide = 2 * Math.max(-left, right);
  return { house: { ...house, kit: { id: kit.id, instance: house.id, part: house.id } }, wide };
}

/** The kits that a row rolls from, of those that its scene has. */
export const kitsOfRow = ({ kits: from }: Row, kits: readonly Kit[] = []): readonly RowKit[] =>
  kits.flatMap((kit) => (from?.ids.includes(kit.id) ? (rowKitOf(kit) ?? []) : []));

/** What else belongs to the kits that houses were rolled from, such as signs, as parts of their instances. */
export const beside = (houses: readonly Building[], kits: readonly Kit[] = [], id: () => string): Element[] =>
  houses.flatMap((house) => {
    const kit = kits.find((one) => one.id === house.kit?.id);
    if (!kit || !house.kit) return [];
    const all = instanceMade([{ ...house, kit: house.kit }], kit, kit, id) ?? [];
    return all.filter((one) => one.id !== house.id);
  });
