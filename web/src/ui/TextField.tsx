import { toldBy } from "@zanvo/core/problem";
import { useId, useState } from "react";
import { useStores } from "../stores";

interface TextFieldProps {
  readonly label: string;
  readonly value: string;
  readonly maxLength?: number;
  /** Takes a text over; what it throws is shown as a sentence, and the old text stays in force. */
  readonly onChange: (value: string) => void;
}

/** A text that can be typed. Enter or leaving takes it over, Escape brings the old one back. */
export function TextField({ label, value, maxLength = 1000, onChange }: TextFieldProps) {
  const { inWords } = useStores();
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const take = () => {
    if (typed === null) return;
    try {
      if (typed.trim() !== value) onChange(typed.trim());
      setTyped(null);
      setError(null);
    } catch (wrong) {
      setError(inWords(toldBy(wrong)));
    }
  };
  const giveUp = () => {
    setTyped(null);
    setError(null);
  };
  return (
    <div>
      <label htmlFor={id} className="text-pencil">
        {label}
      </label>
      <input
        id={id}
        className={
          "measure block h-7 w-full rounded border bg-paper/60 px-1.5 [[data-lamp=on]_&]:bg-black/20 " +
          (error ? "border-accent" : "border-hair")
        }
        autoComplete="off"
        maxLength={maxLength}
        value={typed ?? value}
        aria-invalid={error !== null}
        aria-describedby={error ? `${id}-error` : undefined}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === "Enter") take();
          else if (event.key === "Escape") giveUp();
        }}
      />
      {error && (
        <p id={`${id}-error`} role="alert" className="mt-1 text-accent">
          {error}
        </p>
      )}
    </div>
  );
}
