import {
  kindOf,
  measureOf,
  numberAt,
  requireValid,
  withNumber,
  type Element,
  type NumberPath,
} from "@zanvo/core/world";
import { NumberField } from "../ui";
import type { Change } from "./view";

interface MeasuresProps<E extends Element> {
  readonly element: E;
  readonly of: readonly NumberPath<E>[];
  readonly change: Change;
}

/** Finer steps for what is smaller than a metre. */
const stepFor = (value: number): number => (Math.abs(value) < 1 ? 0.01 : 0.1);

/** Numbers of an element, each as its schema describes it: its name, its unit and its limits. */
export function Measures<E extends Element>({ element, of, change }: MeasuresProps<E>) {
  const { schema } = kindOf(element);
  return of.map((path) => {
    const { label, unit, min, max, whole, fallback = 0 } = measureOf(schema, path);
    const value = numberAt(element, path) ?? fallback;
    return (
      <NumberField
        key={path}
        label={label}
        unit={unit}
        digits={whole ? 0 : unit === "m" ? 3 : 1}
        min={min}
        max={max}
        step={unit === "m" ? stepFor(value) : 1}
        value={value}
        onChange={(to) => change(requireValid(withNumber(element, path, whole ? Math.round(to) : to)), path)}
      />
    );
  });
}
