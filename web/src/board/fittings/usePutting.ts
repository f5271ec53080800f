import { useEffect } from "react";
import { useBoard } from "../useBoard";

/** Puts back what was taken up to be put somewhere: by Escape, and when one goes elsewhere. */
export function usePutting(): void {
  const { useFittings, fit } = useBoard();
  const putting = useFittings((fittings) => fittings.putting);
  useEffect(() => {
    if (!putting) return undefined;
    // Before anything else hears of it: what was put stays chosen.
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== "Escape") return;
      event.stopImmediatePropagation();
      fit({ putting: null });
    };
    window.addEventListener("keydown", onKey, true);
    return () => window.removeEventListener("keydown", onKey, true);
  }, [fit, putting]);
  useEffect(() => () => fit({ putting: null }), [fit]);
}
