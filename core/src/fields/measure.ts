import type { TSchema } from "@sinclair/typebox";

/** Numbers of a thing by their path: "width", "parapet/height". */
export type NumberPath<T> = {
  [K in keyof T & string]: NonNullable<T[K]> extends number
    ? K
    : NonNullable<T[K]> extends string | boolean | readonly unknown[]
      ? never
      : `${K}/${NumberPath<NonNullable<T[K]>>}`;
}[keyof T & string];

/** A number of a thing as its schema describes it. */
export interface Measure {
  readonly label: string;
  readonly unit: "m" | "mm" | "°" | "";
  readonly min: number;
  readonly max: number;
  readonly whole: boolean;
  /** What it is where the thing does not say. */
  readonly fallback: number | undefined;
}

/** The least that is offered of what must be more than something: a centimetre, or a hundredth of its unit. */
const LEAST = 0.01;

/**
 * How the schema of a thing describes one of its numbers.
 * @param path with a star for whichever part of an array: "setbacks/*" + "/inset"
 * @throws Error where it has none there
 */
export function measureOf(schema: TSchema, path: string): Measure {
  const found = path
    .split("/")
    .reduce<TSchema | undefined>(
      (of, key) =>
        key === "*"
          ? (of?.items as TSchema | undefined)
          : (of?.properties as Record<string, TSchema> | undefined)?.[key],
      schema,
    );
  if (!found?.title) throw new Error(`There is no measure with a name at ${path}.`);
  const { title, unit = "", minimum, exclusiveMinimum, maximum = Infinity, type, default: fallback } = found;
  const [from, to] = (found.offered as readonly (number | null)[] | undefined) ?? [];
  const least =
    (minimum as number | undefined) ?? (exclusiveMinimum === undefined ? -Infinity : exclusiveMinimum + LEAST);
  return {
    label: title,
    unit: unit as Measure["unit"],
    min: from ?? least,
    max: to ?? (maximum as number),
    whole: type === "integer",
    fallback: fallback as number | undefined,
  };
}

/** A number of a thing; undefined where it does not say. */
export const numberAt = <T extends object>(thing: T, path: NumberPath<T>): number | undefined =>
  path.split("/").reduce<unknown>((of, key) => (of as Record<string, unknown> | undefined)?.[key], thing) as
    number | undefined;

/** A thing with one of its numbers changed. */
export function withNumber<T extends object>(thing: T, path: NumberPath<T>, value: number): T {
  const put = (of: Record<string, unknown>, [key, ...rest]: readonly string[]): Record<string, unknown> => ({
    ...of,
    [key]: rest.length ? put((of[key] ?? {}) as Record<string, unknown>, rest) : value,
  });
  return put(thing as Record<string, unknown>, path.split("/")) as T;
}
