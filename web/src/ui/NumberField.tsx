import { toldBy } from "@zanvo/core/problem";
import { inFeet, inInches, readMeasure, type Unit } from "@zanvo/core/units";
import {
  useEffect,
  useId,
  useRef,
  useState,
  type ChangeEvent,
  type FocusEvent,
  type KeyboardEvent,
  type Ref,
} from "react";
import { useStores } from "../stores";

interface NumberFieldProps {
  readonly label: string;
  readonly value: number;
  readonly unit: Unit;
  /** Decimals shown; what is typed is kept exactly. */
  readonly digits?: number;
  readonly min?: number;
  readonly max?: number;
  /** A measure of a trade that has only this unit, such as a focal length. */
  readonly fixed?: boolean;
  /** How far arrow keys step; ten times that with Shift. */
  readonly step?: number;
  readonly disabled?: boolean;
  readonly inputRef?: Ref<HTMLInputElement>;
  /** Takes a number over; what it throws is shown as a sentence, and the old value stays. */
  readonly onChange: (value: number) => void;
  /** For a step that waits for its measure: Enter takes it over as it stands, Escape gives the step up. */
  readonly onCancel?: () => void;
}

/**
 * A field's unit as one reads it: how many of the field's own it is, how a value is written, and a step of the arrow
 * keys.
 */
interface Shown {
  readonly unit: Unit;
  readonly size: number;
  readonly step: number;
  readonly write: (value: number) => string;
}

function shownIn(unit: Unit, imperial: boolean, digits: number, step: number): Shown {
  if (imperial && unit === "mm")
    return { unit: "in", size: 25.4, step: 1 / 16, write: (inches) => inInches(25.4 * inches) };
  if (imperial && unit === "m") return { unit: "ft", size: 0.3048, step: 0.25, write: (feet) => inFeet(0.3048 * feet) };
  return { unit, size: 1, step, write: (value) => String(Number(value.toFixed(digits))) };
}

/** A typed measure within its limits, or a sentence on what is wrong with it. */
function read(text: string, unit: Unit, min: number, max: number): number | string {
  try {
    const value = readMeasure(text, unit);
    return value < min
      ? `At least ${[Number(min.toFixed(4)), unit].join(" ").trim()}.`
      : value > max
        ? `At most ${[Number(max.toFixed(4)), unit].join(" ").trim()}.`
        : value;
  } catch (wrong) {
    return (wrong as Error).message;
  }
}

/** What is being typed into a field: shown until it is taken over, and what is wrong with it. */
function useTyping({ value, unit, digits = 1, min = -Infinity, max = Infinity, step = 1, ...props }: NumberFieldProps) {
  const { useUnits, inWords } = useStores();
  const { fixed = false, onChange, onCancel } = props;
  const imperial = useUnits(({ system }) => system === "imperial") && !fixed;
  const shownAs = shownIn(unit, imperial, digits, step);
  const [least, most, now] = [min / shownAs.size, max / shownAs.size, value / shownAs.size];
  const shown = shownAs.write(now);
  const [text, setText] = useState(shown);
  const [error, setError] = useState<string | null>(null);
  const editing = useRef(false);

  useEffect(() => {
    if (!editing.current) setText(shown);
  }, [shown]);

  const take = (entered: number | string): boolean => {
    try {
      if (typeof entered === "string") throw new Error(entered);
      onChange(entered * shownAs.size);
      setError(null);
      return true;
    } catch (wrong) {
      setError(inWords(toldBy(wrong)));
      return false;
    }
  };
  /** Takes over what was typed, once: leaving the field after Enter is not a second time. */
  const finish = () => {
    if (!editing.current) return;
    editing.current = false;
    if (text === shown && !onCancel) setError(null);
    else if (!take(text === shown ? now : read(text, shownAs.unit, least, most))) editing.current = true;
  };
  const giveUp = () => {
    setText(shown);
    setError(null);
    editing.current = false;
    onCancel?.();
  };
  const nudge = (by: number) => {
    const from = read(text, shownAs.unit, least, most);
    const next = Math.min(most, Math.max(least, Number(((typeof from === "number" ? from : now) + by).toFixed(6))));
    if (take(next)) setText(shownAs.write(next));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    event.stopPropagation();
    if (event.key === "Enter") finish();
    else if (event.key === "Escape") giveUp();
    else if (event.key === "ArrowUp" || event.key === "ArrowDown") {
      event.preventDefault();
      nudge((event.key === "ArrowUp" ? 1 : -1) * shownAs.step * (event.shiftKey ? 10 : 1));
    }
  };
  return {
    error,
    unit: shownAs.unit,
    handlers: {
      value: text,
      onFocus: (event: FocusEvent<HTMLInputElement>) => {
        editing.current = true;
        if (!onCancel) event.target.select();
      },
      onBlur: () => {
        if (onCancel) editing.current = false;
        else finish();
      },
      onChange: (event: ChangeEvent<HTMLInputElement>) => {
        editing.current = true;
        setText(event.target.value);
      },
      onKeyDown,
    },
  };
}

/** A measure that can be typed. Enter or leaving takes it over, Escape brings the old one back. */
export function NumberField(props: NumberFieldProps) {
  const { label, disabled, inputRef } = props;
  const id = useId();
  const { error, unit, handlers } = useTyping(props);
  return (
    <div>
      <div className="flex items-center justify-between gap-2">
        <label htmlFor={id} className="text-pencil">
          {label}
        </label>
        <span
          className={
            "flex h-7 w-[94px] shrink-0 items-center rounded border bg-paper/60 px-1.5 outline-accent " +
            `focus-within:outline-2 ${error ? "border-accent" : "border-hair"} [[data-lamp=on]_&]:bg-black/20 ` +
            "has-disabled:border-transparent has-disabled:bg-transparent"
          }
        >
          <input
            id={id}
            ref={inputRef}
            className="measure w-full min-w-0 bg-transparent text-right outline-none focus-visible:outline-none"
            inputMode="decimal"
            autoComplete="off"
            disabled={disabled}
            aria-invalid={error !== null}
            aria-describedby={error ? `${id}-error` : undefined}
            {...handlers}
          />
          {unit !== "ft" && <span className="measure ml-1 text-pencil">{unit}</span>}
        </span>
      </div>
      {error && (
        <p id={`${id}-error`} role="alert" className="mt-1 text-accent">
          {error}
        </p>
      )}
    </div>
  );
}
