import { measureOf, numberAt, withNumber, type Measure, type NumberPath } from "@zanvo/core/fields";
import { kindOf, requireValid, type Element } from "@zanvo/core/world";
import { MeasureField } from "../ui";
import type { Change } from "./view";

interface MeasuresProps<E extends Element> {
  readonly element: E;
  readonly of: readonly NumberPath<E>[];
  readonly change: Change;
}

/** Numbers of an element, each as its schema describes it. */
export function Measures<E extends Element>({ element, of, change }: MeasuresProps<E>) {
  const { schema } = kindOf(element);
  return of.map((path) => {
    const measure = measureOf(schema, path);
    return (
      <MeasureField
        key={path}
        measure={measure}
        value={numberAt(element, path) ?? measure.fallback ?? 0}
        onChange={(to) => change(requireValid(withNumber(element, path, to)), path)}
      />
    );
  });
}

/** How the schema of an element describes the measures of parts that there may be several of. */
export const measuresOf =
  <E extends Element>(element: E, parts: keyof E & string) =>
  (key: string): Measure =>
    measureOf(kindOf(element).schema, `${parts}/*/${key}`);
