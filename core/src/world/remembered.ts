/** What follows from an element, or from all of them, worked out once for what can no longer change. */
export function remembered<K extends object, T>(work: (from: K) => T): (from: K) => T {
  const known = new WeakMap<K, T>();
  return (from) => {
    if (!Object.isFrozen(from)) return work(from);
    let value = known.get(from);
    if (value === undefined) known.set(from, (value = work(from)));
    return value;
  };
}

/** What follows from several things together, worked out once for as long as each of them stays as it is. */
export function rememberedOfAll<K extends object, T>(work: (from: readonly K[]) => T): (from: readonly K[]) => T {
  const known = new WeakMap<K, { readonly from: readonly K[]; readonly value: T }>();
  return (from) => {
    if (from.length === 0 || !from.every((one) => Object.isFrozen(one))) return work(from);
    const last = known.get(from[0]);
    if (last?.from.length === from.length && from.every((one, i) => one === last.from[i])) return last.value;
    const value = work(from);
    known.set(from[0], { from, value });
    return value;
  };
}

/** No more answers than these are remembered by one function: then it begins anew. */
const MOST = 2000;

/** What follows from a few plain values, worked out once for those that are the same: the same object again. */
export function rememberedByValues<K extends readonly (string | number | undefined)[], T>(
  work: (...from: K) => T,
): (...from: K) => T {
  const known = new Map<string, { readonly value: T }>();
  return (...from) => {
    const key = JSON.stringify(from);
    const before = known.get(key);
    if (before) return before.value;
    if (known.size >= MOST) known.clear();
    const value = work(...from);
    known.set(key, { value });
    return value;
  };
}
