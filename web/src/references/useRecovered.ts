import { judged, viewOfReference, type Judgement } from "@zanvo/core/recover";
import { toldBy } from "@zanvo/core/problem";
import type { Reference } from "@zanvo/core/scene";
import type { Told } from "@zanvo/core/units";
import { useDeferredValue, useMemo } from "react";

/** What the traced edges of a picture tell. */
export interface Recovered {
  readonly view: ReturnType<typeof viewOfReference> | null;
  /** What is missing, and what would help. */
  readonly lacking: Told | null;
  /** How well the view explains the edges; worked out a moment later while the hand draws. */
  readonly judgement: Judgement | null;
}

/** The view behind a reference, and how well it explains its edges. */
export function useRecovered(reference: Reference): Recovered {
  const found = useMemo((): Pick<Recovered, "view" | "lacking"> => {
    try {
      const view = viewOfReference(reference);
      return { view, lacking: view.lacking };
    } catch (error) {
      return { view: null, lacking: toldBy(error) };
    }
  }, [reference]);
  const [rested, restedView] = [useDeferredValue(reference), useDeferredValue(found.view)];
  const judgement = useMemo(() => judged(rested, restedView?.misfit ?? null), [rested, restedView]);
  return { ...found, judgement };
}
