import type { Measure } from "@zanvo/core/fields";
import { NumberField } from "./NumberField";

interface MeasureFieldProps {
  readonly measure: Measure;
  readonly value: number;
  /** What it is called here, where that is not what its schema calls it. */
  readonly label?: string;
  /** Decimals shown, where they are not those of its unit. */
  readonly digits?: number;
  /** A measure of a trade that has only this unit, such as a focal length. */
  readonly fixed?: boolean;
  readonly onChange: (value: number) => void;
}

/** Decimals of each unit, and a step of its arrow keys. */
const DIGITS = { m: 3, mm: 1, "°": 1, "": 2 } as const;
const STEP = { m: 0.1, mm: 1, "°": 1, "": 0.1 } as const;

/** Finer steps for metres that are less than one. */
const stepFor = ({ unit, whole }: Measure, value: number): number =>
  whole ? 1 : unit === "m" && Math.abs(value) < 1 ? 0.01 : STEP[unit];

/** A number as its schema describes it: its name, its unit and its limits. */
export const MeasureField = ({ measure, value, label, digits, fixed, onChange }: MeasureFieldProps) => (
  <NumberField
    label={label ?? measure.label}
    unit={measure.unit}
    digits={digits ?? (measure.whole ? 0 : DIGITS[measure.unit])}
    min={measure.min}
    max={measure.max}
    step={stepFor(measure, value)}
    fixed={fixed}
    value={value}
    onChange={(to) => onChange(measure.whole ? Math.round(to) : to)}
  />
);
