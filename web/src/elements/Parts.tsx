import { Plus, X } from "lucide-react";
import type { ReactNode } from "react";
import type { Measure } from "@zanvo/core/fields";
import { Button, IconButton, MeasureField } from "../ui";
import { useSpoken } from "../stores";

/** The measures that each part has. */
type Measured<P> = { readonly [K in keyof P]: P[K] extends number | undefined ? K : never }[keyof P] & string;

/** A measure that is not kept as it is typed, but follows from what a part has. */
export interface Derived<P> {
  readonly key: string;
  readonly measure: Measure;
  readonly read: (part: P) => number;
  readonly write: (part: P, to: number) => Partial<P>;
}

interface PartsProps<P> {
  /** What one is called. */
  readonly name: string;
  /** What the button says that adds one. */
  readonly add: string;
  readonly parts: readonly P[];
  readonly fields: readonly Measured<P>[];
  /** How the schema describes a measure of a part. */
  readonly measure: (field: Measured<P>) => Measure;
  /** What follows from what a part has, to be typed as well. */
  readonly derived?: readonly Derived<NoInfer<P>>[];
  readonly fresh: () => P;
  /** What each part has besides its measures. */
  readonly more?: (part: P, put: (change: Partial<P>) => void, name: string) => ReactNode;
  /** Takes the parts over. @throws Error with why they cannot be */
  readonly onChange: (parts: readonly P[], what: string) => void;
}

/** Parts of a thing that there may be several of, each with its measures; they are added and taken away. */
export function Parts<P extends object>({ name, add, parts, derived = [], ...props }: PartsProps<P>) {
  const { fields, measure, fresh, more, onChange } = props;
  const spoken = useSpoken();
  const put = (at: number, change: Partial<P>, what: string) =>
    onChange(parts.with(at, { ...parts[at], ...change }), `${name} ${at} ${what}`);
  return (
    <>
      {parts.map((part, i) => {
        const called = `${name} ${i + 1}`;
        return (
          <section key={i} aria-label={called} className="space-y-1 rounded border border-hair p-1.5">
            <div className="flex items-center justify-between">
              <span className="font-medium">{called}</span>
              <IconButton
                label={`Delete ${called.toLowerCase()}`}
                onClick={() =>
                  spoken(() =>
                    onChange(
                      parts.filter((_, k) => k !== i),
                      `${name}s`,
                    ),
                  )
                }
              >
                <X size={14} />
              </IconButton>
            </div>
            {fields.map((key) => (
              <MeasureField
                key={key}
                measure={measure(key)}
                value={Number(part[key] ?? 0)}
                onChange={(value) => put(i, { [key]: value } as Partial<P>, key)}
              />
            ))}
            {derived.map(({ key, measure: own, read, write }) => (
              <MeasureField
                key={key}
                measure={own}
                value={read(part)}
                onChange={(to) => put(i, write(part, to), key)}
              />
            ))}
            {more?.(part, (change) => spoken(() => put(i, change, "more")), called)}
          </section>
        );
      })}
      <Button className="w-full" onClick={() => spoken(() => onChange([...parts, fresh()], `${name}s`))}>
        <Plus size={14} aria-hidden />
        {add}
      </Button>
    </>
  );
}
