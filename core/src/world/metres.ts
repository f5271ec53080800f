import type { Vec2 } from "../geometry";

/** As much of a JSON schema as tells which of its numbers are metres. */
interface Schema {
  readonly [key: string]: unknown;
  readonly unit?: string;
  readonly turns?: boolean;
  readonly elevation?: boolean;
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly items?: Schema;
}

/** What becomes of the metres of a thing: of its places on the plan, of its heights and sizes, of how
 * high it stands, where that is no size, and of its headings. */
interface Change {
  readonly place?: (at: Vec2) => Vec2;
  readonly size?: (metres: number) => number;
  readonly elevation?: (metres: number) => number;
  readonly heading?: (degrees: number) => number;
}

const isPlace = ({ properties }: Schema): boolean => properties?.x?.unit === "m" && properties.y?.unit === "m";

/** A thing with its metres and headings changed, as its schema tells them from other numbers; the rest of it stays. */
export function changeMetres<T>(schema: Schema, thing: T, change: Change): T {
  const changed = (of: Schema, value: unknown): unknown => {
    if (of.elevation && change.elevation && typeof value === "number") return change.elevation(value);
    if (of.unit === "m" && typeof value === "number") return change.size?.(value) ?? value;
    if (of.turns && typeof value === "number") return change.heading?.(value) ?? value;
    if (of.items && Array.isArray(value)) return value.map((one) => changed(of.items!, one));
    const { properties } = of;
    if (!properties || typeof value !== "object" || value === null) return value;
    const own = Object.entries(value).map(([key, one]) => [key, properties[key] ? changed(properties[key], one) : one]);
    const out = Object.fromEntries(own) as Record<string, unknown>;
    if (!isPlace(of) || !change.place) return out;
    const { x, y } = value as { readonly x: number; readonly y: number };
    const [px, py] = change.place([x, y]);
    return { ...out, x: px, y: py };
  };
  return changed(schema, thing) as T;
}
