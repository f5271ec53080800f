import type { ReactNode } from "react";

/** What can be chosen: a value, and how it reads. */
export type Option<T extends string> = readonly [value: T, name: ReactNode, disabled?: boolean];

interface SelectProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly Option<T>[];
  readonly onChange: (value: T) => void;
  /** Whether the label stands before it; otherwise it is only heard. */
  readonly labelled?: boolean;
  readonly className?: string;
}

/** The options of a record of names. */
export const optionsOf = <T extends string>(names: Readonly<Record<T, string>>): readonly Option<T>[] =>
  Object.entries<string>(names) as [T, string][];

/** One of many, in a list that opens. */
export function Select<T extends string>({
  label,
  value,
  options,
  onChange,
  labelled = false,
  className = labelled ? "" : "w-full",
}: SelectProps<T>) {
  const select = (
    <select
      aria-label={label}
      className={`h-7 rounded border border-hair bg-slip px-1 text-ink ${className}`}
      value={value}
      // Only options can be chosen.
      onChange={(event) => onChange(event.target.value as T)}
    >
      {options.map(([id, name, disabled]) => (
        <option key={id} value={id} disabled={disabled}>
          {name}
        </option>
      ))}
    </select>
  );
  return labelled ? (
    <label className="flex items-center justify-between gap-2">
      <span className="whitespace-nowrap text-pencil">{label}</span>
      {select}
    </label>
  ) : (
    select
  );
}
