import { ToggleGroup } from "radix-ui";

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: Readonly<Record<T, string>>;
  readonly onChange: (value: T) => void;
}

/** One of a few, all of them plain to see. */
export function Choice<T extends string>({ label, value, options, onChange }: ChoiceProps<T>) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => next && onChange(next as T)}
      className="flex overflow-hidden rounded border border-hair"
    >
      {Object.entries<string>(options).map(([id, name]) => (
        <ToggleGroup.Item
          key={id}
          value={id}
          className={
            "h-7 grow whitespace-nowrap " + "px-1.5 hover:bg-wash data-[state=on]:bg-wash data-[state=on]:font-medium"
          }
        >
          {name}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
