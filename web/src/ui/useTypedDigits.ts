import { useEffect, useRef, type RefObject } from "react";

/** A field for a measure that is being drawn: a digit typed anywhere goes there. */
export function useTypedDigits(): RefObject<HTMLInputElement | null> {
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLInputElement;
      if (typing || event.ctrlKey || event.metaKey || event.altKey || !/^[\d.,]$/.test(event.key)) return;
      field.current?.focus();
      field.current?.select();
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, []);
  return field;
}
