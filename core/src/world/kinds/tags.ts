/** A number in a property of a feature, with or without a unit: metres, or feet where it says so; null for none. */
export function measureIn(value: unknown): number | null {
  if (typeof value === "number") return Number.isFinite(value) && value > 0 ? value : null;
  const found = typeof value === "string" ? /^\s*(\d+(?:[.,]\d+)?)\s*(m|ft|')?\s*$/.exec(value) : null;
  if (!found) return null;
  const size = Number(found[1].replace(",", ".")) * (found[2] === "ft" || found[2] === "'" ? 0.3048 : 1);
  return size > 0 ? size : null;
}
