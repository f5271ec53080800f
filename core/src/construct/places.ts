import { kindOf, middleOf, offPath, type Element, type Row } from "../world";

/** Things that stand together: a row, a group, or what belongs to neither. */
export interface Cluster {
  /** Of a row or a group; null for single things. */
  readonly name: string | null;
  readonly elements: readonly Element[];
}

/** A street with what stands on it, or what stands away from all of them. */
export interface Place {
  readonly street: Element | null;
  readonly standing: readonly Cluster[];
}

/** Farther than this from a street's middle line nothing stands on it, m. */
const FAR = 45;

/**
 * Everything in a scene by the street that it stands on, and there by row and group: those of one stay together, at
 * the street nearest to most of them.
 */
export function byStreet(elements: readonly Element[], rows: readonly Row[] = []): Place[] {
  const streets = elements.filter((element) => kindOf(element).way);
  const names = new Map(rows.map(({ id, name }) => [id, name]));
  const together = new Map<string, { name: string | null; elements: Element[] }>();
  for (const element of elements) {
    if (streets.includes(element)) continue;
    const rowId = kindOf(element).row?.(element);
    const row = rowId === undefined ? undefined : names.get(rowId);
    const name = element.group ?? row ?? null;
    const key = name === null ? `one ${element.id}` : element.group !== undefined ? `group ${name}` : `row ${rowId}`;
    const one = together.get(key);
    if (one) one.elements.push(element);
    else together.set(key, { name, elements: [element] });
  }
  const at = new Map<string | null, { name: string | null; elements: Element[] }[]>();
  for (const id of [...streets.map((street) => street.id), null]) at.set(id, []);
  for (const one of together.values()) {
    const counts = new Map<string | null, number>();
    for (const element of one.elements) {
      const [x, y] = middleOf(element);
      const near = streets
        .map((street) => ({ id: street.id, off: "path" in street ? offPath(street, [x, y]) : Infinity }))
        .reduce<{ id: string | null; off: number }>((best, s) => (s.off < best.off ? s : best), { id: null, off: FAR });
      counts.set(near.id, (counts.get(near.id) ?? 0) + 1);
    }
    const [[home]] = [...counts].sort((a, b) => b[1] - a[1]);
    const list = at.get(home)!;
    const single = one.name === null ? list.find(({ name }) => name === null) : undefined;
    if (single) single.elements.push(...one.elements);
    else list.push(one);
  }
  // Single things come last.
  return [...streets, null]
    .map((street) => ({
      street,
      standing: at.get(street?.id ?? null)!.sort((a, b) => Number(a.name === null) - Number(b.name === null)),
    }))
    .filter(({ street, standing }) => street !== null || standing.length > 0);
}
