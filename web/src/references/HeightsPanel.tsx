import { RotateCcw, Ruler, X } from "lucide-react";
import { useMemo } from "react";
import { measureHeights, viewOfReference, type Measured } from "@zanvo/core/recover";
import type { Reference } from "@zanvo/core/scene";
import { metres, sentence } from "@zanvo/core/units";
import { sceneMeasure } from "@zanvo/core/schema";
import { Button, IconButton, MeasureField } from "../ui";
import { HEIGHTS, removeEdge, sayHeight, type Tracing } from "./tracing";
import { useStores } from "../stores";

/** Known heights that contradict each other by more than this (share) are worth a word. */
const DISAGREEMENT = 0.05;

/** The heights of what stands in a reference; null while its view is not known. */
export function useHeights(reference: Reference): Measured | null {
  return useMemo(() => {
    try {
      return measureHeights(reference.heights ?? [], viewOfReference(reference));
    } catch {
      return null;
    }
  }, [reference]);
}

/** Things that stand on the ground: one height that is known gives all others, and the eye's. */
export function HeightsPanel({
  reference,
  tracing,
  onTracing,
}: {
  readonly reference: Reference;
  readonly tracing: Tracing;
  readonly onTracing: (next: Tracing) => void;
}) {
  const stores = useStores();
  const { useMeasures } = stores;
  const measured = useHeights(reference);
  const measures = useMeasures();
  const heights = reference.heights ?? [];
  const chosen = tracing.set === HEIGHTS;
  return (
    <section
      aria-label="Heights"
      className={`space-y-1.5 rounded border p-1.5 ${chosen ? "border-accent" : "border-hair"}`}
    >
      <Button className="w-full" on={chosen} onClick={() => onTracing({ set: HEIGHTS, edge: null })}>
        <Ruler size={14} aria-hidden />
        Measure heights
      </Button>
      {chosen && (
        <p className="text-pencil">
          {measured
            ? "Draw from the foot of a thing on the ground to its top: a door, a person, a storey. Type the " +
              "height you know; it gives the others."
            : "Heights can be measured once the view is known: trace edges of two sets first."}
        </p>
      )}
      {heights.map(({ metres }, i) => {
        const value = metres ?? measured?.heights[i];
        return (
          <div key={i} className={`flex items-start gap-1 rounded ${chosen && tracing.edge === i ? "bg-wash" : ""}`}>
            <div className="min-w-0 grow">
              <MeasureField
                measure={sceneMeasure("references/*/heights/*/metres")}
                label={`${metres === undefined ? "Height" : "Known"} ${i + 1}`}
                digits={2}
                value={value ?? 0}
                onChange={(next) => sayHeight(stores, reference.id, i, next)}
              />
            </div>
            {metres !== undefined && (
              <IconButton
                label={`Measure height ${i + 1} again`}
                onClick={() => sayHeight(stores, reference.id, i, undefined)}
              >
                <RotateCcw size={14} />
              </IconButton>
            )}
            <IconButton
              label={`Delete height ${i + 1}`}
              onClick={() => {
                removeEdge(stores, reference.id, HEIGHTS, i);
                onTracing({ set: tracing.set, edge: null });
              }}
            >
              <X size={14} />
            </IconButton>
          </div>
        );
      })}
      {measured?.eye !== null && measured && (
        <p className="measure">{measures(sentence`Eye ${metres(measured.eye)} over the ground`)}</p>
      )}
      {measured && measured.spread > DISAGREEMENT && (
        <p className="text-accent">
          The known heights are {(100 * measured.spread).toFixed(0)} % off each other: one of them, or a foot, is wrong.
        </p>
      )}
    </section>
  );
}
