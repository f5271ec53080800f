import {
  kindOf,
  measureOf,
  numberAt,
  requireValid,
  withNumber,
  type Element,
  type Measure,
  type NumberPath,
} from "@zanvo/core/world";
import { NumberField } from "../ui";
import type { Change } from "./view";

interface MeasureFieldProps {
  readonly measure: Measure;
  readonly value: number;
  readonly onChange: (value: number) => void;
}

/** Finer steps for what is smaller than a metre. */
const stepFor = (value: number): number => (Math.abs(value) < 1 ? 0.01 : 0.1);

/** A number as its schema describes it: its name, its unit and its limits. */
export const MeasureField = ({ measure: { label, unit, min, max, whole }, value, onChange }: MeasureFieldProps) => (
  <NumberField
    label={label}
    unit={unit}
    digits={whole ? 0 : unit === "m" ? 3 : 1}
    min={min}
    max={max}
    step={unit === "m" ? stepFor(value) : 1}
    value={value}
    onChange={(to) => onChange(whole ? Math.round(to) : to)}
  />
);

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
